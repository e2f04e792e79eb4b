package org.wiseember.report.plot;

import java.util.List;

/**
 * Panels one above the other over a common axis.
 *
 * @param keys which line is which; empty where that is said elsewhere
 * @param nameAtEnd whether a name stands at the very end of the axis and reaches beyond it
 */
public record Plot(Axis across, List<Panel> panels, List<Key> keys, boolean nameAtEnd) {
  /** A line and what it is. */
  public record Key(String name, Pen pen) {}

  public Plot {
    panels = List.copyOf(panels);
    keys = List.copyOf(keys);
  }

  public Plot(Axis across, Panel... panels) {
    this(across, List.of(panels), List.of(), false);
  }
}
