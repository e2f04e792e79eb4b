package org.wiseember.desktop.look;

import java.util.Map;
import javafx.beans.property.ObjectProperty;
import javafx.scene.control.ToggleButton;
import javafx.scene.control.ToggleGroup;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.Region;

/** A row of buttons of which one is pressed, tied to a property. */
public final class Choices {
  private Choices() {}

  /**
   * Makes the row.
   *
   * @param name in front of it
   * @param idPrefix each button's id is this and its choice
   * @param words of every choice, in order
   * @param chosen follows the buttons, and they follow it
   */
  public static <T> FlowPane row(
      String name, String idPrefix, Map<T, String> words, ObjectProperty<T> chosen) {
    ToggleGroup group = new ToggleGroup();
    FlowPane row = new FlowPane(6, 6);
    row.getChildren().add(Words.line("strong", name));
    words.forEach(
        (choice, text) -> {
          ToggleButton button = InUnits.telling(new ToggleButton(text));
          button.getStyleClass().setAll("toggle-button", "choice");
          button.setId(idPrefix + choice);
          button.setMinWidth(Region.USE_PREF_SIZE);
          button.setToggleGroup(group);
          button.setSelected(choice.equals(chosen.get()));
          chosen.addListener((o, was, is) -> button.setSelected(choice.equals(is)));
          button
              .selectedProperty()
              .addListener(
                  (o, was, is) -> {
                    if (is) {
                      chosen.set(choice);
                    } else if (choice.equals(chosen.get())) {
                      // A second press does not let go: one of them is always chosen.
                      button.setSelected(true);
                    }
                  });
          row.getChildren().add(button);
        });
    return row;
  }
}
