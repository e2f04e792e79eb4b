package org.wiseember.core.transfer;

import java.util.Arrays;
import java.util.Optional;
import org.wiseember.core.waveform.Capture;
import org.wiseember.core.waveform.HalfCycleRms;
import org.wiseember.core.waveform.RepeatingWave;

/**
 * The hole in the volts while a unit takes over.
 *
 * <p>The wave before the hole and the wave after it are each carried on, whatever their shape and
 * phase; the hole is where the capture follows neither, found as the two moments that leave the
 * least squares over. So it is right also where the hole begins at a zero crossing.
 *
 * @param from s from the start of the capture
 * @param to s from the start of the capture; {@code from} where there is no hole
 * @param u95 of its length, s
 * @param phaseDegrees of the old wave when it went, 0 at its upward crossing
 * @param leastPercent lowest one-cycle RMS, % of that before
 * @param belowSeconds time the one-cycle RMS lay below 90 % of that before, s
 * @param jumpDegrees by how much the new wave is ahead of the old one carried on, −180 to 180
 */
public record TransferGap(
    double from,
    double to,
    double u95,
    double phaseDegrees,
    double leastPercent,
    double belowSeconds,
    double jumpDegrees) {
  /** Whole waves wanted on either side of the hole. */
  private static final int CYCLES = 2;

  private static final int ORDERS = 21;
  private static final double DEPARTS = 0.08;
  private static final double LASTS = 0.0005;

  /** Below this there is no output, V. */
  private static final double DEAD = 1;

  private static final double AROUND = 0.004;
  private static final double SAG = 0.9;

  /** Squares beyond noise, each this many times its own, that an empty hole does not explain. */
  private static final double TAIL = 4;

  /** Samples a cycle needed for half a millisecond at all. */
  private static final double LEAST_RATE = 2_000;

  /** Length of the hole, s. */
  public double seconds() {
    return to - from;
  }

  /** Whether equipment on the ITI curve rides through it. */
  public boolean ridesThrough() {
    return seconds() <= ItiCurve.NOTHING_SECONDS;
  }

  /** Why a capture gives no gap, or the gap. */
  public record Reading(Optional<TransferGap> gap, String trouble) {
    static Reading trouble(String sentence) {
      return new Reading(Optional.empty(), sentence);
    }
  }

  /**
   * Measures the hole in a capture.
   *
   * @param hertz nominal, 50 or 60
   */
  public static Reading of(Capture capture, double hertz) {
    double rate = capture.perSecond();
    if (rate < LEAST_RATE) {
      return Reading.trouble(
          "The capture has fewer than 2 000 samples a second; a gap of milliseconds is lost between"
              + " them. Capture faster.");
    }
    int cycle = (int) Math.ceil(rate / hertz);
    double[] v = capture.volts();
    if (v.length < 2 * (CYCLES + 1) * cycle) {
      return Reading.trouble(
          "The capture is too short: three whole waves before the gap and three after it are"
              + " needed.");
    }
    for (double x : v) {
      if (!Double.isFinite(x)) {
        return Reading.trouble("The capture has samples that are no number.");
      }
    }
    return new Measuring(v, rate, hertz, cycle).find();
  }

  private record Measuring(double[] v, double rate, double hertz, int cycle) {

    Reading find() {
      int piece = CYCLES * cycle;
      double f1 = RepeatingWave.frequency(v, 0, piece, rate, hertz, 0.06 * hertz);
      double f2 = RepeatingWave.frequency(v, v.length - piece, v.length, rate, hertz, 0.06 * hertz);
      RepeatingWave first = RepeatingWave.fit(v, 0, piece, rate, f1, ORDERS);
      RepeatingWave last = RepeatingWave.fit(v, v.length - piece, v.length, rate, f2, ORDERS);
      double peak = Math.max(first.amplitude(), last.amplitude());
      if (peak < DEAD || first.amplitude() < 0.3 * peak || first.residual() > 0.3 * peak) {
        return Reading.trouble(
            "There is no steady wave at the start of the capture; three whole ones before the gap"
                + " are needed.");
      }
      if (last.amplitude() < 0.3 * peak || last.residual() > 0.3 * peak) {
        return Reading.trouble(
            "There is no steady wave at the end of the capture: the output did not come back in it,"
                + " or it is too short.");
      }
      double noise = Math.max(first.residual(), last.residual());
      double threshold = Math.max(DEPARTS * peak, 5 * noise);
      int leaves = departs(rate / f1, threshold);
      int returns = rejoins(rate / f2, threshold);
      if (leaves < 0 || returns < 0 || returns < leaves - cycle) {
        return new Reading(Optional.of(none(first)), "");
      }
      int near = (int) (0.001 * rate) + 1;
      int a0 = Math.max(0, leaves - near - piece);
      int a1 = Math.max(a0 + cycle, leaves - near);
      int b1 = Math.min(v.length, returns + near + piece);
      int b0 = Math.min(b1 - cycle, returns + near);
      f1 = RepeatingWave.frequency(v, a0, a1, rate, f1, 0.01 * hertz);
      f2 = RepeatingWave.frequency(v, b0, b1, rate, f2, 0.01 * hertz);
      RepeatingWave before = RepeatingWave.fit(v, a0, a1, rate, f1, ORDERS);
      RepeatingWave after = RepeatingWave.fit(v, b0, b1, rate, f2, ORDERS);
      return new Reading(Optional.of(between(before, after, leaves, returns, noise)), "");
    }

    /** First sample from which the wave no longer repeats the cycle before; −1 for none. */
    private int departs(double period, double threshold) {
      int lasts = lasts();
      int run = 0;
      for (int i = (int) Math.ceil(period) + 1; i < v.length; i++) {
        run = Math.abs(v[i] - between(i - period)) > threshold ? run + 1 : 0;
        if (run >= lasts) {
          return i - run + 1;
        }
      }
      return -1;
    }

    /** Last sample up to which the wave does not yet repeat in the cycle after; −1 for none. */
    private int rejoins(double period, double threshold) {
      int lasts = lasts();
      int run = 0;
      for (int i = v.length - (int) Math.ceil(period) - 2; i >= 0; i--) {
        run = Math.abs(v[i] - between(i + period)) > threshold ? run + 1 : 0;
        if (run >= lasts) {
          return i + run - 1;
        }
      }
      return -1;
    }

    private int lasts() {
      return Math.max(2, (int) (LASTS * rate));
    }

    private double between(double place) {
      int i = (int) Math.floor(place);
      return v[i] + (place - i) * (v[i + 1] - v[i]);
    }

    /** The two moments that leave the least squares over. */
    private TransferGap between(
        RepeatingWave before, RepeatingWave after, int leaves, int returns, double noise) {
      int around = (int) (AROUND * rate);
      int from = Math.max(0, Math.min(leaves, returns) - around);
      int to = Math.min(v.length, Math.max(leaves, returns) + around);
      int n = to - from;
      double[] old = new double[n + 1];
      double[] none = new double[n + 1];
      double[] fresh = new double[n + 1];
      double[] wasThere = new double[n];
      double[] comes = new double[n];
      for (int i = 0; i < n; i++) {
        double t = (from + i) / rate;
        double x = v[from + i];
        wasThere[i] = before.at(t);
        comes[i] = after.at(t);
        old[i + 1] = old[i] + square(x - wasThere[i]);
        none[i + 1] = none[i] + square(x);
        fresh[i + 1] = fresh[i] + square(x - comes[i]);
      }
      double best = Double.POSITIVE_INFINITY;
      int leaveAt = 0;
      int joinAt = 0;
      int open = 0;
      for (int j = 0; j <= n; j++) {
        if (old[j] - none[j] < old[open] - none[open]) {
          open = j;
        }
        double cost = old[open] - none[open] + none[j] + fresh[n] - fresh[j];
        if (cost < best) {
          best = cost;
          leaveAt = open;
          joinAt = j;
        }
      }
      double doubt = 9 * Math.max(square(noise), square(0.002 * before.amplitude()));
      int early = spread(old, none, leaveAt, 0, joinAt, doubt);
      int late = spread(none, fresh, joinAt, leaveAt, n, doubt);
      double u = (Math.max(1, early) + Math.max(1, late)) / rate;
      if (best > TAIL * n * square(Math.max(noise, 0.002 * before.amplitude()))) {
        DyingAway tail =
            DyingAway.in(Arrays.copyOfRange(v, from, to), wasThere, comes, rate, doubt);
        if (tail.squares() < best / 2) {
          leaveAt = tail.leaves();
          joinAt = tail.joins();
          u = tail.u95() / rate;
        }
      }
      double t1 = (from + leaveAt) / rate;
      double t2 = (from + joinAt) / rate;
      double jump = after.phase(t2) - before.phase(t2);
      return described(before, t1, t2, u, Math.IEEEremainder(jump, 360));
    }

    /** How far a moment may be moved to either side before the squares tell, in samples. */
    private static int spread(
        double[] left, double[] right, int at, int least, int most, double doubt) {
      int widest = 0;
      double here = left[at] - right[at];
      for (int way : new int[] {-1, 1}) {
        int k = at;
        while (k + way >= least
            && k + way <= most
            && left[k + way] - right[k + way] - here < doubt) {
          k += way;
        }
        widest = Math.max(widest, Math.abs(k - at));
      }
      return widest;
    }

    private TransferGap described(
        RepeatingWave before, double t1, double t2, double u, double jump) {
      double[] rms = HalfCycleRms.of(v, rate, before.hertz()).values();
      HalfCycleRms all = HalfCycleRms.of(v, rate, before.hertz());
      double usual = Arrays.stream(rms).limit(2 * CYCLES - 1L).average().orElse(Double.NaN);
      return new TransferGap(
          t1,
          Math.max(t1, t2),
          u,
          before.phase(t1),
          100 * all.least() / usual,
          all.secondsBelow(SAG * usual),
          jump);
    }

    private TransferGap none(RepeatingWave before) {
      return described(before, 0, 0, 1 / rate, 0);
    }

    private static double square(double x) {
      return x * x;
    }
  }
}
