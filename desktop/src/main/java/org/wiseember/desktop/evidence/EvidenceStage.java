package org.wiseember.desktop.evidence;

import java.time.LocalTime;
import java.time.ZoneId;
import java.time.format.DateTimeFormatter;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import javafx.beans.property.ObjectProperty;
import javafx.beans.property.SimpleObjectProperty;
import javafx.scene.Node;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.StackPane;
import javafx.scene.layout.VBox;
import org.wiseember.core.figure.Warning;
import org.wiseember.desktop.because.BecausePanel;
import org.wiseember.desktop.beside.BesideView;
import org.wiseember.desktop.finding.HeadFigures;
import org.wiseember.desktop.look.Adaptive;
import org.wiseember.desktop.look.Choices;
import org.wiseember.desktop.look.EmptyStage;
import org.wiseember.desktop.look.NoticeRow;
import org.wiseember.desktop.look.Words;
import org.wiseember.desktop.model.Session;
import org.wiseember.desktop.model.StageName;
import org.wiseember.report.page.FindingPage;
import org.wiseember.trial.kind.Entered;
import org.wiseember.trial.kind.TestRun;
import org.wiseember.trial.page.RunTrace;
import org.wiseember.trial.verdict.Judgement;
import org.wiseember.workbook.Event;
import org.wiseember.workbook.Run;

/** The runs of the chosen unit, one of them in full, or all drains together. */
public final class EvidenceStage extends StackPane {
  private static final DateTimeFormatter STARTED =
      DateTimeFormatter.ofPattern("d MMM yyyy", Locale.ENGLISH).withZone(ZoneId.systemDefault());

  /** How a run is looked at. */
  private enum Look {
    FOUND,
    TRACE
  }

  private final Session session;
  private final VBox main = new VBox();
  private final BecausePanel because;
  private final Adaptive adaptive;
  private final RunCards cards;
  private final HeadFigures figures;
  private final SetAside aside;
  private final TraceView trace;
  private final TogetherView together;
  private final BesideView besides;
  private final Map<String, RunViews.RunView> views = new HashMap<>();
  private final VBox noticed = new VBox();
  private final RunNotebook notebook;
  private final ObjectProperty<Look> look = new SimpleObjectProperty<>(Look.FOUND);
  private boolean all;
  private boolean beside;
  private TestRun shown;

  /** Counts what was chosen: what is read for an earlier choice is not shown any more. */
  private int turn;

  public EvidenceStage(Session session) {
    this.session = session;
    main.getStyleClass().add("stage");
    noticed.setSpacing(4);
    notebook = new RunNotebook(session);
    because = new BecausePanel(session);
    cards = new RunCards(this::choose, this::chooseTogether, this::chooseBeside);
    besides = new BesideView(session, because);
    figures = new HeadFigures(why -> because.explain(shown, why));
    aside = new SetAside(session);
    trace = new TraceView(session);
    together = new TogetherView(session, because);
    for (Node view : List.of(trace, together)) {
      VBox.setVgrow(view, Priority.ALWAYS);
    }
    adaptive = new Adaptive(main, because, session.look().textScale());
    session
        .shelf()
        .chosen()
        .addListener(
            (o, was, is) -> {
              all = all && was != null && is != null && was.unit().id() == is.unit().id();
              rebuild();
            });
    session
        .at()
        .shownRun()
        .addListener(
            (o, was, is) -> {
              all = false;
              beside = false;
              rebuild();
            });
    session
        .at()
        .besideRun()
        .addListener(
            (o, was, is) -> {
              if (is != null) {
                besides.choose(is);
                chooseBeside();
                session.at().besideRun().set(null);
              }
            });
    look.addListener((o, was, is) -> rebuild());
    rebuild();
  }

  private void choose(TestRun run) {
    boolean was = all || beside;
    all = false;
    beside = false;
    if (session.at().shownRun().get() != null && session.at().shownRun().get() == run.run().id()) {
      if (was) {
        rebuild();
      }
    } else {
      session.at().shownRun().set(run.run().id());
    }
  }

  private void chooseBeside() {
    beside = true;
    rebuild();
  }

  private void chooseTogether() {
    all = true;
    beside = false;
    rebuild();
  }

  private void rebuild() {
    turn++;
    Judgement judgement = session.shelf().chosen().get();
    List<TestRun> runs = judgement == null ? List.of() : judgement.all();
    if (beside) {
      getChildren().setAll(adaptive);
      cards.besideOf(runs);
      main.getChildren().setAll(cards, besides);
      besides.show();
      return;
    }
    if (runs.isEmpty()) {
      EmptyStage empty =
          new EmptyStage(
              judgement == null ? "Evidence" : judgement.unit().name(),
              "The readings of every run of this unit will be here: the trace, what was noticed,"
                  + " and the figures that rest on it. Run a test on the bench first.",
              "To the bench",
              () -> session.at().stage().set(StageName.BENCH));
      var other =
          Words.button("action", "Appliances and sources, without a unit", this::chooseBeside);
      other.setId("to-beside");
      empty.getChildren().add(new HBox(other));
      getChildren().setAll(empty);
      return;
    }
    getChildren().setAll(adaptive);
    shown =
        Optional.ofNullable(session.at().shownRun().get())
            .flatMap(judgement::run)
            .orElseGet(() -> judgement.all().get(judgement.all().size() - 1));
    boolean joint = joint(judgement);
    all = all && joint;
    cards.of(judgement.all(), shown, joint, all);
    if (all) {
      showTogether(judgement);
    } else {
      main.getChildren().setAll(cards, head(judgement));
      int mine = turn;
      session.fetch(
          alike(judgement),
          () -> {
            if (mine == turn) {
              showRun(judgement);
            }
          });
    }
  }

  /** A picture of one run may have the others of its kind beside it. */
  private List<TestRun> alike(Judgement judgement) {
    return judgement.all().stream().filter(r -> r.type().equals(shown.type())).toList();
  }

  /** Whether the drains say something together. */
  private static boolean joint(Judgement judgement) {
    return judgement.together().rate().isPresent() || judgement.together().implied().isPresent();
  }

  private void showTogether(Judgement judgement) {
    VBox words =
        new VBox(
            Words.of("title", "All drains together"),
            Words.of(
                "quiet",
                judgement.unit().name()
                    + ". A gentler load yields more; the curve tells how much."));
    words.setSpacing(2);
    main.getChildren().setAll(cards, words, together);
    together.of(judgement);
  }

  private void showRun(Judgement judgement) {
    FindingPage page = shown.whole(judgement);
    figures.of(page.headlines());
    aside.of(shown);
    main.getChildren().setAll(cards, head(judgement), aside, figures);
    RunViews.RunView view =
        views.computeIfAbsent(shown.type().key(), key -> RunViews.of(session, key));
    Node found = view.of(judgement, shown, because);
    boolean readings = RunTrace.shows(shown);
    boolean pictured = !page.charts().isEmpty();
    if (pictured && readings) {
      Map<Look, String> words = new LinkedHashMap<>();
      words.put(Look.FOUND, "What it found");
      words.put(Look.TRACE, "Trace");
      main.getChildren().add(Choices.row("Show", "look-", words, look));
      main.getChildren().add(look.get() == Look.FOUND ? found : trace);
    } else {
      if (readings) {
        main.getChildren().add(trace);
      }
      if (pictured || !page.parts().isEmpty() || !readings) {
        main.getChildren().add(found);
      }
    }
    main.getChildren().addAll(notebook, noticed);
    notebook.show(shown);
    noticed.getChildren().clear();
    trace.of(shown, List.of());
    long id = shown.run().id();
    session.events(
        id,
        events -> {
          if (shown != null && shown.run().id() == id) {
            trace.of(shown, events);
            showNoticed(events);
          }
        });
  }

  private Node head(Judgement judgement) {
    Run run = shown.run();
    String where =
        switch (run.settings().source()) {
          case SIMULATED -> " on the simulated bench";
          case BY_HAND -> ", typed by hand";
          case FILE, INSTRUMENTS, ENTERED -> "";
        };
    VBox words =
        new VBox(
            Words.of("title", run.title()),
            Words.of(
                "quiet",
                Entered.words(run)
                    .map(made -> judgement.unit().name() + ". " + made)
                    .orElseGet(
                        () ->
                            judgement.unit().name()
                                + ", "
                                + STARTED.format(run.startedAt())
                                + ", "
                                + session
                                    .look()
                                    .units()
                                    .get()
                                    .time(
                                        LocalTime.ofInstant(
                                            run.startedAt(), ZoneId.systemDefault()))
                                + where
                                + ". "
                                + stateWords(run))));
    words.setSpacing(2);
    HBox.setHgrow(words, Priority.ALWAYS);
    var pack =
        Words.button(
            "action",
            "Pack this run",
            () -> session.readingIn().pack(run, judgement.unit().name()));
    pack.setId("pack-run");
    Words.shown(pack, shown.preview().size() > 0 || shown.headline().isPresent());
    var set = Words.button("action", "Exclude this run", aside::ask);
    set.setId("set-aside");
    Words.shown(set, !shown.aside() && run.state() != Run.State.RUNNING);
    HBox head = new HBox(words, set, pack);
    head.getStyleClass().add("stage-head");
    return head;
  }

  private static String stateWords(Run run) {
    return switch (run.state()) {
      case RUNNING -> "Running now.";
      case DONE, STOPPED -> run.ending();
      case INTERRUPTED -> "Interrupted. " + run.ending();
    };
  }

  /** What was noticed while it ran, and what is to be known of its figures. */
  private void showNoticed(List<Event> events) {
    noticed.getChildren().clear();
    noticed.getChildren().add(Words.of("heading", "Noticed"));
    for (Event event : events) {
      noticed.getChildren().add(NoticeRow.of(event.seconds(), event.code(), event.words()));
    }
    double end = shown.trace().isEmpty() ? 0 : shown.trace().seconds(shown.trace().size() - 1);
    for (Warning warning : shown.allWarnings()) {
      if (events.stream().noneMatch(e -> e.code().equals(warning.code()))) {
        noticed.getChildren().add(NoticeRow.of(end, "warning", warning.message()));
      }
    }
    Words.shown(noticed, noticed.getChildren().size() > 1);
  }
}
