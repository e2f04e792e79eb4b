package org.wiseember.command;

import java.util.List;
import java.util.Optional;
import org.wiseember.workbook.TestedUnit;
import org.wiseember.workbook.Workbook;
import org.wiseember.workbook.WorkbookException;

/** A unit named on the command line. */
final class UnitChoice {
  private UnitChoice() {}

  /**
   * The unit of a name.
   *
   * @param name whatever its capitals; null for the first unit
   * @throws WorkbookException in one sentence where there is none
   */
  static TestedUnit of(Workbook workbook, String name) {
    List<TestedUnit> units = workbook.units().all();
    Optional<TestedUnit> chosen =
        name == null
            ? units.stream().findFirst()
            : units.stream().filter(u -> u.name().equalsIgnoreCase(name)).findFirst();
    return chosen.orElseThrow(
        () ->
            new WorkbookException(
                name == null
                    ? "The workbook has no units yet."
                    : "There is no unit “" + name + "” in the workbook. Check the name."));
  }
}
