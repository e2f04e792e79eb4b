package org.wiseember.bench.procedure;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertFalse;
import static org.testng.Assert.assertThrows;
import static org.testng.Assert.assertTrue;

import java.util.ArrayList;
import java.util.List;
import java.util.function.DoubleUnaryOperator;
import org.testng.annotations.Test;
import org.wiseember.core.notice.Notice;
import org.wiseember.core.trace.Channel;
import org.wiseember.core.trace.Frame;

public class LoadLadderTest {
  private static final List<Channel> CHANNELS = List.of(Channel.AC_POWER, Channel.AC_VOLTAGE);

  private final List<Notice> notices = new ArrayList<>();
  private double now;

  /** Feeds what the load draws by the seconds since it was plugged in, until it asks again. */
  private double untilItAsks(LoadLadder ladder, DoubleUnaryOperator watts) {
    double from = now;
    while (ladder.asks().isEmpty() && !ladder.phase().over() && now < from + 2000) {
      now++;
      notices.addAll(
          ladder.take(
              new Frame(now, CHANNELS, new double[] {watts.applyAsDouble(now - from), 230})));
    }
    return now - from;
  }

  @Test
  public void goesThroughEveryLoadAsOftenAsAsked() {
    notices.clear();
    LoadLadder ladder = new LoadLadder(List.of(100.0, 400.0), 2, 230);
    assertEquals(ladder.asks().orElseThrow(), "AC output on, nothing plugged in");
    assertFalse(ladder.setPoints().loaded());
    ladder.confirm();
    assertEquals(untilItAsks(ladder, t -> 0), LoadLadder.NO_LOAD_SECONDS, 2);
    List<Double> plugged = new ArrayList<>();
    while (!ladder.phase().over()) {
      assertTrue(ladder.asks().orElseThrow().startsWith("Plug in "));
      assertFalse(ladder.setPoints().loaded(), "nothing is on before it is plugged in");
      ladder.confirm();
      double load = ladder.setPoints().acWatts();
      plugged.add(load);
      double seconds = untilItAsks(ladder, t -> load * (1 + 0.01 * Math.exp(-t / 20)));
      assertTrue(seconds >= 30 + LoadLadder.MEASURE_SECONDS && seconds < 200, "" + seconds);
    }
    assertEquals(plugged, List.of(100.0, 400.0, 100.0, 400.0));
    assertEquals(ladder.phase(), Phase.DONE);
    assertEquals(ladder.stepsBegun(), 4);
    assertEquals(notices.stream().filter(n -> n.code().equals("step")).count(), 4);
  }

  @Test
  public void aLoadThatKeepsDriftingIsReadAllTheSame() {
    notices.clear();
    LoadLadder ladder = new LoadLadder(List.of(400.0), 1, 230);
    ladder.confirm();
    untilItAsks(ladder, t -> 0);
    ladder.confirm();
    double seconds = untilItAsks(ladder, t -> 300 + 0.3 * t);
    assertEquals(seconds, LoadLadder.SETTLE_LIMIT + LoadLadder.MEASURE_SECONDS, 3);
    assertTrue(notices.stream().anyMatch(n -> n.code().equals("unsteady")));
  }

  @Test
  public void anotherLoadThanWasMeantIsSaid() {
    notices.clear();
    LoadLadder ladder = new LoadLadder(List.of(400.0), 1, 230);
    ladder.confirm();
    untilItAsks(ladder, t -> 0);
    ladder.confirm();
    untilItAsks(ladder, t -> 195);
    assertTrue(notices.stream().anyMatch(n -> n.code().equals("other_load")));
  }

  @Test
  public void anOutputThatDropsOutEndsIt() {
    LoadLadder ladder = new LoadLadder(List.of(400.0, 900.0), 1, 230);
    ladder.confirm();
    now = 0;
    untilItAsks(ladder, t -> 0);
    ladder.confirm();
    for (int i = 0; i < 10; i++) {
      ladder.take(new Frame(now + i, CHANNELS, new double[] {0, 0}));
    }
    assertEquals(ladder.phase(), Phase.DONE);
    assertTrue(ladder.ending().orElseThrow().contains("dropped out at 400 W"));
  }

  @Test
  public void needsLoads() {
    assertThrows(IllegalArgumentException.class, () -> new LoadLadder(List.of(), 1, 230));
  }

  /** Every state begins with a notice that says what is on. */
  @Test
  public void aUnitAtRestIsReadStateByState() {
    IdleWatch watch = new IdleWatch(List.of(IdleState.AC_ON, IdleState.ALL_OFF));
    List<Notice> began = new ArrayList<>();
    double at = 0;
    while (!watch.phase().over() && at < 5000) {
      watch.asks().ifPresent(words -> watch.confirm());
      at++;
      Frame frame =
          new Frame(
              at,
              List.of(Channel.DC_VOLTAGE, Channel.DC_CURRENT),
              new double[] {52, watch.setPoints().acOutput() ? 0.2 : 0.02});
      assertEquals(watch.watched(frame), watch.setPoints().acOutput() ? 10.4 : 1.04, 1e-9);
      began.addAll(watch.take(frame));
    }
    assertEquals(
        began.stream().map(Notice::text).toList(), List.of("AC output on", "all outputs off"));
    assertEquals(began.get(1).seconds() - began.get(0).seconds(), IdleWatch.STATE_SECONDS, 2);
    assertFalse(watch.setPoints().acOutput());
  }
}
