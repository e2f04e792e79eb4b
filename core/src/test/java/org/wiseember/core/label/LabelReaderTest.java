package org.wiseember.core.label;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertNotNull;
import static org.testng.Assert.assertTrue;

import java.io.BufferedReader;
import java.io.IOException;
import java.io.InputStream;
import java.io.InputStreamReader;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.SplittableRandom;
import java.util.stream.Collectors;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;
import org.wiseember.core.Thorough;
import org.wiseember.core.quantity.Figures;

public class LabelReaderTest {
  private final LabelReader reader = new LabelReader();

  /** Lines of our own making and what they mean, one a row: {@code label/lines.tsv}. */
  @DataProvider
  Object[][] lines() throws IOException {
    try (InputStream in = LabelReaderTest.class.getResourceAsStream("/label/lines.tsv");
        BufferedReader rows =
            new BufferedReader(new InputStreamReader(in, StandardCharsets.UTF_8))) {
      return rows.lines()
          .map(l -> l.split("\t", 2))
          .map(p -> new Object[] {p[0], p[1]})
          .toArray(Object[][]::new);
    }
  }

  @Test
  public void thereAreManyLines() throws IOException {
    assertTrue(lines().length >= 150, "lines: " + lines().length);
  }

  @Test(dataProvider = "lines")
  public void readsTheLine(String line, String meaning) {
    assertEquals(meaning(reader.readLine(line)).replace(Figures.NO_BREAK, ' '), meaning, line);
  }

  private static String meaning(LineReading reading) {
    String claims =
        reading.claimed().stream()
            .map(
                c ->
                    c.subject()
                        + " "
                        + c.figureWords()
                        + c.conditionWords().map(w -> " [" + w + "]").orElse(""))
            .collect(Collectors.joining("; "))
            .replace(Figures.THIN_SPACE, '_');
    if (reading instanceof LineReading.NoClaim) {
      return "-";
    }
    if (reading instanceof LineReading.Doubtful doubtful) {
      return ("? " + claims + (claims.isEmpty() ? "" : " ") + "{" + doubtful.problem() + "}");
    }
    return claims;
  }

  @Test
  public void anyLineIsOneOfTheFourReadings() {
    SplittableRandom random = new SplittableRandom(1);
    String alphabet =
        "0123456789.,-–~<>≤≥±%/()x×;| WkVAhmHzCF°usb acdcpvinout~⎓\u2009\u00a0é漢\"'[]";
    for (int i = 0; i < Thorough.tries(4_000, 20_000); i++) {
      StringBuilder line = new StringBuilder();
      int length = random.nextInt(60);
      for (int k = 0; k < length; k++) {
        line.append(alphabet.charAt(random.nextInt(alphabet.length())));
      }
      assertNotNull(reader.readLine(line.toString()), line.toString());
    }
  }

  @Test
  public void veryLongLinesAreReadInTime() {
    assertNotNull(reader.readLine("1 200 ".repeat(100_000)));
    assertNotNull(reader.readLine("USB-C 100 W x2, ".repeat(50_000)));
  }

  @Test
  public void figuresMeanTheSameInEveryGrouping() {
    for (String printed :
        List.of("2400 Wh", "2,400 Wh", "2 400 Wh", "2.4 kWh", "2,4 kWh", "2'400 Wh")) {
      Claim claim = reader.readLine(printed).claimed().get(0);
      assertEquals(claim.figure(), 2400.0, 1e-9, printed);
    }
  }

  @Test
  public void labelKeepsClaimsMendedByHandInPlace() {
    Label read = Label.read("Capacity 1075 Wh\nSurge 2400 W");
    Claim mended = Claim.atLeast(Subject.CAPACITY, 1000, read.claims().get(0).printedAs());
    Label label = Label.read(read.text(), List.of(mended));
    assertEquals(label.claims().size(), 2);
    assertEquals(label.claims().get(0).figure(), 1000.0);
    assertEquals(label.ratedWattHours().orElseThrow(), 1000.0);
  }

  @Test
  public void capacityFollowsFromAmpHoursAndVolts() {
    assertEquals(Label.read("12.8V 100Ah LiFePO4").ratedWattHours().orElseThrow(), 1280.0, 1e-9);
  }

  @Test
  public void labelIsHeldAgainstItself() {
    List<LabelCheck.Finding> wrong =
        LabelCheck.of(Label.read("500 Wh\n20 Ah 51.2 V\nPV 12-30 V, 3.65 A, 200 W"));
    assertEquals(wrong.get(0).outcome(), LabelCheck.Outcome.CONTRADICTS);
    assertEquals(
        wrong.stream().filter(f -> f.outcome() == LabelCheck.Outcome.CONTRADICTS).count(), 2);
    // 30 V × 3.65 A is at best 110 W: common practice, no published source.
    assertTrue(
        wrong.stream().anyMatch(f -> f.statement().startsWith("3.65 A × 30 V = 109.5 W")),
        wrong.toString());
    List<LabelCheck.Finding> right =
        LabelCheck.of(Label.read("1075 Wh 21 Ah 51.2 V LFP\nAC in 900 W, full in 1.5 h"));
    assertEquals(right.stream().filter(f -> f.outcome() == LabelCheck.Outcome.AGREES).count(), 3);
  }

  /**
   * A share of the rating is watts once the label prints the rating, whatever line it stands in.
   */
  @Test
  public void sharesOfTheRatingBecomeWatts() {
    Label label = Label.read("Overload 125 % for 10 min, 150 % for 10 s\nSurge: 2x rated\n1200 W");
    List<String> said =
        label.claims().stream().map(LabelReader::echo).map(LabelReaderTest::plain).toList();
    assertEquals(
        said,
        List.of(
            "Overload ≥ 1 500 W, for 10 min",
            "Overload ≥ 1 800 W, for 10 s",
            "Surge ≥ 2 400 W",
            "Continuous power ≥ 1 200 W"));
    assertEquals(
        Label.read("Overload 125 % for 10 min").claims().get(0).subject(),
        Subject.OVERLOAD_SHARE,
        "without a rating it stays a share");
  }

  private static String plain(String text) {
    return text.replace('\u2009', ' ');
  }
}
