package org.wiseember.report.page;

import io.pebbletemplates.pebble.PebbleEngine;
import io.pebbletemplates.pebble.loader.ClasspathLoader;
import io.pebbletemplates.pebble.template.PebbleTemplate;
import java.io.IOException;
import java.io.StringWriter;
import java.io.UncheckedIOException;
import java.util.ArrayList;
import java.util.Base64;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.function.Function;
import org.wiseember.core.figure.Explanation;
import org.wiseember.core.quantity.Figures;
import org.wiseember.core.quantity.ReaderUnits;
import org.wiseember.core.uncertainty.Budget;
import org.wiseember.core.uncertainty.Contribution;
import org.wiseember.core.verdict.ClaimScalePosition;
import org.wiseember.core.verdict.Standing;
import org.wiseember.core.verdict.Verdict;
import org.wiseember.report.chart.ChartSvg;
import org.wiseember.report.chart.Charts;
import org.wiseember.report.drawing.Drawing;
import org.wiseember.report.look.ClaimScale;
import org.wiseember.report.look.Face;
import org.wiseember.report.look.Palette;

/** The page as HTML that stands alone: styles, faces and charts are inside the file. */
public final class PageHtml {
  private static final int CHART_WIDTH = 680;
  private static final int SEAM_WIDTH = 200;

  private final PebbleEngine engine;
  private final ReaderUnits units;

  /** A page in the units that are kept. */
  public PageHtml() {
    this(ReaderUnits.AS_KEPT);
  }

  /** A page for a reader of these units. */
  public PageHtml(ReaderUnits units) {
    this.units = units;
    ClasspathLoader loader = new ClasspathLoader();
    loader.setPrefix("org/wiseember/report/page");
    this.engine = new PebbleEngine.Builder().loader(loader).build();
  }

  /**
   * Writes a report. Every word from outside is escaped by the template; signs that no page can
   * hold, such as a vertical tab out of a pasted label, are left out, which the page then says.
   */
  public String write(Report report) {
    return printed(left -> filled(report, left));
  }

  /**
   * Writes one sheet alone, to hang beside a unit.
   *
   * @param workbook title of the workbook
   * @param made date, as printed
   */
  public String write(Sheet sheet, String workbook, String made) {
    return write(new Report(sheet.title(), workbook, made, false, Paper.A4, List.of(sheet)));
  }

  /** Tries it with every sign, and where some cannot be printed says so instead. */
  private String printed(Function<Boolean, String> filled) {
    String html = units.told(filled.apply(false));
    String printable = printable(html);
    return printable.length() == html.length() ? html : printable(units.told(filled.apply(true)));
  }

  /** What XML 1.0 allows in a document, and so a page may hold: section 2.2. */
  private static String printable(String html) {
    StringBuilder kept = new StringBuilder(html.length());
    html.codePoints()
        .filter(
            c ->
                c == '\t'
                    || c == '\n'
                    || c == '\r'
                    || (c >= 0x20 && c <= 0xD7FF)
                    || (c >= 0xE000 && c <= 0xFFFD)
                    || c >= 0x10000)
        .forEach(kept::appendCodePoint);
    return kept.toString();
  }

  private String filled(Report report, boolean signsLeftOut) {
    Map<String, Object> model = new HashMap<>();
    model.put("signsLeftOut", signsLeftOut);
    model.put("colours", Palette.LIGHT.tokens());
    model.put("faces", faces());
    model.put("report", report);
    model.put("ticks", ticks());
    List<Map<String, Object>> leaves = new ArrayList<>();
    for (Leaf leaf : report.leaves()) {
      Map<String, Object> filled =
          leaf instanceof UnitPage page ? verdicts(page) : Map.of("sheet", sheet((Sheet) leaf));
      Map<String, Object> numbered = new HashMap<>(filled);
      numbered.put("heading", leaf.heading());
      numbered.put("id", "sheet-" + (leaves.size() + 1));
      leaves.add(numbered);
    }
    model.put("leaves", leaves);
    return evaluated("report.html", model);
  }

  private Map<String, Object> verdicts(UnitPage page) {
    Map<String, Object> model = new HashMap<>();
    model.put("page", page);
    model.put("rows", page.rows().stream().map(PageHtml::row).toList());
    model.put("because", page.because().orElse(null));
    model.put("budget", page.because().map(this::budget).orElse(List.of()));
    model.put("chart", page.trace().map(t -> described(svg(t), page.run())).orElse(""));
    return model;
  }

  /** Who does not see a chart is told what it is of. */
  private static String described(String svg, String what) {
    String words =
        what.replace("&", "&amp;")
            .replace("<", "&lt;")
            .replace(">", "&gt;")
            .replace("\"", "&quot;");
    String opening = "<svg ";
    int at = svg.indexOf(opening) + opening.length();
    return svg.substring(0, at) + "role=\"img\" alt=\"Chart: " + words + "\" " + svg.substring(at);
  }

  private String evaluated(String name, Map<String, Object> model) {
    PebbleTemplate template = engine.getTemplate(name);
    StringWriter out = new StringWriter();
    try {
      template.evaluate(out, model, Locale.ROOT);
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
    return out.toString();
  }

  private Map<String, Object> sheet(Sheet sheet) {
    FindingPage page = sheet.page();
    List<Map<String, Object>> parts = new ArrayList<>();
    String chosen = "";
    for (FindingPage.Part part : page.parts()) {
      if (part instanceof FindingPage.Chart chart) {
        // On paper nobody can choose: of several with one name the first is drawn.
        if (chart.name().isEmpty() || !chart.name().equals(chosen)) {
          parts.add(
              Map.of(
                  "chart",
                  described(
                      svg(chart.drawing()),
                      chart.choice().isEmpty() ? sheet.title() : chart.choice())));
        }
        chosen = chart.name();
      } else if (part instanceof FindingPage.Table table) {
        parts.add(Map.of("heads", table.heads(), "rows", table.rows()));
      } else if (part instanceof FindingPage.Sentences sentences) {
        parts.add(Map.of("words", sentences.words()));
      } else if (part instanceof FindingPage.Picture picture) {
        parts.add(
            Map.of(
                "picture",
                Base64.getEncoder().encodeToString(picture.jpeg()),
                "under",
                picture.words()));
      }
    }
    return Map.of(
        "title",
        sheet.title(),
        "under",
        sheet.under(),
        "headlines",
        page.headlines().stream()
            .map(h -> Map.of("name", h.title(), "figure", h.answer()))
            .toList(),
        "parts",
        parts);
  }

  private String svg(Drawing drawing) {
    return ChartSvg.of(
        Charts.of(drawing.in(units), Palette.LIGHT, 0.9), CHART_WIDTH, drawing.height());
  }

  private static List<Map<String, Object>> ticks() {
    List<Map<String, Object>> ticks = new ArrayList<>();
    for (int percent : ClaimScale.TICKS) {
      ticks.add(Map.of("percent", percent, "x", x(percent)));
    }
    return ticks;
  }

  private static double x(double percent) {
    return Math.round(ClaimScale.at(percent) * SEAM_WIDTH * 10) / 10.0;
  }

  private static Map<String, Object> row(UnitPage.Row row) {
    Verdict verdict = row.verdict();
    Map<String, Object> out = new HashMap<>();
    // The face of the column has a narrow blank that keeps a number on one line, with its unit.
    out.put(
        "title",
        row.title()
            .replace(Figures.THIN_SPACE, '\u202f')
            .replaceAll("(?<=\\d) (?=\\p{L}{1,2}\\b)", "\u00a0"));
    out.put("claim", verdict.claim().figureWords());
    out.put("figure", row.figure());
    out.put("standing", verdict.standing().words());
    out.put("tone", tone(verdict.standing()));
    out.put("mark", mark(verdict.standing()));
    verdict
        .seam()
        .ifPresent(
            (ClaimScalePosition seam) -> {
              out.put("percent", Figures.rounded(seam.percent(), 1) + " %");
              out.put("x", x(seam.percent()));
              out.put("x1", x(seam.worse()));
              out.put("x2", x(seam.better()));
            });
    return out;
  }

  static String tone(Standing standing) {
    return switch (standing) {
      case KEPT -> "kept";
      case SHORT -> "short-of";
      case TOO_CLOSE -> "close";
      case RIG_CANNOT_SHOW, NOT_TESTED -> "quiet";
    };
  }

  /** The shape that goes with a standing, so that colour is never alone. */
  static String mark(Standing standing) {
    return switch (standing) {
      case KEPT -> "disc";
      case SHORT -> "wedge";
      case TOO_CLOSE -> "ring";
      case RIG_CANNOT_SHOW, NOT_TESTED -> "none";
    };
  }

  private List<Map<String, String>> budget(Explanation explained) {
    List<Map<String, String>> lines = new ArrayList<>();
    Budget budget = explained.because().budget();
    double u95 = budget.u95();
    int decimals = Figures.decimalsFor(u95) + 1;
    for (Contribution c : budget.contributions()) {
      lines.add(
          Map.of(
              "name",
              c.name(),
              "figure",
              "± "
                  + Figures.fixed(units.shownDifference(c.alone95(), explained.unit()), decimals)));
    }
    lines.add(
        Map.of(
            "name",
            "Together, 95 %",
            "figure",
            Figures.withUnit("± " + Figures.fixed(u95, decimals), explained.unit())));
    return lines;
  }

  private static List<Map<String, Object>> faces() {
    List<Map<String, Object>> faces = new ArrayList<>();
    for (Face face : Face.values()) {
      faces.add(
          Map.of(
              "family", face.family(), "data", Base64.getEncoder().encodeToString(face.bytes())));
    }
    return faces;
  }
}
