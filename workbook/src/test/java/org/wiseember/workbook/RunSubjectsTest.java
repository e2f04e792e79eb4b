package org.wiseember.workbook;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertThrows;
import static org.testng.Assert.assertTrue;

import java.io.IOException;
import java.nio.file.Files;
import java.time.Clock;
import java.time.Instant;
import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.testng.annotations.AfterMethod;
import org.testng.annotations.BeforeMethod;
import org.testng.annotations.Test;
import org.wiseember.core.notice.Notice;
import org.wiseember.core.trace.Trace;

/** Runs of what is no unit, and what is known of units and instruments beyond their papers. */
public class RunSubjectsTest {
  private static final RunSettings SETTINGS = RunSettings.of(RunSettings.Source.BY_HAND, Map.of());

  private Workbook workbook;

  @BeforeMethod
  public void open() throws IOException {
    workbook =
        Workbook.open(
            Files.createTempDirectory("ember-subjects").resolve("s.ember"), Clock.systemUTC());
  }

  @AfterMethod(alwaysRun = true)
  public void close() {
    workbook.close();
  }

  @Test
  public void aFridgeHasRunsOfItsOwn() {
    RunSubject fridge = workbook.runSubjects().add(RunSubject.Kind.APPLIANCE, "Stall fridge");
    RunSubject mains = workbook.runSubjects().add(RunSubject.Kind.MAINS, "Quay mains");
    TestedUnit unit = workbook.units().add("Quernfold Q1100");
    long run =
        workbook
            .runs()
            .begin(
                new NewRun(
                    RunOf.subject(fridge.id()), "watching", "A day of it", Instant.EPOCH, SETTINGS),
                List.of())
            .runId();
    assertEquals(workbook.runSubjects().all(), List.of(fridge, mains));
    assertEquals(workbook.runs().ofSubject(fridge.id()).get(0).id(), run);
    assertEquals(workbook.runs().byId(run).orElseThrow().of(), RunOf.subject(fridge.id()));
    assertTrue(workbook.runs().of(unit.id()).isEmpty());
    assertTrue(workbook.runs().ofSubject(mains.id()).isEmpty());
    workbook.runSubjects().removed(fridge.id(), true);
    assertEquals(workbook.runSubjects().all(), List.of(mains));
    workbook.runSubjects().removed(fridge.id(), false);
    assertEquals(workbook.runSubjects().all().size(), 2);
  }

  /** A run is of one thing: neither of two nor of none. */
  @Test
  public void aRunIsOfOneThing() {
    assertThrows(IllegalArgumentException.class, () -> new RunOf(0, 0));
    assertThrows(IllegalArgumentException.class, () -> new RunOf(3, 4));
    assertThrows(
        WorkbookException.class,
        () ->
            workbook
                .runs()
                .add(
                    new NewRun(
                        RunOf.subject(99), "watching", "Of nothing", Instant.EPOCH, SETTINGS),
                    Run.State.DONE,
                    "",
                    Trace.empty(),
                    List.of()));
  }

  @Test
  public void whatIsKnownOfAUnitIsKept() {
    long id = workbook.units().add("Haddlewick H500").id();
    assertEquals(workbook.units().facts(id), UnitFacts.NONE);
    UnitFacts facts =
        new UnitFacts(
            "HW-0017",
            "2.4.1",
            "lent by a stall",
            Optional.of(LocalDate.of(2026, 5, 1)),
            349.5,
            "€");
    workbook.units().facts(id, facts);
    assertEquals(workbook.units().facts(id), facts);
    workbook.units().rename(id, "Haddlewick H500, second");
    assertEquals(workbook.units().facts(id), facts, "a new name changes nothing else");
  }

  @Test
  public void theDayOfACheckIsKept() {
    long id = workbook.instruments().add("{}");
    assertEquals(workbook.instruments().checkedOn(id), Optional.empty());
    Optional<LocalDate> day = Optional.of(LocalDate.of(2026, 2, 28));
    workbook.instruments().checkedOn(id, day);
    assertEquals(workbook.instruments().checkedOn(id), day);
    workbook.instruments().checkedOn(id, Optional.empty());
    assertEquals(workbook.instruments().checkedOn(id), Optional.empty());
  }

  /** What a notice is about comes back with it, and codes of older programs are spelled anew. */
  @Test
  public void noticesComeBackWithTheirDetail() {
    long unit = workbook.units().add("Orrinmoor 2k4").id();
    RunWriter writer =
        workbook
            .runs()
            .begin(
                new NewRun(RunOf.unit(unit), "idle", "Idle", Instant.EPOCH, SETTINGS), List.of());
    writer.note(Event.of(new Notice(3, "idle_state", "eco", "eco mode")));
    writer.flush();
    Event kept = workbook.runs().events(writer.runId()).get(0);
    assertEquals(kept, new Event(3, "idle_state", "eco", "eco mode"));
    assertEquals(Event.spelled("start-SAGGED"), "start_sagged");
    assertThrows(IllegalArgumentException.class, () -> new Notice(0, "cut-off", "It ended."));
  }

  /** Whatever goes wrong between, nothing of it is kept, and what comes after is. */
  @Test
  public void allOrNothing() {
    for (Throwable trouble : List.of(new IllegalStateException("no"), new StackOverflowError())) {
      assertThrows(
          trouble.getClass(),
          () ->
              workbook.allOrNothing(
                  () -> {
                    workbook.units().add("Half done");
                    workbook.title("Half done");
                    if (trouble instanceof Error e) {
                      throw e;
                    }
                    throw (RuntimeException) trouble;
                  }));
      assertTrue(workbook.units().all().isEmpty());
      assertEquals(workbook.title(), "");
    }
    workbook.allOrNothing(() -> workbook.allOrNothing(() -> workbook.title("Whole")));
    assertEquals(workbook.title(), "Whole");
    workbook.units().add("After");
    assertEquals(workbook.units().all().size(), 1);
  }
}
