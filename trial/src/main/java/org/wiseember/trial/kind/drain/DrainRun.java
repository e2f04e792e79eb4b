package org.wiseember.trial.kind.drain;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.stream.Stream;
import org.wiseember.bench.procedure.Drain;
import org.wiseember.core.capacity.CapacityFinding;
import org.wiseember.core.capacity.ShutOff;
import org.wiseember.core.capacity.SteadyMean;
import org.wiseember.core.display.ChargeDisplay;
import org.wiseember.core.figure.Bound;
import org.wiseember.core.figure.Figure;
import org.wiseember.core.figure.Warning;
import org.wiseember.core.quantity.Figures;
import org.wiseember.core.trace.Channel;
import org.wiseember.core.trace.Series;
import org.wiseember.report.page.FindingPage;
import org.wiseember.trial.kind.StoredRun;
import org.wiseember.trial.kind.UnitFindings;
import org.wiseember.trial.kind.found.Drained;
import org.wiseember.workbook.Run;

/**
 * A drain and what it says.
 *
 * @param shutOff why the unit shut off, where it or the tester said so
 * @param startCharge what its display showed when it began or the tester said, %; empty where
 *     nobody knows
 * @param roomCelsius mean of the room, °C; empty where it was not read
 */
public record DrainRun(
    StoredRun kept,
    CapacityFinding finding,
    Optional<ShutOff> shutOff,
    OptionalDouble startCharge,
    Optional<ChargeDisplay> display,
    Optional<Figure> held,
    Optional<SteadyMean> volts,
    Optional<SteadyMean> hertz,
    OptionalDouble roomCelsius)
    implements Drained {
  /**
   * Whether it went from full to the cut-off, so that the figure is the unit's and not the
   * tester's. Where nobody knows how full it was, it is taken for full and says so.
   */
  @Override
  public boolean complete() {
    return fromFullToCutoff()
        && finding.deliveredEnergy().filter(e -> e.bound() == Bound.EXACT).isPresent();
  }

  /** Whether it was such a drain, however well its energy was read. */
  boolean fromFullToCutoff() {
    return startCharge.orElse(Drain.FULL_DISPLAY) >= Drain.FULL_DISPLAY
        && run().state() == Run.State.DONE
        && finding.reachesCutoff()
        && shutOff.map(ShutOff::ownLimit).orElse(true);
  }

  /** Whether it was taken on the DC side. */
  @Override
  public boolean direct() {
    return run().kind().equals(Drain.DC)
        || (finding.deliveredEnergy().isPresent() && !finding.alternatingCurrent());
  }

  /** Mean watts under load, by those that were read where nobody knows the time; 0 for none. */
  @Override
  public double meanWatts() {
    return finding.meanPower().or(() -> held).map(Figure::value).orElse(0.0);
  }

  /** Its charge display against the energy it counted. */
  public Optional<ChargeDisplay> chargeDisplay() {
    return complete() ? display : Optional.empty();
  }

  @Override
  public List<Figure> figures() {
    return finding.figures();
  }

  @Override
  public FindingPage page(UnitFindings unit) {
    return FindingPage.of(
            Stream.of(
                    finding.deliveredEnergy(),
                    finding.deliveredCharge(),
                    finding.yield(),
                    finding.meanPower(),
                    finding.duration())
                .flatMap(Optional::stream)
                .toList())
        .say(chargeDisplay().map(ChargeDisplay::words).stream().toList());
  }

  /** A complete drain gives what the unit holds, by the side it was taken on. */
  @Override
  public List<Figure> offered() {
    if (!complete()) {
      return List.of();
    }
    Figure energy = finding.deliveredEnergy().orElseThrow();
    return List.of(energy.as(direct() ? "usable_dc_energy" : "usable_ac_energy", energy.name()));
  }

  @Override
  public Series watts() {
    Series watts = direct() ? directWatts() : trace().series(Channel.AC_POWER);
    return watts.size() > 1 ? watts : betweenTotals();
  }

  /** Where only totals were noted: the mean power between each and the next, as steps. */
  private Series betweenTotals() {
    Series total = trace().series(Channel.AC_ENERGY);
    double[] seconds = new double[Math.max(0, total.size() - 1) * 2];
    double[] watts = new double[seconds.length];
    for (int i = 1; i < total.size(); i++) {
      double hours = (total.seconds(i) - total.seconds(i - 1)) / 3600;
      double mean = hours > 0 ? Math.max(0, total.value(i) - total.value(i - 1)) / hours : 0;
      seconds[2 * i - 2] = total.seconds(i - 1);
      seconds[2 * i - 1] = total.seconds(i);
      watts[2 * i - 2] = mean;
      watts[2 * i - 1] = mean;
    }
    return Series.of(seconds, watts);
  }

  @Override
  public OptionalDouble end() {
    return finding.reachesCutoff() ? OptionalDouble.of(finding.endTime()) : OptionalDouble.empty();
  }

  @Override
  public String caption() {
    String mean =
        finding.meanPower().map(w -> Figures.fixed(w.value(), 0) + " W mean, ").orElse("");
    String room =
        roomCelsius.isPresent()
            ? ", room " + Figures.fixed(roomCelsius.getAsDouble(), 0) + "\u00a0°C"
            : "";
    String ended =
        finding
            .duration()
            .map(
                d ->
                    (complete() ? "shut off after " : "followed for ")
                        + Figures.duration(d.value()))
            .orElse("");
    return mean + ended + room;
  }

  @Override
  public boolean treatable() {
    return true;
  }

  @Override
  public boolean throughLeads() {
    return direct();
  }

  @Override
  public List<Warning> warnings() {
    List<Warning> all = new ArrayList<>(finding.warnings());
    shutOff.map(ShutOff::warning).ifPresent(all::add);
    if (startCharge.isEmpty() && finding.deliveredEnergy().isPresent()) {
      all.add(
          new Warning(
              "start_unknown",
              "Nobody noted that the unit was full when this drain began; it is judged as if it"
                  + " was. Note the display at the start."));
    }
    return all;
  }
}
