package org.wiseember.core.typed;

import java.util.List;
import java.util.Optional;

/**
 * What became of a typed text.
 *
 * @param reading empty when the text is no reading of its kind
 * @param echo what was understood, or why nothing was, in words
 * @param slips what does not fit, the gravest first
 */
public record TypedAnswer(Optional<TypedReading> reading, String echo, List<Slip> slips) {
  public TypedAnswer {
    slips = List.copyOf(slips);
  }

  static TypedAnswer unreadable(String why) {
    return new TypedAnswer(Optional.empty(), why, List.of());
  }
}
