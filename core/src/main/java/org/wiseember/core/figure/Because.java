package org.wiseember.core.figure;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import org.wiseember.core.uncertainty.Budget;

/**
 * How a figure came about.
 *
 * <pre>{@code
 * Because.of(budget, "904 Wh ÷ 1 075 Wh = 84.1 %").summed("of the label").from(delivered)
 * }</pre>
 *
 * @param summary one line under the figure
 * @param workedOut the sum, a line a step, with the numbers put in
 * @param budget how sure, line by line, in the unit of the figure
 * @param madeFrom the figures it was made from
 * @param watchOut what this figure mixes or leaves out
 * @param otherReading what another school would say, empty where all agree
 */
public record Because(
    String summary,
    List<String> workedOut,
    Budget budget,
    List<Source> madeFrom,
    List<String> watchOut,
    String otherReading) {
  /** The run of a source that lies in the same run as the figure made from it. */
  public static final long SAME_RUN = 0;

  /**
   * A figure another one was made from.
   *
   * @param runId number of the run it rests on; {@link #SAME_RUN} for the run of the figure itself
   */
  public record Source(Figure figure, long runId) {}

  public Because {
    workedOut = List.copyOf(workedOut);
    madeFrom = List.copyOf(madeFrom);
    watchOut = List.copyOf(watchOut);
  }

  /** The sum and how sure it is. */
  public static Because of(Budget budget, String... workedOut) {
    return of(budget, Arrays.asList(workedOut));
  }

  /** The sum and how sure it is. */
  public static Because of(Budget budget, List<String> workedOut) {
    return new Because("", workedOut, budget, List.of(), List.of(), "");
  }

  /** The same with one line under the figure. */
  public Because summed(String line) {
    return new Because(line, workedOut, budget, madeFrom, watchOut, otherReading);
  }

  /** The same with another line under the sum. */
  public Because working(String line) {
    List<String> more = new ArrayList<>(workedOut);
    more.add(line);
    return new Because(summary, more, budget, madeFrom, watchOut, otherReading);
  }

  /** The same where it is as sure as another budget says. */
  public Because with(Budget other) {
    return new Because(summary, workedOut, other, madeFrom, watchOut, otherReading);
  }

  /** The same made from these figures of its own run too. */
  public Because from(Figure... figures) {
    Because all = this;
    for (Figure figure : figures) {
      all = all.from(figure, SAME_RUN);
    }
    return all;
  }

  /** The same made from a figure of another run too. */
  public Because from(Figure figure, long runId) {
    List<Source> more = new ArrayList<>(madeFrom);
    more.add(new Source(figure, runId));
    return new Because(summary, workedOut, budget, more, watchOut, otherReading);
  }

  /** The same with more to watch out for. */
  public Because watching(List<String> words) {
    List<String> more = new ArrayList<>(watchOut);
    more.addAll(words);
    return new Because(summary, workedOut, budget, madeFrom, more, otherReading);
  }

  /** The same with more to watch out for. */
  public Because watching(String... words) {
    return watching(Arrays.asList(words));
  }

  /** The same with what another school would say. */
  public Because otherwise(String reading) {
    return new Because(summary, workedOut, budget, madeFrom, watchOut, reading);
  }

  /** The same in another unit, {@code factor} times as large. */
  Because scaled(double factor) {
    return new Because(summary, workedOut, budget.scaled(factor), madeFrom, watchOut, otherReading);
  }
}
