package org.wiseember.trial.lineup;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertFalse;
import static org.testng.Assert.assertTrue;

import java.io.IOException;
import java.nio.file.Files;
import java.time.Clock;
import java.time.LocalTime;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.SplittableRandom;
import java.util.function.Consumer;
import org.testng.annotations.Test;
import org.wiseember.core.charge.ChargeSource;
import org.wiseember.core.cost.Bills;
import org.wiseember.core.cost.Parts;
import org.wiseember.core.figure.Bound;
import org.wiseember.core.figure.Figure;
import org.wiseember.core.lineup.Measure;
import org.wiseember.core.lineup.MustHave;
import org.wiseember.core.quantity.HourSpan;
import org.wiseember.core.runtime.Appliance;
import org.wiseember.core.runtime.ApplianceDraw;
import org.wiseember.core.runtime.Day;
import org.wiseember.core.runtime.Side;
import org.wiseember.workbook.LineUpNotes;
import org.wiseember.workbook.UnitFacts;
import org.wiseember.workbook.Workbook;

public class LineUpTest {
  private static final String SMALL =
      "Capacity 500 Wh\nAC out 230 V 50 Hz 500 W\n800 cycles to 80 %\n6 kg";
  private static final String LARGE =
      "Capacity 2000 Wh\nAC out 230 V 50 Hz 2000 W\n3000 cycles\n20 kg";

  private static void with(Consumer<Workbook> then) throws IOException {
    try (Workbook workbook =
        Workbook.open(
            Files.createTempDirectory("ember-line-up").resolve("w.ember"), Clock.systemUTC())) {
      then.accept(workbook);
    }
  }

  private static LineUp at(Workbook workbook, double watts) {
    return LineUp.of(workbook, watts > 0 ? OptionalDouble.of(watts) : OptionalDouble.empty());
  }

  private static Optional<Figure> figure(LineUp lineUp, String unit, Measure measure) {
    return lineUp.unit(unit).orElseThrow().figure(measure);
  }

  /** The highest load inside what every unit was drained at, and their own drains there. */
  @Test
  public void onlyLikeIsComparedWithLike() throws IOException {
    with(
        workbook -> {
          Pool pool = new Pool(workbook);
          pool.unit("small", SMALL, 400, new double[] {100, 440}, new double[] {250, 430});
          pool.unit("large", LARGE, 1500, new double[] {200, 1850}, new double[] {1000, 1800});
          LineUp shared = at(workbook, 0);
          assertEquals(shared.load().orElseThrow(), 250, 2);
          assertEquals(figure(shared, "small", Measure.DELIVERED).orElseThrow().value(), 430, 3);
          Figure read = figure(shared, "large", Measure.DELIVERED).orElseThrow();
          assertTrue(read.high() > 1800 && read.low() < 1850, read.words());
          assertTrue(
              read.because().watchOut().stream().anyMatch(w -> w.contains("Read off between")),
              "what was read off a curve says so");
          // Beyond what it was drained at the small one has no figure, and it is said what would.
          LineUp heavy = at(workbook, 800);
          assertTrue(figure(heavy, "small", Measure.DELIVERED).isEmpty());
          assertTrue(figure(heavy, "small", Measure.PRICE_PER_DELIVERED_WH).isEmpty());
          assertTrue(
              heavy.missing(heavy.unit("small").orElseThrow()).stream()
                  .anyMatch(m -> m.contains("a drain at that load")));
          assertEquals(
              figure(heavy, "small", Measure.PRICE_PER_LABEL_WH).orElseThrow().value(), 0.8, 1e-9);
        });
  }

  /** No figure compares yields at loads more than 2 % apart, in pools of any make. */
  @Test
  public void noPoolComparesUnlikeLoads() throws IOException {
    with(
        workbook -> {
          SplittableRandom random = new SplittableRandom(4);
          Pool pool = new Pool(workbook);
          List<double[]> drained = new ArrayList<>();
          for (int i = 0; i < 12; i++) {
            double first = 60 + random.nextInt(400);
            double second = first * (1 + random.nextInt(3));
            double held = 400 + random.nextInt(1500);
            if (second > first) {
              pool.unit(
                  "unit " + i,
                  LARGE,
                  100,
                  new double[] {first, held},
                  new double[] {second, 0.97 * held});
            } else {
              pool.unit("unit " + i, LARGE, 100, new double[] {first, held});
            }
            drained.add(new double[] {first, second});
          }
          for (double load : new double[] {80, 150, 250, 400, 700}) {
            LineUp lineUp = at(workbook, load);
            for (int i = 0; i < 12; i++) {
              Optional<Figure> told = figure(lineUp, "unit " + i, Measure.DELIVERED);
              double[] d = drained.get(i);
              boolean inside = load >= 0.98 * d[0] && load <= 1.02 * d[1];
              assertEquals(told.isPresent(), inside, "unit " + i + " at " + load);
              if (told.isPresent()) {
                assertTrue(
                    told.get().name().contains(" at " + Math.round(load)), told.get().name());
                boolean own = Math.abs(d[0] / load - 1) < 0.02 || Math.abs(d[1] / load - 1) < 0.02;
                boolean saidSo =
                    told.get().because().watchOut().stream().anyMatch(w -> w.contains("Read off"));
                assertEquals(saidSo, !own, "unit " + i + " at " + load);
              }
            }
          }
        });
  }

  /** Units that share no load are compared at none. */
  @Test
  public void withoutASharedLoadThereIsNone() throws IOException {
    with(
        workbook -> {
          Pool pool = new Pool(workbook);
          pool.unit("small", SMALL, 0, new double[] {100, 440});
          pool.unit("large", LARGE, 0, new double[] {1000, 1800});
          pool.unit("new", LARGE, 0);
          LineUp none = at(workbook, 0);
          assertTrue(none.load().isEmpty());
          assertTrue(figure(none, "small", Measure.DELIVERED).isEmpty());
        });
  }

  /** By hand: 400 for 430 Wh delivered, 800 cycles to 80 %; 6 kg printed. */
  @Test
  public void costsComeOutAsByHand() throws IOException {
    with(
        workbook -> {
          new Pool(workbook).unit("small", SMALL, 400, new double[] {250, 430});
          LineUp lineUp = at(workbook, 250);
          double delivered = figure(lineUp, "small", Measure.DELIVERED).orElseThrow().value();
          assertEquals(delivered, 430, 2);
          assertEquals(
              figure(lineUp, "small", Measure.YIELD).orElseThrow().value(), delivered / 5, 1e-9);
          assertEquals(
              figure(lineUp, "small", Measure.PRICE_PER_DELIVERED_WH).orElseThrow().value(),
              400 / delivered,
              1e-9);
          assertEquals(
              figure(lineUp, "small", Measure.PRICE_PER_LIFETIME_KWH).orElseThrow().value(),
              400 / (delivered / 1000 * 800 * 0.9),
              1e-9);
          Figure perKilo = figure(lineUp, "small", Measure.WH_PER_KG).orElseThrow();
          assertEquals(perKilo.value(), delivered / 6, 1e-9);
          assertTrue(
              perKilo.because().madeFrom().stream()
                  .anyMatch(s -> s.figure().name().contains("as printed")),
              "a printed weight is called so");
        });
  }

  /** Six of the usual seven, and a half for pass-through on DC and USB alone. */
  @Test
  public void sixOfSevenAndAHalf() throws IOException {
    with(
        workbook -> {
          Pool pool = new Pool(workbook);
          long id =
              pool.unit(
                  "built for it",
                  """
                  Capacity 1000 Wh
                  AC out 230 V 50 Hz 1000 W
                  Pure sine wave
                  DC 12 V / 10 A regulated
                  USB-C PD 100 W
                  USB-C input 100 W
                  AC in 600 W, 0-100 % 2 h
                  """,
                  0);
          pool.alive(id, 0, 1, 1);
          LineUpNotes notes =
              LineUpNotes.USUAL
                  .answering(id, "A display that tells all", MustHave.Answer.YES)
                  .answering(id, "Outputs that stay on", MustHave.Answer.YES);
          workbook.lineUpNotes(notes);
          LineUp lineUp = at(workbook, 0);
          LineUpUnit unit = lineUp.units().get(0);
          assertEquals(
              unit.answers().stream().map(a -> a.answer().words()).toList(),
              List.of("yes", "half", "yes", "yes", "yes", "yes", "yes"),
              unit.answers().toString());
          Figure count = unit.figure(Measure.MUST_HAVES).orElseThrow();
          assertEquals(count.value(), 6.5);
          assertEquals(count.bound(), Bound.EXACT);
          assertEquals(unit.answers().get(1).rests(), Answered.Rests.SEEN);
          assertEquals(unit.answers().get(2).rests(), Answered.Rests.PRINTED);
        });
  }

  /** What nobody looked at is not known, counts nothing, and says what would settle it. */
  @Test
  public void whatNobodyLookedAtIsNotKnown() throws IOException {
    with(
        workbook -> {
          new Pool(workbook).unit("bare", "Capacity 300 Wh", 0);
          workbook.lineUpNotes(
              LineUpNotes.USUAL.having(
                  List.of("Pure sine", "at most 14 kg", "runs the ice shaver", "Orange handles")));
          LineUpUnit unit = at(workbook, 0).units().get(0);
          assertTrue(
              unit.answers().stream().allMatch(a -> a.answer() == MustHave.Answer.NOT_KNOWN));
          assertTrue(unit.answers().get(1).because().contains("a scale"));
          assertTrue(unit.answers().get(2).because().contains("watch it"));
          Figure count = unit.figure(Measure.MUST_HAVES).orElseThrow();
          assertEquals(count.value(), 0.0);
          assertEquals(count.bound(), Bound.AT_LEAST);
        });
  }

  /** A day is a job: who surely carries it, the smallest and the cheapest of those. */
  @Test
  public void aDayIsAJob() throws IOException {
    with(
        workbook -> {
          Pool pool = new Pool(workbook);
          pool.unit("small", SMALL, 400, new double[] {100, 440});
          pool.unit("large", LARGE, 1500, new double[] {100, 1850});
          Appliance lamps =
              new Appliance(
                  "Lamps",
                  new ApplianceDraw(
                      ApplianceDraw.Use.STEADY, 100, Double.NaN, Double.NaN, Double.NaN),
                  Side.AC,
                  List.of(new HourSpan(0, 8)),
                  List.of());
          Day day = Day.empty("Stall", LocalTime.of(17, 0), 10).with(List.of(lamps));
          workbook.days().add(day, List.of());
          LineUp lineUp = at(workbook, 100);
          Job job = lineUp.jobs().get(0);
          assertEquals(job.hands().size(), 2);
          assertTrue(job.hands().get(0).on().found().course().runsOut().isPresent());
          // Nobody held 100 W on it for ten minutes but its drain of hours; a hold is what counts.
          assertFalse(job.able().stream().anyMatch(h -> h.name().equals("small")));
          assertEquals(
              job.smallest().map(Job.Hand::name),
              job.able().isEmpty() ? Optional.empty() : Optional.of("large"));
        });
  }

  /** A label's 80 % is not full, one output of three is no pass-through, and money is not mixed. */
  @Test
  public void halfTruthsAreNoAnswers() throws IOException {
    with(
        workbook -> {
          Pool pool = new Pool(workbook);
          String label = "Capacity 1000 Wh\nAC out 230 V 50 Hz 1000 W\nAC in 600 W, 0-80 % 2 h";
          long first = pool.unit("first", label, 500, new double[] {100, 850});
          long other = pool.unit("other", label, 600, new double[] {100, 840});
          pool.unit("third", label, 700);
          pool.alive(first, Double.NaN, Double.NaN, 1);
          workbook.units().facts(other, new UnitFacts("17", "", "", Optional.empty(), 600, "CHF"));
          LineUp lineUp = at(workbook, 100);
          LineUpUnit unit = lineUp.units().get(0);
          assertEquals(unit.answers().get(0).answer(), MustHave.Answer.NOT_KNOWN, "80 % only");
          assertEquals(unit.answers().get(1).answer(), MustHave.Answer.NOT_KNOWN, "USB alone");
          assertTrue(figure(lineUp, "other", Measure.PRICE_PER_LABEL_WH).isEmpty());
          assertEquals(lineUp.units().get(1).facts().price(), 600.0, "and it is kept");
          assertEquals(lineUp.units().get(1).facts().serial(), "17");
        });
  }

  /** A measure nobody knows of any unit parts none: without a price the others still order. */
  @Test
  public void whatNobodyKnowsPartsNone() throws IOException {
    with(
        workbook -> {
          Pool pool = new Pool(workbook);
          pool.unit("small", SMALL, 0, new double[] {100, 440});
          pool.unit("large", LARGE, 0, new double[] {100, 1850});
          LineUp lineUp = at(workbook, 100);
          assertTrue(lineUp.untold().contains(Measure.PRICE_PER_DELIVERED_WH));
          assertTrue(lineUp.untold().contains(Measure.IDLE));
          assertEquals(lineUp.order().places().get(0).name(), "large");
          assertEquals(lineUp.order().places().size(), 2);
          assertEquals(lineUp.beaten().get("small"), List.of("large"));
        });
  }

  /** Notes come back as they were kept. */
  @Test
  public void notesComeBack() throws IOException {
    with(
        workbook -> {
          assertEquals(workbook.lineUpNotes(), LineUpNotes.USUAL);
          LineUpNotes notes =
              LineUpNotes.USUAL
                  .on(List.of(3L, 1L))
                  .at(OptionalDouble.of(250))
                  .from(ChargeSource.SOLAR)
                  .in(OptionalDouble.of(70_000))
                  .having(List.of("at most 14 kg"))
                  .weighing(Measure.NOISE, 2)
                  .living(0.7, 0.5)
                  .answering(3, "at most 14 kg", MustHave.Answer.HALF)
                  .partsOf(
                      3,
                      List.of(
                          new Parts.Part("Cells", 400, 500),
                          new Parts.Part("Case", Double.NaN, Double.NaN)))
                  .billed(
                      new Bills(
                          List.of(
                              new Bills.Month("May", 300, 200),
                              new Bills.Month("June", 310, 190, 20, 30)),
                          0.4));
          workbook.lineUpNotes(notes);
          assertEquals(workbook.lineUpNotes(), notes);
        });
  }
}
