package org.wiseember.trial.kind.found;

import java.util.ArrayList;
import java.util.List;
import org.wiseember.core.solar.Arrangement;
import org.wiseember.core.solar.DayCurve;
import org.wiseember.core.solar.Designer;
import org.wiseember.core.solar.Port;
import org.wiseember.core.solar.Site;
import org.wiseember.core.trace.Channel;
import org.wiseember.core.trace.Trace;
import org.wiseember.report.drawing.InputWindowDrawing;
import org.wiseember.report.drawing.ProfileDrawing;

/** The ways to wire panels into a port as a chart. */
public final class InputWindowPicture {
  /** So many allowed ways, and so many that must never be made, are looked at. */
  private static final int ALLOWED = 8;

  private static final int NEVER = 4;
  private static final int READINGS = 600;

  private InputWindowPicture() {}

  /** A way and the letter it goes by. */
  public record Lettered(String letter, Designer.Way way) {}

  /** The best of the allowed ways, and of the forbidden ones those nearest to the line. */
  public static List<Lettered> lettered(List<Designer.Way> ways) {
    List<Designer.Way> some = new ArrayList<>();
    ways.stream()
        .filter(w -> w.standing() != Designer.Standing.NEVER)
        .limit(ALLOWED)
        .forEach(some::add);
    ways.stream()
        .filter(w -> w.standing() == Designer.Standing.NEVER)
        // Those that are as deep in the red say the same; one string says it best.
        .filter(w -> w.arrangement().parallel() == 1)
        .sorted((a, b) -> Double.compare(a.coldVolts(), b.coldVolts()))
        .limit(NEVER)
        .forEach(some::add);
    List<Lettered> lettered = new ArrayList<>();
    for (int i = 0; i < some.size(); i++) {
      lettered.add(new Lettered(Character.toString('A' + i), some.get(i)));
    }
    return lettered;
  }

  /**
   * The window with each way in it.
   *
   * @param chosen words of the way looked at
   */
  public static InputWindowDrawing of(Port port, List<Lettered> ways, String chosen) {
    List<InputWindowDrawing.Point> points = new ArrayList<>();
    for (Lettered l : ways) {
      Arrangement a = l.way().arrangement();
      points.add(
          new InputWindowDrawing.Point(
              l.letter(),
              a.series() * a.panel().peakVolts(),
              a.parallel() * a.panel().peakAmps(),
              l.way().coldVolts(),
              a.words().equals(chosen)));
    }
    return new InputWindowDrawing(
        port.leastVolts(), port.mostVolts(), port.amps(), port.watts(), points, List.of());
  }

  /** Where a charge through the DC input worked in the window, its panels beside it. */
  public static InputWindowDrawing of(Port port, Charged run) {
    Trace trace = run.treatment().of(run.trace());
    List<InputWindowDrawing.Reading> measured = new ArrayList<>();
    int step = Math.max(1, trace.size() / READINGS);
    for (int i = 0; i < trace.size(); i += step) {
      double volts = trace.value(Channel.IN_VOLTAGE, i);
      double amps = trace.value(Channel.IN_CURRENT, i);
      if (volts > 0 && amps >= 0) {
        measured.add(new InputWindowDrawing.Reading(volts, amps));
      }
    }
    List<InputWindowDrawing.Point> points = new ArrayList<>();
    run.setting()
        .panels()
        .ifPresent(
            a ->
                points.add(
                    new InputWindowDrawing.Point(
                        "sheet",
                        a.series() * a.panel().peakVolts(),
                        a.parallel() * a.panel().peakAmps(),
                        a.coldVolts(run.setting().site().coldestCelsius()),
                        false)));
    return new InputWindowDrawing(
        port.leastVolts(), port.mostVolts(), port.amps(), port.watts(), points, measured);
  }

  /** What the panels could give and what the port draws of it, hour by hour. */
  public static ProfileDrawing day(Arrangement arrangement, Port port, Site site) {
    List<DayCurve.Point> points = DayCurve.of(arrangement, port, site).points();
    double[] hours = points.stream().mapToDouble(DayCurve.Point::hour).toArray();
    double[] drawn = points.stream().mapToDouble(DayCurve.Point::drawn).toArray();
    double[] could = points.stream().mapToDouble(DayCurve.Point::could).toArray();
    return new ProfileDrawing(
        "hour of the sun's day",
        "on this day, W",
        List.of(
            new ProfileDrawing.Line("drawn by the port", hours, drawn, Double.NaN, Double.NaN),
            new ProfileDrawing.Line(
                "what the panels could give", hours, could, Double.NaN, Double.NaN)),
        List.of(),
        List.of());
  }
}
