package org.wiseember.trial;

import java.util.List;
import java.util.Optional;
import org.wiseember.core.label.Claim;
import org.wiseember.core.label.Label;
import org.wiseember.core.label.Subject;
import org.wiseember.trial.kind.TestPlan;
import org.wiseember.trial.kind.TestType;
import org.wiseember.trial.kind.UnknownTest;
import org.wiseember.trial.kind.charge.ChargeTest;
import org.wiseember.trial.kind.drain.AcDrainTest;
import org.wiseember.trial.kind.drain.DcDrainTest;
import org.wiseember.trial.kind.heat.HeatTest;
import org.wiseember.trial.kind.idle.IdleTest;
import org.wiseember.trial.kind.inspect.InspectionTest;
import org.wiseember.trial.kind.ladder.LadderTest;
import org.wiseember.trial.kind.legs.LegsTest;
import org.wiseember.trial.kind.overload.FullRatingTest;
import org.wiseember.trial.kind.overload.OverloadTest;
import org.wiseember.trial.kind.port.PortTest;
import org.wiseember.trial.kind.realload.RealLoadTest;
import org.wiseember.trial.kind.soak.SoakTest;
import org.wiseember.trial.kind.solar.SolarTrialTest;
import org.wiseember.trial.kind.start.StartsTest;
import org.wiseember.trial.kind.stays.StaysTest;
import org.wiseember.trial.kind.transfer.TransferTest;
import org.wiseember.trial.kind.usb.UsbTest;
import org.wiseember.trial.kind.waveform.WaveTest;
import org.wiseember.trial.onhand.OnHand;
import org.wiseember.workbook.Run;

/**
 * The registry: every test the program knows, in the order of work. Where several answer a claim,
 * the first that can does.
 */
public final class AllTests {
  private static final List<TestType> ALL =
      List.of(
          new InspectionTest(),
          new AcDrainTest(),
          new DcDrainTest(),
          new RealLoadTest(),
          new LadderTest(),
          new IdleTest(),
          new ChargeTest(),
          new SolarTrialTest(),
          new FullRatingTest(),
          new OverloadTest(),
          new StartsTest(),
          new TransferTest(),
          new StaysTest(),
          new WaveTest(),
          new PortTest(),
          new UsbTest(),
          new HeatTest(),
          new SoakTest(),
          new LegsTest());

  private AllTests() {}

  public static List<TestType> list() {
    return ALL;
  }

  /** The test with this key; empty for another kind of run. */
  public static Optional<TestType> byKey(String key) {
    return ALL.stream().filter(t -> t.key().equals(key)).findFirst();
  }

  /**
   * The test with this key.
   *
   * @throws IllegalArgumentException where there is none
   */
  public static TestType of(String key) {
    return byKey(key).orElseThrow(() -> new IllegalArgumentException(key + " is no test"));
  }

  /** The tests that may answer a claim about a subject, the one that is asked first first. */
  public static List<TestType> answering(Subject subject) {
    return ALL.stream().filter(t -> t.declaration().answers().contains(subject)).toList();
  }

  /** What a claim is held against, in the unit it is judged in. */
  public static Claim judgedAs(Claim claim) {
    return answering(claim.subject()).stream()
        .map(t -> t.judgedAs(claim))
        .filter(c -> !c.equals(claim))
        .findFirst()
        .orElse(claim);
  }

  /** The plan of a test for a unit; empty where its label does not say enough. */
  public static Optional<TestPlan> plan(TestType type, Label label, OnHand onHand) {
    return type.settings(label, onHand).map(settings -> new TestPlan(type, settings));
  }

  /** The test a run was made by; one that says so where nobody knows its kind. */
  public static TestType of(Run run) {
    return byKey(run.kind()).orElseGet(() -> UnknownTest.of(run.kind()));
  }

  /** The plan a run was made by. */
  public static TestPlan plan(Run run) {
    TestType type = of(run);
    return new TestPlan(type, type.kept(run.settings()));
  }
}
