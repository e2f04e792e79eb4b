package org.wiseember.desktop.evidence;

import java.util.ArrayList;
import java.util.List;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;
import org.wiseember.core.efficiency.LoadPoint;
import org.wiseember.core.quantity.Figures;
import org.wiseember.desktop.app.Desk;
import org.wiseember.desktop.look.ChartPane;
import org.wiseember.desktop.look.Words;
import org.wiseember.report.chart.CurveChart;
import org.wiseember.trial.test.ladder.EfficiencyPicture;
import org.wiseember.trial.verdict.Judgement;
import org.wiseember.trial.test.ladder.LadderRun;

/** The efficiency of a ladder against its load, and the loads in a table. */
final class EfficiencyView extends VBox {
  private final Desk desk;
  private final ChartPane chart =
      new ChartPane("Efficiency against load, with the curve through it");
  private final VBox below = new VBox();
  private LadderRun run;
  private Judgement judgement;

  EfficiencyView(Desk desk) {
    this.desk = desk;
    setSpacing(10);
    below.setSpacing(6);
    below.getStyleClass().add("sheet");
    chart.setMinHeight(250);
    chart.setPrefHeight(300);
    VBox.setVgrow(chart, Priority.ALWAYS);
    getChildren().addAll(chart, below);
    desk.palette().addListener((o, was, is) -> draw());
    desk.textScale().addListener((o, was, is) -> draw());
  }

  void of(Judgement of, LadderRun shown) {
    judgement = of;
    run = shown;
    draw();
    List<List<String>> rows = new ArrayList<>();
    for (LoadPoint p : shown.finding().points()) {
      rows.add(
          List.of(
              Figures.fixed(p.acWatts(), 1) + " W",
              Figures.fixed(p.dcWatts(), 1) + " W",
              Figures.withUncertainty(p.efficiency().value(), p.efficiency().u95()) + " %",
              p.acVolts().isPresent() ? Figures.fixed(p.acVolts().getAsDouble(), 1) + " V" : "–",
              shownWatts(p),
              Figures.plain(p.repeats())));
    }
    below
        .getChildren()
        .setAll(
            new FigureTable(
                List.of("Out", "In", "Efficiency", "Output", "Display", "Times"), rows));
    shown
        .powerDisplay()
        .ifPresent(d -> below.getChildren().add(Words.of("quiet", String.join(" ", d.words()))));
  }

  /** What the unit's display showed, and by how much that was off. */
  private static String shownWatts(LoadPoint p) {
    if (p.displayWatts().isEmpty()) {
      return "–";
    }
    double shown = p.displayWatts().getAsDouble();
    double off = shown - p.acWatts();
    return Figures.fixed(shown, 0)
        + " W, "
        + (shown < 0.5 ? "nothing" : (off >= 0 ? "+" : "") + Figures.fixed(off, 0));
  }

  private void draw() {
    if (run != null) {
      chart.show(
          () ->
              CurveChart.of(
                  EfficiencyPicture.of(judgement, run),
                  desk.palette().get(),
                  desk.textScale().get()));
    }
  }
}
