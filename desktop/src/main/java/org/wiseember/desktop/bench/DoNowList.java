package org.wiseember.desktop.bench;

import java.util.ArrayList;
import java.util.List;
import javafx.scene.control.CheckBox;
import javafx.scene.input.KeyCode;
import javafx.scene.layout.VBox;
import org.wiseember.bench.procedure.DoNow;
import org.wiseember.desktop.app.Desk;
import org.wiseember.desktop.look.Words;

/** What a person does, with a box to tick and the caution beside what can hurt. */
final class DoNowList extends VBox {
  private final Desk desk;
  private List<DoNow> shown = List.of();
  private boolean loadAsked;

  DoNowList(Desk desk) {
    this.desk = desk;
    setSpacing(7);
  }

  /**
   * Shows some steps.
   *
   * @param switchLoad words for switching the load by hand; empty where that is not asked
   */
  void show(List<DoNow> steps, String switchLoad) {
    boolean asked = !switchLoad.isEmpty();
    if (steps.equals(shown) && asked == loadAsked) {
      return;
    }
    shown = steps;
    loadAsked = asked;
    List<javafx.scene.Node> nodes = new ArrayList<>();
    nodes.add(Words.of("heading", "Do now"));
    if (asked) {
      VBox box = new VBox(Words.of("strong", switchLoad));
      box.getStyleClass().add("do-now");
      nodes.add(box);
    }
    for (DoNow step : steps) {
      CheckBox box = new CheckBox(step.text());
      box.setWrapText(true);
      box.setMinHeight(USE_PREF_SIZE);
      box.setSelected(desk.bench().ticked().contains(step.text()));
      box.selectedProperty().addListener((o, was, is) -> desk.bench().tick(step.text(), is));
      // While a run goes Space marks a moment, so Enter ticks.
      box.setOnKeyPressed(
          e -> {
            if (e.getCode() == KeyCode.ENTER) {
              box.setSelected(!box.isSelected());
              e.consume();
            }
          });
      nodes.add(box);
      if (!step.caution().isEmpty()) {
        VBox caution = new VBox(Words.of("strong", "Take care"), Words.of("care", step.caution()));
        caution.getStyleClass().add("caution");
        nodes.add(caution);
      }
    }
    getChildren().setAll(nodes);
  }
}
