package org.wiseember.command.analyze;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.Callable;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.wiseember.command.Results;
import org.wiseember.core.charge.ChargeFinding;
import org.wiseember.core.charge.ChargeLimits;
import org.wiseember.core.charge.ChargeProfile;
import org.wiseember.core.charge.Inlet;
import org.wiseember.core.charge.KnownInputs;
import org.wiseember.core.charge.LimitBand;
import org.wiseember.core.charge.LimitingFactor;
import org.wiseember.core.figure.Warning;
import org.wiseember.core.quantity.Unit;
import org.wiseember.core.solar.Port;
import org.wiseember.core.uncertainty.MeterClass;
import org.wiseember.workbook.log.Log;
import picocli.CommandLine.Command;
import picocli.CommandLine.Mixin;
import picocli.CommandLine.Model.CommandSpec;
import picocli.CommandLine.Option;
import picocli.CommandLine.ParameterException;
import picocli.CommandLine.Spec;

/** How a unit charges, from the log of the meters on its inputs. */
@Command(
    name = "charge",
    description = "Energy in, peak, times to 80 %% and full, where it tapers, and what bound it.",
    mixinStandardHelpOptions = true)
final class AnalyzeCharge implements Callable<Integer> {
  private static final Pattern WINDOW = Pattern.compile("(\\d+(?:\\.\\d+)?)-(\\d+(?:\\.\\d+)?)");

  /** Scripts rest on these, whether or not the log tells them. */
  private static final Map<String, Unit> KEYS = promised();

  private static Map<String, Unit> promised() {
    Map<String, Unit> keys = new LinkedHashMap<>();
    keys.put("energy_in", Unit.WATT_HOUR);
    keys.put("peak_power", Unit.WATT);
    keys.put("mean_power", Unit.WATT);
    keys.put("time_to_80", Unit.SECOND);
    keys.put("time_to_full", Unit.SECOND);
    keys.put("taper_start", Unit.SECOND);
    keys.put("taper_share", Unit.PERCENT);
    return keys;
  }

  @Mixin private LogInput input;

  @Option(names = "--mains-w", description = "The label's watts from the wall.")
  private double mainsWatts = Double.NaN;

  @Option(names = "--usb-w", description = "The label's watts through USB-C.")
  private double usbWatts = Double.NaN;

  @Option(names = "--dc-volts", description = "The label's volt window of the DC input, as 11-60.")
  private String window;

  @Option(names = "--dc-amps", description = "The label's most amps of the DC input.")
  private double dcAmps = Double.POSITIVE_INFINITY;

  @Option(names = "--dc-w", description = "The label's most watts of the DC input.")
  private double dcWatts = Double.POSITIVE_INFINITY;

  @Spec private CommandSpec spec;

  @Override
  public Integer call() throws Exception {
    KnownInputs known = new KnownInputs(port(), mainsWatts, usbWatts);
    Log read = input.read();
    ChargeFinding f =
        ChargeProfile.of(
            read.trace(),
            Optional.ofNullable(input.accuracy()).map(a -> MeterClass.ofReading(a, 0, 0)));
    List<Warning> warnings = new ArrayList<>(read.warnings());
    warnings.addAll(f.warnings());
    Results results = new Results("charge", warnings).add(f, KEYS);
    ChargeLimits.of(read.trace(), f, known).ifPresent(l -> limits(results, l, f.startTime()));
    return input.print(results);
  }

  private Optional<Port> port() {
    if (window == null) {
      if (Double.isFinite(dcAmps) || Double.isFinite(dcWatts)) {
        throw new ParameterException(
            spec.commandLine(),
            "--dc-amps and --dc-w need the window beside them: --dc-volts 11-60.");
      }
      return Optional.empty();
    }
    Matcher m = WINDOW.matcher(window.strip());
    try {
      if (m.matches()) {
        return Optional.of(
            new Port(
                Double.parseDouble(m.group(1)), Double.parseDouble(m.group(2)), dcAmps, dcWatts));
      }
    } catch (IllegalArgumentException e) {
      throw new ParameterException(spec.commandLine(), "--dc-volts: " + e.getMessage() + ".", e);
    }
    throw new ParameterException(
        spec.commandLine(), "--dc-volts: “" + window + "” is no window; write it as 11-60.");
  }

  /** What bound each inlet, stretch by stretch, in seconds from the first charging reading. */
  private static void limits(Results results, ChargeLimits limits, double start) {
    limits.figures().forEach(results::add);
    for (LimitBand band : limits.bands()) {
      String key =
          band.inlet() == Inlet.ANY
              ? "bound_by"
              : "bound_by_" + band.inlet().name().toLowerCase(Locale.ROOT);
      for (LimitBand.Stretch s : band.stretches()) {
        if (s.binding() != LimitingFactor.NOTHING) {
          results.say(
              key + "@" + Math.round(s.from() - start), s.binding().words(), s.binding().meaning());
        }
      }
    }
  }
}
