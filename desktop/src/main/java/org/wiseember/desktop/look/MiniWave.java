package org.wiseember.desktop.look;

import javafx.scene.layout.Region;
import javafx.scene.shape.Line;
import javafx.scene.shape.Polyline;

/** The little picture of one cycle of a wave, without axes. */
public final class MiniWave extends Region {
  private final double[] values;
  private final Polyline line = new Polyline();
  private final Line zero = new Line();

  /**
   * Makes it.
   *
   * @param values evenly spaced, −1 to 1
   */
  public MiniWave(double[] values) {
    this.values = values.clone();
    getStyleClass().add("mini-wave");
    line.getStyleClass().add("mini-line");
    zero.getStyleClass().add("mini-zero");
    line.setManaged(false);
    zero.setManaged(false);
    getChildren().addAll(zero, line);
    setAccessibleText("One cycle");
  }

  @Override
  protected void layoutChildren() {
    double width = getWidth();
    double middle = getHeight() / 2;
    zero.setStartX(0);
    zero.setEndX(width);
    zero.setStartY(middle);
    zero.setEndY(middle);
    line.getPoints().clear();
    for (int i = 0; i < values.length; i++) {
      line.getPoints().addAll(width * i / (values.length - 1), middle - values[i] * (middle - 3));
    }
  }
}
