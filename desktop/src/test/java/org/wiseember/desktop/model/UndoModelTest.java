package org.wiseember.desktop.model;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertTrue;

import java.util.ArrayList;
import java.util.List;
import java.util.SplittableRandom;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;
import org.wiseember.core.trace.Treatment;
import org.wiseember.core.verdict.Standing;
import org.wiseember.trial.kind.TestRun;
import org.wiseember.trial.verdict.Judgement;

/** Any row of edits is undone one by one, back to the very workbook it began with. */
public class UndoModelTest extends OnSession {
  private static final int EDITS = 12;

  /** All that an edit could have changed. */
  private record State(
      List<String> names,
      List<String> labels,
      List<Integer> runs,
      List<Integer> aside,
      String loads,
      int instruments) {}

  private State state() {
    List<String> names = new ArrayList<>();
    List<String> labels = new ArrayList<>();
    List<Integer> runs = new ArrayList<>();
    List<Integer> aside = new ArrayList<>();
    for (int i = 0; i < session.shelf().places().size(); i++) {
      Judgement unit = choose(i);
      names.add(unit.unit().name());
      labels.add(unit.unit().label().text());
      runs.add(unit.runs().size());
      aside.add(unit.aside().size());
    }
    return new State(
        names,
        labels,
        runs,
        aside,
        session.bench().loadsOnHand().get(),
        session.bench().instruments().size());
  }

  @DataProvider
  Object[][] seeds() {
    return new Object[][] {{1}, {2}, {3}, {4}};
  }

  @Test(dataProvider = "seeds")
  public void anyEditsAreUndone(int seed) {
    SplittableRandom random = new SplittableRandom(seed);
    State before = state();
    choose(0);
    List<String> said = new ArrayList<>();
    for (int n = 0; n < EDITS; n++) {
      said.add(edit(random, n));
      settle();
      settle();
    }
    State after = state();
    assertTrue(!after.equals(before), said.toString());
    choose(0);
    for (int n = 0; n < EDITS; n++) {
      session.open().undo();
      settle();
      settle();
    }
    assertEquals(state(), before, said.toString());
    session.open().undo();
    untilSaid("Nothing to undo.");
  }

  /** One edit that surely changes something. */
  private String edit(SplittableRandom random, int n) {
    Judgement unit = choose(random.nextInt(session.shelf().places().size()));
    long id = unit.unit().id();
    int kind = random.nextInt(5);
    if (kind == 3 && unit.runs().isEmpty()) {
      kind = 0;
    }
    switch (kind) {
      case 0 -> {
        session.units().rename(id, "Name " + n);
        return "renamed " + id;
      }
      case 1 -> {
        session
            .units()
            .saveLabel(id, unit.unit().label().text() + "\nWeight " + (n + 1) + " kg", List.of());
        return "label of " + id;
      }
      case 2 -> {
        session.units().addUnit();
        until(
            () ->
                session.shelf().chosen().get() != null
                    && session.shelf().chosen().get().unit().id() != id);
        return "added";
      }
      case 3 -> {
        TestRun run = unit.runs().get(random.nextInt(unit.runs().size()));
        session.decisions().setAside(run, "Because of edit " + n);
        return "set aside " + run.run().id();
      }
      default -> {
        session.units().removeChosen();
        until(
            () ->
                session.shelf().chosen().get() == null
                    || session.shelf().chosen().get().unit().id() != id);
        return "removed " + id;
      }
    }
  }

  /** What is decided about a run changes what is judged, and undone it stands as it did. */
  @Test
  public void decisionsChangeVerdictsAndComeBack() {
    Judgement unit = choose(0);
    List<String> before = standings(unit);
    for (TestRun run : unit.runs()) {
      session.decisions().setAside(run, "Not this time");
      settle();
    }
    until(() -> session.shelf().chosen().get().runs().isEmpty());
    assertEquals(
        session.shelf().chosen().get().count(Standing.KEPT)
            + session.shelf().chosen().get().count(Standing.SHORT),
        0);
    for (int i = 0; i < unit.runs().size(); i++) {
      session.open().undo();
      settle();
    }
    until(() -> session.shelf().chosen().get().aside().isEmpty());
    assertEquals(standings(session.shelf().chosen().get()), before);
    for (TestRun run : session.shelf().chosen().get().runs()) {
      assertEquals(run.treatment().setAside(), Treatment.NONE.setAside());
    }
  }

  private static List<String> standings(Judgement unit) {
    return unit.lines().stream()
        .map(l -> l.title() + ": " + l.verdict().map(v -> v.reason()).orElse(""))
        .toList();
  }
}
