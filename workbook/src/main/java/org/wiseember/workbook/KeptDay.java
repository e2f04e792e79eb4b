package org.wiseember.workbook;

import java.util.List;
import org.wiseember.core.runtime.Day;

/**
 * A day the workbook keeps.
 *
 * @param id its key
 * @param units keys of the units it is laid out for, in that order
 */
public record KeptDay(long id, Day day, List<Long> units) {
  public KeptDay {
    units = List.copyOf(units);
  }

  /** The same with another day. */
  public KeptDay with(Day other) {
    return new KeptDay(id, other, units);
  }

  /** The same for other units. */
  public KeptDay on(List<Long> others) {
    return new KeptDay(id, day, others);
  }
}
