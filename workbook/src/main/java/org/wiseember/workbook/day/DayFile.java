package org.wiseember.workbook.day;

import java.util.Optional;
import org.wiseember.core.runtime.Day;
import org.wiseember.core.runtime.RunTimeCase;
import org.wiseember.core.runtime.UnitSupply;
import org.wiseember.workbook.strict.JsonUnreadable;

/**
 * A day as it lies in a file.
 *
 * @param unit the unit it was written with; empty where the file tells of none
 */
public record DayFile(Day day, Optional<UnitSupply> unit) {
  /**
   * The day on its unit.
   *
   * @throws JsonUnreadable where it has none
   */
  public RunTimeCase asked() throws JsonUnreadable {
    return day.on(
        unit.orElseThrow(
            () ->
                new JsonUnreadable(
                    "The day needs “unit” with usable or labelWattHours; add what it runs on.")));
  }
}
