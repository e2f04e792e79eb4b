package org.wiseember.workshop;

import java.io.PrintWriter;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.SplittableRandom;
import org.wiseember.core.quantity.HourSpan;
import org.wiseember.core.runtime.Appliance;
import org.wiseember.core.runtime.ApplianceDraw;
import org.wiseember.core.runtime.AskedOfUnit;
import org.wiseember.core.runtime.DayPlan;
import org.wiseember.core.runtime.Endured;
import org.wiseember.core.runtime.RunTimeCase;
import org.wiseember.core.runtime.RunTimeFigures;
import org.wiseember.core.runtime.Sheds;
import org.wiseember.core.runtime.Side;
import org.wiseember.core.runtime.SmallestUnit;
import org.wiseember.core.runtime.UnitSupply;
import org.wiseember.core.runtime.Usable;

/** A fortnight of thirty appliances on five units, worked out again after an edit. */
final class RunTimeTimings {
  private static final int APPLIANCES = 30;
  private static final int UNITS = 5;
  private static final int DAYS = 14;
  private static final int WARM = 20;

  private final int repeats;

  RunTimeTimings(int repeats) {
    this.repeats = repeats;
  }

  void into(PrintWriter out) {
    SplittableRandom random = new SplittableRandom(1);
    List<Appliance> appliances = new ArrayList<>();
    for (int i = 0; i < APPLIANCES; i++) {
      appliances.add(appliance(i, random));
    }
    DayPlan plan = new DayPlan(24 * DAYS, appliances, false);
    // Large enough to last, so that the whole fortnight is gone through.
    UnitSupply unit =
        new UnitSupply(
            List.of(new Usable(592, 904_000, 4_000), new Usable(1048, 887_000, 4_000)),
            List.of(),
            13.2,
            1200,
            2400,
            1_075_000);
    RunTimeCase asked = new RunTimeCase(unit, plan, 100, 0, Optional.empty());
    double[] courses = new double[repeats];
    double[] figures = new double[repeats];
    for (int i = -WARM; i < repeats; i++) {
      long started = System.nanoTime();
      for (int u = 0; u < UNITS; u++) {
        asked.course();
      }
      long drawn = System.nanoTime();
      for (int u = 0; u < UNITS; u++) {
        RunTimeFigures.of(asked);
        asked.byLabel().ifPresent(RunTimeCase::course);
        AskedOfUnit.of(plan, Endured.NOTHING);
      }
      SmallestUnit.of(asked);
      Sheds.of(asked);
      if (i >= 0) {
        courses[i] = (drawn - started) / 1e6;
        figures[i] = (System.nanoTime() - drawn) / 1e6;
      }
    }
    Arrays.sort(courses);
    Arrays.sort(figures);
    out.printf(
        Locale.ROOT,
        "run-time, %d appliances over %d days on %d units: courses median %.1f ms, with every"
            + " figure, its uncertainty, its band and all that comes of it %.1f ms%n",
        APPLIANCES,
        DAYS,
        UNITS,
        courses[repeats / 2],
        figures[repeats / 2]);
  }

  /** Something each day, at its own hours. */
  private static Appliance appliance(int number, SplittableRandom random) {
    List<HourSpan> on = new ArrayList<>();
    List<Double> at = new ArrayList<>();
    for (int day = 0; day < DAYS; day++) {
      double from = 24 * day + 20 * random.nextDouble();
      on.add(new HourSpan(from, from + 4 * random.nextDouble()));
      at.add(from);
    }
    ApplianceDraw.Use use = ApplianceDraw.Use.values()[number % ApplianceDraw.Use.values().length];
    return new Appliance(
        "appliance " + number,
        new ApplianceDraw(use, 20 + 60 * random.nextDouble(), 20, 10, 300),
        Side.AC,
        on,
        at);
  }
}
