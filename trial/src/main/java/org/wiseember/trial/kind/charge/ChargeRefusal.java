package org.wiseember.trial.kind.charge;

import java.util.Optional;
import org.wiseember.core.charge.ChargeSource;
import org.wiseember.core.label.Label;
import org.wiseember.core.quantity.Figures;
import org.wiseember.core.solar.Arrangement;
import org.wiseember.core.solar.Port;
import org.wiseember.core.solar.SecondBattery;
import org.wiseember.trial.kind.LabelInputs;
import org.wiseember.trial.onhand.ChargeSetting;

/** Why a charge may not be made: only volts, and not knowing them, refuse one. */
public final class ChargeRefusal {
  /** The battery the bench has beside it. */
  static final SecondBattery BATTERY = SecondBattery.LITHIUM_24;

  private ChargeRefusal() {}

  /** One sentence; empty where nothing speaks against it. */
  public static Optional<String> of(Label label, ChargeSetting setting) {
    boolean sun = setting.sources().contains(ChargeSource.SOLAR);
    boolean battery = setting.sources().contains(ChargeSource.BATTERY);
    Optional<Port> port = LabelInputs.port(label);
    boolean supply = setting.sources().contains(ChargeSource.SUPPLY);
    if ((sun || battery || supply) && port.isEmpty()) {
      return Optional.of(
          "The label prints no volt window for a solar or DC input, so nothing can be said to be"
              + " safe there. Type it on the label first.");
    }
    if (sun && setting.panels().isEmpty()) {
      return Optional.of("No panels are chosen. Choose a way to wire them in the plan.");
    }
    if (sun && !setting.panels().get().allowed(port.get(), setting.site().coldestCelsius())) {
      return Optional.of(tooMany(setting.panels().get(), setting, port.get()));
    }
    if (battery && !BATTERY.allowed(port.get())) {
      return Optional.of(
          "A "
              + BATTERY.name()
              + " battery reaches "
              + Figures.plain(BATTERY.fullVolts())
              + " V, the port may see "
              + Figures.plain(port.get().mostVolts())
              + " V.");
    }
    return Optional.empty();
  }

  private static String tooMany(Arrangement panels, ChargeSetting setting, Port port) {
    double cold = setting.site().coldestCelsius();
    return "The panels ("
        + panels.words()
        + ") reach "
        + Figures.fixed(panels.coldVolts(cold), 1)
        + " V at "
        + Figures.plain(cold)
        + "\u00a0°C, the port of this unit may see "
        + Figures.plain(port.mostVolts())
        + " V. Choose another way in the plan.";
  }
}
