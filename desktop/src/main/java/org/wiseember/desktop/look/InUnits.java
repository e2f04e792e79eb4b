package org.wiseember.desktop.look;

import javafx.beans.InvalidationListener;
import javafx.beans.Observable;
import javafx.beans.WeakInvalidationListener;
import javafx.beans.property.ObjectProperty;
import javafx.beans.property.SimpleObjectProperty;
import javafx.beans.value.ObservableValue;
import javafx.scene.control.Labeled;
import javafx.scene.control.TextField;
import org.wiseember.core.quantity.ReaderUnits;

/**
 * Words on the screen are told in the reader's units. It is one choice for the whole window, as a
 * language would be: what is written into a label is told again when another is made.
 */
public final class InUnits {
  private static final ObjectProperty<ReaderUnits> UNITS =
      new SimpleObjectProperty<>(ReaderUnits.AS_KEPT);

  private InUnits() {}

  /** From now on the words follow this choice. */
  public static void follow(ObservableValue<ReaderUnits> units) {
    UNITS.bind(units);
  }

  /** The choice as it is now. */
  public static ReaderUnits now() {
    return UNITS.get();
  }

  /** Tells of another choice. */
  static void listen(WeakInvalidationListener listener) {
    UNITS.addListener(listener);
  }

  /** Words as they are told now. */
  public static String told(String words) {
    return UNITS.get().told(words);
  }

  /** What stands in an empty field, in the reader's units as long as the field is there. */
  public static void prompt(TextField field, String words) {
    InvalidationListener tell = units -> field.setPromptText(told(words));
    field.getProperties().put(InUnits.class, tell);
    UNITS.addListener(new WeakInvalidationListener(tell));
    tell.invalidated(UNITS);
  }

  /** What is written into it, now and later, stands there in the reader's units. */
  public static <L extends Labeled> L telling(L label) {
    Telling telling = new Telling(label);
    label.textProperty().addListener((o, was, is) -> telling.written(is));
    UNITS.addListener(new WeakInvalidationListener(telling));
    telling.written(label.getText());
    return label;
  }

  /** Its label keeps it, by what listens to the text. */
  private static final class Telling implements InvalidationListener {
    private final Labeled label;
    private String words = "";
    private boolean telling;

    Telling(Labeled label) {
      this.label = label;
    }

    void written(String text) {
      if (!telling) {
        words = text;
        tell();
      }
    }

    @Override
    public void invalidated(Observable units) {
      tell();
    }

    private void tell() {
      // What is bound to others is told by what it is bound to.
      if (words == null || label.textProperty().isBound()) {
        return;
      }
      String told = told(words);
      if (!told.equals(label.getText())) {
        telling = true;
        label.setText(told);
        telling = false;
      }
    }
  }
}
