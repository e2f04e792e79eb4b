package org.wiseember.desktop.model;

import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Clock;
import java.util.concurrent.BlockingQueue;
import java.util.concurrent.LinkedBlockingQueue;
import java.util.concurrent.TimeUnit;
import java.util.function.BooleanSupplier;
import org.testng.annotations.AfterMethod;
import org.testng.annotations.BeforeMethod;
import org.wiseember.trial.DemoFile;
import org.wiseember.trial.verdict.Judgement;

/**
 * A desk without a window, on a copy of the demo workbook. What it shows changes on the test's own
 * thread, while the test waits for something.
 */
abstract class OnSession {
  private static final long PATIENCE = TimeUnit.SECONDS.toNanos(30);

  protected Path folder;
  protected Path file;
  protected Session session;

  private final BlockingQueue<Runnable> changes = new LinkedBlockingQueue<>();

  @BeforeMethod
  public final void openTheDemo() throws Exception {
    folder = Files.createTempDirectory("ember-desk");
    file = DemoFile.in(folder);
    session = new Session(clock(), screen()).withoutLookingThrough().planningWithin(0.15);
    session.open(file);
    until(() -> session.shelf().chosen().get() != null);
  }

  @AfterMethod(alwaysRun = true)
  public final void closeIt() {
    session.close();
    changes.clear();
  }

  /** What time it is. */
  protected Clock clock() {
    return Clock.systemUTC();
  }

  /** Everything is done on the thread that waits. */
  protected final Screen screen() {
    return new Screen() {
      @Override
      public boolean here() {
        return false;
      }

      @Override
      public void later(Runnable change) {
        changes.add(change);
      }
    };
  }

  /** Lets what is shown change until a condition holds. */
  protected final void until(BooleanSupplier condition) {
    long end = System.nanoTime() + PATIENCE;
    while (!condition.getAsBoolean()) {
      try {
        Runnable next = changes.poll(20, TimeUnit.MILLISECONDS);
        if (next != null) {
          next.run();
        }
      } catch (InterruptedException e) {
        throw new AssertionError("interrupted while waiting", e);
      }
      if (System.nanoTime() > end) {
        throw new AssertionError(
            "waited half a minute in vain; it said: " + session.open().said().get());
      }
    }
  }

  protected final void untilSaid(String words) {
    until(() -> session.open().said().get().contains(words));
  }

  /** Until all that was asked of the workbook is done and shown. */
  protected final void settle() {
    boolean[] done = {false};
    session.open().background(() -> true, yes -> done[0] = yes);
    until(() -> done[0]);
  }

  /** Chooses a unit of the shelf and waits until what was found of it is there. */
  protected final Judgement choose(int place) {
    long id = session.shelf().places().get(place).unit().id();
    session.shelf().choose(id);
    until(
        () ->
            session.shelf().chosen().get() != null
                && session.shelf().chosen().get().unit().id() == id);
    return session.shelf().chosen().get();
  }
}
