package org.wiseember.desktop.bench;

import javafx.scene.Node;
import javafx.scene.control.Label;
import javafx.scene.control.ToggleButton;
import javafx.scene.control.ToggleGroup;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;
import org.wiseember.bench.run.Pace;
import org.wiseember.core.quantity.Figures;
import org.wiseember.desktop.look.Words;
import org.wiseember.desktop.model.Session;
import org.wiseember.workbook.RunSettings;

/** The bench clock, its speed, and whether everything is on disk. */
final class ClockPanel extends VBox {
  private final Session session;
  private final Label clock = Words.line("clock-figure", "0:00:00");
  private final Label words = Words.of("clock-words", "");
  private final Label samples = Words.of("clock-words", "");
  private final Node paces;

  ClockPanel(Session session) {
    this.session = session;
    getStyleClass().add("clock");
    paces = paces();
    getChildren().addAll(Words.of("heading", "Bench clock"), clock, words, paces, samples);
    session.bench().pace().addListener((o, was, is) -> showPace());
    session.bench().source().addListener((o, was, is) -> showPace());
    showPace();
  }

  void show(double seconds, String said) {
    clock.setText(Figures.clock(seconds));
    samples.setText(said);
  }

  private Node paces() {
    ToggleGroup group = new ToggleGroup();
    HBox row = new HBox();
    row.setSpacing(4);
    for (Pace pace : Pace.values()) {
      ToggleButton button = new ToggleButton(pace.words());
      button.getStyleClass().setAll("toggle-button", "pace");
      button.setToggleGroup(group);
      button.setId("pace-" + pace.name());
      button.setAccessibleText("Bench clock at " + pace.words());
      button.setMaxWidth(Double.MAX_VALUE);
      button.setMinWidth(USE_PREF_SIZE);
      HBox.setHgrow(button, Priority.ALWAYS);
      button.setUserData(pace);
      session.bench().pace().addListener((o, was, is) -> button.setSelected(is == pace));
      button.setSelected(session.bench().pace().get() == pace);
      row.getChildren().add(button);
    }
    // Arrow keys choose without an action, so the choice itself is listened to.
    group
        .selectedToggleProperty()
        .addListener(
            (o, was, is) -> {
              if (is == null) {
                // Pressed again: a clock always has a speed. Changed elsewhere: the new one
                // follows.
                was.setSelected(was.getUserData() == session.bench().pace().get());
              } else if (is.getUserData() != session.bench().pace().get()) {
                session.bench().setPace((Pace) is.getUserData());
              }
            });
    return row;
  }

  private void showPace() {
    boolean simulated = session.bench().source().get() == RunSettings.Source.SIMULATED;
    Words.shown(paces, simulated);
    Pace pace = session.bench().pace().get();
    words.setText(
        !simulated
            ? "real time"
            : switch (pace) {
              case REAL -> "as fast as real";
              case FULL -> "as fast as this machine goes";
              default -> "running " + Math.round(pace.factor()) + " times faster than real";
            });
  }
}
