package org.wiseember.desktop.look;

import javafx.scene.layout.HBox;
import javafx.scene.layout.VBox;

/** A stage with nothing in it yet: what belongs here and the next step. */
public final class EmptyStage extends VBox {
  /**
   * @param belongs what will be here, one or two sentences
   * @param step words of the button
   */
  public EmptyStage(String title, String belongs, String step, Runnable next) {
    getStyleClass().add("stage");
    var text = Words.of("empty-text", belongs);
    text.setMaxWidth(560);
    getChildren()
        .addAll(Words.of("title", title), text, new HBox(Words.button("action-main", step, next)));
  }
}
