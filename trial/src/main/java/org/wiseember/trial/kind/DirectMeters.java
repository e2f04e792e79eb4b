package org.wiseember.trial.kind;

import java.util.Optional;
import org.wiseember.core.efficiency.LadderMeters;
import org.wiseember.core.trace.Channel;
import org.wiseember.core.uncertainty.MeterClass;
import org.wiseember.workbook.RunSettings;

/** How good the meters on both sides of an inverter were, those nobody stated assumed. */
public final class DirectMeters {
  private DirectMeters() {}

  public static LadderMeters of(RunSettings settings) {
    LadderMeters unknown = LadderMeters.unknown();
    Optional<MeterClass> amps = settings.meterClass(Channel.DC_CURRENT);
    Optional<MeterClass> watts = settings.meterClass(Channel.DC_POWER);
    return new LadderMeters(
        settings.meterClass(Channel.AC_POWER).orElse(unknown.acPower()),
        settings.meterClass(Channel.DC_VOLTAGE).orElse(unknown.dcVoltage()),
        amps.orElse(unknown.dcCurrent()),
        watts.orElse(unknown.dcPower()),
        amps.isEmpty() && watts.isEmpty());
  }
}
