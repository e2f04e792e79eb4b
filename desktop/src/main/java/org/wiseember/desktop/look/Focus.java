package org.wiseember.desktop.look;

import javafx.application.Platform;
import javafx.beans.value.ChangeListener;
import javafx.scene.Node;
import javafx.scene.Scene;

/** Gives the keyboard to a node, also to one that a scroll pane has not put on the scene yet. */
public final class Focus {
  private Focus() {}

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
