package org.wiseember.desktop;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertTrue;

import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.OptionalDouble;
import javafx.scene.input.KeyCode;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.text.PDFTextStripper;
import org.testng.annotations.Test;
import org.wiseember.core.lineup.Measure;
import org.wiseember.core.lineup.MustHave;
import org.wiseember.report.look.Palette;
import org.wiseember.trial.demo.DemoWorkbook;
import org.wiseember.trial.lineup.LineUp;
import org.wiseember.trial.lineup.LineUpUnit;

/** Units beside each other in a real window. */
public class LineUpTest extends InDemoWindow {
  private LineUp lineUp() {
    return OpenWindow.onFx(() -> window.session().lineUpWork().shown().get());
  }

  private void open() {
    robot.push(KeyCode.CONTROL, KeyCode.DIGIT6);
    window.until(() -> window.session().lineUpWork().shown().get() != null);
    window.settle();
  }

  /**
   * From five tested units to a printed sheet with own must-haves and weights, by keyboard alone.
   */
  @Test
  public void fromFiveUnitsToAPrintedSheet() throws Exception {
    open();
    Keys keys = new Keys(window);
    assertEquals(lineUp().units().size(), 5);
    String first = lineUp().order().places().get(0).name();
    keys.fill("line-up-load", "250");
    window.until(() -> lineUp().load().orElse(0) == 250);
    keys.tabTo("must-haves");
    robot.push(KeyCode.CONTROL, KeyCode.A);
    robot.write("at most 14 kg\nfull in 4 h\nruns the office fridge\norange handles");
    keys.press("keep-must-haves");
    window.until(() -> lineUp().notes().mustHaves().size() == 4);
    LineUpUnit quernfold = lineUp().units().get(0);
    assertEquals(quernfold.answers().get(0).answer(), MustHave.Answer.YES);
    assertEquals(quernfold.answers().get(1).answer(), MustHave.Answer.YES);
    assertEquals(lineUp().units().get(2).answers().get(0).answer(), MustHave.Answer.NO);
    // Tab stops at a table once; the arrows go from cell to cell.
    keys.tabTo("wish-0-" + quernfold.id());
    robot.push(KeyCode.DOWN);
    robot.push(KeyCode.DOWN);
    robot.push(KeyCode.DOWN);
    robot.push(KeyCode.ENTER);
    window.untilShown("Only somebody who looks can tell");
    keys.press("answer-half");
    window.until(() -> lineUp().units().get(0).answers().get(3).answer() == MustHave.Answer.HALF);
    for (Measure m : Measure.values()) {
      if (lineUp().notes().weights().getOrDefault(m, 0.0) > 0 && m != Measure.IDLE) {
        keys.fill("weight-" + m.key(), "0");
      }
    }
    keys.fill("weight-idle", "3");
    window.until(() -> lineUp().notes().weights().get(Measure.IDLE) == 3);
    List<String> order = lineUp().order().places().stream().map(p -> p.name()).toList();
    assertEquals(order.get(0), "Haddlewick H500", "it idles lowest: " + order + ", not " + first);
    Path file = folder.resolve("line-up.pdf");
    keys.fill("line-up-file", file.toString());
    keys.press("save-line-up-pdf");
    window.until(() -> Files.exists(file));
    window.idle();
    try (PDDocument pdf = Loader.loadPDF(file.toFile())) {
      String text = new PDFTextStripper().getText(pdf);
      assertTrue(text.contains("Energies at 250"), text);
      assertTrue(text.contains("orange handles"), text);
      assertTrue(text.contains("1. Haddlewick H500"), text);
      assertTrue(text.contains("Rice stall"), text);
    }
  }

  /** A figure opens how it came about, a dash what would give it, a name what was paid. */
  @Test
  public void figuresOpenAndPricesCount() {
    open();
    long second = lineUp().units().get(1).id();
    window.click("gives-delivered-" + second);
    window.untilShown("Delivered at ");
    // The field is left by the very press on a figure that changing it rebuilds.
    window.click("line-up-light");
    robot.write("99999");
    window.click("sun-" + second);
    window.untilShown("Taken from panels is not known");
    window.until(() -> lineUp().light().equals(OptionalDouble.of(99_999)));
    window.click("source-SOLAR");
    window.until(() -> lineUp().units().get(1).figure(Measure.FULL_AGAIN).isEmpty());
    window.until(() -> lineUp().units().get(0).figure(Measure.FULL_AGAIN).isPresent());
    assertTrue(
        lineUp().units().get(0).figure(Measure.FULL_AGAIN).orElseThrow().name().contains("solar"));
    window.idle();
    window.click("source-WALL");
    window.until(() -> lineUp().units().get(1).figure(Measure.FULL_AGAIN).isPresent());
    window.idle();
    window.click("costs-noise-" + second);
    window.untilShown("What would give it: its fan heard under load.");
    window.click("start-0-" + lineUp().units().get(0).id());
    window.untilShown("Tried: ");
    window.click("start-0-" + second);
    window.untilShown("Predicted, never tried on it.");
    window.click("gives-unit-" + second);
    window.replace("unit-price", "500");
    window.replace("unit-parts", "Cells 100-200\nInverter 120\nFuse and case");
    window.click("unit-keep");
    window.until(
        () ->
            Math.abs(
                    lineUp().units().get(1).figure(Measure.PRICE_PER_LABEL_WH).orElseThrow().value()
                        - 500.0 / 512)
                < 1e-9);
    window.untilShown("in parts: 270");
    window.idle();
    window.click("place-0");
    window.untilShown("how likely no other is better");
    window.replace("life-left", "60");
    robot.push(KeyCode.ENTER);
    window.until(() -> lineUp().notes().leftAtEnd() == 0.6);
    window.replace("bill-months", "May 300 200\nJune 300 200\nJuly 300 160");
    window.click("bill-keep");
    window.until(() -> lineUp().notes().bills().months().size() == 3);
    window.untilShown("The bill fell by");
    window.untilShown("did an air conditioner or a heater come or go");
    OpenWindow.onFx(
        () -> {
          window.session().open().undo();
          return null;
        });
    window.until(() -> lineUp().notes().bills().months().isEmpty());
  }

  /** Twelve units on one page, in every size, light and dark. */
  @Test
  public void twelveUnitsOnOnePage() throws Exception {
    Path twelve = folder.resolve("twelve.ember");
    DemoWorkbook.create(twelve, 12);
    OpenWindow.onFx(
        () -> {
          window.session().open(twelve);
          return null;
        });
    window.until(() -> window.session().shelf().places().size() == 12);
    robot.push(KeyCode.CONTROL, KeyCode.DIGIT6);
    window.until(() -> lineUp() != null && lineUp().units().size() == 12);
    for (int[] size : new int[][] {{1280, 800, 100}, {1100, 700, 100}, {1280, 800, 150}}) {
      OpenWindow.onFx(
          () -> {
            window.stage().setWidth(size[0]);
            window.stage().setHeight(size[1]);
            window.session().look().textScale().set(size[2] / 100.0);
            window.session().look().palette().set(size[2] > 100 ? Palette.DARK : Palette.LIGHT);
            return null;
          });
      window.until(() -> window.scene().getWidth() == size[0]);
      for (String picture : List.of("SEAM", "ENERGY", "CHARGING")) {
        window.click("picture-" + picture);
        window.settle();
        List<String> problems =
            OpenWindow.onFx(
                () -> {
                  window.scene().getRoot().applyCss();
                  window.scene().getRoot().layout();
                  return LayoutCheck.problems(window.scene());
                });
        assertTrue(problems.isEmpty(), String.join("\n", problems));
      }
    }
  }
}
