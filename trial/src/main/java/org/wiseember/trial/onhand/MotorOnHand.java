package org.wiseember.trial.onhand;

import java.util.Optional;
import java.util.OptionalDouble;
import org.wiseember.core.start.Nameplate;

/** The motor a tester has to start. */
public final class MotorOnHand {
  /** An invented stall tool until one is named. */
  public static final Ask.Own<Nameplate> ASK =
      new Ask.Own<>(
          "motor",
          "Motor",
          Nameplate.class,
          new Nameplate(
              "Ice shaver",
              Nameplate.Kind.INDUCTION,
              230,
              2.4,
              OptionalDouble.empty(),
              Optional.empty(),
              OptionalDouble.empty(),
              Nameplate.Eased.NOTHING));

  private MotorOnHand() {}

  /**
   * The motor that is started: until one is named, one of the same power for the volts of the unit.
   *
   * @param volts of the outlet, V
   */
  public static Nameplate of(OnHand onHand, double volts) {
    Nameplate usual = ASK.usual();
    return onHand
        .given(ASK)
        .orElseGet(
            () ->
                new Nameplate(
                    usual.name(),
                    usual.kind(),
                    volts,
                    Math.rint(10 * usual.volts() * usual.amps() / volts) / 10,
                    usual.lockedRotorAmps(),
                    usual.code(),
                    usual.horsepower(),
                    usual.eased()));
  }
}
