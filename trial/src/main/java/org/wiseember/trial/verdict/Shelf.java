package org.wiseember.trial.verdict;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.wiseember.trial.finding.Findings;
import org.wiseember.workbook.TestedUnit;
import org.wiseember.workbook.Workbook;

/** The units of a workbook and how they stand, without a reading or a finding looked at. */
public final class Shelf {
  private Shelf() {}

  /**
   * A unit on the shelf.
   *
   * @param summary empty where it has to be worked out first
   */
  public record Place(TestedUnit unit, Optional<Summary> summary) {
    /** A unit nobody has tested, or whose label was just written. */
    public static Place untested(TestedUnit unit) {
      return new Place(
          unit, Optional.of(new Summary(Summary.Rating.of(unit.label()), List.of(), List.of())));
    }

    /** What its label says in brief. */
    public Summary.Rating rating() {
      return summary.map(Summary::rating).orElseGet(() -> Summary.Rating.of(unit.label()));
    }
  }

  /** Every unit, in the order of the shelf. */
  public static List<Place> of(Workbook workbook) {
    Map<Long, String> known = workbook.found().standings(Findings.method());
    return workbook.units().all().stream()
        .map(
            unit ->
                new Place(unit, Optional.ofNullable(known.get(unit.id())).flatMap(Summary::read)))
        .toList();
  }

  /** A unit that was judged; how it stands is kept where that changed. */
  public static Place of(Workbook workbook, Judgement judgement) {
    Summary summary = Summary.of(judgement);
    TestedUnit unit = judgement.unit();
    if (!workbook.readOnly()) {
      workbook.found().keep(unit.id(), Findings.method(), summary.json());
    }
    return new Place(unit, Optional.of(summary));
  }
}
