package org.wiseember.core.waveform;

import java.util.List;
import java.util.SortedMap;
import java.util.TreeMap;
import org.wiseember.core.because.Warning;
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
 * @param windows of ten or twelve cycles that were looked at
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
    int windows,
    List<Warning> warnings) {
  public WaveformFinding {
    harmonics = new TreeMap<>(harmonics);
    warnings = List.copyOf(warnings);
  }
}
