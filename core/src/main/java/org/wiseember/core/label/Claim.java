package org.wiseember.core.label;

import java.util.ArrayList;
import java.util.List;
import java.util.Objects;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.stream.Collectors;
import org.wiseember.core.quantity.Figures;
import org.wiseember.core.quantity.Unit;

/**
 * One thing the label promises.
 *
 * @param subject what about
 * @param direction which side keeps it
 * @param low lower limit in the subject's unit; NaN where there is none
 * @param high upper limit in the subject's unit; NaN where there is none
 * @param word the claim itself where it is a word (chemistry, waveform), else empty
 * @param conditions what it is tied to, in the order printed
 * @param printedAs the line of the label it was read from; empty when typed by hand
 */
public record Claim(
    Subject subject,
    Direction direction,
    double low,
    double high,
    String word,
    List<Condition> conditions,
    String printedAs) {
  public Claim {
    Objects.requireNonNull(subject);
    Objects.requireNonNull(direction);
    Objects.requireNonNull(printedAs);
    conditions = List.copyOf(conditions);
    boolean ok =
        switch (direction) {
          case AT_LEAST -> !Double.isNaN(low);
          case AT_MOST -> !Double.isNaN(high);
          case BAND -> low <= high;
          case STATED -> !word.isEmpty() || !Double.isNaN(low);
        };
    if (!ok) {
      throw new IllegalArgumentException(subject + " " + direction + " needs its limit");
    }
  }

  public static Claim atLeast(Subject subject, double limit, String printedAs) {
    return new Claim(subject, Direction.AT_LEAST, limit, Double.NaN, "", List.of(), printedAs);
  }

  public static Claim atMost(Subject subject, double limit, String printedAs) {
    return new Claim(subject, Direction.AT_MOST, Double.NaN, limit, "", List.of(), printedAs);
  }

  /** The same claim tied to one more condition. */
  public Claim under(Condition condition) {
    List<Condition> more = new ArrayList<>(conditions);
    more.add(condition);
    return new Claim(subject, direction, low, high, word, more, printedAs);
  }

  /** The same claim about another subject of the same unit. */
  public Claim about(Subject other) {
    return new Claim(other, direction, low, high, word, conditions, printedAs);
  }

  /** The one limit of an at-least or at-most claim, the middle of a band, the stated figure. */
  public double figure() {
    return switch (direction) {
      case AT_LEAST -> low;
      case AT_MOST -> high;
      case BAND -> (low + high) / 2;
      case STATED -> low;
    };
  }

  public Unit unit() {
    return subject.unit();
  }

  public OptionalDouble condition(Condition.Kind kind) {
    return conditions.stream()
        .filter(c -> c.kind() == kind)
        .mapToDouble(Condition::value)
        .findFirst();
  }

  public Optional<String> conditionWords() {
    if (conditions.isEmpty()) {
      return Optional.empty();
    }
    OptionalDouble from = condition(Condition.Kind.FROM_PERCENT);
    OptionalDouble to = condition(Condition.Kind.TO_PERCENT);
    if (from.isPresent() && to.isPresent() && conditions.size() == 2) {
      return Optional.of(
          Figures.plain(from.getAsDouble()) + " to " + Figures.plain(to.getAsDouble()) + " %");
    }
    return Optional.of(conditions.stream().map(Condition::words).collect(Collectors.joining(", ")));
  }

  /** {@code ≥ 1 200 W}, {@code 11 to 60 V}, {@code pure sine}. */
  public String figureWords() {
    if (!word.isEmpty()) {
      return word;
    }
    String sign = direction.sign().isEmpty() ? "" : direction.sign() + " ";
    if (direction == Direction.BAND || (direction == Direction.STATED && !Double.isNaN(high))) {
      return low == high
          ? Figures.plain(low, unit())
          : Figures.plain(low) + " to " + Figures.plain(high, unit());
    }
    return sign + Figures.plain(figure(), unit());
  }
}
