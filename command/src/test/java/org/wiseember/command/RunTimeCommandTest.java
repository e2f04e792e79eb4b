package org.wiseember.command;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertFalse;
import static org.testng.Assert.assertTrue;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import com.networknt.schema.JsonSchema;
import com.networknt.schema.JsonSchemaFactory;
import com.networknt.schema.SpecVersion;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Set;
import org.testng.annotations.BeforeClass;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;
import org.wiseember.core.runtime.Watch;
import org.wiseember.workbook.day.WatchJson;

/** Days on the command line, against figures worked out by hand. */
public class RunTimeCommandTest {
  private static final String UNIT =
      """
      "unit": {"usable": [{"watts": 592, "wattHours": 904, "u95": 4}], "idleWatts": 13.2,
               "outputWatts": 1200, "startVa": 2400, "labelWattHours": 1075}""";

  private static final double CAPACITY = 904 * (592 + 13.2) / 592;

  private Path folder;
  private JsonSchema input;
  private JsonSchema output;
  private int files;

  @BeforeClass
  public void prepare() throws IOException {
    folder = Files.createTempDirectory("ember-day");
    input = schema("day.schema.json");
    output = schema("run-time.schema.json");
  }

  private static JsonSchema schema(String name) throws IOException {
    return JsonSchemaFactory.getInstance(SpecVersion.VersionFlag.V202012)
        .getSchema(Files.readString(Path.of("..", "docs", "schemas", name)));
  }

  /** What is written of a watch is what its schema says, and nothing else is. */
  @Test
  public void aWatchIsWrittenAsItsSchemaSays() throws IOException {
    JsonSchema appliance = schema("appliance.schema.json");
    ObjectMapper json = new ObjectMapper();
    String written =
        WatchJson.write(
            "Stall fridge", new Watch(25 * 3600 + 780, 2130, 10, 52, 383, Double.NaN, Double.NaN));
    assertEquals(appliance.validate(json.readTree(written)), Set.of());
    assertFalse(
        appliance.validate(json.readTree(written.replace("\"wattHours\"", "\"kWh\""))).isEmpty());
  }

  private Told run(String day, String... more) throws IOException {
    Path file = Files.writeString(folder.resolve("d" + files++ + ".json"), day);
    String[] args = new String[2 + more.length];
    args[0] = "run-time";
    args[1] = file.toString();
    System.arraycopy(more, 0, args, 2, more.length);
    return Told.by(args);
  }

  private JsonNode results(String day) throws IOException {
    ObjectMapper mapper = new ObjectMapper();
    assertEquals(input.validate(mapper.readTree(day)).toString(), "[]");
    Told outcome = run(day, "--json");
    assertEquals(outcome.code(), 0, outcome.err());
    JsonNode root = mapper.readTree(outcome.out());
    assertEquals(output.validate(root).toString(), "[]");
    return root;
  }

  private static JsonNode value(JsonNode root, String key) {
    for (JsonNode result : root.path("results")) {
      if (result.path("key").asText().equals(key)) {
        return result.path("value");
      }
    }
    throw new AssertionError(key + " is not in " + root);
  }

  private static String day(String start, double hours, String appliances) {
    return "{\"start\": \""
        + start
        + "\", \"hours\": "
        + hours
        + ", "
        + UNIT
        + ", \"appliances\": ["
        + appliances
        + "]}";
  }

  private static String lamp(String on) {
    return "{\"name\": \"lamp\", \"use\": \"steady\", \"watts\": 100" + on + "}";
  }

  @Test
  public void anEveningAtTheStall() throws IOException {
    JsonNode root =
        results(
            day(
                "17:00",
                10,
                """
                {"name": "Soup kettle", "use": "cycling", "watts": 480, "wattHoursPerHour": 200,
                 "startVa": null, "output": "ac", "on": [{"from": "18:00", "to": "22:00"}]},
                {"name": "Shaver", "use": "per-go", "watts": 410, "wattHoursPerGo": 12,
                 "startVa": 2300, "at": ["19:00", "20:30"]}"""));
    assertEquals(value(root, "delivered").asDouble(), 824, 1e-9);
    double used = (824 + 4 * 13.2) / CAPACITY;
    assertEquals(value(root, "charge_at_end").asDouble(), 100 * (1 - used), 1e-9);
    assertTrue(value(root, "runs_out").isNull());
    assertEquals(value(root, "worst_start").asDouble(), 2780, 1e-9);
    assertEquals(value(root, "first_overload").asDouble(), 2, 1e-9);
    assertEquals(value(root, "first_overload_by").asText(), "Shaver");
    assertTrue(value(root, "label_runs_out").isNull());
  }

  /** When one lamp of 100 W is on, as hours delivered ÷ 100 tell. */
  @DataProvider
  public Object[][] windows() {
    return new Object[][] {
      {"17:00", 8.0, "", 8.0},
      {"17:00", 8.0, ", \"on\": [{\"from\": \"18:00\", \"to\": \"20:00\"}]", 2.0},
      // Before the start it is the next day's.
      {"17:00", 8.0, ", \"on\": [{\"from\": \"01:00\", \"to\": \"02:00\"}]", 0.0},
      {"17:00", 8.5, ", \"on\": [{\"from\": \"01:00\", \"to\": \"02:00\"}]", 0.5},
      {"17:00", 8.0, ", \"on\": [{\"from\": \"23:00\", \"to\": \"02:00\"}]", 2.0},
      // Open at the start: it begins there, and nothing comes again by itself.
      {"17:00", 8.0, ", \"on\": [{\"from\": \"16:00\", \"to\": \"18:30\"}]", 1.5},
      {"07:00", 9.0, ", \"on\": [{\"from\": \"18:00\", \"to\": \"08:00\"}]", 1.0},
      // Overlapping windows are one time on.
      {
        "17:00",
        8.0,
        ", \"on\": [{\"from\": \"18:00\", \"to\": \"20:00\"}, {\"from\": \"19:00\", \"to\": \"21:00\"}]",
        3.0
      },
      {"17:00", 8.0, ", \"on\": []", 0.0},
      {"17:00", 8.0, ", \"on\": [{\"from\": \"18:00\", \"to\": \"24:00\"}]", 6.0},
      {"06:00", 30.0, ", \"on\": [{\"from\": \"07:00\", \"to\": \"08:00\", \"day\": 1}]", 1.0},
      {"06:00", 24.0, ", \"on\": [{\"from\": \"07:00\", \"to\": \"08:00\", \"day\": 1}]", 0.0},
    };
  }

  @Test(dataProvider = "windows")
  public void aWindowIsWhatItsTimesSay(String start, double hours, String on, double lit)
      throws IOException {
    JsonNode root = results(day(start, hours, lamp(on)));
    assertEquals(value(root, "delivered").asDouble() / 100, lit, 1e-9, root.toString());
  }

  @Test
  public void shortUsesAndGoesOnNamedDays() throws IOException {
    JsonNode root =
        results(
            day(
                "08:00",
                48,
                """
                {"use": "short", "watts": 1530, "minutes": 1, "at": ["09:00", {"at": "09:00", "day": 1}]},
                {"use": "per-go", "wattHoursPerGo": 150, "at": "07:30"}"""));
    assertEquals(value(root, "delivered").asDouble(), 2 * 25.5 + 150, 1e-9);
  }

  @Test
  public void whereNothingWasDrainedTheLabelIsAGuess() throws IOException {
    JsonNode root =
        results(
            "{\"hours\": 24, \"unit\": {\"labelWattHours\": 1000, \"charge\": 75},"
                + " \"appliances\": [{\"use\": \"steady\", \"watts\": 100}]}");
    assertEquals(value(root, "runs_out").asDouble(), 6.375, 1e-9);
    assertEquals(value(root, "label_runs_out").asDouble(), 7.5, 1e-9);
    assertEquals(root.path("warnings").get(0).path("code").asText(), "guess");
    assertTrue(root.path("results").get(0).path("u95").asDouble() > 0.5, root.toString());
  }

  @Test
  public void aFeedTellsWhatBindsIt() throws IOException {
    String feed =
        """
        , "feed": {"kind": "port", "volts": [12, 60], "amps": 12, "watts": 800,
          "from": {"kind": "battery", "volts": 52.4, "wattHours": 3100, "amps": 100,
            "from": [{"kind": "charger", "volts": 57, "amps": 15, "efficiency": 0.94,
                      "from": {"kind": "generator", "va": 600}},
                     {"kind": "controller", "volts": [20, 100], "amps": 15, "efficiency": 0.97,
                      "from": {"kind": "panels", "watts": 380, "volts": 76, "openVolts": 91}}]}}}""";
    String day = day("17:00", 24, lamp("").replace("100", "890"));
    JsonNode root = results(day.substring(0, day.length() - 1) + feed);
    assertEquals(value(root, "into_unit").asDouble(), 628.8, 1e-9);
    assertEquals(value(root, "bound_by").asText(), "amps");
    assertEquals(value(root, "bound_at").asText(), "port");
    assertEquals(value(root, "lasts_without").asDouble(), CAPACITY / (890 + 13.2), 1e-9);
    assertEquals(value(root, "lasts").asDouble(), value(root, "runs_out").asDouble());
    assertTrue(value(root, "lasts").asDouble() > value(root, "lasts_without").asDouble());
    assertEquals(value(root, "source_load").asDouble(), 855 / 0.94, 1e-6);
    assertTrue(value(root, "source_stalls").asBoolean(), "909 VA of a generator of 600");
    String through =
        ", \"feed\": {\"kind\": \"pass-through\", \"from\": {\"kind\": \"mains\", \"va\": 2000,"
            + " \"on\": [{\"from\": \"17:00\", \"to\": \"19:00\"}]}}}";
    JsonNode handed = results(day.substring(0, day.length() - 1) + through);
    assertEquals(
        value(handed, "runs_out").asDouble(), 2 + CAPACITY / (890 + 13.2), 1e-9, "rests two hours");
    assertFalse(value(handed, "source_stalls").asBoolean());
    assertEquals(value(handed, "source_load").asDouble(), 890, 1e-9);
  }

  @DataProvider
  public Object[][] refused() {
    return new Object[][] {
      {"{", "no JSON"},
      {"[]", "braces"},
      {"{\"hours\": 10}", "“unit”"},
      {"{\"unit\": {}, \"appliances\": []}", "labelWattHours"},
      {"{\"unit\": {\"labelWattHours\": 1000}, \"aplliances\": []}", "“aplliances”"},
      {"{\"unit\": {\"labelWattHours\": 1000, \"watts\": 3}}", "“watts” in “unit”"},
      {"{\"unit\": {\"labelWattHours\": \"1000\"}}", "“labelWattHours”"},
      {"{\"unit\": {\"labelWattHours\": 1000}, \"hours\": 337}", "336"},
      {"{\"unit\": {\"labelWattHours\": 1000}, \"start\": \"25:00\"}", "25:00"},
      {"{\"unit\": {\"labelWattHours\": 1, \"charge\": 101}}", "“charge”"},
      {day("1:00", 2, "{\"use\": \"steady\"}"), "wants watts"},
      {day("1:00", 2, "{\"use\": \"cycling\", \"watts\": 5}"), "wattHoursPerHour"},
      {day("1:00", 2, "{\"use\": \"short\", \"watts\": 5, \"minutes\": 3}"), "“at”"},
      {day("1:00", 2, "{\"use\": \"often\", \"watts\": 5}"), "“use”"},
      {day("1:00", 2, lamp(", \"on\": [{\"from\": \"18:00\"}]")), "time of day"},
      {day("1:00", 2, lamp(", \"output\": \"usb\"")), "ac or dc"},
      {
        "{\"unit\": {\"labelWattHours\": 9}, \"feed\": {\"kind\": \"battery\", \"volts\": 5}}",
        "port or pass-through"
      },
      {
        "{\"unit\": {\"labelWattHours\": 9}, \"feed\": {\"kind\": \"port\", \"from\": {\"kind\":"
            + " \"wind\"}}}",
        "“kind”"
      },
      {
        "{\"unit\": {\"labelWattHours\": 9}, \"feed\": {\"kind\": \"port\", \"from\": {\"kind\":"
            + " \"panels\", \"watts\": 9, \"amps\": 2}}}",
        "“amps”"
      },
      {"{\"unit\": {\"labelWattHours\": 9}, \"hours\": 1, \"hours\": 2}", "JSON"},
      {
        "{\"unit\": {\"labelWattHours\": 9}, \"feed\": {\"kind\": \"port\", \"from\": {\"kind\":"
            + " \"mains\"}}}",
        "Nothing limits"
      },
      {
        day("1:00", 2, lamp(", \"on\": [{\"from\": \"1:00\", \"to\": \"2:00\", \"day\": 0.5}]")),
        "whole number"
      },
    };
  }

  @Test(dataProvider = "refused")
  public void whatCannotBeReadIsSaidInOneLine(String day, String said) throws IOException {
    Told outcome = run(day, "--json");
    assertEquals(outcome.code(), 3, outcome.out());
    assertEquals(outcome.err().strip().lines().count(), 1, outcome.err());
    assertTrue(outcome.err().contains(said), outcome.err());
    assertEquals(outcome.out(), "");
  }

  @Test
  public void anOverloadAfterTheEndIsSaidToBe() throws IOException {
    JsonNode root =
        results(
            day(
                "17:00",
                24,
                lamp("")
                    + ", "
                    + lamp(", \"on\": [{\"from\": \"05:00\", \"to\": \"6:00\"}]")
                        .replace("100", "1500")));
    assertEquals(value(root, "first_overload").asDouble(), 12, 1e-9);
    assertTrue(value(root, "runs_out").asDouble() < 12);
    assertEquals(root.path("warnings").get(0).path("code").asText(), "overload_after_end");
  }

  @Test
  public void textForPeople() throws IOException {
    Told outcome = run(day("17:00", 24, lamp("")));
    assertEquals(outcome.code(), 0);
    assertTrue(outcome.out().contains("runs out           8.2 ± 0.6 h"), outcome.out());
    assertEquals(run("{}", "--what").code(), 2);
  }
}
