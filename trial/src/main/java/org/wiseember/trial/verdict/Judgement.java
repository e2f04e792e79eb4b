package org.wiseember.trial.verdict;

import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.wiseember.core.label.Claim;
import org.wiseember.core.label.Direction;
import org.wiseember.core.label.Label;
import org.wiseember.core.quantity.Figures;
import org.wiseember.core.uncertainty.Estimate;
import org.wiseember.core.verdict.Standing;
import org.wiseember.core.verdict.Verdict;
import org.wiseember.trial.AllTests;
import org.wiseember.trial.finding.Findings;
import org.wiseember.trial.finding.UsableEnergy;
import org.wiseember.trial.kind.ClaimAnswer;
import org.wiseember.trial.kind.Entered;
import org.wiseember.trial.kind.TestRun;
import org.wiseember.trial.kind.TestType;
import org.wiseember.trial.kind.Trait;
import org.wiseember.trial.kind.UnitFindings;
import org.wiseember.trial.kind.found.Drained;
import org.wiseember.trial.kind.found.Laddered;
import org.wiseember.trial.kind.found.StartLimits;
import org.wiseember.workbook.Run;
import org.wiseember.workbook.TestedUnit;
import org.wiseember.workbook.Workbook;

/**
 * A unit's label held against its runs. What the runs answer is worked out once; holding the
 * answers against their claims is cheap and is done again for every guard band.
 *
 * <pre>{@code
 * Judgement judgement = Judgement.of(workbook, unit, true);
 * for (Judged line : judgement.lines()) {
 *   System.out.println(line.title() + ": " + line.verdict());
 * }
 * }</pre>
 */
public final class Judgement implements UnitFindings {
  private static final Logger LOG = LoggerFactory.getLogger(Judgement.class);

  private final TestedUnit unit;
  private final List<TestRun> runs;
  private final List<TestRun> aside;
  private final Together together;
  private final List<Held> held;
  private final List<Judged> lines;
  private final boolean guardBand;

  /** A claim and what the runs answer to it; no answer to a plain fact, which nobody judges. */
  private record Held(Claim claim, boolean fact, Optional<ClaimAnswer> answer, boolean brokeOff) {
    Judged line(boolean guardBand) {
      if (fact) {
        return new Judged(claim.subject().words(), claim, Optional.empty(), Optional.empty());
      }
      return answer
          .map(
              a ->
                  new Judged(
                      a.title(),
                      a.claim(),
                      Optional.of(a.judge().verdict(guardBand)),
                      Optional.of(a.runId())))
          .orElseGet(this::untested);
    }

    private Judged untested() {
      Claim promised = AllTests.judgedAs(claim);
      return new Judged(
          claim.subject().words()
              + (promised.equals(claim) ? "" : " " + Figures.plain(claim.figure(), claim.unit()))
              + (brokeOff ? ": cannot be worked out" : ""),
          promised,
          Optional.of(Verdict.notTested(promised)),
          Optional.empty());
    }
  }

  private Judgement(TestedUnit unit, List<TestRun> runs, List<TestRun> aside, boolean guardBand) {
    this.unit = unit;
    this.runs = List.copyOf(runs);
    this.aside = List.copyOf(aside);
    this.together = Together.of(new Findings.Known(unit.label(), runs));
    this.held = unit.label().claims().stream().map(this::hold).toList();
    this.lines = held.stream().map(h -> told(h.line(guardBand))).toList();
    this.guardBand = guardBand;
  }

  private Judgement(Judgement same, boolean guardBand) {
    this.unit = same.unit;
    this.runs = same.runs;
    this.aside = same.aside;
    this.together = same.together;
    this.held = same.held;
    this.lines = held.stream().map(h -> told(h.line(guardBand))).toList();
    this.guardBand = guardBand;
  }

  /** A unit nobody has tested. */
  public static Judgement untested(TestedUnit unit) {
    return new Judgement(unit, List.of(), List.of(), true);
  }

  /**
   * Judges a unit by what its runs found.
   *
   * @param guardBand whether a verdict keeps clear of the uncertainty
   */
  public static Judgement of(Workbook workbook, TestedUnit unit, boolean guardBand) {
    return of(unit, Findings.of(workbook, unit), guardBand);
  }

  /** Judges a unit again after something changed; what still stands of this is used again. */
  public Judgement again(Workbook workbook, TestedUnit now, boolean guardBand) {
    return of(now, Findings.of(workbook, now, all()), guardBand);
  }

  /**
   * Judges a unit by runs that were worked out.
   *
   * @param found every run of it, those set aside among them
   */
  public static Judgement of(TestedUnit unit, List<TestRun> found, boolean guardBand) {
    Map<Boolean, List<TestRun>> parted =
        found.stream().collect(Collectors.partitioningBy(TestRun::aside));
    return new Judgement(unit, parted.get(false), parted.get(true), guardBand);
  }

  /** The same runs held against the label again. */
  public Judgement judged(boolean guardBand) {
    return new Judgement(this, guardBand);
  }

  public TestedUnit unit() {
    return unit;
  }

  /** Whether its verdicts keep clear of the uncertainty. */
  public boolean guardBand() {
    return guardBand;
  }

  /** One for every claim, in the order of the label. */
  public List<Judged> lines() {
    return lines;
  }

  /** Every run that counts with what it says, oldest first. */
  @Override
  public List<TestRun> runs() {
    return runs;
  }

  /** The runs a tester set aside: looked at, and counting for nothing. */
  public List<TestRun> aside() {
    return aside;
  }

  /** What the runs say together. */
  public Together together() {
    return together;
  }

  /** What rests on a run that was entered later says so, whichever figure of it was judged. */
  private Judged told(Judged line) {
    Optional<String> words =
        line.runId()
            .flatMap(id -> runs.stream().filter(r -> r.run().id() == id).findFirst())
            .flatMap(r -> Entered.words(r.run()));
    return words.isEmpty()
        ? line
        : new Judged(
            line.title(),
            line.claim(),
            line.verdict().map(v -> v.explained(words.get())),
            line.runId());
  }

  private Held hold(Claim claim) {
    boolean told =
        AllTests.answering(claim.subject()).stream()
            .anyMatch(t -> !t.is(Trait.ONLY_ONCE_MADE) || t.answer(claim, this).isPresent());
    // A figure that only states a fact is not judged, and neither is what no test can tell.
    boolean fact = !told || (claim.direction() == Direction.STATED && claim.word().isEmpty());
    try {
      return new Held(claim, fact, fact ? Optional.empty() : answer(claim), false);
    } catch (RuntimeException e) {
      // One claim that cannot be held says so in its place; the others stand.
      LOG.error("a claim cannot be held: {}", claim, e);
      return new Held(claim, fact, Optional.empty(), true);
    }
  }

  /**
   * What its runs say to a claim, printed on its label or not: the first test that has an answer;
   * one that only says why it has none gives way.
   */
  public Optional<ClaimAnswer> answer(Claim claim) {
    Optional<ClaimAnswer> open = Optional.empty();
    for (TestType test : AllTests.answering(claim.subject())) {
      Optional<ClaimAnswer> answer = test.answer(claim, this);
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
  public List<Drained> drains() {
    return of(Drained.class).toList();
  }

  /** The newest ladder that gave an efficiency. */
  public Optional<Laddered> ladder() {
    return of(Laddered.class).filter(l -> !l.finding().points().isEmpty()).reduce((a, b) -> b);
  }

  /** What every start of the unit shows together. */
  public StartLimits startLimits() {
    return StartLimits.of(this);
  }

  /** Every run of the unit, those set aside among them, oldest first. */
  public List<TestRun> all() {
    return Stream.concat(runs.stream(), aside.stream())
        .sorted(Comparator.comparing(TestRun::run, Run.OLDEST_FIRST))
        .toList();
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
