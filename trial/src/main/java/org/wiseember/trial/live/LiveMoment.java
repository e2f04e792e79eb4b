package org.wiseember.trial.live;

import org.wiseember.bench.procedure.Procedure;
import org.wiseember.bench.run.RunView;
import org.wiseember.core.capacity.ExpectedEnd;
import org.wiseember.core.quantity.Figures;
import org.wiseember.core.trace.Channel;
import org.wiseember.core.trace.Frame;

/** A running test at one moment. */
public interface LiveMoment {
  Procedure procedure();

  /** The newest view; its frame is there. */
  RunView view();

  /** Wh so far. */
  double delivered();

  /** Charge on the display, %; NaN where nobody read it. */
  double displayCharge();

  /** The label's capacity, Wh; NaN where it has none. */
  double ratedWattHours();

  /** When it is expected to end. */
  ExpectedEnd expectedEnd();

  default Frame frame() {
    return view().latest();
  }

  /** A reading of the newest frame with so many decimals; a dash where there is none. */
  default String read(Channel channel, int decimals) {
    return Figures.fixed(frame().value(channel), decimals);
  }

  /** A reading of the newest frame with what it is; where there is none, that stands there. */
  default LiveTile.Now reading(Channel channel, int decimals, String what) {
    boolean read = !Double.isNaN(frame().value(channel));
    return new LiveTile.Now(read(channel, decimals), read ? what : "not read by the program");
  }

  /** Where the test is, in small letters. */
  default String phase() {
    return view().phase().words().toLowerCase(java.util.Locale.ROOT);
  }

  /** {@code 229.8 V, 2.61 A, 50.00 Hz}, or why there is nothing. */
  default String outlet() {
    double volts = frame().value(Channel.AC_VOLTAGE);
    if (Double.isNaN(volts)) {
      return frame().channels().contains(Channel.AC_VOLTAGE)
          ? "no answer"
          : "not read by the program";
    }
    return Figures.fixed(volts, 1)
        + " V, "
        + read(Channel.AC_CURRENT, 2)
        + " A, "
        + read(Channel.FREQUENCY, 2)
        + " Hz";
  }

  /** {@code 12.34 V, 8.70 A}, or why there is nothing. */
  default String port() {
    double volts = frame().value(Channel.DC_VOLTAGE);
    if (Double.isNaN(volts)) {
      return frame().channels().contains(Channel.DC_VOLTAGE)
          ? "no answer"
          : "not read by the program";
    }
    return Figures.fixed(volts, 2) + " V, " + read(Channel.DC_CURRENT, 2) + " A";
  }
}
