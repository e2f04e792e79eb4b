package org.wiseember.core.waveform;

import java.util.Arrays;
import java.util.Locale;
import java.util.Optional;

/** Where a wave was captured. Only the unit's own output, by itself, is held against its label. */
public enum CapturePlace {
  /** At the unit's outlet. */
  OUTPUT(""),
  /** At the unit's outlet while it charges. */
  CHARGING("while it charges"),
  /** Behind a conditioner or filter that the outlet feeds. */
  BEHIND_FILTER("behind the filter"),
  /** The mains, for comparison. */
  MAINS("the mains"),
  /** A generator, for comparison. */
  GENERATOR("a generator");

  private final String words;

  CapturePlace(String words) {
    this.words = words;
  }

  /** As it stands in a sentence; empty for the outlet. */
  public String words() {
    return words;
  }

  /** Whether the wave comes from the unit, by whatever way. */
  public boolean ofUnit() {
    return this == OUTPUT || this == CHARGING || this == BEHIND_FILTER;
  }

  /** Short and stable, as kept in the workbook. */
  public String key() {
    return name().toLowerCase(Locale.ROOT);
  }

  public static Optional<CapturePlace> byKey(String key) {
    return Arrays.stream(values()).filter(p -> p.key().equals(key)).findFirst();
  }
}
