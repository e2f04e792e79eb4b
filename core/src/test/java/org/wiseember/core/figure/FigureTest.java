package org.wiseember.core.figure;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertFalse;
import static org.testng.Assert.assertSame;
import static org.testng.Assert.assertThrows;
import static org.testng.Assert.assertTrue;

import java.util.List;
import java.util.SplittableRandom;
import org.testng.annotations.Test;
import org.wiseember.core.quantity.Unit;
import org.wiseember.core.uncertainty.Budget;
import org.wiseember.core.uncertainty.Contribution;

/** A figure and what stands behind it cannot part, whatever is done with it. */
public class FigureTest {
  private static Figure energy(double wattHours, double half) {
    return Figure.of(
        "delivered_energy",
        "AC energy",
        wattHours,
        Unit.WATT_HOUR,
        Because.of(Budget.of(Contribution.rectangular("Meter", half)), "E = ∫P dt")
            .summed("from full to cut-off")
            .watching("Warm room"));
  }

  /** ± limits alone are ± 95 % of the limits: every value between is as likely. */
  @Test
  public void itsUncertaintyIsThatOfItsBudget() {
    SplittableRandom random = new SplittableRandom(71);
    for (int n = 0; n < 100; n++) {
      double half = random.nextDouble(0.01, 50);
      Figure figure = energy(random.nextDouble(100, 3000), half);
      assertEquals(figure.u95(), 0.95 * half, 1e-9 * half);
      assertEquals(figure.u95(), figure.budget().u95(), 0);
      assertEquals(figure.high() - figure.low(), 2 * figure.u95(), 1e-9);
    }
  }

  @Test
  public void anotherUnitTakesBudgetAndBoundWithIt() {
    Figure hours = energyTime(7200, 60).bounded(Bound.AT_LEAST).in(Unit.HOUR);
    assertEquals(hours.value(), 2, 1e-12);
    assertEquals(hours.u95(), 0.95 * 60 / 3600, 1e-9);
    assertEquals(hours.budget().u95(), hours.u95(), 1e-9);
    assertEquals(hours.bound(), Bound.AT_LEAST);
    assertEquals(hours.key(), "time_to_full");
    assertThrows(IllegalArgumentException.class, () -> hours.in(Unit.WATT));
    assertSame(hours.in(Unit.HOUR), hours);
  }

  private static Figure energyTime(double seconds, double half) {
    return Figure.of(
        "time_to_full",
        "Full after",
        seconds,
        Unit.SECOND,
        Because.of(Budget.of(Contribution.rectangular("Readings", half)), "from the log"));
  }

  @Test
  public void aBoundIsWrittenAsOne() {
    Figure figure = energy(921, 9 / 0.95);
    assertEquals(figure.words().replace('\u2009', ' '), "921 ± 9 Wh");
    assertTrue(figure.bounded(Bound.AT_LEAST).words().startsWith("≥ "));
    assertTrue(figure.bounded(Bound.AT_MOST).bare().startsWith("≤ "));
    assertFalse(figure.bare().contains("Wh"));
    for (Bound bound : Bound.values()) {
      assertEquals(figure.bounded(bound).bound(), bound);
      assertEquals(figure.bounded(bound).value(), figure.value(), 0);
    }
  }

  @Test
  public void aSureCountStandsWithoutItsUncertainty() {
    Figure count = Figure.of("outputs", "Outputs alive", 3, Unit.ONE, Because.of(Budget.of()));
    assertEquals(count.words(), "3");
  }

  /** What a reason collects is kept, and the one it was made of stays as it was. */
  @Test
  public void aBecauseGathersAndNeverChanges() {
    Figure out = energy(900, 4);
    Figure in = energy(1040, 6);
    Because first = Because.of(Budget.of(), "900 ÷ 1 040");
    Because second =
        first.from(in).from(out, 12).watching("a", "b").otherwise("some say").summed("%");
    assertTrue(first.madeFrom().isEmpty() && first.watchOut().isEmpty());
    assertEquals(second.madeFrom().size(), 2);
    assertEquals(second.madeFrom().get(0).runId(), Because.SAME_RUN);
    assertEquals(second.madeFrom().get(1).runId(), 12);
    assertEquals(second.watchOut(), List.of("a", "b"));
    assertEquals(second.workedOut(), first.workedOut());
    assertEquals(second.otherReading(), "some say");
    assertEquals(second.summary(), "%");
    assertThrows(UnsupportedOperationException.class, () -> second.watchOut().add("c"));
  }

  @Test
  public void anotherNameIsTheSameFigure() {
    Figure figure = energy(900, 4);
    Figure named = figure.as("usable_ac_energy", "Usable").named("Usable at the outlet");
    assertEquals(named.key(), "usable_ac_energy");
    assertEquals(named.name(), "Usable at the outlet");
    assertEquals(named.estimate(), figure.estimate());
    assertSame(named.because(), figure.because());
  }

  /** A long time is told in hours and minutes, its doubt in seconds. */
  @Test
  public void anExplanationTellsLongTimesAsOneSays() {
    Explanation told = Explanation.of(energyTime(5040, 20 / 0.95));
    assertEquals(told.title(), "Full after");
    assertTrue(told.answer().startsWith("1 h 24 min ± 20"), told.answer());
    Explanation brief = Explanation.of(energyTime(42, 1));
    assertTrue(brief.answer().contains("42"), brief.answer());
  }

  @Test
  public void aFindingIsAskedByKey() {
    Finding finding =
        new Finding() {
          @Override
          public List<Figure> figures() {
            return List.of(energy(900, 4), energyTime(60, 1));
          }

          @Override
          public List<Warning> warnings() {
            return List.of(new Warning("gap", "Readings are missing."));
          }
        };
    assertEquals(finding.figure("time_to_full").orElseThrow().value(), 60, 0);
    assertTrue(finding.figure("nothing").isEmpty());
    assertTrue(finding.warns("gap"));
    assertFalse(finding.warns("no_gap"));
  }
}
