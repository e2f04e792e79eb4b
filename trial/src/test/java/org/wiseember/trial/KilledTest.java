package org.wiseember.trial;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertTrue;

import java.io.BufferedReader;
import java.io.InputStreamReader;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Clock;
import java.util.ArrayList;
import java.util.List;
import java.util.SplittableRandom;
import java.util.concurrent.TimeUnit;
import java.util.stream.LongStream;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;
import org.wiseember.core.Thorough;
import org.wiseember.core.trace.Trace;
import org.wiseember.workbook.Run;
import org.wiseember.workbook.Workbook;

public class KilledTest {
  private static final long ONE_SECOND = TimeUnit.SECONDS.toNanos(1);

  @DataProvider
  Object[][] seeds() {
    // A soak of fifty is asked for with -Dember.soak=50; docs/speed.md tells how.
    return LongStream.rangeClosed(1, Integer.getInteger("ember.soak", Thorough.tries(2, 20)))
        .mapToObj(seed -> new Object[] {seed})
        .toArray(Object[][]::new);
  }

  /** Killed at a random moment of a drain, all but the last second is on disk, and it is marked. */
  @Test(dataProvider = "seeds", timeOut = 60_000)
  public void losesAtMostOneSecond(long seed) throws Exception {
    Path folder = Files.createTempDirectory("ember-killed");
    Path file = folder.resolve("killed.ember");
    Process child =
        ChildProgram.start(ChildProgram.command(DrainUntilKilled.class, List.of(file.toString())));
    // Late enough that something was said more than a second before.
    long mark = 1000L + new SplittableRandom(seed).nextInt(900);
    List<long[]> said = new ArrayList<>();
    try (BufferedReader out =
        new BufferedReader(new InputStreamReader(child.getInputStream(), StandardCharsets.UTF_8))) {
      String line = out.readLine();
      while (line != null) {
        long frames = Long.parseLong(line.strip());
        said.add(new long[] {System.nanoTime(), frames});
        if (frames >= mark) {
          break;
        }
        line = out.readLine();
      }
      child.destroyForcibly();
    }
    child.waitFor();
    long killed = System.nanoTime();
    long sure =
        said.stream().filter(s -> s[0] <= killed - ONE_SECOND).mapToLong(s -> s[1]).max().orElse(0);
    assertTrue(sure > 0, "the child said nothing in time");
    try (Workbook workbook = Workbook.open(file, Clock.systemUTC())) {
      Run run = workbook.runs().of(1).get(0);
      assertEquals(run.state(), Run.State.INTERRUPTED);
      Trace trace = workbook.runs().trace(run);
      assertTrue(trace.size() >= sure, trace.size() + " kept of at least " + sure);
      for (int i = 0; i < trace.size(); i++) {
        assertEquals(trace.seconds(i), i + 1.0, 1e-6, "a reading is missing or out of place");
      }
    }
  }
}
