package org.wiseember.core.charge;

import java.util.Optional;
import org.wiseember.core.solar.Port;

/**
 * What a label says of the inputs, by which a limit of the unit is told from one of the source.
 *
 * @param dc the DC input; empty where the label does not say
 * @param mainsWatts from the wall; NaN where the label does not say
 * @param usbWatts through USB-C; NaN where the label does not say
 */
public record KnownInputs(Optional<Port> dc, double mainsWatts, double usbWatts) {
  public static final KnownInputs NOTHING =
      new KnownInputs(Optional.empty(), Double.NaN, Double.NaN);
}
