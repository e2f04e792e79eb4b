package org.wiseember.command;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertFalse;
import static org.testng.Assert.assertNotNull;
import static org.testng.Assert.assertTrue;

import java.io.BufferedReader;
import java.io.IOException;
import java.io.InputStreamReader;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.locks.LockSupport;
import java.util.stream.Stream;
import org.testng.SkipException;
import org.testng.annotations.BeforeClass;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;

/**
 * The launcher as a person starts it: it builds, opens the window, and takes it along as it ends.
 */
public class LauncherTest {
  private static final Path LAUNCHER = Path.of("..", "ember").toAbsolutePath().normalize();

  private Path temporary;

  @BeforeClass
  public void needsADisplayServer() throws IOException {
    if (!"required".equals(System.getenv("EMBER_CLIENTS"))) {
      throw new SkipException("./ember test installs what this needs");
    }
    temporary = Files.createTempDirectory("ember-launched");
  }

  @DataProvider
  Object[][] signals() {
    // What is sent, and what the launcher ends with, as shells count it.
    return new Object[][] {{"TERM", 143}, {"INT", 130}};
  }

  @Test(dataProvider = "signals")
  public void theWindowEndsWithItsLauncher(String signal, int code) throws Exception {
    // Whoever runs the tests behind something else may have INT ignored, which is handed down.
    ProcessBuilder builder =
        new ProcessBuilder("env", "--default-signal=INT", LAUNCHER.toString(), "demo");
    builder.environment().put("TMPDIR", temporary.toString());
    builder.environment().put("EMBER_START", "told");
    builder.environment().remove("DISPLAY");
    builder.redirectErrorStream(true);
    Process launcher = builder.start();
    try {
      Path display = displayOnceUsable(launcher);
      List<ProcessHandle> window = launcher.descendants().toList();
      assertFalse(window.isEmpty());
      assertTrue(Files.exists(display), display.toString());
      new ProcessBuilder("kill", "-" + signal, Long.toString(launcher.pid())).start().waitFor();
      assertTrue(launcher.waitFor(20, TimeUnit.SECONDS), "the launcher goes on");
      assertEquals(launcher.exitValue(), code);
      for (ProcessHandle each : window) {
        each.onExit().get(10, TimeUnit.SECONDS);
      }
      awaitGone(display);
      try (Stream<Path> left = Files.list(temporary)) {
        assertEquals(left.toList(), List.of());
      }
    } finally {
      launcher.descendants().forEach(ProcessHandle::destroyForcibly);
      launcher.destroyForcibly();
    }
  }

  /** Waits for a usable window. Gives the socket of the display it is on. */
  private static Path displayOnceUsable(Process launcher) throws IOException {
    BufferedReader out =
        new BufferedReader(
            new InputStreamReader(launcher.getInputStream(), StandardCharsets.UTF_8));
    StringBuilder said = new StringBuilder();
    Path display = null;
    for (String line = out.readLine(); line != null; line = out.readLine()) {
      said.append(line).append('\n');
      int at = line.indexOf("DISPLAY=:");
      if (at >= 0) {
        display = Path.of("/tmp/.X11-unix/X" + line.substring(at + "DISPLAY=:".length()).strip());
      } else if (line.startsWith("usable after ms")) {
        assertNotNull(display, said.toString());
        return display;
      }
    }
    throw new AssertionError("it ended before there was a window: " + said);
  }

  private static void awaitGone(Path display) {
    long end = System.nanoTime() + TimeUnit.SECONDS.toNanos(20);
    while (Files.exists(display)) {
      assertTrue(System.nanoTime() < end, "the display goes on: " + display);
      LockSupport.parkNanos(TimeUnit.MILLISECONDS.toNanos(20));
    }
  }
}
