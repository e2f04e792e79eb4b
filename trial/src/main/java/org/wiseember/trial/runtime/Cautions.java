package org.wiseember.trial.runtime;

import java.util.ArrayList;
import java.util.List;
import org.wiseember.core.runtime.Day;
import org.wiseember.core.runtime.feed.Feed;

/** What can hurt or break something on a day, for what is on it. */
public final class Cautions {
  private static final String DEEP =
      "It is run down to nothing here. Do that only where the maker allows it, and charge it soon"
          + " after; a reserve of 10 to 20 % is kinder to the cells.";

  private static final String BATTERY =
      "Fuse next to the battery, on its plus. Check polarity first, then volts, then plug in; while"
          + " it is charged its volts rise, and they too have to lie within the port's window.";

  private static final String PANELS =
      "Panels are live in daylight. Measure their open volts before the port sees them; a cold"
          + " morning raises them.";

  private static final String ENGINE =
      "Engines run outdoors, away from windows and doors: their exhaust kills without a smell.";

  private static final String BUILDING =
      "Nothing here feeds a building's wiring. That takes an interlock or a transfer switch, fitted"
          + " by a licensed electrician under your local code; never a lead with two plugs.";

  private Cautions() {}

  /** In the order of the work. */
  public static List<String> of(Day day) {
    List<String> all = new ArrayList<>();
    if (day.reserve() < 5) {
      all.add(DEEP);
    }
    day.feed()
        .ifPresent(
            f -> {
              if (has(f, Feed.Battery.class)) {
                all.add(BATTERY);
              }
              if (has(f, Feed.Panels.class)) {
                all.add(PANELS);
              }
              if (f.alternating().stream().anyMatch(a -> a.kind().equals("generator"))) {
                all.add(ENGINE);
              }
            });
    all.add(BUILDING);
    return all;
  }

  private static boolean has(Feed feed, Class<? extends Feed> kind) {
    return kind.isInstance(feed) || feed.from().stream().anyMatch(f -> has(f, kind));
  }
}
