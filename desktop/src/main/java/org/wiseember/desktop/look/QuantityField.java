package org.wiseember.desktop.look;

import java.util.OptionalDouble;
import javafx.beans.InvalidationListener;
import javafx.beans.WeakInvalidationListener;
import javafx.scene.control.Label;
import javafx.scene.control.TextField;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Region;
import org.wiseember.core.quantity.Figures;
import org.wiseember.core.quantity.ReaderUnits;
import org.wiseember.core.quantity.Unit;

/** A field for a figure that is typed in the reader's unit and kept in the program's own. */
public final class QuantityField extends TextField {
  private final String words;
  private final Unit unit;
  private final Label symbol = new Label();
  private final InvalidationListener unitsChosen = o -> inOtherUnits();
  private ReaderUnits units = InUnits.now();
  private double value = Double.NaN;
  private String written = "";

  /**
   * Makes an empty one.
   *
   * @param words what it asks for, without the unit
   * @param unit it is kept in
   * @param columns wide
   */
  public QuantityField(String id, String words, Unit unit, int columns) {
    this.words = words;
    this.unit = unit;
    setId(id);
    setPrefColumnCount(columns);
    setMinWidth(Region.USE_PREF_SIZE);
    symbol.getStyleClass().add("quiet");
    symbol.setMinWidth(Region.USE_PREF_SIZE);
    symbol.setLabelFor(this);
    name();
    InUnits.listen(new WeakInvalidationListener(unitsChosen));
  }

  /** The field between its name and its unit. */
  public HBox named() {
    HBox row = new HBox(6, Words.line("quiet", words), this, symbol);
    row.setStyle("-fx-alignment: center-left;");
    return row;
  }

  /** The unit it is typed in, to stand beside it. */
  public Label symbol() {
    return symbol;
  }

  /** Writes a figure into it; NaN empties it. */
  public void show(double kept) {
    value = kept;
    written =
        Double.isNaN(kept)
            ? ""
            : Figures.plain(units.shown(kept, unit))
                .replace(String.valueOf(Figures.THIN_SPACE), "")
                .replace('\u2212', '-');
    setText(written);
  }

  /** The figure as it is kept; empty where no number stands in it. */
  public OptionalDouble kept() {
    if (getText().equals(written)) {
      // What was not touched is not rounded either.
      return Double.isNaN(value) ? OptionalDouble.empty() : OptionalDouble.of(value);
    }
    try {
      return Field.number(this, Double.NEGATIVE_INFINITY, Double.POSITIVE_INFINITY).stream()
          .map(typed -> units.kept(typed, unit))
          .findFirst();
    } catch (IllegalArgumentException noNumber) {
      return OptionalDouble.empty();
    }
  }

  /**
   * The figure as it is kept.
   *
   * @param least in the unit it is kept in
   * @param most in the unit it is kept in
   * @return empty for an empty field
   * @throws IllegalArgumentException with a sentence where none in the range stands in it
   */
  public OptionalDouble kept(double least, double most) {
    // The range is said in the reader's unit.
    Field.number(this, units.shown(least, unit), units.shown(most, unit));
    return kept();
  }

  private void inOtherUnits() {
    OptionalDouble now = kept();
    units = InUnits.now();
    name();
    if (now.isPresent()) {
      show(now.getAsDouble());
    }
  }

  private void name() {
    symbol.setText(units.symbol(unit));
    setAccessibleText(words + ", " + units.symbol(unit));
  }
}
