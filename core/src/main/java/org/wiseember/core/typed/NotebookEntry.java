package org.wiseember.core.typed;

import java.util.List;
import java.util.Optional;
import org.wiseember.core.hand.Moment;
import org.wiseember.core.hand.OperatorEvent;

/**
 * A line of a notebook as it was understood.
 *
 * @param readings what was read off, each on its own
 * @param slips what does not fit, the gravest first
 * @param press what was said by it, in so many words; empty for none
 * @param when the moment that was named; empty for the moment it was written
 * @param errorCode on the unit; empty for none
 * @param who read it; empty where nobody was named
 * @param remark what is kept as words alone; empty for nothing
 * @param echo said back, one or two sentences
 */
public record NotebookEntry(
    List<TypedReading> readings,
    List<Slip> slips,
    Optional<OperatorEvent> press,
    Optional<Moment> when,
    Optional<String> errorCode,
    String who,
    String remark,
    String echo) {
  public NotebookEntry {
    readings = List.copyOf(readings);
    slips = List.copyOf(slips);
  }

  /** Whether there is anything to keep. */
  public boolean isEmpty() {
    return readings.isEmpty() && press.isEmpty() && errorCode.isEmpty() && remark.isEmpty();
  }
}
