package org.wiseember.trial.kind.drain;

import java.util.Optional;
import org.wiseember.bench.procedure.Drain;
import org.wiseember.core.label.Label;
import org.wiseember.core.quantity.Figures;
import org.wiseember.core.quantity.Unit;
import org.wiseember.trial.kind.Declaration;
import org.wiseember.trial.kind.FromLabel;
import org.wiseember.trial.kind.TestSettings;
import org.wiseember.trial.onhand.OnHand;

/** A full unit emptied through its DC port. */
public final class DcDrainTest extends DrainTest {
  private static final Declaration DECLARED =
      declared(Drain.DC, "DC drain")
          .watts("DC power")
          .how(
              "As an AC drain, but with the tester on the 12 V port: it counts Wh, Ah and time.",
              "Measure the volts at the port and not behind thin leads: lead loss looks like a poorer unit.",
              "With an AC drain of the same unit it tells what the inverter loses.")
          .school("At 0.2 C it is the nearest to what is printed on cells.")
          .build();

  /** A port is loaded up to this share of its amps for hours. */
  private static final double PORT_SHARE = 0.9;

  private static final double C_RATE = 0.2;

  public DcDrainTest() {
    super(DECLARED, true);
  }

  /** 0.2 C, the rate of IEC 61960-3 (recalled from memory), as far as the port carries it. */
  @Override
  public Optional<TestSettings> settings(Label label, OnHand onHand) {
    if (label.ratedWattHours().isEmpty()) {
      return Optional.empty();
    }
    double wanted = C_RATE * label.ratedWattHours().orElseThrow();
    double amps = FromLabel.portAmps(label);
    double carried = PORT_SHARE * amps * FromLabel.PORT_VOLTS;
    double watts = Math.floor(Math.min(wanted, carried));
    String rate = "0.2 C is " + Figures.fixed(wanted, 0) + " W";
    return Optional.of(
        new DrainSettings(
            true,
            watts,
            FromLabel.PORT_VOLTS,
            wanted <= carried
                ? rate + ", the rate cells are rated at."
                : rate
                    + "; the 12 V port carries "
                    + Figures.plain(amps, Unit.AMPERE)
                    + ", so "
                    + Figures.plain(watts, Unit.WATT)
                    + " it is."));
  }
}
