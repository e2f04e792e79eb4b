package org.wiseember.trial;

import java.util.List;
import java.util.Optional;
import org.wiseember.bench.procedure.Drain;
import org.wiseember.core.label.Claim;
import org.wiseember.core.label.Label;
import org.wiseember.core.label.Subject;
import org.wiseember.trial.test.OnHand;
import org.wiseember.trial.test.TestPlan;
import org.wiseember.trial.test.TestType;
import org.wiseember.trial.test.charge.ChargeTest;
import org.wiseember.trial.test.drain.AcDrainTest;
import org.wiseember.trial.test.drain.DcDrainTest;
import org.wiseember.trial.test.heat.HeatTest;
import org.wiseember.trial.test.idle.IdleTest;
import org.wiseember.trial.test.inspect.InspectionTest;
import org.wiseember.trial.test.ladder.LadderTest;
import org.wiseember.trial.test.legs.LegsTest;
import org.wiseember.trial.test.overload.FullRatingTest;
import org.wiseember.trial.test.overload.OverloadTest;
import org.wiseember.trial.test.port.PortTest;
import org.wiseember.trial.test.realload.RealLoadTest;
import org.wiseember.trial.test.soak.SoakTest;
import org.wiseember.trial.test.solar.SolarTrialTest;
import org.wiseember.trial.test.start.StartsTest;
import org.wiseember.trial.test.stays.StaysTest;
import org.wiseember.trial.test.transfer.TransferTest;
import org.wiseember.trial.test.usb.UsbTest;
import org.wiseember.trial.test.waveform.WaveTest;
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
    return ALL.stream().filter(t -> t.answers().contains(subject)).toList();
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

  /** The plan a run was made by; a kind nobody knows any more counts as an AC drain. */
  public static TestPlan plan(Run run) {
    TestType type = byKey(run.kind()).orElseGet(() -> of(Drain.AC));
    return new TestPlan(type, type.kept(run.settings()));
  }
}
