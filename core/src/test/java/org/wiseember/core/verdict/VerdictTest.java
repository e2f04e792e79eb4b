package org.wiseember.core.verdict;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertThrows;
import static org.testng.Assert.assertTrue;

import java.util.List;
import java.util.SplittableRandom;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;
import org.wiseember.core.figure.Because;
import org.wiseember.core.figure.Bound;
import org.wiseember.core.figure.Figure;
import org.wiseember.core.label.Claim;
import org.wiseember.core.label.Direction;
import org.wiseember.core.label.Subject;
import org.wiseember.core.quantity.Unit;
import org.wiseember.core.uncertainty.Budget;
import org.wiseember.core.uncertainty.Contribution;
import org.wiseember.core.uncertainty.Estimate;

public class VerdictTest {
  private static final Claim AT_LEAST = Claim.atLeast(Subject.CAPACITY, 1000, "");
  private static final Claim AT_MOST = Claim.atMost(Subject.IDLE, 12, "");
  private static final Claim BAND =
      new Claim(Subject.OUTPUT_VOLTAGE, Direction.BAND, 218.5, 241.5, "", List.of(), "");

  private static Figure figure(Claim claim, double value, double u95) {
    return new Figure(
        "found",
        "Found",
        new Estimate(value, u95),
        claim.unit(),
        Bound.EXACT,
        Because.of(Budget.of()));
  }

  @DataProvider
  Object[][] guarded() {
    // JCGM 106:2012 with a guard band of U (recalled from memory): said only when all of ± U is on
    // one side.
    return new Object[][] {
      {AT_LEAST, 1010.0, 10.0, Standing.KEPT},
      {AT_LEAST, 1009.9, 10.0, Standing.TOO_CLOSE},
      {AT_LEAST, 990.1, 10.0, Standing.TOO_CLOSE},
      {AT_LEAST, 990.0, 10.0, Standing.SHORT},
      {AT_MOST, 11.5, 0.4, Standing.KEPT},
      {AT_MOST, 11.8, 0.4, Standing.TOO_CLOSE},
      {AT_MOST, 15.4, 0.4, Standing.SHORT},
      {BAND, 230.0, 2.0, Standing.KEPT},
      {BAND, 240.0, 2.0, Standing.TOO_CLOSE},
      {BAND, 215.0, 2.0, Standing.SHORT},
      {BAND, 245.0, 2.0, Standing.SHORT},
      {AT_LEAST, 1000.0, 0.0, Standing.KEPT},
      {AT_LEAST, 999.0, 0.0, Standing.SHORT},
    };
  }

  @Test(dataProvider = "guarded")
  public void guardBandDecides(Claim claim, double value, double u95, Standing expected) {
    assertEquals(Verdict.judge(claim, figure(claim, value, u95), true).standing(), expected);
  }

  @DataProvider
  Object[][] bounds() {
    // A bound keeps or breaks a claim only where every value it allows does.
    return new Object[][] {
      {AT_LEAST, Bound.AT_LEAST, 1010.0, Standing.KEPT},
      {AT_LEAST, Bound.AT_LEAST, 1005.0, Standing.RIG_CANNOT_SHOW},
      {AT_LEAST, Bound.AT_LEAST, 500.0, Standing.RIG_CANNOT_SHOW},
      {AT_LEAST, Bound.AT_MOST, 985.0, Standing.SHORT},
      {AT_LEAST, Bound.AT_MOST, 1500.0, Standing.RIG_CANNOT_SHOW},
      {AT_MOST, Bound.AT_MOST, 1.0, Standing.KEPT},
      {AT_MOST, Bound.AT_MOST, 20.0, Standing.RIG_CANNOT_SHOW},
      {AT_MOST, Bound.AT_LEAST, 30.0, Standing.SHORT},
      {AT_MOST, Bound.AT_LEAST, 5.0, Standing.RIG_CANNOT_SHOW},
      {BAND, Bound.AT_LEAST, 260.0, Standing.SHORT},
      {BAND, Bound.AT_LEAST, 230.0, Standing.RIG_CANNOT_SHOW},
      {BAND, Bound.AT_MOST, 200.0, Standing.SHORT},
    };
  }

  @Test(dataProvider = "bounds")
  public void aBoundIsNoFigure(Claim claim, Bound bound, double value, Standing expected) {
    Verdict verdict = Verdict.judge(claim, figure(claim, value, 10).bounded(bound), true);
    assertEquals(verdict.standing(), expected, verdict.reason());
    assertEquals(verdict.measured().orElseThrow().bound(), bound);
  }

  /** A time found in seconds is held against a label in hours, and shown as the label has it. */
  @Test
  public void aFigureIsJudgedInTheUnitOfItsClaim() {
    Claim full = Claim.atMost(Subject.CHARGE_TIME, 1.5, "");
    Figure found =
        Figure.of(
            "time_to_full",
            "Full",
            5220,
            Unit.SECOND,
            Because.of(Budget.of(Contribution.of95("End", 36))));
    Figure judged = Verdict.judge(full, found, true).measured().orElseThrow();
    assertEquals(judged.unit(), Unit.HOUR);
    assertEquals(judged.value(), 1.45, 1e-12);
    assertEquals(judged.u95(), 0.01, 1e-9);
    assertEquals(judged.budget().u95(), judged.u95(), 1e-9);
    assertThrows(IllegalArgumentException.class, () -> found.in(Unit.WATT));
  }

  @Test
  public void withoutGuardBandItIsAPlainComparison() {
    Verdict verdict = Verdict.judge(AT_LEAST, figure(AT_LEAST, 999, 50), false);
    assertEquals(verdict.standing(), Standing.SHORT);
    assertTrue(verdict.reason().contains("guard band is off"), verdict.reason());
  }

  @Test
  public void seamPutsTheClaimAtAHundred() {
    assertEquals(seam(AT_LEAST, 857).percent(), 85.7, 1e-9);
    assertEquals(seam(AT_MOST, 15).percent(), 80.0, 1e-9);
    assertEquals(seam(AT_MOST, 0).percent(), ClaimScalePosition.MOST);
    assertEquals(seam(BAND, 218.5).percent(), 100, 1e-9);
    assertEquals(seam(BAND, 241.5).percent(), 100, 1e-9);
    assertTrue(seam(BAND, 200).percent() < 100);
  }

  private static ClaimScalePosition seam(Claim claim, double value) {
    return Verdict.judge(claim, figure(claim, value, 0), true).seam().orElseThrow();
  }

  /** Whatever is measured: the side of the seam is the side of the verdict. */
  @Test
  public void seamAndVerdictAgree() {
    SplittableRandom random = new SplittableRandom(9);
    for (int i = 0; i < 5_000; i++) {
      Claim claim = List.of(AT_LEAST, AT_MOST, BAND).get(random.nextInt(3));
      double value = claim.figure() * (0.5 + random.nextDouble());
      double u95 = claim.figure() * 0.05 * random.nextDouble();
      Verdict verdict = Verdict.judge(claim, figure(claim, value, u95), true);
      ClaimScalePosition seam = verdict.seam().orElseThrow();
      assertTrue(seam.worse() <= seam.percent() + 1e-9 && seam.percent() <= seam.better() + 1e-9);
      if (verdict.standing() == Standing.KEPT) {
        assertTrue(seam.worse() >= 100 - 1e-9, verdict.toString());
      } else if (verdict.standing() == Standing.SHORT) {
        assertTrue(seam.better() <= 100 + 1e-9, verdict.toString());
      }
    }
  }

  @Test
  public void aPlainFactIsNotJudged() {
    Claim cells = new Claim(Subject.CELLS, Direction.STATED, 16, Double.NaN, "", List.of(), "16S");
    assertThrows(
        IllegalArgumentException.class, () -> Verdict.judge(cells, figure(cells, 16, 0), true));
  }
}
