package org.wiseember.trial;

import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import org.wiseember.core.port.UsbTester;
import org.wiseember.core.start.Nameplate;

/**
 * What a tester has to test with.
 *
 * @param loads watts on the plates of heaters and lamps
 * @param motor to start
 * @param usb what is asked of a USB port with
 * @param soundMetres how far from the unit the sound meter stands, m
 * @param charge what it is charged from
 */
public record OnHand(
    List<Double> loads, Nameplate motor, UsbTester usb, double soundMetres, ChargeSetting charge) {
  public OnHand {
    loads = List.copyOf(loads);
    if (!(soundMetres > 0)) {
      throw new IllegalArgumentException("a sound meter stands somewhere");
    }
  }

  /** These loads, and what most benches have beside them. */
  public static OnHand of(List<Double> loads) {
    return new OnHand(loads, usualMotor(), UsbTester.FIVE_VOLT, 1, ChargeSetting.WALL);
  }

  /** An invented stall tool. */
  public static Nameplate usualMotor() {
    return new Nameplate(
        "Ice shaver",
        Nameplate.Kind.INDUCTION,
        230,
        2.4,
        OptionalDouble.empty(),
        Optional.empty(),
        OptionalDouble.empty(),
        Nameplate.Eased.NOTHING);
  }

  public OnHand with(Nameplate other) {
    return new OnHand(loads, other, usb, soundMetres, charge);
  }

  public OnHand with(UsbTester other) {
    return new OnHand(loads, motor, other, soundMetres, charge);
  }

  public OnHand at(double metres) {
    return new OnHand(loads, motor, usb, metres, charge);
  }

  public OnHand with(ChargeSetting other) {
    return new OnHand(loads, motor, usb, soundMetres, other);
  }
}
