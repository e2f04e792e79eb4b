package org.wiseember.desktop.bench;

import java.util.List;
import java.util.Optional;
import javafx.beans.value.ChangeListener;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.CheckBox;
import javafx.scene.control.Label;
import javafx.scene.control.TextField;
import javafx.scene.control.TextInputControl;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.StackPane;
import javafx.scene.layout.VBox;
import javafx.stage.FileChooser;
import org.wiseember.bench.procedure.DoNow;
import org.wiseember.bench.procedure.Phase;
import org.wiseember.bench.run.RunView;
import org.wiseember.core.capacity.ExpectedEnd;
import org.wiseember.core.figure.Explanation;
import org.wiseember.core.quantity.Figures;
import org.wiseember.core.start.MotorStart;
import org.wiseember.core.trace.Series;
import org.wiseember.desktop.look.Adaptive;
import org.wiseember.desktop.look.ChartPane;
import org.wiseember.desktop.look.EmptyStage;
import org.wiseember.desktop.look.Focus;
import org.wiseember.desktop.look.HeadLast;
import org.wiseember.desktop.look.Words;
import org.wiseember.desktop.model.LiveRun;
import org.wiseember.desktop.model.Session;
import org.wiseember.desktop.model.StageName;
import org.wiseember.report.drawing.TraceDrawing;
import org.wiseember.trial.kind.TestPlan;
import org.wiseember.trial.kind.TestRun;
import org.wiseember.trial.kind.TestType;
import org.wiseember.trial.kind.Trait;
import org.wiseember.trial.live.LiveMoment;
import org.wiseember.trial.live.LiveTile;
import org.wiseember.trial.verdict.Judgement;
import org.wiseember.workbook.Notebook;
import org.wiseember.workbook.Run;
import org.wiseember.workbook.RunSettings;

/** A test before it starts, while it runs, and when it has ended; and the instruments. */
public final class BenchStage extends StackPane {
  private final Session session;
  private final HeadLast main;
  private final VBox side = new VBox();
  private final Adaptive adaptive;
  private final InstrumentsPane instruments;
  private final Label title = Words.of("title", "");
  private final Label under = Words.of("quiet", "");
  private final Label result = Words.of("measured", "");
  private final Button start;
  private final Button toLabel;
  private final Button earlier;
  private final Button markButton;
  private final HoldButton stop;
  private final HoldButton dropped;
  private final Button toVerdict;
  private final Button again;
  private final Button next;
  private final VBox cutShort = new VBox();
  private final LiveTiles tiles;
  private final SetUpPane setUp;
  private final ChartPane chart = new ChartPane("Power, temperature and display so far");
  private final HBox said = new HBox();
  private final NoticedList noticed = new NoticedList();
  private final HBox seen = new HBox();
  private final DoNowList doNow;
  private final LeadsList leads = new LeadsList();
  private final TypedPanel typed;
  private final HandPane hand;
  private final HowItGoes howItGoes = new HowItGoes();
  private final ClockPanel clock;
  private final ChangeListener<RunView> watch = (o, was, is) -> show(is);
  private final ChangeListener<List<Notebook.Written>> written =
      (o, was, is) -> show(this.shown.view().get());
  private LiveRun shown;

  /** The run whose notebook was given the focus as it began. */
  private LiveRun writtenIn;

  private int marks;

  public BenchStage(Session session) {
    this.session = session;
    side.getStyleClass().add("side");
    instruments = new InstrumentsPane(session, this::rebuild);
    start = Words.button("action-main", "Start", session.bench()::start);
    start.setId("start-test");
    toLabel =
        Words.button("action", "To the label", () -> session.at().stage().set(StageName.LABEL));
    earlier =
        Words.button(
            "action",
            "Made earlier   Ctrl E",
            () -> session.notes().begin(session.bench().test().get()));
    earlier.setId("made-earlier");
    markButton = Words.button("action", "Mark   Space", this::mark);
    stop = new HoldButton("Hold to stop", session.bench()::stopRun);
    stop.setId("hold-to-stop");
    dropped = new HoldButton("Hold: output dropped out", session.bench()::outputDroppedOut);
    dropped.setId("dropped-out");
    dropped.getStyleClass().setAll("button", "action-main");
    toVerdict =
        Words.button(
            "action-main", "See the verdict", () -> session.at().stage().set(StageName.VERDICT));
    toVerdict.setId("see-verdict");
    again =
        Words.button(
            "action", "Make it again", () -> session.bench().prepare(session.bench().test().get()));
    again.setId("make-again");
    result.setId("result");
    next = Words.button("action", "", () -> session.planWork().nextTest().ifPresent(this::goOn));
    next.setId("next-test");
    setUp = new SetUpPane(session, () -> getChildren().setAll(instruments));
    doNow = new DoNowList(session);
    typed = new TypedPanel(session);
    hand = new HandPane(session, this::choosePhoto);
    clock = new ClockPanel(session);
    cutShort.setSpacing(6);
    buildSaid();
    buildSeen();
    chart.setMinHeight(260);
    chart.setPrefHeight(300);
    VBox.setVgrow(chart, Priority.ALWAYS);
    VBox.setVgrow(hand, Priority.ALWAYS);
    tiles = new LiveTiles(session, widthProperty());
    main =
        new HeadLast(head(), cutShort, setUp, howItGoes, hand, tiles, chart, seen, said, noticed);
    main.getStyleClass().add("stage");
    side.getChildren().addAll(doNow, typed, clock, leads);
    adaptive = new Adaptive(main, side, session.look().textScale());
    addEventFilter(KeyEvent.KEY_PRESSED, this::key);
    session
        .shelf()
        .chosen()
        .addListener(
            (o, was, is) -> {
              rebuild();
              if (was == null || is == null || was.unit().id() != is.unit().id()) {
                focusStart();
              }
            });
    session.bench().live().addListener((o, was, is) -> rebuildAndStart());
    session.bench().test().addListener((o, was, is) -> rebuildAndStart());
    session
        .bench()
        .source()
        .addListener(
            (o, was, is) -> {
              rebuild();
              // Chosen elsewhere, what comes next is the start; chosen here, the hand is here.
              if (!setUp.holds(getScene() == null ? null : getScene().getFocusOwner())) {
                focusStart();
              }
            });
    // It changes with every sign that is typed into a form: the focus stays where the hand is.
    session.bench().onHand().addListener((o, was, is) -> rebuild());
    session
        .planWork()
        .schedule()
        .addListener(
            (o, was, is) -> {
              if (shown != null && !shown.going()) {
                redraw();
              }
            });
    session.look().whenLookChanges(this::redraw);
    sceneProperty().addListener((o, was, is) -> focusStart());
    rebuild();
  }

  private boolean going() {
    return shown != null && shown.going();
  }

  /** Space marks a moment, but not where Space means something else. */
  private void key(KeyEvent e) {
    boolean other = e.getTarget() instanceof TextInputControl || e.getTarget() instanceof CheckBox;
    if (e.getCode() == KeyCode.SPACE && going() && !other) {
      mark();
      e.consume();
    }
  }

  private void mark() {
    marks++;
    session.bench().mark("Mark " + marks);
  }

  private void rebuildAndStart() {
    rebuild();
    focusStart();
  }

  private void focusStart() {
    if (start.isVisible() && !typing()) {
      Focus.give(start, () -> {});
    }
  }

  /** Whether somebody is typing into a field of this page. */
  private boolean typing() {
    return getScene() != null
        && getScene().getFocusOwner() instanceof TextInputControl field
        && setUp.holds(field);
  }

  private Node head() {
    VBox words = new VBox(title, result, under);
    words.setSpacing(2);
    HBox.setHgrow(words, Priority.ALWAYS);
    HBox head =
        new HBox(words, toLabel, earlier, start, markButton, dropped, stop, next, again, toVerdict);
    head.getStyleClass().add("stage-head");
    return head;
  }

  /** A line for a note or the error code on the unit, and a photo. */
  private void buildSaid() {
    TextField note = new TextField();
    note.setId("note");
    note.setPromptText("Note, or the error code the unit shows");
    note.setAccessibleText("Note or error code");
    note.setOnAction(
        e -> {
          session.bench().note(note.getText());
          note.clear();
        });
    HBox.setHgrow(note, Priority.ALWAYS);
    Button photo = Words.button("action", "Photo", this::choosePhoto);
    photo.setId("photo");
    said.setSpacing(8);
    said.getChildren().addAll(note, photo);
  }

  /** How a start went, where only a person sees it. */
  private void buildSeen() {
    seen.setSpacing(8);
    seen.setStyle("-fx-alignment: center-left;");
    seen.getChildren().add(Words.line("strong", "It"));
    for (MotorStart.Outcome outcome : MotorStart.Outcome.values()) {
      Button button =
          Words.button("action", outcome.words(), () -> session.bench().sawStart(outcome));
      button.setId("saw-" + outcome);
      seen.getChildren().add(button);
    }
  }

  private void choosePhoto() {
    FileChooser chooser = new FileChooser();
    chooser.setTitle("Add a photo");
    chooser
        .getExtensionFilters()
        .add(new FileChooser.ExtensionFilter("Pictures", "*.jpg", "*.jpeg", "*.png", "*.heic"));
    java.io.File file = chooser.showOpenDialog(getScene().getWindow());
    if (file != null) {
      session.bench().photo(file.toPath());
    }
  }

  private void rebuild() {
    Judgement judgement = session.shelf().chosen().get();
    LiveRun live = session.bench().live().get();
    boolean mine = live != null && judgement != null && live.unitId() == judgement.unit().id();
    // A run that has ended stays on show until another test is asked for.
    mine = mine && (live.going() || live.plan().type().equals(session.bench().test().get()));
    if (mine && live.equals(shown)) {
      // What is typed in while it goes is not built anew.
      showAlone(adaptive);
      show(live.view().get());
      return;
    }
    if (shown != null) {
      shown.view().removeListener(watch);
      shown.notebook().removeListener(written);
      shown = null;
    }
    if (judgement == null || (judgement.unit().label().claims().isEmpty() && !mine)) {
      showAlone(
          new EmptyStage(
              judgement == null ? "Bench" : judgement.unit().name(),
              "A test needs to know what the unit claims: how much it holds, what it is rated"
                  + " at. Type the label, then come back and start.",
              "To the label",
              () -> session.at().stage().set(StageName.LABEL)));
      return;
    }
    showAlone(adaptive);
    if (mine) {
      shown = live;
      live.view().addListener(watch);
      live.notebook().addListener(written);
      title.setText(live.plan().title());
      typed.of(live);
      leads.show(live.plan().settings().leads(judgement.unit().label()));
      show(live.view().get());
      return;
    }
    Optional<TestPlan> plan = session.bench().plan();
    title.setText(plan.map(TestPlan::title).orElse(session.bench().test().get().words()));
    arrange(true, false, false);
    Words.shown(start, plan.isPresent());
    Words.shown(toLabel, plan.isEmpty());
    showCutShort(judgement);
    if (plan.isPresent()) {
      showReady(judgement, plan.get());
    } else {
      under.setText(
          judgement.unit().name()
              + ". "
              + session
                  .bench()
                  .test()
                  .get()
                  .missing(judgement.unit().label(), session.bench().onHand().get()));
      Words.shown(tiles, false);
      clock.show(0, "");
      doNow.show(List.of(), "", false);
      leads.show(List.of());
      chart.show(null);
    }
  }

  private void showReady(Judgement judgement, TestPlan plan) {
    under.setText(judgement.unit().name() + ". " + plan.reason());
    double rated = judgement.unit().label().ratedWattHours().orElse(Double.NaN);
    clock.show(0, "Every reading is on disk within a second. Pull the plug if you like.");
    // A caution of a later step is read before the start as well: it may be too late then.
    doNow.show(
        plan.procedure().steps().stream()
            .filter(s -> s.when() == DoNow.When.BEFORE || !s.caution().isEmpty())
            .toList(),
        "",
        false);
    leads.show(plan.settings().leads(judgement.unit().label()));
    howItGoes.show(
        plan, plan.byHandOnly() || session.bench().source().get() == RunSettings.Source.BY_HAND);
    if (plan.type().is(Trait.DRAINS)) {
      ExpectedEnd end =
          ExpectedEnd.of(rated, plan.type().earlier(judgement), 0, Double.NaN, plan.watts());
      tiles.show(plan.settings().tiles(), plan.settings().ahead(end));
      show(LiveChart.ahead(plan, end));
    } else {
      tiles.nothing(plan.settings().tiles());
      show(LiveChart.empty(plan));
    }
  }

  /**
   * What is on show already is not taken off and put back: what is typed in would lose the focus.
   */
  private void showAlone(Node page) {
    if (!getChildren().equals(List.of(page))) {
      getChildren().setAll(page);
    }
  }

  private void show(TraceDrawing drawing) {
    chart.show(() -> session.look().drawn(drawing));
  }

  private static double span(Series series) {
    return series.size() == 0 ? 0 : series.seconds(series.size() - 1) - series.seconds(0);
  }

  /** Runs of this unit that were cut short: go on, or close them. */
  private void showCutShort(Judgement judgement) {
    cutShort.getChildren().clear();
    for (TestRun tested : judgement.runs()) {
      Run run = tested.run();
      if (run.state() != Run.State.INTERRUPTED) {
        continue;
      }
      Label words =
          Words.of(
              "strong",
              run.title()
                  + " was cut short after "
                  + Figures.duration(span(tested.preview()))
                  + ". Its readings are all there.");
      HBox.setHgrow(words, Priority.ALWAYS);
      Button goOn = Words.button("action", "Go on with it", () -> session.bench().resume(run));
      goOn.setId("go-on");
      Button close =
          Words.button("action", "Close it", () -> session.bench().closeInterrupted(run));
      close.setId("close-interrupted");
      HBox row = new HBox(words, goOn, close);
      row.setSpacing(8);
      row.getStyleClass().add("row");
      cutShort.getChildren().add(row);
    }
    Words.shown(cutShort, !cutShort.getChildren().isEmpty());
  }

  private void arrange(boolean ready, boolean running, boolean over) {
    boolean byHand = byHand();
    boolean seen =
        shown != null
            && shown.run() != null
            && shown.run().source() != RunSettings.Source.SIMULATED;
    Words.shown(start, ready);
    Words.shown(earlier, ready);
    Words.shown(toLabel, false);
    Words.shown(setUp, ready);
    Words.shown(tiles, (!ready || session.bench().test().get().is(Trait.DRAINS)) && !byHand);
    Words.shown(hand, !ready && byHand);
    boolean drains = session.bench().test().get().is(Trait.DRAINS);
    Words.shown(chart, !byHand && (!ready || drains));
    Words.shown(howItGoes, ready && session.bench().plan().isPresent() && !drains);
    boolean simulated =
        session.bench().source().get() == RunSettings.Source.SIMULATED
            && !session.bench().byHandOnly();
    Words.shown(clock, !byHand && (!ready || simulated));
    Words.shown(
        this.seen, running && seen && !byHand && shown.plan().type().is(Trait.SEEN_BY_EYES));
    Words.shown(markButton, running && !byHand);
    Words.shown(stop, running);
    Words.shown(dropped, running && seen && !byHand && shown.plan().type().is(Trait.DRAINS));
    Words.shown(said, running && !byHand);
    Words.shown(typed, running && !byHand);
    Words.shown(noticed, !ready && !byHand);
    Words.shown(toVerdict, over);
    Words.shown(again, over);
    Optional<TestType> after =
        session.planWork().nextTest().filter(t -> over && !t.equals(shown.plan().type()));
    after.ifPresent(t -> next.setText("Next: " + t.words()));
    Words.shown(next, after.isPresent());
    showResult(over);
    Words.shown(cutShort, ready);
  }

  private boolean byHand() {
    return shown != null
        && shown.run() != null
        && shown.run().source() == RunSettings.Source.BY_HAND;
  }

  private void redraw() {
    if (shown != null) {
      show(shown.view().get());
    } else {
      rebuild();
    }
  }

  private void show(RunView view) {
    if (shown == null) {
      return;
    }
    if (view == null || view.latest() == null) {
      under.setText("Starting.");
      arrange(false, true, false);
      return;
    }
    boolean over = view.phase().over();
    boolean wasOver = toVerdict.isVisible();
    arrange(false, !over, over);
    if (over && !wasOver && getScene() != null) {
      Focus.give(toVerdict, () -> {});
    }
    under.setText(phaseWords(view));
    List<LiveTile> figures = shown.plan().settings().tiles();
    LiveMoment moment = shown.at(view);
    tiles.show(figures, figures.stream().map(f -> f.at(moment)).toList());
    clock.show(
        view.latest().seconds(), view.unsaved().isEmpty() ? savedWords(view) : view.unsaved());
    noticed.show(view.notices());
    showSteps(view);
    if (byHand()) {
      hand.show(shown, view);
      if (!over && !shown.equals(writtenIn)) {
        writtenIn = shown;
        hand.takeFocus();
      }
    } else {
      show(LiveChart.of(shown, view));
    }
  }

  private void goOn(TestType test) {
    session.bench().prepare(test);
    focusStart();
  }

  /** What the test found, as soon as it is worked out. */
  private void showResult(boolean over) {
    Judgement judgement = session.shelf().chosen().get();
    Optional<Explanation> found =
        over && judgement != null
            ? judgement.runs().stream()
                .filter(r -> r.run().id() == shown.run().runId())
                .findFirst()
                .flatMap(TestRun::headline)
            : Optional.empty();
    result.setText(found.map(f -> f.title() + ": " + f.answer()).orElse(""));
    Words.shown(result, found.isPresent());
  }

  private String savedWords(RunView view) {
    return shown.run().source() == RunSettings.Source.BY_HAND
        ? lines(shown.notebook().get().size()) + " in the notebook, all on disk."
        : Figures.plain((double) view.frames()) + " readings a channel, all on disk.";
  }

  private static String lines(int many) {
    return many == 1 ? "1 line" : many + " lines";
  }

  private void showSteps(RunView view) {
    boolean draining = view.phase() == Phase.SETTLING || view.phase() == Phase.MEASURING;
    boolean byHand =
        shown.run().loadByHand() && shown.plan().type().is(Trait.DRAINS) && view.now().isEmpty();
    boolean ask = byHand && draining && !(view.watts() > 1) && view.loadedSeconds() == 0;
    boolean off = byHand && view.phase() == Phase.WINDING_DOWN;
    boolean waits = !view.asks().isEmpty() && shown.run().source() != RunSettings.Source.SIMULATED;
    doNow.show(
        shown.run().procedure().steps().stream()
            .filter(s -> s.when() != DoNow.When.BEFORE)
            .toList(),
        waits ? view.asks() : ask ? "Switch the load on." : off ? "Switch the load off." : "",
        waits);
  }

  private String phaseWords(RunView view) {
    String ending = shown.run().procedure().ending().orElse("");
    String shows = view.unitShows().isEmpty() ? "" : " The unit shows " + view.unitShows() + ".";
    boolean byHand = byHand();
    if (byHand) {
      // How it ended is said by whoever ended it.
      return (ending.isEmpty()
              ? "Read by hand, " + savedWords(view) + " " + shown.plan().settings().ends(true)
              : ending)
          + shows;
    }
    return view.phase().words()
        + ". "
        + (ending.isEmpty() ? shown.plan().settings().ends(false) : ending)
        + shows;
  }
}
