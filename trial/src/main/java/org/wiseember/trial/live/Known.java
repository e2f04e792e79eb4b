package org.wiseember.trial.live;

import java.util.Optional;
import org.wiseember.core.quantity.Figures;
import org.wiseember.core.typed.TypedKind;

/**
 * A line of what is known so far in a test by hand.
 *
 * @param what it is about
 * @param value as it was read or said; {@code not read} where it was not
 * @param known whether it was
 * @param remark beside it; empty for nothing
 */
public record Known(String what, String value, boolean known, String remark) {
  /** What was read or said. */
  public static Known of(String what, String value) {
    return new Known(what, value, true, "");
  }

  /** What nobody has read yet. */
  public static Known notRead(String what) {
    return new Known(what, "not read", false, "");
  }

  /** The same with a word beside it. */
  public Known remarked(String words) {
    return new Known(what, value, known, words);
  }

  /** The newest reading of a kind. */
  public static Optional<Known> of(TypedKind kind, HandRecord record) {
    return kind.channel()
        .map(
            channel ->
                record
                    .last(channel)
                    .map(
                        r ->
                            of(kind.words(), Figures.plain(r.value(), kind.unit()))
                                .remarked("at " + Figures.clock(r.seconds())))
                    .orElseGet(() -> notRead(kind.words())));
  }
}
