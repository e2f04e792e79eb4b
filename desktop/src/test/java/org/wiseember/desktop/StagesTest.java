package org.wiseember.desktop;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertTrue;

import java.util.List;
import java.util.Optional;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.TextArea;
import javafx.scene.control.TextField;
import javafx.scene.input.KeyCode;
import javafx.scene.input.MouseButton;
import org.testng.annotations.Test;
import org.wiseember.bench.run.Pace;
import org.wiseember.core.label.Subject;
import org.wiseember.desktop.look.ChartPane;
import org.wiseember.desktop.model.StageName;
import org.wiseember.workbook.Run;

/** What one does in each stage, in a real window. */
public class StagesTest extends InDemoWindow {
  private void go(StageName stage) {
    OpenWindow.onFx(
        () -> {
          window.session().at().stage().set(stage);
          return null;
        });
    window.settle();
  }

  private <T extends Node> T find(Class<T> kind, String selector) {
    window.until(() -> window.scene().lookup(selector) != null);
    return kind.cast(OpenWindow.onFx(() -> window.scene().lookup(selector)));
  }

  private boolean shows(String words) {
    return window.scene().getRoot().lookupAll(".label").stream()
        .anyMatch(n -> n instanceof Label l && l.isVisible() && l.getText().contains(words));
  }

  private Button button(String words) {
    return OpenWindow.onFx(
        () ->
            window.scene().getRoot().lookupAll(".button").stream()
                .filter(n -> n instanceof Button b && b.isVisible() && b.getText().equals(words))
                .map(Button.class::cast)
                .findFirst()
                .orElseThrow(() -> new AssertionError("no button " + words)));
  }

  private Optional<Double> capacity() {
    return window.session().shelf().chosen().get().unit().label().ratedWattHours();
  }

  @Test
  public void aNegativeCapacityIsOneSentenceAndTheRestIsKept() {
    go(StageName.LABEL);
    TextArea area = find(TextArea.class, "#label-text");
    robot.clickOn(area);
    robot.push(KeyCode.CONTROL, KeyCode.A);
    robot.write("Capacity -1075 Wh");
    robot.push(KeyCode.ENTER);
    robot.write("Surge 2400 W");
    window.until(() -> shows("Line 1, “-1075 Wh”: capacity cannot be negative. Check the sign."));
    window.until(() -> capacity().isEmpty());
    window.until(
        () ->
            window
                .session()
                .shelf()
                .chosen()
                .get()
                .unit()
                .label()
                .claim(Subject.SURGE)
                .isPresent());
  }

  @Test
  public void aClaimIsMendedByHandAndGoesBackToThePrint() {
    go(StageName.LABEL);
    TextField figure = find(TextField.class, "#claim-panel .text-field");
    robot.clickOn(figure);
    robot.push(KeyCode.CONTROL, KeyCode.A);
    robot.write("-4");
    robot.push(KeyCode.ENTER);
    window.until(() -> shows("Capacity cannot be negative. Check the sign."));
    assertEquals(capacity(), Optional.of(1075.0));
    robot.push(KeyCode.CONTROL, KeyCode.A);
    robot.write("1000");
    robot.push(KeyCode.ENTER);
    window.until(() -> capacity().equals(Optional.of(1000.0)));
    OpenWindow.onFx(
        () -> {
          button("Back to the print").fire();
          return null;
        });
    window.until(() -> capacity().equals(Optional.of(1075.0)));
  }

  @Test
  public void anEmptyShelfOffersTheFirstUnit() throws Exception {
    window.close();
    window = OpenWindow.on(folder.resolve("empty.ember"));
    window.until(() -> shows("An empty shelf"));
    robot.clickOn(button("Add a unit"));
    window.until(() -> window.session().shelf().places().size() == 1);
    TextField name = find(TextField.class, "#unit-name");
    window.until(name::isFocused);
    go(StageName.BENCH);
    window.until(() -> shows("A test needs to know what the unit claims"));
    go(StageName.EVIDENCE);
    window.until(() -> shows("Run a test on the bench first."));
  }

  @Test
  public void theBenchStopsOnlyWhenHeld() {
    OpenWindow.onFx(
        () -> {
          window.session().bench().setPace(Pace.TEN);
          return null;
        });
    go(StageName.BENCH);
    robot.clickOn(find(Button.class, "#start-test"));
    window.until(
        () ->
            window.session().bench().live().get() != null
                && window.session().bench().live().get().view().get() != null
                && window.session().bench().live().get().view().get().frames() > 5);
    Button stop = find(Button.class, "#hold-to-stop");
    robot.clickOn(stop);
    window.settle();
    assertTrue(
        OpenWindow.onFx(() -> window.session().bench().live().get().going()), "a click is no hold");
    robot.moveTo(stop).press(MouseButton.PRIMARY);
    try {
      window.until(() -> !window.session().bench().live().get().going());
    } finally {
      robot.release(MouseButton.PRIMARY);
    }
    window.until(
        () ->
            window.session().shelf().chosen().get().drains().stream()
                .anyMatch(d -> d.run().state() == Run.State.STOPPED));
    // What was measured before judges on: a stopped drain changes no verdict.
    assertTrue(
        window.session().shelf().chosen().get().lines().stream()
            .filter(l -> l.claim().subject() == Subject.CAPACITY)
            .allMatch(l -> l.verdict().orElseThrow().measured().isPresent()));
  }

  @Test
  public void evidenceShowsTheTraceAndWhatWasNoticed() {
    OpenWindow.onFx(
        () -> {
          window
              .session()
              .at()
              .shownRun()
              .set(window.session().shelf().chosen().get().drains().get(0).run().id());
          return null;
        });
    go(StageName.EVIDENCE);
    window.until(() -> shows("Load steady at"));
    window.until(() -> shows("The output dropped out"));
    window.until(
        () ->
            window.scene().getRoot().lookupAll(".chart-pane").stream()
                .anyMatch(n -> n instanceof ChartPane c && c.chart() != null));
    for (String name : List.of("AC energy delivered", "Yield", "Mean power", "Time under load")) {
      assertTrue(OpenWindow.onFx(() -> shows(name)), name);
    }
  }

  @Test
  public void textGrowsAndTheLookTurnsByKeyAndButton() {
    robot.push(KeyCode.CONTROL, KeyCode.EQUALS);
    window.until(() -> window.session().look().textScale().get() > 1.1);
    robot.push(KeyCode.CONTROL, KeyCode.MINUS);
    window.until(() -> window.session().look().textScale().get() == 1);
    robot.clickOn(find(Button.class, "#look"));
    window.until(() -> window.session().look().palette().get().dark());
  }
}
