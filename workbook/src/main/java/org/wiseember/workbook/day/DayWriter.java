package org.wiseember.workbook.day;

import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.JsonNodeFactory;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import org.wiseember.core.quantity.HourSpan;
import org.wiseember.core.runtime.Appliance;
import org.wiseember.core.runtime.ApplianceDraw;
import org.wiseember.core.runtime.Day;
import org.wiseember.core.runtime.UnitSupply;
import org.wiseember.core.runtime.Usable;
import org.wiseember.core.runtime.feed.Feed;
import org.wiseember.core.runtime.feed.Leg;

/** A day as JSON, to the minute; {@link DayJson} reads it back as it was. */
final class DayWriter {
  private static final JsonNodeFactory NODES = JsonNodeFactory.instance;
  private static final double PERCENT = 100;

  private final Day day;
  private final DayClock clock;

  DayWriter(Day day) {
    this.day = day;
    this.clock = DayClock.from(day.start());
  }

  ObjectNode write(Optional<UnitSupply> supply) {
    ObjectNode root = NODES.objectNode();
    if (!day.title().isBlank()) {
      root.put("title", day.title());
    }
    root.put("start", DayClock.written(clock.startMinutes()));
    number(root, "hours", day.plan().hours());
    if (day.plan().acAlwaysOn()) {
      root.put("acAlwaysOn", true);
    }
    day.celsius().ifPresent(c -> number(root, "celsius", c));
    ObjectNode unit = root.putObject("unit");
    supply.ifPresent(s -> unit(unit, s));
    number(unit, "charge", day.charge());
    number(unit, "reserve", day.reserve());
    ArrayNode appliances = root.putArray("appliances");
    day.appliances().forEach(a -> appliances.add(appliance(a)));
    day.feed().ifPresent(f -> root.set("feed", feed(f)));
    return root;
  }

  private static void unit(ObjectNode node, UnitSupply unit) {
    drains(node, "usable", unit.usable());
    drains(node, "dcUsable", unit.directUsable());
    number(node, "idleWatts", unit.idleWatts());
    number(node, "outputWatts", unit.outputWatts());
    number(node, "startVa", unit.startVa());
    number(node, "labelWattHours", unit.labelWattHours());
  }

  private static void drains(ObjectNode node, String key, List<Usable> drains) {
    if (drains.isEmpty()) {
      return;
    }
    ArrayNode all = node.putArray(key);
    for (Usable u : drains) {
      ObjectNode each = all.addObject();
      number(each, "watts", u.watts());
      number(each, "wattHours", u.wattHours());
      number(each, "u95", u.u95());
    }
  }

  private ObjectNode appliance(Appliance a) {
    ObjectNode node = NODES.objectNode();
    ApplianceDraw draw = a.draw();
    node.put("name", a.name());
    node.put("use", draw.use().key());
    number(node, "watts", draw.watts());
    if (draw.use() == ApplianceDraw.Use.CYCLING) {
      number(node, "wattHoursPerHour", draw.wattHours());
    } else if (draw.use() == ApplianceDraw.Use.PER_GO) {
      number(node, "wattHoursPerGo", draw.wattHours());
    }
    number(node, "minutes", draw.minutes());
    number(node, "startVa", draw.startVa());
    node.put("output", a.side().name().toLowerCase(Locale.ROOT));
    if (a.leg() != Leg.BOTH) {
      node.put("leg", a.leg().key());
    }
    if (draw.origin() != ApplianceDraw.Origin.NOT_SAID) {
      node.put("source", draw.origin().key());
    }
    if (draw.share95() > 0) {
      number(node, "sureTo", Math.rint(1e6 * PERCENT * draw.share95()) / 1e6);
    }
    if (draw.use().atMoments()) {
      ArrayNode at = node.putArray("at");
      a.at().forEach(h -> at.add(clock.writtenMoment(h)));
    } else {
      on(node, a.on());
    }
    return node;
  }

  private void on(ObjectNode node, List<HourSpan> on) {
    if (!on.equals(List.of(HourSpan.ALWAYS))) {
      ArrayNode windows = node.putArray("on");
      on.forEach(s -> clock.writtenWindows(s, day.plan().hours()).forEach(windows::add));
    }
  }

  private ObjectNode feed(Feed feed) {
    ObjectNode node = NODES.objectNode();
    node.put("kind", feed.kind());
    if (feed instanceof Feed.Port p) {
      window(node, p.leastVolts(), p.mostVolts());
      number(node, "amps", p.amps());
      number(node, "watts", p.watts());
    } else if (feed instanceof Feed.Battery b) {
      number(node, "volts", b.volts());
      number(node, "wattHours", b.wattHours());
      number(node, "amps", b.amps());
    } else if (feed instanceof Feed.Charger c) {
      number(node, "volts", c.volts());
      number(node, "amps", c.amps());
      number(node, "watts", c.watts());
      number(node, "efficiency", c.efficiency());
    } else if (feed instanceof Feed.Controller c) {
      window(node, c.leastVolts(), c.mostVolts());
      number(node, "amps", c.amps());
      number(node, "efficiency", c.efficiency());
    } else if (feed instanceof Feed.Panels p) {
      panels(node, p);
    } else if (feed instanceof Feed.Alternating a) {
      number(node, "va", a.va());
      on(node, a.on());
    }
    if (feed.from().size() == 1) {
      node.set("from", feed(feed.from().get(0)));
    } else if (!feed.from().isEmpty()) {
      ArrayNode from = node.putArray("from");
      feed.from().forEach(f -> from.add(feed(f)));
    }
    return node;
  }

  private void panels(ObjectNode node, Feed.Panels panels) {
    number(node, "volts", panels.volts());
    number(node, "openVolts", panels.openVolts());
    boolean one = panels.giving().stream().mapToDouble(Feed.Giving::watts).distinct().count() == 1;
    if (one) {
      number(node, "watts", panels.giving().get(0).watts());
      on(node, panels.giving().stream().map(Feed.Giving::when).toList());
      return;
    }
    ArrayNode gives = node.putArray("gives");
    for (Feed.Giving g : panels.giving()) {
      for (ObjectNode window : clock.writtenWindows(g.when(), day.plan().hours())) {
        number(window, "watts", g.watts());
        gives.add(window);
      }
    }
  }

  private static void window(ObjectNode node, double least, double most) {
    if (least > 0 || Double.isFinite(most)) {
      ArrayNode volts = node.putArray("volts");
      volts.add(least);
      if (Double.isFinite(most)) {
        volts.add(most);
      } else {
        volts.addNull();
      }
    }
  }

  /** A number that is one; what is unknown or without limit is left out. */
  static void number(ObjectNode node, String key, double value) {
    if (!Double.isFinite(value)) {
      return;
    }
    if (value == Math.rint(value) && Math.abs(value) < 1e9) {
      node.put(key, (long) value);
    } else {
      node.put(key, value);
    }
  }
}
