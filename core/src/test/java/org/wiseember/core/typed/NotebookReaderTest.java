package org.wiseember.core.typed;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertTrue;

import java.time.LocalDateTime;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;
import org.wiseember.core.Thorough;
import org.wiseember.core.hand.Moment;
import org.wiseember.core.hand.OperatorEvent;
import org.wiseember.core.quantity.ReaderUnits;

/** What testers write beside a test, as they write it. */
public class NotebookReaderTest {
  /** A run that began at 14:20 and has gone on for 25 min. */
  private static final LocalDateTime STARTED = LocalDateTime.of(2031, 5, 4, 14, 20);

  private static final double NOW = 1500;

  private static NotebookEntry read(String line, TypedKind... wanted) {
    return new NotebookReader(List.of(wanted), Expected.nothing(), STARTED, NOW).read(line);
  }

  @DataProvider
  public Object[][] figures() {
    return new Object[][] {
      {"1548", TypedKind.POWER, 1548.0},
      {"1 548 W", TypedKind.POWER, 1548.0},
      {"1.548 kW", TypedKind.POWER, 1548.0},
      {"meter 598,5 W", TypedKind.POWER, 598.5},
      {"231 V", TypedKind.VOLTS, 231.0},
      {"2.1 kWh", TypedKind.TOTAL, 2100.0},
      {"second meter 240 Wh", TypedKind.SECOND_TOTAL, 240.0},
      {"48 °C at the plug", TypedKind.SPOT, 48.0},
      {"case 44.6 °C", TypedKind.CASE, 44.6},
      {"room 70 °F", TypedKind.ROOM, 190 / 9.0},
      {"the room is 21.5", TypedKind.ROOM, 21.5},
      {"case 24", TypedKind.CASE, 24.0},
      {"weighs 11.2", TypedKind.WEIGHT, 11.2},
      {"display 38 %", TypedKind.DISPLAY, 38.0},
      {"3/5 bars", TypedKind.DISPLAY, 60.0},
      {"1:20 to empty", TypedKind.TIME_LEFT, 80.0},
      {"1:24 to full", TypedKind.TIME_TO_FULL, 84.0},
      {"3.2 % THD", TypedKind.DISTORTION, 3.2},
      {"59.8 Hz", TypedKind.HERTZ, 59.8},
      {"36.89 Ah", TypedKind.DC_CHARGE, 36.89},
      {"79.8 klx", TypedKind.LIGHT, 79_800.0},
      {"42 dB(A)", TypedKind.SOUND, 42.0},
      {"fan off", TypedKind.FAN, 0.0},
      {"29 A peak", TypedKind.PEAK, 29.0},
      {"other leg 67 W", TypedKind.OTHER_POWER, 67.0},
      {"AC on", TypedKind.AC_ALIVE, 1.0},
      {"12 V dead", TypedKind.DC_ALIVE, 0.0},
      {"USB came back", TypedKind.USB_ALIVE, 2.0},
    };
  }

  @Test(dataProvider = "figures")
  public void oneFigure(String line, TypedKind kind, double value) {
    NotebookEntry entry = read(line, TypedKind.POWER, TypedKind.VOLTS, TypedKind.CASE);
    assertEquals(entry.readings().size(), 1, entry.echo());
    assertEquals(entry.readings().get(0).kind(), kind, entry.echo());
    assertEquals(entry.readings().get(0).value(), value, 1e-9);
    assertTrue(entry.press().isEmpty() && entry.remark().isEmpty(), entry.echo());
  }

  @Test
  public void aWholeDisplayInOneLine() {
    NotebookEntry entry = read("display 1 590 W in, 38 %, 2 bars, 1:20 to empty", TypedKind.TOTAL);
    assertEquals(
        entry.readings().stream().map(TypedReading::kind).toList(),
        List.of(TypedKind.DISPLAY_IN, TypedKind.DISPLAY, TypedKind.TIME_LEFT));
    assertEquals(entry.readings().get(0).value(), 1590.0);
    assertEquals(entry.remark(), "2 bars");
  }

  @Test
  public void aDecimalCommaIsNoEndOfAPhrase() {
    NotebookEntry entry = read("11,30 V, 52,0 A, 528 W", TypedKind.POWER, TypedKind.DC_VOLTS);
    assertEquals(
        entry.readings().stream().map(TypedReading::value).toList(), List.of(11.3, 52.0, 528.0));
    assertEquals(entry.readings().get(0).kind(), TypedKind.DC_VOLTS);
  }

  @Test
  public void whichSideVoltsAreOf() {
    TypedKind[] both = {TypedKind.VOLTS, TypedKind.DC_VOLTS};
    assertEquals(read("12.7 V", both).readings().get(0).kind(), TypedKind.DC_VOLTS);
    assertEquals(read("117 V", both).readings().get(0).kind(), TypedKind.VOLTS);
    assertEquals(read("battery 117 V", both).readings().get(0).kind(), TypedKind.DC_VOLTS);
  }

  @DataProvider
  public Object[][] presses() {
    return new Object[][] {
      {"It tripped", OperatorEvent.TRIPPED},
      {"tripped", OperatorEvent.TRIPPED},
      {"took it off", OperatorEvent.TAKEN_OFF},
      {"output dropped out", OperatorEvent.DROPPED_OUT},
      {"still on", OperatorEvent.STILL_ON},
      {"it went off", OperatorEvent.WENT_OFF},
      {"came back by itself", OperatorEvent.CAME_BACK},
      {"latched off", OperatorEvent.LATCHED},
      {"it is full", OperatorEvent.FULL},
      {"refuses", OperatorEvent.REFUSES},
    };
  }

  @Test(dataProvider = "presses")
  public void whatHappenedInSoManyWords(String line, OperatorEvent press) {
    assertEquals(read(line).press(), Optional.of(press));
    assertEquals(read("Mira: " + line).press(), Optional.of(press));
    assertEquals(read("Mira: " + line).who(), "Mira");
  }

  @Test
  public void everyPressIsSaidByItsOwnWordsAndByNoOther() {
    for (OperatorEvent press : OperatorEvent.values()) {
      assertEquals(read(press.words()).press(), Optional.of(press), press.words());
    }
  }

  @Test
  public void aMomentOfTheDay() {
    NotebookEntry entry = read("it tripped at 14:32 or a little later");
    assertEquals(entry.press(), Optional.of(OperatorEvent.TRIPPED));
    // 14:32 is 12 min after 14:20; the minute it was in, and two more.
    assertEquals(entry.when().orElseThrow().earliest(), 720.0);
    assertEquals(entry.when().orElseThrow().latest(), 900.0);
  }

  @Test
  public void aMomentSinceTheStart() {
    // 0:12 is no time of day between 14:20 and 14:45, so it is 12 min in.
    assertEquals(read("took it off at 0:12").when().orElseThrow().earliest(), 720.0);
    assertEquals(read("took it off at 0:12:30").when().orElseThrow().latest(), 751.0);
    assertEquals(read("0:05 302 W").when().orElseThrow().earliest(), 300.0);
  }

  @Test
  public void aMomentThatCannotBeIsSaid() {
    NotebookEntry entry = read("it tripped at 19:00");
    assertTrue(entry.when().isEmpty());
    assertTrue(entry.echo().contains("not between"), entry.echo());
  }

  @Test
  public void overMidnight() {
    NotebookReader late =
        new NotebookReader(
            List.of(), Expected.nothing(), LocalDateTime.of(2031, 5, 4, 23, 50), 5 * 3600);
    assertEquals(late.read("it went off at 2:10").when().orElseThrow().earliest(), 8400.0);
  }

  @Test
  public void codesAndWords() {
    assertEquals(read("E08").errorCode(), Optional.of("E08"));
    assertEquals(read("beeps twice").remark(), "beeps twice");
    assertEquals(read("plug warm, not hot").remark(), "plug warm, not hot");
    assertEquals(read("302 W, beeps twice").readings().size(), 1);
    assertTrue(read("   ").isEmpty());
  }

  /** Whatever is typed, it is read without a fault and nothing of it is lost. */
  @Test
  public void anythingCanBeWritten() {
    Random random = new Random(17);
    String letters = "0123456789 .,:;%°CWhkVAEF-–at onby\u2009\u0000é\n\"'()/";
    for (int n = 0; n < Thorough.tries(4_000, 20_000); n++) {
      StringBuilder line = new StringBuilder();
      int length = random.nextInt(40);
      for (int i = 0; i < length; i++) {
        line.append(letters.charAt(random.nextInt(letters.length())));
      }
      NotebookEntry entry = read(line.toString(), TypedKind.TOTAL, TypedKind.POWER);
      boolean blank = line.toString().strip().isEmpty();
      boolean punctuation = line.toString().replaceAll("[\\p{Punct}\\s\u0000–°]", "").isEmpty();
      assertTrue(blank || punctuation || !entry.isEmpty(), "lost: " + line);
    }
  }

  @DataProvider
  public Object[][] halves() {
    return new Object[][] {
      {"it tripped at 2:32 pm", false, 720.0},
      {"it tripped at 2:32pm", true, 720.0},
      {"2:32 p.m. it tripped", false, 720.0},
      // Without am or pm only who reads 12 hours means the afternoon.
      {"it tripped at 2:32", true, 720.0},
      {"it tripped at 2:32", false, Double.NaN},
      {"it tripped at 2:32 am", true, Double.NaN},
      {"it tripped at 0:12", true, 720.0},
      {"it tripped at 14:32", true, 720.0},
    };
  }

  @Test(dataProvider = "halves")
  public void aTimeOfTheAfternoon(String line, boolean twelveHours, double seconds) {
    Expected expected = Expected.nothing().by(ReaderUnits.AS_KEPT.day(twelveHours));
    NotebookEntry entry = new NotebookReader(List.of(), expected, STARTED, NOW).read(line);
    // At a moment that cannot be nothing is said to have happened.
    assertEquals(entry.press().isPresent(), !Double.isNaN(seconds), entry.echo());
    assertEquals(entry.when().map(Moment::earliest).orElse(Double.NaN), seconds, entry.echo());
  }

  /** Seconds are those of the start where nothing else is told of. */
  @Test
  public void secondsOfSomethingElseAreWords() {
    assertEquals(read("ready after 4 s", TypedKind.START_UP).readings().get(0).value(), 4.0);
    assertEquals(read("3 s", TypedKind.START_UP).readings().get(0).value(), 3.0);
    NotebookEntry dim = read("washed out in the sun, dims after 20 s", TypedKind.START_UP);
    assertTrue(dim.readings().isEmpty(), dim.echo());
  }
}
