package org.wiseember.trial;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertTrue;

import java.util.ArrayList;
import java.util.Collection;
import java.util.EnumSet;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.SplittableRandom;
import org.testng.annotations.Test;
import org.wiseember.core.Thorough;
import org.wiseember.core.figure.Because;
import org.wiseember.core.figure.Explanation;
import org.wiseember.core.figure.Figure;
import org.wiseember.core.label.Subject;
import org.wiseember.core.uncertainty.Contribution;
import org.wiseember.trial.kind.TestRun;
import org.wiseember.trial.kind.TestType;
import org.wiseember.trial.page.TrialPage;
import org.wiseember.trial.verdict.Judged;
import org.wiseember.trial.verdict.Judgement;

/** Over the whole demo: what stands in a line is what its because is about, and nothing else. */
public class BecauseTest extends OnDemo {
  private static final int DRAWS = Thorough.tries(200_000, 2_000_000);

  /** An interval off by one part in a hundred holds at least so much more or less of them. */
  private static final double OFF = 0.0023;

  private List<Judgement> all() {
    return demo.units().all().stream().map(u -> Judgement.of(demo, u, true)).toList();
  }

  @Test
  public void aJudgedLineOpensItsOwnFigure() {
    Set<Subject> seen = EnumSet.noneOf(Subject.class);
    for (Judgement judgement : all()) {
      for (int i = 0; i < judgement.lines().size(); i++) {
        Judged line = judgement.lines().get(i);
        Optional<Figure> figure = line.figure();
        if (figure.isEmpty()) {
          continue;
        }
        Subject printed = judgement.label().claims().get(i).subject();
        seen.add(printed);
        String which = judgement.unit().name() + ", " + line.title();
        Figure measured = figure.get();
        Explanation panel = Explanation.of(measured);
        assertEquals(line.verdict().orElseThrow().measured(), figure, which);
        assertEquals(TrialPage.measured(line.verdict().get()), measured.words(), which);
        assertEquals(panel.because(), measured.because(), which);
        assertTrue(!panel.because().workedOut().isEmpty(), which + " shows no sum");
        if (!line.claim().subject().isWord()) {
          assertEquals(measured.unit(), line.claim().subject().unit(), which);
        }
        assertEquals(measured.estimate().u95(), measured.budget().u95(), 1e-9, which);
        TestRun run = line.runId().flatMap(judgement::run).orElseThrow();
        assertTrue(run.type().declaration().answers().contains(printed), which);
        sources(judgement, run, measured.because(), which);
      }
    }
    assertTrue(seen.size() >= 14, "the demo judges only " + seen);
  }

  /** The figures it was made from are there, each of a run of this unit. */
  private static void sources(Judgement judgement, TestRun run, Because because, String which) {
    for (Because.Source source : because.madeFrom()) {
      TestRun behind =
          source.runId() == Because.SAME_RUN ? run : judgement.run(source.runId()).orElse(null);
      assertTrue(behind != null, which + ": " + source.figure().name() + " is of no run");
      sources(judgement, behind, source.figure().because(), which);
    }
  }

  /** Every figure of every run of the demo has a sum, and the half width of its own budget. */
  @Test
  public void everyFigureCarriesItsOwnUncertainty() {
    Set<TestType> seen = new HashSet<>();
    for (Judgement judgement : all()) {
      for (TestRun run : judgement.runs()) {
        Set<String> keys = new HashSet<>();
        for (Figure figure : run.figures()) {
          String which = run.run().title() + ": " + figure.key();
          assertTrue(keys.add(figure.key()), which + " twice");
          assertTrue(!figure.because().workedOut().isEmpty(), which + " shows no sum");
          assertEquals(figure.u95(), figure.budget().u95(), 1e-9 + 1e-9 * figure.u95(), which);
          seen.add(run.type());
        }
        assertTrue(run.headline().isPresent() || !run.warnings().isEmpty(), run.run().title());
      }
    }
    assertTrue(seen.size() >= 9, "figures of " + seen.size() + " tests only");
  }

  /**
   * Another way to the same half width: the lines of a budget drawn at random, as JCGM 101:2008 has
   * it, instead of folded.
   */
  @Test
  public void foldingABudgetAnewGivesTheSame() {
    SplittableRandom random = new SplittableRandom(101);
    for (Judgement judgement : all()) {
      for (Judged line : judgement.lines()) {
        if (line.figure().filter(f -> f.u95() > 0).isEmpty()) {
          continue;
        }
        Figure figure = line.figure().get();
        List<Contribution> lines = figure.budget().contributions();
        if (lines.stream().anyMatch(c -> c.degreesOfFreedom() < 20)) {
          // Student's t of few readings: the folding of those is tested on its own, in core.
          continue;
        }
        assertEquals(
            held(lines, figure.u95(), random),
            0.95,
            OFF,
            judgement.unit().name() + ", " + line.title());
      }
    }
  }

  private static double held(List<Contribution> lines, double u95, SplittableRandom random) {
    Map<String, List<Contribution>> causes = new LinkedHashMap<>();
    for (Contribution c : lines) {
      String cause = c.sharedCause().isEmpty() ? "alone " + causes.size() : c.sharedCause();
      causes.computeIfAbsent(cause, k -> new ArrayList<>()).add(c);
    }
    double[] limits = spread(causes.values(), Contribution.Shape.RECTANGULAR);
    double[] bells = spread(causes.values(), Contribution.Shape.NORMAL);
    int held = 0;
    for (int i = 0; i < DRAWS; i++) {
      double sum = 0;
      for (double limit : limits) {
        sum += limit * Math.sqrt(3) * (2 * random.nextDouble() - 1);
      }
      for (double bell : bells) {
        sum += bell * random.nextGaussian();
      }
      held += Math.abs(sum) <= u95 ? 1 : 0;
    }
    return held / (double) DRAWS;
  }

  private static double[] spread(Collection<List<Contribution>> causes, Contribution.Shape shape) {
    return causes.stream()
        .filter(c -> c.get(0).shape() == shape)
        .mapToDouble(c -> c.stream().mapToDouble(Contribution::standard).sum())
        .toArray();
  }
}
