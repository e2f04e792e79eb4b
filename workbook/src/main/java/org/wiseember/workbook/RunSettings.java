package org.wiseember.workbook;

import com.fasterxml.jackson.annotation.JsonInclude;
import com.fasterxml.jackson.annotation.JsonProperty;
import java.util.EnumMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.OptionalLong;
import java.util.TreeMap;
import java.util.function.DoubleUnaryOperator;
import java.util.function.Function;
import org.wiseember.core.quantity.Keyed;
import org.wiseember.core.trace.Channel;
import org.wiseember.core.trace.Trace;
import org.wiseember.core.uncertainty.Correction;
import org.wiseember.core.uncertainty.MeterClass;
import org.wiseember.workbook.json.Records;

/**
 * What a run was made with.
 *
 * @param loadWatts the load asked for, W
 * @param volts nominal at the outlet, V
 * @param accuracy the class of the meter behind each channel; a channel without one has no stated
 *     accuracy
 * @param corrections from checks against better meters; raw readings are kept without them
 * @param source where the readings come from
 * @param seed of a simulated bench, to take a run up again; 0 for others
 * @param faults of a simulated bench, to practise on
 * @param loads watts of the steps of a ladder; empty for other tests
 * @param particulars what else the test was set up with, by name, such as the motor that was
 *     started
 */
public record RunSettings(
    double loadWatts,
    double volts,
    Map<Channel, MeterClass> accuracy,
    Map<Channel, Correction> corrections,
    Source source,
    long seed,
    List<String> faults,
    List<Double> loads,
    Map<String, String> particulars) {
  public RunSettings {
    accuracy = Map.copyOf(accuracy);
    corrections = Map.copyOf(corrections);
    faults = List.copyOf(faults);
    loads = List.copyOf(loads);
    particulars = Map.copyOf(particulars);
  }

  /** Where readings come from. */
  public enum Source implements Keyed {
    SIMULATED,
    INSTRUMENTS,
    BY_HAND,
    /** Read by hand as well, and written down here afterwards. */
    ENTERED,
    FILE;

    @Override
    public String key() {
      return name().toLowerCase(Locale.ROOT).replace('_', '-');
    }
  }

  /** For a run of which nothing but its meters is known. */
  public static RunSettings of(Source source, Map<Channel, MeterClass> accuracy) {
    return new RunSettings(0, 0, accuracy, Map.of(), source, 0, List.of(), List.of(), Map.of());
  }

  /** The same through other meters, and set up with other particulars. */
  public RunSettings with(Map<Channel, MeterClass> classes, Map<String, String> set) {
    return new RunSettings(
        loadWatts, volts, classes, corrections, source, seed, faults, loads, set);
  }

  /** The same at an outlet of so many volts; NaN where nobody says. */
  RunSettings at(double outletVolts) {
    return new RunSettings(
        loadWatts,
        Double.isNaN(outletVolts) ? 0 : outletVolts,
        accuracy,
        corrections,
        source,
        seed,
        faults,
        loads,
        particulars);
  }

  /** Readings put through the corrections of their meters. */
  public Trace corrected(Trace raw) {
    if (corrections.isEmpty()) {
      return raw;
    }
    Map<Channel, DoubleUnaryOperator> functions = new EnumMap<>(Channel.class);
    corrections.forEach((channel, c) -> functions.put(channel, c::apply));
    return raw.mapped(functions);
  }

  /** Whether a person read everything, then or now. */
  public boolean byHand() {
    return source == Source.BY_HAND || source == Source.ENTERED;
  }

  public boolean simulated() {
    return source == Source.SIMULATED;
  }

  /** The class of the meter behind a channel, where it was stated. */
  public Optional<MeterClass> meterClass(Channel channel) {
    return Optional.ofNullable(accuracy.get(channel));
  }

  /** As JSON, as the workbook and run packages keep it. */
  public String json() {
    return Records.write(
        new Written(
            loadWatts,
            volts,
            source.key(),
            seed == 0 ? OptionalLong.empty() : OptionalLong.of(seed),
            faults,
            loads,
            new TreeMap<>(particulars),
            byKey(accuracy, Meter::of),
            byKey(corrections, Checked::of),
            false));
  }

  private static <V, W> Map<String, W> byKey(Map<Channel, V> byChannel, Function<V, W> written) {
    Map<String, W> keyed = new LinkedHashMap<>();
    for (Channel channel : Channel.values()) {
      if (byChannel.containsKey(channel)) {
        keyed.put(channel.key(), written.apply(byChannel.get(channel)));
      }
    }
    return keyed;
  }

  /**
   * Reads what {@link #json} wrote.
   *
   * @throws WorkbookException when it is something else
   */
  public static RunSettings read(String json) {
    try {
      return Records.read(json, Written.class).settings();
    } catch (IllegalArgumentException e) {
      throw new WorkbookException("The settings of a run in the workbook cannot be read.", e);
    }
  }

  /**
   * The fields of docs/formats.md.
   *
   * @param simulated all that workbooks of the first layout said of the source
   */
  private record Written(
      double loadWatts,
      double volts,
      String source,
      OptionalLong seed,
      List<String> faults,
      List<Double> loads,
      Map<String, String> particulars,
      @JsonInclude(JsonInclude.Include.ALWAYS) Map<String, Meter> accuracy,
      @JsonInclude(JsonInclude.Include.ALWAYS) Map<String, Checked> corrections,
      @JsonProperty(access = JsonProperty.Access.WRITE_ONLY) boolean simulated) {
    RunSettings settings() {
      return new RunSettings(
          orNothing(loadWatts),
          orNothing(volts),
          byChannel(accuracy, Meter::read),
          byChannel(corrections, Checked::read),
          Keyed.of(Source.class, source).orElse(simulated ? Source.SIMULATED : Source.INSTRUMENTS),
          seed.orElse(0),
          faults,
          loads,
          particulars);
    }

    /** A channel that only a later program knows is passed over. */
    private static <V, W> Map<Channel, V> byChannel(Map<String, W> written, Function<W, V> read) {
      Map<Channel, V> known = new EnumMap<>(Channel.class);
      written.forEach(
          (key, w) -> Channel.byKey(key).ifPresent(channel -> known.put(channel, read.apply(w))));
      return known;
    }
  }

  private static double orNothing(double value) {
    return Double.isNaN(value) ? 0 : value;
  }

  /** A meter's class; what a data sheet does not name is nothing. */
  private record Meter(
      double percentOfReading, double percentOfRange, double range, double resolution, int digits) {
    static Meter of(MeterClass m) {
      return new Meter(
          m.percentOfReading(), m.percentOfRange(), m.range(), m.resolution(), m.digits());
    }

    MeterClass read() {
      return new MeterClass(
          orNothing(percentOfReading),
          orNothing(percentOfRange),
          orNothing(range),
          orNothing(resolution),
          digits);
    }
  }

  private record Checked(OptionalDouble gain, double offset, Meter reference) {
    static Checked of(Correction c) {
      return new Checked(OptionalDouble.of(c.gain()), c.offset(), Meter.of(c.reference()));
    }

    Correction read() {
      if (reference == null) {
        throw new IllegalArgumentException("a check is against a meter of a class");
      }
      return new Correction(gain.orElse(1), orNothing(offset), reference.read());
    }
  }
}
