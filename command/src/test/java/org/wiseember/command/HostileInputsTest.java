package org.wiseember.command;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertTrue;

import java.io.IOException;
import java.io.InputStream;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import org.testng.Reporter;
import org.testng.annotations.Test;
import org.wiseember.core.Thorough;

/**
 * Damaged files for every reader, two thousand of them in two processes of 256 MB: each ends with
 * figures of readings that are there, or with one sentence of ours. More are asked for with
 * -Dember.hostile=100000 and other seeds with -Dember.seed=3; docs/speed.md tells how long it took.
 */
public class HostileInputsTest {
  private static final int INPUTS =
      Integer.getInteger("ember.hostile", Thorough.tries(800, 10_000));
  private static final long SEED = Long.getLong("ember.seed", 1);

  /** One for each core of a small machine. */
  private static final int PROCESSES = 2;

  private record Running(int inputs, Process process) {}

  @Test
  public void everyOneEndsWithFiguresOrWithOneSentence() throws Exception {
    List<Running> all = new ArrayList<>();
    for (int i = 0; i < PROCESSES; i++) {
      int inputs = INPUTS / PROCESSES;
      all.add(new Running(inputs, started(inputs, SEED + i)));
    }
    for (Running each : all) {
      List<String> said = lines(each.process());
      assertEquals(each.process().waitFor(), 0, String.join("\n", said));
      List<String> faults = said.stream().filter(l -> l.startsWith("fault ")).limit(20).toList();
      assertEquals(String.join("\n", faults), "");
      assertTrue(said.contains("inputs " + each.inputs() + " faults 0"), String.join("\n", said));
      Reporter.log(String.join("\n", said), true);
    }
  }

  private static Process started(int inputs, long seed) throws IOException {
    return new ProcessBuilder(
            Path.of(System.getProperty("java.home"), "bin", "java").toString(),
            "-Xmx256m",
            "-XX:+UseSerialGC",
            "-XX:TieredStopAtLevel=1",
            "-cp",
            System.getProperty("surefire.test.class.path", System.getProperty("java.class.path")),
            HostileInputs.class.getName(),
            String.valueOf(inputs),
            String.valueOf(seed),
            "20",
            Path.of("target", "hostile-" + seed).toString())
        .redirectError(ProcessBuilder.Redirect.DISCARD)
        .start();
  }

  private static List<String> lines(Process child) throws IOException {
    try (InputStream out = child.getInputStream()) {
      return new String(out.readAllBytes(), StandardCharsets.UTF_8).lines().toList();
    }
  }
}
