package org.wiseember.core.supply;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertFalse;
import static org.testng.Assert.assertThrows;
import static org.testng.Assert.assertTrue;

import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;
import org.wiseember.core.figure.Explanation;
import org.wiseember.core.typed.Expected;
import org.wiseember.core.typed.TypedAnswer;
import org.wiseember.core.typed.TypedKind;
import org.wiseember.core.typed.TypedReader;

public class PullsTest {
  /**
   * Five of five is 57 to 100 % in the long run: Wilson's interval at n = 5, k = 5, low = n ÷ (n +
   * z²) = 5 ÷ 8.8415.
   */
  @Test
  public void aCountComesWithWhatItSaysOfTheNext() {
    Pulls pulls = new Pulls(5, 3, 5);
    Explanation computer = pulls.counts().get(0);
    assertEquals(computer.title(), "Computer stayed on");
    assertEquals(computer.answer(), "5 of 5");
    assertTrue(computer.because().workedOut().get(1).contains("57 to 100 %"));
    assertEquals(pulls.counts().get(1).answer(), "3 of 5");
    assertEquals(new Pulls(4, Pulls.UNSEEN, 2).counts().size(), 1);
  }

  /** Nothing is said of what nobody watched, and nothing in milliseconds as if measured. */
  @Test
  public void onlyWhatWasSeenIsSaid() {
    assertTrue(new Pulls(3, Pulls.UNSEEN, Pulls.UNSEEN).counts().isEmpty());
    assertTrue(new Pulls(3, Pulls.UNSEEN, Pulls.UNSEEN).ofTheGap().contains("Nothing was watched"));
    assertTrue(new Pulls(3, 3, Pulls.UNSEEN).ofTheGap().contains("lamp alone"));
    assertTrue(new Pulls(3, 0, 3).ofTheGap().contains("most likely under"));
    assertTrue(new Pulls(3, 0, 1).ofTheGap().contains("went off 2 of 3 times"));
    assertFalse(new Pulls(3, 0, 1).ofTheGap().contains("±"));
  }

  @Test
  public void nothingHappensMoreOftenThanThePlugIsPulled() {
    assertThrows(IllegalArgumentException.class, () -> new Pulls(0, 0, 0));
    assertThrows(IllegalArgumentException.class, () -> new Pulls(3, 4, 0));
    assertThrows(IllegalArgumentException.class, () -> new Pulls(3, 0, 4));
  }

  @DataProvider
  Object[][] typed() {
    return new Object[][] {
      {TypedKind.PULLS, "5", 5.0},
      {TypedKind.LAMP_STEADY, " 4 times", 4.0},
      {TypedKind.COMPUTER_STAYED, "0", 0.0},
      {TypedKind.PULLS, "2x", 2.0},
      {TypedKind.PULLS, "five", Double.NaN},
      {TypedKind.PULLS, "-1", Double.NaN},
      {TypedKind.PULLS, "2.5", Double.NaN},
      {TypedKind.AC_ALIVE, "on", 1.0},
      {TypedKind.DC_ALIVE, "OFF", 0.0},
      {TypedKind.USB_ALIVE, "back", 2.0},
      {TypedKind.USB_ALIVE, "off, came back", 2.0},
      {TypedKind.AC_ALIVE, "yes", Double.NaN},
      {TypedKind.AC_ALIVE, "on off", Double.NaN},
    };
  }

  @Test(dataProvider = "typed")
  public void whatIsTypedIsReadOrRefused(TypedKind kind, String text, double value) {
    TypedAnswer answer = TypedReader.read(kind, text, Expected.nothing());
    assertEquals(answer.reading().map(r -> r.value()).orElse(Double.NaN), value, text);
    assertFalse(answer.echo().isBlank());
    if (!Double.isNaN(value) && kind.unit().symbol().isEmpty() && kind.name().endsWith("ALIVE")) {
      assertEquals(answer.reading().get().words(), Alive.of(value).words());
    }
  }

  /** Every kind of reading tells how it may be typed, and reads that. */
  @Test
  public void everyExampleCanBeTyped() {
    for (TypedKind kind : TypedKind.values()) {
      String example = kind.example().split(" or |, ")[0];
      assertTrue(
          TypedReader.read(kind, example, Expected.nothing()).reading().isPresent(),
          kind + ": " + example);
    }
  }
}
