package org.wiseember.bench.emulator;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.OptionalDouble;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/** What follows a header: parameters separated by commas, quotes and brackets kept whole. */
final class Arguments {
  private static final Pattern NUMBER =
      Pattern.compile("([+-]?(?:\\d+\\.?\\d*|\\.\\d+)(?:[eE][+-]?\\d{1,3})?)\\s*([A-Za-z]*)");
  private static final Map<String, Double> MULTIPLIERS =
      Map.of("", 1.0, "G", 1e9, "MA", 1e6, "K", 1e3, "M", 1e-3, "U", 1e-6, "N", 1e-9);

  /** Of these M means a million (IEEE 488.2, 7.7.3, recalled from memory). */
  private static final List<String> MEGA = List.of("OHM", "HZ");

  private final List<String> values;

  Arguments(String text) {
    values = new ArrayList<>();
    StringBuilder current = new StringBuilder();
    char quote = 0;
    int depth = 0;
    for (int at = 0; at < text.length(); at++) {
      char c = text.charAt(at);
      quote = quote == 0 && (c == '"' || c == '\'') ? c : quote == c ? 0 : quote;
      depth += quote == 0 && c == '(' ? 1 : quote == 0 && c == ')' ? -1 : 0;
      if (c == ',' && quote == 0 && depth == 0) {
        values.add(current.toString().strip());
        current.setLength(0);
      } else {
        current.append(c);
      }
    }
    if (!values.isEmpty() || !current.toString().isBlank()) {
      values.add(current.toString().strip());
    }
  }

  int size() {
    return values.size();
  }

  void none() throws ScpiError {
    if (!values.isEmpty()) {
      throw ScpiError.parameterNotAllowed();
    }
  }

  private String only() throws ScpiError {
    if (values.isEmpty() || values.get(0).isEmpty()) {
      throw ScpiError.missingParameter();
    }
    if (values.size() > 1) {
      throw ScpiError.parameterNotAllowed();
    }
    return values.get(0);
  }

  /**
   * The one number, with MINimum, MAXimum, DEFault and a unit allowed.
   *
   * @param unit its symbol in capitals; may be left out by whoever sends
   */
  double number(double least, double most, double otherwise, String unit) throws ScpiError {
    String text = only();
    OptionalDouble named = named(text, least, most, otherwise);
    if (named.isPresent()) {
      return named.getAsDouble();
    }
    Matcher m = NUMBER.matcher(text);
    if (!m.matches()) {
      throw ScpiError.dataType();
    }
    double value = Double.parseDouble(m.group(1)) * factor(m.group(2), unit);
    if (!(value >= least && value <= most)) {
      throw ScpiError.outOfRange();
    }
    return value;
  }

  /** The one of MINimum, MAXimum and DEFault that is asked for. */
  double named(double least, double most, double usual) throws ScpiError {
    OptionalDouble named = named(only(), least, most, usual);
    if (named.isEmpty()) {
      throw ScpiError.illegalValue();
    }
    return named.getAsDouble();
  }

  private static OptionalDouble named(String text, double least, double most, double usual) {
    if (named(text, "MINimum")) {
      return OptionalDouble.of(least);
    }
    if (named(text, "MAXimum")) {
      return OptionalDouble.of(most);
    }
    return named(text, "DEFault") ? OptionalDouble.of(usual) : OptionalDouble.empty();
  }

  private static double factor(String suffix, String unit) throws ScpiError {
    String upper = suffix.toUpperCase(Locale.ROOT);
    if (upper.isEmpty()) {
      return 1;
    }
    if (!upper.endsWith(unit)) {
      throw ScpiError.suffix();
    }
    String multiplier = upper.substring(0, upper.length() - unit.length());
    if (multiplier.equals("M") && MEGA.contains(unit)) {
      return 1e6;
    }
    Double factor = MULTIPLIERS.get(multiplier);
    if (factor == null) {
      throw ScpiError.suffix();
    }
    return factor;
  }

  int whole(int least, int most) throws ScpiError {
    return (int) Math.rint(number(least, most, least, ""));
  }

  boolean bool() throws ScpiError {
    String text = only().toUpperCase(Locale.ROOT);
    return switch (text) {
      case "ON" -> true;
      case "OFF" -> false;
      default -> {
        Matcher m = NUMBER.matcher(text);
        if (!m.matches() || !m.group(2).isEmpty()) {
          throw ScpiError.illegalValue();
        }
        // SCPI-99 7.3: a number is rounded, and anything but 0 is on.
        yield Math.rint(Double.parseDouble(m.group(1))) != 0;
      }
    };
  }

  /** One of some words, each written with its short form in capitals; gives its place. */
  int choice(String... words) throws ScpiError {
    String text = String.join(",", values).replaceAll("\\s", "");
    if (text.isEmpty()) {
      throw ScpiError.missingParameter();
    }
    for (int i = 0; i < words.length; i++) {
      if (named(text, words[i])) {
        return i;
      }
    }
    throw ScpiError.illegalValue();
  }

  /** The one channel of a list such as {@code (@101)}; the first of these when there is none. */
  int channel(int... known) throws ScpiError {
    if (values.isEmpty()) {
      return known[0];
    }
    Matcher m = Pattern.compile("\\(\\s*@\\s*(\\d{1,4})\\s*\\)").matcher(only());
    if (!m.matches()) {
      throw ScpiError.dataType();
    }
    int wanted = Integer.parseInt(m.group(1));
    for (int channel : known) {
      if (channel == wanted) {
        return channel;
      }
    }
    throw ScpiError.illegalValue();
  }

  /** Whether a word is a mnemonic in its long form or its short one, its capitals. */
  static boolean named(String text, String mnemonic) {
    String upper = text.toUpperCase(Locale.ROOT);
    return upper.equals(mnemonic.toUpperCase(Locale.ROOT)) || upper.equals(shortForm(mnemonic));
  }

  static String shortForm(String mnemonic) {
    return mnemonic.replaceAll("[a-z]", "");
  }
}
