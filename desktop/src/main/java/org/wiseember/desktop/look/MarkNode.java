package org.wiseember.desktop.look;

import javafx.scene.layout.StackPane;
import javafx.scene.shape.Polygon;
import org.wiseember.report.look.UnitMark;

/** The mark of a unit, as the charts draw it. */
public final class MarkNode extends StackPane {
  private static final double RADIUS = 5;

  public MarkNode(UnitMark mark) {
    double[] corners = mark.corners();
    double[] at = new double[corners.length];
    for (int i = 0; i < at.length; i++) {
      at[i] = RADIUS * corners[i];
    }
    Polygon shape = new Polygon(at);
    String colour = "-we-" + mark.token();
    shape.setStyle(
        "-fx-stroke: "
            + colour
            + "; -fx-stroke-width: 1.5; -fx-fill: "
            + (mark.filled() ? colour : "transparent")
            + ";");
    getChildren().add(shape);
    setMinSize(16, 16);
    setPrefSize(16, 16);
    setMaxSize(16, 16);
    setAccessibleText(mark.words());
  }
}
