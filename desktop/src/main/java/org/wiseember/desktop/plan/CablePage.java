package org.wiseember.desktop.plan;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.BooleanSupplier;
import javafx.beans.property.ObjectProperty;
import javafx.beans.property.SimpleObjectProperty;
import javafx.geometry.HPos;
import javafx.scene.Node;
import javafx.scene.control.Label;
import javafx.scene.control.TextField;
import javafx.scene.layout.ColumnConstraints;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.GridPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;
import org.wiseember.core.quantity.Figures;
import org.wiseember.core.quantity.Unit;
import org.wiseember.core.wiring.CableRun;
import org.wiseember.core.wiring.Gauge;
import org.wiseember.desktop.because.BecausePanel;
import org.wiseember.desktop.look.Choices;
import org.wiseember.desktop.look.Field;
import org.wiseember.desktop.look.QuantityField;
import org.wiseember.desktop.look.Row;
import org.wiseember.desktop.look.Words;

/** Which cable and fuse carry what: for amps, or for an inverter at its lowest battery volts. */
final class CablePage extends VBox {
  private enum Known {
    AMPS,
    INVERTER
  }

  private static final double[] COLUMNS = {30, 18, 12, 20, 20};
  private static final double[] START = {10, 2, 12, 3};

  private final BecausePanel because;
  private final BooleanSupplier onShow;
  private final ObjectProperty<Known> known = new SimpleObjectProperty<>(Known.AMPS);
  private final TextField amps = Field.of("cable-amps", "Amps for hours, A", text(START[0]), 5);
  private final TextField watts = Field.of("cable-watts", "AC watts", "1000", 6);
  private final TextField efficiency = Field.of("cable-efficiency", "Efficiency, %", "85", 4);
  private final QuantityField metres = new QuantityField("cable-metres", "One way", Unit.METRE, 4);
  private final TextField volts = Field.of("cable-volts", "Lowest volts, V", text(START[2]), 5);
  private final TextField drop = Field.of("cable-drop", "May lose, %", text(START[3]), 3);
  private final HBox ampsBox = Field.named(amps);
  private final HBox wattsBox = Field.named(watts);
  private final HBox efficiencyBox = Field.named(efficiency);
  private final Label trouble = Words.of("care", "");
  private final VBox found = new VBox();

  /**
   * Makes the page.
   *
   * @param because tells why of the gauge that is looked at
   * @param onShow whether this page is the one on show
   */
  CablePage(BecausePanel because, BooleanSupplier onShow) {
    this.because = because;
    this.onShow = onShow;
    setSpacing(10);
    VBox.setVgrow(this, Priority.ALWAYS);
    found.setSpacing(4);
    VBox words =
        new VBox(
            Words.of("title", "Cables and fuses"),
            Words.of(
                "quiet",
                "The thinnest gauge that carries its fuse and loses no more than it may, and the"
                    + " others beside it. Copper at 50\u00a0°C; the drop counts both conductors."));
    words.setSpacing(2);
    Map<Known, String> choices = new LinkedHashMap<>();
    choices.put(Known.AMPS, "The amps");
    choices.put(Known.INVERTER, "An inverter's AC watts");
    FlowPane fields = new FlowPane(14, 8);
    fields
        .getChildren()
        .addAll(
            ampsBox,
            wattsBox,
            efficiencyBox,
            Field.named(volts),
            metres.named(),
            Field.named(drop));
    VBox sheet = new VBox(Choices.row("I know", "cable-", choices, known), fields, trouble);
    sheet.getStyleClass().add("sheet");
    sheet.setSpacing(10);
    Words.shown(trouble, false);
    metres.show(START[1]);
    for (TextField field : new TextField[] {amps, watts, efficiency, metres, volts, drop}) {
      field.textProperty().addListener((o, was, is) -> work());
    }
    known.addListener((o, was, is) -> work());
    getChildren().addAll(words, sheet, found);
    work();
  }

  private static String text(double value) {
    return Figures.plain(value);
  }

  private static double wanted(TextField field, double least, double most) {
    return Field.number(field, least, most)
        .orElseThrow(
            () -> new IllegalArgumentException(field.getAccessibleText() + ": type a number."));
  }

  /** Works out what was typed. */
  void work() {
    boolean inverter = known.get() == Known.INVERTER;
    Words.shown(ampsBox, !inverter);
    Words.shown(wattsBox, inverter);
    Words.shown(efficiencyBox, inverter);
    try {
      double lowest = wanted(volts, 1, 1000);
      double carried =
          inverter
              ? CableRun.batteryAmps(
                  wanted(watts, 1, 100_000), wanted(efficiency, 10, 100) / 100, lowest)
              : wanted(amps, 0.01, 1000);
      double length =
          metres
              .kept(0.05, 200)
              .orElseThrow(
                  () ->
                      new IllegalArgumentException(
                          metres.getAccessibleText() + ": type a number."));
      double most = wanted(drop, 0.1, 50);
      Words.shown(trouble, false);
      show(carried, length, lowest, most);
    } catch (IllegalArgumentException e) {
      trouble.setText(e.getMessage());
      Words.shown(trouble, true);
      found.getChildren().clear();
      if (onShow.getAsBoolean()) {
        // What was worked out before belongs to other figures.
        because.getChildren().clear();
      }
    }
  }

  private void show(double carried, double length, double lowest, double most) {
    found.getChildren().clear();
    Optional<CableRun> best = CableRun.thinnest(carried, length, lowest, most);
    found
        .getChildren()
        .add(
            Words.of(
                "heading",
                best.map(
                        b ->
                            "For "
                                + Figures.fixed(carried, 1)
                                + " A take "
                                + b.gauge().words()
                                + ", fuse "
                                + Figures.plain(b.fuse().orElseThrow(), Unit.AMPERE))
                    .orElse(
                        "For "
                            + Figures.fixed(carried, 1)
                            + " A no single cable here will do: shorten it, or lay two, each"
                            + " fused")));
    List<CableRun> runs = new ArrayList<>();
    for (Gauge gauge : Gauge.all()) {
      runs.add(new CableRun(carried, length, lowest, gauge));
    }
    for (CableRun run : runs) {
      found.getChildren().add(row(run, most, best.filter(run::equals).isPresent()));
    }
    explain(best.orElse(runs.get(runs.size() - 1)));
  }

  private Node row(CableRun run, double most, boolean best) {
    boolean carries = run.fuse().isPresent();
    boolean keeps = run.dropPercent() <= most;
    Label name = Words.of("figure", run.gauge().words());
    Label standing =
        Words.of(
            "standing",
            best ? "take this" : !carries ? "too thin" : keeps ? "carries it" : "loses too much");
    standing.getStyleClass().add(best ? "kept" : carries && keeps ? "quiet" : "short-of");
    GridPane row = new GridPane();
    row.getStyleClass().add("row");
    row.setHgap(12);
    for (double percent : COLUMNS) {
      ColumnConstraints column = new ColumnConstraints();
      column.setPercentWidth(percent);
      row.getColumnConstraints().add(column);
    }
    row.addRow(
        0,
        name,
        right(Words.of("figure", Figures.fixed(run.dropVolts(), 2) + " V lost")),
        right(Words.of("figure", Figures.fixed(run.dropPercent(), 1) + " %")),
        right(Words.of("figure", Figures.fixed(run.heatWatts(), 1) + " W of heat")),
        right(standing));
    Row.chosen(row, best);
    Row.make(row, run.gauge().words(), () -> explain(run));
    return row;
  }

  private static Label right(Label label) {
    GridPane.setHalignment(label, HPos.RIGHT);
    label.setStyle("-fx-text-alignment: right;");
    return label;
  }

  private void explain(CableRun run) {
    if (onShow.getAsBoolean()) {
      because.explain(run.explained());
    }
  }
}
