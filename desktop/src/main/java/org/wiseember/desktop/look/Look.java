package org.wiseember.desktop.look;

import java.io.ByteArrayInputStream;
import java.util.Map;
import javafx.scene.Parent;
import javafx.scene.paint.Color;
import javafx.scene.text.Font;
import org.wiseember.report.look.Face;
import org.wiseember.report.look.Palette;

/** Puts tokens and faces on a scene: one switch for light, dark and the size of text. */
public final class Look {
  /** Size of text at 100 %, in pixels. Everything else is in em of it. */
  public static final double BASE = 13;

  private Look() {}

  /** Loads the shipped faces. Once, before the first scene. */
  public static void loadFaces() {
    for (Face face : Face.values()) {
      Font.loadFont(new ByteArrayInputStream(face.bytes()), BASE);
    }
  }

  /** Applies a palette and a text size to a root. */
  public static void apply(Parent root, Palette palette, double textScale) {
    StringBuilder style = new StringBuilder();
    for (Map.Entry<String, String> token : palette.tokens().entrySet()) {
      style
          .append("-we-")
          .append(token.getKey())
          .append(": ")
          .append(token.getValue())
          .append("; ");
    }
    style.append("-fx-font-size: ").append(BASE * textScale).append("px;");
    root.setStyle(style.toString());
  }

  /** The style sheet that all scenes share. */
  public static String styleSheet() {
    return Look.class.getResource("/org/wiseember/desktop/ember.css").toExternalForm();
  }

  /** A token as a paint, for what is drawn by hand. */
  public static Color paint(String colour) {
    return Color.web(colour);
  }
}
