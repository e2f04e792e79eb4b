package org.wiseember.desktop.bench;

import java.util.List;
import javafx.scene.layout.HBox;
import javafx.scene.layout.VBox;
import org.wiseember.bench.procedure.DoNow;
import org.wiseember.desktop.look.Words;
import org.wiseember.trial.kind.TestPlan;

/** Before a test starts: what it will ask for, one thing after the other. */
final class HowItGoes extends VBox {
  private static final int MOST = 9;

  HowItGoes() {
    getStyleClass().add("sheet");
    setSpacing(6);
    setId("how-it-goes");
  }

  /** Of a test, as it goes by hand or by itself. */
  void show(TestPlan plan, boolean byHand) {
    List<String> steps =
        byHand
            ? plan.settings().byHand().outline()
            : plan.procedure().steps().stream()
                .filter(s -> s.when() != DoNow.When.BEFORE)
                .map(DoNow::text)
                .toList();
    getChildren().setAll(Words.of("heading", "How it goes"));
    getChildren().add(Words.of("quiet", plan.settings().ends(byHand)));
    int shown = Math.min(steps.size(), steps.size() > MOST + 1 ? MOST : MOST + 1);
    for (int i = 0; i < shown; i++) {
      HBox row =
          new HBox(8, Words.line("figure-quiet", (i + 1) + "."), Words.of("figure", steps.get(i)));
      getChildren().add(row);
    }
    if (shown < steps.size()) {
      getChildren().add(Words.of("quiet", "And so on, " + steps.size() + " steps in all."));
    }
  }
}
