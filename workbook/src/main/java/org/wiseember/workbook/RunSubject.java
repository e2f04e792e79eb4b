package org.wiseember.workbook;

import java.util.Locale;

/**
 * What runs are of that are of no unit.
 *
 * @param name as the tester calls it
 */
public record RunSubject(long id, Kind kind, String name) {
  /** What it is. */
  public enum Kind {
    APPLIANCE,
    MAINS,
    GENERATOR;

    String key() {
      return name().toLowerCase(Locale.ROOT);
    }
  }
}
