package org.wiseember.report.film;

import java.awt.BasicStroke;
import java.awt.Font;
import java.awt.FontMetrics;
import java.awt.Graphics2D;
import java.awt.RenderingHints;
import java.awt.geom.Ellipse2D;
import java.awt.geom.Path2D;
import java.awt.geom.Rectangle2D;
import java.awt.image.BufferedImage;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.util.Optional;
import javax.imageio.ImageIO;
import org.wiseember.core.verdict.Standing;
import org.wiseember.report.chart.SvgSurface;
import org.wiseember.report.look.Face;
import org.wiseember.report.look.Palette;

/**
 * A strip across the foot of a film's picture: a figure, what it is, what the label said, and how
 * that stands. All around it the picture shows through.
 *
 * @param figure large, {@code 904 ± 7 Wh}
 * @param name what it is of
 * @param claim what the label said; empty for nothing
 * @param standing how it stands; empty where nobody judges it
 */
public record LowerThird(String figure, String name, String claim, Optional<Standing> standing) {
  /** Of a film of 1920 × 1080, px. */
  public static final int WIDTH = 1920;

  /** Of a film of 1920 × 1080, px. */
  public static final int HEIGHT = 1080;

  private static final double LEFT = 96;
  private static final double TOP = 830;
  private static final double HIGH = 150;
  private static final double EDGE = 10;
  private static final double ROOM = 34;
  private static final double MOST = WIDTH - 2 * LEFT;

  /** As SVG, text drawn as shapes, so that it looks the same everywhere. */
  public String svg() {
    return SvgSurface.of(WIDTH, HEIGHT, true, this::draw);
  }

  /** As PNG, transparent around the strip. */
  public byte[] png() {
    BufferedImage image = new BufferedImage(WIDTH, HEIGHT, BufferedImage.TYPE_INT_ARGB);
    Graphics2D g = image.createGraphics();
    g.setRenderingHint(RenderingHints.KEY_ANTIALIASING, RenderingHints.VALUE_ANTIALIAS_ON);
    g.setRenderingHint(
        RenderingHints.KEY_TEXT_ANTIALIASING, RenderingHints.VALUE_TEXT_ANTIALIAS_ON);
    draw(g);
    g.dispose();
    ByteArrayOutputStream out = new ByteArrayOutputStream();
    try {
      ImageIO.write(image, "png", out);
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
    return out.toByteArray();
  }

  private void draw(Graphics2D g) {
    Palette palette = Palette.LIGHT;
    Font large = Face.FIGURE_STRONG.awt(76);
    Font middle = Face.TEXT_STRONG.awt(34);
    Font small = Face.TEXT.awt(28);
    double first = width(g, large, figure);
    String under = claim.isEmpty() ? "" : "label: " + claim;
    String word = standing.map(Standing::words).orElse("");
    double mark = word.isEmpty() ? 0 : width(g, small, word) + 2 * ROOM;
    double room = MOST - first - 3 * ROOM - EDGE - mark;
    String names = fitted(g, middle, name, room);
    String claims = fitted(g, small, under, room);
    double second = Math.max(width(g, middle, names), width(g, small, claims));
    double wide = EDGE + ROOM + first + ROOM + second + ROOM + mark;
    g.setColor(Palette.awt(palette.sheet()));
    g.fill(new Rectangle2D.Double(LEFT, TOP, wide, HIGH));
    g.setColor(Palette.awt(palette.ember()));
    g.fill(new Rectangle2D.Double(LEFT, TOP, EDGE, HIGH));
    double x = LEFT + EDGE + ROOM;
    write(g, large, figure, x, TOP + 102, Palette.awt(palette.emberInk()));
    x += first + ROOM;
    write(g, middle, names, x, TOP + 66, Palette.awt(palette.ink()));
    write(g, small, claims, x, TOP + 110, Palette.awt(palette.steel()));
    if (!word.isEmpty()) {
      x += second + ROOM;
      g.setColor(Palette.awt(palette.ember()));
      mark(g, x + 14, TOP + 56);
      write(g, small, word, x, TOP + 110, Palette.awt(palette.ink()));
    }
  }

  /** The shapes of the seam: a disc is kept, a wedge short, a ring too close. */
  private void mark(Graphics2D g, double x, double y) {
    double r = 14;
    switch (standing.orElse(Standing.NOT_TESTED)) {
      case KEPT -> g.fill(new Ellipse2D.Double(x - r, y - r, 2 * r, 2 * r));
      case SHORT -> {
        Path2D wedge = new Path2D.Double();
        wedge.moveTo(x - r, y - r);
        wedge.lineTo(x + r, y - r);
        wedge.lineTo(x, y + r);
        wedge.closePath();
        g.fill(wedge);
      }
      case TOO_CLOSE -> {
        g.setStroke(new BasicStroke(5));
        g.draw(new Ellipse2D.Double(x - r, y - r, 2 * r, 2 * r));
      }
      case RIG_CANNOT_SHOW, NOT_TESTED -> {}
    }
  }

  private static double width(Graphics2D g, Font font, String words) {
    FontMetrics metrics = g.getFontMetrics(font);
    return words.isEmpty() ? 0 : metrics.stringWidth(words);
  }

  private static String fitted(Graphics2D g, Font font, String words, double room) {
    if (width(g, font, words) <= room) {
      return words;
    }
    String shorter = words;
    while (shorter.length() > 1 && width(g, font, shorter + "…") > room) {
      shorter = shorter.substring(0, shorter.offsetByCodePoints(shorter.length(), -1));
    }
    return shorter.strip() + "…";
  }

  private static void write(
      Graphics2D g, Font font, String words, double x, double y, java.awt.Color colour) {
    g.setFont(font);
    g.setColor(colour);
    g.drawString(words, (float) x, (float) y);
  }
}
