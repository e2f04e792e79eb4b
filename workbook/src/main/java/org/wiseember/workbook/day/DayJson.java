package org.wiseember.workbook.day;

import com.fasterxml.jackson.core.JsonProcessingException;
import com.fasterxml.jackson.core.StreamReadConstraints;
import com.fasterxml.jackson.core.StreamReadFeature;
import com.fasterxml.jackson.databind.DeserializationFeature;
import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import com.fasterxml.jackson.databind.json.JsonMapper;
import java.time.LocalTime;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import org.wiseember.core.runtime.Appliance;
import org.wiseember.core.runtime.DayPlan;
import org.wiseember.core.runtime.Feed;
import org.wiseember.core.runtime.RunTimeCase;
import org.wiseember.core.runtime.Side;
import org.wiseember.core.runtime.Stretch;
import org.wiseember.core.runtime.UnitSupply;
import org.wiseember.core.runtime.Usable;

/**
 * Days as JSON; the schema is day.schema.json. Files are read as a tree, field by field; nothing in
 * them can name a class, and a field nobody knows is refused.
 */
public final class DayJson {
  /** No day comes near it. */
  public static final int LONGEST = 4_000_000;

  private static final int MOST_APPLIANCES = 200;
  private static final int MOST_TIMES = 2_000;
  private static final int MOST_DRAINS = 200;
  private static final int LONGEST_NAME = 200;
  private static final double MOST_WATTS = 1_000_000;
  private static final double MOST_WATT_HOURS = 10_000_000;
  private static final double MOST_MINUTES = DayPlan.LONGEST * 60;

  private static final ObjectMapper JSON =
      JsonMapper.builder(
              new com.fasterxml.jackson.core.JsonFactoryBuilder()
                  .streamReadConstraints(
                      StreamReadConstraints.builder().maxNestingDepth(40).build())
                  .build())
          .enable(StreamReadFeature.STRICT_DUPLICATE_DETECTION)
          .enable(DeserializationFeature.FAIL_ON_TRAILING_TOKENS)
          .build();

  private DayJson() {}

  /**
   * Reads a day.
   *
   * @throws DayUnreadable in one sentence about the first thing that is wrong
   */
  public static DayFile read(String text) throws DayUnreadable {
    if (text.length() > LONGEST) {
      throw new DayUnreadable("That is far too long for a day; leave out what it does not need.");
    }
    JsonNode root;
    try {
      root = JSON.readTree(text);
    } catch (JsonProcessingException e) {
      throw new DayUnreadable(
          "That is no JSON"
              + (e.getLocation() == null
                  ? ""
                  : ", from line " + e.getLocation().getLineNr() + " on")
              + "; check quotes, commas and brackets.");
    }
    try {
      return day(new Fields(root, "the day"));
    } catch (IllegalArgumentException e) {
      throw new DayUnreadable(Fields.capital(e.getMessage()) + ".");
    }
  }

  private static DayFile day(Fields f) throws DayUnreadable {
    int start = DayClock.minutes(f.text("start", "00:00"), "“start”");
    DayClock clock = new DayClock(start % (24 * 60));
    double hours = f.number("hours", 1.0 / 60, DayPlan.LONGEST, 24);
    Fields unit =
        f.group("unit")
            .orElseThrow(() -> new DayUnreadable("The day needs “unit”; add what it runs on."));
    List<Appliance> appliances = new ArrayList<>();
    for (JsonNode each : f.list("appliances", MOST_APPLIANCES)) {
      appliances.add(appliance(each, appliances.size() + 1, clock));
    }
    Optional<Feed.Root> feed = Optional.empty();
    if (f.has("feed")) {
      feed = Optional.of(new FeedJson(clock).root(f.any("feed")));
    }
    double charge = unit.number("charge", 0, 100, 100);
    double reserve = unit.number("reserve", 0, 100, 0);
    boolean onByPlan = f.yes("acAlwaysOn");
    boolean on = unit.yes("acAlwaysOn") || onByPlan;
    UnitSupply supply = supply(unit);
    unit.end();
    f.end();
    return new DayFile(
        LocalTime.MIN.plusMinutes(start % (24 * 60)),
        new RunTimeCase(supply, new DayPlan(hours, appliances, on), charge, reserve, feed));
  }

  private static UnitSupply supply(Fields unit) throws DayUnreadable {
    return new UnitSupply(
        drains(unit, "usable"),
        drains(unit, "dcUsable"),
        unit.number("idleWatts", 0, MOST_WATTS, 0),
        unit.number("outputWatts", 0.1, MOST_WATTS, Double.POSITIVE_INFINITY),
        unit.number("startVa", 0.1, MOST_WATTS, Double.POSITIVE_INFINITY),
        unit.number("labelWattHours", 0.1, MOST_WATT_HOURS, Double.NaN));
  }

  private static List<Usable> drains(Fields unit, String key) throws DayUnreadable {
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

  private static Appliance appliance(JsonNode node, int number, DayClock clock)
      throws DayUnreadable {
    Fields f = new Fields(node, "appliance " + number);
    String name = f.text("name", "Appliance " + number);
    if (name.length() > LONGEST_NAME) {
      throw new DayUnreadable("The name of appliance " + number + " is too long; shorten it.");
    }
    Appliance.Use use =
        switch (f.text("use", "")) {
          case "steady" -> Appliance.Use.STEADY;
          case "cycling" -> Appliance.Use.CYCLING;
          case "short" -> Appliance.Use.SHORT;
          case "per-go" -> Appliance.Use.PER_GO;
          default ->
              throw new DayUnreadable(
                  "“use” of appliance " + number + " is one of steady, cycling, short, per-go.");
        };
    Side side =
        switch (f.text("output", "ac").toLowerCase(Locale.ROOT)) {
          case "ac" -> Side.AC;
          case "dc" -> Side.DC;
          default -> throw new DayUnreadable("“output” of appliance " + number + " is ac or dc.");
        };
    boolean byGo = use == Appliance.Use.PER_GO;
    double hourly = f.number("wattHoursPerHour", 0, MOST_WATTS, Double.NaN);
    double each = f.number("wattHoursPerGo", 0, MOST_WATT_HOURS, Double.NaN);
    List<Stretch> on = new ArrayList<>();
    if (!f.has("on")) {
      on.add(Stretch.ALWAYS);
    }
    for (JsonNode window : f.list("on", MOST_TIMES)) {
      clock.window(window, "“on” of appliance " + number).ifPresent(on::add);
    }
    List<Double> at = new ArrayList<>();
    for (JsonNode moment : f.oneOrList("at", MOST_TIMES)) {
      at.add(clock.moment(moment, "“at” of appliance " + number));
    }
    boolean atMoments = byGo || use == Appliance.Use.SHORT;
    if (atMoments && !f.has("at")) {
      throw new DayUnreadable("Appliance " + number + " needs “at”: when it is used.");
    }
    Appliance appliance =
        new Appliance(
            name,
            use,
            f.number("watts", 0, MOST_WATTS, Double.NaN),
            byGo ? each : hourly,
            f.number("minutes", 0.001, MOST_MINUTES, Double.NaN),
            f.number("startVa", 0, MOST_WATTS, Double.NaN),
            side,
            on,
            at);
    f.end();
    return appliance;
  }
}
