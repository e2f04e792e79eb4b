package org.wiseember.desktop.frame;

import javafx.collections.ListChangeListener;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;
import org.wiseember.desktop.look.Words;
import org.wiseember.desktop.model.LoadsLeftOn;

/** In red under the path, on every stage, as long as a load may be on that nobody watches. */
final class LeftOnBar extends VBox {
  private final LoadsLeftOn left;

  LeftOnBar(LoadsLeftOn left) {
    this.left = left;
    setId("left-on");
    left.loads().addListener((ListChangeListener<LoadsLeftOn.Load>) change -> show());
    show();
  }

  private void show() {
    getChildren().setAll(left.loads().stream().map(this::row).toList());
    Words.shown(this, !left.loads().isEmpty());
  }

  private HBox row(LoadsLeftOn.Load load) {
    Label words = Words.of("left-on-words", load.words());
    HBox.setHgrow(words, Priority.ALWAYS);
    words.setMaxWidth(Double.MAX_VALUE);
    Button off = Words.button("action", "Switch it off", () -> left.switchOff(load));
    off.setId("left-on-switch");
    Button seen = Words.button("action", "I looked: it is off", () -> left.seenOff(load));
    seen.setId("left-on-seen");
    HBox row = new HBox(words, off, seen);
    row.getStyleClass().add("left-on");
    return row;
  }
}
