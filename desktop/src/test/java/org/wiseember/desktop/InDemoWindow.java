package org.wiseember.desktop;

import java.nio.file.Files;
import java.nio.file.Path;
import org.testfx.api.FxRobot;
import org.testng.annotations.AfterMethod;
import org.testng.annotations.BeforeMethod;
import org.wiseember.trial.DemoFile;
import org.wiseember.trial.verdict.Judgement;

/** A test in a real window of its own on a fresh copy of the demo workbook. */
abstract class InDemoWindow {
  /** Where the workbook lies. */
  protected Path folder;

  protected Path file;
  protected OpenWindow window;

  /** The time of tests by hand, which stands until it is wound on. */
  protected WoundClock handClock;

  protected FxRobot robot;

  @BeforeMethod
  public final void openTheDemo() throws Exception {
    folder = Files.createTempDirectory("ember-window");
    file = DemoFile.in(folder);
    handClock = new WoundClock();
    window = OpenWindow.on(file, from -> handClock);
    robot = window.robot();
    window.until(() -> window.session().shelf().chosen().get() != null);
  }

  @AfterMethod(alwaysRun = true)
  public final void closeIt() {
    window.close();
  }

  /** The unit that is shown. */
  protected final Judgement unit() {
    return window.session().shelf().chosen().get();
  }
}
