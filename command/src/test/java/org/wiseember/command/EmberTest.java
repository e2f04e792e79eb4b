package org.wiseember.command;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertFalse;
import static org.testng.Assert.assertTrue;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import java.io.IOException;
import java.io.PrintWriter;
import java.io.StringWriter;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Clock;
import java.util.List;
import org.testng.annotations.BeforeClass;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;
import org.wiseember.trial.DemoFile;
import org.wiseember.workbook.Workbook;

public class EmberTest {
  private Path folder;

  private record Outcome(int code, String out, String err) {}

  private static Outcome run(String... args) {
    StringWriter out = new StringWriter();
    StringWriter err = new StringWriter();
    int code = Ember.run(new PrintWriter(out), new PrintWriter(err), args);
    return new Outcome(code, out.toString(), err.toString());
  }

  @BeforeClass
  public void makeFolder() throws IOException {
    folder = Files.createTempDirectory("ember-command");
  }

  private Path file(String name, String text) throws IOException {
    Path file = folder.resolve(name);
    Files.writeString(file, text);
    return file;
  }

  private static JsonNode result(JsonNode root, String key) {
    for (JsonNode node : root.path("results")) {
      if (node.path("key").asText().equals(key)) {
        return node;
      }
    }
    throw new AssertionError(key + " is not in " + root);
  }

  @Test
  public void capacityOfALogAsJson() throws IOException {
    StringBuilder log = new StringBuilder("time [s],ac_power [W]\n");
    for (int i = 0; i <= 5600; i++) {
      log.append(i).append(',').append(i >= 10 && i < 5554 ? 598 : 0).append('\n');
    }
    Outcome outcome =
        run(
            "analyze",
            "capacity",
            file("drain.csv", log.toString()).toString(),
            "--rated-wh",
            "1075",
            "--json");
    assertEquals(outcome.code(), 0, outcome.err());
    JsonNode root = new ObjectMapper().readTree(outcome.out());
    assertEquals(root.path("kind").asText(), "capacity");
    // 598 W over 5 544 s is 920.9 Wh, 85.7 % of 1 075 Wh: arithmetic.
    assertEquals(result(root, "delivered_energy").path("value").asDouble(), 920.9, 0.2);
    assertEquals(result(root, "yield").path("value").asDouble(), 85.67, 0.03);
    assertEquals(result(root, "yield").path("unit").asText(), "%");
    assertEquals(result(root, "duration").path("value").asDouble(), 5544, 1);
    assertEquals(result(root, "cutoff_time").path("value").asDouble(), 5554, 1);
    assertEquals(result(root, "mean_power").path("value").asDouble(), 598, 0.5);
    assertTrue(result(root, "delivered_energy").path("u95").asDouble() > 0);
    assertTrue(result(root, "delivered_charge").path("value").isNull());
    assertTrue(root.path("warnings").toString().contains("no_dc_current"));
    assertTrue(outcome.err().isEmpty());
  }

  @Test
  public void aSimulatedDrainGoesStraightIntoTheAnalysis() throws IOException {
    Outcome simulated =
        run("simulate", "drain", "--wh", "300", "--rated-w", "500", "--load-w", "300");
    assertEquals(simulated.code(), 0);
    Outcome outcome =
        run(
            "analyze",
            "capacity",
            file("sim.csv", simulated.out()).toString(),
            "--rated-wh",
            "300");
    assertEquals(outcome.code(), 0, outcome.err());
    assertTrue(outcome.out().contains("delivered energy"), outcome.out());
    assertEquals(
        run("simulate", "drain", "--wh", "300", "--rated-w", "500", "--load-w", "300").out(),
        simulated.out());
  }

  @DataProvider
  Object[][] bad() throws IOException {
    String log = file("bad.csv", "time [s],ac_power [W]\n0,5\n1,x\n").toString();
    String good = file("good.csv", "time [s],ac_power [W]\n0,5\n1,6\n").toString();
    String text = file("not.ember", "hello").toString();
    String out = folder.resolve("p.pdf").toString();
    return new Object[][] {
      {3, new String[] {"analyze", "capacity", log}},
      {3, new String[] {"analyze", "capacity", folder.resolve("none.csv").toString()}},
      {3, new String[] {"analyze", "efficiency", log}},
      {3, new String[] {"analyze", "idle", log}},
      {3, new String[] {"analyze", "overload", log}},
      {3, new String[] {"analyze", "charge", log}},
      {3, new String[] {"analyze", "overload", text}},
      {3, new String[] {"analyze", "waveform", text}},
      {3, new String[] {"analyze", "waveform", folder.resolve("none.cfg").toString()}},
      {3, new String[] {"convert", text, "--out", folder.resolve("x.cfg").toString()}},
      {2, new String[] {"analyze", "capacity"}},
      {2, new String[] {"analyze", "capacity", good, "--rated-wh", "-5"}},
      {2, new String[] {"analyze", "capacity", good, "--rated-wh", "much"}},
      {2, new String[] {"analyze", "colour", good}},
      {2, new String[] {"simulate", "drain", "--wh", "-1"}},
      {3, new String[] {"report", text, "--out", out}},
      {3, new String[] {"report", folder.resolve("no.ember").toString(), "--out", out}},
      {2, new String[] {"report", text, "--out", "page.doc"}},
    };
  }

  @Test(dataProvider = "bad")
  public void badInputIsOneLineAndAnExitCode(int code, String[] args) {
    Outcome outcome = run(args);
    assertEquals(outcome.code(), code, outcome.err());
    assertEquals(outcome.err().strip().lines().count(), 1, outcome.err());
    assertFalse(outcome.err().contains("Exception"), outcome.err());
    assertTrue(outcome.out().isEmpty(), outcome.out());
  }

  @Test
  public void theDemoPrintsItsPage() throws IOException {
    Path demo = DemoFile.itself();
    Path pdf = folder.resolve("page.pdf");
    Outcome made =
        run("report", demo.toString(), "--unit", "haddlewick h500", "--out", pdf.toString());
    assertEquals(made.code(), 0, made.err());
    assertTrue(
        Files.readString(pdf, java.nio.charset.StandardCharsets.ISO_8859_1).startsWith("%PDF"));
    assertEquals(
        run("report", demo.toString(), "--unit", "nobody", "--out", pdf.toString()).code(), 3);
  }

  @Test
  public void standInsNeedAPortAUnitAndASensibleSpeed() {
    String[][] wrong = {
      {"simulate"},
      {"simulate", "--scpi-port", "0"},
      {"simulate", "--scpi-port", "5025", "--unit", "Nobody's"},
      {"simulate", "--modbus-port", "1502", "--speed", "0"},
      {"simulate", "--modbus-port", "99999"},
    };
    for (String[] args : wrong) {
      Outcome outcome = run(args);
      assertEquals(outcome.code(), 2, String.join(" ", args));
      assertEquals(outcome.err().lines().count(), 1, outcome.err());
    }
  }

  @Test
  public void aTakenPortIsOneSentence() throws IOException {
    try (java.net.ServerSocket taken =
        new java.net.ServerSocket(0, 1, java.net.InetAddress.getLoopbackAddress())) {
      String port = Integer.toString(taken.getLocalPort());
      for (String option : new String[] {"--scpi-port", "--modbus-port"}) {
        Outcome outcome = run("simulate", option, port);
        assertEquals(outcome.code(), 3);
        assertEquals(
            outcome.err().strip(),
            "Port " + port + " is taken. Choose another with " + option + ".");
      }
    }
  }

  /** A ladder of a known inverter: 12 W, 0.05 and 2·10⁻⁵ of loss. */
  private String ladder(String head, double perWatt, boolean holes) {
    StringBuilder log = new StringBuilder(head + "\n");
    int second = 0;
    for (double load : new double[] {0, 60, 120, 300, 600, 900, 1200}) {
      for (int i = 0; i < 120; i++, second++) {
        double dc = load + 12 + 0.05 * load + 2e-5 * load * load;
        if (!holes || second % 7 != 3) {
          log.append(second).append(',').append(load * perWatt).append(",230,51.2,");
          log.append(Math.round(dc / 51.2 * 1e4) / 1e4).append('\n');
        }
      }
    }
    return log.toString();
  }

  @DataProvider
  Object[][] ladders() {
    String si = "time [s],ac_power [W],ac_voltage [V],dc_voltage [V],dc_current [A]";
    return new Object[][] {
      {ladder(si, 1, false)},
      {ladder(si, 1, true)},
      {ladder(si.replace("[W]", "[kW]"), 1e-3, false)}
    };
  }

  @Test(dataProvider = "ladders")
  public void efficiencyOfALadderAsJson(String log) throws IOException {
    String file = file("ladder.csv", log).toString();
    Outcome outcome = run("analyze", "efficiency", file, "--rated-w", "1200", "--json");
    assertEquals(outcome.code(), 0, outcome.err());
    JsonNode root = new ObjectMapper().readTree(outcome.out());
    assertEquals(root.path("kind").asText(), "efficiency");
    // 600 ÷ 649.2 W, by hand.
    assertEquals(result(root, "efficiency@600").path("value").asDouble(), 92.42, 0.01);
    assertEquals(result(root, "fit_p0").path("value").asDouble(), 12, 0.05);
    assertEquals(result(root, "fit_p1").path("value").asDouble(), 0.05, 3e-4);
    assertEquals(result(root, "fit_p2").path("value").asDouble(), 2e-5, 3e-7);
    assertEquals(result(root, "fit_p1").path("unit").asText(), "1");
    assertEquals(result(root, "fit_p2").path("unit").asText(), "1/W");
    // √(12 ÷ 2·10⁻⁵) = 774.6 W; 1 ÷ (1 + 0.05 + 2·√(12 · 2·10⁻⁵)) = 92.51 %.
    assertEquals(result(root, "peak_load").path("value").asDouble(), 774.6, 6);
    assertEquals(result(root, "peak_efficiency").path("value").asDouble(), 92.51, 0.02);
    // Weighted by hand from 80.0, 86.79, 91.11 (240 W), 92.11 (360 W), 92.42, 92.50, 92.25 %.
    assertEquals(result(root, "european").path("value").asDouble(), 91.30, 0.1);
    assertEquals(result(root, "californian").path("value").asDouble(), 92.00, 0.1);
    assertTrue(root.path("warnings").toString().contains("accuracy_assumed"));
  }

  @Test
  public void anEfficiencyThatCannotBeGivenIsNullWithAReason() throws IOException {
    String log = "time [s],ac_power [W],dc_power [W]\n0,100,120\n60,100,120\n120,100,120\n";
    Outcome outcome = run("analyze", "efficiency", file("one.csv", log).toString(), "--json");
    assertEquals(outcome.code(), 0, outcome.err());
    JsonNode root = new ObjectMapper().readTree(outcome.out());
    assertEquals(result(root, "efficiency@100").path("value").asDouble(), 83.33, 0.01);
    for (String key : new String[] {"fit_p0", "peak_load", "european", "californian"}) {
      assertTrue(result(root, key).path("value").isNull(), key);
    }
    String warnings = root.path("warnings").toString();
    assertTrue(warnings.contains("too_few_loads"), warnings);
  }

  @Test
  public void idleDrawAsJsonAndText() throws IOException {
    StringBuilder log = new StringBuilder("time [min],dc_voltage [V],dc_current [mA]\n");
    for (int i = 0; i < 600; i++) {
      log.append(i / 60.0).append(",12.7,").append(i % 2 == 0 ? 955 : 965).append('\n');
    }
    String file = file("idle.csv", log.toString()).toString();
    Outcome outcome = run("analyze", "idle", file, "--usable-wh", "900", "--json");
    assertEquals(outcome.code(), 0, outcome.err());
    JsonNode root = new ObjectMapper().readTree(outcome.out());
    // Common practice, no published source: 0.96 A × 12.7 V = 12.2 W.
    assertEquals(result(root, "idle_power").path("value").asDouble(), 12.192, 0.01);
    assertEquals(result(root, "idle_power").path("unit").asText(), "W");
    assertEquals(result(root, "idle_hours").path("value").asDouble(), 73.8, 0.1);
    assertEquals(result(root, "idle_hours").path("unit").asText(), "h");
    Outcome text = run("analyze", "idle", file);
    assertTrue(text.out().contains("idle hours         –"), text.out());
    assertTrue(text.out().contains("No usable energy was given"), text.out());
  }

  /** 300 W, then 1 500 W for 138 s, then nothing. */
  private static String overload(String head, double perWatt, boolean volts) {
    StringBuilder log = new StringBuilder(head + "\n");
    for (int i = 0; i < 300; i++) {
      double w = i < 60 ? 300 : i < 198 ? 1500 : 0;
      log.append(i).append(',').append(w * perWatt);
      log.append(volts ? "," + (i < 198 ? 228 : 0) : "").append('\n');
    }
    return log.toString();
  }

  @DataProvider
  Object[][] overloads() {
    return new Object[][] {
      {overload("time [s],ac_power [W],ac_voltage [V]", 1, true), false},
      {overload("time [s],ac_power [kW],ac_voltage [V]", 1e-3, true), false},
      {overload("time [s],ac_power [W]", 1, false), true}
    };
  }

  @Test(dataProvider = "overloads")
  public void timeToTheTripAsJson(String log, boolean noVolts) throws IOException {
    String file = file("overload.csv", log).toString();
    Outcome outcome = run("analyze", "overload", file, "--rated-w", "1200", "--json");
    assertEquals(outcome.code(), 0, outcome.err());
    JsonNode root = new ObjectMapper().readTree(outcome.out());
    assertEquals(root.path("kind").asText(), "overload");
    assertEquals(result(root, "trip_time").path("value").asDouble(), 138, 1e-6);
    assertEquals(result(root, "trip_time").path("unit").asText(), "s");
    assertEquals(result(root, "held_power").path("value").asDouble(), 1500, 1e-6);
    assertTrue(result(root, "held_power").path("u95").asDouble() > 20);
    assertEquals(root.path("warnings").toString().contains("no_volts"), noVolts);
  }

  @Test
  public void aHeldOverloadHasNoTripTime() throws IOException {
    String log =
        """
        time [s],ac_power [W],ac_voltage [V]
        0,0,230
        1,1500,228
        200,1500,228
        201,0,230
        202,0,230
        203,0,230
        """;
    Outcome outcome = run("analyze", "overload", file("held.csv", log).toString(), "--json");
    JsonNode root = new ObjectMapper().readTree(outcome.out());
    assertTrue(result(root, "trip_time").path("value").isNull());
    assertEquals(result(root, "held_power").path("value").asDouble(), 1500, 1);
    assertTrue(root.path("warnings").toString().contains("no_trip"));
  }

  private static String wave(double hertz, double third) {
    StringBuilder text = new StringBuilder("time [s],voltage [V]\n");
    for (int i = 0; i < 6000; i++) {
      double a = 2 * Math.PI * hertz * i / 20_000;
      double v = 325 * (Math.sin(a) + third * Math.sin(3 * a + 0.4));
      text.append(i / 20_000.0).append(',').append(v).append('\n');
    }
    return text.toString();
  }

  @Test
  public void aWaveformAsJsonAndText() throws IOException {
    String file = file("wave.csv", wave(50.2, 0.04)).toString();
    Outcome outcome = run("analyze", "waveform", file, "--json");
    assertEquals(outcome.code(), 0, outcome.err());
    JsonNode root = new ObjectMapper().readTree(outcome.out());
    assertEquals(root.path("kind").asText(), "waveform");
    // By hand: 325 ÷ √2 · √(1 + 0.04²), 4 % against the fundamental, 3.997 % against the RMS.
    assertEquals(result(root, "rms").path("value").asDouble(), 229.99, 0.05);
    assertEquals(result(root, "frequency").path("value").asDouble(), 50.2, 0.005);
    assertEquals(result(root, "thd_f").path("value").asDouble(), 4, 0.02);
    assertEquals(result(root, "thd_r").path("value").asDouble(), 3.997, 0.02);
    assertEquals(result(root, "harmonic_3").path("value").asDouble(), 4, 0.02);
    assertEquals(result(root, "harmonic_40").path("value").asDouble(), 0, 0.02);
    assertEquals(result(root, "class").path("value").asText(), "sine");
    assertEquals(result(root, "dc_offset").path("unit").asText(), "V");
    Outcome text = run("analyze", "waveform", file, "--order", "50", "--scale", "2");
    assertTrue(text.out().contains("harmonic 50"), text.out());
    assertTrue(
        text.out().contains("class              sine. A sine: distortion 4.0 %"), text.out());
  }

  /** A converted capture says the same; ratio, caps, channel and meter are asked for. */
  @Test
  public void aWaveformThroughComtrade() throws IOException {
    String csv =
        file(
                "two.csv",
                wave(60.1, 0.06)
                    .replace("[V]", "[V],CH2 [V]")
                    .replaceAll("(?m)^(\\d.*,)(.*)$", "$1$2,1"))
            .toString();
    for (String format : List.of("ASCII", "BINARY", "BINARY32", "FLOAT32")) {
      Path cfg = Path.of(csv).resolveSibling(format + ".cfg");
      assertEquals(
          run("convert", csv, "--out", cfg.toString(), "--format", format).code(), 0, format);
      Outcome outcome = run("analyze", "waveform", cfg.toString(), "--json");
      assertEquals(outcome.code(), 0, outcome.err());
      JsonNode root = new ObjectMapper().readTree(outcome.out());
      assertEquals(result(root, "rms").path("value").asDouble(), 230.22, 0.05, format);
      assertEquals(result(root, "thd_f").path("value").asDouble(), 6, 0.02, format);
      assertEquals(result(root, "class").path("value").asText(), "rough sine");
    }
    Outcome text =
        run(
            "analyze",
            "waveform",
            csv,
            "--limits",
            "EN_50160",
            "--meter-volts",
            "23",
            "--nominal-v",
            "230");
    assertTrue(text.out().contains("Over EN 50160: the 3rd."), text.out());
    assertTrue(text.out().contains("a factor of 10 too much"), text.out());
    assertTrue(text.out().contains("Medical devices"), text.out());
    assertEquals(run("analyze", "waveform", csv, "--channel", "CH9").code(), 3);
    assertEquals(run("analyze", "waveform", csv, "--channel", "CH2 [V]").code(), 3, "constant");
    assertEquals(run("convert", csv, "--out", "x.txt").code(), 2);
    assertEquals(run("analyze", "waveform", csv, "--limits", "MINE").code(), 2);
    assertEquals(run("analyze", "waveform", csv, "--scale", "0").code(), 2);
  }

  /** Written over what is read, a capture would be gone when anything goes wrong. */
  @Test
  public void aCaptureIsNotWrittenOverItself() throws IOException {
    String csv = file("itself.csv", wave(50, 0)).toString();
    Path cfg = folder.resolve("itself.cfg");
    assertEquals(run("convert", csv, "--out", cfg.toString()).code(), 0);
    byte[] data = Files.readAllBytes(folder.resolve("itself.dat"));
    Path link = Files.createSymbolicLink(folder.resolve("link.cfg"), cfg);
    Files.createLink(folder.resolve("other.dat"), folder.resolve("itself.dat"));
    for (String out : List.of("itself.cfg", "link.cfg", "other.cfg", "./itself.cfg")) {
      Outcome outcome = run("convert", cfg.toString(), "--out", folder.resolve(out).toString());
      assertEquals(outcome.code(), 2, out);
      assertTrue(outcome.err().contains("which is read"), outcome.err());
    }
    assertEquals(Files.readAllBytes(folder.resolve("itself.dat")), data);
    assertTrue(Files.isSymbolicLink(link));
  }

  /** A page that cannot be made does not take yesterday's with it. */
  @Test
  public void aReportThatFailsLeavesTheLastOne() throws IOException {
    Path page = Files.writeString(folder.resolve("yesterday.pdf"), "yesterday's");
    Path empty = folder.resolve("empty.ember");
    Workbook.open(empty, Clock.systemUTC()).close();
    Path text = file("text.ember", "no workbook at all, a text that is longer than a header is");
    for (Path workbook : List.of(empty, text, folder.resolve("none.ember"))) {
      assertEquals(
          run("report", workbook.toString(), "--unit", "x", "--out", page.toString()).code(), 3);
    }
    assertEquals(Files.readString(page), "yesterday's");
    assertFalse(Files.exists(folder.resolve("none.ember")));
  }

  /** 600 W for 3 000 s, falling to nothing over 2 000 s: 500 + 166.7 Wh, 80 % at 3 200 s. */
  @Test
  public void aChargeAsJson() throws IOException {
    StringBuilder log = new StringBuilder("time [s],in_power [W]\n");
    for (int t = 0; t <= 6000; t += 5) {
      double since = t - 100;
      double w = since < 0 || since > 5000 ? 0 : since < 3000 ? 600 : 600 * (5000 - since) / 2000;
      log.append(t).append(',').append(w).append('\n');
    }
    Outcome outcome =
        run("analyze", "charge", file("charge.csv", log.toString()).toString(), "--json");
    assertEquals(outcome.code(), 0, outcome.err());
    JsonNode root = new ObjectMapper().readTree(outcome.out());
    assertEquals(root.path("kind").asText(), "charge");
    assertEquals(result(root, "energy_in").path("value").asDouble(), 666.7, 2);
    assertEquals(result(root, "peak_power").path("value").asDouble(), 600, 0.1);
    assertEquals(result(root, "time_to_80").path("value").asDouble(), 3210, 20);
    assertEquals(result(root, "time_to_full").path("value").asDouble(), 4920, 100);
    assertEquals(result(root, "taper_start").path("value").asDouble(), 3000, 40);
    assertEquals(result(root, "taper_start").path("unit").asText(), "s");
    Outcome none =
        run(
            "analyze",
            "charge",
            file("hertz.csv", "time [s],frequency [Hz]\n0,50\n1,50\n").toString());
    assertEquals(none.code(), Ember.UNREADABLE, "not one figure");
    assertTrue(none.err().contains("no charge power"), none.err());
  }

  /** 4 A at 20 V for an hour, then 60 V of open panels: amps of the port, then its volts. */
  @Test
  public void whatBoundAChargeAsJson() throws IOException {
    StringBuilder log = new StringBuilder("time [s],in_voltage [V],in_current [A]\n");
    for (int t = 0; t <= 5000; t += 5) {
      boolean out = t > 3600;
      log.append(t).append(out ? ",60,0\n" : ",20,4\n");
    }
    String path = file("amps.csv", log.toString()).toString();
    Outcome outcome =
        run(
            "analyze",
            "charge",
            path,
            "--json",
            "--dc-volts",
            "11-50",
            "--dc-amps",
            "4.1",
            "--dc-w",
            "200");
    assertEquals(outcome.code(), 0, outcome.err());
    JsonNode root = new ObjectMapper().readTree(outcome.out());
    assertEquals(result(root, "bound_by_dc@0").path("value").asText(), "amps");
    assertEquals(result(root, "mean_power").path("value").asDouble(), 80, 0.5);
    assertTrue(outcome.out().contains("\"volts\""), outcome.out());
    assertTrue(run("analyze", "charge", path).out().contains("source"), "no label, no port");
    assertEquals(run("analyze", "charge", path, "--dc-volts", "fifty").code(), 2);
    assertEquals(run("analyze", "charge", path, "--dc-volts", "60-11").code(), 2);
    assertEquals(run("analyze", "charge", path, "--dc-amps", "4").code(), 2);
  }

  @Test
  public void aWaveThatIsNoneIsUnreadable() throws IOException {
    String flat = "time [s],voltage [V]\n0,1\n0.001,1\n0.002,1\n";
    Outcome outcome = run("analyze", "waveform", file("flat.csv", flat).toString());
    assertEquals(outcome.code(), 3);
    assertEquals(outcome.err().strip().lines().count(), 1);
    assertEquals(run("analyze", "waveform", "x.csv", "--order", "51").code(), 2);
  }

  @DataProvider
  Object[][] badOptions() {
    return new Object[][] {
      {new String[] {"efficiency", "--rated-w", "0"}, "--rated-w takes the watts on the label"},
      {new String[] {"efficiency", "--rated-w", "NaN"}, "--rated-w takes the watts on the label"},
      {new String[] {"overload", "--rated-w", "-1"}, "--rated-w takes the watts on the label"},
      {new String[] {"idle", "--usable-wh", "-3"}, "--usable-wh takes the usable watt-hours"},
      {new String[] {"idle", "--meter-accuracy", "101"}, "--meter-accuracy takes a percentage"},
      {new String[] {"capacity", "--rated-wh", "abc"}, "--rated-wh"},
    };
  }

  @Test(dataProvider = "badOptions")
  public void badOptionsAreUsage(String[] options, String words) throws IOException {
    String file = file("any.csv", "time [s],ac_power [W]\n0,1\n1,1\n").toString();
    Outcome outcome = run("analyze", options[0], file, options[1], options[2]);
    assertEquals(outcome.code(), 2);
    assertTrue(outcome.err().contains(words), outcome.err());
    assertEquals(outcome.err().strip().lines().count(), 1);
  }
}
