package org.wiseember.core.typed;

import java.util.Optional;
import org.wiseember.core.quantity.ReaderUnits;

/**
 * What is known at the moment a reading is typed; NaN where nothing is.
 *
 * @param elapsedSeconds on the bench clock since the load went on
 * @param countedWattHours energy so far by the trace
 * @param ratedWattHours on the label
 * @param watts mean power of late
 * @param metered whether a meter reads them meanwhile; else they are what was typed or asked for,
 *     and any load may follow
 * @param lastTotal newest typed total of the same meter, Wh
 * @param lastClock newest typed clock, s
 * @param lastDisplay newest display charge, %
 * @param before the total of the same meter before this one, with when it was read; empty for none
 * @param reader what somebody means who writes no unit to a temperature or a weight
 */
public record Expected(
    double elapsedSeconds,
    double countedWattHours,
    double ratedWattHours,
    double watts,
    boolean metered,
    double lastTotal,
    double lastClock,
    double lastDisplay,
    ReaderUnits reader,
    Optional<TotalBefore> before) {
  /**
   * The total that was read before, for what cannot have gone out since.
   *
   * @param wattHours that stood there
   * @param seconds since then
   * @param mostWatts the most that was read, or that the label has; NaN where nobody knows
   */
  public record TotalBefore(double wattHours, double seconds, double mostWatts) {
    /** Watts a total asks for; 0 where it did not rise. */
    double watts(double now) {
      return seconds > 0 ? Math.max(0, now - wattHours) * 3600 / seconds : 0;
    }
  }

  /** Nothing is known. */
  public static Expected nothing() {
    double no = Double.NaN;
    return new Expected(no, no, no, no, true, no, no, no, ReaderUnits.AS_KEPT, Optional.empty());
  }

  public Expected elapsed(double seconds) {
    return new Expected(
        seconds,
        countedWattHours,
        ratedWattHours,
        watts,
        metered,
        lastTotal,
        lastClock,
        lastDisplay,
        reader,
        before);
  }

  public Expected counted(double wattHours) {
    return new Expected(
        elapsedSeconds,
        wattHours,
        ratedWattHours,
        watts,
        metered,
        lastTotal,
        lastClock,
        lastDisplay,
        reader,
        before);
  }

  public Expected rated(double wattHours) {
    return new Expected(
        elapsedSeconds,
        countedWattHours,
        wattHours,
        watts,
        metered,
        lastTotal,
        lastClock,
        lastDisplay,
        reader,
        before);
  }

  public Expected watts(double now) {
    return new Expected(
        elapsedSeconds,
        countedWattHours,
        ratedWattHours,
        now,
        metered,
        lastTotal,
        lastClock,
        lastDisplay,
        reader,
        before);
  }

  /** Typed by somebody who is used to these units. */
  public Expected by(ReaderUnits units) {
    return new Expected(
        elapsedSeconds,
        countedWattHours,
        ratedWattHours,
        watts,
        metered,
        lastTotal,
        lastClock,
        lastDisplay,
        units,
        before);
  }

  /** After these typed readings. */
  public Expected after(double total, double clock, double display) {
    return new Expected(
        elapsedSeconds,
        countedWattHours,
        ratedWattHours,
        watts,
        metered,
        total,
        clock,
        display,
        reader,
        before);
  }

  /** After a total that was read at a known moment. */
  public Expected since(TotalBefore total) {
    return new Expected(
        elapsedSeconds,
        countedWattHours,
        ratedWattHours,
        watts,
        metered,
        lastTotal,
        lastClock,
        lastDisplay,
        reader,
        Optional.of(total));
  }

  /** Where no meter reads watts beside what is typed. */
  public Expected unmetered() {
    return new Expected(
        elapsedSeconds,
        countedWattHours,
        ratedWattHours,
        watts,
        false,
        lastTotal,
        lastClock,
        lastDisplay,
        reader,
        before);
  }

  /** Energy by now from what is known: counted, else power times time; NaN where neither is. */
  double wattHoursByNow() {
    return Double.isNaN(countedWattHours) ? watts * elapsedSeconds / 3600 : countedWattHours;
  }
}
