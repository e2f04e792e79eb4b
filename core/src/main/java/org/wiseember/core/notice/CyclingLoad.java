package org.wiseember.core.notice;

import java.util.List;
import org.wiseember.core.quantity.Figures;
import org.wiseember.core.trace.Channel;
import org.wiseember.core.trace.Frame;

/** A load that goes off and on while the outlet stays alive: a thermostat, not a cut-off. */
public final class CyclingLoad implements Watcher {
  private static final int TIMES = 3;

  /** Below this share of its usual power the load, or the greater part of it, is off. */
  private static final double OFF_SHARE = 0.6;

  /** Shorter dips are a poor contact or a motor that starts, not a thermostat, s. */
  private static final double SHORTEST_OFF = 5;

  private static final double LEAST_WATTS = 5;

  private final double nominalVolts;
  private double usual;
  private boolean on;
  private int times;
  private double since;
  private double onSeconds;
  private boolean said;

  public CyclingLoad(double nominalVolts) {
    this.nominalVolts = nominalVolts;
  }

  @Override
  public List<Notice> take(Frame frame) {
    double watts = frame.value(Channel.AC_POWER);
    double volts = frame.value(Channel.AC_VOLTAGE);
    if (said || Double.isNaN(watts) || !(volts > nominalVolts / 2)) {
      return List.of();
    }
    boolean now = watts > Math.max(LEAST_WATTS, OFF_SHARE * usual);
    if (now) {
      usual += (watts - usual) * (usual == 0 ? 1 : 0.05);
    }
    if (now == on) {
      return List.of();
    }
    double lasted = frame.seconds() - since;
    since = frame.seconds();
    on = now;
    if (!now) {
      onSeconds = lasted;
      return List.of();
    }
    times += usual > 0 && onSeconds > 0 && lasted >= SHORTEST_OFF ? 1 : 0;
    if (times < TIMES) {
      return List.of();
    }
    said = true;
    return List.of(
        new Notice(
            frame.seconds(),
            "load_cycles",
            "The load cycles with the output alive: about "
                + Figures.duration(onSeconds)
                + " on, "
                + Figures.duration(lasted)
                + " off, as on a thermostat. Energy is counted through it; a fan blown at the heater"
                + " keeps it on."));
  }
}
