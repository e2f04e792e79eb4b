package org.wiseember.desktop.beside;

import java.time.LocalDate;
import java.time.ZoneId;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import javafx.collections.ListChangeListener;
import javafx.scene.Node;
import javafx.scene.control.Label;
import javafx.scene.control.TextField;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;
import org.wiseember.desktop.because.BecausePanel;
import org.wiseember.desktop.finding.FindingView;
import org.wiseember.desktop.finding.HeadFigures;
import org.wiseember.desktop.finding.SheetSave;
import org.wiseember.desktop.look.Field;
import org.wiseember.desktop.look.Focus;
import org.wiseember.desktop.look.Row;
import org.wiseember.desktop.look.Words;
import org.wiseember.desktop.model.Session;
import org.wiseember.trial.beside.BesideRun;
import org.wiseember.trial.page.TrialPage;
import org.wiseember.workbook.day.WatchJson;

/** Runs of appliances and sources: one of them in full, and the forms that make the next. */
public final class BesideView extends VBox {
  private final Session session;
  private final BecausePanel because;
  private final FlowPane cards = new FlowPane(8, 8);
  private final VBox form = new VBox();
  private final VBox shown = new VBox(10);
  private final HeadFigures figures;
  private final FindingView found;
  private final SheetSave save;
  private final SourceForm source;
  private final VBox watch;
  private final TextField name = Field.of("watched-name", "what is watched", "", 16);
  private final Label trouble = Words.of("care", "");
  private long chosen;

  public BesideView(Session session, BecausePanel because) {
    this.session = session;
    this.because = because;
    setSpacing(12);
    figures = new HeadFigures(because::explain);
    found = new FindingView(session);
    save = new SheetSave(session, "appliance", "A sheet to keep with it");
    source =
        new SourceForm(
            (kind, called, tries) -> {
              session.beside().keepSource(kind, called, tries);
              open(null);
            });
    watch = watchForm();
    var one = Words.button("action", "Watch an appliance", () -> openWatch());
    one.setId("watch-appliance");
    var other = Words.button("action", "Try the mains or a generator", this::openSource);
    other.setId("try-source");
    getChildren().addAll(cards, new FlowPane(8, 6, one, other), form, shown);
    session.beside().runs().addListener((ListChangeListener<BesideRun>) this::changed);
  }

  private VBox watchForm() {
    WatchForm typed =
        new WatchForm(
            w -> {
              String called = name.getText().strip();
              if (called.isEmpty()) {
                trouble.setText("Type what is watched, as: Office fridge.");
                Words.shown(trouble, true);
                return;
              }
              Words.shown(trouble, false);
              session.beside().keepWatch(called.substring(0, Math.min(80, called.length())), w);
              open(null);
            });
    Words.shown(trouble, false);
    VBox box =
        new VBox(
            8,
            Field.named(name),
            typed,
            trouble,
            Words.of("quiet", "A log of its meter does as well: drop the CSV on the window."));
    box.getStyleClass().add("sheet");
    return box;
  }

  private void openWatch() {
    open(watch);
    Focus.give(name, name::selectAll);
  }

  private void openSource() {
    open(source);
    source.begin();
  }

  private void open(Node what) {
    boolean again = what != null && form.getChildren().contains(what);
    form.getChildren().setAll(what == null || again ? List.of() : List.of(what));
  }

  /** What is new is what one wants to see. */
  private void changed(ListChangeListener.Change<? extends BesideRun> change) {
    while (change.next()) {
      if (change.getAddedSize() == 1) {
        chosen = change.getAddedSubList().get(0).run().id();
      }
    }
    if (getParent() != null) {
      show();
    }
  }

  /** Shows the run with that key. */
  public void choose(long runId) {
    chosen = runId;
    if (getParent() != null) {
      show();
    }
  }

  private Optional<BesideRun> chosen() {
    List<BesideRun> all = session.beside().runs();
    return all.stream()
        .filter(r -> r.run().id() == chosen)
        .findFirst()
        .or(() -> all.isEmpty() ? Optional.empty() : Optional.of(all.get(all.size() - 1)));
  }

  /** Draws everything anew. */
  public void show() {
    Optional<BesideRun> run = chosen();
    cards.getChildren().clear();
    for (BesideRun each : session.beside().runs()) {
      cards.getChildren().add(card(each, run.filter(each::equals).isPresent()));
    }
    Words.shown(cards, !cards.getChildren().isEmpty());
    if (run.isPresent()) {
      show(run.get());
    } else {
      shown
          .getChildren()
          .setAll(
              Words.of("title", "Appliances and sources"),
              Words.of(
                  "empty-text",
                  "What an appliance takes in a day, and what the mains or a generator do under load,"
                      + " stand here by themselves: they are no units and judge no label. A day of"
                      + " Run-time takes its figures from them."));
      because.getChildren().clear();
    }
  }

  private Node card(BesideRun run, boolean isChosen) {
    HBox top =
        new HBox(
            14,
            Words.line("strong", run.subject().name()),
            Words.spring(),
            Words.line("quiet", run.kind()));
    VBox card = new VBox(top, Words.line("measured", run.brief()));
    card.getStyleClass().addAll("row", "run-card");
    card.setId("beside-run-" + run.run().id());
    Row.chosen(card, isChosen);
    Row.make(card, run.run().title(), () -> choose(run.run().id()));
    return card;
  }

  private void show(BesideRun run) {
    chosen = run.run().id();
    VBox words =
        new VBox(
            2,
            Words.of("title", run.subject().name()),
            Words.of(
                "quiet",
                run.run().title()
                    + ", "
                    + TrialPage.date(
                        LocalDate.ofInstant(run.run().startedAt(), ZoneId.systemDefault()))
                    + "."));
    HBox.setHgrow(words, Priority.ALWAYS);
    var away = Words.button("action", "Delete", () -> session.beside().remove(run));
    away.setId("remove-beside");
    HBox head = new HBox(words, away);
    head.getStyleClass().add("stage-head");
    figures.of(run.page().headlines());
    found.of(run.page());
    String kind = run.subject().name().toLowerCase(Locale.ROOT);
    save.show(
        kind,
        run::sheet,
        run.watch().isPresent()
            ? () -> WatchJson.write(run.subject().name(), run.watch().get().watch())
            : null);
    shown.getChildren().setAll(head, figures, found, save);
    run.page().headlines().stream().findFirst().ifPresent(because::explain);
  }
}
