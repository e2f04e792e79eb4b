package org.wiseember.core.waveform;

/** A capture that no figure can be made of, and why, in one sentence. */
public final class WaveformUnreadable extends Exception {
  private static final long serialVersionUID = 1L;

  public WaveformUnreadable(String sentence) {
    super(sentence);
  }
}
