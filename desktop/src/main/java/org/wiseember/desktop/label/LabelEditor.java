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
import javafx.scene.text.Font;
import javafx.scene.text.Text;
import org.wiseember.core.label.LineReading;

/**
 * Where the label is typed. Under each line runs a rule that tells what became of it: steel when it
 * was understood, dots when it claims nothing, dashes when it claims something that cannot be.
 */
final class LabelEditor extends StackPane {
  private static final int LEAST_LINES = 12;

  /** Room between lines for the rule, em; the style sheet says the same. */
  private static final double LINE_SPACING = 0.55;

  private final TextArea area = new TextArea();
  private final Pane rules = new Pane();
  private List<LineReading> readings = List.of();

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
    if (content == null || area.getWidth() < 20) {
      return;
    }
    if (area.lookup(".scroll-pane") instanceof ScrollPane scroll) {
      scroll.setVbarPolicy(ScrollPane.ScrollBarPolicy.NEVER);
      scroll.setHbarPolicy(ScrollPane.ScrollBarPolicy.NEVER);
    }
    Insets padding = content instanceof Region region ? region.getInsets() : Insets.EMPTY;
    double width = area.getWidth() - padding.getLeft() - padding.getRight();
    Font font = area.getFont();
    double spacing = font.getSize() * LINE_SPACING;
    String[] lines = area.getText().split("\n", -1);
    rules.getChildren().clear();
    rules.resizeRelocate(area.getLayoutX(), area.getLayoutY(), area.getWidth(), area.getHeight());
    StringBuilder above = new StringBuilder();
    double y = 0;
    for (int i = 0; i < lines.length; i++) {
      above.append(i == 0 ? "" : "\n").append(lines[i].isEmpty() ? " " : lines[i]);
      y = padding.getTop() + height(font, above.toString(), width, spacing);
      if (i < readings.size() && !(readings.get(i) instanceof LineReading.Blank)) {
        double at = Math.rint(y + spacing * 0.3) + 0.5;
        Line rule = new Line(padding.getLeft(), at, area.getWidth() - padding.getRight(), at);
        rule.getStyleClass().add(style(readings.get(i)));
        rules.getChildren().add(rule);
      }
    }
    double line = height(font, "X", width, spacing);
    double wanted = Math.max(y, LEAST_LINES * (line + spacing)) + line + padding.getBottom();
    area.setMinHeight(wanted);
    area.setPrefHeight(wanted);
  }

  private static double height(Font font, String words, double width, double spacing) {
    Text text = new Text(words);
    text.setFont(font);
    text.setLineSpacing(spacing);
    text.setWrappingWidth(width);
    return text.getLayoutBounds().getHeight();
  }

  private static String style(LineReading reading) {
    if (reading instanceof LineReading.Understood) {
      return "line-understood";
    }
    return reading instanceof LineReading.Doubtful ? "line-doubt" : "line-none";
  }
}
