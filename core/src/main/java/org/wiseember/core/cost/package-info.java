/** What a unit costs for what one really gets of it, and what it saves. */
package org.wiseember.core.cost;
