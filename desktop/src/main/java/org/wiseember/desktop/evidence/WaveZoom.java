package org.wiseember.desktop.evidence;

import java.util.LinkedHashMap;
import java.util.Map;
import java.util.Optional;
import javafx.beans.property.ObjectProperty;
import javafx.beans.property.SimpleObjectProperty;
import javafx.scene.control.Label;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;
import javafx.scene.input.ScrollEvent;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;
import org.wiseember.core.quantity.Figures;
import org.wiseember.desktop.look.ChartPane;
import org.wiseember.desktop.look.Choices;
import org.wiseember.desktop.look.Words;
import org.wiseember.desktop.model.Session;
import org.wiseember.report.drawing.CycleDrawing;
import org.wiseember.trial.wave.Wave;
import org.wiseember.trial.wave.WavePictures;

/**
 * One wave at large, with two cursors. The wheel with Ctrl looks closer at where the mouse is, with
 * Shift it moves along; the keys + and − look closer and wider around the cursors.
 */
final class WaveZoom extends VBox {
  private static final double CLOSER = 0.7;
  private static final double LEAST_MS = 0.2;
  private static final double MOST_MS = 2000;

  /** What is shown of a wave. */
  private enum Part {
    TWO_CYCLES("two cycles"),
    ALL("all of it"),
    OVERLAID("all cycles laid over one");

    private final String words;

    Part(String words) {
      this.words = words;
    }
  }

  private final Session session;
  private final ChartPane chart =
      new ChartPane("The wave, the best sine behind it, and what is left over below");
  private final Cursors cursors = new Cursors(chart);
  private final ObjectProperty<Part> part = new SimpleObjectProperty<>(Part.TWO_CYCLES);
  private final Label reading = Words.of("figure", "");
  private Wave wave;
  private Optional<Wave> beside = Optional.empty();
  private double from;
  private double to;

  WaveZoom(Session session) {
    this.session = session;
    setSpacing(6);
    // Two plots one above the other: larger text wants more room for its ticks.
    chart.minHeightProperty().bind(session.look().textScale().multiply(310));
    chart.prefHeightProperty().bind(session.look().textScale().multiply(340));
    VBox.setVgrow(cursors, Priority.ALWAYS);
    Map<Part, String> words = new LinkedHashMap<>();
    for (Part p : Part.values()) {
      words.put(p, p.words);
    }
    reading.setId("wave-cursors");
    HBox.setHgrow(reading, Priority.ALWAYS);
    var closer = Words.button("action", "Closer", () -> zoom(CLOSER, middle()));
    closer.setId("wave-closer");
    var wider = Words.button("action", "Wider", () -> zoom(1 / CLOSER, middle()));
    wider.setId("wave-wider");
    HBox under = new HBox(reading, closer, wider);
    under.setSpacing(8);
    under.setStyle("-fx-alignment: center-left;");
    getChildren().addAll(cursors, under, Choices.row("Show", "part-", words, part));
    part.addListener((o, was, is) -> reset());
    cursors.addEventFilter(ScrollEvent.SCROLL, this::wheel);
    cursors.addEventHandler(KeyEvent.KEY_PRESSED, this::key);
    cursors.at(0).addListener((o, was, is) -> say());
    cursors.at(1).addListener((o, was, is) -> say());
  }

  void of(Wave shown, Optional<Wave> compared) {
    boolean same = wave != null && shown != null && period(wave) == period(shown);
    wave = shown;
    beside = compared;
    if (wave == null) {
      return;
    }
    if (same) {
      to = Math.min(to, WavePictures.length(wave));
      draw();
    } else {
      reset();
    }
  }

  private static double period(Wave wave) {
    return wave.finding().map(f -> 1000 / f.frequency().value()).orElse(20.0);
  }

  private void reset() {
    if (wave == null) {
      return;
    }
    from = 0;
    double all = Math.min(MOST_MS, WavePictures.length(wave));
    to =
        switch (part.get()) {
          case TWO_CYCLES -> Math.min(all, 2 * period(wave));
          case ALL -> all;
          case OVERLAID -> period(wave);
        };
    draw();
  }

  private double middle() {
    return (from + to) / 2;
  }

  /** Closer to or further from a moment, which stays where it is. */
  private void zoom(double factor, double around) {
    if (wave == null || part.get() == Part.OVERLAID) {
      return;
    }
    double most = Math.min(MOST_MS, WavePictures.length(wave));
    double span = Math.max(LEAST_MS, Math.min(most, (to - from) * factor));
    double share = (around - from) / (to - from);
    move(around - share * span, span);
  }

  private void move(double start, double span) {
    double most = Math.min(MOST_MS, WavePictures.length(wave));
    from = Math.max(0, Math.min(most - span, start));
    to = from + span;
    draw();
  }

  private void wheel(ScrollEvent e) {
    double turned = e.getDeltaY() != 0 ? e.getDeltaY() : e.getDeltaX();
    if (wave == null || part.get() == Part.OVERLAID || turned == 0) {
      return;
    }
    if (e.isShiftDown()) {
      move(from - Math.signum(turned) * 0.1 * (to - from), to - from);
    } else if (e.isShortcutDown()) {
      var area = chart.dataArea();
      double share = area.getWidth() > 0 ? (e.getX() - area.getX()) / area.getWidth() : 0.5;
      double around = from + Math.max(0, Math.min(1, share)) * (to - from);
      zoom(turned > 0 ? CLOSER : 1 / CLOSER, around);
    } else {
      return;
    }
    e.consume();
  }

  private void key(KeyEvent e) {
    boolean plus = e.getCode() == KeyCode.PLUS || e.getCode() == KeyCode.ADD;
    boolean closer = plus || e.getCode() == KeyCode.EQUALS;
    boolean wider = e.getCode() == KeyCode.MINUS || e.getCode() == KeyCode.SUBTRACT;
    if ((closer || wider) && !e.isShortcutDown()) {
      double around = 500 * (cursors.at(0).get() + cursors.at(1).get());
      zoom(closer ? CLOSER : 1 / CLOSER, Math.max(from, Math.min(to, around)));
      e.consume();
    }
  }

  void draw() {
    if (wave == null) {
      return;
    }
    boolean over = part.get() == Part.OVERLAID;
    double left = from;
    double right = to;
    Wave shown = wave;
    Optional<Wave> compared = beside;
    CycleDrawing figure =
        over ? WavePictures.overlaid(shown) : WavePictures.stretch(shown, compared, left, right);
    chart.show(() -> session.look().drawn(figure));
    cursors.over(left / 1000, right / 1000, 0.001);
    say();
  }

  /** Where the cursors stand, and what lies between them. */
  private void say() {
    if (wave == null || Double.isNaN(cursors.at(1).get())) {
      return;
    }
    double a = 1000 * Math.min(cursors.at(0).get(), cursors.at(1).get());
    double b = 1000 * Math.max(cursors.at(0).get(), cursors.at(1).get());
    double va = WavePictures.volts(wave, a);
    double vb = WavePictures.volts(wave, b);
    String volts =
        Double.isNaN(va + vb)
            ? ""
            : "; "
                + Figures.fixed(va, 1)
                + " and "
                + Figures.fixed(vb, 1)
                + " V, "
                + Figures.fixed(vb - va, 1)
                + " V apart";
    reading.setText(
        Figures.fixed(a, 2)
            + " and "
            + Figures.fixed(b, 2)
            + " ms, "
            + Figures.fixed(b - a, 2)
            + " ms apart"
            + (b - a > 0.001 ? " (" + Figures.fixed(1000 / (b - a), 1) + " Hz)" : "")
            + volts);
  }
}
