package org.wiseember.workbook.day;

import com.fasterxml.jackson.databind.JsonNode;
import java.time.LocalTime;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;
import org.wiseember.core.runtime.Appliance;
import org.wiseember.core.runtime.Day;
import org.wiseember.core.runtime.DayPlan;
import org.wiseember.core.runtime.UnitSupply;
import org.wiseember.core.runtime.Usable;
import org.wiseember.core.runtime.feed.Feed;
import org.wiseember.workbook.strict.Fields;
import org.wiseember.workbook.strict.JsonUnreadable;
import org.wiseember.workbook.strict.Tree;

/**
 * Days as JSON; the schema is day.schema.json. Files are read as a tree, field by field; nothing in
 * them can name a class, and a field nobody knows is refused.
 */
public final class DayJson {
  /** No day comes near it. */
  public static final int LONGEST = 4_000_000;

  private static final int MOST_APPLIANCES = 200;

  /** What stands with the unit in a file and belongs to the day. */
  private static final Set<String> OF_THE_DAY = Set.of("charge", "reserve", "acAlwaysOn");

  private static final int MOST_DRAINS = 200;
  private static final double MOST_WATTS = 1_000_000;
  private static final double MOST_WATT_HOURS = 10_000_000;

  private DayJson() {}

  /**
   * Reads a day.
   *
   * @throws JsonUnreadable in one sentence about the first thing that is wrong
   */
  public static DayFile read(String text) throws JsonUnreadable {
    if (text.length() > LONGEST) {
      throw new JsonUnreadable("That is far too long for a day; leave out what it does not need.");
    }
    try {
      return day(new Fields(Tree.of(text), "the day"));
    } catch (IllegalArgumentException e) {
      throw new JsonUnreadable(Fields.capital(e.getMessage()) + ".");
    }
  }

  /**
   * Writes a day.
   *
   * @param unit the unit it is written with; empty for none
   */
  public static String write(Day day, Optional<UnitSupply> unit) {
    return new DayWriter(day).write(unit).toPrettyString();
  }

  private static DayFile day(Fields f) throws JsonUnreadable {
    String title = f.name("title", "");
    int start = DayClock.minutes(f.text("start", "00:00"), "“start”");
    DayClock clock = new DayClock(start % (24 * 60));
    double hours = f.number("hours", 1.0 / 60, DayPlan.LONGEST, 24);
    Optional<Fields> unit = f.group("unit");
    List<Appliance> appliances = new ArrayList<>();
    for (JsonNode each : f.list("appliances", MOST_APPLIANCES)) {
      appliances.add(new ApplianceJson(each, appliances.size() + 1, clock).read());
    }
    Optional<Feed.Root> feed = Optional.empty();
    if (f.has("feed")) {
      feed = Optional.of(new FeedJson(clock).root(f.any("feed")));
    }
    double charge = 100;
    double reserve = 0;
    boolean on = f.yes("acAlwaysOn");
    Optional<UnitSupply> supply = Optional.empty();
    if (unit.isPresent()) {
      Fields own = unit.get();
      charge = own.number("charge", 0, 100, 100);
      reserve = own.number("reserve", 0, 100, 0);
      on |= own.yes("acAlwaysOn");
      // A day that is kept without a unit says no more of one than its charge.
      supply = own.saysMoreThan(OF_THE_DAY) ? Optional.of(supply(own)) : Optional.empty();
      own.end();
    }
    double celsius = f.number("celsius", -40, 60, Double.NaN);
    f.end();
    Day day =
        new Day(
            title,
            LocalTime.MIN.plusMinutes(start % (24 * 60)),
            new DayPlan(hours, appliances, on),
            charge,
            reserve,
            feed,
            Double.isNaN(celsius) ? OptionalDouble.empty() : OptionalDouble.of(celsius));
    return new DayFile(day, supply);
  }

  private static UnitSupply supply(Fields unit) throws JsonUnreadable {
    return new UnitSupply(
        drains(unit, "usable"),
        drains(unit, "dcUsable"),
        unit.number("idleWatts", 0, MOST_WATTS, 0),
        unit.number("outputWatts", 0.1, MOST_WATTS, Double.POSITIVE_INFINITY),
        unit.number("startVa", 0.1, MOST_WATTS, Double.POSITIVE_INFINITY),
        unit.number("labelWattHours", 0.1, MOST_WATT_HOURS, Double.NaN));
  }

  private static List<Usable> drains(Fields unit, String key) throws JsonUnreadable {
    List<Usable> all = new ArrayList<>();
    for (JsonNode each : unit.list(key, MOST_DRAINS)) {
      Fields f = new Fields(each, "“" + key + "” " + (all.size() + 1));
      all.add(
          new Usable(
              f.number("watts", 0.01, MOST_WATTS),
              f.number("wattHours", 0.01, MOST_WATT_HOURS),
              f.number("u95", 0, MOST_WATT_HOURS, Double.NaN)));
      f.end();
    }
    return all;
  }
}
