package org.wiseember.core.waveform;

import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.SortedMap;
import java.util.TreeMap;
import org.wiseember.core.figure.Warning;
import org.wiseember.core.uncertainty.Estimate;

/**
 * What a capture says.
 *
 * @param rms true RMS over whole cycles, V
 * @param frequency Hz
 * @param thdF distortion against the fundamental, %
 * @param thdR distortion against the true RMS, %
 * @param crestFactor peak over RMS
 * @param formFactor RMS over the rectified mean
 * @param dcOffset mean, V
 * @param peakToPeak V
 * @param averagingMeter what a meter shows that answers to the rectified mean and is scaled for
 *     sines, V
 * @param harmonics % of the fundamental by order, from 2
 * @param orders highest harmonic that went into the distortion
 * @param interharmonics everything between the harmonics, % of the fundamental
 * @param shape class of the wave
 * @param reason why that class, one sentence
 * @param residual what is left after the best sine and the offset, % of the fundamental: harmonics,
 *     what lies between them, and noise
 * @param cycle what the eye sees in the mean cycle
 * @param power what the amps say; empty where none were captured
 * @param windows of ten or twelve cycles that were looked at
 * @param over how far RMS, frequency and distortion went over those windows
 */
public record WaveformFinding(
    Estimate rms,
    Estimate frequency,
    Estimate thdF,
    Estimate thdR,
    Estimate crestFactor,
    Estimate formFactor,
    Estimate dcOffset,
    Estimate peakToPeak,
    Estimate averagingMeter,
    SortedMap<Integer, Estimate> harmonics,
    int orders,
    double interharmonics,
    WaveClass shape,
    String reason,
    Estimate residual,
    CycleShape cycle,
    Optional<AcPower> power,
    int windows,
    Spreads over,
    List<Warning> warnings) {
  /**
   * How far figures went over the windows.
   *
   * @param rms V
   * @param frequency Hz
   * @param thd %
   */
  public record Spreads(Spread rms, Spread frequency, Spread thd) {}

  public WaveformFinding {
    harmonics = new TreeMap<>(harmonics);
    warnings = List.copyOf(warnings);
  }

  /** Order of the strongest harmonic. */
  public int worstOrder() {
    return harmonics.entrySet().stream()
        .max(Comparator.comparingDouble(e -> e.getValue().value()))
        .map(Map.Entry::getKey)
        .orElse(2);
  }

  /** The strongest harmonic, % of the fundamental. */
  public Estimate worst() {
    return harmonics.get(worstOrder());
  }

  /** What an averaging meter shows over what is there, 1 for a sine. */
  public double averagingShare() {
    return averagingMeter.value() / rms.value();
  }
}
