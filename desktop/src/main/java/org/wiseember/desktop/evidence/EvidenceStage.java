package org.wiseember.desktop.evidence;

import java.time.ZoneId;
import java.time.format.DateTimeFormatter;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import javafx.beans.property.ObjectProperty;
import javafx.beans.property.SimpleObjectProperty;
import javafx.scene.Node;
import javafx.scene.control.Label;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.StackPane;
import javafx.scene.layout.VBox;
import javafx.scene.shape.Circle;
import org.wiseember.core.figure.Because;
import org.wiseember.core.figure.Warning;
import org.wiseember.core.capacity.CapacityFinding;
import org.wiseember.core.display.ChargeDisplay;
import org.wiseember.core.efficiency.EfficiencyFinding;
import org.wiseember.core.efficiency.Weighting;
import org.wiseember.core.heat.HeatRise;
import org.wiseember.core.heat.HotSpot;
import org.wiseember.core.quantity.Figures;
import org.wiseember.core.quantity.Unit;
import org.wiseember.core.start.StartSeries;
import org.wiseember.core.uncertainty.Estimate;
import org.wiseember.desktop.app.Desk;
import org.wiseember.desktop.app.StageName;
import org.wiseember.desktop.because.BecausePanel;
import org.wiseember.desktop.frame.EmptyStage;
import org.wiseember.desktop.frame.Row;
import org.wiseember.desktop.look.Adaptive;
import org.wiseember.desktop.look.Choices;
import org.wiseember.desktop.look.Words;
import org.wiseember.trial.test.charge.ChargeRun;
import org.wiseember.trial.test.drain.DrainRun;
import org.wiseember.trial.test.heat.HeatRun;
import org.wiseember.trial.test.idle.IdleRun;
import org.wiseember.trial.verdict.Judgement;
import org.wiseember.trial.test.ladder.LadderRun;
import org.wiseember.trial.test.overload.OverloadRun;
import org.wiseember.trial.test.port.PortRun;
import org.wiseember.trial.test.start.StartsRun;
import org.wiseember.trial.test.TestRun;
import org.wiseember.trial.test.transfer.TransferRun;
import org.wiseember.trial.page.TrialPage;
import org.wiseember.trial.test.usb.UsbRun;
import org.wiseember.trial.test.waveform.WaveRun;
import org.wiseember.workbook.Event;
import org.wiseember.workbook.Run;

/** The runs of the chosen unit, one of them in full, or all drains together. */
public final class EvidenceStage extends StackPane {
  private static final DateTimeFormatter STARTED =
      DateTimeFormatter.ofPattern("d MMM yyyy, HH:mm", Locale.ENGLISH)
          .withZone(ZoneId.systemDefault());

  /** How a ladder is looked at. */
  private enum Look {
    CURVE,
    TRACE
  }

  private final Desk desk;
  private final VBox main = new VBox();
  private final BecausePanel because;
  private final Adaptive adaptive;
  private final TraceView trace;
  private final EfficiencyView efficiency;
  private final IdleView idle = new IdleView();
  private final PowerView power;
  private final WaveView wave;
  private final ChargeView charge;
  private final TogetherView together;
  private final VBox noticed = new VBox();
  private final ObjectProperty<Look> look = new SimpleObjectProperty<>(Look.CURVE);
  private boolean all;
  private TestRun shown;

  public EvidenceStage(Desk desk) {
    this.desk = desk;
    main.getStyleClass().add("stage");
    noticed.setSpacing(4);
    because = new BecausePanel(desk);
    trace = new TraceView(desk);
    efficiency = new EfficiencyView(desk);
    together = new TogetherView(desk, because);
    power = new PowerView(desk);
    wave = new WaveView(desk, because::explain);
    charge = new ChargeView(desk, because);
    for (Node view : List.of(trace, efficiency, together, power)) {
      VBox.setVgrow(view, Priority.ALWAYS);
    }
    adaptive = new Adaptive(main, because, desk.textScale());
    desk.chosen()
        .addListener(
            (o, was, is) -> {
              all = all && was != null && is != null && was.unit().id() == is.unit().id();
              rebuild();
            });
    desk.shownRun()
        .addListener(
            (o, was, is) -> {
              all = false;
              rebuild();
            });
    look.addListener((o, was, is) -> rebuild());
    rebuild();
  }

  private void rebuild() {
    Judgement judgement = desk.chosen().get();
    if (judgement == null || judgement.runs().isEmpty()) {
      getChildren()
          .setAll(
              new EmptyStage(
                  judgement == null ? "Evidence" : judgement.unit().name(),
                  "The readings of every run of this unit will be here: the trace, what was noticed,"
                      + " and the figures that rest on it. Run a test on the bench first.",
                  "To the bench",
                  () -> desk.stage().set(StageName.BENCH)));
      return;
    }
    getChildren().setAll(adaptive);
    shown =
        Optional.ofNullable(desk.shownRun().get())
            .flatMap(id -> TrialPage.run(judgement, id))
            .orElse(judgement.runs().get(judgement.runs().size() - 1));
    if (all && joint(judgement)) {
      showTogether(judgement);
    } else {
      all = false;
      showRun(judgement);
    }
  }

  /** Whether the drains say something together. */
  private static boolean joint(Judgement judgement) {
    return judgement.together().rate().isPresent() || judgement.together().implied().isPresent();
  }

  private void showTogether(Judgement judgement) {
    VBox words =
        new VBox(
            Words.of("title", "All drains together"),
            Words.of(
                "quiet",
                judgement.unit().name()
                    + ". A gentler load yields more; the curve tells how much."));
    words.setSpacing(2);
    main.getChildren().setAll(words, runs(judgement), together);
    together.of(judgement);
  }

  private void showRun(Judgement judgement) {
    main.getChildren().setAll(head(judgement), runs(judgement), figures());
    if (shown instanceof LadderRun ladder) {
      Map<Look, String> words = new LinkedHashMap<>();
      words.put(Look.CURVE, "Efficiency against load");
      words.put(Look.TRACE, "Trace");
      main.getChildren().add(Choices.row("Show", "look-", words, look));
      boolean curve = look.get() == Look.CURVE && !ladder.finding().points().isEmpty();
      main.getChildren().add(curve ? efficiency : trace);
      if (curve) {
        efficiency.of(judgement, ladder);
      }
    } else if (shown instanceof IdleRun resting) {
      idle.of(judgement, resting);
      main.getChildren().addAll(idle, trace);
    } else if (shown instanceof WaveRun || shown instanceof ChargeRun || PowerView.shows(shown)) {
      foundOrTrace(judgement);
    } else {
      main.getChildren().add(trace);
    }
    main.getChildren().add(noticed);
    if (!(shown instanceof WaveRun) || look.get() == Look.TRACE) {
      because.explain(shown);
    }
    noticed.getChildren().clear();
    trace.of(shown, List.of());
    long id = shown.run().id();
    desk.events(
        id,
        found -> {
          if (shown != null && shown.run().id() == id) {
            trace.of(shown, found);
            showNoticed(found);
          }
        });
  }

  /** What it found, or its readings. */
  private void foundOrTrace(Judgement judgement) {
    Map<Look, String> words = new LinkedHashMap<>();
    words.put(Look.CURVE, "What it found");
    words.put(Look.TRACE, "Trace");
    main.getChildren().add(Choices.row("Show", "look-", words, look));
    boolean found = look.get() == Look.CURVE;
    if (found && shown instanceof WaveRun waves) {
      main.getChildren().add(wave);
      wave.of(judgement, waves);
    } else if (found && shown instanceof ChargeRun charged) {
      main.getChildren().add(charge);
      charge.of(judgement, charged);
    } else {
      main.getChildren().add(found ? power : trace);
      if (found) {
        power.of(judgement, shown);
      }
    }
  }

  private Node head(Judgement judgement) {
    Run run = shown.run();
    String where =
        switch (run.settings().source()) {
          case SIMULATED -> " on the simulated bench";
          case BY_HAND -> ", typed by hand";
          case FILE, INSTRUMENTS -> "";
        };
    VBox words =
        new VBox(
            Words.of("title", run.title()),
            Words.of(
                "quiet",
                judgement.unit().name()
                    + ", "
                    + STARTED.format(run.startedAt())
                    + where
                    + ". "
                    + stateWords(run)));
    words.setSpacing(2);
    HBox.setHgrow(words, Priority.ALWAYS);
    var pack =
        Words.button(
            "action", "Pack this run", () -> desk.readingIn().pack(run, judgement.unit().name()));
    pack.setId("pack-run");
    HBox head = new HBox(words, pack);
    head.getStyleClass().add("stage-head");
    return head;
  }

  private static String stateWords(Run run) {
    return switch (run.state()) {
      case RUNNING -> "Running now.";
      case DONE, STOPPED -> run.ending();
      case INTERRUPTED -> "Interrupted. " + run.ending();
    };
  }

  /** One entry a run, the shown one marked, and one for all drains together. */
  private Node runs(Judgement judgement) {
    FlowPane pane = new FlowPane(8, 6);
    for (TestRun run : judgement.runs()) {
      Label name = Words.line("strong", run.run().title());
      HBox entry = new HBox(name);
      if (run.run().state() != Run.State.DONE) {
        entry
            .getChildren()
            .add(Words.line("quiet", run.run().state().name().toLowerCase(Locale.ROOT)));
      }
      entry.setSpacing(10);
      entry.getStyleClass().add("row");
      Row.chosen(entry, !all && run.run().id() == shown.run().id());
      Row.make(
          entry,
          run.run().title(),
          () -> {
            all = false;
            desk.shownRun().set(run.run().id());
            rebuild();
          });
      pane.getChildren().add(entry);
    }
    if (joint(judgement)) {
      HBox entry = new HBox(Words.line("strong", "All drains together"));
      entry.getStyleClass().add("row");
      entry.setId("together");
      Row.chosen(entry, all);
      Row.make(
          entry,
          "All drains together",
          () -> {
            all = true;
            rebuild();
          });
      pane.getChildren().add(entry);
    }
    return pane;
  }

  private Node figures() {
    FlowPane pane = new FlowPane(28, 4);
    if (shown instanceof DrainRun drain) {
      CapacityFinding f = drain.finding();
      add(pane, "Delivered", f.deliveredEnergy(), Unit.WATT_HOUR);
      add(pane, "Charge", f.deliveredCharge(), Unit.AMPERE_HOUR);
      add(pane, "Yield", f.yield(), Unit.PERCENT);
      add(pane, "Mean power", f.meanPower(), Unit.WATT);
      f.duration()
          .ifPresent(d -> pane.getChildren().add(pair("Under load", Figures.duration(d.value()))));
    } else if (shown instanceof LadderRun ladder) {
      EfficiencyFinding f = ladder.finding();
      add(pane, "Peak", f.peakEfficiency(), Unit.PERCENT);
      add(pane, "at", f.peakLoad(), Unit.WATT);
      for (Weighting w : Weighting.values()) {
        add(pane, w.words(), Optional.ofNullable(f.weighted().get(w)), Unit.PERCENT);
      }
      add(pane, "No load", f.noLoad(), Unit.WATT);
      f.droop()
          .ifPresent(
              d ->
                  add(
                      pane,
                      "Volts lost at " + Figures.fixed(d.atWatts(), 0) + " W",
                      Optional.of(d.percent()),
                      Unit.PERCENT));
      if (f.goodTo() > f.goodFrom()) {
        pane.getChildren()
            .add(
                pair(
                    "Within 2 points of the peak",
                    Figures.fixed(f.goodFrom(), 0) + " to " + Figures.fixed(f.goodTo(), 0) + " W"));
      }
    }
    powerFigures(pane);
    pane.getChildren().add(pair("Readings", Figures.plain(shown.trace().size())));
    return pane;
  }

  private void powerFigures(FlowPane pane) {
    if (shown instanceof OverloadRun overload) {
      boolean tripped = overload.finding().tripTime().isPresent();
      add(pane, "First trip after", overload.finding().tripTime(), Unit.SECOND);
      add(pane, tripped ? "at" : "Held", overload.finding().heldPower(), Unit.WATT);
    } else if (shown instanceof StartsRun starts && starts.series().isPresent()) {
      StartSeries s = starts.series().get();
      pane.getChildren().add(pair("Started", s.started().count()));
      s.peakAmps().ifPresent(a -> pane.getChildren().add(pair("Peak", Figures.fixed(a, 1) + " A")));
    } else if (shown instanceof ChargeRun charged) {
      add(pane, "Energy in", charged.finding().energyIn(), Unit.WATT_HOUR);
      add(pane, "Peak", charged.finding().peakPower(), Unit.WATT);
      add(pane, "Round trip", charged.roundTrip(), Unit.PERCENT);
    } else if (shown instanceof WaveRun waves) {
      waves
          .worst()
          .ifPresent(
              w ->
                  add(
                      pane,
                      "Most distorted, " + w.where(),
                      w.finding().map(f -> f.thdF()),
                      Unit.PERCENT));
    } else if (shown instanceof TransferRun transfer) {
      add(pane, "Longest gap", transfer.longest(), Unit.MILLISECOND);
    } else if (shown instanceof PortRun port) {
      add(pane, "Carried", port.finding().mostAmps(), Unit.AMPERE);
      add(pane, "Gave", port.finding().mostWatts(), Unit.WATT);
    } else if (shown instanceof UsbRun usb) {
      add(pane, "Gave", usb.most(), Unit.WATT);
    } else if (shown instanceof HeatRun heat) {
      add(pane, "Warmed by", heat.rise().map(HeatRise::reached), Unit.KELVIN);
      add(pane, "Heading for", heat.rise().flatMap(HeatRise::heading), Unit.KELVIN);
      heat.rise().ifPresent(r -> explains(pane, r.because()));
      add(pane, "Hottest spot above the room", heat.spot().map(HotSpot::rise), Unit.KELVIN);
      heat.spot().ifPresent(s -> explains(pane, s.because()));
      add(pane, "Loudest at 1 m", heat.loudest(1), Unit.DECIBEL);
      heat.becauseOfNoise(1).ifPresent(b -> explains(pane, b));
    }
  }

  /** Has the figure that was added last open its sum. */
  private void explains(FlowPane pane, Because behind) {
    HBox pair = (HBox) pane.getChildren().get(pane.getChildren().size() - 1);
    pair.getStyleClass().add("opens");
    Row.make(pair, behind.title(), () -> because.explain(behind));
  }

  private static void add(FlowPane pane, String name, Optional<Estimate> estimate, Unit unit) {
    estimate.ifPresent(
        e -> pane.getChildren().add(pair(name, Figures.withUncertainty(e.value(), e.u95(), unit))));
  }

  private static HBox pair(String name, String figure) {
    HBox pair = new HBox(Words.line("quiet", name), Words.line("measured", figure));
    pair.setSpacing(7);
    pair.setStyle("-fx-alignment: baseline-left;");
    return pair;
  }

  /** What was noticed while it ran, and what is to be known of its figures. */
  private void showNoticed(List<Event> events) {
    noticed.getChildren().clear();
    noticed.getChildren().add(Words.of("heading", "Noticed"));
    for (Event event : events) {
      noticed.getChildren().add(row(event.seconds(), event.code(), event.words()));
    }
    double end = shown.trace().isEmpty() ? 0 : shown.trace().seconds(shown.trace().size() - 1);
    for (Warning warning : shown.warnings()) {
      if (events.stream().noneMatch(e -> e.code().equals(warning.code()))) {
        noticed.getChildren().add(row(end, "warning", warning.message()));
      }
    }
    if (shown instanceof DrainRun drain) {
      drain
          .chargeDisplay()
          .map(ChargeDisplay::words)
          .ifPresent(words -> noticed.getChildren().add(row(end, "steady", words)));
    }
    Words.shown(noticed, noticed.getChildren().size() > 1);
  }

  /** One thing noticed, as the Bench stage shows it too. */
  public static HBox row(double seconds, String code, String words) {
    Circle dot = new Circle(4);
    dot.getStyleClass()
        .add(
            switch (code) {
              case "mark", "note", "photo", "typed", "ticked", "error-code" -> "dot-mark";
              case "steady", "cut-off", "back", "resumed" -> "dot-notice";
              default -> "dot-warn";
            });
    Label text = Words.of("notice-text", words);
    HBox.setHgrow(text, Priority.ALWAYS);
    HBox row = new HBox(dot, Words.line("figure-quiet", Figures.clock(seconds)), text);
    row.setSpacing(10);
    row.getStyleClass().addAll("row", "notice");
    return row;
  }
}
