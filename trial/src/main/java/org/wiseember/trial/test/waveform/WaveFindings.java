package org.wiseember.trial.test.waveform;

import java.util.List;
import java.util.Optional;
import org.wiseember.core.quantity.Unit;
import org.wiseember.core.trace.Channel;
import org.wiseember.core.trace.Trace;
import org.wiseember.core.transfer.Sag;
import org.wiseember.core.uncertainty.AssumedMeter;
import org.wiseember.core.waveform.RatioCheck;
import org.wiseember.core.waveform.WaveformAnalysis;
import org.wiseember.core.waveform.WaveformFinding;
import org.wiseember.core.waveform.WaveformUnreadable;
import org.wiseember.trial.test.Asked;
import org.wiseember.trial.test.RunRecord;
import org.wiseember.workbook.KeptCapture;
import org.wiseember.workbook.Run;

/** Works out a run that captured a unit's wave. */
final class WaveFindings {
  /** Readings this near in time belong to a capture, s. */
  private static final double BESIDE = 30;

  private final Run run;
  private final Trace trace;
  private final double nominal;

  private WaveFindings(Run run, Trace trace, double nominal) {
    this.run = run;
    this.trace = trace;
    this.nominal = nominal;
  }

  static WaveRun of(RunRecord record, Asked asked) {
    Run run = record.run();
    double volts = asked.outputVolts().orElse(run.settings().volts());
    WaveFindings findings = new WaveFindings(run, record.trace(), volts);
    return new WaveRun(
        record.kept(), record.captures().stream().map(findings::wave).toList(), volts);
  }

  private WaveRun.Wave wave(KeptCapture kept) {
    boolean mains = kept.mains();
    try {
      WaveformFinding f = WaveformAnalysis.of(kept.capture(), WaveFiles.method(run.settings()));
      return new WaveRun.Wave(
          kept,
          mains,
          watts(kept, f),
          Optional.of(f),
          "",
          check(kept, f),
          Sag.in(kept.capture(), f.frequency().value(), 0));
    } catch (WaveformUnreadable e) {
      return new WaveRun.Wave(
          kept, mains, Double.NaN, Optional.empty(), e.getMessage(), Optional.empty(), List.of());
    }
  }

  /** By the meter beside it, else by the capture's own amps, else as it was named. */
  private double watts(KeptCapture kept, WaveformFinding f) {
    if (kept.loadWatts() == 0) {
      return 0;
    }
    double read = trace.series(Channel.AC_POWER).nearest(kept.seconds(), BESIDE);
    if (!Double.isNaN(read)) {
      return read;
    }
    if (f.power().isPresent()) {
      return f.power().get().watts().value();
    }
    return kept.loadWatts();
  }

  private Optional<RatioCheck> check(KeptCapture kept, WaveformFinding f) {
    double volts = trace.series(Channel.AC_VOLTAGE).nearest(kept.seconds(), BESIDE);
    return volts > 0.1 * nominal && nominal > 0
        ? Optional.of(
            RatioCheck.of(
                f,
                volts,
                run.settings()
                    .meterClass(Channel.AC_VOLTAGE)
                    .orElseGet(() -> AssumedMeter.of(Unit.VOLT)),
                1))
        : Optional.empty();
  }
}
