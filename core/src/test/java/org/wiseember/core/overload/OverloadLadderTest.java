package org.wiseember.core.overload;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertFalse;
import static org.testng.Assert.assertTrue;

import java.util.Arrays;
import java.util.Map;
import java.util.SplittableRandom;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;
import org.wiseember.core.Thorough;
import org.wiseember.core.trace.Channel;
import org.wiseember.core.trace.Trace;
import org.wiseember.core.uncertainty.HeldByChance;
import org.wiseember.core.uncertainty.MeterClass;
import org.wiseember.core.waveform.Capture;

/** Trips and holds from traces whose truth is known. */
public class OverloadLadderTest {
  private static final MeterClass METER = MeterClass.ofReading(0.5, 2, 0.1);

  /** A trace of rows "seconds, watts, volts"; volts NaN leaves the column out. */
  private static Trace rows(double pace, double volts, double[]... stays) {
    double end = Arrays.stream(stays).mapToDouble(s -> s[0]).sum();
    int n = (int) Math.floor(end / pace);
    double[] t = new double[n];
    double[] p = new double[n];
    double[] v = new double[n];
    for (int i = 0; i < n; i++) {
      t[i] = i * pace;
      double at = t[i];
      for (double[] stay : stays) {
        if (at < stay[0]) {
          p[i] = stay[1];
          v[i] = stay.length > 2 ? stay[2] : volts;
          break;
        }
        at -= stay[0];
      }
    }
    return new Trace(
        t,
        Double.isNaN(volts)
            ? Map.of(Channel.AC_POWER, p)
            : Map.of(Channel.AC_POWER, p, Channel.AC_VOLTAGE, v));
  }

  private static OverloadFinding of(Trace trace) {
    return OverloadLadder.of(trace, OverloadMethod.measuredWith(1200, METER));
  }

  @DataProvider
  Object[][] trips() {
    return new Object[][] {
      // Common practice, no published source: 500 W rated, 550 W held for 3 min; 1 800 W rated,
      // 2 400 W held for about 30 s.
      {1.0, 0.0, 550.0, 180.0},
      {1.0, 900.0, 2400.0, 30.0},
      {0.2, 500.0, 1500.0, 138.2},
      {5.0, 300.0, 1500.0, 140.0},
      {1.0, 1000.0, 1500.0, 4.0}
    };
  }

  @Test(dataProvider = "trips")
  public void theTimeIsCountedFromTheLastStep(
      double pace, double base, double watts, double seconds) {
    for (double volts : new double[] {230, Double.NaN}) {
      Trace trace =
          rows(
              pace,
              volts,
              new double[] {60, base},
              new double[] {seconds, watts},
              new double[] {120, 0, 0});
      OverloadFinding f = of(trace);
      assertEquals(f.tripTime().orElseThrow().value(), seconds, pace);
      assertTrue(
          Math.abs(f.tripTime().orElseThrow().value() - seconds)
              <= f.tripTime().orElseThrow().u95() + 1e-9);
      assertEquals(f.heldPower().orElseThrow().value(), watts, watts * 0.005);
      assertEquals(f.trips().size(), 1);
      assertEquals(f.trips().get(0).before(), base, 1);
      assertEquals(f.warns("no_volts"), Double.isNaN(volts));
    }
  }

  /** With volts still there the load was pulled, which is no trip. */
  @Test
  public void aLoadTakenOffIsNoTrip() {
    OverloadFinding f =
        of(rows(1, 230, new double[] {60, 500}, new double[] {600, 1500}, new double[] {60, 0}));
    assertTrue(f.tripTime().isEmpty());
    assertTrue(f.warns("no_trip"));
    assertEquals(f.heldPower().orElseThrow().value(), 1500, 1);
    assertEquals(f.holds().get(1).end(), Hold.End.TAKEN_OFF);
    assertEquals(f.holds().get(1).seconds(), 600, 1);
  }

  @Test
  public void alogThatEndsUnderLoadShowsNoTrip() {
    OverloadFinding f = of(rows(1, 230, new double[] {60, 500}, new double[] {300, 1500}));
    assertTrue(f.tripTime().isEmpty());
    assertEquals(f.holds().get(1).end(), Hold.End.STILL_ON);
    assertTrue(f.warnings().stream().anyMatch(w -> w.message().contains("A meter that dies with")));
  }

  /** Two readings below a tenth are a blink, three are a trip. */
  @Test
  public void aBlinkOfTwoReadingsIsNoTrip() {
    OverloadFinding blink =
        of(
            rows(
                1,
                Double.NaN,
                new double[] {60, 500},
                new double[] {50, 1500},
                new double[] {2, 0},
                new double[] {80, 1500},
                new double[] {60, 0}));
    assertEquals(blink.tripTime().orElseThrow().value(), 132, 1);
    OverloadFinding trip =
        of(
            rows(
                1,
                Double.NaN,
                new double[] {60, 500},
                new double[] {50, 1500},
                new double[] {5, 0},
                new double[] {80, 1500},
                new double[] {60, 0}));
    assertEquals(trip.tripTime().orElseThrow().value(), 50, 1);
    assertTrue(trip.warns("several_trips"));
  }

  /** A ramp reading and a cold heater's spike belong to the step. */
  @Test
  public void rampsAndSpikesBelongToTheStep() {
    OverloadFinding ramp =
        of(
            rows(
                1,
                230,
                new double[] {60, 500},
                new double[] {1, 950},
                new double[] {99, 1500},
                new double[] {60, 0, 0}));
    assertEquals(ramp.tripTime().orElseThrow().value(), 100, 1);
    OverloadFinding spike =
        of(
            rows(
                1,
                230,
                new double[] {60, 500},
                new double[] {1, 1900},
                new double[] {99, 1500},
                new double[] {60, 0, 0}));
    assertEquals(spike.tripTime().orElseThrow().value(), 100, 1);
    assertEquals(spike.heldPower().orElseThrow().value(), 1500, 1);
  }

  /** A heater that warms up drifts, and a unit whose volts sag: still one hold. */
  @Test
  public void aDriftingLoadIsOneHold() {
    int n = 300;
    double[] t = new double[n];
    double[] p = new double[n];
    double[] v = new double[n];
    for (int i = 0; i < n; i++) {
      t[i] = i;
      boolean on = i >= 30 && i < 230;
      p[i] =
          on ? 1600 * (1 + 0.05 * Math.exp(-(i - 30) / 60.0)) - 0.3 * (i - 30) : i < 30 ? 400 : 0;
      v[i] = i < 230 ? 228 : 0;
    }
    OverloadFinding f = of(new Trace(t, Map.of(Channel.AC_POWER, p, Channel.AC_VOLTAGE, v)));
    assertEquals(f.holds().size(), 2);
    assertEquals(f.tripTime().orElseThrow().value(), 200, 1);
  }

  @Test
  public void aHoleWhereItTrippedWidensTheTime() {
    double[] t = new double[200];
    double[] p = new double[200];
    for (int i = 0; i < 200; i++) {
      t[i] = i < 120 ? i : i + 100;
      p[i] = i < 20 ? 300 : i < 120 ? 1500 : 0;
    }
    OverloadFinding f = of(new Trace(t, Map.of(Channel.AC_POWER, p)));
    assertTrue(f.warns("gap"));
    assertTrue(f.tripTime().orElseThrow().u95() >= 50);
  }

  @Test
  public void vaAreSaidToBeVaAndNothingIsSaid() {
    Trace va =
        new Trace(
            new double[] {0, 1, 2, 3, 4, 5, 6, 7},
            Map.of(
                Channel.AC_VOLTAGE, new double[] {230, 230, 230, 230, 230, 0, 0, 0},
                Channel.AC_CURRENT, new double[] {0, 0, 6, 6, 6, 0, 0, 0}));
    OverloadFinding f = of(va);
    assertTrue(f.warns("va_not_watts"));
    assertEquals(f.tripTime().orElseThrow().value(), 3, 1);
    assertTrue(of(Trace.empty()).warns("no_power"));
    assertTrue(of(rows(1, 230, new double[] {60, 0})).warns("no_load"));
  }

  @Test
  public void aTripBelowTheRatingIsSaid() {
    OverloadFinding f =
        of(rows(1, 230, new double[] {20, 300}, new double[] {90, 1000}, new double[] {60, 0, 0}));
    assertTrue(f.warns("below_rating"));
  }

  /** The inverter remembers heat: the second try is shorter, and it is said. */
  @Test
  public void aWarmTryIsNoticed() {
    OverloadLog log = new OverloadLog(new TripCurve(1300, 90), 1, 1, 3);
    log.rest(30);
    double first = log.hold(1700, 1000);
    log.rest(60);
    double second = log.hold(1700, 1000);
    log.rest(60);
    assertTrue(second < 0.85 * first);
    OverloadFinding f = of(log.trace(true));
    assertTrue(f.warns("warm_try"));
    assertEquals(f.tripTime().orElseThrow().value(), first, 1.5);
    assertEquals(f.trips().get(1).seconds(), second, 1.5);
  }

  /**
   * On 100 inverters of known curve, loads from a base and with too short rests between, read by a
   * meter anywhere within its class: the trip times at 1.25 and 1.5 times the rating lie within
   * their bands in at least 90.
   */
  @Test
  public void theBandHoldsTheTruth() {
    SplittableRandom random = new SplittableRandom(77);
    int units = Thorough.tries(40, 100);
    int[] held = new int[2];
    double[] shares = {1.25, 1.5};
    for (int seed = 0; seed < units; seed++) {
      double rated = 300 + 2000 * random.nextDouble();
      TripCurve truth =
          new TripCurve(
              rated * (1.04 + 0.12 * random.nextDouble()), 20 + 200 * random.nextDouble());
      double off = 0.005 * (2 * random.nextDouble() - 1);
      OverloadLog log = new OverloadLog(truth, 1, 1 + off, seed);
      double base = 0.5 * rated;
      for (double share : new double[] {1.02, 1.2, 1.3, 1.6, 1.9}) {
        log.rest(200 + 600 * random.nextDouble());
        log.hold(base, 120);
        log.hold(share * rated, 900);
      }
      log.rest(60);
      TripFit fit = of(log.trace(true)).fit().orElseThrow();
      for (int i = 0; i < 2; i++) {
        double t = truth.tripSeconds(shares[i] * rated, base);
        TripFit.Band band = fit.seconds(shares[i] * rated, base).orElseThrow();
        held[i] += band.low() <= t && t <= band.high() ? 1 : 0;
        assertTrue(band.value() < 3 * t && t < 3 * band.value(), band + " for " + t);
      }
    }
    for (int i = 0; i < 2; i++) {
      HeldByChance.check("at " + shares[i] + " of the rating", held[i], units);
    }
  }

  @Test
  public void oneLoadMakesNoCurve() {
    OverloadFinding f =
        of(rows(1, 230, new double[] {20, 300}, new double[] {90, 1500}, new double[] {60, 0, 0}));
    assertTrue(f.fit().isEmpty());
    assertFalse(f.figures().get(0).because().workedOut().isEmpty());
  }

  /** t = τ·ln((P² − P₀²) ÷ (P² − P_k²)) by hand: 60·ln(2.25 ÷ (2.25 − 1.1664)) = 43.84 s. */
  @Test
  public void theCurveByHand() {
    TripCurve curve = new TripCurve(1.08, 60);
    assertEquals(curve.tripSeconds(1.5, 0), 43.84, 0.01);
    assertEquals(curve.tripSeconds(1.5, 0.5), 60 * Math.log(2 / (2.25 - 1.1664)), 1e-9);
    assertTrue(Double.isInfinite(curve.tripSeconds(1.08, 0)));
    assertEquals(curve.tripSeconds(2, 1.2), 0.0);
    assertEquals(curve.wattsFor(curve.tripSeconds(1.5, 0.4), 0.4), 1.5, 1e-9);
  }

  /** The image from stretches is that of many small steps. */
  @Test
  public void heatIsRemembered() {
    OverloadLog log = new OverloadLog(new TripCurve(2000, 50), 1, 1, 5);
    log.rest(100);
    log.hold(1500, 70);
    log.rest(40);
    Trace trace = log.trace(true);
    double end = trace.seconds(trace.size() - 1);
    double expected = 1500 * 1500 * -Math.expm1(-70 / 50.0) * Math.exp(-40 / 50.0);
    double image = LoadHistory.upTo(trace.series(Channel.AC_POWER), end).image(50);
    assertEquals(image, expected, 0.03 * expected);
  }

  private static Capture caught(double on, double off) {
    double[] v = new double[10_000];
    double[] a = new double[v.length];
    for (int i = 0; i < v.length; i++) {
      double t = i / 10_000.0;
      double sine = Math.sin(2 * Math.PI * 50 * t + 0.4);
      v[i] = t < off ? 325 * sine : 0;
      a[i] = t < off ? (t < on ? 3 : 18) * sine : 0;
    }
    return Capture.of(10_000, v, a);
  }

  /** Trips between readings of a meter, timed by half-cycle volts within half a cycle. */
  @Test
  public void aTripOfPartOfASecondIsTimedByItsVolts() {
    for (double held : new double[] {0.1, 0.25, 0.5, 0.75}) {
      CapturedTrip trip = CapturedTrip.in(caught(0.15, 0.15 + held), 50).orElseThrow();
      assertEquals(trip.seconds(), held, 0.01, "held " + held);
      Trace trace =
          rows(1, 230, new double[] {60, 300}, new double[] {1, 2200}, new double[] {60, 0, 0});
      OverloadFinding f =
          OverloadLadder.of(trace, OverloadMethod.measuredWith(1200, METER), Map.of(59.6, trip));
      assertEquals(f.tripTime().orElseThrow().value(), held, 0.01);
      // Half a cycle, and what an inverter repeats itself by.
      assertTrue(f.tripTime().orElseThrow().u95() <= 0.0101 + 0.02 * held);
    }
    assertTrue(CapturedTrip.in(caught(0.15, 2), 50).isEmpty(), "it held");
    assertTrue(CapturedTrip.in(Capture.of(10_000, new double[10_000]), 50).isEmpty());
  }
}
