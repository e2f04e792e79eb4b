package org.wiseember.trial.kind.charge;

import java.util.Optional;
import java.util.OptionalDouble;
import java.util.stream.Stream;
import org.wiseember.bench.procedure.Charge;
import org.wiseember.core.charge.ChargeFinding;
import org.wiseember.core.charge.ChargeLimits;
import org.wiseember.core.charge.ChargeProfile;
import org.wiseember.core.charge.DisplayReached;
import org.wiseember.core.charge.HandCharge;
import org.wiseember.core.charge.Inlet;
import org.wiseember.core.charge.LimitBand;
import org.wiseember.core.charge.LimitingFactor;
import org.wiseember.core.charge.RoundTrip;
import org.wiseember.core.display.TimeToFull;
import org.wiseember.core.figure.Figure;
import org.wiseember.core.heat.FanTurns;
import org.wiseember.core.label.Claim;
import org.wiseember.core.label.Group;
import org.wiseember.core.label.Label;
import org.wiseember.core.label.Subject;
import org.wiseember.core.solar.Arrangement;
import org.wiseember.core.solar.Harvest;
import org.wiseember.core.trace.Channel;
import org.wiseember.core.trace.Trace;
import org.wiseember.core.uncertainty.MeterClass;
import org.wiseember.trial.kind.ClaimAnswer;
import org.wiseember.trial.kind.Declaration;
import org.wiseember.trial.kind.FromLabel;
import org.wiseember.trial.kind.Inquiry;
import org.wiseember.trial.kind.RunOption;
import org.wiseember.trial.kind.RunRecord;
import org.wiseember.trial.kind.StartCharge;
import org.wiseember.trial.kind.TestRun;
import org.wiseember.trial.kind.TestSettings;
import org.wiseember.trial.kind.TestType;
import org.wiseember.trial.kind.Trait;
import org.wiseember.trial.kind.UnitFindings;
import org.wiseember.trial.onhand.ChargeSetting;
import org.wiseember.trial.onhand.OnHand;
import org.wiseember.workbook.RunSettings;

/** A unit charged from one source or several. */
public final class ChargeTest implements TestType {
  private static final Declaration DECLARED =
      Declaration.of(Charge.KIND, "Charge")
          .in(Group.CHARGING)
          .finds(ChargeRun.class)
          .answers(
              Subject.MAINS_POWER,
              Subject.SOLAR_POWER,
              Subject.SOLAR_CURRENT,
              Subject.CAR_POWER,
              Subject.TOTAL_INPUT,
              Subject.CHARGE_TIME,
              Subject.CAR_CURRENT,
              Subject.USB_INPUT,
              Subject.ROUND_TRIP)
          .being(Trait.DISPLAY_RISES, Trait.RESTS_ON_OTHERS)
          .watts("charge power")
          .asks(ChargeSetting.ASK)
          .options(
              new RunOption(
                  "source", "wall, car, solar, battery, usb-c, several with +", ChargeSetting::fed))
          .how(
              "Start from empty if times are to count; note how long it rested and how warm it is. A hot pack charges slower.",
              "Write watts in, display and time every few minutes, more often when the watts begin to fall.",
              "It is full when it takes no more, not when the display says 100.")
          .school("Watts at the wall hold the charger's loss; watts at a DC port do not.")
          .build();

  private static ChargeSetting setting(OnHand onHand) {
    return onHand.answer(ChargeSetting.ASK);
  }

  @Override
  public Declaration declaration() {
    return DECLARED;
  }

  /** Empty where something on the DC input may pass its volts, or nobody can say. */
  @Override
  public Optional<TestSettings> settings(Label label, OnHand onHand) {
    ChargeSetting setting = setting(onHand);
    return ChargeRefusal.of(label, setting).isPresent()
        ? Optional.empty()
        : Optional.of(ChargeSettings.of(setting, FromLabel.volts(label)));
  }

  @Override
  public String missing(Label label, OnHand onHand) {
    return ChargeRefusal.of(label, setting(onHand)).orElse("");
  }

  @Override
  public TestSettings kept(RunSettings kept) {
    return new ChargeSettings(ChargeSetting.of(kept.particulars()), kept.volts(), "");
  }

  /** What was read up to here from the start was read at the start, s. */
  private static final double AT_THE_START = 60;

  @Override
  public TestRun worked(RunRecord record, Inquiry asked) {
    Trace treated = record.treated();
    ChargeSetting setting = ChargeSetting.of(record.run().settings().particulars());
    Optional<MeterClass> meter = InputMeter.of(record.run().settings(), treated);
    ChargeFinding finding =
        (record.noted()
                ? HandCharge.of(record.notes(treated), meter)
                : Optional.<ChargeFinding>empty())
            .orElseGet(() -> ChargeProfile.of(treated, meter));
    Optional<ChargeLimits> limits = ChargeLimits.of(treated, finding, asked.inputs());
    Optional<Figure> roundTrip =
        asked.offered("usable_ac_energy").stream()
            .filter(o -> o.runId() < record.run().id())
            .reduce((first, second) -> second)
            .flatMap(
                o ->
                    RoundTrip.of(
                        o.figure(),
                        o.runId(),
                        finding,
                        StartCharge.of(record, finding.startTime())));
    return new ChargeRun(
        record.kept(),
        setting,
        finding,
        limits,
        TimeToFull.of(treated, finding),
        DisplayReached.after(treated, finding, ChargeClaims.EIGHTY),
        setting.panels().flatMap(p -> harvest(record, treated, setting, limits, p)),
        roundTrip,
        StartCharge.of(record, finding.startTime()),
        caseAtStart(record, finding),
        asked.ratedWattHours(),
        fan(treated));
  }

  private static Optional<String> fan(Trace treated) {
    Channel in =
        Stream.of(Channel.IN_POWER, Channel.WALL_POWER, Channel.USB_IN_POWER)
            .filter(c -> treated.series(c).size() > 0)
            .findFirst()
            .orElse(Channel.IN_POWER);
    return FanTurns.words(treated.series(Channel.FAN_STEP), treated.series(in), "in");
  }

  private static OptionalDouble caseAtStart(RunRecord record, ChargeFinding finding) {
    double value =
        record.trace().series(Channel.CASE_TEMPERATURE).nearest(finding.startTime(), AT_THE_START);
    return Double.isNaN(value) ? OptionalDouble.empty() : OptionalDouble.of(value);
  }

  private static Optional<Harvest> harvest(
      RunRecord record,
      Trace treated,
      ChargeSetting setting,
      Optional<ChargeLimits> limits,
      Arrangement panels) {
    Optional<LimitBand> band = limits.flatMap(l -> l.band(Inlet.DC));
    return band.flatMap(
        b ->
            Harvest.of(
                treated,
                at -> b.at(at) == LimitingFactor.SOURCE,
                panels,
                setting.site().airCelsius(),
                record.meter(Channel.ILLUMINANCE)));
  }

  @Override
  public Optional<ClaimAnswer> answer(Claim claim, UnitFindings unit) {
    return new ChargeClaims(unit).answer(claim);
  }
}
