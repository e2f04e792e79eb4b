package org.wiseember.bench.run;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Queue;
import java.util.Set;
import java.util.concurrent.ConcurrentLinkedQueue;
import java.util.concurrent.CountDownLatch;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.atomic.AtomicReference;
import java.util.concurrent.locks.LockSupport;
import java.util.function.Consumer;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.wiseember.bench.instrument.Bench;
import org.wiseember.bench.instrument.Health;
import org.wiseember.bench.instrument.InstrumentDescription;
import org.wiseember.bench.instrument.SetPoints;
import org.wiseember.bench.instrument.StillOn;
import org.wiseember.bench.procedure.ByHand;
import org.wiseember.bench.procedure.Procedure;
import org.wiseember.core.hand.TimedOperatorEvent;
import org.wiseember.core.notice.Notice;
import org.wiseember.core.notice.Watcher;
import org.wiseember.core.quantity.Figures;
import org.wiseember.core.trace.Channel;
import org.wiseember.core.trace.Frame;
import org.wiseember.core.trace.Series;

/**
 * Runs one procedure on one bench in a thread of its own. Frames go to the recorder as they come
 * and to disk at least twice a second; views go out five times a second.
 */
public final class Runner {
  private static final Logger LOG = LoggerFactory.getLogger(Runner.class);
  private static final double FRAME_SECONDS = 1;
  private static final long FLUSH_NANOS = TimeUnit.MILLISECONDS.toNanos(400);
  private static final long VIEW_NANOS = TimeUnit.MILLISECONDS.toNanos(200);
  private static final int MOST_UNFLUSHED = 4096;

  /** The end of a run waits for loads to be off, and then for the disk. */
  public static final int LONGEST_END_SECONDS = 10;

  private final Bench bench;
  private final Procedure procedure;
  private final Recorder recorder;
  private final Consumer<RunView> watcher;
  private final List<Watcher> watchers;
  private final Queue<Remark> remarks = new ConcurrentLinkedQueue<>();
  private final Queue<TimedOperatorEvent> presses = new ConcurrentLinkedQueue<>();
  private final CountDownLatch over = new CountDownLatch(1);
  private final Newest newest = new Newest();
  private final Thinner power = new Thinner();
  private final Thinner celsius = new Thinner();
  private final Thinner display = new Thinner();
  private final List<Notice> notices = new ArrayList<>();
  private volatile Pace pace;
  private final AtomicReference<List<TimedOperatorEvent>> replay = new AtomicReference<>();
  private volatile String stopWanted;
  private volatile String finishWanted;
  private volatile boolean confirmed;
  private String shown = "";
  private List<Health> health;
  private volatile Frame last;
  private double delivered;
  private double loadedSince = Double.NaN;
  private long frames;
  private String unsaved = "";
  private boolean resumed;
  private List<StillOn> stillOn = List.of();
  private final Set<InstrumentDescription> onNow = new LinkedHashSet<>();

  private record Remark(String code, String words) {}

  /**
   * Sets a run up; nothing moves yet.
   *
   * @param watchers that look at every frame beside the procedure
   * @param watcher called from the run's thread; must not block
   */
  public Runner(
      Bench bench,
      Procedure procedure,
      List<Watcher> watchers,
      Recorder recorder,
      Pace pace,
      Consumer<RunView> watcher) {
    this.watchers = List.copyOf(watchers);
    this.health = bench.health();
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

  /**
   * Takes up a run that was cut short: everything it had read goes through the procedure and the
   * watchers again, so that they stand where they stood. A simulated bench is wound forward beside
   * it. Call before {@link #start()}.
   *
   * @param frames read before, oldest first
   * @param said what a person said by key, oldest first
   * @param noticed what was noticed then
   * @return whether a simulated bench came to the very readings that were kept
   */
  public boolean catchUp(
      Iterable<Frame> frames, List<TimedOperatorEvent> said, List<Notice> noticed) {
    boolean same = true;
    for (Frame frame : frames) {
      if (bench.simulated()) {
        arrange();
        same &= Arrays.equals(bench.advance(FRAME_SECONDS).values(), frame.values());
        bench.captured().ifPresent(procedure::captured);
      }
      procedure.take(frame);
      watchers.forEach(w -> w.take(frame));
      keepSums(frame);
    }
    said.forEach(procedure::press);
    notices.addAll(noticed);
    shown = bench.unitShows();
    resumed = true;
    return same;
  }

  /** Marks this moment with a few words. */
  public void mark(String words) {
    remark("mark", words);
  }

  /**
   * Keeps something a person said about this moment.
   *
   * @param code {@code mark}, {@code note}, {@code error-code}, {@code photo}, {@code typed}
   */
  public void remark(String code, String words) {
    remarks.add(new Remark(code, words));
  }

  /** Ends the run early; what was read stays. */
  public void stop() {
    stop("Stopped by hand.");
  }

  private void stop(String why) {
    stopWanted = why;
  }

  /**
   * Ends the run because a person saw its end.
   *
   * @param why one sentence
   */
  public void finish(String why) {
    finishWanted = why;
  }

  /** What the bench clock shows now, s. */
  public double clock() {
    Frame newest = last;
    return bench.clock().orElse(newest == null ? 0 : newest.seconds());
  }

  /** Hands the procedure what a person said by key. It is kept by whoever calls. */
  public void press(TimedOperatorEvent pressed) {
    presses.add(pressed);
    bench.hurry();
  }

  /** Goes through everything once more that was pressed, after some of it was corrected. */
  public void replay(List<TimedOperatorEvent> all) {
    replay.set(List.copyOf(all));
    bench.hurry();
  }

  /** Says that what the procedure asked a person for is done. */
  public void confirm() {
    confirmed = true;
  }

  /** Waits for the end. */
  public boolean awaitEnd(long timeout, TimeUnit unit) throws InterruptedException {
    return over.await(timeout, unit);
  }

  private void run() {
    Thread guard = bench.simulated() ? null : guard();
    try {
      loop();
    } catch (RuntimeException | Error e) {
      brokeOff(e);
    }
    try {
      end();
    } finally {
      over.countDown();
      unguard(guard);
    }
  }

  /** The program may be told to go while a load is on: then the run is ended before it goes. */
  private Thread guard() {
    Thread guard =
        new Thread(
            () -> {
              stop("The program was told to end while this ran.");
              try {
                awaitEnd(LONGEST_END_SECONDS, TimeUnit.SECONDS);
              } catch (InterruptedException e) {
                Thread.currentThread().interrupt();
              }
            },
            "end the run");
    Runtime.getRuntime().addShutdownHook(guard);
    return guard;
  }

  private static void unguard(Thread guard) {
    try {
      if (guard != null) {
        Runtime.getRuntime().removeShutdownHook(guard);
      }
    } catch (IllegalStateException alreadyGoing) {
      // The guard is what ended this run.
    }
  }

  /** An error of the program ends the run like a stop; what was read stays. */
  private void brokeOff(Throwable e) {
    LOG.error("a run broke off", e);
    String why =
        "The test was ended by an error of the program ("
            + e.getClass().getSimpleName()
            + "); what was read until here is kept.";
    procedure.stop(why);
    keep(new Notice(last == null ? 0 : last.seconds(), "broke_off", why));
  }

  /** Switches off first, then closes the run; nothing that fails on the way keeps the rest back. */
  private void end() {
    stillOn = bench.switchOff();
    for (StillOn still : stillOn) {
      keep(new Notice(last == null ? 0 : last.seconds(), "still_on", still.words()));
    }
    onNow.stream()
        .filter(d -> stillOn.stream().noneMatch(s -> s.instrument().equals(d)))
        .forEach(recorder::switchedOff);
    takeRemarks(last == null ? 0 : last.seconds());
    flush();
    recorder.end(procedure.phase(), procedure.ending().orElse(""));
    watcher.accept(view());
  }

  private void arrange() {
    if (confirmed || (bench.simulated() && procedure.asks().isPresent())) {
      confirmed = false;
      procedure.confirm();
    }
    SetPoints wanted = procedure.setPoints();
    for (InstrumentDescription on : bench.switchedOnBy(wanted)) {
      if (onNow.add(on)) {
        recorder.switchingOn(on);
      }
    }
    bench.arrange(wanted);
  }

  private void loop() {
    long flushed = System.nanoTime();
    long viewed = flushed;
    long due = flushed;
    int unflushed = 0;
    while (!procedure.phase().over()) {
      if (finishWanted != null) {
        procedure.finish(finishWanted);
        break;
      }
      if (stopWanted != null) {
        procedure.stop(stopWanted);
        break;
      }
      Pace now = pace;
      if (!bench.simulated()) {
        // A real bench keeps its own time: advancing it waits for the moment to read.
        due = System.nanoTime();
      } else if (now != Pace.FULL) {
        due += (long) (FRAME_SECONDS / now.factor() * 1e9);
        due = Math.max(due, System.nanoTime() - VIEW_NANOS);
        waitUntil(due, now);
      } else {
        due = System.nanoTime();
      }
      arrange();
      take(bench.advance(FRAME_SECONDS));
      unflushed++;
      long clock = System.nanoTime();
      viewed = takePresses() ? clock - VIEW_NANOS : viewed;
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
  }

  private void waitUntil(long due, Pace at) {
    long left = due - System.nanoTime();
    while (left > 0 && stopWanted == null && finishWanted == null && pace == at) {
      LockSupport.parkNanos(Math.min(left, TimeUnit.MILLISECONDS.toNanos(50)));
      left = due - System.nanoTime();
    }
  }

  private void take(Frame frame) {
    if (resumed) {
      resumed = false;
      double hole = last == null ? 0 : frame.seconds() - last.seconds();
      keep(
          new Notice(
              frame.seconds(),
              "resumed",
              hole > 2
                  ? "Taken up again after " + Figures.duration(hole) + " without readings."
                  : "Taken up again where it stood."));
    }
    recorder.append(frame);
    keepSums(frame);
    bench
        .captured()
        .ifPresent(c -> recorder.capture(frame.seconds() - c.seconds(), procedure.captured(c), c));
    for (Notice notice : procedure.take(frame)) {
      keep(notice);
    }
    for (Watcher watch : watchers) {
      for (Notice notice : watch.take(frame)) {
        keep(notice);
      }
    }
    noticeHealth(frame.seconds());
    noticeWhatItShows(frame.seconds());
    takeRemarks(frame.seconds());
  }

  /** Whether there were any. */
  private boolean takePresses() {
    List<TimedOperatorEvent> corrected = replay.getAndSet(null);
    boolean any = !presses.isEmpty() || corrected != null;
    if (corrected != null && procedure instanceof ByHand byHand) {
      byHand.replay(corrected);
    }
    for (TimedOperatorEvent next = presses.poll(); next != null; next = presses.poll()) {
      // One that was kept before it was taken is among those gone through once more.
      if (corrected == null || !corrected.contains(next)) {
        procedure.press(next).forEach(this::keep);
      }
    }
    return any;
  }

  /** A code on the unit is kept with the run, once for each. */
  private void noticeWhatItShows(double now) {
    String shows = bench.unitShows();
    if (!shows.equals(shown) && !shows.isEmpty()) {
      keep(new Notice(now, "error_code", "The unit shows " + shows + "."));
    }
    shown = shows;
  }

  private void keepSums(Frame frame) {
    frames += Arrays.stream(frame.values()).allMatch(Double::isNaN) ? 0 : 1;
    double watts = procedure.watched(frame);
    if (!Double.isNaN(watts)) {
      double seconds = last == null ? 0 : frame.seconds() - last.seconds();
      // A longer hole is a gap; what it is worth is worked out openly by the finding, not here.
      if (last != null && seconds <= Series.GAP_SECONDS && !Double.isNaN(procedure.watched(last))) {
        double hours = seconds / 3600;
        delivered += hours * (watts + procedure.watched(last)) / 2;
      }
      if (watts > 0 && Double.isNaN(loadedSince)) {
        loadedSince = frame.seconds();
      }
    }
    last = frame;
    newest.take(frame);
    power.add(frame.seconds(), watts);
    celsius.add(frame.seconds(), frame.value(Channel.CASE_TEMPERATURE));
    display.add(frame.seconds(), frame.value(Channel.DISPLAY_CHARGE));
  }

  /** An instrument that was there and is not, or is back, is said once. */
  private void noticeHealth(double now) {
    List<Health> before = health;
    health = bench.health();
    for (int i = 0; i < health.size() && i < before.size(); i++) {
      Health.State was = before.get(i).state();
      Health.State is = health.get(i).state();
      String name = bench.instruments().get(i).name();
      if (is == Health.State.LOST && was != Health.State.LOST) {
        keep(
            new Notice(
                now,
                "lost",
                name
                    + " is lost: "
                    + health.get(i).words()
                    + " Its readings are missing until it is back; it is tried again by itself."));
      } else if (is == Health.State.ALIVE && was == Health.State.LOST) {
        keep(new Notice(now, "back", name + " is back."));
      }
    }
  }

  private void takeRemarks(double now) {
    for (Remark remark = remarks.poll(); remark != null; remark = remarks.poll()) {
      keep(new Notice(now, remark.code(), remark.words()));
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
    Frame shownNow = newest.frame();
    return new RunView(
        procedure.phase(),
        shownNow,
        shownNow == null ? Double.NaN : procedure.watched(shownNow),
        delivered,
        Double.isNaN(loadedSince) ? 0 : last.seconds() - loadedSince,
        frames,
        power.view(),
        celsius.view(),
        display.view(),
        List.copyOf(notices),
        health,
        bench.unitShows(),
        procedure.asks().orElse(""),
        procedure.now(),
        unsaved,
        stillOn);
  }
}
