package org.wiseember.bench.simulated;

/** What else stands on a simulated bench beside the meters on the outlet. */
public enum Beside {
  /** A meter between the wall and the unit's charger. */
  WALL_METER,
  /** A sound meter at one metre. */
  SOUND_METER,
  /** A thermal camera, and somebody who watches the fan. */
  CAMERA
}
