package org.wiseember.desktop.evidence;

import java.util.ArrayList;
import java.util.List;
import java.util.NoSuchElementException;
import java.util.Optional;
import javafx.scene.control.Label;
import javafx.scene.control.TextField;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;
import org.wiseember.core.capacity.RateModel;
import org.wiseember.core.figure.Explanation;
import org.wiseember.core.figure.Figure;
import org.wiseember.core.quantity.Figures;
import org.wiseember.core.typed.TypedFigure;
import org.wiseember.desktop.because.BecausePanel;
import org.wiseember.desktop.finding.FigureTable;
import org.wiseember.desktop.look.ChartPane;
import org.wiseember.desktop.look.Words;
import org.wiseember.desktop.model.Session;
import org.wiseember.trial.kind.found.Drained;
import org.wiseember.trial.verdict.Judgement;
import org.wiseember.trial.verdict.RatePicture;

/** All drains of a unit together: energy against load, read off anywhere, and what they imply. */
final class TogetherView extends VBox {
  private final Session session;
  private final BecausePanel because;
  private final ChartPane chart = new ChartPane("Energy delivered against load");
  private final TextField load = new TextField();
  private final Label read = Words.of("notice-text", "");
  private final VBox below = new VBox();
  private Judgement judgement;

  TogetherView(Session session, BecausePanel because) {
    this.session = session;
    this.because = because;
    setSpacing(10);
    below.setSpacing(6);
    below.getStyleClass().add("sheet");
    chart.setMinHeight(250);
    chart.setPrefHeight(300);
    VBox.setVgrow(chart, Priority.ALWAYS);
    load.setId("read-off-load");
    load.setPrefColumnCount(6);
    load.getStyleClass().add("typed-field");
    load.setAccessibleText("Load to read the energy off at, watts");
    load.textProperty().addListener((o, was, is) -> readOff());
    session.look().whenLookChanges(this::draw);
  }

  void of(Judgement shown) {
    judgement = shown;
    getChildren().clear();
    below.getChildren().clear();
    Optional<RateModel> rate = shown.together().rate();
    if (rate.isPresent()) {
      Label name = Words.line("strong", "Energy at a load of, W");
      name.setLabelFor(load);
      HBox.setHgrow(read, Priority.ALWAYS);
      HBox row = new HBox(name, load, read);
      row.setSpacing(10);
      row.setStyle("-fx-alignment: center-left;");
      getChildren().addAll(chart, row);
      if (load.getText().isBlank()) {
        double wanted = RatePicture.wantedLoad(shown);
        load.setText(Figures.fixed(wanted, 0).replaceAll("\\s|\u2009", ""));
      }
      draw();
    }
    getChildren().add(below);
    below.getChildren().add(table(shown));
    shown
        .together()
        .implied()
        .ifPresent(
            i ->
                below
                    .getChildren()
                    .add(
                        Words.of(
                            "notice-text",
                            "An AC and a DC drain imply an inverter of "
                                + i.efficiency().words()
                                + ". "
                                + String.join(" ", i.efficiency().because().watchOut()))));
    if (rate.isEmpty()) {
      shown.together().implied().ifPresent(i -> because.explain(Explanation.of(i.efficiency())));
    } else {
      readOff();
    }
  }

  private static FigureTable table(Judgement shown) {
    List<List<String>> rows = new ArrayList<>();
    for (Drained d : shown.drains()) {
      rows.add(
          List.of(
              d.run().title(),
              Figures.fixed(d.meanWatts(), 0) + " W",
              d.finding().deliveredEnergy().map(Figure::words).orElse("–"),
              d.finding().yield().map(Figure::words).orElse("–"),
              d.finding().displayAtEnd().map(p -> Figures.plain(p) + " %").orElse("–"),
              d.complete() ? "full to cut-off" : "not complete"));
    }
    return new FigureTable(
        List.of("Drain", "Mean", "Delivered", "Yield", "Display at end", ""), rows);
  }

  private void readOff() {
    Optional<RateModel> rate = judgement == null ? Optional.empty() : judgement.together().rate();
    if (rate.isEmpty()) {
      return;
    }
    double watts;
    try {
      watts = TypedFigure.read("Watts", load.getText(), "W", 1, 100_000).orElseThrow();
    } catch (IllegalArgumentException e) {
      read.setText(e.getMessage());
      return;
    } catch (NoSuchElementException nothing) {
      read.setText("Type the watts, as 300.");
      return;
    }
    RateModel.ReadOff off = rate.get().at(watts);
    double rated = judgement.unit().label().ratedWattHours().orElse(Double.NaN);
    String yield =
        Double.isNaN(rated)
            ? ""
            : ", " + Figures.fixed(100 * off.energy().value() / rated, 1) + " % of the label";
    read.setText(
        off.energy().words()
            + yield
            + (off.extrapolated() ? "; beyond the loads that were drained at." : "."));
    because.explain(Explanation.of(off.energy()));
  }

  private void draw() {
    if (judgement != null && judgement.together().rate().isPresent()) {
      Judgement shown = judgement;
      chart.show(() -> session.look().drawn(RatePicture.of(shown, shown.together().rate().get())));
    }
  }
}
