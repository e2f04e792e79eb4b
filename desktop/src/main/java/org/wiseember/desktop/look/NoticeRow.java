package org.wiseember.desktop.look;

import javafx.scene.control.Label;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.shape.Circle;
import org.wiseember.core.quantity.Figures;

/** One thing noticed in a run: a dot for its kind, when it was, what it was. */
public final class NoticeRow {
  private NoticeRow() {}

  public static HBox of(double seconds, String code, String words) {
    Circle dot = new Circle(4);
    dot.getStyleClass()
        .add(
            switch (code) {
              case "mark", "note", "photo", "typed", "ticked", "error_code" -> "dot-mark";
              case "steady", "cut_off", "back", "resumed" -> "dot-notice";
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
