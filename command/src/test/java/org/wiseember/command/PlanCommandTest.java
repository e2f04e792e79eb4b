package org.wiseember.command;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertTrue;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import com.networknt.schema.JsonSchemaFactory;
import com.networknt.schema.SpecVersion;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Set;
import org.testng.annotations.BeforeClass;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;

public class PlanCommandTest {
  private static final String CAMPAIGN =
      """
      {"units": [{"name": "A", "charge": 40, "chargeHours": 1.5, "dischargeHours": 1.0,
         "tests": [{"id": "ac-drain", "needs": "full", "leaves": 0, "hours": 1.6, "attended": 0.3,
                    "uses": ["ac-meter", "heaters"], "restBefore": 0.5},
                   {"id": "timed-charge", "needs": "empty", "leaves": 100, "hours": 1.5,
                    "attended": 0.1, "uses": ["ac-meter"], "restBefore": 0.5},
                   {"id": "idle", "needs": 50, "leaves": -5, "hours": 1.0, "attended": 0.1,
                    "uses": []}]}],
       "present": [{"from": 0, "to": 4}, {"from": 24, "to": 28}],
       "shared": {"ac-meter": 1, "heaters": 1}}
      """;

  private Path folder;
  private int files;

  @BeforeClass
  public void prepare() throws IOException {
    folder = Files.createTempDirectory("ember-plan");
  }

  private Told run(String campaign, String... more) throws IOException {
    Path file = Files.writeString(folder.resolve("c" + files++ + ".json"), campaign);
    String[] args = new String[2 + more.length];
    args[0] = "plan";
    args[1] = file.toString();
    System.arraycopy(more, 0, args, 2, more.length);
    return Told.by(args);
  }

  @Test
  public void aCampaignIsPlannedAndProven() throws IOException {
    assertEquals(
        JsonSchemaFactory.getInstance(SpecVersion.VersionFlag.V202012)
            .getSchema(Files.readString(Path.of("..", "docs", "schemas", "campaign.schema.json")))
            .validate(new ObjectMapper().readTree(CAMPAIGN)),
        Set.of());
    Told outcome = run(CAMPAIGN, "--json");
    assertEquals(outcome.code(), 0, outcome.err());
    JsonNode root = new ObjectMapper().readTree(outcome.out());
    assertTrue(root.path("proven").asBoolean());
    int tests = 0;
    double last = 0;
    for (JsonNode step : root.path("steps")) {
      boolean own = !Set.of("charge", "discharge").contains(step.path("id").asText());
      tests += own ? 1 : 0;
      last = Math.max(last, step.path("to").asDouble());
      assertTrue(step.path("from").asDouble() < step.path("to").asDouble());
    }
    assertEquals(tests, 3);
    assertEquals(root.path("hours").asDouble(), last, 1e-9);
    assertTrue(root.path("attendedHours").asDouble() > 0.2);
    assertTrue(run(CAMPAIGN).out().contains("proven the least."));
  }

  @DataProvider
  public Object[][] wrong() {
    return new Object[][] {
      {CAMPAIGN.replace("\"heaters\": 1}", "\"heaters\": 0}"), "heaters"},
      {
        CAMPAIGN.replace("\"to\": 4}", "\"to\": 0.2}").replace("\"to\": 28", "\"to\": 24.1"),
        "nobody"
      },
      {CAMPAIGN.replace("\"needs\": 50", "\"needs\": \"half\""), "needs"},
      {CAMPAIGN.replace("\"id\": \"idle\"", "\"id\": \"ac-drain\""), "ac-drain"},
      {CAMPAIGN.replace("\"chargeHours\": 1.5", "\"chargeHours\": 0"), "chargeHours"},
      {CAMPAIGN.replace("\"uses\": []", "\"colour\": 1"), "colour"},
      {"{\"units\": []}", "units"},
      {"{", "JSON"},
    };
  }

  @Test(dataProvider = "wrong")
  public void whatCannotBeDoneIsNamedInOneLine(String campaign, String named) throws IOException {
    Told outcome = run(campaign, "--json");
    assertEquals(outcome.code(), 3, outcome.out());
    assertEquals(outcome.err().strip().lines().count(), 1, outcome.err());
    assertTrue(outcome.err().contains(named), outcome.err());
  }
}
