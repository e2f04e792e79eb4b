package org.wiseember.bench.simulated;

import java.util.List;
import org.wiseember.core.supply.Alive;
import org.wiseember.core.supply.Pulls;
import org.wiseember.core.trace.Channel;
import org.wiseember.core.transfer.TransferGap;
import org.wiseember.core.waveform.Capture;

/**
 * A lamp and a computer on the simulated outlet, and somebody who counts what they do. They follow
 * the gap of each pull; of a pull whose gap cannot be told nothing is counted.
 */
final class WatchingEyes {
  static final List<Channel> CHANNELS =
      List.of(Channel.PULLS, Channel.LAMP_STEADY, Channel.COMPUTER_STAYED, Channel.AC_ALIVE);

  private int pulls;
  private int lampSteady;
  private int computerStayed;

  /** The plug was pulled. */
  void pulled(Capture capture, double hertz) {
    TransferGap.of(capture, hertz)
        .gap()
        .map(TransferGap::seconds)
        .ifPresent(
            gap -> {
              pulls++;
              lampSteady += gap <= Pulls.BLINK_SECONDS ? 1 : 0;
              computerStayed += gap <= Pulls.HOLD_UP_SECONDS ? 1 : 0;
            });
  }

  /** What is known by now, in the order of the channels; NaN for what was not looked at yet. */
  List<Double> read(SimulatedUnit unit, boolean charging) {
    boolean any = pulls > 0;
    return List.of(
        any ? (double) pulls : Double.NaN,
        any ? (double) lampSteady : Double.NaN,
        any ? (double) computerStayed : Double.NaN,
        charging ? (double) (unit.acVolts() > 1 ? Alive.ON : Alive.OFF).ordinal() : Double.NaN);
  }
}
