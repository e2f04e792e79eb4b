package org.wiseember.workbook;

import java.time.LocalDate;
import java.time.format.DateTimeParseException;
import java.util.Optional;

/** Days as they stand in tables: {@code 2026-05-01}, empty for none. */
final class Dates {
  private Dates() {}

  static Optional<LocalDate> read(String text) {
    try {
      return text.isEmpty() ? Optional.empty() : Optional.of(LocalDate.parse(text));
    } catch (DateTimeParseException e) {
      throw new WorkbookException("A date kept in the workbook cannot be read.", e);
    }
  }

  static String write(Optional<LocalDate> day) {
    return day.map(LocalDate::toString).orElse("");
  }
}
