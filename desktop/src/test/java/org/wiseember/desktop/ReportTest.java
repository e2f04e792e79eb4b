package org.wiseember.desktop;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertFalse;
import static org.testng.Assert.assertTrue;

import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.attribute.PosixFilePermissions;
import java.time.Clock;
import java.util.List;
import javafx.scene.input.KeyCode;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.text.PDFTextStripper;
import org.testng.annotations.Test;
import org.wiseember.desktop.model.ReportWork;
import org.wiseember.desktop.model.StageName;
import org.wiseember.trial.publish.PackageCheck;
import org.wiseember.workbook.ReportChoice;

/** What is published of a unit, from the keyboard. */
public class ReportTest extends InDemoWindow {
  private ReportWork work() {
    return window.session().reportWork();
  }

  private void tabTo(String id) {
    for (int i = 0; i < 60 && !id.equals(focused()); i++) {
      robot.push(KeyCode.TAB);
      window.settle();
    }
    assertEquals(focused(), id);
  }

  private String focused() {
    return OpenWindow.onFx(
        () ->
            window.scene().getFocusOwner() == null
                ? ""
                : String.valueOf(window.scene().getFocusOwner().getId()));
  }

  private void laidOut() {
    window.until(() -> work().made().get() != null && work().progress().get() == ReportWork.IDLE);
  }

  private static String text(Path pdf) throws Exception {
    try (PDDocument document = Loader.loadPDF(pdf.toFile())) {
      return new PDFTextStripper().getText(document);
    }
  }

  /** All sheets in full on Letter, saved; the package beside it, signed, which verifies. */
  @Test
  public void aFullReportAndItsPackageFromTheKeyboard() throws Exception {
    robot.push(KeyCode.CONTROL, KeyCode.DIGIT8);
    window.until(() -> window.session().at().stage().get() == StageName.REPORT);
    laidOut();
    tabTo("all-sheets");
    robot.push(KeyCode.ENTER);
    window.until(() -> work().choice().get().sheets().contains("cautions"));
    tabTo("report-full-false");
    robot.push(KeyCode.RIGHT);
    robot.push(KeyCode.ENTER);
    window.until(() -> work().choice().get().full());
    tabTo("report-paper-A4");
    robot.push(KeyCode.RIGHT);
    robot.push(KeyCode.ENTER);
    window.until(() -> work().choice().get().paper().equals("letter"));
    laidOut();
    tabTo("package-key");
    robot.write(folder.resolve("mine.pem").toString());
    tabTo("save-package");
    robot.push(KeyCode.ENTER);
    window.untilShown("signed by the key");
    Path zip = folder.resolve("Quernfold Q1100.zip");
    PackageCheck check = PackageCheck.of(zip, Clock.systemUTC());
    assertTrue(check.good(), check.problems().toString());
    assertTrue(check.signed().orElseThrow().good());
    assertEquals(
        PosixFilePermissions.toString(Files.getPosixFilePermissions(folder.resolve("mine.pem"))),
        "rw-------");
    tabTo("save-pdf");
    robot.push(KeyCode.ENTER);
    Path pdf = folder.resolve("Quernfold Q1100.pdf");
    window.until(() -> Files.exists(pdf));
    window.idle();
    String text = text(pdf);
    for (String words :
        List.of(
            "Held against its label",
            "AC drain at 600 W",
            "Line-up",
            "Method",
            "Cautions",
            "Rice stall, one evening",
            "licensed electrician",
            "How sure")) {
      assertTrue(text.contains(words), words);
    }
    try (PDDocument document = Loader.loadPDF(pdf.toFile())) {
      assertEquals(document.getPage(0).getMediaBox().getWidth(), 612f, 0.6f);
    }
    // It is remembered, and undone.
    assertEquals(
        window.session().open().workbook().orElseThrow().reportChoice(), work().choice().get());
    robot.push(KeyCode.CONTROL, KeyCode.Z);
    window.until(() -> work().choice().get().paper().equals("a4"));
  }

  /** Sheets are put on, taken off and moved with Alt and an arrow; the report follows. */
  @Test
  public void sheetsAreOrdered() {
    OpenWindow.onFx(
        () -> {
          window.session().at().stage().set(StageName.REPORT);
          return null;
        });
    laidOut();
    work();
    OpenWindow.onFx(
        () -> {
          work().choose(ReportChoice.USUAL);
          return null;
        });
    tabTo("sheet-method");
    robot.push(KeyCode.SPACE);
    window.until(
        () -> work().choice().get().sheets().equals(List.of("verdict", "waveform", "method")));
    assertEquals(focused(), "sheet-method");
    robot.push(KeyCode.ALT, KeyCode.UP);
    window.until(
        () -> work().choice().get().sheets().equals(List.of("verdict", "method", "waveform")));
    laidOut();
    String html = work().made().get().html();
    assertTrue(html.indexOf("How these figures came about") < html.indexOf("id=\"sheet-3\""));
    robot.push(KeyCode.SPACE);
    window.until(() -> work().choice().get().sheets().equals(List.of("verdict", "waveform")));
    laidOut();
    assertFalse(work().made().get().html().contains("How these figures came about"));
  }

  /** Stopped, what was there stays, and it says so. */
  @Test
  public void aLongReportIsStopped() {
    OpenWindow.onFx(
        () -> {
          window.session().at().stage().set(StageName.REPORT);
          return null;
        });
    laidOut();
    ReportWork.Made before = work().made().get();
    OpenWindow.onFx(
        () -> {
          work().choose(work().choice().get().full(!work().choice().get().full()));
          work().cancel();
          return null;
        });
    window.idle();
    assertEquals(work().progress().get(), ReportWork.IDLE);
    assertEquals(work().made().get(), before);
  }

  /** For the maker only what fell short; for a film captions and strips. */
  @Test
  public void forTheMakerAndForAFilm() throws Exception {
    OpenWindow.onFx(
        () -> {
          window.session().at().stage().set(StageName.REPORT);
          return null;
        });
    laidOut();
    window.click("save-maker");
    Path maker = folder.resolve("Quernfold Q1100, for its maker.pdf");
    window.until(() -> Files.exists(maker));
    window.idle();
    String text = text(maker);
    assertTrue(text.contains("2 claims fell short."), text);
    assertTrue(text.contains("To see it again:"), text);
    assertFalse(text.contains("Charge from solar panels"), "nothing of it fell short");
    window.replace("film-start", "sometime");
    window.click("save-film");
    window.untilShown("is no time; type 14:20:05");
    window.replace("film-start", "2026-01-01 00:00:00");
    window.click("save-film");
    window.untilShown("strips in");
    assertTrue(Files.readString(folder.resolve("Quernfold Q1100.vtt")).startsWith("WEBVTT"));
    assertTrue(Files.exists(folder.resolve("Quernfold Q1100 strips/01-ac-energy-at-592-w.png")));
  }

  /** A package that is dropped stands on the shelf as somebody else's; nothing is added to it. */
  @Test
  public void somebodyElsesUnitStandsBeside() throws Exception {
    window.choose(4);
    OpenWindow.onFx(
        () -> {
          window.session().at().stage().set(StageName.REPORT);
          return null;
        });
    laidOut();
    window.replace("page-file", folder.resolve("theirs").toString());
    window.click("save-package");
    Path zip = folder.resolve("theirs.zip");
    window.until(() -> Files.exists(zip));
    window.idle();
    int units = window.session().shelf().places().size();
    OpenWindow.onFx(
        () -> {
          window.session().readingIn().take(zip);
          return null;
        });
    window.untilShown("Every figure it publishes comes out the same here.");
    window.untilShown("This unit is somebody else's, from theirs.zip, unsigned.");
    window.untilShown("Somebody else's");
    robot.push(KeyCode.CONTROL, KeyCode.DIGIT2);
    window.untilShown("Somebody else tested this unit.");
    robot.push(KeyCode.CONTROL, KeyCode.DIGIT3);
    window.until(() -> window.session().at().stage().get() == StageName.BENCH);
    OpenWindow.onFx(
        () -> {
          window.session().bench().start();
          return null;
        });
    window.untilShown("This unit is somebody else's: it came in a package");
    assertFalse(window.session().bench().going());
    robot.push(KeyCode.CONTROL, KeyCode.Z);
    window.until(() -> window.session().shelf().places().size() == units);
  }
}
