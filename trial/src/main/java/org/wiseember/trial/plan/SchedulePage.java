package org.wiseember.trial.plan;

import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.stream.Collectors;
import org.wiseember.core.quantity.Figures;
import org.wiseember.report.page.FindingPage;
import org.wiseember.report.page.Sheet;
import org.wiseember.trial.need.Equipment;
import org.wiseember.trial.need.Needs;

/** A plan in words, for the screen and as a sheet that prints. */
public final class SchedulePage {
  private SchedulePage() {}

  /** How much it is, one sentence or two. */
  public static String summary(Schedule schedule, ScheduleTimes times) {
    if (schedule.steps().isEmpty()) {
      return "Nothing is to be done: every claim of these units that a test here can answer has its"
          + " answer.";
    }
    return count(schedule.tests(), "test")
        + ", over at "
        + times.words(schedule.end())
        + ", "
        + ScheduleTimes.words(Duration.ofMinutes(attendedMinutes(schedule)))
        + " of it with somebody there; "
        + (schedule.charges() == 0 ? "no charge" : count(schedule.charges(), "charge"))
        + " put in between. "
        + (schedule.proven() ? "No plan is shorter." : "A shorter one may exist.");
  }

  private static String count(long many, String what) {
    return many + " " + what + (many == 1 ? "" : "s");
  }

  /** Minutes in which somebody has to be there; two things at once count once. */
  static long attendedMinutes(Schedule schedule) {
    long sum = 0;
    Instant until = Instant.MIN;
    for (ScheduleStep s : schedule.steps()) {
      Instant from = s.from().isBefore(schedule.now()) ? schedule.now() : s.from();
      from = from.isBefore(until) ? until : from;
      if (s.attendedTo().isAfter(from)) {
        sum += Duration.between(from, s.attendedTo()).toMinutes();
        until = s.attendedTo();
      }
    }
    return sum;
  }

  /** What comes next, and when to be back. */
  public static String next(Schedule schedule, ScheduleTimes times) {
    List<ScheduleStep> later =
        schedule.steps().stream().filter(s -> s.kind() != ScheduleStep.Kind.RUNNING).toList();
    if (later.isEmpty()) {
      return schedule.steps().isEmpty()
          ? ""
          : "What runs should be over at "
              + times.words(schedule.end())
              + "; nothing comes after it.";
    }
    ScheduleStep first = later.get(0);
    boolean now = !first.from().isAfter(schedule.now());
    String words =
        (now ? "Now: " : "Next, at " + times.words(first.from()) + ": ")
            + first.words()
            + ", "
            + first.unitName()
            + ".";
    Optional<ScheduleStep> after =
        later.stream()
            .filter(s -> s.from().isAfter(first.from()))
            .min(Comparator.comparing(ScheduleStep::from));
    return after.isEmpty() || !now
        ? words
        : words
            + (first.attendedTo().isAfter(first.from())
                ? " Stay until " + times.words(first.attendedTo()) + "."
                : "")
            + " Be back at "
            + times.words(after.get().from())
            + " for "
            + after.get().words()
            + ".";
  }

  /** What it needs, in brief. */
  public static String needs(ScheduleStep step, PackState pack) {
    if (step.inBetween()) {
      return step.charges() ? "from any outlet" : "with any load";
    }
    Needs needs = step.wanted().get().needs();
    List<String> words = new ArrayList<>();
    if (pack.none()) {
      words.add("on a charged battery");
    } else if (needs.most() == 0) {
      words.add("begins empty");
    } else if (needs.least() > 99) {
      words.add("begins full");
    } else if (needs.least() > 0) {
      words.add("from " + Figures.fixed(needs.least(), 0) + " % up");
    } else if (needs.most() < 100) {
      words.add("at " + Figures.fixed(needs.most(), 0) + " % or less");
    }
    if (needs.restHours() > 0) {
      words.add(
          "rested " + ScheduleTimes.words(Duration.ofMinutes(Math.round(60 * needs.restHours()))));
    }
    long attended = Duration.between(step.from(), step.attendedTo()).toMinutes();
    words.add(
        attended == 0
            ? "nobody there"
            : step.attendedTo().equals(step.to())
                ? "somebody there throughout"
                : "somebody there for " + ScheduleTimes.words(Duration.ofMinutes(attended)));
    return String.join(", ", words);
  }

  /** What it takes meanwhile. */
  public static String uses(ScheduleStep step) {
    String things =
        step.wanted().stream()
            .flatMap(w -> w.needs().uses().stream())
            .map(Equipment::words)
            .collect(Collectors.joining(", "));
    return things.isEmpty() ? "nothing that is shared" : things;
  }

  /** How it stands. */
  public static String state(Schedule schedule, ScheduleStep step, ScheduleTimes times) {
    return switch (step.kind()) {
      case RUNNING -> "runs, over at " + times.words(step.to());
      default ->
          step.from().isAfter(schedule.now())
              ? "at " + times.words(step.from()) + (step.pinned() ? ", pinned" : "")
              : "now";
    };
  }

  /** The sheet. */
  public static Sheet sheet(Schedule schedule, ScheduleTimes times) {
    FindingPage page = new FindingPage(List.of(), List.of());
    if (!schedule.steps().isEmpty()) {
      page = page.chart(ScheduleDrawings.of(schedule, times, Optional.empty()));
    }
    List<List<String>> rows = new ArrayList<>();
    for (ScheduleStep s : schedule.steps()) {
      rows.add(
          List.of(
              s.words(),
              s.unitName(),
              times.words(s),
              Figures.fixed(s.chargeFrom(), 0) + " to " + Figures.fixed(s.chargeTo(), 0) + " %",
              needs(s, schedule.packs().get(s.unit()))));
    }
    List<String> said = new ArrayList<>(List.of(summary(schedule, times)));
    said.addAll(schedule.said());
    schedule
        .packs()
        .forEach((unit, pack) -> said.add(schedule.names().get(unit) + ": " + pack.words()));
    return new Sheet(
        "Plan",
        String.join(", ", schedule.names().values())
            + ", from "
            + times.words(schedule.now())
            + ".",
        page.table(List.of("What", "Unit", "When", "Charge", "Needs"), rows).say(said));
  }
}
