package org.wiseember.trial;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.wiseember.core.charge.Binding;
import org.wiseember.core.charge.ChargeFinding;
import org.wiseember.core.charge.ChargeParts;
import org.wiseember.core.charge.Inlet;
import org.wiseember.core.charge.LimitBand;
import org.wiseember.core.trace.Series;
import org.wiseember.report.chart.CurveFigure;
import org.wiseember.report.chart.ProfileFigure;
import org.wiseember.report.chart.TraceFigure;

/** Charges as charts: one over time with what bound it, or all of a unit against what went in. */
public final class ChargePicture {
  private static final int POINTS = 1200;
  private static final double MINUTE = 60;

  private ChargePicture() {}

  /** One charge over time: knee and times marked, what bound each inlet beneath. */
  public static ProfileFigure of(ChargeRun run) {
    ChargeParts parts = ChargeParts.of(run.treatment().of(run.trace()));
    ChargeFinding found = run.finding();
    double start = found.startTime();
    List<ProfileFigure.Line> lines = new ArrayList<>();
    boolean several = parts.parts().size() > 1;
    lines.add(overTime(several ? "all together" : "", parts.whole(), start));
    if (several) {
      parts.parts().forEach((inlet, watts) -> lines.add(overTime(inlet.words(), watts, start)));
    }
    List<CurveFigure.Mark> marks = new ArrayList<>();
    found
        .taperStart()
        .ifPresent(t -> marks.add(new CurveFigure.Mark(t.value() / MINUTE, "begins to taper")));
    found.timeTo80().ifPresent(t -> marks.add(new CurveFigure.Mark(t.value() / MINUTE, "80 % in")));
    found.timeToFull().ifPresent(t -> marks.add(new CurveFigure.Mark(t.value() / MINUTE, "full")));
    marks.sort(Comparator.comparingDouble(CurveFigure.Mark::x));
    List<ProfileFigure.Band> bands = new ArrayList<>();
    run.limits().ifPresent(l -> l.bands().forEach(b -> bands.add(band(b, start, found.endTime()))));
    return new ProfileFigure("time, min", "into the unit, W", lines, marks, bands);
  }

  private static ProfileFigure.Line overTime(String name, Series watts, double start) {
    int from = watts.from(start);
    double[] x = new double[watts.size() - from];
    double[] y = new double[x.length];
    for (int i = 0; i < x.length; i++) {
      x[i] = (watts.seconds(from + i) - start) / MINUTE;
      y[i] = watts.value(from + i);
    }
    TraceFigure.Line thin = TraceFigure.thin(x, y, POINTS);
    return new ProfileFigure.Line(name, thin.seconds(), thin.values(), Double.NaN, Double.NaN);
  }

  private static ProfileFigure.Band band(LimitBand band, double start, double end) {
    List<ProfileFigure.Stretch> stretches = new ArrayList<>();
    for (LimitBand.Stretch s : band.stretches()) {
      if (s.binding() != Binding.NOTHING && s.to() > start && s.from() < end) {
        stretches.add(
            new ProfileFigure.Stretch(
                (s.from() - start) / MINUTE,
                (Math.min(end, s.to()) - start) / MINUTE,
                s.binding().words(),
                tone(s.binding())));
      }
    }
    return new ProfileFigure.Band(
        band.inlet() == Inlet.ANY ? "bound by" : band.inlet().words(), stretches);
  }

  private static ProfileFigure.Tone tone(Binding binding) {
    return switch (binding) {
      case SOURCE, UNKNOWN, NOTHING -> ProfileFigure.Tone.SOURCE;
      case TEMPERATURE -> ProfileFigure.Tone.WARMTH;
      case TAPER -> ProfileFigure.Tone.CELLS;
      case VOLTS, AMPS, WATTS, SHARED_CAP -> ProfileFigure.Tone.INPUT;
    };
  }

  /** The newest charge from each set of sources, watts against the energy that was in. */
  public static ProfileFigure allOf(List<ChargeRun> runs) {
    Map<String, ChargeRun> newest = new LinkedHashMap<>();
    runs.stream()
        .filter(r -> r.finding().energyIn().isPresent())
        .forEach(r -> newest.put(r.setting().words(), r));
    List<ProfileFigure.Line> lines =
        newest.entrySet().stream().map(e -> against(e.getKey(), e.getValue())).toList();
    return new ProfileFigure("energy in, Wh", "into the unit, W", lines, List.of(), List.of());
  }

  private static ProfileFigure.Line against(String name, ChargeRun run) {
    Series watts = ChargeParts.of(run.treatment().of(run.trace())).whole();
    int from = watts.from(run.finding().startTime());
    int to = Math.max(from + 1, watts.from(run.finding().endTime()));
    double[] x = new double[to - from];
    double[] y = new double[x.length];
    double sum = 0;
    double knee = run.finding().taperStart().map(t -> t.value()).orElse(Double.NaN);
    double kneeX = Double.NaN;
    double kneeY = Double.NaN;
    for (int i = 0; i < x.length; i++) {
      if (i > 0) {
        sum +=
            (watts.value(from + i) + watts.value(from + i - 1))
                / 2
                * (watts.seconds(from + i) - watts.seconds(from + i - 1))
                / 3600;
      }
      x[i] = sum;
      y[i] = watts.value(from + i);
      if (Double.isNaN(kneeX) && watts.seconds(from + i) - run.finding().startTime() >= knee) {
        kneeX = x[i];
        kneeY = y[i];
      }
    }
    TraceFigure.Line thin = TraceFigure.thin(x, y, POINTS);
    return new ProfileFigure.Line("from " + name, thin.seconds(), thin.values(), kneeX, kneeY);
  }
}
