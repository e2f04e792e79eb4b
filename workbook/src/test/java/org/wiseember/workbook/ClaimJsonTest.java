package org.wiseember.workbook;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertTrue;
import static org.testng.Assert.expectThrows;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.SplittableRandom;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;
import org.wiseember.core.label.Claim;
import org.wiseember.core.label.Condition;
import org.wiseember.core.label.Direction;
import org.wiseember.core.label.Label;
import org.wiseember.core.label.Subject;

/** Claims typed by hand go through the file and come back as they were. */
public class ClaimJsonTest {
  private static Claim any(SplittableRandom random) {
    Subject subject = Subject.values()[random.nextInt(Subject.values().length)];
    List<Condition> conditions = new ArrayList<>();
    for (int i = random.nextInt(3); i > 0; i--) {
      Condition.Kind kind = Condition.Kind.values()[random.nextInt(Condition.Kind.values().length)];
      conditions.add(new Condition(kind, random.nextDouble(1, 500)));
    }
    double low = random.nextDouble(0, 100);
    double high = low + random.nextDouble(0, 100);
    String printed =
        List.of("", "a \"quoted\" line", "11–60 V ⎓", "= 1 + 1").get(random.nextInt(4));
    return switch (random.nextInt(4)) {
      case 0 -> new Claim(subject, Direction.AT_LEAST, low, Double.NaN, "", conditions, printed);
      case 1 -> new Claim(subject, Direction.AT_MOST, Double.NaN, high, "", conditions, printed);
      case 2 -> new Claim(subject, Direction.BAND, low, high, "", conditions, printed);
      default ->
          new Claim(
              subject, Direction.STATED, Double.NaN, Double.NaN, "pure sine", conditions, printed);
    };
  }

  @Test
  public void anyClaimsComeBack() {
    SplittableRandom random = new SplittableRandom(11);
    for (int n = 0; n < 500; n++) {
      List<Claim> claims = new ArrayList<>();
      for (int i = random.nextInt(4); i > 0; i--) {
        claims.add(any(random));
      }
      assertEquals(ClaimJson.read(ClaimJson.write(claims)), claims);
    }
  }

  @Test
  public void whatALabelSaysComesBack() {
    List<Claim> claims =
        Label.read(
                "Capacity 1075 Wh\nUPS < 20 ms\n230 V ± 5 %, 50 Hz\nPV 11-60 V 12 A 400 W\n"
                    + "Overload 2400 W 60 s\nNoise < 45 dB at 1 m\n80 % in 1.2 h")
            .claims();
    assertTrue(claims.size() >= 9, claims.size() + " claims");
    assertEquals(ClaimJson.read(ClaimJson.write(claims)), claims);
  }

  /** The keys of the published schema, not the program's own names. */
  @Test
  public void keysAreInLowerCase() throws Exception {
    JsonNode node =
        new ObjectMapper()
            .readTree(ClaimJson.write(List.of(Claim.atMost(Subject.SWITCH_OVER, 20, ""))))
            .get(0);
    assertEquals(node.get("subject").asText(), "switch_over");
    assertEquals(node.get("direction").asText(), "at_most");
    assertEquals(node.get("high").asDouble(), 20, 0);
    assertTrue(node.path("low").isMissingNode(), "what is not there is left out");
    // The published schema of a package's label asks for these, empty or not.
    assertTrue(node.path("conditions").isArray() && node.path("conditions").isEmpty());
    assertEquals(node.path("printedAs").asText("none"), "");
  }

  @Test
  public void theCapitalsOfOlderFilesAreRead() {
    String now = ClaimJson.write(List.of(Claim.atLeast(Subject.CAPACITY, 500, "500 Wh")));
    String then =
        now.replace("\"capacity\"", "\"CAPACITY\"").replace("\"at_least\"", "\"AT_LEAST\"");
    assertTrue(!then.equals(now));
    assertEquals(ClaimJson.read(then), ClaimJson.read(now));
  }

  @DataProvider
  Object[][] damaged() {
    return new Object[][] {
      {"not json"},
      {"[{\"subject\":\"happiness\",\"direction\":\"at_least\",\"low\":1}]"},
      {"[{\"subject\":\"capacity\",\"direction\":\"sideways\",\"low\":1}]"},
      {"[{\"subject\":\"capacity\",\"direction\":\"at_least\"}]"},
      {"[{\"subject\":\"solar_voltage\",\"direction\":\"band\",\"low\":60,\"high\":11}]"},
      {"[{}]"},
    };
  }

  @Test(dataProvider = "damaged")
  public void damagedClaimsAreOneSentence(String json) {
    WorkbookException e = expectThrows(WorkbookException.class, () -> ClaimJson.read(json));
    assertEquals(e.getMessage(), "A claim kept in the workbook cannot be read.");
    assertTrue(!e.getMessage().toLowerCase(Locale.ROOT).contains("exception"));
  }
}
