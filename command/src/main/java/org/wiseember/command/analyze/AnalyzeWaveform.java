package org.wiseember.command.analyze;

import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.Callable;
import org.wiseember.command.Results;
import org.wiseember.core.figure.Warning;
import org.wiseember.core.transfer.Sag;
import org.wiseember.core.uncertainty.MeterClass;
import org.wiseember.core.waveform.LimitCheck;
import org.wiseember.core.waveform.LimitSet;
import org.wiseember.core.waveform.RatioCheck;
import org.wiseember.core.waveform.Suitability;
import org.wiseember.core.waveform.WaveMethod;
import org.wiseember.core.waveform.WaveformAnalysis;
import org.wiseember.core.waveform.WaveformFigures;
import org.wiseember.core.waveform.WaveformFinding;
import org.wiseember.core.waveform.WaveformUnreadable;
import org.wiseember.workbook.log.LogUnreadable;
import org.wiseember.workbook.log.ReadCapture;
import picocli.CommandLine.Command;
import picocli.CommandLine.Mixin;
import picocli.CommandLine.Model.CommandSpec;
import picocli.CommandLine.Option;
import picocli.CommandLine.ParameterException;
import picocli.CommandLine.Spec;

/** How clean a captured wave is. */
@Command(
    name = "waveform",
    description = "RMS, frequency, distortion and class of a captured wave.",
    mixinStandardHelpOptions = true)
final class AnalyzeWaveform implements Callable<Integer> {
  /** What is assumed of the meter the scope is checked against. */
  private static final MeterClass METER = MeterClass.ofReading(1, 2, 0.1);

  @Spec private CommandSpec spec;

  @Mixin private CaptureInput input;

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

  @Option(
      names = "--nominal-v",
      paramLabel = "V",
      description = "What the label promises, to hold sags and the use against.")
  private Double nominal;

  @Option(
      names = "--meter-volts",
      paramLabel = "V",
      description = "What a meter read of the same volts, to check probe and scale against.")
  private Double meterVolts;

  @Option(
      names = "--limits",
      paramLabel = "SET",
      description = "Caps to hold the harmonics against: EN_50160 or IEEE_519.")
  private LimitSet limits;

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
    if ((nominal != null && !(nominal > 0 && nominal < 1e5))
        || (meterVolts != null && !(meterVolts > 0 && meterVolts < 1e5))) {
      throw refused("--nominal-v and --meter-volts take volts above 0.");
    }
    ReadCapture read = input.read();
    WaveMethod method =
        accuracy == null
            ? WaveMethod.assumed(orders)
            : WaveMethod.measuredWith(orders, MeterClass.ofReading(accuracy, 0, 0));
    WaveformFinding f;
    try {
      f = WaveformAnalysis.of(read.capture(), method);
    } catch (WaveformUnreadable e) {
      throw new LogUnreadable(input.file().getFileName() + ": " + e.getMessage());
    }
    List<Warning> warnings = new ArrayList<>(read.warnings());
    warnings.addAll(f.warnings());
    double nominalVolts = nominal == null ? 0 : nominal;
    for (Sag sag : Sag.in(read.capture(), f.frequency().value(), nominalVolts)) {
      warnings.add(new Warning(sag.percent() < 100 ? "sag" : "swell", sag.words()));
    }
    if (limits != null) {
      warnings.add(new Warning("limits", LimitCheck.of(f, limits).words()));
    }
    if (meterVolts != null) {
      RatioCheck check = RatioCheck.of(f, meterVolts, METER, input.scale());
      warnings.add(new Warning(check.agrees() ? "meter_agrees" : "meter_differs", check.words()));
    }
    Results results = new Results("waveform", warnings);
    WaveformFigures.of(f, "").all().forEach(results::add);
    results.say("class", f.shape().words(), f.reason());
    if (!json) {
      for (Suitability s : Suitability.of(f, nominalVolts)) {
        results.say(s.kind().words(), s.fit().words(), s.reason());
      }
    }
    spec.commandLine().getOut().print(json ? results.json() : results.text());
    return 0;
  }

  private ParameterException refused(String why) {
    return new ParameterException(spec.commandLine(), why);
  }
}
