package org.wiseember.desktop.log;

import java.util.LinkedHashMap;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import javafx.beans.property.ObjectProperty;
import javafx.beans.property.SimpleObjectProperty;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.TextField;
import javafx.scene.input.KeyCode;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.StackPane;
import javafx.scene.layout.VBox;
import org.wiseember.core.figure.Warning;
import org.wiseember.core.quantity.Figures;
import org.wiseember.core.typed.Expected;
import org.wiseember.core.typed.TypedKind;
import org.wiseember.core.typed.TypedReader;
import org.wiseember.core.waveform.CaptureNote;
import org.wiseember.core.waveform.CapturePlace;
import org.wiseember.core.waveform.WaveformFinding;
import org.wiseember.desktop.look.Adaptive;
import org.wiseember.desktop.look.ChartPane;
import org.wiseember.desktop.look.Choices;
import org.wiseember.desktop.look.Field;
import org.wiseember.desktop.look.Focus;
import org.wiseember.desktop.look.Words;
import org.wiseember.desktop.model.CaptureDraft;
import org.wiseember.desktop.model.Session;
import org.wiseember.trial.wave.CapturedWaves;
import org.wiseember.trial.wave.Wave;
import org.wiseember.trial.wave.WavePictures;

/** A capture from a file before it is kept: what it shows, and what it was captured at. */
public final class CapturePane extends StackPane {
  /** What was on the outlet. */
  private enum At {
    NO_LOAD("no load", CapturePlace.OUTPUT),
    LOAD("a load", CapturePlace.OUTPUT),
    CHARGING("while it charges", CapturePlace.CHARGING),
    FILTER("behind a filter", CapturePlace.BEHIND_FILTER),
    MAINS("it is the mains'", CapturePlace.MAINS),
    GENERATOR("it is a generator's", CapturePlace.GENERATOR);

    private final String words;
    private final CapturePlace place;

    At(String words, CapturePlace place) {
      this.words = words;
      this.place = place;
    }

    /** Whether a load may be typed to it. */
    boolean loaded() {
      return this != NO_LOAD && this != MAINS;
    }
  }

  private final Session session;
  private final VBox page = new VBox();
  private final ChartPane chart = new ChartPane("Two cycles of the capture");
  private final ObjectProperty<At> at = new SimpleObjectProperty<>(At.NO_LOAD);
  private final TextField watts = field("capture-watts", "The load", "as 600 W");
  private final TextField ratio = field("capture-ratio", "Ratio of probe and transformer", "1");
  private final TextField channel = field("capture-channel", "Channel for the volts", "the first");
  private final Label found = Words.of("notice-text", "");
  private final Label wrong = Words.of("care", "");
  private final Button keep;
  private CaptureDraft draft;

  public CapturePane(Session session) {
    this.session = session;
    page.getStyleClass().add("stage");
    getChildren().add(Adaptive.scroll(page));
    chart.minHeightProperty().bind(session.look().textScale().multiply(310));
    chart.prefHeightProperty().bind(session.look().textScale().multiply(340));
    keep = Words.button("action-main", "Keep it", this::keep);
    keep.setId("keep-capture");
    at.addListener((o, was, is) -> say());
    watts.textProperty().addListener((o, was, is) -> say());
    ratio.textProperty().addListener((o, was, is) -> say());
    channel.setOnAction(e -> session.captures().look(draft.file(), channel.getText()));
    session.captures().draft().addListener((o, was, is) -> take(is));
    session.look().whenLookChanges(this::draw);
    take(session.captures().draft().get());
  }

  private TextField field(String id, String name, String prompt) {
    TextField field = new TextField();
    field.setId(id);
    field.setAccessibleText(name);
    field.setPromptText(prompt);
    field.setPrefColumnCount(8);
    // On release: a key that is still down when the pane has gone would act on what comes next.
    field.setOnKeyReleased(
        e -> {
          if (e.getCode() == KeyCode.ENTER && !id.equals("capture-channel")) {
            keep();
            e.consume();
          }
        });
    return field;
  }

  private void take(CaptureDraft next) {
    boolean same = draft != null && next != null && draft.file().equals(next.file());
    draft = next;
    if (next == null) {
      page.getChildren().clear();
      return;
    }
    if (same) {
      say();
      draw();
      return;
    }
    watts.clear();
    ratio.clear();
    channel.clear();
    at.set(At.NO_LOAD);
    Map<At, String> words = new LinkedHashMap<>();
    for (At a : At.values()) {
      words.put(a, a.words);
    }
    FlowPane fields =
        new FlowPane(
            14, 8, named("Load", watts), named("Probe ratio", ratio), named("Channel", channel));
    Button leave = Words.button("action", "Cancel", () -> session.captures().forget());
    leave.setId("leave-capture");
    HBox buttons = new HBox(keep, leave);
    buttons.setSpacing(8);
    page.getChildren()
        .setAll(
            head(),
            Choices.row("Captured at", "capture-at-", words, at),
            fields,
            wrong,
            chart,
            found,
            buttons);
    for (Warning w : next.read().warnings()) {
      page.getChildren().add(Words.of("notice-text", w.message()));
    }
    say();
    draw();
    Focus.give(keep, () -> {});
  }

  private static Node named(String name, TextField field) {
    Label label = Words.line("quiet", name);
    label.setLabelFor(field);
    HBox pair = new HBox(label, field);
    pair.setSpacing(8);
    pair.setStyle("-fx-alignment: center-left;");
    return pair;
  }

  private Node head() {
    String unit =
        session.shelf().chosen().get() == null
            ? ""
            : " For " + session.shelf().chosen().get().unit().name() + ".";
    Optional<CapturedWaves> into = session.captures().into();
    return new VBox(
        Words.of("title", "Import a capture"),
        Words.of(
            "quiet",
            draft.file().getFileName()
                + ", "
                + Figures.plain(draft.read().capture().size())
                + " samples, "
                + Figures.plain(Math.rint(draft.read().capture().perSecond()))
                + " a second."
                + unit
                + into.map(r -> " It goes into “" + r.run().title() + "”.")
                    .orElse(" A new run is begun for it.")));
  }

  /** The load; NaN where none has to be said, empty where what was typed is none. */
  private OptionalDouble load() {
    At where = at.get();
    if (!where.loaded()) {
      return OptionalDouble.of(where == At.NO_LOAD ? 0 : Double.NaN);
    }
    if (where != At.LOAD && watts.getText().isBlank()) {
      return OptionalDouble.of(Double.NaN);
    }
    return TypedReader.read(TypedKind.POWER, watts.getText(), Expected.nothing())
        .reading()
        .filter(r -> r.value() > 0)
        .map(r -> OptionalDouble.of(r.value()))
        .orElse(OptionalDouble.empty());
  }

  private OptionalDouble factor() {
    if (ratio.getText().isBlank()) {
      return OptionalDouble.of(1);
    }
    try {
      double value = Field.number(ratio, -1e6, 1e6).orElse(0);
      return Math.abs(value) > 1e-6 ? OptionalDouble.of(value) : OptionalDouble.empty();
    } catch (IllegalArgumentException e) {
      return OptionalDouble.empty();
    }
  }

  private void say() {
    if (draft == null) {
      return;
    }
    watts.setDisable(!at.get().loaded());
    String what =
        factor().isEmpty()
            ? "The ratio is a number such as 10 or 9.58."
            : load().isEmpty() ? "Type the load in watts, such as 600 W." : "";
    wrong.setText(what);
    Words.shown(wrong, !what.isEmpty());
    keep.setDisable(!what.isEmpty());
    double by = factor().orElse(1);
    WaveformFinding f = draft.looked().finding().orElseThrow();
    found.setText(
        "True RMS "
            + Figures.fixed(f.rms().value() * Math.abs(by), 1)
            + " V, "
            + Figures.fixed(f.frequency().value(), 2)
            + " Hz, distortion "
            + Figures.fixed(f.thdF().value(), 1)
            + " %. "
            + f.reason());
  }

  private void draw() {
    if (draft != null) {
      Wave w = draft.looked();
      double two = 2000 / w.finding().orElseThrow().frequency().value();
      chart.show(
          () ->
              session
                  .look()
                  .drawn(
                      WavePictures.stretch(
                          w, Optional.empty(), 0, Math.min(two, WavePictures.length(w)))));
    }
  }

  private void keep() {
    if (draft != null && load().isPresent() && factor().isPresent()) {
      session
          .captures()
          .keep(CaptureNote.at(at.get().place, load().getAsDouble()), factor().getAsDouble());
    }
  }
}
