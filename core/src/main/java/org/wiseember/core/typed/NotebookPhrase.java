package org.wiseember.core.typed;

import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * One figure in a line of the notebook: which kind of reading it is, told by its unit and the words
 * around it, else by what the test asks for.
 *
 * @param kind what it is a reading of
 * @param figure as the reader of that kind takes it
 */
record NotebookPhrase(TypedKind kind, String figure) {
  private static final Pattern FIGURE =
      Pattern.compile(
          "(?<before>[^\\d+-]*?)(?<figure>[-\u2212]?(?:\\d[\\d \u2009\u00a0\u202f'.,]*|[.,]\\d+))\\s*"
              + "(?<unit>%|°\\s?[CcFf]|°|[a-zA-Z]+(?:\\(A\\))?)?(?<after>.*)",
          Pattern.DOTALL);

  private static final Pattern BARS =
      Pattern.compile("(\\d)\\s*(?:/|of)\\s*(\\d)\\s*(?:bars?)?", Pattern.CASE_INSENSITIVE);

  private static final Pattern TO_COME =
      Pattern.compile(
          "(?<time>\\d{1,3}:\\d\\d|\\d[\\d.,]*\\s*(?:h|hours?|min|minutes?)(?:\\s*\\d+\\s*min)?)\\s*"
              + "(?:h )?(?<what>to empty|left|to go|to full|until full)",
          Pattern.CASE_INSENSITIVE);

  private static final Pattern FAN =
      Pattern.compile("fan\\s*(?:at |step |is )*(off|on|[0-9])", Pattern.CASE_INSENSITIVE);

  private static final Pattern ALIVE =
      Pattern.compile(
          "(?<what>ac|outlet|12 ?v|dc|port|usb)(?: outlet| port)?:? (?:is |stays |stayed )?"
              + "(?<how>on|off|dead|alive|back|came back)",
          Pattern.CASE_INSENSITIVE);

  /** Who set a meter to nothing has read nothing on it. */
  private static final Pattern ZEROED =
      Pattern.compile(
          "(?:the )?(?:dc )?(?:meter|tester|total|counter)s? (?:is |was |were )?"
              + "(?:zeroed|reset(?: to (?:zero|0))?|at (?:zero|0)|set to (?:zero|0))"
              + "|(?:zeroed|reset) (?:the )?(?:dc )?(?:meter|tester|total|counter)",
          Pattern.CASE_INSENSITIVE);

  private static final Pattern CALLED =
      Pattern.compile(
          "(?:(?:the )?plug )?pull(?:s|ed)?(?: of the plug)?"
              + "|(?:the )?lamp(?: (?:was )?steady| did not blink| stayed(?: on)?| on)?"
              + "|(?:the )?computer(?: stayed(?: on)?| on)?",
          Pattern.CASE_INSENSITIVE);

  /** Seconds of anything else are words. */
  private static final Pattern START =
      Pattern.compile(
          "\\s*(?:(?:in|after|within|about)\\s*)*|.*\\b(?:start|ready|boot|wake|on)\\w*\\b.*");

  /** What may stand without a unit, since its name tells it. */
  private static final Pattern NAMED =
      Pattern.compile("(?:the )?(?<what>case|room|weight|weighs)(?: is| at)?");

  /** What a display shows of these is no meter's, and no channel holds it; it is a remark. */
  private static final Set<String> METERED = Set.of("wh", "kwh", "ah", "v", "a", "hz");

  /** Volts below this at a bench with both sides are those of the DC side. */
  private static final double DIRECT_VOLTS = 70;

  /**
   * Reads a phrase.
   *
   * @param display whether it stands on the unit's display, by a word before it
   * @param wanted what the test asks for, the likeliest first
   * @return empty where it is no reading
   */
  static Optional<NotebookPhrase> of(String phrase, boolean display, List<TypedKind> wanted) {
    Matcher bars = BARS.matcher(phrase);
    if (bars.matches()) {
      return Optional.of(new NotebookPhrase(TypedKind.DISPLAY, phrase));
    }
    Matcher time = TO_COME.matcher(phrase);
    if (time.matches()) {
      boolean full = time.group("what").toLowerCase(Locale.ROOT).endsWith("full");
      return Optional.of(
          new NotebookPhrase(
              full ? TypedKind.TIME_TO_FULL : TypedKind.TIME_LEFT, time.group("time")));
    }
    Matcher fan = FAN.matcher(phrase);
    if (fan.matches()) {
      String step = fan.group(1).equalsIgnoreCase("on") ? "1" : fan.group(1);
      return Optional.of(new NotebookPhrase(TypedKind.FAN, step));
    }
    Matcher alive = ALIVE.matcher(phrase);
    if (alive.matches()) {
      return Optional.of(new NotebookPhrase(output(alive.group("what")), alive.group("how")));
    }
    if (ZEROED.matcher(phrase).matches()) {
      return Optional.of(
          new NotebookPhrase(
              direct(phrase.toLowerCase(Locale.ROOT), wanted, TypedKind.DC_TOTAL, TypedKind.TOTAL),
              "0 Wh"));
    }
    Matcher m = FIGURE.matcher(phrase);
    return m.matches() ? figure(m, display, wanted) : Optional.empty();
  }

  private static TypedKind output(String words) {
    return switch (words.toLowerCase(Locale.ROOT)) {
      case "usb" -> TypedKind.USB_ALIVE;
      case "ac", "outlet" -> TypedKind.AC_ALIVE;
      default -> TypedKind.DC_ALIVE;
    };
  }

  private static Optional<NotebookPhrase> figure(
      Matcher m, boolean display, List<TypedKind> wanted) {
    String unit = m.group("unit") == null ? "" : m.group("unit");
    String around = (m.group("before") + " " + m.group("after")).toLowerCase(Locale.ROOT);
    String number = m.group("figure").strip();
    String measured = number + (unit.isEmpty() ? "" : " " + unit);
    if (display && METERED.contains(unit.toLowerCase(Locale.ROOT))) {
      return Optional.empty();
    }
    TypedKind kind =
        switch (unit.toLowerCase(Locale.ROOT).replace(" ", "")) {
          case "%" -> around.contains("thd") ? TypedKind.DISTORTION : TypedKind.DISPLAY;
          case "thd" -> TypedKind.DISTORTION;
          case "w", "kw", "va", "kva" -> watts(around, display, wanted);
          case "wh", "kwh" ->
              around.contains("second")
                  ? TypedKind.SECOND_TOTAL
                  : direct(around, wanted, TypedKind.DC_TOTAL, TypedKind.TOTAL);
          case "ah" -> TypedKind.DC_CHARGE;
          case "hz" -> TypedKind.HERTZ;
          case "kg", "lb", "lbs" -> TypedKind.WEIGHT;
          case "s", "sec" ->
              wanted.contains(TypedKind.START_UP) && START.matcher(around).matches()
                  ? TypedKind.START_UP
                  : null;
          case "lx", "lux", "klx" -> TypedKind.LIGHT;
          case "db", "dba", "db(a)" -> TypedKind.SOUND;
          case "v" -> volts(around, number, wanted);
          case "a" -> amps(around, wanted);
          case "°c", "c", "°f", "f", "°" -> celsius(around, wanted);
          case "", "times", "x" -> bare(m, around, display, wanted);
          default -> null;
        };
    if (kind == null) {
      return Optional.empty();
    }
    boolean place = kind == TypedKind.SPOT;
    boolean count = kind.unit() == org.wiseember.core.quantity.Unit.ONE;
    String figure =
        place
            ? measured + " " + m.group("after").strip()
            : count ? number : measured.replaceFirst("(?i)\\blux$", "lx");
    return Optional.of(new NotebookPhrase(kind, figure.strip()));
  }

  /** A figure without a unit: a count where its word stands by it, else what is asked for first. */
  private static TypedKind bare(Matcher m, String around, boolean display, List<TypedKind> wanted) {
    String words = around.strip();
    Matcher called = CALLED.matcher(words);
    if (called.matches()) {
      // Another test does not count them: there it is a remark.
      TypedKind count =
          words.contains("lamp")
              ? TypedKind.LAMP_STEADY
              : words.contains("computer") ? TypedKind.COMPUTER_STAYED : TypedKind.PULLS;
      return wanted.contains(count) ? count : null;
    }
    if (display && words.isEmpty()) {
      return TypedKind.DISPLAY;
    }
    Matcher named = NAMED.matcher(words);
    if (named.matches()) {
      return switch (named.group("what")) {
        case "case" -> TypedKind.CASE;
        case "room" -> TypedKind.ROOM;
        default -> TypedKind.WEIGHT;
      };
    }
    return words.isEmpty() && m.group("after").isBlank()
        ? wanted.stream().filter(k -> k != TypedKind.CLOCK).findFirst().orElse(null)
        : null;
  }

  private static TypedKind watts(String around, boolean display, List<TypedKind> wanted) {
    boolean in = around.matches(".*\\bin\\b.*");
    if (display) {
      return in ? TypedKind.DISPLAY_IN : TypedKind.DISPLAY_OUT;
    }
    if (around.contains("other leg") || around.contains("leg 2") || around.contains("second")) {
      return TypedKind.OTHER_POWER;
    }
    if (around.contains("usb") && wanted.contains(TypedKind.USB_POWER)) {
      return TypedKind.USB_POWER;
    }
    boolean charges = wanted.contains(TypedKind.IN_POWER) || wanted.contains(TypedKind.WALL_POWER);
    if (in || (charges && !wanted.contains(TypedKind.POWER))) {
      return wanted.contains(TypedKind.WALL_POWER) ? TypedKind.WALL_POWER : TypedKind.IN_POWER;
    }
    if (wanted.contains(TypedKind.USB_POWER) && !wanted.contains(TypedKind.POWER)) {
      return TypedKind.USB_POWER;
    }
    return direct(around, wanted, TypedKind.DC_POWER, TypedKind.POWER);
  }

  /** The DC side's where that is said, or where the test asks for that alone. */
  private static TypedKind direct(
      String around, List<TypedKind> wanted, TypedKind dc, TypedKind ac) {
    boolean said = around.matches(".*\\b(?:dc|battery|shunt|clamp|port)\\b.*");
    return said || (wanted.contains(dc) && !wanted.contains(ac)) ? dc : ac;
  }

  private static TypedKind volts(String around, String number, List<TypedKind> wanted) {
    if (around.matches(".*\\b(?:ac|outlet|socket|mains)\\b.*")) {
      return TypedKind.VOLTS;
    }
    if (around.matches(".*\\b(?:in|panels?|input)\\b.*")) {
      return TypedKind.IN_VOLTS;
    }
    if (around.matches(".*\\b(?:dc|battery|port|shunt)\\b.*")) {
      return TypedKind.DC_VOLTS;
    }
    List<TypedKind> sides =
        wanted.stream()
            .filter(k -> k == TypedKind.VOLTS || k == TypedKind.DC_VOLTS || k == TypedKind.IN_VOLTS)
            .toList();
    if (sides.size() == 1) {
      return sides.get(0);
    }
    boolean low = TypedNumber.of(number).filter(n -> n.value() < DIRECT_VOLTS).isPresent();
    TypedKind direct = sides.contains(TypedKind.IN_VOLTS) ? TypedKind.IN_VOLTS : TypedKind.DC_VOLTS;
    return low ? direct : TypedKind.VOLTS;
  }

  private static TypedKind amps(String around, List<TypedKind> wanted) {
    if (around.contains("peak") || around.contains("inrush")) {
      return TypedKind.PEAK;
    }
    return wanted.stream()
        .filter(k -> k == TypedKind.DC_AMPS || k == TypedKind.IN_AMPS || k == TypedKind.PEAK)
        .findFirst()
        .orElse(TypedKind.DC_AMPS);
  }

  private static TypedKind celsius(String around, List<TypedKind> wanted) {
    if (around.contains("room") || around.contains("ambient") || around.contains("air")) {
      return TypedKind.ROOM;
    }
    if (around.contains("case")) {
      return TypedKind.CASE;
    }
    if (around.matches(".*\\b(?:at|on) .*")) {
      return TypedKind.SPOT;
    }
    return wanted.stream()
        .filter(k -> k == TypedKind.CASE || k == TypedKind.ROOM || k == TypedKind.SPOT)
        .findFirst()
        .orElse(TypedKind.CASE);
  }
}
