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
import org.wiseember.core.label.Label;
import org.wiseember.core.port.UsbTester;
import org.wiseember.core.start.CodeLetter;
import org.wiseember.core.start.Nameplate;
import org.wiseember.trial.test.OnHand;
import org.wiseember.trial.test.TestPlan;
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
      Map<String, String> kept = Particulars.of(plate);
      String json =
          new RunSettings(
                  0,
                  0,
                  Map.of(),
                  Map.of(),
                  RunSettings.Source.BY_HAND,
                  0,
                  List.of(),
                  List.of(),
                  kept)
              .json();
      assertEquals(Particulars.motor(RunSettings.read(json).particulars()), Optional.of(plate));
    }
  }

  /**
   * A workbook is hostile until read: what makes no motor is none, what makes no number is none.
   */
  @Test
  public void nonsenseIsNothing() {
    assertTrue(Particulars.motor(Map.of()).isEmpty());
    Map<String, String> odd = new HashMap<>(Particulars.of(OnHand.usualMotor()));
    odd.put("motorVolts", "many");
    assertTrue(Particulars.motor(odd).isEmpty());
    odd.put("motorVolts", "-230");
    assertTrue(Particulars.motor(odd).isEmpty());
    odd.put("motorVolts", "230");
    odd.put("motorKind", "ROCKET");
    odd.put("motorCode", "Q");
    assertEquals(Particulars.motor(odd).orElseThrow().kind(), Nameplate.Kind.INDUCTION);
    assertTrue(Particulars.motor(odd).orElseThrow().code().isEmpty());
    assertEquals(Particulars.usb(Map.of("usbTester", "WIZARD")), UsbTester.FIVE_VOLT);
    assertEquals(Particulars.metres(Map.of("soundMetres", "1,2")), 1.0);
    assertTrue(Particulars.holds(Map.of("holdSeconds", "60,x")).isEmpty());
  }

  /** The overload of a plan and of the run it makes are the same test. */
  @Test
  public void anOverloadPlanIsTakenUpAsItWas() {
    Label label = Label.read("1000 Wh\n230 V 50 Hz 1200 W\noverload 1500 W 2 min");
    TestPlan plan =
        TestPlan.of(TestKind.OVERLOAD, label, OnHand.of(List.of(60.0, 100.0, 200.0, 500.0, 1000.0)))
            .orElseThrow();
    assertEquals(Particulars.holds(plan.particulars()).size(), plan.loads().size());
    assertEquals(Particulars.recipes(plan.particulars()).size(), plan.loads().size());
    assertEquals(
        Particulars.onHand(plan.particulars()), List.of(60.0, 100.0, 200.0, 500.0, 1000.0));
    assertTrue(Particulars.base(plan.particulars()) > 0);
    // Rated, twice the label's own step, and half as much again.
    assertTrue(plan.loads().stream().filter(w -> w >= 1500 && w < 1800).count() >= 2);
    assertEquals(plan.loads().stream().sorted().toList(), plan.loads(), "light to heavy");
    assertTrue(plan.reason().contains("on first, then"), plan.reason());
  }
}
