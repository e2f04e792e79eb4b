package org.wiseember.trial.kind.idle;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.wiseember.bench.procedure.IdleState;
import org.wiseember.bench.procedure.IdleWatch;
import org.wiseember.core.figure.Figure;
import org.wiseember.core.figure.Repeats;
import org.wiseember.core.idle.IdleDraw;
import org.wiseember.core.idle.IdleFinding;
import org.wiseember.core.idle.IdleMethod;
import org.wiseember.core.label.Claim;
import org.wiseember.core.label.Group;
import org.wiseember.core.label.Label;
import org.wiseember.core.label.Subject;
import org.wiseember.core.trace.Trace;
import org.wiseember.core.trace.Treatment;
import org.wiseember.trial.kind.ClaimAnswer;
import org.wiseember.trial.kind.Declaration;
import org.wiseember.trial.kind.DirectMeters;
import org.wiseember.trial.kind.FromLabel;
import org.wiseember.trial.kind.Inquiry;
import org.wiseember.trial.kind.LikeRuns;
import org.wiseember.trial.kind.RunRecord;
import org.wiseember.trial.kind.TestRun;
import org.wiseember.trial.kind.TestSettings;
import org.wiseember.trial.kind.TestType;
import org.wiseember.trial.kind.Trait;
import org.wiseember.trial.kind.UnitFindings;
import org.wiseember.trial.onhand.OnHand;
import org.wiseember.workbook.Event;
import org.wiseember.workbook.RunSettings;

/** What a unit draws at rest, output by output. */
public final class IdleTest implements TestType {
  private static final Declaration DECLARED =
      Declaration.of(IdleWatch.KIND, "Idle draw")
          .in(Group.IDLE)
          .finds(IdleRun.class)
          .answers(Subject.IDLE, Subject.IDLE_CURRENT, Subject.STANDBY)
          .being(Trait.RESTS_ON_OTHERS)
          .watts("DC power")
          .how(
              "Nothing plugged in. Read for some minutes in each state: everything off, AC on, DC on, the radio on.",
              "A clamp is zeroed first. Without one, leave it for hours and read the charge that is lost.",
              "A fan or an eco mode that comes and goes wants a longer look.")
          .school("By clamp or shunt: at once, but near the end of its digits.")
          .school("By charge lost: slow and coarse, and it misses nothing.")
          .cannotByHand(
              "The watts take a clamp or shunt on the battery's lead; without one, the charge shown now and hours later tells them roughly.")
          .build();

  @Override
  public Declaration declaration() {
    return DECLARED;
  }

  @Override
  public Optional<TestSettings> settings(Label label, OnHand onHand) {
    return Optional.of(
        new IdleSettings(
            FromLabel.volts(label),
            "Ten minutes each with all outputs on, each alone, eco mode, and all off."));
  }

  @Override
  public TestSettings kept(RunSettings kept) {
    return new IdleSettings(kept.volts(), "");
  }

  @Override
  public TestRun worked(RunRecord record, Inquiry asked) {
    IdleMethod method =
        new IdleMethod(
            DirectMeters.of(record.run().settings()), asked.usableWattHours(), Treatment.NONE);
    Trace trace = record.trace();
    Trace treated = record.treated();
    List<Event> begins = record.events(IdleWatch.STATE);
    double last = trace.isEmpty() ? 0 : trace.seconds(trace.size() - 1);
    List<IdleRun.InState> states = new ArrayList<>();
    if (begins.isEmpty()) {
      double first = trace.isEmpty() ? 0 : trace.seconds(0);
      states.add(state(Optional.empty(), first, last, IdleDraw.of(treated, method)));
    }
    for (int i = 0; i < begins.size(); i++) {
      double from = begins.get(i).seconds();
      boolean more = i + 1 < begins.size();
      double to = more ? begins.get(i + 1).seconds() : last;
      Trace part = more ? treated.between(from, to) : treated.from(from);
      states.add(
          state(IdleState.byKey(begins.get(i).detail()), from, to, IdleDraw.of(part, method)));
    }
    return new IdleRun(record.kept(), states);
  }

  /** The figures of one state, told apart by its words. */
  private static IdleRun.InState state(
      Optional<IdleState> state, double from, double to, IdleFinding f) {
    String words = IdleRun.InState.words(state);
    return new IdleRun.InState(
        state,
        from,
        to,
        new IdleFinding(
            f.power().map(p -> p.named(p.name() + ", " + words)),
            f.current().map(c -> c.named(c.name() + ", " + words)),
            f.hours().map(h -> h.named(h.name() + ", " + words)),
            f.way(),
            f.from(),
            f.to(),
            f.warnings()));
  }

  @Override
  public Optional<ClaimAnswer> answer(Claim claim, UnitFindings unit) {
    List<IdleRun> runs = unit.of(IdleRun.class).toList();
    String name =
        claim.subject() == Subject.STANDBY
            ? "Standby draw, "
            : claim.subject() == Subject.IDLE_CURRENT ? "Idle amps, " : "Idle draw, ";
    return runs.stream()
        .filter(r -> figure(claim, r).isPresent())
        .reduce((a, b) -> b)
        .flatMap(
            newest ->
                LikeRuns.of(
                    newest, runs, r -> Double.NaN, r -> figure(claim, r), Repeats.WHOLE_TEST))
        .map(
            l ->
                ClaimAnswer.of(
                    name + state(claim, l.run()).orElseThrow().words(),
                    claim,
                    l.run(),
                    l.figure()));
  }

  private static Optional<IdleRun.InState> state(Claim claim, IdleRun run) {
    return claim.subject() == Subject.STANDBY ? run.in(IdleState.ALL_OFF) : run.forLabel();
  }

  private static Optional<Figure> figure(Claim claim, IdleRun run) {
    return state(claim, run)
        .flatMap(
            s ->
                claim.subject() == Subject.IDLE_CURRENT
                    ? s.finding().current()
                    : s.finding().power());
  }
}
