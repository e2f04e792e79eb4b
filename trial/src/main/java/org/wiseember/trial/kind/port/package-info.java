/** The 12 V port under rising current. */
package org.wiseember.trial.kind.port;
