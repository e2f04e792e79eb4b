/** A bench set up for a test: simulated, of instruments, or by hand. */
package org.wiseember.trial.rig;
