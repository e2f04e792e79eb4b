package org.wiseember.report;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertFalse;
import static org.testng.Assert.assertTrue;

import java.awt.image.BufferedImage;
import java.io.ByteArrayOutputStream;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import javax.imageio.ImageIO;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.pdmodel.PDDocumentCatalog;
import org.apache.pdfbox.pdmodel.PDPage;
import org.apache.pdfbox.pdmodel.documentinterchange.logicalstructure.PDStructureElement;
import org.apache.pdfbox.pdmodel.documentinterchange.logicalstructure.PDStructureNode;
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
import org.wiseember.report.drawing.CurveDrawing;
import org.wiseember.report.drawing.TraceDrawing;
import org.wiseember.report.drawing.Upright;
import org.wiseember.report.page.FindingPage;
import org.wiseember.report.page.Leaf;
import org.wiseember.report.page.PageHtml;
import org.wiseember.report.page.PagePdf;
import org.wiseember.report.page.Paper;
import org.wiseember.report.page.Report;
import org.wiseember.report.page.Sheet;
import org.wiseember.report.page.UnitPage;

public class PageTest {
  private static Report page(String unit) {
    return page(unit, List.of());
  }

  private static Report page(String unit, List<Sheet> sheets) {
    List<Leaf> leaves = new ArrayList<>(List.of(verdicts(unit)));
    leaves.addAll(sheets);
    return new Report(unit, "Lantern Quay", "1 May 2026", true, Paper.A4, leaves);
  }

  private static UnitPage verdicts(String unit) {
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
        "1 claim can be judged: 1 short.",
        List.of(new UnitPage.Row("AC energy at 600 W", verdict, "632 ± 14 Wh")),
        List.of("idle draw"),
        finding.deliveredEnergy().map(Explanation::of),
        Optional.of(
            new TraceDrawing(
                t,
                w,
                TraceDrawing.Line.NONE,
                List.of(new Upright(1000, "fan on")),
                3800,
                TraceDrawing.Line.NONE,
                TraceDrawing.Forecast.NONE,
                600,
                "AC power")),
        "AC drain at 600 W");
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

  private static PDDocument pdf(Report page) throws Exception {
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

  /** A photo lies inside, with its words; Letter is 8.5 by 11 inches of 72 points. */
  @Test
  public void aPhotoLiesInsideOnItsPaper() throws Exception {
    BufferedImage lamp = new BufferedImage(60, 40, BufferedImage.TYPE_INT_RGB);
    ByteArrayOutputStream jpeg = new ByteArrayOutputStream();
    ImageIO.write(lamp, "jpeg", jpeg);
    Sheet photos =
        new Sheet(
            "Photos",
            "1 photo.",
            new FindingPage(List.of(), List.of())
                .picture(jpeg.toByteArray(), "At \"1 h\" <b>: the lamp"));
    Report report =
        new Report("Q", "Quay", "1 May 2026", false, Paper.LETTER, List.of(verdicts("Q"), photos));
    try (PDDocument document = pdf(report)) {
      assertEquals(document.getNumberOfPages(), 2);
      PDPage second = document.getPage(1);
      assertEquals(second.getMediaBox().getWidth(), 612f, 0.6f);
      assertEquals(second.getMediaBox().getHeight(), 792f, 0.6f);
      boolean picture = false;
      for (var name : second.getResources().getXObjectNames()) {
        picture |= second.getResources().isImageXObject(name);
      }
      assertTrue(picture, "the photo is not in it");
      assertTrue(new PDFTextStripper().getText(document).contains("At \"1 h\" <b>: the lamp"));
    }
  }

  /**
   * Whoever has it read aloud finds the title, the language, headings and tables as such, and words
   * for every chart: PDF/UA-1, ISO 14289-1, recalled from memory; read with PDFBox.
   */
  @Test
  public void thePdfIsTagged() throws Exception {
    Sheet sheet =
        new Sheet(
            "Drain again",
            "2 May 2026",
            new FindingPage(List.of(), List.of())
                .table(List.of("Load", "%"), List.of(List.of("600 W", "92.1"))));
    try (PDDocument document = pdf(page("Quernfold Q1100", List.of(sheet)))) {
      PDDocumentCatalog catalog = document.getDocumentCatalog();
      assertEquals(document.getDocumentInformation().getTitle(), "Quernfold Q1100");
      assertEquals(catalog.getLanguage(), "en");
      assertTrue(catalog.getMarkInfo().isMarked());
      assertTrue(catalog.getViewerPreferences().displayDocTitle());
      Map<String, Integer> tags = new TreeMap<>();
      List<String> alternatives = new ArrayList<>();
      count(catalog.getStructureTreeRoot(), tags, alternatives);
      for (String tag : List.of("H1", "H2", "P", "Table", "TR", "TH", "TD", "Figure")) {
        assertTrue(tags.containsKey(tag), tag + " is not in " + tags);
      }
      assertTrue(alternatives.contains("Chart: AC drain at 600 W"), alternatives.toString());
      assertFalse(alternatives.contains(null), alternatives.toString());
      assertEquals(
          catalog.getDocumentOutline().getFirstChild().getNextSibling().getTitle(), "Drain again");
    }
  }

  private static void count(
      PDStructureNode node, Map<String, Integer> tags, List<String> alternatives) {
    for (Object kid : node.getKids()) {
      if (kid instanceof PDStructureElement element) {
        tags.merge(element.getStructureType(), 1, Integer::sum);
        if (element.getStructureType().equals("Figure")) {
          alternatives.add(element.getAlternateDescription());
        }
        count(element, tags, alternatives);
      }
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
