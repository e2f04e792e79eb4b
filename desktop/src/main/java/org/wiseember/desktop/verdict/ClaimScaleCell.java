package org.wiseember.desktop.verdict;

import java.util.Optional;
import javafx.scene.layout.Region;
import javafx.scene.shape.Circle;
import javafx.scene.shape.Line;
import javafx.scene.shape.Polygon;
import javafx.scene.shape.Rectangle;
import org.wiseember.core.verdict.ClaimScalePosition;
import org.wiseember.core.verdict.Standing;
import org.wiseember.core.verdict.Verdict;
import org.wiseember.report.look.ClaimScale;

/**
 * One row of the seam. Kept is a disc, short a wedge pointing down, too close a ring; the whisker
 * is how sure.
 */
final class ClaimScaleCell extends Region {
  private final Optional<Verdict> verdict;

  ClaimScaleCell(Optional<Verdict> verdict) {
    this.verdict = verdict;
    verdict
        .flatMap(Verdict::seam)
        .ifPresent(s -> setAccessibleText(Math.round(s.percent()) + " percent of the claim"));
  }

  @Override
  protected void layoutChildren() {
    getChildren().clear();
    double width = getWidth();
    double height = getHeight();
    for (int percent : ClaimScale.TICKS) {
      if (percent != 100) {
        add(new Line(x(percent), 0, x(percent), height), "seam-tick");
      }
    }
    double left = x(100 - ClaimScale.BAND);
    Rectangle band = new Rectangle(left, 0, x(100 + ClaimScale.BAND) - left, height);
    band.getStyleClass().add("seam-band");
    getChildren().add(band);
    add(new Line(x(100), 0, x(100), height), "seam-line");
    Optional<ClaimScalePosition> seam = verdict.flatMap(Verdict::seam);
    if (seam.isPresent() && width > 20) {
      double y = height / 2;
      ClaimScalePosition at = seam.get();
      add(new Line(x(at.worse()), y, x(at.better()), y), "seam-whisker");
      if (x(at.better()) - x(at.worse()) > 14) {
        add(new Line(x(at.worse()), y - 4, x(at.worse()), y + 4), "seam-whisker");
        add(new Line(x(at.better()), y - 4, x(at.better()), y + 4), "seam-whisker");
      }
      mark(verdict.get().standing(), x(at.percent()), y);
    }
    getChildren().forEach(c -> c.setManaged(false));
  }

  private double x(double percent) {
    return 6 + ClaimScale.at(percent) * (getWidth() - 12);
  }

  private void add(Line line, String style) {
    line.getStyleClass().add(style);
    getChildren().add(line);
  }

  private void mark(Standing standing, double x, double y) {
    if (standing == Standing.SHORT) {
      Polygon wedge = new Polygon(x - 5, y - 4.5, x + 5, y - 4.5, x, y + 5);
      wedge.getStyleClass().add("seam-mark");
      getChildren().add(wedge);
      return;
    }
    Circle disc = new Circle(x, y, 4.6);
    disc.getStyleClass().add("seam-mark");
    if (standing == Standing.TOO_CLOSE) {
      disc.getStyleClass().add("seam-mark-close");
    }
    getChildren().add(disc);
  }
}
