package org.wiseember.core.capacity;

import java.util.List;
import java.util.Optional;
import java.util.regex.Pattern;
import org.wiseember.core.figure.Warning;

/**
 * What a unit said of itself when it shut off, as noted by the tester or shown beside its figures.
 * Common practice, no published source.
 */
public enum ShutOff {
  /** Told before heat, since a hot cell is hot first. */
  HEAT(
      "(?i)\\b(hot|heat|over-?temp\\w*|temperature)\\b",
      false,
      "It shut off for heat, so this is less than the unit holds. Let it cool and drain again."),
  OVERLOAD(
      "(?i)\\b(over-?load\\w*|over-?current|too much load)\\b",
      false,
      "It shut off for overload, so this is less than the unit holds."),
  LOW_CELL(
      "(?i)\\bcell\\b|\\bimbalance|under-?volt\\w*",
      true,
      "It shut off for low volts on a cell: one that is weaker than the others ends the drain for"
          + " all of them. A full, slow charge may even them out; if it stays, the pack is uneven.");

  private final Pattern words;
  private final boolean ownLimit;
  private final String meaning;

  ShutOff(String words, boolean ownLimit, String meaning) {
    this.words = Pattern.compile(words);
    this.ownLimit = ownLimit;
    this.meaning = meaning;
  }

  /**
   * What notes say.
   *
   * @param notes made at the cut-off, any number
   * @return empty where none of them says why
   */
  public static Optional<ShutOff> in(List<String> notes) {
    for (ShutOff cause : values()) {
      if (notes.stream().anyMatch(n -> cause.words.matcher(n).find())) {
        return Optional.of(cause);
      }
    }
    return Optional.empty();
  }

  /** Whether the drain still shows what the unit holds. */
  public boolean ownLimit() {
    return ownLimit;
  }

  /** As a note beside the figure. */
  public Warning warning() {
    return new Warning("shut_off", meaning);
  }
}
