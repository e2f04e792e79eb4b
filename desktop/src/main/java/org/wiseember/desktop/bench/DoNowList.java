package org.wiseember.desktop.bench;

import java.util.ArrayList;
import java.util.List;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.CheckBox;
import javafx.scene.layout.VBox;
import org.wiseember.bench.procedure.DoNow;
import org.wiseember.desktop.look.InUnits;
import org.wiseember.desktop.look.Words;
import org.wiseember.desktop.model.Session;

/** What a person does, with a box to tick and the caution beside what can hurt. */
final class DoNowList extends VBox {
  private final Session session;
  private final CautionsInSight inSight;
  private List<DoNow> shown = List.of();
  private String asked = "";

  DoNowList(Session session) {
    this.session = session;
    this.inSight = new CautionsInSight(session);
    setSpacing(7);
  }

  /**
   * Shows some steps.
   *
   * @param ask what has to be done by hand right now; empty for nothing
   * @param waits whether the test waits until that is said to be done
   */
  void show(List<DoNow> steps, String ask, boolean waits) {
    if (steps.equals(shown) && ask.equals(asked)) {
      return;
    }
    shown = steps;
    asked = ask;
    List<Node> nodes = new ArrayList<>();
    List<Node> cautions = new ArrayList<>();
    nodes.add(Words.of("heading", "Do now"));
    if (!ask.isEmpty()) {
      VBox box = new VBox(Words.of("strong", ask + (ask.endsWith(".") ? "" : ".")));
      box.getStyleClass().add("do-now");
      if (waits) {
        Button go = Words.button("action-main", "Done, go on", session.bench()::confirm);
        go.setId("go-ahead");
        box.setSpacing(8);
        box.getChildren().add(go);
      }
      nodes.add(box);
    }
    for (DoNow step : steps) {
      CheckBox box = InUnits.telling(new CheckBox(step.text()));
      box.setWrapText(true);
      box.setMinHeight(USE_PREF_SIZE);
      box.setSelected(session.bench().ticked().contains(step.text()));
      box.selectedProperty().addListener((o, was, is) -> session.bench().tick(step.text(), is));
      // While a run goes Space marks a moment, so Enter ticks.
      Words.enterPresses(box);
      nodes.add(box);
      if (!step.caution().isEmpty()) {
        VBox caution = new VBox(Words.of("strong", "Take care"), Words.of("care", step.caution()));
        caution.getStyleClass().add("caution");
        nodes.add(caution);
        cautions.add(caution);
      }
    }
    // A heading with nothing under it asks for nothing.
    getChildren().setAll(nodes.size() > 1 ? nodes : List.of());
    if (!session.bench().going()) {
      inSight.of(session.bench().test().get(), cautions);
    }
  }
}
