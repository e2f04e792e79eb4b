package org.wiseember.trial.plan;

import java.util.Optional;
import org.wiseember.core.verdict.Standing;
import org.wiseember.trial.AllTests;
import org.wiseember.trial.kind.TestType;
import org.wiseember.trial.kind.Trait;
import org.wiseember.trial.onhand.OnHand;
import org.wiseember.trial.verdict.Judgement;

/** Which test comes next where nothing is planned: the first that answers what is not tested. */
public final class OrderOfWork {
  private OrderOfWork() {}

  /** The next test of a unit with what is on hand; empty where every one has been made. */
  public static Optional<TestType> next(Judgement unit, OnHand onHand) {
    return AllTests.list().stream()
        .filter(t -> !t.is(Trait.ONLY_ONCE_MADE) && open(unit, t))
        .filter(t -> t.settings(unit.unit().label(), onHand).isPresent())
        .findFirst();
  }

  /** Whether it was not made yet and answers a claim that is not tested. */
  private static boolean open(Judgement unit, TestType test) {
    boolean made = unit.runs().stream().anyMatch(r -> !r.aside() && r.type().equals(test));
    return !made
        && unit.lines().stream()
            .filter(l -> test.declaration().answers().contains(l.claim().subject()))
            .anyMatch(l -> l.verdict().map(v -> v.standing() == Standing.NOT_TESTED).orElse(true));
  }
}
