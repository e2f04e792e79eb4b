package org.wiseember.desktop.bench;

import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;
import org.wiseember.core.quantity.ReaderUnits;
import org.wiseember.core.quantity.Unit;
import org.wiseember.core.trace.Channel;
import org.wiseember.core.typed.TypedKind;
import org.wiseember.desktop.look.ChartPane;
import org.wiseember.desktop.look.Words;
import org.wiseember.desktop.model.LiveRun;
import org.wiseember.desktop.model.Session;
import org.wiseember.report.drawing.CurveDrawing;
import org.wiseember.workbook.StoredReading;

/** What was written most often in a test by hand, over time, once there is something to draw. */
final class HandChart extends VBox {
  /** Fewer points tell no course. */
  private static final int ENOUGH = 3;

  private static final double ROOM_ABOVE = 1.12;

  private final Session session;
  private final ChartPane chart = new ChartPane("What was written so far, over time");
  private List<StoredReading> shown = List.of();

  HandChart(Session session) {
    this.session = session;
    setId("hand-chart");
    chart.setMinHeight(120);
    chart.setPrefHeight(150);
    VBox.setVgrow(chart, Priority.ALWAYS);
    getChildren().add(chart);
    Words.shown(this, false);
    session.look().whenLookChanges(this::draw);
  }

  void show(LiveRun run) {
    List<StoredReading> most =
        run.plan().settings().typed().stream()
            .map(TypedKind::channel)
            .flatMap(Optional::stream)
            .distinct()
            .map(channel -> of(run, channel))
            .max(Comparator.comparingInt(List::size))
            .orElse(List.of());
    List<StoredReading> now = most.size() >= ENOUGH ? most : List.of();
    if (!now.equals(shown)) {
      shown = now;
      Words.shown(this, !shown.isEmpty());
      draw();
    }
  }

  private static List<StoredReading> of(LiveRun run, Channel channel) {
    return run.typed().stream()
        .filter(r -> r.channel() == channel)
        .sorted(Comparator.comparingDouble(StoredReading::seconds))
        .toList();
  }

  private void draw() {
    if (shown.isEmpty()) {
      chart.show(null);
      return;
    }
    Channel channel = shown.get(0).channel();
    Unit unit = channel.unit();
    ReaderUnits units = session.look().units().get();
    List<CurveDrawing.Point> points =
        shown.stream()
            .map(
                r ->
                    new CurveDrawing.Point(
                        r.seconds() / 60,
                        units.shown(r.value(), unit),
                        units.shownDifference(r.resolution(), unit) / 2))
            .toList();
    double most = points.stream().mapToDouble(CurveDrawing.Point::y).max().orElse(1);
    double least = points.stream().mapToDouble(CurveDrawing.Point::y).min().orElse(0);
    CurveDrawing drawing =
        new CurveDrawing(
            "time, min",
            channel.words() + (unit.symbol().isEmpty() ? "" : ", " + units.symbol(unit)),
            points,
            List.of(),
            Double.NaN,
            "",
            List.of(),
            Math.min(0, ROOM_ABOVE * least),
            Math.max(1e-3, ROOM_ABOVE * most));
    chart.show(() -> session.look().drawn(drawing));
  }
}
