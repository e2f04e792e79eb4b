package org.wiseember.core.typed;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.wiseember.core.quantity.Figures;
import org.wiseember.core.quantity.ReaderUnits;
import org.wiseember.core.supply.Alive;
import org.wiseember.core.trace.Plausible;

/**
 * Understands what a person types beside a meter. Never refuses a reading that can be read: what
 * does not fit is said, with what was probably meant.
 *
 * <pre>{@code
 * TypedAnswer answer = TypedReader.read(TypedKind.TOTAL, "0.609 kWh", expected);
 * }</pre>
 */
public final class TypedReader {
  /**
   * Where no meter reads beside it, a load this far from the one before is as likely, as a share.
   */
  private static final double LIKE_ASKED = 0.5;

  private static final int LONGEST = 60;
  private static final Pattern BARS = Pattern.compile("(\\d)\\s*(?:/|of)\\s*(\\d)(?:\\s*bars?)?");

  private static final Pattern FAN = Pattern.compile("(?:fan|step)?\\s*(?:off|([0-9]))");

  private static final Pattern COUNT = Pattern.compile("([0-9]{1,3})\\s*(?:x|×|times?)?");

  private static final Pattern ALIVE =
      Pattern.compile(
          "(on|alive|stays? on)|(off|dead|goes off)|(?:off,? (?:then )?)?(?:came |comes )?back");

  private static final double KILO = 1000;
  private static final double SECONDS_A_MINUTE = 60;

  private static final ReaderUnits FAHRENHEIT = ReaderUnits.AS_KEPT.temperature(true);
  private static final ReaderUnits POUNDS = ReaderUnits.AS_KEPT.weight(true);

  private TypedReader() {}

  /** Rounding of the DC volts is worth a word when it alone moves an efficiency so far, points. */
  private static final double ROUNDING_POINTS = 0.3;

  /**
   * Reads one field.
   *
   * @param text as typed; may be anything
   * @param expected what is known at that moment
   */
  public static TypedAnswer read(TypedKind kind, String text, Expected expected) {
    String stripped = text.strip();
    if (stripped.isEmpty() || stripped.length() > LONGEST) {
      return TypedAnswer.unreadable(
          stripped.isEmpty() ? "Nothing typed." : "That is too long for a reading.");
    }
    return plausible(kind, answer(kind, stripped, expected));
  }

  /** What no meter shows is no reading, unless it can be told what was meant. */
  private static TypedAnswer plausible(TypedKind kind, TypedAnswer answer) {
    boolean reading =
        kind.channel().isEmpty()
            || answer.slips().stream().anyMatch(s -> s.meant().isPresent())
            || answer
                .reading()
                .filter(r -> !Plausible.is(kind.channel().get(), r.value()))
                .isEmpty();
    return reading
        ? answer
        : TypedAnswer.unreadable(
            "“"
                + answer.reading().get().asTyped()
                + "” is more than any meter shows in this field. Type what stands on the display.");
  }

  private static TypedAnswer answer(TypedKind kind, String stripped, Expected expected) {
    return switch (kind) {
      case TOTAL -> new TypedTotal(kind, stripped, expected).read();
      // Nothing is expected of a meter that counts something else.
      case SECOND_TOTAL, DC_TOTAL ->
          new TypedTotal(kind, stripped, Expected.nothing().rated(expected.ratedWattHours()))
              .read();
      case CLOCK -> new TypedClock(stripped, expected).read();
      case DISPLAY -> display(stripped, expected);
      case POWER -> power(stripped, expected);
      case VOLTS -> plain(TypedKind.VOLTS, stripped, "v", "230.4 V", 1);
      case HERTZ -> plain(kind, stripped, "hz", "50.0 Hz", 1);
      case DISTORTION -> plain(kind, withoutThd(stripped), "%", "3.2 %", 1);
      case DC_CHARGE -> plain(kind, stripped, "ah", "36.89 Ah", 1);
      case DC_POWER, DISPLAY_OUT, DISPLAY_IN -> watts(kind, stripped);
      case TIME_LEFT -> toCome(kind, stripped);
      case DC_VOLTS -> roundedVolts(plain(TypedKind.DC_VOLTS, stripped, "v", "12.34 V", 1));
      case DC_AMPS -> plain(TypedKind.DC_AMPS, stripped, "a", "18.44 A", 1);
      case CASE, ROOM -> temperature(kind, stripped, expected);
      case PEAK -> plain(TypedKind.PEAK, stripped, "a", "29 A", 1);
      case SOUND -> plain(TypedKind.SOUND, withoutWeighting(stripped), "db", "42.5 dB", 1);
      case IN_POWER, WALL_POWER, USB_POWER -> plain(kind, stripped, "w", "900 W", 1);
      case IN_VOLTS -> plain(kind, stripped, "v", "38.2 V", 1);
      case IN_AMPS -> plain(kind, stripped, "a", "9.8 A", 1);
      case LIGHT -> light(stripped);
      case TIME_TO_FULL -> toCome(kind, stripped);
      case SPOT -> TypedSpot.read(stripped, expected);
      case FAN -> fan(stripped);
      case OTHER_POWER -> plain(TypedKind.OTHER_POWER, stripped, "w", "1 480 W", 1);
      case PULLS, LAMP_STEADY, COMPUTER_STAYED -> count(kind, stripped);
      case AC_ALIVE, DC_ALIVE, USB_ALIVE -> alive(kind, stripped);
      case WEIGHT -> weight(stripped, expected);
      case START_UP -> plain(kind, stripped, "s", "4 s", 1);
    };
  }

  private static TypedAnswer display(String text, Expected expected) {
    Matcher bars = BARS.matcher(text.toLowerCase(Locale.ROOT));
    if (bars.matches() && bars.group(2).charAt(0) > '0') {
      double all = Double.parseDouble(bars.group(2));
      double share = 100 * Double.parseDouble(bars.group(1)) / all;
      return share > 100
          ? TypedAnswer.unreadable("“" + text + "” is more bars than there are.")
          : displayAnswer(text, share, 100 / all, expected);
    }
    Optional<TypedNumber> number = TypedNumber.of(text);
    if (number.isEmpty() || !(number.get().unit().isEmpty() || number.get().unit().equals("%"))) {
      return TypedAnswer.unreadable(
          "“" + text + "” is not a charge. Write it as 38 % or, for bars, 3/5.");
    }
    double value = number.get().value();
    if (value < 0 || value > 100) {
      return TypedAnswer.unreadable("A charge is between 0 and 100 %, not " + text + ".");
    }
    return displayAnswer(text, value, number.get().resolution(), expected);
  }

  private static TypedAnswer displayAnswer(
      String text, double value, double resolution, Expected expected) {
    List<Slip> slips = new ArrayList<>();
    if (value > expected.lastDisplay() + resolution) {
      slips.add(
          new Slip(
              "display-rose",
              "The display showed "
                  + Figures.plain(expected.lastDisplay())
                  + " % before; in a drain it should not rise. Bars that come back are sag.",
              Optional.empty()));
    }
    String words = Figures.plain(value) + " %";
    return new TypedAnswer(
        Optional.of(new TypedReading(TypedKind.DISPLAY, value, resolution, text, words)),
        "Read as " + words + ".",
        slips);
  }

  /** Lux meters show kilolux in the sun. */
  private static TypedAnswer light(String text) {
    boolean kilo = text.toLowerCase(Locale.ROOT).contains("klx");
    return kilo
        ? plain(TypedKind.LIGHT, text, "klx", "79.8 klx", KILO)
        : plain(TypedKind.LIGHT, text, "lx", "79 800 lx", 1);
  }

  /** A time that is still to come, in any notation of a clock; kept in minutes. */
  private static TypedAnswer toCome(TypedKind kind, String text) {
    TypedAnswer clock = new TypedClock(text, Expected.nothing()).read();
    return new TypedAnswer(
        clock
            .reading()
            .map(
                r ->
                    new TypedReading(
                        kind,
                        r.value() / SECONDS_A_MINUTE,
                        r.resolution() / SECONDS_A_MINUTE,
                        r.asTyped(),
                        r.words())),
        clock.echo(),
        List.of());
  }

  /** Half a digit of the volts goes straight into the efficiency. */
  private static TypedAnswer roundedVolts(TypedAnswer answer) {
    if (answer.reading().isEmpty()) {
      return answer;
    }
    TypedReading reading = answer.reading().get();
    double points = 100 * reading.resolution() / 2 / reading.value();
    if (!(reading.value() > 0) || points < ROUNDING_POINTS) {
      return answer;
    }
    List<Slip> slips = new ArrayList<>(answer.slips());
    slips.add(
        new Slip(
            "rounded-volts",
            "Rounded to "
                + Figures.plain(reading.resolution())
                + " V the efficiency may be off by "
                + Figures.fixed(points, 1)
                + " points. Type one more digit if the meter shows it.",
            Optional.empty()));
    return new TypedAnswer(answer.reading(), answer.echo(), slips);
  }

  private static TypedAnswer power(String text, Expected expected) {
    Optional<TypedNumber> read = TypedNumber.of(text);
    String unit = read.map(TypedNumber::unitLowerCase).orElse("?");
    double factor =
        switch (unit) {
          case "", "w", "va" -> 1;
          case "kw", "kva" -> 1000;
          default -> 0;
        };
    if (factor == 0 || read.get().value() < 0) {
      return TypedAnswer.unreadable(
          unit.equals("hz")
              ? "Hz is frequency; this field takes watts, such as 598 W."
              : unit.endsWith("wh")
                  ? "That is energy; this field takes watts, such as 598 W."
                  : "“" + text + "” is not power. Write it as 598 W.");
    }
    TypedNumber number = read.get();
    if (!Double.isNaN(number.groupedInstead()) && factor == 1) {
      number = number.grouped();
    }
    double value = number.value() * factor;
    List<Slip> slips = new ArrayList<>();
    if (unit.endsWith("va")) {
      slips.add(
          new Slip(
              "va-not-watts",
              "VA is volts × amps, not watts; with anything but a plain heater it is more. Switch"
                  + " the meter to watts.",
              Optional.empty()));
    }
    double off = Math.abs(value - expected.watts());
    double back = value / 1000;
    double near = expected.metered() ? 0.05 : LIKE_ASKED;
    boolean thousand = Math.abs(back - expected.watts()) < near * expected.watts();
    boolean unlike = off > 0.05 * expected.watts() + number.resolution() * factor;
    if (expected.watts() > 20 && unlike && (expected.metered() || thousand)) {
      slips.add(
          new Slip(
              thousand ? "thousandfold" : "unlike-trace",
              Figures.plain(value)
                  + " W against "
                  + Figures.fixed(expected.watts(), 0)
                  + (expected.metered() ? " W on the meter" : " W asked for or read before")
                  + (thousand ? ": W typed as kW?" : ". A display is not a meter; both are kept."),
              thousand
                  ? Optional.of(
                      new TypedReading(
                          TypedKind.POWER,
                          back,
                          number.resolution(),
                          text,
                          Figures.plain(back) + " W"))
                  : Optional.empty()));
    }
    String words = Figures.plain(value) + " W";
    return new TypedAnswer(
        Optional.of(
            new TypedReading(TypedKind.POWER, value, number.resolution() * factor, text, words)),
        "Read as " + words + ".",
        slips);
  }

  /** Watts that nothing is known of beside: in watts or kilowatts. */
  private static TypedAnswer watts(TypedKind kind, String text) {
    boolean kilo = TypedNumber.of(text).filter(n -> n.unitLowerCase().equals("kw")).isPresent();
    return plain(kind, text, kilo ? "kw" : "w", kind.example(), kilo ? KILO : 1);
  }

  private static String withoutThd(String text) {
    return text.replaceFirst("(?i)\\s*thd\\s*", " ").strip();
  }

  /** {@code dB(A)} and {@code dBA} are how most write it. */
  private static String withoutWeighting(String text) {
    return text.replaceFirst("(?i)db\\s*\\(?a\\)?$", "dB");
  }

  private static TypedAnswer fan(String text) {
    Matcher m = FAN.matcher(text.toLowerCase(Locale.ROOT));
    if (!m.matches()) {
      return TypedAnswer.unreadable(
          "“" + text + "” is not a fan step. Write off, or the step by number such as 2.");
    }
    int step = m.group(1) == null ? 0 : Integer.parseInt(m.group(1));
    String words = step == 0 ? "fan off" : "fan at step " + step;
    return new TypedAnswer(
        Optional.of(new TypedReading(TypedKind.FAN, step, 1, text, words)),
        "Read as " + words + ".",
        List.of());
  }

  private static TypedAnswer count(TypedKind kind, String text) {
    Matcher m = COUNT.matcher(text.toLowerCase(Locale.ROOT));
    if (!m.matches()) {
      return TypedAnswer.unreadable("“" + text + "” is not a count. Write it as 5.");
    }
    int times = Integer.parseInt(m.group(1));
    String words = times + (times == 1 ? " time" : " times");
    return new TypedAnswer(
        Optional.of(new TypedReading(kind, times, 1, text, words)),
        "Read as " + words + ".",
        List.of());
  }

  private static TypedAnswer alive(TypedKind kind, String text) {
    Matcher m = ALIVE.matcher(text.toLowerCase(Locale.ROOT));
    if (!m.matches()) {
      return TypedAnswer.unreadable(
          "“"
              + text
              + "” does not fit here. Write on, off, or back for one that went off and"
              + " came back.");
    }
    Alive alive = m.group(1) != null ? Alive.ON : m.group(2) != null ? Alive.OFF : Alive.CAME_BACK;
    return new TypedAnswer(
        Optional.of(new TypedReading(kind, alive.ordinal(), 1, text, alive.words())),
        "Read as " + alive.words() + ".",
        List.of());
  }

  /** Without a unit it is the reader's. */
  private static TypedAnswer weight(String text, Expected expected) {
    String unit = TypedNumber.of(text).map(TypedNumber::unitLowerCase).orElse("");
    boolean pounds =
        unit.isEmpty() ? expected.reader().pounds() : List.of("lb", "lbs").contains(unit);
    return pounds
        ? turned(TypedKind.WEIGHT, text, List.of("", "lb", "lbs"), POUNDS)
        : plain(TypedKind.WEIGHT, text, "kg", "11.2\u00a0kg", 1);
  }

  /** Without a unit, or with a mere degree, it is the reader's. */
  static TypedAnswer temperature(TypedKind kind, String text, Expected expected) {
    String unit = TypedNumber.of(text).map(TypedNumber::unitLowerCase).orElse("");
    boolean fahrenheit =
        List.of("", "°").contains(unit)
            ? expected.reader().fahrenheit()
            : List.of("°f", "f").contains(unit);
    return fahrenheit
        ? turned(kind, text, List.of("", "°", "f", "°f"), FAHRENHEIT)
        : plain(kind, text.replace("°", ""), "c", "44.6\u00a0°C", 1);
  }

  /** What was typed in another unit than it is kept in. */
  private static TypedAnswer turned(
      TypedKind kind, String text, List<String> units, ReaderUnits from) {
    TypedNumber number =
        TypedNumber.of(text).filter(n -> units.contains(n.unitLowerCase())).orElse(null);
    if (number == null) {
      return TypedAnswer.unreadable(
          "“" + text + "” does not fit here. Write it as " + kind.example() + ".");
    }
    double value = from.kept(number.value(), kind.unit());
    double resolution = number.resolution() / from.shownDifference(1, kind.unit());
    String words = Figures.fixed(value, 1, kind.unit());
    return new TypedAnswer(
        Optional.of(new TypedReading(kind, value, resolution, text, words)),
        "Read as " + words + ".",
        List.of());
  }

  private static TypedAnswer plain(
      TypedKind kind, String text, String unit, String example, double factor) {
    Optional<TypedNumber> number = TypedNumber.of(text);
    boolean fits =
        number.isPresent()
            && (number.get().unit().isEmpty() || number.get().unitLowerCase().equals(unit));
    if (!fits) {
      return TypedAnswer.unreadable(
          "“" + text + "” does not fit here. Write it as " + example + ".");
    }
    TypedNumber typed = number.get();
    if (factor == 1 && TypedFigure.whole(unit) && !Double.isNaN(typed.groupedInstead())) {
      typed = typed.grouped();
    }
    double value = typed.value() * factor;
    String words = Figures.plain(value, kind.unit());
    return new TypedAnswer(
        Optional.of(new TypedReading(kind, value, factor * typed.resolution(), text, words)),
        "Read as " + words + ".",
        List.of());
  }
}
