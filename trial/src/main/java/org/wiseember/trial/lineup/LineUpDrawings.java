package org.wiseember.trial.lineup;

import java.util.ArrayList;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.BiFunction;
import org.wiseember.core.capacity.RateModel;
import org.wiseember.core.charge.ChargeSource;
import org.wiseember.core.efficiency.LoadPoint;
import org.wiseember.core.label.Subject;
import org.wiseember.core.verdict.ClaimScalePosition;
import org.wiseember.core.verdict.Verdict;
import org.wiseember.report.drawing.ClaimScalesDrawing;
import org.wiseember.report.drawing.Drawing;
import org.wiseember.report.drawing.LinesDrawing;
import org.wiseember.report.drawing.LinesDrawing.Point;
import org.wiseember.report.look.UnitMark;
import org.wiseember.trial.kind.found.Charged;
import org.wiseember.trial.kind.found.EnergyByLoad;
import org.wiseember.trial.kind.found.Laddered;
import org.wiseember.trial.kind.found.Overloaded;
import org.wiseember.trial.verdict.Judged;
import org.wiseember.trial.verdict.Judgement;
import org.wiseember.trial.wave.CapturedWaves;

/** The pictures of a line-up: one seam for all, and their curves over each other. */
public final class LineUpDrawings {
  private static final int STEPS = 60;
  private static final double HOUR = 3600;

  /** What may be looked at. */
  public enum Picture {
    SEAM("One seam"),
    ENERGY("Energy by load"),
    EFFICIENCY("Efficiency by load"),
    CHARGING("Charging from the wall"),
    ENDURANCE("Endurance"),
    DISTORTION("Distortion by load");

    private final String words;

    Picture(String words) {
      this.words = words;
    }

    public String words() {
      return words;
    }
  }

  private LineUpDrawings() {}

  /** The pictures there is something to draw in, in order. */
  public static Map<Picture, Drawing> of(LineUp lineUp) {
    Map<Picture, Drawing> all = new EnumMap<>(Picture.class);
    ClaimScalesDrawing seam = seam(lineUp);
    if (!seam.rows().isEmpty()) {
      all.put(Picture.SEAM, seam);
    }
    put(
        all,
        Picture.ENERGY,
        "load, W",
        "energy delivered, Wh",
        false,
        lineUp,
        LineUpDrawings::energy);
    put(
        all,
        Picture.EFFICIENCY,
        "load, W",
        "efficiency, %",
        false,
        lineUp,
        LineUpDrawings::efficiency);
    put(all, Picture.CHARGING, "time, h", "watts in", false, lineUp, LineUpDrawings::charging);
    put(
        all,
        Picture.ENDURANCE,
        "held or tripped after, s",
        "load, W",
        true,
        lineUp,
        LineUpDrawings::endurance);
    put(
        all,
        Picture.DISTORTION,
        "load, W",
        "distortion, %",
        false,
        lineUp,
        LineUpDrawings::distortion);
    return all;
  }

  private static void put(
      Map<Picture, Drawing> all,
      Picture picture,
      String across,
      String up,
      boolean logarithmic,
      LineUp lineUp,
      BiFunction<LineUpUnit, UnitMark, LinesDrawing.Line> line) {
    List<LinesDrawing.Line> lines = new ArrayList<>();
    for (int i = 0; i < lineUp.units().size(); i++) {
      LinesDrawing.Line made = line.apply(lineUp.units().get(i), new UnitMark(i));
      if (!made.curve().isEmpty() || !made.marks().isEmpty()) {
        lines.add(made);
      }
    }
    if (!lines.isEmpty()) {
      all.put(picture, new LinesDrawing(across, up, logarithmic, lines));
    }
  }

  /** Every claim that two of them print and one at least was held against. */
  private static ClaimScalesDrawing seam(LineUp lineUp) {
    List<ClaimScalesDrawing.Row> rows = new ArrayList<>();
    for (Subject subject : Subject.values()) {
      long printed =
          lineUp.units().stream()
              .filter(u -> u.judgement().label().claim(subject).isPresent())
              .count();
      List<ClaimScalesDrawing.At> marks = new ArrayList<>();
      for (int i = 0; i < lineUp.units().size(); i++) {
        UnitMark mark = new UnitMark(i);
        position(lineUp.units().get(i).judgement(), subject)
            .ifPresent(
                s ->
                    marks.add(new ClaimScalesDrawing.At(mark, s.percent(), s.worse(), s.better())));
      }
      if (!marks.isEmpty() && (printed > 1 || lineUp.units().size() == 1)) {
        rows.add(new ClaimScalesDrawing.Row(subject.words(), marks));
      }
    }
    return new ClaimScalesDrawing(rows);
  }

  private static Optional<ClaimScalePosition> position(Judgement unit, Subject subject) {
    return unit.lines().stream()
        .filter(l -> l.claim().subject() == subject)
        .map(Judged::verdict)
        .flatMap(Optional::stream)
        .map(Verdict::seam)
        .flatMap(Optional::stream)
        .findFirst();
  }

  private static LinesDrawing.Line energy(LineUpUnit unit, UnitMark mark) {
    List<Point> curve = new ArrayList<>();
    Optional<RateModel> model = EnergyByLoad.of(unit.judgement());
    model.ifPresent(
        m -> {
          double from = m.drains().get(0).watts();
          double to = m.drains().get(m.drains().size() - 1).watts();
          for (int i = 0; i <= STEPS; i++) {
            double watts = from + (to - from) * i / STEPS;
            curve.add(new Point(watts, m.at(watts).energy().value()));
          }
        });
    List<Point> marks =
        unit.judgement().drains().stream()
            .filter(d -> d.complete() && !d.direct())
            .flatMap(
                d ->
                    d.finding().deliveredEnergy().stream()
                        .map(e -> new Point(d.meanWatts(), e.value())))
            .toList();
    return new LinesDrawing.Line(unit.name(), mark, curve, marks);
  }

  private static LinesDrawing.Line efficiency(LineUpUnit unit, UnitMark mark) {
    List<Point> curve = new ArrayList<>();
    List<Point> marks = new ArrayList<>();
    Optional<Laddered> ladder = unit.judgement().ladder();
    if (ladder.isPresent()) {
      List<LoadPoint> points = ladder.get().finding().points();
      points.forEach(p -> marks.add(new Point(p.acWatts(), p.efficiency().value())));
      double to = points.stream().mapToDouble(LoadPoint::acWatts).max().orElse(0);
      double from = points.stream().mapToDouble(LoadPoint::acWatts).min().orElse(0);
      ladder
          .get()
          .finding()
          .fit()
          .ifPresent(
              f -> {
                for (int i = 0; i <= STEPS; i++) {
                  double watts = from + (to - from) * i / STEPS;
                  curve.add(new Point(watts, 100 * f.curve().efficiency(watts)));
                }
              });
    }
    return new LinesDrawing.Line(unit.name(), mark, curve, marks);
  }

  /** Its newest charge from the wall alone. */
  private static LinesDrawing.Line charging(LineUpUnit unit, UnitMark mark) {
    List<Point> curve = new ArrayList<>();
    unit.judgement()
        .of(Charged.class)
        .filter(r -> r.setting().sources().equals(Set.of(ChargeSource.WALL)))
        .reduce((first, second) -> second)
        .map(Charged::preview)
        .ifPresent(
            s -> {
              for (int i = 0; i < s.size(); i++) {
                curve.add(new Point((s.seconds(i) - s.seconds(0)) / HOUR, s.value(i)));
              }
            });
    return new LinesDrawing.Line(unit.name(), mark, curve, first(curve));
  }

  /** A mark where a curve begins tells whose it is. */
  private static List<Point> first(List<Point> curve) {
    return curve.isEmpty() ? List.of() : List.of(curve.get(curve.size() / 8));
  }

  private static LinesDrawing.Line endurance(LineUpUnit unit, UnitMark mark) {
    List<Point> marks =
        unit.judgement()
            .of(Overloaded.class)
            .flatMap(r -> r.finding().holds().stream())
            .filter(h -> h.seconds() > 0)
            .map(h -> new Point(h.seconds(), h.watts()))
            .toList();
    return new LinesDrawing.Line(unit.name(), mark, List.of(), marks);
  }

  private static LinesDrawing.Line distortion(LineUpUnit unit, UnitMark mark) {
    List<Point> marks =
        unit.judgement().newest(CapturedWaves.class).stream()
            .flatMap(r -> r.own().stream())
            .filter(w -> !Double.isNaN(w.watts()))
            .map(w -> new Point(w.watts(), w.finding().orElseThrow().thdF().value()))
            .sorted((a, b) -> Double.compare(a.x(), b.x()))
            .toList();
    return new LinesDrawing.Line(unit.name(), mark, marks, marks);
  }
}
