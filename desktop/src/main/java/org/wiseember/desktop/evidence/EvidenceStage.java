package org.wiseember.desktop.evidence;

import java.time.ZoneId;
import java.time.format.DateTimeFormatter;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import javafx.scene.Node;
import javafx.scene.control.Label;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.StackPane;
import javafx.scene.layout.VBox;
import javafx.scene.shape.Circle;
import org.wiseember.core.quantity.Figures;
import org.wiseember.core.quantity.Unit;
import org.wiseember.core.uncertainty.Estimate;
import org.wiseember.desktop.app.Desk;
import org.wiseember.desktop.app.StageName;
import org.wiseember.desktop.because.BecausePanel;
import org.wiseember.desktop.frame.EmptyStage;
import org.wiseember.desktop.frame.Row;
import org.wiseember.desktop.look.Adaptive;
import org.wiseember.desktop.look.ChartPane;
import org.wiseember.desktop.look.Words;
import org.wiseember.report.chart.TraceChart;
import org.wiseember.report.chart.TraceFigure;
import org.wiseember.trial.DrainRun;
import org.wiseember.trial.Judgement;
import org.wiseember.trial.TrialPage;
import org.wiseember.workbook.Event;
import org.wiseember.workbook.Run;

/** The runs of the chosen unit and the trace of one of them. */
public final class EvidenceStage extends StackPane {
  private static final DateTimeFormatter STARTED =
      DateTimeFormatter.ofPattern("d MMM yyyy, HH:mm", Locale.ENGLISH)
          .withZone(ZoneId.systemDefault());

  private final Desk desk;
  private final VBox main = new VBox();
  private final BecausePanel because;
  private final Adaptive adaptive;
  private final ChartPane chart = new ChartPane("Power and case temperature over the run");
  private final VBox noticed = new VBox();
  private List<Event> events = List.of();
  private DrainRun shown;

  public EvidenceStage(Desk desk) {
    this.desk = desk;
    main.getStyleClass().add("stage");
    noticed.setSpacing(4);
    because = new BecausePanel(desk);
    adaptive = new Adaptive(main, because, desk.textScale());
    chart.setMinHeight(250);
    chart.setPrefHeight(330);
    VBox.setVgrow(chart, Priority.ALWAYS);
    desk.chosen().addListener((o, was, is) -> rebuild());
    desk.shownRun().addListener((o, was, is) -> rebuild());
    desk.palette().addListener((o, was, is) -> drawChart());
    desk.textScale().addListener((o, was, is) -> drawChart());
    rebuild();
  }

  private void rebuild() {
    Judgement judgement = desk.chosen().get();
    if (judgement == null || judgement.drains().isEmpty()) {
      getChildren()
          .setAll(
              new EmptyStage(
                  judgement == null ? "Evidence" : judgement.unit().name(),
                  "The readings of every run of this unit will be here: the trace, what was noticed,"
                      + " and the figures that rest on it. Run a drain on the bench first.",
                  "To the bench",
                  () -> desk.stage().set(StageName.BENCH)));
      return;
    }
    getChildren().setAll(adaptive);
    shown =
        Optional.ofNullable(desk.shownRun().get())
            .flatMap(id -> TrialPage.drain(judgement, id))
            .orElse(judgement.drains().get(judgement.drains().size() - 1));
    main.getChildren().setAll(head(judgement), runs(judgement), figures(), chart, noticed);
    because.explain(shown);
    noticed.getChildren().clear();
    events = List.of();
    drawChart();
    long id = shown.run().id();
    desk.events(
        id,
        found -> {
          if (shown != null && shown.run().id() == id) {
            events = found;
            drawChart();
            showEvents();
          }
        });
  }

  private Node head(Judgement judgement) {
    Run run = shown.run();
    String where =
        switch (run.settings().source()) {
          case SIMULATED -> " on the simulated bench";
          case BY_HAND -> ", typed by hand";
          case FILE, INSTRUMENTS -> "";
        };
    VBox words =
        new VBox(
            Words.of("title", run.title()),
            Words.of(
                "quiet",
                judgement.unit().name()
                    + ", "
                    + STARTED.format(run.startedAt())
                    + where
                    + ". "
                    + stateWords(run)));
    words.setSpacing(2);
    HBox.setHgrow(words, Priority.ALWAYS);
    var pack =
        Words.button(
            "action", "Pack this run", () -> desk.readingIn().pack(run, judgement.unit().name()));
    pack.setId("pack-run");
    HBox head = new HBox(words, pack);
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

  /** One entry a run, the shown one marked. */
  private Node runs(Judgement judgement) {
    FlowPane pane = new FlowPane(8, 6);
    for (DrainRun drain : judgement.drains()) {
      Label name = Words.line("strong", drain.run().title());
      Label state = Words.line("quiet", drain.run().state().name().toLowerCase(Locale.ROOT));
      HBox entry = new HBox(name, state);
      entry.setSpacing(10);
      entry.getStyleClass().add("row");
      Row.chosen(entry, drain.run().id() == shown.run().id());
      Row.make(entry, drain.run().title(), () -> desk.shownRun().set(drain.run().id()));
      pane.getChildren().add(entry);
    }
    return pane;
  }

  private Node figures() {
    FlowPane pane = new FlowPane(28, 4);
    add(pane, "Delivered", shown.finding().deliveredEnergy(), Unit.WATT_HOUR);
    add(pane, "Yield", shown.finding().yield(), Unit.PERCENT);
    add(pane, "Mean power", shown.finding().meanPower(), Unit.WATT);
    shown
        .finding()
        .duration()
        .ifPresent(d -> pane.getChildren().add(pair("Under load", Figures.duration(d.value()))));
    pane.getChildren().add(pair("Readings", Figures.plain(shown.trace().size())));
    return pane;
  }

  private static void add(FlowPane pane, String name, Optional<Estimate> estimate, Unit unit) {
    estimate.ifPresent(
        e -> pane.getChildren().add(pair(name, Figures.withUncertainty(e.value(), e.u95(), unit))));
  }

  private static HBox pair(String name, String figure) {
    HBox pair = new HBox(Words.line("quiet", name), Words.line("measured", figure));
    pair.setSpacing(7);
    pair.setStyle("-fx-alignment: baseline-left;");
    return pair;
  }

  private void drawChart() {
    if (shown == null) {
      return;
    }
    DrainRun drain = shown;
    List<Event> marks = events;
    chart.show(
        () -> {
          TraceFigure figure = TrialPage.figure(drain.trace(), drain.finding(), marks);
          return TraceChart.of(figure, desk.palette().get(), desk.textScale().get());
        });
  }

  private void showEvents() {
    noticed.getChildren().clear();
    if (events.isEmpty()) {
      return;
    }
    noticed.getChildren().add(Words.of("heading", "Noticed"));
    for (Event event : events) {
      noticed.getChildren().add(row(event.seconds(), event.code(), event.words()));
    }
  }

  /** One thing noticed, as the Bench stage shows it too. */
  public static HBox row(double seconds, String code, String words) {
    Circle dot = new Circle(4);
    dot.getStyleClass()
        .add(
            switch (code) {
              case "mark", "note", "photo", "typed", "ticked", "error-code" -> "dot-mark";
              case "steady", "cut-off", "back", "resumed" -> "dot-notice";
              default -> "dot-warn";
            });
    Label text = Words.of("notice-text", words);
    HBox.setHgrow(text, Priority.ALWAYS);
    HBox row = new HBox(dot, Words.line("figure-quiet", Figures.clock(seconds)), text);
    row.setSpacing(10);
    row.getStyleClass().addAll("row", "notice");
    return row;
  }
}
