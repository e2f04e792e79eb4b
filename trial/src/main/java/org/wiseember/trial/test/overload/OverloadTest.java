package org.wiseember.trial.test.overload;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;
import org.wiseember.bench.procedure.OverloadHolds;
import org.wiseember.core.figure.Figure;
import org.wiseember.core.label.Claim;
import org.wiseember.core.label.Condition;
import org.wiseember.core.label.Group;
import org.wiseember.core.label.Label;
import org.wiseember.core.label.Subject;
import org.wiseember.core.overload.CapturedTrip;
import org.wiseember.core.overload.ContinuousPower;
import org.wiseember.core.overload.Endurance;
import org.wiseember.core.overload.HeldLoad;
import org.wiseember.core.overload.OverloadFinding;
import org.wiseember.core.overload.OverloadLadder;
import org.wiseember.core.overload.OverloadMethod;
import org.wiseember.core.quantity.Figures;
import org.wiseember.core.quantity.Unit;
import org.wiseember.core.trace.Channel;
import org.wiseember.core.verdict.Standing;
import org.wiseember.core.verdict.Verdict;
import org.wiseember.trial.test.Answer;
import org.wiseember.trial.test.Asked;
import org.wiseember.trial.test.OnHand;
import org.wiseember.trial.test.RunRecord;
import org.wiseember.trial.test.TestRun;
import org.wiseember.trial.test.TestSettings;
import org.wiseember.trial.test.TestType;
import org.wiseember.trial.test.UnitFindings;
import org.wiseember.workbook.Event;
import org.wiseember.workbook.KeptCapture;
import org.wiseember.workbook.RunSettings;

/** Loads above the rating, each held until it trips or its time is over. */
public final class OverloadTest implements TestType {
  /** A surge that names no time is a start: common practice, no published source. */
  private static final double SURGE_SECONDS = 1;

  @Override
  public String key() {
    return OverloadHolds.KIND;
  }

  @Override
  public String words() {
    return "Overload";
  }

  @Override
  public Group group() {
    return Group.POWER;
  }

  @Override
  public boolean hazardous() {
    return true;
  }

  @Override
  public boolean wantsLoads() {
    return true;
  }

  @Override
  public Optional<TestSettings> settings(Label label, OnHand onHand) {
    return OverloadSettings.of(label, onHand);
  }

  @Override
  public TestSettings kept(RunSettings kept) {
    return OverloadSettings.kept(kept);
  }

  @Override
  public Class<OverloadRun> finds() {
    return OverloadRun.class;
  }

  @Override
  public TestRun worked(RunRecord record, Asked asked) {
    double rated = asked.ratedWatts();
    OverloadMethod method =
        record
            .meter(Channel.AC_POWER)
            .map(meter -> OverloadMethod.measuredWith(rated, meter))
            .orElseGet(() -> OverloadMethod.assumed(rated));
    Map<Double, CapturedTrip> caught = new TreeMap<>();
    for (KeptCapture kept : record.captures()) {
      CapturedTrip.in(kept.capture(), record.hertz()).ifPresent(t -> caught.put(kept.seconds(), t));
    }
    return new OverloadRun(
        record.kept(),
        OverloadLadder.of(record.trace(), method.with(record.treatment()), caught),
        record.events(OverloadHolds.RECOVERY).stream().map(Event::words).toList());
  }

  @Override
  public Set<Subject> answers() {
    return Set.of(Subject.OVERLOAD, Subject.SURGE, Subject.CONTINUOUS_POWER);
  }

  @Override
  public Optional<Answer> answer(Claim claim, UnitFindings unit) {
    Optional<OverloadRun> run = unit.newest(OverloadRun.class);
    if (run.isEmpty()) {
      return Optional.empty();
    }
    List<OverloadFinding> tries = unit.of(OverloadRun.class).map(OverloadRun::finding).toList();
    return Optional.of(
        claim.subject() == Subject.OVERLOAD
            ? overload(claim, tries, run.get())
            : claim.subject() == Subject.SURGE
                ? surge(claim, tries, run.get())
                : continuous(claim, tries, run.get()));
  }

  /** A promised overload is judged by the time it was withstood. */
  private static Answer overload(Claim claim, List<OverloadFinding> tries, OverloadRun run) {
    double promised = claim.condition(Condition.Kind.FOR_SECONDS).orElse(SURGE_SECONDS);
    Claim time = Claim.atLeast(Subject.OVERLOAD_TIME, promised, claim.printedAs());
    Endurance shown = Endurance.of(tries, claim.figure(), promised);
    String title = "Overload " + Figures.plain(claim.figure(), Unit.WATT);
    return new Answer(
        title, time, run.run().id(), guard -> endurance(time, shown, run.recovery(), guard));
  }

  private static Verdict endurance(
      Claim time, Endurance shown, List<String> recovery, boolean guard) {
    Optional<Figure> seconds = shown.seconds().map(s -> s.because(s.because().watching(recovery)));
    return switch (shown.shown()) {
      case TIMED -> Verdict.judge(time, seconds.orElseThrow(), guard);
      case HELD ->
          Verdict.decided(time, seconds.orElseThrow(), Standing.KEPT, shown.reason(), guard);
      case TRIPPED_SOONER ->
          Verdict.decided(time, seconds.orElseThrow(), Standing.SHORT, shown.reason(), guard);
      case HEAVIER_ONLY -> Verdict.rigCannotShow(time, shown.reason());
      case NOT_REACHED ->
          seconds
              .map(s -> Verdict.rigCannotShow(time, s, shown.reason()))
              .orElseGet(() -> Verdict.rigCannotShow(time, shown.reason()));
      case NO_TRY -> Verdict.notTested(time);
    };
  }

  /** A load held for the surge's time is the least it can. */
  private static Answer surge(Claim claim, List<OverloadFinding> tries, OverloadRun run) {
    double seconds = claim.condition(Condition.Kind.FOR_SECONDS).orElse(SURGE_SECONDS);
    Endurance shown = Endurance.of(tries, claim.figure(), seconds);
    String title = "Surge, by a load";
    Optional<Figure> held = HeldLoad.heaviest(tries, seconds);
    if (held.isEmpty()) {
      return Answer.rigCannotShow(title, claim, run, shown.reason());
    }
    return shown.shown() == Endurance.Shown.HELD
        ? Answer.decided(title, claim, run, held.get(), Standing.KEPT, shown.reason())
        : Answer.rigCannotShow(
            title,
            claim,
            run,
            held.get(),
            shown.shown() == Endurance.Shown.NOT_REACHED
                ? shown.reason()
                : "A surge is shown by a motor's start or a load that heavy. " + shown.reason());
  }

  /** A hold at the rating for ten minutes keeps it, a trip there or below breaks it. */
  private static Answer continuous(Claim claim, List<OverloadFinding> tries, OverloadRun run) {
    Optional<Figure> tripped =
        ContinuousPower.tripped(tries).filter(t -> t.high() < claim.figure());
    Optional<Figure> held = ContinuousPower.held(tries);
    if (tripped.isPresent()) {
      return Answer.of("Continuous power", claim, run, tripped.get());
    }
    return held.map(h -> Answer.of(h.name(), claim, run, h))
        .orElseGet(
            () ->
                Answer.rigCannotShow(
                    "Continuous power",
                    claim,
                    run,
                    Endurance.of(tries, claim.figure(), ContinuousPower.SECONDS).reason()));
  }
}
