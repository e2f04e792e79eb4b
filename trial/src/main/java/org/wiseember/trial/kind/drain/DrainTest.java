package org.wiseember.trial.kind.drain;

import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;
import org.wiseember.core.capacity.CapacityFinding;
import org.wiseember.core.capacity.CapacityMethod;
import org.wiseember.core.capacity.HandDrain;
import org.wiseember.core.capacity.ShutOff;
import org.wiseember.core.capacity.SteadyMean;
import org.wiseember.core.capacity.UsableCapacity;
import org.wiseember.core.display.ChargeDisplay;
import org.wiseember.core.label.Claim;
import org.wiseember.core.label.Group;
import org.wiseember.core.label.Label;
import org.wiseember.core.label.Subject;
import org.wiseember.core.trace.Channel;
import org.wiseember.core.trace.Treatment;
import org.wiseember.core.uncertainty.MeterClass;
import org.wiseember.trial.kind.ClaimAnswer;
import org.wiseember.trial.kind.Declaration;
import org.wiseember.trial.kind.Inquiry;
import org.wiseember.trial.kind.RunRecord;
import org.wiseember.trial.kind.StartCharge;
import org.wiseember.trial.kind.TestRun;
import org.wiseember.trial.kind.TestSettings;
import org.wiseember.trial.kind.TestType;
import org.wiseember.trial.kind.Trait;
import org.wiseember.trial.kind.UnitFindings;
import org.wiseember.trial.onhand.OnHand;
import org.wiseember.workbook.Event;
import org.wiseember.workbook.RunSettings;

/** A full unit emptied under one load: what an AC and a DC drain share. */
abstract class DrainTest implements TestType {
  private static final double LAST_MINUTE = 60;

  private static final Set<String> NOTES = Set.of("note", "error_code", "mark");

  private final Declaration declared;
  private final boolean direct;

  /** What either side answers; the first that can does. */
  static Declaration.Written declared(String key, String words) {
    return Declaration.of(key, words)
        .in(Group.ENERGY)
        .finds(DrainRun.class)
        .being(Trait.DRAINS)
        .answers(
            Subject.CAPACITY,
            Subject.CHARGE_CAPACITY,
            Subject.CONTINUOUS_POWER,
            Subject.APPARENT_POWER,
            Subject.OUTPUT_CURRENT,
            Subject.OUTPUT_VOLTAGE,
            Subject.OUTPUT_FREQUENCY);
  }

  DrainTest(Declaration declared, boolean direct) {
    this.declared = declared;
    this.direct = direct;
  }

  @Override
  public final Declaration declaration() {
    return declared;
  }

  @Override
  public final String missing(Label label, OnHand onHand) {
    return "A drain needs to know how much the unit claims to hold; its label prints no capacity.";
  }

  @Override
  public final TestSettings kept(RunSettings kept) {
    return DrainSettings.kept(direct, kept);
  }

  @Override
  public final TestRun worked(RunRecord record, Inquiry asked) {
    CapacityFinding finding =
        finding(record, method(record, asked).with(record.treatment()), asked.ratedWatts());
    return new DrainRun(
        record.kept(),
        finding,
        shutOff(record, finding),
        StartCharge.of(record, finding.startTime()),
        ChargeDisplay.of(record.treated(), finding),
        steady(record, finding, Channel.AC_POWER, "Power held").map(SteadyMean::mean),
        steady(record, finding, Channel.AC_VOLTAGE, "Output volts under load"),
        steady(record, finding, Channel.FREQUENCY, "Frequency under load"),
        room(record, finding));
  }

  /** By what was said where it was made by hand, else by what was read. */
  private CapacityFinding finding(RunRecord record, CapacityMethod method, double labelWatts) {
    return (record.noted()
            ? HandDrain.of(record.notes(record.trace()), method, !direct, labelWatts)
            : Optional.<CapacityFinding>empty())
        .orElseGet(() -> UsableCapacity.of(record.trace(), method));
  }

  private static Optional<SteadyMean> steady(
      RunRecord record, CapacityFinding finding, Channel channel, String name) {
    return SteadyMean.of(
        record.treated(),
        finding,
        channel,
        record.meterOrAssumed(channel),
        record.meter(channel).isEmpty(),
        name);
  }

  private static OptionalDouble room(RunRecord record, CapacityFinding finding) {
    return SteadyMean.of(
            record.treated(),
            finding,
            Channel.ROOM_TEMPERATURE,
            record.meterOrAssumed(Channel.ROOM_TEMPERATURE),
            true,
            "Room")
        .map(r -> OptionalDouble.of(r.mean().value()))
        .orElseGet(OptionalDouble::empty);
  }

  private static CapacityMethod method(RunRecord record, Inquiry asked) {
    double rated = asked.ratedWattHours();
    Optional<MeterClass> watts =
        record
            .meter(Channel.AC_POWER)
            .or(() -> record.meter(Channel.AC_ENERGY))
            .or(() -> record.meter(Channel.DC_POWER))
            .or(() -> record.meter(Channel.DC_ENERGY));
    Optional<MeterClass> amps = record.meter(Channel.DC_CURRENT);
    CapacityMethod assumed = CapacityMethod.assumed(rated);
    if (watts.isEmpty() && amps.isEmpty()) {
      return assumed;
    }
    return new CapacityMethod(
        rated,
        watts.orElse(assumed.power()),
        record.meter(Channel.DC_VOLTAGE),
        amps.orElse(assumed.current()),
        false,
        false,
        Treatment.NONE);
  }

  /** What was noted from the last minute of the drain on. */
  private static Optional<ShutOff> shutOff(RunRecord record, CapacityFinding finding) {
    return ShutOff.in(
        record.events().stream()
            .filter(e -> e.seconds() >= finding.endTime() - LAST_MINUTE)
            .filter(e -> NOTES.contains(e.code()))
            .map(Event::words)
            .toList());
  }

  @Override
  public final Optional<ClaimAnswer> answer(Claim claim, UnitFindings unit) {
    return new DrainClaims(unit).answer(claim);
  }

  @Override
  public final List<Double> earlier(UnitFindings unit) {
    return unit.of(DrainRun.class)
        .filter(d -> d.complete() && d.direct() == direct)
        .map(d -> d.finding().deliveredEnergy().orElseThrow().value())
        .toList();
  }
}
