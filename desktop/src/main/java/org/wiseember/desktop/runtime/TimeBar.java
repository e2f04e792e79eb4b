package org.wiseember.desktop.runtime;

import java.util.function.Consumer;
import javafx.geometry.Pos;
import javafx.scene.AccessibleRole;
import javafx.scene.Cursor;
import javafx.scene.control.Label;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;
import javafx.scene.input.MouseEvent;
import javafx.scene.layout.StackPane;
import org.wiseember.core.quantity.HourSpan;
import org.wiseember.desktop.look.Words;
import org.wiseember.report.drawing.DayDrawing;

/**
 * A time an appliance is on: dragged by its middle it moves, by an end it grows; the arrows do the
 * same, and Delete takes it away.
 */
final class TimeBar extends StackPane {
  /** Mouse and keys go by five minutes, and by a quarter of an hour. */
  private static final double SNAP = 5.0 / 60;

  private static final double STEP = 0.25;

  /** So near an end the mouse takes that end, px. */
  private static final double END = 7;

  private static final double LEAST = 7;
  private static final double HIGH = 22;

  private enum Grip {
    START,
    MIDDLE,
    END
  }

  private final DayDrawing hours;
  private final boolean stretches;
  private final Consumer<HourSpan> changed;
  private final Label words;
  private final String name;
  private HourSpan now;
  private double room = 1;
  private double left;
  private Grip grip = Grip.MIDDLE;
  private double pressedAt;
  private HourSpan before;

  /**
   * Makes one.
   *
   * @param name of the appliance
   * @param says written in it where there is room
   * @param stretches whether its length may change
   * @param changed takes its new time; null to take it away
   */
  TimeBar(
      String id,
      String name,
      String says,
      HourSpan now,
      DayDrawing hours,
      boolean stretches,
      Consumer<HourSpan> changed) {
    this.hours = hours;
    this.now = now;
    this.name = name;
    this.stretches = stretches;
    this.changed = changed;
    setId(id);
    getStyleClass().add("time-bar");
    words = Words.line("time-words", says);
    words.setMouseTransparent(true);
    setAlignment(Pos.CENTER_LEFT);
    getChildren().add(words);
    setFocusTraversable(true);
    setAccessibleRole(AccessibleRole.SLIDER);
    tell();
    setOnMousePressed(this::pressed);
    setOnMouseDragged(this::dragged);
    setOnMouseReleased(this::released);
    setOnMouseMoved(e -> setCursor(at(e) == Grip.MIDDLE ? Cursor.OPEN_HAND : Cursor.H_RESIZE));
    setOnKeyPressed(this::key);
  }

  private void tell() {
    setAccessibleText(name + ", " + hours.time(now.from()) + " to " + hours.time(end()));
  }

  private double end() {
    return Math.min(hours.hours(), now.to());
  }

  void place(double x, double width, double high) {
    left = x;
    room = width;
    double from = Math.min(now.from(), hours.hours());
    double start = left + room * from / hours.hours();
    double wide = Math.max(LEAST, room * (end() - from) / hours.hours());
    setVisible(now.from() < hours.hours());
    words.setVisible(wide > words.prefWidth(-1) + 4);
    resizeRelocate(start, (high - HIGH) / 2, wide, HIGH);
  }

  private Grip at(MouseEvent e) {
    if (!stretches || getWidth() < 3 * END) {
      return e.getX() > getWidth() - END && stretches ? Grip.END : Grip.MIDDLE;
    }
    return e.getX() < END ? Grip.START : e.getX() > getWidth() - END ? Grip.END : Grip.MIDDLE;
  }

  private double hour(MouseEvent e) {
    return (getParent().sceneToLocal(e.getSceneX(), e.getSceneY()).getX() - left)
        / room
        * hours.hours();
  }

  private void pressed(MouseEvent e) {
    requestFocus();
    grip = at(e);
    pressedAt = hour(e);
    before = now;
    e.consume();
  }

  private void dragged(MouseEvent e) {
    if (before != null) {
      now = moved(before, grip, SNAP * Math.rint((hour(e) - pressedAt) / SNAP));
      tell();
      getParent().requestLayout();
      e.consume();
    }
  }

  /** Where a busy machine left out the last steps of a drag, it ends where the button came up. */
  private void released(MouseEvent e) {
    dragged(e);
    HourSpan was = before;
    before = null;
    if (was != null && !was.equals(now)) {
      changed.accept(now);
    }
  }

  /** Within the day, and never shorter than a snap. */
  private HourSpan moved(HourSpan from, Grip part, double by) {
    double to = Math.min(from.to(), hours.hours());
    return switch (part) {
      case MIDDLE -> {
        double shift = Math.max(-from.from(), Math.min(hours.hours() - SNAP - from.from(), by));
        double begin = minute(from.from() + shift);
        yield new HourSpan(begin, begin + (to - from.from()));
      }
      case START -> new HourSpan(minute(Math.max(0, Math.min(to - SNAP, from.from() + by))), to);
      case END ->
          new HourSpan(
              from.from(), minute(Math.max(from.from() + SNAP, Math.min(hours.hours(), to + by))));
    };
  }

  private static double minute(double hour) {
    return Math.rint(hour * 60) / 60;
  }

  private void key(KeyEvent e) {
    KeyCode code = e.getCode();
    if (code == KeyCode.DELETE || code == KeyCode.BACK_SPACE) {
      changed.accept(null);
      e.consume();
    } else if (code == KeyCode.LEFT || code == KeyCode.RIGHT) {
      Grip part = e.isShiftDown() && stretches ? Grip.END : Grip.MIDDLE;
      HourSpan next = moved(now, part, code == KeyCode.LEFT ? -STEP : STEP);
      if (!next.equals(now)) {
        now = next;
        changed.accept(next);
      }
      e.consume();
    }
  }
}
