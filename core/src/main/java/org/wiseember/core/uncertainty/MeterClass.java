package org.wiseember.core.uncertainty;

import java.util.ArrayList;
import java.util.List;

/**
 * What a meter's data sheet promises for one quantity: ± % of reading, ± % of range, ± digits of
 * the last place.
 *
 * @param percentOfReading ± % of what it shows, 0 to 100
 * @param percentOfRange ± % of {@code range}, 0 to 100
 * @param range the range the above refers to, in the unit of the quantity; 0 where none is named
 * @param resolution the step of the last digit, in the unit of the quantity, 0 or more
 * @param digits ± counts of the last digit, 0 or more
 */
public record MeterClass(
    double percentOfReading, double percentOfRange, double range, double resolution, int digits) {
  public MeterClass {
    if (!(percentOfReading >= 0 && percentOfReading <= 100)
        || !(percentOfRange >= 0 && percentOfRange <= 100)
        || !(range >= 0)
        || !(resolution >= 0)
        || digits < 0) {
      throw new IllegalArgumentException("a meter's accuracy and resolution cannot be negative");
    }
  }

  /** ± % of reading ± digits of the given resolution. */
  public static MeterClass ofReading(double percent, int digits, double resolution) {
    return new MeterClass(percent, 0, 0, resolution, digits);
  }

  /** Limits of the error at this reading, without the rounding of the display. */
  public double halfWidth(double reading) {
    return Math.abs(reading) * percentOfReading / 100
        + range * percentOfRange / 100
        + digits * resolution;
  }

  /**
   * What these limits and the rounding of the display do to a result.
   *
   * @param name of the meter, as it begins each line
   * @param reading what it showed
   * @param sensitivity by how much the result changes for a change of the reading by one
   */
  public List<Contribution> contributions(String name, double reading, double sensitivity) {
    List<Contribution> lines = new ArrayList<>(limits(name, reading, sensitivity));
    if (resolution > 0) {
      lines.add(Contribution.rectangular(name + ", rounding", resolution / 2 * sensitivity));
    }
    return lines;
  }

  /**
   * The same without the rounding, for readings whose own scatter and steps are looked at.
   *
   * @param name of the meter, as it begins each line
   * @param reading what it showed
   * @param sensitivity by how much the result changes for a change of the reading by one
   */
  public List<Contribution> limits(String name, double reading, double sensitivity) {
    List<Contribution> lines = new ArrayList<>();
    if (percentOfReading > 0) {
      lines.add(
          Contribution.rectangular(
              name + ", " + trim(percentOfReading) + " % of reading",
              percentOfReading / 100 * reading * sensitivity));
    }
    if (percentOfRange > 0) {
      lines.add(
          Contribution.rectangular(
              name + ", " + trim(percentOfRange) + " % of range",
              range * percentOfRange / 100 * sensitivity));
    }
    if (digits > 0 && resolution > 0) {
      lines.add(
          Contribution.rectangular(
              name + ", " + digits + (digits == 1 ? " digit" : " digits"),
              digits * resolution * sensitivity));
    }
    return lines;
  }

  /** As a tester reads it off the data sheet: {@code 0.5 % + 2 digits}. */
  public String words() {
    StringBuilder text = new StringBuilder();
    if (percentOfReading > 0) {
      text.append(trim(percentOfReading)).append(" %");
    }
    if (percentOfRange > 0) {
      text.append(text.isEmpty() ? "" : " + ").append(trim(percentOfRange)).append(" % of range");
    }
    if (digits > 0) {
      text.append(text.isEmpty() ? "" : " + ")
          .append(digits)
          .append(digits == 1 ? " digit" : " digits");
    }
    return text.isEmpty() ? "no accuracy given" : text.toString();
  }

  private static String trim(double v) {
    return v == Math.rint(v) ? Long.toString((long) v) : Double.toString(v);
  }
}
