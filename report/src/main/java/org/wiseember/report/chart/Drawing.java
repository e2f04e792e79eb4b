package org.wiseember.report.chart;

import org.jfree.chart.JFreeChart;
import org.wiseember.core.quantity.ReaderUnits;
import org.wiseember.report.look.Palette;

/** What a chart shows, as data: screen and page draw the same. */
public sealed interface Drawing
    permits CurveDrawing,
        CycleDrawing,
        DayDrawing,
        EnduranceDrawing,
        HarmonicsDrawing,
        InputWindowDrawing,
        LinesDrawing,
        ProfileDrawing,
        RigDrawing,
        RowsDrawing,
        ClaimScalesDrawing,
        ScheduleDrawing,
        TraceDrawing,
        WaveDrawing {
  /**
   * Draws it.
   *
   * @param scale of the text, 1 for its usual size
   */
  JFreeChart chart(Palette palette, double scale);

  /** The same in the units a reader likes; most charts have nothing a reader may choose. */
  default Drawing in(ReaderUnits units) {
    return this;
  }
}
