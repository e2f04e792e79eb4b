/** How warm and how loud a unit gets. */
package org.wiseember.trial.kind.heat;
