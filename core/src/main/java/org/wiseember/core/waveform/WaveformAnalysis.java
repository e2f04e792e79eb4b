package org.wiseember.core.waveform;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.SortedMap;
import java.util.TreeMap;
import org.wiseember.core.figure.Warning;
import org.wiseember.core.quantity.Figures;
import org.wiseember.core.uncertainty.Budget;
import org.wiseember.core.uncertainty.Contribution;
import org.wiseember.core.uncertainty.Estimate;
import org.wiseember.core.uncertainty.MeanScatter;
import org.wiseember.core.uncertainty.MeterClass;

/**
 * The figures of a captured wave, over every window of ten cycles (twelve from 55 Hz on) it holds.
 *
 * <p>Sources: definitions of RMS, crest and form factor; IEC 61000-4-7 for windows and subgroups
 * (recalled from memory); a meter that answers to the rectified mean and is scaled for sines shows
 * π ÷ (2√2) of that mean. What noise puts on the lines of a harmonic is told by the lines between
 * the harmonics and taken off.
 *
 * <pre>{@code
 * WaveformFinding wave = WaveformAnalysis.of(capture, method);
 * }</pre>
 */
public final class WaveformAnalysis {
  private static final double TWELVE_FROM = 55;
  private static final int LEAST_CYCLES = 3;

  /** Lines, not volts, are this sure at best: probes are not flat, samples not evenly spaced. */
  private static final double LINE_SHARE = 0.004;

  /** What a scope's own steps put on a line, % of the fundamental; common practice. */
  private static final double LEAST_LINE = 0.05;

  /** A scope's time base at worst; common practice, no published source. */
  private static final double TIME_BASE = 1e-4;

  /** Lines at the very edge of what samples carry that hint at more beyond, of the fundamental. */
  private static final double FOLDS = 0.004;

  /** Lines a subgroup reaches on either side, and half a line more. */
  private static final double FOLDED_LINES = 1.5;

  /** A change from one sample to the next that no smooth wave makes, of its whole swing. */
  private static final double JUMP = 0.25;

  private static final int LOOKED_AT = 20_000;
  private static final double CROOKED_AT_8_BITS = 0.3;

  /** So many times its RMS noise reaches in the many samples of a peak. */
  private static final double NOISE_PEAKS = 3;

  /** By how much a clamp may turn the phase of the amps, rad: 2°; common practice. */
  private static final double CLAMP_PHASE = 0.035;

  /** With more samples a cycle than this, what folds back is too little to matter. */
  private static final double FINE = 2000;

  /** Fewer samples a cycle tell nothing of a wave's shape. */
  private static final int LEAST_A_CYCLE = 4;

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

  /** Even the slowest wave that is looked for needs a few samples a cycle. */
  private void refuseTooSlow() throws WaveformUnreadable {
    if (method.leastHertz() / rate * LEAST_A_CYCLE > 1) {
      throw tooSlow();
    }
  }

  private WaveformUnreadable tooSlow() {
    return new WaveformUnreadable(
        "With "
            + Figures.plain(rate)
            + " samples a second there are fewer than "
            + LEAST_A_CYCLE
            + " a cycle, which are no wave. Check the time base, and take 1\u2009000 a second or"
            + " more.");
  }

  private WaveformFinding find() throws WaveformUnreadable {
    double[] range = range();
    CycleWindow cells = new CycleWindow(v);
    refuseTooSlow();
    OptionalDouble found =
        Frequency.of(v, cells, method.leastHertz() / rate, method.mostHertz() / rate);
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
    if (f * LEAST_A_CYCLE > 1) {
      throw tooSlow();
    }
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
    noteTimeBase(hertz);
    boolean steps = folds(v, range[1] - range[0], f, each);
    return figures(new WaveWindows(v, cells, f, each, method.orders(), steps), f, each, range);
  }

  /**
   * Whether a wave jumps, and what its jumps fold back falls into the subgroups of its harmonics,
   * since a cycle has as good as a whole number of samples.
   */
  private static boolean folds(double[] v, double swing, double f, int each) {
    double samples = 1 / f;
    if (Math.abs(samples - Math.rint(samples)) * each >= FOLDED_LINES || samples > FINE) {
      return false;
    }
    double highest = 0;
    for (int i = 1; i < v.length; i++) {
      highest = Math.max(highest, Math.abs(v[i] - v[i - 1]));
    }
    return highest > JUMP * swing;
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
      double x = v[i];
      if (!Double.isFinite(x)) {
        throw new WaveformUnreadable("Sample " + (i + 1) + " is no number.");
      }
      low = x < low ? x : low;
      high = x > high ? x : high;
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

  /** Mains ten times too fast or too slow are a time base that was read wrong. */
  private void noteTimeBase(double hertz) {
    for (double mains : new double[] {50, 60}) {
      for (double times : new double[] {0.5, 2, 2.5, 4, 5}) {
        if (Math.abs(hertz / mains / times - 1) < 0.01) {
          warnings.add(
              new Warning(
                  "time_base",
                  "The wave repeats at "
                      + Figures.fixed(hertz, 1)
                      + " Hz, "
                      + Figures.plain(times)
                      + " times "
                      + Figures.plain(mains)
                      + ". Check the time base of the capture."));
          return;
        }
      }
    }
  }

  private WaveformFinding figures(WaveWindows windows, double f, int each, double[] range) {
    int n = windows.size();
    double[] rms = windows.each(w -> Math.sqrt(w.square()));
    double meanRms = Math.sqrt(windows.mean(WaveWindows.Window::square));
    double fundamental = windows.mean(w -> w.lines().subgroup(1));
    double offset = windows.mean(WaveWindows.Window::mean);
    int orders = windows.orders();
    noteSampling(windows, orders, fundamental);
    double noise = windows.mean(w -> w.lines().noise());
    double[] thds = windows.each(w -> 100 * Math.sqrt(distortion(w, orders)));
    double thd = 100 * Math.sqrt(windows.mean(w -> distortion(w, orders)));
    double floor = 100 * Math.sqrt(noise * Spectrum.SUBGROUP * (orders - 1) / fundamental);
    noteNoise(floor, thd);
    double left =
        Math.sqrt(
            Math.max(
                0,
                meanRms * meanRms - offset * offset - windows.mean(w -> w.lines().fundamental())));
    double[] mean = windows.meanCycle(CycleShape.CELLS);
    double notRepeating = Math.sqrt(Math.max(0, meanRms * meanRms - square(mean)));
    CycleShape cycle = CycleShape.of(mean, range, f * rate, notRepeating);
    WaveClass type = WaveClass.of(thd, cycle.rest(), cycle.top(), cycle.flat());
    boolean edges = type == WaveClass.SQUARE || type == WaveClass.MODIFIED;
    if (!edges) {
      Clipping.in(v, range).ifPresent(warnings::add);
    } else if (type == WaveClass.SQUARE) {
      Clipping.likeASquare(v, range, 1 / f).ifPresent(warnings::add);
    }
    // An edge lies anywhere between two samples.
    double share = LINE_SHARE + (edges ? 2 * f : 0);
    double thdU =
        Math.hypot(lineU(thd, share, MeanScatter.of(thds), n, floor), crooked(range[1] - range[0]));
    double rectified = windows.mean(WaveWindows.Window::rectified);
    double peak = windows.mean(WaveWindows.Window::peak);
    double swing = windows.mean(WaveWindows.Window::swing);
    double hertz = f * rate;
    if (method.scaleAssumed()) {
      warnings.add(
          new Warning(
              "accuracy_assumed",
              "The accuracy of probe and scope was not given; ± "
                  + method.scale().words()
                  + " of reading is assumed of the volts."));
    }
    double[] frequencies = windows.frequencies();
    double toR = Math.sqrt(fundamental) / meanRms;
    double residual = 100 * left / Math.sqrt(fundamental);
    return new WaveformFinding(
        scaled(meanRms, MeanScatter.of(rms), n),
        new Estimate(hertz, frequencyU(hertz, frequencies)),
        new Estimate(thd, thdU),
        new Estimate(thd * toR, thdU * toR),
        crest(peak, mean, notRepeating, meanRms),
        new Estimate(meanRms / rectified, 0.003 * meanRms / rectified),
        new Estimate(offset, Math.max(scaled(offset, 0, n).u95(), 0.002 * meanRms)),
        scaled(swing, 0, n),
        scaled(rectified * Math.PI / (2 * Math.sqrt(2)), 0, n),
        harmonics(windows, orders, fundamental, noise, share, floor),
        orders,
        100 * Math.sqrt(windows.mean(w -> w.lines().interharmonics()) / fundamental),
        type,
        reason(type, thd, cycle),
        new Estimate(residual, Math.max(0.05, share * residual)),
        cycle,
        power(windows, f, each, meanRms),
        n,
        new WaveformFinding.Spreads(
            Spread.of(rms), Spread.of(scaledBy(frequencies, rate)), Spread.of(thds)),
        warnings);
  }

  /**
   * What the steps of a converter that are not all alike put on the lines, points of distortion:
   * 0.3 at 8 bits and half of it a bit more. Common practice, no published source.
   */
  private double crooked(double swing) {
    double[] some = Arrays.copyOf(v, Math.min(v.length, LOOKED_AT));
    Arrays.sort(some);
    double step = swing;
    for (int i = 1; i < some.length; i++) {
      double apart = some[i] - some[i - 1];
      step = apart > 1e-9 * swing ? Math.min(step, apart) : step;
    }
    return CROOKED_AT_8_BITS * Math.min(1, 256 * step / swing);
  }

  /** Peak over RMS; noise stands on the peak of every cycle and is taken off it. */
  private static Estimate crest(double peak, double[] cycle, double noise, double rms) {
    double ofMean = Arrays.stream(cycle).map(Math::abs).max().orElse(peak);
    double clean = Math.max(Math.min(peak, ofMean), peak - NOISE_PEAKS * noise);
    return new Estimate(clean / rms, 0.01 * clean / rms + noise / rms);
  }

  private double frequencyU(double hertz, double[] frequencies) {
    double scatter = MeanScatter.of(scaledBy(frequencies, rate));
    double type =
        frequencies.length > 2 ? Contribution.typeA("", scatter, frequencies.length).alone95() : 0;
    return Math.max(0.002, Math.hypot(TIME_BASE * hertz, type));
  }

  private static double[] scaledBy(double[] values, double factor) {
    double[] out = new double[values.length];
    for (int i = 0; i < out.length; i++) {
      out[i] = values[i] * factor;
    }
    return out;
  }

  private static double square(double[] values) {
    double sum = 0;
    for (double x : values) {
      sum += x * x;
    }
    return sum / values.length;
  }

  private void noteSampling(WaveWindows windows, int orders, double fundamental) {
    if (orders < method.orders()) {
      warnings.add(
          new Warning(
              "slow_sampling",
              "The samples carry harmonics up to order "
                  + orders
                  + " only; the distortion is cut there. Anything above folds back and cannot be"
                  + " told apart. Sample faster."));
    }
    double edge = Math.sqrt(windows.mean(w -> w.lines().edge()) / fundamental);
    if (edge > FOLDS) {
      warnings.add(
          new Warning(
              "aliasing",
              "At the edge of what the samples carry there is still "
                  + Figures.fixed(100 * edge, 1)
                  + " %: more lies beyond and folds back onto the harmonics. Sample faster, or"
                  + " switch the scope's bandwidth limit on."));
    }
  }

  private void noteNoise(double floor, double thd) {
    if (floor > 0.3 && floor > thd / 4) {
      warnings.add(
          new Warning(
              "noise",
              "Noise alone puts "
                  + Figures.fixed(floor, 2)
                  + " % on the lines of the harmonics; it is taken off, and what is left is less"
                  + " sure. A smaller range of the scope shows less of it."));
    }
  }

  private SortedMap<Integer, Estimate> harmonics(
      WaveWindows windows,
      int orders,
      double fundamental,
      double noise,
      double share,
      double floor) {
    SortedMap<Integer, Estimate> harmonics = new TreeMap<>();
    for (int order = 2; order <= orders; order++) {
      int o = order;
      double power = windows.mean(w -> w.lines().subgroup(o)) - Spectrum.SUBGROUP * noise;
      double percent = 100 * Math.sqrt(Math.max(0, power) / fundamental);
      harmonics.put(
          order,
          new Estimate(
              percent, lineU(percent, share, 0, windows.size(), floor / Math.sqrt(orders - 1.0))));
    }
    return harmonics;
  }

  /** Real and apparent power and the current's own figures. */
  private Optional<AcPower> power(WaveWindows volts, double f, int each, double rmsVolts) {
    if (!capture.hasAmps()) {
      return Optional.empty();
    }
    double[] i = capture.amps();
    for (double x : i) {
      if (!Double.isFinite(x)) {
        warnings.add(new Warning("no_amps", "The amps are not all numbers; power is left out."));
        return Optional.empty();
      }
    }
    WaveWindows amps = new WaveWindows(i, new CycleWindow(i), f, each, method.orders(), false);
    double rmsAmps = Math.sqrt(amps.mean(WaveWindows.Window::square));
    double watts = volts.meanProduct(i);
    double apparent = rmsVolts * rmsAmps;
    double fundamental = amps.mean(w -> w.lines().subgroup(1));
    if (!(rmsAmps > 0) || !(fundamental > 0)) {
      return Optional.empty();
    }
    int orders = amps.orders();
    double thd = 100 * Math.sqrt(amps.mean(w -> distortion(w, orders)));
    double angle = volts.angle() - amps.angle();
    MeterClass scale = method.scale();
    double share = 2 * new Budget(List.of()).with("", scale, 1, 1).u95();
    double turned = CLAMP_PHASE * Math.abs(Math.sin(angle));
    return Optional.of(
        new AcPower(
            new Estimate(
                watts,
                Math.hypot(Math.max(share * Math.abs(watts), 0.002 * apparent), turned * apparent)),
            new Estimate(apparent, Math.max(share, 0.002) * apparent),
            new Estimate(watts / apparent, Math.hypot(0.01, turned)),
            Math.cos(angle),
            scaled(rmsAmps, MeanScatter.of(amps.each(w -> Math.sqrt(w.square()))), amps.size()),
            new Estimate(thd, Math.max(0.1, 0.01 * thd)),
            amps.mean(WaveWindows.Window::peak) / rmsAmps));
  }

  /** Square of the distortion of a window against its fundamental, noise taken off. */
  private static double distortion(WaveWindows.Window w, int orders) {
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
    return Math.max(LEAST_LINE, Math.hypot(Math.hypot(share * percent, left), type));
  }

  private static String reason(WaveClass type, double thd, CycleShape s) {
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
}
