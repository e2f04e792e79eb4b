package org.wiseember.core.hand;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertFalse;
import static org.testng.Assert.assertTrue;

import java.util.ArrayList;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeSet;
import org.testng.annotations.Test;
import org.wiseember.core.capacity.CapacityFinding;
import org.wiseember.core.capacity.CapacityMethod;
import org.wiseember.core.capacity.HandDrain;
import org.wiseember.core.charge.ChargeFinding;
import org.wiseember.core.charge.HandCharge;
import org.wiseember.core.figure.Bound;
import org.wiseember.core.figure.Figure;
import org.wiseember.core.figure.Warning;
import org.wiseember.core.overload.ContinuousPower;
import org.wiseember.core.overload.Hold;
import org.wiseember.core.overload.OverloadFinding;
import org.wiseember.core.overload.OverloadLadder;
import org.wiseember.core.overload.OverloadMethod;
import org.wiseember.core.port.Looks;
import org.wiseember.core.port.PortFinding;
import org.wiseember.core.port.PortLadder;
import org.wiseember.core.trace.Channel;
import org.wiseember.core.trace.Trace;
import org.wiseember.core.trace.Treatment;
import org.wiseember.core.uncertainty.MeterClass;

/**
 * What testers wrote down by hand and what it comes to. All values are common practice, no
 * published source.
 */
public class ByHandPracticeTest {
  private static final double NOTHING = Double.NaN;

  private final List<TimedOperatorEvent> presses = new ArrayList<>();
  private final Map<Channel, Map<Double, Double>> read = new EnumMap<>(Channel.class);

  private static ByHandPracticeTest notes() {
    return new ByHandPracticeTest();
  }

  private ByHandPracticeTest at(double seconds, OperatorEvent press) {
    presses.add(TimedOperatorEvent.key(press, NOTHING, seconds));
    return this;
  }

  private ByHandPracticeTest at(double seconds, Channel channel, double value) {
    read.computeIfAbsent(channel, c -> new java.util.TreeMap<>()).put(seconds, value);
    return this;
  }

  private Trace trace() {
    TreeSet<Double> moments = new TreeSet<>();
    read.values().forEach(m -> moments.addAll(m.keySet()));
    double[] seconds = moments.stream().mapToDouble(Double::doubleValue).toArray();
    Map<Channel, double[]> values = new EnumMap<>(Channel.class);
    read.forEach(
        (channel, at) -> {
          double[] column = new double[seconds.length];
          for (int i = 0; i < column.length; i++) {
            column[i] = at.getOrDefault(seconds[i], Double.NaN);
          }
          values.put(channel, column);
        });
    return new Trace(seconds, values);
  }

  private CapacityFinding drain(double label, boolean alternating) {
    Map<Channel, Double> steps =
        Map.of(Channel.AC_ENERGY, 1.0, Channel.SECOND_AC_ENERGY, 1.0, Channel.DC_ENERGY, 1.0);
    CapacityMethod method = CapacityMethod.assumed(label);
    return HandDrain.of(HandNotes.of(trace(), steps, presses), method, alternating, 2000)
        .orElseThrow();
  }

  private OverloadFinding overload(double rated) {
    return OverloadLadder.byHand(trace(), presses, OverloadMethod.assumed(rated));
  }

  private static List<String> codes(List<Warning> warnings) {
    return warnings.stream().map(Warning::code).toList();
  }

  /** 477 Wh and 36.89 Ah in 4 h 29 min at 107 W, of 537 Wh on the label: 88.8 %. */
  @Test
  public void aDirectDrainByTheTestersTotals() {
    double end = 4 * 3600 + 29 * 60;
    CapacityFinding found =
        notes()
            .at(0, Channel.DC_ENERGY, 0)
            .at(0, Channel.DC_CHARGE, 0)
            .at(1, OperatorEvent.LOAD_ON)
            .at(1 + end, OperatorEvent.DROPPED_OUT)
            .at(end + 30, Channel.DC_ENERGY, 477)
            .at(end + 30, Channel.DC_CHARGE, 36.89)
            .drain(537, false);
    assertEquals(found.deliveredEnergy().orElseThrow().value(), 477.0);
    assertEquals(found.deliveredCharge().orElseThrow().value(), 36.89, 1e-9);
    assertEquals(found.yield().orElseThrow().value(), 88.8, 0.05);
    // 477 Wh over 4.4833 h is 106.4 W, which the tester wrote as 107.
    assertEquals(found.meanPower().orElseThrow().value(), 106.4, 0.05);
    assertTrue(found.reachesCutoff());
  }

  /** Two meters in line at 249 and 240 Wh: 3.6 % apart, said, and the figure as wide. */
  @Test
  public void twoMetersInLine() {
    CapacityFinding found =
        notes()
            .at(0, Channel.AC_ENERGY, 0)
            .at(0, Channel.SECOND_AC_ENERGY, 0)
            .at(1, OperatorEvent.LOAD_ON)
            .at(9000, OperatorEvent.DROPPED_OUT)
            .at(9010, Channel.AC_ENERGY, 249)
            .at(9010, Channel.SECOND_AC_ENERGY, 240)
            .drain(299, true);
    Figure energy = found.deliveredEnergy().orElseThrow();
    assertEquals(energy.value(), 249.0);
    assertTrue(energy.low() < 240, "the other meter's total is inside: " + energy.words());
    assertTrue(codes(found.warnings()).contains("meters_apart"));
  }

  /** A load taken off, or an end nobody said, tells the least a unit holds. */
  @Test
  public void whatWasNotSeenToEndIsTheLeast() {
    for (boolean takenOff : new boolean[] {true, false}) {
      ByHandPracticeTest notes =
          notes()
              .at(0, Channel.AC_ENERGY, 0)
              .at(1, OperatorEvent.LOAD_ON)
              .at(3600, Channel.AC_ENERGY, 609);
      CapacityFinding found =
          (takenOff ? notes.at(3605, OperatorEvent.TAKEN_OFF) : notes).drain(1075, true);
      assertEquals(found.deliveredEnergy().orElseThrow().bound(), Bound.AT_LEAST);
      assertFalse(found.reachesCutoff());
    }
  }

  /** A meter that died with the output and was read five minutes before it: brought up, said. */
  @Test
  public void aTotalReadBeforeTheEndIsBroughtUp() {
    CapacityFinding found =
        notes()
            .at(0, Channel.AC_ENERGY, 0)
            .at(0.5, OperatorEvent.LOAD_ON)
            .at(3600.5, Channel.AC_ENERGY, 600)
            .at(3900.5, OperatorEvent.DROPPED_OUT)
            .drain(700, true);
    assertEquals(found.deliveredEnergy().orElseThrow().value(), 650.0, 0.1);
    assertTrue(codes(found.warnings()).contains("total_early"));
    assertTrue(found.deliveredEnergy().orElseThrow().u95() > 5);
  }

  /** A meter nobody read at the start may have stood anywhere: its total alone is the most. */
  @Test
  public void aTotalWithoutAStartIsTheMost() {
    CapacityFinding alone =
        notes()
            .at(1, OperatorEvent.LOAD_ON)
            .at(3601, OperatorEvent.DROPPED_OUT)
            .at(3610, Channel.AC_ENERGY, 1950)
            .drain(1075, true);
    assertEquals(alone.deliveredEnergy().orElseThrow().value(), 1950.0);
    assertEquals(alone.deliveredEnergy().orElseThrow().bound(), Bound.AT_MOST);
    assertTrue(codes(alone.warnings()).contains("start_unread"));
    assertTrue(alone.meanPower().isEmpty());
    // Read first a third of the way in: too much is missing for a figure, the rest is the least.
    Figure least =
        notes()
            .at(1, OperatorEvent.LOAD_ON)
            .at(1201, Channel.AC_ENERGY, 1000)
            .at(3601, OperatorEvent.DROPPED_OUT)
            .at(3610, Channel.AC_ENERGY, 1400)
            .drain(1075, true)
            .deliveredEnergy()
            .orElseThrow();
    assertEquals(least.value(), 400.0);
    assertEquals(least.bound(), Bound.AT_LEAST);
  }

  /** A unit of 500 W held 550 W for 3 min; the clock is good to both reactions. */
  @Test
  public void aLoadThatTripped() {
    OverloadFinding found =
        notes()
            .at(10, OperatorEvent.LOAD_ON)
            .at(30, Channel.AC_POWER, 550)
            .at(190, OperatorEvent.TRIPPED)
            .overload(500);
    Figure trip = found.tripTime().orElseThrow();
    assertEquals(trip.value(), 180.0, 1e-9);
    assertTrue(trip.u95() > 0.6 && trip.u95() < 5, trip.words());
    assertEquals(found.holds().get(0).halfWidth(), 2 * TimedOperatorEvent.REACTION, 1e-9);
  }

  /** Ten minutes at the rating, said so, are continuous; without a word of the end they are not. */
  @Test
  public void tenMinutesCountWhereTheyWereSaid() {
    OverloadFinding held =
        notes()
            .at(0, OperatorEvent.LOAD_ON)
            .at(60, Channel.AC_POWER, 1203)
            .at(604, OperatorEvent.TAKEN_OFF)
            .overload(1200);
    assertTrue(ContinuousPower.held(List.of(held)).isPresent());
    OverloadFinding unsaid =
        notes().at(0, OperatorEvent.LOAD_ON).at(60, Channel.AC_POWER, 1203).overload(1200);
    assertEquals(unsaid.holds().get(0).end(), Hold.End.NOT_SAID);
    assertTrue(ContinuousPower.held(List.of(unsaid)).isEmpty());
    assertTrue(unsaid.tripTime().isEmpty());
  }

  /** Readings alone, as older runs have them: nothing is held over a hole, nothing tripped. */
  @Test
  public void readingsAloneSayWhatWasReadAndNoMore() {
    OverloadFinding found =
        notes()
            .at(0, Channel.AC_POWER, 1500)
            .at(1800, Channel.AC_POWER, 1500)
            .at(1860, Channel.AC_POWER, 0)
            .overload(1200);
    assertTrue(found.trips().isEmpty(), "without volts or a word nobody knows how it ended");
    assertTrue(
        found.holds().stream().allMatch(h -> h.seconds() < 1), "two readings are no half hour");
    OverloadFinding dead =
        notes()
            .at(0, Channel.AC_POWER, 1500)
            .at(0, Channel.AC_VOLTAGE, 229)
            .at(60, Channel.AC_POWER, 1490)
            .at(60, Channel.AC_VOLTAGE, 229)
            .at(90, Channel.AC_POWER, 0)
            .at(90, Channel.AC_VOLTAGE, 0)
            .overload(1200);
    assertEquals(dead.trips().size(), 1);
    assertEquals(dead.trips().get(0).seconds(), 75, 1e-9);
    assertEquals(dead.trips().get(0).halfWidth(), 15, 1e-9);
  }

  /** A port labelled 10 A gave 156 W at 13.3 V before it switched off: 11.7 A. */
  @Test
  public void aPortThatGaveMoreThanItsLabel() {
    PortFinding found = notesPort(11.7, true);
    assertEquals(found.mostAmps().orElseThrow().value(), 11.7, 1e-9);
    assertEquals(found.mostWatts().orElseThrow().value(), 155.6, 0.1);
    assertEquals(found.tripAmps().orElseThrow().value(), 11.85, 1e-9);
    PortFinding unread = notesPort(11.7, false);
    assertTrue(unread.tripAmps().isEmpty());
    assertFalse(codes(unread.warnings()).isEmpty());
  }

  private static PortFinding notesPort(double amps, boolean said) {
    ByHandPracticeTest notes =
        notes()
            .at(0, OperatorEvent.LOAD_ON)
            .at(20, Channel.DC_CURRENT, amps)
            .at(20, Channel.DC_VOLTAGE, 13.3)
            .at(25, OperatorEvent.READ);
    notes.presses.add(TimedOperatorEvent.key(OperatorEvent.LOAD_ON, 12, 40));
    if (said) {
      notes.at(43, OperatorEvent.WENT_OFF);
    }
    MeterClass meter = MeterClass.ofReading(1, 0, 0.01);
    return PortLadder.byHand(notes.trace(), notes.presses, meter, meter, Treatment.NONE);
  }

  /** Looked at in the evening and in the morning: in between it went off, and nobody knows when. */
  @Test
  public void anOutputThatWasOffInTheMorning() {
    ByHandPracticeTest notes =
        notes()
            .at(0, OperatorEvent.LOAD_ON)
            .at(3600, OperatorEvent.STILL_ON)
            .at(36_000, OperatorEvent.WENT_OFF)
            .at(36_010, Channel.DISPLAY_CHARGE, 81);
    Looks looks = Looks.of(notes.trace(), notes.presses);
    assertEquals(looks.on(), 2);
    assertEquals(looks.onFor(), 3600.0);
    var off = looks.off(notes.trace()).orElseThrow();
    assertEquals(off.at() - off.within(), 3600, 1);
    assertEquals(off.at() + off.within(), 36_000, 1);
    assertTrue(off.byItself());
    assertTrue(off.words().startsWith("The output went off between 1 h"), off.words());
  }

  /** A most that was read once is the least it took; full is between the last look and the word. */
  @Test
  public void aChargeLookedAtNowAndThen() {
    ByHandPracticeTest notes =
        notes()
            .at(0, OperatorEvent.LOAD_ON)
            .at(60, Channel.IN_POWER, 325)
            .at(3600, Channel.IN_POWER, 180)
            .at(5400, Channel.IN_POWER, 60)
            .at(6000, OperatorEvent.FULL);
    ChargeFinding found =
        HandCharge.of(HandNotes.of(notes.trace(), Map.of(), notes.presses), Optional.empty())
            .orElseThrow();
    assertEquals(found.peakPower().orElseThrow().bound(), Bound.AT_LEAST);
    assertEquals(found.timeToFull().orElseThrow().value(), 5700, 1);
    assertTrue(found.timeToFull().orElseThrow().u95() >= 300);
    ByHandPracticeTest refused = notes().at(0, OperatorEvent.LOAD_ON).at(30, OperatorEvent.REFUSES);
    assertTrue(
        HandCharge.of(HandNotes.of(refused.trace(), Map.of(), refused.presses), Optional.empty())
            .orElseThrow()
            .figures()
            .isEmpty());
  }
}
