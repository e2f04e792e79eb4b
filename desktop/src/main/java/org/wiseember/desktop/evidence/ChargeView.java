package org.wiseember.desktop.evidence;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;
import org.wiseember.core.charge.ChargeFinding;
import org.wiseember.core.quantity.Figures;
import org.wiseember.core.quantity.Unit;
import org.wiseember.core.uncertainty.Estimate;
import org.wiseember.desktop.app.Desk;
import org.wiseember.report.chart.CurveChart;
import org.wiseember.trial.ChargePicture;
import org.wiseember.trial.ChargeRun;

/** A charge: watts in over time with its knee, and its figures. */
final class ChargeView extends VBox {
  private final Desk desk;
  private final FindingView finding;

  ChargeView(Desk desk) {
    this.desk = desk;
    finding = new FindingView(desk, "Watts into the unit over time");
    VBox.setVgrow(finding, Priority.ALWAYS);
    getChildren().add(finding);
  }

  void of(ChargeRun run) {
    ChargeFinding f = run.finding();
    List<List<String>> rows = new ArrayList<>();
    row(rows, "Energy in", f.energyIn(), Unit.WATT_HOUR);
    row(rows, "Most, over half a minute", f.peakPower(), Unit.WATT);
    row(rows, "Energy in when it begins to taper", f.taperShare(), Unit.PERCENT);
    time(rows, "Begins to taper after", f.taperStart());
    time(rows, "80 % of the energy after", f.timeTo80());
    time(rows, "Full after", f.timeToFull());
    row(rows, "Round trip", run.roundTrip(), Unit.PERCENT);
    finding.show(
        f.energyIn().isEmpty()
            ? null
            : () ->
                CurveChart.of(ChargePicture.of(run), desk.palette().get(), desk.textScale().get()),
        rows.isEmpty() ? null : new FigureTable(List.of("Charge", ""), rows),
        run.words());
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
