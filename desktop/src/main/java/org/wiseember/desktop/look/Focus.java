package org.wiseember.desktop.look;

import java.util.EnumSet;
import java.util.List;
import java.util.Set;
import javafx.application.Platform;
import javafx.beans.value.ChangeListener;
import javafx.event.EventHandler;
import javafx.event.EventType;
import javafx.scene.Node;
import javafx.scene.Parent;
import javafx.scene.Scene;
import javafx.scene.control.TextInputControl;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;
import javafx.scene.input.MouseEvent;

/**
 * Gives the keyboard to a node, also to one that a scroll pane has not put on the scene yet.
 *
 * <p>Whoever types on does not see that the focus moved. So what has the focus without being asked
 * for by Tab, arrows or mouse, because it was given it or because what had it before went away, is
 * pressed by Enter and not by a blank; and a key that is held down from before presses nothing.
 */
public final class Focus {
  /** On the node itself, so that a stage where a blank means something else hears it first. */
  private static final EventHandler<KeyEvent> NO_BLANK =
      e -> {
        if (e.getCode() == KeyCode.SPACE) {
          e.consume();
        }
      };

  private Focus() {}

  /** Keeps blanks and held keys from pressing what has just come into focus, in all of a window. */
  public static void guard(Parent window) {
    Set<KeyCode> down = EnumSet.noneOf(KeyCode.class);
    boolean[] asking = {false};
    window
        .sceneProperty()
        .addListener(
            (o, was, is) -> {
              if (is != null) {
                is.focusOwnerProperty()
                    .addListener(
                        (x, left, came) -> {
                          boolean wentAway = left != null && left.getScene() != is;
                          mark(left, false);
                          mark(came, wentAway || !asking[0]);
                        });
              }
            });
    for (EventType<MouseEvent> click :
        List.of(MouseEvent.MOUSE_PRESSED, MouseEvent.MOUSE_RELEASED, MouseEvent.MOUSE_CLICKED)) {
      window.addEventFilter(click, e -> during(asking));
    }
    window.addEventFilter(
        KeyEvent.KEY_PRESSED,
        e -> {
          if (e.getCode() == KeyCode.TAB || e.getCode().isNavigationKey()) {
            during(asking);
          }
          boolean held = !down.add(e.getCode());
          boolean presses = e.getCode() == KeyCode.ENTER || e.getCode() == KeyCode.SPACE;
          boolean text = e.getTarget() instanceof TextInputControl;
          if (presses && !text && held) {
            e.consume();
          }
        });
    window.addEventFilter(KeyEvent.KEY_RELEASED, e -> down.remove(e.getCode()));
  }

  /** Until what is going on now is done. */
  private static void during(boolean[] asking) {
    asking[0] = true;
    Platform.runLater(() -> asking[0] = false);
  }

  private static void mark(Node node, boolean given) {
    if (node != null) {
      node.removeEventFilter(KeyEvent.KEY_PRESSED, NO_BLANK);
    }
    if (given && node != null && !(node instanceof TextInputControl)) {
      node.addEventFilter(KeyEvent.KEY_PRESSED, NO_BLANK);
    }
  }

  /** Gives the keyboard back to what had it, after it was laid out anew: a blank presses it. */
  public static void keep(Node node) {
    node.requestFocus();
    mark(node, false);
  }

  /**
   * Whoever is in this box keeps the keyboard until it is closed: what is to be given meanwhile is
   * given then, the last of it.
   */
  public static void hold(Node box) {
    box.getProperties().put(Focus.class, (Runnable) () -> {});
    box.visibleProperty()
        .addListener(
            (o, was, open) -> {
              Object waiting = box.getProperties().put(Focus.class, (Runnable) () -> {});
              if (!open && waiting instanceof Runnable given) {
                given.run();
              }
            });
  }

  /** The box whoever has the keyboard is in; null for none. */
  private static Node held(Scene scene) {
    for (Node up = scene == null ? null : scene.getFocusOwner(); up != null; up = up.getParent()) {
      if (up.getProperties().containsKey(Focus.class)) {
        return up.isVisible() ? up : null;
      }
    }
    return null;
  }

  /**
   * Focuses a node now, or as soon as it is on a scene and nobody is in what holds the keyboard.
   *
   * @param then what follows, such as selecting its text
   */
  public static void give(Node node, Runnable then) {
    if (node.getScene() != null) {
      Platform.runLater(
          () -> {
            Node box = held(node.getScene());
            if (box == null) {
              node.requestFocus();
              then.run();
            } else {
              box.getProperties().put(Focus.class, (Runnable) () -> give(node, then));
            }
          });
      return;
    }
    ChangeListener<Scene> once =
        new ChangeListener<>() {
          @Override
          public void changed(
              javafx.beans.value.ObservableValue<? extends Scene> o, Scene was, Scene is) {
            if (is != null) {
              node.sceneProperty().removeListener(this);
              give(node, then);
            }
          }
        };
    node.sceneProperty().addListener(once);
  }
}
