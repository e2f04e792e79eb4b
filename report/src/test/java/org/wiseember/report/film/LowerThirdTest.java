package org.wiseember.report.film;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertFalse;
import static org.testng.Assert.assertNotEquals;
import static org.testng.Assert.assertTrue;

import java.awt.image.BufferedImage;
import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.util.Optional;
import javax.imageio.ImageIO;
import org.testng.annotations.Test;
import org.wiseember.core.verdict.Standing;

public class LowerThirdTest {
  private static BufferedImage png(LowerThird strip) throws IOException {
    return ImageIO.read(new ByteArrayInputStream(strip.png()));
  }

  private static int opaque(BufferedImage image, int fromRow, int toRow) {
    int n = 0;
    for (int y = fromRow; y < toRow; y++) {
      for (int x = 0; x < image.getWidth(); x++) {
        n += image.getRGB(x, y) >>> 24 == 0 ? 0 : 1;
      }
    }
    return n;
  }

  /**
   * Above two thirds of the picture nothing is drawn; below stands a strip that does not cover it.
   */
  @Test
  public void thePictureShowsThrough() throws IOException {
    LowerThird strip =
        new LowerThird("904 ± 7 Wh", "AC energy", "≥ 1 075 Wh", Optional.of(Standing.SHORT));
    BufferedImage image = png(strip);
    assertEquals(image.getWidth(), 1920);
    assertEquals(image.getHeight(), 1080);
    assertEquals(opaque(image, 0, 720), 0);
    int drawn = opaque(image, 720, 1080);
    assertTrue(drawn > 50_000 && drawn < 1920 * 360 / 2, "drawn: " + drawn);
    assertFalse(strip.svg().contains("<text"), "words are shapes, whatever faces there are");
  }

  /** Standings differ by shape; the longest words stay inside the picture. */
  @Test
  public void standingsDifferAndLongNamesFit() throws IOException {
    byte[] before = null;
    for (Standing standing : new Standing[] {Standing.KEPT, Standing.SHORT, Standing.TOO_CLOSE}) {
      byte[] now = new LowerThird("12.1 A", "DC input <b>", "≥ 12 A", Optional.of(standing)).png();
      assertNotEquals(now, before);
      before = now;
    }
    String endless = "Energy of a very long name ".repeat(20);
    BufferedImage image =
        png(new LowerThird("904 ± 7 Wh", endless, endless, Optional.of(Standing.KEPT)));
    for (int y = 0; y < 1080; y++) {
      for (int x = 1920 - 60; x < 1920; x++) {
        assertEquals(image.getRGB(x, y) >>> 24, 0, x + ", " + y);
      }
    }
  }
}
