package org.wiseember.desktop.bench;

import java.util.List;
import java.util.Optional;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.ScrollPane;
import javafx.scene.control.TextField;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;
import org.wiseember.core.hand.OperatorEvent;
import org.wiseember.core.quantity.Figures;
import org.wiseember.core.typed.NotebookEntry;
import org.wiseember.core.typed.NotebookReader;
import org.wiseember.core.typed.Slip;
import org.wiseember.desktop.look.Words;
import org.wiseember.desktop.model.LiveRun;
import org.wiseember.desktop.model.NotebookWork;
import org.wiseember.desktop.model.Session;
import org.wiseember.workbook.Notebook;
import org.wiseember.workbook.NotebookLine;
import org.wiseember.workbook.StoredReading;

/**
 * The notebook of a test by hand: its lines, and one field that takes anything. What is typed is
 * said back while it is typed; a line counts from when it was begun. Up goes to the lines: Enter
 * corrects one, Delete strikes it.
 */
final class NotebookCard extends VBox {
  private static final String HINT =
      "Write anything: 231 V, 2.1 kWh, 48\u00a0°C at the plug, beeps twice, E08, it tripped at 14:32.";

  private final Session session;
  private final NotebookWork notebook;
  private final VBox rows = new VBox();
  private final ScrollPane scroll = new ScrollPane(rows);
  private final TextField field = new TextField();
  private final Button keep;
  private LiveRun of;
  private final Label echo = Words.of("quiet", HINT);
  private final VBox slips = new VBox();
  private List<Notebook.Written> shown = List.of();
  private Optional<NotebookLine> correcting = Optional.empty();
  private double begun = Double.NaN;

  NotebookCard(Session session, Runnable photo) {
    this.session = session;
    this.notebook = session.bench().notebook();
    getStyleClass().add("sheet");
    setSpacing(8);
    rows.setId("notebook-rows");
    scroll.setFitToWidth(true);
    scroll.setHbarPolicy(ScrollPane.ScrollBarPolicy.NEVER);
    scroll.setFocusTraversable(false);
    scroll.setMinHeight(110);
    scroll.setPrefHeight(190);
    scroll.getStyleClass().add("side-scroll");
    VBox.setVgrow(scroll, Priority.ALWAYS);
    rows.heightProperty().addListener((o, was, is) -> scroll.setVvalue(1));
    field.setId("notebook-line");
    field.setAccessibleText("Notebook line");
    field.setPromptText("Write here");
    field.textProperty().addListener((o, was, is) -> sayBack());
    field.setOnAction(e -> keepLine());
    field.addEventFilter(KeyEvent.KEY_PRESSED, this::fieldKey);
    HBox.setHgrow(field, Priority.ALWAYS);
    keep = Words.button("action-main", "Keep   Enter", this::keepLine);
    keep.setId("keep-line");
    Button picture = Words.button("action", "Photo", photo);
    picture.setId("photo-line");
    HBox line = new HBox(8, field, keep);
    echo.setMinWidth(0);
    HBox.setHgrow(echo, Priority.ALWAYS);
    echo.setMaxWidth(Double.MAX_VALUE);
    HBox below = new HBox(8, echo, picture);
    slips.setSpacing(6);
    getChildren().addAll(Words.of("heading", "Notebook"), scroll, line, below, slips);
  }

  private void fieldKey(KeyEvent e) {
    if (e.isShortcutDown() && e.getCode() == KeyCode.Z && field.getText().isEmpty()) {
      // With nothing typed there is no typing to undo: it is the line just kept that is meant.
      session.open().undo();
      e.consume();
    } else if (e.getCode() == KeyCode.ESCAPE && correcting.isPresent()) {
      leave();
      e.consume();
    } else if (e.getCode() == KeyCode.UP && !rows.getChildren().isEmpty()) {
      rows.getChildren().get(rows.getChildren().size() - 1).requestFocus();
      e.consume();
    }
  }

  /** Gives the line the focus, so that one can write at once. */
  void takeFocus() {
    field.requestFocus();
  }

  void show(LiveRun run) {
    if (!run.equals(of)) {
      // What was said back of the run before is not said of this one.
      of = run;
      echo.setText(HINT);
    }
    List<Notebook.Written> now = run.notebook().get();
    if (now.equals(shown)) {
      return;
    }
    shown = now;
    rows.getChildren().setAll(now.stream().map(this::row).toList());
  }

  private HBox row(Notebook.Written written) {
    NotebookLine line = written.line();
    Label when = Words.line("figure-quiet", Figures.clock(line.seconds()));
    when.getStyleClass().add("notebook-when");
    Label words = Words.of(line.press().isPresent() ? "strong" : "figure", said(line));
    words.setMinWidth(0);
    HBox.setHgrow(words, Priority.ALWAYS);
    words.setMaxWidth(Double.MAX_VALUE);
    HBox row = new HBox(8, when, words);
    String read = readings(written.readings());
    if (!read.isEmpty() && !read.equals(line.words())) {
      Label value = Words.of("measured", read);
      value.setMaxWidth(220);
      row.getChildren().add(value);
    }
    row.getStyleClass().addAll("notebook-row", "opens");
    row.setFocusTraversable(true);
    row.setAccessibleText(
        Figures.clock(line.seconds()) + ", " + line.words() + ". Enter corrects, Delete strikes.");
    row.setOnMouseClicked(e -> correct(line));
    row.setOnKeyPressed(e -> rowKey(e, row, line));
    return row;
  }

  private static String said(NotebookLine line) {
    String moment =
        line.latest() - line.earliest() > 2
            ? " (between "
                + Figures.clock(line.earliest())
                + " and "
                + Figures.clock(line.latest())
                + ")"
            : "";
    return (line.who().isEmpty() || line.words().contains(line.who()) ? "" : line.who() + ": ")
        + line.words()
        + moment;
  }

  private static String readings(List<StoredReading> readings) {
    return String.join(
        ", ", readings.stream().map(r -> Figures.plain(r.value(), r.channel().unit())).toList());
  }

  private void rowKey(KeyEvent e, HBox row, NotebookLine line) {
    int at = rows.getChildren().indexOf(row);
    switch (e.getCode()) {
      case ENTER -> correct(line);
      case DELETE, BACK_SPACE -> {
        field.requestFocus();
        notebook.strike(line);
      }
      case UP -> {
        if (at > 0) {
          rows.getChildren().get(at - 1).requestFocus();
        }
      }
      case DOWN -> {
        if (at + 1 < rows.getChildren().size()) {
          rows.getChildren().get(at + 1).requestFocus();
        } else {
          field.requestFocus();
        }
      }
      case ESCAPE -> field.requestFocus();
      default -> {
        return;
      }
    }
    e.consume();
  }

  private void correct(NotebookLine line) {
    correcting = Optional.of(line);
    keep.setText("Correct   Enter");
    goOnWith(line.words());
  }

  /** Puts words into the field to write on behind them. */
  private void goOnWith(String words) {
    field.setText(words);
    field.requestFocus();
    field.end();
  }

  private void leave() {
    correcting = Optional.empty();
    keep.setText("Keep   Enter");
    field.clear();
  }

  private void sayBack() {
    slips.getChildren().clear();
    String text = field.getText();
    if (text.isBlank()) {
      begun = Double.NaN;
      echo.setText(HINT);
      return;
    }
    begun = Double.isNaN(begun) ? notebook.seconds() : begun;
    NotebookEntry entry = notebook.read(text);
    String moment =
        correcting.isPresent() && entry.when().isEmpty()
            ? " At " + Figures.clock(correcting.get().seconds()) + ", as before."
            : entry.when().map(w -> " At " + Figures.clock(w.earliest()) + ".").orElse("");
    echo.setText(entry.echo() + moment);
    entry.slips().forEach(this::show);
  }

  private void show(Slip slip) {
    VBox box = new VBox(6, Words.of("care", slip.words()));
    box.getStyleClass().add("caution");
    slip.meant()
        .filter(m -> field.getText().contains(m.asTyped()))
        .ifPresent(
            meant -> {
              Button take =
                  Words.button(
                      "action",
                      "Take " + meant.words(),
                      () -> goOnWith(field.getText().replace(meant.asTyped(), meant.words())));
              take.setId("take-meant");
              box.getChildren().add(take);
            });
    slips.getChildren().add(box);
  }

  private void keepLine() {
    String text = field.getText().strip();
    if (text.isEmpty() || text.length() > NotebookReader.LONGEST) {
      return;
    }
    if (correcting.isPresent()) {
      notebook.correct(correcting.get(), text);
    } else {
      notebook.write(text, Double.isNaN(begun) ? notebook.seconds() : begun);
    }
    String said = notebook.read(text).press().map(OperatorEvent::words).orElse(text);
    leave();
    echo.setText("Kept: " + said + ". Ctrl+Z takes it back.");
  }
}
