package org.wiseember.desktop.bench;

import java.util.Optional;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import org.wiseember.core.verdict.Standing;
import org.wiseember.desktop.look.Words;
import org.wiseember.desktop.model.Session;
import org.wiseember.trial.AllTests;
import org.wiseember.trial.kind.TestType;
import org.wiseember.trial.kind.Trait;
import org.wiseember.trial.plan.Schedule;
import org.wiseember.trial.plan.ScheduleStep;
import org.wiseember.trial.plan.ScheduleTimes;
import org.wiseember.trial.verdict.Judgement;

/**
 * Which test comes next: by the plan where there is one, else the first in the order of work that
 * answers a claim nobody has tested yet. The others are one press away.
 */
final class NextTest extends HBox {
  private final Session session;
  private final Label words = Words.of("strong", "");
  private final Button take;

  NextTest(Session session, Node others) {
    this.session = session;
    setSpacing(10);
    setStyle("-fx-alignment: center-left;");
    take = Words.button("action", "Take it", () -> next().ifPresent(session.bench().test()::set));
    take.setId("take-next");
    Button other = Words.button("action", "Another test", () -> {});
    other.setId("another-test");
    other.setOnAction(
        e -> {
          Words.shown(others, !others.isVisible());
          other.setText(others.isVisible() ? "Fewer" : "Another test");
        });
    words.setMinWidth(0);
    words.setMaxWidth(Double.MAX_VALUE);
    HBox.setHgrow(words, Priority.ALWAYS);
    getChildren().addAll(words, take, other);
    session.shelf().chosen().addListener((o, was, is) -> show());
    session.bench().test().addListener((o, was, is) -> show());
    session.bench().onHand().addListener((o, was, is) -> show());
    session.planWork().schedule().addListener((o, was, is) -> show());
    show();
  }

  /** What the plan says of the unit that is looked at. */
  private Optional<ScheduleStep> planned() {
    Judgement judgement = session.shelf().chosen().get();
    Schedule schedule = session.planWork().schedule().get();
    return judgement == null || schedule == null
        ? Optional.empty()
        : schedule.nextTest(judgement.unit().id());
  }

  private Optional<TestType> next() {
    Judgement judgement = session.shelf().chosen().get();
    Optional<TestType> planned = planned().flatMap(ScheduleStep::wanted).map(w -> w.plan().type());
    return planned.isPresent() ? planned : inOrder(judgement);
  }

  private Optional<TestType> inOrder(Judgement judgement) {
    return judgement == null
        ? Optional.empty()
        : AllTests.list().stream()
            .filter(t -> !t.is(Trait.ONLY_ONCE_MADE) && open(judgement, t))
            .filter(
                t ->
                    t.settings(judgement.unit().label(), session.bench().onHand().get())
                        .isPresent())
            .findFirst();
  }

  /** Whether it was not made yet and answers a claim that is not tested. */
  private static boolean open(Judgement judgement, TestType test) {
    boolean made = judgement.runs().stream().anyMatch(r -> !r.aside() && r.type().equals(test));
    return !made
        && judgement.lines().stream()
            .filter(l -> test.declaration().answers().contains(l.claim().subject()))
            .anyMatch(l -> l.verdict().map(v -> v.standing() == Standing.NOT_TESTED).orElse(true));
  }

  private String where() {
    ScheduleTimes times = session.planWork().times();
    Schedule schedule = session.planWork().schedule().get();
    return planned()
        .map(
            s ->
                "in your plan, "
                    + (s.from().isAfter(schedule.now()) ? "at " + times.words(s.from()) : "now"))
        .orElse("in the order of work");
  }

  private void show() {
    Optional<TestType> next = next();
    TestType chosen = session.bench().test().get();
    boolean isNext = next.filter(chosen::equals).isPresent();
    words.setText(
        next.isEmpty()
            ? chosen.words() + ". Every test its label asks for has been made"
            : isNext
                ? chosen.words() + ", next " + where()
                : chosen.words() + ". Next " + where() + ": " + next.get().words());
    Words.shown(take, next.isPresent() && !isNext);
  }
}
