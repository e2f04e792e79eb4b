package org.wiseember.desktop.bench;

import java.util.List;
import javafx.scene.control.Label;
import javafx.scene.layout.ColumnConstraints;
import javafx.scene.layout.GridPane;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;
import org.wiseember.desktop.look.Words;
import org.wiseember.trial.live.Known;

/** What is known so far in a test by hand, and what nobody has read yet. */
final class KnownCard extends VBox {
  private final GridPane grid = new GridPane();
  private final ColumnConstraints what = new ColumnConstraints();
  private final ColumnConstraints value = new ColumnConstraints();
  private final ColumnConstraints remark = new ColumnConstraints();
  private List<Known> shown = List.of();

  KnownCard() {
    getStyleClass().add("sheet");
    setSpacing(8);
    setId("known");
    grid.setHgap(10);
    grid.setVgap(7);
    value.setHgrow(Priority.ALWAYS);
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
    boolean remarks = known.stream().anyMatch(k -> !k.remark().isEmpty());
    what.setPercentWidth(remarks ? 26 : 64);
    value.setPercentWidth(36);
    remark.setPercentWidth(remarks ? 38 : 0);
    grid.getChildren().clear();
    for (int i = 0; i < known.size(); i++) {
      Known k = known.get(i);
      Label beside = Words.of("figure-quiet", k.remark());
      grid.addRow(
          i,
          Words.of("figure", k.what()),
          Words.of(k.known() ? "measured" : "figure-quiet", k.value()),
          beside);
    }
  }
}
