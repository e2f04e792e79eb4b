package org.wiseember.desktop.runtime;

import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.function.Consumer;
import javafx.scene.control.Label;
import javafx.scene.control.TextField;
import javafx.scene.layout.HBox;
import javafx.scene.layout.VBox;
import org.wiseember.core.runtime.feed.Feed;
import org.wiseember.core.runtime.feed.FeedFlow;
import org.wiseember.desktop.look.Field;
import org.wiseember.desktop.look.Words;
import org.wiseember.desktop.model.Session;
import org.wiseember.trial.runtime.DayAnswer;
import org.wiseember.trial.runtime.DayOutcome;
import org.wiseember.workbook.StoredDay;
import org.wiseember.workbook.day.WrittenTimes;
import org.wiseember.workbook.strict.JsonUnreadable;

/** What brings power into the unit on the chosen day, and what holds it back. */
final class FeedPage extends VBox {
  private static final Set<String> ANSWERED =
      Set.of(
          "into_unit",
          "runs_out",
          "charge_at_end",
          "lasts_without",
          "source_load",
          "generator_hours");

  private final Session session;
  private final FeedRibbons ribbons;
  private final FeedForm form;
  private final AnswerList answers;
  private final TextField at = Field.of("feed-at", "looked at", "", 6);
  private final Label trouble = Words.of("care", "");
  private final VBox picture = new VBox();
  private final Label title = Words.of("title", "");
  private double hour;
  private long shownDay = -1;

  FeedPage(Session session, Consumer<DayAnswer> explain) {
    this.session = session;
    this.ribbons = new FeedRibbons();
    this.form = new FeedForm(session);
    this.answers = new AnswerList(explain, a -> ANSWERED.contains(a.key()));
    setSpacing(10);
    Field.whenTyped(at, this::look);
    Words.shown(trouble, false);
    HBox when =
        new HBox(
            14,
            Field.named(at),
            Words.of(
                "quiet",
                "As broad as its watts at that moment. Where it narrows, something holds it back,"
                    + " and that is named."));
    when.setStyle("-fx-alignment: center-left;");
    picture.setSpacing(6);
    picture.getChildren().addAll(when, trouble, ribbons);
    getChildren().addAll(title, picture, answers, form);
  }

  Optional<DayAnswer> chosen() {
    return answers.chosen();
  }

  void show(StoredDay kept) {
    if (kept.id() != shownDay) {
      shownDay = kept.id();
      hour = 0;
    }
    title.setText("Where the power comes from: " + kept.day().title());
    at.setText(written(kept).writtenMoments(List.of(hour)));
    form.show(kept.day());
    Words.shown(picture, kept.day().feed().isPresent());
  }

  private WrittenTimes written(StoredDay kept) {
    return new WrittenTimes(
        kept.day().start(), kept.day().plan().hours(), session.look().units().get());
  }

  private void look() {
    StoredDay kept = session.dayWork().chosen().get();
    if (kept == null) {
      return;
    }
    try {
      var typed = written(kept).moments(at.getText());
      if (typed.size() != 1) {
        say("Type one moment of the day, as 12:00.");
        return;
      }
      hour = typed.get(0);
      Words.shown(trouble, false);
      Optional.ofNullable(session.dayWork().outcome().get()).ifPresent(this::draw);
    } catch (JsonUnreadable e) {
      say(e.getMessage());
    }
  }

  private void say(String words) {
    trouble.setText(words);
    Words.shown(trouble, true);
  }

  void show(DayOutcome outcome) {
    answers.show(outcome, session.look().units().get());
    draw(outcome);
  }

  private void draw(DayOutcome outcome) {
    Optional<Feed.Root> feed = outcome.day().feed();
    Words.shown(picture, feed.isPresent());
    if (feed.isEmpty() || outcome.first().isEmpty()) {
      ribbons.clear();
      return;
    }
    var first = outcome.first().get();
    double load = first.asked().wattsAt(hour);
    ribbons.show(feed.get(), FeedFlow.at(feed.get(), hour), load, first.name());
  }
}
