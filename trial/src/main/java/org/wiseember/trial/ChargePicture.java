package org.wiseember.trial;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import org.wiseember.core.trace.Channel;
import org.wiseember.core.trace.Series;
import org.wiseember.report.chart.CurveFigure;
import org.wiseember.report.chart.TraceFigure;

/** A charge as a chart: watts in against minutes, the knee and the times marked. */
public final class ChargePicture {
  private static final int POINTS = 1200;
  private static final double MINUTE = 60;

  private ChargePicture() {}

  /** The profile of a charge that was found. */
  public static CurveFigure of(ChargeRun run) {
    Series read = run.treatment().of(run.trace()).series(Channel.IN_POWER);
    Series power =
        read.size() > 1 ? read : run.treatment().of(run.trace()).series(Channel.AC_POWER);
    double start = run.finding().startTime();
    double[] minutes = new double[power.size()];
    double[] watts = new double[power.size()];
    double most = 10;
    for (int i = 0; i < minutes.length; i++) {
      minutes[i] = (power.seconds(i) - start) / MINUTE;
      watts[i] = power.value(i);
      most = Math.max(most, watts[i]);
    }
    TraceFigure.Line line = TraceFigure.thin(minutes, watts, POINTS);
    List<CurveFigure.Point> curve = new ArrayList<>();
    for (int i = 0; i < line.seconds().length; i++) {
      if (line.seconds()[i] >= 0) {
        curve.add(new CurveFigure.Point(line.seconds()[i], line.values()[i], 0));
      }
    }
    List<CurveFigure.Mark> marks = new ArrayList<>();
    run.finding()
        .taperStart()
        .ifPresent(t -> marks.add(new CurveFigure.Mark(t.value() / MINUTE, "begins to taper")));
    run.finding()
        .timeTo80()
        .ifPresent(t -> marks.add(new CurveFigure.Mark(t.value() / MINUTE, "80 % in")));
    run.finding()
        .timeToFull()
        .ifPresent(t -> marks.add(new CurveFigure.Mark(t.value() / MINUTE, "full")));
    marks.sort(Comparator.comparingDouble(CurveFigure.Mark::x));
    return new CurveFigure(
        "time, min", "into the unit, W", List.of(), curve, Double.NaN, "", marks, 0, most * 1.15);
  }
}
