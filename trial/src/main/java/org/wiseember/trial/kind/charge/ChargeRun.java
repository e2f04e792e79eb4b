package org.wiseember.trial.kind.charge;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.stream.Stream;
import org.wiseember.core.charge.ChargeFinding;
import org.wiseember.core.charge.ChargeLimits;
import org.wiseember.core.charge.ChargeParts;
import org.wiseember.core.charge.ChargeRate;
import org.wiseember.core.charge.Inlet;
import org.wiseember.core.charge.LimitingFactor;
import org.wiseember.core.charge.MostAmps;
import org.wiseember.core.display.TimeToFull;
import org.wiseember.core.figure.Figure;
import org.wiseember.core.figure.Warning;
import org.wiseember.core.quantity.Figures;
import org.wiseember.core.quantity.Unit;
import org.wiseember.core.solar.Harvest;
import org.wiseember.core.solar.Port;
import org.wiseember.core.trace.Channel;
import org.wiseember.core.trace.Series;
import org.wiseember.core.uncertainty.AssumedMeter;
import org.wiseember.report.page.FindingPage;
import org.wiseember.trial.kind.LabelInputs;
import org.wiseember.trial.kind.StartCharge;
import org.wiseember.trial.kind.StoredRun;
import org.wiseember.trial.kind.UnitFindings;
import org.wiseember.trial.kind.found.Charged;
import org.wiseember.trial.kind.found.InputWindowPicture;
import org.wiseember.trial.onhand.ChargeSetting;

/**
 * A charge and what it says.
 *
 * @param setting what it was charged from
 * @param limits what bound it; empty where nothing that goes in was read
 * @param shown the display's time to full against what happened; empty where nobody read it
 * @param shownEighty when the display came to 80 %; empty where nobody read it
 * @param harvest of panels brought to full light; empty without panels, or without their light
 * @param roundTrip against the last complete AC drain before it, %; empty without drain or end
 * @param startCharge what the display showed when it began, %; empty where nobody read it
 * @param startCelsius of the case when it began, °C; empty where it was not read
 * @param ratedWattHours on the label; NaN where it does not say
 * @param fan at which watts its fan was noted to turn, one sentence; empty for not noted
 */
public record ChargeRun(
    StoredRun kept,
    ChargeSetting setting,
    ChargeFinding finding,
    Optional<ChargeLimits> limits,
    Optional<TimeToFull> shown,
    Optional<Figure> shownEighty,
    Optional<Harvest> harvest,
    Optional<Figure> roundTrip,
    OptionalDouble startCharge,
    OptionalDouble startCelsius,
    double ratedWattHours,
    Optional<String> fan)
    implements Charged {
  private static final double START_SECONDS = 60;

  private static final double HALF_FULL = 50;

  /** Of the rated energy: where this went in it began about half full, whatever was lost. */
  private static final double LARGE_SHARE = 0.6;

  /** Peak watts over the label's watt-hours, 1/h; empty without either. */
  public Optional<Figure> rate() {
    return finding
        .peakPower()
        .filter(p -> ratedWattHours > 0)
        .map(p -> ChargeRate.of(p, ratedWattHours));
  }

  /** Whether it is known to have begun empty, so that its times are those of a whole charge. */
  @Override
  public boolean fromEmpty() {
    return startCharge.isPresent() && startCharge.getAsDouble() <= StartCharge.EMPTY;
  }

  /**
   * Whether it began so far below full that it shows the most the unit takes: known to be no more
   * than half full, by the display or by what went in, or seen at full power for a while before it
   * fell.
   */
  boolean showsItsMost() {
    return startCharge.orElse(100) <= HALF_FULL
        || finding.energyIn().filter(e -> e.value() >= LARGE_SHARE * ratedWattHours).isPresent()
        || finding.taperStart().filter(t -> t.value() >= 2 * START_SECONDS).isPresent();
  }

  /**
   * Whether the unit itself was seen to bind an inlet for a while, by its amps, its watts or a cap
   * of all inputs; where nothing shows that, a larger source might put in more.
   */
  boolean unitBound(Inlet inlet) {
    return setting.atFastest() && boundBy(inlet);
  }

  private boolean boundBy(Inlet inlet) {
    return limits
        .flatMap(l -> l.band(inlet))
        .map(
            b -> {
              double unit =
                  b.seconds(LimitingFactor.AMPS)
                      + b.seconds(LimitingFactor.WATTS)
                      + b.seconds(LimitingFactor.SHARED_CAP);
              return unit >= START_SECONDS && unit >= b.seconds(LimitingFactor.SOURCE);
            })
        .orElse(false);
  }

  /** Whether all inputs together came to what the unit takes of them. */
  boolean capped() {
    return setting.atFastest()
        && limits.stream()
            .flatMap(l -> l.bands().stream())
            .anyMatch(b -> b.seconds(LimitingFactor.SHARED_CAP) >= START_SECONDS);
  }

  /** The most amps the DC input drew and held; empty where they were not read. */
  Optional<Figure> mostAmps() {
    return limits
        .map(ChargeLimits::mostAmps)
        .filter(OptionalDouble::isPresent)
        .map(
            a ->
                MostAmps.of(
                    a.getAsDouble(),
                    run()
                        .settings()
                        .meterClass(Channel.IN_CURRENT)
                        .orElseGet(() -> AssumedMeter.of(Unit.AMPERE)),
                    ampsBound()));
  }

  /** Whether amps were what bound the DC input for a while. */
  boolean ampsBound() {
    return setting.atFastest()
        && limits
            .flatMap(l -> l.band(Inlet.DC))
            .map(b -> b.seconds(LimitingFactor.AMPS) >= START_SECONDS)
            .orElse(false);
  }

  /** What it says beyond its figures, a sentence each. */
  public List<String> words() {
    return ChargeWords.of(this);
  }

  @Override
  public List<Figure> figures() {
    List<Figure> all = new ArrayList<>(finding.figures());
    roundTrip.ifPresent(all::add);
    rate().ifPresent(all::add);
    mostAmps().ifPresent(all::add);
    shownEighty.ifPresent(all::add);
    harvest.ifPresent(h -> all.addAll(List.of(h.scaled(), h.ofPlate())));
    return all;
  }

  @Override
  public FindingPage page(UnitFindings unit) {
    FindingPage page =
        FindingPage.of(
            Stream.of(
                    finding.energyIn(),
                    finding.peakPower(),
                    finding.timeTo80(),
                    finding.timeToFull(),
                    roundTrip,
                    harvest.map(Harvest::scaled))
                .flatMap(Optional::stream)
                .toList());
    if (finding.energyIn().isEmpty()) {
      return page.say(words());
    }
    page = page.chart("Profile", "This charge over time", ChargePicture.of(this));
    List<ChargeRun> all =
        unit.of(ChargeRun.class).filter(r -> r.finding().energyIn().isPresent()).toList();
    if (all.size() > 1) {
      page = page.chart("Profile", "All charges, by energy in", ChargePicture.allOf(all));
    }
    Optional<Port> window =
        limits.flatMap(l -> l.band(Inlet.DC)).flatMap(b -> LabelInputs.port(unit.label()));
    if (window.isPresent()) {
      page = page.chart("Profile", "Input window", InputWindowPicture.of(window.get(), this));
    }
    return page.table(List.of("Charge", ""), rows()).say(words());
  }

  private List<List<String>> rows() {
    return figures().stream()
        .filter(f -> f.unit() != Unit.ONE)
        .map(
            f ->
                List.of(
                    f.name(),
                    f.unit() == Unit.SECOND
                        ? f.bound().sign() + Figures.duration(f.value())
                        : f.words()))
        .toList();
  }

  @Override
  public Series watts() {
    return ChargeParts.of(trace()).whole();
  }

  @Override
  public List<Warning> warnings() {
    return finding.warnings();
  }
}
