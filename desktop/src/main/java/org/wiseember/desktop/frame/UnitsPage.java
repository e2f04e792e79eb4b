package org.wiseember.desktop.frame;

import java.util.LinkedHashMap;
import java.util.Map;
import java.util.function.BiFunction;
import java.util.function.Function;
import javafx.beans.property.ObjectProperty;
import javafx.beans.property.SimpleObjectProperty;
import javafx.scene.Node;
import javafx.scene.control.ToggleButton;
import javafx.scene.layout.VBox;
import org.wiseember.core.quantity.ReaderUnits;
import org.wiseember.desktop.look.Choices;
import org.wiseember.desktop.look.Focus;
import org.wiseember.desktop.look.Words;
import org.wiseember.desktop.model.Session;

/** What the reader wants figures told in. */
final class UnitsPage extends VBox {
  private final ObjectProperty<ReaderUnits> units;

  UnitsPage(Session session) {
    super(10);
    units = session.look().units();
    Map<ReaderUnits.Wire, String> wires = new LinkedHashMap<>();
    wires.put(ReaderUnits.Wire.BOTH, "AWG and mm²");
    wires.put(ReaderUnits.Wire.SQUARE_MILLIMETRES, "mm²");
    wires.put(ReaderUnits.Wire.AWG, "AWG");
    getChildren()
        .addAll(
            Words.of("heading", "Units"),
            Words.of(
                "quiet",
                "What figures are told in, here and on every page that is printed. It is remembered"
                    + " for you, not for the workbook: what is measured is kept as it is. A"
                    + " temperature or a weight typed without a unit is taken to be in yours."),
            row(
                "Temperature",
                "degrees-",
                either("°C", "°F"),
                ReaderUnits::fahrenheit,
                ReaderUnits::temperature),
            row("Length", "length-", either("m", "ft"), ReaderUnits::feet, ReaderUnits::length),
            row("Weight", "weight-", either("kg", "lb"), ReaderUnits::pounds, ReaderUnits::weight),
            row("Wire", "wire-", wires, ReaderUnits::wire, ReaderUnits::wire),
            row(
                "Time of day",
                "day-",
                either("14:32", "2:32 pm"),
                ReaderUnits::twelveHours,
                ReaderUnits::day));
  }

  /** To what is chosen of the first row. */
  void takeFocus() {
    lookupAll(".choice").stream()
        .filter(n -> n instanceof ToggleButton b && b.isSelected())
        .findFirst()
        .ifPresent(n -> Focus.give(n, () -> {}));
  }

  private static Map<Boolean, String> either(String usual, String other) {
    Map<Boolean, String> words = new LinkedHashMap<>();
    words.put(false, usual);
    words.put(true, other);
    return words;
  }

  private <T> Node row(
      String name,
      String id,
      Map<T, String> words,
      Function<ReaderUnits, T> read,
      BiFunction<ReaderUnits, T, ReaderUnits> write) {
    ObjectProperty<T> chosen = new SimpleObjectProperty<>(read.apply(units.get()));
    chosen.addListener((o, was, is) -> units.set(write.apply(units.get(), is)));
    units.addListener((o, was, is) -> chosen.set(read.apply(is)));
    return Choices.row(name, id, words, chosen);
  }
}
