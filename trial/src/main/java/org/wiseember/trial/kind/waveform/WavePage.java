package org.wiseember.trial.kind.waveform;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.wiseember.core.figure.Figure;
import org.wiseember.core.waveform.LimitCheck;
import org.wiseember.core.waveform.LimitSet;
import org.wiseember.core.waveform.MeterWave;
import org.wiseember.core.waveform.Suitability;
import org.wiseember.core.waveform.WaveformFigures;
import org.wiseember.core.waveform.WaveformFinding;
import org.wiseember.report.page.FindingPage;
import org.wiseember.trial.wave.Wave;
import org.wiseember.trial.wave.WavePictures;
import org.wiseember.trial.wave.WaveTable;

/** What a run of waves found: its worst capture in charts, and all figures. */
final class WavePage {
  private WavePage() {}

  /** What a meter showed, a row a step. */
  private static FindingPage read(WaveRun run) {
    List<List<String>> rows = new ArrayList<>();
    for (MeterWave w : run.read()) {
      rows.add(
          List.of(
              w.where(),
              w.rms().map(Figure::words).orElse("not read"),
              w.frequency().map(Figure::words).orElse("not read"),
              w.distortion().map(Figure::words).orElse("not read"),
              w.look().map(MeterWave.Look::words).orElse("not looked at")));
    }
    List<Figure> heads = run.figures().stream().limit(4).toList();
    return rows.isEmpty()
        ? FindingPage.of(heads)
        : FindingPage.of(heads)
            .table(List.of("Where", "Volts", "Frequency", "Distortion", "Looked"), rows);
  }

  static FindingPage of(WaveRun run) {
    Optional<Wave> worst = run.worst();
    if (worst.isEmpty()) {
      return read(run);
    }
    Wave w = worst.get();
    WaveformFinding f = w.finding().orElseThrow();
    WaveformFigures figures = w.figures();
    double two = Math.min(2000 / f.frequency().value(), WavePictures.length(w));
    List<String> words = new ArrayList<>(WaveTable.words(run, w));
    words.add(
        LimitCheck.of(f, LimitSet.EN_50160).words()
            + " These caps are for a public supply, lines to compare with.");
    for (Suitability s : Suitability.of(f, run.nominalVolts())) {
      words.add(s.kind().words() + ": " + s.fit().words() + ". " + s.reason());
    }
    return FindingPage.of(
            List.of(
                figures.distortion(),
                figures.rms(),
                figures.frequency(),
                figures.crest(),
                figures.offset()))
        .chart(WavePictures.stretch(w, Optional.empty(), 0, two))
        .chart(WavePictures.harmonics(f, Optional.of(LimitSet.EN_50160)))
        .table(WaveTable.HEADS, WaveTable.rows(run))
        .say(WaveBeside.of(run).stream().map(WaveBeside::words).toList())
        .say(words);
  }
}
