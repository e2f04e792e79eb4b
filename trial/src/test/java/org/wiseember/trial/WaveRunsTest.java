package org.wiseember.trial;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertTrue;

import java.nio.file.Files;
import java.time.Clock;
import java.time.Instant;
import java.time.ZoneOffset;
import java.util.List;
import java.util.Optional;
import org.testng.annotations.AfterMethod;
import org.testng.annotations.BeforeMethod;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;
import org.wiseember.core.figure.Figure;
import org.wiseember.core.label.Subject;
import org.wiseember.core.verdict.Standing;
import org.wiseember.core.waveform.Capture;
import org.wiseember.core.waveform.CaptureNote;
import org.wiseember.core.waveform.CapturePlace;
import org.wiseember.report.drawing.CycleDrawing;
import org.wiseember.report.page.FindingPage;
import org.wiseember.report.page.PageHtml;
import org.wiseember.trial.kind.waveform.WaveRun;
import org.wiseember.trial.page.TrialPage;
import org.wiseember.trial.verdict.Judged;
import org.wiseember.trial.verdict.Judgement;
import org.wiseember.trial.wave.Wave;
import org.wiseember.trial.wave.WaveFiles;
import org.wiseember.trial.wave.WavePictures;
import org.wiseember.workbook.StoredCapture;
import org.wiseember.workbook.TestedUnit;
import org.wiseember.workbook.Workbook;

/** Captures of a unit held against its label, on a page, and as pictures. */
public class WaveRunsTest {
  private static final Instant NOW = Instant.parse("2026-05-04T16:30:00Z");

  private Workbook workbook;

  @BeforeMethod
  public void open() throws Exception {
    workbook =
        Workbook.open(
            Files.createTempDirectory("ember-waves").resolve("one.ember"),
            Clock.fixed(NOW, ZoneOffset.UTC));
  }

  @AfterMethod(alwaysRun = true)
  public void close() {
    workbook.close();
  }

  private TestedUnit unit(String label) {
    long id = workbook.units().add("Kiosk").id();
    workbook.units().label(id, label, List.of());
    return workbook.units().byId(id).orElseThrow();
  }

  private static Capture sine(double volts, double third) {
    double[] v = new double[10_000];
    for (int i = 0; i < v.length; i++) {
      double w = 2 * Math.PI * 50 * i / 25_000;
      v[i] =
          volts * Math.sqrt(2 / (1 + third * third)) * (Math.sin(w) + third * Math.sin(3 * w + 1));
    }
    return Capture.of(25_000, v);
  }

  private static Capture stepped() {
    double[] v = new double[10_000];
    for (int i = 0; i < v.length; i++) {
      double x = 50.0 * i / 25_000 % 1;
      v[i] = x > 0.125 && x < 0.375 ? 325 : x > 0.625 && x < 0.875 ? -325 : 0;
    }
    return Capture.of(25_000, v);
  }

  private Judgement judged(TestedUnit unit, Object... notesAndCaptures) {
    long run = WaveFiles.run(workbook, unit.id(), 230, "scope.csv", NOW);
    for (int i = 0; i < notesAndCaptures.length; i += 2) {
      workbook
          .captures()
          .keep(
              run,
              new StoredCapture(
                  Double.NaN,
                  (CaptureNote) notesAndCaptures[i],
                  (Capture) notesAndCaptures[i + 1]));
    }
    return Judgement.of(workbook, unit, true);
  }

  private static Optional<Standing> standing(Judgement judgement, Subject subject) {
    return judgement.lines().stream()
        .filter(l -> l.claim().subject() == subject)
        .findFirst()
        .flatMap(Judged::verdict)
        .map(v -> v.standing());
  }

  @DataProvider
  Object[][] claims() {
    return new Object[][] {
      // A label that names no load promises its distortion at any: the worst counts.
      {"1000 W\nPure sine wave, THD < 3 %", 0.01, 0.02, Standing.KEPT, Standing.KEPT},
      {"1000 W\nPure sine wave, THD < 3 %", 0.045, 0.02, Standing.SHORT, Standing.KEPT},
      {"1000 W\nPure sine wave, THD < 3 %", 0.01, 0.07, Standing.SHORT, Standing.SHORT},
      {"1000 W\nPure sine wave, THD < 3 %", 0.03, 0.01, Standing.TOO_CLOSE, Standing.KEPT},
      {"1000 W\nPure sine wave, THD < 6 %", 0.01, 0.05, Standing.KEPT, Standing.TOO_CLOSE},
    };
  }

  @Test(dataProvider = "claims")
  public void distortionAndShape(
      String label, double light, double heavy, Standing distortion, Standing shape) {
    Judgement judgement =
        judged(
            unit(label),
            CaptureNote.ofLoad(0),
            sine(230, light),
            CaptureNote.ofLoad(900),
            sine(226, heavy));
    assertEquals(standing(judgement, Subject.DISTORTION), Optional.of(distortion));
    assertEquals(standing(judgement, Subject.WAVEFORM), Optional.of(shape));
  }

  /** What the mains do is not the unit's doing. */
  @Test
  public void theMainsAreNotJudged() {
    Judgement judgement =
        judged(
            unit("1000 W\nPure sine, THD < 3 %"),
            CaptureNote.ofMains(),
            sine(230, 0.08),
            CaptureNote.ofLoad(0),
            sine(230, 0.01));
    assertEquals(standing(judgement, Subject.DISTORTION), Optional.of(Standing.KEPT));
    Judgement none =
        judged(unit("1000 W\nPure sine, THD < 3 %"), CaptureNote.ofMains(), sine(230, 0.08));
    assertEquals(standing(none, Subject.DISTORTION), Optional.of(Standing.NOT_TESTED));
    assertEquals(standing(none, Subject.WAVEFORM), Optional.of(Standing.NOT_TESTED));
  }

  /**
   * Before and after a filter; what stands behind it, or comes from a generator, judges nothing.
   */
  @Test
  public void beforeAndAfterAFilter() {
    Judgement judgement =
        judged(
            unit("1000 W\nPure sine wave, THD < 3 %"),
            CaptureNote.ofLoad(600),
            sine(230, 0.06),
            CaptureNote.at(CapturePlace.BEHIND_FILTER, 600),
            sine(228, 0.01),
            CaptureNote.at(CapturePlace.CHARGING, 600),
            sine(230, 0.06),
            CaptureNote.at(CapturePlace.GENERATOR, Double.NaN),
            sine(228, 0.2),
            // Another load is no pair.
            CaptureNote.at(CapturePlace.BEHIND_FILTER, 200),
            sine(228, 0.01));
    assertEquals(standing(judgement, Subject.DISTORTION), Optional.of(Standing.SHORT));
    WaveRun run = judgement.newest(WaveRun.class).orElseThrow();
    assertEquals(run.own().size(), 1);
    List<Figure> changes =
        run.figures().stream().filter(f -> f.key().startsWith("distortion_change")).toList();
    assertEquals(changes.size(), 2);
    assertEquals(changes.get(0).value(), -5, 0.05);
    assertEquals(changes.get(1).value(), 0, 0.05);
    List<String> words =
        run.page(judgement).parts().stream()
            .filter(FindingPage.Sentences.class::isInstance)
            .flatMap(p -> ((FindingPage.Sentences) p).words().stream())
            .toList();
    assertTrue(
        words.stream().anyMatch(w -> w.startsWith("Behind the filter") && w.contains("less")),
        words.toString());
    assertTrue(
        words.stream().anyMatch(w -> w.startsWith("While it charges") && w.contains("as before")),
        words.toString());
    // Filtered captures alone say nothing of the unit's own wave.
    Judgement alone =
        judged(
            unit("1000 W\nPure sine wave, THD < 3 %"),
            CaptureNote.at(CapturePlace.BEHIND_FILTER, 0),
            sine(230, 0.01));
    assertEquals(standing(alone, Subject.DISTORTION), Optional.of(Standing.NOT_TESTED));
  }

  /** Where it was captured is kept with it. */
  @Test
  public void thePlaceIsKept() {
    Judgement judgement =
        judged(unit("1000 W"), CaptureNote.at(CapturePlace.CHARGING, 300), sine(230, 0.02));
    long run = judgement.newest(WaveRun.class).orElseThrow().run().id();
    assertEquals(
        workbook.captures().of(run).get(0).note(), CaptureNote.at(CapturePlace.CHARGING, 300));
    assertEquals(workbook.captures().of(run).get(0).words(), "300 W, while it charges");
  }

  @Test
  public void steppedWavesAgainstBothWords() {
    assertEquals(
        standing(
            judged(unit("300 W\nPure sine"), CaptureNote.ofLoad(0), stepped()), Subject.WAVEFORM),
        Optional.of(Standing.SHORT));
    assertEquals(
        standing(
            judged(unit("300 W\nModified sine"), CaptureNote.ofLoad(0), stepped()),
            Subject.WAVEFORM),
        Optional.of(Standing.KEPT));
  }

  /** Loads come from the capture's name where no meter stood beside it, and the sweep is sorted. */
  @Test
  public void loadsByName() {
    Judgement judgement =
        judged(
            unit("2000 W"),
            CaptureNote.ofLoad(1200),
            sine(222, 0.02),
            CaptureNote.ofLoad(0),
            sine(230, 0.03),
            CaptureNote.of("by night"),
            sine(229, 0.01));
    WaveRun run = (WaveRun) judgement.runs().get(0);
    assertEquals(run.sweep().points().stream().map(p -> p.watts()).toList(), List.of(0.0, 1200.0));
    assertEquals(run.at(1000).orElseThrow().watts(), 1200.0);
    assertEquals(run.own().size(), 3);
  }

  /** One damaged capture says why and leaves the others alone. */
  @Test
  public void aDamagedOneAmongOthers() {
    Judgement judgement =
        judged(
            unit("1000 W\nPure sine"),
            CaptureNote.ofLoad(0),
            Capture.of(25_000, new double[500]),
            CaptureNote.ofLoad(600),
            sine(230, 0.01));
    WaveRun run = (WaveRun) judgement.runs().get(0);
    assertEquals(run.own().size(), 1);
    assertTrue(run.warnings().stream().anyMatch(w -> w.message().contains("All samples are 0")));
  }

  /** A capture that was taken back is no longer there, and comes back. */
  @Test
  public void takenBackAndBackAgain() {
    TestedUnit unit = unit("1000 W");
    long run = WaveFiles.run(workbook, unit.id(), 230, "scope.csv", NOW);
    long id =
        workbook.captures().keep(run, new StoredCapture(0, CaptureNote.ofLoad(0), sine(230, 0)));
    workbook.captures().struck(id, true);
    assertTrue(workbook.captures().of(run).isEmpty());
    workbook.captures().struck(id, false);
    assertEquals(workbook.captures().of(run).size(), 1);
  }

  /** The picture begins where the wave goes up through zero, and wave less sine is what is left. */
  @Test
  public void aStretchAsAPicture() {
    Judgement judgement =
        judged(
            unit("1000 W"),
            CaptureNote.ofLoad(0),
            sine(230, 0.05),
            CaptureNote.ofMains(),
            sine(231, 0));
    WaveRun run = (WaveRun) judgement.runs().get(0);
    Wave wave = run.own().get(0);
    CycleDrawing figure = WavePictures.stretch(wave, Optional.of(run.waves().get(1)), 0, 40);
    double[] ms = figure.wave().milliseconds();
    double rest = 0;
    for (int i = 0; i < ms.length; i++) {
      rest = Math.max(rest, Math.abs(figure.rest().values()[i]));
    }
    assertEquals(figure.sine().values()[0], 0, 3.0);
    assertTrue(figure.sine().values()[100] > 0, "upward");
    assertEquals(rest, 0.05 * 230 * Math.sqrt(2), 0.5);
    assertEquals(figure.besideWords(), "the mains");
    assertEquals(WavePictures.volts(wave, 5), figure.wave().values()[(int) (5 / 0.04)], 3.0);
    CycleDrawing over = WavePictures.overlaid(wave);
    assertEquals(over.to(), 20, 0.01);
  }

  /** The page has a sheet for the wave: its figures, its caps, what it is fit for. */
  @Test
  public void aPageWithItsWave() {
    Judgement judgement =
        judged(unit("1000 W\nPure sine, THD < 3 %"), CaptureNote.ofLoad(0), sine(230, 0.04));
    String html =
        new PageHtml()
            .write(TrialPage.sheet(judgement.runs().get(0), judgement), "Quay", "4 May 2026");
    for (String words :
        List.of("Waveform from files", "harmonic order", "caps: EN 50160", "Medical devices")) {
      assertTrue(html.contains(words), words);
    }
  }
}
