package org.wiseember.desktop.plan;

import java.util.Locale;
import javafx.geometry.HPos;
import javafx.scene.control.Label;
import javafx.scene.layout.ColumnConstraints;
import javafx.scene.layout.GridPane;
import org.wiseember.core.quantity.Figures;
import org.wiseember.core.quantity.Unit;
import org.wiseember.core.solar.Designer;
import org.wiseember.core.solar.Port;
import org.wiseember.desktop.look.Row;
import org.wiseember.desktop.look.Words;
import org.wiseember.trial.kind.found.InputWindowPicture;

/** One way to wire the panels: its letter, what it gives, how it stands. */
final class WayRow extends GridPane {
  private static final double[] COLUMNS = {5, 30, 11, 32, 22};

  private final InputWindowPicture.Lettered lettered;

  WayRow(InputWindowPicture.Lettered lettered, Port port, Runnable choose) {
    this.lettered = lettered;
    Designer.Way way = lettered.way();
    getStyleClass().add("row");
    setHgap(10);
    for (double percent : COLUMNS) {
      ColumnConstraints column = new ColumnConstraints();
      column.setPercentWidth(percent);
      getColumnConstraints().add(column);
    }
    boolean never = way.standing() == Designer.Standing.NEVER;
    String tone =
        switch (way.standing()) {
          case NEVER -> "short-of";
          case BEST, AS_GOOD -> "kept";
          case WASTEFUL, NOTHING -> "close";
          case ALLOWED -> "quiet";
        };
    Label standing = Words.of("standing", capital(way.standing().words()));
    standing.getStyleClass().add(tone);
    right(standing);
    Label watts = Words.of("measured", never ? "" : Figures.fixed(way.fullSunWatts(), 0) + " W");
    right(watts);
    addRow(
        0,
        Words.line("strong", lettered.letter()),
        Words.of("claim-title", way.arrangement().words()),
        watts,
        Words.of("quiet", never ? over(way, port) : day(way)),
        standing);
    Row.make(this, way.arrangement().words() + ", " + way.standing().words(), choose);
  }

  InputWindowPicture.Lettered lettered() {
    return lettered;
  }

  private static String over(Designer.Way way, Port port) {
    double warm = way.arrangement().coldVolts(25);
    String cold = Figures.fixed(way.coldVolts(), 1) + " V cold";
    return warm <= port.mostVolts()
        ? cold + ", only then too many"
        : cold + ", " + Figures.plain(Math.rint(10 * warm) / 10, Unit.VOLT) + " even at 25\u00a0°C";
  }

  private static String day(Designer.Way way) {
    return Figures.fixed(way.dayWattHours() / 1000, 2)
        + " kWh a day, "
        + Figures.fixed(way.coldVolts(), 1)
        + " V cold";
  }

  private static void right(Label label) {
    GridPane.setHalignment(label, HPos.RIGHT);
    label.setStyle("-fx-text-alignment: right;");
  }

  private static String capital(String words) {
    return words.substring(0, 1).toUpperCase(Locale.ROOT) + words.substring(1);
  }
}
