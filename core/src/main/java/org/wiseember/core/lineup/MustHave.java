package org.wiseember.core.lineup;

import java.util.List;
import java.util.Locale;
import java.util.Objects;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.wiseember.core.figure.Bound;
import org.wiseember.core.figure.Figure;
import org.wiseember.core.quantity.Keyed;
import org.wiseember.core.typed.TypedFigure;

/**
 * Something a unit has to have, as a tester writes it, with what the program can look for.
 *
 * @param words as written
 */
public record MustHave(String words, Wish wish) {
  /** So long one may be. */
  public static final int LONGEST = 80;

  private static final double KILOGRAMS_A_POUND = 0.45359237;

  private static final Pattern FIGURE =
      Pattern.compile(
          "(\\d+(?:[.,]\\d+)?)[\\s\u2009\u00a0]*(wh/kg|w/kg|kwh|wh|kw|w|kg|lbs?|hours?|h|min|dba?|%)(?![a-z])");

  /** What the program looks for. */
  public sealed interface Wish permits Limit, Quality, UsbBothWays, Runs, ByHand {}

  /**
   * A figure on one side of a limit.
   *
   * @param limit in the unit of the measure: Wh, W, kg, h, dB, %
   * @param atLeast else at most
   */
  public record Limit(Measure measure, double limit, boolean atLeast) implements Wish {}

  /** What is so or is not. */
  public enum Quality implements Wish {
    PASS_THROUGH,
    PURE_SINE,
    REGULATED,
    DISPLAY_TELLS,
    OUTPUTS_STAY
  }

  /** USB-C that gives and takes so many watts. */
  public record UsbBothWays(double watts) implements Wish {}

  /**
   * That it starts and holds an appliance.
   *
   * @param appliance as a day or a watch calls it
   */
  public record Runs(String appliance) implements Wish {}

  /** What the program cannot look for: a tester answers it. */
  public record ByHand() implements Wish {}

  /** The seven many testers ask for; common practice, no published source. */
  public static final List<MustHave> USUAL =
      List.of(
              "Full in 5 h",
              "Pass-through",
              "Pure sine",
              "Regulated 12 V",
              "A display that tells all",
              "Outputs that stay on",
              "USB-C 100 W both ways")
          .stream()
          .map(MustHave::of)
          .toList();

  public MustHave {
    Objects.requireNonNull(words);
    Objects.requireNonNull(wish);
  }

  /** Reads one; what is not understood is answered by hand. */
  public static MustHave of(String written) {
    String words = written.strip();
    words = words.substring(0, Math.min(LONGEST, words.length()));
    return new MustHave(words, wish(words.toLowerCase(Locale.ROOT)));
  }

  private static Wish wish(String text) {
    Matcher runs =
        Pattern.compile("^(?:runs?|starts?|carries) (?:the |an? |my )?(.+)$").matcher(text);
    if (runs.matches()) {
      return new Runs(runs.group(1).strip());
    }
    Matcher figure = FIGURE.matcher(text);
    boolean has = figure.find();
    String unit = has ? figure.group(2) : "";
    double value = has ? number(figure.group(1), unit) : Double.NaN;
    has &= !Double.isNaN(value);
    if (text.contains("usb")) {
      return unit.equals("w") ? new UsbBothWays(value) : new ByHand();
    }
    if (text.matches(".*pass[- ]?through.*")) {
      return Quality.PASS_THROUGH;
    }
    if (text.contains("sine")) {
      return Quality.PURE_SINE;
    }
    if (text.contains("regulated")) {
      return Quality.REGULATED;
    }
    if (text.contains("display") && text.contains("tell")) {
      return Quality.DISPLAY_TELLS;
    }
    if (text.matches(".*stays? on.*")) {
      return Quality.OUTPUTS_STAY;
    }
    return has ? limit(text, value, unit).<Wish>map(l -> l).orElse(new ByHand()) : new ByHand();
  }

  /** NaN for what may be two numbers: then a person answers. */
  private static double number(String text, String unit) {
    try {
      return TypedFigure.read("", text, unit, 0, 1e9).orElse(Double.NaN);
    } catch (IllegalArgumentException either) {
      return Double.NaN;
    }
  }

  private static Optional<Limit> limit(String text, double value, String unit) {
    boolean most = text.matches(".*(at most|under|below|less than|no more than|max).*");
    boolean least = text.matches(".*(at least|over|above|more than|min\\.|minimum).*");
    Measure measure =
        switch (unit) {
          case "wh/kg" -> Measure.WH_PER_KG;
          case "w/kg" -> Measure.W_PER_KG;
          case "wh", "kwh" -> Measure.DELIVERED;
          case "w", "kw" ->
              text.contains("idle") || text.contains("standby") ? Measure.IDLE : Measure.CONTINUOUS;
          case "kg", "lb", "lbs" -> Measure.WEIGHT;
          case "h", "hour", "hours", "min" ->
              text.matches(".*(full|charge).*") ? Measure.FULL_AGAIN : null;
          case "db", "dba" -> Measure.NOISE;
          case "%" ->
              text.matches(".*(distort|thd).*")
                  ? Measure.DISTORTION
                  : text.contains("efficien")
                      ? Measure.EFFICIENCY
                      : text.contains("yield") ? Measure.YIELD : null;
          default -> null;
        };
    if (measure == null) {
      return Optional.empty();
    }
    double kept =
        switch (unit) {
          case "kwh", "kw" -> 1000 * value;
          case "lb", "lbs" -> KILOGRAMS_A_POUND * value;
          case "min" -> value / 60;
          default -> value;
        };
    boolean atLeast = (most || least) ? !most : measure.higherIsBetter();
    return Optional.of(new Limit(measure, kept, atLeast));
  }

  /**
   * Whether a figure keeps a limit: sure of it on one side by its uncertainty, or not known.
   *
   * @param figure in the unit of the measure
   */
  public static Answer answer(Limit limit, Figure figure) {
    double sign = limit.atLeast() ? 1 : -1;
    double ahead = sign * (figure.value() - limit.limit());
    Bound towards = limit.atLeast() ? Bound.AT_LEAST : Bound.AT_MOST;
    boolean maySay = figure.bound() == Bound.EXACT;
    if (ahead >= figure.u95() && (maySay || figure.bound() == towards)) {
      return Answer.YES;
    }
    if (ahead < 0 && -ahead >= figure.u95() && (maySay || figure.bound() != towards)) {
      return Answer.NO;
    }
    return Answer.NOT_KNOWN;
  }

  /** How a must-have is answered. */
  public enum Answer implements Keyed {
    YES("yes", 1),
    HALF("half", 0.5),
    NO("no", 0),
    NOT_KNOWN("not known", 0);

    private final String words;
    private final double counts;

    Answer(String words, double counts) {
      this.words = words;
      this.counts = counts;
    }

    public String words() {
      return words;
    }

    @Override
    public String key() {
      return words.replace(' ', '-');
    }

    /** A half counts a half; what is not known counts nothing. */
    public double counts() {
      return counts;
    }
  }
}
