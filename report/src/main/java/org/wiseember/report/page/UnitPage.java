package org.wiseember.report.page;

import java.util.List;
import java.util.Optional;
import org.wiseember.core.figure.Explanation;
import org.wiseember.core.verdict.Verdict;
import org.wiseember.report.drawing.TraceDrawing;

/**
 * What the page of a unit's verdicts says.
 *
 * @param unit its name
 * @param summary one line: how many claims kept, short and so on
 * @param rows the claims that were judged, in order
 * @param untested the claims nobody tested, in words
 * @param because of the main figure
 * @param trace of the run behind it
 * @param run what that run was, one line
 */
public record UnitPage(
    String unit,
    String summary,
    List<Row> rows,
    List<String> untested,
    Optional<Explanation> because,
    Optional<TraceDrawing> trace,
    String run)
    implements Leaf {
  /** One judged claim. */
  public record Row(String title, Verdict verdict, String figure) {}

  public UnitPage {
    rows = List.copyOf(rows);
    untested = List.copyOf(untested);
  }

  @Override
  public String heading() {
    return unit;
  }
}
