package org.wiseember.core.typed;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.wiseember.core.quantity.Figures;

/** Elapsed time as people type it. */
final class TypedClock {
  private static final Pattern COLONS =
      Pattern.compile("(\\d{1,4}):(\\d{1,2})(?::(\\d{1,2}))?\\s*(?:h|hours?|min)?");
  private static final Pattern PARTS =
      Pattern.compile(
          "(?:(?<h>\\d+)\\s*(?:h|hr|hrs|hours?)\\s*)?(?:(?<m>\\d+)\\s*(?:m|min|mins|minutes?)?\\s*)?"
              + "(?:(?<s>\\d+)\\s*(?:s|sec|secs|seconds?))?");

  /** A clock may be this far from the bench clock without remark: 2 % and a minute and a half. */
  private static final double ALLOWED = 0.02;

  private static final double ALLOWED_SECONDS = 90;

  private final String text;
  private final Expected expected;

  TypedClock(String text, Expected expected) {
    this.text = text;
    this.expected = expected;
  }

  TypedAnswer read() {
    String lower = text.strip().toLowerCase(Locale.ROOT);
    Matcher colons = COLONS.matcher(lower);
    if (colons.matches()) {
      return colons(colons);
    }
    Optional<TypedNumber> number = TypedNumber.of(lower);
    if (number.isPresent()) {
      return single(number.get());
    }
    Matcher parts = PARTS.matcher(lower);
    if (parts.matches() && parts.group("h") != null) {
      double minutes = of(parts.group("m"));
      double seconds = of(parts.group("s"));
      double value = 3600 * of(parts.group("h")) + 60 * minutes + seconds;
      return answer(value, parts.group("s") != null ? 1 : 60, List.of());
    }
    if (parts.matches() && parts.group("m") != null && parts.group("s") != null) {
      return answer(60 * of(parts.group("m")) + of(parts.group("s")), 1, List.of());
    }
    return TypedAnswer.unreadable(
        "“" + text.strip() + "” is not a time. Write it as 1:40, 1:40:30, 100 min or 1.67 h.");
  }

  private static double of(String digits) {
    return digits == null || digits.length() > 9 ? 0 : Double.parseDouble(digits);
  }

  private TypedAnswer colons(Matcher m) {
    double a = of(m.group(1));
    double b = of(m.group(2));
    if (b >= 60 || (m.group(3) != null && of(m.group(3)) >= 60)) {
      return TypedAnswer.unreadable(
          "“" + text.strip() + "” has more than 59 minutes or seconds. Read it off again.");
    }
    if (m.group(3) != null) {
      return answer(3600 * a + 60 * b + of(m.group(3)), 1, List.of());
    }
    double asHours = 3600 * a + 60 * b;
    double asMinutes = 60 * a + b;
    boolean minutes =
        !Double.isNaN(expected.elapsedSeconds())
            && Math.abs(asMinutes - expected.elapsedSeconds())
                < Math.abs(asHours - expected.elapsedSeconds());
    return minutes ? answer(asMinutes, 1, List.of()) : answer(asHours, 60, List.of());
  }

  private TypedAnswer single(TypedNumber number) {
    double factor =
        switch (number.unitLowerCase()) {
          case "h", "hr", "hrs", "hour", "hours", "std" -> 3600;
          case "", "m", "min", "mins", "minute", "minutes" -> 60;
          case "s", "sec", "secs", "second", "seconds" -> 1;
          default -> 0;
        };
    if (factor == 0) {
      return TypedAnswer.unreadable(
          "“" + number.unit() + "” is no unit of time. Write 1:40, 100 min or 1.67 h.");
    }
    boolean bareDecimals = number.unit().isEmpty() && number.resolution() < 1;
    if (factor == 3600 || bareDecimals) {
      return decimalHours(number);
    }
    return answer(number.value() * factor, number.resolution() * factor, List.of());
  }

  /** 1.40 h is 1 h 24 min; who typed it may have meant 1:40. */
  private TypedAnswer decimalHours(TypedNumber number) {
    double value = number.value() * 3600;
    double hours = Math.floor(number.value());
    double hundredths = Math.rint((number.value() - hours) * 100);
    double asClock = 3600 * hours + 60 * hundredths;
    List<Slip> slips = new ArrayList<>();
    boolean couldBe =
        hundredths > 0 && hundredths < 60 && Math.abs(number.resolution() - 0.01) < 1e-9;
    double elapsed = expected.elapsedSeconds();
    boolean closer =
        Double.isNaN(elapsed) || Math.abs(asClock - elapsed) < Math.abs(value - elapsed);
    if (couldBe && closer) {
      String clock = Figures.clock(asClock).replaceFirst(":00$", "");
      slips.add(
          new Slip(
              "decimal-hours",
              text.strip()
                  + (number.unit().isEmpty() ? " h" : "")
                  + " is "
                  + Figures.duration(value)
                  + ". Did you mean "
                  + clock
                  + ", "
                  + Figures.duration(asClock)
                  + "?",
              Optional.of(reading(asClock, 60))));
    }
    return answer(value, number.resolution() * 3600, slips);
  }

  private TypedReading reading(double seconds, double resolution) {
    return new TypedReading(
        TypedKind.CLOCK, seconds, resolution, text.strip(), Figures.duration(seconds));
  }

  private TypedAnswer answer(double seconds, double resolution, List<Slip> before) {
    List<Slip> slips = new ArrayList<>(before);
    if (seconds < expected.lastClock()) {
      slips.add(
          new Slip(
              "clock-fell",
              "The clock stood at "
                  + Figures.duration(expected.lastClock())
                  + " before; it cannot run back.",
              Optional.empty()));
    }
    double elapsed = expected.elapsedSeconds();
    double off = seconds - elapsed;
    if (slips.isEmpty()
        && Math.abs(off) > ALLOWED * Math.max(elapsed, seconds) + ALLOWED_SECONDS + resolution) {
      slips.add(
          new Slip(
              "clock-off",
              "The bench clock has "
                  + Figures.duration(elapsed)
                  + ", this one "
                  + Figures.duration(seconds)
                  + ": one of them is wrong, or the load started earlier.",
              Optional.empty()));
    }
    TypedReading reading = reading(seconds, resolution);
    return new TypedAnswer(Optional.of(reading), "Read as " + reading.words() + ".", slips);
  }
}
