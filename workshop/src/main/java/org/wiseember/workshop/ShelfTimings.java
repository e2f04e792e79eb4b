package org.wiseember.workshop;

import java.io.PrintWriter;
import java.nio.file.Path;
import java.time.Clock;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import org.wiseember.trial.demo.DemoWorkbook;
import org.wiseember.trial.verdict.Judgement;
import org.wiseember.trial.verdict.Shelf;
import org.wiseember.workbook.TestedUnit;
import org.wiseember.workbook.Workbook;

/**
 * How long a large shelf takes beside the demo's: opening with the first unit's findings, a label
 * edit until the unit is judged again, and a tick of the guard band.
 */
final class ShelfTimings {
  private static final int UNITS = 100;
  private static final int WARM_UP = 3;

  private final int repeats;

  ShelfTimings(int repeats) {
    this.repeats = repeats;
  }

  void into(Path folder, PrintWriter out) {
    Path demo = folder.resolve("demo.ember");
    Path large = folder.resolve("hundred.ember");
    DemoWorkbook.create(demo);
    DemoWorkbook.create(large, UNITS);
    List<Path> files = List.of(demo, large);
    double[][] opening = new double[2][repeats];
    double[][] label = new double[2][repeats];
    double[][] guard = new double[2][repeats];
    for (int i = -WARM_UP; i < repeats; i++) {
      for (int k = 0; k < 2; k++) {
        double[] once = once(files.get(k), i);
        if (i >= 0) {
          opening[k][i] = once[0];
          label[k][i] = once[1];
          guard[k][i] = once[2];
        }
      }
    }
    say(out, "opening", opening);
    say(out, "label edit, judged again", label);
    say(out, "guard band", guard);
    out.printf(Locale.ROOT, "memory with %d units open: %.0f MB%n", UNITS, memory(large));
    out.flush();
  }

  /** Ms of an opening, a label edit and a tick of the guard band. */
  private static double[] once(Path file, int edit) {
    long started = System.nanoTime();
    try (Workbook workbook = Workbook.open(file, Clock.systemUTC())) {
      List<Shelf.Place> shelf = Shelf.of(workbook);
      Judgement first = Judgement.of(workbook, shelf.get(0).unit(), true);
      long opened = System.nanoTime();
      TestedUnit unit = first.unit();
      workbook
          .units()
          .label(unit.id(), unit.label().text() + "\nWeight " + (20 + edit) + " kg", List.of());
      TestedUnit now = workbook.units().byId(unit.id()).orElseThrow();
      Judgement again = first.again(workbook, now, true);
      Shelf.of(workbook, again);
      long edited = System.nanoTime();
      again.judged(false);
      long ticked = System.nanoTime();
      workbook.units().label(unit.id(), unit.label().text(), List.of());
      Shelf.of(workbook, Judgement.of(workbook, unit, true));
      return new double[] {
        (opened - started) / 1e6, (edited - opened) / 1e6, (ticked - edited) / 1e6
      };
    }
  }

  private static double memory(Path file) {
    try (Workbook workbook = Workbook.open(file, Clock.systemUTC())) {
      List<Shelf.Place> shelf = Shelf.of(workbook);
      Judgement first = Judgement.of(workbook, shelf.get(0).unit(), true);
      System.gc();
      Runtime runtime = Runtime.getRuntime();
      double used = (runtime.totalMemory() - runtime.freeMemory()) / 1e6;
      return first.runs().isEmpty() || shelf.size() < UNITS ? Double.NaN : used;
    }
  }

  private static void say(PrintWriter out, String what, double[][] times) {
    Arrays.sort(times[0]);
    Arrays.sort(times[1]);
    double demo = times[0][times[0].length / 2];
    double large = times[1][times[1].length / 2];
    out.printf(
        Locale.ROOT,
        "%s: demo %.1f ms, %d units %.1f ms, %.2f times%n",
        what,
        demo,
        UNITS,
        large,
        large / demo);
    out.flush();
  }
}
