package org.wiseember.desktop.bench;

import java.util.EnumSet;
import java.util.Optional;
import java.util.Set;
import javafx.event.EventHandler;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;
import org.wiseember.bench.procedure.Now;
import org.wiseember.bench.run.RunView;
import org.wiseember.desktop.look.Words;
import org.wiseember.desktop.model.LiveRun;
import org.wiseember.desktop.model.Session;

/** A test by hand, one thing at a time: what to do now, the notebook, and what is known so far. */
final class HandPane extends VBox {
  private final HBox parts = new HBox(3);
  private final NowCard now;
  private final Set<KeyCode> down = EnumSet.noneOf(KeyCode.class);
  private final NotebookCard notebook;
  private final KnownCard known = new KnownCard();
  private final HandChart chart;

  HandPane(Session session, Runnable photo) {
    now = new NowCard(session.bench().notebook());
    notebook = new NotebookCard(session, photo);
    setSpacing(12);
    chart = new HandChart(session);
    VBox beside = new VBox(12, known, chart);
    VBox.setVgrow(known, Priority.ALWAYS);
    VBox.setVgrow(chart, Priority.ALWAYS);
    HBox below = new HBox(12, notebook, beside);
    HBox.setHgrow(notebook, Priority.ALWAYS);
    HBox.setHgrow(beside, Priority.ALWAYS);
    notebook.setPrefWidth(400);
    notebook.setMinWidth(0);
    beside.setPrefWidth(330);
    beside.setMinWidth(0);
    known.setMinWidth(0);
    VBox.setVgrow(below, Priority.ALWAYS);
    getChildren().addAll(parts, now, below);
    EventHandler<KeyEvent> keys = this::key;
    EventHandler<KeyEvent> released = e -> down.remove(e.getCode());
    sceneProperty()
        .addListener(
            (o, was, is) -> {
              if (was != null) {
                was.removeEventFilter(KeyEvent.KEY_PRESSED, keys);
                was.removeEventFilter(KeyEvent.KEY_RELEASED, released);
                // What is let go elsewhere is not seen here.
                down.clear();
              }
              if (is != null) {
                is.addEventFilter(KeyEvent.KEY_PRESSED, keys);
                is.addEventFilter(KeyEvent.KEY_RELEASED, released);
              }
            });
  }

  /** The keys of the presses work wherever the focus is; one that is held says a thing once. */
  private void key(KeyEvent e) {
    boolean held = !down.add(e.getCode());
    if (isVisible() && getScene() != null && NowCard.isPress(e.getCode())) {
      e.consume();
      if (!held) {
        now.key(e.getCode());
      }
    }
  }

  /** Shows a run as it is at a moment. */
  void show(LiveRun run, RunView view) {
    Optional<Now> moment = view.now();
    now.show(moment);
    Words.shown(now, moment.isPresent());
    showParts(moment);
    notebook.show(run);
    known.show(run.known());
    chart.show(run);
  }

  private void showParts(Optional<Now> moment) {
    int all = moment.map(Now::parts).orElse(0);
    Words.shown(parts, all > 1);
    int at = moment.map(Now::part).orElse(0);
    if (parts.getChildren().size() != all) {
      parts.getChildren().clear();
      for (int i = 0; i < all; i++) {
        Region part = new Region();
        HBox.setHgrow(part, Priority.ALWAYS);
        part.setMaxWidth(Double.MAX_VALUE);
        parts.getChildren().add(part);
      }
    }
    for (int i = 0; i < all; i++) {
      parts
          .getChildren()
          .get(i)
          .getStyleClass()
          .setAll(i + 1 < at ? "part-done" : i + 1 == at ? "part-now" : "part-to-come");
    }
  }

  /** Gives the notebook the focus. */
  void takeFocus() {
    notebook.takeFocus();
  }
}
