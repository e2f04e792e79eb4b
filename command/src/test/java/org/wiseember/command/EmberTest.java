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
import org.testng.annotations.BeforeClass;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;

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
    Path demo = folder.resolve("demo.ember");
    assertEquals(run("simulate", "demo-workbook", demo.toString()).code(), 0);
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
}
