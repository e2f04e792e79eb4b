package org.wiseember.trial;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertTrue;

import java.io.BufferedReader;
import java.io.IOException;
import java.io.InputStreamReader;
import java.nio.charset.StandardCharsets;
import java.nio.file.DirectoryStream;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Clock;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.SplittableRandom;
import java.util.concurrent.TimeUnit;
import java.util.stream.DoubleStream;
import java.util.stream.LongStream;
import org.testng.annotations.AfterClass;
import org.testng.annotations.BeforeClass;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;
import org.wiseember.core.Thorough;
import org.wiseember.core.trace.Channel;
import org.wiseember.core.trace.Trace;
import org.wiseember.core.waveform.Capture;
import org.wiseember.core.waveform.CaptureNote;
import org.wiseember.workbook.Event;
import org.wiseember.workbook.NewRun;
import org.wiseember.workbook.Run;
import org.wiseember.workbook.RunOf;
import org.wiseember.workbook.RunSettings;
import org.wiseember.workbook.RunWriter;
import org.wiseember.workbook.StoredCapture;
import org.wiseember.workbook.Workbook;
import org.wiseember.workbook.disk.Scratch;
import org.wiseember.workbook.pack.RunPackage;

/** Killed between the parts of a whole, what was taken in is whole or not there. */
public class KilledBetweenTest {
  private static final int ROWS = 20_000;
  private static final int TYPED = 400;
  private static final int OLD = 4;

  private Scratch made;
  private Path pack;

  @BeforeClass
  public void pack() throws IOException {
    made = Scratch.make();
    pack = made.file("run.zip");
    try (Workbook workbook = Workbook.open(made.file("from.ember"), Clock.systemUTC())) {
      RunPackage.write(workbook, run(workbook), pack);
    }
  }

  @AfterClass(alwaysRun = true)
  public void remove() {
    made.close();
  }

  private static Run run(Workbook workbook) {
    RunWriter writer =
        workbook
            .runs()
            .begin(
                new NewRun(
                    RunOf.unit(workbook.units().add("Quernfold Q1100").id()),
                    "ac-drain",
                    "AC drain",
                    Clock.systemUTC().instant(),
                    RunSettings.of(RunSettings.Source.FILE, java.util.Map.of())),
                List.of(Channel.AC_POWER));
    for (int i = 0; i < ROWS; i++) {
      writer.append(i, new double[] {600 + Math.sin(i)});
    }
    writer.note(new Event(3, "mark", "Fan on"));
    writer.flush();
    writer.end(Run.State.DONE, "done");
    for (int i = 0; i < TYPED; i++) {
      workbook
          .typedReadings()
          .keep(writer.runId(), i, "Meter B", Channel.AC_ENERGY, i, 0.1, String.valueOf(i));
    }
    double[] wave = DoubleStream.iterate(0, x -> x + 0.01).map(Math::sin).limit(50_000).toArray();
    StoredCapture capture =
        new StoredCapture(7, CaptureNote.of("Plug pulled"), Capture.of(1e4, wave));
    workbook.captures().add(writer.runId(), List.of(capture, capture));
    return workbook.runs().byId(writer.runId()).orElseThrow();
  }

  @DataProvider
  Object[][] kills() {
    return LongStream.rangeClosed(1, Integer.getInteger("ember.soak", Thorough.tries(3, 20)))
        .mapToObj(seed -> new Object[] {seed})
        .toArray(Object[][]::new);
  }

  /** Starts a program, lets it begin, and kills it some moment later. */
  private static void killed(long afterMillis, List<String> args) throws Exception {
    Process child = ChildProgram.start(ChildProgram.command(WorksUntilKilled.class, args));
    try (BufferedReader out =
        new BufferedReader(new InputStreamReader(child.getInputStream(), StandardCharsets.UTF_8))) {
      assertEquals(out.readLine(), "ready");
      child.waitFor(afterMillis, TimeUnit.MILLISECONDS);
    } finally {
      child.destroyForcibly();
    }
    child.waitFor();
  }

  @Test(dataProvider = "kills", timeOut = 60_000)
  public void aPackageIsWholeOrAbsent(long seed) throws Exception {
    try (Scratch scratch = Scratch.make()) {
      Path file = scratch.file("into.ember");
      killed(
          100 + new SplittableRandom(seed).nextInt(600),
          List.of("packages", file.toString(), pack.toString()));
      try (Workbook workbook = Workbook.open(file, Clock.systemUTC())) {
        List<Run> runs = workbook.runs().all();
        assertEquals(workbook.units().all().size(), runs.isEmpty() ? 0 : 1);
        for (Run run : runs) {
          assertEquals(run.state(), Run.State.DONE);
          assertEquals(workbook.runs().trace(run).size(), ROWS);
          assertEquals(workbook.typedReadings().of(run.id()).size(), TYPED);
          assertEquals(workbook.captures().of(run.id()).size(), 2);
          assertEquals(workbook.runs().events(run.id()).size(), 1);
          assertEquals(workbook.runs().check(run), Optional.empty());
        }
      }
    }
  }

  @Test(dataProvider = "kills", timeOut = 60_000)
  public void aWorkbookIsOfOneLayoutAndWhole(long seed) throws Exception {
    try (Scratch scratch = Scratch.make()) {
      SplittableRandom random = new SplittableRandom(seed);
      int layout = 1 + (int) (seed % 8);
      List<String> args = new ArrayList<>(List.of("layouts"));
      for (int i = 0; i < OLD; i++) {
        Path old = scratch.file(i + ".ember");
        Files.copy(OldWorkbooksTest.unpacked(layout), old);
        args.add(old.toString());
      }
      killed(random.nextInt(500), args);
      String wanted = content(OldWorkbooksTest.unpacked(layout));
      for (String old : args.subList(1, args.size())) {
        Path file = Path.of(old);
        assertEquals(content(file), wanted, old);
        for (Path beside : beside(file)) {
          assertEquals(content(beside), wanted, "kept beside: " + beside);
        }
      }
    }
  }

  private static List<Path> beside(Path file) throws IOException {
    List<Path> kept = new ArrayList<>();
    String stem = file.getFileName().toString().replace(".ember", "");
    try (DirectoryStream<Path> all =
        Files.newDirectoryStream(file.getParent(), stem + ".layout-*.ember")) {
      all.forEach(kept::add);
    }
    assertTrue(!kept.isEmpty(), "what it was stays beside " + file);
    return kept;
  }

  private static double sum(Trace trace) {
    double sum = 0;
    for (int i = 0; i < trace.size(); i++) {
      sum += trace.seconds(i) * (i + 1);
      for (Channel channel : trace.channels()) {
        double value = trace.value(channel, i);
        sum += Double.isNaN(value) ? 1 : value * (i + 1);
      }
    }
    return sum;
  }

  /** All that is in a workbook, in words. */
  private static String content(Path file) {
    StringBuilder all = new StringBuilder();
    try (Workbook workbook = Workbook.open(file, Clock.systemUTC())) {
      for (Run run : workbook.runs().all()) {
        assertEquals(workbook.runs().check(run), Optional.empty());
        all.append(run.title()).append(' ').append(run.state()).append(' ');
        all.append(sum(workbook.runs().trace(run))).append(' ');
        all.append(workbook.captures().of(run.id()).size()).append(' ');
        all.append(workbook.typedReadings().of(run.id()).size()).append('\n');
      }
      assertTrue(!workbook.runs().all().isEmpty());
    }
    return all.toString();
  }
}
