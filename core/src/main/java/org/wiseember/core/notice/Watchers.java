package org.wiseember.core.notice;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import org.wiseember.core.trace.Channel;
import org.wiseember.core.uncertainty.MeterClass;

/** The watchers that belong on a drain. */
public final class Watchers {
  private Watchers() {}

  /**
   * Watchers for what a bench reads.
   *
   * @param accuracy class of the meter behind each channel, where stated
   * @param ratedWattHours of the unit, NaN where unknown
   * @param nominalVolts of the outlet
   */
  public static List<Watcher> forDrain(
      Map<Channel, MeterClass> accuracy, double ratedWattHours, double nominalVolts) {
    List<Watcher> all = new ArrayList<>();
    MeterClass a = accuracy.get(Channel.AC_POWER);
    MeterClass b = accuracy.get(Channel.SECOND_AC_POWER);
    if (a != null && b != null) {
      all.add(new MetersApart(a, b));
    }
    all.add(new AmpsTooFew(accuracy));
    all.add(new TotalAgainstWatts("Meter A", Channel.AC_POWER, Channel.AC_ENERGY));
    all.add(new TotalAgainstWatts("Meter B", Channel.SECOND_AC_POWER, Channel.SECOND_AC_ENERGY));
    all.add(new CyclingLoad(nominalVolts));
    all.add(new LooseLead());
    if (ratedWattHours > 0) {
      all.add(new FrozenDisplay(ratedWattHours));
    }
    return all;
  }
}
