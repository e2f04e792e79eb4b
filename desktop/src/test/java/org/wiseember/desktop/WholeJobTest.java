package org.wiseember.desktop;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertTrue;

import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Clock;
import java.util.List;
import java.util.function.Predicate;
import javafx.scene.Node;
import javafx.scene.control.Label;
import javafx.scene.control.TextField;
import javafx.scene.image.ImageView;
import javafx.scene.input.KeyCode;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.text.PDFTextStripper;
import org.testfx.api.FxRobot;
import org.testng.annotations.AfterClass;
import org.testng.annotations.BeforeClass;
import org.testng.annotations.Test;
import org.wiseember.bench.run.Pace;
import org.wiseember.core.figure.Figure;
import org.wiseember.core.quantity.Figures;
import org.wiseember.desktop.model.StageName;
import org.wiseember.trial.DemoFile;
import org.wiseember.trial.kind.found.Drained;
import org.wiseember.trial.page.TrialPage;
import org.wiseember.trial.verdict.Judgement;
import org.wiseember.workbook.Run;
import org.wiseember.workbook.Workbook;

/** The whole job as a person does it, in a real window, by keyboard alone but for one click. */
public class WholeJobTest {
  private static final List<String> LABEL =
      List.of(
          "Capacity 320 Wh LiFePO4",
          "AC out 230 V~ 50 Hz, 600 W",
          "Surge 1200 W",
          "Pure sine wave, THD < 3 %",
          "12 V port: 10 A",
          "USB-C 60 W",
          "AC in 200 W, 0-100 % 2 h",
          "Idle < 8 W",
          "3000 cycles to 80 %",
          "5.2 kg, 3 y warranty");

  private Path folder;
  private Path file;
  private OpenWindow window;
  private FxRobot robot;

  @BeforeClass
  public void openTheDemo() throws Exception {
    folder = Files.createTempDirectory("ember-job");
    file = DemoFile.in(folder);
    window = OpenWindow.on(file);
    robot = window.robot();
  }

  @AfterClass(alwaysRun = true)
  public void closeIt() {
    window.close();
  }

  private void tabTo(Predicate<Node> wanted) {
    List<Node> way = new java.util.ArrayList<>();
    for (int i = 0; i < 60; i++) {
      Node focused = window.focused();
      way.add(focused);
      if (focused != null && OpenWindow.onFx(() -> wanted.test(focused))) {
        return;
      }
      robot.push(KeyCode.TAB);
      window.settle();
    }
    throw new AssertionError("Tab never came there; its way was " + way);
  }

  private void tabTo(String id) {
    tabTo(n -> id.equals(n.getId()));
  }

  private boolean shows(String words) {
    return window.scene().getRoot().lookupAll(".label").stream()
        .anyMatch(n -> n instanceof Label l && l.isVisible() && l.getText().contains(words));
  }

  private void untilShown(String words) {
    window.until(() -> shows(words));
  }

  @Test
  public void fromLabelToPrintedPage() throws Exception {
    // It opens with the verdict of the first unit.
    window.until(() -> window.session().shelf().chosen().get() != null);
    assertEquals(window.session().at().stage().get(), StageName.VERDICT);
    untilShown("Quernfold Q1100");
    untilShown("E = Σ P·Δt");

    // A new unit, its name, ten lines as printed.
    robot.push(KeyCode.CONTROL, KeyCode.N);
    window.until(() -> window.session().at().stage().get() == StageName.LABEL);
    window.until(
        () ->
            window.scene().getFocusOwner() instanceof TextField f
                && "unit-name".equals(f.getId())
                && f.getText().equals(f.getSelectedText()));
    robot.write("Brackley Stall 320");
    robot.push(KeyCode.ENTER);
    window.until(() -> "label-text".equals(window.scene().getFocusOwner().getId()));
    for (String line : LABEL) {
      robot.write(line);
      robot.push(KeyCode.ENTER);
    }
    window.until(
        () ->
            window.session().shelf().chosen().get().unit().name().equals("Brackley Stall 320")
                && window.session().shelf().chosen().get().unit().label().claims().size() >= 15);
    assertTrue(
        OpenWindow.onFx(() -> window.scene().getRoot().lookupAll(".claim-row").size()) >= 15);
    untilShown("judged at half the rating, 300 W");

    // Its drain at 600×, which ends by itself.
    robot.push(KeyCode.CONTROL, KeyCode.DIGIT3);
    untilShown("AC drain at 300 W");
    tabTo("pace-SIXTY");
    robot.push(KeyCode.RIGHT);
    window.until(() -> window.session().bench().pace().get() == Pace.SIX_HUNDRED);
    tabTo("start-test");
    robot.push(KeyCode.ENTER);
    window.until(() -> window.session().bench().live().get() != null);
    window.until(
        () ->
            window.session().bench().live().get().view().get() != null
                && window.session().bench().live().get().view().get().deliveredWattHours() > 20);
    robot.push(KeyCode.SPACE);
    untilShown("Mark 1");
    window.until(() -> !window.session().bench().live().get().going());
    untilShown("The output dropped out");

    // The verdict, and the sum behind the figure.
    window.until(
        () ->
            window.session().shelf().chosen().get().drains().stream().anyMatch(Drained::complete));
    tabTo("see-verdict");
    robot.push(KeyCode.ENTER);
    window.until(() -> window.session().at().stage().get() == StageName.VERDICT);
    Figure energy =
        window
            .session()
            .shelf()
            .chosen()
            .get()
            .drains()
            .get(0)
            .finding()
            .deliveredEnergy()
            .orElseThrow();
    String figure = Figures.withUncertainty(energy.value(), energy.u95());
    window.until(() -> shows(figure));
    tabTo(n -> n.getUserData() instanceof String s && s.startsWith("Output volts"));
    robot.push(KeyCode.ENTER);
    untilShown("From 1 min after load on to 1 min before cut-off");
    Node row =
        OpenWindow.onFx(
            () ->
                window.scene().getRoot().lookupAll(".verdict-row").stream()
                    .filter(n -> n.getUserData() instanceof String s && s.startsWith("AC energy"))
                    .findFirst()
                    .orElseThrow());
    robot.clickOn(row);
    untilShown("E = Σ P·Δt");
    untilShown("Together, 95 %");

    // The printed page.
    robot.push(KeyCode.CONTROL, KeyCode.DIGIT8);
    window.until(
        () ->
            window.scene().getRoot().lookupAll(".image-view").stream()
                .anyMatch(n -> n instanceof ImageView v && v.getImage() != null));
    tabTo("save-pdf");
    robot.push(KeyCode.ENTER);
    untilShown("Saved ");
    Path pdf = folder.resolve("Brackley Stall 320.pdf");
    try (PDDocument document = Loader.loadPDF(pdf.toFile())) {
      assertEquals(document.getNumberOfPages(), 1);
      String text = new PDFTextStripper().getText(document);
      assertTrue(text.contains("Brackley Stall 320"), text);
      assertTrue(text.contains(Figures.rounded(energy.value(), energy.u95())), text);
    }

    // Everything is in the file.
    window.close();
    try (Workbook again = Workbook.open(file, Clock.systemUTC())) {
      var unit =
          again.units().all().stream()
              .filter(u -> u.name().equals("Brackley Stall 320"))
              .findFirst()
              .orElseThrow();
      Judgement judgement = Judgement.of(again, unit, true);
      assertEquals(judgement.drains().get(0).run().state(), Run.State.DONE);
      assertEquals(
          judgement.drains().get(0).finding().deliveredEnergy().orElseThrow().estimate(),
          energy.estimate());
      assertEquals(
          TrialPage.mainLine(judgement).orElseThrow().figure().orElseThrow().estimate(),
          energy.estimate());
      assertTrue(
          again.runs().events(judgement.drains().get(0).run().id()).stream()
              .anyMatch(e -> e.code().equals("mark")));
    }
    window = OpenWindow.on(file);
  }
}
