package org.wiseember.trial;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertTrue;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.SplittableRandom;
import org.testng.annotations.Test;
import org.wiseember.bench.procedure.ByHand;
import org.wiseember.bench.procedure.HeatNoise;
import org.wiseember.bench.procedure.MotorStarts;
import org.wiseember.bench.procedure.OverloadHolds;
import org.wiseember.core.label.Label;
import org.wiseember.core.port.UsbTester;
import org.wiseember.core.start.CodeLetter;
import org.wiseember.core.start.Nameplate;
import org.wiseember.trial.kind.TestPlan;
import org.wiseember.trial.kind.TestSettings;
import org.wiseember.trial.kind.heat.HeatSettings;
import org.wiseember.trial.kind.overload.OverloadSettings;
import org.wiseember.trial.kind.start.StartsSettings;
import org.wiseember.trial.kind.usb.UsbSettings;
import org.wiseember.trial.onhand.MotorOnHand;
import org.wiseember.trial.onhand.OnHand;
import org.wiseember.workbook.RunSettings;

/** What a test was set up with goes into the workbook as words and comes back the same. */
public class ParticularsTest {
  private static final SplittableRandom RANDOM = new SplittableRandom(17);

  private static OptionalDouble maybe(double value) {
    return RANDOM.nextBoolean() ? OptionalDouble.of(value) : OptionalDouble.empty();
  }

  @Test
  public void anyMotorComesBackTheSame() {
    for (int i = 0; i < 200; i++) {
      Nameplate plate =
          new Nameplate(
              "Motor | \"" + i + "\", far=1",
              Nameplate.Kind.values()[RANDOM.nextInt(3)],
              100 + 300 * RANDOM.nextDouble(),
              0.1 + 20 * RANDOM.nextDouble(),
              maybe(100 * RANDOM.nextDouble() + 1),
              RANDOM.nextBoolean()
                  ? Optional.of(CodeLetter.values()[RANDOM.nextInt(CodeLetter.values().length)])
                  : Optional.empty(),
              maybe(RANDOM.nextDouble() + 0.1),
              Nameplate.Eased.values()[RANDOM.nextInt(3)]);
      assertEquals(
          motor(againFrom(new StartsSettings(Optional.of(plate), 230, "").particulars())),
          Optional.of(plate));
    }
  }

  /** Words as a run keeps them, after they were in a workbook. */
  private static RunSettings againFrom(Map<String, String> kept) {
    return RunSettings.read(
        new RunSettings(
                0, 0, Map.of(), Map.of(), RunSettings.Source.BY_HAND, 0, List.of(), List.of(), kept)
            .json());
  }

  private static <T extends TestSettings> T kept(
      String key, Map<String, String> words, Class<T> type) {
    return type.cast(AllTests.of(key).kept(againFrom(words)));
  }

  private static Optional<Nameplate> motor(RunSettings settings) {
    return ((StartsSettings) AllTests.of(MotorStarts.KIND).kept(settings)).motor();
  }

  /**
   * A workbook is hostile until read: what makes no motor is none, what makes no number is none.
   */
  @Test
  public void nonsenseIsNothing() {
    assertTrue(motor(againFrom(Map.of())).isEmpty());
    Map<String, String> odd =
        new HashMap<>(
            new StartsSettings(Optional.of(MotorOnHand.ASK.usual()), 230, "").particulars());
    odd.put("motorVolts", "many");
    assertTrue(motor(againFrom(odd)).isEmpty());
    odd.put("motorVolts", "-230");
    assertTrue(motor(againFrom(odd)).isEmpty());
    odd.put("motorVolts", "230");
    odd.put("motorKind", "ROCKET");
    odd.put("motorCode", "Q");
    assertEquals(motor(againFrom(odd)).orElseThrow().kind(), Nameplate.Kind.INDUCTION);
    assertTrue(motor(againFrom(odd)).orElseThrow().code().isEmpty());
    assertEquals(
        kept(ByHand.USB, Map.of("usbTester", "WIZARD"), UsbSettings.class).tester(),
        UsbTester.FIVE_VOLT);
    assertEquals(
        kept(HeatNoise.KIND, Map.of("soundMetres", "1,2"), HeatSettings.class).metres(), 1.0);
    assertTrue(
        kept(OverloadHolds.KIND, Map.of("holdSeconds", "60,x"), OverloadSettings.class)
            .held()
            .isEmpty());
  }

  /** The overload of a plan and of the run it makes are the same test. */
  @Test
  public void anOverloadPlanIsTakenUpAsItWas() {
    Label label = Label.read("1000 Wh\n230 V 50 Hz 1200 W\noverload 1500 W 2 min");
    TestPlan plan =
        Plans.of(OverloadHolds.KIND, label, OnHand.of(List.of(60.0, 100.0, 200.0, 500.0, 1000.0)))
            .orElseThrow();
    OverloadSettings made = (OverloadSettings) plan.settings();
    OverloadSettings again =
        (OverloadSettings)
            plan.type()
                .kept(
                    new RunSettings(
                        made.watts(),
                        made.volts(),
                        Map.of(),
                        Map.of(),
                        RunSettings.Source.BY_HAND,
                        0,
                        List.of(),
                        made.keptLoads(),
                        made.particulars()));
    assertEquals(again.held(), made.held());
    assertEquals(again.onHand(), List.of(60.0, 100.0, 200.0, 500.0, 1000.0));
    assertTrue(again.baseWatts() > 0 && again.baseWatts() == made.baseWatts());
    // Rated, twice the label's own step, and half as much again.
    assertTrue(made.loads().stream().filter(w -> w >= 1500 && w < 1800).count() >= 2);
    assertEquals(made.loads().stream().sorted().toList(), made.loads(), "light to heavy");
    assertTrue(plan.reason().contains("on first, then"), plan.reason());
  }
}
