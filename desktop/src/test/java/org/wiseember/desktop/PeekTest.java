package org.wiseember.desktop;

import java.io.File;
import javafx.embed.swing.SwingFXUtils;
import javafx.scene.control.ToggleButton;
import javax.imageio.ImageIO;
import org.testng.annotations.Test;
import org.wiseember.desktop.look.Row;
import org.wiseember.desktop.model.StageName;
import org.wiseember.report.look.Palette;

public class PeekTest extends InDemoWindow {
  void shot(String name) {
    window.settle();
    OpenWindow.onFx(
        () -> {
          var img = window.scene().snapshot(null);
          ImageIO.write(
              SwingFXUtils.fromFXImage(img, null), "png", new File("/tmp/peek-" + name + ".png"));
          return null;
        });
  }

  void day(int i) {
    OpenWindow.onFx(() -> { window.desk().dayWork().choose(window.desk().dayWork().days().get(i)); return null; });
    window.until(() -> window.desk().dayWork().outcome().get() != null && window.desk().dayWork().outcome().get().day().equals(window.desk().dayWork().days().get(i).day()) && window.desk().dayWork().outcome().get().units().size() > 0);
  }

  void page(String p) {
    OpenWindow.onFx(() -> { ((ToggleButton) window.scene().lookup("#run-time-" + p)).fire(); return null; });
  }

  @Test
  public void before() {
    OpenWindow.onFx(() -> { window.desk().stage().set(StageName.RUN_TIME); return null; });
    day(0);
    window.replace("day-file", "/tmp/peek-sheet.pdf");
    window.click("save-day-pdf");
    window.untilShown("Saved");
    OpenWindow.onFx(() -> { window.desk().palette().set(Palette.DARK); window.desk().said().set(""); return null; });
    day(3);
    shot("dark");
    OpenWindow.onFx(() -> { window.desk().palette().set(Palette.LIGHT); window.stage().setWidth(1100); window.stage().setHeight(700); window.desk().textScale().set(1.5); return null; });
    day(1);
    shot("big");
    page("FEEDS");
    day(2);
    shot("bigfeeds");
    OpenWindow.onFx(() -> { window.desk().textScale().set(1); window.stage().setWidth(1280); window.stage().setHeight(800); window.desk().choose(window.desk().shelf().get(4).unit().id()); return null; });
    day2();
    shot("none");
  }
  void day2() {
    page("DAY");
    window.settle();
  }
}
