package org.wiseember.desktop.bench;

import javafx.scene.control.Label;
import javafx.scene.layout.HBox;
import javafx.scene.layout.VBox;
import org.wiseember.core.quantity.Figures;
import org.wiseember.desktop.look.InUnits;
import org.wiseember.desktop.look.Words;

/** A live figure with its name above and a remark below. */
final class Tile extends VBox {
  private static final String NO_BREAK = String.valueOf(Figures.NO_BREAK);

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
  void of(String title) {
    name.setText(title);
  }

  void set(String value, String symbol, String words) {
    // Told together, so that both are in the reader's unit.
    String[] told = InUnits.told(value + Figures.NO_BREAK + symbol).split(NO_BREAK, 2);
    figure.setText(told[0]);
    unit.setText(told[1]);
    remark.setText(words);
  }
}
