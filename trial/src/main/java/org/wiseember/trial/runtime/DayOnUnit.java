package org.wiseember.trial.runtime;

import java.util.List;
import java.util.Optional;
import org.wiseember.core.figure.Warning;
import org.wiseember.core.runtime.AskedOfUnit;
import org.wiseember.core.runtime.ChargeCurve;
import org.wiseember.core.runtime.Day;
import org.wiseember.core.runtime.RunTimeCase;
import org.wiseember.core.runtime.RunTimeFigures;
import org.wiseember.trial.kind.UnitFindings;

/**
 * What a day comes to on one unit.
 *
 * @param unitId key of the unit
 * @param name of the unit
 * @param measured what it is known to give, hold and start
 * @param asked the day on it
 * @param found how it goes
 * @param byLabel what its label alone would have one believe; empty where it prints no energy
 * @param asks its hardest starts and the most that runs, with what it has shown of them
 */
public record DayOnUnit(
    long unitId,
    String name,
    MeasuredSupply measured,
    RunTimeCase asked,
    RunTimeFigures found,
    Optional<ChargeCurve> byLabel,
    List<AskedOfUnit> asks) {
  public DayOnUnit {
    asks = List.copyOf(asks);
  }

  /** Works it out; empty where neither a drain nor its label tells what the unit holds. */
  public static Optional<DayOnUnit> of(Day day, long unitId, String name, UnitFindings unit) {
    return MeasuredSupply.of(unit).map(measured -> of(day, unitId, name, measured));
  }

  private static DayOnUnit of(Day day, long unitId, String name, MeasuredSupply measured) {
    RunTimeCase asked = day.on(measured.supply());
    return new DayOnUnit(
        unitId,
        name,
        measured,
        asked,
        RunTimeFigures.of(asked),
        asked.byLabel().map(RunTimeCase::course),
        AskedOfUnit.of(day.plan(), measured.endured()));
  }

  /** What to look out for. */
  public List<Warning> warnings() {
    return RunTimeFigures.warnings(asked, found.course());
  }
}
