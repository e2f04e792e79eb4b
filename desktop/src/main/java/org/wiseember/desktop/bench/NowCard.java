package org.wiseember.desktop.bench;

import java.util.List;
import java.util.Locale;
import java.util.Optional;
import javafx.animation.KeyFrame;
import javafx.animation.Timeline;
import javafx.scene.control.Button;
import javafx.scene.control.ContentDisplay;
import javafx.scene.control.Label;
import javafx.scene.input.KeyCode;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;
import javafx.util.Duration;
import org.wiseember.bench.procedure.Now;
import org.wiseember.core.hand.OperatorEvent;
import org.wiseember.core.hand.TimedOperatorEvent;
import org.wiseember.core.quantity.Figures;
import org.wiseember.desktop.look.WhileShown;
import org.wiseember.desktop.look.Words;
import org.wiseember.desktop.model.NotebookWork;

/**
 * What to do at this moment of a test by hand, the presses that can be said of it, and how long it
 * has gone on. The presses have the keys from F6 on, so that one hand can hold the plug.
 */
final class NowCard extends HBox {
  private static final List<KeyCode> KEYS = List.of(KeyCode.F6, KeyCode.F7, KeyCode.F8, KeyCode.F9);

  private final NotebookWork notebook;
  private final Label what = Words.of("now-what", "");
  private final Label how = Words.of("quiet", "");
  private final FlowPane presses = new FlowPane(10, 8);
  private final Label counts = Words.of("clock-words", "");
  private final Label time = Words.line("clock-figure", "0:00.0");
  private final VBox clock;
  private Optional<Now> shown = Optional.empty();

  NowCard(NotebookWork notebook) {
    this.notebook = notebook;
    getStyleClass().add("sheet");
    setSpacing(18);
    setId("now-card");
    VBox words = new VBox(Words.of("quiet", "Now"), what, how, presses);
    words.setSpacing(8);
    words.setMinWidth(0);
    HBox.setHgrow(words, Priority.ALWAYS);
    clock =
        new VBox(
            counts,
            time,
            Words.of(
                "clock-words",
                "good to ± " + Figures.plain(TimedOperatorEvent.REACTION) + " s by hand"));
    clock.getStyleClass().addAll("clock", "now-clock");
    getChildren().addAll(words, clock);
    WhileShown.play(this, new Timeline(new KeyFrame(Duration.millis(100), e -> showTime())));
  }

  void show(Optional<Now> now) {
    if (now.equals(shown)) {
      return;
    }
    shown = now;
    what.setText(now.map(n -> sentence(n.what())).orElse(""));
    String words = now.map(Now::how).orElse("");
    how.setText(words);
    Words.shown(how, !words.isEmpty());
    List<OperatorEvent> can = now.map(Now::presses).orElse(List.of());
    presses.getChildren().clear();
    for (int i = 0; i < can.size(); i++) {
      OperatorEvent press = can.get(i);
      Button button =
          Words.button(
              i == 0 ? "action-main" : "action",
              press.words() + "   " + KEYS.get(i).getName(),
              () -> notebook.press(press));
      button.setId("press-" + press.key());
      KnownWave.of(press)
          .ifPresent(
              wave -> {
                button.setGraphic(wave);
                button.setContentDisplay(ContentDisplay.TOP);
              });
      presses.getChildren().add(button);
    }
    now.map(Now::besides).orElse(List.of()).forEach(b -> presses.getChildren().add(link(b)));
    String counted = now.map(Now::clock).orElse("");
    counts.setText(counted);
    Words.shown(clock, !counted.isEmpty());
    showTime();
  }

  /** What is said seldom has no key of its own; written as a line it means the same. */
  private Button link(OperatorEvent said) {
    Button link = Words.button("action-quiet", said.words(), () -> notebook.press(said));
    link.setId("press-" + said.key());
    return link;
  }

  private static String sentence(String words) {
    return words.endsWith("?") ? words : words + ".";
  }

  private void showTime() {
    shown.ifPresent(now -> time.setText(passed(Math.max(0, notebook.seconds() - now.since()))));
  }

  /** To the tenth while that matters. */
  private static String passed(double seconds) {
    int tenths = (int) Math.floor(10 * seconds);
    return seconds < 3600
        ? String.format(Locale.ROOT, "%d:%02d.%d", tenths / 600, tenths / 10 % 60, tenths % 10)
        : Figures.clock(seconds);
  }

  /** Whether presses have this key. */
  static boolean isPress(KeyCode code) {
    return KEYS.contains(code);
  }

  /** Says what stands on a key, if anything does. */
  void key(KeyCode code) {
    List<OperatorEvent> can = shown.map(Now::presses).orElse(List.of());
    int at = KEYS.indexOf(code);
    if (at >= 0 && at < can.size()) {
      notebook.press(can.get(at));
    }
  }
}
