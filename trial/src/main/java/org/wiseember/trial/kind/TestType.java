package org.wiseember.trial.kind;

import java.util.List;
import java.util.Optional;
import org.wiseember.core.label.Claim;
import org.wiseember.core.label.Label;
import org.wiseember.core.notice.Watcher;
import org.wiseember.trial.onhand.OnHand;
import org.wiseember.workbook.RunSettings;

/**
 * A test of the trade: what is declared of it, and what it calculates. A new test is a package with
 * an implementation of this, its settings and its run, and a line in the registry.
 */
public interface TestType {
  /** What there is to say of it before it is made. */
  Declaration declaration();

  /** Short and stable, as kept with a run: {@code ac-drain}. */
  default String key() {
    return declaration().key();
  }

  /** What it is called: {@code AC drain}. */
  default String words() {
    return declaration().words();
  }

  /** Whether it is so. */
  default boolean is(Trait trait) {
    return declaration().traits().contains(trait);
  }

  /** How it is set up for a unit; empty where its label does not say enough. */
  Optional<TestSettings> settings(Label label, OnHand onHand);

  /** What is missing where {@link #settings} is empty, one sentence. */
  default String missing(Label label, OnHand onHand) {
    return "This test needs the watts the label rates the unit at, and loads on hand to go with"
        + " it.";
  }

  /** The settings a run was made with, as it kept them. */
  TestSettings kept(RunSettings kept);

  /** What looks at every reading while it runs, beside its procedure. */
  default List<Watcher> watchers(RunSettings settings, Label label) {
    return List.of();
  }

  /**
   * Works a run out.
   *
   * @param asked what else it may ask for
   */
  TestRun worked(RunRecord record, Inquiry asked);

  /** What a claim is held against where it promises it in another unit than it is printed in. */
  default Claim judgedAs(Claim claim) {
    return claim;
  }

  /** The answer its runs give to a claim; empty where none does. */
  Optional<ClaimAnswer> answer(Claim claim, UnitFindings unit);

  /** Wh that earlier complete drains of the same kind gave, for foretelling the end of the next. */
  default List<Double> earlier(UnitFindings unit) {
    return List.of();
  }
}
