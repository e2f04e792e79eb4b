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
import java.util.List;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;

/** Logs in which nothing was read give no figure, and say so. */
public class NothingInventedTest {
  private static final String HEAD =
      "time [s],ac_power [W],dc_power [W],in_power [W],ac_voltage [V]\n";

  private record Answer(int code, String out, String err) {
    JsonNode json() throws IOException {
      return new ObjectMapper().readTree(out);
    }
  }

  private static Answer analyze(String kind, String log) throws IOException {
    Path file =
        Files.writeString(Files.createTempDirectory("ember-nothing").resolve("log.csv"), log);
    StringWriter out = new StringWriter();
    StringWriter err = new StringWriter();
    int code =
        Ember.run(
            new PrintWriter(out), new PrintWriter(err), "analyze", kind, file.toString(), "--json");
    return new Answer(code, out.toString(), err.toString());
  }

  private static String rows(int n, String row) {
    return IntStream.range(0, n)
        .mapToObj(i -> row.formatted(i) + "\n")
        .collect(Collectors.joining());
  }

  @DataProvider
  Object[][] kinds() {
    return new Object[][] {{"capacity"}, {"efficiency"}, {"idle"}, {"overload"}, {"charge"}};
  }

  @Test(dataProvider = "kinds")
  public void nothingReadIsNoFigure(String kind) throws IOException {
    for (String log :
        List.of(
            HEAD + "5,600,650,500,230\n",
            HEAD + rows(20, "7,%d,650,500,230"),
            HEAD + rows(20, "%d,9.91E37,-99999,1e308,9.9E37"),
            HEAD + rows(20, "%d,0,0,0,230"),
            HEAD + rows(20, "%d,,,,"),
            HEAD + rows(20, "%d,-0 230.4,1,1,1"))) {
      Answer answer = analyze(kind, log);
      assertEquals(answer.code(), Ember.UNREADABLE, kind + ": " + answer + log);
      assertEquals(answer.err().lines().count(), 1, answer.err());
      assertFalse(answer.out().contains("\"value\" : 0.0"), answer.out());
    }
  }

  /** Marks among readings are holes that are counted, not watts. */
  @Test
  public void aMarkAmongReadingsIsAHole() throws IOException {
    String good = HEAD + rows(600, "%d,600,650,0,230") + "600,0,0,0,0\n601,0,0,0,0\n602,0,0,0,0\n";
    Answer clean = analyze("capacity", good);
    Answer marked = analyze("capacity", good.replace("\n300,600,650", "\n300,9.91E37,650"));
    double energy = clean.json().path("results").get(0).path("value").asDouble();
    assertEquals(energy, 100, 0.2);
    assertEquals(marked.json().path("results").get(0).path("value").asDouble(), energy, 0.2);
    assertTrue(marked.out().contains("no_reading"), marked.out());
    assertTrue(marked.out().contains("One cell of “ac_power [W]”"), marked.out());
  }

  /** A draw below the last digit is not none, and holes are said. */
  @Test
  public void idleSaysWhatItDidNotSee() throws IOException {
    String head = "time [s],dc_power [W]\n";
    Answer none = analyze("idle", head + rows(300, "%d,0"));
    assertEquals(none.code(), Ember.UNREADABLE);
    assertTrue(none.err().contains("not none"), none.err());
    Answer one = analyze("idle", head + "0,12.5\n");
    assertEquals(one.code(), 0);
    assertTrue(one.out().contains("one_reading"), one.out());
    assertTrue(one.json().path("results").get(0).path("u95").asDouble() > 0.2, one.out());
    Answer holes =
        analyze("idle", head + rows(300, "%d,12.5") + "900,12.6\n901,12.4\n902,12.5\n903,12.5\n");
    assertTrue(holes.out().contains("Readings are missing once, for 10 min"), holes.out());
  }

  /** A slow meter averages: its watts fade, and the unit tripped all the same. */
  @Test
  public void aTripThatFadesOnASlowMeterIsATrip() throws IOException {
    String head = "time [s],ac_power [W],ac_voltage [V]\n";
    StringBuilder log = new StringBuilder(head);
    int t = 0;
    for (; t < 60; t += 2) {
      log.append(t).append(t < 10 ? ",0,230\n" : ",1500,228\n");
    }
    for (double watts = 1000; watts > 5; watts *= 0.6) {
      log.append(t)
          .append(',')
          .append(watts)
          .append(',')
          .append(watts > 400 ? 120 : 0)
          .append('\n');
      t += 2;
    }
    for (int i = 0; i < 5; i++, t += 2) {
      log.append(t).append(",0,0\n");
    }
    Answer answer = analyze("overload", log.toString());
    JsonNode trip = answer.json().path("results").get(0);
    assertEquals(trip.path("key").asText(), "trip_time");
    assertEquals(trip.path("value").asDouble(), 50, 4, answer.out());
    String alive = log.toString().replaceAll(",(120|0)\n", ",229\n");
    assertTrue(
        analyze("overload", alive).json().path("results").get(0).path("value").isNull(),
        "the volts stayed: it was taken off");
  }

  /** Heaters that are switched off one after the other are no trip, whatever the volts. */
  @Test
  public void heatersTakenOffOneByOneAreNoTrip() throws IOException {
    StringBuilder log = new StringBuilder("time [s],ac_power [W]\n");
    int t = 0;
    for (int watts : new int[] {0, 1500, 1000, 500, 0}) {
      for (int i = 0; i < 5; i++, t += 2) {
        log.append(t).append(',').append(watts).append('\n');
      }
    }
    Answer answer = analyze("overload", log.toString());
    assertTrue(answer.json().path("results").get(0).path("value").isNull(), answer.out());
  }
}
