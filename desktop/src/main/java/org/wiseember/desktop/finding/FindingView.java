package org.wiseember.desktop.finding;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import javafx.beans.property.ObjectProperty;
import javafx.beans.property.SimpleObjectProperty;
import javafx.scene.Node;
import javafx.scene.layout.VBox;
import org.wiseember.desktop.look.ChartPane;
import org.wiseember.desktop.look.Choices;
import org.wiseember.desktop.look.Words;
import org.wiseember.desktop.model.Session;
import org.wiseember.report.drawing.Drawing;
import org.wiseember.report.page.FindingPage;

/**
 * Draws what a run found: its charts, tables and sentences, in their order. Charts that share a
 * name are looked at one at a time.
 */
public final class FindingView extends VBox {
  private final Session session;
  private final List<Runnable> redraw = new ArrayList<>();

  public FindingView(Session session) {
    this.session = session;
    setSpacing(10);
    session.look().whenLookChanges(() -> redraw.forEach(Runnable::run));
  }

  /** Draws a page in place of the one before. */
  public void of(FindingPage page) {
    redraw.clear();
    getChildren().clear();
    Map<String, List<FindingPage.Chart>> rows = new LinkedHashMap<>();
    page.charts().stream()
        .filter(c -> !c.name().isEmpty())
        .forEach(c -> rows.computeIfAbsent(c.name(), n -> new ArrayList<>()).add(c));
    VBox sheet = null;
    for (FindingPage.Part part : page.parts()) {
      if (part instanceof FindingPage.Chart chart) {
        sheet = null;
        chart(chart, rows);
      } else {
        if (sheet == null) {
          sheet = new VBox();
          sheet.setSpacing(6);
          sheet.getStyleClass().add("sheet");
          getChildren().add(sheet);
        }
        written(sheet, part);
      }
    }
  }

  private void chart(FindingPage.Chart chart, Map<String, List<FindingPage.Chart>> rows) {
    if (chart.name().isEmpty()) {
      draw(List.of(chart), new SimpleObjectProperty<>(0));
      return;
    }
    List<FindingPage.Chart> several = rows.remove(chart.name());
    if (several == null) {
      return;
    }
    ObjectProperty<Integer> chosen = new SimpleObjectProperty<>(0);
    if (several.size() > 1) {
      Map<Integer, String> words = new LinkedHashMap<>();
      several.forEach(c -> words.put(words.size(), c.choice()));
      getChildren().add(Choices.row(chart.name(), "chart-", words, chosen));
    }
    draw(several, chosen);
  }

  private void draw(List<FindingPage.Chart> charts, ObjectProperty<Integer> chosen) {
    ChartPane pane = new ChartPane("What the run found, as a chart");
    Runnable draw =
        () -> {
          double scale = session.look().textScale().get();
          // Larger words want a larger chart.
          pane.setMinHeight(270 * Math.sqrt(scale));
          pane.setPrefHeight(320 * Math.sqrt(scale));
          Drawing drawing = charts.get(chosen.get()).drawing();
          pane.show(() -> session.look().drawn(drawing));
        };
    chosen.addListener((o, was, is) -> draw.run());
    redraw.add(draw);
    draw.run();
    getChildren().add(pane);
  }

  private static void written(VBox sheet, FindingPage.Part part) {
    if (part instanceof FindingPage.Table table) {
      sheet.getChildren().add(new FigureTable(table.heads(), table.rows()));
    } else if (part instanceof FindingPage.Sentences said) {
      said.words().forEach(w -> sheet.getChildren().add(Words.of("notice-text", w)));
    }
  }

  /** Adds something of its own below. */
  public void add(Node node) {
    getChildren().add(node);
  }
}
