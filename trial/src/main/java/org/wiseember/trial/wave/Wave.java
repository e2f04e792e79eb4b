package org.wiseember.trial.wave;

import java.util.List;
import java.util.Optional;
import org.wiseember.core.transfer.Sag;
import org.wiseember.core.waveform.RatioCheck;
import org.wiseember.core.waveform.WaveformFigures;
import org.wiseember.core.waveform.WaveformFinding;
import org.wiseember.workbook.StoredCapture;

/**
 * One capture and what it says.
 *
 * @param mains whether it is the mains', for comparison
 * @param watts load it was captured at, W; NaN where nobody knows
 * @param finding empty where no figure can be made of it
 * @param trouble why not, one sentence
 * @param check against the meter on the same outlet; empty where there was none
 * @param sags what fell out of its usual volts
 */
public record Wave(
    StoredCapture kept,
    boolean mains,
    double watts,
    Optional<WaveformFinding> finding,
    String trouble,
    Optional<RatioCheck> check,
    List<Sag> sags) {
  public Wave {
    sags = List.copyOf(sags);
  }

  /** Its figures, which it must have. */
  public WaveformFigures figures() {
    return WaveformFigures.of(finding.orElseThrow(), where());
  }

  /** What was captured, as it stands inside a sentence. */
  public String where() {
    return kept.note().inSentence();
  }
}
