package org.wiseember.workbook;

import com.fasterxml.jackson.annotation.JsonInclude;
import com.fasterxml.jackson.annotation.JsonProperty;
import java.util.EnumMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalLong;
import java.util.TreeMap;
import java.util.function.DoubleUnaryOperator;
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
            ordered(accuracy),
            ordered(corrections),
            false));
  }

  private static <V> Map<Channel, V> ordered(Map<Channel, V> byChannel) {
    Map<Channel, V> ordered = new EnumMap<>(Channel.class);
    ordered.putAll(byChannel);
    return ordered;
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
      @JsonInclude(JsonInclude.Include.ALWAYS) Map<Channel, MeterClass> accuracy,
      @JsonInclude(JsonInclude.Include.ALWAYS) Map<Channel, Correction> corrections,
      @JsonProperty(access = JsonProperty.Access.WRITE_ONLY) boolean simulated) {
    RunSettings settings() {
      return new RunSettings(
          Double.isNaN(loadWatts) ? 0 : loadWatts,
          Double.isNaN(volts) ? 0 : volts,
          accuracy,
          corrections,
          Keyed.of(Source.class, source).orElse(simulated ? Source.SIMULATED : Source.INSTRUMENTS),
          seed.orElse(0),
          faults,
          loads,
          particulars);
    }
  }
}
