package org.wiseember.desktop.lineup;

import java.util.ArrayList;
import java.util.List;
import java.util.function.BiConsumer;
import java.util.function.Consumer;
import javafx.geometry.HPos;
import javafx.geometry.VPos;
import javafx.scene.Node;
import javafx.scene.control.Label;
import javafx.scene.layout.ColumnConstraints;
import javafx.scene.layout.GridPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.StackPane;
import org.wiseember.core.lineup.Measure;
import org.wiseember.desktop.look.ArrowCells;
import org.wiseember.desktop.look.MarkNode;
import org.wiseember.desktop.look.Row;
import org.wiseember.desktop.look.Words;
import org.wiseember.report.look.UnitMark;
import org.wiseember.trial.lineup.LineUp;
import org.wiseember.trial.lineup.LineUpPage;
import org.wiseember.trial.lineup.LineUpUnit;

/**
 * A unit a row, a measure a column; every figure opens its because, every dash what is missing. Tab
 * stops at it once, the arrows go from cell to cell.
 */
final class FiguresTable extends GridPane {
  private static final double NAME = 25;

  private final String key;
  private final List<Measure> measures;
  private final BiConsumer<LineUpUnit, Measure> open;
  private final Consumer<LineUpUnit> openUnit;

  /**
   * Makes an empty one.
   *
   * @param key its cells are named after it
   * @param open tells why of a cell
   * @param openUnit shows what is known of a unit
   */
  FiguresTable(
      String key,
      List<Measure> measures,
      BiConsumer<LineUpUnit, Measure> open,
      Consumer<LineUpUnit> openUnit) {
    this.key = key;
    this.measures = measures;
    this.open = open;
    this.openUnit = openUnit;
    getStyleClass().add("figure-table");
    setHgap(10);
    setVgap(2);
    column(NAME, HPos.LEFT);
    measures.forEach(m -> column((100 - NAME) / measures.size(), HPos.RIGHT));
  }

  private void column(double percent, HPos side) {
    ColumnConstraints column = new ColumnConstraints();
    column.setPercentWidth(percent);
    column.setHalignment(side);
    column.setFillWidth(true);
    getColumnConstraints().add(column);
  }

  void show(LineUp lineUp) {
    getChildren().clear();
    for (int c = 0; c < measures.size(); c++) {
      Measure measure = measures.get(c);
      boolean money = measure.key().startsWith("price") && !LineUpPage.currency(lineUp).isEmpty();
      Label head =
          Words.of(
              "quiet",
              LineUpPage.head(measure) + (money ? ", " + LineUpPage.currency(lineUp) : ""));
      head.setStyle("-fx-text-alignment: right;");
      GridPane.setValignment(head, VPos.BOTTOM);
      add(head, c + 1, 0);
    }
    List<List<Node>> cells = new ArrayList<>();
    for (int r = 0; r < lineUp.units().size(); r++) {
      LineUpUnit unit = lineUp.units().get(r);
      List<Node> row = new ArrayList<>(List.of(name(unit, r)));
      measures.forEach(m -> row.add(cell(unit, m)));
      for (int c = 0; c < row.size(); c++) {
        add(row.get(c), c, r + 1);
      }
      cells.add(row);
    }
    ArrowCells.of(cells);
  }

  private Node name(LineUpUnit unit, int number) {
    Label words = Words.of("strong", unit.name());
    HBox.setHgrow(words, Priority.ALWAYS);
    HBox name = new HBox(8, new MarkNode(new UnitMark(number)), words);
    name.setStyle("-fx-alignment: center-left; -fx-padding: 0.25em 0;");
    name.getStyleClass().add("opens");
    name.setId(key + "-unit-" + unit.id());
    Row.make(name, unit.name() + ", " + new UnitMark(number).words(), () -> openUnit.accept(unit));
    return name;
  }

  private Node cell(LineUpUnit unit, Measure measure) {
    String words = LineUpPage.cell(unit, measure);
    boolean known = unit.figure(measure).isPresent();
    Label label = Words.of(known ? "measured" : "figure-quiet", words);
    label.setStyle("-fx-text-alignment: right;");
    StackPane cell = new StackPane(label);
    cell.setStyle("-fx-alignment: center-right; -fx-padding: 0.25em 0;");
    cell.getStyleClass().add("opens");
    cell.setId(key + "-" + measure.key() + "-" + unit.id());
    Row.make(
        cell,
        unit.name() + ", " + measure.words() + ": " + (known ? words : "not known"),
        () -> {
          lookupAll(".opens").forEach(n -> Row.chosen(n, n == cell));
          open.accept(unit, measure);
        });
    return cell;
  }
}
