package org.wiseember.desktop.report;

import java.awt.image.BufferedImage;
import java.awt.image.DataBufferInt;
import java.io.IOException;
import java.nio.IntBuffer;
import javafx.scene.image.Image;
import javafx.scene.image.PixelBuffer;
import javafx.scene.image.PixelFormat;
import javafx.scene.image.WritableImage;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.rendering.ImageType;
import org.apache.pdfbox.rendering.PDFRenderer;

/** The sheets of a PDF as one picture, one under the other, so that one sees what is printed. */
final class PagePicture {
  private static final float DOTS_PER_INCH = 150;
  private static final int GAP = 24;
  private static final int OPAQUE = 0xFF000000;
  private static final int MOST_SHEETS = 6;

  private final Image image;
  private final int all;

  private PagePicture(Image image, int all) {
    this.image = image;
    this.all = all;
  }

  Image image() {
    return image;
  }

  /** How many there are, and how many of them are shown. */
  String words() {
    return all == 1
        ? "This is the page as it will be printed."
        : all
            + " pages, as they will be printed"
            + (all > MOST_SHEETS ? "; the first " + MOST_SHEETS + " are shown." : ".");
  }

  static PagePicture of(byte[] pdf) throws IOException {
    try (PDDocument document = Loader.loadPDF(pdf)) {
      PDFRenderer renderer = new PDFRenderer(document);
      int sheets = Math.min(MOST_SHEETS, document.getNumberOfPages());
      IntBuffer pixels = IntBuffer.allocate(0);
      int width = 0;
      int step = 0;
      for (int n = 0; n < sheets; n++) {
        BufferedImage page = renderer.renderImageWithDPI(n, DOTS_PER_INCH, ImageType.RGB);
        if (n == 0) {
          width = page.getWidth();
          step = page.getHeight() + GAP;
          pixels = IntBuffer.allocate(width * (sheets * step - GAP));
        }
        copy(page, pixels.array(), n * step * width, width);
      }
      PixelBuffer<IntBuffer> buffer =
          new PixelBuffer<>(
              width, sheets * step - GAP, pixels, PixelFormat.getIntArgbPreInstance());
      return new PagePicture(new WritableImage(buffer), document.getNumberOfPages());
    }
  }

  /**
   * Row by row as they lie in memory: asked for pixel by pixel they take as long as drawing them.
   */
  private static void copy(BufferedImage page, int[] into, int at, int width) {
    int[] from = ((DataBufferInt) page.getRaster().getDataBuffer()).getData();
    for (int y = 0; y < page.getHeight(); y++) {
      for (int x = 0; x < Math.min(width, page.getWidth()); x++) {
        int to = at + y * width + x;
        if (to < into.length) {
          into[to] = OPAQUE | from[y * page.getWidth() + x];
        }
      }
    }
  }
}
