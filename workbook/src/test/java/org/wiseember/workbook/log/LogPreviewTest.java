package org.wiseember.workbook.log;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertFalse;
import static org.testng.Assert.assertThrows;
import static org.testng.Assert.assertTrue;

import java.io.IOException;
import java.nio.charset.Charset;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Optional;
import java.util.SplittableRandom;
import java.util.concurrent.CancellationException;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;
import org.wiseember.core.figure.Warning;
import org.wiseember.core.trace.Channel;
import org.wiseember.core.trace.Trace;

/** Files of meters nobody here knows: invented layouts, each with a habit seen in the field. */
public class LogPreviewTest {
  private static Path file(String text, Charset charset) throws IOException {
    Path file = Files.createTempFile("meter", ".csv");
    Files.write(file, text.getBytes(charset));
    file.toFile().deleteOnExit();
    return file;
  }

  private static Log guessed(String text) throws Exception {
    Path file = file(text, StandardCharsets.UTF_8);
    return LogCsv.read(file, LogPreview.of(file).mapping(), Progress.NONE);
  }

  @DataProvider
  Object[][] layouts() {
    return new Object[][] {
      {
        "semicolons and decimal commas",
        "Zeit;Power (W);Energy (kWh)\n0;600,5;0,001\n1;601,2;0,002\n2;600;0,003\n"
      },
      {
        "kilowatts, minutes",
        "Elapsed min,Active Power [kW],Total kWh\n0,0.6005,0.001\n0.016667,0.6012,0.002\n"
      },
      {
        "a preamble and stamps",
        """
        Lantern meter log
        Serial: 0

        Timestamp,Volts,Watts,Wh
        2026-05-04 18:00:00,228.1,600.5,1
        2026-05-04 18:00:01,228.0,601.2,2
        """
      },
      {
        "day first",
        """
        Date/Time;Voltage V;Power W;Energy Wh
        4.5.2026 18:00:00;228,1;600,5;1
        4.5.2026 18:00:01;228,0;601,2;2
        """
      },
      {
        "month first with AM and PM",
        "Date Time,Power(W),Energy(Wh)\n5/4/2026 11:59:59 PM,600.5,1\n5/5/2026 12:00:00 AM,601.2,2\n"
      },
      {
        "date and time apart",
        "Date,Time,Power(W),Wh\n2026/05/04,23:59:59,600.5,1\n2026/05/05,00:00:00,601.2,2\n"
      },
      {"time of day over midnight", "Time,Power(W),Wh\n23:59:59,600.5,1\n00:00:00,601.2,2\n"},
      {
        "epoch milliseconds",
        "timestamp,power_w,energy_wh\n1777910400000,600.5,1\n1777910401000,601.2,2\n"
      },
      {"tabs and quotes", "\"time s\"\t\"Load W\"\t\"Energy Wh\"\n0\t\"600.5\"\t1\n1\t601.2\t2\n"},
      {
        "columns of no use",
        "No.,Time(s),Watt,Power Factor,Apparent VA,Wh\n1,0,600.5,0.99,606,1\n2,1,601.2,0.99,607,2\n"
      },
    };
  }

  @Test(dataProvider = "layouts")
  public void columnsAndUnitsAreGuessed(String name, String text) throws Exception {
    Trace trace = guessed(text).trace();
    assertEquals(trace.value(Channel.AC_POWER, 0), 600.5, 1e-9, name);
    assertEquals(trace.value(Channel.AC_POWER, 1), 601.2, 1e-9, name);
    assertEquals(trace.value(Channel.AC_ENERGY, 1), 2, 1e-9, name);
    assertEquals(trace.seconds(1), 1, 1e-3, name);
    assertFalse(trace.has(Channel.AC_CURRENT), name);
  }

  @Test
  public void lowVoltsAreABatterys() throws Exception {
    Trace trace =
        guessed("time,U (V),I (mA),Temp (°F)\n0,12.84,1500,212\n1,12.83,1490,212\n").trace();
    assertEquals(trace.value(Channel.DC_VOLTAGE, 0), 12.84);
    assertEquals(trace.value(Channel.DC_CURRENT, 0), 1.5, 1e-12);
    assertEquals(trace.value(Channel.CASE_TEMPERATURE, 0), 100, 1e-9);
  }

  @Test
  public void spreadsheetsEncodingsAreRead() throws Exception {
    String text = "\uFEFFtime [s],ac_power [W]\n0,600\n1,601\n";
    for (Charset charset :
        new Charset[] {
          StandardCharsets.UTF_8, StandardCharsets.UTF_16LE, StandardCharsets.UTF_16BE
        }) {
      assertEquals(LogCsv.read(file(text, charset)).trace().size(), 2, charset.name());
    }
  }

  /** Summer time ends: the clock goes back an hour; it begins: an hour is skipped. */
  @Test
  public void clocksThatAreSetAreMendedAndSaid() throws Exception {
    StringBuilder back = new StringBuilder("Date,Power W\n");
    for (int i = 0; i < 120; i++) {
      int minute = i < 60 ? i : i - 60;
      back.append(String.format("2026-10-25 02:%02d:00,600%n", minute));
    }
    Log log = guessed(back.toString());
    assertTrue(log.warnings().stream().map(Warning::code).anyMatch("clock_jump"::equals));
    assertTrue(log.clockMayStep());
    assertEquals(log.trace().span(), 119 * 60.0, 1e-6);
  }

  @Test
  public void aMappingIsMendedByHandAndRemembered() throws Exception {
    Path file = file("t,a,b\n0,228,600\n1,228,601\n", StandardCharsets.UTF_8);
    LogPreview preview = LogPreview.of(file);
    LogMapping mapping =
        preview
            .mapping()
            .with(1, Optional.of(new LogMapping.Use(1, Channel.AC_VOLTAGE, "V")))
            .with(2, Optional.of(new LogMapping.Use(2, Channel.AC_POWER, "W")));
    assertTrue(mapping.whole());
    Log log = LogCsv.read(file, mapping, Progress.NONE);
    assertEquals(log.trace().value(Channel.AC_POWER, 1), 601.0);
    assertEquals(LogMapping.read(mapping.json()).orElseThrow(), mapping);
    assertTrue(LogMapping.read("{\"timeForm\":\"NEVER\"}").isEmpty());
    assertTrue(LogMapping.read("nonsense").isEmpty());
    assertFalse(mapping.with(0, Optional.empty()).whole(), "without a time it is not whole");
    LogMapping other = mapping.with(1, Optional.of(new LogMapping.Use(1, Channel.AC_POWER, "W")));
    assertEquals(other.uses().size(), 1, "one column a channel");
  }

  @Test
  public void aMappingForAnotherFileIsRefused() throws Exception {
    Path file = file("t,a\n0,228\n", StandardCharsets.UTF_8);
    LogMapping wide =
        new LogMapping(
            1,
            ',',
            false,
            0,
            -1,
            TimeForm.SECONDS,
            java.util.List.of(new LogMapping.Use(7, Channel.AC_POWER, "W")));
    assertThrows(LogUnreadable.class, () -> LogCsv.read(file, wide, Progress.NONE));
  }

  @Test
  public void readingTellsHowFarItIsAndCanBeEnded() throws Exception {
    StringBuilder text = new StringBuilder("time [s],ac_power [W]\n");
    for (int i = 0; i < 200_000; i++) {
      text.append(i).append(",600\n");
    }
    Path file = file(text.toString(), StandardCharsets.UTF_8);
    LogMapping mapping = LogPreview.of(file).mapping();
    double[] last = {0};
    int[] told = {0};
    LogCsv.read(
        file,
        mapping,
        share -> {
          assertTrue(share >= last[0] && share <= 1, "share " + share);
          last[0] = share;
          told[0]++;
          return true;
        });
    assertTrue(told[0] >= 5 && last[0] > 0.8, told[0] + " times, up to " + last[0]);
    assertThrows(CancellationException.class, () -> LogCsv.read(file, mapping, share -> false));
  }

  @DataProvider
  Object[][] noLogs() {
    return new Object[][] {
      {"only words\nmore words\n"}, {"x".repeat(30_000)}, {"1,2,3\n4,5,6\n"}, {"\"open,1\n2,3\n"}
    };
  }

  @Test(dataProvider = "noLogs")
  public void whatIsNoLogGetsOneSentence(String text) throws Exception {
    Path file = file(text, StandardCharsets.UTF_8);
    LogUnreadable told =
        org.testng.Assert.expectThrows(LogUnreadable.class, () -> LogPreview.of(file));
    assertTrue(told.getMessage().startsWith(file.getFileName() + ": "), told.getMessage());
    assertTrue(told.getMessage().endsWith("."), told.getMessage());
  }

  /** Our own reader of numbers against the library's, to the last bit. */
  @Test
  public void numbersAreReadAsTheLibraryReadsThem() {
    SplittableRandom random = new SplittableRandom(3);
    for (int i = 0; i < 200_000; i++) {
      int form = random.nextInt(5);
      double x = random.nextGaussian() * Math.pow(10, random.nextInt(-8, 9));
      String text =
          switch (form) {
            case 0 -> Double.toString(x);
            case 1 -> String.format(java.util.Locale.ROOT, "%.3f", x);
            case 2 -> Long.toString(random.nextLong(1_000_000));
            case 3 -> String.format(java.util.Locale.ROOT, "%+.12e", x);
            default -> Float.toString((float) x);
          };
      char[] buf = (" " + text).toCharArray();
      assertEquals(Decimal.parse(buf, 1, text.length(), '.'), Double.parseDouble(text), text);
    }
    for (String wrong :
        new String[] {
          "", "-", ".", "1.2.3", "0x1p3", "1d", "NaN", "Infinity", "1e999", "1 2", "--1"
        }) {
      assertTrue(Double.isNaN(Decimal.parse(wrong.toCharArray(), 0, wrong.length(), '.')), wrong);
    }
    assertEquals(Decimal.parse("0,609".toCharArray(), 0, 5, ','), 0.609);
  }

  /** A large file is read in two halves; the result is that of reading it in one piece. */
  @Test
  public void halvesMakeTheSameWhole() throws Exception {
    StringBuilder plain = new StringBuilder("time [s],ac_power [W],note\n");
    StringBuilder quoted = new StringBuilder("time [s],ac_power [W],note\n");
    for (int i = 0; i < 150_000; i++) {
      String power = i % 1000 == 7 ? "" : Double.toString(600 + i % 17 * 0.1);
      plain.append(i).append(',').append(power).append(",nothing to tell about this row at all\n");
      // The same with line ends inside quotes: this cannot be read in halves.
      quoted.append(i).append(',').append(power).append(",\"nothing to tell\nat all, of this\"\n");
    }
    // The row at the very middle is there twice.
    int middle = plain.indexOf("\n", plain.length() / 2) + 1;
    String twice = plain.substring(middle, plain.indexOf("\n", middle) + 1);
    Path one = file(plain.insert(middle, twice).toString(), StandardCharsets.UTF_8);
    assertTrue(Files.size(one) > 5 << 20, "large enough to be halved");
    Trace halves = LogCsv.read(one).trace();
    Trace whole = LogCsv.read(file(quoted.toString(), StandardCharsets.UTF_8)).trace();
    assertEquals(halves.size(), 150_000);
    assertEquals(whole.size(), 150_000);
    for (int i = 0; i < halves.size(); i++) {
      assertEquals(halves.seconds(i), whole.seconds(i));
      assertEquals(halves.value(Channel.AC_POWER, i), whole.value(Channel.AC_POWER, i));
    }
    // What is wrong far down is still named by its row of the file.
    String wrong = plain.toString().replace("149000,", "149000,x");
    LogUnreadable told =
        org.testng.Assert.expectThrows(
            LogUnreadable.class, () -> LogCsv.read(file(wrong, StandardCharsets.UTF_8)));
    assertTrue(told.getMessage().contains("row 149003"), told.getMessage());
  }
}
