package org.wiseember.desktop.report;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.CheckBox;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;
import org.wiseember.desktop.look.Focus;
import org.wiseember.desktop.look.Words;
import org.wiseember.desktop.model.ReportWork;
import org.wiseember.trial.publish.ReportSheets;
import org.wiseember.trial.verdict.Judgement;

/** The sheets a report may have: those on it in their order, the others below. */
final class SheetList extends VBox {
  private final ReportWork work;

  SheetList(ReportWork work) {
    this.work = work;
    setSpacing(2);
  }

  void show(Judgement judgement) {
    Node focused = getScene() == null ? null : getScene().getFocusOwner();
    String had = focused == null ? null : focused.getId();
    Map<String, String> words = ReportSheets.all();
    List<String> may = ReportSheets.of(judgement);
    List<String> on = work.choice().get().sheets().stream().filter(may::contains).toList();
    List<String> off = may.stream().filter(k -> !on.contains(k)).toList();
    List<Node> rows = new ArrayList<>();
    for (String key : on) {
      rows.add(row(key, words.get(key), on));
    }
    for (String key : off) {
      rows.add(row(key, words.get(key), on));
    }
    getChildren().setAll(rows);
    Node again = had == null ? null : lookup("#" + had);
    if (again != null) {
      Focus.keep(again);
    }
  }

  private Node row(String key, String words, List<String> on) {
    CheckBox box = new CheckBox(words);
    box.setId("sheet-" + key);
    box.setSelected(on.contains(key));
    box.setOnAction(e -> put(key, box.isSelected()));
    box.setMaxWidth(Double.MAX_VALUE);
    HBox.setHgrow(box, Priority.ALWAYS);
    HBox row = new HBox(4, box);
    row.setStyle("-fx-alignment: center-left;");
    if (on.size() > 1 && on.contains(key)) {
      box.setAccessibleHelp("Alt and an arrow moves it on the report.");
      row.getChildren().addAll(move(key, words, -1, on), move(key, words, 1, on));
      row.addEventFilter(
          KeyEvent.KEY_PRESSED,
          e -> {
            boolean up = e.getCode() == KeyCode.UP;
            if (e.isAltDown() && (up || e.getCode() == KeyCode.DOWN)) {
              move(key, up ? -1 : 1);
              e.consume();
            }
          });
    }
    return row;
  }

  private Button move(String key, String words, int by, List<String> on) {
    Button button = Words.button("action", by < 0 ? "up" : "down", () -> move(key, by));
    button.setStyle("-fx-padding: 0.05em 0.6em;");
    button.setId((by < 0 ? "up-" : "down-") + key);
    button.setAccessibleText(words + (by < 0 ? " earlier" : " later"));
    int to = on.indexOf(key) + by;
    button.setDisable(to < 0 || to >= on.size());
    // The box is walked to with Tab, and Alt and an arrow moves it.
    button.setFocusTraversable(false);
    return button;
  }

  private void put(String key, boolean on) {
    List<String> next = new ArrayList<>(work.choice().get().sheets());
    next.remove(key);
    if (on) {
      next.add(key);
    }
    work.choose(work.choice().get().of(next));
  }

  private void move(String key, int by) {
    List<String> next = new ArrayList<>(work.choice().get().sheets());
    int to = next.indexOf(key) + by;
    if (to >= 0 && to < next.size()) {
      next.remove(key);
      next.add(to, key);
      work.choose(work.choice().get().of(next));
    }
  }
}
