package org.wiseember.desktop.lineup;

import java.util.ArrayList;
import java.util.List;
import java.util.stream.Collectors;
import javafx.scene.control.Label;
import javafx.scene.control.TextArea;
import javafx.scene.control.TextField;
import javafx.scene.layout.HBox;
import javafx.scene.layout.VBox;
import org.wiseember.core.cost.Parts;
import org.wiseember.core.quantity.Figures;
import org.wiseember.core.typed.TypedFigure;
import org.wiseember.desktop.look.Field;
import org.wiseember.desktop.look.Words;
import org.wiseember.desktop.model.LineUpWork;
import org.wiseember.trial.lineup.LineUpUnit;
import org.wiseember.workbook.UnitFacts;

/** What is known of a unit beyond its label: what was paid, its firmware, the same in parts. */
final class UnitForm extends VBox {
  private static final double MOST = 1e8;

  private final LineUpWork work;
  private final Label trouble = Words.of("care", "");
  private final TextField price = Field.of("unit-price", "paid", "", 7);
  private final TextField currency = Field.of("unit-currency", "currency", "", 5);
  private final TextField firmware = Field.of("unit-firmware", "firmware", "", 8);
  private final TextArea parts = Field.lines("unit-parts", "The same in parts, a line each", "", 5);
  private LineUpUnit shown;
  private UnitFacts kept = UnitFacts.NONE;

  UnitForm(LineUpWork work) {
    this.work = work;
    getStyleClass().add("side");
    setId("unit-form");
    setSpacing(8);
    parts.setPromptText("Cells 450-550");
    parts.setPrefColumnCount(16);
    Field.whenTyped(price, this::keep);
    Field.whenTyped(currency, this::keep);
    Field.whenTyped(firmware, this::keep);
    parts
        .focusedProperty()
        .addListener(
            (o, was, is) -> {
              if (!is) {
                keepParts();
              }
            });
  }

  void show(LineUpUnit unit) {
    shown = unit;
    UnitFacts facts = unit.facts();
    kept = facts;
    price.setText(facts.price() > 0 ? plain(facts.price()) : "");
    currency.setText(facts.currency());
    firmware.setText(facts.firmware());
    parts.setText(
        work.notes().parts().getOrDefault(unit.id(), List.of()).stream()
            .map(UnitForm::line)
            .collect(Collectors.joining("\n")));
    Words.shown(trouble, false);
    var keep = Words.button("action", "Keep", this::keepAll);
    keep.setId("unit-keep");
    getChildren()
        .setAll(
            Words.of("quiet", "What is known of it"),
            Words.of("heading", unit.name()),
            trouble,
            Field.named(price),
            Field.named(currency),
            Field.named(firmware),
            Words.of("strong", "The same bought in parts"),
            Words.of(
                "quiet",
                "A line a part, with its price or its range; without one it counts as missing:"
                    + " cells, inverter, charger, fuse, case, cables, and your time."),
            parts,
            new HBox(keep));
  }

  private static String plain(double value) {
    return Figures.plain(value).replace(String.valueOf(Figures.THIN_SPACE), "");
  }

  private static String line(Parts.Part part) {
    return part.name()
        + (part.priced()
            ? " " + plain(part.low()) + (part.high() > part.low() ? "-" + plain(part.high()) : "")
            : "");
  }

  /**
   * {@code Cells 450-550}: the last word is the price where it is one.
   *
   * @throws IllegalArgumentException with a sentence for a price that may be two
   */
  static Parts.Part part(String line) {
    String text = line.strip();
    int space = text.lastIndexOf(' ');
    String last = text.substring(space + 1);
    if (space > 0 && last.matches("\\d[\\d.,']*([-–]\\d[\\d.,']*)?")) {
      String[] ends = last.split("[-–]", -1);
      double low = price(ends[0]);
      return new Parts.Part(
          text.substring(0, space).strip(),
          low,
          ends.length > 1 ? Math.max(low, price(ends[1])) : low);
    }
    return new Parts.Part(text, Double.NaN, Double.NaN);
  }

  private static double price(String typed) {
    return TypedFigure.read("Price", typed, "", 0, MOST).orElseThrow();
  }

  private void keepAll() {
    keep();
    keepParts();
  }

  private void keep() {
    if (shown == null) {
      return;
    }
    try {
      UnitFacts was = kept;
      double paid = Field.number(price, 0, MOST).orElse(Double.NaN);
      UnitFacts next =
          new UnitFacts(
              was.serial(),
              firmware.getText().strip(),
              was.obtained(),
              was.obtainedOn(),
              paid > 0 ? paid : Double.NaN,
              currency.getText().strip());
      kept = next;
      work.facts(shown.id(), was, next);
      Words.shown(trouble, false);
    } catch (IllegalArgumentException e) {
      trouble.setText(e.getMessage());
      Words.shown(trouble, true);
    }
  }

  private void keepParts() {
    if (shown == null) {
      return;
    }
    List<Parts.Part> list = new ArrayList<>();
    try {
      parts.getText().lines().filter(l -> !l.isBlank()).limit(40).forEach(l -> list.add(part(l)));
    } catch (IllegalArgumentException e) {
      trouble.setText(e.getMessage());
      Words.shown(trouble, true);
      return;
    }
    if (!list.equals(work.notes().parts().getOrDefault(shown.id(), List.of()))) {
      work.note(work.notes().partsOf(shown.id(), list), "Parts changed");
    }
  }
}
