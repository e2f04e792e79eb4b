package org.wiseember.core.label;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertTrue;

import java.util.List;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;
import org.wiseember.core.label.LabelCheck.Outcome;

public class LabelCheckTest {
  @DataProvider
  Object[][] labels() {
    // label, start of the statement, how it comes out
    return new Object[][] {
      {"1075 Wh\n21 Ah 51.2 V", "21 Ah × 51.2 V", Outcome.AGREES},
      {"1200 Wh\n21 Ah 51.2 V", "21 Ah × 51.2 V", Outcome.CONTRADICTS},
      {"21 Ah 51.2 V", "21 Ah × 51.2 V", Outcome.OPEN},
      {"LFP 16S 51.2 V", "16 cells × 3.2 V", Outcome.AGREES},
      {"LFP 14S 51.2 V", "14 cells × 3.2 V", Outcome.CONTRADICTS},
      {"NMC battery 25.6 V 20 Ah", "25.6 V ÷ 3.65 V", Outcome.AGREES},
      {"PV 12-60 V, 10 A, 400 W", "10 A × 60 V = 600 W", Outcome.AGREES},
      {"PV 12-30 V, 10 A, 400 W", "10 A × 30 V = 300 W", Outcome.CONTRADICTS},
      {"Car port 12 V / 10 A (120 W)", "10 A × 12 V = 120 W", Outcome.AGREES},
      {"AC output 120 V, 15 A, 1800 W", "15 A × 120 V", Outcome.AGREES},
      {"AC output 120 V, 10 A, 1800 W", "10 A × 120 V", Outcome.CONTRADICTS},
      {"1000 Wh\nAC in 900 W, full in 1.5 h", "900 W × 1.5 h", Outcome.AGREES},
      {"2000 Wh\nAC in 900 W, full in 1.5 h", "900 W × 1.5 h", Outcome.CONTRADICTS},
      {"2000 Wh\nAC in 900 W\n0-50 % in 1.5 h", "900 W × 1.5 h", Outcome.AGREES},
      {"1200 W continuous\nSurge 1000 W", "Surge 1 000 W", Outcome.CONTRADICTS},
      {"1200 W continuous\nSurge 2400 W", "Surge 2 400 W", Outcome.OPEN},
      {"Overload 1500 W", "Overload 1 500 W", Outcome.OPEN},
      {"Idle < 12 W", "Idle ≤ 12 W", Outcome.OPEN},
      {"1075 Wh", "Capacity 1 075 Wh", Outcome.OPEN},
      {"1075 Wh", "Not on the label", Outcome.OPEN},
    };
  }

  private static String plain(String text) {
    return text.replace('\u2009', ' ');
  }

  @Test(dataProvider = "labels")
  public void comesOutAsItShould(String label, String statement, Outcome outcome) {
    List<LabelCheck.Finding> findings = LabelCheck.of(Label.read(label));
    LabelCheck.Finding finding =
        findings.stream()
            .filter(f -> plain(f.statement()).startsWith(statement) && f.outcome() == outcome)
            .findFirst()
            .orElseThrow(() -> new AssertionError(statement + " is not in " + findings));
    assertTrue(!finding.remark().isBlank());
  }

  @Test
  public void contradictionsStandFirst() {
    List<LabelCheck.Finding> findings =
        LabelCheck.of(Label.read("1075 Wh 21 Ah 51.2 V LFP\nPV 12-30 V, 10 A, 400 W\nSurge 1 W"));
    int last = -1;
    for (int i = 0; i < findings.size(); i++) {
      if (findings.get(i).outcome() == Outcome.CONTRADICTS) {
        assertEquals(i, last + 1);
        last = i;
      }
    }
    assertTrue(last >= 0);
  }

  @Test
  public void aTimedClaimLeavesNothingOpen() {
    for (LabelCheck.Finding f :
        LabelCheck.of(Label.read("Overload 1500 W for 120 s\nSurge 2400 W for 1 s"))) {
      assertTrue(f.statement().startsWith("Not on the label"), f.toString());
    }
    assertTrue(
        LabelCheck.of(Label.read("Idle AC on: 12 W")).stream()
            .noneMatch(f -> f.statement().startsWith("Idle")));
  }

  @Test
  public void anEmptyLabelIsNotLectured() {
    assertEquals(LabelCheck.of(Label.read("")), List.of());
    assertEquals(LabelCheck.of(Label.read("Made for weekends\n")), List.of());
  }
}
