package org.wiseember.desktop.look;

import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.ButtonBase;
import javafx.scene.control.Label;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;

/** Labels and buttons with their style class. */
public final class Words {
  private Words() {}

  /** A label that wraps instead of being cut. */
  public static Label of(String styleClass, String text) {
    Label label = InUnits.telling(new Label(text));
    label.getStyleClass().add(styleClass);
    label.setWrapText(true);
    label.setMinHeight(Region.USE_PREF_SIZE);
    return label;
  }

  /** A label that stays on one line and keeps its width. */
  public static Label line(String styleClass, String text) {
    Label label = InUnits.telling(new Label(text));
    label.getStyleClass().add(styleClass);
    label.setMinWidth(Region.USE_PREF_SIZE);
    return label;
  }

  /** A button that keeps its width. */
  public static Button button(String styleClass, String text, Runnable action) {
    Button button = InUnits.telling(new Button(text));
    button.getStyleClass().add(styleClass);
    button.setMinWidth(Region.USE_PREF_SIZE);
    button.setMinHeight(Region.USE_PREF_SIZE);
    button.setOnAction(e -> action.run());
    enterPresses(button);
    return button;
  }

  /**
   * Enter presses it once, as the key comes up, on every system. The toolkit does so on some and
   * not on others, and beside a handler of ours it would be a second press.
   */
  public static void enterPresses(ButtonBase button) {
    button.addEventFilter(
        KeyEvent.KEY_PRESSED,
        e -> {
          if (e.getCode() == KeyCode.ENTER) {
            button.arm();
            e.consume();
          }
        });
    button.addEventFilter(
        KeyEvent.KEY_RELEASED,
        e -> {
          if (e.getCode() == KeyCode.ENTER) {
            boolean pressed = button.isArmed();
            button.disarm();
            e.consume();
            if (pressed) {
              button.fire();
            }
          }
        });
    button
        .focusedProperty()
        .addListener(
            (o, was, is) -> {
              if (!is) {
                button.disarm();
              }
            });
  }

  /** Takes what room is left in a row. */
  public static Region spring() {
    Region spring = new Region();
    HBox.setHgrow(spring, Priority.ALWAYS);
    return spring;
  }

  /** Shows a node and gives it room, or neither. */
  public static void shown(Node node, boolean shown) {
    node.setVisible(shown);
    node.setManaged(shown);
  }
}
