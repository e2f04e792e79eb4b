package org.wiseember.desktop.evidence;

import javafx.beans.property.ObjectProperty;
import javafx.beans.property.SimpleObjectProperty;
import javafx.scene.control.Label;
import javafx.scene.layout.HBox;
import javafx.scene.layout.VBox;
import org.wiseember.core.start.Nameplate;
import org.wiseember.core.start.StartForecast;
import org.wiseember.desktop.bench.MotorForm;
import org.wiseember.desktop.bench.TestForms;
import org.wiseember.desktop.look.Words;
import org.wiseember.desktop.model.Session;
import org.wiseember.trial.verdict.Judgement;

/** A motor's plate, and whether the unit starts it by what it has shown so far. */
final class WillItStart extends VBox {
  private final ObjectProperty<Nameplate> plate;
  private final Label likely = Words.line("strong", "");
  private final Label reason = Words.of("notice-text", "");
  private Judgement judgement;

  WillItStart(Session session) {
    plate = new SimpleObjectProperty<>(TestForms.motorOnHand(session));
    setSpacing(6);
    HBox answer = new HBox(likely, reason);
    answer.setSpacing(10);
    answer.setStyle("-fx-alignment: baseline-left;");
    likely.setId("will-it-start");
    getChildren()
        .addAll(
            Words.of("heading", "Will it start your motor?"),
            new MotorForm(plate, "ask-", trouble -> {}),
            answer);
    plate.addListener((o, was, is) -> say());
  }

  void of(Judgement shown) {
    judgement = shown;
    say();
  }

  private void say() {
    if (judgement != null) {
      StartForecast answer = judgement.startLimits().start(plate.get());
      likely.setText(plate.get().name() + ": " + answer.likely().words());
      reason.setText(answer.reason());
    }
  }
}
