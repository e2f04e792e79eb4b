package org.wiseember.desktop.evidence;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Supplier;
import javafx.beans.property.ObjectProperty;
import javafx.beans.property.SimpleObjectProperty;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;
import org.jfree.chart.JFreeChart;
import org.wiseember.core.charge.ChargeFinding;
import org.wiseember.core.charge.Inlet;
import org.wiseember.core.quantity.Figures;
import org.wiseember.core.quantity.Unit;
import org.wiseember.core.solar.Port;
import org.wiseember.core.uncertainty.Estimate;
import org.wiseember.desktop.app.Desk;
import org.wiseember.desktop.because.BecausePanel;
import org.wiseember.desktop.look.Choices;
import org.wiseember.desktop.look.Words;
import org.wiseember.report.chart.InputWindowChart;
import org.wiseember.report.chart.ProfileChart;
import org.wiseember.trial.test.charge.ChargePicture;
import org.wiseember.trial.test.charge.ChargeRun;
import org.wiseember.trial.test.charge.InputWindowPicture;
import org.wiseember.trial.verdict.Judgement;
import org.wiseember.trial.test.LabelInputs;

/** A charge: watts in over time with what bound them, or all charges against what went in. */
final class ChargeView extends VBox {
  private enum Look {
    THIS,
    ALL,
    WINDOW
  }

  private final Desk desk;
  private final BecausePanel because;
  private final FindingView finding;
  private final ObjectProperty<Look> look = new SimpleObjectProperty<>(Look.THIS);
  private final FlowPane looks;
  private Judgement judgement;
  private ChargeRun shown;

  ChargeView(Desk desk, BecausePanel because) {
    this.desk = desk;
    this.because = because;
    finding = new FindingView(desk, "Watts into the unit, and what bound them");
    Map<Look, String> words = new LinkedHashMap<>();
    words.put(Look.THIS, "This charge over time");
    words.put(Look.ALL, "All charges, by energy in");
    words.put(Look.WINDOW, "Input window");
    looks = Choices.row("Profile", "profile-", words, look);
    setSpacing(8);
    VBox.setVgrow(finding, Priority.ALWAYS);
    getChildren().addAll(looks, finding);
    look.addListener((o, was, is) -> show());
  }

  void of(Judgement judged, ChargeRun run) {
    judgement = judged;
    shown = run;
    Words.shown(looks, charges().size() > 1 || window().isPresent());
    looks.getChildren().stream()
        .filter(n -> ("profile-" + Look.WINDOW).equals(n.getId()))
        .forEach(n -> Words.shown(n, window().isPresent()));
    if (look.get() == Look.WINDOW && window().isEmpty()) {
      look.set(Look.THIS);
    }
    show();
  }

  private List<ChargeRun> charges() {
    return judgement.runs().stream()
        .filter(ChargeRun.class::isInstance)
        .map(ChargeRun.class::cast)
        .filter(r -> r.finding().energyIn().isPresent())
        .toList();
  }

  /** The port a charge through the DC input went into; empty for another charge. */
  private Optional<Port> window() {
    return shown.limits().flatMap(l -> l.band(Inlet.DC)).isPresent()
        ? LabelInputs.port(judgement.unit().label())
        : Optional.empty();
  }

  private void show() {
    if (shown == null) {
      return;
    }
    ChargeFinding f = shown.finding();
    List<List<String>> rows = new ArrayList<>();
    row(rows, "Energy in", f.energyIn(), Unit.WATT_HOUR);
    row(rows, "Most, over half a minute", f.peakPower(), Unit.WATT);
    row(rows, "Mean", f.meanPower(), Unit.WATT);
    row(rows, "Energy in when it begins to taper", f.taperShare(), Unit.PERCENT);
    time(rows, "Begins to taper after", f.taperStart());
    time(rows, "80 % of the energy after", f.timeTo80());
    time(rows, "Full after", f.timeToFull());
    row(rows, "Round trip", shown.roundTrip(), Unit.PERCENT);
    ChargeRun run = shown;
    boolean all = look.get() == Look.ALL && charges().size() > 1;
    Optional<Port> port = window();
    Supplier<JFreeChart> picture =
        look.get() == Look.WINDOW && port.isPresent()
            ? () ->
                InputWindowChart.of(
                    InputWindowPicture.of(port.get(), run),
                    desk.palette().get(),
                    desk.textScale().get())
            : () ->
                ProfileChart.of(
                    all ? ChargePicture.allOf(charges()) : ChargePicture.of(run),
                    desk.palette().get(),
                    desk.textScale().get());
    finding.show(
        f.energyIn().isEmpty() ? null : picture,
        rows.isEmpty() ? null : new FigureTable(List.of("Charge", ""), rows),
        shown.words());
    shown
        .harvest()
        .ifPresent(
            h -> {
              var button =
                  Words.button(
                      "action", "How the harvest was scaled", () -> because.explain(h.because()));
              button.setId("harvest-because");
              finding.add(button);
            });
  }

  private static void row(
      List<List<String>> rows, String name, Optional<Estimate> estimate, Unit unit) {
    estimate.ifPresent(
        e -> rows.add(List.of(name, Figures.withUncertainty(e.value(), e.u95(), unit))));
  }

  private static void time(List<List<String>> rows, String name, Optional<Estimate> seconds) {
    seconds.ifPresent(t -> rows.add(List.of(name, Figures.duration(t.value()))));
  }
}
