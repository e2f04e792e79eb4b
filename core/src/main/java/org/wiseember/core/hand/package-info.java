/** What a person says by key while a test is made by hand, and how well its moment is known. */
package org.wiseember.core.hand;
