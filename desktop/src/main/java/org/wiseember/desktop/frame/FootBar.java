package org.wiseember.desktop.frame;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import javafx.animation.KeyFrame;
import javafx.animation.Timeline;
import javafx.beans.value.ChangeListener;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.layout.HBox;
import javafx.scene.shape.Circle;
import javafx.util.Duration;
import org.wiseember.bench.instrument.Health;
import org.wiseember.bench.instrument.Instrument;
import org.wiseember.bench.run.RunView;
import org.wiseember.core.quantity.Figures;
import org.wiseember.core.trace.Channel;
import org.wiseember.desktop.look.Look;
import org.wiseember.desktop.look.WhileShown;
import org.wiseember.desktop.look.Words;
import org.wiseember.desktop.model.LiveRun;
import org.wiseember.desktop.model.PlanWork;
import org.wiseember.desktop.model.Session;
import org.wiseember.workbook.RunSettings;
import org.wiseember.workbook.StoredReading;

/** The foot: what every meter reads and how it does, and how the bench and the workbook are. */
public final class FootBar extends HBox {
  private static final int MOST_FIGURES = 2;

  /** Narrower than this many em, a reminder is brief. */
  private static final double ROOMY_EM = 85;

  /** A longer reminder would push the meters out. */
  private static final double MOST_OF_FOOT = 0.3;

  private final Session session;
  private final HBox meters = new HBox();
  private final List<Meter> shown = new ArrayList<>();
  private final Label state = Words.line("foot-state", "");
  private final Label reminder = Words.line("foot-state", "");
  private final Button stop = new Button("Stop the test");
  private final ChangeListener<RunView> watch = (o, was, is) -> show(is);

  /** One instrument in the foot. */
  private static final class Meter extends HBox {
    private final Instrument instrument;
    private final Circle dot = new Circle(4);
    private final Label figure = Words.line("foot-figure", "–");

    Meter(Instrument instrument) {
      this.instrument = instrument;
      setSpacing(6);
      getStyleClass().add("foot-meter");
      getChildren().addAll(dot, Words.line("foot-name", instrument.name()), figure);
      health(new Health(Health.State.CONNECTING, ""));
    }

    void health(Health health) {
      dot.getStyleClass()
          .setAll(
              switch (health.state()) {
                case ALIVE -> "health-alive";
                case BY_HAND -> "health-hand";
                case CONNECTING -> "health-waiting";
                case LOST -> "health-lost";
              });
      String words =
          instrument.name()
              + switch (health.state()) {
                case ALIVE -> " answers";
                case BY_HAND -> " is read by hand";
                case CONNECTING -> " is not reached yet";
                case LOST -> " is lost: " + health.words();
              };
      setAccessibleText(words);
      if (health.state() == Health.State.LOST) {
        figure.setText("lost");
      }
    }
  }

  /**
   * Makes it.
   *
   * @param openUnits shows what figures are told in
   */
  FootBar(Session session, Runnable openUnits) {
    this.session = session;
    getStyleClass().add("foot");
    meters.getStyleClass().add("foot-meters");
    // In a narrow window the last meters give way, not the state of the bench.
    meters.setMinWidth(0);
    var clip = new javafx.scene.shape.Rectangle();
    clip.widthProperty().bind(meters.widthProperty());
    clip.heightProperty().bind(meters.heightProperty());
    meters.setClip(clip);
    HBox.setHgrow(meters, javafx.scene.layout.Priority.ALWAYS);
    Button text =
        Words.button("foot-button", "Text 100 %", () -> session.look().changeText(step()));
    text.setId("text-size");
    text.textProperty()
        .bind(
            session
                .look()
                .textScale()
                .map(s -> "Text " + Math.round(s.doubleValue() * 100) + " %"));
    Button look = Words.button("foot-button", "Dark", session.look()::switchPalette);
    look.setId("look");
    look.textProperty().bind(session.look().palette().map(p -> p.dark() ? "Light" : "Dark"));
    Button units = Words.button("foot-button", "Units", openUnits);
    units.setId("choose-units");
    stop.getStyleClass().setAll("button", "foot-stop");
    stop.setId("foot-stop");
    stop.setMinWidth(USE_PREF_SIZE);
    stop.setOnAction(e -> session.bench().stopRun());
    reminder.setId("foot-reminder");
    reminder.getStyleClass().add("foot-reminder");
    getChildren().addAll(meters, stop, reminder, units, text, look, state);
    WhileShown.play(this, new Timeline(new KeyFrame(Duration.minutes(1), e -> minutePassed())));
    session.planWork().schedule().addListener((o, was, is) -> remind());
    remind();
    session
        .bench()
        .live()
        .addListener(
            (o, was, is) -> {
              if (was != null) {
                was.view().removeListener(watch);
              }
              if (is != null) {
                is.view().addListener(watch);
                build(is.run().instruments());
              }
              showState();
            });
    session.bench().pace().addListener((o, was, is) -> showState());
    session.bench().source().addListener((o, was, is) -> showState());
    session.shelf().places().addListener((javafx.beans.Observable o) -> showState());
    meters.widthProperty().addListener((o, was, is) -> fit());
    widthProperty().addListener((o, was, is) -> remind());
    session.look().textScale().addListener((o, was, is) -> remind());
    showState();
  }

  private void minutePassed() {
    session.planWork().tick();
    remind();
  }

  /** What the plan wants somebody for soon. */
  private void remind() {
    Optional<PlanWork.Reminder> due = session.planWork().reminder();
    Words.shown(reminder, due.isPresent());
    // In a narrow window it names the moment alone.
    boolean roomy = getWidth() > ROOMY_EM * session.look().textScale().get() * Look.BASE;
    reminder.setText(due.map(r -> roomy ? r.words() : r.brief()).orElse(""));
    double most = getWidth() * MOST_OF_FOOT;
    if (roomy && reminder.prefWidth(-1) > most) {
      reminder.setText(due.map(PlanWork.Reminder::brief).orElse(""));
    }
  }

  private void build(List<Instrument> instruments) {
    shown.clear();
    for (Instrument instrument : instruments) {
      shown.add(new Meter(instrument));
    }
    meters.getChildren().setAll(shown);
  }

  /** Shows as many meters as there is room for. */
  private void fit() {
    double left = meters.getWidth();
    for (Meter meter : shown) {
      double width = meter.prefWidth(-1) + meters.getSpacing();
      left -= width;
      meter.setVisible(left >= -meters.getSpacing());
    }
  }

  private int step() {
    return session.look().textScale().get() >= 1.49 ? -3 : 1;
  }

  private void show(RunView view) {
    if (view == null || view.latest() == null) {
      return;
    }
    for (int i = 0; i < shown.size(); i++) {
      Meter meter = shown.get(i);
      Health health = i < view.health().size() ? view.health().get(i) : Health.ALIVE;
      boolean byHand = health.state() == Health.State.BY_HAND;
      meter.figure.setText(figures(meter.instrument, byHand, view));
      meter.health(health);
    }
    fit();
    showState();
  }

  /** What an instrument read; for one that is read by hand, what was typed of it last. */
  private String figures(Instrument instrument, boolean byHand, RunView view) {
    StringBuilder text = new StringBuilder();
    int n = 0;
    for (Channel channel : instrument.channels()) {
      double value =
          byHand
              ? typed(instrument.name(), channel).orElse(Double.NaN)
              : view.latest().value(channel);
      if (n < MOST_FIGURES && (!Double.isNaN(value) || n == 0)) {
        int decimals =
            channel == Channel.DISPLAY_CHARGE || channel == Channel.DISPLAY_POWER ? 0 : 1;
        text.append(n == 0 ? "" : "  ")
            .append(
                Figures.withUnit(
                    byHand ? Figures.plain(value) : Figures.fixed(value, decimals),
                    channel.unit()));
        n++;
      }
    }
    return text.toString();
  }

  private Optional<Double> typed(String meter, Channel channel) {
    LiveRun run = session.bench().live().get();
    return run.typed().stream()
        .filter(r -> r.channel() == channel && r.meter().equals(meter))
        .reduce((a, b) -> b)
        .map(StoredReading::value);
  }

  private void showState() {
    LiveRun run = session.bench().live().get();
    RunSettings.Source source =
        run != null && run.going() ? run.run().source() : session.bench().source().get();
    String bench =
        switch (source) {
          case SIMULATED -> "Simulated bench, " + session.bench().pace().get().words();
          case INSTRUMENTS -> "My instruments";
          case BY_HAND, ENTERED, FILE -> "Read by hand";
        };
    String saved;
    if (session.open().workbook().isEmpty()) {
      saved = "no workbook";
    } else if (session.open().readOnly()) {
      saved = "reading only";
    } else if (run != null && run.going()) {
      boolean unsaved = run.view().get() != null && !run.view().get().unsaved().isEmpty();
      saved = unsaved ? "not on disk yet" : "saved under 1 s ago";
    } else {
      saved = "all saved";
    }
    Words.shown(stop, run != null && run.going());
    state.setText(bench + ", " + saved);
  }
}
