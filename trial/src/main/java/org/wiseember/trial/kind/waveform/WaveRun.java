package org.wiseember.trial.kind.waveform;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import org.wiseember.core.figure.Explanation;
import org.wiseember.core.figure.Figure;
import org.wiseember.core.figure.Warning;
import org.wiseember.core.waveform.CapturePlace;
import org.wiseember.core.waveform.LoadSweep;
import org.wiseember.core.waveform.MeterWave;
import org.wiseember.core.waveform.WaveformFigures;
import org.wiseember.report.page.FindingPage;
import org.wiseember.trial.kind.StoredRun;
import org.wiseember.trial.kind.UnitFindings;
import org.wiseember.trial.wave.CapturedWaves;
import org.wiseember.trial.wave.Wave;

/**
 * A unit's wave at several loads.
 *
 * @param waves as they were captured
 * @param read what a meter and eyes showed without a capture
 * @param nominalVolts of the outlet, V; 0 where nobody said
 */
public record WaveRun(StoredRun kept, List<Wave> waves, List<MeterWave> read, double nominalVolts)
    implements CapturedWaves {
  public WaveRun {
    waves = List.copyOf(waves);
    read = List.copyOf(read);
  }

  /** What was read of the unit's own output, the mains left out. */
  public List<MeterWave> ownRead() {
    return read.stream().filter(w -> !w.mains()).toList();
  }

  /** The unit's own waves that have figures: at its outlet, with nothing between or beside. */
  @Override
  public List<Wave> own() {
    return waves.stream()
        .filter(w -> w.kept().note().place() == CapturePlace.OUTPUT && w.finding().isPresent())
        .toList();
  }

  /** The unit's most distorted wave. */
  @Override
  public Optional<Wave> worst() {
    return own().stream()
        .max(Comparator.comparingDouble(w -> w.finding().orElseThrow().thdF().value()));
  }

  /**
   * The unit's wave nearest to a load.
   *
   * @param watts W
   */
  @Override
  public Optional<Wave> at(double watts) {
    return own().stream()
        .filter(w -> !Double.isNaN(w.watts()))
        .min(Comparator.comparingDouble(w -> Math.abs(w.watts() - watts)));
  }

  /** Its waves by load; those whose load nobody knows are left out. */
  @Override
  public LoadSweep sweep() {
    return new LoadSweep(
        own().stream()
            .filter(w -> !Double.isNaN(w.watts()))
            .map(w -> new LoadSweep.Point(w.watts(), w.finding().orElseThrow()))
            .toList());
  }

  @Override
  public List<Figure> figures() {
    List<Figure> all =
        new ArrayList<>(
            worst()
                .map(Wave::figures)
                .map(WaveformFigures::all)
                .orElseGet(() -> ownRead().stream().flatMap(w -> w.figures().stream()).toList()));
    WaveBeside.of(this).forEach(b -> all.add(b.difference()));
    return all;
  }

  /** The distortion of the worst wave. */
  @Override
  public Optional<Explanation> headline() {
    return worst()
        .map(w -> w.figures().distortion())
        .or(() -> WaveClaims.mostDistorted(this))
        .or(() -> figures().stream().findFirst())
        .map(Explanation::of);
  }

  @Override
  public FindingPage page(UnitFindings unit) {
    return WavePage.of(this);
  }

  @Override
  public List<Warning> warnings() {
    List<Warning> warnings = new ArrayList<>();
    if (waves.isEmpty()) {
      warnings.add(
          new Warning(
              "no_capture",
              read.isEmpty()
                  ? "No wave was captured yet. Add one from a scope or from a file."
                  : "Read off a meter, without a capture: its shape and its harmonics are not known."
                      + " Add a capture from a scope or from a file for them."));
    }
    for (Wave w : waves) {
      if (w.finding().isEmpty()) {
        warnings.add(new Warning("unreadable", w.kept().words() + ": " + w.trouble()));
      }
      w.finding().stream()
          .flatMap(f -> f.warnings().stream())
          .filter(x -> !x.code().equals("accuracy_assumed"))
          .forEach(x -> warnings.add(new Warning(x.code(), w.kept().words() + ": " + x.message())));
      w.check()
          .filter(c -> !c.agrees())
          .ifPresent(
              c -> warnings.add(new Warning("meter_differs", w.kept().words() + ": " + c.words())));
      w.sags().forEach(s -> warnings.add(new Warning("sag", w.kept().words() + ": " + s.words())));
    }
    return warnings;
  }
}
