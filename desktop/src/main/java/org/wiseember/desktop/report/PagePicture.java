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

/** The first page of a PDF as a picture, so that what one sees is what is printed. */
final class PagePicture {
  private static final float DOTS_PER_INCH = 150;

  private PagePicture() {}

  static Image of(byte[] pdf) throws IOException {
    try (PDDocument document = Loader.loadPDF(pdf)) {
      BufferedImage page =
          new PDFRenderer(document).renderImageWithDPI(0, DOTS_PER_INCH, ImageType.RGB);
      int width = page.getWidth();
      int height = page.getHeight();
      WritableImage image = new WritableImage(width, height);
      int[] pixels = page.getRGB(0, 0, width, height, null, 0, width);
      image
          .getPixelWriter()
          .setPixels(0, 0, width, height, PixelFormat.getIntArgbInstance(), pixels, 0, width);
      return image;
    }
  }
}
