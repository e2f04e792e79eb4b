package org.wiseember.trial.verdict;

import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.wiseember.core.label.Claim;
import org.wiseember.core.label.Direction;
import org.wiseember.core.label.Label;
import org.wiseember.core.uncertainty.Estimate;
import org.wiseember.core.verdict.Standing;
import org.wiseember.core.verdict.Verdict;
import org.wiseember.trial.AllTests;
import org.wiseember.trial.finding.Findings;
import org.wiseember.trial.finding.UsableEnergy;
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
 * @param runs every run that counts with what it says, oldest first
 * @param aside the runs a tester set aside: looked at, and counting for nothing
 * @param together what the runs say together
 */
public record Judgement(
    Unit unit, List<Judged> lines, List<TestRun> runs, List<TestRun> aside, Together together)
    implements UnitFindings {
  public Judgement {
    lines = List.copyOf(lines);
    runs = List.copyOf(runs);
    aside = List.copyOf(aside);
  }

  /** A unit nobody has tested. */
  public static Judgement untested(Unit unit) {
    return new Judgement(unit, List.of(), List.of(), List.of(), Together.NOTHING);
  }

  /**
   * Works a unit's runs out and judges it.
   *
   * @param guardBand whether a verdict keeps clear of the uncertainty
   */
  public static Judgement of(Workbook workbook, Unit unit, boolean guardBand) {
    Map<Boolean, List<TestRun>> found =
        Findings.of(workbook, unit).stream().collect(Collectors.partitioningBy(TestRun::aside));
    List<TestRun> runs = found.get(false);
    UnitFindings known = new Findings.Known(unit.label(), runs);
    return new Judgement(unit, List.of(), runs, found.get(true), Together.of(known))
        .judged(guardBand);
  }

  /** The same runs held against the label again. */
  public Judgement judged(boolean guardBand) {
    List<Judged> judged =
        unit.label().claims().stream().map(claim -> judge(claim, guardBand)).toList();
    return new Judgement(unit, judged, runs, aside, together);
  }

  private Judged judge(Claim claim, boolean guardBand) {
    if (claim.direction() == Direction.STATED
        && (claim.word().isEmpty() || AllTests.answering(claim.subject()).isEmpty())) {
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

  /** Every run of the unit, those set aside among them, oldest first. */
  public List<TestRun> all() {
    return Stream.concat(runs.stream(), aside.stream())
        .sorted(Comparator.comparingLong(r -> r.run().id()))
        .toList();
  }

  /** The same unit under another label, until its claims are held against the runs again. */
  public Judgement relabelled(Unit now) {
    return new Judgement(now, lines, runs, aside, together);
  }

  /** The run with this number, set aside or not. */
  public Optional<TestRun> run(long runId) {
    return all().stream().filter(r -> r.run().id() == runId).findFirst();
  }

  /** How the lines of a judgement stand. */
  public long count(Standing standing) {
    return lines.stream()
        .filter(l -> l.verdict().filter(v -> v.standing() == standing).isPresent())
        .count();
  }
}
