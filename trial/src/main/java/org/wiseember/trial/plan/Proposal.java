package org.wiseember.trial.plan;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.wiseember.core.label.Label;
import org.wiseember.core.verdict.Standing;
import org.wiseember.trial.AllTests;
import org.wiseember.trial.kind.TestPlan;
import org.wiseember.trial.kind.TestType;
import org.wiseember.trial.kind.Trait;
import org.wiseember.trial.kind.found.Drained;
import org.wiseember.trial.need.UnitTimes;
import org.wiseember.trial.onhand.OnHand;
import org.wiseember.trial.verdict.Judged;
import org.wiseember.trial.verdict.Judgement;
import org.wiseember.workbook.Run;
import org.wiseember.workbook.plan.CampaignNotes;

/**
 * What a unit's claims still want: each that is not tested, or too close to call, names the first
 * test that can answer it.
 *
 * @param wanted tests to plan, those that cost least of somebody's time first
 * @param left tests that are not in it, in the order of work, with why
 */
public record Proposal(List<Wanted> wanted, List<Left> left) {
  /**
   * A test that is not in the plan.
   *
   * @param why one sentence
   * @param possible whether it can be added
   */
  public record Left(TestType type, String why, boolean possible) {}

  public Proposal {
    wanted = List.copyOf(wanted);
    left = List.copyOf(left);
  }

  /** Of a unit, as its claims stand and as somebody chose. */
  public static Proposal of(Judgement unit, OnHand onHand, CampaignNotes notes) {
    Label label = unit.unit().label();
    UnitTimes times = KnownTimes.of(unit);
    Map<TestType, List<Judged>> asked = asked(unit, onHand);
    List<Wanted> wanted = new ArrayList<>();
    List<Left> left = new ArrayList<>();
    for (TestType type : AllTests.list()) {
      List<Judged> claims = asked.getOrDefault(type, List.of());
      Optional<CampaignNotes.Choice> choice = notes.choice(unit.unit().id(), type.key());
      Optional<TestPlan> plan = AllTests.plan(type, label, onHand);
      if (plan.isEmpty()) {
        left.add(new Left(type, type.missing(label, onHand), false));
      } else if (choice.filter(c -> c != CampaignNotes.Choice.ADDED).isPresent()) {
        boolean elsewhere = choice.get() == CampaignNotes.Choice.ELSEWHERE;
        left.add(new Left(type, elsewhere ? "It is done elsewhere." : "You left it out.", true));
      } else if (!claims.isEmpty() || choice.isPresent()) {
        wanted.add(
            new Wanted(
                plan.get(),
                plan.get().settings().needs(times),
                claims.stream().map(c -> c.claim().subject().inSentence()).distinct().toList(),
                !claims.isEmpty() && claims.stream().noneMatch(Proposal::untested)));
      } else {
        left.add(new Left(type, why(unit, type), true));
      }
    }
    wanted.sort(
        Comparator.comparingDouble(Wanted::attendedHours)
            .thenComparingDouble(w -> w.needs().hours()));
    return new Proposal(wanted, left);
  }

  /** The first test in the order of work that an untested claim waits for; empty for none. */
  public static Optional<TestType> next(Judgement unit, OnHand onHand) {
    Map<TestType, List<Judged>> asked = asked(unit, onHand);
    return AllTests.list().stream()
        .filter(t -> asked.getOrDefault(t, List.of()).stream().anyMatch(Proposal::untested))
        .findFirst();
  }

  private static String why(Judgement unit, TestType type) {
    return made(unit, type)
        ? "It was made, and nothing it could answer by being made again is open."
        : "No open claim waits for it.";
  }

  private static Map<TestType, List<Judged>> asked(Judgement unit, OnHand onHand) {
    Map<TestType, List<Judged>> asked = new LinkedHashMap<>();
    for (Judged line : unit.lines()) {
      if (line.verdict().isPresent() && (untested(line) || close(line))) {
        AllTests.answering(line.claim().subject()).stream()
            .filter(t -> !t.is(Trait.ONLY_ONCE_MADE) && (close(line) || !made(unit, t)))
            .filter(t -> t.settings(unit.unit().label(), onHand).isPresent())
            .findFirst()
            .ifPresent(t -> asked.computeIfAbsent(t, k -> new ArrayList<>()).add(line));
      }
    }
    return asked;
  }

  private static boolean untested(Judged line) {
    return line.verdict().filter(v -> v.standing() == Standing.NOT_TESTED).isPresent();
  }

  /** Whether a run of it came to its end, a drain to that of the unit. */
  private static boolean made(Judgement unit, TestType type) {
    return unit.runs().stream()
        .filter(r -> !r.aside() && r.type().equals(type))
        .anyMatch(
            r ->
                r.run().state() == Run.State.DONE
                    && !(r instanceof Drained drain && !drain.complete()));
  }

  private static boolean close(Judged line) {
    return line.verdict().filter(v -> v.standing() == Standing.TOO_CLOSE).isPresent();
  }
}
