package org.wiseember.desktop.bench;

import java.util.List;
import java.util.Locale;
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
import javafx.scene.layout.ColumnConstraints;
import javafx.scene.layout.GridPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.StackPane;
import javafx.scene.layout.VBox;
import javafx.stage.FileChooser;
import org.wiseember.bench.procedure.DoNow;
import org.wiseember.bench.procedure.Drain;
import org.wiseember.bench.procedure.Phase;
import org.wiseember.bench.run.RunView;
import org.wiseember.core.capacity.ExpectedEnd;
import org.wiseember.core.quantity.Figures;
import org.wiseember.core.trace.Channel;
import org.wiseember.desktop.app.Desk;
import org.wiseember.desktop.app.LiveRun;
import org.wiseember.desktop.app.StageName;
import org.wiseember.desktop.frame.EmptyStage;
import org.wiseember.desktop.look.Adaptive;
import org.wiseember.desktop.look.ChartPane;
import org.wiseember.desktop.look.Focus;
import org.wiseember.desktop.look.Words;
import org.wiseember.report.chart.TraceChart;
import org.wiseember.trial.DrainRun;
import org.wiseember.trial.Judgement;
import org.wiseember.trial.TestPlan;
import org.wiseember.workbook.Run;
import org.wiseember.workbook.RunSettings;

/** A drain before it starts, while it runs, and when it has ended; and the instruments. */
public final class BenchStage extends StackPane {
  private final Desk desk;
  private final VBox main = new VBox();
  private final VBox side = new VBox();
  private final Adaptive adaptive;
  private final InstrumentsPane instruments;
  private final Label title = Words.of("title", "");
  private final Label under = Words.of("quiet", "");
  private final Button start;
  private final Button markButton;
  private final HoldButton stop;
  private final HoldButton dropped;
  private final Button toVerdict;
  private final VBox cutShort = new VBox();
  private final Tile power = new Tile("Out of the socket", "W", "tone-ember");
  private final Tile delivered = new Tile("Delivered so far", "Wh", "tone-ember");
  private final Tile ends = new Tile("Ends in about", "", "tone-ink");
  private final Tile display = new Tile("Display says", "%", "tone-close");
  private final SetUpPane setUp;
  private final ChartPane chart = new ChartPane("Power, temperature and display so far");
  private final HBox said = new HBox();
  private final NoticedList noticed = new NoticedList();
  private final DoNowList doNow;
  private final TypedPanel typed;
  private final ClockPanel clock;
  private final ChangeListener<RunView> watch = (o, was, is) -> show(is);
  private LiveRun shown;
  private int marks;

  public BenchStage(Desk desk) {
    this.desk = desk;
    main.getStyleClass().add("stage");
    side.getStyleClass().add("side");
    instruments = new InstrumentsPane(desk, this::rebuild);
    start = Words.button("action-main", "Start the drain", desk.bench()::startDrain);
    start.setId("start-drain");
    markButton = Words.button("action", "Mark   Space", this::mark);
    stop = new HoldButton("Hold to stop", desk.bench()::stopRun);
    stop.setId("hold-to-stop");
    dropped = new HoldButton("Hold: output dropped out", desk.bench()::outputDroppedOut);
    dropped.setId("dropped-out");
    dropped.getStyleClass().setAll("button", "action-main");
    toVerdict =
        Words.button("action-main", "See the verdict", () -> desk.stage().set(StageName.VERDICT));
    toVerdict.setId("see-verdict");
    setUp = new SetUpPane(desk, () -> getChildren().setAll(instruments));
    doNow = new DoNowList(desk);
    typed = new TypedPanel(desk);
    clock = new ClockPanel(desk);
    cutShort.setSpacing(6);
    buildSaid();
    chart.setMinHeight(260);
    chart.setPrefHeight(300);
    VBox.setVgrow(chart, Priority.ALWAYS);
    main.getChildren().addAll(head(), cutShort, tiles(), setUp, chart, said, noticed);
    side.getChildren().addAll(doNow, typed, clock);
    adaptive = new Adaptive(main, side, desk.textScale());
    addEventFilter(KeyEvent.KEY_PRESSED, this::key);
    desk.chosen().addListener((o, was, is) -> rebuild());
    desk.bench().live().addListener((o, was, is) -> rebuild());
    desk.bench().source().addListener((o, was, is) -> rebuild());
    desk.palette().addListener((o, was, is) -> redraw());
    desk.textScale().addListener((o, was, is) -> redraw());
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
    desk.bench().mark("Mark " + marks);
  }

  private void focusStart() {
    if (start.isVisible()) {
      Focus.give(start, () -> {});
    }
  }

  private Node head() {
    VBox words = new VBox(title, under);
    words.setSpacing(2);
    HBox.setHgrow(words, Priority.ALWAYS);
    HBox head = new HBox(words, start, markButton, dropped, stop, toVerdict);
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
          desk.bench().note(note.getText());
          note.clear();
        });
    HBox.setHgrow(note, Priority.ALWAYS);
    Button photo = Words.button("action", "Photo", this::choosePhoto);
    photo.setId("photo");
    said.setSpacing(8);
    said.getChildren().addAll(note, photo);
  }

  private void choosePhoto() {
    FileChooser chooser = new FileChooser();
    chooser.setTitle("Add a photo");
    chooser
        .getExtensionFilters()
        .add(new FileChooser.ExtensionFilter("Pictures", "*.jpg", "*.jpeg", "*.png", "*.heic"));
    java.io.File file = chooser.showOpenDialog(getScene().getWindow());
    if (file != null) {
      desk.bench().photo(file.toPath());
    }
  }

  private Node tiles() {
    GridPane grid = new GridPane();
    grid.setHgap(10);
    grid.setVgap(10);
    Tile[] all = {power, delivered, ends, display};
    for (Tile tile : all) {
      tile.setMaxWidth(Double.MAX_VALUE);
      GridPane.setHgrow(tile, Priority.ALWAYS);
    }
    Runnable arrange =
        () -> {
          grid.getChildren().clear();
          boolean wide = getWidth() / desk.textScale().get() > 640;
          for (int i = 0; i < all.length; i++) {
            grid.add(all[i], wide ? i : i % 2, wide ? 0 : i / 2);
          }
          grid.getColumnConstraints().clear();
          for (int i = 0; i < (wide ? 4 : 2); i++) {
            ColumnConstraints column = new ColumnConstraints();
            column.setPercentWidth(wide ? 25 : 50);
            grid.getColumnConstraints().add(column);
          }
        };
    widthProperty().addListener((o, was, is) -> arrange.run());
    desk.textScale().addListener((o, was, is) -> arrange.run());
    arrange.run();
    return grid;
  }

  private void rebuild() {
    Judgement judgement = desk.chosen().get();
    Optional<TestPlan> plan = desk.bench().drainPlan();
    LiveRun live = desk.bench().live().get();
    boolean mine = live != null && judgement != null && live.unitId() == judgement.unit().id();
    if (shown != null) {
      shown.view().removeListener(watch);
      shown = null;
    }
    if (judgement == null || (plan.isEmpty() && !mine)) {
      getChildren()
          .setAll(
              new EmptyStage(
                  judgement == null ? "Bench" : judgement.unit().name(),
                  "A drain needs to know how much the unit claims to hold. Type the label with its"
                      + " capacity, then come back and start.",
                  "To the label",
                  () -> desk.stage().set(StageName.LABEL)));
      return;
    }
    getChildren().setAll(adaptive);
    if (mine) {
      shown = live;
      live.view().addListener(watch);
      title.setText(live.plan().title());
      typed.of(live);
      show(live.view().get());
    } else {
      title.setText(plan.get().title());
      showReady(judgement, plan.get());
    }
  }

  private void showReady(Judgement judgement, TestPlan plan) {
    under.setText(judgement.unit().name() + ". " + plan.reason());
    arrange(true, false, false);
    showCutShort(judgement);
    double rated = judgement.unit().label().ratedWattHours().orElse(Double.NaN);
    List<Double> earlier =
        judgement.drains().stream()
            .filter(DrainRun::complete)
            .map(d -> d.finding().deliveredEnergy().orElseThrow().value())
            .toList();
    ExpectedEnd ahead = ExpectedEnd.of(rated, earlier, 0, Double.NaN, plan.watts());
    power.set("–", "not started");
    delivered.set("–", "about " + Figures.fixed(ahead.total(), 0) + " Wh expected");
    ends.set(minutes(ahead.secondsLeft()), between(ahead) + " once it runs");
    display.set("–", "read it off the unit");
    clock.show(0, "Every reading is on disk within a second. Pull the plug if you like.");
    doNow.show(
        Drain.ac(plan.volts()).steps().stream().filter(s -> s.when() == DoNow.When.BEFORE).toList(),
        "");
    chart.show(
        () ->
            TraceChart.of(
                LiveFigure.ahead(plan, ahead), desk.palette().get(), desk.textScale().get()));
    focusStart();
  }

  /** Runs of this unit that were cut short: go on, or close them. */
  private void showCutShort(Judgement judgement) {
    cutShort.getChildren().clear();
    for (DrainRun drain : judgement.drains()) {
      Run run = drain.run();
      if (run.state() != Run.State.INTERRUPTED) {
        continue;
      }
      Label words =
          Words.of(
              "strong",
              run.title()
                  + " was cut short after "
                  + Figures.duration(drain.trace().span())
                  + ". Its readings are all there.");
      HBox.setHgrow(words, Priority.ALWAYS);
      Button goOn = Words.button("action", "Go on with it", () -> desk.bench().resume(run));
      goOn.setId("go-on");
      Button close = Words.button("action", "Close it", () -> desk.bench().closeInterrupted(run));
      close.setId("close-interrupted");
      HBox row = new HBox(words, goOn, close);
      row.setSpacing(8);
      row.getStyleClass().add("row");
      cutShort.getChildren().add(row);
    }
    Words.shown(cutShort, !cutShort.getChildren().isEmpty());
  }

  private void arrange(boolean ready, boolean running, boolean over) {
    boolean seen =
        shown != null
            && shown.run() != null
            && shown.run().source() != RunSettings.Source.SIMULATED;
    Words.shown(start, ready);
    Words.shown(setUp, ready);
    Words.shown(markButton, running);
    Words.shown(stop, running);
    Words.shown(dropped, running && seen);
    Words.shown(said, running);
    Words.shown(typed, running);
    Words.shown(noticed, !ready);
    Words.shown(toVerdict, over);
    Words.shown(cutShort, ready);
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
    tilesFrom(view);
    clock.show(
        view.latest().seconds(), view.unsaved().isEmpty() ? savedWords(view) : view.unsaved());
    noticed.show(view.notices());
    showSteps(view);
    chart.show(
        () ->
            TraceChart.of(
                LiveFigure.of(shown, view), desk.palette().get(), desk.textScale().get()));
  }

  private String savedWords(RunView view) {
    return shown.run().source() == RunSettings.Source.BY_HAND
        ? shown.typed().size() + " typed readings, all on disk."
        : Figures.plain((double) view.frames()) + " readings a channel, all on disk.";
  }

  private void showSteps(RunView view) {
    boolean draining = view.phase() == Phase.SETTLING || view.phase() == Phase.MEASURING;
    double watts = view.latest().value(Channel.AC_POWER);
    boolean ask = shown.run().loadByHand() && draining && !(watts > 1) && view.loadedSeconds() == 0;
    boolean off = shown.run().loadByHand() && view.phase() == Phase.WINDING_DOWN;
    doNow.show(
        shown.run().procedure().steps().stream()
            .filter(s -> s.when() != DoNow.When.BEFORE)
            .toList(),
        ask ? "Switch the load on." : off ? "Switch the load off." : "");
  }

  private String phaseWords(RunView view) {
    String ending = shown.run().procedure().ending().orElse("");
    String shows = view.unitShows().isEmpty() ? "" : " The unit shows " + view.unitShows() + ".";
    boolean byHand = shown.run().source() == RunSettings.Source.BY_HAND;
    return view.phase().words()
        + (!ending.isEmpty()
            ? ". " + ending
            : byHand
                ? ". Say so when the output drops out, and type the last total."
                : ". Ends by itself when the output drops out.")
        + shows;
  }

  private void tilesFrom(RunView view) {
    double watts = view.latest().value(Channel.AC_POWER);
    double volts = view.latest().value(Channel.AC_VOLTAGE);
    power.set(
        Figures.fixed(watts, 1),
        Double.isNaN(volts)
            ? view.latest().channels().contains(Channel.AC_VOLTAGE)
                ? "no answer"
                : "not read by the program"
            : Figures.fixed(volts, 1)
                + " V, "
                + Figures.fixed(view.latest().value(Channel.AC_CURRENT), 2)
                + " A, "
                + Figures.fixed(view.latest().value(Channel.FREQUENCY), 2)
                + " Hz");
    double rated = shown.ratedWattHours();
    double energy = shown.delivered();
    delivered.set(
        Figures.fixed(energy, 1),
        Figures.fixed(100 * energy / rated, 0)
            + " % of label, "
            + Figures.clock(
                view.loadedSeconds() > 0 ? view.loadedSeconds() : view.latest().seconds())
            + " in");
    ExpectedEnd end = shown.expectedEnd();
    if (view.phase() == Phase.MEASURING || view.phase() == Phase.SETTLING) {
      ends.set(minutes(end.secondsLeft()), between(end));
    } else {
      ends.set(view.phase().over() ? "ended" : "–", view.phase().words().toLowerCase(Locale.ROOT));
    }
    double charge = shown.displayCharge();
    double counted = 100 - 100 * energy / end.total();
    display.set(
        Figures.fixed(charge, 0),
        "energy says about " + Figures.fixed(Math.max(0, counted), 0) + " %");
  }

  private static String minutes(double seconds) {
    return Figures.fixed(seconds / 60, 0) + " min";
  }

  private static String between(ExpectedEnd end) {
    return Figures.fixed(end.soonest() / 60, 0)
        + " to "
        + Figures.fixed(end.latest() / 60, 0)
        + " min";
  }
}
