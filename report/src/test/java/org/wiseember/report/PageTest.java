package org.wiseember.report;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertFalse;
import static org.testng.Assert.assertTrue;

import java.io.ByteArrayOutputStream;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.text.PDFTextStripper;
import org.testng.annotations.Test;
import org.wiseember.core.capacity.CapacityFinding;
import org.wiseember.core.capacity.CapacityMethod;
import org.wiseember.core.capacity.UsableCapacity;
import org.wiseember.core.figure.Because;
import org.wiseember.core.figure.Explanation;
import org.wiseember.core.figure.Figure;
import org.wiseember.core.label.Claim;
import org.wiseember.core.label.Subject;
import org.wiseember.core.quantity.Unit;
import org.wiseember.core.trace.Channel;
import org.wiseember.core.trace.Trace;
import org.wiseember.core.uncertainty.Budget;
import org.wiseember.core.verdict.Verdict;
import org.wiseember.report.chart.CurveDrawing;
import org.wiseember.report.chart.TraceDrawing;
import org.wiseember.report.page.FindingPage;
import org.wiseember.report.page.PageHtml;
import org.wiseember.report.page.PagePdf;
import org.wiseember.report.page.Sheet;
import org.wiseember.report.page.UnitPage;

public class PageTest {
  private static UnitPage page(String unit) {
    return page(unit, List.of());
  }

  private static UnitPage page(String unit, List<Sheet> sheets) {
    double[] t = new double[4000];
    double[] w = new double[4000];
    for (int i = 0; i < t.length; i++) {
      t[i] = i;
      w[i] = i > 10 && i < 3800 ? 600 : 0;
    }
    CapacityFinding finding =
        UsableCapacity.of(new Trace(t, Map.of(Channel.AC_POWER, w)), CapacityMethod.assumed(700));
    Claim claim = Claim.atLeast(Subject.CAPACITY, 700, "700 Wh");
    Verdict verdict = Verdict.judge(claim, finding.deliveredEnergy().orElseThrow(), true);
    return new UnitPage(
        unit,
        "Lantern Quay",
        "1 May 2026",
        "1 claim can be judged: 1 short.",
        List.of(new UnitPage.Row("AC energy at 600 W", verdict, "632 ± 14 Wh")),
        List.of("idle draw"),
        finding.deliveredEnergy().map(Explanation::of),
        Optional.of(
            new TraceDrawing(
                t,
                w,
                TraceDrawing.Line.NONE,
                List.of(new TraceDrawing.Mark(1000, "fan on")),
                3800,
                TraceDrawing.Line.NONE,
                TraceDrawing.Forecast.NONE,
                600,
                "AC power")),
        "AC drain at 600 W",
        sheets,
        true);
  }

  /** A sheet shows every part of what a run found, and none of it is taken for markup. */
  @Test
  public void aSheetShowsEveryPart() {
    String html =
        new PageHtml()
            .write(
                page(
                    "Unit",
                    List.of(
                        new Sheet(
                            "Drain again",
                            "2 May 2026",
                            FindingPage.of(List.<Figure>of())
                                .headed(
                                    new Explanation(
                                        "Delivered",
                                        "632 ± 14 Wh",
                                        Unit.WATT_HOUR,
                                        Because.of(Budget.of(), "sum")))
                                .chart(
                                    "Look at",
                                    "one",
                                    new CurveDrawing(
                                        "load, W",
                                        "energy delivered, Wh",
                                        List.of(new CurveDrawing.Point(600, 632, 14)),
                                        List.of(),
                                        Double.NaN,
                                        "",
                                        List.of(),
                                        0,
                                        700))
                                .table(
                                    List.of("Load", "Given"), List.of(List.of("<600> W", "632 Wh")))
                                .say(List.of("Said & done."))))));
    for (String words :
        List.of(
            "Drain again",
            "2 May 2026",
            "Delivered",
            "<svg",
            "&lt;600&gt; W",
            "632 Wh",
            "Said &amp; done.")) {
      assertTrue(html.contains(words), words);
    }
  }

  private static PDDocument pdf(UnitPage page) throws Exception {
    ByteArrayOutputStream out = new ByteArrayOutputStream();
    PagePdf.write(new PageHtml().write(page), out);
    return Loader.loadPDF(out.toByteArray());
  }

  @Test
  public void thePageIsOneA4SheetWithEveryFigure() throws Exception {
    try (PDDocument document = pdf(page("Quernfold Q1100"))) {
      assertEquals(document.getNumberOfPages(), 1);
      assertEquals(document.getPage(0).getMediaBox().getWidth(), 595.3f, 1f);
      String text = new PDFTextStripper().getText(document).replace('\u2009', ' ');
      for (String words :
          List.of(
              "Quernfold Q1100",
              "632 ± 14 Wh",
              "Short",
              "idle draw",
              "How sure",
              "simulated bench",
              "not conversion efficiency")) {
        assertTrue(text.contains(words), words + " in: " + text);
      }
      assertFalse(text.contains("#"), "a sign without a face: " + text);
    }
  }

  @Test
  public void theChartNamesItsAxesAndMarks() {
    String html = new PageHtml().write(page("Q"));
    for (String words : List.of("time, min", "fan on", "cut-off 1 h 3 min")) {
      assertTrue(html.contains(words), words);
    }
  }

  /** The trace is drawn, not photographed: no picture in the file. */
  @Test
  public void theChartIsAVector() throws Exception {
    try (PDDocument document = pdf(page("Q"))) {
      for (var name : document.getPage(0).getResources().getXObjectNames()) {
        assertFalse(document.getPage(0).getResources().isImageXObject(name), name.getName());
      }
    }
  }

  @Test
  public void wordsFromOutsideAreEscaped() throws Exception {
    String html = new PageHtml().write(page("<script>alert(1)</script> & \"Co\""));
    assertFalse(html.contains("<script>"));
    assertTrue(html.contains("&lt;script&gt;"));
    try (PDDocument document = pdf(page("A & B <i>"))) {
      assertTrue(new PDFTextStripper().getText(document).contains("A & B <i>"));
    }
  }

  /** A vertical tab out of a pasted label once kept the whole page from being made. */
  @Test
  public void signsNoPageCanHoldAreLeftOutAndSaidSo() throws Exception {
    String left = "cannot be printed; they are left out";
    String odd = "Quern\u000bfold\u0000\ud800 Q\u001b1100 \ufffe";
    String html = new PageHtml().write(page(odd));
    assertTrue(html.contains("Quernfold Q1100"), "what can be printed stays");
    assertTrue(html.contains(left));
    assertFalse(new PageHtml().write(page("Quernfold Q1100")).contains(left));
    try (PDDocument document = pdf(page(odd))) {
      String text = new PDFTextStripper().getText(document);
      assertTrue(text.contains("Quernfold Q1100"), text);
      assertTrue(text.contains(left), text);
    }
  }

  @Test
  public void thePageFetchesNothing() {
    String html = new PageHtml().write(page("Q"));
    for (String reference : new String[] {"src=", "<link", "@import", "url(http", "url(\"http"}) {
      assertFalse(html.contains(reference), reference);
    }
  }

  @Test
  public void thinningKeepsTheEndsOfALongLine() {
    double[] t = new double[100_000];
    double[] v = new double[100_000];
    for (int i = 0; i < t.length; i++) {
      t[i] = i;
      v[i] = i == 61_234 ? 9 : i == 70_001 ? -4 : 1;
    }
    TraceDrawing.Line line = TraceDrawing.thin(t, v, 800);
    double high = Double.NEGATIVE_INFINITY;
    double low = Double.POSITIVE_INFINITY;
    for (int i = 0; i < line.values().length; i++) {
      high = Math.max(high, line.values()[i]);
      low = Math.min(low, line.values()[i]);
      assertTrue(i == 0 || line.seconds()[i] >= line.seconds()[i - 1]);
    }
    assertEquals(high, 9.0);
    assertEquals(low, -4.0);
    assertEquals(line.values().length, 800);
  }
}
