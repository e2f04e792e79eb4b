package org.wiseember.trial.plan;

import java.time.Duration;
import java.time.Instant;
import java.time.ZonedDateTime;
import java.time.format.DateTimeFormatter;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import org.wiseember.report.drawing.ScheduleDrawing;
import org.wiseember.report.look.UnitMark;
import org.wiseember.trial.need.Equipment;

/** A plan as its picture. */
public final class ScheduleDrawings {
  private static final double LEAST_HOURS = 4;
  private static final int LANE_NAME = 20;
  private static final int[] STEPS = {1, 2, 3, 6, 12, 24, 48, 96};
  private static final int MOST_TICKS = 12;
  private static final double MINUTE = 1 / 60.0;
  private static final DateTimeFormatter DAY = DateTimeFormatter.ofPattern("EEE d", Locale.ENGLISH);

  private ScheduleDrawings() {}

  /** When its picture begins: with what runs already. */
  public static Instant begins(Schedule schedule) {
    return schedule.steps().stream()
        .map(ScheduleStep::from)
        .filter(t -> t.isBefore(schedule.now()))
        .min(Instant::compareTo)
        .orElse(schedule.now());
  }

  /** Hours from there to the end. */
  public static double hours(Schedule schedule) {
    return Math.max(LEAST_HOURS, 1.02 * hour(schedule, schedule.end()));
  }

  private static double hour(Schedule schedule, Instant at) {
    return Duration.between(begins(schedule), at).toSeconds() / 3600.0;
  }

  /** Lanes of units come first, in the order of the page. */
  public static ScheduleDrawing of(
      Schedule schedule, ScheduleTimes times, Optional<ScheduleStep> chosen) {
    List<Long> units = List.copyOf(schedule.packs().keySet());
    List<ScheduleDrawing.Line> lines = new ArrayList<>();
    List<ScheduleDrawing.Lane> lanes = new ArrayList<>();
    for (int i = 0; i < units.size(); i++) {
      UnitMark mark = new UnitMark(i);
      long unit = units.get(i);
      List<ScheduleStep> own = schedule.steps().stream().filter(s -> s.unit() == unit).toList();
      if (!schedule.packs().get(unit).none()) {
        lines.add(
            new ScheduleDrawing.Line(
                schedule.names().get(unit), mark, corners(schedule, unit, own)));
      }
      lanes.add(
          new ScheduleDrawing.Lane(
              laneName(schedule.names().get(unit)),
              own.stream()
                  .map(s -> bar(schedule, s, s.from(), s.to(), mark, brief(s), chosen))
                  .toList()));
    }
    for (String lane :
        Arrays.stream(Equipment.values())
            .map(Equipment::lane)
            .collect(Collectors.toCollection(LinkedHashSet::new))) {
      lanes.add(
          new ScheduleDrawing.Lane(
              lane,
              schedule.steps().stream()
                  .filter(s -> !things(s, lane).isEmpty())
                  .map(
                      s ->
                          bar(
                              schedule,
                              s,
                              s.from(),
                              s.to(),
                              mark(units, s),
                              things(s, lane),
                              chosen))
                  .toList()));
    }
    lanes.add(
        new ScheduleDrawing.Lane(
            "Someone there",
            schedule.steps().stream()
                .filter(
                    s ->
                        s.kind() != ScheduleStep.Kind.RUNNING
                            || s.attendedTo().isAfter(schedule.now()))
                .map(
                    s ->
                        bar(schedule, s, s.from(), attended(s), mark(units, s), "be there", chosen))
                .toList()));
    return new ScheduleDrawing(
        hours(schedule), hour(schedule, schedule.now()), ticks(schedule, times), lines, lanes);
  }

  /** The names of lanes stand beside them and must leave them room. */
  private static String laneName(String name) {
    return name.length() <= LANE_NAME ? name : name.substring(0, LANE_NAME - 1).strip() + "…";
  }

  /** Beginning a charge takes somebody a moment. */
  private static Instant attended(ScheduleStep step) {
    Instant moment = step.from().plusSeconds(60);
    return step.attendedTo().isAfter(moment) ? step.attendedTo() : moment;
  }

  private static UnitMark mark(List<Long> units, ScheduleStep step) {
    return new UnitMark(units.indexOf(step.unit()));
  }

  private static ScheduleDrawing.Bar bar(
      Schedule schedule,
      ScheduleStep step,
      Instant from,
      Instant to,
      UnitMark mark,
      String words,
      Optional<ScheduleStep> chosen) {
    return new ScheduleDrawing.Bar(
        hour(schedule, from),
        hour(schedule, to),
        mark,
        words,
        chosen.filter(step::equals).isPresent(),
        step.pinned());
  }

  /** What a step is called where there is little room. */
  private static String brief(ScheduleStep step) {
    return step.wanted()
        .map(w -> w.plan().type().words())
        .orElseGet(() -> step.kind() == ScheduleStep.Kind.CHARGE ? "charge" : "run down");
  }

  private static String things(ScheduleStep step, String lane) {
    return Arrays.stream(Equipment.values())
        .filter(t -> t.lane().equals(lane) && step.uses(t))
        .map(Equipment::words)
        .collect(Collectors.joining(", "));
  }

  private static List<ScheduleDrawing.Corner> corners(
      Schedule schedule, long unit, List<ScheduleStep> own) {
    List<ScheduleDrawing.Corner> corners = new ArrayList<>();
    double percent = schedule.packs().get(unit).percent();
    corners.add(
        new ScheduleDrawing.Corner(
            Math.min(
                hour(schedule, schedule.now()),
                own.isEmpty() ? 0 : hour(schedule, own.get(0).from())),
            percent));
    for (ScheduleStep s : own) {
      corners.add(new ScheduleDrawing.Corner(hour(schedule, s.from()), s.chargeFrom()));
      corners.add(new ScheduleDrawing.Corner(hour(schedule, s.to()), s.chargeTo()));
      percent = s.chargeTo();
    }
    corners.add(new ScheduleDrawing.Corner(hours(schedule), percent));
    return corners;
  }

  /** Whole hours of the day, so many that they do not crowd; midnight by the name of its day. */
  private static Map<Double, String> ticks(Schedule schedule, ScheduleTimes times) {
    double hours = hours(schedule);
    int step = STEPS[STEPS.length - 1];
    for (int i = STEPS.length - 1; i >= 0; i--) {
      step = hours / STEPS[i] <= MOST_TICKS ? STEPS[i] : step;
    }
    Map<Double, String> ticks = new LinkedHashMap<>();
    ZonedDateTime at = begins(schedule).atZone(times.zone()).truncatedTo(ChronoUnit.HOURS);
    for (int i = 0; i <= hours + 24; i++, at = at.plusHours(1)) {
      double hour = hour(schedule, at.toInstant());
      boolean whole =
          step < 24
              ? at.getHour() % step == 0
              : at.getHour() == 0 && at.getDayOfYear() % (step / 24) == 0;
      if (whole && hour >= -MINUTE && hour <= hours) {
        ticks.put(
            Math.max(0, hour),
            at.getHour() == 0 ? DAY.format(at) : times.units().time(at.toLocalTime()));
      }
    }
    return ticks;
  }
}
