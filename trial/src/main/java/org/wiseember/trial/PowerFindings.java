package org.wiseember.trial;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import org.wiseember.bench.procedure.MotorStarts;
import org.wiseember.bench.procedure.OverloadHolds;
import org.wiseember.core.label.Label;
import org.wiseember.core.overload.CapturedTrip;
import org.wiseember.core.overload.OverloadLadder;
import org.wiseember.core.overload.OverloadMethod;
import org.wiseember.core.port.PortLadder;
import org.wiseember.core.port.SwitchedOff;
import org.wiseember.core.split.TwoLegs;
import org.wiseember.core.start.InrushReading;
import org.wiseember.core.start.MotorStart;
import org.wiseember.core.start.Nameplate;
import org.wiseember.core.start.StartSeries;
import org.wiseember.core.trace.Channel;
import org.wiseember.core.trace.Series;
import org.wiseember.core.trace.Trace;
import org.wiseember.core.trace.Treatment;
import org.wiseember.core.transfer.PassThrough;
import org.wiseember.core.transfer.TransferGap;
import org.wiseember.core.uncertainty.MeterClass;
import org.wiseember.core.waveform.NominalFrequency;
import org.wiseember.workbook.Event;
import org.wiseember.workbook.KeptCapture;
import org.wiseember.workbook.Run;
import org.wiseember.workbook.RunSettings;
import org.wiseember.workbook.Workbook;

/** Works out runs that test power, ports, heat and noise. */
final class PowerFindings {
  private static final MeterClass DC = MeterClass.ofReading(1, 0, 0.01);

  /** Readings noted for one try lie within this of its outcome, s. */
  private static final double OF_A_TRY = 90;

  private final Workbook workbook;
  private final Label label;

  PowerFindings(Workbook workbook, Label label) {
    this.workbook = workbook;
    this.label = label;
  }

  TestRun of(TestKind kind, Run run, Trace trace, Treatment treatment) {
    return switch (kind) {
      case OVERLOAD -> overload(run, trace, treatment);
      case STARTS -> starts(run, trace, treatment);
      case SWITCH_OVER -> transfer(run, trace, treatment);
      case PORT -> port(run, trace, treatment);
      case USB -> new UsbRun(run, trace, treatment, Particulars.usb(run.settings().particulars()));
      case WAVEFORM -> WaveFindings.of(workbook, label, run, trace, treatment);
      case HEAT -> new HeatFindings(workbook, run).of(trace, treatment);
      case SOAK -> new SoakRun(run, trace, treatment, SwitchedOff.in(treatment.of(trace)));
      case TWO_LEGS -> new LegsRun(run, trace, treatment, legs(treatment.of(trace)));
      default -> throw new IllegalArgumentException(kind + " is worked out elsewhere");
    };
  }

  private List<Event> events(Run run) {
    return workbook.runs().events(run.id());
  }

  private OverloadRun overload(Run run, Trace trace, Treatment treatment) {
    double rated = label.ratedWatts().orElse(Double.NaN);
    OverloadMethod method =
        run.settings()
            .meterClass(Channel.AC_POWER)
            .map(meter -> OverloadMethod.measuredWith(rated, meter))
            .orElseGet(() -> OverloadMethod.assumed(rated));
    return new OverloadRun(
        run,
        trace,
        treatment,
        OverloadLadder.of(trace, method.with(treatment), caughtTrips(run)),
        events(run).stream()
            .filter(e -> e.code().equals(OverloadHolds.RECOVERY))
            .map(Event::words)
            .toList());
  }

  private Map<Double, CapturedTrip> caughtTrips(Run run) {
    Map<Double, CapturedTrip> caught = new TreeMap<>();
    for (KeptCapture kept : workbook.captures().of(run.id())) {
      CapturedTrip.in(kept.capture(), hertz(run)).ifPresent(t -> caught.put(kept.seconds(), t));
    }
    return caught;
  }

  private double hertz(Run run) {
    return NominalFrequency.at(run.settings().volts());
  }

  /** Tries a scope caught; else those somebody saw, with what was noted beside them. */
  private StartsRun starts(Run run, Trace trace, Treatment treatment) {
    Optional<Nameplate> motor = Particulars.motor(run.settings().particulars());
    List<StartsRun.Caught> caught = new ArrayList<>();
    for (KeptCapture kept : workbook.captures().of(run.id())) {
      caught.add(new StartsRun.Caught(kept, MotorStart.of(kept.capture(), hertz(run))));
    }
    List<StartSeries.Try> tries = new ArrayList<>();
    for (StartsRun.Caught c : caught) {
      c.start().ifPresent(s -> tries.add(StartSeries.Try.of(s, c.kept().words())));
    }
    if (tries.isEmpty()) {
      Trace treated = treatment.of(trace);
      for (Event e : events(run)) {
        outcome(e).ifPresent(o -> tries.add(seen(o, e, treated)));
      }
    }
    String name = motor.map(Nameplate::name).orElse("the motor");
    return new StartsRun(
        run,
        trace,
        treatment,
        motor,
        tries.isEmpty() ? Optional.empty() : Optional.of(new StartSeries(name, tries)),
        caught);
  }

  private static Optional<MotorStart.Outcome> outcome(Event e) {
    String name =
        e.code().startsWith(MotorStarts.TRY)
            ? e.code().substring(MotorStarts.TRY.length()).toUpperCase(Locale.ROOT)
            : "";
    return Arrays.stream(MotorStart.Outcome.values())
        .filter(o -> o.name().equals(name))
        .findFirst();
  }

  private static StartSeries.Try seen(MotorStart.Outcome outcome, Event e, Trace trace) {
    double peak = near(trace.series(Channel.PEAK_CURRENT), e.seconds());
    double volts = near(trace.series(Channel.AC_VOLTAGE), e.seconds());
    return new StartSeries.Try(
        outcome, InrushReading.voltAmperes(volts, peak), peak, volts, e.words());
  }

  private static double near(Series s, double moment) {
    double found = Double.NaN;
    double nearest = OF_A_TRY;
    for (int i = 0; i < s.size(); i++) {
      double away = Math.abs(s.seconds(i) - moment);
      if (away <= nearest && s.value(i) > 0) {
        nearest = away;
        found = s.value(i);
      }
    }
    return found;
  }

  private TransferRun transfer(Run run, Trace trace, Treatment treatment) {
    List<TransferRun.Pull> pulls = new ArrayList<>();
    for (KeptCapture kept : workbook.captures().of(run.id())) {
      pulls.add(new TransferRun.Pull(kept, TransferGap.of(kept.capture(), hertz(run))));
    }
    return new TransferRun(run, trace, treatment, pulls, PassThrough.of(treatment.of(trace)));
  }

  private PortRun port(Run run, Trace trace, Treatment treatment) {
    RunSettings s = run.settings();
    return new PortRun(
        run,
        trace,
        treatment,
        PortLadder.of(
            trace,
            s.meterClass(Channel.DC_VOLTAGE).orElse(DC),
            s.meterClass(Channel.DC_CURRENT).orElse(DC),
            treatment,
            s.loads()));
  }

  /** The lightest and the heaviest moment at which both legs were read. */
  private static Optional<TwoLegs> legs(Trace trace) {
    double a = Double.NaN;
    double b = Double.NaN;
    double least = Double.POSITIVE_INFINITY;
    TwoLegs most = null;
    for (int i = 0; i < trace.size(); i++) {
      double nowA = trace.value(Channel.AC_POWER, i);
      double nowB = trace.value(Channel.SECOND_AC_POWER, i);
      a = Double.isNaN(nowA) ? a : nowA;
      b = Double.isNaN(nowB) ? b : nowB;
      // Typed one after the other: a pair counts once its second half is there.
      boolean pair = !Double.isNaN(a + b) && !Double.isNaN(nowB);
      if (pair && a >= 0 && b >= 0) {
        least = Math.min(least, a + b);
        most = most == null || a + b > most.total() ? new TwoLegs(a, b, 0) : most;
      }
    }
    return most == null || most.total() == least
        ? Optional.ofNullable(most)
        : Optional.of(new TwoLegs(most.legA(), most.legB(), least));
  }
}
