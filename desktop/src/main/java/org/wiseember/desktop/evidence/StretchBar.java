package org.wiseember.desktop.evidence;

import java.util.OptionalDouble;
import javafx.scene.control.Label;
import javafx.scene.control.TextField;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.VBox;
import org.wiseember.core.quantity.Figures;
import org.wiseember.core.quantity.Unit;
import org.wiseember.core.trace.Channel;
import org.wiseember.core.trace.TraceStretch;
import org.wiseember.core.trace.Treatment;
import org.wiseember.desktop.look.Words;
import org.wiseember.desktop.model.Session;
import org.wiseember.trial.kind.TestRun;
import org.wiseember.trial.kind.Trait;

/** What lies between the cursors, and what can be decided about it. */
final class StretchBar extends VBox {
  private final Session session;
  private final Cursors cursors;
  private final FlowPane figures = new FlowPane(22, 4);
  private final TextField reason = new TextField();
  private TestRun run;

  StretchBar(Session session, Cursors cursors) {
    this.session = session;
    this.cursors = cursors;
    getStyleClass().add("sheet");
    setSpacing(8);
    reason.setId("leave-out-reason");
    reason.setPromptText("Why, as: loose lead");
    reason.setAccessibleText("Why this stretch is left out");
    reason.setPrefColumnCount(16);
    reason.setOnAction(e -> leaveOut());
    cursors.at(0).addListener((o, was, is) -> show());
    cursors.at(1).addListener((o, was, is) -> show());
  }

  void of(TestRun shown) {
    run = shown;
    FlowPane actions = new FlowPane(8, 6);
    actions.getChildren().add(reason);
    var leave = Words.button("action", "Exclude this stretch", this::leaveOut);
    leave.setId("leave-out");
    actions.getChildren().add(leave);
    if (shown.type().is(Trait.DRAINS)) {
      var cut = Words.button("action", "Cut off at the later cursor", this::cutOff);
      cut.setId("cut-off-here");
      actions.getChildren().add(cut);
    }
    getChildren().setAll(figures, actions);
    show();
  }

  private TraceStretch stretch() {
    return TraceStretch.between(
        run.watts(),
        run.trace().series(Channel.DC_CURRENT),
        cursors.at(0).get(),
        cursors.at(1).get());
  }

  private void show() {
    if (run == null || Double.isNaN(cursors.at(1).get())) {
      return;
    }
    TraceStretch s = stretch();
    figures
        .getChildren()
        .setAll(
            Words.line("strong", "Between the cursors"),
            pair(
                Figures.clock(s.from()) + " to " + Figures.clock(s.to()),
                Figures.duration(s.seconds())),
            pair("energy", Figures.fixed(s.wattHours(), s.wattHours() < 10 ? 2 : 1) + " Wh"));
    if (!Double.isNaN(s.ampHours())) {
      figures.getChildren().add(pair("charge", Figures.fixed(s.ampHours(), 2) + " Ah"));
    }
    figures
        .getChildren()
        .addAll(
            pair("mean", Figures.fixed(s.meanWatts(), 1) + " W"),
            pair(
                "least and most",
                Figures.plain(s.leastWatts()) + " and " + Figures.plain(s.mostWatts(), Unit.WATT)));
  }

  private static javafx.scene.Node pair(String name, String figure) {
    Label words = Words.line("quiet", name);
    javafx.scene.layout.HBox pair =
        new javafx.scene.layout.HBox(words, Words.line("figure", figure));
    pair.setSpacing(6);
    pair.setStyle("-fx-alignment: baseline-left;");
    return pair;
  }

  private void leaveOut() {
    String why = reason.getText().strip();
    TraceStretch s = stretch();
    if (why.isEmpty()) {
      session.open().say("Say why the stretch is left out; whoever reads the figure will ask.");
      reason.requestFocus();
      return;
    }
    if (!(s.seconds() > 0)) {
      session.open().say("The cursors stand on the same moment. Move one of them first.");
      return;
    }
    reason.clear();
    Treatment treatment = run.treatment().leavingOut(new Treatment.LeftOut(s.from(), s.to(), why));
    session
        .decisions()
        .decide(
            run, treatment, Figures.clock(s.from()) + " to " + Figures.clock(s.to()) + " left out");
  }

  private void cutOff() {
    double moment = stretch().to();
    session
        .decisions()
        .decide(
            run,
            run.treatment().withCutoff(OptionalDouble.of(moment)),
            "Cut-off moved to " + Figures.clock(moment));
  }
}
