package org.wiseember.desktop.bench;

import java.util.List;
import javafx.scene.control.Label;
import javafx.scene.layout.ColumnConstraints;
import javafx.scene.layout.GridPane;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;
import org.wiseember.desktop.look.Words;
import org.wiseember.trial.test.Known;

/** What is known so far in a test by hand, and what nobody has read yet. */
final class KnownCard extends VBox {
  private final GridPane grid = new GridPane();
  private List<Known> shown = List.of();

  KnownCard() {
    getStyleClass().add("sheet");
    setSpacing(8);
    setId("known");
    grid.setHgap(10);
    grid.setVgap(7);
    ColumnConstraints what = new ColumnConstraints();
    what.setPercentWidth(32);
    ColumnConstraints value = new ColumnConstraints();
    value.setHgrow(Priority.ALWAYS);
    value.setPercentWidth(40);
    ColumnConstraints remark = new ColumnConstraints();
    remark.setPercentWidth(28);
    grid.getColumnConstraints().addAll(what, value, remark);
    getChildren()
        .addAll(
            Words.of("heading", "What is known so far"),
            grid,
            Words.of("quiet", "Nothing counts that was neither read nor said."));
  }

  void show(List<Known> known) {
    if (known.equals(shown)) {
      return;
    }
    shown = known;
    grid.getChildren().clear();
    for (int i = 0; i < known.size(); i++) {
      Known k = known.get(i);
      Label remark = Words.of("figure-quiet", k.remark());
      grid.addRow(
          i,
          Words.of("figure", k.what()),
          Words.of(k.known() ? "measured" : "figure-quiet", k.value()),
          remark);
    }
  }
}
