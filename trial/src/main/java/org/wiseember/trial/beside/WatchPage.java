package org.wiseember.trial.beside;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.wiseember.core.figure.Figure;
import org.wiseember.core.figure.Warning;
import org.wiseember.core.quantity.Figures;
import org.wiseember.core.quantity.Unit;
import org.wiseember.core.runtime.ApplianceDraw;
import org.wiseember.core.runtime.Watch;
import org.wiseember.core.runtime.WatchLog;
import org.wiseember.core.runtime.WatchSheet;
import org.wiseember.report.page.FindingPage;
import org.wiseember.trial.page.RunTrace;
import org.wiseember.workbook.RunSubject;
import org.wiseember.workbook.Watches;

/** What a watch of an appliance comes to, as a page. */
final class WatchPage {
  private static final double DAY = 24;
  private static final double PERCENT = 100;

  private WatchPage() {}

  static BesideRun of(RunSubject appliance, Watches.Kept kept) {
    WatchSheet sheet = kept.sheet();
    List<Figure> figures = new ArrayList<>();
    figures.add(sheet.mean());
    figures.addAll(sheet.seen());
    FindingPage heads = FindingPage.of(figures);
    FindingPage page =
        (kept.watts().size() > 1 ? heads.chart(RunTrace.of(kept.watts(), "AC power")) : heads)
            .table(List.of("For a day plan", ""), plan(sheet))
            .table(List.of("As it was watched", ""), watched(kept))
            .say(sheet.warnings().stream().map(Warning::message).toList());
    return new BesideRun(kept.run(), appliance, figures, sheet.warnings(), page, Optional.of(kept));
  }

  private static List<List<String>> plan(WatchSheet sheet) {
    ApplianceDraw draw = sheet.draw();
    List<List<String>> rows = new ArrayList<>();
    rows.add(List.of("Energy an hour", words(draw.wattHours(), Unit.WATT_HOUR)));
    rows.add(List.of("Energy a day", words(DAY * draw.wattHours(), Unit.WATT_HOUR)));
    rows.add(List.of("Planned for at any moment", words(draw.runningWatts(), Unit.WATT)));
    rows.add(
        List.of(
            "Its start",
            draw.startVa() > 0 ? words(draw.startVa(), Unit.VOLT_AMPERE) : "not known"));
    return rows;
  }

  private static List<List<String>> watched(Watches.Kept kept) {
    Watch watch = kept.watch();
    List<List<String>> rows = new ArrayList<>();
    rows.add(List.of("Counted", words(watch.wattHours(), Unit.WATT_HOUR)));
    rows.add(List.of("In", Figures.duration(watch.seconds())));
    if (kept.log().isEmpty()) {
      rows.add(List.of("Read", "off a meter, by hand"));
      return rows;
    }
    WatchLog log = kept.log().get();
    rows.add(List.of("Read", "from a log"));
    if (log.runs() > 0) {
      rows.add(List.of("Ran", log.runs() + " times"));
      rows.add(List.of("Of the time", Figures.fixed(PERCENT * log.share(), 0) + " %"));
      rows.add(List.of("At rest", words(log.restWatts(), Unit.WATT)));
    }
    for (WatchLog.Hotter h : log.hotter()) {
      rows.add(
          List.of(
              (h.preheat() ? "Heated up" : "Defrosted")
                  + ", "
                  + Figures.duration(h.from())
                  + " after it began",
              words(h.watts(), Unit.WATT) + " for " + Figures.duration(h.to() - h.from())));
    }
    return rows;
  }

  private static String words(double value, Unit unit) {
    return Figures.plain(value < 10 ? Math.rint(10 * value) / 10 : Math.rint(value), unit);
  }
}
