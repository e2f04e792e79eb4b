package org.wiseember.desktop.look;

import javafx.scene.layout.Region;
import javafx.scene.shape.Polygon;
import javafx.scene.shape.Polyline;
import org.wiseember.core.trace.Series;

/** The little picture of a run: its power as a filled line, without axes. */
public final class MiniTrace extends Region {
  private final Polygon fill = new Polygon();
  private final Polyline line = new Polyline();
  private final Series power;

  /**
   * Draws one.
   *
   * @param power in few points
   */
  public MiniTrace(Series power) {
    this.power = power;
    getStyleClass().add("mini-trace");
    fill.getStyleClass().add("mini-fill");
    line.getStyleClass().add("mini-line");
    fill.setManaged(false);
    line.setManaged(false);
    getChildren().addAll(fill, line);
    setAccessibleText("Power over the run");
  }

  @Override
  protected void layoutChildren() {
    double width = getWidth();
    double height = getHeight();
    fill.getPoints().clear();
    line.getPoints().clear();
    int last = power.size() - 1;
    if (last < 1 || width < 2) {
      return;
    }
    double most = 1;
    for (int i = 0; i <= last; i++) {
      most = Math.max(most, power.value(i));
    }
    double span = Math.max(1, power.seconds(last) - power.seconds(0));
    fill.getPoints().addAll(0.0, height);
    for (int i = 0; i <= last; i++) {
      double x = (power.seconds(i) - power.seconds(0)) / span * width;
      double y = height - power.value(i) / most * (height - 4);
      fill.getPoints().addAll(x, y);
      line.getPoints().addAll(x, y);
    }
    fill.getPoints().addAll(width, height);
  }
}
