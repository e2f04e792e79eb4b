package org.wiseember.trial.byhand;

import static org.testng.Assert.assertTrue;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.testng.Reporter;
import org.wiseember.core.Thorough;
import org.wiseember.core.figure.Figure;
import org.wiseember.core.quantity.Figures;
import org.wiseember.core.verdict.Standing;
import org.wiseember.core.verdict.Verdict;

/** Counts over many units how often figures hold the truth, and how often a verdict is wrong. */
final class Tally {
  /** Units of each test. */
  static final int UNITS = Thorough.tries(12, 200);

  private final String name;
  private final List<String> outside = new ArrayList<>();
  private final List<String> wrong = new ArrayList<>();
  private int figures;
  private int verdicts;
  private int decided;

  Tally(String name) {
    this.name = name;
  }

  /** A figure against the truth. */
  void figure(long seed, Optional<Figure> figure, double truth) {
    if (figure.isEmpty()) {
      return;
    }
    figures++;
    Figure f = figure.get();
    boolean holds =
        switch (f.bound()) {
          case EXACT -> Math.abs(f.value() - truth) <= f.u95();
          case AT_LEAST -> truth >= f.low();
          case AT_MOST -> truth <= f.high();
        };
    if (!holds) {
      outside.add(seed + ": " + f.words() + " of " + Figures.fixed(truth, 3));
    }
  }

  /** A verdict against whether the claim is true. */
  void verdict(long seed, Optional<Verdict> verdict, boolean claimIsTrue) {
    if (verdict.isEmpty()) {
      return;
    }
    verdicts++;
    Standing standing = verdict.get().standing();
    decided += standing == Standing.KEPT || standing == Standing.SHORT ? 1 : 0;
    if ((standing == Standing.KEPT && !claimIsTrue)
        || (standing == Standing.SHORT && claimIsTrue)) {
      wrong.add(seed + ": " + standing + ", " + verdict.get().reason());
    }
  }

  /**
   * At least nine in ten figures hold the truth, and of a hundred verdicts less than one is wrong.
   */
  void holds(int atLeastFigures, int atLeastDecided) {
    String all = toString();
    Reporter.log(all, true);
    assertTrue(figures >= atLeastFigures, all);
    assertTrue(decided >= atLeastDecided, all);
    // With few units one more may lie outside than the share alone would have.
    assertTrue(outside.size() <= 0.1 * figures + (UNITS < 100 ? 1 : 0), all + outside);
    assertTrue(wrong.size() <= 0.01 * verdicts, all + wrong);
  }

  @Override
  public String toString() {
    return name
        + ": "
        + (figures - outside.size())
        + " of "
        + figures
        + " figures hold, "
        + wrong.size()
        + " of "
        + verdicts
        + " verdicts wrong, "
        + decided
        + " decided "
        + outside
        + wrong;
  }
}
