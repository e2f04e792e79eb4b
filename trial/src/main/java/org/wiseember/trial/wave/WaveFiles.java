package org.wiseember.trial.wave;

import java.time.Instant;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import org.wiseember.bench.procedure.WaveSteps;
import org.wiseember.core.trace.Trace;
import org.wiseember.core.uncertainty.MeterClass;
import org.wiseember.core.waveform.Capture;
import org.wiseember.core.waveform.CaptureNote;
import org.wiseember.core.waveform.WaveMethod;
import org.wiseember.core.waveform.WaveformAnalysis;
import org.wiseember.core.waveform.WaveformUnreadable;
import org.wiseember.trial.kind.ScopeClass;
import org.wiseember.workbook.NewRun;
import org.wiseember.workbook.Run;
import org.wiseember.workbook.RunOf;
import org.wiseember.workbook.RunSettings;
import org.wiseember.workbook.StoredCapture;
import org.wiseember.workbook.Workbook;

/** Captures that come from files rather than from a bench. */
public final class WaveFiles {
  private WaveFiles() {}

  /**
   * A capture worked out before it is kept.
   *
   * @throws WaveformUnreadable in one sentence where no figure can be made of it
   */
  public static Wave looked(Capture capture) throws WaveformUnreadable {
    return new Wave(
        new StoredCapture(Double.NaN, CaptureNote.of("The capture"), capture),
        false,
        Double.NaN,
        Optional.of(WaveformAnalysis.of(capture, WaveMethod.assumed(WaveMethod.USUAL_ORDERS))),
        "",
        Optional.empty(),
        List.of());
  }

  /** How waves of a run are looked at: by the class of its scope where somebody said it. */
  public static WaveMethod method(RunSettings settings) {
    OptionalDouble scope = ScopeClass.of(settings);
    return scope.isPresent()
        ? WaveMethod.measuredWith(
            WaveMethod.USUAL_ORDERS, MeterClass.ofReading(scope.getAsDouble(), 0, 0))
        : WaveMethod.assumed(WaveMethod.USUAL_ORDERS);
  }

  /** An empty run that captures from files go into; gives its key. */
  public static long run(Workbook workbook, long unitId, double volts, String from, Instant now) {
    return workbook
        .runs()
        .add(
            new NewRun(
                RunOf.unit(unitId),
                WaveSteps.KIND,
                "Waveform from files",
                now,
                new RunSettings(
                    0,
                    volts,
                    Map.of(),
                    Map.of(),
                    RunSettings.Source.FILE,
                    0,
                    List.of(),
                    List.of(),
                    Map.of())),
            Run.State.DONE,
            "Begun with " + from + ".",
            Trace.empty(),
            List.of());
  }
}
