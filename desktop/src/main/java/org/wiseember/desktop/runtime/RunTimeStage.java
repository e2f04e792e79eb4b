package org.wiseember.desktop.runtime;

import java.util.LinkedHashMap;
import java.util.Map;
import javafx.beans.property.ObjectProperty;
import javafx.beans.property.SimpleObjectProperty;
import javafx.scene.Node;
import javafx.scene.layout.HBox;
import javafx.scene.layout.StackPane;
import javafx.scene.layout.VBox;
import org.wiseember.desktop.because.BecausePanel;
import org.wiseember.desktop.finding.SheetSave;
import org.wiseember.desktop.look.Adaptive;
import org.wiseember.desktop.look.Choices;
import org.wiseember.desktop.look.EmptyStage;
import org.wiseember.desktop.look.Focus;
import org.wiseember.desktop.look.Words;
import org.wiseember.desktop.model.Session;
import org.wiseember.desktop.model.StageName;
import org.wiseember.trial.runtime.Cautions;
import org.wiseember.trial.runtime.DayAnswer;
import org.wiseember.trial.runtime.DayOutcome;
import org.wiseember.trial.runtime.DayPage;
import org.wiseember.workbook.StoredDay;

/** What a unit will run, for how long, and from which feeds. */
public final class RunTimeStage extends StackPane {
  private enum Page {
    DAY,
    FEEDS
  }

  private final Session session;
  private final VBox main = new VBox();
  private final StackPane side = new StackPane();
  private final BecausePanel because;
  private final ObjectProperty<Page> page = new SimpleObjectProperty<>(Page.DAY);
  private final Node pages;
  private final Adaptive whole;
  private final DayHead head;
  private final DayBoard board;
  private final AnswerList answers;
  private final ApplianceForm form;
  private final FeedPage feeds;
  private final SheetSave save;

  public RunTimeStage(Session session) {
    this.session = session;
    main.getStyleClass().add("stage");
    because = new BecausePanel(session);
    Map<Page, String> words = new LinkedHashMap<>();
    words.put(Page.DAY, "The day");
    words.put(Page.FEEDS, "Feeds");
    pages = Choices.row("Run-time", "run-time-", words, page);
    form = new ApplianceForm(session, this::explainFirst);
    board = new DayBoard(session, this::edit);
    answers = new AnswerList(this::explain);
    head = new DayHead(session);
    feeds = new FeedPage(session, this::explain);
    save = new SheetSave(session, "day", "A sheet beside the unit");
    whole = new Adaptive(main, side, session.look().textScale());
    page.addListener(
        (o, was, is) -> {
          form.close();
          show();
        });
    session.dayWork().chosen().addListener((o, was, is) -> show());
    session.dayWork().outcome().addListener((o, was, is) -> outcome());
    session.shelf().chosen().addListener((o, was, is) -> show());
    session.look().whenLookChanges(this::outcome);
    show();
  }

  private void show() {
    StoredDay day = session.dayWork().chosen().get();
    if (session.shelf().chosen().get() == null) {
      getChildren()
          .setAll(
              new EmptyStage(
                  "Run-time",
                  "How long a unit runs what you have will be worked out here. It begins with a unit"
                      + " and its label.",
                  "To the label",
                  () -> session.at().stage().set(StageName.LABEL)));
      return;
    }
    if (day == null) {
      EmptyStage empty =
          new EmptyStage(
              "Run-time",
              "Lay out a day: what is on when, from a stall's lamps to a fridge. Against it stands"
                  + " what each unit was measured to give, until when it lasts, and which start would"
                  + " trip it. A day can be read in from a file as well: drop it on the window.",
              "Lay out a day",
              session.dayWork()::add);
      empty.lookup(".action-main").setId("add-first-day");
      getChildren().setAll(empty);
      return;
    }
    String had = focused();
    head.show(day);
    if (page.get() == Page.DAY) {
      board.show(day);
      main.getChildren().setAll(pages, head, board, answers, save);
      form.follow(day);
    } else {
      feeds.show(day);
      main.getChildren().setAll(pages, feeds, save);
    }
    if (!getChildren().contains(whole)) {
      getChildren().setAll(whole);
    }
    outcome();
    giveBack(had);
  }

  private String focused() {
    Node node = getScene() == null ? null : getScene().getFocusOwner();
    return node == null ? null : node.getId();
  }

  /** What was laid out anew keeps the keyboard where it was. */
  private void giveBack(String id) {
    if (id == null || getScene() == null) {
      return;
    }
    Node again = getScene().lookup("#" + id);
    if (again != null && again != getScene().getFocusOwner()) {
      Focus.keep(again);
    }
  }

  private void outcome() {
    DayOutcome made = session.dayWork().outcome().get();
    if (made == null || session.dayWork().chosen().get() == null) {
      return;
    }
    String had = focused();
    board.show(made);
    answers.show(made, session.look().units().get());
    feeds.show(made);
    save.show(
        made.day().title(),
        () -> DayPage.sheet(made, session.look().units().get()),
        session.dayWork()::json);
    if (side.getChildren().isEmpty() || side.getChildren().get(0) == because) {
      explainAgain();
    }
    giveBack(had);
  }

  private void edit(int place) {
    form.of(place);
    side.getChildren().setAll(form);
  }

  private void explainFirst() {
    side.getChildren().setAll(because);
    explainAgain();
  }

  private void explainAgain() {
    if (page.get() == Page.DAY) {
      answers.chosen().ifPresentOrElse(this::explain, this::nothing);
    } else {
      feeds.chosen().ifPresentOrElse(this::explain, this::nothing);
    }
  }

  private void explain(DayAnswer answer) {
    because.explain(answer.why());
    VBox care = new VBox(Words.of("strong", "Take care"));
    Cautions.of(session.dayWork().chosen().get().day())
        .forEach(w -> care.getChildren().add(Words.of("care", w)));
    care.getStyleClass().add("caution");
    care.setSpacing(6);
    because.getChildren().add(care);
    side.getChildren().setAll(because);
  }

  private void nothing() {
    because
        .getChildren()
        .setAll(
            Words.of("heading", "How much it holds is not known"),
            Words.of(
                "because-text",
                session.shelf().chosen().get().unit().name()
                    + ": neither a whole drain nor its label tells. Type its capacity on the label,"
                    + " or drain it once from full."),
            new HBox(
                Words.button(
                    "action", "To the label", () -> session.at().stage().set(StageName.LABEL))));
    side.getChildren().setAll(because);
  }
}
