package org.wiseember.desktop.plan;

import java.awt.geom.Rectangle2D;
import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import java.util.function.BiConsumer;
import java.util.function.Consumer;
import javafx.scene.Cursor;
import javafx.scene.input.MouseEvent;
import javafx.scene.layout.StackPane;
import javafx.scene.shape.Rectangle;
import org.wiseember.desktop.look.ChartPane;
import org.wiseember.desktop.model.Session;
import org.wiseember.trial.plan.Schedule;
import org.wiseember.trial.plan.ScheduleDrawings;
import org.wiseember.trial.plan.ScheduleStep;

/** The tide: a press on a bar chooses it, a drag along its lane pins it where it is let go. */
final class SchedulePane extends StackPane {
  /** Less is a press and no drag, px. */
  private static final double LITTLE = 4;

  /** Pins stand on whole steps of it. */
  private static final long PIN_MINUTES = 5;

  private final Session session;
  private final ChartPane chart =
      new ChartPane("Charge of each unit over time, and what is busy when");
  private final Rectangle ghost = new Rectangle();
  private final Consumer<ScheduleStep> choose;
  private final BiConsumer<ScheduleStep, Instant> pin;
  private Schedule schedule;
  private ScheduleStep held;
  private double heldAt;

  /**
   * Makes an empty one.
   *
   * @param choose takes the bar that was pressed
   * @param pin takes a test that was dragged, and where to
   */
  SchedulePane(
      Session session, Consumer<ScheduleStep> choose, BiConsumer<ScheduleStep, Instant> pin) {
    this.session = session;
    this.choose = choose;
    this.pin = pin;
    chart.setId("tide-chart");
    ghost.setManaged(false);
    ghost.setVisible(false);
    ghost.setMouseTransparent(true);
    ghost.getStyleClass().add("tide-ghost");

    getChildren().addAll(chart, ghost);
    chart.setOnMouseMoved(e -> chart.setCursor(at(e).isPresent() ? Cursor.HAND : Cursor.DEFAULT));
    chart.setOnMousePressed(this::pressed);
    chart.setOnMouseDragged(this::dragged);
    chart.setOnMouseReleased(this::released);
  }

  void show(Schedule next, Optional<ScheduleStep> chosen) {
    schedule = next;
    double scale = session.look().textScale().get();
    double high = (190 + 26 * (next.packs().size() + 4)) * scale;
    chart.setMinHeight(high);
    chart.setPrefHeight(high);
    chart.show(
        () -> session.look().drawn(ScheduleDrawings.of(next, session.planWork().times(), chosen)));
  }

  private Optional<Rectangle2D> lanes() {
    List<Rectangle2D> parts = chart.parts();
    return parts.size() < 2 ? Optional.empty() : Optional.of(parts.get(1));
  }

  private Instant instant(double x, Rectangle2D area) {
    double hour = (x - area.getX()) / area.getWidth() * ScheduleDrawings.hours(schedule);
    return ScheduleDrawings.begins(schedule).plusMillis((long) (hour * 3_600_000));
  }

  private double x(Instant at, Rectangle2D area) {
    double hour = Duration.between(ScheduleDrawings.begins(schedule), at).toSeconds() / 3600.0;
    return area.getX() + hour / ScheduleDrawings.hours(schedule) * area.getWidth();
  }

  /** The bar under the mouse. */
  private Optional<ScheduleStep> at(MouseEvent e) {
    if (schedule == null || lanes().isEmpty()) {
      return Optional.empty();
    }
    Rectangle2D area = lanes().get();
    List<Long> units = List.copyOf(schedule.packs().keySet());
    int many = units.size() + 4;
    int lane = (int) Math.floor((e.getY() - area.getY()) / area.getHeight() * many);
    if (lane < 0 || lane >= units.size()) {
      return Optional.empty();
    }
    List<ScheduleStep> own =
        schedule.steps().stream().filter(s -> s.unit() == units.get(lane)).toList();
    // Of two that touch it is the one under the mouse; beside a narrow one a little counts too.
    return own.stream()
        .filter(s -> e.getX() >= x(s.from(), area) && e.getX() < x(s.to(), area))
        .findFirst()
        .or(
            () ->
                own.stream()
                    .filter(
                        s -> e.getX() >= x(s.from(), area) - 2 && e.getX() <= x(s.to(), area) + 2)
                    .findFirst());
  }

  private void pressed(MouseEvent e) {
    held = at(e).orElse(null);
    heldAt = e.getX();
    if (held != null) {
      choose.accept(held);
    }
  }

  private boolean movable() {
    return held != null && held.kind() == ScheduleStep.Kind.TEST && lanes().isPresent();
  }

  private void dragged(MouseEvent e) {
    if (!movable() || Math.abs(e.getX() - heldAt) < LITTLE) {
      return;
    }
    Rectangle2D area = lanes().get();
    List<Long> units = List.copyOf(schedule.packs().keySet());
    double high = area.getHeight() / (units.size() + 4);
    ghost.setX(chart.getLayoutX() + x(held.from(), area) + e.getX() - heldAt);
    ghost.setY(chart.getLayoutY() + area.getY() + high * units.indexOf(held.unit()) + 2);
    ghost.setWidth(Math.max(6, x(held.to(), area) - x(held.from(), area)));
    ghost.setHeight(high - 4);
    ghost.setVisible(true);
  }

  private void released(MouseEvent e) {
    ghost.setVisible(false);
    if (!movable() || Math.abs(e.getX() - heldAt) < LITTLE) {
      return;
    }
    Rectangle2D area = lanes().get();
    Instant to = instant(x(held.from(), area) + e.getX() - heldAt, area);
    long minutes = Math.round(to.getEpochSecond() / 60.0 / PIN_MINUTES) * PIN_MINUTES;
    pin.accept(held, Instant.ofEpochSecond(60 * minutes));
  }
}
