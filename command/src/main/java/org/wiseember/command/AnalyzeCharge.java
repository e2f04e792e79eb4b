package org.wiseember.command;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.concurrent.Callable;
import org.wiseember.core.because.Warning;
import org.wiseember.core.charge.ChargeFinding;
import org.wiseember.core.charge.ChargeProfile;
import org.wiseember.core.quantity.Unit;
import org.wiseember.core.uncertainty.MeterClass;
import org.wiseember.workbook.log.Log;
import picocli.CommandLine.Command;
import picocli.CommandLine.Mixin;

/** How a unit charges, from the log of a meter on its input. */
@Command(
    name = "charge",
    description = "Energy in, peak, times to 80 % and full, and where it tapers.",
    mixinStandardHelpOptions = true)
final class AnalyzeCharge implements Callable<Integer> {
  @Mixin private LogInput input;

  @Override
  public Integer call() throws Exception {
    Log read = input.read();
    ChargeFinding f =
        ChargeProfile.of(
            read.trace(),
            Optional.ofNullable(input.accuracy()).map(a -> MeterClass.ofReading(a, 0, 0)));
    List<Warning> warnings = new ArrayList<>(read.warnings());
    warnings.addAll(f.warnings());
    return input.print(
        new Results("charge", warnings)
            .add("energy_in", f.energyIn(), Unit.WATT_HOUR)
            .add("peak_power", f.peakPower(), Unit.WATT)
            .add("time_to_80", f.timeTo80(), Unit.SECOND)
            .add("time_to_full", f.timeToFull(), Unit.SECOND)
            .add("taper_start", f.taperStart(), Unit.SECOND)
            .add("taper_share", f.taperShare(), Unit.PERCENT));
  }
}
