package org.wiseember.desktop.evidence;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Supplier;
import javafx.beans.property.ObjectProperty;
import javafx.beans.property.SimpleObjectProperty;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;
import org.jfree.chart.JFreeChart;
import org.wiseember.core.noise.SoundLevel;
import org.wiseember.core.overload.Hold;
import org.wiseember.core.overload.TripFit;
import org.wiseember.core.port.PortPoint;
import org.wiseember.core.quantity.Figures;
import org.wiseember.core.quantity.Unit;
import org.wiseember.core.split.TwoLegs;
import org.wiseember.core.start.MotorStart;
import org.wiseember.core.start.StartSeries;
import org.wiseember.core.transfer.ItiCurve;
import org.wiseember.core.transfer.PassThrough;
import org.wiseember.core.transfer.TransferGap;
import org.wiseember.desktop.app.Desk;
import org.wiseember.desktop.look.Choices;
import org.wiseember.report.chart.CurveChart;
import org.wiseember.report.chart.EnduranceChart;
import org.wiseember.report.chart.WaveChart;
import org.wiseember.trial.test.heat.HeatRun;
import org.wiseember.trial.verdict.Judgement;
import org.wiseember.trial.test.legs.LegsRun;
import org.wiseember.trial.test.overload.OverloadRun;
import org.wiseember.trial.test.port.PortRun;
import org.wiseember.trial.PowerPictures;
import org.wiseember.trial.test.soak.SoakRun;
import org.wiseember.trial.test.start.StartsRun;
import org.wiseember.trial.test.TestRun;
import org.wiseember.trial.test.transfer.TransferRun;
import org.wiseember.trial.test.usb.UsbRun;

/** What a test of power, ports, heat or noise found, each in its own picture and table. */
final class PowerView extends VBox {
  private final Desk desk;
  private final FindingView finding;
  private final WillItStart willItStart;

  PowerView(Desk desk) {
    this.desk = desk;
    finding = new FindingView(desk, "What the test found, as a chart");
    willItStart = new WillItStart(desk);
    setSpacing(8);
    VBox.setVgrow(finding, Priority.ALWAYS);
  }

  /** Whether it shows such a run. */
  static boolean shows(TestRun run) {
    return run instanceof OverloadRun
        || run instanceof StartsRun
        || run instanceof TransferRun
        || run instanceof PortRun
        || run instanceof UsbRun
        || run instanceof HeatRun
        || run instanceof SoakRun
        || run instanceof LegsRun;
  }

  void of(Judgement judgement, TestRun run) {
    getChildren().setAll(finding);
    if (run instanceof OverloadRun overload) {
      overload(judgement, overload);
    } else if (run instanceof StartsRun starts) {
      starts(judgement, starts);
    } else if (run instanceof TransferRun transfer) {
      transfer(transfer);
    } else if (run instanceof PortRun port) {
      port(judgement, port);
    } else if (run instanceof UsbRun usb) {
      usb(usb);
    } else if (run instanceof HeatRun heat) {
      heat(heat);
    } else if (run instanceof SoakRun soak) {
      finding.show(null, null, List.of(soak.words()));
    } else if (run instanceof LegsRun legs) {
      legs(legs);
    }
  }

  private void overload(Judgement judgement, OverloadRun run) {
    List<List<String>> rows = new ArrayList<>();
    for (Hold h : run.finding().holds()) {
      rows.add(
          List.of(
              Figures.fixed(h.watts(), 0) + " W",
              Figures.fixed(h.before(), 0) + " W",
              Figures.rounded(h.seconds(), h.halfWidth()) + " s",
              h.end().words()));
    }
    List<String> words = new ArrayList<>();
    run.finding().fit().ifPresent(fit -> words.add(fitted(judgement, run, fit)));
    words.addAll(run.recovery().stream().distinct().toList());
    words.add("Open marks were held as long as anybody looked; filled ones tripped.");
    finding.show(
        () ->
            EnduranceChart.of(
                PowerPictures.endurance(judgement, run),
                desk.palette().get(),
                desk.textScale().get()),
        new FigureTable(List.of("Load", "From", "Held for", "How it ended"), rows),
        words);
    if (judgement.startLimits().held().isPresent()
        || judgement.startLimits().failed().isPresent()) {
      willItStart.of(judgement);
      finding.add(willItStart);
    }
  }

  private static String fitted(Judgement judgement, OverloadRun run, TripFit fit) {
    double rated = judgement.unit().label().ratedWatts().orElse(Double.NaN);
    double base = run.finding().trips().stream().mapToDouble(Hold::before).average().orElse(0);
    List<String> parts = new ArrayList<>();
    for (double share : new double[] {1.25, 1.5}) {
      fit.seconds(share * rated, base)
          .ifPresent(
              b ->
                  parts.add(
                      Figures.plain(
                              b.value() < 10
                                  ? Math.rint(10 * b.value()) / 10
                                  : Math.rint(b.value()))
                          + " s ("
                          + Figures.plain(Math.rint(b.low()))
                          + " to "
                          + (Double.isInfinite(b.high())
                              ? "for ever"
                              : Figures.plain(Math.rint(b.high())))
                          + ") at "
                          + Figures.plain(share)
                          + " times the rating"));
    }
    return parts.isEmpty()
        ? "The curve through the trips holds 1.25 times the rating for ever."
        : "By the curve it trips after " + String.join(", ", parts) + ".";
  }

  private void starts(Judgement judgement, StartsRun run) {
    List<List<String>> rows = new ArrayList<>();
    int n = 1;
    for (StartSeries.Try t : run.series().map(StartSeries::tries).orElse(List.of())) {
      rows.add(
          List.of(
              "Try " + n++,
              t.outcome().words(),
              figure(t.peakAmps(), 1, Unit.AMPERE),
              figure(t.voltAmperes(), 0, Unit.VOLT_AMPERE),
              figure(t.leastVolts(), 0, Unit.VOLT)));
    }
    FigureTable table =
        rows.isEmpty()
            ? null
            : new FigureTable(
                List.of("Start", "How it went", "Peak", "Most, one cycle", "Volts down to"), rows);
    List<String> words = new ArrayList<>();
    run.series()
        .ifPresent(
            s ->
                words.add(
                    s.started().count()
                        + " started, "
                        + s.started().percent()
                        + " in the long run. "
                        + s.watchOut()));
    run.captures().stream()
        .flatMap(c -> c.start().stream())
        .findFirst()
        .ifPresent(s -> words.add(stiffness(s)));
    List<StartsRun.Caught> caught = run.captures();
    pick(
        "Look at",
        caught.stream().map(c -> c.kept().words().replaceAll(":.*", "")).toList(),
        i ->
            () ->
                WaveChart.of(
                    PowerPictures.start(caught.get(i).kept().capture()),
                    desk.palette().get(),
                    desk.textScale().get()),
        table,
        words);
    willItStart.of(judgement);
    finding.add(willItStart);
  }

  private static String stiffness(MotorStart s) {
    return Double.isNaN(s.sourceOhms())
        ? "The volts hardly moved: the source is stiff for this motor."
        : "The volts gave way by "
            + Figures.fixed(s.dipPercent(), 0)
            + " % for "
            + Figures.fixed(1000 * s.dipSeconds(), 0)
            + " ms. From a stiff source the motor would take "
            + Figures.fixed(s.stiffAmps(), 1)
            + " A, not "
            + Figures.fixed(s.mostRmsAmps(), 1)
            + " A.";
  }

  private static String figure(double value, int decimals, Unit unit) {
    return Double.isNaN(value) ? "–" : Figures.withUnit(Figures.fixed(value, decimals), unit);
  }

  private void transfer(TransferRun run) {
    List<List<String>> rows = new ArrayList<>();
    int n = 1;
    for (TransferRun.Pull p : run.pulls()) {
      Optional<TransferGap> gap = p.reading().gap();
      rows.add(
          List.of(
              "Pull " + n++,
              gap.map(g -> Figures.withUncertainty(1000 * g.seconds(), 1000 * g.u95()) + " ms")
                  .orElse("–"),
              gap.map(g -> Figures.fixed(g.phaseDegrees(), 0) + "°").orElse("–"),
              gap.map(g -> Figures.fixed(1000 * g.belowSeconds(), 0) + " ms").orElse("–"),
              gap.map(g -> g.ridesThrough() ? "inside" : "outside").orElse("–")));
    }
    List<String> words = new ArrayList<>();
    words.add(
        "The ITI curve has computers bear nothing at all for "
            + Figures.fixed(1000 * ItiCurve.NOTHING_SECONDS, 0)
            + " ms. It is a reference line, no promise of any load.");
    run.passThrough().map(PassThrough::words).ifPresent(words::add);
    run.passThrough().map(p -> p.figures() + ".").ifPresent(words::add);
    List<TransferRun.Pull> pulls = run.pulls();
    pick(
        "Look at",
        pulls.stream().map(p -> p.kept().words().replace("Plug pulled, time", "pull")).toList(),
        i ->
            () ->
                WaveChart.of(
                    PowerPictures.gap(pulls.get(i).kept().capture(), pulls.get(i).reading().gap()),
                    desk.palette().get(),
                    desk.textScale().get()),
        rows.isEmpty()
            ? null
            : new FigureTable(
                List.of("Mains plug", "Gap", "Gone at", "RMS under 90 %", "ITI curve"), rows),
        words);
  }

  /** Shows a finding with a choice of captures above it. */
  private void pick(
      String name,
      List<String> captures,
      java.util.function.IntFunction<Supplier<JFreeChart>> picture,
      FigureTable table,
      List<String> words) {
    if (captures.isEmpty()) {
      finding.show(null, table, words);
      return;
    }
    ObjectProperty<Integer> chosen = new SimpleObjectProperty<>(0);
    Map<Integer, String> all = new LinkedHashMap<>();
    for (int i = 0; i < captures.size(); i++) {
      all.put(i, captures.get(i));
    }
    getChildren().setAll(Choices.row(name, "capture-", all, chosen), finding);
    finding.show(() -> picture.apply(chosen.get()).get(), table, words);
    chosen.addListener((o, was, is) -> finding.redraw());
  }

  private void port(Judgement judgement, PortRun run) {
    List<List<String>> rows = new ArrayList<>();
    for (PortPoint p : run.finding().points()) {
      rows.add(
          List.of(
              Figures.fixed(p.amps(), 2) + " A",
              Figures.fixed(p.volts(), 2) + " V",
              Figures.fixed(p.watts(), 1) + " W"));
    }
    List<String> words = new ArrayList<>();
    run.finding()
        .ohms()
        .ifPresent(
            r ->
                words.add(
                    (run.finding().regulated() ? "Regulated: it loses " : "It sags: it loses ")
                        + Figures.withUncertainty(1000 * r.value(), 1000 * r.u95())
                        + " mV an ampere."));
    run.finding()
        .tripAmps()
        .ifPresent(
            t ->
                words.add(
                    "It switched off at " + Figures.withUncertainty(t.value(), t.u95()) + " A."));
    finding.show(
        run.finding().points().isEmpty()
            ? null
            : () ->
                CurveChart.of(
                    PowerPictures.port(judgement, run),
                    desk.palette().get(),
                    desk.textScale().get()),
        rows.isEmpty() ? null : new FigureTable(List.of("Current", "Volts", "Power"), rows),
        words);
    DecisionList leads = new DecisionList(desk);
    leads.of(run);
    finding.add(leads);
  }

  private void usb(UsbRun run) {
    List<List<String>> rows = new ArrayList<>();
    for (UsbRun.Profile p : run.profiles()) {
      rows.add(
          List.of(
              Figures.fixed(p.volts(), 2) + " V",
              Figures.fixed(p.amps(), 2) + " A",
              Figures.fixed(p.watts(), 1) + " W"));
    }
    finding.show(
        null,
        rows.isEmpty() ? null : new FigureTable(List.of("Volts", "Current", "Power"), rows),
        List.of(
            "Asked with a "
                + run.tester().words()
                + ": it can show up to "
                + Figures.plain(run.tester().mostWatts(), Unit.WATT)
                + " of any port. More on a label is beyond this rig, which is not a fail."));
  }

  private void heat(HeatRun run) {
    List<List<String>> rows = new ArrayList<>();
    for (HeatRun.Heard h : run.heard()) {
      rows.add(
          List.of(
              h.words(),
              figure(h.watts(), 0, Unit.WATT),
              h.fan().isEmpty()
                  ? "–"
                  : h.fan().getAsInt() == 0 ? "off" : "step " + h.fan().getAsInt(),
              Figures.fixed(h.all(), 1) + " dB",
              (Double.isNaN(run.background()) || SoundLevel.standsOut(h.all(), run.background())
                      ? ""
                      : "under ")
                  + Figures.fixed(run.alone(h), 1)
                  + " dB"));
    }
    List<String> words = new ArrayList<>();
    if (!Double.isNaN(run.background())) {
      words.add(
          "The room alone: "
              + Figures.fixed(run.background(), 1)
              + " dB at "
              + Figures.plain(run.metres())
              + " m.");
    }
    if (!run.fan().seen().isEmpty()) {
      words.add(run.fan().words());
    }
    run.spot()
        .ifPresent(
            s ->
                words.add(
                    "Hottest spot: "
                        + s.words()
                        + ", "
                        + Figures.withUncertainty(s.rise().value(), s.rise().u95(), Unit.KELVIN)
                        + " above the room."));
    words.addAll(
        run.rise()
            .map(r -> r.warnings().stream().map(w -> w.message()).toList())
            .orElse(List.of()));
    finding.show(
        run.rise().isEmpty()
            ? null
            : () ->
                CurveChart.of(
                    PowerPictures.heat(run), desk.palette().get(), desk.textScale().get()),
        rows.isEmpty()
            ? null
            : new FigureTable(List.of("Load", "Measured", "Fan", "Sound", "Unit alone"), rows),
        words);
  }

  private void legs(LegsRun run) {
    List<List<String>> rows = new ArrayList<>();
    run.legs()
        .ifPresent(
            l -> {
              rows.add(List.of("Leg A", Figures.plain(l.legA(), Unit.WATT)));
              rows.add(List.of("Leg B", Figures.plain(l.legB(), Unit.WATT)));
              rows.add(List.of("On before", Figures.plain(l.base(), Unit.WATT)));
              rows.add(List.of("The load alone", Figures.plain(l.load(), Unit.WATT)));
              rows.add(
                  List.of(
                      "Asked of each unit", Figures.plain(TwoLegs.perUnit(l.load()), Unit.WATT)));
            });
    finding.show(
        null,
        rows.isEmpty() ? null : new FigureTable(List.of("Two units", ""), rows),
        run.legs().map(l -> List.of(l.words())).orElse(List.of()));
  }
}
