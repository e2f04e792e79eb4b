package org.wiseember.desktop.lineup;

import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.function.Consumer;
import javafx.scene.control.TextField;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.VBox;
import org.wiseember.core.figure.Explanation;
import org.wiseember.core.lineup.Measure;
import org.wiseember.core.lineup.Order;
import org.wiseember.core.quantity.Figures;
import org.wiseember.desktop.look.Field;
import org.wiseember.desktop.look.Row;
import org.wiseember.desktop.look.Words;
import org.wiseember.desktop.model.LineUpWork;
import org.wiseember.trial.lineup.LineUp;
import org.wiseember.trial.lineup.LineUpPage;

/** What one cares for, how much, and which order comes of it. */
final class WeightsForm extends VBox {
  private static final double MOST = 100;

  private final LineUpWork work;
  private final Consumer<Explanation> open;
  private final Map<Measure, TextField> fields = new EnumMap<>(Measure.class);
  private final VBox order = new VBox(4);
  private final VBox room = new VBox(2);

  /**
   * Makes it.
   *
   * @param open tells how a place came about
   */
  WeightsForm(LineUpWork work, Consumer<Explanation> open) {
    this.work = work;
    this.open = open;
    setSpacing(8);
    FlowPane typed = new FlowPane(16, 6);
    for (Measure m : Measure.values()) {
      TextField field = Field.of("weight-" + m.key(), m.words(), "", 3);
      field.setPromptText("0");
      Field.whenTyped(field, () -> keep(m, field));
      fields.put(m, field);
      typed.getChildren().add(Field.named(field));
    }
    getChildren()
        .addAll(
            Words.of("heading", "By your own weights"),
            Words.of(
                "quiet",
                "How much each counts, 0 for not at all. Twice as good counts the same wherever it is,"
                    + " times its weight."),
            typed,
            order,
            Words.of("quiet", "How far a weight may move by itself before another is first:"),
            room);
  }

  private void keep(Measure measure, TextField field) {
    try {
      double weight = Field.number(field, 0, MOST).orElse(0);
      if (weight != work.notes().weights().getOrDefault(measure, 0.0)) {
        work.note(
            work.notes().weighing(measure, weight), "Weight of " + measure.words() + " changed");
      }
    } catch (IllegalArgumentException e) {
      field.setText(text(measure));
    }
  }

  private String text(Measure measure) {
    double weight = work.notes().weights().getOrDefault(measure, 0.0);
    return weight > 0 ? Figures.plain(weight) : "";
  }

  void show(LineUp lineUp) {
    fields.forEach(
        (m, field) -> {
          if (!field.isFocused()) {
            field.setText(text(m));
          }
        });
    order.getChildren().clear();
    List<String> places = LineUpPage.order(lineUp);
    for (int i = 0; i < places.size(); i++) {
      Order.Place place = lineUp.order().places().get(i);
      HBox row = new HBox(Words.of("strong", places.get(i)));
      row.getStyleClass().add("opens");
      row.setId("place-" + i);
      Row.make(row, places.get(i), () -> open.accept(LineUpPage.why(lineUp, place)));
      order.getChildren().add(row);
    }
    LineUpPage.leftOut(lineUp).forEach(w -> order.getChildren().add(Words.of("quiet", w)));
    lineUp
        .beaten()
        .forEach(
            (name, by) -> {
              if (!by.isEmpty()) {
                order
                    .getChildren()
                    .add(
                        Words.of(
                            "notice-text",
                            name
                                + " is beaten or equalled in all of that by "
                                + String.join(", ", by)
                                + "."));
              }
            });
    room.getChildren().clear();
    var words = LineUpPage.room(lineUp);
    (words.isEmpty() ? List.of("No weight turns the order by itself.") : words)
        .forEach(w -> room.getChildren().add(Words.of("figure", w)));
  }
}
