package org.wiseember.core.because;

import java.util.List;
import org.wiseember.core.quantity.Unit;
import org.wiseember.core.uncertainty.Budget;

/**
 * How a figure came about.
 *
 * @param title what the figure is
 * @param figure the figure as written, {@code 921 ± 9 Wh}
 * @param summary one line under it
 * @param workedOut the sum, a line a step, with the numbers put in
 * @param unit unit of the budget's lines
 * @param budget how sure, line by line
 * @param watchOut what this figure mixes or leaves out
 * @param otherReading what another school would say, empty where all agree
 */
public record Because(
    String title,
    String figure,
    String summary,
    List<String> workedOut,
    Unit unit,
    Budget budget,
    List<String> watchOut,
    String otherReading) {
  public Because {
    workedOut = List.copyOf(workedOut);
    watchOut = List.copyOf(watchOut);
  }
}
