package org.wiseember.core.supply;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertTrue;
import static org.testng.Assert.expectThrows;

import java.util.List;
import org.testng.annotations.Test;
import org.wiseember.core.figure.Bound;
import org.wiseember.core.figure.Figure;
import org.wiseember.core.figure.Warning;
import org.wiseember.core.supply.SourceTries.Try;
import org.wiseember.core.supply.SourceTries.Went;

public class SourceTriesTest {
  private static final double NO = Double.NaN;

  private static final SourceTries GENERATOR =
      new SourceTries(
          230,
          List.of(
              new Try(0, 236, 52.1, 4, Went.HELD),
              new Try(900, 229, 50.4, 7.5, Went.HELD),
              new Try(1600, 221, 49.2, 11, Went.HELD),
              new Try(2000, NO, NO, NO, Went.STALLED)));

  private static Figure figure(SourceTries tries, String key) {
    return tries.figures().stream().filter(f -> f.key().equals(key)).findFirst().orElseThrow();
  }

  private static List<String> codes(SourceTries tries) {
    return tries.warnings().stream().map(Warning::code).toList();
  }

  @Test
  public void whatItCarriesAndWhereItGivesWayAreBounds() {
    assertEquals(figure(GENERATOR, "carried").value(), 1600);
    assertEquals(figure(GENERATOR, "carried").bound(), Bound.AT_LEAST);
    assertEquals(figure(GENERATOR, "gives_way").value(), 2000);
    assertEquals(figure(GENERATOR, "gives_way").bound(), Bound.AT_MOST);
  }

  @Test
  public void voltsFallAsOneMeterSawThem() {
    Figure drop = figure(GENERATOR, "volts_drop");
    assertEquals(drop.value(), 100 * (1 - 221 / 236.0), 1e-9);
    assertTrue(drop.u95() < 0.5, "a gain error falls out of a ratio: " + drop.u95());
    assertTrue(figure(GENERATOR, "light_volts").u95() > 3, "one reading is as good as its meter");
    assertEquals(figure(GENERATOR, "least_hertz").value(), 49.2);
    assertEquals(figure(GENERATOR, "most_hertz").value(), 52.1);
    assertEquals(figure(GENERATOR, "distortion").value(), 11);
    assertEquals(codes(GENERATOR), List.of("distorted"));
  }

  /** 108 to 111 V on a 120 V outlet is a finding, 59.8 Hz is not: common practice. */
  @Test
  public void whatNobodyReadIsNotSaid() {
    SourceTries mains = new SourceTries(120, List.of(new Try(0, 107, 59.8, NO, Went.NOT_SAID)));
    assertTrue(codes(mains).contains("volts_off"), codes(mains).toString());
    assertTrue(
        mains.figures().stream().noneMatch(f -> f.key().equals("carried")), "nobody said it held");
    assertTrue(codes(mains).contains("not_to_its_end"));
  }

  @Test
  public void twoMindsAreSaid() {
    SourceTries tries =
        new SourceTries(
            NO,
            List.of(
                new Try(1800, 228, 50, NO, Went.HELD), new Try(1500, NO, NO, NO, Went.STALLED)));
    assertTrue(codes(tries).contains("two_minds"));
    expectThrows(IllegalArgumentException.class, () -> new SourceTries(NO, List.of()));
    expectThrows(IllegalArgumentException.class, () -> new Try(-1, NO, NO, NO, Went.HELD));
  }
}
