package org.wiseember.trial.verdict;

import java.util.List;
import java.util.Optional;
import org.wiseember.core.label.Claim;
import org.wiseember.core.label.Direction;
import org.wiseember.core.label.Label;
import org.wiseember.core.label.Subject;
import org.wiseember.core.uncertainty.Estimate;
import org.wiseember.core.verdict.Standing;
import org.wiseember.core.verdict.Verdict;
import org.wiseember.trial.AllTests;
import org.wiseember.trial.test.Answer;
import org.wiseember.trial.test.TestRun;
import org.wiseember.trial.test.TestType;
import org.wiseember.trial.test.UnitFindings;
import org.wiseember.trial.test.drain.DrainRun;
import org.wiseember.trial.test.ladder.LadderRun;
import org.wiseember.trial.test.start.StartLimits;
import org.wiseember.workbook.Unit;
import org.wiseember.workbook.Workbook;

/**
 * A unit's label held against its runs. What the runs found, and what they answer, is worked out
 * once; holding the answers against their claims is cheap and is done again for every guard band.
 *
 * @param unit the unit
 * @param lines one for every claim, in the order of the label
 * @param runs every run of the unit with what it says, oldest first
 * @param together what the runs say together
 */
public record Judgement(Unit unit, List<Judged> lines, List<TestRun> runs, Together together)
    implements UnitFindings {
  public Judgement {
    lines = List.copyOf(lines);
    runs = List.copyOf(runs);
  }

  /** A unit nobody has tested. */
  public static Judgement untested(Unit unit) {
    return new Judgement(unit, List.of(), List.of(), Together.NOTHING);
  }

  /**
   * Works a unit's runs out and judges it.
   *
   * @param guardBand whether a verdict keeps clear of the uncertainty
   */
  public static Judgement of(Workbook workbook, Unit unit, boolean guardBand) {
    List<TestRun> runs = new Findings(workbook, unit.label()).of(workbook.runs().of(unit.id()));
    UnitFindings known = new Findings.Known(unit.label(), runs);
    return new Judgement(unit, List.of(), runs, Together.of(known)).judged(guardBand);
  }

  /** The same runs held against the label again. */
  public Judgement judged(boolean guardBand) {
    List<Judged> judged =
        unit.label().claims().stream().map(claim -> judge(claim, guardBand)).toList();
    return new Judgement(unit, judged, runs, together);
  }

  private Judged judge(Claim claim, boolean guardBand) {
    if (claim.direction() == Direction.STATED && claim.subject() != Subject.WAVEFORM) {
      return new Judged(claim.subject().words(), claim, Optional.empty(), Optional.empty());
    }
    return answer(claim)
        .map(
            a ->
                new Judged(
                    a.title(),
                    a.claim(),
                    Optional.of(a.judge().verdict(guardBand)),
                    Optional.of(a.runId())))
        .orElseGet(
            () ->
                new Judged(
                    claim.subject().words(),
                    claim,
                    Optional.of(Verdict.notTested(claim)),
                    Optional.empty()));
  }

  /** The first test that has an answer; one that only says why it has none gives way. */
  private Optional<Answer> answer(Claim claim) {
    Optional<Answer> open = Optional.empty();
    for (TestType test : AllTests.answering(claim.subject())) {
      Optional<Answer> answer = test.answer(claim, this);
      if (answer.isPresent() && !answer.get().open()) {
        return answer;
      }
      open = open.or(() -> answer);
    }
    return open;
  }

  @Override
  public Label label() {
    return unit.label();
  }

  @Override
  public Optional<Estimate> usableWattHours() {
    return UsableEnergy.of(this);
  }

  /** Every drain with its finding, oldest first. */
  public List<DrainRun> drains() {
    return of(DrainRun.class).toList();
  }

  /** The newest ladder that gave an efficiency. */
  public Optional<LadderRun> ladder() {
    return of(LadderRun.class).filter(l -> !l.finding().points().isEmpty()).reduce((a, b) -> b);
  }

  /** What every start of the unit shows together. */
  public StartLimits startLimits() {
    return StartLimits.of(this);
  }

  /** The run with this number. */
  public Optional<TestRun> run(long runId) {
    return runs.stream().filter(r -> r.run().id() == runId).findFirst();
  }

  /** How the lines of a judgement stand. */
  public long count(Standing standing) {
    return lines.stream()
        .filter(l -> l.verdict().filter(v -> v.standing() == standing).isPresent())
        .count();
  }
}
