package org.wiseember.core.notice;

import java.util.ArrayDeque;
import java.util.Deque;
import java.util.List;
import org.wiseember.core.quantity.Figures;
import org.wiseember.core.trace.Channel;
import org.wiseember.core.trace.Frame;

/**
 * Short dips of the volts with the watts falling along: something between the unit and the meter
 * makes poor contact. A motor's start dips the volts too, but its watts rise.
 */
public final class LooseLead implements Watcher {
  private static final int TIMES = 4;
  private static final double WITHIN_SECONDS = 1200;
  private static final double DIP = 0.03;
  private static final double LONGEST_DIP = 10;
  private static final double DEAD_SHARE = 0.10;

  private final Deque<Double> dips = new ArrayDeque<>();
  private double volts;
  private double watts;
  private double dipSince = Double.NaN;
  private double deepest;
  private boolean said;

  @Override
  public List<Notice> take(Frame frame) {
    double v = frame.value(Channel.AC_VOLTAGE);
    double p = frame.value(Channel.AC_POWER);
    if (said || Double.isNaN(v) || Double.isNaN(p)) {
      return List.of();
    }
    boolean loaded = p > DEAD_SHARE * watts && v > DEAD_SHARE * volts && p > 5;
    if (!loaded) {
      dipSince = Double.NaN;
      return List.of();
    }
    boolean dipped = volts > 0 && v < (1 - DIP) * volts && p < (1 - DIP) * watts;
    if (dipped && (Double.isNaN(dipSince) || frame.seconds() - dipSince <= LONGEST_DIP)) {
      dipSince = Double.isNaN(dipSince) ? frame.seconds() : dipSince;
      deepest = Math.max(deepest, 1 - v / volts);
      return List.of();
    }
    if (!dipped && !Double.isNaN(dipSince)) {
      dips.addLast(dipSince);
      dipSince = Double.NaN;
    }
    double pull = dipped || volts == 0 ? 1 : 0.1;
    if (dipped) {
      // It stays down: the load or the droop has changed, and this is the new level.
      dipSince = Double.NaN;
    }
    volts += (v - volts) * pull;
    watts += (p - watts) * pull;
    while (!dips.isEmpty() && dips.peekFirst() < frame.seconds() - WITHIN_SECONDS) {
      dips.removeFirst();
    }
    if (dips.size() < TIMES) {
      return List.of();
    }
    said = true;
    return List.of(
        new Notice(
            frame.seconds(),
            "loose_lead",
            "The volts dipped "
                + TIMES
                + " times in "
                + Figures.duration(frame.seconds() - dips.peekFirst())
                + ", by up to "
                + Figures.fixed(100 * deepest, 0)
                + " % and the watts with them: a plug or lead makes poor contact. It gets hot; stop"
                + " the load before touching it."));
  }
}
