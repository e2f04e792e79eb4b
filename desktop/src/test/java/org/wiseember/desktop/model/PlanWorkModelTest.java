package org.wiseember.desktop.model;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertFalse;
import static org.testng.Assert.assertNull;
import static org.testng.Assert.assertTrue;

import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalTime;
import java.time.ZoneId;
import java.time.ZoneOffset;
import java.util.List;
import java.util.Optional;
import org.testng.annotations.Test;
import org.wiseember.bench.run.Pace;
import org.wiseember.trial.kind.TestType;
import org.wiseember.trial.plan.Schedule;
import org.wiseember.trial.plan.ScheduleStep;
import org.wiseember.workbook.plan.CampaignNotes;

/** The plan as the window has it, on a clock that is wound by hand. */
public class PlanWorkModelTest extends OnSession {
  private static final long HADDLEWICK = 2;
  private Instant now = Instant.parse("2026-06-01T09:00:00Z");

  @Override
  protected Clock clock() {
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
        return now;
      }
    };
  }

  private PlanWork work() {
    return session.planWork();
  }

  private Schedule schedule() {
    return work().schedule().get();
  }

  /** One unit, and somebody there day and night. */
  private void open() {
    choose(1);
    session.at().stage().set(StageName.PLAN);
    work()
        .note(
            work()
                .notes()
                .of(List.of(HADDLEWICK))
                .present(
                    List.of(new CampaignNotes.Present(LocalTime.MIDNIGHT, LocalTime.MIDNIGHT))),
            "there");
    until(
        () ->
            schedule() != null && schedule().packs().keySet().equals(java.util.Set.of(HADDLEWICK)));
    settle();
  }

  /** Nobody came: once a minute has passed it is planned from now on, and what moved is said. */
  @Test
  public void whatWasNotBegunIsPlannedAnew() {
    open();
    ScheduleStep first = schedule().steps().get(0);
    assertFalse(first.from().isAfter(now));
    long tests = schedule().tests();
    work().tick();
    Schedule same = schedule();
    now = now.plus(Duration.ofHours(3));
    work().tick();
    until(() -> !schedule().now().equals(same.now()));
    assertTrue(schedule().steps().stream().noneMatch(s -> s.from().isBefore(now.minusSeconds(60))));
    assertEquals(schedule().tests(), tests, "no test is lost");
    assertTrue(
        work().changed().get().get(0).startsWith("All is over at"),
        work().changed().get().toString());
  }

  /** Half an hour ahead it reminds; before that it is silent. */
  @Test
  public void itRemindsInTime() {
    open();
    assertTrue(work().reminder().orElseThrow().brief().contains("now"));
    ScheduleStep test =
        schedule().steps().stream()
            .filter(s -> s.kind() == ScheduleStep.Kind.TEST)
            .findFirst()
            .orElseThrow();
    Schedule before = schedule();
    for (ScheduleStep s : List.copyOf(before.steps())) {
      if (!s.equals(test) && s.kind() == ScheduleStep.Kind.TEST) {
        work()
            .choose(
                HADDLEWICK,
                s.wanted().orElseThrow().key(),
                Optional.of(CampaignNotes.Choice.DROPPED));
      }
    }
    work().pin(test, Optional.of(now.plus(Duration.ofMinutes(90))));
    until(
        () ->
            schedule().tests() == 1
                && schedule()
                    .nextTest(HADDLEWICK)
                    .orElseThrow()
                    .from()
                    .isAfter(now.plusSeconds(3600)));
    if (schedule().charges() == 0) {
      assertTrue(work().reminder().isEmpty());
    }
    now = now.plus(Duration.ofMinutes(78));
    assertTrue(
        work().reminder().isPresent(),
        "twelve minutes before: " + schedule().steps() + " at " + now);
  }

  /** Notes are kept in the workbook, and undo returns to those before. */
  @Test
  public void notesAreKeptAndUndone() {
    open();
    CampaignNotes before = work().notes();
    work().charged(HADDLEWICK, 40);
    settle();
    assertEquals(session.open().workbook().orElseThrow().campaignNotes(), work().notes());
    session.open().undo();
    settle();
    assertEquals(session.open().workbook().orElseThrow().campaignNotes(), before);
    assertEquals(work().notes(), before);
  }

  /** A test that ended stays where it is; the plan has its next one ready for whoever goes on. */
  @Test
  public void aTestThatEndedStaysOnShow() {
    open();
    TestType made =
        schedule().nextTest(HADDLEWICK).orElseThrow().wanted().orElseThrow().plan().type();
    session.bench().prepare(made);
    session.bench().setPace(Pace.FULL);
    session.bench().start();
    until(() -> session.bench().live().get() != null && !session.bench().going());
    until(() -> !session.planWork().nextTest().equals(Optional.of(made)));
    settle();
    assertEquals(session.bench().test().get(), made);
    assertTrue(session.bench().live().get() != null, "its run is still on show");
    TestType next = session.planWork().nextTest().orElseThrow();
    session.bench().prepare(next);
    assertEquals(session.bench().test().get(), next);
    assertNull(session.bench().live().get());
  }
}
