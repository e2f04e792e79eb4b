package org.wiseember.desktop.look;

import javafx.animation.Animation;
import javafx.scene.Node;
import javafx.scene.Scene;
import javafx.stage.Window;

/** Clocks that go as long as somebody can see them: one that goes on holds its whole window. */
public final class WhileShown {
  private WhileShown() {}

  /** Plays it from now on whenever the node is visible in a window on show. */
  public static void play(Node node, Animation animation) {
    animation.setCycleCount(Animation.INDEFINITE);
    node.sceneProperty()
        .flatMap(Scene::windowProperty)
        .flatMap(Window::showingProperty)
        .flatMap(showing -> showing ? node.visibleProperty() : null)
        .orElse(false)
        .addListener((o, was, seen) -> turn(animation, seen));
  }

  private static void turn(Animation animation, boolean on) {
    if (on) {
      animation.play();
    } else {
      animation.stop();
    }
  }
}
