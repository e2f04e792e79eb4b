package org.wiseember.desktop.bench;

import javafx.scene.control.Label;
import javafx.scene.layout.HBox;
import javafx.scene.layout.VBox;
import org.wiseember.desktop.look.Words;

/** A live figure with its name above and a remark below. */
final class Tile extends VBox {
  private final Label name;
  private final Label unit;
  private final Label figure = Words.line("tile-figure", "–");
  private final Label remark = Words.of("figure-quiet", "");

  Tile(String tone) {
    getStyleClass().add("tile");
    name = Words.of("quiet", "");
    figure.getStyleClass().add(tone);
    unit = Words.line("tile-unit", "");
    unit.getStyleClass().add(tone);
    HBox line = new HBox(figure, unit);
    line.setSpacing(5);
    line.setStyle("-fx-alignment: baseline-left;");
    getChildren().addAll(name, line, remark);
  }

  /** Says what it shows. */
  void of(String title, String symbol) {
    name.setText(title);
    unit.setText(symbol);
  }

  void set(String value, String words) {
    figure.setText(value);
    remark.setText(words);
  }
}
