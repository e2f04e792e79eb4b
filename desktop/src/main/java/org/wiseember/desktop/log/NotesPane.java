package org.wiseember.desktop.log;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import javafx.beans.property.ObjectProperty;
import javafx.beans.property.SimpleObjectProperty;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.TextArea;
import javafx.scene.control.TextField;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.StackPane;
import javafx.scene.layout.VBox;
import org.wiseember.core.figure.Figure;
import org.wiseember.core.figure.Warning;
import org.wiseember.core.notes.NotedEntry;
import org.wiseember.core.quantity.Figures;
import org.wiseember.core.quantity.Unit;
import org.wiseember.core.typed.Slip;
import org.wiseember.desktop.look.Adaptive;
import org.wiseember.desktop.look.Choices;
import org.wiseember.desktop.look.Field;
import org.wiseember.desktop.look.Focus;
import org.wiseember.desktop.look.MomentWords;
import org.wiseember.desktop.look.Words;
import org.wiseember.desktop.model.NotesDraft;
import org.wiseember.desktop.model.NotesWork;
import org.wiseember.desktop.model.Session;
import org.wiseember.trial.AllTests;
import org.wiseember.trial.kind.TestRun;
import org.wiseember.trial.kind.TestType;
import org.wiseember.trial.record.EnteredRun;
import org.wiseember.trial.verdict.Judgement;

/**
 * A test that was made earlier, written down as it was noted: on one side what was seen, on the
 * other how each line is understood and what it comes to.
 */
public final class NotesPane extends StackPane {
  private static final String EXAMPLE =
      """
      14:05 100 %, 0 Wh
      load is on
      about 14:35 398 W, 199 Wh
      it cut out between 15:30 and 15:40
      610 Wh, E08""";

  /** Nobody looks through more of them here. */
  private static final int MOST_ROWS = 300;

  /** Charge at the start, as the head of notes says it. */
  private static final Map<String, String> FROM = new LinkedHashMap<>();

  static {
    FROM.put("", "not noted");
    FROM.put("full", "full");
    FROM.put("empty", "empty");
  }

  private final NotesWork work;
  private final Session session;
  private final VBox page = new VBox();
  private final Label title = Words.of("title", "");
  private final Label under = Words.of("quiet", "");
  private final ObjectProperty<TestType> type = new SimpleObjectProperty<>();
  private final ObjectProperty<String> from = new SimpleObjectProperty<>("");
  private final TextField day = Field.of("notes-day", "On the day", "", 9);
  private final TextField meter = Field.of("notes-meter", "Meter good to", "", 9);
  private final TextField load = Field.of("notes-load", "Load meant", "", 6);
  private final TextArea text = Field.lines("notes-text", "What you noted", "", 18);
  private final VBox lines = new VBox();
  private final VBox comesTo = new VBox();
  private final Button keep;
  private boolean filling;

  public NotesPane(Session session) {
    this.session = session;
    this.work = session.notes();
    page.getStyleClass().add("stage");
    day.setPromptText("2026-11-30");
    meter.setPromptText("1 % + 2 digits");
    load.setPromptText("400 W");
    text.setPromptText(EXAMPLE);
    text.getStyleClass().add("notes-text");
    keep = Words.button("action-main", "Keep   Ctrl Enter", work::keep);
    keep.setId("keep-notes");
    Button cancel = Words.button("action", "Cancel", work::forget);
    cancel.setId("leave-notes");
    VBox words = new VBox(2, title, under);
    HBox.setHgrow(words, Priority.ALWAYS);
    HBox head = new HBox(words, cancel, keep);
    head.getStyleClass().add("stage-head");
    page.getChildren().addAll(head, tests(), particulars(), columns());
    getChildren().add(Adaptive.scroll(page));
    type.addListener((o, was, is) -> edited());
    from.addListener((o, was, is) -> edited());
    for (TextField field : List.of(day, meter, load)) {
      field.textProperty().addListener((o, was, is) -> edited());
    }
    text.textProperty().addListener((o, was, is) -> edited());
    work.draft().addListener((o, was, is) -> take(was, is));
    work.understood().addListener((o, was, is) -> show(is));
    session.shelf().chosen().addListener((o, was, is) -> showUnit());
    addEventFilter(KeyEvent.KEY_PRESSED, this::key);
    take(null, work.draft().get());
  }

  private void key(KeyEvent e) {
    if (e.isShortcutDown() && e.getCode() == KeyCode.ENTER) {
      work.keep();
      e.consume();
    }
  }

  private void showUnit() {
    Judgement judgement = session.shelf().chosen().get();
    under.setText(
        (judgement == null ? "No unit is chosen" : judgement.unit().name())
            + ". Type it, paste it, or drop a text file on the window.");
  }

  private Node tests() {
    Map<TestType, String> words = new LinkedHashMap<>();
    AllTests.list().forEach(t -> words.put(t, t.words()));
    return Choices.row("It was", "notes-test-", words, type);
  }

  private Node particulars() {
    FlowPane row =
        new FlowPane(
            16,
            8,
            Field.named(day),
            Field.named(meter),
            Field.named(load),
            Choices.row("It began", "notes-from-", FROM, from));
    row.getChildren().add(Words.of("quiet", "Leave empty what you do not know."));
    return row;
  }

  private Node columns() {
    VBox written = new VBox(6, Words.of("heading", "As you noted it"), text, hint());
    VBox.setVgrow(text, Priority.ALWAYS);
    lines.setSpacing(4);
    lines.setId("notes-lines");
    comesTo.setSpacing(4);
    comesTo.setId("notes-figures");
    VBox read = new VBox(6, Words.of("heading", "As it is read"), lines, comesTo);
    for (VBox column : List.of(written, read)) {
      column.getStyleClass().add("sheet");
      column.setMinWidth(0);
      column.setPrefWidth(100);
      HBox.setHgrow(column, Priority.ALWAYS);
    }
    return new HBox(14, written, read);
  }

  private static Node hint() {
    return Words.of(
        "quiet",
        "A moment stands first or is left out: 14:05, about 14:30, between 14:05 and 14:20, +93 min"
            + " since the first line. The order of the lines is the order of events.");
  }

  /** The page is filled once; from then on it is what is typed that counts. */
  private void take(NotesDraft was, NotesDraft is) {
    boolean begun = is != null && (was == null || filled(is));
    if (!begun) {
      return;
    }
    filling = true;
    type.set(is.type());
    day.setText(is.day());
    meter.setText(is.meter());
    load.setText(is.load());
    from.set(is.from());
    text.setText(is.text());
    filling = false;
    title.setText("Made earlier");
    showUnit();
    show(work.understood().get());
    Focus.give(text, () -> {});
  }

  /** Whether notes came from elsewhere, such as a file. */
  private boolean filled(NotesDraft is) {
    return !is.text().equals(text.getText());
  }

  private void edited() {
    if (!filling && work.draft().get() != null) {
      work.draft()
          .set(
              new NotesDraft(
                  type.get(),
                  day.getText(),
                  meter.getText(),
                  load.getText(),
                  from.get(),
                  text.getText()));
    }
  }

  private void show(NotesWork.Understood now) {
    keep.setDisable(now.run().isEmpty());
    List<Node> rows = new ArrayList<>();
    now.run()
        .ifPresent(
            run -> {
              run.entries().stream().limit(MOST_ROWS).forEach(e -> rows.add(row(run, e)));
              int more = run.entries().size() - MOST_ROWS;
              if (more > 0) {
                rows.add(Words.of("quiet", "And " + more + " lines more, read the same way."));
              }
            });
    if (!now.trouble().isEmpty()) {
      rows.add(Words.of("notes-trouble", now.trouble()));
    }
    if (rows.isEmpty()) {
      rows.add(Words.of("quiet", "Each line is said back here, with its moment, as you write it."));
    }
    lines.getChildren().setAll(rows);
    comesTo.getChildren().clear();
    now.found().ifPresent(found -> showFound(now.run().orElseThrow(), found));
  }

  private Node row(EnteredRun run, NotedEntry entry) {
    Label when = Words.line("figure-quiet", MomentWords.of(entry.when(), run.zero()));
    when.getStyleClass().add("notes-when");
    boolean lost = entry.isNotUnderstood();
    Label said =
        Words.of(
            lost ? "notes-trouble" : "figure",
            lost ? "Not understood: " + entry.text() : entry.said().echo());
    HBox.setHgrow(said, Priority.ALWAYS);
    said.setMinWidth(0);
    VBox words = new VBox(2, said);
    HBox.setHgrow(words, Priority.ALWAYS);
    words.setMinWidth(0);
    for (Slip slip : entry.said().slips()) {
      words.getChildren().add(Words.of("notes-trouble", slip.words()));
    }
    return new HBox(8, when, words);
  }

  /** A time in words, its half width too. */
  private static String words(Figure f) {
    return f.unit() == Unit.SECOND
        ? f.bound().sign()
            + Figures.duration(f.value())
            + (f.u95() > 0 ? " ± " + Figures.duration(f.u95()) : "")
        : f.words();
  }

  private void showFound(EnteredRun run, TestRun found) {
    comesTo.getChildren().add(Words.of("heading", "It comes to"));
    List<Figure> figures = found.figures().stream().limit(8).toList();
    for (Figure f : figures) {
      Label name = Words.of("quiet", f.name());
      HBox.setHgrow(name, Priority.ALWAYS);
      name.setMaxWidth(Double.MAX_VALUE);
      comesTo.getChildren().add(new HBox(8, name, Words.line("measured", words(f))));
    }
    if (figures.isEmpty()) {
      comesTo.getChildren().add(Words.of("quiet", "No figure yet."));
    }
    List<Warning> all = new ArrayList<>(run.warnings());
    all.addAll(found.allWarnings());
    all.stream()
        .filter(w -> !w.code().equals("not_understood"))
        .map(Warning::message)
        .distinct()
        .forEach(m -> comesTo.getChildren().add(Words.of("quiet", m)));
  }
}
