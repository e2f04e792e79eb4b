package org.wiseember.core.waveform;

/** What testers call a wave. */
public enum WaveClass {
  SINE("sine"),
  ROUGH_SINE("rough sine"),
  /** Stepped: flat levels, and mostly a rest at zero between them. */
  MODIFIED("modified"),
  SQUARE("square"),
  /** None of these: a triangle, a saw, something broken. */
  OTHER("other");

  /** Most distortion a sine and a rough sine have, %; common practice, no published source. */
  static final double SINE_THD = 5;

  static final double ROUGH_THD = 10;

  private static final double REST = 0.03;
  private static final double FLAT_TOP = 0.7;
  private static final double FLAT = 0.6;

  private final String words;

  WaveClass(String words) {
    this.words = words;
  }

  public String words() {
    return words;
  }

  /**
   * The class of a shape.
   *
   * @param thd distortion against the fundamental, %
   * @param rest share of the period spent within a tenth of the peak around zero
   * @param top share spent within a tenth of the peak below the peak, either way
   * @param flat share in which it does not rise or fall to speak of
   */
  static WaveClass of(double thd, double rest, double top, double flat) {
    if (thd <= SINE_THD) {
      return SINE;
    }
    if (flat >= FLAT && top >= FLAT_TOP && rest < REST) {
      return SQUARE;
    }
    if (flat >= FLAT && thd > ROUGH_THD) {
      return MODIFIED;
    }
    return thd <= ROUGH_THD ? ROUGH_SINE : OTHER;
  }
}
