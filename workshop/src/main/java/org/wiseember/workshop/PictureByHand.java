package org.wiseember.workshop;

import java.util.ArrayDeque;
import java.util.Deque;
import java.util.List;
import javafx.scene.Scene;
import javafx.scene.control.TextField;
import org.wiseember.bench.procedure.OverloadHolds;
import org.wiseember.core.hand.OperatorEvent;
import org.wiseember.desktop.model.LiveRun;
import org.wiseember.desktop.model.Session;
import org.wiseember.trial.AllTests;
import org.wiseember.trial.onhand.Ask;
import org.wiseember.workbook.RunSettings;

/** A test by hand for a picture, as a tester would press and write it. */
final class PictureByHand {
  private final Session session;
  private final PictureClock clock;
  private final String test;
  private final Deque<Runnable> script = new ArrayDeque<>();
  private List<String> lines = List.of();
  private boolean started;
  private LiveRun before;

  private PictureByHand(Session session, PictureClock clock, String test) {
    this.session = session;
    this.clock = clock;
    this.test = test;
  }

  /** An overload up to its second load, a line half written. */
  static PictureByHand overload(Session session, PictureClock clock, Scene scene) {
    PictureByHand played = new PictureByHand(session, clock, OverloadHolds.KIND);
    played.write(12, "231.2 V, case 24 °C");
    played.press(17, OperatorEvent.DONE);
    played.write(70, "302 W");
    played.press(77, OperatorEvent.DONE);
    played.press(92, OperatorEvent.LOAD_ON);
    played.write(120, "1 296 W, 229.8 V");
    played.press(696, OperatorEvent.TAKEN_OFF);
    played.press(1610, OperatorEvent.DONE);
    played.write(1660, "Mira: 301 W");
    played.press(1671, OperatorEvent.DONE);
    played.press(1690, OperatorEvent.LOAD_ON);
    played.write(1702, "1 547 W");
    played.write(1716, "display 1 590 W out, 64 %");
    played.write(1733, "plug warm, not hot");
    played.half(scene, 1771.4, "48 °C at the plug");
    return played;
  }

  /** An inspection in its middle. */
  static PictureByHand inspection(Session session, PictureClock clock, Scene scene) {
    PictureByHand played = new PictureByHand(session, clock, "inspection");
    played.write(15, "no cable for panels in the box");
    played.press(31, OperatorEvent.HALF);
    played.write(58, "11.4 kg, handle digs in");
    played.press(70, OperatorEvent.YES);
    played.write(120, "fuse 30 A behind two screws");
    played.press(131, OperatorEvent.YES);
    played.press(170, OperatorEvent.YES);
    played.write(214, "3 s");
    played.press(219, OperatorEvent.YES);
    played.write(262, "washed out in the sun, dims after 20 s");
    played.press(275, OperatorEvent.NO);
    played.half(scene, 301, "shows nothing under 30 W out");
    return played;
  }

  /** A solar trial from its first arrangement to its end. */
  static PictureByHand solarTrial(Session session, PictureClock clock) {
    PictureByHand played = new PictureByHand(session, clock, "solar-trial");
    List<String> lines =
        List.of(
            "1 x 100 W",
            "2 x 100 W in parallel",
            "3 x 100 W in parallel",
            "3 x 100 W in series",
            "2 x 100 W in parallel, second unit",
            "2 x 100 W in parallel, converter");
    String[] read = {
      "71 W, 79 600 lx, 18.2 V, 3.90 A", "108 W, 80 300 lx, 17.9 V, 6.03 A",
      "151 W, 80 900 lx, 17.4 V, 8.68 A", "203 W, 80 100 lx, 53.1 V, 3.82 A",
      "139 W, 79 700 lx, 18.0 V, 7.72 A", "132 W, 80 200 lx, 29.5 V, 4.47 A"
    };
    played.lines = lines;
    double at = 40;
    for (String line : read) {
      played.press(at, OperatorEvent.DONE);
      played.write(at + 50, line);
      played.press(at + 80, OperatorEvent.READ);
      at += 240;
    }
    return played;
  }

  private void half(Scene scene, double at, String line) {
    script.add(() -> clock.set(at));
    script.add(() -> ((TextField) scene.lookup("#notebook-line")).setText(line));
  }

  private void write(double at, String line) {
    script.add(
        () -> {
          clock.set(at);
          session.bench().notebook().write(line, at);
        });
  }

  private void press(double at, OperatorEvent press) {
    script.add(
        () -> {
          clock.set(at);
          session.bench().notebook().press(press);
        });
  }

  void start() {
    started = true;
    before = session.bench().live().get();
    clock.set(0);
    session.bench().test().set(AllTests.of(test));
    AllTests.of(test).declaration().asks().stream()
        .filter(Ask.Lines.class::isInstance)
        .forEach(ask -> session.bench().have((Ask.Lines) ask, lines));
    session.bench().source().set(RunSettings.Source.BY_HAND);
    session.bench().cautionsSeen(AllTests.of(test));
    session.bench().start();
  }

  /** The run it makes. */
  long run() {
    return session.bench().live().get().run().runId();
  }

  /** Does the next of it; whether all of it is done. */
  boolean step() {
    LiveRun live = session.bench().live().get();
    // What went before it may still be there.
    boolean going = started && live != null && live != before && live.view().get() != null;
    if (going && !script.isEmpty()) {
      script.poll().run();
      return false;
    }
    return going;
  }
}
