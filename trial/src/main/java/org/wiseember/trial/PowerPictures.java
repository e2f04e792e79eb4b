package org.wiseember.trial;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import org.wiseember.core.heat.HeatRise;
import org.wiseember.core.label.Claim;
import org.wiseember.core.label.Condition;
import org.wiseember.core.label.Label;
import org.wiseember.core.label.Subject;
import org.wiseember.core.overload.Hold;
import org.wiseember.core.overload.TripFit;
import org.wiseember.core.port.PortPoint;
import org.wiseember.core.quantity.Figures;
import org.wiseember.core.trace.Channel;
import org.wiseember.core.trace.Series;
import org.wiseember.core.transfer.TransferGap;
import org.wiseember.core.waveform.Capture;
import org.wiseember.report.chart.CurveFigure;
import org.wiseember.report.chart.EnduranceFigure;
import org.wiseember.report.chart.WaveFigure;

/** What the tests of power, ports and heat look like as charts. */
public final class PowerPictures {
  private static final int STEPS = 60;
  private static final double AROUND_MS = 45;
  private static final int HEAT_POINTS = 40;

  private PowerPictures() {}

  /** Every hold of a unit against the label's steps. */
  public static EnduranceFigure endurance(Judgement judgement, OverloadRun run) {
    List<EnduranceFigure.Try> tries = new ArrayList<>();
    double heaviest = 0;
    double before = 0;
    int trips = 0;
    for (Hold h : run.finding().holds()) {
      tries.add(new EnduranceFigure.Try(h.seconds(), h.watts(), h.tripped()));
      heaviest = Math.max(heaviest, h.watts());
      before += h.tripped() ? h.before() : 0;
      trips += h.tripped() ? 1 : 0;
    }
    List<EnduranceFigure.Point> curve = new ArrayList<>();
    Optional<TripFit> fit = run.finding().fit();
    if (fit.isPresent() && trips > 0) {
      double base = before / trips;
      double from = fit.get().curve().pickUp() * 1.004;
      for (int i = 0; i <= STEPS; i++) {
        double watts = heaviest * 1.2 * Math.pow(from / (heaviest * 1.2), (double) i / STEPS);
        fit.get()
            .seconds(watts, base)
            .ifPresent(
                b -> curve.add(new EnduranceFigure.Point(watts, b.low(), b.value(), b.high())));
      }
    }
    return new EnduranceFigure(tries, curve, promised(judgement.unit().label()));
  }

  private static List<EnduranceFigure.Step> promised(Label label) {
    List<EnduranceFigure.Step> steps = new ArrayList<>();
    label
        .ratedWatts()
        .ifPresent(w -> steps.add(new EnduranceFigure.Step(w, Double.POSITIVE_INFINITY)));
    for (Claim c : label.claims()) {
      if (c.subject() == Subject.OVERLOAD || c.subject() == Subject.SURGE) {
        steps.add(
            new EnduranceFigure.Step(
                c.figure(), c.condition(Condition.Kind.FOR_SECONDS).orElse(1)));
      }
    }
    return steps;
  }

  /** The volts around one gap. */
  public static WaveFigure gap(Capture capture, Optional<TransferGap> gap) {
    double middle = 1000 * gap.map(g -> (g.from() + g.to()) / 2).orElse(capture.seconds() / 2);
    double zero = 1000 * gap.map(TransferGap::from).orElse(0.0);
    int from = index(capture, middle - AROUND_MS);
    int to = index(capture, middle + AROUND_MS);
    return new WaveFigure(
        milliseconds(capture, from, to, zero),
        Arrays.copyOfRange(capture.volts(), from, to),
        new double[0],
        gap.isPresent() && gap.get().seconds() > 0 ? 0 : Double.NaN,
        1000 * gap.map(TransferGap::seconds).orElse(0.0),
        gap.map(g -> Figures.withUncertainty(1000 * g.seconds(), 1000 * g.u95()) + " ms")
            .orElse(""));
  }

  /** Volts and amps of one start. */
  public static WaveFigure start(Capture capture) {
    return new WaveFigure(
        milliseconds(capture, 0, capture.size(), 0),
        capture.volts(),
        capture.amps(),
        Double.NaN,
        Double.NaN,
        "");
  }

  private static int index(Capture capture, double ms) {
    return (int) Math.max(0, Math.min(capture.size(), Math.round(ms / 1000 * capture.perSecond())));
  }

  private static double[] milliseconds(Capture capture, int from, int to, double zero) {
    double[] t = new double[Math.max(0, to - from)];
    for (int i = 0; i < t.length; i++) {
      t[i] = 1000 * (from + i) / capture.perSecond() - zero;
    }
    return t;
  }

  /** Volts of a port against its current. */
  public static CurveFigure port(Judgement judgement, PortRun run) {
    List<CurveFigure.Point> points = new ArrayList<>();
    double least = Double.POSITIVE_INFINITY;
    double most = 0;
    double u = run.finding().openVolts().map(e -> e.u95()).orElse(0.0);
    for (PortPoint p : run.finding().points()) {
      points.add(new CurveFigure.Point(p.amps(), p.volts(), u));
      least = Math.min(least, p.volts() - u);
      most = Math.max(most, p.volts() + u);
    }
    List<CurveFigure.Mark> marks = new ArrayList<>();
    run.finding()
        .tripAmps()
        .ifPresent(
            t ->
                marks.add(
                    new CurveFigure.Mark(
                        t.value(),
                        "off at " + Figures.withUncertainty(t.value(), t.u95()) + " A")));
    judgement
        .unit()
        .label()
        .claim(Subject.DC_PORT_CURRENT)
        .ifPresent(
            c ->
                marks.add(
                    new CurveFigure.Mark(
                        c.figure(), "label, " + Figures.plain(c.figure()) + " A")));
    return new CurveFigure(
        "current, A",
        "volts at the port, V",
        points,
        List.of(),
        Double.NaN,
        "",
        marks,
        Math.floor((points.isEmpty() ? 11 : least) - 1),
        Math.ceil((points.isEmpty() ? 14 : most) + 0.5));
  }

  /** Rise of the case above the room under the last load, with the curve through it. */
  public static CurveFigure heat(HeatRun run) {
    HeatRise rise = run.rise().orElseThrow();
    Series warm = run.treatment().of(run.trace()).series(Channel.CASE_TEMPERATURE);
    Series room = run.treatment().of(run.trace()).series(Channel.ROOM_TEMPERATURE);
    int first = warm.from(rise.from());
    // A little more than the last block's middle; what cools after the load is no rise.
    int n = warm.from(rise.from() + rise.last() * 1.02) - first;
    List<CurveFigure.Point> points = new ArrayList<>();
    double start = n > 0 ? warm.value(first) : 0;
    double most = 1;
    double least = 0;
    for (int k = 0; k < Math.min(n, HEAT_POINTS); k++) {
      int i = first + (int) ((long) k * n / Math.min(n, HEAT_POINTS));
      double around = room.size() == 0 ? start : room.at(warm.seconds(i), 600);
      if (!Double.isNaN(around)) {
        double above = warm.value(i) - around;
        points.add(new CurveFigure.Point((warm.seconds(i) - rise.from()) / 60, above, 0));
        most = Math.max(most, above);
        least = Math.min(least, above);
      }
    }
    List<CurveFigure.Point> curve = new ArrayList<>();
    if (rise.heading().isPresent() && rise.timeConstant().isPresent() && !points.isEmpty()) {
      double end = rise.heading().get().value();
      double tau = rise.timeConstant().get().value() / 60;
      double last = points.get(points.size() - 1).x();
      double swing = (end - rise.reached().value()) * Math.exp(rise.last() / 60 / tau);
      for (int i = 0; i <= STEPS; i++) {
        double t = last * 1.6 * i / STEPS;
        double u = rise.heading().get().u95() * Math.min(1, t / (last * 1.6));
        curve.add(new CurveFigure.Point(t, end - swing * Math.exp(-t / tau), u));
      }
      most = Math.max(most, end + rise.heading().get().u95());
    }
    return new CurveFigure(
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
