package org.wiseember.desktop.runtime;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.function.IntConsumer;
import javafx.collections.ListChangeListener;
import javafx.scene.control.Label;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.StackPane;
import javafx.scene.layout.VBox;
import org.wiseember.core.quantity.Figures;
import org.wiseember.core.quantity.HourSpan;
import org.wiseember.core.quantity.Unit;
import org.wiseember.core.runtime.Appliance;
import org.wiseember.core.runtime.ApplianceDraw;
import org.wiseember.core.runtime.Day;
import org.wiseember.core.runtime.Side;
import org.wiseember.core.runtime.WatchSheet;
import org.wiseember.desktop.look.ChartPane;
import org.wiseember.desktop.look.Row;
import org.wiseember.desktop.look.Words;
import org.wiseember.desktop.model.Session;
import org.wiseember.report.drawing.DayDrawing;
import org.wiseember.trial.beside.BesideRun;
import org.wiseember.trial.runtime.DayOutcome;
import org.wiseember.trial.runtime.DayPage;
import org.wiseember.workbook.StoredDay;
import org.wiseember.workbook.Watches;

/**
 * Appliances as rows with their times as bars, hours across, and the charge of every unit beneath
 * along the same hours.
 */
final class DayBoard extends VBox {
  /** Of the names, em. */
  private static final double NAMES_EM = 17;

  private final Session session;
  private final IntConsumer edit;
  private final ChartPane chart = new ChartPane("Charge of each unit over the day");
  private final VBox rows = new VBox();
  private final StackPane legend = new StackPane();
  private final FlowPane watched = new FlowPane(8, 6);
  private final List<Lane> lanes = new ArrayList<>();
  private int chosen = -1;

  DayBoard(Session session, IntConsumer edit) {
    this.session = session;
    this.edit = edit;
    getStyleClass().add("day-board");
    chart.getStyleClass().add("day-chart");
    chart.setMinHeight(210);
    chart.setPrefHeight(250);
    chart.whenDrawn(() -> lanes.forEach(l -> l.along(chart.dataArea())));
    HBox.setHgrow(chart, Priority.ALWAYS);
    HBox below = new HBox(legend, chart);
    names(legend);
    var add = Words.button("action", "Add an appliance", this::add);
    add.setId("add-appliance");
    HBox foot =
        new HBox(
            12,
            add,
            Words.of(
                "quiet",
                "Drag a bar or its end, or use the arrows on it: left and right move it, with Shift"
                    + " its end. Enter on a name opens it. The first of the list matters most."));
    foot.setStyle("-fx-alignment: center-left;");
    session.beside().runs().addListener((ListChangeListener<BesideRun>) change -> watched());
    getChildren().addAll(rows, below, foot, watched);
    watched();
  }

  private static void names(javafx.scene.layout.Region region) {
    region.setStyle(
        "-fx-min-width: "
            + NAMES_EM
            + "em; -fx-max-width: "
            + NAMES_EM
            + "em;"
            + " -fx-pref-width: "
            + NAMES_EM
            + "em;");
  }

  private void add() {
    StoredDay kept = session.dayWork().chosen().get();
    Day day = kept.day();
    double until = Math.min(4, day.plan().hours());
    ApplianceDraw draw =
        new ApplianceDraw(ApplianceDraw.Use.STEADY, 60, Double.NaN, Double.NaN, Double.NaN);
    int number = day.appliances().size();
    Appliance fresh =
        new Appliance(
            "Appliance " + (number + 1), draw, Side.AC, List.of(new HourSpan(0, until)), List.of());
    session.dayWork().change(day.adding(fresh), "Appliance added");
    open(number);
  }

  /** Appliances that were watched, each a press away from the day. */
  private void watched() {
    watched.getChildren().setAll(Words.line("quiet", "Watched before:"));
    Map<String, Watches.Kept> newest = new LinkedHashMap<>();
    session.beside().watches().forEach(w -> newest.put(w.name(), w));
    for (Watches.Kept kept : newest.values()) {
      WatchSheet sheet = kept.sheet();
      var add =
          Words.button(
              "action",
              kept.name() + ", " + Figures.plain(sheet.mean().value(), Unit.WATT),
              () -> add(kept.name(), sheet.draw()));
      add.setId("watched-" + kept.runId());
      watched.getChildren().add(add);
    }
    Words.shown(watched, !newest.isEmpty());
  }

  private void add(String name, ApplianceDraw draw) {
    Day day = session.dayWork().chosen().get().day();
    Appliance again = new Appliance(name, draw, Side.AC, List.of(HourSpan.ALWAYS), List.of());
    session.dayWork().change(day.adding(again), name + " added");
    open(day.appliances().size());
  }

  private void open(int place) {
    chosen = place;
    for (int i = 0; i < lanes.size() - 1; i++) {
      Row.chosen(lanes.get(i + 1).getParent(), i == place);
    }
    edit.accept(place);
  }

  void show(StoredDay kept) {
    Day day = kept.day();
    rows.getChildren().clear();
    lanes.clear();
    DayDrawing hours =
        new DayDrawing(
            day.start(),
            day.plan().hours(),
            List.of(),
            List.of(),
            List.of(),
            0,
            session.look().units().get());
    Lane head = new Lane(hours, true);
    lanes.add(head);
    StackPane corner = new StackPane();
    names(corner);
    HBox.setHgrow(head, Priority.ALWAYS);
    rows.getChildren().add(new HBox(corner, head));
    for (int i = 0; i < day.appliances().size(); i++) {
      rows.getChildren().add(row(hours, i, day.appliances().get(i)));
    }
    lanes.forEach(l -> l.along(chart.dataArea()));
    if (chosen >= day.appliances().size()) {
      chosen = -1;
    }
  }

  private HBox row(DayDrawing hours, int place, Appliance appliance) {
    Label name = Words.of("strong", appliance.name());
    Label under = Words.of("quiet", under(appliance));
    VBox words = new VBox(name, under);
    words.getStyleClass().add("day-name");
    names(words);
    words.setId("appliance-" + place);
    Row.make(words, appliance.name() + ", " + under.getText(), () -> open(place));
    Lane lane = new Lane(hours, false);
    lane.show(place, appliance, this::moved);
    lanes.add(lane);
    HBox.setHgrow(lane, Priority.ALWAYS);
    HBox row = new HBox(words, lane);
    row.getStyleClass().add("day-row");
    Row.chosen(row, place == chosen);
    return row;
  }

  static String under(Appliance a) {
    ApplianceDraw draw = a.draw();
    List<String> parts = new ArrayList<>();
    parts.add(DayPage.draws(draw));
    if (draw.startVa() > 0) {
      parts.add("starts at " + Figures.plain(draw.startVa(), Unit.VOLT_AMPERE));
    }
    if (a.side() == Side.DC) {
      parts.add("on DC");
    }
    if (!draw.origin().words().isEmpty()) {
      parts.add(draw.origin().words());
    }
    return String.join(" · ", parts);
  }

  private void moved(int place, Appliance next) {
    StoredDay kept = session.dayWork().chosen().get();
    session
        .dayWork()
        .change(kept.day().replacing(place, next), "Times of " + next.name() + " changed");
  }

  void show(DayOutcome outcome) {
    double scale = session.look().textScale().get();
    chart.setMinHeight(210 * Math.sqrt(scale));
    chart.setPrefHeight(250 * Math.sqrt(scale));
    DayDrawing drawing = DayPage.drawing(outcome, session.look().units().get(), false);
    chart.show(() -> session.look().drawn(drawing));
    VBox key = new VBox(6);
    key.getStyleClass().add("day-name");
    for (int i = 0; i < outcome.units().size(); i++) {
      var unit = outcome.units().get(i);
      var course = unit.found().course();
      String says =
          course.runsOut().isPresent()
              ? "runs out " + drawing.time(course.runsOut().getAsDouble())
              : Figures.fixed(course.chargeAtEnd(), 0) + " % left at the end";
      key.getChildren()
          .add(
              new VBox(
                  Words.of(
                      outcome.first().filter(unit::equals).isPresent() ? "measured" : "strong",
                      (outcome.units().size() > 1 ? (i + 1) + "  " : "") + unit.name()),
                  Words.of("quiet", says)));
    }
    if (!drawing.byLabel().isEmpty()) {
      key.getChildren().add(Words.of("claimed", "- - -  by its label alone"));
    }
    outcome
        .silent()
        .forEach(
            n -> key.getChildren().add(Words.of("quiet", n + ": neither drained nor labelled")));
    legend.getChildren().setAll(key);
  }
}
