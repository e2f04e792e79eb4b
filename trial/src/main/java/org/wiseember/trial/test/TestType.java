package org.wiseember.trial.test;

import java.util.List;
import java.util.Optional;
import java.util.Set;
import org.wiseember.core.label.Claim;
import org.wiseember.core.label.Group;
import org.wiseember.core.label.Label;
import org.wiseember.core.label.Subject;
import org.wiseember.core.notice.Watcher;
import org.wiseember.workbook.RunSettings;

/**
 * A test of the trade: all the program knows of one. A new test is a package with an implementation
 * of this, its settings and its run, and a line in the registry.
 */
public interface TestType {
  /** Short and stable, as kept with a run: {@code ac-drain}. */
  String key();

  /** What it is called: {@code AC drain}. */
  String words();

  /** How it is made. */
  TestHelp help();

  /** The part of the verdict it is told with. */
  Group group();

  /** Whether it can hurt somebody, so that its cautions have to be seen before it starts. */
  default boolean hazardous() {
    return false;
  }

  /** Whether it is made by hand whatever stands on the bench: such meters have no wire. */
  default boolean byHandOnly() {
    return false;
  }

  /** Whether a log of readings tells it; starts and waves want captures. */
  default boolean inLogs() {
    return true;
  }

  /** Whether captured waves tell it, of which a file holds one. */
  default boolean inCaptures() {
    return false;
  }

  /**
   * Whether a claim that no other test answers waits for it only once it was made: a scale is in
   * nobody's plan.
   */
  default boolean onlyOnceMade() {
    return false;
  }

  /** Whether it empties the unit under one load, so that its end can be foretold. */
  default boolean drains() {
    return false;
  }

  /** Whether a person may have to say how a start went. */
  default boolean seenByEyes() {
    return false;
  }

  /** Whether loads on hand make its steps. */
  default boolean wantsLoads() {
    return false;
  }

  /** Whether the charge on the display may rise while it runs. */
  default boolean displayRises() {
    return false;
  }

  /** What the watts it is about are called on an axis. */
  default String wattsName() {
    return "AC power";
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

  /** Whether what it finds rests on what other runs found, so that it is worked out after them. */
  default boolean restsOnOthers() {
    return false;
  }

  /**
   * Works a run out.
   *
   * @param asked what else it may ask for
   */
  TestRun worked(RunRecord record, Asked asked);

  /** What its runs are: a record that begins with the run as it is kept, then what was found. */
  Class<? extends TestRun> finds();

  /** The subjects of claims it may answer. */
  Set<Subject> answers();

  /** What a claim is held against where it promises it in another unit than it is printed in. */
  default Claim judgedAs(Claim claim) {
    return claim;
  }

  /** The answer its runs give to a claim; empty where none does. */
  Optional<Answer> answer(Claim claim, UnitFindings unit);

  /** Wh that earlier complete drains of the same kind gave, for foretelling the end of the next. */
  default List<Double> earlier(UnitFindings unit) {
    return List.of();
  }
}
