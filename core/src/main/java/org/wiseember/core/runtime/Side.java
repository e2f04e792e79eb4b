package org.wiseember.core.runtime;

/** Which outputs of a unit an appliance hangs on. */
public enum Side {
  AC,
  DC
}
