package org.wiseember.trial.publish;

import java.awt.Color;
import java.awt.Graphics2D;
import java.awt.RenderingHints;
import java.awt.image.BufferedImage;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Iterator;
import java.util.List;
import java.util.Optional;
import javax.imageio.ImageIO;
import javax.imageio.ImageReadParam;
import javax.imageio.ImageReader;
import javax.imageio.stream.ImageInputStream;
import org.wiseember.core.quantity.Figures;
import org.wiseember.report.page.FindingPage;
import org.wiseember.report.page.Sheet;
import org.wiseember.trial.kind.TestRun;
import org.wiseember.workbook.Photo;
import org.wiseember.workbook.Photos;
import org.wiseember.workbook.Workbook;

/**
 * The photos of a unit's runs. They are drawn anew and small, so that nothing a camera wrote into
 * them, such as the place, goes out with them; one that is gone, changed or cannot be read is said
 * to be.
 */
final class PhotoSheet {
  private static final int LONGEST = 1400;
  private static final int MOST = 60;

  /** More no camera makes; a file may say so all the same. */
  private static final long MOST_PIXELS = 400_000_000;

  private PhotoSheet() {}

  /** Empty where there are none. */
  static Optional<Sheet> of(Workbook workbook, List<TestRun> runs) {
    FindingPage page = new FindingPage(List.of(), List.of());
    List<String> missing = new ArrayList<>();
    int shown = 0;
    int all = 0;
    for (TestRun run : runs) {
      for (Photo photo : workbook.photos().of(run.run().id())) {
        all++;
        String words = words(run, photo);
        Optional<byte[]> picture = shown < MOST ? picture(photo) : Optional.empty();
        if (picture.isPresent()) {
          page = page.picture(picture.get(), words);
          shown++;
        } else {
          missing.add(words + ": " + why(photo, shown));
        }
      }
    }
    return all == 0
        ? Optional.empty()
        : Optional.of(
            new Sheet("Photos", all + (all == 1 ? " photo." : " photos."), page.say(missing)));
  }

  private static String words(TestRun run, Photo photo) {
    return run.run().title()
        + ", at "
        + Figures.duration(photo.seconds())
        + (photo.words().isBlank() ? "" : ": " + photo.words());
  }

  private static String why(Photo photo, int shown) {
    return switch (Photos.find(photo)) {
      case MISSING -> "the file is not where it was.";
      case CHANGED -> "the file is another than the one that was added.";
      case SAME ->
          shown >= MOST
              ? "left out, " + MOST + " are enough."
              : "the file is no picture that can be read.";
    };
  }

  private static Optional<byte[]> picture(Photo photo) {
    if (Photos.find(photo) != Photos.Found.SAME) {
      return Optional.empty();
    }
    try (ImageInputStream in = ImageIO.createImageInputStream(Path.of(photo.path()).toFile())) {
      Iterator<ImageReader> readers = ImageIO.getImageReaders(in);
      if (!readers.hasNext()) {
        return Optional.empty();
      }
      ImageReader reader = readers.next();
      try {
        reader.setInput(in, true, true);
        return Optional.of(jpeg(small(reader)));
      } finally {
        reader.dispose();
      }
    } catch (IOException | RuntimeException damaged) {
      return Optional.empty();
    }
  }

  /** Of a large one only as many pixels are read as are shown. */
  private static BufferedImage small(ImageReader reader) throws IOException {
    long width = reader.getWidth(0);
    long height = reader.getHeight(0);
    if (width < 1 || height < 1 || width * height > MOST_PIXELS) {
      throw new IOException("no photo is that large");
    }
    ImageReadParam part = reader.getDefaultReadParam();
    int step = (int) Math.max(1, Math.max(width, height) / LONGEST);
    part.setSourceSubsampling(step, step, 0, 0);
    BufferedImage read = reader.read(0, part);
    double factor = Math.min(1, (double) LONGEST / Math.max(read.getWidth(), read.getHeight()));
    BufferedImage small =
        new BufferedImage(
            (int) Math.max(1, Math.round(factor * read.getWidth())),
            (int) Math.max(1, Math.round(factor * read.getHeight())),
            BufferedImage.TYPE_INT_RGB);
    Graphics2D g = small.createGraphics();
    g.setColor(Color.WHITE);
    g.fillRect(0, 0, small.getWidth(), small.getHeight());
    g.setRenderingHint(
        RenderingHints.KEY_INTERPOLATION, RenderingHints.VALUE_INTERPOLATION_BILINEAR);
    g.drawImage(read, 0, 0, small.getWidth(), small.getHeight(), null);
    g.dispose();
    return small;
  }

  private static byte[] jpeg(BufferedImage image) throws IOException {
    ByteArrayOutputStream out = new ByteArrayOutputStream();
    if (!ImageIO.write(image, "jpeg", out)) {
      throw new IOException("no writer of JPEG");
    }
    return out.toByteArray();
  }
}
