package org.wiseember.desktop.bench;

import java.util.List;
import org.wiseember.bench.procedure.IdleWatch;
import org.wiseember.bench.procedure.Phase;
import org.wiseember.bench.run.RunView;
import org.wiseember.bench.run.Thinned;
import org.wiseember.core.capacity.ExpectedEnd;
import org.wiseember.core.trace.Channel;
import org.wiseember.desktop.model.LiveRun;
import org.wiseember.report.drawing.TraceDrawing;
import org.wiseember.report.drawing.Upright;
import org.wiseember.trial.kind.TestPlan;
import org.wiseember.trial.kind.Trait;
import org.wiseember.workbook.StoredReading;

/** What the live chart shows of a run. */
final class LiveChart {
  private LiveChart() {}

  /** Before the start: the empty chart with the expected end. */
  static TraceDrawing ahead(TestPlan plan, ExpectedEnd end) {
    return before(plan, new TraceDrawing.Forecast(end.secondsLeft(), end.soonest(), end.latest()));
  }

  /** Before the start of a test whose end is known: an empty chart. */
  static TraceDrawing empty(TestPlan plan) {
    return before(plan, TraceDrawing.Forecast.NONE);
  }

  private static TraceDrawing before(TestPlan plan, TraceDrawing.Forecast forecast) {
    return new TraceDrawing(
        new double[0],
        new double[0],
        TraceDrawing.Line.NONE,
        List.of(),
        Double.NaN,
        TraceDrawing.Line.NONE,
        forecast,
        most(plan),
        powerName(plan));
  }

  static TraceDrawing of(LiveRun run, RunView view) {
    Thinned line = view.power();
    double[] seconds = new double[line.size() * 2];
    double[] watts = new double[line.size() * 2];
    for (int i = 0; i < line.size(); i++) {
      seconds[2 * i] = line.seconds()[i];
      seconds[2 * i + 1] = line.seconds()[i];
      watts[2 * i] = line.low()[i];
      watts[2 * i + 1] = line.high()[i];
    }
    return new TraceDrawing(
        seconds,
        watts,
        new TraceDrawing.Line(view.celsius().seconds(), view.celsius().high()),
        marks(view),
        Double.NaN,
        display(run, view),
        forecast(run, view),
        most(run.plan()),
        powerName(run.plan()));
  }

  private static double most(TestPlan plan) {
    return Math.max(10, plan.settings().chartWatts());
  }

  private static String powerName(TestPlan plan) {
    return plan.type().declaration().wattsName();
  }

  private static List<Upright> marks(RunView view) {
    return view.notices().stream()
        .filter(n -> List.of("mark", "steady", IdleWatch.STATE).contains(n.code()))
        .map(n -> new Upright(n.seconds(), n.code().equals("steady") ? "steady" : n.text()))
        .toList();
  }

  /** What the bench reads off the display, else what was typed. */
  private static TraceDrawing.Line display(LiveRun run, RunView view) {
    if (view.display().size() > 0) {
      return new TraceDrawing.Line(view.display().seconds(), view.display().low());
    }
    List<StoredReading> typed =
        run.typed().stream().filter(r -> r.channel() == Channel.DISPLAY_CHARGE).toList();
    return new TraceDrawing.Line(
        typed.stream().mapToDouble(StoredReading::seconds).toArray(),
        typed.stream().mapToDouble(StoredReading::value).toArray());
  }

  private static TraceDrawing.Forecast forecast(LiveRun run, RunView view) {
    boolean draining = view.phase() == Phase.MEASURING || view.phase() == Phase.SETTLING;
    if (!draining || !run.plan().type().is(Trait.DRAINS)) {
      return TraceDrawing.Forecast.NONE;
    }
    ExpectedEnd end = run.expectedEnd();
    double now = view.latest().seconds();
    return new TraceDrawing.Forecast(
        now + end.secondsLeft(), now + end.soonest(), now + end.latest());
  }
}
