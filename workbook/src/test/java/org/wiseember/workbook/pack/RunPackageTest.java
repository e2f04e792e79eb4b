package org.wiseember.workbook.pack;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertTrue;
import static org.testng.Assert.expectThrows;

import com.fasterxml.jackson.databind.ObjectMapper;
import com.networknt.schema.JsonSchemaFactory;
import com.networknt.schema.SpecVersion;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Clock;
import java.time.Instant;
import java.time.ZoneOffset;
import java.util.List;
import java.util.Map;
import java.util.zip.ZipEntry;
import java.util.zip.ZipFile;
import java.util.zip.ZipOutputStream;
import org.testng.annotations.AfterMethod;
import org.testng.annotations.BeforeMethod;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;
import org.wiseember.core.trace.Channel;
import org.wiseember.core.trace.Trace;
import org.wiseember.core.trace.Treatment;
import org.wiseember.core.uncertainty.MeterClass;
import org.wiseember.core.waveform.Capture;
import org.wiseember.core.waveform.CaptureNote;
import org.wiseember.workbook.*;

public class RunPackageTest {
  private static final Clock CLOCK =
      Clock.fixed(Instant.parse("2026-05-04T16:30:00Z"), ZoneOffset.UTC);

  private Path folder;
  private Workbook workbook;

  @BeforeMethod
  public void open() throws Exception {
    folder = Files.createTempDirectory("ember-package");
    workbook = Workbook.open(folder.resolve("one.ember"), CLOCK);
  }

  @AfterMethod(alwaysRun = true)
  public void close() {
    workbook.close();
  }

  private Run someRun() {
    TestedUnit unit = workbook.units().add("=HYPERLINK(\"x\")");
    workbook.units().label(unit.id(), "1075 Wh", List.of());
    RunSettings settings =
        RunSettings.of(
            RunSettings.Source.SIMULATED,
            Map.of(Channel.AC_POWER, MeterClass.ofReading(0.5, 2, 0.1)));
    RunWriter writer =
        workbook
            .runs()
            .begin(
                new NewRun(
                    RunOf.unit(unit.id()),
                    "ac-drain",
                    "AC drain at 600 W",
                    CLOCK.instant(),
                    settings),
                List.of(Channel.AC_POWER, Channel.CASE_TEMPERATURE));
    for (int i = 1; i <= 100; i++) {
      writer.append(i * 1.1, new double[] {600 + 1.0 / i, i % 7 == 0 ? Double.NaN : 22.1});
    }
    writer.note(new Event(3, "mark", "Fan on, \"loud\""));
    writer.flush();
    writer.end(Run.State.DONE, "The output dropped out.");
    workbook
        .treatments()
        .decide(
            writer.runId(),
            Treatment.NONE
                .leavingOut(new Treatment.LeftOut(3, 4.5, "loose lead"))
                .withCutoff(java.util.OptionalDouble.of(99)));
    workbook
        .typedReadings()
        .keep(writer.runId(), 50, "Meter B", Channel.AC_ENERGY, 8.3, 0.1, "8.3");
    workbook
        .captures()
        .add(
            writer.runId(),
            List.of(
                new StoredCapture(
                    7,
                    CaptureNote.of("Plug pulled, \"fast\""),
                    Capture.of(10_000, new double[] {1.5, -325.1, 0}, new double[] {0, 1e-7, -3})),
                new StoredCapture(
                    9, CaptureNote.of("volts alone"), Capture.of(2e6, new double[] {0.1, 0.2}))));
    return workbook.runs().byId(writer.runId()).orElseThrow();
  }

  /** Out and in again, nothing is different to the last bit. */
  @Test
  public void aRunGoesOutAndComesBackTheSame() throws Exception {
    Run run = someRun();
    Path zip = folder.resolve("run.zip");
    RunPackage.write(workbook, run, zip);
    RunPackage.Unpacked in = RunPackage.read(zip);
    assertEquals(in.unitName(), "=HYPERLINK(\"x\")");
    assertEquals(in.title(), run.title());
    assertEquals(in.settings(), run.settings());
    assertEquals(in.events(), workbook.runs().events(run.id()));
    assertEquals(in.typed().get(0).value(), 8.3);
    assertEquals(in.captures().size(), 2);
    assertEquals(in.captures().get(0).words(), "Plug pulled, \"fast\"");
    assertEquals(in.captures().get(0).seconds(), 7.0);
    assertEquals(in.captures().get(0).capture().amps(), new double[] {0, 1e-7, -3});
    assertEquals(in.captures().get(1).capture().volts(), new double[] {0.1, 0.2});
    assertEquals(in.captures().get(1).capture().perSecond(), 2e6);
    assertTrue(!in.captures().get(1).capture().hasAmps());
    assertEquals(in.treatment(), workbook.treatments().of(run.id()));
    assertEquals(in.treatment().leftOut().get(0).reason(), "loose lead");
    Trace before = workbook.runs().trace(run);
    long copy =
        workbook
            .runs()
            .add(
                new NewRun(
                    RunOf.unit(run.unitId()), in.kind(), in.title(), in.startedAt(), in.settings()),
                in.state(),
                in.ending(),
                in.trace(),
                in.events());
    Trace after = workbook.runs().trace(workbook.runs().byId(copy).orElseThrow());
    assertEquals(after.size(), before.size());
    for (int i = 0; i < before.size(); i++) {
      assertEquals(after.seconds(i), before.seconds(i));
      for (Channel channel : run.channels()) {
        assertEquals(after.value(channel, i), before.value(channel, i));
      }
    }
    byte[] first = Files.readAllBytes(zip);
    RunPackage.write(workbook, run, zip);
    assertEquals(Files.readAllBytes(zip), first, "packing twice gives the same bytes");
  }

  @Test
  public void runJsonKeepsItsPublishedSchema() throws Exception {
    Run run = someRun();
    workbook.photos().add(run.id(), 5, Files.writeString(folder.resolve("p.jpg"), "p"), "the code");
    Path zip = folder.resolve("run.zip");
    RunPackage.write(workbook, run, zip);
    try (ZipFile in = new ZipFile(zip.toFile())) {
      var schema =
          JsonSchemaFactory.getInstance(SpecVersion.VersionFlag.V202012)
              .getSchema(Files.readString(Path.of("..", "docs", "schemas", "run.schema.json")));
      var json = new ObjectMapper().readTree(in.getInputStream(in.getEntry("run.json")));
      assertEquals(schema.validate(json).toString(), "[]");
      assertEquals(json.path("photos").size(), 1);
      assertEquals(
          schema.validate(new ObjectMapper().readTree("{\"format\":\"other\"}")).isEmpty(), false);
    }
  }

  /** Cells of samples.csv are numbers or empty: no formula can stand in one. */
  @Test
  public void theSamplesAreNumbersOnly() throws Exception {
    Path zip = folder.resolve("run.zip");
    RunPackage.write(workbook, someRun(), zip);
    try (ZipFile in = new ZipFile(zip.toFile())) {
      String text =
          new String(
              in.getInputStream(in.getEntry("samples.csv")).readAllBytes(), StandardCharsets.UTF_8);
      assertTrue(
          text.lines().skip(1).allMatch(l -> l.matches("[-0-9.eE,]*")), text.substring(0, 80));
    }
  }

  @DataProvider
  Object[][] hostile() {
    String json = "{\"format\":\"wise-ember-run-1\",\"startedAt\":\"2026-05-04T16:30:00Z\"";
    return new Object[][] {
      {Map.of("other.json", "{}"), "there is no run.json"},
      {Map.of("run.json", "{}"), "does not call itself"},
      {Map.of("run.json", "not json"), "not JSON"},
      {Map.of("run.json", json + ",\"channels\":[\"ac_power\"]}"), "no samples.csv"},
      {Map.of("run.json", json + ",\"channels\":[\"evil\"]}"), "unknown channel"},
      {
        Map.of("run.json", json + ",\"channels\":[\"ac_power\"]}", "samples.csv", "a,b\n1,2\n"),
        "samples cannot be read"
      },
      {Map.of("run.json", "{\"format\":\"wise-ember-run-1\",\"startedAt\":\"soon\"}"), "a field"},
      {Map.of("../../run.json", json + "}"), "there is no run.json"},
    };
  }

  @Test(dataProvider = "hostile")
  public void hostileArchivesGetOneSentenceAndChangeNothing(
      Map<String, String> entries, String words) throws Exception {
    Path zip = folder.resolve("hostile.zip");
    try (ZipOutputStream out = new ZipOutputStream(Files.newOutputStream(zip))) {
      for (Map.Entry<String, String> entry : entries.entrySet()) {
        out.putNextEntry(new ZipEntry(entry.getKey()));
        out.write(entry.getValue().getBytes(StandardCharsets.UTF_8));
        out.closeEntry();
      }
    }
    WorkbookException told = expectThrows(WorkbookException.class, () -> RunPackage.read(zip));
    assertTrue(told.getMessage().contains(words), told.getMessage());
    assertTrue(told.getMessage().startsWith("hostile.zip is not taken in"), told.getMessage());
    try (var list = Files.list(folder.getParent())) {
      assertTrue(list.noneMatch(p -> p.getFileName().toString().equals("run.json")));
    }
  }

  @Test
  public void whatIsNoZipIsSaid() throws Exception {
    Path file = Files.writeString(folder.resolve("no.zip"), "plain");
    WorkbookException told = expectThrows(WorkbookException.class, () -> RunPackage.read(file));
    assertTrue(told.getMessage().contains("not a zip"), told.getMessage());
  }
}
