package org.wiseember.trial.runtime;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertFalse;
import static org.testng.Assert.assertTrue;

import java.time.LocalTime;
import java.util.List;
import java.util.Optional;
import org.testng.annotations.Test;
import org.wiseember.core.label.Label;
import org.wiseember.core.quantity.HourSpan;
import org.wiseember.core.quantity.ReaderUnits;
import org.wiseember.core.runtime.Appliance;
import org.wiseember.core.runtime.ApplianceDraw;
import org.wiseember.core.runtime.Day;
import org.wiseember.core.runtime.Side;
import org.wiseember.core.runtime.feed.Feed;
import org.wiseember.core.runtime.feed.Leg;
import org.wiseember.report.page.PageHtml;
import org.wiseember.report.page.Sheet;
import org.wiseember.trial.verdict.Judgement;
import org.wiseember.workbook.TestedUnit;

/** What is said of a day by a label alone: a guess is called one, and what nobody tried is open. */
public class DayAnswersTest {
  private static final double NO = Double.NaN;

  private static Judgement unit(String label) {
    return Judgement.untested(new TestedUnit(1, "Quernfold Q1100", Label.read(label)));
  }

  private static Day day(Appliance... all) {
    return Day.empty("Night", LocalTime.of(20, 0), 10).with(List.of(all));
  }

  private static Appliance steady(String name, double watts, double startVa) {
    return new Appliance(
        name,
        new ApplianceDraw(ApplianceDraw.Use.STEADY, watts, NO, NO, startVa),
        Side.AC,
        List.of(HourSpan.ALWAYS),
        List.of());
  }

  private static List<DayAnswer> answers(Day day, String label) {
    return DayAnswers.of(DayOutcome.of(day, List.of(unit(label))), ReaderUnits.AS_KEPT);
  }

  private static DayAnswer answer(List<DayAnswer> all, String key) {
    return all.stream().filter(a -> a.key().equals(key)).findFirst().orElseThrow();
  }

  /** 850 of 1 000 Wh at 170 W last five hours, by the label almost six. */
  @Test
  public void aLabelAloneIsAGuess() {
    List<DayAnswer> all = answers(day(steady("Lamp", 170, NO)), "Capacity 1000 Wh\nAC 230 V 500 W");
    DayAnswer end = answer(all, "runs_out");
    assertEquals(end.answer(), "01:00");
    assertEquals(end.tone(), DayAnswer.Tone.BAD);
    assertTrue(end.words().contains("after 5 h"), end.words());
    assertTrue(
        end.why().because().watchOut().stream().anyMatch(w -> w.contains("85 %")),
        end.why().because().watchOut().toString());
    DayAnswer label = answer(all, "by_label");
    assertEquals(label.answer(), "01:53");
    assertEquals(label.words(), "53 min more than it gives.");
    assertEquals(answer(all, "smallest").answer(), "1\u2009700 Wh");
  }

  /** Two joined go off with the first that is empty; each leg's start is its own unit's. */
  @Test
  public void joinedTheFirstToBeEmptyEndsIt() {
    Judgement small = unit("Capacity 500 Wh\nAC 230 V 1000 W");
    Judgement large =
        Judgement.untested(
            new TestedUnit(2, "Orrinmoor 2k4", Label.read("Capacity 2000 Wh\nAC 230 V 2000 W")));
    Day day = day(steady("Heater", 170, NO).on(Leg.BOTH), steady("Pump", 0, 1500).on(Leg.SECOND));
    List<DayAnswer> all =
        DayAnswers.of(DayOutcome.of(day, List.of(small, large)), ReaderUnits.AS_KEPT);
    DayAnswer joined = answer(all, "joined");
    // 425 Wh at half of 170 W last five hours.
    assertEquals(joined.answer(), "01:00");
    assertEquals(joined.tone(), DayAnswer.Tone.BAD);
    assertTrue(joined.words().contains("the start of Pump"), joined.words());
    assertTrue(
        joined.why().because().workedOut().stream()
            .anyMatch(w -> w.contains("Orrinmoor 2k4: 75 %")),
        joined.why().because().workedOut().toString());
  }

  /** By the label 2 000 VA would do; nobody tried, so it is neither sure to go nor to fail. */
  @Test
  public void whatNobodyTriedIsOpen() {
    List<DayAnswer> all =
        answers(
            day(steady("Lamp", 60, NO), steady("Pump", 300, 1500)),
            "Capacity 1000 Wh\nAC 230 V 1000 W\nSurge 2000 W");
    DayAnswer start = answer(all, "start");
    assertEquals(start.tone(), DayAnswer.Tone.OPEN);
    assertEquals(start.answer(), "1\u2009560 VA");
    assertTrue(start.words().startsWith("Open."), start.words());
    assertEquals(answer(all, "running").tone(), DayAnswer.Tone.OPEN);
    assertTrue(
        start.why().because().watchOut().get(0).contains("enough if it holds"),
        start.why().because().watchOut().toString());
  }

  /** The band reaches past the end of the day: it is not said to last, nor that it does not. */
  @Test
  public void anEndNearTheEndOfTheDayIsOpen() {
    List<DayAnswer> lasts = answers(day(steady("Lamp", 84, NO)), "Capacity 1000 Wh");
    assertEquals(answer(lasts, "charge_at_end").tone(), DayAnswer.Tone.OPEN);
    List<DayAnswer> ends = answers(day(steady("Lamp", 86, NO)), "Capacity 1000 Wh");
    assertEquals(answer(ends, "runs_out").tone(), DayAnswer.Tone.OPEN);
    List<DayAnswer> easily = answers(day(steady("Lamp", 20, NO)), "Capacity 1000 Wh");
    assertEquals(answer(easily, "charge_at_end").tone(), DayAnswer.Tone.GOOD);
    assertEquals(answer(easily, "charge_at_end").answer(), "06:00");
  }

  @Test
  public void aUnitNobodyKnowsAnythingOfIsNamed() {
    DayOutcome outcome =
        DayOutcome.of(day(steady("Lamp", 20, NO)), List.of(unit("Inverter 1500 W")));
    assertTrue(outcome.units().isEmpty());
    assertEquals(outcome.silent(), List.of("Quernfold Q1100"));
    assertTrue(DayAnswers.of(outcome, ReaderUnits.AS_KEPT).isEmpty());
    assertFalse(DayPage.sheet(outcome, ReaderUnits.AS_KEPT).title().isEmpty());
  }

  /** A day on which nothing is on lasts; nothing is divided by its watts. */
  @Test
  public void anEmptyDayLasts() {
    List<DayAnswer> all = answers(day(), "Capacity 1000 Wh");
    assertEquals(answer(all, "charge_at_end").tone(), DayAnswer.Tone.GOOD);
    assertTrue(all.stream().noneMatch(a -> a.answer().contains("NaN")));
    assertTrue(all.stream().noneMatch(a -> a.key().equals("smallest")));
  }

  @Test
  public void cautionsFollowTheFeed() {
    Day plain = day(steady("Lamp", 20, NO));
    assertTrue(String.join(" ", Cautions.of(plain)).contains("licensed electrician"));
    assertFalse(String.join(" ", Cautions.of(plain)).contains("outdoors"));
    Feed.Alternating generator = new Feed.Alternating("generator", 900, List.of(HourSpan.ALWAYS));
    Feed.Charger charger =
        new Feed.Charger("charger", 57, 10, Double.POSITIVE_INFINITY, 0.9, List.of(generator));
    Feed.Battery battery = new Feed.Battery(51, 2000, 20, List.of(charger));
    Day fed = plain.fed(Optional.of(new Feed.Port(11, 60, 10, 400, List.of(battery))));
    String said = String.join(" ", Cautions.of(fed));
    assertTrue(said.contains("outdoors") && said.contains("Fuse next to the battery"), said);
    assertFalse(String.join(" ", Cautions.of(plain.charged(100, 20))).contains("down to nothing"));
  }

  /** Names with signs of a page in them stand on the sheet as they were typed. */
  @Test
  public void hostileNamesStayWords() {
    Day day =
        day(steady("<script>alert(1)</script>", 20, NO), steady("=1+1\u000b & “more”", 10, NO))
            .titled("</title><b>x");
    DayOutcome outcome = DayOutcome.of(day, List.of(unit("Capacity 1000 Wh")));
    Sheet sheet = DayPage.sheet(outcome, ReaderUnits.CUSTOMARY);
    String html = new PageHtml(ReaderUnits.CUSTOMARY).write(sheet, "Pool <i>", "1 May 2026");
    assertFalse(html.contains("<script>alert"));
    assertFalse(html.contains("<b>x"));
    assertTrue(html.contains("&lt;script&gt;alert(1)"));
    assertTrue(html.contains("8:00 pm"), "times of day as the reader likes them");
    assertTrue(html.contains("cannot be printed"), "a sign left out is said");
  }
}
