package org.wiseember.core.waveform;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import org.wiseember.core.figure.Because;
import org.wiseember.core.figure.Figure;
import org.wiseember.core.figure.Warning;
import org.wiseember.core.quantity.Figures;
import org.wiseember.core.quantity.Unit;
import org.wiseember.core.uncertainty.Budget;
import org.wiseember.core.uncertainty.Contribution;
import org.wiseember.core.uncertainty.Estimate;

/** The figures of a capture, each with its own because. */
public final class WaveformFigures {
  private static final int STRONGEST = 4;

  private final WaveformFinding f;
  private final String where;

  private WaveformFigures(WaveformFinding f, String where) {
    this.f = f;
    this.where = where;
  }

  /**
   * Those of a capture.
   *
   * @param where it was captured, such as {@code no load}; empty where there is only one
   */
  public static WaveformFigures of(WaveformFinding f, String where) {
    return new WaveformFigures(f, where);
  }

  /** All of them, the harmonics last. */
  public List<Figure> all() {
    List<Figure> all = new ArrayList<>();
    all.addAll(
        List.of(
            rms(),
            frequency(),
            distortion(),
            distortionOfAll(),
            crest(),
            form(),
            offset(),
            peakToPeak(),
            averagingMeter(),
            residual(),
            interharmonics()));
    f.power()
        .ifPresent(
            p -> {
              all.add(plain("power", "Power", p.watts(), Unit.WATT, "mean of volts × amps"));
              all.add(
                  plain(
                      "apparent_power",
                      "Apparent power",
                      p.voltAmperes(),
                      Unit.VOLT_AMPERE,
                      "true RMS volts × true RMS amps"));
              all.add(plain("power_factor", "Power factor", p.powerFactor(), Unit.ONE, "W ÷ VA"));
              all.add(plain("current", "Current", p.amps(), Unit.AMPERE, "true RMS"));
              all.add(
                  plain(
                      "current_thd_f",
                      "Distortion of the current",
                      p.ampsThd(),
                      Unit.PERCENT,
                      "against its fundamental"));
            });
    f.harmonics()
        .forEach(
            (order, percent) ->
                all.add(
                    plain(
                        "harmonic_" + order,
                        Figures.ordinal(order) + " harmonic",
                        percent,
                        Unit.PERCENT,
                        "of the fundamental")));
    return all;
  }

  private String windows() {
    return f.windows()
        + (f.windows() == 1 ? " window" : " windows")
        + " of "
        + (f.frequency().value() < 55 ? 10 : 12)
        + " cycles at "
        + Figures.fixed(f.frequency().value(), 2)
        + " Hz";
  }

  private Figure figure(String key, String name, Estimate e, Unit unit, String doubt, Because b) {
    Budget budget = Budget.of(Contribution.wholeWidth(doubt, e.u95()));
    Because with =
        new Because(
            b.summary(), b.workedOut(), budget, b.madeFrom(), b.watchOut(), b.otherReading());
    return Figure.of(key, name + (where.isEmpty() ? "" : ", " + where), e.value(), unit, with);
  }

  private Figure plain(String key, String name, Estimate e, Unit unit, String summary) {
    return figure(
        key,
        name,
        e,
        unit,
        "Scale, noise and scatter between windows",
        Because.of(
                Budget.of(),
                windows(),
                name + " = " + Figures.withUncertainty(e.value(), e.u95(), unit))
            .summed(summary));
  }

  /** True RMS, V. */
  public Figure rms() {
    return figure(
        "rms",
        "Output volts",
        f.rms(),
        Unit.VOLT,
        "Probe and scope, and scatter between windows",
        Because.of(
                Budget.of(),
                windows(),
                "√(mean of v² over whole cycles) = "
                    + Figures.withUncertainty(f.rms().value(), f.rms().u95(), Unit.VOLT))
            .summed("true RMS over whole cycles")
            .watching(scale())
            .otherwise(
                "An averaging meter would show "
                    + Figures.fixed(f.averagingMeter().value(), 1)
                    + " V of this wave."));
  }

  private List<String> scale() {
    return f.warnings().stream()
        .filter(w -> w.code().equals("accuracy_assumed"))
        .map(Warning::message)
        .toList();
  }

  /** Hz. */
  public Figure frequency() {
    return figure(
        "frequency",
        "Frequency",
        f.frequency(),
        Unit.HERTZ,
        "Clock of the scope, and scatter between windows",
        Because.of(
                Budget.of(),
                windows(),
                "Whole cycles ÷ their time, between upward crossings = "
                    + Figures.withUncertainty(
                        f.frequency().value(), f.frequency().u95(), Unit.HERTZ))
            .summed("from interpolated crossings"));
  }

  /** THD-F, %. */
  public Figure distortion() {
    List<String> sum = new ArrayList<>();
    sum.add(windows());
    List<Map.Entry<Integer, Estimate>> strongest =
        f.harmonics().entrySet().stream()
            .sorted(
                Comparator.comparingDouble(
                    (Map.Entry<Integer, Estimate> e) -> -e.getValue().value()))
            .filter(e -> e.getValue().value() > e.getValue().u95())
            .limit(STRONGEST)
            .toList();
    if (!strongest.isEmpty()) {
      List<String> squares =
          strongest.stream().map(e -> Figures.fixed(e.getValue().value(), 2) + "²").toList();
      sum.add(
          "√("
              + String.join(" + ", squares)
              + " + …) = "
              + Figures.fixed(f.thdF().value(), 2)
              + " %");
    }
    sum.add(
        (strongest.isEmpty()
                ? "No harmonic stands out"
                : "Strongest: "
                    + String.join(
                        ", ", strongest.stream().map(e -> Figures.ordinal(e.getKey())).toList()))
            + ", to order "
            + f.orders());
    sum.add(f.reason());
    return figure(
        "thd_f",
        "Distortion",
        f.thdF(),
        Unit.PERCENT,
        "Lines, noise, the converter's steps and scatter between windows",
        Because.of(Budget.of(), sum)
            .summed("harmonic subgroups against the fundamental (THD-F)")
            .watching(
                f.warnings().stream()
                    .filter(w -> !w.code().equals("accuracy_assumed"))
                    .map(Warning::message)
                    .toList())
            .otherwise(
                "Against the whole RMS (THD-R) it is "
                    + Figures.fixed(f.thdR().value(), 2)
                    + " %; everything but the fundamental, noise and what lies between harmonics"
                    + " too, is "
                    + Figures.fixed(f.residual().value(), 2)
                    + " %."));
  }

  private Figure distortionOfAll() {
    return plain(
        "thd_r", "Distortion of all", f.thdR(), Unit.PERCENT, "harmonics against the whole RMS");
  }

  /** Peak over RMS. */
  public Figure crest() {
    return plain("crest_factor", "Crest factor", f.crestFactor(), Unit.ONE, "peak ÷ RMS");
  }

  private Figure form() {
    return plain("form_factor", "Form factor", f.formFactor(), Unit.ONE, "RMS ÷ rectified mean");
  }

  /** Mean, V. */
  public Figure offset() {
    return plain("dc_offset", "DC offset", f.dcOffset(), Unit.VOLT, "mean over whole cycles");
  }

  private Figure peakToPeak() {
    return plain("peak_to_peak", "Peak to peak", f.peakToPeak(), Unit.VOLT, "of the mean cycle");
  }

  private Figure averagingMeter() {
    return plain(
        "averaging_meter",
        "An averaging meter",
        f.averagingMeter(),
        Unit.VOLT,
        "rectified mean × π ÷ (2·√2)");
  }

  private Figure residual() {
    return plain(
        "residual",
        "All but the fundamental",
        f.residual(),
        Unit.PERCENT,
        "what the best sine and the offset leave over");
  }

  private Figure interharmonics() {
    double percent = f.interharmonics();
    return plain(
        "interharmonics",
        "Between the harmonics",
        new Estimate(percent, Math.max(0.05, 0.01 * percent)),
        Unit.PERCENT,
        "of the fundamental");
  }
}
