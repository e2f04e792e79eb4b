package org.wiseember.desktop.bench;

import java.io.File;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import javafx.collections.ListChangeListener;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.StackPane;
import javafx.scene.layout.VBox;
import javafx.stage.FileChooser;
import org.wiseember.bench.instrument.DescriptionJson;
import org.wiseember.bench.instrument.DescriptionUnreadable;
import org.wiseember.bench.instrument.InstrumentDescription;
import org.wiseember.bench.instrument.StartingPoints;
import org.wiseember.desktop.look.Adaptive;
import org.wiseember.desktop.look.Row;
import org.wiseember.desktop.look.Words;
import org.wiseember.desktop.model.OnBench;
import org.wiseember.desktop.model.Session;

/** The tester's own instruments: what they are, how they are reached, how true they are. */
final class InstrumentsPane extends StackPane {
  private static final long LARGEST_FILE = 200_000;

  private final Session session;
  private final Runnable back;
  private final VBox rows = new VBox();
  private final VBox side = new VBox();
  private long chosen = -1;

  /**
   * Makes the pane.
   *
   * @param back shows the bench again
   */
  InstrumentsPane(Session session, Runnable back) {
    this.session = session;
    this.back = back;
    VBox main = new VBox(head(), rows, Words.of("heading", "Put another on the bench"), offers());
    main.getStyleClass().add("stage");
    rows.setSpacing(6);
    side.getStyleClass().add("side");
    getChildren().add(new Adaptive(main, side, session.look().textScale()));
    session.bench().instruments().addListener((ListChangeListener<OnBench>) c -> show());
    show();
  }

  private Node head() {
    VBox words =
        new VBox(
            Words.of("title", "Instruments"),
            Words.of(
                "quiet",
                "Every figure is as sure as the meter behind it. Say how good each is, and check it"
                    + " against a better one when you can."));
    words.setSpacing(2);
    HBox.setHgrow(words, Priority.ALWAYS);
    Button button = Words.button("action", "Back to the bench", back);
    button.setId("back-to-bench");
    HBox head = new HBox(words, button);
    head.getStyleClass().add("stage-head");
    return head;
  }

  private Node offers() {
    FlowPane pane = new FlowPane(8, 8);
    for (InstrumentDescription start : StartingPoints.all()) {
      Button button = Words.button("action", start.name(), () -> add(start));
      button.setId("add-" + start.name().replace(' ', '-'));
      pane.getChildren().add(button);
    }
    pane.getChildren().add(Words.button("action", "From a description file", this::chooseFile));
    return pane;
  }

  private void add(InstrumentDescription description) {
    List<String> names =
        session.bench().instruments().stream().map(i -> i.description().name()).toList();
    String name = description.name();
    for (int n = 2; names.contains(name); n++) {
      name = description.name() + " " + n;
    }
    session
        .bench()
        .addInstrument(
            description.named(name),
            added -> {
              chosen = added.id();
              show();
            });
  }

  private void chooseFile() {
    FileChooser chooser = new FileChooser();
    chooser.setTitle("An instrument's description");
    chooser.getExtensionFilters().add(new FileChooser.ExtensionFilter("Descriptions", "*.json"));
    File file = chooser.showOpenDialog(getScene().getWindow());
    if (file != null) {
      read(file.toPath());
    }
  }

  private void read(Path file) {
    session
        .open()
        .background(
            () -> {
              try {
                if (Files.size(file) > LARGEST_FILE) {
                  session.open().say(file.getFileName() + " is too large to be a description.");
                  return null;
                }
                return DescriptionJson.read(Files.readString(file));
              } catch (DescriptionUnreadable e) {
                session.open().say(file.getFileName() + ": " + e.getMessage());
                return null;
              } catch (IOException e) {
                session.open().say(file.getFileName() + " cannot be read as text. Choose another.");
                return null;
              }
            },
            description -> {
              if (description != null) {
                add(description);
              }
            });
  }

  private void show() {
    List<OnBench> all = session.bench().instruments();
    if (all.stream().noneMatch(i -> i.id() == chosen)) {
      chosen = all.isEmpty() ? -1 : all.get(0).id();
    }
    List<Node> nodes = new ArrayList<>();
    if (all.isEmpty()) {
      nodes.add(
          Words.of(
              "quiet",
              "None yet. Without one a drain can run on the simulated bench, or be typed with an"
                  + " assumed ± 2 %."));
    }
    for (OnBench instrument : all) {
      nodes.add(row(instrument));
    }
    rows.getChildren().setAll(nodes);
    side.getChildren().clear();
    all.stream()
        .filter(i -> i.id() == chosen)
        .findFirst()
        .ifPresent(i -> side.getChildren().add(new InstrumentForm(session, i)));
  }

  private Node row(OnBench instrument) {
    InstrumentDescription d = instrument.description();
    Label name = Words.of("strong", d.name());
    Label how =
        Words.of(
            "quiet", d.transport().words() + (d.address().isEmpty() ? "" : ", " + d.address()));
    VBox words = new VBox(name, how);
    HBox.setHgrow(words, Priority.ALWAYS);
    Label gives =
        Words.of(
            "figure-quiet",
            d.channels().size() == 1
                ? d.channels().get(0).channel().words()
                : d.channels().size() + " quantities");
    HBox row = new HBox(words, gives);
    row.setSpacing(12);
    row.getStyleClass().add("row");
    Row.chosen(row, instrument.id() == chosen);
    Row.make(
        row,
        d.name(),
        () -> {
          chosen = instrument.id();
          show();
        });
    return row;
  }
}
