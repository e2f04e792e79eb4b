/** Arrangements of panels tried one after the other on a port. */
package org.wiseember.trial.kind.solar;
