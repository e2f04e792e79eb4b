package org.wiseember.desktop.model;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertFalse;
import static org.testng.Assert.assertTrue;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.LocalTime;
import java.util.List;
import org.testng.annotations.Test;
import org.wiseember.core.runtime.Day;
import org.wiseember.trial.runtime.DayOutcome;
import org.wiseember.workbook.StoredDay;
import org.wiseember.workbook.day.DayFile;
import org.wiseember.workbook.day.DayJson;
import org.wiseember.workbook.strict.JsonUnreadable;

/** Days on the desk: what is changed is kept, undone and worked out again. */
public class DayWorkModelTest extends OnSession {
  private DayWork work() {
    return session.dayWork();
  }

  private Day day() {
    return work().chosen().get().day();
  }

  private void untilWorkedOut() {
    until(
        () -> {
          DayOutcome made = work().outcome().get();
          return made != null && made.day().equals(day());
        });
  }

  private List<StoredDay> kept() {
    return session.open().workbook().orElseThrow().days().all().days();
  }

  /** The label would carry the first stall's evening; the unit does not. */
  @Test
  public void theDemosFirstDayIsTheOneALabelWouldCarry() {
    until(() -> !work().days().isEmpty());
    untilWorkedOut();
    DayOutcome made = work().outcome().get();
    assertEquals(made.units().get(0).name(), "Quernfold Q1100");
    assertTrue(made.units().get(0).found().course().runsOut().isPresent());
    assertTrue(made.units().get(0).byLabel().orElseThrow().runsOut().isEmpty());
    assertEquals(made.units().size(), 2);
    assertEquals(work().days().size(), 4);
  }

  @Test
  public void whatIsChangedIsKeptAndUndone() {
    until(() -> !work().days().isEmpty());
    Day before = day();
    work().change(before.charged(60, 10), "Charge changed");
    untilWorkedOut();
    assertEquals(work().outcome().get().units().get(0).asked().charge(), 60.0);
    until(() -> kept().get(0).day().charge() == 60);
    work().change(day().from(LocalTime.of(18, 0)), "Beginning changed");
    session.open().undo();
    session.open().undo();
    assertEquals(day(), before);
    until(() -> kept().get(0).day().charge() == 100);
    work().copy();
    until(() -> work().days().size() == 5);
    assertEquals(day().appliances(), before.appliances());
    work().remove();
    until(() -> work().days().size() == 4);
    session.open().undo();
    until(() -> work().days().size() == 5);
    until(() -> kept().size() == 5);
  }

  /** Appliances keep their times of day when the day begins earlier or later. */
  @Test
  public void timesOfDayStayWhenTheDayBeginsElsewhere() {
    until(() -> !work().days().isEmpty());
    Day before = day();
    Day earlier = before.from(before.start().minusHours(1));
    assertEquals(earlier.appliances().get(1).on().get(0).from(), 1.5);
    Day later = earlier.from(before.start());
    assertEquals(later, before);
    Day cut = before.from(before.start().plusMinutes(45));
    assertEquals(cut.appliances().get(1).on().get(0).from(), 0.0);
    assertEquals(cut.appliances().get(1).on().get(0).to(), 4.75);
  }

  @Test
  public void aDayGoesOutAndComesBack() throws IOException, JsonUnreadable {
    until(() -> !work().days().isEmpty());
    untilWorkedOut();
    Path out = Files.createTempDirectory("ember-day").resolve("stall.json");
    assertTrue(
        OpenWorkbook.written(out, work().json().getBytes(StandardCharsets.UTF_8))
            .startsWith("Saved"));
    DayFile file = DayJson.read(Files.readString(out));
    assertEquals(file.day(), day());
    assertEquals(
        file.asked().course().runsOut(),
        work().outcome().get().units().get(0).found().course().runsOut());
    work().take(out);
    until(() -> work().days().size() == 5);
    assertEquals(day(), file.day());
    assertEquals(session.at().stage().get(), StageName.RUN_TIME);
  }

  @Test
  public void whatIsNoDayIsSaidAndAddsNone() throws IOException {
    until(() -> !work().days().isEmpty());
    Path bad = Files.createTempDirectory("ember-day").resolve("bad.json");
    Files.writeString(bad, "{\"hours\": 9999}");
    work().take(bad);
    untilSaid("bad.json: “hours” of the day has to be a number");
    work().take(bad.resolveSibling("missing.json"));
    untilSaid("is not there");
    assertEquals(work().days().size(), 4);
    String said = OpenWorkbook.written(bad.resolve("under-a-file.json"), new byte[] {1});
    assertTrue(said.contains("could not be written"), said);
    assertFalse(Files.isDirectory(bad));
  }
}
