package org.wiseember.desktop.log;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import javafx.beans.property.ObjectProperty;
import javafx.beans.property.SimpleObjectProperty;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.ComboBox;
import javafx.scene.control.Label;
import javafx.scene.control.ProgressBar;
import javafx.scene.control.TextField;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.StackPane;
import javafx.scene.layout.VBox;
import org.wiseember.bench.procedure.Drain;
import org.wiseember.bench.procedure.LoadLadder;
import org.wiseember.core.quantity.Unit;
import org.wiseember.core.trace.Channel;
import org.wiseember.core.typed.TypedFigure;
import org.wiseember.desktop.look.Adaptive;
import org.wiseember.desktop.look.Choices;
import org.wiseember.desktop.look.Focus;
import org.wiseember.desktop.look.Words;
import org.wiseember.desktop.model.LogDraft;
import org.wiseember.desktop.model.Session;
import org.wiseember.trial.AllTests;
import org.wiseember.trial.kind.TestType;
import org.wiseember.trial.kind.Trait;
import org.wiseember.workbook.Watches;
import org.wiseember.workbook.log.LogMapping;
import org.wiseember.workbook.log.LogUnits;
import org.wiseember.workbook.log.TimeForm;

/** The columns of a log, how each is taken, its first rows, and the button that reads it in. */
public final class LogPane extends StackPane {
  private static final String NOT_USED = "not used";
  private static final String TIME = "time";
  private static final String DATE = "date";

  /** How many figures of a column are shown. */
  private static final int FIGURES = 4;

  private final Session session;
  private final VBox page = new VBox();
  private final VBox table = new VBox();
  private final Label notes = Words.of("quiet", "");
  private final ObjectProperty<String> kind = new SimpleObjectProperty<>(Drain.AC);
  private final TextField title = new TextField();
  private final TextField accuracy = new TextField();
  private final ProgressBar progress = new ProgressBar(0);
  private final Label done = Words.line("figure-quiet", "");
  private final Button readIn;
  private final Button stop;
  private LogDraft draft;
  private LogMapping mapping;

  public LogPane(Session session) {
    this.session = session;
    page.getStyleClass().add("stage");
    table.setSpacing(4);
    getChildren().add(Adaptive.scroll(page));
    title.setId("log-title");
    title.setAccessibleText("Name of the run");
    accuracy.setId("log-accuracy");
    accuracy.setAccessibleText("The meters' accuracy, plus or minus percent");
    accuracy.setPromptText("± %");
    accuracy.setPrefColumnCount(5);
    progress.setMaxWidth(Double.MAX_VALUE);
    HBox.setHgrow(progress, Priority.ALWAYS);
    readIn = Words.button("action-main", "Import", this::readIn);
    readIn.setId("read-in");
    stop = Words.button("action", "Cancel", () -> session.readingIn().forget());
    stop.setId("leave-log");
    kind.addListener(
        (o, was, is) -> title.setText(title.getText().replaceFirst("^" + words(was), words(is))));
    session.readingIn().draft().addListener((o, was, is) -> take(is));
    session.readingIn().progress().addListener((o, was, is) -> showProgress(is.doubleValue()));
    take(session.readingIn().draft().get());
    showProgress(session.readingIn().progress().get());
  }

  private void take(LogDraft next) {
    draft = next;
    page.getChildren().clear();
    if (next == null) {
      return;
    }
    mapping = next.mapping();
    String file = String.valueOf(next.file().getFileName());
    // Without a unit it can only be of something else.
    kind.set(session.shelf().chosen().get() == null ? Watches.KIND : guess(next));
    title.setText(words(kind.get()) + " from " + shortened(file));
    Map<String, String> words = new LinkedHashMap<>();
    for (TestType test : AllTests.list()) {
      if (!test.is(Trait.NOT_IN_LOGS) && session.shelf().chosen().get() != null) {
        words.put(test.key(), test.words());
      }
    }
    words.put(Watches.KIND, words(Watches.KIND));
    page.getChildren()
        .addAll(
            head(file),
            Choices.row("It is the log of", "log-test-", words, kind),
            form(),
            running(),
            table,
            notes);
    build();
    Focus.give(readIn, () -> {});
  }

  /** AC and DC together are a ladder more often than a drain; DC alone is a drain too. */
  private static String guess(LogDraft draft) {
    boolean ac = draft.mapping().reads(Channel.AC_POWER);
    boolean dc =
        draft.mapping().reads(Channel.DC_POWER) || draft.mapping().reads(Channel.DC_CURRENT);
    return ac && dc ? LoadLadder.KIND : dc ? Drain.DC : Drain.AC;
  }

  private static String words(String key) {
    return key.equals(Watches.KIND) ? "Watch of an appliance" : AllTests.of(key).words();
  }

  private static String shortened(String name) {
    return name.length() > 40 ? name.substring(0, 39) + "…" : name;
  }

  private Node head(String file) {
    String unit =
        session.shelf().chosen().get() == null
            ? ""
            : " For " + session.shelf().chosen().get().unit().name() + ".";
    VBox words =
        new VBox(
            Words.of("title", "Import a log"),
            Words.of(
                "quiet",
                file
                    + "."
                    + unit
                    + (draft.remembered()
                        ? " Its columns are taken as last time."
                        : " How its columns are probably meant is chosen; change what is wrong.")));
    words.setSpacing(2);
    HBox.setHgrow(words, Priority.ALWAYS);
    HBox head = new HBox(words, stop, readIn);
    head.getStyleClass().add("stage-head");
    return head;
  }

  private Node form() {
    Label name = Words.line("quiet", "Name of the run");
    name.setLabelFor(title);
    title.setPrefColumnCount(24);
    Label meterClass = Words.line("quiet", "Its meters are good to ± %");
    meterClass.setLabelFor(accuracy);
    FlowPane row = new FlowPane(10, 8, name, title, meterClass, accuracy);
    row.getChildren().add(Words.of("quiet", "± 2 % is assumed without it."));
    return row;
  }

  private Node running() {
    HBox row = new HBox(progress, done);
    row.setSpacing(10);
    row.visibleProperty().bind(session.readingIn().progress().greaterThanOrEqualTo(0));
    row.managedProperty().bind(row.visibleProperty());
    return row;
  }

  private void showProgress(double share) {
    boolean running = share >= 0;
    progress.setProgress(Math.max(0, share));
    done.setText(running ? Math.round(100 * share) + " %" : "");
    stop.setText(running ? "Stop" : "Cancel");
    readIn.setDisable(running || mapping == null || !mapping.whole());
  }

  /** One row a column of the file: its heading, what it is, its unit, its first figures. */
  private void build() {
    List<String> headings = draft.preview().headings();
    List<Node> rows = new ArrayList<>();
    for (int c = 0; c < headings.size(); c++) {
      Label heading = Words.of("strong", shortened(headings.get(c).strip()));
      heading.getStyleClass().add("log-heading");
      Label figures = Words.of(used(c) ? "figure" : "figure-quiet", firstFigures(c));
      FlowPane row = new FlowPane(10, 4, heading, use(c), unit(c), figures);
      row.getStyleClass().add("row");
      rows.add(row);
    }
    table.getChildren().setAll(rows);
    notes.setText(words());
    readIn.setDisable(!mapping.whole());
  }

  private String firstFigures(int column) {
    List<String> cells = new ArrayList<>();
    for (List<String> row : draft.preview().rows()) {
      if (column < row.size() && cells.size() < FIGURES) {
        cells.add(row.get(column).isBlank() ? "–" : shortened(row.get(column).strip()));
      }
    }
    return String.join("    ", cells);
  }

  private String words() {
    List<String> words = new ArrayList<>();
    if (mapping.headingRow() > 1) {
      words.add("Headings are in row " + mapping.headingRow() + "; what stands above is left.");
    }
    words.add(
        switch (mapping.separator()) {
          case ';' -> "Columns are separated by semicolons.";
          case '\t' -> "Columns are separated by tabs.";
          case '|' -> "Columns are separated by bars.";
          default -> "Columns are separated by commas.";
        });
    if (mapping.decimalComma()) {
      words.add("Decimal commas are read.");
    }
    if (!mapping.whole()) {
      words.add(
          mapping.timeColumn() < 0
              ? "Say which column is the time."
              : "Say what at least one column is.");
    }
    return String.join(" ", words);
  }

  private boolean used(int column) {
    return column == mapping.timeColumn()
        || column == mapping.dateColumn()
        || mapping.use(column).isPresent();
  }

  private Node use(int column) {
    ComboBox<String> box = new ComboBox<>();
    box.setId("use-" + column);
    box.getStyleClass().add("log-choice");
    box.setAccessibleText("What column " + draft.preview().headings().get(column) + " is");
    box.getItems().addAll(NOT_USED, TIME, DATE);
    for (Channel channel : Channel.values()) {
      box.getItems().add(channel.words());
    }
    box.setValue(
        column == mapping.timeColumn()
            ? TIME
            : column == mapping.dateColumn()
                ? DATE
                : mapping.use(column).map(u -> u.channel().words()).orElse(NOT_USED));
    box.setOnAction(e -> changeUse(column, box.getValue()));
    return box;
  }

  private void changeUse(int column, String words) {
    mapping =
        switch (words) {
          case NOT_USED -> mapping.with(column, Optional.empty());
          case TIME -> mapping.withTime(column, mapping.timeForm());
          case DATE -> mapping.withDate(column);
          default -> {
            Channel channel =
                List.of(Channel.values()).stream()
                    .filter(c -> c.words().equals(words))
                    .findFirst()
                    .orElseThrow();
            yield mapping.with(
                column, Optional.of(new LogMapping.Use(column, channel, channel.unit().symbol())));
          }
        };
    build();
  }

  private Node unit(int column) {
    ComboBox<String> box = new ComboBox<>();
    box.setId("unit-" + column);
    box.getStyleClass().add("log-choice");
    box.setAccessibleText("Unit of column " + draft.preview().headings().get(column));
    if (column == mapping.timeColumn()) {
      for (TimeForm form : TimeForm.values()) {
        box.getItems().add(form.words());
      }
      box.setValue(mapping.timeForm().words());
      box.setOnAction(
          e -> {
            mapping =
                mapping.withTime(
                    column, TimeForm.values()[box.getSelectionModel().getSelectedIndex()]);
            build();
          });
      return box;
    }
    Optional<LogMapping.Use> use = mapping.use(column);
    if (use.isEmpty()) {
      Words.shown(box, false);
      return box;
    }
    box.getItems().setAll(LogUnits.of(use.get().channel()));
    box.setValue(use.get().unit());
    box.setOnAction(
        e -> {
          mapping =
              mapping.with(
                  column,
                  Optional.of(new LogMapping.Use(column, use.get().channel(), box.getValue())));
          build();
        });
    return box;
  }

  private void readIn() {
    OptionalDouble typedPercent;
    try {
      typedPercent =
          TypedFigure.read(
              "Accuracy", accuracy.getText().replace("±", ""), Unit.PERCENT.symbol(), 0, 100);
    } catch (IllegalArgumentException e) {
      session.open().say(e.getMessage() + " Leave it empty when nobody knows.");
      return;
    }
    Optional<Double> percent = typedPercent.stream().boxed().findFirst();
    String typed = title.getText().strip();
    if (kind.get().equals(Watches.KIND)) {
      // It is named after what was watched: "Watch of the office fridge" is the office fridge.
      String named = typed.replaceFirst("^Watch of (an appliance from |the )?", "");
      session.readingIn().readInWatch(mapping, named.isBlank() ? "Appliance" : named, percent);
      return;
    }
    TestType test = AllTests.of(kind.get());
    String name = typed.isEmpty() ? test.words() + " from a log" : typed;
    session.readingIn().readIn(mapping, test, name, percent);
  }
}
