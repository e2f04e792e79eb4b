package org.wiseember.core.trace;

import java.util.Arrays;
import java.util.EnumMap;
import java.util.Map;
import java.util.Set;
import java.util.function.DoubleUnaryOperator;
import java.util.function.Function;

/**
 * Readings of several channels on shared timestamps. A missing reading is {@link Double#NaN}; it is
 * a hole, never a zero. Times are seconds from any origin and never decrease.
 */
public final class Trace {
  private final double[] seconds;
  private final Map<Channel, double[]> values;

  /**
   * Copies the readings.
   *
   * @throws IllegalArgumentException when a column differs in length from the times, a time is not
   *     finite or runs backwards, or a reading is infinite
   */
  public Trace(double[] seconds, Map<Channel, double[]> values) {
    this(copies(values), seconds.clone());
  }

  /**
   * Takes the arrays over without copying them; for a reader that has just made them and keeps
   * none.
   *
   * @throws IllegalArgumentException as the constructor does
   */
  public static Trace takingOver(double[] seconds, Map<Channel, double[]> values) {
    return new Trace(enumMap(values), seconds);
  }

  private static EnumMap<Channel, double[]> enumMap(Map<Channel, double[]> values) {
    EnumMap<Channel, double[]> map = new EnumMap<>(Channel.class);
    map.putAll(values);
    return map;
  }

  private static EnumMap<Channel, double[]> copies(Map<Channel, double[]> values) {
    EnumMap<Channel, double[]> copies = new EnumMap<>(Channel.class);
    values.forEach((channel, column) -> copies.put(channel, column.clone()));
    return copies;
  }

  private Trace(EnumMap<Channel, double[]> values, double[] seconds) {
    this.seconds = seconds;
    this.values = values;
    for (int i = 0; i < seconds.length; i++) {
      if (!Double.isFinite(seconds[i])) {
        throw new IllegalArgumentException("row " + (i + 1) + " has no usable time");
      }
      if (i > 0 && seconds[i] < seconds[i - 1]) {
        throw new IllegalArgumentException("time runs backwards at row " + (i + 1));
      }
    }
    values.forEach(
        (channel, column) -> {
          if (column.length != seconds.length) {
            throw new IllegalArgumentException(channel.key() + " has another length than time");
          }
          for (double v : column) {
            if (Double.isInfinite(v)) {
              throw new IllegalArgumentException(channel.key() + " holds an infinite reading");
            }
          }
        });
  }

  public static Trace empty() {
    return new Trace(new double[0], Map.of());
  }

  /** The same readings with some channels put through a function; holes stay holes. */
  public Trace mapped(Map<Channel, DoubleUnaryOperator> functions) {
    Map<Channel, double[]> mapped = new EnumMap<>(Channel.class);
    values.forEach(
        (channel, column) -> {
          DoubleUnaryOperator f = functions.get(channel);
          mapped.put(channel, f == null ? column : Arrays.stream(column).map(f).toArray());
        });
    return new Trace(seconds, mapped);
  }

  /** The same with whatever lies beyond the range of its channel missing. */
  Trace within(Function<Channel, Plausible.Range> ranges) {
    Map<Channel, DoubleUnaryOperator> functions = new EnumMap<>(Channel.class);
    values.forEach(
        (channel, column) -> {
          Plausible.Range range = ranges.apply(channel);
          if (Arrays.stream(column).anyMatch(v -> !Double.isNaN(v) && !range.holds(v))) {
            functions.put(channel, v -> range.holds(v) ? v : Double.NaN);
          }
        });
    return functions.isEmpty() ? this : mapped(functions);
  }

  /** The rows from a moment on, up to but not including another. */
  public Trace between(double from, double to) {
    int first = row(from);
    int end = Math.max(first, row(to));
    Map<Channel, double[]> part = new EnumMap<>(Channel.class);
    values.forEach((channel, column) -> part.put(channel, Arrays.copyOfRange(column, first, end)));
    return takingOver(Arrays.copyOfRange(seconds, first, end), part);
  }

  /** The rows from a moment on. */
  public Trace from(double moment) {
    return between(moment, Double.POSITIVE_INFINITY);
  }

  /** The first row at or after a moment. */
  private int row(double moment) {
    int at = Arrays.binarySearch(seconds, moment);
    if (at < 0) {
      return -at - 1;
    }
    while (at > 0 && seconds[at - 1] == moment) {
      at--;
    }
    return at;
  }

  public int size() {
    return seconds.length;
  }

  public boolean isEmpty() {
    return seconds.length == 0;
  }

  public double seconds(int row) {
    return seconds[row];
  }

  /** Time of the last row less time of the first; 0 for fewer than two rows. */
  public double span() {
    return isEmpty() ? 0 : seconds[seconds.length - 1] - seconds[0];
  }

  public boolean has(Channel channel) {
    return values.containsKey(channel);
  }

  public Set<Channel> channels() {
    return Set.copyOf(values.keySet());
  }

  /** The reading, or NaN where it is missing or the channel was not recorded. */
  public double value(Channel channel, int row) {
    double[] column = values.get(channel);
    return column == null ? Double.NaN : column[row];
  }

  /** Copies times from a row on, as many as there is room for. */
  public void copySeconds(int from, double[] into) {
    System.arraycopy(seconds, from, into, 0, into.length);
  }

  /** Copies readings of a recorded channel from a row on, as many as there is room for. */
  public void copyValues(Channel channel, int from, double[] into) {
    System.arraycopy(values.get(channel), from, into, 0, into.length);
  }

  /** One channel with its missing readings left out. */
  public Series series(Channel channel) {
    double[] column = values.get(channel);
    if (column == null) {
      return new Series(new double[0], new double[0]);
    }
    double[] t = new double[column.length];
    double[] v = new double[column.length];
    int n = 0;
    for (int i = 0; i < column.length; i++) {
      if (!Double.isNaN(column[i])) {
        t[n] = seconds[i];
        v[n++] = column[i];
      }
    }
    return new Series(Arrays.copyOf(t, n), Arrays.copyOf(v, n));
  }

  /** Two channels multiplied row by row (volts × amps), rows where either is missing left out. */
  public Series product(Channel a, Channel b) {
    double[] t = new double[seconds.length];
    double[] v = new double[seconds.length];
    int n = 0;
    for (int i = 0; i < seconds.length; i++) {
      double p = value(a, i) * value(b, i);
      if (!Double.isNaN(p)) {
        t[n] = seconds[i];
        v[n++] = p;
      }
    }
    return new Series(Arrays.copyOf(t, n), Arrays.copyOf(v, n));
  }
}
