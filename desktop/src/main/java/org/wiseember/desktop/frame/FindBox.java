package org.wiseember.desktop.frame;

import java.util.List;
import javafx.scene.control.TextField;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;
import org.wiseember.desktop.look.Focus;
import org.wiseember.desktop.look.Row;
import org.wiseember.desktop.look.Words;
import org.wiseember.desktop.model.Session;

/** Ctrl+K: type a few letters, arrows and Enter go there. */
final class FindBox extends VBox {
  private final Session session;
  private final FileChoices files;
  private final Runnable units;
  private final Runnable close;
  private final TextField field = new TextField();
  private final VBox rows = new VBox();
  private List<Actions.Found> found = List.of();
  private int at;

  FindBox(Session session, FileChoices files, Runnable units, Runnable close) {
    this.session = session;
    this.files = files;
    this.units = units;
    this.close = close;
    getStyleClass().add("find");
    Focus.hold(this);
    setMaxSize(460, Region.USE_PREF_SIZE);
    field.setPromptText("Unit, run, number, action");
    field.setId("find");
    field.textProperty().addListener((o, was, is) -> refill());
    field.addEventFilter(KeyEvent.KEY_PRESSED, this::key);
    getChildren().addAll(field, rows);
    refill();
  }

  /** Begins with these words typed. */
  void begin(String words) {
    field.setText(words);
    field.end();
    refill();
    field.requestFocus();
  }

  private void key(KeyEvent e) {
    if (e.getCode() == KeyCode.DOWN || e.getCode() == KeyCode.UP) {
      int step = e.getCode() == KeyCode.DOWN ? 1 : -1;
      at = Math.max(0, Math.min(found.size() - 1, at + step));
      mark();
    } else if (e.getCode() == KeyCode.ENTER && !found.isEmpty()) {
      go(found.get(at));
    } else if (e.getCode() == KeyCode.ESCAPE) {
      close.run();
    } else {
      return;
    }
    e.consume();
  }

  private void go(Actions.Found target) {
    close.run();
    target.go().run();
  }

  private void refill() {
    found = Actions.find(session, files, units, field.getText());
    at = 0;
    rows.getChildren().clear();
    for (Actions.Found f : found) {
      HBox row =
          new HBox(
              Words.of("find-words", f.words()), Words.spring(), Words.line("quiet", f.kind()));
      row.getStyleClass().add("find-row");
      row.setSpacing(10);
      row.setOnMouseClicked(e -> go(f));
      rows.getChildren().add(row);
    }
    if (found.isEmpty()) {
      rows.getChildren().add(Words.of("quiet", "Nothing by that name. Try fewer letters."));
    }
    mark();
  }

  private void mark() {
    for (int i = 0; i < found.size(); i++) {
      Row.chosen(rows.getChildren().get(i), i == at);
    }
  }
}
