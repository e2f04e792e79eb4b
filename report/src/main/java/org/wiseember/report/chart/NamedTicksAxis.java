package org.wiseember.report.chart;

import java.awt.Graphics2D;
import java.awt.geom.Rectangle2D;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import org.jfree.chart.axis.AxisState;
import org.jfree.chart.axis.NumberAxis;
import org.jfree.chart.axis.NumberTick;
import org.jfree.chart.axis.Tick;
import org.jfree.chart.ui.RectangleEdge;
import org.jfree.chart.ui.TextAnchor;

/** An axis with ticks at named places, for scales whose figures people say in words. */
final class NamedTicksAxis extends NumberAxis {
  private static final long serialVersionUID = 1L;

  private final transient Map<Double, String> names;

  NamedTicksAxis(String label, Map<Double, String> names) {
    super(label);
    this.names = Map.copyOf(names);
  }

  @Override
  public List<Tick> refreshTicks(
      Graphics2D g, AxisState state, Rectangle2D area, RectangleEdge edge) {
    boolean beside = RectangleEdge.isLeftOrRight(edge);
    List<Tick> ticks = new ArrayList<>();
    names.forEach(
        (at, name) -> {
          if (getRange().contains(at)) {
            ticks.add(
                new NumberTick(
                    at,
                    name,
                    beside ? TextAnchor.CENTER_RIGHT : TextAnchor.TOP_CENTER,
                    TextAnchor.CENTER,
                    0));
          }
        });
    return ticks;
  }

  @Override
  public boolean equals(Object other) {
    return this == other;
  }

  @Override
  public int hashCode() {
    return System.identityHashCode(this);
  }
}
