package org.wiseember.trial;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.wiseember.core.waveform.LimitCheck;
import org.wiseember.core.waveform.LimitSet;
import org.wiseember.core.waveform.Suitability;
import org.wiseember.core.waveform.WaveformFinding;
import org.wiseember.report.page.WavePart;

/** The part of a page that shows a unit's wave: its worst capture, and all figures. */
final class WavePage {
  private WavePage() {}

  static Optional<WavePart> of(Judgement judgement) {
    return judgement.runs().stream()
        .filter(WaveRun.class::isInstance)
        .map(WaveRun.class::cast)
        .filter(r -> !r.own().isEmpty())
        .reduce((first, second) -> second)
        .map(WavePage::of);
  }

  private static WavePart of(WaveRun run) {
    WaveRun.Wave worst = run.worst().orElseThrow();
    WaveformFinding f = worst.finding().orElseThrow();
    double two = Math.min(2000 / f.frequency().value(), WavePictures.length(worst));
    List<String> words = new ArrayList<>(WaveTable.words(run, worst));
    words.add(
        LimitCheck.of(f, LimitSet.EN_50160).words()
            + " These caps are for a public supply, lines to compare with.");
    for (Suitability s : Suitability.of(f, run.nominalVolts())) {
      words.add(s.kind().words() + ": " + s.fit().words() + ". " + s.reason());
    }
    return new WavePart(
        run.run().title(),
        "The most distorted wave, " + worst.where() + ": two cycles and its harmonics.",
        WavePictures.stretch(worst, Optional.empty(), 0, two),
        WavePictures.harmonics(f, Optional.of(LimitSet.EN_50160)),
        WaveTable.HEADS,
        WaveTable.rows(run),
        words);
  }
}
