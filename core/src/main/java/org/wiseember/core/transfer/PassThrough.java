package org.wiseember.core.transfer;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.wiseember.core.quantity.Figures;
import org.wiseember.core.quantity.Unit;
import org.wiseember.core.trace.Channel;
import org.wiseember.core.trace.Levels;
import org.wiseember.core.trace.Series;
import org.wiseember.core.trace.Trace;

/**
 * Who feeds the load while a source is plugged in, from watts at the input and at the outlet: a
 * unit that hands the source through gives the load the source's rating, not the inverter's.
 *
 * @param feeds who does
 * @param share of a change of load that shows at the input, 0 to 1
 * @param mostWatts heaviest load carried meanwhile, W
 * @param charging W that went into the pack beside the heaviest load, as far as the input tells
 */
public record PassThrough(Feeds feeds, double share, double mostWatts, double charging) {
  /** Who feeds the load. */
  public enum Feeds {
    /** What the load takes shows at the input at once. */
    SOURCE("the source, handed through"),
    /** The input does not follow the load: the inverter works from the pack all the time. */
    INVERTER("the inverter, from the pack"),
    /** Part of it shows. */
    BOTH("source and inverter together");

    private final String words;

    Feeds(String words) {
      this.words = words;
    }

    public String words() {
      return words;
    }
  }

  private static final double THROUGH = 0.8;
  private static final double APART = 0.2;
  private static final double STEP = 0.08;
  private static final double STEP_WATTS = 15;
  private static final double SETTLE = 5;

  /**
   * Reads a trace with {@code ac_power} and {@code in_power}.
   *
   * @return empty where the source was never on with at least two different loads
   */
  public static Optional<PassThrough> of(Trace trace) {
    Series out = trace.series(Channel.AC_POWER);
    Series in = trace.series(Channel.IN_POWER);
    if (out.size() < 4 || in.size() < 4) {
      return Optional.empty();
    }
    List<double[]> pairs = new ArrayList<>();
    for (Levels.Level level : Levels.of(out, STEP, STEP_WATTS)) {
      double from = out.seconds(level.first()) + SETTLE;
      double to = out.seconds(level.last());
      double input = mean(in, from, to);
      double load = mean(out, from, to);
      if (input > STEP_WATTS && !Double.isNaN(load)) {
        pairs.add(new double[] {load, input});
      }
    }
    if (pairs.size() < 2) {
      return Optional.empty();
    }
    double[] least = pairs.get(0);
    double[] most = pairs.get(0);
    for (double[] p : pairs) {
      least = p[0] < least[0] ? p : least;
      most = p[0] > most[0] ? p : most;
    }
    if (most[0] - least[0] < 2 * STEP_WATTS) {
      return Optional.empty();
    }
    double share = Math.max(0, Math.min(1, (most[1] - least[1]) / (most[0] - least[0])));
    Feeds feeds = share >= THROUGH ? Feeds.SOURCE : share <= APART ? Feeds.INVERTER : Feeds.BOTH;
    double charging = feeds == Feeds.INVERTER ? most[1] : Math.max(0, most[1] - most[0]);
    return Optional.of(new PassThrough(feeds, share, most[0], charging));
  }

  private static double mean(Series s, double from, double to) {
    double sum = 0;
    int n = 0;
    for (int i = s.from(from); i < s.size() && s.seconds(i) <= to; i++) {
      sum += s.value(i);
      n++;
    }
    return n == 0 ? Double.NaN : sum / n;
  }

  /** One or two sentences, with the trap that follows from it. */
  public String words() {
    String found =
        "With a source plugged in the load is fed by "
            + feeds.words()
            + ": "
            + Figures.fixed(100 * share, 0)
            + " % of a change of load shows at the input. ";
    return found
        + switch (feeds) {
          case SOURCE ->
              "The load gets the source's rating, not the inverter's: a small generator stalls at a"
                  + " motor the inverter alone would start. Charging through the DC port keeps the"
                  + " inverter in charge.";
          case INVERTER -> "The inverter's own rating counts, whatever the source.";
          case BOTH ->
              "The inverter helps where the source falls short; how far is for a try with a source"
                  + " that has a known limit.";
        };
  }

  /** {@code 820 W carried, 400 W into the pack beside it}. */
  public String figures() {
    return Figures.plain(Math.rint(mostWatts), Unit.WATT)
        + " carried, "
        + Figures.plain(Math.rint(charging), Unit.WATT)
        + " into the pack beside it";
  }
}
