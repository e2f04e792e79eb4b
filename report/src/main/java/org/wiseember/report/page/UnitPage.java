package org.wiseember.report.page;

import java.util.List;
import java.util.Optional;
import org.wiseember.core.figure.Because;
import org.wiseember.core.verdict.Verdict;
import org.wiseember.report.chart.TraceFigure;

/**
 * What the page about one unit says.
 *
 * @param unit its name
 * @param workbook title of the workbook
 * @param made date, as printed
 * @param summary one line: how many claims kept, short and so on
 * @param rows the claims that were judged, in order
 * @param untested the claims nobody tested, in words
 * @param because of the main figure
 * @param trace of the run behind it
 * @param run what that run was, one line
 * @param wave of the unit; empty where none was captured
 * @param simulated whether the readings come from a simulated bench
 */
public record UnitPage(
    String unit,
    String workbook,
    String made,
    String summary,
    List<Row> rows,
    List<String> untested,
    Optional<Because> because,
    Optional<TraceFigure> trace,
    String run,
    Optional<WavePart> wave,
    boolean simulated) {
  /** One judged claim. */
  public record Row(String title, Verdict verdict, String figure) {}

  public UnitPage {
    rows = List.copyOf(rows);
    untested = List.copyOf(untested);
  }
}
