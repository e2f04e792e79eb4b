package org.wiseember.workbook.day;

import com.fasterxml.jackson.databind.JsonNode;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.wiseember.core.quantity.HourSpan;
import org.wiseember.core.runtime.Appliance;
import org.wiseember.core.runtime.ApplianceDraw;
import org.wiseember.core.runtime.DayPlan;
import org.wiseember.core.runtime.Side;
import org.wiseember.core.runtime.feed.Leg;
import org.wiseember.workbook.strict.Fields;
import org.wiseember.workbook.strict.JsonUnreadable;

/** An appliance of a day out of its JSON. */
final class ApplianceJson {
  private static final int MOST_TIMES = 2_000;
  private static final double MOST_WATTS = 1_000_000;
  private static final double MOST_WATT_HOURS = 10_000_000;
  private static final double MOST_MINUTES = DayPlan.LONGEST * 60;
  private static final double PERCENT = 100;

  private final Fields f;
  private final String place;
  private final DayClock clock;

  ApplianceJson(JsonNode node, int number, DayClock clock) throws JsonUnreadable {
    this.place = "appliance " + number;
    this.f = new Fields(node, place);
    this.clock = clock;
  }

  Appliance read() throws JsonUnreadable {
    String name = f.name("name", Fields.capital(place));
    ApplianceDraw draw = draw(name);
    Side side =
        switch (f.text("output", "ac").toLowerCase(Locale.ROOT)) {
          case "ac" -> Side.AC;
          case "dc" -> Side.DC;
          default -> throw new JsonUnreadable("“output” of " + place + " is ac or dc.");
        };
    List<HourSpan> on = new ArrayList<>();
    if (!f.has("on")) {
      on.add(HourSpan.ALWAYS);
    }
    for (JsonNode window : f.list("on", MOST_TIMES)) {
      clock.window(window, "“on” of " + place).ifPresent(on::add);
    }
    List<Double> at = new ArrayList<>();
    for (JsonNode moment : f.oneOrList("at", MOST_TIMES)) {
      at.add(clock.moment(moment, "“at” of " + place));
    }
    if (draw.use().atMoments() && !f.has("at")) {
      throw new JsonUnreadable(Fields.capital(place) + " needs “at”: when it is used.");
    }
    Leg leg = oneOf("leg", Leg.values(), Leg::key, f.text("leg", Leg.BOTH.key()));
    f.end();
    return new Appliance(name, draw, side, on, at, leg);
  }

  private ApplianceDraw draw(String name) throws JsonUnreadable {
    ApplianceDraw.Use use =
        oneOf("use", ApplianceDraw.Use.values(), ApplianceDraw.Use::key, f.text("use", ""));
    ApplianceDraw.Origin origin =
        oneOf(
            "source",
            ApplianceDraw.Origin.values(),
            ApplianceDraw.Origin::key,
            f.text("source", ApplianceDraw.Origin.NOT_SAID.key()));
    double hourly = f.number("wattHoursPerHour", 0, MOST_WATTS, Double.NaN);
    double each = f.number("wattHoursPerGo", 0, MOST_WATT_HOURS, Double.NaN);
    double watts = f.number("watts", 0, MOST_WATTS, Double.NaN);
    double minutes = f.number("minutes", 0.001, MOST_MINUTES, Double.NaN);
    double startVa = f.number("startVa", 0, MOST_WATTS, Double.NaN);
    double sureTo = f.number("sureTo", 0, 99, 0) / PERCENT;
    try {
      return new ApplianceDraw(
          use,
          watts,
          use == ApplianceDraw.Use.PER_GO ? each : hourly,
          minutes,
          startVa,
          origin,
          sureTo);
    } catch (IllegalArgumentException wanting) {
      throw new JsonUnreadable(name + " " + wanting.getMessage() + ".");
    }
  }

  private <T> T oneOf(String key, T[] all, Function<T, String> written, String text)
      throws JsonUnreadable {
    return Arrays.stream(all)
        .filter(t -> written.apply(t).equals(text))
        .findFirst()
        .orElseThrow(
            () ->
                new JsonUnreadable(
                    "“"
                        + key
                        + "” of "
                        + place
                        + " is one of "
                        + Arrays.stream(all).map(written).collect(Collectors.joining(", "))
                        + "."));
  }
}
