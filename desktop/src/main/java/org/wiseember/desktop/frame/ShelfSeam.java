package org.wiseember.desktop.frame;

import javafx.scene.layout.Region;
import javafx.scene.shape.Circle;
import javafx.scene.shape.Line;
import org.wiseember.core.verdict.Standing;
import org.wiseember.core.verdict.Verdict;
import org.wiseember.report.look.SeamScale;
import org.wiseember.trial.verdict.Judgement;

/** The seam in small: one dot a judged claim, against the line that is the label. */
final class ShelfSeam extends Region {
  private final Judgement judgement;

  ShelfSeam(Judgement judgement) {
    this.judgement = judgement;
    setMinHeight(14);
    setPrefHeight(14);
    long kept = judgement.count(Standing.KEPT);
    long shortOf = judgement.count(Standing.SHORT);
    setAccessibleText(kept + " kept, " + shortOf + " short");
  }

  @Override
  protected void layoutChildren() {
    getChildren().clear();
    double width = getWidth();
    double middle = getHeight() / 2;
    double x = SeamScale.at(100) * width;
    Line axis = new Line(x, 0, x, getHeight());
    axis.getStyleClass().add("seam-axis");
    getChildren().add(axis);
    judgement.lines().stream()
        .flatMap(l -> l.verdict().stream())
        .filter(v -> v.seam().isPresent())
        .forEach(v -> getChildren().add(dot(v, width, middle)));
    getChildren().forEach(c -> c.setManaged(false));
  }

  private static Circle dot(Verdict verdict, double width, double middle) {
    double x = 4 + SeamScale.at(verdict.seam().orElseThrow().percent()) * (width - 8);
    Circle dot = new Circle(x, middle, 3.2);
    dot.getStyleClass()
        .add(
            switch (verdict.standing()) {
              case KEPT -> "shelf-dot-kept";
              case SHORT -> "shelf-dot-short";
              default -> "shelf-dot-close";
            });
    return dot;
  }
}
