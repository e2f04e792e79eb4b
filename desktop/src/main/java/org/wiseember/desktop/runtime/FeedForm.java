package org.wiseember.desktop.runtime;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import javafx.scene.Node;
import javafx.scene.control.Label;
import javafx.scene.control.TextField;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.VBox;
import org.wiseember.core.quantity.Figures;
import org.wiseember.core.quantity.HourSpan;
import org.wiseember.core.runtime.Day;
import org.wiseember.core.runtime.feed.Feed;
import org.wiseember.core.runtime.feed.FeedTree;
import org.wiseember.core.runtime.feed.SunInto;
import org.wiseember.core.solar.Designer;
import org.wiseember.core.solar.Port;
import org.wiseember.desktop.look.Field;
import org.wiseember.desktop.look.Words;
import org.wiseember.desktop.model.Session;
import org.wiseember.trial.beside.BesideRun;
import org.wiseember.trial.runtime.MeasuredPort;
import org.wiseember.trial.verdict.Judgement;
import org.wiseember.workbook.RunSubject;
import org.wiseember.workbook.StoredDay;
import org.wiseember.workbook.day.WrittenTimes;
import org.wiseember.workbook.strict.JsonUnreadable;

/** The links of a feed with their limits, from the unit back to its sources. */
final class FeedForm extends VBox {
  private static final double ANY = Double.POSITIVE_INFINITY;

  /** A socket of 16 A at 230 V, and a small generator. */
  private static final double SOCKET_VA = 3680;

  private static final double GENERATOR_VA = 1600;

  private final Session session;
  private final Label trouble = Words.of("care", "");
  private final Label rests = Words.of("quiet", "");
  private Day day;

  /** What was typed into one link, as a new link. */
  private interface Typed {
    Feed read() throws JsonUnreadable;
  }

  FeedForm(Session session) {
    this.session = session;
    getStyleClass().add("sheet");
    setSpacing(8);
  }

  void show(Day shown) {
    day = shown;
    Words.shown(trouble, false);
    getChildren().setAll(Words.of("heading", "Links"), trouble);
    if (shown.feed().isEmpty()) {
      begin();
      return;
    }
    Feed.Root root = shown.feed().get();
    List<FeedTree.Link> links = FeedTree.links(root);
    for (int i = 0; i < links.size(); i++) {
      getChildren().add(row(root, links.get(i), "feed-" + i + "-"));
    }
    Words.shown(rests, !rests.getText().isEmpty());
    getChildren().add(rests);
  }

  private void begin() {
    rests.setText("");
    getChildren()
        .add(
            Words.of(
                "empty-text",
                "Nothing feeds the unit on this day. Begin with one of these; every figure can be"
                    + " changed after that, and more can be put before each link."));
    FlowPane row = new FlowPane(8, 6);
    row.getChildren()
        .addAll(
            button("feed-begin-wall", "Charged from the wall", () -> wall("mains", SOCKET_VA)),
            button(
                "feed-begin-through",
                "Mains passed through",
                () -> keep(passed("mains", SOCKET_VA))),
            button("feed-begin-generator", "Generator passed through", this::throughGenerator),
            button("feed-begin-panels", "Panels into the port", this::panels),
            button(
                "feed-begin-battery", "Generator, charger, own battery", this::generatorAndBattery),
            button(
                "feed-begin-sun",
                "Panels, controller, own battery",
                () -> port(battery(controller(panelsByHand())))));
    getChildren().add(row);
  }

  private void throughGenerator() {
    keep(passed("generator", generatorVa()));
    tellGenerator();
  }

  private void generatorAndBattery() {
    port(battery(charger(alternating("generator", generatorVa()))));
    tellGenerator();
  }

  /** The newest generator that was seen to carry something. */
  private Optional<BesideRun> generator() {
    return session.beside().runs().stream()
        .filter(r -> r.subject().kind() == RunSubject.Kind.GENERATOR)
        .filter(r -> r.figure("carried").isPresent())
        .reduce((first, last) -> last);
  }

  /** What was measured comes before what small ones usually give. */
  private double generatorVa() {
    return generator()
        .flatMap(r -> r.figure("carried"))
        .map(f -> Math.rint(f.value()))
        .orElse(GENERATOR_VA);
  }

  private void tellGenerator() {
    String seen =
        generator()
            .map(
                r ->
                    r.subject().name()
                        + " was seen to carry "
                        + Figures.plain(generatorVa())
                        + " W, at least; that is taken.")
            .orElse("No generator was tried by itself: 1\u2009600 VA are only a beginning.");
    rests.setText((rests.getText() + " " + seen).strip());
    Words.shown(rests, true);
  }

  private static Feed.Root passed(String kind, double va) {
    return new Feed.PassThrough(List.of(alternating(kind, va)));
  }

  private static Feed.Alternating alternating(String kind, double va) {
    return new Feed.Alternating(kind, va, List.of(HourSpan.ALWAYS));
  }

  private static Feed battery(Feed from) {
    return new Feed.Battery(51.2, 2560, ANY, List.of(from));
  }

  private static Feed charger(Feed from) {
    return new Feed.Charger("charger", 57, 15, ANY, 0.92, List.of(from));
  }

  private static Feed controller(Feed from) {
    return new Feed.Controller(20, 100, 15, 0.97, List.of(from));
  }

  private static Feed panelsByHand() {
    return new Feed.Panels(List.of(new Feed.Giving(HourSpan.ALWAYS, 100)), 36, 44);
  }

  private void wall(String kind, double va) {
    judged()
        .map(MeasuredPort::wall)
        .ifPresent(
            m -> {
              rests.setText(m.restsOn());
              keep(FeedTree.adding(m.port(), List.of(), alternating(kind, va)));
            });
  }

  private void port(Feed from) {
    judged()
        .map(MeasuredPort::direct)
        .ifPresent(
            m -> {
              rests.setText(m.restsOn());
              keep(FeedTree.adding(m.port(), List.of(), from));
            });
  }

  private Optional<Judgement> judged() {
    return Optional.ofNullable(session.shelf().chosen().get());
  }

  /** The best way of the panels on hand with the sun of the site; else 100 W to be typed over. */
  private void panels() {
    Optional<MeasuredPort> measured = judged().map(MeasuredPort::direct);
    if (measured.isEmpty()) {
      return;
    }
    Feed.Port p = measured.get().port();
    Port port = new Port(p.leastVolts(), p.mostVolts(), p.amps(), p.watts());
    if (session.solar().panels().get().lots().isEmpty()) {
      port(panelsByHand());
      return;
    }
    Day now = day;
    session
        .solar()
        .ways(
            port,
            ways -> {
              Optional<Designer.Way> best =
                  ways.stream().filter(w -> w.fullSunWatts() > 0).findFirst();
              port(
                  best.<Feed>map(
                          w ->
                              SunInto.of(
                                  w.arrangement(),
                                  port,
                                  session.solar().panels().get().site(),
                                  now.start(),
                                  now.plan().hours()))
                      .orElseGet(FeedForm::panelsByHand));
              best.ifPresent(
                  w ->
                      rests.setText(
                          rests.getText()
                              + " Sun by the site of the solar page on "
                              + w.arrangement().words()
                              + ", the same every day; noon where it stands highest."));
              Words.shown(rests, true);
            });
  }

  private void keep(Feed.Root next) {
    change(Optional.of(next), "Feed changed");
  }

  private void change(Optional<Feed.Root> next, String what) {
    StoredDay kept = session.dayWork().chosen().get();
    try {
      session.dayWork().change(kept.day().fed(next), what);
    } catch (IllegalArgumentException e) {
      say(e.getMessage());
    }
  }

  private void say(String words) {
    trouble.setText(Character.toUpperCase(words.charAt(0)) + words.substring(1));
    Words.shown(trouble, true);
  }

  private Node row(Feed.Root root, FeedTree.Link link, String id) {
    FlowPane row = new FlowPane(12, 6);
    row.setStyle("-fx-padding: 0 0 0 " + 1.4 * link.way().size() + "em;");
    Label kind = Words.line("strong", name(link.feed()));
    kind.setStyle("-fx-min-width: 8.5em;");
    row.getChildren().add(kind);
    List<TextField> fields = new ArrayList<>();
    Typed typed = fields(link.feed(), id, fields);
    for (TextField field : fields) {
      row.getChildren().add(Field.named(field));
      Field.whenTyped(
          field,
          () -> {
            try {
              Feed next = typed.read();
              Words.shown(trouble, false);
              if (!next.equals(link.feed())) {
                keep(FeedTree.replaced(root, link.way(), next));
              }
            } catch (JsonUnreadable | IllegalArgumentException e) {
              say(e.getMessage());
            }
          });
    }
    for (String more : sources(link.feed())) {
      row.getChildren().add(button(id + "add-" + more, "Add " + more, () -> add(root, link, more)));
    }
    row.getChildren()
        .add(
            button(
                id + "off",
                link.way().isEmpty() ? "Feed off" : "Remove",
                () -> change(FeedTree.without(root, link.way()), "Link removed")));
    return row;
  }

  private static String name(Feed feed) {
    return switch (feed.kind()) {
      case "port" -> "Port of the unit";
      case "pass-through" -> "Passed through";
      case "battery" -> "Own battery";
      default -> Character.toUpperCase(feed.kind().charAt(0)) + feed.kind().substring(1);
    };
  }

  private static List<String> sources(Feed feed) {
    return switch (feed.kind()) {
      case "port" -> List.of("battery", "charger", "controller", "panels", "mains");
      case "pass-through" -> List.of("mains", "generator");
      case "battery" -> List.of("charger", "controller");
      case "charger" -> List.of("mains", "generator");
      case "controller" -> List.of("panels");
      default -> List.of();
    };
  }

  private void add(Feed.Root root, FeedTree.Link link, String kind) {
    keep(FeedTree.adding(root, link.way(), fresh(kind)));
    if (kind.equals("generator")) {
      tellGenerator();
    }
  }

  private Feed fresh(String kind) {
    return switch (kind) {
      case "battery" -> new Feed.Battery(51.2, 2560, 50, List.of());
      case "charger" -> new Feed.Charger("charger", 57, 15, ANY, 0.92, List.of());
      case "controller" -> new Feed.Controller(20, 100, 15, 0.97, List.of());
      case "panels" -> panelsByHand();
      case "generator" -> alternating(kind, generatorVa());
      default -> alternating("mains", SOCKET_VA);
    };
  }

  private Typed fields(Feed feed, String id, List<TextField> into) {
    Fields f = new Fields(id, into);
    if (feed instanceof Feed.Port p) {
      TextField low = f.of("low", "from V", p.leastVolts());
      TextField high = f.of("high", "to V", p.mostVolts());
      TextField amps = f.of("amps", "A", p.amps());
      TextField watts = f.of("watts", "W", p.watts());
      return () ->
          new Feed.Port(
              number(low, 0), number(high, ANY), number(amps, ANY), number(watts, ANY), p.from());
    }
    if (feed instanceof Feed.Battery b) {
      TextField volts = f.of("volts", "V", b.volts());
      TextField held = f.of("held", "Wh in it", b.wattHours());
      TextField amps = f.of("amps", "A", b.amps());
      return () ->
          new Feed.Battery(number(volts, b.volts()), number(held, 0), number(amps, ANY), b.from());
    }
    if (feed instanceof Feed.Charger c) {
      TextField volts = f.of("volts", "V out", c.volts());
      TextField amps = f.of("amps", "A", c.amps());
      TextField watts = f.of("watts", "W", c.watts());
      TextField share = f.of("share", "efficiency, %", 100 * c.efficiency());
      return () ->
          new Feed.Charger(
              c.kind(),
              number(volts, c.volts()),
              number(amps, ANY),
              number(watts, ANY),
              share(share),
              c.from());
    }
    if (feed instanceof Feed.Controller c) {
      TextField low = f.of("low", "from V", c.leastVolts());
      TextField high = f.of("high", "to V", c.mostVolts());
      TextField amps = f.of("amps", "A out", c.amps());
      TextField share = f.of("share", "efficiency, %", 100 * c.efficiency());
      return () ->
          new Feed.Controller(
              number(low, 0), number(high, ANY), number(amps, ANY), share(share), c.from());
    }
    if (feed instanceof Feed.Panels p) {
      return panelFields(p, f);
    }
    if (feed instanceof Feed.Alternating a) {
      TextField va = f.of("va", "VA", a.va());
      TextField on = f.words("on", "on", times().written(a.on()), 14);
      return () -> new Feed.Alternating(a.kind(), number(va, ANY), times().stretches(on.getText()));
    }
    return () -> feed;
  }

  private Typed panelFields(Feed.Panels p, Fields f) {
    TextField volts = f.of("volts", "V at most watts", p.volts());
    TextField open = f.of("open", "V open, cold", p.openVolts());
    boolean even = p.giving().stream().mapToDouble(Feed.Giving::watts).distinct().count() == 1;
    if (!even) {
      // Given by the sun from quarter hour to quarter hour.
      return () -> new Feed.Panels(p.giving(), number(volts, Double.NaN), number(open, Double.NaN));
    }
    double now = p.giving().get(0).watts();
    TextField watts = f.of("watts", "W", now);
    TextField on =
        f.words(
            "on", "on", times().written(p.giving().stream().map(Feed.Giving::when).toList()), 14);
    return () ->
        new Feed.Panels(
            times().stretches(on.getText()).stream()
                .map(s -> new Feed.Giving(s, typed(watts, now)))
                .toList(),
            number(volts, Double.NaN),
            number(open, Double.NaN));
  }

  private WrittenTimes times() {
    return new WrittenTimes(day.start(), day.plan().hours(), session.look().units().get());
  }

  private static double typed(TextField field, double otherwise) {
    return Field.number(field, 0, 1_000_000).orElse(otherwise);
  }

  private static double number(TextField field, double otherwise) {
    return typed(field, otherwise);
  }

  private static double share(TextField field) {
    return Field.number(field, 1, 100).orElse(100) / 100;
  }

  /** Makes the fields of one link and remembers them. */
  private record Fields(String id, List<TextField> into) {
    TextField of(String key, String name, double value) {
      String text =
          Double.isFinite(value)
              ? Figures.plain(value).replace(String.valueOf(Figures.THIN_SPACE), "")
              : "";
      TextField field = words(key, name, text, 5);
      field.setPromptText("any");
      return field;
    }

    TextField words(String key, String name, String text, int columns) {
      TextField field = Field.of(id + key, name, text, columns);
      into.add(field);
      return field;
    }
  }

  private static Node button(String id, String words, Runnable action) {
    var button = Words.button("action", words, action);
    button.setId(id);
    return button;
  }
}
