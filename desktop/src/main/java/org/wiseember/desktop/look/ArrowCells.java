package org.wiseember.desktop.look;

import java.util.List;
import javafx.scene.Node;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;

/**
 * Cells of a table as one stop of Tab: the arrows go from one to the next, and Tab comes back to
 * where one was.
 */
public final class ArrowCells {
  private final List<? extends List<? extends Node>> rows;

  private ArrowCells(List<? extends List<? extends Node>> rows) {
    this.rows = rows;
  }

  /** Makes these cells so; every row has as many. */
  public static void of(List<? extends List<? extends Node>> rows) {
    ArrowCells cells = new ArrowCells(rows);
    for (int r = 0; r < rows.size(); r++) {
      for (int c = 0; c < rows.get(r).size(); c++) {
        cells.add(rows.get(r).get(c), r, c);
      }
    }
  }

  private void add(Node cell, int row, int column) {
    cell.setFocusTraversable(row == 0 && column == 0);
    cell.focusedProperty()
        .addListener(
            (o, was, is) -> {
              if (is) {
                rows.forEach(r -> r.forEach(n -> n.setFocusTraversable(n == cell)));
              }
            });
    cell.addEventHandler(KeyEvent.KEY_PRESSED, e -> moved(e, row, column));
  }

  private void moved(KeyEvent e, int row, int column) {
    KeyCode code = e.getCode();
    int down = code == KeyCode.DOWN ? 1 : code == KeyCode.UP ? -1 : 0;
    int right = code == KeyCode.RIGHT ? 1 : code == KeyCode.LEFT ? -1 : 0;
    if (down == 0 && right == 0) {
      return;
    }
    e.consume();
    int r = Math.max(0, Math.min(rows.size() - 1, row + down));
    int c = Math.max(0, Math.min(rows.get(r).size() - 1, column + right));
    rows.get(r).get(c).requestFocus();
  }
}
