package org.wiseember.trial.lineup;

import java.time.Instant;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import org.wiseember.core.figure.Figure;
import org.wiseember.core.lineup.Candidate;
import org.wiseember.core.lineup.Measure;
import org.wiseember.trial.verdict.Judgement;
import org.wiseember.workbook.UnitFacts;

/**
 * A unit of a line-up.
 *
 * @param name its own on the page; of two called alike the second is numbered
 * @param price paid, in the money of the page; NaN where nobody noted it, or in another
 * @param candidate what it is compared by
 * @param answers to the must-haves, in their order
 * @param range of loads it was drained at; empty where it was not
 */
public record LineUpUnit(
    String name,
    Judgement judgement,
    UnitFacts facts,
    double price,
    Candidate candidate,
    List<Answered> answers,
    Optional<AtLoad.Range> range) {
  public LineUpUnit {
    answers = List.copyOf(answers);
  }

  public long id() {
    return judgement.unit().id();
  }

  /** Its figure; empty where it is not known. */
  public Optional<Figure> figure(Measure measure) {
    return candidate.figure(measure);
  }

  /** Newest run that counts and older ones are told apart by it; empty without a run. */
  public Optional<Instant> newestRun() {
    return judgement.runs().stream().map(r -> r.run().startedAt()).max(Comparator.naturalOrder());
  }
}
