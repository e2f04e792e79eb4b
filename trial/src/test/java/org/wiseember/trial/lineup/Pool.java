package org.wiseember.trial.lineup;

import java.time.Instant;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.wiseember.bench.procedure.Drain;
import org.wiseember.bench.procedure.StaysOn;
import org.wiseember.core.trace.Channel;
import org.wiseember.core.trace.Trace;
import org.wiseember.core.uncertainty.MeterClass;
import org.wiseember.workbook.NewRun;
import org.wiseember.workbook.Run;
import org.wiseember.workbook.RunOf;
import org.wiseember.workbook.RunSettings;
import org.wiseember.workbook.UnitFacts;
import org.wiseember.workbook.Workbook;

/** Units that were made up, with the runs of a plug meter. */
final class Pool {
  private static final Instant EVENING = Instant.parse("2026-05-04T16:30:00Z");
  private static final double EVERY = 10;

  private final Workbook workbook;

  Pool(Workbook workbook) {
    this.workbook = workbook;
  }

  /** A unit with its label, what was paid for it, and whole drains at watts that gave Wh. */
  long unit(String name, String label, double price, double[]... drains) {
    long id = workbook.units().add(name).id();
    workbook.units().label(id, label, List.of());
    if (price > 0) {
      workbook.units().facts(id, new UnitFacts("", "", "", Optional.empty(), price, "EUR"));
    }
    for (double[] drain : drains) {
      drain(id, drain[0], drain[1]);
    }
    return id;
  }

  /** A drain read off a meter of 0.5 % every ten seconds, down to a dead stop. */
  void drain(long unit, double watts, double wattHours) {
    int on = (int) Math.round(wattHours / watts * 3600 / EVERY);
    int rows = on + 30;
    double[] at = new double[rows];
    double[] read = new double[rows];
    for (int i = 0; i < rows; i++) {
      at[i] = i * EVERY;
      read[i] = i <= on ? watts : 0;
    }
    add(
        unit,
        Drain.AC,
        RunSettings.of(
            RunSettings.Source.FILE, Map.of(Channel.AC_POWER, MeterClass.ofReading(0.5, 0, 0))),
        new Trace(at, Map.of(Channel.AC_POWER, read)));
  }

  /** What is alive while it charges: 0 off, 1 on, NaN for what nobody looked at. */
  void alive(long unit, double ac, double dc, double usb) {
    long run =
        add(
            unit,
            StaysOn.KIND,
            RunSettings.of(RunSettings.Source.BY_HAND, Map.of()),
            Trace.empty());
    keep(run, Channel.AC_ALIVE, ac);
    keep(run, Channel.DC_ALIVE, dc);
    keep(run, Channel.USB_ALIVE, usb);
  }

  private void keep(long run, Channel channel, double value) {
    if (!Double.isNaN(value)) {
      workbook.typedReadings().keep(run, 60, "eyes", channel, value, 1, String.valueOf(value));
    }
  }

  private long add(long unit, String kind, RunSettings settings, Trace trace) {
    return workbook
        .runs()
        .add(
            new NewRun(RunOf.unit(unit), kind, kind, EVENING, settings),
            Run.State.DONE,
            "",
            trace,
            List.of());
  }
}
