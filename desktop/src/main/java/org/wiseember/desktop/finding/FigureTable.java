package org.wiseember.desktop.finding;

import java.util.List;
import javafx.geometry.HPos;
import javafx.scene.control.Label;
import javafx.scene.layout.ColumnConstraints;
import javafx.scene.layout.GridPane;
import javafx.scene.layout.Priority;
import org.wiseember.desktop.look.Words;

/** A dense table: the first column words, the others figures that line up on the right. */
public final class FigureTable extends GridPane {
  /**
   * Makes the table.
   *
   * @param heads of the columns
   * @param rows of as many cells each
   */
  public FigureTable(List<String> heads, List<List<String>> rows) {
    getStyleClass().add("figure-table");
    setHgap(16);
    setVgap(3);
    for (int c = 0; c < heads.size(); c++) {
      ColumnConstraints column = new ColumnConstraints();
      column.setHgrow(Priority.ALWAYS);
      column.setHalignment(c == 0 ? HPos.LEFT : HPos.RIGHT);
      getColumnConstraints().add(column);
      Label head = Words.of("quiet", heads.get(c));
      head.setStyle(c == 0 ? "" : "-fx-text-alignment: right;");
      add(head, c, 0);
    }
    for (int r = 0; r < rows.size(); r++) {
      for (int c = 0; c < rows.get(r).size(); c++) {
        add(
            c == 0
                ? Words.of("figure", rows.get(r).get(c))
                : Words.line("figure", rows.get(r).get(c)),
            c,
            r + 1);
      }
    }
  }
}
