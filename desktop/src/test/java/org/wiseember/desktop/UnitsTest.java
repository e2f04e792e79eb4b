package org.wiseember.desktop;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertFalse;
import static org.testng.Assert.assertTrue;

import java.util.HashMap;
import java.util.Locale;
import java.util.Map;
import java.util.prefs.AbstractPreferences;
import java.util.prefs.Preferences;
import javafx.scene.control.Button;
import javafx.scene.control.TextField;
import javafx.scene.control.ToggleButton;
import javafx.scene.input.KeyCode;
import org.testng.annotations.Test;
import org.wiseember.core.quantity.ReaderUnits;
import org.wiseember.core.trace.Channel;
import org.wiseember.desktop.app.Remembered;
import org.wiseember.desktop.model.StageName;
import org.wiseember.trial.AllTests;
import org.wiseember.workbook.RunSettings;
import org.wiseember.workbook.StoredReading;

/** The reader's units, chosen in the window by keyboard: everything on show follows at once. */
public class UnitsTest extends InDemoWindow {
  private void choose(String button) {
    robot.push(KeyCode.CONTROL, KeyCode.K);
    robot.write("units");
    robot.push(KeyCode.ENTER);
    window.until(() -> window.scene().lookup("#units").isVisible());
    String row = button.substring(0, button.indexOf('-') + 1);
    for (int i = 0; i < 6 && !focused().startsWith(row); i++) {
      robot.push(KeyCode.TAB);
    }
    robot.push(button.endsWith("true") ? KeyCode.RIGHT : KeyCode.LEFT);
    window.until(() -> ((ToggleButton) window.scene().lookup("#" + button)).isSelected());
    robot.push(KeyCode.ESCAPE);
    window.until(() -> !window.scene().lookup("#units").isVisible());
  }

  private String focused() {
    return String.valueOf(window.scene().getFocusOwner().getId());
  }

  @Test
  public void whatIsOnShowIsToldAnewAndBack() {
    robot.push(KeyCode.CONTROL, KeyCode.DIGIT2);
    window.click("plan-SOLAR");
    window.until(() -> window.scene().lookup("#site-coldest") != null);
    TextField coldest = (TextField) window.scene().lookup("#site-coldest");
    String celsius = coldest.getText();
    choose("degrees-true");
    window.until(() -> coldest.getAccessibleText().equals("Coldest morning, °F"));
    double there = Double.parseDouble(celsius) * 1.8 + 32;
    assertEquals(Double.parseDouble(coldest.getText()), there, 0.05);
    choose("degrees-false");
    window.until(() -> coldest.getText().equals(celsius));
    choose("length-true");
    OpenWindow.onFx(
        () -> {
          window.session().at().stage().set(StageName.BENCH);
          window.session().bench().test().set(AllTests.byKey("heat").orElseThrow());
          return null;
        });
    window.untilShown("3.3\u00a0ft");
  }

  @Test
  public void aBareTemperatureOfANotebookLineIsTheReaders() {
    choose("degrees-true");
    OpenWindow.onFx(
        () -> {
          window.session().at().stage().set(StageName.BENCH);
          window.session().bench().source().set(RunSettings.Source.BY_HAND);
          window.session().bench().test().set(AllTests.byKey("heat").orElseThrow());
          return null;
        });
    window.until(() -> window.scene().lookup("#start-test") instanceof Button b && !b.isDisabled());
    OpenWindow.onFx(
        () -> {
          window.scene().lookup("#start-test").requestFocus();
          return null;
        });
    robot.push(KeyCode.ENTER);
    window.until(
        () ->
            window.session().bench().live().get() != null
                && window.session().bench().live().get().going()
                && window.scene().lookup("#notebook-line") != null);
    OpenWindow.onFx(
        () -> {
          window.scene().lookup("#notebook-line").requestFocus();
          return null;
        });
    robot.write("room 70, case 75 F");
    System.out.println(
        "ECHO " + window.session().bench().notebook().read("room 70, case 75 F").echo());
    window.untilShown("Read as Room 70.0\u00a0°F, Case 75.0\u00a0°F.");
    robot.push(KeyCode.ENTER);
    window.until(() -> window.session().bench().live().get().typed().size() == 2);
    StoredReading room =
        window.session().bench().live().get().typed().stream()
            .filter(r -> r.channel() == Channel.ROOM_TEMPERATURE)
            .findFirst()
            .orElseThrow();
    assertEquals(room.value(), (70 - 32) / 1.8, 1e-9);
    window.untilShown("room 70, case 75 F");
  }

  @Test
  public void whatWasChosenIsRememberedForThePerson() {
    Preferences kept = new InMemory();
    OpenWindow.onFx(
        () -> {
          new Remembered(kept).on(window.session(), Locale.US);
          return null;
        });
    assertEquals(window.session().look().units().get(), ReaderUnits.CUSTOMARY);
    choose("weight-false");
    OpenWindow.onFx(
        () -> {
          window.session().look().switchPalette();
          window.session().look().changeText(1);
          window.session().look().units().set(ReaderUnits.AS_KEPT);
          window.session().look().units().set(ReaderUnits.CUSTOMARY.weight(false));
          return null;
        });
    assertEquals(kept.get("units", ""), "f,awg,ft,kg,12h");
    assertTrue(kept.getBoolean("dark", false));
    assertEquals(kept.getDouble("text", 1), 1.15, 1e-9);
    kept.put("units", "of a later version");
    OpenWindow.onFx(
        () -> {
          new Remembered(kept).on(window.session(), Locale.UK);
          return null;
        });
    assertEquals(window.session().look().units().get(), ReaderUnits.AS_KEPT);
    assertFalse(window.session().look().palette().get().dark() && kept.get("dark", "").isEmpty());
  }

  /** Nothing of a test is left with whoever runs it. */
  private static final class InMemory extends AbstractPreferences {
    private final Map<String, String> values = new HashMap<>();

    InMemory() {
      super(null, "");
    }

    @Override
    protected void putSpi(String key, String value) {
      values.put(key, value);
    }

    @Override
    protected String getSpi(String key) {
      return values.get(key);
    }

    @Override
    protected void removeSpi(String key) {
      values.remove(key);
    }

    @Override
    protected void removeNodeSpi() {}

    @Override
    protected String[] keysSpi() {
      return values.keySet().toArray(String[]::new);
    }

    @Override
    protected String[] childrenNamesSpi() {
      return new String[0];
    }

    @Override
    protected AbstractPreferences childSpi(String name) {
      throw new UnsupportedOperationException();
    }

    @Override
    protected void syncSpi() {}

    @Override
    protected void flushSpi() {}
  }
}
