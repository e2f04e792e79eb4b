package org.wiseember.report.chart;

import java.util.HashMap;
import java.util.Map;
import org.jfree.chart.JFreeChart;
import org.wiseember.report.drawing.ClaimScalesDrawing;
import org.wiseember.report.drawing.CurveDrawing;
import org.wiseember.report.drawing.CycleDrawing;
import org.wiseember.report.drawing.DayDrawing;
import org.wiseember.report.drawing.Drawing;
import org.wiseember.report.drawing.EnduranceDrawing;
import org.wiseember.report.drawing.HarmonicsDrawing;
import org.wiseember.report.drawing.InputWindowDrawing;
import org.wiseember.report.drawing.LinesDrawing;
import org.wiseember.report.drawing.ProfileDrawing;
import org.wiseember.report.drawing.RigDrawing;
import org.wiseember.report.drawing.RowsDrawing;
import org.wiseember.report.drawing.ScheduleDrawing;
import org.wiseember.report.drawing.TraceDrawing;
import org.wiseember.report.drawing.WaveDrawing;
import org.wiseember.report.look.Palette;

/** Draws what is described by data, each kind by its own chart. */
public final class Charts {
  @FunctionalInterface
  private interface Draws<D extends Drawing> {
    JFreeChart chart(D drawing, Palette palette, double scale);
  }

  private static final Map<Class<? extends Drawing>, Draws<Drawing>> KINDS = new HashMap<>();

  static {
    draw(ClaimScalesDrawing.class, ClaimScalesChart::of);
    draw(CurveDrawing.class, CurveChart::of);
    draw(CycleDrawing.class, CycleChart::of);
    draw(DayDrawing.class, DayChart::of);
    draw(EnduranceDrawing.class, EnduranceChart::of);
    draw(HarmonicsDrawing.class, HarmonicsChart::of);
    draw(InputWindowDrawing.class, InputWindowChart::of);
    draw(LinesDrawing.class, LinesChart::of);
    draw(ProfileDrawing.class, ProfileChart::of);
    draw(RigDrawing.class, RigChart::of);
    draw(RowsDrawing.class, RowsChart::of);
    draw(ScheduleDrawing.class, ScheduleChart::of);
    draw(TraceDrawing.class, TraceChart::of);
    draw(WaveDrawing.class, WaveChart::of);
  }

  private Charts() {}

  private static <D extends Drawing> void draw(Class<D> kind, Draws<D> chart) {
    KINDS.put(kind, (d, palette, scale) -> chart.chart(kind.cast(d), palette, scale));
  }

  /**
   * Draws it.
   *
   * @param scale of the text, 1 for its usual size
   */
  public static JFreeChart of(Drawing drawing, Palette palette, double scale) {
    return KINDS.get(drawing.getClass()).chart(drawing, palette, scale);
  }
}
