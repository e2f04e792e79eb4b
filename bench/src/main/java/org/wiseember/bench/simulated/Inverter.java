package org.wiseember.bench.simulated;

import org.wiseember.bench.simulated.design.InverterDesign;
import org.wiseember.bench.simulated.design.OverloadDesign;
import org.wiseember.bench.simulated.load.Load;

/** The inverter while it works: its volts, its fans, its thermal image, and why it is off. */
final class Inverter {
  /** Why there is no output, or that there is one. */
  enum State {
    ON,
    /** Switched off by a person. */
    OFF,
    /** Tripped by overload; comes back by itself or waits for a person, by its design. */
    TRIPPED,
    /** The battery management took the power away. */
    CUT_OFF,
    /** Eco mode: too little load for too long. */
    ASLEEP
  }

  /** Fan steps: on and off at these shares of rating, or at these case temperatures. */
  private static final double[] FAN_ON = {0.25, 0.6};

  private static final double[] FAN_OFF = {0.18, 0.5};
  private static final double[] FAN_HOT = {42, 52};
  private static final double RUN_ON_SECONDS = 90;

  private final InverterDesign design;
  private State state = State.ON;
  private double image;
  private double limiting;
  private double idleFor;
  private double offFor;
  private double runOn;
  private int fans;
  private int fansBefore;
  private double lastWatts;
  private boolean eco = true;

  /** Timers of a stepped protection: up to this share of rating, so many seconds. */
  private static final double[] STEP_SHARE = {1.3, 1.6, Double.POSITIVE_INFINITY};

  private static final double[] STEP_SECONDS = {150, 25, 3};

  private final boolean stepped;
  private double timed;

  Inverter(InverterDesign design, boolean stepped) {
    this.design = design;
    this.stepped = stepped;
  }

  /** After how long a stepped protection gives up, s; infinite where it holds. */
  static double steppedSeconds(double share, double pickUp) {
    int k = 0;
    while (share >= STEP_SHARE[k]) {
      k++;
    }
    return share < pickUp ? Double.POSITIVE_INFINITY : STEP_SECONDS[k];
  }

  private boolean gaveUp(double share, double seconds) {
    OverloadDesign overload = design.overload();
    if (!stepped) {
      return image >= overload.pickUp() * overload.pickUp();
    }
    double after = steppedSeconds(share, overload.pickUp());
    timed = Double.isInfinite(after) ? 0 : timed + seconds / after;
    return timed >= 1;
  }

  State state() {
    return state;
  }

  boolean on() {
    return state == State.ON;
  }

  int fans() {
    return fans;
  }

  /** Load of the last step as a share of rating. */
  double share() {
    return lastWatts / design.ratedWatts();
  }

  /** Switches the output, as a person does; on also clears a trip. */
  void press(boolean wanted) {
    state = wanted ? State.ON : State.OFF;
    limiting = 0;
    idleFor = 0;
  }

  /** Switches the eco mode, where it has one; off also wakes it. */
  void eco(boolean wanted) {
    if (eco != wanted) {
      eco = wanted;
      idleFor = 0;
      if (!wanted && state == State.ASLEEP) {
        state = State.ON;
      }
    }
  }

  boolean ecoOn() {
    return eco;
  }

  void cutOff() {
    state = State.CUT_OFF;
    runOn = RUN_ON_SECONDS;
  }

  /** Output volts into this load: droop, and the current limit at its peak. */
  double volts(Load load) {
    if (!on()) {
      return 0;
    }
    double volts = drooped(share());
    volts = drooped(load.at(volts, design.shape()).watts() / design.ratedWatts());
    double most = design.overload().peak() * design.ratedWatts();
    if (voltAmperes(load, volts) <= most) {
      return volts;
    }
    double low = 0;
    double high = volts;
    for (int i = 0; i < 30; i++) {
      double middle = (low + high) / 2;
      if (voltAmperes(load, middle) > most) {
        high = middle;
      } else {
        low = middle;
      }
    }
    return low;
  }

  private double drooped(double share) {
    return design.acVolts() * (1 - design.droop() * Math.min(2, share));
  }

  private double voltAmperes(Load load, double volts) {
    return volts * load.at(volts, design.shape()).amps();
  }

  /**
   * Lets time pass with this load on the output.
   *
   * @param limited whether the current limit holds the volts down
   */
  void pass(double watts, boolean limited, double caseCelsius, double seconds) {
    OverloadDesign overload = design.overload();
    lastWatts = watts;
    double share = share();
    image += (share * share - image) * (1 - Math.exp(-seconds / overload.seconds()));
    limiting = limited ? limiting + seconds : 0;
    idleFor = watts < design.ecoWatts() ? idleFor + seconds : 0;
    if (on()) {
      offFor = 0;
      if (gaveUp(share, seconds) || limiting > overload.peakSeconds()) {
        state = State.TRIPPED;
        timed = 0;
        runOn = RUN_ON_SECONDS;
      } else if (eco && design.ecoWatts() > 0 && idleFor >= design.ecoSeconds()) {
        state = State.ASLEEP;
      }
    } else {
      offFor += seconds;
      boolean cool = image < 0.8;
      if (state == State.TRIPPED
          && !overload.latches()
          && offFor >= overload.recoverySeconds()
          && cool) {
        state = State.ON;
        limiting = 0;
      }
    }
    runOn = Math.max(0, runOn - seconds);
    fans = 0;
    for (int i = 0; i < FAN_ON.length; i++) {
      boolean was = fansBefore > i;
      boolean wanted =
          share > (was ? FAN_OFF[i] : FAN_ON[i]) || caseCelsius > FAN_HOT[i] - (was ? 4 : 0);
      fans += (wanted && on()) || (i == 0 && runOn > 0) ? 1 : 0;
    }
    fansBefore = fans;
  }

  /** DC watts it takes now for this AC power, fans included. */
  double dcWatts(double watts) {
    return (on() ? design.dcWatts(watts) : design.standbyWatts()) + fans * design.fanWatts();
  }
}
