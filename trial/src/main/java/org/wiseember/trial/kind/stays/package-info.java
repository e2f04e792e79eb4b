/** What stays on when the wall plug is pulled, and while it charges, told by eye. */
package org.wiseember.trial.kind.stays;
