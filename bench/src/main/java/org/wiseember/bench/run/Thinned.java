package org.wiseember.bench.run;

/**
 * A channel thinned for drawing: each bucket keeps its least and greatest reading, so that a dip of
 * one sample is still seen after two days.
 *
 * @param seconds time of each bucket's first reading
 * @param low least reading of each bucket
 * @param high greatest reading of each bucket
 */
public record Thinned(double[] seconds, double[] low, double[] high) {
  public int size() {
    return seconds.length;
  }
}
