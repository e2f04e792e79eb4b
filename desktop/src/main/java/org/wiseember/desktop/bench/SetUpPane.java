package org.wiseember.desktop.bench;

import java.util.Arrays;
import java.util.EnumSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.function.Predicate;
import javafx.beans.property.ObjectProperty;
import javafx.beans.property.SimpleObjectProperty;
import javafx.collections.ListChangeListener;
import javafx.collections.SetChangeListener;
import javafx.scene.Node;
import javafx.scene.control.CheckBox;
import javafx.scene.control.Label;
import javafx.scene.control.TextField;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.VBox;
import org.wiseember.bench.simulated.Fault;
import org.wiseember.core.port.UsbTester;
import org.wiseember.core.quantity.Figures;
import org.wiseember.core.quantity.Unit;
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

  /** Where testers put a sound meter, m. */
  private static final double[] METRES = {0.3, 0.5, 1, 2};

  private static final Set<TestKind> LOADED =
      EnumSet.of(
          TestKind.LADDER,
          TestKind.OVERLOAD,
          TestKind.SWITCH_OVER,
          TestKind.WAVEFORM,
          TestKind.HEAT);

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
    getChildren()
        .addAll(
            tests("Energy", 0, 5),
            tests("Power", 5, 9),
            tests("Ports and body", 9, TestKind.values().length),
            loads(),
            motor(),
            usb(),
            distance(),
            charge(),
            choices(),
            about);
    desk.bench().source().addListener((o, was, is) -> show());
    desk.bench().test().addListener((o, was, is) -> show());
    desk.bench().instruments().addListener((ListChangeListener<OnBench>) c -> show());
    show();
  }

  private Node choices() {
    Map<RunSettings.Source, String> words = new LinkedHashMap<>();
    CHOICES.forEach(c -> words.put(c.source(), c.words()));
    Node row = Choices.row("Readings come from", "source-", words, desk.bench().source());
    shownFor(row, kind -> !kind.byHandOnly());
    return row;
  }

  private Node tests(String name, int from, int to) {
    Map<TestKind, String> words = new LinkedHashMap<>();
    for (TestKind kind : Arrays.asList(TestKind.values()).subList(from, to)) {
      words.put(kind, kind.words());
    }
    return Choices.row(name, "test-", words, desk.bench().test());
  }

  /** Shows a part only for some tests. */
  private void shownFor(Node part, Predicate<TestKind> tests) {
    Runnable shown = () -> Words.shown(part, tests.test(desk.bench().test().get()));
    desk.bench().test().addListener((o, was, is) -> shown.run());
    shown.run();
  }

  private Node motor() {
    MotorForm form = new MotorForm(desk.bench().motor(), "motor-");
    shownFor(form, kind -> kind == TestKind.STARTS);
    return form;
  }

  private Node usb() {
    Map<UsbTester, String> words = new LinkedHashMap<>();
    Arrays.stream(UsbTester.values()).forEach(t -> words.put(t, t.words()));
    Node row = Choices.row("Asked with", "usb-", words, desk.bench().usb());
    shownFor(row, kind -> kind == TestKind.USB);
    return row;
  }

  private Node charge() {
    ChargeForm form = new ChargeForm(desk);
    shownFor(form, kind -> kind == TestKind.CHARGE);
    return form;
  }

  private Node distance() {
    Map<Double, String> words = new LinkedHashMap<>();
    for (double metres : METRES) {
      words.put(metres, Figures.plain(metres, Unit.ONE) + " m");
    }
    ObjectProperty<Double> metres = new SimpleObjectProperty<>(desk.bench().soundMetres().get());
    metres.addListener((o, was, is) -> desk.bench().soundMetres().set(is));
    Node row = Choices.row("Sound meter at", "metres-", words, metres);
    shownFor(row, kind -> kind == TestKind.HEAT);
    return row;
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
    shownFor(row, LOADED::contains);
    return row;
  }

  private void show() {
    about.getChildren().clear();
    if (desk.bench().test().get().byHandOnly()) {
      about
          .getChildren()
          .add(
              Words.of(
                  "quiet",
                  "This test is made by hand: it asks for one thing after the other, and you type"
                      + " what you read."));
      return;
    }
    switch (desk.bench().source().get()) {
      case INSTRUMENTS -> showInstruments();
      case BY_HAND ->
          about
              .getChildren()
              .addAll(
                  Words.of(
                      "quiet",
                      desk.bench().test().get().drains()
                          ? "Set the meter's total to zero, switch the load on together with the"
                              + " start here, and type what you read: total, clock, display. The"
                              + " totals alone make the verdict."
                          : "It asks for one thing after the other; type what you read, then go on."),
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
