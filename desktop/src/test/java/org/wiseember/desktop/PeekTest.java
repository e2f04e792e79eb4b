package org.wiseember.desktop;

import java.io.File;
import javafx.embed.swing.SwingFXUtils;
import javafx.scene.control.ToggleButton;
import javax.imageio.ImageIO;
import org.testng.annotations.Test;
import org.wiseember.desktop.look.Row;
import org.wiseember.desktop.model.StageName;

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
    window.until(() -> window.desk().dayWork().outcome().get() != null && window.desk().dayWork().outcome().get().day().equals(window.desk().dayWork().days().get(i).day()) && window.desk().dayWork().outcome().get().units().size() > 1);
  }

  void page(String p) {
    OpenWindow.onFx(() -> { ((ToggleButton) window.scene().lookup("#run-time-" + p)).fire(); return null; });
  }

  @Test
  public void before() {
    OpenWindow.onFx(() -> { window.desk().stage().set(StageName.RUN_TIME); return null; });
    day(0);
    shot("day");
    page("FEEDS");
    day(2);
    shot("feeds");
    page("DAY");
    day(1);
    OpenWindow.onFx(() -> { Row.choose(window.scene().lookup("#appliance-1")); return null; });
    shot("form");
    OpenWindow.onFx(() -> { Row.choose(window.scene().lookup("#answer-0")); var sp=(javafx.scene.control.ScrollPane) window.scene().lookup(".adaptive").lookupAll(".scroll-pane").iterator().next(); sp.setVvalue(1); return null; });
    day(3);
    OpenWindow.onFx(() -> { var sp=(javafx.scene.control.ScrollPane) window.scene().lookup(".adaptive").lookupAll(".scroll-pane").iterator().next(); sp.setVvalue(1); return null; });
    shot("low");
  }
}
