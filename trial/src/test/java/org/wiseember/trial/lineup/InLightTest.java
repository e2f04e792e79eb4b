package org.wiseember.trial.lineup;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertTrue;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import org.testng.annotations.Test;
import org.wiseember.core.figure.Because;
import org.wiseember.core.figure.Figure;
import org.wiseember.core.label.Label;
import org.wiseember.core.quantity.Unit;
import org.wiseember.core.solar.tried.SolarTrial;
import org.wiseember.core.solar.tried.Tried;
import org.wiseember.core.solar.tried.TriedSetup;
import org.wiseember.core.uncertainty.Budget;
import org.wiseember.core.uncertainty.Contribution;
import org.wiseember.core.uncertainty.Estimate;
import org.wiseember.core.uncertainty.MeterClass;
import org.wiseember.trial.kind.TestRun;
import org.wiseember.trial.kind.UnitFindings;
import org.wiseember.trial.kind.solar.SolarTrialRun;

/** Watts from panels stand beside each other only in one light. */
public class InLightTest {
  private record Tested(List<TestRun> runs) implements UnitFindings {
    @Override
    public Label label() {
      return Label.read("");
    }

    @Override
    public Optional<Estimate> usableWattHours() {
      return Optional.empty();
    }
  }

  /** A trial with a line for each pair of light and watts. */
  private static Tested tried(String setup, double... luxAndWatts) {
    List<Tried> lines = new ArrayList<>();
    for (int i = 0; i < luxAndWatts.length; i += 2) {
      lines.add(
          new Tried(
              1 + i / 2,
              TriedSetup.read(setup),
              Optional.of(
                  Figure.of(
                      "tried",
                      setup,
                      luxAndWatts[i + 1],
                      Unit.WATT,
                      Because.of(Budget.of(Contribution.of95("Meter", 2)), "read"))),
              OptionalDouble.of(luxAndWatts[i]),
              OptionalDouble.empty(),
              OptionalDouble.empty()));
    }
    return new Tested(
        List.of(
            new SolarTrialRun(
                null, SolarTrial.of(lines, MeterClass.ofReading(1, 0, 0)), List.of())));
  }

  @Test
  public void theLightIsTheOneMostWereSeenIn() {
    Tested noon = tried("2 x 100 W", 95_000, 170, 60_000, 110);
    Tested cloud = tried("2 x 100 W", 58_000, 101);
    assertEquals(InLight.shared(List.of(noon, cloud)).orElseThrow(), 60_000, 0);
    assertEquals(InLight.shared(List.of(noon)).orElseThrow(), 95_000, 0);
    assertTrue(InLight.shared(List.of(new Tested(List.of()))).isEmpty());
  }

  /** A tenth brighter or darker is like; farther is no figure, and nothing is carried there. */
  @Test
  public void wattsOfAnotherLightAreNone() {
    Tested unit = tried("2 x 100 W", 60_000, 110, 90_000, 160);
    assertEquals(InLight.watts(unit, 62_000).orElseThrow().value(), 110, 0);
    assertTrue(InLight.watts(unit, 75_000).isEmpty());
    Figure exact = InLight.watts(unit, 60_000).orElseThrow();
    Figure beside = InLight.watts(unit, 65_000).orElseThrow();
    assertTrue(beside.u95() > exact.u95(), beside.u95() + " and " + exact.u95());
    assertTrue(exact.u95() > 5, "another day's light meter: " + exact.u95());
    assertTrue(exact.because().summary().contains("2 x 100 W"), exact.because().summary());
  }

  /** What the same panels gave to another unit, or a bench supply gave, is not this unit's sun. */
  @Test
  public void onlyWhatThisUnitTookFromPanelsCounts() {
    assertTrue(InLight.watts(tried("2 x 100 W, second unit", 60_000, 140), 60_000).isEmpty());
  }
}
