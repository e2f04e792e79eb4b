package org.wiseember.desktop.look;

import java.awt.geom.Rectangle2D;
import java.util.ArrayList;
import java.util.List;
import java.util.function.Supplier;
import javafx.scene.AccessibleRole;
import javafx.scene.canvas.Canvas;
import javafx.scene.layout.Region;
import org.jfree.chart.ChartRenderingInfo;
import org.jfree.chart.JFreeChart;
import org.jfree.chart.axis.ValueAxis;
import org.jfree.chart.plot.PlotRenderingInfo;
import org.jfree.fx.FXGraphics2D;

/** A chart that fills its room. It is drawn anew only when the chart or the room changes. */
public final class ChartPane extends Region {
  private final Canvas canvas = new Canvas();
  private Supplier<JFreeChart> maker;
  private JFreeChart chart;
  private Rectangle2D dataArea = new Rectangle2D.Double();
  private List<Rectangle2D> parts = List.of();
  private Runnable drawn = () -> {};

  /**
   * @param description what a screen reader says
   */
  public ChartPane(String description) {
    getChildren().add(canvas);
    getStyleClass().add("chart-pane");
    setAccessibleRole(AccessibleRole.IMAGE_VIEW);
    setAccessibleText(description);
  }

  /** Shows a chart; it is made when there is room to draw it. Null shows nothing. */
  public void show(Supplier<JFreeChart> next) {
    maker = next;
    chart = null;
    requestLayout();
  }

  /** Calls this after every drawing, on the interface thread. */
  public void whenDrawn(Runnable then) {
    drawn = then;
  }

  /**
   * Where the axes enclose the data, in this pane's own coordinates; empty while nothing is shown.
   */
  public Rectangle2D dataArea() {
    return dataArea;
  }

  /** Where a value of the axis below stands, in this pane's own coordinates. */
  public double at(double value) {
    ValueAxis axis = chart.getXYPlot().getDomainAxis();
    double share = (value - axis.getLowerBound()) / axis.getRange().getLength();
    return dataArea.getX() + share * dataArea.getWidth();
  }

  /** The value of the axis below at a place of this pane. */
  public double valueAt(double x) {
    ValueAxis axis = chart.getXYPlot().getDomainAxis();
    double share = (x - dataArea.getX()) / dataArea.getWidth();
    return axis.getLowerBound() + share * axis.getRange().getLength();
  }

  /** The same of each chart of several one above the other; empty for a single one. */
  public List<Rectangle2D> parts() {
    return parts;
  }

  /** The chart on show, for tests of what is written in it; null while there is none. */
  public JFreeChart chart() {
    return chart;
  }

  @Override
  protected void layoutChildren() {
    double width = Math.floor(getWidth() - snappedLeftInset() - snappedRightInset());
    double height = Math.floor(getHeight() - snappedTopInset() - snappedBottomInset());
    boolean resized = canvas.getWidth() != width || canvas.getHeight() != height;
    canvas.setWidth(Math.max(0, width));
    canvas.setHeight(Math.max(0, height));
    canvas.relocate(snappedLeftInset(), snappedTopInset());
    boolean fresh = chart == null && maker != null;
    if (width < 40 || height < 40 || (!resized && !fresh && maker != null)) {
      return;
    }
    var graphics = canvas.getGraphicsContext2D();
    graphics.clearRect(0, 0, width, height);
    if (maker == null) {
      return;
    }
    if (chart == null) {
      chart = maker.get();
    }
    ChartRenderingInfo info = new ChartRenderingInfo();
    chart.draw(new FXGraphics2D(graphics), new Rectangle2D.Double(0, 0, width, height), null, info);
    PlotRenderingInfo all = info.getPlotInfo();
    dataArea = inPane(all.getDataArea());
    List<Rectangle2D> each = new ArrayList<>();
    for (int i = 0; i < all.getSubplotCount(); i++) {
      each.add(inPane(all.getSubplotInfo(i).getDataArea()));
    }
    parts = List.copyOf(each);
    drawn.run();
  }

  private Rectangle2D inPane(Rectangle2D inside) {
    return new Rectangle2D.Double(
        inside.getX() + snappedLeftInset(),
        inside.getY() + snappedTopInset(),
        inside.getWidth(),
        inside.getHeight());
  }
}
