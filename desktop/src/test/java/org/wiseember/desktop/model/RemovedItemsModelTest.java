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
    return desk.drawer().things().stream().map(RemovedItems.Thing::words).toList();
  }

  /** As the undo of reading it in does. */
  private void takeAway(TestRun run) {
    desk.background(
        () -> {
          desk.workbook().orElseThrow().runs().removed(run.run().id(), true);
          return run.run().unitId();
        },
        id -> desk.refresh(id));
  }

  private void restart() {
    desk.close();
    desk = new Session(Clock.systemUTC(), screen());
    desk.open(file);
    until(() -> desk.chosen().get() != null);
  }

  @Test
  public void aUnitComesBackPastARestart() {
    assertEquals(off(), List.of());
    String name = desk.chosen().get().unit().name();
    int runs = desk.chosen().get().runs().size();
    desk.removeChosen();
    until(() -> off().equals(List.of(name)));
    restart();
    until(() -> off().equals(List.of(name)));
    assertEquals(desk.shelf().size(), 4);
    desk.drawer().putBack(desk.drawer().things().get(0));
    until(() -> desk.shelf().size() == 5);
    untilSaid(name + " is back.");
    until(() -> off().isEmpty());
    until(() -> desk.chosen().get() != null && desk.chosen().get().unit().name().equals(name));
    assertEquals(desk.chosen().get().runs().size(), runs);
  }

  @Test
  public void aRunComesBackPastARestart() {
    TestRun run = desk.chosen().get().runs().get(0);
    int runs = desk.chosen().get().runs().size();
    takeAway(run);
    until(() -> desk.chosen().get().runs().size() == runs - 1);
    until(() -> off().size() == 1);
    assertTrue(off().get(0).startsWith(run.run().title()), off().toString());
    restart();
    until(() -> off().size() == 1);
    assertEquals(choose(0).runs().size(), runs - 1);
    desk.drawer().putBack(desk.drawer().things().get(0));
    until(() -> desk.chosen().get().runs().size() == runs);
    until(() -> off().isEmpty());
  }

  /** A run of a unit that is off comes with its unit, not by itself. */
  @Test
  public void aRunOfAUnitThatIsOffIsNotOfferedAlone() {
    TestRun run = desk.chosen().get().runs().get(0);
    takeAway(run);
    until(() -> off().size() == 1);
    String name = desk.chosen().get().unit().name();
    desk.removeChosen();
    until(() -> off().equals(List.of(name)));
  }

  @Test
  public void aCopyIsSavedAndABackupMade() throws Exception {
    until(() -> backups() == 1);
    Path copy = folder.resolve("copy.ember");
    desk.saveCopy(copy);
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
      return desk.workbook().orElseThrow().backups().all().size();
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
    desk.close();
    AtomicReference<Instant> now = new AtomicReference<>(Instant.now());
    desk = new Session(clock(now), screen());
    desk.open(file);
    until(() -> desk.chosen().get() != null);
    now.set(now.get().plus(Duration.ofDays(3)));
    desk.rename(desk.chosen().get().unit().id(), "Ferry stall");
    until(() -> backups() == 2);
  }

  /** Between edits nothing waits beside the file; copied then, it has all of them. */
  @Test
  public void whileIdleNothingWaitsBesideTheFile() throws Exception {
    desk.rename(desk.chosen().get().unit().id(), "Ferry stall");
    settle();
    until(() -> desk.chosen().get().unit().name().equals("Ferry stall"));
    until(() -> beside() == 0);
    Path copy = Files.copy(file, folder.resolve("synced.ember"));
    desk.close();
    desk = new Session(Clock.systemUTC(), screen());
    desk.open(copy);
    untilSaid("copied while a program had it open");
    assertTrue(desk.shelf().stream().anyMatch(p -> p.unit().name().equals("Ferry stall")));
    assertFalse(desk.readOnly());
  }
}
