package org.wiseember.desktop.bench;

import java.util.List;
import java.util.Locale;
import javafx.beans.value.ObservableDoubleValue;
import javafx.scene.layout.ColumnConstraints;
import javafx.scene.layout.GridPane;
import javafx.scene.layout.Priority;
import org.wiseember.bench.procedure.IdleWatch;
import org.wiseember.bench.procedure.LoadLadder;
import org.wiseember.bench.procedure.MotorStarts;
import org.wiseember.bench.procedure.OverloadHolds;
import org.wiseember.bench.procedure.Phase;
import org.wiseember.bench.run.RunView;
import org.wiseember.core.capacity.ExpectedEnd;
import org.wiseember.core.quantity.Figures;
import org.wiseember.core.trace.Channel;
import org.wiseember.core.trace.Frame;
import org.wiseember.desktop.app.Desk;
import org.wiseember.desktop.app.LiveRun;
import org.wiseember.trial.TestKind;
import org.wiseember.trial.test.TestPlan;

/** The four large figures of a test, each test its own. */
final class LiveTiles extends GridPane {
  private static final double WIDE = 640;

  private final Tile first = new Tile("tone-ember");
  private final Tile second = new Tile("tone-ember");
  private final Tile third = new Tile("tone-ink");
  private final Tile fourth = new Tile("tone-close");

  /**
   * Makes the tiles.
   *
   * @param room width they have, px
   */
  LiveTiles(Desk desk, ObservableDoubleValue room) {
    setHgap(10);
    setVgap(10);
    Runnable arrange = () -> arrange(room.get() / desk.textScale().get() > WIDE);
    room.addListener((o, was, is) -> arrange.run());
    desk.textScale().addListener((o, was, is) -> arrange.run());
    arrange.run();
  }

  private void arrange(boolean wide) {
    getChildren().clear();
    getColumnConstraints().clear();
    int across = wide ? 4 : 2;
    List<Tile> all = List.of(first, second, third, fourth);
    for (int i = 0; i < all.size(); i++) {
      all.get(i).setMaxWidth(Double.MAX_VALUE);
      GridPane.setHgrow(all.get(i), Priority.ALWAYS);
      add(all.get(i), i % across, i / across);
    }
    for (int i = 0; i < across; i++) {
      ColumnConstraints column = new ColumnConstraints();
      column.setPercentWidth(100.0 / across);
      getColumnConstraints().add(column);
    }
  }

  private void title(TestKind kind) {
    switch (kind) {
      case AC_DRAIN, DC_DRAIN -> {
        first.of(kind == TestKind.AC_DRAIN ? "Out of the socket" : "Out of the port", "W");
        second.of("Delivered so far", "Wh");
        third.of("Ends in about", "");
        fourth.of("Display says", "%");
      }
      case LADDER -> {
        first.of("Out of the socket", "W");
        second.of("Out of the battery", "W");
        third.of("Efficiency now", "%");
        fourth.of("Loads", "");
      }
      case IDLE -> {
        first.of("Out of the battery", "W");
        second.of("Amps", "A");
        third.of("Volts", "V");
        fourth.of("Display says", "%");
      }
      case CHARGE -> {
        first.of("From the wall", "W");
        second.of("Case", "°C");
        third.of("Display says", "%");
        fourth.of("At", "");
      }
      case OVERLOAD, STARTS, SWITCH_OVER, WAVEFORM, SOAK, TWO_LEGS -> {
        first.of("Out of the socket", "W");
        second.of("Volts", "V");
        third.of(
            kind == TestKind.SWITCH_OVER ? "From the mains" : "Case",
            kind == TestKind.SWITCH_OVER ? "W" : "°C");
        fourth.of(kind == TestKind.SOAK ? "On for" : "At", "");
      }
      case PORT, USB -> {
        first.of("Out of the port", "W");
        second.of("Amps", "A");
        third.of("Volts", "V");
        fourth.of("At", "");
      }
      case HEAT -> {
        first.of("Out of the socket", "W");
        second.of("Case above room", "K");
        third.of("Sound", "dB");
        fourth.of("At", "");
      }
    }
  }

  /** Before a test that has nothing to foretell. */
  void nothing(TestKind kind) {
    title(kind);
    first.set("–", "not started");
    second.set("–", "");
    third.set("–", "");
    fourth.set("–", "");
  }

  /** Before a drain. */
  void ahead(TestPlan plan, ExpectedEnd end) {
    title(plan.kind());
    first.set("–", "not started");
    second.set("–", "about " + Figures.fixed(end.total(), 0) + " Wh expected");
    third.set(minutes(end.secondsLeft()), between(end) + " once it runs");
    fourth.set("–", "read it off the unit");
  }

  /** While a test runs and after it. */
  void show(LiveRun run, RunView view) {
    title(run.plan().kind());
    switch (run.plan().kind()) {
      case AC_DRAIN, DC_DRAIN -> drain(run, view);
      case LADDER -> ladder(run, view);
      case IDLE -> idle(run, view);
      default -> power(run, view);
    }
  }

  private void drain(LiveRun run, RunView view) {
    first.set(
        Figures.fixed(view.watts(), 1),
        run.plan().kind() == TestKind.AC_DRAIN ? outlet(view.latest()) : port(view.latest()));
    double rated = run.ratedWattHours();
    double energy = run.delivered();
    second.set(
        Figures.fixed(energy, 1),
        Figures.fixed(100 * energy / rated, 0)
            + " % of label, "
            + Figures.clock(
                view.loadedSeconds() > 0 ? view.loadedSeconds() : view.latest().seconds())
            + " in");
    ExpectedEnd end = run.expectedEnd();
    if (view.phase() == Phase.MEASURING || view.phase() == Phase.SETTLING) {
      third.set(minutes(end.secondsLeft()), between(end));
    } else {
      third.set(view.phase().over() ? "ended" : "–", view.phase().words().toLowerCase(Locale.ROOT));
    }
    double counted = 100 - 100 * energy / end.total();
    fourth.set(
        Figures.fixed(run.displayCharge(), 0),
        "energy says about " + Figures.fixed(Math.max(0, counted), 0) + " %");
  }

  private static String outlet(Frame frame) {
    double volts = frame.value(Channel.AC_VOLTAGE);
    if (Double.isNaN(volts)) {
      return frame.channels().contains(Channel.AC_VOLTAGE)
          ? "no answer"
          : "not read by the program";
    }
    return Figures.fixed(volts, 1)
        + " V, "
        + Figures.fixed(frame.value(Channel.AC_CURRENT), 2)
        + " A, "
        + Figures.fixed(frame.value(Channel.FREQUENCY), 2)
        + " Hz";
  }

  private static String port(Frame frame) {
    double volts = frame.value(Channel.DC_VOLTAGE);
    return Double.isNaN(volts)
        ? frame.channels().contains(Channel.DC_VOLTAGE) ? "no answer" : "not read by the program"
        : Figures.fixed(volts, 2)
            + " V, "
            + Figures.fixed(frame.value(Channel.DC_CURRENT), 2)
            + " A";
  }

  private void ladder(LiveRun run, RunView view) {
    Frame frame = view.latest();
    double ac = frame.value(Channel.AC_POWER);
    double dc = frame.dcWatts();
    first.set(Figures.fixed(ac, 1), outlet(frame));
    second.set(Figures.fixed(dc, 1), port(frame));
    boolean both = ac > 1 && dc > 1;
    third.set(
        both ? Figures.fixed(100 * ac / dc, 1) : "–",
        both ? "of this moment; figures wait until it settles" : "no load");
    if (run.run().procedure() instanceof LoadLadder ladder) {
      fourth.set(
          ladder.stepsBegun() + " of " + ladder.stepsInAll(),
          view.phase().words().toLowerCase(Locale.ROOT));
    }
  }

  private void idle(LiveRun run, RunView view) {
    Frame frame = view.latest();
    String state =
        run.run().procedure() instanceof IdleWatch watch ? watch.state().words() : "idle";
    first.set(Figures.fixed(frame.dcWatts(), 2), state);
    second.set(Figures.fixed(frame.value(Channel.DC_CURRENT), 2), "out of the battery");
    third.set(Figures.fixed(frame.value(Channel.DC_VOLTAGE), 2), "at its terminals");
    fourth.set(
        Figures.fixed(run.displayCharge(), 0),
        Figures.plain(view.deliveredWattHours()) + " Wh drawn so far");
  }

  /** Tests of power, ports and heat: what is read now, and where the test is. */
  private void power(LiveRun run, RunView view) {
    Frame frame = view.latest();
    double ac = frame.value(Channel.AC_POWER);
    double volts = frame.value(Channel.AC_VOLTAGE);
    double celsius = frame.value(Channel.CASE_TEMPERATURE);
    String phase = view.phase().words().toLowerCase(Locale.ROOT);
    switch (run.plan().kind()) {
      case PORT, USB -> {
        first.set(Figures.fixed(frame.dcWatts(), 1), port(frame));
        second.set(Figures.fixed(frame.value(Channel.DC_CURRENT), 2), "drawn by the load");
        third.set(Figures.fixed(frame.value(Channel.DC_VOLTAGE), 2), "where it is measured");
      }
      case CHARGE -> {
        first.set(Figures.fixed(frame.value(Channel.IN_POWER), 0), "into the charger");
        second.set(Figures.fixed(celsius, 1), "a hot one charges slower");
        third.set(Figures.fixed(frame.value(Channel.DISPLAY_CHARGE), 0), "by the unit itself");
      }
      case HEAT -> {
        first.set(Figures.fixed(ac, 0), outlet(frame));
        second.set(
            Figures.fixed(celsius - frame.value(Channel.ROOM_TEMPERATURE), 1),
            Figures.fixed(celsius, 1) + " °C");
        third.set(
            Figures.fixed(frame.value(Channel.SOUND_LEVEL), 1),
            "at " + Figures.plain(run.plan().soundMetres()) + " m, room in it");
      }
      default -> {
        first.set(Figures.fixed(ac, 0), outlet(frame));
        second.set(Figures.fixed(volts, 1), "at the outlet");
        boolean mains = run.plan().kind() == TestKind.SWITCH_OVER;
        double third = mains ? frame.value(Channel.IN_POWER) : celsius;
        this.third.set(
            Figures.fixed(third, mains ? 0 : 1),
            mains ? "charging and handed through" : "stops at 60 °C");
      }
    }
    fourth.set(at(run, view), phase);
  }

  private static String at(LiveRun run, RunView view) {
    if (run.run().procedure() instanceof OverloadHolds holds) {
      return holds.begun() + " of " + holds.inAll();
    }
    if (run.run().procedure() instanceof MotorStarts starts) {
      return starts.attempt() + " of " + starts.tries();
    }
    return Figures.clock(view.latest().seconds());
  }

  private static String minutes(double seconds) {
    return Figures.fixed(seconds / 60, 0) + " min";
  }

  private static String between(ExpectedEnd end) {
    return Figures.fixed(end.soonest() / 60, 0)
        + " to "
        + Figures.fixed(end.latest() / 60, 0)
        + " min";
  }
}
