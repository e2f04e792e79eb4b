package org.wiseember.desktop.bench;

import javafx.animation.PauseTransition;
import javafx.scene.control.Button;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;
import javafx.scene.input.MouseEvent;
import javafx.scene.layout.Region;
import javafx.util.Duration;

/**
 * A button that acts only when it is held for a moment, so that a slip of the hand stops nothing.
 */
final class HoldButton extends Button {
  private static final Duration HOLD = Duration.millis(800);

  private final PauseTransition hold = new PauseTransition(HOLD);

  HoldButton(String words, Runnable action) {
    super(words);
    getStyleClass().add("action-stop");
    setMinWidth(Region.USE_PREF_SIZE);
    setMinHeight(Region.USE_PREF_SIZE);
    hold.setOnFinished(e -> action.run());
    addEventFilter(MouseEvent.MOUSE_PRESSED, e -> hold.playFromStart());
    addEventFilter(MouseEvent.MOUSE_RELEASED, e -> hold.stop());
    addEventFilter(
        KeyEvent.KEY_PRESSED,
        e -> {
          if (e.getCode() == KeyCode.ENTER) {
            if (hold.getStatus() != javafx.animation.Animation.Status.RUNNING) {
              hold.playFromStart();
            }
            e.consume();
          }
        });
    addEventFilter(
        KeyEvent.KEY_RELEASED,
        e -> {
          if (e.getCode() == KeyCode.ENTER) {
            hold.stop();
            e.consume();
          }
        });
    // Pressing gives it the focus; only losing that lets go.
    focusedProperty()
        .addListener(
            (o, was, is) -> {
              if (!is) {
                hold.stop();
              }
            });
  }
}
