package org.wiseember.core.charge;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.Collections;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.wiseember.core.figure.Warning;
import org.wiseember.core.trace.Channel;
import org.wiseember.core.trace.Series;
import org.wiseember.core.trace.Trace;

/**
 * What goes into a unit, inlet by inlet, and all of it together. A log that tells only the whole
 * has one inlet, {@link Inlet#ANY}.
 *
 * @param parts W of each inlet that was logged
 * @param whole W of all together
 */
record Inputs(Map<Inlet, Series> parts, Series whole, List<Warning> warnings) {
  private static final double REST_SHARE = 0.05;

  Inputs {
    EnumMap<Inlet, Series> ordered = new EnumMap<>(Inlet.class);
    ordered.putAll(parts);
    parts = Collections.unmodifiableMap(ordered);
    warnings = List.copyOf(warnings);
  }

  static Optional<Inputs> of(Trace trace) {
    Map<Inlet, Series> parts = new EnumMap<>(Inlet.class);
    Series wall = trace.series(Channel.WALL_POWER);
    Series usb = trace.series(Channel.USB_IN_POWER);
    Series dc = trace.product(Channel.IN_VOLTAGE, Channel.IN_CURRENT);
    put(parts, Inlet.WALL, wall);
    put(parts, Inlet.USB_C, usb);
    put(parts, Inlet.DC, dc);
    if (trace.series(Channel.IN_POWER).size() > 1) {
      return Optional.of(withTheWhole(trace, parts));
    }
    if (parts.isEmpty()) {
      return InputPower.of(trace)
          .map(p -> new Inputs(Map.of(Inlet.ANY, p.series()), p.series(), p.warnings()));
    }
    return Optional.of(new Inputs(parts, sum(parts), List.of()));
  }

  /** A meter that never shows anything has no part in it. */
  private static void put(Map<Inlet, Series> parts, Inlet inlet, Series series) {
    if (series.size() > 1 && Level.everOn(series)) {
      parts.put(inlet, series);
    }
  }

  /** What the whole holds beyond its logged parts is an inlet of its own. */
  private static Inputs withTheWhole(Trace trace, Map<Inlet, Series> parts) {
    Series whole = trace.series(Channel.IN_POWER);
    if (parts.isEmpty()) {
      return new Inputs(Map.of(Inlet.ANY, whole), whole, List.of());
    }
    Series known = sum(parts);
    double reach = reach(known);
    double[] t = new double[whole.size()];
    double[] rest = new double[whole.size()];
    double all = 0;
    double over = 0;
    int n = 0;
    for (int i = 0; i < whole.size(); i++) {
      double part = known.at(whole.seconds(i), reach);
      if (!Double.isNaN(part)) {
        t[n] = whole.seconds(i);
        rest[n++] = Math.max(0, whole.value(i) - part);
        all += whole.value(i);
        over += rest[n - 1];
      }
    }
    if (over > REST_SHARE * all) {
      Series more = Series.of(Arrays.copyOf(t, n), Arrays.copyOf(rest, n));
      put(parts, parts.containsKey(Inlet.WALL) ? Inlet.ANY : Inlet.WALL, more);
    }
    return new Inputs(parts, whole, List.of());
  }

  private static double reach(Series series) {
    return Math.max(Series.GAP_SECONDS, Series.GAP_INTERVALS * series.usualInterval());
  }

  /** Added up at the times of the part read most often, the others on the line between readings. */
  private static Series sum(Map<Inlet, Series> parts) {
    if (parts.size() == 1) {
      return parts.values().iterator().next();
    }
    Series densest =
        parts.values().stream().reduce((a, b) -> b.size() > a.size() ? b : a).orElseThrow();
    List<double[]> found = new ArrayList<>();
    for (int i = 0; i < densest.size(); i++) {
      double at = densest.seconds(i);
      double watts = 0;
      for (Series part : parts.values()) {
        watts += part == densest ? part.value(i) : part.at(at, reach(part));
      }
      if (!Double.isNaN(watts)) {
        found.add(new double[] {at, watts});
      }
    }
    return Series.of(
        found.stream().mapToDouble(p -> p[0]).toArray(),
        found.stream().mapToDouble(p -> p[1]).toArray());
  }
}
