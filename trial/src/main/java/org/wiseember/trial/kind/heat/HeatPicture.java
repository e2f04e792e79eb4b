package org.wiseember.trial.kind.heat;

import java.util.ArrayList;
import java.util.List;
import org.wiseember.core.heat.HeatRise;
import org.wiseember.core.trace.Channel;
import org.wiseember.core.trace.Series;
import org.wiseember.core.trace.Trace;
import org.wiseember.report.drawing.CurveDrawing;

/** How a case warms under a load, with the curve through it, as a chart. */
final class HeatPicture {
  private static final int STEPS = 60;
  private static final int HEAT_POINTS = 40;

  private HeatPicture() {}

  /** Rise of the case above the room under the last load, with the curve through it. */
  static CurveDrawing of(HeatRise rise, Trace treated) {
    Series warm = treated.series(Channel.CASE_TEMPERATURE);
    Series room = treated.series(Channel.ROOM_TEMPERATURE);
    int first = warm.from(rise.from());
    // A little more than the last block's middle; what cools after the load is no rise.
    int n = warm.from(rise.from() + rise.last() * 1.02) - first;
    List<CurveDrawing.Point> points = new ArrayList<>();
    double start = n > 0 ? warm.value(first) : 0;
    double most = 1;
    double least = 0;
    for (int k = 0; k < Math.min(n, HEAT_POINTS); k++) {
      int i = first + (int) ((long) k * n / Math.min(n, HEAT_POINTS));
      double around = room.size() == 0 ? start : room.at(warm.seconds(i), 600);
      if (!Double.isNaN(around)) {
        double above = warm.value(i) - around;
        points.add(new CurveDrawing.Point((warm.seconds(i) - rise.from()) / 60, above, 0));
        most = Math.max(most, above);
        least = Math.min(least, above);
      }
    }
    List<CurveDrawing.Point> curve = new ArrayList<>();
    if (rise.heading().isPresent() && rise.timeConstant().isPresent() && !points.isEmpty()) {
      double end = rise.heading().get().value();
      double tau = rise.timeConstant().get().value() / 60;
      double last = points.get(points.size() - 1).x();
      double swing = (end - rise.reached().value()) * Math.exp(rise.last() / 60 / tau);
      for (int i = 0; i <= STEPS; i++) {
        double t = last * 1.6 * i / STEPS;
        double u = rise.heading().get().u95() * Math.min(1, t / (last * 1.6));
        curve.add(new CurveDrawing.Point(t, end - swing * Math.exp(-t / tau), u));
      }
      most = Math.max(most, end + rise.heading().get().u95());
    }
    return new CurveDrawing(
        "time under the last load, min",
        "case above the room, K",
        points,
        curve,
        Double.NaN,
        "",
        List.of(),
        Math.floor(least),
        Math.ceil(most / 5) * 5 + 5);
  }
}
