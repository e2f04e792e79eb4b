package org.wiseember.core.charge;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import org.wiseember.core.figure.Because;
import org.wiseember.core.figure.Figure;
import org.wiseember.core.quantity.Figures;
import org.wiseember.core.quantity.Unit;
import org.wiseember.core.trace.Trace;
import org.wiseember.core.uncertainty.Budget;
import org.wiseember.core.uncertainty.Contribution;

/**
 * What limited a charge, inlet by inlet.
 *
 * @param bands one an inlet that was logged
 * @param derating by warmth; empty where there was none
 * @param coldUntil temperature of the case at which a unit too cold to charge began, °C; empty
 *     where it was not too cold, not finite where it never began
 * @param mostAmps the DC input drew and held, A; empty where they were not logged
 * @param sharing of several sources; empty where only one was on
 */
public record ChargeLimits(
    List<LimitBand> bands,
    Optional<Derating> derating,
    OptionalDouble coldUntil,
    OptionalDouble mostAmps,
    Optional<Sharing> sharing) {
  /** A cap is no surer than this share. */
  private static final double CAP_SHARE = 0.02;

  public ChargeLimits {
    bands = List.copyOf(bands);
  }

  /**
   * Works them out.
   *
   * @param charge what was found of the same log
   * @return empty where nothing that goes in was logged
   */
  public static Optional<ChargeLimits> of(Trace trace, ChargeFinding charge, KnownInputs known) {
    Optional<Inputs> inputs = Inputs.of(trace);
    if (inputs.isEmpty() || charge.energyIn().isEmpty()) {
      return Optional.empty();
    }
    OptionalDouble knee =
        charge
            .taperStart()
            .map(t -> OptionalDouble.of(charge.startTime() + t.value()))
            .orElse(OptionalDouble.empty());
    LimitFinder finder = new LimitFinder(trace, inputs.get(), known, knee);
    List<LimitBand> bands = finder.find();
    return Optional.of(
        new ChargeLimits(
            bands,
            finder.derating(),
            finder.coldUntil(),
            finder.mostAmps(),
            Sharing.of(inputs.get(), bands, Fullness.of(trace, inputs.get()).from())));
  }

  /** Where warmth begins to hold it back, and the cap several sources share, as far as seen. */
  public List<Figure> figures() {
    List<Figure> all = new ArrayList<>();
    derating
        .filter(d -> d.fromCelsius().isPresent())
        .ifPresent(d -> all.add(deratesFrom(d.fromCelsius().getAsDouble())));
    sharing
        .filter(s -> s.cap().isPresent())
        .ifPresent(s -> all.add(sharedCap(s.cap().getAsDouble())));
    return all;
  }

  private static Figure deratesFrom(double celsius) {
    return Figure.of(
        "derates_from",
        "Warmth holds it back from",
        celsius,
        Unit.CELSIUS,
        Because.of(
                Budget.of(Contribution.wholeWidth("Where a slow fall begins", Derating.UNSURE)),
                "Case when the power began to follow its warmth = "
                    + Figures.fixed(celsius, 0)
                    + "\u00a0°C")
            .summed("of the case"));
  }

  private static Figure sharedCap(double watts) {
    return Figure.of(
        "shared_cap",
        "All sources together, at most",
        watts,
        Unit.WATT,
        Because.of(
                Budget.of(Contribution.wholeWidth("Level of the sum", CAP_SHARE * watts)),
                "Sum of the inputs while one of them gave way = " + Figures.fixed(watts, 0) + " W")
            .summed("where one source gave way to another"));
  }

  /** The band of an inlet; empty where it was not logged. */
  public Optional<LimitBand> band(Inlet inlet) {
    return bands.stream().filter(b -> b.inlet() == inlet).findFirst();
  }
}
