package org.wiseember.desktop.look;

import javafx.css.PseudoClass;
import javafx.scene.AccessibleRole;
import javafx.scene.Node;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;
import javafx.scene.layout.Region;

/** Makes a region one can choose by mouse and by keyboard. */
public final class Row {
  private static final PseudoClass CHOSEN = PseudoClass.getPseudoClass("chosen");

  private Row() {}

  /** Makes a region a row: it takes the focus, and Enter, Space or a click choose it. */
  public static void make(Region region, String accessibleText, Runnable choose) {
    region.setFocusTraversable(true);
    region.setAccessibleRole(AccessibleRole.BUTTON);
    region.setAccessibleText(InUnits.told(accessibleText));
    region.setOnMouseClicked(
        e -> {
          region.requestFocus();
          choose.run();
        });
    region.setOnKeyPressed(
        e -> {
          if (e.getCode() == KeyCode.ENTER || e.getCode() == KeyCode.SPACE) {
            choose.run();
            e.consume();
          }
        });
  }

  /** Chooses a row as the Enter key does. */
  public static void choose(Node row) {
    row.fireEvent(
        new KeyEvent(KeyEvent.KEY_PRESSED, "", "", KeyCode.ENTER, false, false, false, false));
  }

  /** Marks a node as the chosen one of its kind. */
  public static void chosen(Node node, boolean chosen) {
    node.pseudoClassStateChanged(CHOSEN, chosen);
  }
}
