package org.wiseember.desktop.evidence;

import java.util.OptionalDouble;
import java.util.function.DoubleFunction;
import java.util.regex.Pattern;
import javafx.scene.Node;
import javafx.scene.control.Label;
import javafx.scene.control.TextField;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;
import org.wiseember.core.quantity.Figures;
import org.wiseember.core.trace.Treatment;
import org.wiseember.core.typed.TypedFigure;
import org.wiseember.desktop.look.Words;
import org.wiseember.desktop.model.Session;
import org.wiseember.trial.kind.TestRun;
import org.wiseember.trial.kind.Trait;

/** What was decided about a run, each with a way back, and the corrections a drain may need. */
final class DecisionList extends VBox {
  private static final Pattern OHMS = Pattern.compile("(?i)\\s*(ohms?|Ω)$");
  private static final double MOST = 1_000_000;

  private final Session session;
  private TestRun run;

  DecisionList(Session session) {
    this.session = session;
    setSpacing(4);
  }

  void of(TestRun shown) {
    run = shown;
    getChildren().clear();
    Treatment treatment = run.treatment();
    for (Treatment.LeftOut stretch : treatment.leftOut()) {
      String span = Figures.clock(stretch.from()) + " to " + Figures.clock(stretch.to());
      row(
          "Left out from " + span + ": " + stretch.reason() + ".",
          "Put it back",
          () ->
              session.decisions().decide(run, treatment.puttingBack(stretch), span + " put back"));
    }
    treatment
        .cutoff()
        .ifPresent(
            moment ->
                row(
                    "Cut-off set by hand to " + Figures.clock(moment) + ".",
                    "Back to the one seen",
                    () ->
                        session
                            .decisions()
                            .decide(
                                run,
                                treatment.withCutoff(OptionalDouble.empty()),
                                "Cut-off back to the one seen")));
    boolean drain = run.type().is(Trait.DRAINS);
    boolean leads = run.throughLeads();
    if (drain || leads) {
      getChildren().add(corrections(drain, leads));
    }
  }

  private void row(String words, String back, Runnable put) {
    Label text = Words.of("notice-text", words);
    HBox.setHgrow(text, Priority.ALWAYS);
    text.setMaxWidth(Double.MAX_VALUE);
    var button = Words.button("action", back, put);
    button.getStyleClass().add("put-back");
    HBox row = new HBox(text, button);
    row.setSpacing(10);
    row.getStyleClass().add("row");
    getChildren().add(row);
  }

  private Node corrections(boolean drain, boolean leads) {
    FlowPane fields = new FlowPane(10, 6);
    Treatment t = run.treatment();
    if (drain) {
      fields
          .getChildren()
          .add(
              field(
                  "radio-watts",
                  "Radio or app left on, W",
                  t.standingWatts(),
                  t::withStandingWatts));
    }
    if (leads) {
      fields
          .getChildren()
          .add(field("lead-ohms", "Leads before the meter, Ω", t.leadOhms(), t::withLeadOhms));
    }
    return fields;
  }

  private Node field(String id, String name, double value, DoubleFunction<Treatment> with) {
    TextField field = new TextField(value > 0 ? Figures.plain(value) : "");
    field.setId(id);
    field.setPromptText("0");
    field.setPrefColumnCount(4);
    field.getStyleClass().add("typed-field");
    field.setAccessibleText(name);
    field.setOnAction(e -> take(name, field.getText(), with));
    Label label = Words.line("quiet", name);
    label.setLabelFor(field);
    HBox pair = new HBox(label, field);
    pair.setSpacing(7);
    pair.setStyle("-fx-alignment: center-left;");
    return pair;
  }

  private void take(String name, String typed, DoubleFunction<Treatment> with) {
    String clean = OHMS.matcher(typed.strip()).replaceFirst("");
    double value;
    try {
      value = TypedFigure.read(name, clean, name.endsWith("W") ? "W" : "", 0, MOST).orElse(0);
    } catch (IllegalArgumentException e) {
      session.open().say(e.getMessage());
      return;
    }
    try {
      session
          .decisions()
          .decide(
              run, with.apply(value), name + (value > 0 ? ": " + Figures.plain(value) : ": none"));
    } catch (IllegalArgumentException e) {
      session
          .open()
          .say(Character.toUpperCase(e.getMessage().charAt(0)) + e.getMessage().substring(1) + ".");
    }
  }
}
