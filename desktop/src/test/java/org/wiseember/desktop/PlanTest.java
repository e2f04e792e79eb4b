package org.wiseember.desktop;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertFalse;
import static org.testng.Assert.assertTrue;

import java.time.Clock;
import javafx.scene.control.TextField;
import javafx.scene.input.KeyCode;
import org.testng.annotations.Test;
import org.wiseember.bench.procedure.Charge;
import org.wiseember.bench.run.Pace;
import org.wiseember.core.charge.ChargeSource;
import org.wiseember.desktop.look.Row;
import org.wiseember.trial.AllTests;
import org.wiseember.trial.kind.charge.ChargeRun;
import org.wiseember.trial.onhand.ChargeSetting;
import org.wiseember.workbook.Run;
import org.wiseember.workbook.Workbook;

/** Panels and cables in a real window: from the data sheet to a charge in the sun. */
public class PlanTest extends InDemoWindow {

  private void replace(String id, String text) {
    window.replace(id, text);
    robot.push(KeyCode.ENTER);
  }

  private String text(String id) {
    return OpenWindow.onFx(() -> ((TextField) window.scene().lookup("#" + id)).getText());
  }

  /** What the cold alone forbids is allowed where it never gets cold; undo brings the cold back. */
  @Test
  public void aColdMorningDecides() {
    robot.push(KeyCode.CONTROL, KeyCode.DIGIT2);
    window.click("plan-SOLAR");
    window.untilShown("62.2 V cold, only then too many");
    window.untilShown("Best of what you have");
    window.untilShown("Panels are live in daylight");
    replace("site-coldest", "15");
    window.until(() -> !window.shows("62.2 V cold"));
    window.untilShown("58.4 V cold");
    robot.push(KeyCode.CONTROL, KeyCode.DIGIT1);
    robot.push(KeyCode.CONTROL, KeyCode.DIGIT2);
    window.click("plan-SOLAR");
    OpenWindow.onFx(
        () -> {
          window.session().open().undo();
          return null;
        });
    window.untilShown("62.2 V cold, only then too many");
    assertEquals(text("site-coldest"), "-8");
  }

  /** A slip in a field is said and changes nothing; a good figure is kept in the workbook. */
  @Test
  public void sheetsAreReadWithCare() {
    robot.push(KeyCode.CONTROL, KeyCode.DIGIT2);
    window.click("plan-SOLAR");
    window.untilShown("Best of what you have");
    replace("panel-0-voc", "224x");
    window.untilShown("V open: “224x” is no number from 0.5 to 200.");
    assertEquals(window.session().solar().panels().get().lots().get(0).panel().openVolts(), 22.4);
    replace("panel-0-voc", "17");
    window.untilShown("V_mp lies below its V_oc");
    replace("panel-0-voc", "22,9");
    window.until(
        () -> window.session().solar().panels().get().lots().get(0).panel().openVolts() == 22.9);
    window.click("add-panel");
    window.until(() -> window.session().solar().panels().get().lots().size() == 3);
    window.click("panel-2-off");
    window.until(() -> window.session().solar().panels().get().lots().size() == 2);
    replace("site-day", "31 Foo");
    window.untilShown("is no day of the year");
    window.close();
    try (Workbook kept = Workbook.open(file, Clock.systemUTC())) {
      assertEquals(kept.panelsOnHand().lots().get(0).panel().openVolts(), 22.9);
    }
  }

  /** From a way that was chosen in the plan to a charge in the sun and what bound it. */
  @Test
  public void fromThePlanToACharge() {
    robot.push(KeyCode.CONTROL, KeyCode.DIGIT2);
    window.click("plan-SOLAR");
    window.untilShown("2 stall roof 200 W in parallel");
    OpenWindow.onFx(
        () -> {
          window.scene().getRoot().lookupAll(".row").stream()
              .filter(
                  n -> String.valueOf(n.getAccessibleText()).startsWith("2 stall roof 200 W in p"))
              .findFirst()
              .ifPresent(Row::choose);
          return null;
        });
    window.untilShown("its most amps");
    window.click("use-panels");
    window.untilShown("panels: 2 stall roof 200 W in parallel");
    assertEquals(window.session().bench().test().get(), AllTests.of(Charge.KIND));
    window.click("from-WALL");
    window.untilShown("Charge from solar panels");
    window.untilShown("Panels to unit");
    OpenWindow.onFx(
        () -> {
          window.session().bench().setPace(Pace.FULL);
          return null;
        });
    window.click("start-test");
    window.until(() -> window.session().bench().live().get() != null);
    window.until(() -> !window.session().bench().going());
    window.until(
        () ->
            unit().runs().stream()
                .filter(ChargeRun.class::isInstance)
                .map(ChargeRun.class::cast)
                .anyMatch(
                    r ->
                        r.run().state() == Run.State.DONE
                            && r.setting()
                                .panels()
                                .filter(p -> p.words().startsWith("2 stall roof"))
                                .isPresent()));
    robot.push(KeyCode.CONTROL, KeyCode.DIGIT4);
    window.untilShown("What bound the DC input");
    window.untilShown("of their plates");
    window.clickOn("Harvest at full light");
    window.untilShown("Worked out");
    window.click("chart-1");
    window.settle();
  }

  private ChargeSetting charge() {
    return window.session().bench().onHand().get().answer(ChargeSetting.ASK);
  }

  /** One source stays; the DC input takes one at a time; what may pass the volts does not start. */
  @Test
  public void sourcesAreChosenWithCare() {
    robot.push(KeyCode.CONTROL, KeyCode.DIGIT3);
    window.test("charge");
    window.click("from-WALL");
    assertTrue(charge().sources().contains(ChargeSource.WALL));
    window.click("from-CAR");
    window.click("from-BATTERY");
    window.until(
        () ->
            charge().sources().contains(ChargeSource.BATTERY)
                && !charge().sources().contains(ChargeSource.CAR));
    window.click("from-USB_C");
    replace("usb-charger", "65");
    window.until(() -> charge().usbWatts() == 65);
    replace("usb-charger", "6500");
    window.untilShown("is no number from 5 to 240.");
    window.choose(1);
    window.untilShown("The label prints no volt window");
    assertFalse(window.session().bench().plan().isPresent());
  }

  /** 1 000 W at 85 % and 10.5 V are 112 A, which want a fuse of 150 A, which 3/0 carries. */
  @Test
  public void cablesForAnInverter() {
    robot.push(KeyCode.CONTROL, KeyCode.DIGIT2);
    window.click("plan-CABLES");
    window.untilShown("For 10.0 A take 12\u00a0AWG or 4\u00a0mm², fuse 15 A");
    window.click("cable-INVERTER");
    replace("cable-volts", "10.5");
    replace("cable-metres", "1");
    window.untilShown("For 112.0 A take 3/0\u00a0AWG or 95\u00a0mm², fuse 150 A");
    replace("cable-metres", "x");
    window.untilShown("One way, m: “x” is no number from 0.05 to 200.");
    assertFalse(window.shows("Cable of"), "no sum of other figures stays beside a slip");
    replace("cable-metres", "2");
    window.untilShown("Cable of 2\u00a0m");
  }
}
