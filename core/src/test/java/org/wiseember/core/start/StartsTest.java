package org.wiseember.core.start;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertThrows;
import static org.testng.Assert.assertTrue;

import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;
import org.wiseember.core.start.MotorStart.Outcome;
import org.wiseember.core.waveform.Capture;

/** What motors take, what a capture shows, and what a count of tries says. */
public class StartsTest {
  /**
   * Wilson's score interval. 8 of 8, 5 of 8 and 0 of 10 worked by hand from the formula: for 8 of 8
   * the low end is n ÷ (n + z²) = 8 ÷ 11.8415 = 0.6756; for 0 of 10 the high end z² ÷ (n + z²) =
   * 0.2775.
   */
  @DataProvider
  Object[][] counts() {
    return new Object[][] {
      {8, 8, 0.6756, 1.0}, {0, 10, 0.0, 0.2775}, {5, 8, 0.3057, 0.8632}, {1, 1, 0.2065, 1.0},
    };
  }

  @Test(dataProvider = "counts")
  public void wilsonByHand(int k, int n, double low, double high) {
    Wilson w = Wilson.of(k, n);
    assertEquals(w.low(), low, 5e-4);
    assertEquals(w.high(), high, 5e-4);
  }

  /** Against a second library's own implementation of the same interval. */
  @Test
  public void wilsonOfASecondLibrary() {
    for (int n = 1; n <= 40; n += 3) {
      for (int k = 0; k <= n; k++) {
        var other =
            new org.apache.commons.math3.stat.interval.WilsonScoreInterval()
                .createInterval(n, k, 0.95);
        assertEquals(Wilson.of(k, n).low(), Math.max(0, other.getLowerBound()), 1e-9);
        assertEquals(Wilson.of(k, n).high(), Math.min(1, other.getUpperBound()), 1e-9);
      }
    }
    assertThrows(IllegalArgumentException.class, () -> Wilson.of(3, 2));
  }

  /** NEC table 430.7(B), recalled from memory: kVA a horsepower with the rotor locked. */
  @Test
  public void codeLetters() {
    assertEquals(CodeLetter.of("g").orElseThrow().low(), 5.6);
    assertEquals(CodeLetter.G.high(), 6.29);
    assertEquals(CodeLetter.A.high(), 3.14);
    assertEquals(CodeLetter.V.low(), 22.4);
    for (String none : List.of("I", "O", "Q", "", "GG")) {
      assertTrue(CodeLetter.of(none).isEmpty(), none);
    }
    for (int i = 1; i < CodeLetter.values().length; i++) {
      double gap = CodeLetter.values()[i].low() - CodeLetter.values()[i - 1].high();
      assertEquals(gap, 0.01, 1e-9, CodeLetter.values()[i].name());
    }
  }

  private static Nameplate plate(Nameplate.Kind kind, double volts, double amps) {
    return new Nameplate(
        "motor",
        kind,
        volts,
        amps,
        OptionalDouble.empty(),
        Optional.empty(),
        OptionalDouble.empty(),
        Nameplate.Eased.NOTHING);
  }

  @Test
  public void whatANameplateSays() {
    // Common practice, no published source: up to seven times the running power.
    StartPower induction = StartPower.of(plate(Nameplate.Kind.INDUCTION, 120, 6));
    assertEquals(induction.high(), 7 * 720, 1e-9);
    // Common practice, no published source: a 12 A motor may pull 40 A stalled.
    StartPower brushed = StartPower.of(plate(Nameplate.Kind.UNIVERSAL, 120, 12));
    assertEquals(brushed.high(), 40 * 120, 1e-6);
    // Common practice, no published source: a linear compressor has no surge at all.
    StartPower linear = StartPower.of(plate(Nameplate.Kind.ELECTRONIC, 230, 0.8));
    assertEquals(linear.low(), 184, 1e-9);
    assertTrue(linear.high() < 1.2 * 184);
    // Code G, 1.5 hp: 8.4 to 9.435 kVA; locked-rotor 40 A × 230 V = 9.2 kVA.
    StartPower both =
        StartPower.of(
            new Nameplate(
                "pump",
                Nameplate.Kind.INDUCTION,
                230,
                Double.NaN,
                OptionalDouble.of(40),
                Optional.of(CodeLetter.G),
                OptionalDouble.of(1.5),
                Nameplate.Eased.NOTHING));
    assertEquals(both.ways().size(), 2);
    assertEquals(both.low(), 8280, 1);
    assertEquals(both.high(), 10120, 1);
    assertThrows(
        IllegalArgumentException.class,
        () -> StartPower.of(plate(Nameplate.Kind.INDUCTION, 230, Double.NaN)));
  }

  @Test
  public void aSoftStarterChangesTheAnswer() {
    Nameplate bare = plate(Nameplate.Kind.INDUCTION, 230, 4);
    Nameplate soft =
        new Nameplate(
            bare.name(),
            bare.kind(),
            bare.volts(),
            bare.amps(),
            bare.lockedRotorAmps(),
            bare.code(),
            bare.horsepower(),
            Nameplate.Eased.SOFT_STARTER);
    assertTrue(StartPower.of(soft).high() < 0.6 * StartPower.of(bare).high());
  }

  /** Common practice, no published source: 29 A × 120 V = 3 480 VA, 36 A × 120 V = 4 320 VA. */
  @Test
  public void inrushFromAClamp() {
    assertEquals(InrushReading.voltAmperes(120, 29), 3480.0);
    assertEquals(InrushReading.voltAmperes(120, 36), 4320.0);
  }

  @DataProvider
  Object[][] answers() {
    OptionalDouble none = OptionalDouble.empty();
    return new Object[][] {
      {OptionalDouble.of(3000), none, StartForecast.Likely.YES},
      {OptionalDouble.of(1500), none, StartForecast.Likely.LIKELY},
      {OptionalDouble.of(800), OptionalDouble.of(1000), StartForecast.Likely.NO},
      {OptionalDouble.of(800), OptionalDouble.of(2000), StartForecast.Likely.UNLIKELY},
      {OptionalDouble.of(800), none, StartForecast.Likely.UNKNOWN},
      {none, none, StartForecast.Likely.UNKNOWN},
      {none, OptionalDouble.of(900), StartForecast.Likely.NO},
    };
  }

  @Test(dataProvider = "answers")
  public void willItStart(
      OptionalDouble held, OptionalDouble failed, StartForecast.Likely expected) {
    StartPower takes = new StartPower(List.of(new StartPower.Way("by hand", 1200, 2400)));
    StartForecast answer = StartForecast.of(takes, held, failed);
    assertEquals(answer.likely(), expected, answer.reason());
    assertTrue(answer.reason().contains("1\u2009200 to 2\u2009400 VA"), answer.reason());
  }

  /**
   * A capture of a motor that takes {@code locked} A for {@code run} s and then {@code running} A,
   * on a source that gives way by {@code ohms}.
   */
  private static Capture start(
      double rate, double locked, double running, double run, double ohms, double dies) {
    int n = (int) (1.5 * rate);
    double[] v = new double[n];
    double[] a = new double[n];
    for (int i = 0; i < n; i++) {
      double t = i / rate;
      double amps = t < 0.2 ? 0 : t < 0.2 + run ? locked : running;
      double volts = 230 - ohms * amps;
      boolean dead = t > dies;
      v[i] = dead ? 0 : Math.sqrt(2) * volts * Math.sin(2 * Math.PI * 50 * t);
      a[i] = dead ? 0 : Math.sqrt(2) * amps * Math.sin(2 * Math.PI * 50 * t - 1.1);
    }
    return Capture.of(rate, v, a);
  }

  @Test
  public void aStartIsRead() {
    MotorStart s = MotorStart.of(start(5000, 20, 3, 0.34, 1.5, 9), 50).orElseThrow();
    assertEquals(s.outcome(), Outcome.STARTED);
    assertEquals(s.peakAmps(), 20 * Math.sqrt(2), 0.05);
    assertEquals(s.mostRmsAmps(), 20, 0.1);
    assertEquals(s.leastVolts(), 200, 1);
    assertEquals(s.mostVoltAmperes(), 4000, 40);
    assertEquals(s.startSeconds(), 0.34, 0.02);
    assertEquals(s.dipSeconds(), 0.34, 0.025);
    assertEquals(s.dipPercent(), 13, 0.5);
    assertEquals(s.sourceOhms(), 1.5, 0.05);
    // A stiff source would give 20 A × 230 ÷ 200.
    assertEquals(s.stiffAmps(), 23, 0.2);
  }

  @Test
  public void aTripAndASagAreToldApart() {
    MotorStart trip = MotorStart.of(start(5000, 30, 3, 2, 1, 0.5), 50).orElseThrow();
    assertEquals(trip.outcome(), Outcome.TRIPPED);
    assertEquals(trip.leastVolts(), 200, 1);
    assertTrue(Double.isNaN(trip.startSeconds()));
    MotorStart sag = MotorStart.of(start(5000, 30, 3, 2, 3, 9), 50).orElseThrow();
    assertEquals(sag.outcome(), Outcome.SAGGED);
    assertEquals(sag.dipPercent(), 39, 1);
    assertTrue(
        MotorStart.of(Capture.of(5000, new double[5000]), 50).isEmpty(), "without amps nothing");
    assertTrue(MotorStart.of(Capture.of(5000, new double[5000], new double[5000]), 50).isEmpty());
  }

  /** A first failed start is not final; what goes at times is said as a share. */
  @Test
  public void aCountIsNoVerdictByItself() {
    StartSeries.Try went = new StartSeries.Try(Outcome.STARTED, 2500, 24, 198, "");
    StartSeries.Try failed = new StartSeries.Try(Outcome.TRIPPED, 2600, 25, 150, "");
    assertTrue(new StartSeries("m", List.of(failed)).watchOut().contains("once more"));
    assertTrue(new StartSeries("m", List.of(went)).watchOut().contains("1 try"));
    StartSeries mixed = new StartSeries("m", List.of(failed, went, went, went));
    assertEquals(mixed.started().count(), "3 of 4");
    assertTrue(mixed.watchOut().contains("at times"));
    assertEquals(mixed.held().orElseThrow(), 2500.0);
    assertEquals(mixed.failed().orElseThrow(), 2600.0);
    assertEquals(new StartSeries("m", List.of(went, went, went)).watchOut(), "");
  }
}
