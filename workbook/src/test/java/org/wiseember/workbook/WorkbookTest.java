package org.wiseember.workbook;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertFalse;
import static org.testng.Assert.assertThrows;
import static org.testng.Assert.assertTrue;
import static org.testng.Assert.expectThrows;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.SQLException;
import java.sql.Statement;
import java.time.Clock;
import java.time.Instant;
import java.time.ZoneOffset;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.stream.Stream;
import org.testng.annotations.AfterMethod;
import org.testng.annotations.BeforeMethod;
import org.testng.annotations.Test;
import org.wiseember.core.label.Claim;
import org.wiseember.core.label.Condition;
import org.wiseember.core.label.Direction;
import org.wiseember.core.label.Subject;
import org.wiseember.core.solar.Panel;
import org.wiseember.core.solar.PanelsOnHand;
import org.wiseember.core.solar.Site;
import org.wiseember.core.solar.SunDay;
import org.wiseember.core.trace.Channel;
import org.wiseember.core.trace.Trace;
import org.wiseember.core.trace.Treatment;
import org.wiseember.core.uncertainty.Correction;
import org.wiseember.core.uncertainty.MeterClass;

public class WorkbookTest {
  private static final Clock CLOCK =
      Clock.fixed(Instant.parse("2026-05-04T16:30:00Z"), ZoneOffset.UTC);
  private static final RunSettings SETTINGS =
      new RunSettings(
          600,
          230,
          Map.of(
              Channel.AC_POWER,
              MeterClass.ofReading(0.5, 2, 0.1),
              Channel.CASE_TEMPERATURE,
              new MeterClass(0, 0.1, 200, 0.1, 5)),
          Map.of(
              Channel.AC_POWER,
              Correction.ofOnePoint(590, 600, MeterClass.ofReading(0.1, 1, 0.01))),
          RunSettings.Source.SIMULATED,
          77,
          List.of("LOOSE_LEAD"),
          List.of(60.0, 120.0),
          Map.of("motor", "Grinder \"G\", 550 W"));
  private static final List<Channel> CHANNELS = List.of(Channel.AC_POWER, Channel.CASE_TEMPERATURE);

  private Path folder;
  private Path file;

  @BeforeMethod
  public void makeFolder() throws IOException {
    folder = Files.createTempDirectory("ember-test");
    file = folder.resolve("one.ember");
  }

  @AfterMethod
  public void removeFolder() throws IOException {
    try (Stream<Path> all = Files.walk(folder)) {
      for (Path path : all.sorted(Comparator.reverseOrder()).toList()) {
        Files.delete(path);
      }
    }
  }

  private Workbook open() {
    return Workbook.open(file, CLOCK);
  }

  private String refusal() {
    return expectThrows(WorkbookException.class, this::open).getMessage();
  }

  private static RunWriter begin(Workbook workbook) {
    TestedUnit unit = workbook.units().add("Quernfold Q1100");
    return workbook
        .runs()
        .begin(
            new NewRun(RunOf.unit(unit.id()), "ac-drain", "AC drain", CLOCK.instant(), SETTINGS),
            CHANNELS);
  }

  @Test
  public void whatIsSavedIsThereAgain() {
    Claim byHand =
        new Claim(
            Subject.OUTPUT_VOLTAGE,
            Direction.BAND,
            220,
            240,
            "",
            List.of(new Condition(Condition.Kind.AT_LOAD, 600)),
            "230 V");
    long runId;
    try (Workbook workbook = open()) {
      workbook.title("Lantern Quay");
      RunWriter writer = begin(workbook);
      runId = writer.runId();
      workbook.units().label(1, "Capacity 1075 Wh\nSurge 2400 W", List.of(byHand));
      for (int i = 0; i < 10; i++) {
        writer.append(i, new double[] {600 + i, i == 4 ? Double.NaN : 30});
        if (i % 3 == 0) {
          writer.flush();
        }
      }
      writer.note(new Event(4, "mark", "fan on"));
      writer.flush();
      writer.end(Run.State.DONE, "The output dropped out.");
    }
    try (Workbook workbook = open()) {
      assertEquals(workbook.title(), "Lantern Quay");
      TestedUnit unit = workbook.units().all().get(0);
      assertEquals(unit.label().byHand(), List.of(byHand));
      assertEquals(unit.label().ratedWattHours().orElseThrow(), 1075.0);
      Run run = workbook.runs().byId(runId).orElseThrow();
      assertEquals(run.state(), Run.State.DONE);
      assertEquals(run.settings(), SETTINGS);
      Trace trace = workbook.runs().trace(run);
      assertEquals(trace.size(), 10);
      assertEquals(trace.value(Channel.AC_POWER, 9), 609.0);
      assertTrue(Double.isNaN(trace.value(Channel.CASE_TEMPERATURE, 4)));
      assertEquals(workbook.runs().events(runId), List.of(new Event(4, "mark", "fan on")));
    }
  }

  @Test
  public void rawReadingsCannotBeAltered() throws SQLException {
    try (Workbook workbook = open()) {
      RunWriter writer = begin(workbook);
      writer.append(0, new double[] {1, 2});
      writer.flush();
      for (String sql : List.of("UPDATE sample_block SET rows = 2", "DELETE FROM sample_block")) {
        String said =
            expectThrows(WorkbookException.class, () -> workbook.update(sql, s -> {})).getMessage();
        assertTrue(said.contains("never altered"), said);
      }
    }
  }

  @Test
  public void aRunCutShortIsMarkedInterrupted() {
    try (Workbook workbook = open()) {
      RunWriter writer = begin(workbook);
      writer.append(0, new double[] {1, 2});
      writer.flush();
    }
    try (Workbook workbook = open()) {
      Run run = workbook.runs().of(1).get(0);
      assertEquals(run.state(), Run.State.INTERRUPTED);
      assertEquals(workbook.runs().trace(run).size(), 1);
    }
  }

  @Test
  public void aSecondOpeningReadsOnlyAndSaysWhoWrites() {
    try (Workbook first = open();
        Workbook second = open()) {
      assertFalse(first.readOnly());
      assertTrue(second.readOnly());
      assertTrue(
          second.writer().contains(Long.toString(ProcessHandle.current().pid())), second.writer());
      first.units().add("Tamsel T1");
      assertEquals(second.units().all().size(), 1);
      expectThrows(WorkbookException.class, () -> second.units().add("x"));
    }
    try (Workbook again = open()) {
      assertFalse(again.readOnly());
    }
  }

  @Test
  public void everyLabelEditIsKept() {
    try (Workbook workbook = open()) {
      TestedUnit unit = workbook.units().add("Orrinmoor 2k4");
      workbook.units().label(unit.id(), "first", List.of());
      workbook.units().label(unit.id(), "second", List.of());
      assertEquals(workbook.units().all().get(0).label().text(), "second");
      assertEquals(
          (int) workbook.query("SELECT count(*) FROM label", s -> {}, r -> r.getInt(1)).get(0), 2);
      workbook.units().remove(unit.id());
      assertTrue(workbook.units().all().isEmpty());
      workbook.units().putBack(unit.id());
      assertEquals(workbook.units().all().size(), 1);
    }
  }

  @Test
  public void otherFilesAreRefusedAndLeftAlone() throws IOException {
    for (byte[] bytes :
        List.of(
            new byte[0],
            "hello".getBytes(StandardCharsets.UTF_8),
            new byte[4096],
            "x".repeat(5000).getBytes(StandardCharsets.UTF_8))) {
      Files.write(file, bytes);
      String said = refusal();
      assertTrue(said.contains("one.ember"), said);
      assertEquals(said.lines().count(), 1);
      assertEquals(Files.readAllBytes(file), bytes);
    }
  }

  @Test
  public void anotherProgramsDatabaseIsRefusedAndLeftAlone() throws Exception {
    try (Connection other = DriverManager.getConnection("jdbc:sqlite:" + file);
        Statement statement = other.createStatement()) {
      statement.execute("CREATE TABLE recipes (name TEXT)");
    }
    byte[] before = Files.readAllBytes(file);
    assertTrue(refusal().contains("is not a Wise Ember workbook"));
    assertEquals(Files.readAllBytes(file), before);
  }

  @Test
  public void aNewerWorkbookIsRefusedAndLeftAlone() throws Exception {
    open().close();
    try (Connection other = DriverManager.getConnection("jdbc:sqlite:" + file);
        Statement statement = other.createStatement()) {
      statement.execute("PRAGMA user_version = 99");
    }
    byte[] before = Files.readAllBytes(file);
    assertTrue(refusal().contains("newer Wise Ember"));
    assertEquals(Files.readAllBytes(file), before);
  }

  @Test
  public void aCutOffFileIsRefused() throws Exception {
    try (Workbook workbook = open()) {
      RunWriter writer = begin(workbook);
      for (int i = 0; i < 20_000; i++) {
        writer.append(i, new double[] {1, 2});
      }
      writer.flush();
    }
    byte[] bytes = Files.readAllBytes(file);
    Files.write(file, java.util.Arrays.copyOf(bytes, 3000));
    String said = refusal();
    assertTrue(said.contains("damaged") || said.contains("not a Wise Ember workbook"), said);
  }

  @Test
  public void foldersAndMissingFoldersAreSaid() {
    String folderSaid =
        expectThrows(WorkbookException.class, () -> Workbook.open(folder, CLOCK)).getMessage();
    assertTrue(folderSaid.contains("is a folder"), folderSaid);
    String missing =
        expectThrows(
                WorkbookException.class,
                () -> Workbook.open(folder.resolve("no/such/x.ember"), CLOCK))
            .getMessage();
    assertTrue(missing.contains("does not exist"), missing);
  }

  /** A page limit makes the database report a full disk exactly as a full disk does. */
  @Test
  public void onAFullDiskReadingsWaitAndNothingIsLost() {
    try (Workbook workbook = open()) {
      RunWriter writer = begin(workbook);
      int pages = workbook.query("PRAGMA page_count", s -> {}, r -> r.getInt(1)).get(0);
      workbook.query("PRAGMA max_page_count = " + pages, s -> {}, r -> r.getInt(1));
      for (int i = 0; i < 5_000; i++) {
        writer.append(i, new double[] {600, 30});
      }
      String said = expectThrows(WorkbookException.class, writer::flush).getMessage();
      assertTrue(said.startsWith("The disk is full"), said);
      assertEquals(writer.waiting(), 5_000);
      workbook.query("PRAGMA max_page_count = 1000000", s -> {}, r -> r.getInt(1));
      writer.append(5_000, new double[] {600, 30});
      writer.flush();
      assertEquals(writer.waiting(), 0);
      Run run = workbook.runs().of(1).get(0);
      assertEquals(workbook.runs().trace(run).size(), 5_001);
    }
  }

  @Test
  public void aFirstLayoutIsBroughtUpToDateAndLosesNothing() throws Exception {
    try (var connection =
        java.sql.DriverManager.getConnection("jdbc:sqlite:" + file.toAbsolutePath())) {
      try (var statement = connection.createStatement();
          var in = Workbook.class.getResourceAsStream("schema-1.sql")) {
        String script = new String(in.readAllBytes(), java.nio.charset.StandardCharsets.UTF_8);
        for (String sql : script.split(";\\s*\\n(?=\\s*(?:CREATE|--|$))")) {
          statement.execute(sql);
        }
        statement.execute("PRAGMA application_id = " + Workbook.APPLICATION_ID);
        statement.execute("PRAGMA user_version = 1");
        statement.execute("INSERT INTO unit (name, created_at) VALUES ('Old', 'then')");
        statement.execute(
            "INSERT INTO run (unit_id, kind, title, started_at, state, settings, channels) VALUES"
                + " (1, 'ac-drain', 'Drain', '2026-05-04T16:30:00Z', 'done',"
                + " '{\"loadWatts\":600,\"simulated\":true}', 'ac_power')");
        statement.execute(
            "INSERT INTO run (unit_id, kind, title, started_at, state, settings, channels) VALUES"
                + " (1, 'wall-charge', 'Charge', '2026-05-05T16:30:00Z', 'done', '{}',"
                + " 'in_power')");
      }
    }
    try (Workbook workbook = Workbook.open(file, CLOCK)) {
      assertEquals(workbook.units().all().get(0).name(), "Old");
      Run run = workbook.runs().of(1).get(0);
      assertTrue(run.settings().simulated());
      assertEquals(workbook.runs().of(1).get(1).kind(), "charge");
      assertEquals(workbook.instruments().all(), List.of());
    }
  }

  @Test
  public void typedReadingsMakeATraceAndCanBeTakenBack() {
    try (Workbook workbook = Workbook.open(file, CLOCK)) {
      TestedUnit unit = workbook.units().add("U");
      long run =
          workbook
              .runs()
              .begin(
                  new NewRun(
                      RunOf.unit(unit.id()),
                      "ac-drain",
                      "By hand",
                      CLOCK.instant(),
                      RunSettings.of(RunSettings.Source.BY_HAND, Map.of())),
                  List.of())
              .runId();
      TypedReadings typed = workbook.typedReadings();
      typed.keep(run, 0, "Meter B", Channel.AC_ENERGY, 0, 1, "0");
      typed.keep(run, 3660, "Meter B", Channel.AC_ENERGY, 609, 1, "0.609 kWh");
      typed.keep(run, 3660, "Display", Channel.DISPLAY_CHARGE, 38, 1, "38 %");
      long wrong = typed.keep(run, 3700, "Meter B", Channel.AC_ENERGY, 6.1, 0.1, "6.1");
      typed.keep(run, 1800, "Meter C", Channel.AC_ENERGY, 305, 1, "305");
      assertEquals(typed.trace(run).size(), 3);
      typed.struck(wrong, true);
      Trace trace = typed.trace(run);
      assertEquals(trace.size(), 2, "one meter's totals, the struck one left out");
      assertEquals(trace.value(Channel.AC_ENERGY, 1), 609.0);
      assertEquals(trace.value(Channel.DISPLAY_CHARGE, 1), 38.0);
      typed.struck(wrong, false);
      assertEquals(typed.trace(run).size(), 3);
    }
  }

  @Test
  public void aRunCutShortGoesOnWhereItsReadingsEnd() {
    long id;
    try (Workbook workbook = Workbook.open(file, CLOCK)) {
      TestedUnit unit = workbook.units().add("U");
      RunWriter writer =
          workbook
              .runs()
              .begin(
                  new NewRun(RunOf.unit(unit.id()), "ac-drain", "Drain", CLOCK.instant(), SETTINGS),
                  CHANNELS);
      id = writer.runId();
      writer.append(1, new double[] {600, 22});
      writer.append(2, new double[] {Double.NaN, Double.NaN});
      writer.flush();
    }
    try (Workbook workbook = Workbook.open(file, CLOCK)) {
      Run run = workbook.runs().byId(id).orElseThrow();
      RunWriter writer = workbook.runs().resume(run);
      writer.append(3, new double[] {601, 23});
      writer.flush();
      writer.end(Run.State.DONE, "Done.");
      Run ended = workbook.runs().byId(id).orElseThrow();
      assertEquals(workbook.runs().trace(ended).size(), 2, "an empty row is not kept");
      assertEquals(workbook.runs().trace(ended).seconds(1), 3.0);
      assertThrows(WorkbookException.class, () -> workbook.runs().resume(ended));
      assertEquals(ended.settings(), SETTINGS);
    }
  }

  @Test
  public void photosAreKnownByTheirHash() throws Exception {
    Path photo = Files.writeString(folder.resolve("screen.jpg"), "not really a picture");
    try (Workbook workbook = Workbook.open(file, CLOCK)) {
      TestedUnit unit = workbook.units().add("U");
      RunWriter writer =
          workbook
              .runs()
              .begin(
                  new NewRun(RunOf.unit(unit.id()), "ac-drain", "Drain", CLOCK.instant(), SETTINGS),
                  CHANNELS);
      workbook.photos().add(writer.runId(), 12, photo, "the code");
      Photo kept = workbook.photos().of(writer.runId()).get(0);
      assertEquals(Photos.find(kept), Photos.Found.SAME);
      Files.writeString(photo, "another");
      assertEquals(Photos.find(kept), Photos.Found.CHANGED);
      Files.delete(photo);
      assertEquals(Photos.find(kept), Photos.Found.MISSING);
      assertThrows(
          WorkbookException.class, () -> workbook.photos().add(writer.runId(), 12, photo, "gone"));
    }
  }

  @Test
  public void whatIsDecidedAboutARunIsKeptAndOlderDecisionsStay() {
    Treatment treatment =
        Treatment.NONE
            .leavingOut(new Treatment.LeftOut(600, 660, "loose \"lead\", =SUM(1)"))
            .withCutoff(java.util.OptionalDouble.of(5000.25))
            .withStandingWatts(1.5)
            .withLeadOhms(0.15);
    long run;
    try (Workbook workbook = Workbook.open(file, CLOCK)) {
      run =
          workbook
              .runs()
              .begin(
                  new NewRun(
                      RunOf.unit(workbook.units().add("U").id()),
                      "dc-drain",
                      "DC drain",
                      CLOCK.instant(),
                      RunSettings.of(RunSettings.Source.FILE, Map.of())),
                  List.of())
              .runId();
      assertEquals(workbook.treatments().of(run), Treatment.NONE);
      workbook.treatments().decide(run, treatment);
      assertEquals(workbook.treatments().of(run), treatment);
      workbook.treatments().decide(run, Treatment.NONE);
      workbook.treatments().decide(run, treatment.withLeadOhms(0));
    }
    try (Workbook workbook = Workbook.open(file, CLOCK)) {
      assertEquals(workbook.treatments().of(run), treatment.withLeadOhms(0));
      assertEquals(
          workbook.query("SELECT count(*) FROM treatment", q -> {}, r -> r.getInt(1)).get(0), 3);
      workbook.update(
          "UPDATE treatment SET decided = '{\"leftOut\":[{\"from\":9,\"to\":1,\"reason\":\"x\"}]}'",
          q -> {});
      assertThrows(WorkbookException.class, () -> workbook.treatments().of(run));
    }
  }

  @Test
  public void panelsOnHandAreKept() {
    Panel bare = new Panel("bare \"one\"", 22.4, 5.9, 18.6, 5.4, Double.NaN, Double.NaN, 0);
    Panel full = new Panel("full", 28.4, 9.1, 23.6, 8.5, -0.29, 0.05, 48);
    PanelsOnHand panels =
        new PanelsOnHand(
            List.of(new PanelsOnHand.Lot(bare, 4), new PanelsOnHand.Lot(full, 2)),
            new Site(new SunDay(-33.5, 12, 20, -40, 0.4), -3.5, 31));
    try (Workbook workbook = Workbook.open(file, CLOCK)) {
      assertEquals(workbook.panelsOnHand(), PanelsOnHand.NONE);
      workbook.panelsOnHand(panels);
    }
    try (Workbook workbook = Workbook.open(file, CLOCK)) {
      assertEquals(workbook.panelsOnHand(), panels);
    }
    for (String broken :
        List.of("{", "{\"panels\":[{\"name\":\"x\"}]}", "{\"panels\":[],\"site\":{}}")) {
      WorkbookException thrown =
          expectThrows(WorkbookException.class, () -> PanelsJson.read(broken));
      assertTrue(thrown.getMessage().contains("panels"), thrown.getMessage());
    }
  }

  @Test
  public void loadsOnHandAreKept() {
    try (Workbook workbook = Workbook.open(file, CLOCK)) {
      assertEquals(workbook.loadsOnHand(), "");
      workbook.loadsOnHand("60, 100");
      workbook.loadsOnHand("60, 100, 200");
      workbook.title("T");
    }
    try (Workbook workbook = Workbook.open(file, CLOCK)) {
      assertEquals(workbook.loadsOnHand(), "60, 100, 200");
      assertEquals(workbook.title(), "T");
    }
  }
}
