/** A small load left on for a day. */
package org.wiseember.trial.kind.soak;
