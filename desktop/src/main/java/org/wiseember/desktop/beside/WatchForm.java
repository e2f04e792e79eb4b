package org.wiseember.desktop.beside;

import java.util.OptionalDouble;
import java.util.function.Consumer;
import javafx.scene.control.Label;
import javafx.scene.control.TextField;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.VBox;
import org.wiseember.core.figure.Warning;
import org.wiseember.core.quantity.Figures;
import org.wiseember.core.quantity.Unit;
import org.wiseember.core.runtime.Watch;
import org.wiseember.core.runtime.WatchSheet;
import org.wiseember.desktop.look.Field;
import org.wiseember.desktop.look.Words;

/** What was read off a meter an appliance was watched with; kWh and time are enough. */
public final class WatchForm extends VBox {
  private static final double MOST = 100_000;

  private final Consumer<Watch> keep;
  private final TextField energy = field("watch-kwh", "kWh", 5);
  private final TextField hours = field("watch-hours", "h", 3);
  private final TextField minutes = field("watch-minutes", "min", 3);
  private final TextField running = field("watch-running", "W while it runs", 5);
  private final TextField highest = field("watch-highest", "highest W", 5);
  private final TextField highestVa = field("watch-va", "highest VA", 5);
  private final TextField start = field("watch-start", "VA at its start", 5);
  private final VBox found = new VBox(4);

  /** Makes an empty one. */
  public WatchForm(Consumer<Watch> keep) {
    this.keep = keep;
    setSpacing(6);
    var button = Words.button("action", "Keep this watch", this::read);
    button.setId("keep-watch");
    getChildren()
        .addAll(
            Words.of("strong", "A watch of it"),
            Words.of(
                "quiet",
                "Plug it into a meter that counts, for 24 hours or more, doors opened as on any day."
                    + " Reset the peaks once it has started. Leave out what you did not read."),
            pairs(energy, hours, minutes),
            pairs(running, highest, highestVa, start),
            new HBox(button),
            found);
  }

  private static TextField field(String id, String words, int columns) {
    return Field.of(id, words, "", columns);
  }

  private static FlowPane pairs(TextField... fields) {
    FlowPane row = new FlowPane(10, 6);
    for (TextField field : fields) {
      row.getChildren().add(Field.named(field));
    }
    return row;
  }

  private void read() {
    try {
      double seconds = 3600 * number(hours, 9000).orElse(0) + 60 * number(minutes, 59).orElse(0);
      double kilo = number(energy, 10_000).orElse(0);
      Watch watch =
          new Watch(
              seconds,
              1000 * kilo,
              1000 * step(energy.getText()),
              number(running, MOST).orElse(Double.NaN),
              number(highest, MOST).orElse(Double.NaN),
              number(highestVa, MOST).orElse(Double.NaN),
              number(start, MOST).orElse(Double.NaN));
      keep.accept(watch);
    } catch (IllegalArgumentException e) {
      String said = e.getMessage();
      found
          .getChildren()
          .setAll(
              Words.of("care", Character.toUpperCase(said.charAt(0)) + said.substring(1) + "."));
    }
  }

  private static OptionalDouble number(TextField field, double most) {
    return Field.number(field, 0, most);
  }

  /** Of the last digit that was typed. */
  private static double step(String typed) {
    String text = typed.strip().replace(',', '.');
    int point = text.indexOf('.');
    return point < 0 ? 1 : Math.pow(10, point + 1 - text.length());
  }

  /** Says what a watch comes to. */
  public void tell(Watch watch, WatchSheet sheet) {
    Label mean = Words.of("measured", sheet.mean().words() + " on average");
    found
        .getChildren()
        .setAll(
            mean,
            Words.of(
                "quiet",
                Figures.plain(watch.wattHours(), Unit.WATT_HOUR)
                    + " in "
                    + Figures.duration(watch.seconds())));
    for (Warning warning : sheet.warnings()) {
      found.getChildren().add(Words.of("notice-text", warning.message()));
    }
  }
}
