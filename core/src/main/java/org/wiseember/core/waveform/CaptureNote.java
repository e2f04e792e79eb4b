package org.wiseember.core.waveform;

import org.wiseember.core.quantity.Figures;
import org.wiseember.core.quantity.Unit;

/**
 * What a capture is of.
 *
 * @param words what it is called
 * @param mains whether it shows the mains and not the unit
 * @param loadWatts of the load at the outlet, W, 0 for none; NaN where nobody said
 */
public record CaptureNote(String words, boolean mains, double loadWatts) {
  /** A moment, with no word of its load. */
  public static CaptureNote of(String words) {
    return new CaptureNote(words, false, Double.NaN);
  }

  /** The mains, for comparison. */
  public static CaptureNote ofMains() {
    return new CaptureNote("Mains", true, Double.NaN);
  }

  /** The unit's outlet under a load, W; 0 for none. */
  public static CaptureNote ofLoad(double watts) {
    return new CaptureNote(watts == 0 ? "No load" : Figures.plain(watts, Unit.WATT), false, watts);
  }
}
