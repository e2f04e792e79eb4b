package org.wiseember.desktop;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertFalse;
import static org.testng.Assert.assertTrue;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Locale;
import javafx.scene.Node;
import javafx.scene.control.Label;
import javafx.scene.control.ToggleButton;
import javafx.scene.input.KeyCode;
import org.testng.annotations.AfterMethod;
import org.testng.annotations.BeforeMethod;
import org.testng.annotations.Test;
import org.wiseember.bench.run.Pace;
import org.wiseember.desktop.model.StageName;
import org.wiseember.trial.AllTests;
import org.wiseember.trial.DemoFile;
import org.wiseember.trial.kind.TestType;

/** Edits, undo, finding things and bad files, in a real window. */
public class SessionTest {
  private Path folder;
  private OpenWindow window;

  @BeforeMethod
  public void open() throws Exception {
    folder = Files.createTempDirectory("ember-desk");
    Path demo = DemoFile.in(folder);
    window = OpenWindow.on(demo);
    window.until(() -> window.session().shelf().chosen().get() != null);
  }

  @AfterMethod(alwaysRun = true)
  public void close() {
    window.close();
  }

  private void does(Runnable action) {
    OpenWindow.onFx(
        () -> {
          action.run();
          return null;
        });
  }

  /** Long after: the window was closed in between, so there is nothing left to undo. */
  @Test
  public void whatWasTakenOffComesBackOutOfTheDrawer() throws Exception {
    Node removedItems = OpenWindow.onFx(() -> window.scene().lookup("#open-drawer"));
    assertFalse(removedItems.isVisible());
    does(() -> window.session().units().removeChosen());
    window.until(() -> window.session().shelf().places().size() == 4);
    window.close();
    window = OpenWindow.on(folder.resolve("demo.ember"));
    window.until(() -> window.session().removedItems().things().size() == 1);
    Node full = OpenWindow.onFx(() -> window.scene().lookup("#open-drawer"));
    window.until(full::isVisible);
    window.robot().clickOn(full);
    window.until(() -> "find".equals(window.scene().getFocusOwner().getId()));
    window.robot().push(KeyCode.ENTER);
    window.until(() -> window.session().shelf().places().size() == 5);
    window.until(
        () -> window.session().shelf().chosen().get().unit().name().equals("Quernfold Q1100"));
    window.until(() -> !full.isVisible());
  }

  @Test
  public void anythingIsFoundByTyping() {
    window.robot().push(KeyCode.CONTROL, KeyCode.K);
    window.until(() -> "find".equals(window.scene().getFocusOwner().getId()));
    window.robot().write("tamsel");
    window.robot().push(KeyCode.ENTER);
    window.until(() -> window.session().shelf().chosen().get().unit().name().equals("Tamsel T1"));
    window.robot().push(KeyCode.CONTROL, KeyCode.K);
    window.until(() -> "find".equals(window.scene().getFocusOwner().getId()));
    window.robot().write("drain orrin");
    window.robot().push(KeyCode.ENTER);
    window.until(() -> window.session().at().stage().get() == StageName.EVIDENCE);
    window.until(
        () -> window.session().shelf().chosen().get().unit().name().equals("Orrinmoor 2k4"));
    window.until(
        () ->
            window.scene().getRoot().lookupAll(".label").stream()
                .anyMatch(n -> n instanceof Label l && l.getText().contains("Interrupted.")));
  }

  @Test
  public void theClockAlwaysShowsTheSpeedItHas() {
    does(() -> window.session().at().stage().set(StageName.BENCH));
    for (Pace pace : new Pace[] {Pace.SIX_HUNDRED, Pace.REAL, Pace.FULL}) {
      does(() -> window.session().bench().setPace(pace));
      window.until(
          () ->
              window.session().bench().pace().get() == pace
                  && window.scene().lookup("#pace-" + pace.name()) instanceof ToggleButton b
                  && b.isSelected());
    }
    does(() -> ((ToggleButton) window.scene().lookup("#pace-FULL")).fire());
    assertEquals(window.session().bench().pace().get(), Pace.FULL);
    assertTrue(((ToggleButton) window.scene().lookup("#pace-FULL")).isSelected());
  }

  @Test
  public void everyStageHasItsDigitAndItsHelp() {
    KeyCode[] digits = {
      KeyCode.DIGIT1, KeyCode.DIGIT2, KeyCode.DIGIT3, KeyCode.DIGIT4,
      KeyCode.DIGIT5, KeyCode.DIGIT6, KeyCode.DIGIT7, KeyCode.DIGIT8
    };
    for (int i = 0; i < digits.length; i++) {
      StageName stage = StageName.values()[i];
      window.robot().push(KeyCode.CONTROL, digits[i]);
      window.until(() -> window.session().at().stage().get() == stage);
      window.robot().push(KeyCode.F1);
      window.until(() -> window.scene().lookup("#help").isVisible());
      if (stage != StageName.BENCH) {
        window.untilShown(paragraph(stage));
      }
      window.robot().push(KeyCode.F1);
      window.until(() -> !window.scene().lookup("#help").isVisible());
    }
  }

  /** The first paragraph of a stage's page in docs/guide, as it is read. */
  private static String paragraph(StageName stage) {
    String name = stage.name().toLowerCase(Locale.ROOT).replace('_', '-');
    try {
      String page = Files.readString(Path.of("..", "docs", "guide", name + ".md"));
      return page.split("\n\n")[1].replace('\n', ' ').replace("*", "").strip();
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }

  /** A link of the guide opens its page, and Back returns; from the keyboard too. */
  @Test
  public void theGuideLeadsOn() {
    window.robot().push(KeyCode.CONTROL, KeyCode.DIGIT5);
    window.until(() -> window.session().at().stage().get() == StageName.VERDICT);
    window.robot().push(KeyCode.F1);
    window.click("guide-first");
    window.untilShown("The shortest way");
    window.click("guide-tests-charge-md");
    window.untilShown("It answers what the label says of");
    window.click("guide-back");
    window.untilShown("The shortest way");
    window.click("guide-back");
    window.untilShown(paragraph(StageName.VERDICT));
    window.robot().push(KeyCode.ESCAPE);
    window.until(() -> !window.scene().lookup("#help").isVisible());
  }

  /** On the bench it tells how each test is made, with its schools and its cautions. */
  @Test
  public void theBenchTellsHowEachTestIsMade() {
    window.robot().push(KeyCode.CONTROL, KeyCode.DIGIT3);
    window.robot().push(KeyCode.F1);
    for (TestType test : AllTests.list()) {
      OpenWindow.onFx(
          () -> {
            window.session().bench().test().set(test);
            return null;
          });
      window.untilShown("How it is made");
      test.declaration().help().how().forEach(window::untilShown);
      test.declaration().help().schools().forEach(window::untilShown);
    }
    window.robot().push(KeyCode.ESCAPE);
    window.until(() -> !window.scene().lookup("#help").isVisible());
  }
}
