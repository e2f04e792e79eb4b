package org.wiseember.bench.run;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertTrue;

import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.CountDownLatch;
import java.util.concurrent.TimeUnit;
import org.testng.annotations.Test;
import org.wiseember.bench.procedure.Drain;
import org.wiseember.bench.procedure.Phase;
import org.wiseember.bench.simulated.SimulatedBench;
import org.wiseember.bench.simulated.design.Chemistry;
import org.wiseember.bench.simulated.design.UnitDesign;
import org.wiseember.bench.simulated.load.Heater;
import org.wiseember.core.notice.Notice;
import org.wiseember.core.trace.Frame;

public class RunnerTest {
  /** Remembers everything, as a disk would. */
  private static final class Memory implements Recorder {
    private final List<Frame> frames = new ArrayList<>();
    private final List<Notice> notices = new ArrayList<>();
    private Phase ended;
    private int flushes;

    @Override
    public synchronized void append(Frame frame) {
      frames.add(frame);
    }

    @Override
    public synchronized void note(Notice notice) {
      notices.add(notice);
    }

    @Override
    public synchronized String flush() {
      flushes++;
      return null;
    }

    @Override
    public synchronized void end(Phase phase, String ending) {
      ended = phase;
    }
  }

  private static SimulatedBench bench() {
    return new SimulatedBench(
        UnitDesign.typical(Chemistry.LFP, 300, 400, 230, 1), Heater.of(300, 230), 1, 4);
  }

  @Test
  public void recordsEveryFrameToTheEnd() {
    Memory memory = new Memory();
    List<RunView> views = new ArrayList<>();
    SimulatedBench bench = bench();
    new Runner(bench, Drain.ac(230), List.of(), memory, Pace.FULL, views::add).runToEnd();
    assertEquals(memory.ended, Phase.DONE);
    for (int i = 1; i < memory.frames.size(); i++) {
      assertEquals(memory.frames.get(i).seconds() - memory.frames.get(i - 1).seconds(), 1.0, 1e-6);
    }
    RunView last = views.get(views.size() - 1);
    assertEquals(last.frames(), memory.frames.size());
    assertEquals(
        last.deliveredWattHours(), bench.account().delivered(), 0.01 * bench.account().delivered());
    assertTrue(memory.flushes >= 1);
    assertTrue(memory.notices.stream().anyMatch(n -> n.code().equals("cut_off")));
  }

  @Test(timeOut = 20_000)
  public void stopsByHandAndKeepsMarks() throws InterruptedException {
    Memory memory = new Memory();
    CountDownLatch seen = new CountDownLatch(1);
    Runner runner =
        new Runner(
            bench(), Drain.ac(230), List.of(), memory, Pace.SIX_HUNDRED, view -> seen.countDown());
    runner.mark("before");
    runner.start();
    assertTrue(seen.await(10, TimeUnit.SECONDS));
    runner.stop();
    assertTrue(runner.awaitEnd(5, TimeUnit.SECONDS));
    assertEquals(memory.ended, Phase.STOPPED);
    assertTrue(memory.notices.stream().anyMatch(n -> n.text().equals("before")));
  }

  @Test
  public void thinningKeepsADipOfOneSample() {
    Thinner thinner = new Thinner();
    for (int i = 0; i < 172_800; i++) {
      thinner.add(i, i == 100_001 ? 3 : 600);
    }
    Thinned view = thinner.view();
    assertTrue(view.size() <= 2048, "buckets: " + view.size());
    double least = Double.POSITIVE_INFINITY;
    for (double low : view.low()) {
      least = Math.min(least, low);
    }
    assertEquals(least, 3.0);
  }
}
