package org.wiseember.core.heat;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertTrue;

import java.util.SplittableRandom;
import org.testng.annotations.Test;
import org.wiseember.core.trace.Series;
import org.wiseember.core.uncertainty.MeterClass;

/** Rises whose end is known. */
public class HeatRiseTest {
  private static final MeterClass PROBE = MeterClass.ofReading(0, 2, 0.1);

  private static Series series(int n, java.util.function.IntToDoubleFunction value) {
    double[] t = new double[n];
    double[] v = new double[n];
    for (int i = 0; i < n; i++) {
      t[i] = i * 5;
      v[i] = Math.rint(10 * value.applyAsDouble(i * 5)) / 10;
    }
    return Series.of(t, v);
  }

  /** On 100 unfinished rises the stated interval holds the true end in at least 90. */
  @Test
  public void theEndOfAnUnfinishedRise() {
    SplittableRandom random = new SplittableRandom(5);
    int held = 0;
    for (int seed = 0; seed < 100; seed++) {
      double end = 10 + 30 * random.nextDouble();
      double tau = 600 + 2400 * random.nextDouble();
      double span = tau * (2.1 + random.nextDouble());
      double off = 0.2 * (2 * random.nextDouble() - 1);
      double roomOff = 0.2 * (2 * random.nextDouble() - 1);
      Series warm =
          series(
              (int) (span / 5),
              t -> 22 + off + end * (1 - Math.exp(-t / tau)) + 0.1 * (random.nextDouble() - 0.5));
      Series room = series((int) (span / 5), t -> 22 + roomOff);
      HeatRise rise = HeatRise.of(warm, room, 0, span, PROBE).orElseThrow();
      double found = rise.heading().orElseThrow().value();
      held += Math.abs(found - end) <= rise.heading().orElseThrow().u95() ? 1 : 0;
      assertEquals(found, end, 0.1 * end + 1, "seed " + seed);
    }
    assertTrue(held >= 90, held + " of 100");
  }

  /** A case behind which something slower warms: the first bend does not tell its end. */
  @Test
  public void twoWarmingsHold() {
    SplittableRandom random = new SplittableRandom(6);
    int held = 0;
    int told = 0;
    for (int seed = 0; seed < 100; seed++) {
      double quick = 4 + 10 * random.nextDouble();
      double slow = 4 + 10 * random.nextDouble();
      double tau = 400 + 600 * random.nextDouble();
      double span = 4 * tau * (1.5 + 3 * random.nextDouble());
      Series warm =
          series(
              (int) (span / 5),
              t ->
                  22
                      + quick * (1 - Math.exp(-t / tau))
                      + slow * (1 - Math.exp(-t / (4 * tau)))
                      + 0.1 * (random.nextDouble() - 0.5));
      HeatRise rise =
          HeatRise.of(warm, series((int) (span / 5), t -> 22), 0, span, PROBE).orElseThrow();
      if (rise.heading().isEmpty()) {
        assertTrue(rise.reached().low() <= quick + slow, "at least what was reached");
        continue;
      }
      told++;
      held +=
          Math.abs(rise.heading().get().value() - quick - slow) <= rise.heading().get().u95()
              ? 1
              : 0;
    }
    assertTrue(told > 20, told + " told");
    assertTrue(held >= 0.9 * told, held + " of " + told);
  }

  @Test
  public void aFinishedRise() {
    Series warm = series(4000, t -> 21 + 18 * (1 - Math.exp(-t / 900.0)));
    HeatRise rise = HeatRise.of(warm, series(4000, t -> 21), 0, 20_000, PROBE).orElseThrow();
    assertEquals(rise.heading().orElseThrow().value(), 18, 0.2);
    assertEquals(rise.timeConstant().orElseThrow().value(), 900, 20);
    assertEquals(rise.reached().value(), 18, 0.2);
    assertTrue(rise.warnings().isEmpty(), rise.warnings().toString());
  }

  @Test
  public void aRiseTooShortSaysSo() {
    Series warm = series(60, t -> 21 + 18 * (1 - Math.exp(-t / 2400.0)));
    HeatRise rise = HeatRise.of(warm, series(60, t -> 21), 0, 300, PROBE).orElseThrow();
    assertTrue(rise.heading().isEmpty());
    assertTrue(rise.warnings().get(0).code().equals("too_short_rise"));
    assertTrue(HeatRise.of(series(5, t -> 21), series(5, t -> 21), 0, 25, PROBE).isEmpty());
  }

  @Test
  public void withoutARoomProbeTheStartStandsForIt() {
    Series none = Series.of(new double[0], new double[0]);
    HeatRise rise =
        HeatRise.of(series(2000, t -> 23 + 10 * (1 - Math.exp(-t / 900.0))), none, 0, 9000, PROBE)
            .orElseThrow();
    assertEquals(rise.heading().orElseThrow().value(), 10, 0.3);
    assertTrue(rise.warnings().stream().anyMatch(w -> w.code().equals("no_room")));
  }
}
