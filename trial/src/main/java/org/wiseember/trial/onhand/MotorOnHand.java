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
}
