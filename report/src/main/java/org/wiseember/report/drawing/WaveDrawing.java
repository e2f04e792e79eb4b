package org.wiseember.report.drawing;

/**
 * A piece of a captured wave.
 *
 * @param milliseconds of each sample, from a moment that means something
 * @param volts V
 * @param amps A; empty where none were captured
 * @param from of a stretch that is marked, ms; NaN for none
 * @param to its end, ms
 * @param words on the stretch
 */
public record WaveDrawing(
    double[] milliseconds, double[] volts, double[] amps, double from, double to, String words)
    implements Drawing {
  public WaveDrawing {
    milliseconds = milliseconds.clone();
    volts = volts.clone();
    amps = amps.clone();
  }
}
