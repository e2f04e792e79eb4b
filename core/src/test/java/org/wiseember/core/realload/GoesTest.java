package org.wiseember.core.realload;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertTrue;

import java.util.Optional;
import org.testng.annotations.Test;
import org.wiseember.core.figure.Because;
import org.wiseember.core.figure.Bound;
import org.wiseember.core.figure.Figure;
import org.wiseember.core.quantity.Unit;
import org.wiseember.core.uncertainty.Budget;
import org.wiseember.core.uncertainty.Contribution;
import org.wiseember.core.uncertainty.MeterClass;

public class GoesTest {
  private static final MeterClass METER = MeterClass.ofReading(1, 0, 0);
  private static final Optional<Figure> USABLE =
      Optional.of(
          Figure.of(
              "usable_ac_energy",
              "AC energy delivered",
              1000,
              Unit.WATT_HOUR,
              Because.of(Budget.of(Contribution.of95("Drain", 20)), "read")));

  private static Goes goes(int count, Goes.Both total, Goes.Both display) {
    return new Goes(
        1, "Pot of coffee", count, Optional.ofNullable(total), Optional.ofNullable(display), false);
  }

  /** A pot of coffee is 150 Wh; common practice, no published source. */
  @Test
  public void aPotOfCoffee() {
    Goes pots = goes(2, new Goes.Both(12, 312, 1), null);
    Figure each = pots.energy(METER, USABLE).orElseThrow();
    assertEquals(each.value(), 150.0);
    assertTrue(each.u95() > 1.4 && each.u95() < 2, each.words());
    assertEquals(pots.fromFull(each, USABLE.get()).orElseThrow().value(), 1000 / 150.0, 1e-9);
  }

  /** Saw cuts took 100 to 98 %; common practice, no published source. */
  @Test
  public void cutsByTheDisplay() {
    Goes cuts = goes(10, null, new Goes.Both(100, 98, 1));
    Figure each = cuts.energy(METER, USABLE).orElseThrow();
    assertEquals(each.value(), 2.0, 1e-9);
    // One point either way at both ends of two: it may be nearly nothing or nearly double.
    assertTrue(each.u95() > 1 && each.u95() < 2, each.words());
    assertEquals(cuts.points().orElseThrow(), 0.2, 1e-9);
  }

  /** 78 to 78 %: at most a point for all of them; common practice, no published source. */
  @Test
  public void aDisplayThatDidNotMoveIsABound() {
    Figure each = goes(5, null, new Goes.Both(78, 78, 1)).energy(METER, USABLE).orElseThrow();
    assertEquals(each.bound(), Bound.AT_MOST);
    assertEquals(each.value(), 2.0, 1e-9);
    Figure full =
        goes(5, null, new Goes.Both(78, 78, 1)).fromFull(each, USABLE.get()).orElseThrow();
    assertEquals(full.bound(), Bound.AT_LEAST);
  }

  @Test
  public void whatNobodyReadIsNoFigure() {
    assertTrue(goes(3, null, null).energy(METER, USABLE).isEmpty());
    assertTrue(goes(0, new Goes.Both(0, 30, 1), null).energy(METER, USABLE).isEmpty());
    assertTrue(goes(3, null, new Goes.Both(90, 80, 1)).energy(METER, Optional.empty()).isEmpty());
    assertTrue(goes(3, new Goes.Both(300, 4, 1), null).energy(METER, USABLE).isEmpty());
    assertTrue(
        goes(3, new Goes.Both(300, 4, 1), null).words().get(0).contains("was reset meanwhile"));
  }
}
