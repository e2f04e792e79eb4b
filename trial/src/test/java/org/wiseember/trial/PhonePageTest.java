package org.wiseember.trial;

import static org.testng.Assert.assertTrue;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Instant;
import java.time.ZoneOffset;
import java.util.List;
import java.util.concurrent.TimeUnit;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.testng.SkipException;
import org.testng.annotations.Test;
import org.wiseember.core.quantity.ReaderUnits;
import org.wiseember.report.page.PageHtml;
import org.wiseember.trial.onhand.OnHand;
import org.wiseember.trial.publish.ReportSheets;
import org.wiseember.trial.verdict.Judgement;
import org.wiseember.workbook.ReportChoice;
import org.wiseember.workbook.log.Progress;

/**
 * The page on a phone, by a browser where one is installed: nothing sticks out at the side, and no
 * column is squeezed until its words stand upright.
 */
public class PhonePageTest extends OnDemo {
  private static final int WIDTH = 390;

  private static final String MEASURE =
      """
      <script>
      const out = [];
      for (const e of document.querySelectorAll('main, main > *, section > p, section > h1, section > h2')) {
        if (e.getBoundingClientRect().right > innerWidth + 1) out.push(e.tagName + ' ' + e.textContent.slice(0, 40));
      }
      for (const e of document.querySelectorAll('td')) {
        if (!e.firstElementChild && e.getBoundingClientRect().height > 130) out.push('squeezed ' + e.textContent.slice(0, 40));
      }
      document.title = 'MEASURED ' + innerWidth + ' ' + document.documentElement.scrollWidth + ' ' + out.join(' | ');
      </script></body>
      """;

  private static Path browser() {
    for (String name : List.of("chromium", "chromium-browser", "google-chrome")) {
      for (String folder : System.getenv("PATH").split(":")) {
        Path file = Path.of(folder, name);
        if (Files.isExecutable(file)) {
          return file;
        }
      }
    }
    throw new SkipException("no browser is installed");
  }

  @Test
  public void nothingSticksOut() throws IOException, InterruptedException {
    Path browser = browser();
    Judgement judgement = Judgement.of(demo, demo.units().all().get(0), true);
    String html =
        new PageHtml()
            .write(
                new ReportSheets(
                        demo,
                        judgement,
                        OnHand.of(List.of(100.0)),
                        Instant.parse("2026-05-30T12:00:00Z"),
                        ZoneOffset.UTC,
                        ReaderUnits.AS_KEPT)
                    .made(ReportChoice.USUAL.of(ReportSheets.of(judgement)), Progress.NONE)
                    .orElseThrow());
    Path page = Files.createTempDirectory("phone").resolve("page.html");
    Files.writeString(page, html.replace("</body>", MEASURE));
    // A window is never that narrow; a frame is.
    Path frame = page.resolveSibling("frame.html");
    Files.writeString(
        frame,
        "<body><iframe id='f' src='page.html' style='width:"
            + WIDTH
            + "px;height:844px;border:0'></iframe><p id='said'></p><script>"
            + "f.onload = () => said.textContent = f.contentDocument.title;</script></body>");
    Process process =
        new ProcessBuilder(
                browser.toString(),
                "--headless",
                "--no-sandbox",
                "--disable-gpu",
                "--allow-file-access-from-files",
                "--user-data-dir=" + page.resolveSibling("profile"),
                "--virtual-time-budget=10000",
                "--dump-dom",
                frame.toUri().toString())
            .redirectError(ProcessBuilder.Redirect.DISCARD)
            .start();
    String dom = new String(process.getInputStream().readAllBytes(), StandardCharsets.UTF_8);
    assertTrue(process.waitFor(60, TimeUnit.SECONDS));
    Matcher measured = Pattern.compile("MEASURED (\\d+) (\\d+) ?([^<]*)").matcher(dom);
    assertTrue(measured.find(), "the browser measured nothing: " + dom);
    assertTrue(Integer.parseInt(measured.group(1)) == WIDTH, measured.group());
    assertTrue(Integer.parseInt(measured.group(2)) <= WIDTH, measured.group());
    assertTrue(measured.group(3).isBlank(), measured.group());
  }
}
