package org.wiseember.desktop;

import java.nio.file.Files;
import java.nio.file.Path;
import org.testfx.api.FxRobot;
import org.testng.annotations.AfterMethod;
import org.testng.annotations.BeforeMethod;
import org.wiseember.trial.verdict.Judgement;

/** A test in a real window of its own on a fresh copy of the demo workbook. */
abstract class InDemoWindow {
  /** Where the workbook lies. */
  protected Path folder;

  protected Path file;
  protected OpenWindow window;
  protected FxRobot robot;

  @BeforeMethod
  public final void openTheDemo() throws Exception {
    folder = Files.createTempDirectory("ember-window");
    file = DemoFile.in(folder);
    window = OpenWindow.on(file);
    robot = window.robot();
    window.until(() -> window.desk().chosen().get() != null);
  }

  @AfterMethod(alwaysRun = true)
  public final void closeIt() {
    window.close();
  }

  /** The unit that is shown. */
  protected final Judgement unit() {
    return window.desk().chosen().get();
  }
}
