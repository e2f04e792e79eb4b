package org.wiseember.desktop;

import java.io.File;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import javax.imageio.ImageIO;
import org.testng.annotations.Test;
import org.wiseember.desktop.model.StageName;

public class PeekTest {
  @Test
  public void peek() throws Exception {
    Path folder = Files.createTempDirectory("peek");
    OpenWindow window = OpenWindow.on(DemoFile.in(folder));
    OpenWindow.onFx(
        () -> {
          window.desk().stage().set(StageName.PLAN);
          return null;
        });
    window.until(() -> window.desk().planWork().tide().get() != null);
    window.settle();
    snap(window, "/tmp/peek-1.png");
    OpenWindow.onFx(
        () -> {
          window
              .desk()
              .planWork()
              .note(window.desk().planWork().notes().of(List.of(2L, 3L, 4L)), "x");
          return null;
        });
    window.until(() -> window.desk().planWork().tide().get().packs().size() == 3);
    window.settle();
    snap(window, "/tmp/peek-2.png");
    window.click("step-4");
    window.settle();
    snap(window, "/tmp/peek-3.png");
    window.close();
  }

  static void snap(OpenWindow window, String file) {
    OpenWindow.onFx(
        () -> {
          var image = window.scene().snapshot(null);
          int w = (int) image.getWidth();
          int h = (int) image.getHeight();
          var out =
              new java.awt.image.BufferedImage(w, h, java.awt.image.BufferedImage.TYPE_INT_RGB);
          for (int y = 0; y < h; y++)
            for (int x = 0; x < w; x++) out.setRGB(x, y, image.getPixelReader().getArgb(x, y));
          ImageIO.write(out, "png", new File(file));
          return null;
        });
  }
}
