package org.wiseember.desktop.lineup;

import java.util.ArrayList;
import java.util.List;
import java.util.function.BiConsumer;
import javafx.geometry.HPos;
import javafx.scene.Node;
import javafx.scene.control.Label;
import javafx.scene.layout.ColumnConstraints;
import javafx.scene.layout.GridPane;
import javafx.scene.layout.StackPane;
import org.wiseember.core.lineup.Measure;
import org.wiseember.core.lineup.MustHave;
import org.wiseember.core.runtime.Endured;
import org.wiseember.desktop.look.ArrowCells;
import org.wiseember.desktop.look.MarkNode;
import org.wiseember.desktop.look.Row;
import org.wiseember.desktop.look.Words;
import org.wiseember.report.look.UnitMark;
import org.wiseember.trial.lineup.Answered;
import org.wiseember.trial.lineup.LineUp;
import org.wiseember.trial.lineup.LineUpPage;
import org.wiseember.trial.lineup.LineUpUnit;
import org.wiseember.trial.lineup.MotorOnUnits;

/** A must-have a row, or a motor, and a unit a column. */
final class WishTable extends GridPane {
  private static final double NAME = 34;

  private final BiConsumer<LineUpUnit, Answered> open;
  private final BiConsumer<MotorOnUnits, MotorOnUnits.OnUnit> openStart;
  private final BiConsumer<LineUpUnit, Measure> openFigure;

  /**
   * Makes an empty one.
   *
   * @param open tells what an answer rests on
   * @param openStart tells why a motor starts or does not
   * @param openFigure tells what a figure rests on
   */
  WishTable(
      BiConsumer<LineUpUnit, Answered> open,
      BiConsumer<MotorOnUnits, MotorOnUnits.OnUnit> openStart,
      BiConsumer<LineUpUnit, Measure> openFigure) {
    this.open = open;
    this.openStart = openStart;
    this.openFigure = openFigure;
    getStyleClass().add("figure-table");
    setHgap(6);
    setVgap(2);
  }

  void show(LineUp lineUp) {
    getChildren().clear();
    getColumnConstraints().clear();
    column(NAME, HPos.LEFT);
    int units = lineUp.units().size();
    for (int c = 0; c < units; c++) {
      column((100 - NAME) / units, HPos.CENTER);
      StackPane head = new StackPane(new MarkNode(new UnitMark(c)));
      head.setAccessibleText(lineUp.units().get(c).name());
      add(head, c + 1, 0);
    }
    List<List<Node>> cells = new ArrayList<>();
    for (int r = 0; r < lineUp.notes().mustHaves().size(); r++) {
      List<Node> row = new ArrayList<>();
      for (LineUpUnit unit : lineUp.units()) {
        row.add(cell(unit, unit.answers().get(r), r));
      }
      add(lineUp.notes().mustHaves().get(r), row, cells);
    }
    for (int r = 0; r < lineUp.motors().size(); r++) {
      MotorOnUnits motor = lineUp.motors().get(r);
      List<Node> row = new ArrayList<>();
      for (MotorOnUnits.OnUnit on : motor.units()) {
        row.add(start(motor, on, r));
      }
      add("Starts: " + motor.name(), row, cells);
    }
    LineUpPage.lightRow(lineUp)
        .ifPresent(name -> add(name, lineUp.units().stream().map(this::sun).toList(), cells));
    ArrowCells.of(cells);
  }

  private Node sun(LineUpUnit unit) {
    String watts = LineUpPage.lightCell(unit);
    Label words = Words.of(unit.figure(Measure.SUN).isPresent() ? "figure" : "figure-quiet", watts);
    words.setStyle("-fx-text-alignment: center;");
    StackPane cell = new StackPane(words);
    cell.getStyleClass().add("opens");
    cell.setId("sun-" + unit.id());
    Row.make(
        cell,
        unit.name() + ", watts from panels: " + watts,
        () -> openFigure.accept(unit, Measure.SUN));
    return cell;
  }

  private void add(String name, List<Node> row, List<List<Node>> cells) {
    int at = cells.size() + 1;
    add(Words.of("figure", name), 0, at);
    for (int c = 0; c < row.size(); c++) {
      add(row.get(c), c + 1, at);
    }
    cells.add(row);
  }

  private void column(double percent, HPos side) {
    ColumnConstraints column = new ColumnConstraints();
    column.setPercentWidth(percent);
    column.setHalignment(side);
    getColumnConstraints().add(column);
  }

  /** What was tried is counted; what is only predicted is written as a guess. */
  private Node start(MotorOnUnits motor, MotorOnUnits.OnUnit on, int row) {
    Label words =
        Words.of(
            on.call() == Endured.Call.OPEN
                ? "figure-quiet"
                : on.call() == Endured.Call.HOLDS ? "wish-yes" : "wish-no",
            on.brief());
    words.setStyle("-fx-text-alignment: center;");
    StackPane cell = new StackPane(words);
    cell.getStyleClass().add("opens");
    cell.setId("start-" + row + "-" + on.unit().id());
    Row.make(
        cell,
        on.unit().name() + ", start of " + motor.name() + ": " + on.brief(),
        () -> openStart.accept(motor, on));
    return cell;
  }

  /** Told by word and by weight of the letters, never by colour alone. */
  private Node cell(LineUpUnit unit, Answered answered, int row) {
    Label words =
        Words.line(
            switch (answered.answer()) {
              case YES -> "wish-yes";
              case HALF -> "wish-half";
              case NO -> "wish-no";
              case NOT_KNOWN -> "figure-quiet";
            },
            answered.answer() == MustHave.Answer.NOT_KNOWN ? "?" : answered.answer().words());
    StackPane cell = new StackPane(words);
    cell.getStyleClass().add("opens");
    cell.setId("wish-" + row + "-" + unit.id());
    Row.make(
        cell,
        unit.name() + ", " + answered.mustHave().words() + ": " + answered.answer().words(),
        () -> open.accept(unit, answered));
    return cell;
  }
}
