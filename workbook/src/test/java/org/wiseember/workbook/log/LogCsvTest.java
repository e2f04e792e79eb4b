package org.wiseember.workbook.log;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertTrue;
import static org.testng.Assert.expectThrows;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;
import org.wiseember.core.figure.Warning;
import org.wiseember.core.trace.Channel;

public class LogCsvTest {
  private static Log read(String text) throws IOException, LogUnreadable {
    return read(text.getBytes(StandardCharsets.UTF_8));
  }

  private static Log read(byte[] bytes) throws IOException, LogUnreadable {
    Path file = Files.createTempFile("log", ".csv");
    try {
      Files.write(file, bytes);
      return LogCsv.read(file);
    } finally {
      Files.delete(file);
    }
  }

  private static List<String> codes(Log log) {
    return log.warnings().stream().map(Warning::code).toList();
  }

  @Test
  public void plainLog() throws Exception {
    Log log = read("time [s],ac_power [W],frequency [Hz]\n0,600.5,50\n1,601,\n2.5,0,49.9\n");
    assertEquals(log.trace().size(), 3);
    assertEquals(log.trace().value(Channel.AC_POWER, 0), 600.5);
    assertTrue(Double.isNaN(log.trace().value(Channel.FREQUENCY, 1)));
    assertEquals(log.trace().seconds(2), 2.5);
    assertTrue(log.warnings().isEmpty(), log.warnings().toString());
  }

  @Test
  public void semicolonsDecimalCommasAndOtherUnits() throws Exception {
    Log log =
        read(
            """
            time [min];ac_power [kW];ac_energy [kWh];dc_current [mA];case_temperature [°F];note
            0;0,6;0,001;1500;212;a
            1,5;0,59;0,016;1400;32;b
            """);
    assertEquals(log.trace().seconds(1), 90.0);
    assertEquals(log.trace().value(Channel.AC_POWER, 0), 600.0, 1e-9);
    assertEquals(log.trace().value(Channel.AC_ENERGY, 1), 16.0, 1e-9);
    assertEquals(log.trace().value(Channel.DC_CURRENT, 0), 1.5, 1e-12);
    assertEquals(log.trace().value(Channel.CASE_TEMPERATURE, 0), 100.0, 1e-9);
    assertEquals(log.trace().value(Channel.CASE_TEMPERATURE, 1), 0.0, 1e-9);
    assertTrue(
        codes(log)
            .containsAll(
                List.of("semicolons", "decimal_comma", "unit_converted", "unknown_column")),
        codes(log).toString());
  }

  @Test
  public void stampsWithAnOffsetNeedNoWarning() throws Exception {
    Log log =
        read(
            """
            time,ac_power [W]
            2026-03-29T01:59:58+01:00,5
            2026-03-29T01:59:59+01:00,5
            2026-03-29T03:00:00+02:00,5
            """);
    assertEquals(log.trace().span(), 2.0);
    assertEquals(log.startedAt().orElseThrow().toString(), "2026-03-29T00:59:58Z");
    assertTrue(log.warnings().isEmpty(), log.warnings().toString());
  }

  @Test
  public void summerTimeEndingIsMendedAndSaid() throws Exception {
    StringBuilder text = new StringBuilder("time,ac_power [W]\n");
    for (int i = 0; i < 10; i++) {
      text.append("2026-10-25 02:59:").append(50 + i).append(",600\n");
    }
    for (int i = 0; i < 10; i++) {
      text.append("2026-10-25 02:00:0").append(i).append(",600\n");
    }
    Log log = read(text.toString());
    assertTrue(codes(log).contains("clock_jump"));
    assertEquals(log.trace().span(), 19.0, 1e-9);
  }

  @Test
  public void summerTimeBeginningIsSaid() throws Exception {
    StringBuilder text = new StringBuilder("time,ac_power [W]\n");
    for (int i = 0; i < 10; i++) {
      text.append("2026-03-29 01:59:").append(50 + i).append(",600\n");
    }
    for (int i = 0; i < 10; i++) {
      text.append("2026-03-29 03:00:0").append(i).append(",600\n");
    }
    assertTrue(codes(read(text.toString())).contains("clock_jump"));
  }

  @Test
  public void rowsThereTwiceCountOnce() throws Exception {
    Log log = read("time [s],ac_power [W]\n0,5\n1,6\n1,6\n2,7\n");
    assertEquals(log.trace().size(), 3);
    assertTrue(codes(log).contains("repeated_rows"));
  }

  @Test
  public void aByteOrderMarkAndEmptyLinesDoNotMatter() throws Exception {
    Log log = read("\ufefftime [s],ac_power [W]\r\n\r\n0,5\r\n1,6\r\n\r\n");
    assertEquals(log.trace().size(), 2);
  }

  @DataProvider
  Object[][] unreadable() {
    String head = "time [s],ac_power [W]\n";
    return new Object[][] {
      {"", "empty"},
      {"\n\n", "empty"},
      {head, "no rows"},
      {head + "0,5\n1,abc\n", "row 3, column “ac_power [W]”: “abc” is not a number"},
      {head + "0,5\n1,NaN\n", "row 3"},
      {head + "0,5\n1,Infinity\n", "row 3"},
      {head + "0,5\n1,1e999\n", "row 3"},
      {head + "0,5\n1,5d\n", "row 3"},
      {head + "0,5\n,5\n", "row 3 has no time"},
      {head + "0,5\n2,5\n1,5\n", "row 4: time runs backwards"},
      {head + "0,5,7\n", "3 cells under 2 headings"},
      {"a,b\n1,2\n", "time"},
      {"time [s],colour\n0,red\n", "no column but the time"},
      {"time [parsecs],ac_power [W]\n0,1\n", "no time"},
      {"time [s],ac_power [V]\n0,1\n", "does not turn into W"},
      {"time [s],ac_power [W],ac_power [kW]\n0,1,1\n", "twice"},
      {"time,ac_power [W]\n2026-13-45T99:00:00,1\n", "not a date and time"},
      {head + "0,\"5\n", "not"},
    };
  }

  @Test(dataProvider = "unreadable")
  public void whatCannotBeReadIsOneSentenceWithThePlace(String text, String says) {
    String said = expectThrows(LogUnreadable.class, () -> read(text)).getMessage();
    assertTrue(said.contains(says), said);
    assertEquals(said.lines().count(), 1, said);
    assertTrue(said.endsWith("."), said);
  }

  @Test
  public void bytesThatAreNoTextAreSaid() {
    byte[] bytes = "time [s],ac_power [W]\n0,5\n1,".getBytes(StandardCharsets.UTF_8);
    byte[] bad = java.util.Arrays.copyOf(bytes, bytes.length + 2);
    bad[bytes.length] = (byte) 0xff;
    bad[bytes.length + 1] = (byte) 0xfe;
    String said = expectThrows(LogUnreadable.class, () -> read(bad)).getMessage();
    assertEquals(said.lines().count(), 1, said);
  }

  @Test
  public void aMissingFileIsSaid() {
    String said =
        expectThrows(LogUnreadable.class, () -> LogCsv.read(Path.of("no-such.csv"))).getMessage();
    assertEquals(said, "no-such.csv: there is no such file; check the name.");
  }
}
