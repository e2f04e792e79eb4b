package org.wiseember.bench.emulator;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertNotNull;
import static org.testng.Assert.assertNull;

import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.SplittableRandom;
import org.testng.annotations.BeforeMethod;
import org.testng.annotations.Test;

/** Headers and program messages by SCPI-99 volume 1, chapter 6; recalled from memory. */
public class CommandTreeTest {
  private final List<String> done = new ArrayList<>();
  private ScpiInstrument instrument;
  private CommandTree tree;

  @BeforeMethod
  public void make() {
    done.clear();
    tree =
        new CommandTree()
            .ask("MEASure[:SCALar]:VOLTage[:DC]?", () -> "12.5")
            .ask("MEASure[:SCALar]:CURRent[:DC]?", () -> "3")
            .command("[SOURce:]CURRent[:LEVel]", a -> done.add("A " + a.number(0, 60, 0, "A")))
            .command("INPut[:STATe]", a -> done.add("in " + a.bool()));
    instrument = new ScpiInstrument("test", tree, () -> done.add("reset"));
  }

  private String send(String message) {
    return new String(instrument.message(message), StandardCharsets.US_ASCII);
  }

  /** Every mnemonic long or short, every optional node there or not, in any case. */
  @Test
  public void everyFormOfAHeaderIsFound() {
    SplittableRandom random = new SplittableRandom(6);
    for (int n = 0; n < 300; n++) {
      String header =
          (random.nextBoolean() ? "MEAS" : "MEASURE")
              + (random.nextBoolean() ? random.nextBoolean() ? ":SCAL" : ":SCALAR" : "")
              + (random.nextBoolean() ? ":VOLT" : ":VOLTAGE")
              + (random.nextBoolean() ? ":DC" : "")
              + "?";
      assertNotNull(
          tree.find(random.nextBoolean() ? header : header.toLowerCase(Locale.ROOT)), header);
    }
    for (String none :
        new String[] {"MEASU:VOLT?", "MEAS:VOLT", "MEAS?", "VOLT?", "MEAS:VOLT:AC?", "MEAS:DC?"}) {
      assertNull(tree.find(none), none);
    }
  }

  /** A header without its colon goes on from the path of the one before (6.2.4). */
  @Test
  public void aMessageGoesOnInItsPath() {
    assertEquals(send("MEAS:VOLT?;CURR?"), "12.5;3");
    assertEquals(send(":MEAS:VOLT?;:MEAS:CURR?"), "12.5;3");
    assertEquals(send("MEAS:VOLT?;*OPC?;CURR?"), "12.5;1;3", "common commands leave the path");
    assertEquals(send("MEAS:VOLT?;INP ON"), "12.5");
    assertEquals(send("SYST:ERR?"), "-113,\"Undefined header\"");
    assertEquals(done, List.of());
  }

  @Test
  public void commandsAreCarriedOutInOrder() {
    assertEquals(send("CURR 5;:INP ON;:SOUR:CURR:LEV 250 mA"), "");
    assertEquals(done, List.of("A 5.0", "in true", "A 0.25"));
    send("*RST");
    assertEquals(done.get(3), "reset");
  }

  /** What comes after something that is not understood is not carried out (IEEE 488.2, 6.1.11). */
  @Test
  public void aMessageEndsAtWhatIsNotUnderstood() {
    send("CURR 5;NONSENSE;:INP ON");
    assertEquals(done, List.of("A 5.0"));
    assertEquals(send("SYST:ERR?"), "-113,\"Undefined header\"");
    send("CURR 99;:INP ON");
    assertEquals(done, List.of("A 5.0", "in true"), "a value out of range does not end it");
    assertEquals(send("SYST:ERR?"), "-222,\"Data out of range\"");
  }

  @Test
  public void semicolonsInQuotesPartNothing() {
    send("CURR \"1;2\"");
    assertEquals(send("SYST:ERR?"), "-104,\"Data type error\"");
    assertEquals(send("SYST:ERR?"), "0,\"No error\"");
  }

  /** IEEE 488.2, 8.7.9: {@code #}, how many digits, the length, the bytes. */
  @Test
  public void blocksSayTheirLength() {
    byte[] block = ScpiInstrument.block(new byte[] {1, 2, 3});
    assertEquals(block, new byte[] {'#', '1', '3', 1, 2, 3});
    String head = new String(ScpiInstrument.block(new byte[1234]), 0, 6, StandardCharsets.US_ASCII);
    assertEquals(head, "#41234");
  }

  /** SCPI-99 volume 1, 7.2.1: 9.91E37 stands for no number. */
  @Test
  public void numbersAreWrittenAsNr3() {
    assertEquals(ScpiInstrument.number(230.4), "2.304000E+02");
    assertEquals(ScpiInstrument.number(-0.0012), "-1.200000E-03");
    assertEquals(ScpiInstrument.number(Double.NaN), "9.91E+37");
  }
}
