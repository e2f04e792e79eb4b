package org.wiseember.report.chart;

import java.awt.BasicStroke;
import java.awt.Color;
import java.awt.Stroke;
import java.util.List;
import org.jfree.chart.JFreeChart;
import org.jfree.chart.annotations.XYBoxAnnotation;
import org.jfree.chart.annotations.XYLineAnnotation;
import org.jfree.chart.annotations.XYTextAnnotation;
import org.jfree.chart.axis.NumberAxis;
import org.jfree.chart.plot.XYPlot;
import org.jfree.chart.renderer.xy.XYLineAndShapeRenderer;
import org.jfree.chart.ui.TextAnchor;
import org.wiseember.report.drawing.RigDrawing;
import org.wiseember.report.look.Face;
import org.wiseember.report.look.Palette;

/** A wiring drawing: boxes in a row, the fuse in its lead, probes on dotted lines below. */
public final class RigChart {
  private static final Stroke LEAD = new BasicStroke(1.8f);
  private static final Stroke EDGE = new BasicStroke(1.4f);
  private static final Stroke DOTS =
      new BasicStroke(
          1.6f, BasicStroke.CAP_ROUND, BasicStroke.JOIN_ROUND, 1, new float[] {1, 5}, 0);

  /** A box is so wide where things stand 1 apart. */
  private static final double HALF_BOX = 0.33;

  private static final double HALF_HIGH = 0.3;
  private static final double FUSE_WIDE = 0.09;
  private static final double FUSE_HIGH = 0.07;
  private static final double LINE = 0.24;
  private static final double PROBE = -0.85;
  private static final int CROWDED = 3;

  private final RigDrawing drawing;
  private final Palette palette;
  private final PlotLook look;
  private final XYPlot plot;

  private RigChart(RigDrawing drawing, Palette palette, double scale) {
    this.drawing = drawing;
    this.palette = palette;
    this.look = PlotLook.of(palette, scale);
    this.plot = look.plot();
  }

  public static JFreeChart of(RigDrawing drawing, Palette palette, double scale) {
    return new RigChart(drawing, palette, scale).build();
  }

  private JFreeChart build() {
    plot.setRenderer(new XYLineAndShapeRenderer());
    plot.setDomainGridlinesVisible(false);
    plot.setRangeGridlinesVisible(false);
    plot.setDomainAxis(hidden(-0.42, drawing.row().size() - 0.58));
    plot.setRangeAxis(hidden(drawing.probes().isEmpty() ? -0.55 : -1.25, 0.75));
    for (int i = 0; i < drawing.leads().size(); i++) {
      lead(i, drawing.leads().get(i));
    }
    for (RigDrawing.Probe probe : drawing.probes()) {
      probe(probe);
    }
    for (int i = 0; i < drawing.row().size(); i++) {
      thing(i, drawing.row().get(i));
    }
    return look.chart(plot);
  }

  private static NumberAxis hidden(double from, double to) {
    NumberAxis axis = new NumberAxis();
    axis.setRange(from, to);
    axis.setVisible(false);
    return axis;
  }

  private void thing(int at, RigDrawing.Thing thing) {
    plot.addAnnotation(
        new XYBoxAnnotation(
            at - HALF_BOX,
            -HALF_HIGH,
            at + HALF_BOX,
            HALF_HIGH,
            EDGE,
            Palette.awt(thing.meter() ? palette.ember() : palette.ink()),
            Palette.awt(thing.meter() ? palette.emberWash() : palette.sheet())));
    List<String> words = thing.words();
    for (int i = 0; i < words.size(); i++) {
      words(
          words.get(i),
          at,
          LINE * ((words.size() - 1) / 2.0 - i),
          thing.meter() ? palette.emberInk() : palette.ink(),
          TextAnchor.CENTER);
    }
  }

  private void words(String text, double x, double y, String colour, TextAnchor anchor) {
    XYTextAnnotation words = new XYTextAnnotation(text, x, y);
    // Four boxes in a narrow panel leave their words little room.
    words.setFont(
        drawing.row().size() > CROWDED
            ? Face.FIGURE.awt(0.92f * look.text())
            : Face.TEXT.awt(look.text()));
    words.setPaint(Palette.awt(colour));
    words.setTextAnchor(anchor);
    plot.addAnnotation(words);
  }

  private void lead(int at, RigDrawing.Lead lead) {
    Color ink = Palette.awt(palette.ink());
    plot.addAnnotation(new XYLineAnnotation(at + HALF_BOX, 0, at + 1 - HALF_BOX, 0, LEAD, ink));
    double middle = at + 0.5;
    if (!lead.fuse().isEmpty()) {
      plot.addAnnotation(
          new XYBoxAnnotation(
              middle - FUSE_WIDE,
              -FUSE_HIGH,
              middle + FUSE_WIDE,
              FUSE_HIGH,
              EDGE,
              ink,
              Palette.awt(palette.sheet())));
      words(lead.fuse(), middle, HALF_HIGH + 0.1, palette.ink(), TextAnchor.BOTTOM_CENTER);
    }
    if (!lead.gauge().isEmpty()) {
      words(lead.gauge(), middle, -HALF_HIGH - 0.1, palette.quiet(), TextAnchor.TOP_CENTER);
    }
  }

  private void probe(RigDrawing.Probe probe) {
    Color colour = Palette.awt(probe.isolated() ? palette.shortOf() : palette.quiet());
    plot.addAnnotation(
        new XYLineAnnotation(probe.on(), -HALF_HIGH, probe.on(), PROBE, DOTS, colour));
    int last = drawing.row().size() - 1;
    boolean right = last > 0 && probe.on() == last;
    boolean left = last > 0 && probe.on() == 0;
    words(
        probe.words(),
        right ? probe.on() + HALF_BOX : left ? probe.on() - HALF_BOX : probe.on(),
        PROBE - 0.06,
        palette.ink(),
        right ? TextAnchor.TOP_RIGHT : left ? TextAnchor.TOP_LEFT : TextAnchor.TOP_CENTER);
  }
}
