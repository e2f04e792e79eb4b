package org.wiseember.core.solar;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;

/**
 * The panels a tester has, and where they stand.
 *
 * @param lots each of one kind, at most {@link #MOST_LOTS}
 */
public record PanelsOnHand(List<Lot> lots, Site site) {
  /** More kinds than this nobody has on hand. */
  public static final int MOST_LOTS = 8;

  public static final PanelsOnHand NONE = new PanelsOnHand(List.of(), Site.USUAL);

  public PanelsOnHand {
    lots = List.copyOf(lots);
    if (lots.size() > MOST_LOTS) {
      throw new IllegalArgumentException("at most " + MOST_LOTS + " kinds of panel");
    }
  }

  /**
   * Equal panels.
   *
   * @param count 1 to 24
   */
  public record Lot(Panel panel, int count) {
    public static final int MOST = 24;

    public Lot {
      if (count < 1 || count > MOST) {
        throw new IllegalArgumentException("a lot is 1 to " + MOST + " panels");
      }
    }
  }

  /** How many of each. */
  public Map<Panel, Integer> counts() {
    Map<Panel, Integer> counts = new LinkedHashMap<>();
    lots.forEach(l -> counts.merge(l.panel(), l.count(), Integer::sum));
    return counts;
  }

  /** All ways to wire them into a port, the best first. */
  public List<Designer.Way> ways(Port port) {
    return Designer.ways(counts(), port, site);
  }

  public PanelsOnHand with(Site other) {
    return new PanelsOnHand(lots, other);
  }

  public PanelsOnHand with(List<Lot> others) {
    return new PanelsOnHand(others, site);
  }
}
