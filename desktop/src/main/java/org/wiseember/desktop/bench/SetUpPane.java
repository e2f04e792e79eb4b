package org.wiseember.desktop.bench;

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
import org.wiseember.bench.instrument.Transport;
import org.wiseember.bench.simulated.Fault;
import org.wiseember.core.label.Group;
import org.wiseember.desktop.look.Choices;
import org.wiseember.desktop.look.Words;
import org.wiseember.desktop.model.OnBench;
import org.wiseember.desktop.model.Session;
import org.wiseember.trial.AllTests;
import org.wiseember.trial.kind.TestType;
import org.wiseember.trial.kind.Trait;
import org.wiseember.workbook.RunSettings;

/** Before a run: where its readings come from, and what goes with that. */
final class SetUpPane extends VBox {
  private record Choice(RunSettings.Source source, String words) {}

  private static final List<Choice> CHOICES =
      List.of(
          new Choice(RunSettings.Source.SIMULATED, "Simulated bench"),
          new Choice(RunSettings.Source.INSTRUMENTS, "My instruments"),
          new Choice(RunSettings.Source.BY_HAND, "By hand"));

  /** The rows tests are chosen from, each with the parts of the verdict its tests tell of. */
  private static final Map<String, Set<Group>> ROWS = new LinkedHashMap<>();

  static {
    ROWS.put("Energy", EnumSet.of(Group.ENERGY, Group.IDLE, Group.CHARGING));
    ROWS.put("Power", EnumSet.of(Group.POWER, Group.WAVEFORM));
    ROWS.put("Ports and body", EnumSet.of(Group.PORTS, Group.BODY));
  }

  private final Session session;
  private final VBox about = new VBox();
  private final Runnable toInstruments;

  /**
   * Makes the pane.
   *
   * @param toInstruments shows the list of instruments
   */
  SetUpPane(Session session, Runnable toInstruments) {
    this.session = session;
    this.toInstruments = toInstruments;
    getStyleClass().add("sheet");
    about.setSpacing(6);
    VBox others = new VBox(6);
    others.setId("other-tests");
    ROWS.forEach((name, groups) -> others.getChildren().add(tests(name, groups)));
    Words.shown(others, false);
    getChildren().addAll(new NextTest(session, others), others, loads());
    for (TestType test : AllTests.list()) {
      TestForms.of(test, session)
          .ifPresent(
              form -> {
                shownFor(form, test::equals);
                getChildren().add(form);
              });
    }
    getChildren().addAll(choices(), about);
    session.bench().source().addListener((o, was, is) -> show());
    session.bench().test().addListener((o, was, is) -> show());
    session.bench().onHand().addListener((o, was, is) -> show());
    session.bench().instruments().addListener((ListChangeListener<OnBench>) c -> show());
    show();
  }

  /** Whether this is part of this pane. */
  boolean holds(Node field) {
    for (Node up = field; up != null; up = up.getParent()) {
      if (up == this) {
        return true;
      }
    }
    return false;
  }

  private Node choices() {
    Map<RunSettings.Source, String> words = new LinkedHashMap<>();
    CHOICES.forEach(c -> words.put(c.source(), c.words()));
    Node row = Choices.row("Readings come from", "source-", words, session.bench().source());
    shownFor(row, test -> !session.bench().byHandOnly());
    return row;
  }

  private Node tests(String name, Set<Group> groups) {
    Map<String, String> words = new LinkedHashMap<>();
    for (TestType test : AllTests.list()) {
      if (groups.contains(test.declaration().group())) {
        words.put(test.key(), test.words());
      }
    }
    ObjectProperty<String> key = new SimpleObjectProperty<>(session.bench().test().get().key());
    key.addListener((o, was, is) -> session.bench().test().set(AllTests.of(is)));
    session.bench().test().addListener((o, was, is) -> key.set(is.key()));
    return Choices.row(name, "test-", words, key);
  }

  /** Shows a part only for some tests. */
  private void shownFor(Node part, Predicate<TestType> tests) {
    Runnable shown = () -> Words.shown(part, tests.test(session.bench().test().get()));
    session.bench().test().addListener((o, was, is) -> shown.run());
    session.bench().onHand().addListener((o, was, is) -> shown.run());
    shown.run();
  }

  /** What a ladder can be made of. */
  private Node loads() {
    TextField field = new TextField(session.bench().loadsOnHand().get());
    field.setId("loads-on-hand");
    field.setAccessibleText("Loads on hand, watts");
    field.setPrefColumnCount(24);
    field.setOnAction(e -> session.bench().keepLoads(field.getText().strip()));
    field
        .focusedProperty()
        .addListener(
            (o, was, is) -> {
              if (!is) {
                session.bench().keepLoads(field.getText().strip());
              }
            });
    session.bench().loadsOnHand().addListener((o, was, is) -> field.setText(is));
    Label name = Words.line("strong", "Loads on hand, W");
    name.setLabelFor(field);
    FlowPane row = new FlowPane(8, 6, name, field);
    shownFor(row, test -> test.is(Trait.WANTS_LOADS));
    return row;
  }

  private void show() {
    about.getChildren().clear();
    if (session.bench().byHandOnly()) {
      about
          .getChildren()
          .add(
              Words.of(
                  "quiet",
                  "This test is made by hand: it asks for one thing after the other, and you type"
                      + " what you read."));
      about.getChildren().add(meters(true));
      return;
    }
    switch (session.bench().source().get()) {
      case INSTRUMENTS -> showInstruments();
      case BY_HAND -> {
        String cannot = session.bench().test().get().declaration().cannotByHand();
        about
            .getChildren()
            .add(
                Words.of(
                    "quiet",
                    "It asks for one thing after the other: eyes, a meter to read and one key will"
                        + " do."
                        + (cannot.isEmpty() ? "" : " " + cannot)));
        about.getChildren().add(meters(true));
      }
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
      box.setSelected(session.bench().faults().contains(fault));
      box.selectedProperty()
          .addListener(
              (o, was, is) -> {
                if (is) {
                  session.bench().faults().add(fault);
                } else {
                  session.bench().faults().remove(fault);
                }
                words.setText(faultWords());
                Words.shown(words, !words.getText().isEmpty());
              });
      session
          .bench()
          .faults()
          .addListener(
              (SetChangeListener<Fault>)
                  c -> box.setSelected(session.bench().faults().contains(fault)));
      row.getChildren().add(box);
    }
    about.getChildren().addAll(row, words);
  }

  private String faultWords() {
    return String.join(" ", session.bench().faults().stream().sorted().map(Fault::words).toList());
  }

  private void showInstruments() {
    List<OnBench> all = session.bench().instruments();
    about
        .getChildren()
        .addAll(
            Words.of(
                "quiet",
                all.stream().anyMatch(i -> i.description().transport().asked())
                    ? "They are asked once a second. One that is lost leaves a gap and is tried"
                        + " again by itself."
                    : "None of them can be asked yet. Add a meter that speaks SCPI or Modbus."),
            meters(false));
  }

  /**
   * What is on the bench, and the way to it: how good a meter is counts by hand as well.
   *
   * @param typed only what is read by eye
   */
  private Node meters(boolean typed) {
    FlowPane row = new FlowPane(18, 6);
    for (OnBench instrument : session.bench().instruments()) {
      if (typed && instrument.description().transport() != Transport.TYPED) {
        continue;
      }
      row.getChildren()
          .add(
              Words.line(
                  "figure",
                  instrument.description().name()
                      + ", "
                      + instrument
                          .description()
                          .transport()
                          .words()
                          .toLowerCase(java.util.Locale.ROOT)));
    }
    var button = Words.button("action", "Instruments", toInstruments);
    button.setId("to-instruments");
    row.getChildren().add(button);
    return row;
  }
}
