/** The gap when the mains go. */
package org.wiseember.trial.kind.transfer;
