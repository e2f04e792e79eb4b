package org.wiseember.desktop.plan;

import java.util.ArrayList;
import java.util.List;
import java.util.OptionalDouble;
import javafx.scene.control.Label;
import javafx.scene.control.TextField;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.VBox;
import org.wiseember.core.quantity.Figures;
import org.wiseember.core.solar.Panel;
import org.wiseember.core.solar.PanelsOnHand;
import org.wiseember.desktop.look.Field;
import org.wiseember.desktop.look.Words;
import org.wiseember.desktop.model.Session;

/** The panels on hand by their data sheets; what cannot be read is said and changes nothing. */
final class PanelsForm extends VBox {
  private static final int LONGEST_NAME = 40;

  /** What most begin with: an invented panel of 36 cells. */
  private static final Panel FIRST =
      new Panel("100 W panel", 22.3, 5.9, 18.5, 5.41, Double.NaN, Double.NaN, 0);

  private final Session session;
  private final VBox lots = new VBox();
  private final Label trouble = Words.of("care", "");

  PanelsForm(Session session) {
    this.session = session;
    getStyleClass().add("sheet");
    setSpacing(8);
    lots.setSpacing(8);
    Words.shown(trouble, false);
    var add = Words.button("action", "Add a panel", this::add);
    add.setId("add-panel");
    getChildren().addAll(Words.of("heading", "Panels on hand"), lots, trouble, new HBox(add));
    session.solar().panels().addListener((o, was, is) -> show());
    show();
  }

  private void show() {
    lots.getChildren().clear();
    List<PanelsOnHand.Lot> all = session.solar().panels().get().lots();
    for (int i = 0; i < all.size(); i++) {
      lots.getChildren().add(row(i, all.get(i)));
    }
    Words.shown(trouble, false);
  }

  private FlowPane row(int i, PanelsOnHand.Lot lot) {
    Panel p = lot.panel();
    String id = "panel-" + i + "-";
    TextField name = Field.of(id + "name", "Panel", p.name(), 13);
    TextField count = Field.of(id + "count", "how many", Integer.toString(lot.count()), 2);
    TextField open = Field.of(id + "voc", "V open", text(p.openVolts()), 4);
    TextField closed = Field.of(id + "isc", "A shorted", text(p.shortAmps()), 4);
    TextField volts = Field.of(id + "vmp", "V at most watts", text(p.peakVolts()), 4);
    TextField amps = Field.of(id + "imp", "A at most watts", text(p.peakAmps()), 4);
    TextField cold = Field.of(id + "coefficient", "% V a kelvin", text(p.voltsPerKelvin()), 4);
    cold.setPromptText("none");
    TextField warm = Field.of(id + "amps-coefficient", "% A a kelvin", text(p.ampsPerKelvin()), 4);
    warm.setPromptText("none");
    FlowPane row = new FlowPane(12, 6);
    TextField[] fields = {name, count, open, closed, volts, amps, cold, warm};
    for (TextField field : fields) {
      row.getChildren().add(Field.named(field));
      Field.whenTyped(field, () -> keep(i, fields));
    }
    var off = Words.button("action", "Remove", () -> takeOff(i));
    off.setId(id + "off");
    row.getChildren().add(off);
    return row;
  }

  private static String text(double value) {
    return Double.isNaN(value)
        ? ""
        : Figures.plain(value).replace("\u2009", "").replace('\u2212', '-');
  }

  private void keep(int i, TextField[] fields) {
    List<PanelsOnHand.Lot> all = new ArrayList<>(session.solar().panels().get().lots());
    if (i >= all.size()) {
      return;
    }
    try {
      String called = fields[0].getText().strip();
      double count = wanted(fields[1], 1, PanelsOnHand.Lot.MOST);
      Panel old = all.get(i).panel();
      Panel panel =
          new Panel(
              called.isEmpty()
                  ? "panel"
                  : called.substring(0, Math.min(LONGEST_NAME, called.length())),
              wanted(fields[2], 0.5, 200),
              wanted(fields[3], 0.05, 50),
              wanted(fields[4], 0.5, 200),
              wanted(fields[5], 0.05, 50),
              Field.number(fields[6], -1, 0).orElse(Double.NaN),
              Field.number(fields[7], -1, 1).orElse(Double.NaN),
              old.cells());
      all.set(i, new PanelsOnHand.Lot(panel, (int) count));
      Words.shown(trouble, false);
      session.solar().keep(session.solar().panels().get().with(all), "Panels on hand changed");
    } catch (IllegalArgumentException e) {
      trouble.setText(sentence(e.getMessage()));
      Words.shown(trouble, true);
    }
  }

  private static String sentence(String message) {
    String capital = Character.toUpperCase(message.charAt(0)) + message.substring(1);
    return capital.endsWith(".") ? capital : capital + ".";
  }

  private static double wanted(TextField field, double least, double most) {
    OptionalDouble number = Field.number(field, least, most);
    if (number.isEmpty()) {
      throw new IllegalArgumentException(
          field.getAccessibleText() + ": type what the data sheet says.");
    }
    return number.getAsDouble();
  }

  private void add() {
    List<PanelsOnHand.Lot> all = new ArrayList<>(session.solar().panels().get().lots());
    if (all.size() >= PanelsOnHand.MOST_LOTS) {
      trouble.setText(PanelsOnHand.MOST_LOTS + " kinds are enough; take one off first.");
      Words.shown(trouble, true);
      return;
    }
    all.add(new PanelsOnHand.Lot(FIRST, 1));
    session.solar().keep(session.solar().panels().get().with(all), "Panel added");
  }

  private void takeOff(int i) {
    List<PanelsOnHand.Lot> all = new ArrayList<>(session.solar().panels().get().lots());
    if (i < all.size()) {
      all.remove(i);
      session.solar().keep(session.solar().panels().get().with(all), "Panel removed");
    }
  }
}
