package org.wiseember.workbook.log;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertFalse;
import static org.testng.Assert.assertTrue;
import static org.testng.Assert.expectThrows;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Optional;
import java.util.OptionalDouble;
import org.testng.annotations.BeforeClass;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;
import org.wiseember.core.waveform.Capture;

/** Captures as scopes of many ways write them; all of them invented. */
public class WaveCsvTest {
  private Path folder;

  @BeforeClass
  public void makeFolder() throws IOException {
    folder = Files.createTempDirectory("ember-wave");
  }

  private ReadCapture read(String text, OptionalDouble rate, double scale) throws Exception {
    Path file = Files.createTempFile(folder, "wave", ".csv");
    Files.writeString(file, text);
    return WaveCsv.read(file, rate, Optional.empty(), scale);
  }

  /** Rows of a ramp: sample i is i volts, 1 ms apart, in the form of the file. */
  private static String rows(String form) {
    StringBuilder text = new StringBuilder();
    for (int i = 0; i < 40; i++) {
      text.append(String.format(java.util.Locale.ROOT, form, i * 0.001, (double) i, i * 0.1));
      text.append('\n');
    }
    return text.toString();
  }

  @DataProvider
  Object[][] files() {
    return new Object[][] {
      {"time [s],voltage [V]\n" + rows("%.4f,%.2f"), 1000.0, false},
      {"time [s],voltage [V],current [A]\n" + rows("%.4f,%.2f,%.3f"), 1000.0, true},
      {"\ufefft [ms];U [mV]\n" + rows("%.4f;%.2f").replace('.', ','), 1_000_000.0, false},
      {"Time,Channel 1\n(s),(V)\n" + rows("%.4f,%.2f,"), 1000.0, false},
      {
        "Note, far stall\nSettings, 7\n\nX,CH1 Volt,CH2 Amp\n" + rows("%.4f,%.2f,%.3f"),
        1000.0,
        true
      },
      {rows("%.4f\t%.2f"), 1000.0, false},
      {"\"time [us]\",\"voltage [kV]\"\n" + rows("%.4f,%.2f"), 1e9, false},
    };
  }

  @Test(dataProvider = "files")
  public void anyScopeIsRead(String text, double rate, boolean amps) throws Exception {
    ReadCapture read = read(text, OptionalDouble.empty(), 1);
    Capture c = read.capture();
    assertEquals(c.size(), 40);
    assertEquals(c.perSecond(), rate, rate * 1e-6);
    assertEquals(c.hasAmps(), amps);
    double unit = text.contains("mV") ? 1e-3 : text.contains("kV") ? 1e3 : 1;
    assertEquals(c.volts(39), 39 * unit, 1e-9);
    if (amps) {
      assertEquals(c.amps(10), 1, 1e-9);
    }
  }

  @Test
  public void withoutATimeColumnTheRateIsFoundOrAskedFor() throws Exception {
    String one = "voltage [V]\n" + rows("%2$.2f");
    assertEquals(
        read("Sample rate,20 kHz\n" + one, OptionalDouble.empty(), 1).capture().perSecond(),
        20_000.0);
    assertEquals(
        read("Sample interval: 50 us\n" + one, OptionalDouble.empty(), 1).capture().perSecond(),
        20_000.0,
        1e-6);
    assertEquals(
        read("Samples per second = 2 MS/s\n" + one, OptionalDouble.empty(), 1)
            .capture()
            .perSecond(),
        2e6);
    assertEquals(read(one, OptionalDouble.of(5000), 1).capture().perSecond(), 5000.0);
    LogUnreadable e = expectThrows(LogUnreadable.class, () -> read(one, OptionalDouble.empty(), 1));
    assertTrue(e.getMessage().contains("--sample-rate"), e.getMessage());
  }

  @Test
  public void countsAndProbesAreScaled() throws Exception {
    String counts = "Volts per count: 0.25\nSample interval: 1 ms\ncounts\n" + rows("%2$.0f");
    assertEquals(read(counts, OptionalDouble.empty(), 1).capture().volts(8), 2.0);
    assertEquals(
        read("time [s],voltage [V]\n" + rows("%.4f,%.2f"), OptionalDouble.empty(), 9.58)
            .capture()
            .volts(10),
        95.8,
        1e-9);
  }

  @DataProvider
  Object[][] broken() {
    String good = "time [s],voltage [V]\n" + rows("%.4f,%.2f");
    return new Object[][] {
      {"", "no rows of numbers"},
      {"only words\nand more\n", "no rows of numbers"},
      {good + "0.0400,\n", "row 42: the volts “” are missing"},
      {good + "0.0400,NaN\n", "row 42: the volts “NaN” is no number"},
      {good + "0.0400,=1+1\n", "row 42: the volts “=1+1” is no number"},
      {good + "0.0100,3\n", "runs backwards near sample 41"},
      {good + "9.0000,3\n", "has a hole or a jump"},
    };
  }

  @Test(dataProvider = "broken")
  public void brokenCapturesAreOneSentence(String text, String words) {
    LogUnreadable e =
        expectThrows(LogUnreadable.class, () -> read(text, OptionalDouble.empty(), 1));
    assertTrue(e.getMessage().contains(words), e.getMessage());
    assertFalse(e.getMessage().contains("\n"));
  }

  @Test
  public void noTextAndNoFileAreSaid() throws Exception {
    Path bytes = folder.resolve("bytes.csv");
    Files.write(bytes, new byte[] {(byte) 0xff, (byte) 0xfe, 0, 1, (byte) 0x80});
    assertTrue(
        expectThrows(
                LogUnreadable.class,
                () -> WaveCsv.read(bytes, OptionalDouble.empty(), Optional.empty(), 1))
            .getMessage()
            .contains("UTF-8"));
    assertTrue(
        expectThrows(
                LogUnreadable.class,
                () ->
                    WaveCsv.read(
                        folder.resolve("none.csv"), OptionalDouble.empty(), Optional.empty(), 1))
            .getMessage()
            .contains("there is no such file"));
    Path wide = folder.resolve("wide.csv");
    Files.write(wide, "x".repeat(100_000).getBytes(StandardCharsets.UTF_8));
    assertTrue(
        expectThrows(
                LogUnreadable.class,
                () -> WaveCsv.read(wide, OptionalDouble.empty(), Optional.empty(), 1))
            .getMessage()
            .contains("no rows of numbers"));
  }

  @Test
  public void oneOfSeveralChannelsByName() throws Exception {
    Path file = folder.resolve("two.csv");
    Files.writeString(
        file, "Time (s),CH1 (V),CH2 (V)\n0,1,10\n0.001,2,20\n0.002,3,30\n0.003,4,40\n");
    assertEquals(
        WaveCsv.read(file, OptionalDouble.empty(), Optional.empty(), 1).capture().volts(1), 2.0);
    ReadCapture second = WaveCsv.read(file, OptionalDouble.empty(), Optional.of("ch2 (v)"), 1);
    assertEquals(second.capture().volts(1), 20.0);
    assertEquals(second.capture().perSecond(), 1000, 1e-9);
    LogUnreadable e =
        expectThrows(
            LogUnreadable.class,
            () -> WaveCsv.read(file, OptionalDouble.empty(), Optional.of("CH3"), 1));
    assertTrue(e.getMessage().contains("has no column “CH3”"), e.getMessage());
  }
}
