package org.wiseember.desktop.runtime;

import java.util.ArrayList;
import java.util.List;
import org.wiseember.core.quantity.Figures;
import org.wiseember.core.quantity.Unit;
import org.wiseember.core.runtime.feed.Feed;

/** A link of a feed in words. */
final class FeedWords {
  private FeedWords() {}

  /** {@code 11 to 60 V, 12 A}. */
  static String limits(Feed feed) {
    List<String> parts = new ArrayList<>();
    if (feed instanceof Feed.Port p) {
      window(parts, p.leastVolts(), p.mostVolts());
      number(parts, p.amps(), Unit.AMPERE);
      number(parts, p.watts(), Unit.WATT);
    } else if (feed instanceof Feed.Battery b) {
      number(parts, b.volts(), Unit.VOLT);
      number(parts, b.wattHours(), Unit.WATT_HOUR);
      number(parts, b.amps(), Unit.AMPERE);
    } else if (feed instanceof Feed.Charger c) {
      number(parts, c.volts(), Unit.VOLT);
      number(parts, c.amps(), Unit.AMPERE);
      number(parts, c.watts(), Unit.WATT);
      share(parts, c.efficiency());
    } else if (feed instanceof Feed.Controller c) {
      window(parts, c.leastVolts(), c.mostVolts());
      number(parts, c.amps(), Unit.AMPERE);
      share(parts, c.efficiency());
    } else if (feed instanceof Feed.Panels p) {
      double most = p.giving().stream().mapToDouble(Feed.Giving::watts).max().orElse(0);
      parts.add("up to " + Figures.plain(most, Unit.WATT));
      number(parts, p.volts(), Unit.VOLT);
    } else if (feed instanceof Feed.Alternating a) {
      number(parts, a.va(), Unit.VOLT_AMPERE);
    } else {
      parts.add("handed to the outlets");
    }
    return String.join(", ", parts);
  }

  private static void number(List<String> parts, double value, Unit unit) {
    if (Double.isFinite(value)) {
      parts.add(Figures.plain(value, unit));
    }
  }

  private static void share(List<String> parts, double efficiency) {
    if (efficiency < 1) {
      parts.add(Figures.plain(100 * efficiency) + " %");
    }
  }

  private static void window(List<String> parts, double least, double most) {
    if (Double.isFinite(most)) {
      parts.add(Figures.plain(least) + " to " + Figures.plain(most, Unit.VOLT));
    }
  }
}
