package org.wiseember.desktop.evidence;

import java.util.List;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;
import org.wiseember.desktop.look.ChartPane;
import org.wiseember.desktop.model.Session;
import org.wiseember.report.drawing.TraceDrawing;
import org.wiseember.trial.kind.TestRun;
import org.wiseember.trial.page.RunTrace;
import org.wiseember.workbook.Event;

/** The trace of a run with its cursors, and what is decided about it. */
final class TraceView extends VBox {
  private final Session session;
  private final ChartPane chart = new ChartPane("Power and case temperature over the run");
  private final Cursors cursors = new Cursors(chart);
  private final StretchBar stretch;
  private final DecisionList decisions;
  private TestRun run;
  private List<Event> events = List.of();

  TraceView(Session session) {
    this.session = session;
    stretch = new StretchBar(session, cursors);
    decisions = new DecisionList(session);
    setSpacing(10);
    chart.setMinHeight(230);
    chart.setPrefHeight(300);
    VBox.setVgrow(cursors, Priority.ALWAYS);
    getChildren().addAll(cursors, stretch, decisions);
    session.look().whenLookChanges(this::draw);
  }

  void of(TestRun shown, List<Event> noticed) {
    run = shown;
    events = noticed;
    draw();
    stretch.of(shown);
    decisions.of(shown);
  }

  private void draw() {
    if (run == null) {
      return;
    }
    TraceDrawing figure = RunTrace.of(run, events);
    double begin = run.trace().isEmpty() ? 0 : run.trace().seconds(0);
    double end = begin + run.trace().span();
    chart.show(() -> session.look().drawn(figure));
    cursors.over(begin, end, figure.axisSeconds());
  }
}
