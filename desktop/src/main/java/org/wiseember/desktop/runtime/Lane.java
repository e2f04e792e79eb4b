package org.wiseember.desktop.runtime;

import java.awt.geom.Rectangle2D;
import java.util.ArrayList;
import java.util.List;
import javafx.scene.control.Label;
import javafx.scene.layout.Pane;
import javafx.scene.layout.Region;
import org.wiseember.core.quantity.HourSpan;
import org.wiseember.core.runtime.Appliance;
import org.wiseember.desktop.look.Words;
import org.wiseember.report.drawing.DayDrawing;
import org.wiseember.trial.runtime.DayPage;

/** One row of the day along the hours of the chart beneath: its times as bars, or the hours. */
final class Lane extends Pane {
  /** Takes an appliance with other times. */
  interface Moved {
    void to(int place, Appliance next);
  }

  private static final double USUAL_LEFT = 60;

  private final DayDrawing hours;
  private final List<Region> lines = new ArrayList<>();
  private final List<Label> times = new ArrayList<>();
  private final List<TimeBar> bars = new ArrayList<>();
  private double left = USUAL_LEFT;
  private double wide;

  /**
   * Makes an empty one.
   *
   * @param hours of the day, with how they are told
   * @param named whether the hours are written
   */
  Lane(DayDrawing hours, boolean named) {
    this.hours = hours;
    getStyleClass().add(named ? "lane-head" : "lane");
    for (double hour = firstTick(); hour <= hours.hours() + 1e-9; hour += hours.step()) {
      Region line = new Region();
      line.getStyleClass().add("lane-line");
      line.setUserData(hour);
      if (!named) {
        lines.add(line);
      } else {
        Label time = Words.line("seam-label", hours.time(hour));
        time.setUserData(hour);
        times.add(time);
      }
    }
    getChildren().addAll(lines);
    getChildren().addAll(times);
  }

  private double firstTick() {
    int minute = hours.start().getMinute();
    return minute == 0 ? 0 : (60 - minute) / 60.0;
  }

  /** Shows when an appliance is on. */
  void show(int place, Appliance appliance, Moved moved) {
    boolean moments = appliance.draw().use().atMoments();
    String words = DayPage.draws(appliance.draw());
    int count = moments ? appliance.at().size() : appliance.on().size();
    for (int i = 0; i < count; i++) {
      int which = i;
      HourSpan now = moments ? go(appliance, appliance.at().get(i)) : appliance.on().get(i);
      TimeBar bar =
          new TimeBar(
              "bar-" + place + "-" + i,
              appliance.name(),
              words,
              now,
              hours,
              !moments,
              next -> moved.to(place, changed(appliance, which, next)));
      bars.add(bar);
      getChildren().add(bar);
    }
  }

  private static HourSpan go(Appliance appliance, double at) {
    List<HourSpan> due = appliance.at(List.of(), List.of(at)).due();
    return due.isEmpty() ? new HourSpan(at, at) : due.get(0);
  }

  /** With one of its times changed; an empty stretch takes it away. */
  private static Appliance changed(Appliance appliance, int which, HourSpan next) {
    boolean away = next == null;
    if (appliance.draw().use().atMoments()) {
      List<Double> at = new ArrayList<>(appliance.at());
      if (away) {
        at.remove(which);
      } else {
        at.set(which, next.from());
      }
      return appliance.at(appliance.on(), at);
    }
    List<HourSpan> on = new ArrayList<>(appliance.on());
    if (away) {
      on.remove(which);
    } else {
      on.set(which, next);
    }
    return appliance.at(on, appliance.at());
  }

  /** Where the chart beneath has its hours. */
  void along(Rectangle2D area) {
    if (area.getWidth() > 0) {
      left = area.getX();
      wide = area.getWidth();
      requestLayout();
    }
  }

  @Override
  protected double computePrefHeight(double width) {
    return times.isEmpty() ? 34 : times.get(0).prefHeight(-1);
  }

  @Override
  protected void layoutChildren() {
    double room = wide > 0 ? wide : Math.max(1, getWidth() - left - 20);
    double high = getHeight();
    for (Region line : lines) {
      double x = left + room * (double) line.getUserData() / hours.hours();
      line.resizeRelocate(Math.floor(x), 0, 1, high);
    }
    double free = Double.NEGATIVE_INFINITY;
    for (Label time : times) {
      double width = time.prefWidth(-1);
      double x = left + room * (double) time.getUserData() / hours.hours() - width / 2;
      boolean fits = x > free && x + width < getWidth() + 2;
      time.setVisible(fits);
      if (fits) {
        time.resizeRelocate(x, 0, width, time.prefHeight(-1));
        free = x + width + 8;
      }
    }
    for (TimeBar bar : bars) {
      bar.place(left, room, high);
    }
  }
}
