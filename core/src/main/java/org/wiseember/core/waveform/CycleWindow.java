package org.wiseember.core.waveform;

/**
 * A stretch of a capture cut into equal cells that need not fall on samples, so that it can hold a
 * whole number of cycles of any frequency. Between samples the wave is taken as straight, and a
 * cell is its mean over the cell; what both do to a sine of a given frequency is known exactly, see
 * {@link #gain}.
 */
final class CycleWindow {
  private final double[] samples;
  private final double[] integral;

  CycleWindow(double[] samples) {
    this.samples = samples;
    this.integral = new double[samples.length];
    double sum = 0;
    for (int i = 1; i < samples.length; i++) {
      sum += (samples[i - 1] + samples[i]) / 2;
      integral[i] = sum;
    }
  }

  /**
   * The means of the cells.
   *
   * @param from place of the stretch's start, in samples, 0 or more
   * @param length of the stretch in samples; it ends at the last sample at the latest
   * @param cells how many
   */
  double[] cells(double from, double length, int cells) {
    double[] out = new double[cells];
    double step = length / cells;
    double before = upTo(from);
    for (int k = 0; k < cells; k++) {
      double next = upTo(from + (k + 1) * step);
      out[k] = (next - before) / step;
      before = next;
    }
    return out;
  }

  /** Integral of the straight lines from the first sample up to a place. */
  private double upTo(double place) {
    int i = (int) Math.min(samples.length - 2, Math.max(0, Math.floor(place)));
    double x = place - i;
    double slope = samples[i + 1] - samples[i];
    return integral[i] + x * (samples[i] + x * slope / 2);
  }

  /**
   * What straight lines between samples and means over cells leave of a sine's amplitude.
   *
   * @param cyclesPerSample frequency in cycles a sample
   * @param cyclesPerCell the same in cycles a cell
   */
  static double gain(double cyclesPerSample, double cyclesPerCell) {
    double straight = sinc(cyclesPerSample);
    return straight * straight * sinc(cyclesPerCell);
  }

  /**
   * sin πx ÷ πx. Also what the jumps of a wave fold back onto its harmonics where every cycle has
   * the same whole number of samples: Σ 1 ÷ (n + mN) over all m is π ÷ (N sin(πn ÷ N)), so that a
   * line at x cycles a sample is too large by its inverse.
   */
  static double sinc(double x) {
    double a = Math.PI * x;
    return Math.abs(a) < 1e-9 ? 1 : Math.sin(a) / a;
  }
}
