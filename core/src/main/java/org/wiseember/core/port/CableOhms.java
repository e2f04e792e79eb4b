package org.wiseember.core.port;

import java.util.Optional;
import org.wiseember.core.figure.Because;
import org.wiseember.core.figure.Figure;
import org.wiseember.core.quantity.Figures;
import org.wiseember.core.quantity.Unit;
import org.wiseember.core.uncertainty.Budget;
import org.wiseember.core.uncertainty.Contribution;
import org.wiseember.core.uncertainty.MeterClass;

/** The resistance of a cable from the volts before and behind it at one current (Ohm's law). */
public final class CableOhms {
  private CableOhms() {}

  /**
   * Works it out.
   *
   * @param before at the port, V
   * @param behind the cable, V
   * @param amps through it, A
   * @param volts class of the voltmeter, one and the same at both ends
   * @param step the volts were read in, V
   * @param ammeter class of the ammeter
   * @return Ω; empty where no current flowed
   */
  public static Optional<Figure> of(
      double before,
      double behind,
      double amps,
      double step,
      MeterClass volts,
      MeterClass ammeter) {
    if (!(amps > 0)) {
      return Optional.empty();
    }
    double lost = before - behind;
    double ohms = lost / amps;
    // The scale of one meter is in both readings alike; only the difference carries it. Its range
    // and its last digits are in each reading by themselves.
    MeterClass scale = MeterClass.ofReading(volts.percentOfReading(), 0, 0);
    MeterClass each =
        new MeterClass(
            0, volts.percentOfRange(), volts.range(), volts.resolution(), volts.digits());
    Budget budget =
        Budget.of()
            .with("Voltmeter, of the difference", scale, lost, 1 / amps)
            .with("Voltmeter at the port", each, 0, 1 / amps)
            .with("Voltmeter behind the cable", each, 0, 1 / amps)
            .with(Contribution.rectangular("Volts at the port, last digit", step / 2 / amps))
            .with(Contribution.rectangular("Volts behind the cable, last digit", step / 2 / amps))
            .with("Ammeter", ammeter, amps, ohms / amps);
    return Optional.of(
        Figure.of(
            "cable_resistance",
            "Cable, both wires",
            ohms,
            Unit.OHM,
            Because.of(
                    budget,
                    "("
                        + Figures.plain(before, Unit.VOLT)
                        + " − "
                        + Figures.plain(behind, Unit.VOLT)
                        + ") ÷ "
                        + Figures.plain(amps, Unit.AMPERE)
                        + " = "
                        + Figures.withUnit(Figures.fixed(ohms, 3), Unit.OHM))
                .summed(
                    Figures.withUnit(Figures.fixed(lost * amps, 1), Unit.WATT)
                        + " stay in the cable")
                .watching(
                    "Plugs are part of it: turn them in their sockets and read again.",
                    "It holds where one and the same meter read both ends.")));
  }
}
