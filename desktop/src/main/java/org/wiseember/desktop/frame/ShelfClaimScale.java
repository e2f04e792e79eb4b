package org.wiseember.desktop.frame;

import java.util.List;
import java.util.Optional;
import javafx.scene.layout.Region;
import javafx.scene.shape.Circle;
import javafx.scene.shape.Line;
import org.wiseember.core.verdict.Standing;
import org.wiseember.report.look.ClaimScale;
import org.wiseember.trial.verdict.Summary;

/** The seam in small: one dot a judged claim, against the line that is the label. */
final class ShelfClaimScale extends Region {
  private final List<Summary.Line> lines;
  private final Optional<Summary> summary;
  private boolean guardBand;

  /**
   * Draws one.
   *
   * @param summary empty while the unit is worked out
   */
  ShelfClaimScale(Optional<Summary> summary, boolean guardBand) {
    this.summary = summary;
    this.lines = summary.map(Summary::lines).orElse(List.of());
    setMinHeight(14);
    setPrefHeight(14);
    show(guardBand);
  }

  /** Draws it with the guard band or without. */
  void show(boolean guarded) {
    guardBand = guarded;
    requestLayout();
    setAccessibleText(
        summary
            .map(
                s ->
                    s.count(Standing.KEPT, guarded)
                        + " kept, "
                        + s.count(Standing.SHORT, guarded)
                        + " short")
            .orElse("is being worked out"));
  }

  @Override
  protected void layoutChildren() {
    getChildren().clear();
    double width = getWidth();
    double middle = getHeight() / 2;
    double x = ClaimScale.at(100) * width;
    Line axis = new Line(x, 0, x, getHeight());
    axis.getStyleClass().add("seam-axis");
    getChildren().add(axis);
    lines.stream()
        .filter(l -> l.percent().isPresent())
        .forEach(l -> getChildren().add(dot(l, width, middle)));
    getChildren().forEach(c -> c.setManaged(false));
  }

  private Circle dot(Summary.Line line, double width, double middle) {
    double x = 4 + ClaimScale.at(line.percent().getAsDouble()) * (width - 8);
    Circle dot = new Circle(x, middle, 3.2);
    dot.getStyleClass()
        .add(
            switch (line.standing(guardBand)) {
              case KEPT -> "shelf-dot-kept";
              case SHORT -> "shelf-dot-short";
              default -> "shelf-dot-close";
            });
    return dot;
  }
}
