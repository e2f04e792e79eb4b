package org.wiseember.desktop.look;

import javafx.scene.layout.Region;
import javafx.scene.shape.Polygon;
import javafx.scene.shape.Polyline;
import org.wiseember.core.trace.Series;
import org.wiseember.report.chart.TraceDrawing;

/** The little picture of a run: its power as a filled line, without axes. */
public final class MiniTrace extends Region {
  private static final int POINTS = 240;

  private final Polygon fill = new Polygon();
  private final Polyline line = new Polyline();
  private final double[] seconds;
  private final double[] watts;

  public MiniTrace(Series power) {
    double[] t = new double[power.size()];
    double[] w = new double[power.size()];
    for (int i = 0; i < t.length; i++) {
      t[i] = power.seconds(i);
      w[i] = power.value(i);
    }
    TraceDrawing.Line thin = TraceDrawing.thin(t, w, POINTS);
    seconds = thin.seconds();
    watts = thin.values();
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
    if (seconds.length < 2 || width < 2) {
      return;
    }
    double most = 1;
    for (double w : watts) {
      most = Math.max(most, w);
    }
    double span = Math.max(1, seconds[seconds.length - 1] - seconds[0]);
    fill.getPoints().addAll(0.0, height);
    for (int i = 0; i < seconds.length; i++) {
      double x = (seconds[i] - seconds[0]) / span * width;
      double y = height - watts[i] / most * (height - 4);
      fill.getPoints().addAll(x, y);
      line.getPoints().addAll(x, y);
    }
    fill.getPoints().addAll(width, height);
  }
}
