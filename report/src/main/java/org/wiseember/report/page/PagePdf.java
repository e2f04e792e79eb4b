package org.wiseember.report.page;

import com.openhtmltopdf.pdfboxout.PdfRendererBuilder;
import com.openhtmltopdf.svgsupport.BatikSVGDrawer;
import com.openhtmltopdf.util.XRLog;
import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.io.OutputStream;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.wiseember.report.look.Face;

/**
 * The page as PDF: the HTML laid out on its paper, charts as vectors, faces embedded, tagged for
 * who has it read aloud (PDF/UA-1, ISO 14289-1), with its title and language.
 */
public final class PagePdf {
  private static final Pattern SHEET =
      Pattern.compile("<section id=\"(?<id>sheet-\\d+)\"[^>]*>\\s*<h[12]>(?<heading>.*?)</h[12]>");

  private PagePdf() {}

  /**
   * Writes the PDF.
   *
   * @param html as made by {@link PageHtml}
   * @param out receives the file; not closed
   */
  public static void write(String html, OutputStream out) throws IOException {
    XRLog.setLoggingEnabled(false);
    PdfRendererBuilder builder = new PdfRendererBuilder();
    builder.usePdfUaAccessibility(true);
    builder.useSVGDrawer(new BatikSVGDrawer());
    for (Face face : Face.values()) {
      builder.useFont(() -> new ByteArrayInputStream(face.bytes()), face.family());
    }
    // No address to resolve against and no protocol allowed: a page fetches nothing.
    builder.useUriResolver((base, uri) -> uri != null && uri.startsWith("data:") ? uri : null);
    builder.withHtmlContent(outlined(html), null);
    builder.toStream(out);
    builder.run();
  }

  /**
   * With an outline of its sheets, which only the layout of a PDF knows; a browser would take it
   * for words of the page.
   */
  private static String outlined(String html) {
    StringBuilder outline = new StringBuilder("<bookmarks>");
    Matcher sheet = SHEET.matcher(html);
    while (sheet.find()) {
      outline
          .append("<bookmark name=\"")
          .append(sheet.group("heading").replace("\"", "&quot;"))
          .append("\" href=\"#")
          .append(sheet.group("id"))
          .append("\"/>");
    }
    return html.replaceFirst(
        "</head>", Matcher.quoteReplacement(outline.append("</bookmarks></head>").toString()));
  }
}
