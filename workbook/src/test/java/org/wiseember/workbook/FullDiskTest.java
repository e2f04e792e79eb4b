package org.wiseember.workbook;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertTrue;
import static org.testng.Assert.expectThrows;

import java.io.IOException;
import java.nio.file.Path;
import java.time.Clock;
import java.time.Instant;
import java.time.ZoneOffset;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.function.BiConsumer;
import org.testng.annotations.AfterMethod;
import org.testng.annotations.BeforeMethod;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;
import org.wiseember.core.trace.Channel;
import org.wiseember.core.trace.Trace;
import org.wiseember.core.trace.Treatment;
import org.wiseember.core.waveform.Capture;
import org.wiseember.core.waveform.CaptureNote;
import org.wiseember.workbook.disk.Scratch;
import org.wiseember.workbook.pack.RunPackage;

/**
 * A disk that is full in the middle of each kind of writing. A page limit makes the database report
 * it exactly as a full disk does; what is written is larger than the page or two that are left.
 */
public class FullDiskTest {
  private static final Clock CLOCK =
      Clock.fixed(Instant.parse("2026-05-04T16:30:00Z"), ZoneOffset.UTC);
  private static final String LONG = "x".repeat(60_000);

  private Scratch scratch;
  private Workbook workbook;
  private long unit;
  private Run run;

  @BeforeMethod
  public void make() throws IOException {
    scratch = Scratch.make();
    workbook = Workbook.open(scratch.file("stall.ember"), CLOCK);
    unit = workbook.units().add("Quernfold Q1100").id();
    workbook.units().label(unit, "1075 Wh", List.of());
    run = workbook.runs().byId(addRun(workbook, 100)).orElseThrow();
    for (int i = 0; i < 400; i++) {
      workbook.typedReadings().keep(run.id(), i, "Meter B", Channel.AC_ENERGY, i, 0.1, "" + i);
    }
    workbook.captures().add(run.id(), List.of(capture(100)));
  }

  @AfterMethod(alwaysRun = true)
  public void remove() {
    workbook.close();
    scratch.close();
  }

  private long addRun(Workbook into, int rows) {
    double[] seconds = new double[rows];
    double[] watts = new double[rows];
    Arrays.setAll(seconds, i -> i);
    Arrays.setAll(watts, i -> 600 + Math.sin(i));
    return into.runs()
        .add(
            new NewRun(
                RunOf.unit(unit),
                "ac-drain",
                "AC drain",
                CLOCK.instant(),
                RunSettings.of(RunSettings.Source.FILE, Map.of())),
            Run.State.DONE,
            "done",
            new Trace(seconds, Map.of(Channel.AC_POWER, watts)),
            List.of(new Event(0, "mark", "Fan on")));
  }

  private static StoredCapture capture(int samples) {
    double[] volts = new double[samples];
    Arrays.setAll(volts, i -> 325 * Math.sin(i / 10.0));
    return new StoredCapture(1, CaptureNote.of("Plug pulled"), Capture.of(1e4, volts));
  }

  private interface Writing extends BiConsumer<FullDiskTest, Workbook> {}

  private static Object[] kind(String name, Writing writing) {
    return new Object[] {name, writing};
  }

  @DataProvider
  public Object[][] kindsOfWriting() {
    return new Object[][] {
      kind("a unit", (t, w) -> w.units().add(LONG)),
      kind("its name", (t, w) -> w.units().rename(t.unit, LONG)),
      kind("a label", (t, w) -> w.units().label(t.unit, LONG, List.of())),
      kind("a log", (t, w) -> t.addRun(w, 50_000)),
      kind("a capture", (t, w) -> w.captures().add(t.run.id(), List.of(capture(50_000)))),
      kind("a typed reading", (t, w) -> t.typed(w, 1, LONG)),
      kind("many typed readings", (t, w) -> w.allOrNothing(() -> t.typed(w, 2_000, "1"))),
      kind("a note", (t, w) -> w.runs().note(t.run.id(), new Event(1, "mark", LONG))),
      kind(
          "what is left out",
          (t, w) ->
              w.treatments()
                  .decide(
                      t.run.id(), Treatment.NONE.leavingOut(new Treatment.LeftOut(1, 2, LONG)))),
      kind("an instrument", (t, w) -> w.instruments().add(LONG)),
      kind("how columns are read", (t, w) -> w.importMapping("time", LONG)),
      kind("what was found", (t, w) -> t.found(w)),
      kind("a summary", (t, w) -> w.found().keep(t.unit, "1", LONG)),
      kind("the title", (t, w) -> w.title(LONG)),
      kind("a packed run", (t, w) -> RunPackage.takeIn(w, t.packed())),
    };
  }

  private void typed(Workbook into, int readings, String asTyped) {
    for (int i = 0; i < readings; i++) {
      into.typedReadings().keep(run.id(), i, "Meter C", Channel.AC_ENERGY, i, 0.1, asTyped);
    }
  }

  private void found(Workbook into) {
    into.found().keep(Map.of(run.id(), new Found.Finding("1", "asked", LONG)));
  }

  /** Larger than what is left of the disk. */
  private Path packed() {
    Path file = scratch.file("run.zip");
    try (Workbook other = Workbook.open(scratch.file("other.ember"), CLOCK)) {
      other.units().add("Another");
      Run large = other.runs().byId(addRun(other, 50_000)).orElseThrow();
      RunPackage.write(other, large, file);
    } catch (IOException e) {
      throw new AssertionError(e);
    }
    return file;
  }

  private List<String> content() {
    List<String> all = new ArrayList<>();
    for (String table :
        workbook.query(
            "SELECT name FROM sqlite_schema WHERE type = 'table' ORDER BY name",
            s -> {},
            r -> r.getString(1))) {
      all.addAll(
          workbook.query(
              "SELECT * FROM " + table,
              s -> {},
              r -> {
                StringBuilder row = new StringBuilder(table);
                for (int i = 1; i <= r.getMetaData().getColumnCount(); i++) {
                  byte[] bytes = r.getBytes(i);
                  row.append(' ').append(Arrays.hashCode(bytes));
                }
                return row.toString();
              }));
    }
    return all;
  }

  @Test(dataProvider = "kindsOfWriting")
  public void whatWasThereStaysAndLaterEditsAreKept(String name, Writing writing) {
    List<String> before = content();
    int pages = workbook.query("PRAGMA page_count", s -> {}, r -> r.getInt(1)).get(0);
    workbook.query("PRAGMA max_page_count = " + pages, s -> {}, r -> r.getInt(1));
    String said =
        expectThrows(WorkbookException.class, () -> writing.accept(this, workbook)).getMessage();
    assertTrue(said.startsWith("The disk is full"), name + ": " + said);
    assertEquals(content(), before, name);
    workbook.query("PRAGMA max_page_count = 1000000", s -> {}, r -> r.getInt(1));
    workbook.units().add("After the disk has room again");
    assertEquals(workbook.runs().check(run), java.util.Optional.empty());
    workbook.close();
    workbook = Workbook.open(scratch.file("stall.ember"), CLOCK);
    assertEquals(workbook.units().all().size(), 2, name);
    assertEquals(workbook.typedReadings().of(run.id()).size(), 400, name);
  }
}
