package org.wiseember.trial.kind.charge;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.wiseember.core.charge.ChargeFinding;
import org.wiseember.core.charge.ChargeParts;
import org.wiseember.core.charge.EnergyIn;
import org.wiseember.core.charge.Inlet;
import org.wiseember.core.charge.LimitBand;
import org.wiseember.core.charge.LimitingFactor;
import org.wiseember.core.trace.Series;
import org.wiseember.report.drawing.ProfileDrawing;
import org.wiseember.report.drawing.TraceDrawing;
import org.wiseember.report.drawing.Upright;

/** Charges as charts: one over time with what bound it, or all of a unit against what went in. */
final class ChargePicture {
  private static final int POINTS = 1200;
  private static final double MINUTE = 60;

  private ChargePicture() {}

  /** One charge over time: knee and times marked, what bound each inlet beneath. */
  public static ProfileDrawing of(ChargeRun run) {
    ChargeParts parts = ChargeParts.of(run.treatment().of(run.trace()));
    ChargeFinding found = run.finding();
    double start = found.startTime();
    List<ProfileDrawing.Line> lines = new ArrayList<>();
    boolean several = parts.parts().size() > 1;
    lines.add(overTime(several ? "all together" : "", parts.whole(), start));
    if (several) {
      parts.parts().forEach((inlet, watts) -> lines.add(overTime(inlet.words(), watts, start)));
    }
    List<Upright> marks = new ArrayList<>();
    found
        .taperStart()
        .ifPresent(t -> marks.add(new Upright(t.value() / MINUTE, "begins to taper")));
    found.timeTo80().ifPresent(t -> marks.add(new Upright(t.value() / MINUTE, "80 % in")));
    found.timeToFull().ifPresent(t -> marks.add(new Upright(t.value() / MINUTE, "full")));
    marks.sort(Comparator.comparingDouble(Upright::x));
    List<ProfileDrawing.Band> bands = new ArrayList<>();
    run.limits().ifPresent(l -> l.bands().forEach(b -> bands.add(band(b, start, found.endTime()))));
    return new ProfileDrawing("time, min", "into the unit, W", lines, marks, bands);
  }

  private static ProfileDrawing.Line overTime(String name, Series watts, double start) {
    int from = watts.from(start);
    double[] x = new double[watts.size() - from];
    double[] y = new double[x.length];
    for (int i = 0; i < x.length; i++) {
      x[i] = (watts.seconds(from + i) - start) / MINUTE;
      y[i] = watts.value(from + i);
    }
    TraceDrawing.Line thin = TraceDrawing.thin(x, y, POINTS);
    return new ProfileDrawing.Line(name, thin.seconds(), thin.values(), Double.NaN, Double.NaN);
  }

  private static ProfileDrawing.Band band(LimitBand band, double start, double end) {
    List<ProfileDrawing.Stretch> stretches = new ArrayList<>();
    for (LimitBand.Stretch s : band.stretches()) {
      if (s.binding() != LimitingFactor.NOTHING && s.to() > start && s.from() < end) {
        stretches.add(
            new ProfileDrawing.Stretch(
                (s.from() - start) / MINUTE,
                (Math.min(end, s.to()) - start) / MINUTE,
                s.binding().words(),
                tone(s.binding())));
      }
    }
    return new ProfileDrawing.Band(
        band.inlet() == Inlet.ANY ? "bound by" : band.inlet().words(), stretches);
  }

  private static ProfileDrawing.Tone tone(LimitingFactor binding) {
    return switch (binding) {
      case SOURCE, UNKNOWN, NOTHING -> ProfileDrawing.Tone.SOURCE;
      case TEMPERATURE -> ProfileDrawing.Tone.WARMTH;
      case TAPER -> ProfileDrawing.Tone.CELLS;
      case VOLTS, AMPS, WATTS, SHARED_CAP -> ProfileDrawing.Tone.INPUT;
    };
  }

  /** The newest charge from each set of sources, watts against the energy that was in. */
  public static ProfileDrawing allOf(List<ChargeRun> runs) {
    Map<String, ChargeRun> newest = new LinkedHashMap<>();
    runs.stream()
        .filter(r -> r.finding().energyIn().isPresent())
        .forEach(r -> newest.put(r.setting().words(), r));
    List<ProfileDrawing.Line> lines =
        newest.entrySet().stream().map(e -> against(e.getKey(), e.getValue())).toList();
    return new ProfileDrawing("energy in, Wh", "into the unit, W", lines, List.of(), List.of());
  }

  private static ProfileDrawing.Line against(String name, ChargeRun run) {
    Series watts = ChargeParts.of(run.treatment().of(run.trace())).whole();
    int from = watts.from(run.finding().startTime());
    int to = Math.max(from + 1, watts.from(run.finding().endTime()));
    double[] x = new double[to - from];
    double[] y = new double[x.length];
    EnergyIn in = EnergyIn.of(watts);
    double knee = run.finding().taperStart().map(t -> t.value()).orElse(Double.NaN);
    double kneeX = Double.NaN;
    double kneeY = Double.NaN;
    for (int i = 0; i < x.length; i++) {
      x[i] = in.between(from, from + i);
      y[i] = watts.value(from + i);
      if (Double.isNaN(kneeX) && watts.seconds(from + i) - run.finding().startTime() >= knee) {
        kneeX = x[i];
        kneeY = y[i];
      }
    }
    TraceDrawing.Line thin = TraceDrawing.thin(x, y, POINTS);
    return new ProfileDrawing.Line("from " + name, thin.seconds(), thin.values(), kneeX, kneeY);
  }
}
