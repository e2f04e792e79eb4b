package org.wiseember.trial.test.heat;

/**
 * How far from the unit the sound meter stands.
 *
 * @param metres above 0
 */
public record SoundDistance(double metres) {
  /** Where most labels mean it. */
  public static final SoundDistance USUAL = new SoundDistance(1);

  public SoundDistance {
    if (!(metres > 0)) {
      throw new IllegalArgumentException("a sound meter stands somewhere");
    }
  }
}
