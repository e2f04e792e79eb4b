package org.wiseember.report.look;

import java.awt.Font;
import java.awt.FontFormatException;
import java.awt.GraphicsEnvironment;
import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.util.EnumMap;
import java.util.Map;

/** The type faces shipped with the program (SIL Open Font License). */
public enum Face {
  TEXT("IBM Plex Sans", "IBMPlexSans_400Regular.ttf", 400),
  TEXT_STRONG("IBM Plex Sans SemiBold", "IBMPlexSans_600SemiBold.ttf", 600),
  FIGURE("IBM Plex Sans Condensed", "IBMPlexSansCondensed_400Regular.ttf", 400),
  FIGURE_STRONG("IBM Plex Sans Condensed SemiBold", "IBMPlexSansCondensed_600SemiBold.ttf", 600),
  TITLE("IBM Plex Serif SemiBold", "IBMPlexSerif_600SemiBold.ttf", 600);

  private final String family;
  private final String file;
  private final int weight;

  Face(String family, String file, int weight) {
    this.family = family;
    this.file = file;
    this.weight = weight;
  }

  public String family() {
    return family;
  }

  public int weight() {
    return weight;
  }

  /** The font file. The caller closes it. */
  public InputStream open() {
    InputStream in = Face.class.getResourceAsStream("/org/wiseember/report/fonts/" + file);
    if (in == null) {
      throw new IllegalStateException("missing font " + file);
    }
    return in;
  }

  /** The bytes of the font file. */
  public byte[] bytes() {
    try (InputStream in = open()) {
      return in.readAllBytes();
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }

  /** For charts: registered with the drawing system on first use. */
  public Font awt(float size) {
    return Loaded.of(this).deriveFont(size);
  }

  private static final class Loaded {
    private static final Map<Face, Font> FONTS = load();

    static Font of(Face face) {
      return FONTS.get(face);
    }

    private static Map<Face, Font> load() {
      Map<Face, Font> fonts = new EnumMap<>(Face.class);
      for (Face face : Face.values()) {
        try (InputStream in = face.open()) {
          Font font = Font.createFont(Font.TRUETYPE_FONT, in);
          fonts.put(face, font);
          GraphicsEnvironment.getLocalGraphicsEnvironment().registerFont(font);
        } catch (IOException | FontFormatException e) {
          throw new IllegalStateException("unreadable font " + face.file, e);
        }
      }
      return fonts;
    }
  }
}
