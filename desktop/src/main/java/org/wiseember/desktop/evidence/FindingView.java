package org.wiseember.desktop.evidence;

import java.util.List;
import java.util.function.Supplier;
import javafx.scene.Node;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;
import org.jfree.chart.JFreeChart;
import org.wiseember.desktop.app.Desk;
import org.wiseember.desktop.look.ChartPane;
import org.wiseember.desktop.look.Words;

/** A chart with a table and sentences under it: how most findings are looked at. */
final class FindingView extends VBox {
  private final ChartPane chart;
  private final VBox below = new VBox();
  private Supplier<JFreeChart> maker;

  /**
   * Makes it.
   *
   * @param description what a screen reader says of the chart
   */
  FindingView(Desk desk, String description) {
    chart = new ChartPane(description);
    setSpacing(10);
    below.setSpacing(6);
    below.getStyleClass().add("sheet");
    size(desk.textScale().get());
    VBox.setVgrow(chart, Priority.ALWAYS);
    getChildren().addAll(chart, below);
    desk.palette().addListener((o, was, is) -> draw());
    desk.textScale()
        .addListener(
            (o, was, is) -> {
              size(is.doubleValue());
              draw();
            });
  }

  /** Larger words want a larger chart. */
  private void size(double scale) {
    chart.setMinHeight(270 * Math.sqrt(scale));
    chart.setPrefHeight(320 * Math.sqrt(scale));
  }

  /**
   * Shows a finding.
   *
   * @param picture null for none
   * @param table null for none
   * @param sentences under it
   */
  void show(Supplier<JFreeChart> picture, FigureTable table, List<String> sentences) {
    maker = picture;
    Words.shown(chart, picture != null);
    below.getChildren().clear();
    if (table != null) {
      below.getChildren().add(table);
    }
    sentences.forEach(s -> below.getChildren().add(Words.of("notice-text", s)));
    Words.shown(below, !below.getChildren().isEmpty());
    draw();
  }

  /** Adds something of its own under the sentences. */
  void add(Node node) {
    below.getChildren().add(node);
    Words.shown(below, true);
  }

  /** Draws the chart anew, where what it shows has changed. */
  void redraw() {
    draw();
  }

  private void draw() {
    if (maker != null) {
      chart.show(maker);
    }
  }
}
