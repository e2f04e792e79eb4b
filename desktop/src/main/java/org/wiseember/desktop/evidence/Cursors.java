package org.wiseember.desktop.evidence;

import java.awt.geom.Rectangle2D;
import javafx.beans.property.DoubleProperty;
import javafx.beans.property.SimpleDoubleProperty;
import javafx.scene.AccessibleRole;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;
import javafx.scene.input.MouseEvent;
import javafx.scene.layout.Pane;
import javafx.scene.layout.StackPane;
import javafx.scene.shape.Line;
import javafx.scene.shape.Rectangle;
import javafx.scene.shape.SVGPath;
import org.wiseember.core.quantity.Figures;
import org.wiseember.desktop.look.ChartPane;

/**
 * Two cursors over a trace. A press takes the nearer one and it follows the mouse; the arrow keys
 * move the one taken last by a hundredth of the run, with Shift by a thousandth; Tab goes on, and
 * the letter X takes the other.
 */
final class Cursors extends StackPane {
  private static final double STEP = 0.01;
  private static final double FINE = 0.001;

  private final ChartPane chart;
  private final Pane over = new Pane();
  private final Rectangle between = new Rectangle();
  private final Line[] lines = {new Line(), new Line()};
  private final SVGPath[] grips = {new SVGPath(), new SVGPath()};
  private final DoubleProperty[] at = {
    new SimpleDoubleProperty(Double.NaN), new SimpleDoubleProperty(Double.NaN)
  };
  private double begin;
  private double end;
  private double axisSeconds = 1;
  private int taken;

  Cursors(ChartPane chart) {
    this.chart = chart;
    setId("cursors");
    between.getStyleClass().add("cursor-between");
    over.getChildren().add(between);
    for (int i = 0; i < 2; i++) {
      lines[i].getStyleClass().add("cursor-line");
      grips[i].setContent(i == 0 ? "M0 0 L9 0 L0 10 Z" : "M0 0 L-9 0 L0 10 Z");
      grips[i].getStyleClass().add("cursor-grip");
      over.getChildren().addAll(lines[i], grips[i]);
    }
    over.setManaged(false);
    over.setMouseTransparent(true);
    getChildren().addAll(chart, over);
    setFocusTraversable(true);
    setAccessibleRole(AccessibleRole.SLIDER);
    getStyleClass().add("cursors");
    chart.whenDrawn(this::place);
    addEventHandler(MouseEvent.MOUSE_PRESSED, this::press);
    addEventHandler(MouseEvent.MOUSE_DRAGGED, e -> move(taken, seconds(e.getX())));
    addEventHandler(KeyEvent.KEY_PRESSED, this::key);
  }

  /** Time of a cursor, 0 for the one that began on the left; s on the run's clock. */
  DoubleProperty at(int cursor) {
    return at[cursor];
  }

  /**
   * Sets them over a run.
   *
   * @param begin earliest moment, s
   * @param end latest moment, s
   * @param axisSeconds seconds of one unit of the chart's axis
   */
  void over(double begin, double end, double axisSeconds) {
    boolean same = this.begin == begin && this.end == end && !Double.isNaN(at[0].get());
    this.begin = begin;
    this.end = end;
    this.axisSeconds = axisSeconds;
    if (!same) {
      move(0, begin + (end - begin) * 0.1);
      move(1, begin + (end - begin) * 0.4);
    }
    place();
  }

  private void press(MouseEvent e) {
    requestFocus();
    double moment = seconds(e.getX());
    taken = Math.abs(moment - at[0].get()) <= Math.abs(moment - at[1].get()) ? 0 : 1;
    move(taken, moment);
    e.consume();
  }

  private void key(KeyEvent e) {
    double step = (end - begin) * (e.isShiftDown() ? FINE : STEP);
    KeyCode code = e.getCode();
    if (code == KeyCode.LEFT || code == KeyCode.RIGHT) {
      move(taken, at[taken].get() + (code == KeyCode.LEFT ? -step : step));
    } else if (code == KeyCode.HOME) {
      move(taken, begin);
    } else if (code == KeyCode.END) {
      move(taken, end);
    } else if (code == KeyCode.X && !e.isShortcutDown()) {
      taken = 1 - taken;
    } else {
      return;
    }
    e.consume();
  }

  private void move(int cursor, double seconds) {
    at[cursor].set(Math.max(begin, Math.min(end, seconds)));
    setAccessibleText(
        "Cursors at " + Figures.clock(at[0].get()) + " and " + Figures.clock(at[1].get()));
    place();
  }

  private double seconds(double x) {
    Rectangle2D area = chart.dataArea();
    if (chart.chart() == null || area.getWidth() <= 0) {
      return begin;
    }
    return chart.valueAt(x - chart.getLayoutX()) * axisSeconds;
  }

  private double x(double seconds) {
    return chart.getLayoutX() + chart.at(seconds / axisSeconds);
  }

  private void place() {
    Rectangle2D area = chart.dataArea();
    boolean shown = chart.chart() != null && area.getWidth() > 0 && !Double.isNaN(at[1].get());
    over.setVisible(shown);
    if (!shown) {
      return;
    }
    double top = chart.getLayoutY() + area.getY();
    double bottom = top + area.getHeight();
    for (int i = 0; i < 2; i++) {
      double x = Math.round(x(at[i].get())) + 0.5;
      lines[i].setStartX(x);
      lines[i].setEndX(x);
      lines[i].setStartY(top);
      lines[i].setEndY(bottom);
      // The grip of the left one points right, so that both stay inside.
      boolean left = at[i].get() <= at[1 - i].get();
      grips[i].setContent(left ? "M0 0 L9 0 L0 -10 Z" : "M0 0 L-9 0 L0 -10 Z");
      grips[i].setLayoutX(x);
      grips[i].setLayoutY(bottom);
    }
    double from = Math.min(lines[0].getStartX(), lines[1].getStartX());
    between.setX(from);
    between.setY(top);
    between.setWidth(Math.abs(lines[0].getStartX() - lines[1].getStartX()));
    between.setHeight(area.getHeight());
  }
}
