package org.wiseember.desktop.bench;

import java.util.Optional;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import org.wiseember.desktop.look.Words;
import org.wiseember.desktop.model.Session;
import org.wiseember.trial.kind.TestType;
import org.wiseember.trial.plan.Schedule;
import org.wiseember.trial.plan.ScheduleTimes;

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
    take =
        Words.button(
            "action",
            "Take it",
            () -> session.planWork().nextTest().ifPresent(session.bench()::prepare));
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

  private String where() {
    ScheduleTimes times = session.planWork().times();
    Schedule schedule = session.planWork().schedule().get();
    return session
        .planWork()
        .planned()
        .map(
            s ->
                "in your plan, "
                    + (s.from().isAfter(schedule.now()) ? "at " + times.words(s.from()) : "now"))
        .orElse("in the order of work");
  }

  private void show() {
    Optional<TestType> next = session.planWork().nextTest();
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
