package org.wiseember.trial.page;

import java.util.List;
import org.wiseember.bench.procedure.IdleWatch;
import org.wiseember.core.figure.Figure;
import org.wiseember.core.trace.Channel;
import org.wiseember.core.trace.Series;
import org.wiseember.core.trace.Trace;
import org.wiseember.report.drawing.TraceDrawing;
import org.wiseember.report.drawing.Upright;
import org.wiseember.trial.kind.TestRun;
import org.wiseember.workbook.Event;

/** A run over time: its power, the case, the display, and what was marked. */
public final class RunTrace {
  private static final List<String> MARKS = List.of("mark", "steady", IdleWatch.STATE);
  private static final double LEAST_WATTS = 10;
  private static final int LONGEST = 24;
  private static final int POINTS = 2000;

  private RunTrace() {}

  /** Whether anything was read of it that a trace shows. */
  public static boolean shows(TestRun run) {
    return run.watts().size() > 1
        || run.trace().series(Channel.CASE_TEMPERATURE).size() > 1
        || run.trace().series(Channel.DISPLAY_CHARGE).size() > 1;
  }

  /** How long it went on, s on its own clock; 0 where nothing was read. */
  public static double seconds(TestRun run) {
    Trace trace = run.trace();
    return trace.size() == 0 ? 0 : trace.seconds(trace.size() - 1);
  }

  public static TraceDrawing of(TestRun run, List<Event> events) {
    Series power = run.watts();
    Series warmth = run.trace().series(Channel.CASE_TEMPERATURE);
    Series display = run.trace().series(Channel.DISPLAY_CHARGE);
    List<Upright> marks =
        events.stream()
            .filter(e -> MARKS.contains(e.code()))
            .map(
                e ->
                    new Upright(
                        e.seconds(), e.code().equals("steady") ? "steady" : shortened(e.words())))
            .toList();
    return new TraceDrawing(
        times(power),
        values(power),
        new TraceDrawing.Line(times(warmth), values(warmth)),
        marks,
        run.end().orElse(Double.NaN),
        new TraceDrawing.Line(times(display), values(display)),
        TraceDrawing.Forecast.NONE,
        run.figure("mean_power").map(Figure::value).orElse(LEAST_WATTS),
        run.type().declaration().wattsName());
  }

  /** Watts alone, in as many points as a chart can show. */
  public static TraceDrawing of(Series watts, String name) {
    TraceDrawing.Line thin = TraceDrawing.thin(times(watts), values(watts), POINTS);
    TraceDrawing.Line none = new TraceDrawing.Line(new double[0], new double[0]);
    return new TraceDrawing(
        thin.seconds(),
        thin.values(),
        none,
        List.of(),
        Double.NaN,
        none,
        TraceDrawing.Forecast.NONE,
        LEAST_WATTS,
        name);
  }

  private static String shortened(String words) {
    return words.length() > LONGEST ? words.substring(0, LONGEST - 1) + "…" : words;
  }

  private static double[] times(Series series) {
    double[] t = new double[series.size()];
    for (int i = 0; i < t.length; i++) {
      t[i] = series.seconds(i);
    }
    return t;
  }

  private static double[] values(Series series) {
    double[] v = new double[series.size()];
    for (int i = 0; i < v.length; i++) {
      v[i] = series.value(i);
    }
    return v;
  }
}
