package org.wiseember.core.waveform;

import java.util.List;
import java.util.Optional;
import java.util.function.Function;
import java.util.stream.Stream;
import org.wiseember.core.figure.Because;
import org.wiseember.core.figure.Figure;
import org.wiseember.core.quantity.Figures;
import org.wiseember.core.trace.Channel;
import org.wiseember.core.trace.Series;
import org.wiseember.core.trace.Trace;
import org.wiseember.core.uncertainty.Budget;
import org.wiseember.core.uncertainty.Contribution;
import org.wiseember.core.uncertainty.MeanScatter;
import org.wiseember.core.uncertainty.MeterClass;

/**
 * An output's wave as a meter and eyes show it, without a capture: volts, hertz and distortion off
 * the meter, its class by a look at a screen or a photo. What was not read is empty.
 *
 * @param where it was read, such as {@code at 500 W}
 * @param mains whether it is the mains', for comparison
 * @param watts load it was read at, W; NaN where nobody read it
 * @param rms V
 * @param frequency Hz
 * @param distortion %, of the fundamental
 * @param look how it looked; empty where nobody said
 */
public record MeterWave(
    String where,
    boolean mains,
    double watts,
    Optional<Figure> rms,
    Optional<Figure> frequency,
    Optional<Figure> distortion,
    Optional<Look> look) {
  /** A meter that shows distortion counts few orders and rounds; common practice, no source, %. */
  private static final double ORDERS_LEFT_OUT = 0.3;

  private static final double ORDERS_SHARE = 0.05;

  /** An averaging meter is off by up to this share on a stepped wave; see the method page. */
  private static final double AVERAGED = 0.2146;

  /** How a wave looks to an eye that knows the classes. */
  public enum Look {
    SINE("a smooth sine"),
    STEPPED("stepped"),
    SQUARE("square");

    private final String words;

    Look(String words) {
      this.words = words;
    }

    public String words() {
      return words;
    }
  }

  /**
   * Of what was read in one part of a run.
   *
   * @param part the readings of that part alone
   * @param meters class of the meter behind a channel
   */
  public static MeterWave of(
      String where,
      boolean mains,
      double watts,
      Trace part,
      Function<Channel, MeterClass> meters,
      Optional<Look> look) {
    boolean stepped = look.filter(l -> l != Look.SINE).isPresent();
    return new MeterWave(
        where,
        mains,
        watts,
        figure("rms", "Output volts", Channel.AC_VOLTAGE, part, meters, where)
            .map(f -> stepped ? averaged(f) : f),
        figure("frequency", "Frequency", Channel.FREQUENCY, part, meters, where),
        figure("thd_f", "Distortion", Channel.DISTORTION, part, meters, where)
            .map(MeterWave::fewOrders),
        look);
  }

  private static Optional<Figure> figure(
      String key,
      String name,
      Channel channel,
      Trace part,
      Function<Channel, MeterClass> meters,
      String where) {
    Series read = part.series(channel);
    if (read.size() == 0) {
      return Optional.empty();
    }
    double[] values = new double[read.size()];
    double sum = 0;
    for (int i = 0; i < values.length; i++) {
      values[i] = read.value(i);
      sum += values[i];
    }
    double mean = sum / values.length;
    Budget budget =
        Budget.of(Contribution.normal("Scatter", values.length > 1 ? MeanScatter.of(values) : 0))
            .with("Meter", meters.apply(channel), mean, 1);
    return Optional.of(
        Figure.of(
            key,
            name + ", " + where,
            mean,
            channel.unit(),
            Because.of(
                    budget,
                    "Read off the meter "
                        + (values.length == 1 ? "once" : values.length + " times")
                        + ": "
                        + Figures.rounded(mean, budget.u95())
                        + " "
                        + channel.unit().symbol())
                .summed("read by hand")));
  }

  private static Figure fewOrders(Figure f) {
    return widened(
        f,
        Contribution.rectangular(
            "Orders the meter leaves out", ORDERS_LEFT_OUT + ORDERS_SHARE * f.value()),
        "A meter's distortion leaves the high orders out; a scope's capture counts them.");
  }

  private static Figure averaged(Figure f) {
    return widened(
        f,
        Contribution.rectangular("A meter that averages", AVERAGED * f.value()),
        "Unless the meter says true RMS, it misreads a stepped wave by a tenth or two.");
  }

  private static Figure widened(Figure f, Contribution more, String watch) {
    Because b = f.because();
    return Figure.of(
        f.key(),
        f.name(),
        f.value(),
        f.unit(),
        Because.of(f.budget().with(more), b.workedOut()).summed(b.summary()).watching(watch));
  }

  /** What was read of it. */
  public List<Figure> figures() {
    return Stream.of(rms, frequency, distortion).flatMap(Optional::stream).toList();
  }
}
