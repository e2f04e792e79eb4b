package org.wiseember.report.drawing;

import org.wiseember.core.quantity.ReaderUnits;

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
  /** The same in the units a reader likes; most charts have nothing a reader may choose. */
  default Drawing in(ReaderUnits units) {
    return this;
  }
}
