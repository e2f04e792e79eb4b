/** A unit charged from one source or several. */
package org.wiseember.trial.kind.charge;
