package org.wiseember.desktop.evidence;

import java.util.List;
import java.util.OptionalDouble;
import java.util.stream.Collectors;
import javafx.scene.Node;
import javafx.scene.control.Label;
import javafx.scene.control.TextField;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;
import org.wiseember.core.notes.LaterEntry;
import org.wiseember.core.quantity.Figures;
import org.wiseember.desktop.look.MomentWords;
import org.wiseember.desktop.look.Words;
import org.wiseember.desktop.model.LaterLines;
import org.wiseember.desktop.model.Session;
import org.wiseember.trial.kind.TestRun;
import org.wiseember.workbook.Notebook;
import org.wiseember.workbook.NotebookLine;
import org.wiseember.workbook.StoredReading;

/**
 * The notebook of a run that is over. A line that was forgotten is written below the one that is
 * chosen; Delete strikes one.
 */
final class RunNotebook extends VBox {
  private final LaterLines later;
  private final VBox rows = new VBox();
  private final TextField field = new TextField();
  private final Label echo = Words.of("quiet", "");
  private TestRun run;
  private List<Notebook.Written> lines = List.of();
  private int below;

  RunNotebook(Session session) {
    this.later = session.laterLines();
    getStyleClass().add("sheet");
    setSpacing(8);
    rows.setId("run-notebook-rows");
    field.setId("later-line");
    field.setAccessibleText("A line to add to the notebook");
    field.setPromptText("Add what was forgotten: 14:20 398 W");
    field.textProperty().addListener((o, was, is) -> sayBack());
    field.setOnAction(e -> keep());
    field.addEventFilter(
        KeyEvent.KEY_PRESSED,
        e -> {
          if (e.isShortcutDown() && e.getCode() == KeyCode.Z && field.getText().isEmpty()) {
            // With nothing typed it is the line just added that is meant.
            session.open().undo();
            e.consume();
          }
        });
    HBox.setHgrow(field, Priority.ALWAYS);
    var add = Words.button("action", "Add   Enter", this::keep);
    add.setId("add-later-line");
    getChildren().addAll(Words.of("heading", "Notebook"), rows, new HBox(8, field, add), echo);
  }

  void show(TestRun shown) {
    boolean another = run == null || run.run().id() != shown.run().id();
    run = shown;
    Words.shown(this, later.takes(shown));
    if (another) {
      lines = List.of();
      rows.getChildren().clear();
      field.clear();
    }
    if (later.takes(shown)) {
      later.of(
          shown,
          written -> {
            if (run.run().id() == shown.run().id()) {
              lines = written;
              below = written.size() - 1;
              showRows();
              sayBack();
            }
          });
    }
  }

  private void showRows() {
    rows.getChildren().clear();
    for (int i = 0; i < lines.size(); i++) {
      rows.getChildren().add(row(i));
    }
  }

  private Node row(int i) {
    NotebookLine line = lines.get(i).line();
    Label when = Words.line("figure-quiet", MomentWords.of(line.when(), OptionalDouble.empty()));
    when.getStyleClass().add("notes-when");
    Label words = Words.of(line.press().isPresent() ? "strong" : "figure", line.words());
    words.setMinWidth(0);
    words.setMaxWidth(Double.MAX_VALUE);
    HBox.setHgrow(words, Priority.ALWAYS);
    HBox row = new HBox(8, when, words);
    String read =
        lines.get(i).readings().stream().map(RunNotebook::words).collect(Collectors.joining(", "));
    if (!read.isEmpty() && !read.equals(line.words())) {
      row.getChildren().add(Words.of("quiet", read));
    }
    row.getStyleClass().addAll("notebook-row", "opens");
    if (i == below) {
      row.getStyleClass().add("notebook-below");
    }
    row.setFocusTraversable(true);
    row.setAccessibleText(line.words() + ". Enter writes below it, Delete strikes it.");
    row.setOnMouseClicked(e -> writeBelow(i));
    row.setOnKeyPressed(
        e -> {
          if (e.getCode() == KeyCode.ENTER) {
            writeBelow(i);
            e.consume();
          } else if (e.getCode() == KeyCode.DELETE) {
            later.strike(run, line);
            e.consume();
          }
        });
    return row;
  }

  private static String words(StoredReading r) {
    return Figures.plain(r.value(), r.channel().unit());
  }

  private void writeBelow(int i) {
    below = i;
    showRows();
    field.requestFocus();
    sayBack();
  }

  private void sayBack() {
    if (field.getText().isBlank()) {
      echo.setText(
          lines.isEmpty()
              ? ""
              : "Without a moment it stands below “" + lines.get(below).line().words() + "”.");
      return;
    }
    LaterEntry entry = later.read(run, lines, below, field.getText());
    echo.setText(MomentWords.of(entry.when(), OptionalDouble.empty()) + ": " + entry.said().echo());
  }

  private void keep() {
    later.keep(run, lines, below, field.getText());
    field.clear();
  }
}
