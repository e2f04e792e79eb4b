package org.wiseember.workbook.day;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.node.JsonNodeFactory;
import com.fasterxml.jackson.databind.node.ObjectNode;
import org.wiseember.core.runtime.Watch;
import org.wiseember.workbook.strict.Fields;
import org.wiseember.workbook.strict.JsonUnreadable;
import org.wiseember.workbook.strict.Tree;

/** What an appliance was watched to take, as JSON; the schema is appliance.schema.json. */
public final class WatchJson {
  private static final double HOUR = 3600;
  private static final double MOST_HOURS = 366 * 24;
  private static final double MOST = 1e7;

  private WatchJson() {}

  /**
   * A watch as it lies in a file.
   *
   * @param name of the appliance
   */
  public record Named(String name, Watch watch) {}

  /** Whether a file tells of an appliance; a day does not. */
  public static boolean tells(String text) throws JsonUnreadable {
    return Tree.of(text).has("appliance");
  }

  /**
   * Reads one.
   *
   * @throws JsonUnreadable in one sentence about the first thing that is wrong
   */
  public static Named read(String text) throws JsonUnreadable {
    JsonNode root = Tree.of(text);
    Fields f = new Fields(root, "the appliance");
    String name = f.name("appliance", "");
    if (name.isBlank()) {
      throw new JsonUnreadable("“appliance” says what it is called; give it a name.");
    }
    Fields w =
        f.group("watch")
            .orElseThrow(
                () -> new JsonUnreadable("“watch” is missing: the hours and watt-hours it took."));
    try {
      Watch watch =
          new Watch(
              HOUR * w.number("hours", 1e-6, MOST_HOURS),
              w.number("wattHours", 1e-6, MOST),
              w.number("counterStep", 0, MOST, 0),
              w.number("runningWatts", 0, MOST, Double.NaN),
              w.number("highestWatts", 0, MOST, Double.NaN),
              w.number("highestVa", 0, MOST, Double.NaN),
              w.number("startVa", 0, MOST, Double.NaN));
      w.end();
      f.end();
      return new Named(name, watch);
    } catch (IllegalArgumentException e) {
      throw new JsonUnreadable(Fields.capital(e.getMessage()) + ".");
    }
  }

  /** Writes one. */
  public static String write(String name, Watch watch) {
    ObjectNode root = JsonNodeFactory.instance.objectNode();
    root.put("appliance", name);
    ObjectNode w = root.putObject("watch");
    DayWriter.number(w, "hours", watch.seconds() / HOUR);
    DayWriter.number(w, "wattHours", watch.wattHours());
    DayWriter.number(w, "counterStep", watch.step());
    DayWriter.number(w, "runningWatts", watch.runningWatts());
    DayWriter.number(w, "highestWatts", watch.highestWatts());
    DayWriter.number(w, "highestVa", watch.highestVa());
    DayWriter.number(w, "startVa", watch.startVa());
    return root.toPrettyString();
  }
}
