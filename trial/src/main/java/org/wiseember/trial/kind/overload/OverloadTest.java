package org.wiseember.trial.kind.overload;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import org.wiseember.bench.procedure.OverloadHolds;
import org.wiseember.core.figure.Figure;
import org.wiseember.core.hand.OperatorEvent;
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
import org.wiseember.core.verdict.Verdict;
import org.wiseember.trial.kind.ClaimAnswer;
import org.wiseember.trial.kind.Declaration;
import org.wiseember.trial.kind.Inquiry;
import org.wiseember.trial.kind.RunRecord;
import org.wiseember.trial.kind.TestRun;
import org.wiseember.trial.kind.TestSettings;
import org.wiseember.trial.kind.TestType;
import org.wiseember.trial.kind.Trait;
import org.wiseember.trial.kind.UnitFindings;
import org.wiseember.trial.onhand.OnHand;
import org.wiseember.workbook.Event;
import org.wiseember.workbook.RunSettings;
import org.wiseember.workbook.StoredCapture;

/** Loads above the rating, each held until it trips or its time is over. */
public final class OverloadTest implements TestType {
  private static final Declaration DECLARED =
      Declaration.of(OverloadHolds.KIND, "Overload")
          .in(Group.POWER)
          .finds(OverloadRun.class)
          .answers(Subject.OVERLOAD, Subject.SURGE, Subject.CONTINUOUS_POWER)
          .being(Trait.HAZARDOUS, Trait.WANTS_LOADS)
          .how(
              "From a base load add a second one at the press. Hold it until it trips or its time is over, hand on the plug.",
              "Let it cool ten minutes or more between tries: a warm inverter trips sooner.",
              "Write how it came back: by itself, by its button, or not at all.")
          .school("Each step of the label in its own time, as the label promises it.")
          .school("From the rating upwards, to see where it gives up.")
          .build();

  /** A surge that names no time is a start: common practice, no published source. */
  private static final double SURGE_SECONDS = 1;

  @Override
  public Declaration declaration() {
    return DECLARED;
  }

  @Override
  public Optional<TestSettings> settings(Label label, OnHand onHand) {
    return OverloadSettings.of(label, onHand);
  }

  @Override
  public TestSettings kept(RunSettings kept) {
    return OverloadSettings.kept(key(), kept);
  }

  @Override
  public TestRun worked(RunRecord record, Inquiry asked) {
    double rated = asked.ratedWatts();
    OverloadMethod method =
        record
            .meter(Channel.AC_POWER)
            .map(meter -> OverloadMethod.measuredWith(rated, meter))
            .orElseGet(() -> OverloadMethod.assumed(rated));
    Map<Double, CapturedTrip> caught = new TreeMap<>();
    for (StoredCapture kept : record.captures()) {
      CapturedTrip.in(kept.capture(), record.hertz()).ifPresent(t -> caught.put(kept.seconds(), t));
    }
    return new OverloadRun(
        record.kept(),
        record.byHand()
            ? OverloadLadder.byHand(
                record.trace(), record.pressed(), method.with(record.treatment()))
            : OverloadLadder.of(record.trace(), method.with(record.treatment()), caught),
        recovery(record));
  }

  /** How the output came back after its trips, a sentence each. */
  private static List<String> recovery(RunRecord record) {
    List<String> noticed =
        record.events(OverloadHolds.RECOVERY).stream().map(Event::words).toList();
    List<String> said =
        record.pressed().stream()
            .filter(
                p ->
                    p.is(
                        OperatorEvent.CAME_BACK,
                        OperatorEvent.CAME_BY_BUTTON,
                        OperatorEvent.LATCHED))
            .map(
                p ->
                    switch (p.press()) {
                      case CAME_BACK -> "It came back by itself.";
                      case CAME_BY_BUTTON -> "It came back by its button, not by itself.";
                      default -> "It latched off: neither time nor its button brought it back.";
                    })
            .toList();
    return noticed.isEmpty() ? said : noticed;
  }

  @Override
  public Optional<ClaimAnswer> answer(Claim claim, UnitFindings unit) {
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
  private static ClaimAnswer overload(Claim claim, List<OverloadFinding> tries, OverloadRun run) {
    double promised = claim.condition(Condition.Kind.FOR_SECONDS).orElse(SURGE_SECONDS);
    Claim time = promisedTime(claim);
    Endurance shown = Endurance.of(tries, claim.figure(), promised);
    String title = "Overload " + Figures.plain(claim.figure(), Unit.WATT);
    Optional<Figure> seconds =
        shown.seconds().map(s -> s.because(s.because().watching(run.recovery())));
    if (seconds.isEmpty()) {
      return ClaimAnswer.rigCannotShow(title, time, run, shown.reason());
    }
    return shown.shown() == Endurance.Shown.NOT_REACHED
        ? ClaimAnswer.rigCannotShow(title, time, run, seconds.get(), shown.reason())
        : new ClaimAnswer(
            title,
            time,
            run.run().id(),
            guard -> Verdict.judge(time, seconds.get(), guard).because(shown.reason()));
  }

  /** Watts promised for a time are a promise of that time, tested or not. */
  @Override
  public Claim judgedAs(Claim claim) {
    return claim.subject() == Subject.OVERLOAD
            && claim.condition(Condition.Kind.FOR_SECONDS).isPresent()
        ? promisedTime(claim)
        : claim;
  }

  private static Claim promisedTime(Claim claim) {
    return Claim.atLeast(
            Subject.OVERLOAD_TIME,
            claim.condition(Condition.Kind.FOR_SECONDS).orElse(SURGE_SECONDS),
            claim.printedAs())
        .under(new Condition(Condition.Kind.AT_LOAD, claim.figure()));
  }

  /** A load held for the surge's time is the least it can; one that tripped sooner the most. */
  private static ClaimAnswer surge(Claim claim, List<OverloadFinding> tries, OverloadRun run) {
    double seconds = claim.condition(Condition.Kind.FOR_SECONDS).orElse(SURGE_SECONDS);
    String title = "Surge, by a load";
    Optional<Figure> held = HeldLoad.heaviest(tries, seconds);
    Optional<Figure> gaveUp =
        HeldLoad.lightestTripped(tries, seconds).filter(t -> t.high() < claim.figure());
    if (gaveUp.isPresent()) {
      return ClaimAnswer.of(title, claim, run, gaveUp.get());
    }
    if (held.isEmpty()) {
      return ClaimAnswer.rigCannotShow(
          title, claim, run, Endurance.of(tries, claim.figure(), seconds).reason());
    }
    return held.get().low() >= claim.figure()
        ? ClaimAnswer.of(title, claim, run, held.get())
        : ClaimAnswer.rigCannotShow(
            title,
            claim,
            run,
            held.get(),
            "A surge is shown by a motor's start or a load that heavy. "
                + Endurance.of(tries, claim.figure(), seconds).reason());
  }

  /** A hold at the rating for ten minutes keeps it, a trip there or below breaks it. */
  private static ClaimAnswer continuous(Claim claim, List<OverloadFinding> tries, OverloadRun run) {
    Optional<Figure> tripped =
        ContinuousPower.tripped(tries).filter(t -> t.high() < claim.figure());
    Optional<Figure> held = ContinuousPower.held(tries);
    if (tripped.isPresent()) {
      return ClaimAnswer.of("Continuous power", claim, run, tripped.get());
    }
    return held.map(h -> ClaimAnswer.of(h.name(), claim, run, h))
        .orElseGet(
            () ->
                ClaimAnswer.rigCannotShow(
                    "Continuous power",
                    claim,
                    run,
                    Endurance.of(tries, claim.figure(), ContinuousPower.SECONDS).reason()));
  }
}
