package org.wiseember.bench.simulated.design;

/**
 * How a simulated unit or meter departs from the models the program reasons by. The world does not
 * share them; figures and verdicts have to hold all the same. None of them is switched on by
 * itself.
 */
public enum ModelDeviation {
  /** The overload protection has a timer for each range of load in place of a warming image. */
  STEPPED_TRIP,
  /** The pack gives less charge the faster it is emptied, as Peukert found for lead. */
  RATE_LOSS,
  /** The pack's volts lag behind its current. */
  HYSTERESIS,
  /** What the inverter loses moves with the volts of the pack and the warmth of the case. */
  WANDERING_LOSS,
  /** Something slower warms behind the case. */
  SECOND_WARMING,
  /** The volts of the outlet die away when the relay opens, as of a filter or a motor. */
  DYING_VOLTS,
  /** A meter is off one way at light and another way at heavy loads, within its class. */
  BENT_GAIN,
  /** A clamp keeps the field of the greatest current it saw, within its class. */
  REMANENCE,
  /** A meter answers with what it read three seconds ago. */
  LATE_ANSWERS,
  /** A meter reads every five seconds and answers the same meanwhile. */
  SLOW_METER,
  /** The steps of a scope's converter are coarse and not all alike. */
  CROOKED_STEPS,
  /** A scope's clamp turns the phase of the amps. */
  TURNED_PHASE
}
