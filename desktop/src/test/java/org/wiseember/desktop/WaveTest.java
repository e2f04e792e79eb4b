package org.wiseember.desktop;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertFalse;
import static org.testng.Assert.assertTrue;

import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Optional;
import javafx.scene.Node;
import javafx.scene.control.Label;
import javafx.scene.input.KeyCode;
import org.testng.annotations.Test;
import org.wiseember.bench.procedure.WaveSteps;
import org.wiseember.bench.run.Pace;
import org.wiseember.core.label.Subject;
import org.wiseember.core.verdict.Standing;
import org.wiseember.core.waveform.WaveClass;
import org.wiseember.trial.AllTests;
import org.wiseember.trial.demo.DemoWorkbook;
import org.wiseember.trial.kind.waveform.WaveRun;
import org.wiseember.workbook.comtrade.ComtradeReader;

/** Waves in a real window: captured on the bench, read from files, looked at, saved. */
public class WaveTest extends InDemoWindow {
  private WaveRun newest() {
    return unit().runs().stream()
        .filter(WaveRun.class::isInstance)
        .map(WaveRun.class::cast)
        .reduce((a, b) -> b)
        .orElse(null);
  }

  private void toEvidenceOf(WaveRun run) {
    OpenWindow.onFx(
        () -> {
          window.session().at().shownRun().set(run.run().id());
          return null;
        });
    robot.push(KeyCode.CONTROL, KeyCode.DIGIT4);
    window.untilShown("What it means");
  }

  private String text(String id) {
    return OpenWindow.onFx(() -> ((Label) window.scene().lookup("#" + id)).getText());
  }

  /** From the bench over every load to the verdict on the label's sine and its distortion. */
  @Test
  public void wavesFromTheBenchToTheVerdict() {
    window.choose(2);
    robot.push(KeyCode.CONTROL, KeyCode.DIGIT3);
    window.test("waveform");
    window.untilShown("Never clip a scope's earth");
    window.until(() -> window.session().bench().mayStart(AllTests.of(WaveSteps.KIND)));
    OpenWindow.onFx(
        () -> {
          window.session().bench().setPace(Pace.FULL);
          return null;
        });
    window.click("start-test");
    window.until(() -> newest() != null && !window.session().bench().going());
    window.until(() -> newest() != null && newest().waves().size() >= 4);
    WaveRun run = newest();
    assertTrue(run.waves().get(0).mains());
    assertEquals(run.waves().get(1).watts(), 0.0);
    assertTrue(run.waves().stream().allMatch(w -> w.check().isEmpty() || w.check().get().agrees()));
    window.until(
        () ->
            unit().lines().stream()
                .filter(
                    l ->
                        l.claim().subject() == Subject.DISTORTION
                            || l.claim().subject() == Subject.WAVEFORM)
                .allMatch(l -> l.verdict().orElseThrow().standing() == Standing.KEPT));
  }

  /** Another capture is chosen, compared, looked at closely; the cursors say what lies between. */
  @Test
  public void lookingAtAWave() {
    toEvidenceOf(newest());
    window.click("wave-Noload");
    window.untilShown("Distortion, no load");
    String before = text("wave-cursors");
    Node chart = window.node("cursors");
    OpenWindow.onFx(
        () -> {
          chart.requestFocus();
          return null;
        });
    robot.push(KeyCode.RIGHT);
    window.until(() -> !text("wave-cursors").equals(before));
    assertTrue(text("wave-cursors").contains("ms apart"), text("wave-cursors"));
    robot.push(KeyCode.MINUS);
    window.click("wave-closer");
    window.click("part-OVERLAID");
    window.click("part-TWO_CYCLES");
    window.click("caps-IEEE_519");
    window.untilShown("Within IEEE 519");
    window.click("caps-NONE");
    window.until(() -> !window.shows("Within IEEE 519"));
    window.click("beside-0");
    window.settle();
    assertEquals(newest().waves().size(), 6);
  }

  /** A stepped wave is told as what it is, and for what it is not. */
  @Test
  public void aSteppedWave() {
    window.choose(4);
    window.until(() -> newest() != null);
    assertEquals(
        newest().worst().orElseThrow().finding().orElseThrow().shape(), WaveClass.MODIFIED);
    toEvidenceOf(newest());
    window.untilShown("not for it");
    window.untilShown("Over EN 50160: the total, the 3rd");
  }

  /** A scope's file dropped on the window, its ratio typed, kept, taken back, and saved. */
  @Test
  public void aCaptureFromAFile() throws Exception {
    window.choose(1);
    Path file = folder.resolve("scope.csv");
    DemoWorkbook.writeScopeFile(file);
    OpenWindow.onFx(
        () -> {
          window.session().readingIn().take(file);
          return null;
        });
    window.untilShown("Import a capture");
    window.untilShown("True RMS 5.");
    window.click("capture-at-LOAD");
    window.untilShown("Type the load in watts");
    window.type("capture-watts", "50 W");
    window.type("capture-ratio", "forty");
    window.untilShown("The ratio is a number");
    robot.push(KeyCode.CONTROL, KeyCode.A);
    robot.write("40");
    window.untilShown("True RMS 23");
    robot.push(KeyCode.ENTER);
    window.until(() -> newest() != null && newest().own().size() == 1);
    WaveRun run = newest();
    assertEquals(run.own().get(0).finding().orElseThrow().rms().value(), 230, 2);
    assertEquals(run.own().get(0).watts(), 50.0);
    window.untilShown("What it means");
    window.click("comtrade-BINARY32");
    window.click("save-capture");
    window.untilShown("with its .dat beside it");
    Optional<Path> saved;
    try (var all = Files.list(folder)) {
      saved = all.filter(p -> p.toString().endsWith(".cfg")).findFirst();
    }
    assertEquals(
        ComtradeReader.read(saved.orElseThrow(), Optional.empty(), 1).capture().size(), 20_000);
    robot.push(KeyCode.CONTROL, KeyCode.Z);
    window.until(() -> newest() == null);
    // What was saved comes back in, and this time it is the mains'.
    OpenWindow.onFx(
        () -> {
          window.session().readingIn().take(saved.orElseThrow());
          return null;
        });
    window.click("capture-at-MAINS");
    window.click("keep-capture");
    window.until(() -> newest() != null && newest().waves().size() == 1);
    assertTrue(newest().waves().get(0).mains());
    assertTrue(newest().own().isEmpty());
  }

  /** A file that is no wave is one sentence, and nothing is kept. */
  @Test
  public void aDamagedCapture() throws Exception {
    Path file = folder.resolve("flat.cfg");
    Files.writeString(file, "no configuration");
    OpenWindow.onFx(
        () -> {
          window.session().readingIn().take(file);
          return null;
        });
    window.untilShown("There is no flat.dat beside flat.cfg");
    assertFalse(window.shows("Import a capture"));
  }
}
