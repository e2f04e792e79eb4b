package org.wiseember.desktop.report;

import java.awt.image.BufferedImage;
import java.io.IOException;
import javafx.scene.image.Image;
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
      WritableImage image = null;
      for (int n = 0; n < sheets; n++) {
        BufferedImage page = renderer.renderImageWithDPI(n, DOTS_PER_INCH, ImageType.RGB);
        int width = page.getWidth();
        int height = page.getHeight();
        if (image == null) {
          image = new WritableImage(width, sheets * (height + GAP) - GAP);
        }
        int[] pixels = page.getRGB(0, 0, width, height, null, 0, width);
        image
            .getPixelWriter()
            .setPixels(
                0,
                n * (height + GAP),
                Math.min(width, (int) image.getWidth()),
                height,
                PixelFormat.getIntArgbInstance(),
                pixels,
                0,
                width);
      }
      return new PagePicture(image, document.getNumberOfPages());
    }
  }
}
