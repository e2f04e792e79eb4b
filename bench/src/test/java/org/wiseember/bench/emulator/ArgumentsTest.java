package org.wiseember.bench.emulator;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertFalse;
import static org.testng.Assert.assertTrue;
import static org.testng.Assert.expectThrows;

import java.util.Locale;
import java.util.SplittableRandom;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;

/** Parameters as SCPI-99 volume 1, chapter 7 has them; recalled from memory. */
public class ArgumentsTest {
  private static double amps(String text) throws ScpiError {
    return new Arguments(text).number(0, 60, 1, "A");
  }

  /** NR1, NR2 and NR3 are the same number, whatever multiplier its suffix has. */
  @Test
  public void everyWayOfWritingANumber() throws ScpiError {
    SplittableRandom random = new SplittableRandom(5);
    for (int n = 0; n < 500; n++) {
      double value = Math.rint(random.nextDouble(0.001, 60) * 1000) / 1000;
      for (String text :
          new String[] {
            String.format(Locale.ROOT, "%.3f", value),
            String.format(Locale.ROOT, "%.6E", value),
            String.format(Locale.ROOT, "+%.3f A", value),
            String.format(Locale.ROOT, "%.3fa", value),
            String.format(Locale.ROOT, "%.3f mA", 1000 * value),
            String.format(Locale.ROOT, "%.6f kA", value / 1000),
          }) {
        assertEquals(amps(text), value, 1e-6, text);
      }
    }
  }

  @Test
  public void namedValuesInLongAndShortForm() throws ScpiError {
    for (String least : new String[] {"MIN", "min", "MINimum", "minimum"}) {
      assertEquals(amps(least), 0, 0);
    }
    assertEquals(amps("MAXIMUM"), 60, 0);
    assertEquals(amps("DEF"), 1, 0);
    assertTrue(Arguments.named("curr", "CURRent"));
    assertFalse(Arguments.named("CURRE", "CURRent"), "neither long nor short");
    assertEquals(Arguments.shortForm("MEASure"), "MEAS");
  }

  @DataProvider
  Object[][] wrong() {
    return new Object[][] {
      {"", -109},
      {"1, 2", -108},
      {"many", -104},
      {"1.2.3", -104},
      {"5 V", -131},
      {"5 xA", -131},
      {"61", -222},
      {"-0.1", -222},
      {"NaN", -104},
      {"1e9999", -104},
    };
  }

  @Test(dataProvider = "wrong")
  public void whatIsWrongHasItsNumber(String text, int number) {
    ScpiError error = expectThrows(ScpiError.class, () -> amps(text));
    assertEquals(error.number(), number, text);
  }

  @Test
  public void switchesAreWordsOrNumbers() throws ScpiError {
    for (String on : new String[] {"ON", "on", "1", "-3", "0.7"}) {
      assertTrue(new Arguments(on).bool(), on);
    }
    for (String off : new String[] {"OFF", "0", "0.4", "0e0"}) {
      assertFalse(new Arguments(off).bool(), off);
    }
    assertEquals(
        expectThrows(ScpiError.class, () -> new Arguments("perhaps").bool()).number(), -224);
  }

  @Test
  public void channelListsNameOneChannel() throws ScpiError {
    assertEquals(new Arguments("").channel(101, 102), 101);
    assertEquals(new Arguments("(@102)").channel(101, 102), 102);
    assertEquals(new Arguments("( @ 102 )").channel(101, 102), 102);
    assertEquals(
        expectThrows(ScpiError.class, () -> new Arguments("(@103)").channel(101, 102)).number(),
        -224);
    assertEquals(
        expectThrows(ScpiError.class, () -> new Arguments("102").channel(101, 102)).number(), -104);
  }

  /** Commas in quotes and in brackets part nothing. */
  @Test
  public void quotesAndBracketsAreKeptWhole() {
    assertEquals(new Arguments("\"a,b\",c").size(), 2);
    assertEquals(new Arguments("(@1,2),3").size(), 2);
    assertEquals(new Arguments("'a','b','c'").size(), 3);
    assertEquals(new Arguments(" ").size(), 0);
    assertEquals(new Arguments("1,").size(), 2, "an empty parameter is one");
  }

  @Test
  public void choicesGoByTheirPlace() throws ScpiError {
    assertEquals(new Arguments("resistance").choice("CURRent", "RESistance", "POWer"), 1);
    assertEquals(new Arguments("POW").choice("CURRent", "RESistance", "POWer"), 2);
    assertEquals(
        expectThrows(ScpiError.class, () -> new Arguments("VOLT").choice("CURRent")).number(),
        -224);
  }
}
