package org.wiseember.workbook.day;

import com.fasterxml.jackson.databind.JsonNode;
import java.util.ArrayList;
import java.util.List;
import org.wiseember.core.quantity.HourSpan;
import org.wiseember.core.runtime.feed.Feed;
import org.wiseember.workbook.strict.Fields;
import org.wiseember.workbook.strict.JsonUnreadable;

/** A feed out of its tree of JSON, from the unit's port back to its sources. */
final class FeedJson {
  private static final double MOST_VOLTS = 2_000;
  private static final double MOST_AMPS = 10_000;
  private static final double MOST_WATTS = 1_000_000;
  private static final double MOST_WATT_HOURS = 10_000_000;
  private static final double NONE = Double.POSITIVE_INFINITY;
  private static final int MOST_SOURCES = 16;
  private static final int DEEPEST = 8;
  private static final int MOST_WINDOWS = 400;
  private static final int MOST_GIVEN = 2_000;

  private final DayClock clock;

  FeedJson(DayClock clock) {
    this.clock = clock;
  }

  Feed.Root root(JsonNode node) throws JsonUnreadable {
    if (read(node, "“feed”", 0) instanceof Feed.Root root) {
      return root;
    }
    throw new JsonUnreadable("“feed” ends in the unit's port: its kind is port or pass-through.");
  }

  private Feed read(JsonNode node, String place, int depth) throws JsonUnreadable {
    if (depth > DEEPEST) {
      throw new JsonUnreadable("“feed” has more than 8 links in a row; leave some out.");
    }
    Fields f = new Fields(node, place);
    String kind = f.text("kind", "");
    List<Feed> from = new ArrayList<>();
    boolean source = List.of("panels", "generator", "mains").contains(kind);
    if (!source) {
      for (JsonNode each : f.oneOrList("from", MOST_SOURCES)) {
        from.add(read(each, "what feeds the " + kind, depth + 1));
      }
    }
    if ((kind.equals("port") || kind.equals("pass-through")) && depth > 0) {
      throw new JsonUnreadable(
          "A " + kind + " stands at the end of a feed and feeds nothing itself; take it out.");
    }
    Feed feed =
        switch (kind) {
          case "port" -> {
            double[] window = f.window("volts", MOST_VOLTS);
            yield new Feed.Port(window[0], window[1], amps(f), watts(f), from);
          }
          case "pass-through" -> new Feed.PassThrough(from);
          case "battery" ->
              new Feed.Battery(
                  volts(f), f.number("wattHours", 0, MOST_WATT_HOURS, 0), amps(f), from);
          case "charger", "converter" ->
              new Feed.Charger(kind, volts(f), amps(f), watts(f), efficiency(f), from);
          case "controller" -> {
            double[] window = f.window("volts", MOST_VOLTS);
            yield new Feed.Controller(window[0], window[1], amps(f), efficiency(f), from);
          }
          case "panels" -> {
            double volts = f.number("volts", 0, MOST_VOLTS, Double.NaN);
            double open = f.number("openVolts", 0, MOST_VOLTS, Double.NaN);
            yield new Feed.Panels(giving(f), volts, open);
          }
          case "generator", "mains" ->
              new Feed.Alternating(kind, f.number("va", 0, MOST_WATTS, NONE), on(f));
          default ->
              throw new JsonUnreadable(
                  "“kind” of "
                      + place
                      + " is one of port, pass-through, battery, charger, converter, controller,"
                      + " panels, generator, mains.");
        };
    f.end();
    return feed;
  }

  /** The same watts as long as they are there, or other ones from window to window. */
  private List<Feed.Giving> giving(Fields f) throws JsonUnreadable {
    if (!f.has("gives")) {
      double watts = f.number("watts", 0, MOST_WATTS);
      return on(f).stream().map(s -> new Feed.Giving(s, watts)).toList();
    }
    List<Feed.Giving> all = new ArrayList<>();
    for (JsonNode each : f.list("gives", MOST_GIVEN)) {
      String place = "“gives” of " + f.place();
      Fields window = new Fields(each, place);
      double watts = window.number("watts", 0, MOST_WATTS);
      clock.window(window).ifPresent(s -> all.add(new Feed.Giving(s, watts)));
    }
    return all;
  }

  private static double volts(Fields f) throws JsonUnreadable {
    return f.number("volts", 0.1, MOST_VOLTS);
  }

  private static double amps(Fields f) throws JsonUnreadable {
    return f.number("amps", 0, MOST_AMPS, NONE);
  }

  private static double watts(Fields f) throws JsonUnreadable {
    return f.number("watts", 0, MOST_WATTS, NONE);
  }

  private static double efficiency(Fields f) throws JsonUnreadable {
    return f.number("efficiency", 0.01, 1, 1);
  }

  private List<HourSpan> on(Fields f) throws JsonUnreadable {
    if (!f.has("on")) {
      return List.of(HourSpan.ALWAYS);
    }
    List<HourSpan> all = new ArrayList<>();
    for (JsonNode window : f.list("on", MOST_WINDOWS)) {
      clock.window(window, "“on” of " + f.place()).ifPresent(all::add);
    }
    return all;
  }
}
