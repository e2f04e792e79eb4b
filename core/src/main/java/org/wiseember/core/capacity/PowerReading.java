package org.wiseember.core.capacity;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.wiseember.core.figure.Warning;
import org.wiseember.core.trace.Channel;
import org.wiseember.core.trace.Series;
import org.wiseember.core.trace.Trace;

/**
 * Where a trace's watts come from, best source first: the AC meter's watts, AC volts × amps (which
 * is VA), the DC meter's watts, DC volts × amps.
 *
 * @param series the watts
 * @param kind where they come from
 */
record PowerReading(Series series, Kind kind, List<Warning> warnings) {
  enum Kind {
    AC_WATTS("AC watts"),
    AC_PRODUCT("AC volts × amps (VA)"),
    DC_WATTS("DC watts"),
    DC_PRODUCT("DC volts × amps");

    private final String words;

    Kind(String words) {
      this.words = words;
    }

    String words() {
      return words;
    }
  }

  /** Whether the watts were taken at the AC outlet. */
  boolean alternatingCurrent() {
    return kind == Kind.AC_WATTS || kind == Kind.AC_PRODUCT;
  }

  static Optional<PowerReading> of(Trace trace) {
    List<Warning> warnings = new ArrayList<>();
    boolean dc =
        trace.has(Channel.DC_POWER)
            || (trace.has(Channel.DC_VOLTAGE) && trace.has(Channel.DC_CURRENT));
    boolean acLoaded = !dc || loaded(trace.series(Channel.AC_POWER));
    if (trace.series(Channel.AC_POWER).size() > 1 && acLoaded) {
      if (dc) {
        warnings.add(bothSides());
      }
      return Optional.of(new PowerReading(trace.series(Channel.AC_POWER), Kind.AC_WATTS, warnings));
    }
    Series acProduct = trace.product(Channel.AC_VOLTAGE, Channel.AC_CURRENT);
    if (acProduct.size() > 1 && (!dc || loaded(acProduct))) {
      warnings.add(
          new Warning(
              "va_not_watts",
              "AC volts × amps is VA, which is more than watts unless the load is a plain heater;"
                  + " take this figure as an upper limit."));
      if (dc) {
        warnings.add(bothSides());
      }
      return Optional.of(new PowerReading(acProduct, Kind.AC_PRODUCT, warnings));
    }
    if (trace.series(Channel.DC_POWER).size() > 1) {
      return Optional.of(new PowerReading(trace.series(Channel.DC_POWER), Kind.DC_WATTS, warnings));
    }
    Series dcProduct = trace.product(Channel.DC_VOLTAGE, Channel.DC_CURRENT);
    if (dcProduct.size() > 1) {
      return Optional.of(new PowerReading(dcProduct, Kind.DC_PRODUCT, warnings));
    }
    return Optional.empty();
  }

  /** A meter on an idle outlet says nothing of a drain on the DC side. */
  private static boolean loaded(Series watts) {
    for (int i = 0; i < watts.size(); i++) {
      if (watts.value(i) > LoadPhases.LEAST_LEVEL) {
        return true;
      }
    }
    return false;
  }

  private static Warning bothSides() {
    return new Warning(
        "ac_and_dc", "The log has AC and DC columns; capacity is reported for the AC side.");
  }
}
