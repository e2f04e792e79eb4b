package org.wiseember.core.waveform;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.OptionalDouble;
import java.util.SortedMap;
import java.util.TreeMap;
import org.wiseember.core.because.Warning;
import org.wiseember.core.quantity.Figures;
import org.wiseember.core.uncertainty.Budget;
import org.wiseember.core.uncertainty.Contribution;
import org.wiseember.core.uncertainty.Estimate;
import org.wiseember.core.uncertainty.MeanScatter;

/**
 * The figures of a captured wave, over every window of ten cycles (twelve from 55 Hz on) it holds.
 *
 * <p>Sources: definitions of RMS, crest and form factor; IEC 61000-4-7 for windows and subgroups
 * (recalled from memory); a meter that answers to the rectified mean and is scaled for sines shows
 * π ÷ (2√2) of that mean. What noise puts on the lines of a harmonic is told by the lines between
 * the harmonics and taken off.
 */
public final class WaveformAnalysis {
  private static final double TWELVE_FROM = 55;
  private static final int LEAST_CYCLES = 3;
  private static final int SHAPE_CELLS = 512;
  private static final double NEAR = 0.1;
  private static final double LEVEL = 0.012;
  private static final int SLOPE_CELLS = 2;

  /** Lines, not volts, are this sure at best: probes are not flat, samples not evenly spaced. */
  private static final double LINE_SHARE = 0.004;

  /** A scope's time base at worst; common practice, no published source. */
  private static final double TIME_BASE = 1e-4;

  private final Capture capture;
  private final WaveMethod method;
  private final double[] v;
  private final double rate;
  private final List<Warning> warnings = new ArrayList<>();

  private WaveformAnalysis(Capture capture, WaveMethod method) {
    this.capture = capture;
    this.method = method;
    this.v = capture.volts();
    this.rate = capture.perSecond();
  }

  /**
   * Works a capture out.
   *
   * @throws WaveformUnreadable in one sentence where no figure can be made of it
   */
  public static WaveformFinding of(Capture capture, WaveMethod method) throws WaveformUnreadable {
    return new WaveformAnalysis(capture, method).find();
  }

  private WaveformFinding find() throws WaveformUnreadable {
    double[] range = range();
    CycleWindow window = new CycleWindow(v);
    OptionalDouble found =
        Frequency.of(v, window, method.leastHertz() / rate, method.mostHertz() / rate);
    double cycles = found.isPresent() ? (v.length - 1) * found.getAsDouble() : 0;
    if (found.isEmpty() || cycles < LEAST_CYCLES - 0.02) {
      throw new WaveformUnreadable(
          "No "
              + LEAST_CYCLES
              + " whole cycles of a wave between "
              + Figures.plain(method.leastHertz())
              + " and "
              + Figures.plain(method.mostHertz())
              + " Hz are in this capture ("
              + Figures.plain(capture.seconds() * 1000)
              + " ms). Check the time base, and capture 200 ms or more.");
    }
    double f = found.getAsDouble();
    double hertz = f * rate;
    int wanted = hertz < TWELVE_FROM ? 10 : 12;
    int each = (int) Math.min(wanted, Math.floor(cycles + 0.02));
    if (each < wanted) {
      warnings.add(
          new Warning(
              "few_cycles",
              "Only "
                  + each
                  + " whole cycles are in the capture; "
                  + wanted
                  + " make a window. Capture 200 ms or more."));
    }
    List<Window> windows = windows(window, f, each);
    return figures(windows, window, f, range);
  }

  /** Least and greatest sample, once all of them are numbers and not all the same. */
  private double[] range() throws WaveformUnreadable {
    if (v.length < 8) {
      throw new WaveformUnreadable(
          "The capture has "
              + v.length
              + (v.length == 1 ? " sample" : " samples")
              + "; a wave needs whole cycles of them.");
    }
    double low = Double.POSITIVE_INFINITY;
    double high = Double.NEGATIVE_INFINITY;
    for (int i = 0; i < v.length; i++) {
      if (!Double.isFinite(v[i])) {
        throw new WaveformUnreadable("Sample " + (i + 1) + " is no number.");
      }
      low = Math.min(low, v[i]);
      high = Math.max(high, v[i]);
    }
    if (high - low <= 1e-9 * Math.max(1, Math.abs(high))) {
      throw new WaveformUnreadable(
          "All samples are "
              + Figures.plain(high)
              + ": the probe is off, the output is dead, or the scope is driven far beyond its"
              + " range.");
    }
    return new double[] {low, high};
  }

  /** The figures of one window, volts and squares of volts. */
  private record Window(
      double square, double mean, double rectified, double peak, double swing, Spectrum lines) {}

  private List<Window> windows(CycleWindow window, double f, int each) {
    double length = each / f;
    int n = (int) Math.max(1, Math.floor((v.length - 1) / length + 1e-9));
    List<Window> windows = new ArrayList<>();
    for (int k = 0; k < n; k++) {
      double from = Math.min(k * length, Math.max(0, v.length - 1 - length));
      windows.add(window(window, from, length, f, each));
    }
    return windows;
  }

  /**
   * One window. Samples weigh by how much of their cell lies in it, so that its ends may be
   * anywhere.
   */
  private Window window(CycleWindow window, double from, double length, double f, int each) {
    double to = from + length;
    double square = 0;
    double mean = 0;
    double rectified = 0;
    double weight = 0;
    int last = (int) Math.min(v.length - 1, Math.floor(to + 0.5));
    for (int i = (int) Math.max(0, Math.ceil(from - 0.5)); i <= last; i++) {
      double w = Math.max(0, Math.min(i + 0.5, to) - Math.max(i - 0.5, from));
      square += w * v[i] * v[i];
      mean += w * v[i];
      rectified += w * Math.abs(v[i]);
      weight += w;
    }
    double highs = 0;
    double lows = 0;
    for (int c = 0; c < each; c++) {
      double[] ends = ends(from + c / f, from + (c + 1) / f);
      lows += ends[0] / each;
      highs += ends[1] / each;
    }
    return new Window(
        square / weight,
        mean / weight,
        rectified / weight,
        Math.max(Math.abs(highs), Math.abs(lows)),
        highs - lows,
        Spectrum.of(window, from, f, each, method.orders()));
  }

  /** Least and greatest sample between two places. */
  private double[] ends(double from, double to) {
    double low = Double.POSITIVE_INFINITY;
    double high = Double.NEGATIVE_INFINITY;
    int last = (int) Math.min(v.length - 1, Math.floor(to));
    for (int i = (int) Math.max(0, Math.ceil(from)); i <= last; i++) {
      low = Math.min(low, v[i]);
      high = Math.max(high, v[i]);
    }
    return new double[] {low, high};
  }

  private WaveformFinding figures(
      List<Window> windows, CycleWindow window, double f, double[] range) {
    int n = windows.size();
    double[] rms = windows.stream().mapToDouble(w -> Math.sqrt(w.square())).toArray();
    double meanRms = Math.sqrt(mean(windows.stream().mapToDouble(Window::square).toArray()));
    double fundamental = mean(windows.stream().mapToDouble(w -> w.lines().subgroup(1)).toArray());
    int orders = windows.get(0).lines().orders();
    if (orders < method.orders()) {
      warnings.add(
          new Warning(
              "slow_sampling",
              "The samples carry harmonics up to order "
                  + orders
                  + " only; the distortion is cut there. Anything above folds back and cannot be"
                  + " told apart. Sample faster."));
    }
    double noise = mean(windows.stream().mapToDouble(w -> w.lines().noise()).toArray());
    double[] thds =
        windows.stream().mapToDouble(w -> 100 * Math.sqrt(distortion(w, orders))).toArray();
    double thd =
        100 * Math.sqrt(mean(windows.stream().mapToDouble(w -> distortion(w, orders)).toArray()));
    double floor = 100 * Math.sqrt(noise * Spectrum.SUBGROUP * (orders - 1) / fundamental);
    if (floor > 0.3 && floor > thd / 4) {
      warnings.add(
          new Warning(
              "noise",
              "Noise alone puts "
                  + Figures.fixed(floor, 2)
                  + " % on the lines of the harmonics; it is taken off, and what is left is less"
                  + " sure. A smaller range of the scope shows less of it."));
    }
    double[] shape = meanCycle(window, f);
    Shape features = Shape.of(shape, range);
    WaveClass type = WaveClass.of(thd, features.rest(), features.top(), features.flat());
    noteClipping(type, range);
    Estimate rmsEstimate = scaled(meanRms, MeanScatter.of(rms), n);
    boolean edges = type == WaveClass.SQUARE || type == WaveClass.MODIFIED;
    // An edge lies anywhere between two samples.
    double share = LINE_SHARE + (edges ? 2 * f : 0);
    double thdU = lineU(thd, share, MeanScatter.of(thds), n, floor);
    double rectified = mean(windows.stream().mapToDouble(Window::rectified).toArray());
    double peak = mean(windows.stream().mapToDouble(Window::peak).toArray());
    double swing = mean(windows.stream().mapToDouble(Window::swing).toArray());
    double offset = mean(windows.stream().mapToDouble(Window::mean).toArray());
    SortedMap<Integer, Estimate> harmonics = new TreeMap<>();
    for (int order = 2; order <= orders; order++) {
      int o = order;
      double power =
          mean(windows.stream().mapToDouble(w -> w.lines().subgroup(o)).toArray())
              - Spectrum.SUBGROUP * noise;
      double percent = 100 * Math.sqrt(Math.max(0, power) / fundamental);
      harmonics.put(
          order,
          new Estimate(percent, lineU(percent, share, 0, n, floor / Math.sqrt(orders - 1.0))));
    }
    double hertz = f * rate;
    if (method.scaleAssumed()) {
      warnings.add(
          new Warning(
              "accuracy_assumed",
              "The accuracy of probe and scope was not given; ± "
                  + method.scale().words()
                  + " of reading is assumed of the volts."));
    }
    return new WaveformFinding(
        rmsEstimate,
        new Estimate(hertz, Math.max(0.002, TIME_BASE * hertz)),
        new Estimate(thd, thdU),
        new Estimate(
            thd * Math.sqrt(fundamental) / meanRms, thdU * Math.sqrt(fundamental) / meanRms),
        new Estimate(peak / meanRms, 0.01 * peak / meanRms),
        new Estimate(meanRms / rectified, 0.003 * meanRms / rectified),
        new Estimate(offset, Math.max(scaled(offset, 0, n).u95(), 0.002 * meanRms)),
        scaled(swing, 0, n),
        scaled(rectified * Math.PI / (2 * Math.sqrt(2)), 0, n),
        harmonics,
        orders,
        100
            * Math.sqrt(
                mean(windows.stream().mapToDouble(w -> w.lines().interharmonics()).toArray())
                    / fundamental),
        type,
        reason(type, thd, features),
        n,
        warnings);
  }

  /** Square of the distortion of a window against its fundamental, noise taken off. */
  private static double distortion(Window w, int orders) {
    double sum = 0;
    for (int order = 2; order <= orders; order++) {
      sum += w.lines().subgroup(order);
    }
    sum -= Spectrum.SUBGROUP * (orders - 1) * w.lines().noise();
    return Math.max(0, sum) / w.lines().subgroup(1);
  }

  private Estimate scaled(double value, double scatter, int windows) {
    Budget budget = new Budget(List.of()).with("Probe and scope", method.scale(), value, 1);
    if (windows > 2) {
      budget = budget.with(Contribution.typeA("Between windows", scatter, windows));
    }
    return new Estimate(value, Math.max(budget.u95(), 1e-3 * Math.abs(value)));
  }

  /** Noise that was taken off leaves about a tenth of itself in doubt, in quadrature. */
  private static double lineU(
      double percent, double share, double scatter, int windows, double floor) {
    double left = Math.sqrt(percent * percent + floor * floor * 0.2) - percent;
    double type = windows > 2 ? Contribution.typeA("", scatter, windows).alone95() : 0;
    return Math.max(0.02, Math.hypot(Math.hypot(share * percent, left), type));
  }

  private static double mean(double[] values) {
    return Arrays.stream(values).average().orElse(0);
  }

  /** One cycle, the mean of all whole ones, so that noise does not hide what is flat. */
  private double[] meanCycle(CycleWindow window, double f) {
    int cycles = (int) Math.floor((v.length - 1) * f + 1e-6);
    double[] sum = new double[SHAPE_CELLS];
    for (int c = 0; c < cycles; c++) {
      double[] cells = window.cells(c / f, Math.min(1 / f, v.length - 1 - c / f), SHAPE_CELLS);
      for (int i = 0; i < SHAPE_CELLS; i++) {
        sum[i] += cells[i] / cycles;
      }
    }
    return sum;
  }

  /** What the eye sees of a shape, as shares of the period. */
  private record Shape(double rest, double top, double flat) {
    static Shape of(double[] cycle, double[] range) {
      double middle = Arrays.stream(cycle).average().orElse(0);
      double peak = 0;
      for (double c : cycle) {
        peak = Math.max(peak, Math.abs(c - middle));
      }
      peak = Math.max(peak, 1e-12 * (range[1] - range[0]));
      int rest = 0;
      int top = 0;
      int flat = 0;
      int n = cycle.length;
      for (int i = 0; i < n; i++) {
        double share = Math.abs(cycle[i] - middle) / peak;
        double slope =
            Math.abs(cycle[(i + SLOPE_CELLS) % n] - cycle[(i - SLOPE_CELLS + n) % n]) / peak;
        rest += share < NEAR ? 1 : 0;
        top += share > 1 - NEAR ? 1 : 0;
        flat += slope < LEVEL ? 1 : 0;
      }
      return new Shape((double) rest / n, (double) top / n, (double) flat / n);
    }
  }

  private static String reason(WaveClass type, double thd, Shape s) {
    String distortion = "distortion " + Figures.fixed(thd, 1) + " %";
    String flat =
        "flat for "
            + Math.round(100 * s.flat())
            + " % of the period, "
            + Math.round(100 * s.rest())
            + " % of it at zero";
    return switch (type) {
      case SINE -> "A sine: " + distortion + ", not more than 5.";
      case ROUGH_SINE -> "A rough sine: " + distortion + ", between 5 and 10.";
      case MODIFIED -> "Stepped: " + flat + ", " + distortion + ".";
      case SQUARE -> "Square: " + flat + ", " + distortion + ".";
      case OTHER -> "No class testers use: " + flat + ", " + distortion + ".";
    };
  }

  /** Flat tops at the very end of the scope's range, on a wave that should have none. */
  private void noteClipping(WaveClass type, double[] range) {
    if (type == WaveClass.SQUARE || type == WaveClass.MODIFIED) {
      return;
    }
    int at = 0;
    for (double x : v) {
      at += x == range[0] || x == range[1] ? 1 : 0;
    }
    // A sine's tops fill its highest step by themselves, the more the coarser the steps are.
    double peak = (range[1] - range[0]) / 2;
    double usual = 2 * Math.acos(Math.max(-1, 1 - step() / peak)) / Math.PI;
    if (at > (0.03 + 1.5 * usual) * v.length && at > 12) {
      warnings.add(
          new Warning(
              "clipped",
              Figures.fixed(100.0 * at / v.length, 0)
                  + " % of the samples stand at the very ends: the scope or the probe clips. Choose a"
                  + " larger range and capture again."));
    }
  }

  /** The least step between samples; 0 where there is none to be seen. */
  private double step() {
    double[] some = Arrays.copyOf(v, Math.min(v.length, 4000));
    Arrays.sort(some);
    double least = Double.POSITIVE_INFINITY;
    double range = some[some.length - 1] - some[0];
    for (int i = 1; i < some.length; i++) {
      double apart = some[i] - some[i - 1];
      least = apart > 1e-7 * range ? Math.min(least, apart) : least;
    }
    return Double.isInfinite(least) ? 0 : least;
  }
}
