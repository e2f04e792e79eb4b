package org.wiseember.trial;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertFalse;
import static org.testng.Assert.assertTrue;

import java.time.Instant;
import java.time.ZoneOffset;
import java.util.List;
import java.util.regex.Pattern;
import org.testng.annotations.Test;
import org.wiseember.core.quantity.ReaderUnits;
import org.wiseember.report.page.PageHtml;
import org.wiseember.report.page.Report;
import org.wiseember.trial.kind.TestType;
import org.wiseember.trial.onhand.OnHand;
import org.wiseember.trial.publish.ReportSheets;
import org.wiseember.trial.verdict.Judgement;
import org.wiseember.workbook.ReportChoice;
import org.wiseember.workbook.TestedUnit;
import org.wiseember.workbook.log.Progress;

/** Pages of the demo's units told to a reader of other units: no figure is left in the old ones. */
public class ReaderUnitsOnPagesTest extends OnDemo {
  private static final Pattern LEFT =
      Pattern.compile("\\d[\\s\u00a0](?:°C|kg|K|m|mm²)(?![\\p{L}\\d²/])");
  private static final Pattern TURNED = Pattern.compile("\\d\u00a0(?:°F|lb|ft)");

  @Test
  public void nothingIsLeftInTheUnitsThatAreKept() {
    int turned = 0;
    for (TestedUnit unit : demo.units().all()) {
      Judgement judgement = Judgement.of(demo, unit, true);
      Report page =
          new ReportSheets(
                  demo,
                  judgement,
                  OnHand.of(List.of(100.0)),
                  Instant.parse("2031-05-04T12:00:00Z"),
                  ZoneOffset.UTC,
                  ReaderUnits.AS_KEPT)
              .made(
                  ReportChoice.USUAL
                      .full(unit.equals(demo.units().all().get(0)))
                      .of(AllTests.list().stream().map(TestType::key).toList()),
                  Progress.NONE)
              .orElseThrow();
      String kept = words(new PageHtml().write(page));
      String told = words(new PageHtml(ReaderUnits.CUSTOMARY).write(page));
      var left = LEFT.matcher(told);
      assertFalse(left.find(), unit.name() + ": " + around(told, left));
      turned += (int) TURNED.matcher(told).results().count();
      assertFalse(TURNED.matcher(kept).find());
      // Only units differ: as many figures with watts as before.
      assertEquals(count(told, " W"), count(kept, " W"));
    }
    assertTrue(turned >= 5, "turned: " + turned);
  }

  private static long count(String text, String what) {
    return Pattern.compile(Pattern.quote(what)).matcher(text).results().count();
  }

  private static String around(String text, java.util.regex.Matcher found) {
    return found.reset().find()
        ? text.substring(Math.max(0, found.start() - 60), Math.min(text.length(), found.end() + 20))
        : "";
  }

  /** Without faces and styles. */
  private static String words(String html) {
    return html.replaceAll("(?s)<style.*?</style>", "").replaceAll("d=\"[^\"]*\"", "");
  }
}
