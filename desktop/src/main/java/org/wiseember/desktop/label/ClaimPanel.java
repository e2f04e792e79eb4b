package org.wiseember.desktop.label;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.OptionalDouble;
import java.util.function.Consumer;
import java.util.function.ToLongFunction;
import javafx.scene.Node;
import javafx.scene.control.ComboBox;
import javafx.scene.control.Label;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;
import javafx.util.StringConverter;
import org.wiseember.core.label.Claim;
import org.wiseember.core.label.Direction;
import org.wiseember.core.label.Subject;
import org.wiseember.core.quantity.ReaderUnits;
import org.wiseember.desktop.look.InUnits;
import org.wiseember.desktop.look.QuantityField;
import org.wiseember.desktop.look.Words;
import org.wiseember.trial.AllTests;
import org.wiseember.trial.kind.TestType;

/** What a claim was taken to mean, and the fields to correct it or to add one by hand. */
final class ClaimPanel extends VBox {
  private final ToLongFunction<TestType> made;
  private final Consumer<Claim> keep;
  private final Consumer<Claim> drop;

  /**
   * Makes the panel.
   *
   * @param made how often a test was made of the unit
   * @param keep takes a claim mended or added by hand
   * @param drop takes back a claim kept by hand
   */
  ClaimPanel(ToLongFunction<TestType> made, Consumer<Claim> keep, Consumer<Claim> drop) {
    this.made = made;
    this.keep = keep;
    this.drop = drop;
    getStyleClass().add("side");
    setId("claim-panel");
    explainNothing();
  }

  void explainNothing() {
    getChildren()
        .setAll(
            Words.of("quiet", "Claim"),
            Words.of("heading", "None chosen"),
            Words.of(
                "claim-text",
                "Choose a claim to see what it was taken to mean, and to correct it. A claim the reader"
                    + " did not find can be added by hand."),
            add());
  }

  void explain(Claim claim, boolean byHand) {
    getChildren().setAll(Words.of("quiet", "Claim"), Words.of("heading", claim.subject().words()));
    pair("Means", Words.of("claimed", claim.figureWords()));
    claim.conditionWords().ifPresent(w -> pair("Holds", Words.of("claim-text", w)));
    pair(
        "Printed as",
        Words.of(
            "claim-text",
            claim.printedAs().isEmpty() ? "added by hand" : ReaderUnits.quoted(claim.printedAs())));
    pair("Tested by", Words.of("claim-text", testedBy(claim.subject())));
    String caution = caution(claim.subject());
    if (!caution.isEmpty()) {
      VBox box = new VBox(Words.of("strong", "Take care"), Words.of("care", caution));
      box.getStyleClass().add("caution");
      getChildren().add(box);
    }
    if (claim.direction() != Direction.STATED) {
      getChildren().add(space("Correct it"));
      form(claim.subject(), claim);
    }
    if (byHand) {
      getChildren()
          .add(new HBox(Words.button("action", "Back to the print", () -> drop.accept(claim))));
    }
    getChildren().add(add());
  }

  private Node add() {
    return new HBox(Words.button("action", "Add a claim by hand", this::showAdd));
  }

  private void showAdd() {
    getChildren().setAll(Words.of("quiet", "Claim"), Words.of("heading", "Added by hand"));
    ComboBox<Subject> subjects = new ComboBox<>();
    subjects
        .getItems()
        .setAll(
            Arrays.stream(Subject.values())
                .filter(s -> !s.isWord() && s.usualDirection() != Direction.STATED)
                .filter(s -> s != Subject.OVERLOAD_TIME)
                .toList());
    subjects.setConverter(
        new StringConverter<>() {
          @Override
          public String toString(Subject s) {
            return s == null ? "" : s.words();
          }

          @Override
          public Subject fromString(String words) {
            return null;
          }
        });
    subjects.setMaxWidth(Double.MAX_VALUE);
    subjects.setAccessibleText("What the claim is about");
    getChildren().add(subjects);
    VBox place = new VBox();
    place.setSpacing(7);
    getChildren().add(place);
    subjects.setOnAction(
        e -> {
          place.getChildren().clear();
          form(place, subjects.getValue(), null);
        });
    subjects.requestFocus();
  }

  private void form(Subject subject, Claim was) {
    form(this, subject, was);
  }

  private void form(VBox place, Subject subject, Claim was) {
    boolean band =
        was == null
            ? subject.usualDirection() == Direction.BAND
            : was.direction() == Direction.BAND;
    QuantityField low = field(subject, band ? ", from" : "");
    QuantityField high = field(subject, ", to");
    if (was != null) {
      low.show(band ? was.low() : was.figure());
      high.show(was.high());
    }
    HBox row = new HBox(low);
    if (band) {
      row.getChildren().addAll(Words.line("claim-text", "to"), high);
    }
    row.getChildren().add(low.symbol());
    row.setSpacing(7);
    row.setStyle("-fx-alignment: center-left;");
    Label problem = Words.of("close", "");
    Words.shown(problem, false);
    Runnable take =
        () -> {
          OptionalDouble a = low.kept();
          OptionalDouble b = band ? high.kept() : OptionalDouble.empty();
          String wrong = wrong(subject, a, b, band);
          problem.setText(wrong);
          Words.shown(problem, !wrong.isEmpty());
          if (wrong.isEmpty()) {
            keep.accept(made(subject, was, a.getAsDouble(), b.orElse(Double.NaN), band));
          }
        };
    low.setOnAction(e -> take.run());
    high.setOnAction(e -> take.run());
    place
        .getChildren()
        .addAll(row, problem, new HBox(Words.button("action", "Keep this figure", take)));
  }

  private static Claim made(Subject subject, Claim was, double a, double b, boolean band) {
    String printed = was == null ? "" : was.printedAs();
    List<org.wiseember.core.label.Condition> conditions = new ArrayList<>();
    if (was != null) {
      was.conditions().stream()
          .filter(c -> c.kind() != org.wiseember.core.label.Condition.Kind.ASSUMED_TOLERANCE)
          .forEach(conditions::add);
    }
    Direction direction =
        band ? Direction.BAND : was == null ? subject.usualDirection() : was.direction();
    double low = direction == Direction.AT_MOST ? Double.NaN : a;
    double high = direction == Direction.AT_MOST ? a : b;
    return new Claim(subject, direction, low, high, "", conditions, printed);
  }

  private static String wrong(Subject subject, OptionalDouble a, OptionalDouble b, boolean band) {
    if (a.isEmpty() || (band && b.isEmpty())) {
      return "Type a figure in " + InUnits.now().symbol(subject.unit()) + ", such as 1075.";
    }
    if (!subject.mayBeNegative() && (a.getAsDouble() < 0 || b.orElse(0) < 0)) {
      return subject.words() + " cannot be negative. Check the sign.";
    }
    if (!subject.plausible(a.getAsDouble()) || (band && !subject.plausible(b.getAsDouble()))) {
      return "That is not a likely figure. Check it and its unit.";
    }
    return band && a.getAsDouble() > b.getAsDouble() ? "The first figure is the lower one." : "";
  }

  private static QuantityField field(Subject subject, String end) {
    return new QuantityField(null, subject.words() + end, subject.unit(), 6);
  }

  private void pair(String name, Label value) {
    Label left = Words.line("quiet", name);
    HBox.setHgrow(value, Priority.ALWAYS);
    value.setMaxWidth(Double.MAX_VALUE);
    value.setStyle("-fx-alignment: center-right; -fx-text-alignment: right;");
    HBox row = new HBox(left, value);
    row.setSpacing(12);
    row.setStyle("-fx-alignment: baseline-left; -fx-padding: 0.25em 0;");
    getChildren().add(row);
  }

  private static Node space(String words) {
    Label heading = Words.of("heading", words);
    heading.setStyle("-fx-padding: 0.7em 0 0 0;");
    return heading;
  }

  /** Which tests answer a claim about a subject, and which of them were made. */
  private String testedBy(Subject subject) {
    List<String> tests = new ArrayList<>();
    for (TestType test : AllTests.answering(subject)) {
      long runs = made.applyAsLong(test);
      tests.add(
          test.words()
              + (runs == 0
                  ? ", not made yet"
                  : runs == 1 ? ", made" : ", made " + runs + " times"));
    }
    return tests.isEmpty()
        ? subject.usualDirection() == Direction.STATED
            ? "nothing: a plain fact"
            : "a test that is not built yet"
        : String.join("; ", tests);
  }

  private static String caution(Subject subject) {
    return switch (subject) {
      case CAPACITY, CONTINUOUS_POWER, OVERLOAD, SURGE ->
          "Heaters stand on a hard floor with 1\u00a0m clear all round. Stay with anything over its"
              + " rating. Stop at smell, smoke, swelling or a case of 60\u00a0°C.";
      case SOLAR_VOLTAGE, SOLAR_CURRENT, SOLAR_POWER ->
          "Panels are live in daylight. Cover them before touching a plug, and never pass the volts"
              + " of the port. Fixed wiring is work for a licensed electrician under your local code.";
      case SWITCH_OVER ->
          "Never feed a building from a unit. That takes a transfer switch, your local code and a"
              + " licensed electrician.";
      default -> "";
    };
  }
}
