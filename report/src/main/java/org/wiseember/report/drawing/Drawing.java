package org.wiseember.report.drawing;

import org.wiseember.core.quantity.ReaderUnits;
import org.wiseember.report.plot.Plot;

/** What a chart shows, as data: screen and page draw the same. */
public interface Drawing {
  /**
   * It as marks on axes.
   *
   * @param scale of the text, 1 for its usual size
   */
  Plot plot(double scale);

  /** How high it stands on a printed page, CSS pixels. */
  default int height() {
    return 190;
  }

  /** The same in the units a reader likes; most charts have nothing a reader may choose. */
  default Drawing in(ReaderUnits units) {
    return this;
  }
}
