package org.wiseember.desktop.model;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Clock;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.Optional;
import java.util.concurrent.BlockingQueue;
import java.util.concurrent.Callable;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.LinkedBlockingQueue;
import java.util.concurrent.ThreadPoolExecutor;
import java.util.concurrent.TimeUnit;
import java.util.function.BooleanSupplier;
import java.util.function.Consumer;
import java.util.function.Function;
import javafx.beans.property.SimpleStringProperty;
import javafx.beans.property.StringProperty;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.wiseember.workbook.Workbook;
import org.wiseember.workbook.WorkbookException;
import org.wiseember.workbook.disk.WholeFile;

/**
 * The workbook that is open. It is used on a thread of its own, one task after the other; what
 * comes of a task is taken on the interface thread.
 */
public final class OpenWorkbook {
  private static final Logger LOG = LoggerFactory.getLogger(OpenWorkbook.class);

  private final Clock clock;
  private final Screen screen;
  private final BlockingQueue<Runnable> waiting = new LinkedBlockingQueue<>();
  private final ExecutorService work =
      new ThreadPoolExecutor(
          1,
          1,
          0,
          TimeUnit.SECONDS,
          waiting,
          task -> {
            Thread thread = new Thread(task, "workbook");
            thread.setDaemon(true);
            return thread;
          });
  private final Edits edits = new Edits();
  private final StringProperty said = new SimpleStringProperty("");
  private final BooleanSupplier busy;
  private volatile Workbook workbook;
  private volatile boolean opening;
  private LocalDate backedUp;

  /**
   * With none open yet.
   *
   * @param screen where what is shown changes
   * @param busy whether a test goes on, so that the file is not at rest
   */
  OpenWorkbook(Clock clock, Screen screen, BooleanSupplier busy) {
    this.clock = clock;
    this.screen = screen;
    this.busy = busy;
  }

  Clock clock() {
    return clock;
  }

  /** What can be undone. */
  Edits edits() {
    return edits;
  }

  /** The sentence that was told last. */
  public StringProperty said() {
    return said;
  }

  Screen screen() {
    return screen;
  }

  public Optional<Workbook> workbook() {
    return Optional.ofNullable(workbook);
  }

  public boolean readOnly() {
    return workbook == null || workbook.readOnly();
  }

  /** Runs something off the interface thread and gives its result back on it. */
  public <T> void background(Callable<T> task, Consumer<T> then) {
    background(task, then, () -> {});
  }

  /**
   * Runs something off the interface thread.
   *
   * @param then takes its result
   * @param otherwise runs in its place where it failed, after that was said
   */
  <T> void background(Callable<T> task, Consumer<T> then, Runnable otherwise) {
    if (work.isShutdown()) {
      // The window is closing; what was asked for would have no one to show it to.
      return;
    }
    work.execute(
        () -> {
          try {
            T result = task.call();
            settleWhenIdle();
            screen.later(() -> then.accept(result));
          } catch (WorkbookException e) {
            LOG.warn("workbook", e);
            say(e.getMessage());
            screen.later(otherwise);
          } catch (Exception | Error e) {
            LOG.error("unexpected", e);
            say(
                "That did not work, by an error of the program ("
                    + e.getClass().getSimpleName()
                    + "). What is saved is safe; the log beside the workbook says more.");
            screen.later(otherwise);
          }
        });
  }

  /** Who copies or syncs the file has all of it while nothing goes on. */
  private void settleWhenIdle() {
    Workbook open = workbook;
    if (open != null && waiting.isEmpty() && !busy.getAsBoolean()) {
      open.settle();
      // Once a day, since a window may stay open for several.
      backUp(open);
    }
  }

  /**
   * Writes a copy of the open workbook, whole in one file.
   *
   * @param to where; what is there is replaced
   */
  public void saveCopy(Path to) {
    if (workbook == null) {
      say("No workbook is open. Ctrl+O opens one.");
      return;
    }
    background(
        () -> {
          workbook.saveCopy(to);
          return "A copy of the workbook is saved as " + to + ".";
        },
        this::say);
  }

  /** Beside everything else: a copy of a large workbook takes its time. */
  private void backUp(Workbook opened) {
    LocalDate today = LocalDate.ofInstant(clock.instant(), ZoneId.systemDefault());
    if (today.equals(backedUp)) {
      return;
    }
    backedUp = today;
    Thread copying =
        new Thread(
            () -> {
              try {
                opened.backups().daily(today);
              } catch (WorkbookException e) {
                LOG.warn("no backup", e);
                if (workbook == opened) {
                  say("Today's backup could not be made. " + e.getMessage());
                }
              }
            },
            "backup");
    copying.setDaemon(true);
    copying.start();
  }

  /** Writes a file whole and tells in a sentence whether it went. */
  public static String written(Path file, byte[] content) {
    try {
      WholeFile.write(file, content);
      return "Saved " + file + ".";
    } catch (IOException e) {
      return file + " could not be written. Check the folder, the permissions and the space.";
    }
  }

  /** Tells the tester one sentence, from any thread. */
  public void say(String sentence) {
    if (screen.here()) {
      said.set(sentence);
    } else {
      screen.later(() -> said.set(sentence));
    }
  }

  /** Opened a second time beside itself it could only be read. */
  void refuseTheOpenOne(Path file) {
    try {
      if (workbook != null && Files.exists(file) && Files.isSameFile(file, workbook.file())) {
        throw new WorkbookException(file.getFileName() + " is open already.");
      }
    } catch (IOException e) {
      throw new WorkbookException(file + " cannot be reached. Check the disk it lies on.", e);
    }
  }

  private static void closeBefore(Workbook before) {
    try {
      if (before != null) {
        before.close();
      }
    } catch (WorkbookException e) {
      LOG.warn("the workbook before did not close", e);
    }
  }

  boolean refuseWhenReadOnly() {
    if (opening) {
      say("Another workbook is being opened. Try again in a moment.");
      return true;
    }
    if (workbook == null) {
      say("No workbook is open. Ctrl+O opens one.");
      return true;
    }
    if (workbook.readOnly()) {
      say(
          "Open for reading only: the workbook is written by "
              + workbook.writer()
              + ". Close that first.");
      return true;
    }
    return false;
  }

  /** Another workbook comes: what was typed into fields of the old shelf must not go into it. */
  void beginOpening() {
    opening = true;
  }

  /** It is on show. */
  void opened() {
    opening = false;
  }

  /** Opens a file in place of the open one, once all that is shown of it was read. */
  <T> T swap(Path file, Function<Workbook, T> read) {
    boolean done = false;
    try {
      refuseTheOpenOne(file);
      Workbook next = Workbook.open(file, clock);
      T shown;
      try {
        shown = read.apply(next);
        done = true;
      } finally {
        if (!done) {
          next.close();
        }
      }
      Workbook before = workbook;
      workbook = next;
      backedUp = null;
      closeBefore(before);
      return shown;
    } finally {
      // After a failure the open workbook may be edited again; otherwise once it is on show.
      opening &= done;
    }
  }

  /** Ends its thread and closes it. Blocks for at most a few seconds. */
  void close() {
    try {
      work.shutdown();
      work.awaitTermination(3, TimeUnit.SECONDS);
    } catch (InterruptedException e) {
      Thread.currentThread().interrupt();
    }
    if (workbook != null) {
      workbook.close();
    }
  }

  /** Undoes the newest edit. */
  public void undo() {
    Optional<String> undone = edits.undo();
    say(undone.map(words -> "Undone: " + words + ".").orElse("Nothing to undo."));
  }

  static String about(Workbook opened) {
    if (opened.sideFileMissing()) {
      String name = String.valueOf(opened.file().getFileName());
      return name
          + " was copied while a program had it open, without "
          + name
          + "-wal beside it: what was entered last may be missing. Where that file still is, close"
          + " this, put both in one folder and open it again; else a backup beside the original may"
          + " have more.";
    }
    return opened.readOnly()
        ? "Open for reading only: the workbook is written by " + opened.writer() + "."
        : opened.asItWas().map(OpenWorkbook::broughtUp).orElse("");
  }

  private static String broughtUp(Path asItWas) {
    return "This workbook was from an older version and is brought up to date. As it was it stays"
        + " beside, as "
        + asItWas.getFileName()
        + ".";
  }
}
