package org.wiseember.command;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import java.io.IOException;
import java.io.PrintWriter;
import java.io.StringWriter;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Clock;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.SplittableRandom;
import java.util.concurrent.ConcurrentSkipListMap;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.TimeoutException;
import java.util.concurrent.atomic.AtomicInteger;
import org.wiseember.bench.instrument.DescriptionJson;
import org.wiseember.bench.instrument.DescriptionUnreadable;
import org.wiseember.core.trace.Channel;
import org.wiseember.core.trace.Plausible;
import org.wiseember.core.trace.Trace;
import org.wiseember.workbook.Workbook;
import org.wiseember.workbook.WorkbookException;
import org.wiseember.workbook.disk.Scratch;
import org.wiseember.workbook.log.Log;
import org.wiseember.workbook.log.LogCsv;
import org.wiseember.workbook.log.LogMapping;
import org.wiseember.workbook.log.LogPreview;
import org.wiseember.workbook.log.LogUnreadable;
import org.wiseember.workbook.log.Progress;
import org.wiseember.workbook.pack.RunPackage;

/**
 * A program of its own that gives every reader damaged files, one after the other, and tells how
 * that went: the number of inputs, the number of faults, and the longest any took.
 */
public final class HostileInputs {
  private static final ObjectMapper JSON = new ObjectMapper();
  private static final Clock CLOCK = Clock.systemUTC();
  private static final int FEW = 40;

  private final long seed;
  private final Scratch scratch;
  private final Path kept;
  private final Seeds seeds;
  private final long guardSeconds;
  private Workbook into;
  private ExecutorService worker = Executors.newSingleThreadExecutor(HostileInputs::daemon);

  private HostileInputs(long seed, Scratch scratch, Path kept, long guardSeconds)
      throws IOException {
    this.seed = seed;
    this.scratch = scratch;
    this.kept = kept;
    this.guardSeconds = guardSeconds;
    this.seeds = new Seeds(scratch);
    this.into = Workbook.open(scratch.file("into.ember"), CLOCK);
  }

  /** How many inputs, the seed, how long one may take, and a folder for those that failed. */
  public static void main(String[] args) throws Exception {
    int inputs = Integer.parseInt(args[0]);
    Path kept = Files.createDirectories(Path.of(args[3]));
    Map<String, Long> slowest = new ConcurrentSkipListMap<>();
    AtomicInteger next = new AtomicInteger();
    AtomicInteger faults = new AtomicInteger();
    List<Thread> threads = new ArrayList<>();
    for (int i = 0; i < Runtime.getRuntime().availableProcessors(); i++) {
      Thread thread =
          new Thread(
              () -> {
                try (Scratch scratch = Scratch.make()) {
                  HostileInputs some =
                      new HostileInputs(
                          Long.parseLong(args[1]), scratch, kept, Long.parseLong(args[2]));
                  for (int n = next.getAndIncrement(); n < inputs; n = next.getAndIncrement()) {
                    faults.addAndGet(some.fine(n, slowest) ? 0 : 1);
                  }
                } catch (Exception e) {
                  faults.incrementAndGet();
                  System.out.println("fault of the campaign itself: " + e);
                }
              });
      thread.start();
      threads.add(thread);
    }
    for (Thread thread : threads) {
      thread.join();
    }
    slowest.forEach((reader, ms) -> System.out.println("slowest " + reader + " " + ms + " ms"));
    System.out.println("inputs " + inputs + " faults " + faults);
    // A reader that hangs must not keep the program.
    Runtime.getRuntime().halt(0);
  }

  /** Each input is made from its own number, so that one alone can be made again. */
  private boolean fine(int n, Map<String, Long> slowest) throws Exception {
    SplittableRandom random = new SplittableRandom(seed * 1_000_000_007L + n);
    Seeds.Seed whole = seeds.pick(n, random);
    byte[] bytes = whole.damaged(random);
    long before = System.nanoTime();
    Future<String> answer = worker.submit(() -> trouble(whole, bytes));
    String trouble;
    try {
      trouble = answer.get(guardSeconds, TimeUnit.SECONDS);
    } catch (TimeoutException e) {
      trouble = "took longer than " + guardSeconds + " s";
      worker = Executors.newSingleThreadExecutor(HostileInputs::daemon);
    }
    long took = TimeUnit.NANOSECONDS.toMillis(System.nanoTime() - before);
    slowest.merge(whole.reader().name().toLowerCase(Locale.ROOT), took, Math::max);
    if (!trouble.isEmpty()) {
      Path file = kept.resolve(n + "-" + whole.name());
      Files.write(file, bytes);
      System.out.println("fault " + file.getFileName() + ": " + trouble.lines().limit(6).toList());
    }
    return trouble.isEmpty();
  }

  private static Thread daemon(Runnable task) {
    Thread thread = new Thread(task, "reader");
    thread.setDaemon(true);
    return thread;
  }

  private String trouble(Seeds.Seed seed, byte[] bytes) {
    try {
      Path file = scratch.file(seed.name());
      Files.write(file, bytes);
      return switch (seed.reader()) {
        case COMMAND -> command(seed, file);
        case LOG -> log(file);
        case PACKAGE -> packed(file);
        case WORKBOOK -> workbook(file);
        case DESCRIPTION -> description(bytes);
        case MAPPING -> mapping(bytes);
      };
    } catch (Throwable e) {
      StringWriter words = new StringWriter();
      e.printStackTrace(new PrintWriter(words));
      return words.toString();
    }
  }

  private String command(Seeds.Seed seed, Path file) throws IOException {
    StringWriter out = new StringWriter();
    StringWriter err = new StringWriter();
    List<String> args = new ArrayList<>();
    for (String arg : seed.command()) {
      args.add(arg.replace("FILE", file.toString()));
    }
    int code = Ember.run(new PrintWriter(out), new PrintWriter(err), args.toArray(String[]::new));
    boolean differs = code == 1 && args.contains("verify");
    if (code != 0 && code != 2 && code != 3 && !differs) {
      return args + " ends with " + code;
    }
    String said = err.toString();
    if (code == 3 && said.strip().lines().count() != 1) {
      return "not one line: " + said;
    }
    String answer = out.toString();
    return OwnWords.trouble(said) + (code == 0 && args.contains("--json") ? figures(answer) : "");
  }

  /** A figure is a number or nothing at all. */
  private static String figures(String answer) throws IOException {
    JsonNode root = JSON.readTree(answer);
    for (JsonNode result : root.path("results")) {
      JsonNode value = result.path("value");
      if (value.isNumber() && !Double.isFinite(value.doubleValue())) {
        return "no figure: " + result;
      }
    }
    return "";
  }

  private static String log(Path file) {
    try {
      Log log = LogCsv.read(file);
      String trouble = invented(log.trace());
      LogPreview preview = LogPreview.of(file);
      return trouble + invented(LogCsv.read(file, preview.mapping(), Progress.NONE).trace());
    } catch (LogUnreadable e) {
      return OwnWords.trouble(e.getMessage());
    }
  }

  private static String invented(Trace trace) {
    for (Channel channel : trace.channels()) {
      for (int i = 0; i < trace.size(); i++) {
        double value = trace.value(channel, i);
        if (!Double.isNaN(value) && !Plausible.of(channel).holds(value)) {
          return channel + " is " + value;
        }
      }
    }
    for (int i = 0; i < trace.size(); i++) {
      if (!Double.isFinite(trace.seconds(i))) {
        return "a moment is " + trace.seconds(i);
      }
    }
    return "";
  }

  private String packed(Path file) {
    int before = into.runs().all().size();
    if (before >= FEW) {
      into.close();
      into = Workbook.open(scratch.file("into " + System.nanoTime() + ".ember"), CLOCK);
      before = 0;
    }
    try {
      RunPackage.takeIn(into, file);
      return into.runs().all().size() == before + 1 ? "" : "taken in, but no run is there";
    } catch (WorkbookException e) {
      return into.runs().all().size() == before
          ? OwnWords.trouble(e.getMessage())
          : "refused, and yet a run is there";
    }
  }

  private String workbook(Path file) throws IOException {
    StringWriter out = new StringWriter();
    StringWriter err = new StringWriter();
    String page = scratch.file("page.html").toString();
    int code =
        Ember.run(
            new PrintWriter(out), new PrintWriter(err), "report", file.toString(), "--out", page);
    Files.deleteIfExists(file.resolveSibling(file.getFileName() + "-wal"));
    Files.deleteIfExists(file.resolveSibling(file.getFileName() + "-shm"));
    return code == 0 || code == 3 ? OwnWords.trouble(err.toString()) : "ends with " + code;
  }

  private static String description(byte[] bytes) {
    try {
      DescriptionJson.read(new String(bytes, StandardCharsets.UTF_8));
      return "";
    } catch (DescriptionUnreadable e) {
      return OwnWords.trouble(e.getMessage());
    }
  }

  private static String mapping(byte[] bytes) {
    LogMapping.read(new String(bytes, StandardCharsets.UTF_8));
    return "";
  }
}
