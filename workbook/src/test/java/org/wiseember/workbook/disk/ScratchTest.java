package org.wiseember.workbook.disk;

import static org.testng.Assert.assertFalse;
import static org.testng.Assert.assertTrue;

import java.io.IOException;
import java.nio.file.DirectoryStream;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Collections;
import java.util.List;
import java.util.concurrent.Callable;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import org.testng.annotations.AfterMethod;
import org.testng.annotations.BeforeMethod;
import org.testng.annotations.Test;

public class ScratchTest {
  private Path place;

  @BeforeMethod
  public void make() throws IOException {
    place = Files.createTempDirectory("ember-scratch-test");
  }

  @AfterMethod(alwaysRun = true)
  public void remove() throws IOException {
    try (DirectoryStream<Path> all = Files.newDirectoryStream(place)) {
      for (Path left : all) {
        Files.deleteIfExists(left);
      }
    }
    Files.delete(place);
  }

  @Test
  public void itGoesWithAllThatIsInIt() throws IOException {
    Path file;
    try (Scratch scratch = Scratch.make(place)) {
      file = scratch.file("read.ember");
      Files.writeString(file, "x");
      Files.createDirectory(scratch.file("folder"));
      Files.writeString(scratch.file("folder").resolve("deep"), "x");
    }
    assertFalse(Files.exists(file.getParent()));
  }

  /** A child that ended tells a number no program has. */
  @Test
  public void whatAKilledProgramLeftGoesAtTheNextStart() throws Exception {
    Process gone =
        new ProcessBuilder(Path.of(System.getProperty("java.home"), "bin", "java").toString())
            .redirectErrorStream(true)
            .redirectOutput(ProcessBuilder.Redirect.DISCARD)
            .start();
    gone.waitFor();
    Path left = Files.createDirectory(place.resolve("wise-ember-" + gone.pid() + "-123"));
    Files.writeString(left.resolve("samples.csv"), "time [s]");
    Path mine =
        Files.createDirectory(
            place.resolve("wise-ember-" + ProcessHandle.current().pid() + "-123"));
    Path another = Files.createDirectory(place.resolve("wise-ember-notes-2"));
    try (Scratch scratch = Scratch.make(place)) {
      assertFalse(Files.exists(left), "left by a program that is gone");
      assertTrue(Files.exists(mine), "of a program that runs");
      assertTrue(Files.exists(another), "not of our naming");
      assertTrue(Files.isDirectory(scratch.file("x").getParent()));
    }
  }

  /** Programs that start at once sweep the same folders, and none stumbles over another. */
  @Test
  public void severalSweepAtOnce() throws Exception {
    Process gone =
        new ProcessBuilder(Path.of(System.getProperty("java.home"), "bin", "java").toString())
            .redirectErrorStream(true)
            .redirectOutput(ProcessBuilder.Redirect.DISCARD)
            .start();
    gone.waitFor();
    for (int i = 0; i < 120; i++) {
      Path left = Files.createDirectory(place.resolve("wise-ember-" + gone.pid() + "-" + i));
      for (int k = 0; k < 6; k++) {
        Files.writeString(left.resolve("left-" + k), "x");
      }
    }
    ExecutorService programs = Executors.newFixedThreadPool(6);
    try {
      List<Callable<Boolean>> starts = Collections.nCopies(6, this::startsAndEnds);
      for (Future<Boolean> each : programs.invokeAll(starts)) {
        assertTrue(each.get());
      }
    } finally {
      programs.shutdownNow();
    }
    // What one could not take away because another was at it goes at the next start.
    Scratch.make(place).close();
    try (DirectoryStream<Path> all = Files.newDirectoryStream(place)) {
      assertFalse(all.iterator().hasNext());
    }
  }

  private boolean startsAndEnds() throws IOException {
    try (Scratch scratch = Scratch.make(place)) {
      return Files.isDirectory(scratch.file("x").getParent());
    }
  }

  /** A link of that name leads to somebody's folder, which is left alone. */
  @Test
  public void aLinkIsNotFollowed() throws Exception {
    Path other = Files.createTempDirectory("ember-somebodys");
    Path kept = Files.writeString(other.resolve("kept"), "x");
    Process gone =
        new ProcessBuilder(Path.of(System.getProperty("java.home"), "bin", "java").toString())
            .redirectErrorStream(true)
            .redirectOutput(ProcessBuilder.Redirect.DISCARD)
            .start();
    gone.waitFor();
    Files.createSymbolicLink(place.resolve("wise-ember-" + gone.pid() + "-1"), other);
    Scratch.make(place).close();
    assertTrue(Files.exists(kept));
    Files.delete(kept);
    Files.delete(other);
  }
}
