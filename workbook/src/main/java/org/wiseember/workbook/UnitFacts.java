package org.wiseember.workbook;

import java.time.LocalDate;
import java.util.Optional;

/**
 * What is known of the very unit on the shelf, beyond its label.
 *
 * @param serial number; empty where nobody noted it
 * @param firmware version; empty where nobody noted it
 * @param obtained how it came: bought, lent, sent by its maker
 * @param obtainedOn when
 * @param price paid; NaN where nobody noted it
 * @param currency of the price, as typed
 */
public record UnitFacts(
    String serial,
    String firmware,
    String obtained,
    Optional<LocalDate> obtainedOn,
    double price,
    String currency) {
  /** Nothing is known. */
  public static final UnitFacts NONE = new UnitFacts("", "", "", Optional.empty(), Double.NaN, "");
}
