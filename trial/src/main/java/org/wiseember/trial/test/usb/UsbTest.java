package org.wiseember.trial.test.usb;

import java.util.Comparator;
import java.util.Optional;
import java.util.Set;
import org.wiseember.bench.procedure.ByHand;
import org.wiseember.core.figure.Bound;
import org.wiseember.core.label.Claim;
import org.wiseember.core.label.Group;
import org.wiseember.core.label.Label;
import org.wiseember.core.label.Subject;
import org.wiseember.core.port.UsbPort;
import org.wiseember.core.port.UsbTester;
import org.wiseember.core.quantity.Figures;
import org.wiseember.core.quantity.Unit;
import org.wiseember.core.trace.Channel;
import org.wiseember.core.trace.Series;
import org.wiseember.trial.test.Answer;
import org.wiseember.trial.test.Asked;
import org.wiseember.trial.test.OnHand;
import org.wiseember.trial.test.RunRecord;
import org.wiseember.trial.test.TestHelp;
import org.wiseember.trial.test.TestRun;
import org.wiseember.trial.test.TestSettings;
import org.wiseember.trial.test.TestType;
import org.wiseember.trial.test.UnitFindings;
import org.wiseember.workbook.RunSettings;

/** A USB port asked for its profiles. */
public final class UsbTest implements TestType {
  @Override
  public String key() {
    return ByHand.USB;
  }

  @Override
  public String words() {
    return "USB";
  }

  @Override
  public TestHelp help() {
    return TestHelp.of(
            "A USB tester between port and load. Raise the load until the port gives way; write volts and amps.",
            "Above 5 V the tester must ask for it: without a PD trigger 100 W cannot be shown.",
            "Read the volts at the port: a long cable takes its share.")
        .after("USB Power Delivery, recalled from memory");
  }

  @Override
  public Group group() {
    return Group.PORTS;
  }

  @Override
  public boolean byHandOnly() {
    return true;
  }

  @Override
  public boolean inLogs() {
    return false;
  }

  @Override
  public String wattsName() {
    return "DC power";
  }

  @Override
  public Optional<TestSettings> settings(Label label, OnHand onHand) {
    UsbTester tester = onHand.find(UsbTester.class).orElse(UsbTester.FIVE_VOLT);
    return Optional.of(
        new UsbSettings(
            tester,
            "With a "
                + tester.words()
                + ", which can show up to "
                + Figures.plain(tester.mostWatts(), Unit.WATT)
                + " of any port."));
  }

  @Override
  public TestSettings kept(RunSettings kept) {
    return new UsbSettings(UsbSettings.tester(kept.particulars()), "");
  }

  @Override
  public Class<UsbRun> finds() {
    return UsbRun.class;
  }

  @Override
  public TestRun worked(RunRecord record, Asked asked) {
    Series volts = record.treated().series(Channel.DC_VOLTAGE);
    double most = 0;
    for (int i = 0; i < volts.size(); i++) {
      most = Math.max(most, volts.value(i));
    }
    return new UsbRun(
        record.kept(),
        UsbPort.of(
            record.treated(),
            UsbSettings.tester(record.run().settings().particulars(), most),
            record.meter(Channel.DC_VOLTAGE),
            record.meter(Channel.DC_CURRENT)));
  }

  @Override
  public Set<Subject> answers() {
    return Set.of(Subject.USB_C_POWER, Subject.USB_A_POWER);
  }

  @Override
  public Optional<Answer> answer(Claim claim, UnitFindings unit) {
    return unit.of(UsbRun.class)
        .filter(r -> r.port().contract().isPresent())
        .max(Comparator.comparingDouble(r -> r.port().contract().orElseThrow().value()))
        .map(r -> answer(claim, r));
  }

  private static Answer answer(Claim claim, UsbRun run) {
    String title = claim.subject().words();
    UsbTester tester = run.port().tester();
    if (run.port().rigStops(claim.figure())) {
      return Answer.rigCannotShow(
          title,
          claim,
          run,
          run.port().most().orElseThrow().bounded(Bound.AT_LEAST),
          "A "
              + tester.words()
              + " asks for "
              + Figures.plain(tester.mostWatts(), Unit.WATT)
              + " at most. Needed: "
              + UsbTester.needed(claim.figure())
              + ".");
    }
    return Answer.of(title, claim, run, run.port().contract().orElseThrow());
  }
}
