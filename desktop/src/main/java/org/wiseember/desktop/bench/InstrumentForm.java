package org.wiseember.desktop.bench;

import java.util.ArrayList;
import java.util.List;
import java.util.NoSuchElementException;
import java.util.Optional;
import javafx.collections.FXCollections;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.ComboBox;
import javafx.scene.control.Label;
import javafx.scene.control.TextField;
import javafx.scene.layout.ColumnConstraints;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.GridPane;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;
import javafx.util.StringConverter;
import org.wiseember.bench.instrument.ChannelSource;
import org.wiseember.bench.instrument.InstrumentDescription;
import org.wiseember.core.quantity.Figures;
import org.wiseember.core.typed.TypedFigure;
import org.wiseember.core.uncertainty.Correction;
import org.wiseember.core.uncertainty.MeterClass;
import org.wiseember.core.uncertainty.MeterClassText;
import org.wiseember.desktop.look.Words;
import org.wiseember.desktop.model.OnBench;
import org.wiseember.desktop.model.Session;

/** One instrument: name, address, the class of each quantity, and a check against a better one. */
final class InstrumentForm extends VBox {
  private final Session session;
  private final OnBench instrument;
  private final Label trial = Words.of("care", "");

  InstrumentForm(Session session, OnBench instrument) {
    this.session = session;
    this.instrument = instrument;
    setSpacing(8);
    InstrumentDescription d = instrument.description();
    getChildren().addAll(Words.of("heading", "This instrument"), basics(d));
    getChildren().add(Words.of("heading", "How good it is"));
    getChildren().add(classes(d));
    getChildren().addAll(Words.of("heading", "Check against a better meter"), check(d));
    Button away =
        Words.button(
            "action",
            "Take it off the bench",
            () -> session.bench().removeInstrument(instrument.id()));
    away.setId("remove-instrument");
    FlowPane buttons = new FlowPane(8, 8);
    if (d.transport().asked()) {
      Button ask = Words.button("action", "Ask it now", this::tryOut);
      ask.setId("ask-now");
      buttons.getChildren().add(ask);
    }
    buttons.getChildren().add(away);
    getChildren().addAll(trial, buttons);
    Words.shown(trial, false);
  }

  private void tryOut() {
    Words.shown(trial, true);
    trial.setText("Asking.");
    session.bench().tryOut(instrument.description(), trial::setText);
  }

  private Node basics(InstrumentDescription d) {
    GridPane grid = grid();
    field(
        grid,
        "Name",
        "instrument-name",
        d.name(),
        text -> changeSafely(() -> d.named(text.strip())));
    Label way = Words.of("figure", d.transport().words());
    grid.addRow(grid.getRowCount(), Words.of("quiet", "Way in"), way);
    if (d.transport().asked()) {
      field(grid, "Address", "instrument-address", d.address(), text -> change(d.at(text.strip())));
      field(
          grid,
          "Read every, s",
          "instrument-every",
          Figures.plain(d.everySeconds()),
          text -> changeEvery(d, text));
    }
    return grid;
  }

  private static GridPane grid() {
    GridPane grid = new GridPane();
    grid.setHgap(8);
    grid.setVgap(6);
    ColumnConstraints names = new ColumnConstraints();
    names.setPercentWidth(38);
    ColumnConstraints values = new ColumnConstraints();
    values.setPercentWidth(62);
    values.setHgrow(Priority.ALWAYS);
    grid.getColumnConstraints().addAll(names, values);
    return grid;
  }

  private interface Take {
    void text(String text);
  }

  private static void field(GridPane grid, String name, String id, String value, Take take) {
    TextField field = new TextField(value);
    field.setId(id);
    field.setAccessibleText(name);
    Runnable done =
        () -> {
          if (!field.getText().equals(value)) {
            take.text(field.getText());
          }
        };
    field.setOnAction(e -> done.run());
    field
        .focusedProperty()
        .addListener(
            (o, was, is) -> {
              if (!is) {
                done.run();
              }
            });
    Label label = Words.of("quiet", name);
    label.setLabelFor(field);
    grid.addRow(grid.getRowCount(), label, field);
  }

  private void change(InstrumentDescription next) {
    session.bench().changeInstrument(instrument.id(), next);
  }

  private void changeEvery(InstrumentDescription d, String text) {
    try {
      double seconds = TypedFigure.read("Read every", text, "s", 0, 86_400).orElseThrow();
      changeSafely(() -> d.every(seconds));
    } catch (IllegalArgumentException | NoSuchElementException e) {
      session.open().say("How often it is read is a number of seconds, such as 1.");
    }
  }

  private void changeSafely(java.util.function.Supplier<InstrumentDescription> next) {
    try {
      change(next.get());
    } catch (IllegalArgumentException e) {
      session.open().say("That is left as it was: " + e.getMessage() + ".");
    }
  }

  /** ± % of reading and digits of each quantity, as on the data sheet. */
  private Node classes(InstrumentDescription d) {
    GridPane grid = grid();
    for (int i = 0; i < d.channels().size(); i++) {
      ChannelSource source = d.channels().get(i);
      int at = i;
      String words = source.accuracy().map(MeterClass::words).orElse("not stated");
      field(
          grid,
          source.channel().words(),
          "class-" + source.channel().key(),
          words,
          text -> changeClass(d, at, text));
      source
          .correction()
          .ifPresent(
              c -> {
                Label corrected =
                    Words.of("quiet", "checked: " + c.words() + ", now as good as its reference");
                grid.add(corrected, 0, grid.getRowCount(), 2, 1);
              });
    }
    return grid;
  }

  private void changeClass(InstrumentDescription d, int at, String text) {
    ChannelSource source = d.channels().get(at);
    Optional<MeterClass> read =
        MeterClassText.read(text)
            .map(
                t ->
                    t.at(
                        source.channel().unit(),
                        source.accuracy().map(MeterClass::resolution).orElse(0.1)));
    if (read.isEmpty()) {
      session
          .open()
          .say("“" + text.strip() + "” is no accuracy. Write it as 0.5 % + 2 digits, or 1 %.");
      return;
    }
    List<ChannelSource> sources = new ArrayList<>(d.channels());
    sources.set(at, source.withAccuracy(read.get()));
    changeSafely(() -> d.with(sources));
  }

  private Node check(InstrumentDescription d) {
    ComboBox<ChannelSource> which = new ComboBox<>(FXCollections.observableList(d.channels()));
    which.setConverter(
        new StringConverter<>() {
          @Override
          public String toString(ChannelSource source) {
            return source == null ? "" : source.channel().words();
          }

          @Override
          public ChannelSource fromString(String text) {
            return null;
          }
        });
    which.getSelectionModel().select(0);
    which.setMaxWidth(Double.MAX_VALUE);
    which.setId("check-channel");
    TextField shown = small("check-shown", "This one shows");
    TextField better = small("check-better", "The better one shows");
    TextField good = small("check-class", "The better one's ± %");
    good.setText("0.2");
    GridPane grid = grid();
    int row = 0;
    grid.addRow(row++, Words.of("quiet", "Quantity"), which);
    grid.addRow(row++, Words.of("quiet", "This one shows"), shown);
    grid.addRow(row++, Words.of("quiet", "The better one"), better);
    grid.addRow(row++, Words.of("quiet", "Its class, ± %"), good);
    Button apply =
        Words.button(
            "action",
            "Correct by this",
            () -> correct(d, which.getValue(), shown.getText(), better.getText(), good.getText()));
    apply.setId("apply-check");
    Button without =
        Words.button(
            "action", "No correction", () -> replace(d, which.getValue(), Optional.empty()));
    grid.add(new FlowPane(8, 8, apply, without), 0, row, 2, 1);
    return grid;
  }

  private static TextField small(String id, String name) {
    TextField field = new TextField();
    field.setId(id);
    field.setAccessibleText(name);
    return field;
  }

  private void correct(
      InstrumentDescription d, ChannelSource source, String shown, String better, String good) {
    try {
      double from = number(shown);
      double to = number(better);
      double percent = TypedFigure.read("± % of the better one", good, "%", 0, 100).orElseThrow();
      if (from == 0) {
        throw new IllegalArgumentException("a check at 0 says nothing");
      }
      double resolution = source.accuracy().map(MeterClass::resolution).orElse(0.0);
      Correction correction =
          Correction.ofOnePoint(from, to, MeterClass.ofReading(percent, 1, resolution));
      replace(d, source, Optional.of(correction));
      session
          .open()
          .say(
              source.channel().words()
                  + " of "
                  + d.name()
                  + " is corrected by "
                  + Figures.fixed(100 * (correction.gain() - 1), 2)
                  + " %. Readings are kept as the meter shows them.");
    } catch (NoSuchElementException e) {
      session
          .open()
          .say("The check needs three numbers: what each meter shows, and ± % of the better one.");
    } catch (IllegalArgumentException e) {
      session.open().say("No correction is made: " + e.getMessage() + ".");
    }
  }

  private static double number(String text) {
    return TypedFigure.read(
            "The check", text, "", Double.NEGATIVE_INFINITY, Double.POSITIVE_INFINITY)
        .orElseThrow();
  }

  private void replace(
      InstrumentDescription d, ChannelSource source, Optional<Correction> correction) {
    List<ChannelSource> sources =
        d.channels().stream()
            .map(c -> c.channel() == source.channel() ? c.withCorrection(correction) : c)
            .toList();
    change(d.with(sources));
  }
}
