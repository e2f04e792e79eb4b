package org.wiseember.trial;

import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import org.wiseember.core.figure.Because;
import org.wiseember.core.figure.Warning;
import org.wiseember.core.charge.Binding;
import org.wiseember.core.charge.ChargeFinding;
import org.wiseember.core.charge.ChargeLimits;
import org.wiseember.core.charge.Inlet;
import org.wiseember.core.display.TimeToFull;
import org.wiseember.core.solar.Harvest;
import org.wiseember.core.trace.Channel;
import org.wiseember.core.trace.Series;
import org.wiseember.core.trace.Trace;
import org.wiseember.core.trace.Treatment;
import org.wiseember.core.uncertainty.Estimate;
import org.wiseember.core.uncertainty.MeterClass;
import org.wiseember.workbook.Run;

/**
 * A charge and what it says.
 *
 * @param setting what it was charged from
 * @param limits what bound it; empty where nothing that goes in was read
 * @param shown the display's time to full against what happened; empty where nobody read it
 * @param harvest of panels brought to full light; empty without panels, or without their light
 * @param drained what the unit's last complete AC drain before it gave, Wh; empty for none
 * @param ratedWattHours on the label; NaN where it does not say
 */
public record ChargeRun(
    Run run,
    Trace trace,
    Treatment treatment,
    ChargeSetting setting,
    ChargeFinding finding,
    Optional<ChargeLimits> limits,
    Optional<TimeToFull> shown,
    Optional<Harvest> harvest,
    Optional<Estimate> drained,
    double ratedWattHours)
    implements TestRun {
  private static final double START_SECONDS = 60;

  /** Energy out over energy in between the same two states, %; empty without drain or end. */
  public Optional<Estimate> roundTrip() {
    if (drained.isEmpty() || finding.energyIn().isEmpty() || finding.timeToFull().isEmpty()) {
      return Optional.empty();
    }
    Estimate out = drained.get();
    Estimate in = finding.energyIn().get();
    double ratio = 100 * out.value() / in.value();
    return Optional.of(
        new Estimate(ratio, ratio * Math.hypot(out.u95() / out.value(), in.u95() / in.value())));
  }

  /** Peak watts over the label's watt-hours, 1/h; empty without either. */
  public Optional<Estimate> rate() {
    return finding
        .peakPower()
        .filter(p -> ratedWattHours > 0)
        .map(p -> p.scaled(1 / ratedWattHours));
  }

  /** What the display showed when it began, %; empty where nobody read it. */
  public OptionalDouble startCharge() {
    return atStart(Channel.DISPLAY_CHARGE);
  }

  /** Of the case when it began, °C; empty where it was not read. */
  public OptionalDouble startCelsius() {
    return atStart(Channel.CASE_TEMPERATURE);
  }

  private OptionalDouble atStart(Channel channel) {
    Series series = trace.series(channel);
    double value = series.nearest(finding.startTime(), START_SECONDS);
    return Double.isNaN(value) ? OptionalDouble.empty() : OptionalDouble.of(value);
  }

  /** Whether the source of an inlet bound at the moment of most watts, so that more may go in. */
  boolean rigBound(Inlet inlet) {
    return limits
        .flatMap(l -> l.band(inlet))
        .map(
            b ->
                b.seconds(Binding.AMPS) + b.seconds(Binding.WATTS) + b.seconds(Binding.SHARED_CAP)
                    < b.seconds(Binding.SOURCE))
        .orElse(false);
  }

  /** The most amps the DC input drew and held; empty where they were not read. */
  Optional<Estimate> mostAmps() {
    return limits
        .map(ChargeLimits::mostAmps)
        .filter(OptionalDouble::isPresent)
        .map(
            a ->
                new Estimate(
                    a.getAsDouble(),
                    run.settings()
                        .meterClass(Channel.IN_CURRENT)
                        .orElse(MeterClass.ofReading(2, 0, 0))
                        .halfWidth(a.getAsDouble())));
  }

  /** Whether amps were what bound the DC input for a while. */
  boolean ampsBound() {
    return limits
        .flatMap(l -> l.band(Inlet.DC))
        .map(b -> b.seconds(Binding.AMPS) >= START_SECONDS)
        .orElse(false);
  }

  /** What it says beyond its figures, a sentence each. */
  public List<String> words() {
    return ChargeWords.of(this);
  }

  @Override
  public Optional<Because> because() {
    return finding.because();
  }

  @Override
  public List<Warning> warnings() {
    return finding.warnings();
  }
}
