package org.wiseember.desktop.bench;

import java.util.ArrayList;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.TextField;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;
import javafx.scene.layout.ColumnConstraints;
import javafx.scene.layout.GridPane;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;
import org.wiseember.core.typed.Expected;
import org.wiseember.core.typed.Slip;
import org.wiseember.core.typed.TypedAnswer;
import org.wiseember.core.typed.TypedKind;
import org.wiseember.core.typed.TypedReader;
import org.wiseember.core.typed.TypedReading;
import org.wiseember.desktop.look.InUnits;
import org.wiseember.desktop.look.Words;
import org.wiseember.desktop.model.LiveRun;
import org.wiseember.desktop.model.Session;

/**
 * Fields for what a person reads off. What is typed is said back while it is typed, what does not
 * fit is said beside it, and Enter keeps it.
 */
final class TypedPanel extends VBox {
  private final Session session;
  private final Map<TypedKind, TextField> fields = new EnumMap<>(TypedKind.class);
  private final Map<TypedKind, Label> names = new EnumMap<>(TypedKind.class);
  private final Label totalName = Words.of("quiet", "Meter total");
  private final Label echo = Words.of("quiet", "");
  private final VBox slips = new VBox();
  private final GridPane grid = new GridPane();
  private List<TypedKind> wanted = List.of();
  private final Button keep;

  TypedPanel(Session session) {
    this.session = session;
    setSpacing(7);
    grid.setHgap(8);
    grid.setVgap(5);
    ColumnConstraints left = new ColumnConstraints();
    left.setPercentWidth(45);
    ColumnConstraints values = new ColumnConstraints();
    values.setPercentWidth(55);
    values.setHgrow(Priority.ALWAYS);
    grid.getColumnConstraints().addAll(left, values);
    for (TypedKind kind : TypedKind.values()) {
      TextField field = new TextField();
      field.getStyleClass().add("typed-field");
      field.setId("typed-" + kind);
      field.setAccessibleText(kind.words());
      InUnits.prompt(field, "as " + kind.example());
      field.textProperty().addListener((o, was, is) -> sayBack());
      field.setOnKeyPressed(
          e -> {
            if (e.getCode() == KeyCode.ENTER) {
              keepAll();
              e.consume();
            }
          });
      // With nothing typed there is no typing to undo: it is the reading just kept that is meant.
      field.addEventFilter(
          KeyEvent.KEY_PRESSED,
          e -> {
            if (e.isShortcutDown() && e.getCode() == KeyCode.Z && field.getText().isEmpty()) {
              session.open().undo();
              e.consume();
            }
          });
      fields.put(kind, field);
      Label name = kind == TypedKind.TOTAL ? totalName : Words.of("quiet", kind.words());
      name.setLabelFor(field);
      names.put(kind, name);
    }
    keep = Words.button("action", "Keep reading   Enter", this::keepAll);
    keep.setId("keep-reading");
    keep.setMaxWidth(Double.MAX_VALUE);
    slips.setSpacing(6);
    getChildren().addAll(Words.of("heading", "Type a reading"), grid, echo, slips, keep);
    sayBack();
  }

  /** Shows the fields of a test and names the meter whose total is typed. */
  void of(LiveRun run) {
    wanted = run.plan().settings().typed();
    grid.getChildren().clear();
    for (TypedKind kind : wanted) {
      grid.addRow(wanted.indexOf(kind), names.get(kind), fields.get(kind));
    }
    totalName.setText(session.bench().meterOf(run) + " total");
  }

  private Expected expected() {
    LiveRun run = session.bench().live().get();
    return (run == null ? Expected.nothing() : run.expected()).by(session.look().units().get());
  }

  private List<TypedAnswer> answers() {
    Expected expected = atTypedClock(expected());
    List<TypedAnswer> answers = new ArrayList<>();
    for (TypedKind kind : wanted) {
      String text = fields.get(kind).getText();
      if (!text.isBlank()) {
        boolean clock = kind == TypedKind.CLOCK;
        answers.add(TypedReader.read(kind, text, clock ? expected() : expected));
      }
    }
    return answers;
  }

  /** Where nothing counts, a typed clock says how much could have been delivered by then. */
  private Expected atTypedClock(Expected expected) {
    String clock = fields.get(TypedKind.CLOCK).getText();
    if (clock.isBlank() || !Double.isNaN(expected.countedWattHours())) {
      return expected;
    }
    return TypedReader.read(TypedKind.CLOCK, clock, Expected.nothing())
        .reading()
        .map(r -> expected.elapsed(r.value()))
        .orElse(expected);
  }

  private void sayBack() {
    List<TypedAnswer> answers = answers();
    keep.setDisable(answers.stream().allMatch(a -> a.reading().isEmpty()));
    slips.getChildren().clear();
    if (answers.isEmpty()) {
      echo.setText("Any notation will do; it is said back here.");
      return;
    }
    echo.setText(String.join(" ", answers.stream().map(TypedAnswer::echo).toList()));
    for (TypedAnswer answer : answers) {
      answer.slips().forEach(this::show);
    }
  }

  private void show(Slip slip) {
    VBox box = new VBox(Words.of("care", slip.words()));
    box.getStyleClass().add("caution");
    slip.meant()
        .ifPresent(
            meant -> {
              Button take =
                  Words.button(
                      "action",
                      "Take " + meant.words(),
                      () -> fields.get(meant.kind()).setText(meant.words()));
              take.setId("take-meant");
              box.getChildren().add(take);
            });
    box.setSpacing(6);
    slips.getChildren().add(box);
  }

  private void keepAll() {
    List<TypedReading> readings = new ArrayList<>();
    for (TypedAnswer answer : answers()) {
      answer.reading().ifPresent(readings::add);
    }
    boolean all = readings.size() == answers().size();
    if (readings.isEmpty() || !all) {
      return;
    }
    session.bench().keepTyped(readings);
    fields.values().forEach(TextField::clear);
    echo.setText(
        "Kept: "
            + String.join(", ", readings.stream().map(TypedReading::words).toList())
            + ". Ctrl+Z takes it back.");
    wanted.stream().map(fields::get).findFirst().ifPresent(TextField::requestFocus);
  }
}
