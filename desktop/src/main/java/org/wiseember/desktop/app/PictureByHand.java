package org.wiseember.desktop.app;

import java.util.ArrayDeque;
import java.util.Deque;
import javafx.scene.Scene;
import javafx.scene.control.TextField;
import org.wiseember.bench.procedure.OverloadHolds;
import org.wiseember.core.hand.Press;
import org.wiseember.desktop.model.Desk;
import org.wiseember.trial.AllTests;
import org.wiseember.workbook.RunSettings;

/** An overload by hand up to its second load, as a tester would press and write it. */
final class PictureByHand {
  private final Desk desk;
  private final PictureClock clock;
  private final Deque<Runnable> script = new ArrayDeque<>();

  PictureByHand(Desk desk, PictureClock clock, Scene scene) {
    this.desk = desk;
    this.clock = clock;
    write(12, "231.2 V, case 24 °C");
    press(17, Press.DONE);
    write(70, "302 W");
    press(77, Press.DONE);
    press(92, Press.LOAD_ON);
    write(120, "1 296 W, 229.8 V");
    press(696, Press.TAKEN_OFF);
    press(1610, Press.DONE);
    write(1660, "Mira: 301 W");
    press(1671, Press.DONE);
    press(1690, Press.LOAD_ON);
    write(1702, "1 547 W");
    write(1716, "display 1 590 W out, 64 %");
    write(1733, "plug warm, not hot");
    script.add(() -> clock.set(1771.4));
    script.add(() -> ((TextField) scene.lookup("#notebook-line")).setText("48 °C at the plug"));
  }

  private void write(double at, String line) {
    script.add(
        () -> {
          clock.set(at);
          desk.bench().notebook().write(line, at);
        });
  }

  private void press(double at, Press press) {
    script.add(
        () -> {
          clock.set(at);
          desk.bench().notebook().press(press);
        });
  }

  void start() {
    desk.bench().test().set(AllTests.of(OverloadHolds.KIND));
    desk.bench().source().set(RunSettings.Source.BY_HAND);
    desk.bench().cautionsSeen(AllTests.of(OverloadHolds.KIND));
    desk.bench().start();
  }

  /** Does the next of it; whether all of it is done. */
  boolean step() {
    boolean going =
        desk.bench().live().get() != null && desk.bench().live().get().view().get() != null;
    if (going && !script.isEmpty()) {
      script.poll().run();
      return false;
    }
    return going;
  }
}
