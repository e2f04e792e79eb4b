package org.wiseember.trial.kind.found;

import java.util.List;
import java.util.OptionalDouble;
import org.wiseember.core.start.Nameplate;
import org.wiseember.core.start.StartForecast;
import org.wiseember.core.start.StartPower;
import org.wiseember.core.start.StartSeries;
import org.wiseember.trial.kind.UnitFindings;

/**
 * What all starts of a unit show.
 *
 * @param held the most VA it gave in a start that went
 * @param failed the least VA at which one failed
 */
public record StartLimits(OptionalDouble held, OptionalDouble failed) {
  /** Of every start of a unit. */
  public static StartLimits of(UnitFindings unit) {
    List<StartSeries> series =
        unit.of(MotorsStarted.class).flatMap(r -> r.series().stream()).toList();
    return new StartLimits(
        series.stream().map(StartSeries::held).flatMapToDouble(OptionalDouble::stream).max(),
        series.stream().map(StartSeries::failed).flatMapToDouble(OptionalDouble::stream).min());
  }

  /** Whether anything was caught. */
  public boolean known() {
    return held.isPresent() || failed.isPresent();
  }

  /** Whether the unit starts a motor. */
  public StartForecast start(Nameplate motor) {
    return StartForecast.of(StartPower.of(motor), held, failed);
  }
}
