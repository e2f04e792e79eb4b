package org.wiseember.command;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertFalse;
import static org.testng.Assert.assertTrue;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import com.networknt.schema.JsonSchemaFactory;
import com.networknt.schema.SpecVersion;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Clock;
import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import org.testng.annotations.BeforeClass;
import org.testng.annotations.Test;
import org.wiseember.trial.DemoFile;
import org.wiseember.workbook.Workbook;

public class LineUpCommandTest {
  private static final ObjectMapper JSON = new ObjectMapper();

  private Path folder;
  private Path demo;

  @BeforeClass
  public void make() throws IOException {
    folder = Files.createTempDirectory("ember-line-up");
    demo = DemoFile.itself();
  }

  private JsonNode json(String... more) throws IOException {
    List<String> args = new ArrayList<>(List.of("line-up", demo.toString(), "--json"));
    args.addAll(List.of(more));
    Told outcome = Told.by(args.toArray(String[]::new));
    assertEquals(outcome.code(), 0, outcome.err());
    JsonNode root = JSON.readTree(outcome.out());
    assertEquals(
        JsonSchemaFactory.getInstance(SpecVersion.VersionFlag.V202012)
            .getSchema(Files.readString(Path.of("..", "docs", "schemas", "line-up.schema.json")))
            .validate(root),
        Set.of());
    return root;
  }

  private static JsonNode figure(JsonNode unit, String key) {
    for (JsonNode f : unit.path("figures")) {
      if (f.path("key").asText().equals(key)) {
        return f;
      }
    }
    throw new AssertionError("no " + key);
  }

  /** At the highest load every drained unit was measured at; what is missing is null. */
  @Test
  public void thePoolBesideEachOther() throws IOException {
    JsonNode root = json();
    assertEquals(root.path("load").asDouble(), 247, 5);
    JsonNode first = root.path("units").get(0);
    assertEquals(first.path("name").asText(), "Quernfold Q1100");
    double delivered = figure(first, "delivered").path("value").asDouble();
    assertTrue(delivered > 850 && delivered < 950, "" + delivered);
    assertEquals(figure(first, "yield").path("value").asDouble(), delivered / 10.75, 1e-6);
    assertEquals(figure(first, "price_per_label_wh").path("value").asDouble(), 780 / 1075.0, 1e-9);
    assertEquals(figure(first, "price_per_label_wh").path("unit").asText(), "EUR/Wh");
    assertEquals(
        figure(first, "price_per_lifetime_kwh").path("value").asDouble(),
        780 / (delivered / 1000 * 3500 * 0.9),
        1e-9);
    assertEquals(figure(first, "must_haves").path("value").asDouble(), 6.5);
    assertEquals(figure(first, "full_again").path("unit").asText(), "h");
    JsonNode last = root.path("units").get(4);
    assertTrue(figure(last, "delivered").path("value").isNull());
    assertTrue(figure(last, "delivered").path("u95").isNull());
    assertTrue(figure(first, "beaten_by").path("value").isArray());
    double chances = 0;
    for (JsonNode place : root.path("order")) {
      chances += place.path("first").asDouble();
    }
    assertEquals(chances, 1, 1e-3);
  }

  /** At a load only one of them was measured at the others have no energy, and no price of it. */
  @Test
  public void anotherLoadLeavesOutWhoWasNotMeasuredThere() throws IOException {
    JsonNode root = json("--load", "800");
    assertEquals(root.path("load").asDouble(), 800.0);
    JsonNode units = root.path("units");
    assertFalse(figure(units.get(0), "delivered").path("value").isNull());
    assertTrue(figure(units.get(1), "delivered").path("value").isNull());
    assertTrue(figure(units.get(1), "price_per_delivered_wh").path("value").isNull());
    assertFalse(figure(units.get(2), "delivered").path("value").isNull());
  }

  @Test
  public void whatCannotBeReadIsSaid() throws IOException {
    assertEquals(Told.by("line-up").code(), 2);
    assertEquals(Told.by("line-up", demo.toString(), "--load", "-5").code(), 2);
    Told missing = Told.by("line-up", folder.resolve("none.ember").toString());
    assertEquals(missing.code(), 3);
    assertEquals(missing.err().lines().count(), 1, missing.err());
    Path empty = folder.resolve("empty.ember");
    Workbook.open(empty, Clock.systemUTC()).close();
    Told nothing = Told.by("line-up", empty.toString());
    assertEquals(nothing.code(), 3);
    assertTrue(nothing.err().contains("no unit on its shelf"), nothing.err());
    Told told = Told.by("line-up", demo.toString());
    assertEquals(told.code(), 0);
    assertTrue(told.out().contains("Delivered at") && told.out().contains("not known"), told.out());
  }
}
