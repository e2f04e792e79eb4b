package org.wiseember.desktop.runtime;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.OptionalDouble;
import java.util.function.Consumer;
import javafx.application.Platform;
import javafx.beans.property.ObjectProperty;
import javafx.beans.property.SimpleObjectProperty;
import javafx.collections.ListChangeListener;
import javafx.scene.Node;
import javafx.scene.control.Label;
import javafx.scene.control.TextField;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.VBox;
import org.wiseember.core.quantity.Figures;
import org.wiseember.core.quantity.HourSpan;
import org.wiseember.core.runtime.Appliance;
import org.wiseember.core.runtime.ApplianceDraw;
import org.wiseember.core.runtime.Day;
import org.wiseember.core.runtime.Side;
import org.wiseember.core.runtime.Watch;
import org.wiseember.core.runtime.WatchSheet;
import org.wiseember.core.runtime.feed.Leg;
import org.wiseember.desktop.beside.WatchForm;
import org.wiseember.desktop.look.Choices;
import org.wiseember.desktop.look.Field;
import org.wiseember.desktop.look.Focus;
import org.wiseember.desktop.look.Words;
import org.wiseember.desktop.model.Session;
import org.wiseember.trial.beside.BesideRun;
import org.wiseember.workbook.StoredDay;
import org.wiseember.workbook.day.WrittenTimes;
import org.wiseember.workbook.strict.JsonUnreadable;

/** One appliance of the day: what it takes, how that is known, and when it is on. */
final class ApplianceForm extends VBox {
  private static final double MOST_WATTS = 100_000;
  private static final double PERCENT = 100;

  private final Session session;
  private final Runnable closed;
  private final Label trouble = Words.of("care", "");
  private int place = -1;
  private long shownDay;
  private Appliance shown;
  private TextField name;
  private TextField watts;
  private TextField energy;
  private TextField minutes;
  private TextField startVa;
  private TextField sure;
  private TextField times;

  ApplianceForm(Session session, Runnable closed) {
    this.session = session;
    this.closed = closed;
    getStyleClass().add("side");
    setId("appliance-form");
    session.look().units().addListener((o, was, is) -> rebuild());
    session.beside().runs().addListener((ListChangeListener<BesideRun>) change -> rebuild());
  }

  /** Opens the one at a place of the list. */
  void of(int at) {
    place = at;
    rebuild();
    if (shown != null) {
      Focus.give(name, name::selectAll);
    }
  }

  /** Shows none. */
  void close() {
    place = -1;
    closed.run();
  }

  /** Follows what was changed elsewhere, by a drag or an undo. */
  void follow(StoredDay kept) {
    Day day = kept.day();
    if (place < 0) {
      return;
    }
    if (kept.id() != shownDay || place >= day.appliances().size()) {
      close();
    } else if (!day.appliances().get(place).equals(shown)) {
      rebuild();
    }
  }

  private void rebuild() {
    StoredDay kept = session.dayWork().chosen().get();
    if (kept == null || place < 0 || place >= kept.day().appliances().size()) {
      return;
    }
    shown = kept.day().appliances().get(place);
    shownDay = kept.id();
    ApplianceDraw draw = shown.draw();
    name = field("appliance-name", "Name", shown.name(), 12);
    watts = field("appliance-watts", "W while it runs", text(draw.watts()), 6);
    startVa = field("appliance-start", "VA to start", text(draw.startVa()), 6);
    startVa.setPromptText("none");
    sure = field("appliance-sure", "sure to %", text(PERCENT * draw.share95()), 4);
    times = field("appliance-times", timesWords(draw), times(kept.day(), shown), 16);
    energy = null;
    minutes = null;
    List<Node> nodes = new ArrayList<>();
    nodes.add(Words.of("quiet", "Appliance"));
    nodes.add(Words.of("heading", shown.name()));
    nodes.add(trouble);
    nodes.add(Field.named(name));
    nodes.add(Words.of("strong", "How it is used"));
    nodes.add(uses(draw.use()));
    nodes.add(Words.of("quiet", useWords(draw.use())));
    nodes.add(Field.named(watts));
    switch (draw.use()) {
      case CYCLING -> energy = field("appliance-energy", "Wh an hour", text(draw.wattHours()), 6);
      case PER_GO -> energy = field("appliance-energy", "Wh a go", text(draw.wattHours()), 6);
      case SHORT -> minutes = field("appliance-minutes", "minutes", text(draw.minutes()), 6);
      case STEADY -> {}
    }
    if (energy != null) {
      nodes.add(Field.named(energy));
    }
    if (minutes != null) {
      nodes.add(Field.named(minutes));
    }
    nodes.add(Field.named(startVa));
    nodes.add(sides());
    if (!kept.units().isEmpty()) {
      nodes.add(Words.of("strong", "Where two units are joined, it hangs on"));
      nodes.add(legs());
    }
    nodes.add(Words.of("strong", "How that is known"));
    nodes.add(origins(draw.origin()));
    nodes.add(Field.named(sure));
    nodes.add(Words.of("strong", "When"));
    nodes.add(times);
    nodes.add(
        Words.of(
            "quiet",
            draw.use().atMoments()
                ? "Moments, as 19:00, 20:30; another day as: day 2 7:30."
                : "Times, as 18:00-22:00, 23:00-1:00; another day as: day 2 7:00-9:00; or always."));
    nodes.add(actions(kept.day().appliances().size()));
    if (draw.use() == ApplianceDraw.Use.CYCLING) {
      WatchForm watch = new WatchForm(this::keepWatch);
      // One that is kept already says what it came to.
      session.beside().watches().stream()
          .filter(w -> w.name().equals(shown.name()))
          .reduce((first, last) -> last)
          .ifPresent(w -> watch.tell(w.watch(), w.sheet()));
      nodes.add(watch);
    }
    Words.shown(trouble, false);
    getChildren().setAll(nodes);
  }

  private TextField field(String id, String words, String value, int columns) {
    TextField field = Field.of(id, words, value, columns);
    field.setMinWidth(60);
    Field.whenTyped(field, this::keep);
    return field;
  }

  private static String text(double value) {
    return Double.isFinite(value) && value > 0
        ? Figures.plain(value).replace(String.valueOf(Figures.THIN_SPACE), "")
        : "";
  }

  private static String timesWords(ApplianceDraw draw) {
    return draw.use().atMoments() ? "Moments it is used" : "Times it is on";
  }

  private WrittenTimes written(Day day) {
    return new WrittenTimes(day.start(), day.plan().hours(), session.look().units().get());
  }

  private String times(Day day, Appliance a) {
    return a.draw().use().atMoments()
        ? written(day).writtenMoments(a.at())
        : written(day).written(a.on());
  }

  private static String useWords(ApplianceDraw.Use use) {
    return switch (use) {
      case STEADY -> "Draws the same as long as it is on: lamps, a till, a fan.";
      case CYCLING ->
          "Switches itself on and off: a fridge, a kettle that keeps warm. Watch it for a day and"
              + " divide its Wh by the hours; it may start at any moment.";
      case SHORT -> "For so many minutes at a time: an oven, a hair dryer, a pump of 0.25 min.";
      case PER_GO -> "Takes so much each time, whatever the time: a pot of coffee, a saw cut.";
    };
  }

  private Node uses(ApplianceDraw.Use now) {
    Map<ApplianceDraw.Use, String> words = new LinkedHashMap<>();
    words.put(ApplianceDraw.Use.STEADY, "steady");
    words.put(ApplianceDraw.Use.CYCLING, "cycles");
    words.put(ApplianceDraw.Use.SHORT, "for minutes");
    words.put(ApplianceDraw.Use.PER_GO, "by the go");
    return choice("appliance-use-", words, now, next -> keep(shown.with(used(shown.draw(), next))));
  }

  /** The same figures, as far as they say anything of another use. */
  private static ApplianceDraw used(ApplianceDraw draw, ApplianceDraw.Use use) {
    double watts = draw.runningWatts();
    double some = watts > 0 ? watts : 60;
    double energy =
        switch (use) {
          case CYCLING -> draw.meanWatts() > 0 ? draw.meanWatts() : some;
          case PER_GO -> draw.goWattHours() > 0 ? draw.goWattHours() : some / 6;
          case STEADY, SHORT -> Double.NaN;
        };
    double minutes =
        use == ApplianceDraw.Use.SHORT ? draw.minutes() > 0 ? draw.minutes() : 10 : Double.NaN;
    return new ApplianceDraw(
        use, some, energy, minutes, draw.startVa(), draw.origin(), draw.share95());
  }

  private Node sides() {
    Map<Side, String> words = new LinkedHashMap<>();
    words.put(Side.AC, "on AC");
    words.put(Side.DC, "on DC or USB");
    return choice("appliance-side-", words, shown.side(), next -> keep(shown.on(next)));
  }

  private Node legs() {
    Map<Leg, String> words = new LinkedHashMap<>();
    for (Leg leg : Leg.values()) {
      words.put(leg, leg.words());
    }
    return choice("appliance-leg-", words, shown.leg(), next -> keep(shown.on(next)));
  }

  private Node origins(ApplianceDraw.Origin now) {
    Map<ApplianceDraw.Origin, String> words = new LinkedHashMap<>();
    words.put(ApplianceDraw.Origin.NOT_SAID, "not said");
    words.put(ApplianceDraw.Origin.PLATE, "its plate");
    words.put(ApplianceDraw.Origin.VA, "VA read");
    words.put(ApplianceDraw.Origin.SEEN, "W seen");
    words.put(ApplianceDraw.Origin.WATCHED, "watched a day");
    return choice(
        "appliance-origin-", words, now, next -> keep(shown.with(shown.draw().from(next))));
  }

  private <T> FlowPane choice(String prefix, Map<T, String> words, T now, Consumer<T> then) {
    ObjectProperty<T> chosen = new SimpleObjectProperty<>(now);
    FlowPane row = Choices.row("", prefix, words, chosen);
    // The heading stands above it.
    row.getChildren().remove(0);
    chosen.addListener(
        (o, was, is) -> {
          then.accept(is);
          // The form is another one now; the keyboard stays on what was chosen.
          Platform.runLater(() -> keepFocus("#" + prefix + is));
        });
    return row;
  }

  private void keepFocus(String id) {
    Node again = lookup(id);
    if (again != null) {
      Focus.keep(again);
    }
  }

  private Node actions(int count) {
    FlowPane row = new FlowPane(8, 6);
    if (place > 0) {
      row.getChildren().add(button("appliance-up", "Matters more", () -> move(place - 1)));
    }
    if (place < count - 1) {
      row.getChildren().add(button("appliance-down", "Matters less", () -> move(place + 1)));
    }
    row.getChildren()
        .addAll(
            button("appliance-off", "Remove", this::takeOff),
            button("appliance-done", "Done", this::close));
    return row;
  }

  private static Node button(String id, String words, Runnable action) {
    var button = Words.button("action", words, action);
    button.setId(id);
    return button;
  }

  private void move(int to) {
    int from = place;
    place = to;
    Day day = session.dayWork().chosen().get().day();
    session.dayWork().change(day.moving(from, to), "Order of appliances changed");
    rebuild();
  }

  /** A watch is a run of the appliance; the day takes what it came to. */
  private void keepWatch(Watch watch) {
    session.beside().keepWatch(shown.name(), watch);
    keep(shown.with(WatchSheet.of(watch).draw()));
  }

  private void takeOff() {
    int at = place;
    Day day = session.dayWork().chosen().get().day();
    session.dayWork().change(day.without(at), day.appliances().get(at).name() + " removed");
    close();
  }

  /** What cannot be read is said and changes nothing. */
  private void keep() {
    StoredDay kept = session.dayWork().chosen().get();
    if (kept == null || shown == null || place < 0) {
      return;
    }
    try {
      ApplianceDraw draw = typed();
      boolean moments = draw.use().atMoments();
      List<HourSpan> on = shown.on();
      List<Double> at = shown.at();
      if (!times.getText().equals(times(kept.day(), shown))) {
        on = moments ? on : written(kept.day()).stretches(times.getText());
        at = moments ? written(kept.day()).moments(times.getText()) : at;
      }
      String called = name.getText().strip();
      Appliance next =
          new Appliance(
              called.isEmpty() ? shown.name() : called.substring(0, Math.min(80, called.length())),
              draw,
              shown.side(),
              on,
              at,
              shown.leg());
      Words.shown(trouble, false);
      keep(next);
    } catch (JsonUnreadable | IllegalArgumentException e) {
      String said = e.getMessage();
      trouble.setText(Character.toUpperCase(said.charAt(0)) + said.substring(1));
      Words.shown(trouble, true);
    }
  }

  private ApplianceDraw typed() {
    ApplianceDraw was = shown.draw();
    double share = number(sure, 0, 99).orElse(0) / PERCENT;
    ApplianceDraw draw =
        new ApplianceDraw(
            was.use(),
            number(watts, 0, MOST_WATTS)
                .orElse(was.use() == ApplianceDraw.Use.STEADY ? 0 : Double.NaN),
            energy == null ? Double.NaN : number(energy, 0, MOST_WATTS).orElse(0),
            minutes == null ? Double.NaN : number(minutes, 0.01, 10_000).orElse(was.minutes()),
            number(startVa, 0, MOST_WATTS).orElse(Double.NaN),
            was.origin(),
            Math.abs(share - was.share95()) < 5e-5 ? was.share95() : share);
    return draw.equals(was) ? was : draw;
  }

  private static OptionalDouble number(TextField field, double least, double most) {
    return Field.number(field, least, most);
  }

  private void keep(Appliance next) {
    StoredDay kept = session.dayWork().chosen().get();
    if (next.equals(shown)) {
      return;
    }
    session.dayWork().change(kept.day().replacing(place, next), next.name() + " changed");
    rebuild();
  }
}
