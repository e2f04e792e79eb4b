package org.wiseember.bench.run;

import java.util.ArrayList;
import java.util.List;
import java.util.Queue;
import java.util.concurrent.ConcurrentLinkedQueue;
import java.util.concurrent.CountDownLatch;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.locks.LockSupport;
import java.util.function.Consumer;
import org.wiseember.bench.instrument.Bench;
import org.wiseember.bench.instrument.Frame;
import org.wiseember.bench.procedure.Notice;
import org.wiseember.bench.procedure.Procedure;
import org.wiseember.core.trace.Channel;

/**
 * Runs one procedure on one bench in a thread of its own. Frames go to the recorder as they come
 * and to disk at least twice a second; views go out five times a second.
 */
public final class Runner {
  private static final double FRAME_SECONDS = 1;
  private static final long FLUSH_NANOS = TimeUnit.MILLISECONDS.toNanos(400);
  private static final long VIEW_NANOS = TimeUnit.MILLISECONDS.toNanos(200);
  private static final int MOST_UNFLUSHED = 4096;

  private final Bench bench;
  private final Procedure procedure;
  private final Recorder recorder;
  private final Consumer<RunView> watcher;
  private final Queue<String> marks = new ConcurrentLinkedQueue<>();
  private final CountDownLatch over = new CountDownLatch(1);
  private final Thinner power = new Thinner();
  private final Thinner celsius = new Thinner();
  private final Thinner display = new Thinner();
  private final List<Notice> notices = new ArrayList<>();
  private volatile Pace pace;
  private volatile boolean stopWanted;
  private Frame last;
  private double delivered;
  private double loadedSince = Double.NaN;
  private long frames;
  private String unsaved = "";

  /**
   * @param watcher called from the run's thread; must not block
   */
  public Runner(
      Bench bench, Procedure procedure, Recorder recorder, Pace pace, Consumer<RunView> watcher) {
    this.bench = bench;
    this.procedure = procedure;
    this.recorder = recorder;
    this.pace = pace;
    this.watcher = watcher;
  }

  /** Starts the run's thread. Call once. */
  public void start() {
    Thread thread = new Thread(this::run, "run");
    thread.setDaemon(true);
    thread.start();
  }

  /** Runs to the end in the calling thread. */
  public void runToEnd() {
    run();
  }

  public void pace(Pace wanted) {
    pace = wanted;
  }

  public Pace pace() {
    return pace;
  }

  /** Marks this moment with a few words. */
  public void mark(String words) {
    marks.add(words);
  }

  /** Ends the run early; what was read stays. */
  public void stop() {
    stopWanted = true;
  }

  public boolean isOver() {
    return over.getCount() == 0;
  }

  /** Waits for the end. */
  public boolean awaitEnd(long timeout, TimeUnit unit) throws InterruptedException {
    return over.await(timeout, unit);
  }

  private void run() {
    try {
      loop();
    } finally {
      bench.load(false);
      over.countDown();
    }
  }

  private void loop() {
    long flushed = System.nanoTime();
    long viewed = flushed;
    long due = flushed;
    int unflushed = 0;
    while (!procedure.phase().over()) {
      if (stopWanted) {
        procedure.stop();
        break;
      }
      Pace now = pace;
      if (now != Pace.FULL) {
        due += (long) (FRAME_SECONDS / now.factor() * 1e9);
        due = Math.max(due, System.nanoTime() - VIEW_NANOS);
        waitUntil(due, now);
      } else {
        due = System.nanoTime();
      }
      bench.load(procedure.loadWanted());
      take(bench.advance(FRAME_SECONDS));
      unflushed++;
      long clock = System.nanoTime();
      if (clock - flushed >= FLUSH_NANOS || unflushed >= MOST_UNFLUSHED) {
        flush();
        flushed = clock;
        unflushed = 0;
      }
      if (clock - viewed >= VIEW_NANOS) {
        watcher.accept(view());
        viewed = clock;
      }
    }
    flush();
    recorder.end(procedure.phase(), procedure.ending().orElse(""));
    watcher.accept(view());
  }

  private void waitUntil(long due, Pace at) {
    long left = due - System.nanoTime();
    while (left > 0 && !stopWanted && pace == at) {
      LockSupport.parkNanos(Math.min(left, TimeUnit.MILLISECONDS.toNanos(50)));
      left = due - System.nanoTime();
    }
  }

  private void take(Frame frame) {
    recorder.append(frame);
    frames++;
    double watts = frame.value(Channel.AC_POWER);
    if (!Double.isNaN(watts)) {
      if (last != null && !Double.isNaN(last.value(Channel.AC_POWER))) {
        double hours = (frame.seconds() - last.seconds()) / 3600;
        delivered += hours * (watts + last.value(Channel.AC_POWER)) / 2;
      }
      if (watts > 0 && Double.isNaN(loadedSince)) {
        loadedSince = frame.seconds();
      }
    }
    last = frame;
    power.add(frame.seconds(), watts);
    celsius.add(frame.seconds(), frame.value(Channel.CASE_TEMPERATURE));
    display.add(frame.seconds(), frame.value(Channel.DISPLAY_CHARGE));
    for (Notice notice : procedure.take(frame)) {
      keep(notice);
    }
    for (String words = marks.poll(); words != null; words = marks.poll()) {
      keep(new Notice(frame.seconds(), "mark", words));
    }
  }

  private void keep(Notice notice) {
    notices.add(notice);
    recorder.note(notice);
  }

  private void flush() {
    String problem = recorder.flush();
    unsaved = problem == null ? "" : problem;
  }

  private RunView view() {
    return new RunView(
        procedure.phase(),
        last,
        delivered,
        Double.isNaN(loadedSince) ? 0 : last.seconds() - loadedSince,
        frames,
        power.view(),
        celsius.view(),
        display.view(),
        List.copyOf(notices),
        unsaved);
  }
}
