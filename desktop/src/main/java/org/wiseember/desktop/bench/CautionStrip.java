package org.wiseember.desktop.bench;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import javafx.application.Platform;
import javafx.geometry.Bounds;
import javafx.scene.Node;
import javafx.scene.control.ScrollPane;
import javafx.scene.layout.VBox;
import org.wiseember.bench.procedure.DoNow;
import org.wiseember.desktop.look.Words;
import org.wiseember.desktop.model.Desk;
import org.wiseember.trial.test.TestType;

/**
 * What can hurt in a test, above its Start. The desk is told once every caution has been inside the
 * visible part of the window; before that a test that can hurt does not start.
 */
final class CautionStrip extends VBox {
  private final Desk desk;
  private final List<Node> lines = new ArrayList<>();
  private final Set<Node> seen = new HashSet<>();
  private TestType kind;

  CautionStrip(Desk desk) {
    this.desk = desk;
    getStyleClass().add("caution");
    setId("cautions");
    setSpacing(5);
  }

  /** Shows the cautions of a test; none where it can hurt nobody. */
  void show(TestType test, List<DoNow> steps) {
    List<String> cautions =
        steps.stream().map(DoNow::caution).filter(c -> !c.isEmpty()).distinct().toList();
    boolean wanted = test.hazardous() && !cautions.isEmpty();
    Words.shown(this, wanted);
    if (!wanted || test == kind) {
      kind = wanted ? test : null;
      Platform.runLater(this::look);
      return;
    }
    kind = test;
    seen.clear();
    lines.clear();
    getChildren().setAll(Words.of("strong", "Take care"));
    for (String caution : cautions) {
      Node line = Words.of("care", caution);
      line.localToSceneTransformProperty().addListener((o, was, is) -> look());
      line.boundsInLocalProperty().addListener((o, was, is) -> look());
      lines.add(line);
      getChildren().add(line);
    }
    Platform.runLater(this::look);
  }

  /** Notes which of them are in sight. */
  private void look() {
    if (kind == null || getScene() == null || !isVisible()) {
      return;
    }
    Bounds window = port();
    for (Node line : lines) {
      Bounds at = line.localToScene(line.getBoundsInLocal());
      boolean laidOut = at.getHeight() > 1 && at.getWidth() > 1;
      if (laidOut && window.contains(at)) {
        seen.add(line);
      }
    }
    if (seen.size() == lines.size()) {
      desk.bench().cautionsSeen(kind);
    }
  }

  /** What of the scene the scrolled part shows. */
  private Bounds port() {
    for (Node up = getParent(); up != null; up = up.getParent()) {
      if (up instanceof ScrollPane scroll) {
        return scroll.localToScene(scroll.getBoundsInLocal());
      }
    }
    return getScene().getRoot().getBoundsInParent();
  }
}
