package org.wiseember.core.trace;

import org.wiseember.core.quantity.Unit;

/**
 * What a meter at a bench like ours can show. Instruments write numbers of their own where they
 * have no reading (9.91E37 by SCPI-1999, 9.9E37 where the range is exceeded, −99 999 or 65 535 by
 * habit), and files hold what a slip made of a figure: beyond these limits a number is no reading,
 * and counts as missing. The limits are wide, common practice, no published source: nothing that
 * was really read lies beyond them.
 */
public final class Plausible {
  /** What is smaller is no reading but a slip of bits; rounding leaves some 1e-14. */
  private static final double LEAST = 1e-30;

  private Plausible() {}

  /** Least and most that can be read of a channel, in its unit. */
  public record Range(double low, double high) {
    /** Whether a number is a reading. */
    public boolean holds(double value) {
      return value >= low && value <= high && (value == 0 || Math.abs(value) >= LEAST);
    }
  }

  /** The range of a channel. */
  public static Range of(Channel channel) {
    return switch (channel) {
      case FAN_STEP -> new Range(0, 100);
      case AC_ALIVE, DC_ALIVE, USB_ALIVE -> new Range(0, 2);
      case PULLS, LAMP_STEADY, COMPUTER_STAYED -> new Range(0, 10_000);
      default -> of(channel.unit());
    };
  }

  private static Range of(Unit unit) {
    return switch (unit) {
      case WATT, VOLT_AMPERE -> both(60_000);
      case VOLT -> both(2_000);
      case AMPERE -> both(5_000);
      // Plug meters count for years.
      case WATT_HOUR, AMPERE_HOUR -> new Range(-50_000, 1e8);
      case HERTZ -> new Range(0, 1_000);
      case CELSIUS -> new Range(-60, 500);
      case PERCENT -> new Range(0, 100);
      case MINUTE -> new Range(0, 60_000);
      case KILOGRAM -> new Range(0, 2_000);
      case SECOND -> new Range(0, 86_400);
      case LUX -> new Range(0, 200_000);
      case DECIBEL -> new Range(0, 200);
      default -> both(1e9);
    };
  }

  private static Range both(double most) {
    return new Range(-most, most);
  }

  /** Whether a number is a reading of a channel; a missing one is not. */
  public static boolean is(Channel channel, double value) {
    return of(channel).holds(value);
  }

  /** The same readings, those that are none counted as missing. */
  public static Trace readings(Trace trace) {
    return trace.within(Plausible::of);
  }
}
