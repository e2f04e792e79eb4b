package org.wiseember.desktop.bench;

import java.util.List;
import java.util.Optional;
import javafx.beans.value.ChangeListener;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.CheckBox;
import javafx.scene.control.Label;
import javafx.scene.control.ToggleButton;
import javafx.scene.control.ToggleGroup;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;
import javafx.scene.layout.GridPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.StackPane;
import javafx.scene.layout.VBox;
import org.wiseember.bench.procedure.AcDrain;
import org.wiseember.bench.procedure.DoNow;
import org.wiseember.bench.procedure.Phase;
import org.wiseember.bench.run.Pace;
import org.wiseember.bench.run.RunView;
import org.wiseember.bench.run.Thinned;
import org.wiseember.core.notice.Notice;
import org.wiseember.core.quantity.Figures;
import org.wiseember.core.trace.Channel;
import org.wiseember.desktop.app.Desk;
import org.wiseember.desktop.app.LiveRun;
import org.wiseember.desktop.app.StageName;
import org.wiseember.desktop.evidence.EvidenceStage;
import org.wiseember.desktop.frame.EmptyStage;
import org.wiseember.desktop.look.Adaptive;
import org.wiseember.desktop.look.ChartPane;
import org.wiseember.desktop.look.Focus;
import org.wiseember.desktop.look.Words;
import org.wiseember.report.chart.TraceChart;
import org.wiseember.report.chart.TraceFigure;
import org.wiseember.trial.DrainPlan;
import org.wiseember.trial.Judgement;

/** A drain before it starts, while it runs, and when it has ended. */
public final class BenchStage extends StackPane {
  private final Desk desk;
  private final VBox main = new VBox();
  private final VBox side = new VBox();
  private final Adaptive adaptive;
  private final Label title = Words.of("title", "");
  private final Label under = Words.of("quiet", "");
  private final Button start;
  private final Button markButton;
  private final HoldButton stop;
  private final Button toVerdict;
  private final Tile power = new Tile("Out of the socket", "W", "tone-ember");
  private final Tile delivered = new Tile("Delivered so far", "Wh", "tone-ember");
  private final Tile ends = new Tile("Ends in about", "", "tone-ink");
  private final Tile display = new Tile("Display says", "%", "tone-close");
  private final ChartPane chart = new ChartPane("Power so far");
  private final VBox noticed = new VBox();
  private final Label clock = Words.line("clock-figure", "0:00:00");
  private final Label clockWords = Words.of("clock-words", "");
  private final Label samples = Words.of("clock-words", "");
  private final ChangeListener<RunView> watch = (o, was, is) -> show(is);
  private LiveRun shown;
  private int marks;

  public BenchStage(Desk desk) {
    this.desk = desk;
    main.getStyleClass().add("stage");
    side.getStyleClass().add("side");
    noticed.setSpacing(4);
    start = Words.button("action-main", "Start the drain", desk::startDrain);
    start.setId("start-drain");
    markButton = Words.button("action", "Mark   Space", this::mark);
    stop = new HoldButton("Hold to stop", desk::stopRun);
    stop.setId("hold-to-stop");
    toVerdict =
        Words.button("action-main", "See the verdict", () -> desk.stage().set(StageName.VERDICT));
    toVerdict.setId("see-verdict");
    chart.setMinHeight(220);
    chart.setPrefHeight(330);
    VBox.setVgrow(chart, Priority.ALWAYS);
    main.getChildren().addAll(head(), tiles(), chart, noticed);
    buildSide();
    adaptive = new Adaptive(main, side, desk.textScale());
    addEventFilter(
        KeyEvent.KEY_PRESSED,
        e -> {
          if (e.getCode() == KeyCode.SPACE && going()) {
            mark();
            e.consume();
          }
        });
    desk.chosen().addListener((o, was, is) -> rebuild());
    desk.live().addListener((o, was, is) -> rebuild());
    desk.pace().addListener((o, was, is) -> showPace());
    desk.palette().addListener((o, was, is) -> redraw());
    desk.textScale().addListener((o, was, is) -> redraw());
    sceneProperty().addListener((o, was, is) -> focusStart());
    rebuild();
  }

  private boolean going() {
    return shown != null && shown.going();
  }

  private void mark() {
    marks++;
    desk.mark("Mark " + marks);
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
    HBox head = new HBox(words, start, markButton, stop, toVerdict);
    head.getStyleClass().add("stage-head");
    return head;
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
            var column = new javafx.scene.layout.ColumnConstraints();
            column.setPercentWidth(wide ? 25 : 50);
            grid.getColumnConstraints().add(column);
          }
        };
    widthProperty().addListener((o, was, is) -> arrange.run());
    desk.textScale().addListener((o, was, is) -> arrange.run());
    arrange.run();
    return grid;
  }

  private void buildSide() {
    side.getChildren().add(Words.of("heading", "Do now"));
    for (DoNow step : new AcDrain(230).steps()) {
      CheckBox box = new CheckBox(step.text());
      box.setWrapText(true);
      box.setMinHeight(USE_PREF_SIZE);
      side.getChildren().add(box);
      if (!step.caution().isEmpty()) {
        VBox caution = new VBox(Words.of("strong", "Take care"), Words.of("care", step.caution()));
        caution.getStyleClass().add("caution");
        side.getChildren().add(caution);
      }
    }
    VBox box = new VBox(Words.of("heading", "Bench clock"), clock, clockWords, paces(), samples);
    box.getStyleClass().add("clock");
    side.getChildren().add(box);
    showPace();
  }

  private Node paces() {
    ToggleGroup group = new ToggleGroup();
    HBox row = new HBox();
    row.setSpacing(4);
    for (Pace pace : Pace.values()) {
      ToggleButton button = new ToggleButton(pace.words());
      button.getStyleClass().setAll("toggle-button", "pace");
      button.setToggleGroup(group);
      button.setId("pace-" + pace.name());
      button.setAccessibleText("Bench clock at " + pace.words());
      button.setMaxWidth(Double.MAX_VALUE);
      button.setMinWidth(USE_PREF_SIZE);
      HBox.setHgrow(button, Priority.ALWAYS);
      button.setUserData(pace);
      desk.pace().addListener((o, was, is) -> button.setSelected(is == pace));
      button.setSelected(desk.pace().get() == pace);
      row.getChildren().add(button);
    }
    // Arrow keys choose without an action, so the choice itself is listened to.
    group
        .selectedToggleProperty()
        .addListener(
            (o, was, is) -> {
              if (is == null) {
                // Pressed again: a clock always has a speed. Changed elsewhere: the new one
                // follows.
                was.setSelected(was.getUserData() == desk.pace().get());
              } else if (is.getUserData() != desk.pace().get()) {
                desk.setPace((Pace) is.getUserData());
              }
            });
    return row;
  }

  private void showPace() {
    Pace pace = desk.pace().get();
    clockWords.setText(
        switch (pace) {
          case REAL -> "as fast as real";
          case FULL -> "as fast as this machine goes";
          default -> "running " + Math.round(pace.factor()) + " times faster than real";
        });
  }

  private void rebuild() {
    Judgement judgement = desk.chosen().get();
    Optional<DrainPlan> plan = desk.drainPlan();
    LiveRun live = desk.live().get();
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
      show(live.view().get());
    } else {
      title.setText(plan.get().title());
      showReady(judgement, plan.get());
    }
  }

  private void showReady(Judgement judgement, DrainPlan plan) {
    under.setText(judgement.unit().name() + ". " + plan.reason());
    buttons(true, false, false);
    double rated = judgement.unit().label().ratedWattHours().orElse(Double.NaN);
    Projection ahead = Projection.of(rated, 0, plan.watts());
    power.set("–", "not started");
    delivered.set("–", "about " + Figures.fixed(ahead.expected(), 0) + " Wh expected");
    ends.set(
        Figures.fixed(ahead.secondsLeft() / 60, 0) + " min",
        Figures.fixed(ahead.least() / 60, 0)
            + " to "
            + Figures.fixed(ahead.most() / 60, 0)
            + " min once it runs");
    display.set("–", "read it off the unit");
    noticed.getChildren().clear();
    clock.setText("0:00:00");
    samples.setText("Every reading is on disk within a second. Pull the plug if you like.");
    chart.show(
        () ->
            TraceChart.of(
                new TraceFigure(
                    new double[0],
                    new double[0],
                    TraceFigure.Line.NONE,
                    List.of(),
                    Double.NaN,
                    ahead.secondsLeft(),
                    plan.watts()),
                desk.palette().get(),
                desk.textScale().get()));
    focusStart();
  }

  private void buttons(boolean ready, boolean running, boolean over) {
    Words.shown(start, ready);
    Words.shown(markButton, running);
    Words.shown(stop, running);
    Words.shown(toVerdict, over);
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
      buttons(false, true, false);
      return;
    }
    boolean over = view.phase().over();
    boolean wasOver = toVerdict.isVisible();
    buttons(false, !over, over);
    if (over && !wasOver && getScene() != null) {
      Focus.give(toVerdict, () -> {});
    }
    under.setText(phaseWords(view));
    tilesFrom(view);
    clock.setText(Figures.clock(view.latest().seconds()));
    samples.setText(
        view.unsaved().isEmpty()
            ? Figures.plain((double) view.frames()) + " readings a channel, all on disk."
            : view.unsaved());
    noticed.getChildren().clear();
    noticed.getChildren().add(Words.of("heading", "Noticed while running"));
    if (view.notices().isEmpty()) {
      noticed.getChildren().add(Words.of("quiet", "Nothing yet."));
    }
    for (Notice notice : view.notices()) {
      noticed.getChildren().add(EvidenceStage.row(notice.seconds(), notice.code(), notice.text()));
    }
    drawLive(view);
  }

  private String phaseWords(RunView view) {
    String ending = shown.drain() == null ? "" : shown.drain().procedure().ending().orElse("");
    return view.phase().words()
        + (ending.isEmpty() ? ". Ends by itself when the output drops out." : ". " + ending);
  }

  private void tilesFrom(RunView view) {
    double watts = view.latest().value(Channel.AC_POWER);
    power.set(
        Figures.fixed(watts, 1),
        Figures.fixed(view.latest().value(Channel.AC_VOLTAGE), 1)
            + " V, "
            + Figures.fixed(view.latest().value(Channel.AC_CURRENT), 2)
            + " A, "
            + Figures.fixed(view.latest().value(Channel.FREQUENCY), 2)
            + " Hz");
    double rated = shown.ratedWattHours();
    delivered.set(
        Figures.fixed(view.deliveredWattHours(), 1),
        Figures.fixed(100 * view.deliveredWattHours() / rated, 0)
            + " % of label, "
            + Figures.clock(view.loadedSeconds())
            + " in");
    if (view.phase() == Phase.MEASURING || view.phase() == Phase.SETTLING) {
      Projection p = Projection.of(rated, view.deliveredWattHours(), Math.max(1, watts));
      ends.set(
          Figures.fixed(p.secondsLeft() / 60, 0) + " min",
          Figures.fixed(p.least() / 60, 0)
              + " to "
              + Figures.fixed(p.most() / 60, 0)
              + " min, if as usual");
    } else {
      ends.set(
          view.phase().over() ? "ended" : "0 min",
          view.phase().words().toLowerCase(java.util.Locale.ROOT));
    }
    double charge = view.latest().value(Channel.DISPLAY_CHARGE);
    double counted = 100 - 100 * view.deliveredWattHours() / (0.85 * rated);
    display.set(
        Figures.fixed(charge, 0),
        "energy says about " + Figures.fixed(Math.max(0, counted), 0) + " %");
  }

  private void drawLive(RunView view) {
    Thinned line = view.power();
    double[] seconds = new double[line.size() * 2];
    double[] watts = new double[line.size() * 2];
    for (int i = 0; i < line.size(); i++) {
      seconds[2 * i] = line.seconds()[i];
      seconds[2 * i + 1] = line.seconds()[i];
      watts[2 * i] = line.low()[i];
      watts[2 * i + 1] = line.high()[i];
    }
    boolean draining = view.phase() == Phase.MEASURING || view.phase() == Phase.SETTLING;
    double end =
        draining
            ? view.latest().seconds()
                + Projection.of(
                        shown.ratedWattHours(),
                        view.deliveredWattHours(),
                        Math.max(1, view.latest().value(Channel.AC_POWER)))
                    .secondsLeft()
            : Double.NaN;
    TraceFigure figure =
        new TraceFigure(
            seconds,
            watts,
            new TraceFigure.Line(view.celsius().seconds(), view.celsius().high()),
            view.notices().stream()
                .filter(n -> n.code().equals("mark") || n.code().equals("steady"))
                .map(
                    n ->
                        new TraceFigure.Mark(
                            n.seconds(), n.code().equals("mark") ? n.text() : "steady"))
                .toList(),
            Double.NaN,
            end,
            shown.plan().watts());
    chart.show(() -> TraceChart.of(figure, desk.palette().get(), desk.textScale().get()));
  }
}
