package org.wiseember.desktop.bench;

import javafx.scene.control.Label;
import javafx.scene.layout.HBox;
import javafx.scene.layout.VBox;
import org.wiseember.desktop.look.Words;

/** A live figure with its name above and a remark below. */
final class Tile extends VBox {
  private final Label figure = Words.line("tile-figure", "–");
  private final Label remark = Words.of("figure-quiet", "");

  Tile(String name, String unit, String tone) {
    getStyleClass().add("tile");
    figure.getStyleClass().add(tone);
    Label unitLabel = Words.line("tile-unit", unit);
    unitLabel.getStyleClass().add(tone);
    HBox line = new HBox(figure, unitLabel);
    line.setSpacing(5);
    line.setStyle("-fx-alignment: baseline-left;");
    getChildren().addAll(Words.of("quiet", name), line, remark);
  }

  void set(String value, String words) {
    figure.setText(value);
    remark.setText(words);
  }
}
