package org.wiseember.trial;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertFalse;
import static org.testng.Assert.assertTrue;

import org.testng.annotations.Test;
import org.wiseember.core.label.Subject;
import org.wiseember.core.trace.Treatment;
import org.wiseember.core.verdict.Standing;
import org.wiseember.trial.kind.TestRun;
import org.wiseember.trial.kind.found.Drained;
import org.wiseember.trial.verdict.Judgement;

/** A run that was set aside is looked at and counts for nothing, until it is taken back. */
public class SetAsideTest extends OnDemo {
  private void decide(TestRun run, String reason) {
    demo.treatments().decide(run.run().id(), run.treatment().settingAside(reason));
  }

  @Test
  public void itCountsForNothing() {
    Judgement before = judge(1);
    Drained drain = before.drains().get(0);
    decide(drain, "the wrong heater was on");
    Judgement after = judge(1);
    assertTrue(after.drains().isEmpty());
    assertEquals(
        line(after, Subject.CAPACITY).verdict().orElseThrow().standing(), Standing.NOT_TESTED);
    TestRun kept = after.run(drain.run().id()).orElseThrow();
    assertTrue(kept.aside());
    assertEquals(kept.treatment().setAside(), "the wrong heater was on");
    assertEquals(after.all().size(), before.runs().size());
    decide(kept, "");
    Judgement again = judge(1);
    assertEquals(again.lines(), before.lines());
    assertFalse(again.drains().get(0).aside());
  }

  /** What rests on other runs forgets one that was set aside: a round trip, hours to empty. */
  @Test
  public void otherRunsDoNotBuildOnIt() {
    Judgement before = judge(0);
    assertTrue(before.together().implied().isPresent());
    assertTrue(before.runs().stream().anyMatch(r -> r.figure("round_trip").isPresent()));
    for (Drained drain : before.drains()) {
      decide(drain, "not full");
    }
    Judgement after = judge(0);
    assertTrue(after.together().implied().isEmpty() && after.together().rate().isEmpty());
    assertTrue(
        after.runs().stream().noneMatch(r -> r.figure("round_trip").isPresent()),
        "a round trip over a drain that counts for nothing");
    for (TestRun drain : after.aside()) {
      decide(drain, "");
    }
    assertEquals(judge(0).lines(), before.lines());
  }

  @Test
  public void otherDecisionsStayWithIt() {
    Treatment decided = Treatment.NONE.withStandingWatts(2).settingAside(" a gap ");
    assertEquals(decided.setAside(), "a gap");
    assertEquals(decided.settingAside(""), Treatment.NONE.withStandingWatts(2));
  }
}
