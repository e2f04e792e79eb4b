package org.wiseember.core.efficiency;

import java.util.ArrayList;
import java.util.List;

/**
 * Which of the loads on hand make the steps of a ladder: for every point of IEC 61683 (recalled
 * from memory: 5, 10, 25, 50, 75 and 100 % of the rating) the loads that together come nearest. Its
 * 120 % is left to the overload test.
 *
 * @param watts of the steps, light to heavy
 * @param missing points, % of the rating, that nothing on hand comes near to
 */
public record LadderLoads(List<Double> watts, List<Double> missing) {
  private static final double[] POINTS = {5, 10, 25, 50, 75, 100};

  /** A load counts for a point within this factor. */
  private static final double NEAR = 1.35;

  /** Not more than this over the rating: heaters draw a little more while cold. */
  private static final double MOST = 1.0;

  /** More loads than this make too many ways to combine them. */
  private static final int MOST_LOADS = 12;

  public LadderLoads {
    watts = List.copyOf(watts);
    missing = List.copyOf(missing);
  }

  /**
   * Chooses.
   *
   * @param onHand watts of every load, 1 to 12 of them, each above 0
   * @param ratedWatts the rating, W
   */
  public static LadderLoads choose(List<Double> onHand, double ratedWatts) {
    if (onHand.isEmpty() || onHand.size() > MOST_LOADS || onHand.stream().anyMatch(w -> !(w > 0))) {
      throw new IllegalArgumentException("name between one and twelve loads, in watts above 0");
    }
    List<Double> sums = new ArrayList<>();
    for (int set = 1; set < 1 << onHand.size(); set++) {
      double sum = 0;
      for (int i = 0; i < onHand.size(); i++) {
        sum += (set >> i & 1) * onHand.get(i);
      }
      if (sum <= MOST * ratedWatts) {
        sums.add(sum);
      }
    }
    List<Double> watts = new ArrayList<>();
    List<Double> missing = new ArrayList<>();
    for (double point : POINTS) {
      double wanted = point / 100 * ratedWatts;
      double best = nearest(sums, wanted);
      if (Double.isNaN(best) || Math.max(best, wanted) / Math.min(best, wanted) > NEAR) {
        missing.add(point);
      }
      if (!Double.isNaN(best) && !watts.contains(best)) {
        watts.add(best);
      }
    }
    watts.sort(null);
    return new LadderLoads(watts, missing);
  }

  private static double nearest(List<Double> sums, double wanted) {
    double best = Double.NaN;
    for (double sum : sums) {
      if (Double.isNaN(best)
          || Math.abs(Math.log(sum / wanted)) < Math.abs(Math.log(best / wanted))) {
        best = sum;
      }
    }
    return best;
  }
}
