package org.wiseember.desktop.bench;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import javafx.collections.ListChangeListener;
import javafx.collections.SetChangeListener;
import javafx.scene.Node;
import javafx.scene.control.CheckBox;
import javafx.scene.control.Label;
import javafx.scene.control.TextField;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.VBox;
import org.wiseember.bench.simulated.Fault;
import org.wiseember.desktop.app.Desk;
import org.wiseember.desktop.app.OnBench;
import org.wiseember.desktop.look.Choices;
import org.wiseember.desktop.look.Words;
import org.wiseember.trial.TestKind;
import org.wiseember.workbook.RunSettings;

/** Before a run: where its readings come from, and what goes with that. */
final class SetUpPane extends VBox {
  private record Choice(RunSettings.Source source, String words) {}

  private static final List<Choice> CHOICES =
      List.of(
          new Choice(RunSettings.Source.SIMULATED, "Simulated bench"),
          new Choice(RunSettings.Source.INSTRUMENTS, "My instruments"),
          new Choice(RunSettings.Source.BY_HAND, "By hand"));

  private final Desk desk;
  private final VBox about = new VBox();
  private final Runnable toInstruments;

  /**
   * Makes the pane.
   *
   * @param toInstruments shows the list of instruments
   */
  SetUpPane(Desk desk, Runnable toInstruments) {
    this.desk = desk;
    this.toInstruments = toInstruments;
    getStyleClass().add("sheet");
    about.setSpacing(6);
    getChildren().addAll(tests(), loads(), choices(), about);
    desk.bench().source().addListener((o, was, is) -> show());
    desk.bench().instruments().addListener((ListChangeListener<OnBench>) c -> show());
    show();
  }

  private Node choices() {
    Map<RunSettings.Source, String> words = new LinkedHashMap<>();
    CHOICES.forEach(c -> words.put(c.source(), c.words()));
    return Choices.row("Readings come from", "source-", words, desk.bench().source());
  }

  private Node tests() {
    Map<TestKind, String> words = new LinkedHashMap<>();
    for (TestKind kind : TestKind.values()) {
      words.put(kind, kind.words());
    }
    return Choices.row("Test", "test-", words, desk.bench().test());
  }

  /** What a ladder can be made of. */
  private Node loads() {
    TextField field = new TextField(desk.bench().loadsOnHand().get());
    field.setId("loads-on-hand");
    field.setAccessibleText("Loads on hand, watts");
    field.setPrefColumnCount(24);
    field.setOnAction(e -> desk.bench().keepLoads(field.getText().strip()));
    field
        .focusedProperty()
        .addListener(
            (o, was, is) -> {
              if (!is) {
                desk.bench().keepLoads(field.getText().strip());
              }
            });
    desk.bench().loadsOnHand().addListener((o, was, is) -> field.setText(is));
    Label name = Words.line("strong", "Loads on hand, W");
    name.setLabelFor(field);
    FlowPane row = new FlowPane(8, 6, name, field);
    Runnable shown = () -> Words.shown(row, desk.bench().test().get() == TestKind.LADDER);
    desk.bench().test().addListener((o, was, is) -> shown.run());
    shown.run();
    return row;
  }

  private void show() {
    about.getChildren().clear();
    switch (desk.bench().source().get()) {
      case INSTRUMENTS -> showInstruments();
      case BY_HAND ->
          about
              .getChildren()
              .addAll(
                  Words.of(
                      "quiet",
                      "Set the meter's total to zero, switch the load on together with the start"
                          + " here, and type what you read: total, clock, display. The totals alone"
                          + " make the verdict."),
                  meters());
      default -> showFaults();
    }
  }

  private void showFaults() {
    Label words = Words.of("quiet", faultWords());
    Words.shown(words, !words.getText().isEmpty());
    FlowPane row = new FlowPane(16, 6);
    row.getChildren().add(Words.line("quiet", "Practise on a fault:"));
    for (Fault fault : Fault.values()) {
      CheckBox box = new CheckBox(fault.title());
      box.setMinWidth(USE_PREF_SIZE);
      box.setId("fault-" + fault);
      box.setAccessibleHelp(fault.words());
      box.setSelected(desk.bench().faults().contains(fault));
      box.selectedProperty()
          .addListener(
              (o, was, is) -> {
                if (is) {
                  desk.bench().faults().add(fault);
                } else {
                  desk.bench().faults().remove(fault);
                }
                words.setText(faultWords());
                Words.shown(words, !words.getText().isEmpty());
              });
      desk.bench()
          .faults()
          .addListener(
              (SetChangeListener<Fault>)
                  c -> box.setSelected(desk.bench().faults().contains(fault)));
      row.getChildren().add(box);
    }
    about.getChildren().addAll(row, words);
  }

  private String faultWords() {
    return String.join(" ", desk.bench().faults().stream().sorted().map(Fault::words).toList());
  }

  private void showInstruments() {
    List<OnBench> all = desk.bench().instruments();
    about
        .getChildren()
        .addAll(
            Words.of(
                "quiet",
                all.stream().anyMatch(i -> i.description().way().asked())
                    ? "They are asked once a second. One that is lost leaves a gap and is tried"
                        + " again by itself."
                    : "None of them can be asked yet. Add a meter that speaks SCPI or Modbus."),
            meters());
  }

  private Node meters() {
    FlowPane row = new FlowPane(18, 6);
    for (OnBench instrument : desk.bench().instruments()) {
      row.getChildren()
          .add(
              Words.line(
                  "figure",
                  instrument.description().name()
                      + ", "
                      + instrument.description().way().words().toLowerCase(java.util.Locale.ROOT)));
    }
    var button = Words.button("action", "Instruments", toInstruments);
    button.setId("to-instruments");
    row.getChildren().add(button);
    return row;
  }
}
