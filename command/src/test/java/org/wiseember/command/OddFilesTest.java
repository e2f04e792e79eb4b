package org.wiseember.command;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertFalse;
import static org.testng.Assert.assertTrue;

import java.io.IOException;
import java.io.PrintWriter;
import java.io.StringWriter;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import org.testng.annotations.AfterMethod;
import org.testng.annotations.BeforeMethod;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;
import org.wiseember.workbook.disk.Scratch;

/** Files that once hung the program, commanded the terminal, or ended in an exception's words. */
public class OddFilesTest {
  private static final long PATIENCE = 20_000;

  private Scratch scratch;
  private String out;
  private String err;

  @BeforeMethod
  public void make() throws IOException {
    scratch = Scratch.make();
  }

  @AfterMethod(alwaysRun = true)
  public void remove() {
    scratch.close();
  }

  private int run(String... args) {
    StringWriter answer = new StringWriter();
    StringWriter complaint = new StringWriter();
    int code = Ember.run(new PrintWriter(answer), new PrintWriter(complaint), args);
    out = answer.toString();
    err = complaint.toString();
    return code;
  }

  private String file(String name, String text) throws IOException {
    return Files.writeString(scratch.file(name), text).toString();
  }

  @DataProvider
  public Object[][] longHeadings() {
    return new Object[][] {
      {" ".repeat(100_000)},
      {"(".repeat(100_000)},
      {"[ ".repeat(50_000)},
      {"sampl".repeat(20_000)},
      {"v".repeat(100_000)},
      {"a".repeat(2_000_000)},
    };
  }

  /** A thousand blanks in a heading once took 17 s, and twice as many four times that. */
  @Test(dataProvider = "longHeadings", timeOut = PATIENCE)
  public void endlessHeadingsAreReadAtOnce(String heading) throws IOException {
    String log = file("log.csv", "time [s],ac_power [W]," + heading + "\n0,1,2\n1,1,2\n");
    int code = run("analyze", "capacity", log);
    assertTrue(code == 0 || code == 3, err);
    String wave = "x," + heading + "\n" + "0,1\n0.001,2\n".repeat(3);
    assertEquals(run("analyze", "waveform", file("wave.csv", wave)), 3, err);
    assertEquals(err.strip().lines().count(), 1);
    assertEquals(OwnWords.trouble(err), "");
  }

  /** A pipe nobody writes to would be waited for without end. */
  @Test(timeOut = PATIENCE)
  public void pipesAndDevicesAreRefused() throws Exception {
    for (String name : List.of("log.csv", "wave.cfg", "run.zip", "label.txt", "stall.ember")) {
      Path pipe = scratch.file(name);
      assertEquals(new ProcessBuilder("mkfifo", pipe.toString()).start().waitFor(), 0);
    }
    String zero = "/dev/zero";
    for (String log : List.of(scratch.file("log.csv").toString(), zero)) {
      assertEquals(run("analyze", "capacity", log), 3);
      assertTrue(err.contains("device or a pipe"), err);
      assertEquals(run("analyze", "waveform", log), 3);
      assertTrue(err.contains("device or a pipe"), err);
    }
    assertEquals(run("analyze", "waveform", scratch.file("wave.cfg").toString()), 3);
    String label = file("plain.txt", "Capacity 1000 Wh");
    String pack = scratch.file("run.zip").toString();
    assertEquals(run("judge", "--label", label, "--run", "ac-drain=" + pack), 3);
    assertEquals(run("judge", "--label", scratch.file("label.txt").toString()), 3);
    String page = scratch.file("page.html").toString();
    assertEquals(run("report", scratch.file("stall.ember").toString(), "--out", page), 3);
    assertTrue(err.contains("device or a pipe"), err);
  }

  /** Of a wave at 50 Hz, 40 samples a second are no wave. */
  @Test
  public void aTimeBaseThatIsFarTooSlowIsSaid() throws IOException {
    StringBuilder text = new StringBuilder("time [s],voltage [V]\n");
    for (int i = 0; i < 2_000; i++) {
      text.append(i / 40.0).append(',').append(325 * Math.sin(i * 2.6)).append('\n');
    }
    assertEquals(run("analyze", "waveform", file("slow.csv", text.toString())), 3);
    assertTrue(err.contains("Check the time base"), err);
    assertFalse(err.contains("bounds"), err);
  }

  /** A sampling rate or a length that lies about what is there. */
  @Test
  public void lengthsThatLieEndInASentence() throws IOException {
    StringBuilder wave = new StringBuilder("time [s],voltage [V]\n");
    for (int i = 0; i < 800; i++) {
      wave.append(i / 4000.0).append(',').append(Math.sin(i / 12.7)).append('\n');
    }
    String cfg = scratch.file("lying.cfg").toString();
    assertEquals(run("convert", file("in.csv", wave.toString()), "--out", cfg), 0, err);
    String good = Files.readString(Path.of(cfg));
    byte[] data = Files.readAllBytes(scratch.file("lying.dat"));
    for (String length : List.of("99999999999999999999", "2147483647", "0", "-5")) {
      Path cff = scratch.file("both.cff");
      String head = "--- file type: CFG ---\n" + good + "--- file type: DAT BINARY: " + length;
      byte[] before = (head + " ---\n").getBytes(StandardCharsets.UTF_8);
      byte[] all = java.util.Arrays.copyOf(before, before.length + data.length);
      System.arraycopy(data, 0, all, before.length, data.length);
      Files.write(cff, all);
      int code = run("analyze", "waveform", cff.toString());
      assertTrue(code == 0 || code == 3, err);
      assertEquals(OwnWords.trouble(err), "", length);
    }
  }

  /** What a file holds must not paint, name windows or turn the order of signs. */
  @Test
  public void theTerminalIsNotCommanded() throws IOException {
    String heading = "\u001b]0;mine\u0007\u202e\u009b31m [W]";
    String log =
        file("\u001b[2Jlog.csv", "time [s],ac_power [W]," + heading + "\n0,600,1\n9,600,1\n");
    run("analyze", "capacity", log);
    run("analyze", "capacity", log, "--json");
    String json = out;
    run("analyze", "capacity", file("bad.csv", "time [s],ac_power [W]\n0,\u001b[31mred\n"));
    for (String said : List.of(out, err, json)) {
      assertTrue(
          said.chars().noneMatch(c -> c == '\u001b' || c == '\u009b' || c == '\u202e'), said);
    }
    assertTrue(err.contains("red"), err);
    new com.fasterxml.jackson.databind.ObjectMapper().readTree(json);
  }
}
