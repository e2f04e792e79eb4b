package org.wiseember.trial.runtime;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.Collectors;
import org.wiseember.core.quantity.Figures;
import org.wiseember.core.quantity.HourSpan;
import org.wiseember.core.quantity.ReaderUnits;
import org.wiseember.core.quantity.Unit;
import org.wiseember.core.runtime.Appliance;
import org.wiseember.core.runtime.ApplianceDraw;
import org.wiseember.core.runtime.Day;
import org.wiseember.core.runtime.RunTimeFigures;
import org.wiseember.report.drawing.DayDrawing;
import org.wiseember.report.page.FindingPage;
import org.wiseember.report.page.Sheet;

/** A day as a sheet that prints and hangs beside the unit, and as the drawing on the screen. */
public final class DayPage {
  private DayPage() {}

  /** The sheet. */
  public static Sheet sheet(DayOutcome outcome, ReaderUnits units) {
    Day day = outcome.day();
    FindingPage page =
        new FindingPage(
            DayAnswers.of(outcome, units).stream().map(DayAnswer::why).toList(), List.of());
    page = page.chart(drawing(outcome, units, true));
    page =
        page.table(
            List.of("Appliance", "draws", "starts at", "known by", "on"),
            day.appliances().stream().map(a -> row(day, a, units)).toList());
    List<String> said = new ArrayList<>();
    DayAnswers.of(outcome, units)
        .forEach(a -> said.add(a.question() + ", " + a.answer() + ": " + a.words()));
    outcome.first().ifPresent(u -> said.addAll(u.measured().restsOn()));
    said.addAll(Cautions.of(day));
    String title = day.title().isBlank() ? "A day" : day.title();
    String on = outcome.units().stream().map(DayOnUnit::name).collect(Collectors.joining(", "));
    return new Sheet(
        title,
        (on.isEmpty() ? "" : "On " + on + ", ")
            + "from "
            + units.time(day.start())
            + ", "
            + Figures.plain(day.plan().hours())
            + " h, from "
            + Figures.plain(day.charge())
            + " % down to "
            + Figures.plain(day.reserve())
            + " %"
            + (day.celsius().isPresent()
                ? ", the pack at " + units.told(Figures.plain(day.celsius().getAsDouble()) + " °C")
                : "")
            + ".",
        page.say(said));
  }

  private static List<String> row(Day day, Appliance a, ReaderUnits units) {
    return List.of(
        a.name(),
        draws(a.draw()),
        a.draw().startVa() > 0 ? Figures.plain(a.draw().startVa(), Unit.VOLT_AMPERE) : "",
        a.draw().origin().words(),
        when(day, a, units));
  }

  /** {@code 480 W, 200 Wh an hour}. */
  public static String draws(ApplianceDraw draw) {
    String watts = draw.watts() > 0 ? Figures.plain(draw.watts(), Unit.WATT) : "";
    String more =
        switch (draw.use()) {
          case STEADY -> "";
          case CYCLING -> tenth(draw.wattHours()) + " Wh an hour";
          case SHORT -> Figures.plain(draw.minutes()) + " min";
          case PER_GO -> tenth(draw.wattHours()) + " Wh a go";
        };
    return watts + (watts.isEmpty() || more.isEmpty() ? "" : ", ") + more;
  }

  private static String tenth(double value) {
    return Figures.plain(Math.rint(10 * value) / 10);
  }

  private static String when(Day day, Appliance a, ReaderUnits units) {
    if (a.draw().use().atMoments()) {
      return a.at().stream()
          .map(h -> DayAnswers.time(day, h, units))
          .collect(Collectors.joining(", "));
    }
    if (a.on().equals(List.of(HourSpan.ALWAYS))) {
      return "always";
    }
    return a.on().stream()
        .map(
            s ->
                DayAnswers.time(day, s.from(), units)
                    + "–"
                    + DayAnswers.time(day, Math.min(s.to(), day.plan().hours()), units))
        .collect(Collectors.joining(", "));
  }

  /**
   * Charge over the day.
   *
   * @param withRows with what is on when above it
   */
  public static DayDrawing drawing(DayOutcome outcome, ReaderUnits units, boolean withRows) {
    Day day = outcome.day();
    double hours = day.plan().hours();
    return new DayDrawing(
        day.start(),
        hours,
        withRows
            ? day.appliances().stream().map(a -> new DayDrawing.Row(a.name(), bars(a))).toList()
            : List.of(),
        outcome.units().stream()
            .map(u -> line(u, outcome.first().filter(u::equals).isPresent()))
            .toList(),
        outcome.first().flatMap(DayOnUnit::byLabel).stream()
            .flatMap(c -> c.points().stream())
            .map(p -> new DayDrawing.Point(p.hour(), p.charge(), p.charge(), p.charge()))
            .toList(),
        day.reserve(),
        units);
  }

  private static List<DayDrawing.Bar> bars(Appliance a) {
    return a.draw().use().atMoments() && a.due().isEmpty()
        ? a.at().stream().map(h -> new DayDrawing.Bar(h, h)).toList()
        : a.due().stream().map(s -> new DayDrawing.Bar(s.from(), s.to())).toList();
  }

  private static DayDrawing.Line line(DayOnUnit unit, boolean asked) {
    Optional<Double> end =
        unit.found().course().runsOut().isPresent()
            ? Optional.of(unit.found().course().runsOut().getAsDouble())
            : Optional.empty();
    return new DayDrawing.Line(
        unit.name(),
        asked,
        unit.found().band().stream().map(DayPage::point).toList(),
        end.orElse(Double.NaN));
  }

  private static DayDrawing.Point point(RunTimeFigures.Band b) {
    return new DayDrawing.Point(b.hour(), b.low(), b.charge(), b.high());
  }
}
