package org.wiseember.bench.emulator;

import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.function.DoubleSupplier;
import java.util.function.Supplier;
import java.util.regex.Pattern;

/**
 * Headers an instrument knows. A header is written as in SCPI-99: {@code
 * MEASure[:SCALar]:VOLTage[:DC]?}, long forms with the short form in capitals, brackets around what
 * may be left out.
 */
final class CommandTree {
  /** Carries a command out and gives what writes its answer, null for none. */
  interface Action {
    Supplier<byte[]> run(Arguments arguments) throws ScpiError;
  }

  /** Answers with text. */
  interface Query {
    String answer(Arguments arguments) throws ScpiError;
  }

  /** Carries out and answers nothing. */
  interface Command {
    void run(Arguments arguments) throws ScpiError;
  }

  private record Entry(Pattern pattern, Action action) {}

  private final List<Entry> entries = new ArrayList<>();

  CommandTree command(String header, Command command) {
    return add(
        header,
        arguments -> {
          command.run(arguments);
          return null;
        });
  }

  /** A query that takes no parameter. */
  CommandTree ask(String header, Supplier<String> answer) {
    return query(
        header,
        arguments -> {
          arguments.none();
          return answer.get();
        });
  }

  CommandTree query(String header, Query query) {
    return add(
        header,
        arguments -> {
          byte[] answer = query.answer(arguments).getBytes(StandardCharsets.US_ASCII);
          return () -> answer;
        });
  }

  /** A query of a setting, which may ask for its least, its most or its usual value instead. */
  CommandTree level(
      String header, double least, double most, double usual, DoubleSupplier setting) {
    return query(
        header,
        arguments ->
            ScpiInstrument.number(
                arguments.size() == 0
                    ? setting.getAsDouble()
                    : arguments.named(least, most, usual)));
  }

  CommandTree add(String header, Action action) {
    entries.add(new Entry(Pattern.compile(regex(header)), action));
    return this;
  }

  /** The action of a header in capitals, without its leading colon; null for none. */
  Action find(String header) {
    String upper = header.toUpperCase(Locale.ROOT);
    for (Entry entry : entries) {
      if (entry.pattern().matcher(upper).matches()) {
        return entry.action();
      }
    }
    return null;
  }

  /** {@code MEASure[:SCALar]:VOLTage?} as a pattern for capitals. */
  private static String regex(String header) {
    StringBuilder regex = new StringBuilder();
    int i = 0;
    while (i < header.length()) {
      char c = header.charAt(i);
      if (Character.isLetter(c)) {
        int end = i;
        while (end < header.length() && Character.isLetter(header.charAt(end))) {
          end++;
        }
        String mnemonic = header.substring(i, end);
        regex
            .append("(?:")
            .append(Arguments.shortForm(mnemonic))
            .append('|')
            .append(mnemonic.toUpperCase(Locale.ROOT))
            // The first of several, which may be said (SCPI-99 volume 1, 6.2.5.2).
            .append(")1?");
        i = end;
      } else {
        regex.append(c == '[' ? "(?:" : c == ']' ? ")?" : Pattern.quote(String.valueOf(c)));
        i++;
      }
    }
    // A leading optional node leaves its colon behind: [SOURce:]VOLTage.
    return regex.toString();
  }
}
