package org.wiseember.core.waveform;

import java.util.SplittableRandom;
import java.util.function.DoubleUnaryOperator;

/** Waves whose figures are known by formula. */
final class AnalyticWave {
  private AnalyticWave() {}

  /** Samples of a wave given over its period, 0 to 1. */
  static Capture of(
      DoubleUnaryOperator wave,
      double peak,
      double hertz,
      double rate,
      double seconds,
      double phase,
      double noise,
      int bits,
      long seed) {
    SplittableRandom random = new SplittableRandom(seed);
    double[] v = new double[(int) Math.round(rate * seconds)];
    double bit = bits == 0 ? 0 : 2.5 * peak / (1L << bits);
    for (int i = 0; i < v.length; i++) {
      double turn = hertz * i / rate + phase;
      double x = peak * wave.applyAsDouble(turn - Math.floor(turn));
      x += noise * peak * random.nextGaussian();
      v[i] = bit == 0 ? x : bit * Math.rint(x / bit);
    }
    return Capture.of(rate, v);
  }

  /** Up, rest, down, rest; on for a share of each half. */
  static DoubleUnaryOperator quasiSquare(double on) {
    return x -> {
      double half = x < 0.5 ? x : x - 0.5;
      boolean high = Math.abs(half - 0.25) < on / 4;
      return high ? (x < 0.5 ? 1 : -1) : 0;
    };
  }

  static DoubleUnaryOperator triangle() {
    return x -> x < 0.25 ? 4 * x : x < 0.75 ? 2 - 4 * x : 4 * x - 4;
  }

  static DoubleUnaryOperator saw() {
    return x -> 2 * x - 1;
  }

  /** A sine with harmonics, each an order, a share of the fundamental and an angle in turns. */
  static DoubleUnaryOperator harmonics(double[]... parts) {
    return x -> {
      double sum = Math.sin(2 * Math.PI * x);
      for (double[] p : parts) {
        sum += p[1] * Math.sin(2 * Math.PI * (p[0] * x + p[2]));
      }
      return sum;
    };
  }
}
