package org.wiseember.report.chart;

import java.awt.FontMetrics;
import java.awt.Graphics2D;
import java.awt.geom.Rectangle2D;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
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
    FontMetrics font = g.getFontMetrics(getTickLabelFont());
    List<Tick> ticks = new ArrayList<>();
    double last = Double.NaN;
    double lastWide = 0;
    for (Map.Entry<Double, String> name : new TreeMap<>(names).entrySet()) {
      double at = name.getKey();
      double place = valueToJava2D(at, area, edge);
      double wide = font.stringWidth(name.getValue());
      double apart =
          beside
              ? 1.25 * font.getHeight()
              : Math.max(
                  1.25 * font.stringWidth("10 min"), (wide + lastWide) / 2 + font.stringWidth("0"));
      // Where names would touch, the next one is left out.
      if (getRange().contains(at) && !(Math.abs(place - last) < apart)) {
        ticks.add(
            new NumberTick(
                at,
                name.getValue(),
                beside ? TextAnchor.CENTER_RIGHT : TextAnchor.TOP_CENTER,
                TextAnchor.CENTER,
                0));
        last = place;
        lastWide = wide;
      }
    }
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
