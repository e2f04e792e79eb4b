package org.wiseember.bench.procedure;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertFalse;
import static org.testng.Assert.assertTrue;

import java.util.List;
import org.testng.annotations.Test;
import org.wiseember.core.hand.OperatorEvent;
import org.wiseember.core.hand.TimedOperatorEvent;

/** How a test by hand goes on by what is said of it. */
public class ByHandScriptTest {
  /** Three loads, each put on and then read. */
  private static ByHand loads() {
    ByHand.Script script =
        ByHand.of("loads", List.of()).step("ready", "Output on").on(OperatorEvent.DONE, "load-1");
    for (int i = 1; i <= 3; i++) {
      script
          .nextPart()
          .step("load-" + i, "Load " + i)
          .about(100 * i)
          .skippable()
          .on(OperatorEvent.LOAD_ON, "read-" + i)
          .step("read-" + i, "Read " + i)
          .onward(OperatorEvent.READ, "load-" + (i + 1), i == 3, "All read.");
    }
    return script.build();
  }

  private static void press(ByHand test, OperatorEvent... presses) {
    for (OperatorEvent press : presses) {
      test.press(TimedOperatorEvent.key(press, Double.NaN, 1));
    }
  }

  private static String now(ByHand test) {
    return test.now().map(Now::what).orElse("over");
  }

  @Test
  public void aPartIsSkippedWithAllOfIt() {
    ByHand test = loads();
    press(test, OperatorEvent.DONE, OperatorEvent.SKIPPED);
    assertEquals(now(test), "Load 2");
    assertEquals(test.now().orElseThrow().subject(), 200.0);
    press(test, OperatorEvent.LOAD_ON, OperatorEvent.READ, OperatorEvent.SKIPPED);
    assertEquals(now(test), "over");
    assertEquals(test.phase(), Phase.DONE, "what was skipped is not what broke it off");
  }

  /** With the load on it is too late: only what is pressed then says how that ended. */
  @Test
  public void whatIsBegunIsNotSkipped() {
    ByHand test = loads();
    assertFalse(test.now().orElseThrow().takes(OperatorEvent.SKIPPED), "nothing to skip yet");
    press(test, OperatorEvent.SKIPPED);
    assertEquals(now(test), "Output on");
    press(test, OperatorEvent.DONE, OperatorEvent.LOAD_ON, OperatorEvent.SKIPPED);
    assertEquals(now(test), "Read 1");
  }

  @Test
  public void itIsCalledEnoughAtAnyTime() {
    ByHand test = loads();
    press(test, OperatorEvent.DONE, OperatorEvent.LOAD_ON, OperatorEvent.READ);
    assertTrue(test.now().orElseThrow().takes(OperatorEvent.ENOUGH));
    press(test, OperatorEvent.ENOUGH);
    assertEquals(test.phase(), Phase.DONE);
    assertEquals(test.ending().orElseThrow(), "Called enough in part 3 of 4.");
  }

  /** One thing after the other until the end, as a drain is, has no part that may be missing. */
  @Test
  public void aTestOfOnePieceIsNeitherSkippedNorEnough() {
    ByHand drain =
        ByHand.of("drain", List.of())
            .step("on", "Load on")
            .on(OperatorEvent.LOAD_ON, "run")
            .nextPart()
            .step("run", "Let it run")
            .last(OperatorEvent.DROPPED_OUT, "It dropped out.")
            .build();
    assertEquals(drain.now().orElseThrow().besides(), List.of());
    press(drain, OperatorEvent.SKIPPED, OperatorEvent.ENOUGH, OperatorEvent.LOAD_ON);
    press(drain, OperatorEvent.SKIPPED, OperatorEvent.ENOUGH);
    assertEquals(now(drain), "Let it run");
  }

  /** "Skip" in so many words is what an inspection calls not looked at. */
  @Test
  public void skipMeansTheSameWhereverItIsWritten() {
    ByHand test = loads();
    press(test, OperatorEvent.DONE, OperatorEvent.NOT_LOOKED);
    assertEquals(now(test), "Load 2");
    assertTrue(OperatorEvent.SKIPPED.saidBy("skip this"));
    assertTrue(OperatorEvent.SKIPPED.saidBy("left out"));
    assertTrue(OperatorEvent.ENOUGH.saidBy("that is enough"));
    assertFalse(OperatorEvent.SKIPPED.saidBy("skipped the 200 W load"));
  }

  /** A struck press is as if it had never been. */
  @Test
  public void goneThroughOnceMoreItComesToTheSame() {
    ByHand test = loads();
    press(test, OperatorEvent.DONE, OperatorEvent.SKIPPED);
    test.replay(List.of(TimedOperatorEvent.key(OperatorEvent.DONE, Double.NaN, 1)));
    assertEquals(now(test), "Load 1");
  }
}
