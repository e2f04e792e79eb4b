package org.wiseember.workbook.log;

import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import org.wiseember.core.trace.Channel;

/**
 * One column of a log: its heading taken apart, and how its figures come into the program's units.
 *
 * @param heading as printed in the file
 * @param channel what it holds
 * @param factor figures are multiplied by this ...
 * @param offset ... and then this is added
 * @param converted whether its unit was another than the program's
 */
record LogColumn(String heading, Channel channel, double factor, double offset, boolean converted) {
  /** A heading taken apart: what stands before its bracket and what stands in it. */
  private record Parts(String name, Optional<String> unit) {
    static Parts of(String heading) {
      int open = indexOf(heading, "[(", 0);
      if (open < 0) {
        return new Parts(heading.strip(), Optional.empty());
      }
      int close = indexOf(heading, "])", open);
      return close >= 0 && heading.substring(close + 1).isBlank()
          ? new Parts(
              heading.substring(0, open).strip(),
              Optional.of(heading.substring(open + 1, close).strip()))
          : new Parts(heading.strip(), Optional.empty());
    }

    private static int indexOf(String text, String anyOf, int from) {
      for (int i = from; i < text.length(); i++) {
        if (anyOf.indexOf(text.charAt(i)) >= 0) {
          return i;
        }
      }
      return -1;
    }
  }

  private record Scale(double factor, double offset) {}

  private static final Map<String, Scale> SCALES =
      Map.ofEntries(
          Map.entry("W>W", new Scale(1, 0)),
          Map.entry("kW>W", new Scale(1000, 0)),
          Map.entry("mW>W", new Scale(0.001, 0)),
          Map.entry("V>V", new Scale(1, 0)),
          Map.entry("mV>V", new Scale(0.001, 0)),
          Map.entry("kV>V", new Scale(1000, 0)),
          Map.entry("A>A", new Scale(1, 0)),
          Map.entry("mA>A", new Scale(0.001, 0)),
          Map.entry("Wh>Wh", new Scale(1, 0)),
          Map.entry("kWh>Wh", new Scale(1000, 0)),
          Map.entry("mWh>Wh", new Scale(0.001, 0)),
          Map.entry("Hz>Hz", new Scale(1, 0)),
          Map.entry("°C>°C", new Scale(1, 0)),
          Map.entry("C>°C", new Scale(1, 0)),
          Map.entry("degC>°C", new Scale(1, 0)),
          Map.entry("°F>°C", new Scale(5.0 / 9, -160.0 / 9)),
          Map.entry("F>°C", new Scale(5.0 / 9, -160.0 / 9)),
          Map.entry("degF>°C", new Scale(5.0 / 9, -160.0 / 9)),
          Map.entry("%>%", new Scale(1, 0)),
          Map.entry("dB>dB", new Scale(1, 0)),
          Map.entry("min>min", new Scale(1, 0)),
          Map.entry("h>min", new Scale(60, 0)),
          Map.entry("s>min", new Scale(1.0 / 60, 0)),
          Map.entry("lx>lx", new Scale(1, 0)),
          Map.entry("klx>lx", new Scale(1000, 0)));

  /** The name of a heading without its unit, lower case, words joined by underscores. */
  static String name(String heading) {
    return Parts.of(heading).name().toLowerCase(Locale.ROOT).replaceAll("[\\s-]+", "_");
  }

  /** The unit printed in a heading; empty where there is none. */
  static String unit(String heading) {
    return Parts.of(heading).unit().orElse("");
  }

  /** Whether a heading is the time column. */
  static boolean isTime(String heading) {
    return name(heading).equals("time");
  }

  /**
   * The column of a heading by the program's own names; empty when it is none of them.
   *
   * @throws LogUnreadable when the name is known and the unit is not one of its units
   */
  static Optional<LogColumn> of(String heading) throws LogUnreadable {
    Optional<Channel> channel = Channel.byKey(name(heading));
    return channel.isEmpty()
        ? Optional.empty()
        : Optional.of(of(heading, channel.get(), unit(heading)));
  }

  /**
   * A column for a channel in a unit; the channel's own where that is empty.
   *
   * @throws LogUnreadable when the unit does not turn into the channel's
   */
  static LogColumn of(String heading, Channel channel, String unit) throws LogUnreadable {
    String wanted = channel.unit().symbol();
    if (unit.isEmpty()) {
      return new LogColumn(heading, channel, 1, 0, false);
    }
    Scale scale = SCALES.get(unit + ">" + wanted);
    if (scale == null) {
      throw new LogUnreadable(
          "column “"
              + heading.strip()
              + "” has the unit “"
              + unit
              + "”, which does not turn into "
              + wanted
              + "; correct the heading");
    }
    boolean same = scale.factor() == 1 && scale.offset() == 0;
    return new LogColumn(heading, channel, scale.factor(), scale.offset(), !same);
  }

  /** The units a channel may be written in, its own first. */
  static List<String> units(Channel channel) {
    String own = channel.unit().symbol();
    return SCALES.keySet().stream()
        .filter(k -> k.endsWith(">" + own))
        .map(k -> k.substring(0, k.indexOf('>')))
        .filter(u -> !List.of("C", "degC", "F", "degF").contains(u))
        .sorted(Comparator.comparing((String u) -> !u.equals(own)).thenComparing(u -> u))
        .toList();
  }
}
