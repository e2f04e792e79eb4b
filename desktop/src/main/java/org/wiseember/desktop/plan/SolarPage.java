package org.wiseember.desktop.plan;

import java.util.List;
import java.util.Optional;
import java.util.function.BooleanSupplier;
import javafx.scene.control.Label;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;
import org.wiseember.core.quantity.Figures;
import org.wiseember.core.quantity.Unit;
import org.wiseember.core.solar.Arrangement;
import org.wiseember.core.solar.Designer;
import org.wiseember.core.solar.PanelsOnHand;
import org.wiseember.core.solar.Port;
import org.wiseember.core.solar.SecondBattery;
import org.wiseember.core.solar.Site;
import org.wiseember.core.solar.WayBecause;
import org.wiseember.desktop.because.BecausePanel;
import org.wiseember.desktop.look.ChartPane;
import org.wiseember.desktop.look.Row;
import org.wiseember.desktop.look.Words;
import org.wiseember.desktop.model.Session;
import org.wiseember.desktop.model.StageName;
import org.wiseember.trial.kind.LabelInputs;
import org.wiseember.trial.kind.found.InputWindowPicture;
import org.wiseember.trial.verdict.Judgement;

/** What may go into the solar port of the chosen unit, from the panels on hand. */
final class SolarPage extends VBox {
  private final Session session;
  private final BecausePanel because;
  private final BooleanSupplier onShow;
  private final Label under = Words.of("quiet", "");
  private final ChartPane chart =
      new ChartPane("Volts and amps a port takes, and each arrangement");
  private final VBox ways = new VBox();
  private final Label dayTitle = Words.of("heading", "");
  private final ChartPane day = new ChartPane("Watts through the day");
  private final VBox batteries = new VBox();
  private final VBox missing = new VBox();
  private final VBox window = new VBox();
  private List<InputWindowPicture.Lettered> shown = List.of();
  private String chosen = "";

  /**
   * Makes the page.
   *
   * @param because tells why of what is chosen
   * @param onShow whether this page is the one on show
   */
  SolarPage(Session session, BecausePanel because, BooleanSupplier onShow) {
    this.session = session;
    this.because = because;
    this.onShow = onShow;
    setSpacing(10);
    VBox.setVgrow(this, Priority.ALWAYS);
    ways.setSpacing(4);
    batteries.setSpacing(4);
    chart.setMinHeight(280);
    chart.setPrefHeight(330);
    day.setMinHeight(230);
    day.setPrefHeight(250);
    window.setSpacing(10);
    window
        .getChildren()
        .addAll(
            chart,
            Words.of(
                "quiet",
                "Dot: where it works in full sun. Bar to the right: its open volts on the coldest"
                    + " morning. Dashes: the port's watts."),
            Words.of("heading", "Arrangements"),
            ways,
            dayTitle,
            day);
    VBox words = new VBox(Words.of("title", "What may go into the solar port"), under);
    words.setSpacing(2);
    getChildren()
        .addAll(
            words,
            missing,
            window,
            new PanelsForm(session),
            new SiteForm(session),
            Words.of("heading", "A second battery into the port"),
            batteries);
    session.shelf().chosen().addListener((o, was, is) -> rebuild());
    session.solar().panels().addListener((o, was, is) -> rebuild());
    session.look().whenLookChanges(this::draw);
    rebuild();
  }

  /** Says again why the chosen way stands as it does. */
  void explain() {
    Optional<Port> port = port();
    Optional<InputWindowPicture.Lettered> again =
        shown.stream().filter(l -> l.way().arrangement().words().equals(chosen)).findFirst();
    if (port.isPresent() && again.isPresent()) {
      explain(port.get(), again.get());
    } else {
      explainNothing();
    }
  }

  private Optional<Port> port() {
    Judgement judgement = session.shelf().chosen().get();
    return judgement == null ? Optional.empty() : LabelInputs.port(judgement.unit().label());
  }

  private void rebuild() {
    Optional<Port> port = port();
    PanelsOnHand panels = session.solar().panels().get();
    missing.getChildren().clear();
    missing.setSpacing(8);
    if (port.isEmpty()) {
      under.setText(
          session.shelf().chosen().get() == null
              ? ""
              : session.shelf().chosen().get().unit().name());
      say(
          "The label prints no volt window for a solar or DC input, so nothing can be said to be"
              + " safe. Type it as it is printed, such as “Solar 12-60 V, 10 A, 400 W”.",
          "To the label",
          StageName.LABEL);
    } else {
      under.setText(
          session.shelf().chosen().get().unit().name()
              + ", port by the label: "
              + portWords(port.get())
              + ". Coldest morning here "
              + Figures.plain(panels.site().coldestCelsius(), Unit.CELSIUS)
              + ".");
      if (panels.lots().isEmpty()) {
        missing
            .getChildren()
            .add(
                Words.of(
                    "empty-text",
                    "Name the panels you have below, with the figures of their data sheets. Every"
                        + " way to wire them is then held against the port."));
      }
    }
    Words.shown(missing, !missing.getChildren().isEmpty());
    boolean drawn = port.isPresent() && !panels.lots().isEmpty();
    Words.shown(window, drawn);
    batteries(port);
    if (drawn) {
      session.solar().ways(port.get(), found -> show(port.get(), found));
    } else {
      shown = List.of();
      explainNothing();
    }
  }

  private void say(String words, String step, StageName to) {
    missing
        .getChildren()
        .addAll(
            Words.of("empty-text", words),
            new HBox(Words.button("action-main", step, () -> session.at().stage().set(to))));
  }

  private static String portWords(Port port) {
    return Figures.plain(port.leastVolts())
        + " to "
        + Figures.plain(port.mostVolts(), Unit.VOLT)
        + (Double.isInfinite(port.amps()) ? "" : ", " + Figures.plain(port.amps(), Unit.AMPERE))
        + (Double.isInfinite(port.watts()) ? "" : ", " + Figures.plain(port.watts(), Unit.WATT));
  }

  private void show(Port port, List<Designer.Way> found) {
    shown = InputWindowPicture.lettered(found);
    ways.getChildren().clear();
    for (InputWindowPicture.Lettered lettered : shown) {
      ways.getChildren().add(new WayRow(lettered, port, () -> explain(port, lettered)));
    }
    int more = found.size() - shown.size();
    if (more > 0) {
      ways.getChildren()
          .add(Words.of("quiet", more + " more ways are no better than these, or worse."));
    }
    shown.stream()
        .filter(l -> l.way().arrangement().words().equals(chosen))
        .findFirst()
        .or(() -> shown.stream().findFirst())
        .ifPresent(l -> explain(port, l));
  }

  private void explain(Port port, InputWindowPicture.Lettered lettered) {
    Designer.Way way = lettered.way();
    chosen = way.arrangement().words();
    ways.getChildren()
        .forEach(n -> Row.chosen(n, n instanceof WayRow row && row.lettered().equals(lettered)));
    draw();
    if (!onShow.getAsBoolean()) {
      return;
    }
    because.explain(WayBecause.of(way, port, session.solar().panels().get().site()));
    VBox care =
        new VBox(
            Words.of("strong", "Take care"),
            Words.of(
                "care",
                "Panels are live in daylight. Cover them or open the breaker before touching a plug,"
                    + " and measure the open volts before the port sees them. Never panels straight"
                    + " into an inverter. On a building this is a licensed electrician's work, under"
                    + " your local code."));
    care.getStyleClass().add("caution");
    because.getChildren().add(care);
    if (way.fullSunWatts() > 0) {
      var use =
          Words.button(
              "action-main",
              "Charge from these",
              () -> session.solar().toTheBench(way.arrangement()));
      use.setId("use-panels");
      because.getChildren().add(new HBox(use));
    }
  }

  private void explainNothing() {
    if (onShow.getAsBoolean()) {
      because
          .getChildren()
          .setAll(
              Words.of("heading", "Volts are the line"),
              Words.of(
                  "because-text",
                  "Amps and watts are drawn by the port, not pushed by the panels. Volts are not:"
                      + " too many of them break it, and a cold morning raises them."));
    }
  }

  private void batteries(Optional<Port> port) {
    batteries.getChildren().clear();
    port.ifPresent(
        p -> {
          for (SecondBattery battery : SecondBattery.usual()) {
            double watts = battery.watts(p);
            Label name = Words.of("figure", battery.name());
            HBox.setHgrow(name, Priority.ALWAYS);
            name.setMaxWidth(Double.MAX_VALUE);
            HBox row =
                new HBox(
                    name,
                    Words.line("measured", watts > 0 ? Figures.fixed(watts, 0) + " W" : ""),
                    Words.line(battery.allowed(p) ? "quiet" : "short-of", battery.standing(p)));
            row.setSpacing(14);
            row.getStyleClass().add("row");
            batteries.getChildren().add(row);
          }
        });
    if (port.isEmpty()) {
      batteries.getChildren().add(Words.of("quiet", "Without a window on the label: nothing."));
    }
  }

  private void draw() {
    port()
        .filter(p -> !shown.isEmpty())
        .ifPresent(
            p -> chart.show(() -> session.look().drawn(InputWindowPicture.of(p, shown, chosen))));
    shown.stream()
        .filter(l -> l.way().arrangement().words().equals(chosen))
        .findFirst()
        .ifPresent(this::drawDay);
  }

  /** A forbidden way draws nothing, so there is no day to show. */
  private void drawDay(InputWindowPicture.Lettered lettered) {
    boolean allowed = lettered.way().standing() != Designer.Standing.NEVER;
    Words.shown(day, allowed);
    Words.shown(dayTitle, allowed);
    Arrangement arrangement = lettered.way().arrangement();
    dayTitle.setText("The day of " + arrangement.words());
    Site site = session.solar().panels().get().site();
    port()
        .filter(p -> allowed)
        .ifPresent(
            p ->
                day.show(() -> session.look().drawn(InputWindowPicture.day(arrangement, p, site))));
  }
}
