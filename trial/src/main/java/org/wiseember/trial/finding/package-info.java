/** Working runs out, and keeping what was found for as long as it stands. */
package org.wiseember.trial.finding;
