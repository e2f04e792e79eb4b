package org.wiseember.trial.onhand;

import java.util.ArrayList;
import java.util.List;
import org.wiseember.core.label.Label;
import org.wiseember.core.overload.LoadRecipe;

/** Steps of load made of what is on hand. */
public final class LoadSteps {
  private LoadSteps() {}

  /** Loads on hand near shares of the rating, light to heavy, none above it. */
  public static List<Double> near(Label label, OnHand onHand, double... shares) {
    if (label.ratedWatts().isEmpty() || onHand.loads().isEmpty()) {
      return List.of();
    }
    double rated = label.ratedWatts().orElseThrow();
    List<Double> loads = new ArrayList<>();
    for (double share : shares) {
      double watts = nearest(onHand.loads(), share * rated, share * rated);
      if (watts <= rated && !loads.contains(watts)) {
        loads.add(watts);
      }
    }
    loads.sort(null);
    return loads;
  }

  /** The sum of loads on hand nearest to a wish. */
  public static double nearest(List<Double> onHand, double watts, double otherwise) {
    return onHand.isEmpty()
        ? otherwise
        : LoadRecipe.of(onHand, watts, Math.max(1, watts), 1, 1).plateWatts();
  }
}
