package org.wiseember.desktop.model;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertFalse;
import static org.testng.Assert.assertTrue;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.time.ZoneId;
import java.time.ZoneOffset;
import java.util.List;
import java.util.concurrent.atomic.AtomicReference;
import org.testng.annotations.Test;
import org.wiseember.trial.kind.TestRun;
import org.wiseember.workbook.Workbook;

/** What was taken off the shelf comes back past a restart, and whole copies lie beside. */
public class RemovedItemsModelTest extends OnSession {
  private List<String> off() {
    return session.removedItems().things().stream().map(RemovedItems.Thing::words).toList();
  }

  /** As the undo of reading it in does. */
  private void takeAway(TestRun run) {
    session
        .open()
        .background(
            () -> {
              session.open().workbook().orElseThrow().runs().removed(run.run().id(), true);
              return run.run().unitId();
            },
            id -> session.shelf().refresh(id));
  }

  private void restart() {
    session.close();
    session = new Session(Clock.systemUTC(), screen());
    session.open(file);
    until(() -> session.shelf().chosen().get() != null);
  }

  @Test
  public void aUnitComesBackPastARestart() {
    assertEquals(off(), List.of());
    String name = session.shelf().chosen().get().unit().name();
    int runs = session.shelf().chosen().get().runs().size();
    session.units().removeChosen();
    until(() -> off().equals(List.of(name)));
    restart();
    until(() -> off().equals(List.of(name)));
    assertEquals(session.shelf().places().size(), 4);
    session.removedItems().putBack(session.removedItems().things().get(0));
    until(() -> session.shelf().places().size() == 5);
    untilSaid(name + " is back.");
    until(() -> off().isEmpty());
    until(
        () ->
            session.shelf().chosen().get() != null
                && session.shelf().chosen().get().unit().name().equals(name));
    assertEquals(session.shelf().chosen().get().runs().size(), runs);
  }

  @Test
  public void aRunComesBackPastARestart() {
    TestRun run = session.shelf().chosen().get().runs().get(0);
    int runs = session.shelf().chosen().get().runs().size();
    takeAway(run);
    until(() -> session.shelf().chosen().get().runs().size() == runs - 1);
    until(() -> off().size() == 1);
    assertTrue(off().get(0).startsWith(run.run().title()), off().toString());
    restart();
    until(() -> off().size() == 1);
    assertEquals(choose(0).runs().size(), runs - 1);
    session.removedItems().putBack(session.removedItems().things().get(0));
    until(() -> session.shelf().chosen().get().runs().size() == runs);
    until(() -> off().isEmpty());
  }

  /** A run of a unit that is off comes with its unit, not by itself. */
  @Test
  public void aRunOfAUnitThatIsOffIsNotOfferedAlone() {
    TestRun run = session.shelf().chosen().get().runs().get(0);
    takeAway(run);
    until(() -> off().size() == 1);
    String name = session.shelf().chosen().get().unit().name();
    session.units().removeChosen();
    until(() -> off().equals(List.of(name)));
  }

  @Test
  public void aCopyIsSavedAndABackupMade() throws Exception {
    until(() -> backups() == 1);
    Path copy = folder.resolve("copy.ember");
    session.open().saveCopy(copy);
    untilSaid("A copy of the workbook is saved");
    try (Workbook whole = Workbook.read(copy, Clock.systemUTC())) {
      assertEquals(whole.units().all().size(), 5);
    }
  }

  private static Clock clock(AtomicReference<Instant> now) {
    return new Clock() {
      @Override
      public ZoneId getZone() {
        return ZoneOffset.UTC;
      }

      @Override
      public Clock withZone(ZoneId zone) {
        return this;
      }

      @Override
      public Instant instant() {
        return now.get();
      }
    };
  }

  private int backups() {
    try {
      return session.open().workbook().orElseThrow().backups().all().size();
    } catch (IOException e) {
      throw new AssertionError(e);
    }
  }

  private long beside() {
    try {
      return Files.size(folder.resolve(file.getFileName() + "-wal"));
    } catch (IOException e) {
      throw new AssertionError(e);
    }
  }

  /** The window stays open over the weekend; on Monday the first edit brings a backup. */
  @Test
  public void aWindowThatStaysOpenIsBackedUpEachDay() {
    until(() -> backups() == 1);
    session.close();
    AtomicReference<Instant> now = new AtomicReference<>(Instant.now());
    session = new Session(clock(now), screen());
    session.open(file);
    until(() -> session.shelf().chosen().get() != null);
    now.set(now.get().plus(Duration.ofDays(3)));
    session.units().rename(session.shelf().chosen().get().unit().id(), "Ferry stall");
    until(() -> backups() == 2);
  }

  /** Between edits nothing waits beside the file; copied then, it has all of them. */
  @Test
  public void whileIdleNothingWaitsBesideTheFile() throws Exception {
    session.units().rename(session.shelf().chosen().get().unit().id(), "Ferry stall");
    settle();
    until(() -> session.shelf().chosen().get().unit().name().equals("Ferry stall"));
    until(() -> beside() == 0);
    Path copy = Files.copy(file, folder.resolve("synced.ember"));
    session.close();
    session = new Session(Clock.systemUTC(), screen());
    session.open(copy);
    untilSaid("copied while a program had it open");
    assertTrue(
        session.shelf().places().stream().anyMatch(p -> p.unit().name().equals("Ferry stall")));
    assertFalse(session.open().readOnly());
  }
}
