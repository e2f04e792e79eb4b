package org.wiseember.bench.procedure;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertFalse;
import static org.testng.Assert.assertTrue;

import java.util.ArrayList;
import java.util.List;
import org.testng.annotations.Test;
import org.wiseember.core.notice.Notice;
import org.wiseember.core.trace.Channel;
import org.wiseember.core.trace.Frame;

public class DrainTest {
  private static final List<Channel> CHANNELS =
      List.of(Channel.AC_POWER, Channel.AC_VOLTAGE, Channel.CASE_TEMPERATURE);

  private final List<Notice> notices = new ArrayList<>();

  private double feed(Drain drain, double from, double seconds, double watts, double volts) {
    double now = from;
    for (; now < from + seconds; now++) {
      notices.addAll(drain.take(new Frame(now, CHANNELS, new double[] {watts, volts, 30})));
    }
    return now;
  }

  private boolean noticed(String code) {
    return notices.stream().anyMatch(n -> n.code().equals(code));
  }

  @Test
  public void runsThroughItsPhasesAndEndsByItself() {
    notices.clear();
    Drain drain = Drain.ac(230);
    assertFalse(drain.setPoints().loaded());
    double now = feed(drain, 1, 10, 0, 230);
    assertEquals(drain.phase(), Phase.SETTLING);
    assertTrue(drain.setPoints().loaded());
    now = feed(drain, now, 60, 600, 228);
    assertEquals(drain.phase(), Phase.MEASURING);
    assertTrue(noticed("steady"));
    now = feed(drain, now, 3000, 600, 228);
    now = feed(drain, now, 5, 0, 0);
    assertEquals(drain.phase(), Phase.WINDING_DOWN);
    assertFalse(drain.setPoints().loaded());
    feed(drain, now, 200, 0, 0);
    assertEquals(drain.phase(), Phase.DONE);
    assertTrue(drain.ending().orElseThrow().startsWith("The output dropped out"));
  }

  @Test
  public void aPausingLoadIsNotACutOff() {
    notices.clear();
    Drain drain = Drain.ac(230);
    double now = feed(drain, 1, 10, 0, 230);
    now = feed(drain, now, 100, 1000, 228);
    now = feed(drain, now, 600, 0, 231);
    assertEquals(drain.phase(), Phase.MEASURING);
    assertTrue(noticed("load_paused"));
    now = feed(drain, now, 100, 1000, 228);
    assertEquals(drain.phase(), Phase.MEASURING);
    feed(drain, now, 2000, 0, 231);
    assertEquals(drain.phase(), Phase.DONE);
    assertTrue(drain.ending().orElseThrow().contains("half an hour"));
  }

  @Test
  public void aMissingReadingEndsNothing() {
    notices.clear();
    Drain drain = Drain.ac(230);
    double now = feed(drain, 1, 10, 0, 230);
    now = feed(drain, now, 100, 600, 228);
    feed(drain, now, 300, Double.NaN, Double.NaN);
    assertEquals(drain.phase(), Phase.MEASURING);
  }

  @Test
  public void anUnsteadyLoadGoesOnAndIsSaid() {
    notices.clear();
    Drain drain = Drain.ac(230);
    double now = feed(drain, 1, 10, 0, 230);
    for (int i = 0; i < 200; i++) {
      now = feed(drain, now, 2, i % 2 == 0 ? 500 : 700, 228);
    }
    assertEquals(drain.phase(), Phase.MEASURING);
    assertTrue(noticed("unsteady"));
  }

  @Test
  public void heatIsSaidOnce() {
    notices.clear();
    Drain drain = Drain.ac(230);
    for (int i = 1; i < 30; i++) {
      notices.addAll(drain.take(new Frame(i, CHANNELS, new double[] {600, 228, 61})));
    }
    assertEquals(notices.stream().filter(n -> n.code().equals("hot")).count(), 1);
  }

  @Test
  public void stoppingByHandIsHonest() {
    Drain drain = Drain.ac(230);
    drain.stop("Enough.");
    assertEquals(drain.phase(), Phase.STOPPED);
    assertEquals(drain.ending().orElseThrow(), "Enough.");
  }

  @Test
  public void dangerousStepsCarryTheirCaution() {
    List<DoNow> steps = Drain.ac(230).steps();
    assertTrue(
        steps.stream()
            .filter(s -> s.text().contains("Heater"))
            .allMatch(s -> !s.caution().isEmpty()));
    assertTrue(steps.stream().anyMatch(s -> s.caution().contains("licensed electrician")));
  }

  private double feedDc(Drain drain, double from, double seconds, double volts, double amps) {
    double now = from;
    List<Channel> channels = List.of(Channel.DC_VOLTAGE, Channel.DC_CURRENT);
    for (; now < from + seconds; now++) {
      notices.addAll(drain.take(new Frame(now, channels, new double[] {volts, amps})));
    }
    return now;
  }

  @Test
  public void aDrainAtThePortEndsWithItsVolts() {
    notices.clear();
    Drain drain = Drain.dc(107, 12);
    assertEquals(drain.kind(), Drain.DC);
    double now = feedDc(drain, 1, 10, 13.3, 0);
    assertEquals(drain.setPoints().dcWatts(), 107.0);
    assertTrue(drain.setPoints().dcPort() && !drain.setPoints().acOutput());
    now = feedDc(drain, now, 60, 13.2, 8.1);
    assertEquals(drain.phase(), Phase.MEASURING);
    feedDc(drain, now, 5, 0.1, 0);
    assertEquals(drain.phase(), Phase.WINDING_DOWN);
    assertEquals(drain.setPoints().dcWatts(), 0.0);
  }

  /** The load's own low-volt stop leaves volts at the port. */
  @Test
  public void aLoadThatStopsItselfIsNotACutOff() {
    notices.clear();
    Drain drain = Drain.dc(107, 12);
    double now = feedDc(drain, 1, 10, 13.3, 0);
    now = feedDc(drain, now, 100, 12.8, 8.3);
    feedDc(drain, now, 100, 13.3, 0);
    assertEquals(drain.phase(), Phase.MEASURING);
    assertTrue(
        notices.stream().anyMatch(n -> n.text().contains("its own low-volt stop")),
        notices.toString());
  }

  @Test
  public void cautionsStandBesideWhatCanHurtOnTheDcSide() {
    List<DoNow> steps = Drain.dc(107, 12).steps();
    assertTrue(
        steps.stream()
            .filter(s -> s.text().contains("Fuse"))
            .allMatch(s -> s.caution().contains("polarity") || s.caution().contains("plus")));
    assertTrue(steps.stream().anyMatch(s -> s.text().contains("low-volt stop below the unit's")));
  }
}
