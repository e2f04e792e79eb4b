package org.wiseember.core.charge;

import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import org.wiseember.core.trace.Trace;

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

  /** The band of an inlet; empty where it was not logged. */
  public Optional<LimitBand> band(Inlet inlet) {
    return bands.stream().filter(b -> b.inlet() == inlet).findFirst();
  }
}
