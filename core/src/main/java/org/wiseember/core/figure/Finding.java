package org.wiseember.core.figure;

import java.util.List;
import java.util.Optional;

/** What a run says: its figures, and what has to be known about them. */
public interface Finding {
  /** Every figure it gives, the most telling first; one that could not be had is left out. */
  List<Figure> figures();

  /** What has to be known, among it why a figure is missing. */
  List<Warning> warnings();

  /** The figure with this key. */
  default Optional<Figure> figure(String key) {
    return figures().stream().filter(f -> f.key().equals(key)).findFirst();
  }

  /** Whether a warning was given. */
  default boolean warns(String code) {
    return warnings().stream().anyMatch(w -> w.code().equals(code));
  }
}
