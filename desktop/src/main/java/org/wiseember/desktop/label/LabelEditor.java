package org.wiseember.desktop.label;

import java.util.List;
import javafx.application.Platform;
import javafx.geometry.Insets;
import javafx.scene.Node;
import javafx.scene.control.ScrollPane;
import javafx.scene.control.TextArea;
import javafx.scene.layout.Pane;
import javafx.scene.layout.Region;
import javafx.scene.layout.StackPane;
import javafx.scene.shape.Line;
import javafx.scene.shape.Path;
import javafx.scene.text.Text;
import org.wiseember.core.label.LineReading;

/**
 * Where the label is typed. Under each line runs a rule that tells what became of it: steel when it
 * was understood, dots when it claims nothing, dashes when it claims something that cannot be.
 */
final class LabelEditor extends StackPane {
  private static final int LEAST_LINES = 12;

  /** Height of a line of the face, em; the style sheet says the same. */
  private static final double LINE = 1.4;

  private final TextArea area = new TextArea();
  private final Pane rules = new Pane();
  private List<LineReading> readings = List.of();
  private Text followed;

  LabelEditor() {
    getStyleClass().addAll("sheet", "label-editor");
    area.setWrapText(true);
    area.setId("label-text");
    area.setAccessibleText("The label, a line at a time");
    area.setPromptText("Capacity 1075 Wh (21 Ah / 51.2 V)");
    rules.setMouseTransparent(true);
    rules.setManaged(false);
    getChildren().addAll(area, rules);
    area.widthProperty().addListener((o, was, is) -> drawSoon());
    area.fontProperty().addListener((o, was, is) -> drawSoon());
    area.textProperty().addListener((o, was, is) -> drawSoon());
  }

  TextArea area() {
    return area;
  }

  void show(List<LineReading> lines) {
    readings = lines;
    drawSoon();
  }

  private void drawSoon() {
    Platform.runLater(this::draw);
  }

  private void draw() {
    Node content = area.lookup(".content");
    if (content == null || area.getWidth() < 20 || !(area.lookup(".text") instanceof Text text)) {
      return;
    }
    if (area.lookup(".scroll-pane") instanceof ScrollPane scroll) {
      scroll.setVbarPolicy(ScrollPane.ScrollBarPolicy.NEVER);
      scroll.setHbarPolicy(ScrollPane.ScrollBarPolicy.NEVER);
    }
    follow(text);
    Insets padding = content instanceof Region region ? region.getInsets() : Insets.EMPTY;
    rules.getChildren().clear();
    rules.resizeRelocate(area.getLayoutX(), area.getLayoutY(), area.getWidth(), area.getHeight());
    double spacing = text.getLineSpacing();
    int start = 0;
    String[] lines = area.getText().split("\n", -1);
    for (int i = 0; i < lines.length; i++) {
      int end = start + lines[i].length();
      if (i < readings.size() && !(readings.get(i) instanceof LineReading.Blank)) {
        // Where the line really ends, however it wraps.
        double bottom = new Path(text.rangeShape(start, end)).getLayoutBounds().getMaxY();
        double y = rules.sceneToLocal(text.localToScene(0, bottom)).getY();
        double at = Math.rint(y + spacing * 0.3) + 0.5;
        Line rule = new Line(padding.getLeft(), at, area.getWidth() - padding.getRight(), at);
        rule.getStyleClass().add(style(readings.get(i)));
        rules.getChildren().add(rule);
      }
      start = end + 1;
    }
    double line = text.getFont().getSize() * LINE;
    double wanted =
        Math.max(text.getLayoutBounds().getHeight(), LEAST_LINES * (line + spacing))
            + line
            + padding.getTop()
            + padding.getBottom();
    area.setMinHeight(wanted);
    area.setPrefHeight(wanted);
  }

  /** The text is laid out anew after its font or its width has changed. */
  private void follow(Text text) {
    if (followed != text) {
      followed = text;
      text.layoutBoundsProperty().addListener((o, was, is) -> drawSoon());
    }
  }

  private static String style(LineReading reading) {
    if (reading instanceof LineReading.Understood) {
      return "line-understood";
    }
    return reading instanceof LineReading.Doubtful ? "line-doubt" : "line-none";
  }
}
