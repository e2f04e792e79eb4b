package org.wiseember.trial;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.wiseember.core.figure.Because;
import org.wiseember.core.figure.Warning;
import org.wiseember.core.quantity.Figures;
import org.wiseember.core.quantity.Unit;
import org.wiseember.core.start.MotorStart;
import org.wiseember.core.start.Nameplate;
import org.wiseember.core.start.StartPower;
import org.wiseember.core.start.StartSeries;
import org.wiseember.core.start.Wilson;
import org.wiseember.core.trace.Trace;
import org.wiseember.core.trace.Treatment;
import org.wiseember.core.uncertainty.Budget;
import org.wiseember.workbook.KeptCapture;
import org.wiseember.workbook.Run;

/**
 * Starts of one motor and what they say.
 *
 * @param motor that was started; empty where nobody said
 * @param series of tries; empty where none was seen
 * @param captures of the tries a scope caught, with what they show where they show it
 */
public record StartsRun(
    Run run,
    Trace trace,
    Treatment treatment,
    Optional<Nameplate> motor,
    Optional<StartSeries> series,
    List<Caught> captures)
    implements TestRun {
  /** A capture and what it shows. */
  public record Caught(KeptCapture kept, Optional<MotorStart> start) {}

  public StartsRun {
    captures = List.copyOf(captures);
  }

  @Override
  public Optional<Because> because() {
    return series.map(this::because);
  }

  private Because because(StartSeries s) {
    Wilson w = s.started();
    List<String> sum = new ArrayList<>();
    for (int i = 0; i < s.tries().size(); i++) {
      StartSeries.Try t = s.tries().get(i);
      sum.add(
          "Try "
              + (i + 1)
              + ": "
              + t.outcome().words()
              + (Double.isNaN(t.peakAmps())
                  ? ""
                  : ", peak " + Figures.fixed(t.peakAmps(), 1) + " A")
              + (Double.isNaN(t.voltAmperes())
                  ? ""
                  : ", " + Figures.fixed(t.voltAmperes(), 0) + " VA"));
    }
    sum.add(w.count() + " by Wilson's interval: " + w.percent());
    captures.stream()
        .flatMap(c -> c.start().stream())
        .filter(c -> !Double.isNaN(c.sourceOhms()))
        .findFirst()
        .ifPresent(
            c ->
                sum.add(
                    "The source gave way by "
                        + Figures.plain(Math.rint(1000 * c.sourceOhms()) / 1000)
                        + " Ω; from a stiff one it would take "
                        + Figures.fixed(c.stiffAmps(), 1)
                        + " A"));
    motor.ifPresent(
        m ->
            StartPower.of(m)
                .ways()
                .forEach(
                    way ->
                        sum.add(
                            "Plate: "
                                + way.words()
                                + " = "
                                + Figures.fixed(way.low(), 0)
                                + " to "
                                + Figures.fixed(way.high(), 0)
                                + " VA")));
    List<String> watch = new ArrayList<>();
    if (!s.watchOut().isEmpty()) {
      watch.add(s.watchOut());
    }
    watch.add("A weak source limits its own inrush: a lower peak here is no gentler motor.");
    motor
        .filter(m -> m.eased() != Nameplate.Eased.NOTHING)
        .ifPresent(
            m -> watch.add("With " + m.eased().words() + "; without it the answer differs."));
    return new Because(
        "Starts of " + s.motor(),
        w.count(),
        w.percent() + " in the long run",
        sum,
        Unit.ONE,
        new Budget(List.of()),
        watch,
        "Some call a unit able after one start, some not able after one failure. The count and its"
            + " interval keep both honest.");
  }

  @Override
  public List<Warning> warnings() {
    return series.isEmpty()
        ? List.of(new Warning("no_tries", "No try was seen; say how each went while it runs."))
        : series.get().watchOut().isEmpty()
            ? List.of()
            : List.of(new Warning("few_tries", series.get().watchOut()));
  }
}
