package org.wiseember.trial.kind.inspect;

import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import org.wiseember.core.figure.Because;
import org.wiseember.core.figure.Explanation;
import org.wiseember.core.figure.Figure;
import org.wiseember.core.figure.Warning;
import org.wiseember.core.inspect.Seen;
import org.wiseember.core.quantity.Unit;
import org.wiseember.core.uncertainty.Budget;
import org.wiseember.report.page.FindingPage;
import org.wiseember.trial.kind.StoredRun;
import org.wiseember.trial.kind.UnitFindings;
import org.wiseember.trial.kind.found.Inspected;

/**
 * An inspection and what it found.
 *
 * @param seen the points that were looked at, in order
 * @param weight on a scale
 * @param startUp from its button to the first watt
 */
public record InspectionRun(
    StoredRun kept, List<Seen> seen, Optional<Figure> weight, Optional<Figure> startUp)
    implements Inspected {
  public InspectionRun {
    seen = List.copyOf(seen);
  }

  @Override
  public List<Figure> figures() {
    return Stream.concat(weight.stream(), startUp.stream()).toList();
  }

  private long count(Seen.Answer answer) {
    return seen.stream().filter(s -> s.answer() == answer).count();
  }

  @Override
  public Optional<Explanation> headline() {
    if (seen.isEmpty()) {
      return Optional.empty();
    }
    String sum =
        count(Seen.Answer.YES)
            + " yes, "
            + count(Seen.Answer.HALF)
            + " half, "
            + count(Seen.Answer.NO)
            + " no";
    return Optional.of(
        new Explanation(
            "Inspection",
            count(Seen.Answer.YES) + " of " + seen.size(),
            Unit.ONE,
            Because.of(Budget.of(), sum)
                .summed(sum)
                .watching(
                    "What one tester finds solid or bearable another may not; read the notes.")));
  }

  @Override
  public FindingPage page(UnitFindings unit) {
    List<Explanation> heads =
        Stream.concat(headline().stream(), figures().stream().map(Explanation::of)).toList();
    return new FindingPage(heads, List.of())
        .table(
            List.of("Point", "Found", "Note"),
            seen.stream()
                .map(s -> List.of(s.point().words(), s.answer().words(), s.note()))
                .toList());
  }

  @Override
  public String caption() {
    return count(Seen.Answer.NO) == 0 ? "no point failed" : count(Seen.Answer.NO) + " times no";
  }

  @Override
  public List<Warning> warnings() {
    return List.of();
  }
}
