package org.wiseember.core.noise;

/**
 * Sound pressure levels: the background taken out, and the same source at another distance.
 *
 * <p>Sources: energy sum of incoherent sounds, L = 10·lg(10^(L_all ÷ 10) − 10^(L_background ÷ 10)),
 * and its limit of 3 dB as in ISO 3746 (recalled from memory); L₂ = L₁ − 20·lg(r₂ ÷ r₁) for a small
 * source in the open, which a room does not keep: there the level falls less.
 */
public final class SoundLevel {
  /** With less between all and background, only an upper limit can be given, dB. */
  public static final double LEAST_APART = 3;

  private SoundLevel() {}

  /**
   * A level without the background.
   *
   * @param all with the source on, dB
   * @param background with it off, dB
   * @return dB; where they are less than 3 dB apart, {@code all} less the correction for 3 dB,
   *     which is then an upper limit
   */
  public static double without(double all, double background) {
    double apart = Math.max(LEAST_APART, all - background);
    return all + 10 * Math.log10(1 - Math.pow(10, -apart / 10));
  }

  /** Whether the source stands out of the background enough for a figure. */
  public static boolean standsOut(double all, double background) {
    return all - background >= LEAST_APART;
  }

  /**
   * By how much an uncertain background moves the figure: dL ÷ dL_background = −1 ÷ (10^(ΔL ÷ 10) −
   * 1).
   */
  public static double backgroundSensitivity(double all, double background) {
    double apart = Math.max(LEAST_APART, all - background);
    return -1 / (Math.pow(10, apart / 10) - 1);
  }

  /**
   * The level at another distance, in the open.
   *
   * @param level dB at {@code from}
   * @param from m, above 0
   * @param to m, above 0
   */
  public static double at(double level, double from, double to) {
    return level - 20 * Math.log10(to / from);
  }
}
