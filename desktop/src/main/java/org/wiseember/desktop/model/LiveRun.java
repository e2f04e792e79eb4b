package org.wiseember.desktop.model;

import java.time.Instant;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.concurrent.atomic.AtomicReference;
import java.util.function.Consumer;
import java.util.stream.Stream;
import javafx.beans.property.ReadOnlyObjectProperty;
import javafx.beans.property.ReadOnlyObjectWrapper;
import org.wiseember.bench.procedure.Procedure;
import org.wiseember.bench.run.RunView;
import org.wiseember.core.capacity.ExpectedEnd;
import org.wiseember.core.hand.TimedOperatorEvent;
import org.wiseember.core.trace.Channel;
import org.wiseember.core.typed.Expected;
import org.wiseember.trial.kind.TestPlan;
import org.wiseember.trial.kind.Trait;
import org.wiseember.trial.live.HandRecord;
import org.wiseember.trial.live.Known;
import org.wiseember.trial.live.LiveMoment;
import org.wiseember.trial.record.RecordedRun;
import org.wiseember.workbook.Notebook;
import org.wiseember.workbook.RunSettings;
import org.wiseember.workbook.StoredReading;

/** A run while it goes, as the window sees it: the newest view, at most one waiting at a time. */
public final class LiveRun {
  /** After this long the mean is better than a moment's reading, h. */
  private static final double SETTLED_HOURS = 0.05;

  private final Screen screen;
  private final long unitId;
  private final TestPlan plan;
  private final double ratedWattHours;
  private final double ratedWatts;
  private final List<Double> earlier;
  private final ReadOnlyObjectWrapper<RunView> view = new ReadOnlyObjectWrapper<>();
  private final AtomicReference<RunView> newest = new AtomicReference<>();
  private final List<StoredReading> typed = new ArrayList<>();
  private final ReadOnlyObjectWrapper<List<Notebook.Written>> notebook =
      new ReadOnlyObjectWrapper<>(List.of());
  private final Consumer<RunView> whenOver;
  private final List<TimedOperatorEvent> unkept = new ArrayList<>();
  private RecordedRun run;
  private Instant startedAt;

  LiveRun(
      Screen screen,
      long unitId,
      TestPlan plan,
      double ratedWattHours,
      double ratedWatts,
      List<Double> earlier,
      Consumer<RunView> whenOver) {
    this.screen = screen;
    this.unitId = unitId;
    this.plan = plan;
    this.ratedWattHours = ratedWattHours;
    this.ratedWatts = ratedWatts;
    this.earlier = List.copyOf(earlier);
    this.whenOver = whenOver;
  }

  void attach(RecordedRun recorded, Instant started, NotebookWork.All before) {
    this.run = recorded;
    this.startedAt = started;
    show(before);
  }

  /** Takes what stands in its notebook. */
  void show(NotebookWork.All all) {
    typed.clear();
    typed.addAll(all.typed());
    notebook.set(all.written());
    notebook.get().forEach(w -> w.line().pressed().ifPresent(unkept::remove));
  }

  /** When it began, by the wall clock. */
  public Instant startedAt() {
    return startedAt;
  }

  /** The lines of its notebook that count, in order of time. */
  public ReadOnlyObjectProperty<List<Notebook.Written>> notebook() {
    return notebook.getReadOnlyProperty();
  }

  /** What was pressed, in order of time, with what is still on its way into the notebook. */
  public List<TimedOperatorEvent> pressed() {
    return Stream.concat(
            notebook.get().stream().flatMap(w -> w.line().pressed().stream()), unkept.stream())
        .sorted(Comparator.comparingDouble(TimedOperatorEvent::seconds))
        .toList();
  }

  /** Hands the test a press that its notebook does not have yet. */
  void press(TimedOperatorEvent pressed) {
    unkept.add(pressed);
    run.runner().press(pressed);
  }

  /** What is known so far in a test by hand. */
  public List<Known> known() {
    double now = run.runner().clock();
    return plan.settings().known(new HandRecord(pressed(), typed(), now));
  }

  /** Called from the run's thread. */
  void take(RunView next) {
    if (newest.getAndSet(next) == null) {
      screen.later(this::show);
    }
  }

  private void show() {
    RunView next = newest.getAndSet(null);
    view.set(next);
    if (next.phase().over()) {
      whenOver.accept(next);
    }
  }

  public long unitId() {
    return unitId;
  }

  public TestPlan plan() {
    return plan;
  }

  /** The label's capacity, Wh; NaN where it has none. */
  public double ratedWattHours() {
    return ratedWattHours;
  }

  public RecordedRun run() {
    return run;
  }

  /** The newest view; null before the first. */
  public ReadOnlyObjectProperty<RunView> view() {
    return view.getReadOnlyProperty();
  }

  public boolean going() {
    return view.get() == null || !view.get().phase().over();
  }

  void typed(StoredReading reading) {
    typed.add(reading);
  }

  void takenBack(long id) {
    typed.removeIf(r -> r.id() == id);
  }

  /** Readings typed so far, oldest first. */
  public List<StoredReading> typed() {
    return List.copyOf(typed);
  }

  private double lastTyped(Channel channel) {
    double last = Double.NaN;
    for (StoredReading reading : typed) {
      last = reading.channel() == channel ? reading.value() : last;
    }
    return last;
  }

  /** Energy so far: the trace's, or the newest typed total where nothing else reads. */
  public double delivered() {
    RunView now = view.get();
    double counted = now == null ? 0 : now.deliveredWattHours();
    double total = lastTyped(Channel.AC_ENERGY);
    return counted > 0 || Double.isNaN(total) ? counted : total;
  }

  /** Charge on the display: what the bench reads, else what was typed last; NaN for neither. */
  public double displayCharge() {
    RunView now = view.get();
    double read =
        now == null || now.latest() == null
            ? Double.NaN
            : now.latest().value(Channel.DISPLAY_CHARGE);
    return Double.isNaN(read) ? lastTyped(Channel.DISPLAY_CHARGE) : read;
  }

  /** Mean watts under load, pauses in it; else those typed; else those of the plan. */
  public double watts() {
    RunView now = view.get();
    double hours = now == null ? 0 : now.loadedSeconds() / 3600;
    if (hours > SETTLED_HOURS && now.deliveredWattHours() > 0) {
      return now.deliveredWattHours() / hours;
    }
    double read = now == null ? Double.NaN : now.watts();
    double typedWatts = lastTyped(Channel.AC_POWER);
    return read > 1 ? read : typedWatts > 1 ? typedWatts : plan.watts();
  }

  /** When it is expected to end. */
  public ExpectedEnd expectedEnd() {
    return ExpectedEnd.of(ratedWattHours, earlier, delivered(), displayCharge(), watts());
  }

  /** The test at the moment of a view. */
  public LiveMoment at(RunView now) {
    LiveRun run = this;
    return new LiveMoment() {
      @Override
      public Procedure procedure() {
        return run.run.procedure();
      }

      @Override
      public RunView view() {
        return now;
      }

      @Override
      public double delivered() {
        return run.delivered();
      }

      @Override
      public double displayCharge() {
        return run.displayCharge();
      }

      @Override
      public double ratedWattHours() {
        return ratedWattHours;
      }

      @Override
      public ExpectedEnd expectedEnd() {
        return run.expectedEnd();
      }
    };
  }

  /** What a typed reading is held against. */
  public Expected expected() {
    RunView now = view.get();
    double counted =
        now == null || now.deliveredWattHours() == 0 ? Double.NaN : now.deliveredWattHours();
    double elapsed = now == null || now.latest() == null ? Double.NaN : elapsed(now);
    boolean byHand = run != null && run.source() == RunSettings.Source.BY_HAND;
    Expected known =
        (byHand ? Expected.nothing().unmetered() : Expected.nothing())
            .elapsed(elapsed)
            .counted(counted)
            .rated(ratedWattHours)
            .watts(now == null || now.latest() == null ? plan.watts() : watts())
            .after(
                lastTyped(Channel.AC_ENERGY),
                Double.NaN,
                // A display that rises is a slip in a drain, and the point of a charge.
                plan.type().is(Trait.DISPLAY_RISES)
                    ? Double.NaN
                    : lastTyped(Channel.DISPLAY_CHARGE));
    return before().map(known::since).orElse(known);
  }

  /** The newest total, and the most watts that were read or that the label has. */
  private Optional<Expected.TotalBefore> before() {
    double read =
        typed.stream()
            .filter(r -> r.channel() == Channel.AC_POWER)
            .mapToDouble(StoredReading::value)
            .max()
            .orElse(0);
    return typed.stream()
        .filter(r -> r.channel() == Channel.AC_ENERGY)
        .reduce((a, b) -> b)
        .map(
            r ->
                new Expected.TotalBefore(
                    r.value(),
                    run.runner().clock() - r.seconds(),
                    read > 0 ? read : plan.type().is(Trait.DRAINS) ? ratedWatts : Double.NaN));
  }

  /**
   * Since the load went on; where nobody sees that, since the run began. By the clock, and not by
   * the view alone, which may be a moment old while somebody is already typing.
   */
  private double elapsed(RunView now) {
    double sinceView = Math.max(0, run.runner().clock() - now.latest().seconds());
    return sinceView + (now.loadedSeconds() > 0 ? now.loadedSeconds() : now.latest().seconds());
  }
}
