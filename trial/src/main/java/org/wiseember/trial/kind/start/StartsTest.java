package org.wiseember.trial.kind.start;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.OptionalDouble;
import org.wiseember.bench.procedure.MotorStarts;
import org.wiseember.core.figure.Bound;
import org.wiseember.core.figure.Figure;
import org.wiseember.core.hand.OperatorEvent;
import org.wiseember.core.hand.TimedOperatorEvent;
import org.wiseember.core.label.Claim;
import org.wiseember.core.label.Group;
import org.wiseember.core.label.Label;
import org.wiseember.core.label.Subject;
import org.wiseember.core.quantity.Figures;
import org.wiseember.core.start.InrushReading;
import org.wiseember.core.start.MotorStart;
import org.wiseember.core.start.Nameplate;
import org.wiseember.core.start.StartSeries;
import org.wiseember.core.start.Surge;
import org.wiseember.core.trace.Channel;
import org.wiseember.core.trace.Series;
import org.wiseember.core.trace.Trace;
import org.wiseember.trial.kind.ClaimAnswer;
import org.wiseember.trial.kind.Declaration;
import org.wiseember.trial.kind.FromLabel;
import org.wiseember.trial.kind.Inquiry;
import org.wiseember.trial.kind.RunRecord;
import org.wiseember.trial.kind.ScopeClass;
import org.wiseember.trial.kind.TestRun;
import org.wiseember.trial.kind.TestSettings;
import org.wiseember.trial.kind.TestType;
import org.wiseember.trial.kind.Trait;
import org.wiseember.trial.kind.UnitFindings;
import org.wiseember.trial.onhand.MotorOnHand;
import org.wiseember.trial.onhand.OnHand;
import org.wiseember.workbook.Event;
import org.wiseember.workbook.RunSettings;
import org.wiseember.workbook.StoredCapture;

/** One motor started several times. */
public final class StartsTest implements TestType {
  private static final Declaration DECLARED =
      Declaration.of(MotorStarts.KIND, "Motor starts")
          .in(Group.POWER)
          .finds(StartsRun.class)
          .answers(Subject.SURGE)
          .being(Trait.HAZARDOUS, Trait.NOT_IN_LOGS, Trait.IN_CAPTURES, Trait.SEEN_BY_EYES)
          .asks(MotorOnHand.ASK)
          .how(
              "The motor you care about, cold, five times. The clamp in its inrush mode, or no clamp at all.",
              "Say at each whether it started, hummed or tripped. A first failure is tried again before it counts.",
              "Write whether a soft starter or a hard-start capacitor is fitted.")
          .school(
              "Volts × peak amps is what a label calls surge, but a weak source limits its own inrush.")
          .cannotByHand(
              "How it started is for your eyes; what it took needs a clamp with an inrush mode.")
          .build();

  /** Readings noted for one try lie within this of its outcome, s. */
  private static final double OF_A_TRY = 90;

  @Override
  public Declaration declaration() {
    return DECLARED;
  }

  @Override
  public Optional<TestSettings> settings(Label label, OnHand onHand) {
    Nameplate motor = MotorOnHand.of(onHand, FromLabel.volts(label));
    return Optional.of(
        new StartsSettings(
            Optional.of(motor),
            FromLabel.volts(label),
            "Five starts of "
                + motor.name()
                + " ("
                + motor.kind().words()
                + ", "
                + motor.eased().words()
                + ") with a minute between."));
  }

  @Override
  public TestSettings kept(RunSettings kept) {
    return new StartsSettings(StartsSettings.motor(kept.particulars()), kept.volts(), "");
  }

  /** Tries a scope caught; else those somebody saw, with what was noted beside them. */
  @Override
  public TestRun worked(RunRecord record, Inquiry asked) {
    Optional<Nameplate> motor = StartsSettings.motor(record.run().settings().particulars());
    List<StartsRun.Caught> caught = new ArrayList<>();
    for (StoredCapture kept : record.captures()) {
      caught.add(new StartsRun.Caught(kept, MotorStart.of(kept.capture(), record.hertz())));
    }
    List<StartSeries.Try> tries = new ArrayList<>();
    for (StartsRun.Caught c : caught) {
      c.start().ifPresent(s -> tries.add(StartSeries.Try.of(s, c.kept().words())));
    }
    if (tries.isEmpty()) {
      Trace treated = record.treated();
      for (Event e : record.events()) {
        outcome(e.code()).ifPresent(o -> tries.add(seen(o, e.seconds(), e.words(), treated)));
      }
      for (TimedOperatorEvent p : record.pressed()) {
        outcome(p.press())
            .ifPresent(o -> tries.add(seen(o, p.seconds(), "Seen: " + o.words() + ".", treated)));
      }
    }
    String name = motor.map(Nameplate::name).orElse("the motor");
    return new StartsRun(
        record.kept(),
        motor,
        tries.isEmpty()
            ? Optional.empty()
            : Optional.of(new StartSeries(name, tries, share(record))),
        caught);
  }

  /** Volts × amps are as unsure as both channels of the scope together. */
  private static double share(RunRecord record) {
    OptionalDouble scope = ScopeClass.of(record.run().settings());
    return scope.isPresent() ? Math.sqrt(2) * scope.getAsDouble() / 100 : StartSeries.USUAL_SHARE;
  }

  private static Optional<MotorStart.Outcome> outcome(OperatorEvent press) {
    return switch (press) {
      case STARTED -> Optional.of(MotorStart.Outcome.STARTED);
      case TRIPPED -> Optional.of(MotorStart.Outcome.TRIPPED);
      case STALLED -> Optional.of(MotorStart.Outcome.SAGGED);
      default -> Optional.empty();
    };
  }

  private static Optional<MotorStart.Outcome> outcome(String code) {
    String name =
        code.startsWith(MotorStarts.TRY)
            ? code.substring(MotorStarts.TRY.length()).toUpperCase(Locale.ROOT)
            : "";
    return Arrays.stream(MotorStart.Outcome.values())
        .filter(o -> o.name().equals(name))
        .findFirst();
  }

  private static StartSeries.Try seen(
      MotorStart.Outcome outcome, double at, String words, Trace trace) {
    double peak = near(trace.series(Channel.PEAK_CURRENT), at);
    double volts = near(trace.series(Channel.AC_VOLTAGE), at);
    return new StartSeries.Try(outcome, InrushReading.voltAmperes(volts, peak), peak, volts, words);
  }

  private static double near(Series s, double moment) {
    double found = Double.NaN;
    double nearest = OF_A_TRY;
    for (int i = 0; i < s.size(); i++) {
      double away = Math.abs(s.seconds(i) - moment);
      if (away <= nearest && s.value(i) > 0) {
        nearest = away;
        found = s.value(i);
      }
    }
    return found;
  }

  /**
   * A surge is shown by what a start took: the most that went is the least the unit can. One failed
   * start convicts nobody; several that all failed under less than the claim do.
   */
  @Override
  public Optional<ClaimAnswer> answer(Claim claim, UnitFindings unit) {
    List<StartsRun> runs = unit.of(StartsRun.class).filter(r -> r.series().isPresent()).toList();
    Optional<StartsRun> strongest =
        runs.stream()
            .filter(r -> r.series().orElseThrow().held().isPresent())
            .max(Comparator.comparingDouble(r -> r.series().orElseThrow().held().getAsDouble()));
    Optional<StartsRun> weakest =
        runs.stream()
            .filter(r -> r.series().orElseThrow().neverWent())
            .filter(r -> r.series().orElseThrow().failed().isPresent())
            .min(Comparator.comparingDouble(r -> r.series().orElseThrow().failed().getAsDouble()));
    Optional<Figure> held = strongest.flatMap(r -> Surge.held(r.series().orElseThrow()));
    Optional<Figure> failed =
        weakest
            .flatMap(r -> Surge.failed(r.series().orElseThrow()))
            .map(f -> Surge.asPrinted(f.bounded(Bound.AT_MOST)));
    String title = "Surge, by a start";
    boolean keeps = held.filter(h -> h.low() >= claim.figure()).isPresent();
    if (!keeps && failed.filter(f -> f.high() < claim.figure()).isPresent()) {
      return Optional.of(ClaimAnswer.of(title, claim, weakest.get(), failed.get()));
    }
    return held.map(
            h ->
                keeps
                    ? ClaimAnswer.of(title, claim, strongest.get(), Surge.asPrinted(h))
                    : ClaimAnswer.rigCannotShow(
                        title,
                        claim,
                        strongest.get(),
                        Surge.asPrinted(h),
                        "The motor took "
                            + Figures.fixed(h.value(), 0)
                            + " VA at most and started; a heavier one is needed to reach the claim."))
        .or(() -> runs.stream().reduce((a, b) -> b).map(r -> fewFailed(title, claim, r)));
  }

  private static ClaimAnswer fewFailed(String title, Claim claim, StartsRun run) {
    StartSeries series = run.series().orElseThrow();
    String why =
        series.started().count()
            + " started. A failed start is no verdict: try "
            + StartSeries.ENOUGH
            + " times, rested, and note what it took.";
    return Surge.failed(series)
        .map(f -> ClaimAnswer.rigCannotShow(title, claim, run, Surge.asPrinted(f), why))
        .orElseGet(() -> ClaimAnswer.rigCannotShow(title, claim, run, why));
  }
}
