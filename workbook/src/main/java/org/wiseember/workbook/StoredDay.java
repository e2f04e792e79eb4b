package org.wiseember.workbook;

import java.util.List;
import org.wiseember.core.runtime.Day;

/**
 * A day the workbook keeps.
 *
 * @param id its key
 * @param units keys of the units it is laid out for, in that order
 */
public record StoredDay(long id, Day day, List<Long> units) {
  public StoredDay {
    units = List.copyOf(units);
  }

  /** The same with another day. */
  public StoredDay with(Day other) {
    return new StoredDay(id, other, units);
  }

  /** The same for other units. */
  public StoredDay on(List<Long> others) {
    return new StoredDay(id, day, others);
  }
}
