package org.wiseember.desktop;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertTrue;

import java.nio.file.Files;
import java.nio.file.Path;
import javafx.scene.input.KeyCode;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.text.PDFTextStripper;
import org.testng.annotations.AfterClass;
import org.testng.annotations.BeforeClass;
import org.testng.annotations.Test;
import org.wiseember.desktop.model.StageName;
import org.wiseember.trial.beside.BesideRun;
import org.wiseember.workbook.RunSubject;
import org.wiseember.workbook.day.WatchJson;

/** Appliances and sources in a real window, in a workbook without a unit. */
public class BesideTest {
  private Path folder;
  private OpenWindow window;
  private Keys keys;

  @BeforeClass
  public void open() throws Exception {
    folder = Files.createTempDirectory("ember-beside");
    window = OpenWindow.on(folder.resolve("market.ember"));
    keys = new Keys(window);
    window.until(() -> window.session().open().workbook().isPresent());
  }

  @AfterClass(alwaysRun = true)
  public void close() {
    window.close();
  }

  private BesideRun run(int at) {
    return OpenWindow.onFx(() -> window.session().beside().runs().get(at));
  }

  private int count() {
    return OpenWindow.onFx(() -> window.session().beside().runs().size());
  }

  /** A generator by itself, by keyboard alone, from an empty page to its figures. */
  @Test
  public void aGeneratorIsNoUnit() {
    window.robot().push(KeyCode.CONTROL, KeyCode.DIGIT4);
    keys.press("to-beside");
    window.untilShown("Appliances and sources");
    keys.press("try-source");
    keys.fill("source-name", "Yard generator");
    keys.fill("source-nominal", "230");
    load("0", "236", "52.1");
    load("1600", "221", "49.2");
    keys.tabTo("source-watts");
    window.robot().write("2000");
    keys.choose("went-NOT_SAID", "went-STALLED");
    keys.press("source-keep");
    window.until(() -> count() == 1);
    BesideRun run = run(0);
    assertEquals(run.subject().kind(), RunSubject.Kind.GENERATOR);
    assertEquals(run.subject().name(), "Yard generator");
    assertEquals(run.figures().get(0).words(), "≥ 1\u2009600 ± 30 W");
    assertTrue(
        run.run().unitId() == 0 && window.session().shelf().places().isEmpty(),
        "it poses as no unit");
    window.untilShown("Volts fall by");
    window.untilShown("stalled or tripped");
  }

  private void load(String watts, String volts, String hertz) {
    keys.tabTo("source-watts");
    window.robot().write(watts);
    keys.tabTo("source-volts");
    window.robot().write(volts);
    keys.tabTo("source-hertz");
    window.robot().write(hertz);
    keys.choose("went-NOT_SAID", "went-HELD");
    keys.press("source-add");
    window.untilShown(volts + " V, " + hertz + " Hz, held");
  }

  /** Watched, printed, written, taken away and put back. */
  @Test(dependsOnMethods = "aGeneratorIsNoUnit")
  public void aWatchPrintsAndGoesOutAndIn() throws Exception {
    keys.press("watch-appliance");
    keys.fill("watched-name", "Office fridge");
    keys.fill("watch-kwh", "2.13");
    keys.fill("watch-hours", "25");
    keys.fill("watch-minutes", "13");
    keys.fill("watch-running", "52");
    keys.fill("watch-highest", "383");
    keys.press("keep-watch");
    window.until(() -> count() == 2);
    window.untilShown("Energy a day");
    Path file = folder.resolve("fridge.pdf");
    keys.fill("appliance-file", file.toString());
    keys.press("save-appliance-pdf");
    window.until(() -> Files.exists(file));
    try (PDDocument pdf = Loader.loadPDF(file.toFile())) {
      String text = new PDFTextStripper().getText(pdf);
      assertTrue(text.contains("Office fridge") && text.contains("84 ± 4 W"), text);
      assertTrue(text.contains("defrosts"), text);
    }
    keys.press("save-appliance-json");
    Path json = folder.resolve("fridge.json");
    window.until(() -> Files.exists(json));
    window.idle();
    assertEquals(
        WatchJson.read(Files.readString(json)).watch(), run(1).watch().orElseThrow().watch());
    keys.press("remove-beside");
    window.until(() -> count() == 1);
    window.robot().push(KeyCode.CONTROL, KeyCode.Z);
    window.until(() -> count() == 2);
    OpenWindow.onFx(
        () -> {
          window.session().dayWork().take(json);
          return null;
        });
    window.until(() -> count() == 3);
    assertEquals(run(2).figures().get(0).value(), run(1).figures().get(0).value());
  }

  /** A log of a meter is read in as a watch, without a unit. */
  @Test(dependsOnMethods = "aWatchPrintsAndGoesOutAndIn")
  public void aLogIsReadInAsAWatch() throws Exception {
    StringBuilder text = new StringBuilder("seconds,ac_power (W)\n");
    for (int i = 0; i < 26 * 360; i++) {
      text.append(10 * i).append(',').append(i % 90 < 30 ? i > 3000 && i < 3040 ? 400 : 95 : 1);
      text.append('\n');
    }
    Path log = folder.resolve("cooler.csv");
    Files.writeString(log, text);
    int before = count();
    OpenWindow.onFx(
        () -> {
          window.session().readingIn().take(log);
          return null;
        });
    window.node("log-test-watch");
    window.replace("log-title", "Watch of the drinks cooler");
    window.click("read-in");
    window.until(() -> count() == before + 1);
    BesideRun run = run(before);
    assertEquals(run.subject().name(), "drinks cooler");
    assertEquals(run.watch().orElseThrow().watch().runningWatts(), 95.0);
    window.until(() -> window.session().at().stage().get() == StageName.EVIDENCE);
    window.untilShown("At rest");
  }
}
