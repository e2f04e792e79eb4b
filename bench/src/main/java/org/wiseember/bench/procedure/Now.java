package org.wiseember.bench.procedure;

import java.util.List;
import org.wiseember.core.hand.OperatorEvent;

/**
 * What a person does at this moment of a test that is made by hand.
 *
 * @param what to do, one short sentence
 * @param how it is done and what to look at; empty for nothing more
 * @param presses what can be said of it by key, the likeliest first
 * @param besides what can be said at any time beside them: that this is skipped, that it is enough
 * @param clock what the clock counts, such as {@code held for}; empty where none matters
 * @param since when that began, s on the bench clock
 * @param subject watts or amps it is about; NaN for nothing
 * @param part of the test it belongs to, from 1
 * @param parts how many there are
 */
public record Now(
    String what,
    String how,
    List<OperatorEvent> presses,
    List<OperatorEvent> besides,
    String clock,
    double since,
    double subject,
    int part,
    int parts) {
  public Now {
    presses = List.copyOf(presses);
    besides = List.copyOf(besides);
  }

  /** Whether this can be said now. */
  public boolean takes(OperatorEvent press) {
    return presses.contains(press) || besides.contains(press);
  }
}
