package org.wiseember.trial;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.DoubleUnaryOperator;
import org.wiseember.bench.procedure.IdleWatch;
import org.wiseember.core.capacity.CapacityFinding;
import org.wiseember.core.capacity.CapacityMethod;
import org.wiseember.core.capacity.ShutOff;
import org.wiseember.core.capacity.UsableCapacity;
import org.wiseember.core.charge.Binding;
import org.wiseember.core.charge.ChargeFinding;
import org.wiseember.core.charge.ChargeLimits;
import org.wiseember.core.charge.ChargeProfile;
import org.wiseember.core.charge.Inlet;
import org.wiseember.core.display.TimeToFull;
import org.wiseember.core.efficiency.EfficiencyLadder;
import org.wiseember.core.efficiency.LadderMeters;
import org.wiseember.core.idle.IdleDraw;
import org.wiseember.core.idle.IdleMethod;
import org.wiseember.core.label.Label;
import org.wiseember.core.solar.Harvest;
import org.wiseember.core.trace.Channel;
import org.wiseember.core.trace.Trace;
import org.wiseember.core.trace.Treatment;
import org.wiseember.core.uncertainty.Estimate;
import org.wiseember.core.uncertainty.MeterClass;
import org.wiseember.workbook.Event;
import org.wiseember.workbook.Run;
import org.wiseember.workbook.RunSettings;
import org.wiseember.workbook.Workbook;

/** Works the runs of a unit out, each by its own method. */
final class Findings {
  private static final double LAST_MINUTE = 60;
  private static final Set<String> NOTES = Set.of("note", "error-code", "mark");

  private final Workbook workbook;
  private final Label label;

  Findings(Workbook workbook, Label label) {
    this.workbook = workbook;
    this.label = label;
  }

  /** Every run of a kind that is known, oldest first. */
  List<TestRun> of(List<Run> runs) {
    List<TestRun> worked = new ArrayList<>();
    List<Run> idle = new ArrayList<>();
    for (Run run : runs) {
      Optional<TestKind> kind = TestKind.byKey(run.kind());
      if (kind.isEmpty()) {
        continue;
      }
      switch (kind.get()) {
        case AC_DRAIN, DC_DRAIN -> worked.add(drain(run));
        case LADDER -> worked.add(ladder(run));
        case IDLE -> idle.add(run);
        case CHARGE -> worked.add(charge(run, worked));
        default ->
            worked.add(
                new PowerFindings(workbook, label)
                    .of(kind.get(), run, corrected(run), workbook.treatments().of(run.id())));
      }
    }
    // Hours to empty rest on what the drains and ladders found.
    Optional<Estimate> usable = UsableEnergy.of(worked, label);
    idle.forEach(run -> worked.add(idle(run, usable)));
    worked.sort(Comparator.comparingLong(r -> r.run().id()));
    return worked;
  }

  private DrainRun drain(Run run) {
    Trace trace = corrected(run);
    Treatment treatment = workbook.treatments().of(run.id());
    CapacityFinding finding = UsableCapacity.of(trace, method(run.settings()).with(treatment));
    return new DrainRun(run, trace, treatment, finding, shutOff(run, finding));
  }

  /** What was noted from the last minute of the drain on. */
  private Optional<ShutOff> shutOff(Run run, CapacityFinding finding) {
    return ShutOff.in(
        workbook.runs().events(run.id()).stream()
            .filter(e -> e.seconds() >= finding.endTime() - LAST_MINUTE)
            .filter(e -> NOTES.contains(e.code()))
            .map(Event::words)
            .toList());
  }

  private CapacityMethod method(RunSettings settings) {
    double rated = label.ratedWattHours().orElse(Double.NaN);
    Optional<MeterClass> ac =
        settings.meterClass(Channel.AC_POWER).or(() -> settings.meterClass(Channel.AC_ENERGY));
    Optional<MeterClass> volts = settings.meterClass(Channel.DC_VOLTAGE);
    Optional<MeterClass> amps = settings.meterClass(Channel.DC_CURRENT);
    CapacityMethod assumed = CapacityMethod.assumed(rated);
    if (ac.isEmpty() && amps.isEmpty()) {
      return assumed;
    }
    return new CapacityMethod(
        rated,
        ac.or(() -> settings.meterClass(Channel.DC_POWER)).orElse(assumed.power()),
        volts,
        amps.orElse(assumed.current()),
        false,
        false,
        Treatment.NONE);
  }

  /** With what the last complete AC drain before it gave. */
  private ChargeRun charge(Run run, List<TestRun> before) {
    Trace trace = corrected(run);
    Treatment treatment = workbook.treatments().of(run.id());
    Optional<Estimate> drained =
        before.stream()
            .filter(DrainRun.class::isInstance)
            .map(DrainRun.class::cast)
            .filter(d -> d.complete() && !d.direct())
            .reduce((first, second) -> second)
            .flatMap(d -> d.finding().deliveredEnergy());
    Trace treated = treatment.of(trace);
    ChargeSetting setting = TestPlan.of(run).charging();
    ChargeFinding finding = ChargeProfile.of(treated, InputMeter.of(run.settings(), treated));
    Optional<ChargeLimits> limits = ChargeLimits.of(treated, finding, LabelInputs.of(label));
    return new ChargeRun(
        run,
        trace,
        treatment,
        setting,
        finding,
        limits,
        TimeToFull.of(treated, finding),
        setting
            .panels()
            .flatMap(
                panels ->
                    limits
                        .flatMap(l -> l.band(Inlet.DC))
                        .flatMap(
                            band ->
                                Harvest.of(
                                    treated,
                                    at -> band.at(at) == Binding.SOURCE,
                                    panels,
                                    setting.site().airCelsius(),
                                    run.settings().meterClass(Channel.ILLUMINANCE)))),
        drained,
        label.ratedWattHours().orElse(Double.NaN));
  }

  private LadderRun ladder(Run run) {
    Trace trace = corrected(run);
    Treatment treatment = workbook.treatments().of(run.id());
    return new LadderRun(
        run,
        trace,
        treatment,
        EfficiencyLadder.of(
            trace, meters(run.settings()), label.ratedWatts().orElse(Double.NaN), treatment));
  }

  private static LadderMeters meters(RunSettings settings) {
    LadderMeters unknown = LadderMeters.unknown();
    Optional<MeterClass> ac = settings.meterClass(Channel.AC_POWER);
    Optional<MeterClass> amps = settings.meterClass(Channel.DC_CURRENT);
    Optional<MeterClass> watts = settings.meterClass(Channel.DC_POWER);
    return new LadderMeters(
        ac.orElse(unknown.acPower()),
        settings.meterClass(Channel.DC_VOLTAGE).orElse(unknown.dcVoltage()),
        amps.orElse(unknown.dcCurrent()),
        watts.orElse(unknown.dcPower()),
        amps.isEmpty() && watts.isEmpty());
  }

  private IdleRun idle(Run run, Optional<Estimate> usable) {
    Trace trace = corrected(run);
    Treatment treatment = workbook.treatments().of(run.id());
    Trace treated = treatment.of(trace);
    IdleMethod method = new IdleMethod(meters(run.settings()), usable, Treatment.NONE);
    List<Event> begins =
        workbook.runs().events(run.id()).stream()
            .filter(e -> e.code().equals(IdleWatch.STATE))
            .toList();
    double last = trace.isEmpty() ? 0 : trace.seconds(trace.size() - 1);
    List<IdleRun.InState> states = new ArrayList<>();
    if (begins.isEmpty()) {
      double first = trace.isEmpty() ? 0 : trace.seconds(0);
      states.add(new IdleRun.InState("idle", first, last, IdleDraw.of(treated, method)));
    }
    for (int i = 0; i < begins.size(); i++) {
      double from = begins.get(i).seconds();
      double to = i + 1 < begins.size() ? begins.get(i + 1).seconds() : last;
      Trace part = i + 1 < begins.size() ? treated.between(from, to) : treated.from(from);
      states.add(new IdleRun.InState(begins.get(i).words(), from, to, IdleDraw.of(part, method)));
    }
    return new IdleRun(run, trace, treatment, states);
  }

  /** The readings of a run, typed ones where nothing else read, put through its corrections. */
  private Trace corrected(Run run) {
    Trace raw =
        run.settings().source() == RunSettings.Source.BY_HAND
            ? workbook.typedReadings().trace(run.id())
            : workbook.runs().trace(run);
    if (run.settings().corrections().isEmpty()) {
      return raw;
    }
    Map<Channel, DoubleUnaryOperator> functions = new EnumMap<>(Channel.class);
    run.settings().corrections().forEach((channel, c) -> functions.put(channel, c::apply));
    return raw.mapped(functions);
  }
}
