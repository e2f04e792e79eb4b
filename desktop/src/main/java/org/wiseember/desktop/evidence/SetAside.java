package org.wiseember.desktop.evidence;

import javafx.scene.control.Label;
import javafx.scene.control.TextField;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import org.wiseember.desktop.look.Words;
import org.wiseember.desktop.model.Session;
import org.wiseember.trial.kind.TestRun;

/** Has a run count for nothing, with a reason, or count again. */
final class SetAside extends HBox {
  private final Session session;
  private final TextField reason = new TextField();
  private TestRun run;

  SetAside(Session session) {
    this.session = session;
    setSpacing(8);
    setStyle("-fx-alignment: center-left;");
    reason.setId("set-aside-reason");
    reason.setPromptText("Why, as: the wrong heater was on");
    reason.setAccessibleText("Why this run is set aside");
    reason.setPrefColumnCount(24);
    reason.setOnAction(e -> decide());
  }

  /** Shows why a run is aside, or nothing for one that counts. */
  void of(TestRun shown) {
    run = shown;
    reason.clear();
    getStyleClass().removeAll("caution");
    getChildren().clear();
    run.unreadable().ifPresent(this::tell);
    if (run.treatment().aside()) {
      tell("Set aside, it counts for nothing: " + run.treatment().setAside() + ".");
      var back = Words.button("action", "Include", () -> session.decisions().takeBack(run));
      back.setId("take-back-run");
      getChildren().add(back);
    }
    Words.shown(this, run.aside());
  }

  private void tell(String sentence) {
    Label why = Words.of("care", sentence);
    HBox.setHgrow(why, Priority.ALWAYS);
    why.setMaxWidth(Double.MAX_VALUE);
    if (!getStyleClass().contains("caution")) {
      getStyleClass().add("caution");
    }
    getChildren().add(why);
  }

  /** Asks why. */
  void ask() {
    var set = Words.button("action", "Exclude", this::decide);
    set.setId("set-aside-now");
    getChildren().setAll(Words.line("strong", "Exclude this run"), reason, set);
    Words.shown(this, true);
    reason.requestFocus();
  }

  private void decide() {
    session.decisions().setAside(run, reason.getText());
  }
}
