package org.wiseember.desktop.runtime;

import java.util.List;
import java.util.Optional;
import java.util.function.Consumer;
import java.util.function.Predicate;
import javafx.scene.control.Label;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;
import org.wiseember.core.quantity.ReaderUnits;
import org.wiseember.desktop.look.Row;
import org.wiseember.desktop.look.Words;
import org.wiseember.trial.runtime.DayAnswer;
import org.wiseember.trial.runtime.DayAnswers;
import org.wiseember.trial.runtime.DayOutcome;

/** What a day comes to, a row a question; each opens its because. */
final class AnswerList extends VBox {
  private final Consumer<DayAnswer> explain;
  private final Label heading = Words.of("heading", "");
  private final VBox rows = new VBox();
  private final Predicate<DayAnswer> which;
  private List<DayAnswer> shown = List.of();
  private String chosen = "";

  AnswerList(Consumer<DayAnswer> explain) {
    this(explain, a -> true);
  }

  /**
   * Makes one of some of the questions.
   *
   * @param which of them
   */
  AnswerList(Consumer<DayAnswer> explain, Predicate<DayAnswer> which) {
    this.explain = explain;
    this.which = which;
    setSpacing(6);
    getChildren().addAll(heading, rows);
  }

  void show(DayOutcome outcome, ReaderUnits units) {
    shown = DayAnswers.of(outcome, units).stream().filter(which).toList();
    heading.setText("What comes of it" + outcome.first().map(u -> " on " + u.name()).orElse(""));
    rows.getChildren().clear();
    for (int i = 0; i < shown.size(); i++) {
      rows.getChildren().add(row(i, shown.get(i)));
    }
    Words.shown(this, !shown.isEmpty());
    mark();
  }

  /** The one that is explained: the one chosen last, else the first. */
  Optional<DayAnswer> chosen() {
    return shown.stream()
        .filter(a -> a.question().equals(chosen))
        .findFirst()
        .or(() -> shown.stream().findFirst());
  }

  private HBox row(int i, DayAnswer answer) {
    Label question = Words.of("figure", answer.question());
    question.getStyleClass().add("answer-question");
    Label figure = Words.line(tone(answer.tone()), answer.answer());
    figure.getStyleClass().add("answer-figure");
    Label words = Words.of("quiet", answer.words());
    HBox.setHgrow(words, Priority.ALWAYS);
    words.setMaxWidth(Double.MAX_VALUE);
    HBox row = new HBox(14, question, figure, words);
    row.getStyleClass().add("row");
    row.setId("answer-" + i);
    Row.make(
        row,
        answer.question() + ", " + answer.answer() + ". " + answer.words(),
        () -> {
          chosen = answer.question();
          mark();
          explain.accept(answer);
        });
    return row;
  }

  private void mark() {
    Optional<DayAnswer> now = chosen();
    for (int i = 0; i < shown.size(); i++) {
      Row.chosen(rows.getChildren().get(i), now.filter(shown.get(i)::equals).isPresent());
    }
  }

  private static String tone(DayAnswer.Tone tone) {
    return switch (tone) {
      case GOOD -> "kept";
      case BAD -> "short-of";
      case OPEN -> "close";
      case PLAIN -> "measured";
    };
  }
}
