package org.wiseember.desktop.look;

import java.util.EnumSet;
import java.util.Set;
import javafx.application.Platform;
import javafx.beans.value.ChangeListener;
import javafx.scene.Node;
import javafx.scene.Parent;
import javafx.scene.Scene;
import javafx.scene.control.ButtonBase;
import javafx.scene.control.TextInputControl;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;

/**
 * Gives the keyboard to a node, also to one that a scroll pane has not put on the scene yet.
 *
 * <p>Whoever types on does not see that the focus moved. So what was given the focus, and did not
 * have it asked for by Tab or mouse, is pressed by Enter and not by a blank; and a key that is held
 * down from before presses nothing.
 */
public final class Focus {
  private static final Object GIVEN = new Object();

  private Focus() {}

  /** Keeps blanks and held keys from pressing what has just come into focus, in all of a window. */
  public static void guard(Parent window) {
    Set<KeyCode> down = EnumSet.noneOf(KeyCode.class);
    window
        .sceneProperty()
        .addListener(
            (o, was, is) -> {
              if (is != null) {
                is.focusOwnerProperty().addListener((x, left, came) -> forget(left));
              }
            });
    window.addEventFilter(
        KeyEvent.KEY_PRESSED,
        e -> {
          boolean held = !down.add(e.getCode());
          boolean presses = e.getCode() == KeyCode.ENTER || e.getCode() == KeyCode.SPACE;
          boolean text = e.getTarget() instanceof TextInputControl;
          boolean given =
              e.getCode() == KeyCode.SPACE
                  && e.getTarget() instanceof ButtonBase button
                  && button.getProperties().containsKey(GIVEN);
          if (presses && !text && (held || given)) {
            e.consume();
          }
        });
    window.addEventFilter(KeyEvent.KEY_RELEASED, e -> down.remove(e.getCode()));
  }

  private static void forget(Node left) {
    if (left != null) {
      left.getProperties().remove(GIVEN);
    }
  }

  /**
   * Focuses a node now, or as soon as it is on a scene.
   *
   * @param then what follows, such as selecting its text
   */
  public static void give(Node node, Runnable then) {
    if (node.getScene() != null) {
      Platform.runLater(
          () -> {
            node.requestFocus();
            if (node.isFocused()) {
              node.getProperties().put(GIVEN, true);
            }
            then.run();
          });
      return;
    }
    ChangeListener<Scene> once =
        new ChangeListener<>() {
          @Override
          public void changed(
              javafx.beans.value.ObservableValue<? extends Scene> o, Scene was, Scene is) {
            if (is != null) {
              node.sceneProperty().removeListener(this);
              give(node, then);
            }
          }
        };
    node.sceneProperty().addListener(once);
  }
}
