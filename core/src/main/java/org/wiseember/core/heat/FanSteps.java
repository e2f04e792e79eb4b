package org.wiseember.core.heat;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import org.wiseember.core.quantity.Figures;
import org.wiseember.core.quantity.Unit;

/**
 * The step a fan settled at under each load. A step seen at one load and not at the load below lies
 * somewhere between the two; no more than that is said.
 *
 * @param seen one for each load, in any order
 */
public record FanSteps(List<At> seen) {
  /**
   * What was seen at one load.
   *
   * @param watts W, 0 or more
   * @param step 0 for off
   */
  public record At(double watts, int step) {}

  public FanSteps {
    seen = seen.stream().sorted(Comparator.comparingDouble(At::watts)).toList();
  }

  /** The highest step; 0 where none was seen. */
  public int highest() {
    return seen.stream().mapToInt(At::step).max().orElse(0);
  }

  /** Whether a heavier load never had a lower step. */
  public boolean rises() {
    for (int i = 1; i < seen.size(); i++) {
      if (seen.get(i).step() < seen.get(i - 1).step()) {
        return false;
      }
    }
    return true;
  }

  /**
   * {@code Fan off up to 250 W, at step 1 from 500 W, at step 2 from 900 W.}; empty for nothing.
   */
  public String words() {
    if (seen.isEmpty()) {
      return "";
    }
    if (!rises()) {
      return "The fan was "
          + String.join(
              ", ", seen.stream().map(a -> name(a.step()) + " with " + watts(a.watts())).toList())
          + ": it follows the case's heat more than the load.";
    }
    List<String> parts = new ArrayList<>();
    for (int i = 0; i < seen.size(); i++) {
      int step = seen.get(i).step();
      int last = i;
      while (last + 1 < seen.size() && seen.get(last + 1).step() == step) {
        last++;
      }
      String range =
          i == 0 ? "up to " + watts(seen.get(last).watts()) : "from " + watts(seen.get(i).watts());
      parts.add(name(step) + " " + range);
      i = last;
    }
    return "Fan " + String.join(", ", parts) + ".";
  }

  private static String name(int step) {
    return step == 0 ? "off" : "at step " + step;
  }

  private static String watts(double watts) {
    return Figures.plain(Math.rint(watts), Unit.WATT);
  }
}
