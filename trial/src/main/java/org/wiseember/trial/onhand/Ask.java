package org.wiseember.trial.onhand;

import java.util.List;
import java.util.Optional;
import java.util.function.Function;
import java.util.function.UnaryOperator;

/**
 * What a test asks a tester for beside loads, as data: the window draws its form from it.
 *
 * @param <T> what the answer is
 */
public sealed interface Ask<T> {
  /** Its name among all that is asked: {@code soak-hours}. */
  String key();

  /** What stands beside it. */
  String words();

  /** The answer of somebody who says nothing. */
  T usual();

  /** An answer as this takes it; the usual one for what it cannot take. */
  T taken(Object answer);

  /**
   * One of several.
   *
   * @param names what each is called
   */
  record OneOf<T>(String key, String words, List<T> values, T usual, Function<T, String> names)
      implements Ask<T> {
    public OneOf {
      values = List.copyOf(values);
    }

    @Override
    public T taken(Object answer) {
      return values.stream()
          .filter(v -> v.equals(answer) || v.toString().equals(answer))
          .findFirst()
          .orElse(usual);
    }
  }

  /**
   * A number.
   *
   * @param symbol of its unit
   * @param usual NaN where nothing is usual
   * @param only the choice it belongs to; empty where it is always asked
   */
  record Amount(
      String key,
      String words,
      String symbol,
      double least,
      double most,
      Double usual,
      Optional<Only> only)
      implements Ask<Double> {
    @Override
    public Double taken(Object answer) {
      return answer instanceof Double d && d >= least && d <= most ? d : usual;
    }
  }

  /** Asked only where something else was answered so. */
  record Only(Ask<?> ask, Object value) {}

  /**
   * Things to do or to try, a line each in the tester's own words.
   *
   * @param most so many count
   * @param longest signs of a line that count
   * @param saidBack what was understood of a line; empty for nothing to say
   */
  record Lines(
      String key,
      String words,
      List<String> usual,
      int most,
      int longest,
      UnaryOperator<String> saidBack)
      implements Ask<List<String>> {
    public Lines {
      usual = List.copyOf(usual);
    }

    /** What is written in a field, without blank lines and what is too much. */
    public List<String> read(String text) {
      return text.lines()
          .map(String::strip)
          .filter(l -> !l.isEmpty())
          .map(l -> l.substring(0, Math.min(l.length(), longest)))
          .limit(most)
          .toList();
    }

    @Override
    public List<String> taken(Object answer) {
      return answer instanceof List<?> lines
          ? read(String.join("\n", lines.stream().map(String::valueOf).toList()))
          : usual;
    }
  }

  /** Something with a form of its own, such as the plate of a motor. */
  record Own<T>(String key, String words, Class<T> type, T usual) implements Ask<T> {
    @Override
    public T taken(Object answer) {
      return type.isInstance(answer) ? type.cast(answer) : usual;
    }
  }
}
