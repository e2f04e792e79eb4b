/** Motors started, counted and caught. */
package org.wiseember.trial.kind.start;
