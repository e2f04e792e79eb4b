/** A full unit emptied under one load, at the outlet or on the DC side. */
package org.wiseember.trial.kind.drain;
