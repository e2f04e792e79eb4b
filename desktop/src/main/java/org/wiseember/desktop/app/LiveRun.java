package org.wiseember.desktop.app;

import java.util.concurrent.atomic.AtomicReference;
import javafx.application.Platform;
import javafx.beans.property.ReadOnlyObjectProperty;
import javafx.beans.property.ReadOnlyObjectWrapper;
import org.wiseember.bench.run.RunView;
import org.wiseember.trial.DrainPlan;
import org.wiseember.trial.RecordedDrain;

/** A run while it goes, as the window sees it: the newest view, at most one waiting at a time. */
public final class LiveRun {
  private final long unitId;
  private final DrainPlan plan;
  private final double ratedWattHours;
  private final ReadOnlyObjectWrapper<RunView> view = new ReadOnlyObjectWrapper<>();
  private final AtomicReference<RunView> newest = new AtomicReference<>();
  private final Runnable whenOver;
  private RecordedDrain drain;

  LiveRun(long unitId, DrainPlan plan, double ratedWattHours, Runnable whenOver) {
    this.unitId = unitId;
    this.plan = plan;
    this.ratedWattHours = ratedWattHours;
    this.whenOver = whenOver;
  }

  void attach(RecordedDrain recorded) {
    this.drain = recorded;
  }

  /** Called from the run's thread. */
  void take(RunView next) {
    if (newest.getAndSet(next) == null) {
      Platform.runLater(this::show);
    }
  }

  private void show() {
    RunView next = newest.getAndSet(null);
    view.set(next);
    if (next.phase().over()) {
      whenOver.run();
    }
  }

  public long unitId() {
    return unitId;
  }

  public DrainPlan plan() {
    return plan;
  }

  /** The label's capacity, Wh; NaN where it has none. */
  public double ratedWattHours() {
    return ratedWattHours;
  }

  public RecordedDrain drain() {
    return drain;
  }

  /** The newest view; null before the first. */
  public ReadOnlyObjectProperty<RunView> view() {
    return view.getReadOnlyProperty();
  }

  public boolean going() {
    return view.get() == null || !view.get().phase().over();
  }
}
