package org.wiseember.desktop.bench;

import java.util.HashSet;
import java.util.List;
import java.util.Set;
import javafx.application.Platform;
import javafx.geometry.Bounds;
import javafx.scene.Node;
import javafx.scene.control.ScrollPane;
import org.wiseember.desktop.model.Session;
import org.wiseember.trial.kind.TestType;
import org.wiseember.trial.kind.Trait;

/**
 * Whether every caution of a test has been inside the visible part of the window. The desk is told
 * once they all were; before that a test that can hurt does not start.
 */
final class CautionsInSight {
  private final Session session;
  private final Set<Node> seen = new HashSet<>();
  private List<Node> cautions = List.of();
  private TestType test;

  CautionsInSight(Session session) {
    this.session = session;
  }

  /** Watches the cautions of a test as they stand beside its steps. */
  void of(TestType type, List<Node> shown) {
    if (!type.equals(test)) {
      seen.clear();
    }
    test = type;
    cautions = List.copyOf(shown);
    seen.retainAll(cautions);
    for (Node caution : cautions) {
      caution.localToSceneTransformProperty().addListener((o, was, is) -> look());
      caution.boundsInLocalProperty().addListener((o, was, is) -> look());
    }
    Platform.runLater(this::look);
  }

  private void look() {
    if (test == null || !test.is(Trait.HAZARDOUS) || cautions.isEmpty()) {
      return;
    }
    for (Node caution : cautions) {
      Bounds at = caution.localToScene(caution.getBoundsInLocal());
      boolean laidOut = caution.getScene() != null && at.getHeight() > 1 && at.getWidth() > 1;
      if (laidOut && visible(caution).contains(at)) {
        seen.add(caution);
      }
    }
    if (seen.size() == cautions.size()) {
      session.bench().cautionsSeen(test);
    }
  }

  /** What of the scene the scrolled part around a node shows. */
  private static Bounds visible(Node node) {
    for (Node up = node.getParent(); up != null; up = up.getParent()) {
      if (up instanceof ScrollPane scroll) {
        return scroll.localToScene(scroll.getBoundsInLocal());
      }
    }
    return node.getScene().getRoot().getBoundsInParent();
  }
}
