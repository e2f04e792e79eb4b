package org.wiseember.bench.simulated;

/** What else stands on a simulated bench beside the meters on the outlet. */
public enum SideInstrument {
  /** A meter between the wall and the unit's charger. */
  WALL_METER,
  /** A voltmeter and a clamp on the DC input. */
  INPUT_METER,
  /** A tester in the USB-C lead that charges. */
  USB_METER,
  /** A lux meter beside the panels. */
  LUX_METER,
  /** Somebody who reads the time to full off the unit's display. */
  TIME_TO_FULL,
  /** A sound meter at one metre. */
  SOUND_METER,
  /** A thermal camera, and somebody who watches the fan. */
  CAMERA,
  /** Somebody who watches a lamp and a computer at the outlet while the wall plug is pulled. */
  EYES
}
