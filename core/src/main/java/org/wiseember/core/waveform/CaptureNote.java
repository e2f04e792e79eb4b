package org.wiseember.core.waveform;

import org.wiseember.core.quantity.Figures;
import org.wiseember.core.quantity.Unit;

/**
 * What a capture is of.
 *
 * @param words what it is called
 * @param place where it was captured
 * @param loadWatts of the load at the outlet, W, 0 for none; NaN where nobody said
 */
public record CaptureNote(String words, CapturePlace place, double loadWatts) {
  /** A moment at the outlet, with no word of its load. */
  public static CaptureNote of(String words) {
    return new CaptureNote(words, CapturePlace.OUTPUT, Double.NaN);
  }

  /** The mains, for comparison. */
  public static CaptureNote ofMains() {
    return new CaptureNote("Mains", CapturePlace.MAINS, Double.NaN);
  }

  /** The unit's outlet under a load, W; 0 for none. */
  public static CaptureNote ofLoad(double watts) {
    return at(CapturePlace.OUTPUT, watts);
  }

  /** A place under a load, W; 0 for none, NaN where nobody said. */
  public static CaptureNote at(CapturePlace place, double watts) {
    String load =
        Double.isNaN(watts) ? "" : watts == 0 ? "No load" : Figures.plain(watts, Unit.WATT);
    String where = place.words();
    String words = load.isEmpty() ? where : where.isEmpty() ? load : load + ", " + where;
    return place == CapturePlace.MAINS
        ? ofMains()
        : new CaptureNote(
            Character.toUpperCase(words.charAt(0)) + words.substring(1), place, watts);
  }

  /** As it stands inside a sentence: {@code at 1 080 W}, {@code no load}, {@code the mains}. */
  public String inSentence() {
    if (mains()) {
      return "the mains";
    }
    if (loadWatts == 0 && words.equals(at(place, 0).words)) {
      return Character.toLowerCase(words.charAt(0)) + words.substring(1);
    }
    boolean figure = loadWatts > 0 && words.startsWith(Figures.plain(loadWatts, Unit.WATT));
    return figure ? "at " + words : words;
  }

  /** Whether it shows the mains and not the unit. */
  public boolean mains() {
    return place == CapturePlace.MAINS;
  }
}
