package org.wiseember.trial.kind.waveform;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import org.wiseember.bench.procedure.WaveSteps;
import org.wiseember.core.quantity.Unit;
import org.wiseember.core.trace.Channel;
import org.wiseember.core.trace.Series;
import org.wiseember.core.trace.Trace;
import org.wiseember.core.transfer.Sag;
import org.wiseember.core.uncertainty.AssumedMeter;
import org.wiseember.core.waveform.MeterWave;
import org.wiseember.core.waveform.RatioCheck;
import org.wiseember.core.waveform.WaveformAnalysis;
import org.wiseember.core.waveform.WaveformFinding;
import org.wiseember.core.waveform.WaveformUnreadable;
import org.wiseember.trial.kind.Inquiry;
import org.wiseember.trial.kind.RunRecord;
import org.wiseember.trial.wave.Wave;
import org.wiseember.trial.wave.WaveFiles;
import org.wiseember.workbook.Event;
import org.wiseember.workbook.Run;
import org.wiseember.workbook.StoredCapture;

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

  static WaveRun of(RunRecord record, Inquiry asked) {
    Run run = record.run();
    double volts = asked.outputVolts().orElse(run.settings().volts());
    WaveFindings findings = new WaveFindings(run, record.trace(), volts);
    return new WaveRun(
        record.kept(),
        record.captures().stream().map(findings::wave).toList(),
        record.byHand() ? read(record) : List.of(),
        volts);
  }

  /** What was read in each step of a run by hand; a step with nothing in it is none. */
  private static List<MeterWave> read(RunRecord record) {
    List<Event> steps = record.events(WaveSteps.WAVE);
    List<MeterWave> read = new ArrayList<>();
    for (int i = 0; i < steps.size(); i++) {
      Event step = steps.get(i);
      double to = i + 1 < steps.size() ? steps.get(i + 1).seconds() : Double.POSITIVE_INFINITY;
      Trace part = record.treated().between(step.seconds(), to);
      boolean mains = step.detail().equals(WaveSteps.MAINS);
      boolean unloaded = step.detail().equals(WaveSteps.NO_LOAD);
      Series watts = part.series(Channel.AC_POWER);
      MeterWave wave =
          MeterWave.of(
              step.words(),
              mains,
              unloaded ? 0 : watts.size() > 0 ? watts.value(watts.size() - 1) : Double.NaN,
              part,
              record::meterOrAssumed,
              look(record, step.seconds(), to));
      if (!wave.figures().isEmpty() || wave.look().isPresent()) {
        read.add(wave);
      }
    }
    return read;
  }

  private static Optional<MeterWave.Look> look(RunRecord record, double from, double to) {
    return record.pressed().stream()
        .filter(p -> p.seconds() >= from && p.seconds() < to)
        .flatMap(
            p ->
                switch (p.press()) {
                  case LOOKS_SINE -> Stream.of(MeterWave.Look.SINE);
                  case LOOKS_STEPPED -> Stream.of(MeterWave.Look.STEPPED);
                  case LOOKS_SQUARE -> Stream.of(MeterWave.Look.SQUARE);
                  default -> Stream.empty();
                })
        .reduce((a, b) -> b);
  }

  private Wave wave(StoredCapture kept) {
    boolean mains = kept.mains();
    try {
      WaveformFinding f = WaveformAnalysis.of(kept.capture(), WaveFiles.method(run.settings()));
      return new Wave(
          kept,
          mains,
          watts(kept, f),
          Optional.of(f),
          "",
          check(kept, f),
          Sag.in(kept.capture(), f.frequency().value(), 0));
    } catch (WaveformUnreadable e) {
      return new Wave(
          kept, mains, Double.NaN, Optional.empty(), e.getMessage(), Optional.empty(), List.of());
    }
  }

  /** By the meter beside it, else by the capture's own amps, else as it was named. */
  private double watts(StoredCapture kept, WaveformFinding f) {
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

  private Optional<RatioCheck> check(StoredCapture kept, WaveformFinding f) {
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
