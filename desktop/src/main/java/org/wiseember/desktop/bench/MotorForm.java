package org.wiseember.desktop.bench;

import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.function.Consumer;
import javafx.beans.property.ObjectProperty;
import javafx.beans.property.SimpleObjectProperty;
import javafx.scene.control.Label;
import javafx.scene.control.TextField;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.VBox;
import org.wiseember.core.quantity.Figures;
import org.wiseember.core.start.CodeLetter;
import org.wiseember.core.start.Nameplate;
import org.wiseember.desktop.look.Choices;
import org.wiseember.desktop.look.Field;
import org.wiseember.desktop.look.Words;

/**
 * A motor's plate as fields; what cannot be read is said beside them and leaves the plate as it
 * was.
 */
public final class MotorForm extends VBox {
  private static final int LONGEST_NAME = 60;
  private static final double LEAST = 0.01;
  private static final double MOST = 100_000;

  private final ObjectProperty<Nameplate> plate;
  private final ObjectProperty<Nameplate.Kind> kind;
  private final ObjectProperty<Nameplate.Eased> eased;
  private final TextField name;
  private final TextField volts;
  private final TextField amps;
  private final TextField locked;
  private final TextField code;
  private final TextField power;
  private final Label trouble = Words.of("care", "");
  private final Consumer<String> told;
  private boolean showing;

  /**
   * Makes the form.
   *
   * @param plate follows the fields
   * @param idPrefix of every field's id
   * @param told what is wrong with the plate as it stands there; empty for nothing
   */
  public MotorForm(ObjectProperty<Nameplate> plate, String idPrefix, Consumer<String> told) {
    this.plate = plate;
    this.told = told;
    Nameplate now = plate.get();
    setSpacing(6);
    kind = new SimpleObjectProperty<>(now.kind());
    eased = new SimpleObjectProperty<>(now.eased());
    name = field(idPrefix + "name", "Motor", 14);
    volts = field(idPrefix + "volts", "Volts", 5);
    amps = field(idPrefix + "amps", "Running amps", 5);
    locked = field(idPrefix + "locked", "Locked-rotor amps", 5);
    code = field(idPrefix + "code", "Code letter", 3);
    power = field(idPrefix + "hp", "Horsepower", 4);
    FlowPane row = new FlowPane(12, 6);
    for (TextField f : new TextField[] {name, volts, amps, locked, code, power}) {
      row.getChildren().add(Field.named(f));
    }
    Map<Nameplate.Kind, String> kinds = new LinkedHashMap<>();
    Arrays.stream(Nameplate.Kind.values()).forEach(k -> kinds.put(k, k.words()));
    Map<Nameplate.Eased, String> easings = new LinkedHashMap<>();
    Arrays.stream(Nameplate.Eased.values()).forEach(e -> easings.put(e, e.words()));
    Words.shown(trouble, false);
    getChildren()
        .addAll(
            row,
            Choices.row("It is", idPrefix + "kind-", kinds, kind),
            Choices.row("To ease it", idPrefix + "eased-", easings, eased),
            trouble);
    kind.addListener((o, was, is) -> read());
    eased.addListener((o, was, is) -> read());
    show(now);
  }

  /** Shows another plate in place of what stands there. */
  void show(Nameplate other) {
    showing = true;
    name.setText(other.name());
    volts.setText(text(other.volts()));
    amps.setText(text(other.amps()));
    locked.setText(text(other.lockedRotorAmps().orElse(0)));
    code.setText(other.code().map(Enum::name).orElse(""));
    power.setText(text(other.horsepower().orElse(0)));
    kind.set(other.kind());
    eased.set(other.eased());
    showing = false;
    tell("");
  }

  private TextField field(String id, String words, int columns) {
    TextField field = Field.of(id, words, "", columns);
    field.textProperty().addListener((o, was, is) -> read());
    return field;
  }

  private static String text(double value) {
    return value > 0 ? Figures.plain(value).replaceAll("\\s|\u2009", "") : "";
  }

  private void read() {
    if (showing) {
      return;
    }
    try {
      double v = number(volts).orElse(0);
      if (!(v > 0)) {
        throw new IllegalArgumentException("A motor needs its volts, as 230.");
      }
      Optional<CodeLetter> letter = CodeLetter.of(code.getText());
      if (!code.getText().isBlank() && letter.isEmpty()) {
        throw new IllegalArgumentException("A code letter is one of A to V without I, O and Q.");
      }
      String called = name.getText().strip();
      Nameplate read =
          new Nameplate(
              called.isEmpty()
                  ? "Motor"
                  : called.substring(0, Math.min(LONGEST_NAME, called.length())),
              kind.get(),
              v,
              number(amps).orElse(Double.NaN),
              number(locked),
              letter,
              number(power),
              eased.get());
      boolean enough =
          read.amps() > 0
              || read.lockedRotorAmps().isPresent()
              || (letter.isPresent() && read.horsepower().isPresent());
      if (!enough) {
        throw new IllegalArgumentException(
            "Type its running amps, its locked-rotor amps, or a code letter with horsepower.");
      }
      tell("");
      plate.set(read);
    } catch (IllegalArgumentException e) {
      tell(e.getMessage());
    }
  }

  private void tell(String wrong) {
    trouble.setText(wrong);
    Words.shown(trouble, !wrong.isEmpty());
    told.accept(wrong);
  }

  private static OptionalDouble number(TextField field) {
    return Field.number(field, LEAST, MOST);
  }
}
