package org.wiseember.core.notes;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertFalse;
import static org.testng.Assert.assertTrue;
import static org.testng.Assert.expectThrows;

import java.time.LocalDate;
import java.time.LocalDateTime;
import java.util.List;
import java.util.Optional;
import java.util.SplittableRandom;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;
import org.wiseember.core.figure.Warning;
import org.wiseember.core.hand.Moment;
import org.wiseember.core.hand.OperatorEvent;
import org.wiseember.core.typed.Expected;
import org.wiseember.core.typed.TypedKind;
import org.wiseember.core.typed.TypedReading;

/** Notes as testers write them, line by line; expected moments are worked out by hand. */
public class NotesTest {
  private static final List<TypedKind> DRAIN =
      List.of(TypedKind.DISPLAY, TypedKind.TOTAL, TypedKind.POWER);

  private static Notes notes(String... lines) {
    try {
      return Notes.of(NotesFile.read(String.join("\n", lines)), DRAIN, Expected.nothing());
    } catch (NotesUnreadable e) {
      throw new AssertionError(e.getMessage(), e);
    }
  }

  private static String refused(String... lines) {
    return expectThrows(
            NotesUnreadable.class,
            () -> Notes.of(NotesFile.read(String.join("\n", lines)), DRAIN, Expected.nothing()))
        .getMessage();
  }

  private static Moment when(Notes notes, int entry) {
    return notes.entries().get(entry).when();
  }

  private static void between(Notes notes, int entry, double earliest, double latest) {
    assertEquals(when(notes, entry).earliest(), earliest, 1e-6, "earliest of " + entry);
    assertEquals(when(notes, entry).latest(), latest, 1e-6, "latest of " + entry);
  }

  /** A drain of an afternoon, with a moment of every sort. */
  @Test
  public void aDrainWithMomentsOfEverySort() {
    Notes notes =
        notes(
            "date: 2026-11-30",
            "meter: 1 % + 2 digits",
            "load: 400 W",
            "14:05        100 %, 0 Wh",
            "14:05:20     load is on",
            "about 14:35  398 W, 199 Wh",
            "+93 min      output dropped out",
            "             610 Wh, display 0 %, E008");
    assertEquals(notes.began(), Optional.of(LocalDateTime.of(2026, 11, 30, 14, 5)));
    assertEquals(notes.head().get(NotesKey.METER).text(), "1 % + 2 digits");
    // The load went on 20 s past the minute, so what stands above was before that.
    between(notes, 0, 0, 20.3);
    between(notes, 1, 19.7, 20.3);
    between(notes, 2, 1500, 2100);
    // 93 min after the first line, which is anywhere in the first 20.3 s, ± half a minute.
    between(notes, 3, 5550, 5630.3);
    assertEquals(when(notes, 4).earliest(), 5550, 1e-6);
    assertFalse(when(notes, 4).isKnown());
    assertEquals(notes.entries().get(3).said().press(), Optional.of(OperatorEvent.DROPPED_OUT));
    assertEquals(notes.entries().get(4).said().errorCode(), Optional.of("E008"));
    assertEquals(
        notes.entries().get(4).said().readings().stream().map(TypedReading::value).toList(),
        List.of(610.0, 0.0));
    assertEquals(notes.warnings(), List.of());
  }

  @DataProvider
  Object[][] elapsed() {
    return new Object[][] {
      {"+1:32:10", 5529.5, 5530.5},
      {"+4:30", 269.5, 270.5},
      {"+93 min", 5550, 5610},
      {"+45 s", 44.5, 45.5},
      {"+1.5 h", 5220, 5580},
      {"+0.10 s", 0, 0.4},
      {"about +50 min", 2700, 3300},
      {"+ 2 hours", 5400, 9000},
      {"between +10 min and +12 min", 570, 750},
    };
  }

  /** Half of the last digit, three tenths of a second at the least, a tenth where it is "about". */
  @Test(dataProvider = "elapsed")
  public void sinceTheFirstEntry(String moment, double earliest, double latest) {
    Notes notes = notes("0 Wh", moment + " 398 W");
    between(notes, 1, earliest, latest);
    assertTrue(notes.zero().isEmpty());
  }

  @DataProvider
  Object[][] clocks() {
    return new Object[][] {
      {"14:05", 300, 360},
      {"2:05 pm", 300, 360},
      {"at 2:05 p.m.", 300, 360},
      {"14:05:20", 318, 322},
      {"about 14:10", 300, 900},
      {"between 14:05 and 14:20", 300, 1260},
      {"2 pm", 0, 3600},
    };
  }

  @Test(dataProvider = "clocks")
  public void byTheClock(String moment, double earliest, double latest) {
    Notes notes = notes("14:00:00 load is on", moment + " 398 W");
    assertEquals(when(notes, 1).earliest(), Math.max(earliest, -0.3), 1e-6);
    between(notes, 1, Math.max(earliest, -0.3), latest);
  }

  /** A moment may stand behind what happened; a time still to come is a reading. */
  @Test
  public void aMomentBehindAndATimeToCome() {
    Notes notes = notes("14:00 0 Wh", "it tripped at 14:32", "display 1:20 to empty");
    between(notes, 1, 1920, 1980);
    assertEquals(notes.entries().get(1).said().press(), Optional.of(OperatorEvent.TRIPPED));
    assertEquals(notes.entries().get(2).said().readings().get(0).kind(), TypedKind.TIME_LEFT);
  }

  /** 23:50, 00:20 and 02:00 are one night; a day that is written counts. */
  @Test
  public void aNightAndADayThatIsWritten() {
    Notes night = notes("23:50 0 Wh", "00:20 200 Wh", "02:00 610 Wh");
    between(night, 1, 1800, 1860);
    between(night, 2, 7800, 7860);
    assertEquals(night.warnings().stream().map(Warning::code).toList(), List.of("next_day"));
    Notes days = notes("date: 2026-11-30", "09:00 0 Wh", "date: 2026-12-02", "08:00 95 Wh");
    between(days, 1, 2 * 86_400 - 3600, 2 * 86_400 - 3540);
    assertEquals(days.warnings(), List.of());
    assertEquals(days.began().orElseThrow().toLocalDate(), LocalDate.of(2026, 11, 30));
  }

  /** What has no moment lies between what stands around it, in the order of the lines. */
  @Test
  public void betweenItsNeighbours() {
    Notes notes = notes("14:00 0 Wh", "398 W", "397 W", "15:00 398 Wh", "it cut out");
    between(notes, 1, 0, 3660);
    between(notes, 2, 0, 3660);
    assertTrue(when(notes, 1).at() < when(notes, 2).at());
    assertEquals(when(notes, 4).latest(), Double.POSITIVE_INFINITY);
    Notes none = notes("0 Wh", "load is on", "output dropped out", "610 Wh");
    for (int i = 1; i < 4; i++) {
      assertTrue(when(none, i).at() > when(none, i - 1).at());
      assertFalse(when(none, i).isKnown());
    }
  }

  /** Whatever is written, places rise and lie within what is known of them. */
  @Test
  public void placesRiseWithTheLines() {
    String[] moments = {"", "14:0%d ", "about 14:%d0 ", "14:1%d:30 ", "between 14:00 and 15:%d0 "};
    SplittableRandom random = new SplittableRandom(5);
    for (int n = 0; n < 500; n++) {
      StringBuilder text = new StringBuilder();
      for (int i = 0; i < 6; i++) {
        text.append(String.format(moments[random.nextInt(moments.length)], random.nextInt(6)))
            .append(i * 100)
            .append(" Wh\n");
      }
      Notes notes = notes(text.toString().split("\n"));
      for (int i = 0; i < 6; i++) {
        Moment m = when(notes, i);
        assertTrue(m.at() >= m.earliest() && m.at() <= m.latest(), text.toString());
        assertTrue(i == 0 || m.at() > when(notes, i - 1).at(), text.toString());
      }
    }
  }

  @Test
  public void theDisplayHoldsToTheEndOfItsPart() {
    Notes notes = notes("display 399 W, 62 %; 402 W, 380 Wh");
    assertEquals(
        notes.entries().get(0).said().readings().stream().map(TypedReading::kind).toList(),
        List.of(TypedKind.DISPLAY_OUT, TypedKind.DISPLAY, TypedKind.POWER, TypedKind.TOTAL));
    // What the display counts is not the meter's total.
    Notes shown = notes("100 %, 0 Wh", "display 3 %, 599 Wh", "610 Wh, display 0 %");
    assertEquals(
        shown.entries().get(1).said().readings().stream().map(TypedReading::kind).toList(),
        List.of(TypedKind.DISPLAY));
    assertEquals(shown.entries().get(2).said().readings().size(), 2);
    assertEquals(notes("meter zeroed").entries().get(0).said().readings().get(0).value(), 0.0);
  }

  @DataProvider
  Object[][] presses() {
    return new Object[][] {
      {"load is on", OperatorEvent.LOAD_ON},
      {"plugged in", OperatorEvent.LOAD_ON},
      {"output dropped out", OperatorEvent.DROPPED_OUT},
      {"it shut off", OperatorEvent.DROPPED_OUT},
      {"cut out", OperatorEvent.DROPPED_OUT},
      {"I took it off", OperatorEvent.TAKEN_OFF},
      {"unplugged", OperatorEvent.TAKEN_OFF},
      {"it tripped", OperatorEvent.TRIPPED},
      {"still on", OperatorEvent.STILL_ON},
      {"it is full", OperatorEvent.FULL},
      {"it refuses", OperatorEvent.REFUSES},
      {"lamp blinked", OperatorEvent.LAMP_BLINKED},
      {"done", OperatorEvent.DONE},
      {"output dropped out, 610 Wh", OperatorEvent.DROPPED_OUT},
    };
  }

  @Test(dataProvider = "presses")
  public void whatHappenedInSoManyWords(String words, OperatorEvent press) {
    assertEquals(
        notes("14:00 " + words).entries().get(0).said().press(), Optional.of(press), words);
  }

  @Test
  public void aNumberNobodyUnderstandsIsPointedAt() {
    Notes notes = notes("0 Wh", "", "# 17 of 20", "roughly 4 bananas", "a nice day");
    assertEquals(notes.entries().size(), 3);
    assertEquals(notes.warnings().stream().map(Warning::code).toList(), List.of("not_understood"));
    assertTrue(notes.warnings().get(0).message().startsWith("Line 4: "));
  }

  @DataProvider
  Object[][] bad() {
    return new Object[][] {
      {new String[] {"meters: 1 %", "0 Wh"}, "Line 1: “meters” is no key"},
      {new String[] {"load: 400 W", "load: 500 W", "0 Wh"}, "Line 2: “load:” stands twice"},
      {new String[] {"0 Wh", "Load: 400 W"}, "Line 2: “load:” stands behind an entry"},
      {new String[] {"date: 30.11.2026", "0 Wh"}, "Line 1: “30.11.2026” is no date"},
      {
        new String[] {"date: 2026-11-30", "9:00 0 Wh", "date: 2026-11-29", "9:00 5 Wh"},
        "Line 3: the date goes back"
      },
      {new String[] {"0 Wh", "+10 min 100 Wh", "+5 min 50 Wh"}, "Line 3: its moment lies"},
      {new String[] {"", "# nothing"}, "The notes hold no entry"},
      {new String[] {"0 Wh\0"}, "The notes hold a NUL"},
    };
  }

  /** One sentence with the line, and what to do. */
  @Test(dataProvider = "bad")
  public void whatCannotBeTakenSaysWhere(String[] lines, String begins) {
    String said = refused(lines);
    assertTrue(said.startsWith(begins), said);
    assertTrue(said.endsWith("."), said);
  }

  /** A lamp in a remark is no count of pulls of a plug. */
  @Test
  public void aRemarkWithANumberIsNoCount() {
    Notes notes = notes("0 Wh", "lamp row flickers at 3", "pull 5 chairs up");
    for (int i = 1; i < 3; i++) {
      assertEquals(notes.entries().get(i).said().readings(), List.of());
      assertTrue(notes.entries().get(i).isNotUnderstood());
    }
  }

  @Test
  public void aNameMayStandLikeAKeyBehindTheFirstEntry() {
    Notes notes = notes("DATE: 2026-11-30", "display: 100 %", "Mara: 398 W");
    assertEquals(notes.entries().get(1).said().who(), "Mara");
    assertEquals(notes.entries().get(1).said().readings().get(0).value(), 398.0);
    assertTrue(notes.began().isPresent());
  }
}
