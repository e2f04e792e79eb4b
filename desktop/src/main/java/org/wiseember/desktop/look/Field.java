package org.wiseember.desktop.look;

import java.util.Locale;
import java.util.Map;
import java.util.OptionalDouble;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import javafx.scene.control.Label;
import javafx.scene.control.TextArea;
import javafx.scene.control.TextField;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Region;
import org.wiseember.core.typed.TypedFigure;

/** Small fields with their name beside them, and the numbers typed into them. */
public final class Field {
  private static final Pattern SYMBOL =
      Pattern.compile(", ([A-Za-z%°Ω]{1,3})(?: .*)?$|^([VAW])(?= )");

  private static final Map<String, String> NOUNS =
      Map.of(
          "volts", "V", "amps", "A", "watts", "W", "hours", "h", "hertz", "Hz", "horsepower", "hp");

  private Field() {}

  /**
   * Makes one.
   *
   * @param words what it asks for, said beside it and by a screen reader
   * @param columns wide
   */
  public static TextField of(String id, String words, String value, int columns) {
    TextField field = new TextField(value);
    field.setId(id);
    field.setAccessibleText(words);
    field.setPrefColumnCount(columns);
    field.setMinWidth(Region.USE_PREF_SIZE);
    return field;
  }

  /**
   * A field of several lines, which Tab leaves as it does every other.
   *
   * @param words what it asks for, said by a screen reader
   * @param rows high
   */
  public static TextArea lines(String id, String words, String value, int rows) {
    TextArea area = new TextArea(value);
    area.setId(id);
    area.setAccessibleText(words);
    area.setWrapText(true);
    area.setPrefRowCount(rows);
    area.setMinHeight(Region.USE_PREF_SIZE);
    area.addEventFilter(
        KeyEvent.KEY_PRESSED,
        e -> {
          if (e.getCode() == KeyCode.TAB && !e.isControlDown()) {
            e.consume();
            // What leaves a field of lines by itself is Tab with Control.
            area.fireEvent(
                new KeyEvent(
                    KeyEvent.KEY_PRESSED,
                    "",
                    "",
                    KeyCode.TAB,
                    e.isShiftDown(),
                    true,
                    false,
                    false));
          }
        });
    return area;
  }

  /** The field with its name in front of it. */
  public static HBox named(TextField field) {
    Label words = Words.line("quiet", field.getAccessibleText());
    words.setLabelFor(field);
    HBox pair = new HBox(words, field);
    pair.setSpacing(6);
    pair.setStyle("-fx-alignment: center-left;");
    return pair;
  }

  /** Calls this when what was typed counts: at Enter, and when the field is left. */
  public static void whenTyped(TextField field, Runnable then) {
    field.setOnAction(e -> then.run());
    field
        .focusedProperty()
        .addListener(
            (o, was, is) -> {
              if (!is) {
                then.run();
              }
            });
  }

  /**
   * The number typed, in any notation and with or without the field's unit.
   *
   * @return empty for an empty field
   * @throws IllegalArgumentException with a sentence for the tester where it is none in the range,
   *     or may be two
   */
  public static OptionalDouble number(TextField field, double least, double most) {
    String name = field.getAccessibleText();
    return TypedFigure.read(name, field.getText(), symbol(name), least, most);
  }

  /** The unit a field is named with: {@code looked at, W}, {@code Running amps}, {@code V open}. */
  static String symbol(String name) {
    Matcher m = SYMBOL.matcher(name);
    if (m.find()) {
      return m.group(m.group(1) != null ? 1 : 2);
    }
    String words = name.toLowerCase(Locale.ROOT);
    return NOUNS.entrySet().stream()
        .filter(e -> words.contains(e.getKey()))
        .map(Map.Entry::getValue)
        .findFirst()
        .orElse("");
  }
}
