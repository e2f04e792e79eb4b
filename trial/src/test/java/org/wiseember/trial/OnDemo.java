package org.wiseember.trial;

import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Clock;
import org.testng.annotations.AfterClass;
import org.testng.annotations.BeforeClass;
import org.wiseember.core.label.Subject;
import org.wiseember.trial.verdict.Judged;
import org.wiseember.trial.verdict.Judgement;
import org.wiseember.workbook.Workbook;

/** A test that looks at a copy of the demo workbook, which is made once for all such tests. */
abstract class OnDemo {
  protected Path folder;
  protected Workbook demo;

  @BeforeClass
  public final void makeTheDemo() throws Exception {
    folder = Files.createTempDirectory("ember-demo");
    demo = Workbook.open(DemoFile.in(folder), Clock.systemUTC());
  }

  @AfterClass(alwaysRun = true)
  public final void closeTheDemo() {
    demo.close();
  }

  /** A unit by its place on the shelf. */
  protected final Judgement judge(int unit) {
    return Judgement.of(demo, demo.units().all().get(unit), true);
  }

  /** The line of one claim. */
  protected static Judged line(Judgement judgement, Subject subject) {
    return judgement.lines().stream()
        .filter(l -> l.claim().subject() == subject)
        .findFirst()
        .orElseThrow();
  }
}
