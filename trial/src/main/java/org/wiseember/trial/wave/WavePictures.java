package org.wiseember.trial.wave;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import org.wiseember.core.label.Claim;
import org.wiseember.core.label.Label;
import org.wiseember.core.label.Subject;
import org.wiseember.core.quantity.Figures;
import org.wiseember.core.quantity.Unit;
import org.wiseember.core.uncertainty.Estimate;
import org.wiseember.core.waveform.Capture;
import org.wiseember.core.waveform.LimitCheck;
import org.wiseember.core.waveform.LimitSet;
import org.wiseember.core.waveform.LoadSweep;
import org.wiseember.core.waveform.RepeatingWave;
import org.wiseember.core.waveform.WaveformFinding;
import org.wiseember.report.drawing.CurveDrawing;
import org.wiseember.report.drawing.CycleDrawing;
import org.wiseember.report.drawing.HarmonicsDrawing;
import org.wiseember.report.drawing.TraceDrawing;

/** What captured waves look like as charts. */
public final class WavePictures {
  private static final int POINTS = 3000;

  /** The best sine is laid through so many cycles at most. */
  private static final int FITTED_CYCLES = 12;

  private static final int SHOWN_ORDER = 40;

  private WavePictures() {}

  /**
   * A stretch of a wave, its sine, and what is left over.
   *
   * @param wave with a finding
   * @param beside another to compare with; empty for none
   * @param from ms into the capture, which begins at its first upward zero crossing
   * @param to ms
   */
  public static CycleDrawing stretch(Wave wave, Optional<Wave> beside, double from, double to) {
    Piece piece = new Piece(wave);
    Capture c = piece.capture;
    int first = piece.index(from);
    int last = piece.index(to);
    double[] ms = new double[last - first];
    double[] volts = new double[ms.length];
    double[] sine = new double[ms.length];
    double[] rest = new double[ms.length];
    for (int k = 0; k < ms.length; k++) {
      int i = first + k;
      ms[k] = piece.milliseconds(i);
      volts[k] = c.volts(i);
      sine[k] = piece.sine(i);
      rest[k] = volts[k] - sine[k];
    }
    return new CycleDrawing(
        thin(ms, volts),
        thin(ms, sine),
        thin(ms, rest),
        beside.map(b -> scaledTo(piece, b, from, to)),
        beside.map(b -> b.mains() ? "the mains" : b.kept().words()).orElse(""),
        from,
        to);
  }

  /** Another wave, brought to the same period and volts, so that only the shapes differ. */
  private static CycleDrawing.Line scaledTo(Piece piece, Wave other, double from, double to) {
    Piece o = new Piece(other);
    double stretch = o.hertz / piece.hertz;
    double factor = piece.rms / o.rms;
    int first = o.index(from / stretch);
    int last = o.index(to / stretch);
    double[] ms = new double[last - first];
    double[] volts = new double[ms.length];
    for (int k = 0; k < ms.length; k++) {
      ms[k] = o.milliseconds(first + k) * stretch;
      volts[k] = o.capture.volts(first + k) * factor;
    }
    return thin(ms, volts);
  }

  /** Every cycle laid over the first, with what is left of each. */
  public static CycleDrawing overlaid(Wave wave) {
    Piece piece = new Piece(wave);
    double period = 1000 / piece.hertz;
    int cycles =
        (int)
            Math.max(
                1,
                Math.min(
                    40, Math.floor((piece.capture.size() - 1 - piece.zero) / piece.each() + 1e-9)));
    List<Double> ms = new ArrayList<>();
    List<Double> volts = new ArrayList<>();
    List<Double> rest = new ArrayList<>();
    int step = (int) Math.max(1, piece.each() * cycles / (2.0 * POINTS));
    for (int n = 0; n < cycles; n++) {
      int from = piece.index(n * period);
      int to = piece.index((n + 1) * period);
      for (int i = from; i < to; i += step) {
        ms.add(piece.milliseconds(i) - n * period);
        volts.add(piece.capture.volts(i));
        rest.add(piece.capture.volts(i) - piece.sine(i));
      }
      ms.add(period);
      volts.add(Double.NaN);
      rest.add(Double.NaN);
    }
    double[] sineMs = new double[200];
    double[] sine = new double[200];
    for (int k = 0; k < 200; k++) {
      sineMs[k] = period * k / 199;
      sine[k] = piece.sineAt(sineMs[k]);
    }
    return new CycleDrawing(
        new CycleDrawing.Line(array(ms), array(volts)),
        new CycleDrawing.Line(sineMs, sine),
        new CycleDrawing.Line(array(ms), array(rest)),
        Optional.empty(),
        "",
        0,
        period);
  }

  private static double[] array(List<Double> values) {
    return values.stream().mapToDouble(Double::doubleValue).toArray();
  }

  private static CycleDrawing.Line thin(double[] ms, double[] values) {
    TraceDrawing.Line line = TraceDrawing.thin(ms, values, POINTS);
    return new CycleDrawing.Line(line.seconds(), line.values());
  }

  /** How long a capture is from its first upward crossing on, ms. */
  public static double length(Wave wave) {
    Piece piece = new Piece(wave);
    return piece.milliseconds(piece.capture.size() - 1);
  }

  /** Volts of a capture at a moment of its chart's axis, ms; NaN outside of it. */
  public static double volts(Wave wave, double ms) {
    Piece piece = new Piece(wave);
    double place = piece.zero + ms / 1000 * piece.capture.perSecond();
    int i = (int) Math.floor(place);
    return i < 0 || i + 1 >= piece.capture.size()
        ? Double.NaN
        : piece.capture.volts(i)
            + (place - i) * (piece.capture.volts(i + 1) - piece.capture.volts(i));
  }

  /** One cycle for a small picture: volts over their largest, −1 to 1, evenly spaced. */
  public static double[] small(Wave wave, int points) {
    Capture c = wave.kept().capture();
    double most = 1e-9;
    double[] out = new double[points];
    double cycle =
        wave.finding().map(f -> c.perSecond() / f.frequency().value()).orElse((double) c.size());
    double zero = wave.finding().isPresent() ? new Piece(wave).zero : 0;
    for (int k = 0; k < points; k++) {
      int i = (int) Math.min(c.size() - 1, zero + 1.02 * cycle * k / (points - 1));
      out[k] = c.size() == 0 ? 0 : c.volts(i);
      most = Math.max(most, Math.abs(out[k]));
    }
    for (int k = 0; k < points; k++) {
      out[k] /= most;
    }
    return out;
  }

  /** Harmonics with caps; none for no caps. */
  public static HarmonicsDrawing harmonics(WaveformFinding f, Optional<LimitSet> limits) {
    Optional<LimitCheck> check = limits.map(l -> LimitCheck.of(f, l));
    List<HarmonicsDrawing.Bar> bars = new ArrayList<>();
    for (Map.Entry<Integer, Estimate> h : f.harmonics().entrySet()) {
      int order = h.getKey();
      if (order > SHOWN_ORDER) {
        break;
      }
      OptionalDouble cap = limits.map(l -> l.cap(order)).orElse(OptionalDouble.empty());
      bars.add(
          new HarmonicsDrawing.Bar(
              order,
              h.getValue().value(),
              h.getValue().u95(),
              cap.orElse(Double.NaN),
              check.map(c -> c.over().contains(order)).orElse(false)));
    }
    return new HarmonicsDrawing(bars, limits.map(l -> "caps: " + l.words()).orElse(""));
  }

  /** What is drawn against load. */
  public enum ByLoad {
    DISTORTION("distortion", Unit.PERCENT, Subject.DISTORTION),
    VOLTS("volts", Unit.VOLT, Subject.OUTPUT_VOLTAGE),
    FREQUENCY("frequency", Unit.HERTZ, Subject.OUTPUT_FREQUENCY);

    private final String words;
    private final Unit unit;
    private final Subject claimed;

    ByLoad(String words, Unit unit, Subject claimed) {
      this.words = words;
      this.unit = unit;
      this.claimed = claimed;
    }

    public String words() {
      return words;
    }

    private Estimate of(WaveformFinding f) {
      return switch (this) {
        case DISTORTION -> f.thdF();
        case VOLTS -> f.rms();
        case FREQUENCY -> f.frequency();
      };
    }
  }

  /** A figure against load with the label's promise. */
  public static CurveDrawing againstLoad(CapturedWaves run, Label label, ByLoad what) {
    double claim = label.claim(what.claimed).map(Claim::figure).orElse(Double.NaN);
    List<CurveDrawing.Point> points = new ArrayList<>();
    double most = Double.isNaN(claim) ? Double.NEGATIVE_INFINITY : claim;
    double least = what == ByLoad.DISTORTION ? 0 : Double.isNaN(claim) ? 1e9 : claim;
    for (LoadSweep.Point p : run.sweep().points()) {
      Estimate e = what.of(p.finding());
      points.add(new CurveDrawing.Point(p.watts(), e.value(), e.u95()));
      most = Math.max(most, e.high());
      least = Math.min(least, e.low());
    }
    double room = Math.max(what == ByLoad.FREQUENCY ? 0.02 : 0.2, 0.2 * (most - least));
    return new CurveDrawing(
        "load, W",
        what.words + ", " + what.unit.symbol(),
        points,
        points.stream().map(p -> new CurveDrawing.Point(p.x(), p.y(), 0)).toList(),
        claim,
        Double.isNaN(claim) ? "" : "label, " + Figures.plain(claim, what.unit),
        List.of(),
        what == ByLoad.DISTORTION ? 0 : least - room,
        most + room);
  }

  /** A capture from its first upward crossing on, with the best sine through its beginning. */
  private static final class Piece {
    private final Capture capture;
    private final double hertz;
    private final double rms;
    private final double zero;
    private final RepeatingWave sine;

    Piece(Wave wave) {
      WaveformFinding f = wave.finding().orElseThrow();
      capture = wave.kept().capture();
      hertz = f.frequency().value();
      rms = f.rms().value();
      // Only what is fitted is copied: cursors ask for this at every move.
      double[] v = capture.firstVolts((int) Math.ceil(FITTED_CYCLES * capture.perSecond() / hertz));
      sine = RepeatingWave.fit(v, 0, v.length, capture.perSecond(), hertz, 1);
      zero = upward() * capture.perSecond();
    }

    /** Where the best sine first goes up through zero, s; not disturbed by kinks. */
    private double upward() {
      double step = 1 / hertz / 720;
      double before = sine.at(0) - offset();
      for (int k = 1; k <= 721; k++) {
        double now = sine.at(k * step) - offset();
        if (before <= 0 && now > 0) {
          return (k - 1 + before / (before - now)) * step;
        }
        before = now;
      }
      return 0;
    }

    private double offset() {
      return (sine.at(0) + sine.at(0.5 / hertz)) / 2;
    }

    double each() {
      return capture.perSecond() / hertz;
    }

    int index(double ms) {
      double i = zero + ms / 1000 * capture.perSecond();
      return (int) Math.max(0, Math.min(capture.size(), Math.round(i)));
    }

    double milliseconds(int i) {
      return 1000 * (i - zero) / capture.perSecond();
    }

    double sine(int i) {
      return sine.at(i / capture.perSecond());
    }

    double sineAt(double ms) {
      return sine.at(zero / capture.perSecond() + ms / 1000);
    }
  }
}
