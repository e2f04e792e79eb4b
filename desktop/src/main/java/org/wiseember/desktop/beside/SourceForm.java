package org.wiseember.desktop.beside;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import javafx.beans.property.ObjectProperty;
import javafx.beans.property.SimpleObjectProperty;
import javafx.scene.control.Label;
import javafx.scene.control.TextField;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.VBox;
import org.wiseember.core.quantity.Figures;
import org.wiseember.core.supply.SourceTries;
import org.wiseember.core.supply.SourceTries.Try;
import org.wiseember.core.supply.SourceTries.Went;
import org.wiseember.desktop.look.Choices;
import org.wiseember.desktop.look.Field;
import org.wiseember.desktop.look.Focus;
import org.wiseember.desktop.look.Words;
import org.wiseember.workbook.RunSubject;

/** The mains or a generator by itself: one load after the other, and what was read at each. */
final class SourceForm extends VBox {
  private static final double MOST_WATTS = 1e6;

  /** Takes what was typed. */
  interface Keep {
    void tries(RunSubject.Kind kind, String name, SourceTries tries);
  }

  private final Keep keep;
  private final ObjectProperty<RunSubject.Kind> kind =
      new SimpleObjectProperty<>(RunSubject.Kind.GENERATOR);
  private final ObjectProperty<Went> went = new SimpleObjectProperty<>(Went.NOT_SAID);
  private final TextField name = Field.of("source-name", "what it is called", "Generator", 14);
  private final TextField nominal = Field.of("source-nominal", "made for, V", "", 4);
  private final TextField watts = Field.of("source-watts", "W on it", "", 5);
  private final TextField volts = Field.of("source-volts", "volts", "", 5);
  private final TextField hertz = Field.of("source-hertz", "hertz", "", 5);
  private final TextField distortion = Field.of("source-distortion", "distortion, %", "", 4);
  private final VBox lines = new VBox(4);
  private final Label trouble = Words.of("care", "");
  private final List<Try> tries = new ArrayList<>();

  SourceForm(Keep keep) {
    this.keep = keep;
    setId("source-form");
    getStyleClass().add("sheet");
    setSpacing(8);
    Map<RunSubject.Kind, String> kinds = new LinkedHashMap<>();
    kinds.put(RunSubject.Kind.GENERATOR, "a generator");
    kinds.put(RunSubject.Kind.MAINS, "the mains");
    kind.addListener(
        (o, was, is) -> name.setText(is == RunSubject.Kind.MAINS ? "The mains" : "Generator"));
    Map<Went, String> how = new LinkedHashMap<>();
    for (Went w : List.of(Went.NOT_SAID, Went.HELD, Went.STALLED)) {
      how.put(w, w.words());
    }
    for (TextField field : List.of(watts, volts, hertz, distortion)) {
      field.setOnAction(e -> add());
    }
    var add = Words.button("action", "Add this load", this::add);
    add.setId("source-add");
    var done = Words.button("action-main", "Keep what was tried", this::done);
    done.setId("source-keep");
    Words.shown(trouble, false);
    getChildren()
        .addAll(
            Words.of("strong", "A source by itself"),
            Words.of(
                "quiet",
                "Nothing on it first, then one load more at a time, half a minute each. Read what"
                    + " there is; leave out what nobody read. An engine runs outdoors."),
            Choices.row("It is", "source-", kinds, kind),
            new FlowPane(14, 6, Field.named(name), Field.named(nominal)),
            new FlowPane(
                14,
                6,
                Field.named(watts),
                Field.named(volts),
                Field.named(hertz),
                Field.named(distortion)),
            Choices.row("Then it", "went-", how, went),
            trouble,
            new HBox(8, add, done),
            lines);
  }

  /** Puts the keyboard where one begins. */
  void begin() {
    Focus.give(name, name::selectAll);
  }

  private void add() {
    try {
      Try next =
          new Try(
              Field.number(watts, 0, MOST_WATTS).orElse(Double.NaN),
              Field.number(volts, 0, 1000).orElse(Double.NaN),
              Field.number(hertz, 0, 1000).orElse(Double.NaN),
              Field.number(distortion, 0, 200).orElse(Double.NaN),
              went.get());
      tries.add(next);
      tell(next);
      List.of(watts, volts, hertz, distortion).forEach(TextField::clear);
      went.set(Went.NOT_SAID);
      Words.shown(trouble, false);
      Focus.give(watts, () -> {});
    } catch (IllegalArgumentException e) {
      say(e.getMessage());
    }
  }

  private void tell(Try t) {
    HBox line = new HBox(12);
    line.setStyle("-fx-alignment: center-left;");
    var strike =
        Words.button(
            "action",
            "Strike",
            () -> {
              tries.remove(t);
              lines.getChildren().remove(line);
            });
    strike.setId("source-strike-" + tries.size());
    line.getChildren().addAll(Words.line("figure", words(t)), strike);
    lines.getChildren().add(line);
  }

  private static String words(Try t) {
    return Figures.plain(t.watts())
        + " W"
        + read(t.volts(), " V")
        + read(t.hertz(), " Hz")
        + read(t.distortion(), " %")
        + ", "
        + t.went().words();
  }

  private static String read(double value, String unit) {
    return Double.isNaN(value) ? "" : ", " + Figures.plain(value) + unit;
  }

  private void done() {
    try {
      // What stands in the fields is a load as well.
      if (!watts.getText().isBlank()) {
        add();
        if (trouble.isVisible()) {
          return;
        }
      }
      String called = name.getText().strip();
      if (called.isEmpty()) {
        say("Type what it is called.");
        return;
      }
      SourceTries all =
          new SourceTries(Field.number(nominal, 1, 1000).orElse(Double.NaN), List.copyOf(tries));
      keep.tries(kind.get(), called.substring(0, Math.min(80, called.length())), all);
      tries.clear();
      lines.getChildren().clear();
      Words.shown(trouble, false);
    } catch (IllegalArgumentException e) {
      say(e.getMessage());
    }
  }

  private void say(String words) {
    trouble.setText(
        Character.toUpperCase(words.charAt(0))
            + words.substring(1)
            + (words.endsWith(".") ? "" : "."));
    Words.shown(trouble, true);
  }
}
