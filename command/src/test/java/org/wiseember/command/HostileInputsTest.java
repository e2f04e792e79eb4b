package org.wiseember.command;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertTrue;

import java.io.IOException;
import java.io.InputStream;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.util.List;
import org.testng.Reporter;
import org.testng.annotations.Test;

/**
 * Damaged files for every reader, ten thousand of them in one process of 256 MB: each ends with
 * figures of readings that are there, or with one sentence of ours. More are asked for with
 * -Dember.hostile=100000 and another seed with -Dember.seed=2; docs/speed.md tells how long it
 * took.
 */
public class HostileInputsTest {
  private static final int INPUTS = Integer.getInteger("ember.hostile", 10_000);
  private static final long SEED = Long.getLong("ember.seed", 1);

  @Test
  public void everyOneEndsWithFiguresOrWithOneSentence() throws Exception {
    Process child =
        new ProcessBuilder(
                Path.of(System.getProperty("java.home"), "bin", "java").toString(),
                "-Xmx256m",
                "-XX:+UseSerialGC",
                "-XX:TieredStopAtLevel=1",
                "-cp",
                System.getProperty(
                    "surefire.test.class.path", System.getProperty("java.class.path")),
                HostileInputs.class.getName(),
                String.valueOf(INPUTS),
                String.valueOf(SEED),
                "20",
                Path.of("target", "hostile").toString())
            .redirectError(ProcessBuilder.Redirect.DISCARD)
            .start();
    List<String> said = lines(child);
    assertEquals(child.waitFor(), 0, String.join("\n", said));
    List<String> faults = said.stream().filter(l -> l.startsWith("fault ")).limit(20).toList();
    assertEquals(String.join("\n", faults), "");
    assertTrue(said.contains("inputs " + INPUTS + " faults 0"), String.join("\n", said));
    Reporter.log(String.join("\n", said), true);
  }

  private static List<String> lines(Process child) throws IOException {
    try (InputStream out = child.getInputStream()) {
      return new String(out.readAllBytes(), StandardCharsets.UTF_8).lines().toList();
    }
  }
}
