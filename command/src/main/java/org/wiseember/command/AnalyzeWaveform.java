package org.wiseember.command;

import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.concurrent.Callable;
import org.wiseember.core.because.Warning;
import org.wiseember.core.quantity.Unit;
import org.wiseember.core.uncertainty.Estimate;
import org.wiseember.core.uncertainty.MeterClass;
import org.wiseember.core.waveform.WaveMethod;
import org.wiseember.core.waveform.WaveformAnalysis;
import org.wiseember.core.waveform.WaveformFinding;
import org.wiseember.core.waveform.WaveformUnreadable;
import org.wiseember.workbook.log.LogUnreadable;
import org.wiseember.workbook.log.WaveCsv;
import picocli.CommandLine.Command;
import picocli.CommandLine.Model.CommandSpec;
import picocli.CommandLine.Option;
import picocli.CommandLine.ParameterException;
import picocli.CommandLine.Parameters;
import picocli.CommandLine.Spec;

/** How clean a captured wave is. */
@Command(
    name = "waveform",
    description = "RMS, frequency, distortion and class of a captured wave.",
    mixinStandardHelpOptions = true)
final class AnalyzeWaveform implements Callable<Integer> {
  @Spec private CommandSpec spec;

  @Parameters(paramLabel = "CAPTURE.csv", description = "The capture; see docs/formats.md.")
  private Path file;

  @Option(
      names = "--sample-rate",
      paramLabel = "HZ",
      description = "Samples a second, where the file has no time.")
  private Double sampleRate;

  @Option(
      names = "--scale",
      paramLabel = "N",
      description = "Multiplies the volts: probe, transformer, or volts a count. 1 without it.")
  private Double scale;

  @Option(
      names = "--order",
      paramLabel = "N",
      description = "Highest harmonic in the distortion, 2 to 50. 40 without it.")
  private int orders = WaveMethod.USUAL_ORDERS;

  @Option(
      names = "--meter-accuracy",
      paramLabel = "PERCENT",
      description = "Accuracy of probe and scope, ± % of reading. 2 is assumed without it.")
  private Double accuracy;

  @Option(names = "--json", description = "One JSON object on standard output.")
  private boolean json;

  @Override
  public Integer call() throws Exception {
    if (orders < 2 || orders > WaveMethod.MOST_ORDERS) {
      throw refused("--order takes a whole number from 2 to 50.");
    }
    if (accuracy != null && !(accuracy >= 0 && accuracy <= 100)) {
      throw refused("--meter-accuracy takes a percentage from 0 to 100.");
    }
    if ((sampleRate != null && !(sampleRate > 0 && sampleRate < 1e12))
        || (scale != null && !(Math.abs(scale) > 0 && Math.abs(scale) < 1e9))) {
      throw refused("--sample-rate and --scale take a number above 0.");
    }
    WaveCsv.Read read =
        WaveCsv.read(
            file,
            sampleRate == null ? OptionalDouble.empty() : OptionalDouble.of(sampleRate),
            scale == null ? 1 : scale);
    WaveMethod method =
        accuracy == null
            ? WaveMethod.assumed(orders)
            : WaveMethod.measuredWith(orders, MeterClass.ofReading(accuracy, 0, 0));
    WaveformFinding f;
    try {
      f = WaveformAnalysis.of(read.capture(), method);
    } catch (WaveformUnreadable e) {
      throw new LogUnreadable(file.getFileName() + ": " + e.getMessage());
    }
    List<Warning> warnings = new ArrayList<>(read.warnings());
    warnings.addAll(f.warnings());
    Results results =
        new Results("waveform", warnings)
            .add("rms", Optional.of(f.rms()), Unit.VOLT)
            .add("frequency", Optional.of(f.frequency()), Unit.HERTZ)
            .add("thd_f", Optional.of(f.thdF()), Unit.PERCENT)
            .add("thd_r", Optional.of(f.thdR()), Unit.PERCENT)
            .add("crest_factor", Optional.of(f.crestFactor()), Unit.ONE)
            .add("form_factor", Optional.of(f.formFactor()), Unit.ONE)
            .add("dc_offset", Optional.of(f.dcOffset()), Unit.VOLT)
            .add("peak_to_peak", Optional.of(f.peakToPeak()), Unit.VOLT)
            .add("averaging_meter", Optional.of(f.averagingMeter()), Unit.VOLT);
    for (Map.Entry<Integer, Estimate> h : f.harmonics().entrySet()) {
      results.add("harmonic_" + h.getKey(), Optional.of(h.getValue()), Unit.PERCENT);
    }
    results.say("class", f.shape().words(), f.reason());
    spec.commandLine().getOut().print(json ? results.json() : results.text());
    return 0;
  }

  private ParameterException refused(String why) {
    return new ParameterException(spec.commandLine(), why);
  }
}
