package org.wiseember.bench.connect;

import java.io.IOException;
import java.util.List;
import java.util.Optional;
import org.wiseember.bench.instrument.InstrumentDescription;
import org.wiseember.bench.instrument.LoadSwitch;
import org.wiseember.bench.instrument.StillOn;

/** Switches off a load that was left on, over a connection of its own. */
public final class LoadOff {
  private LoadOff() {}

  /**
   * Switches it off and asks whether it is. Blocks for up to a few seconds.
   *
   * @return what is still on; empty once the instrument says that it is off
   */
  public static Optional<StillOn> of(InstrumentDescription instrument) {
    LoadSwitch load = instrument.load().orElseThrow();
    try (Driver driver = Drivers.open(instrument, false)) {
      driver.send(List.of(load.off()));
      return driver.loadIsOn()
          ? Optional.of(new StillOn(instrument, "it says that its load is on"))
          : Optional.empty();
    } catch (IOException | RuntimeException e) {
      return Optional.of(new StillOn(instrument, Drivers.words(e)));
    }
  }
}
