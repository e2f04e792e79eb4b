package org.wiseember.desktop.runtime;

import java.time.LocalTime;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.OptionalDouble;
import java.util.function.UnaryOperator;
import javafx.beans.property.ObjectProperty;
import javafx.beans.property.SimpleObjectProperty;
import javafx.scene.Node;
import javafx.scene.control.CheckBox;
import javafx.scene.control.Label;
import javafx.scene.control.TextField;
import javafx.scene.control.ToggleButton;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;
import org.wiseember.core.quantity.Figures;
import org.wiseember.core.quantity.Unit;
import org.wiseember.core.runtime.Day;
import org.wiseember.core.runtime.DayPlan;
import org.wiseember.desktop.look.Choices;
import org.wiseember.desktop.look.Field;
import org.wiseember.desktop.look.InUnits;
import org.wiseember.desktop.look.Words;
import org.wiseember.desktop.model.Session;
import org.wiseember.trial.verdict.Shelf;
import org.wiseember.workbook.StoredDay;
import org.wiseember.workbook.day.WrittenTimes;
import org.wiseember.workbook.strict.JsonUnreadable;

/** Which day, from when on, from which charge, and which units beside the chosen one. */
final class DayHead extends VBox {
  private final Session session;
  private final VBox days = new VBox();
  private final TextField title = Field.of("day-title", "Name of the day", "", 16);
  private final TextField start = Field.of("day-start", "from", "", 4);
  private final TextField hours = Field.of("day-hours", "for hours", "", 3);
  private final TextField charge = Field.of("day-charge", "charge, %", "", 3);
  private final TextField reserve = Field.of("day-reserve", "reserve, %", "", 3);
  private final TextField celsius = Field.of("day-celsius", "pack at", "", 3);
  private final Label degrees = Words.line("quiet", "");
  private final CheckBox always = new CheckBox("AC stays on");
  private final FlowPane beside = new FlowPane(6, 6);
  private final Label trouble = Words.of("care", "");

  DayHead(Session session) {
    this.session = session;
    setSpacing(8);
    title.getStyleClass().add("name-field");
    title.setMinWidth(120);
    HBox.setHgrow(title, Priority.ALWAYS);
    always.setId("day-always-on");
    always.setAccessibleText("The AC output stays on while nothing hangs on it");
    always.setOnAction(
        e -> change("AC stays on changed", d -> d.lasting(d.plan().hours(), always.isSelected())));
    Field.whenTyped(title, () -> change("Name of the day changed", d -> d.titled(typedTitle(d))));
    Field.whenTyped(start, () -> change("Beginning of the day changed", this::begun));
    Field.whenTyped(
        hours,
        () ->
            change(
                "Length of the day changed",
                d -> d.lasting(number(hours, 0.1, DayPlan.LONGEST), d.plan().acAlwaysOn())));
    Field.whenTyped(
        charge,
        () -> change("Charge changed", d -> d.charged(number(charge, 0, 100), d.reserve())));
    Field.whenTyped(
        reserve,
        () -> change("Reserve changed", d -> d.charged(d.charge(), number(reserve, 0, 100))));
    celsius.setPromptText("room");
    Field.whenTyped(celsius, () -> change("Warmth of the pack changed", d -> d.at(warmth())));
    var now = Words.button("action", "From now", session.dayWork()::fromNow);
    now.setId("day-from-now");
    FlowPane fields =
        new FlowPane(
            10,
            6,
            Field.named(start),
            now,
            Field.named(hours),
            Field.named(charge),
            Field.named(reserve),
            warmthField(),
            always);
    Words.shown(trouble, false);
    HBox acts =
        new HBox(
            6,
            button("copy-day", "Copy it", session.dayWork()::copy),
            button("remove-day", "Delete", session.dayWork()::remove));
    getChildren().addAll(days, new HBox(12, title, acts), fields, trouble, beside);
    session
        .shelf()
        .places()
        .addListener((javafx.collections.ListChangeListener<Shelf.Place>) c -> besides());
    session.look().units().addListener((o, was, is) -> again());
  }

  private void again() {
    StoredDay day = session.dayWork().chosen().get();
    if (day != null) {
      show(day);
    }
  }

  void show(StoredDay kept) {
    Day day = kept.day();
    Words.shown(trouble, false);
    title.setText(day.title());
    start.setText(session.look().units().get().time(day.start()));
    hours.setText(plain(day.plan().hours()));
    charge.setText(plain(day.charge()));
    reserve.setText(plain(day.reserve()));
    degrees.setText(session.look().units().get().symbol(Unit.CELSIUS));
    celsius.setText(
        day.celsius().isPresent()
            ? plain(
                Math.rint(
                        10
                            * session
                                .look()
                                .units()
                                .get()
                                .shown(day.celsius().getAsDouble(), Unit.CELSIUS))
                    / 10)
            : "");
    always.setSelected(day.plan().acAlwaysOn());
    choices(kept);
    besides();
  }

  private static String plain(double value) {
    return Figures.plain(value).replace(String.valueOf(Figures.THIN_SPACE), "");
  }

  private void choices(StoredDay kept) {
    Map<Long, String> words = new LinkedHashMap<>();
    session.dayWork().days().forEach(d -> words.put(d.id(), d.day().title()));
    ObjectProperty<Long> which = new SimpleObjectProperty<>(kept.id());
    FlowPane row = Choices.row("Day", "day-", words, which);
    which.addListener(
        (o, was, is) ->
            session.dayWork().days().stream()
                .filter(d -> d.id() == is)
                .findFirst()
                .ifPresent(session.dayWork()::choose));
    row.getChildren().add(button("add-day", "Add a day", session.dayWork()::add));
    days.getChildren().setAll(row);
  }

  private static Node button(String id, String words, Runnable action) {
    var button = Words.button("action", words, action);
    button.setId(id);
    return button;
  }

  /** The chosen unit is asked about; the others on the shelf may stand beside it. */
  private void besides() {
    StoredDay day = session.dayWork().chosen().get();
    if (day == null || session.shelf().chosen().get() == null) {
      return;
    }
    long first = session.shelf().chosen().get().unit().id();
    List<Shelf.Place> others =
        session.shelf().places().stream().filter(p -> p.unit().id() != first).toList();
    beside
        .getChildren()
        .setAll(Words.line("strong", "Beside " + session.shelf().chosen().get().unit().name()));
    for (Shelf.Place place : others) {
      long id = place.unit().id();
      ToggleButton toggle = InUnits.telling(new ToggleButton(place.unit().name()));
      toggle.getStyleClass().setAll("toggle-button", "choice");
      toggle.setId("beside-" + id);
      toggle.setMinWidth(USE_PREF_SIZE);
      toggle.setSelected(day.units().contains(id));
      toggle.setOnAction(e -> session.dayWork().beside(id, toggle.isSelected()));
      Words.enterPresses(toggle);
      beside.getChildren().add(toggle);
    }
    Words.shown(beside, !others.isEmpty());
  }

  private Node warmthField() {
    HBox field = new HBox(4, Field.named(celsius), degrees);
    field.setStyle("-fx-alignment: center-left;");
    return field;
  }

  private OptionalDouble warmth() {
    OptionalDouble typed = Field.number(celsius, -40, 140);
    return typed.isPresent()
        ? OptionalDouble.of(session.look().units().get().kept(typed.getAsDouble(), Unit.CELSIUS))
        : typed;
  }

  private String typedTitle(Day day) {
    String typed = title.getText().strip();
    return typed.isEmpty() ? day.title() : typed.substring(0, Math.min(100, typed.length()));
  }

  private Day begun(Day day) {
    try {
      WrittenTimes times = new WrittenTimes(LocalTime.MIDNIGHT, 24, session.look().units().get());
      List<Double> typed = times.moments(start.getText());
      if (typed.size() != 1) {
        throw new IllegalArgumentException("Type when the day begins, as 17:00.");
      }
      return day.from(LocalTime.MIDNIGHT.plusMinutes(Math.round(typed.get(0) * 60)));
    } catch (JsonUnreadable e) {
      throw new IllegalArgumentException(e.getMessage(), e);
    }
  }

  private static double number(TextField field, double least, double most) {
    return Field.number(field, least, most)
        .orElseThrow(
            () -> new IllegalArgumentException(field.getAccessibleText() + ": type a number."));
  }

  /** What cannot be read is said and changes nothing. */
  private void change(String what, UnaryOperator<Day> to) {
    StoredDay day = session.dayWork().chosen().get();
    if (day == null) {
      return;
    }
    try {
      Day next = to.apply(day.day());
      Words.shown(trouble, false);
      session.dayWork().change(next, what);
    } catch (IllegalArgumentException e) {
      String said = e.getMessage();
      trouble.setText(Character.toUpperCase(said.charAt(0)) + said.substring(1));
      Words.shown(trouble, true);
    }
  }
}
