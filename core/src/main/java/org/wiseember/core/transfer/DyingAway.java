package org.wiseember.core.transfer;

/**
 * A hole whose volts do not fall to nothing at once: a filter behind the relay lets its charge go,
 * a motor goes on for a while as a generator. In the hole stands what the old wave was when it
 * went, dying away, or the old wave itself, dying away; found as the two moments and the pace that
 * leave the least squares over.
 *
 * @param leaves first sample of the hole
 * @param joins first sample of the new wave
 * @param squares left over
 * @param u95 by how much the length of the hole may be off, samples
 */
record DyingAway(int leaves, int joins, double squares, double u95) {
  private static final double[] PACES = {0.0003, 0.0006, 0.0012, 0.0025, 0.005, 0.01, 0.02};

  /** Looked through at first in so many steps. */
  private static final int COARSE = 320;

  /** A tail is no such curve to the last digit: its length is doubted by this share of its pace. */
  private static final double OTHER_CURVES = 0.3;

  /** What stands in the hole. */
  private enum Left {
    /** The volts there were, going down. */
    CHARGE,
    /** The old wave, growing smaller. */
    WAVE
  }

  private record Place(int leaves, int joins, double squares, Left left, double pace) {}

  /**
   * Looks for it.
   *
   * @param read samples around the hole
   * @param old what the wave before would be there
   * @param fresh what the wave after would have been there
   * @param rate samples a second
   * @param doubt squares within which two places cannot be told apart
   */
  static DyingAway in(double[] read, double[] old, double[] fresh, double rate, double doubt) {
    int stride = Math.max(1, read.length / COARSE);
    Search coarse = new Search(read, old, fresh, rate, stride);
    Place best = null;
    for (Left left : Left.values()) {
      for (double pace : PACES) {
        best = better(best, coarse.best(left, pace, 0, read.length, 0, read.length));
      }
    }
    Search fine = new Search(read, old, fresh, rate, 1);
    Place here = best;
    for (double times : new double[] {0.6, 0.75, 0.87, 1, 1.15, 1.35, 1.6}) {
      best = better(best, near(fine, here, here.pace * times, stride));
    }
    double length = best.joins - best.leaves;
    double widest = 1;
    for (double times : new double[] {0.6, 0.75, 0.87, 1, 1.15, 1.35, 1.6}) {
      Place other = near(fine, best, best.pace * times, stride);
      if (other.squares < best.squares + doubt) {
        widest = Math.max(widest, Math.abs(other.joins - other.leaves - length));
      }
    }
    double curve = OTHER_CURVES * Math.min(best.pace * rate, length);
    return new DyingAway(best.leaves, best.joins, best.squares, widest + 1 + curve);
  }

  private static Place near(Search search, Place place, double pace, int stride) {
    return search.best(
        place.left,
        pace,
        place.leaves - 2 * stride,
        place.leaves + 2 * stride,
        place.joins - 2 * stride,
        place.joins + 2 * stride);
  }

  private static Place better(Place a, Place b) {
    return a == null || b.squares < a.squares ? b : a;
  }

  private record Search(double[] read, double[] old, double[] fresh, double rate, int stride) {
    /** The best two moments for a kind and a pace, each within its limits. */
    Place best(Left left, double pace, int from, int to, int joinFrom, int joinTo) {
      double[] before = sums(old);
      double[] after = sums(fresh);
      int n = read.length;
      double kept = Math.exp(-stride / (pace * rate));
      Place best = new Place(0, 0, Double.POSITIVE_INFINITY, left, pace);
      for (int a = Math.max(0, from - from % stride); a <= Math.min(n - 1, to); a += stride) {
        double hole = 0;
        double dying = 1;
        for (int b = a; b < n && b <= joinTo; b += stride) {
          double squares = before[a] + hole + after[n] - after[b];
          if (b >= joinFrom && squares < best.squares) {
            best = new Place(a, b, squares, left, pace);
          }
          double stands = (left == Left.CHARGE ? old[a] : old[b]) * dying;
          hole += stride * (read[b] - stands) * (read[b] - stands);
          dying *= kept;
        }
      }
      return best;
    }

    private double[] sums(double[] wave) {
      double[] sums = new double[read.length + 1];
      for (int i = 0; i < read.length; i++) {
        sums[i + 1] = sums[i] + (read[i] - wave[i]) * (read[i] - wave[i]);
      }
      return sums;
    }
  }
}
