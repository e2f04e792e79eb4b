package org.wiseember.trial.plan;

import java.time.Duration;
import java.time.Instant;
import java.util.Comparator;
import java.util.Optional;
import org.wiseember.core.label.Subject;
import org.wiseember.core.quantity.Figures;
import org.wiseember.core.trace.Channel;
import org.wiseember.core.trace.Series;
import org.wiseember.trial.kind.TestRun;
import org.wiseember.trial.kind.found.Charged;
import org.wiseember.trial.kind.found.Drained;
import org.wiseember.trial.need.UnitTimes;
import org.wiseember.trial.verdict.Judgement;
import org.wiseember.workbook.Run;
import org.wiseember.workbook.plan.CampaignNotes;

/**
 * How full a unit is, and since when it rests.
 *
 * @param percent taken for the plan
 * @param known whether somebody or something told it lately
 * @param read whether that was its display
 * @param since its last test ended; empty where it never had one
 * @param words where that comes from, one sentence
 * @param none whether it has no pack of its own, as an inverter on a battery
 * @param underWay a charge or run-down between tests that goes on, as far as one knows
 */
public record PackState(
    double percent,
    boolean known,
    boolean read,
    Optional<Instant> since,
    String words,
    boolean none,
    Optional<CampaignNotes.Begun> underWay) {
  /** Longer ago, somebody may have used it and its display may have wandered; own choice. */
  private static final Duration LATELY = Duration.ofDays(2);

  private static PackState told(
      double percent, boolean read, Optional<Instant> since, String words) {
    return new PackState(percent, true, read, since, words, false, Optional.empty());
  }

  /** Of a unit nobody read: neither full nor empty, so that it is charged or run down first. */
  private static final double HALF = 50;

  /** As its newest run left it, or as somebody read it since. */
  public static PackState of(Judgement unit, CampaignNotes notes, Instant now) {
    Optional<TestRun> last =
        unit.runs().stream().max(Comparator.comparing((TestRun r) -> r.run().startedAt()));
    Optional<Instant> since = last.map(r -> ended(r, now));
    if (unit.label().ratedWattHours().isEmpty()
        && unit.label().claim(Subject.INPUT_VOLTAGE).isPresent()) {
      return new PackState(
          100,
          true,
          false,
          since,
          "It has no pack of its own; keep the battery it runs on charged.",
          true,
          Optional.empty());
    }
    Optional<CampaignNotes.Charge> typed =
        Optional.ofNullable(notes.charges().get(unit.unit().id()))
            .filter(t -> since.isEmpty() || !t.at().isBefore(since.get()));
    Optional<CampaignNotes.Begun> begun =
        Optional.ofNullable(notes.begun().get(unit.unit().id()))
            .filter(b -> since.isEmpty() || !b.at().isBefore(since.get()));
    if (begun.isPresent() && typed.filter(t -> !t.at().isBefore(begun.get().ends())).isEmpty()) {
      Optional<CampaignNotes.Charge> onTheWay = typed.filter(t -> t.at().isAfter(begun.get().at()));
      Optional<CampaignNotes.Begun> still =
          onTheWay.isEmpty() ? begun : begun.get().after(onTheWay.get());
      if (still.isPresent()) {
        return between(still.get(), now);
      }
    }
    if (typed.isPresent() && lately(typed.get().at(), now)) {
      return told(
          typed.get().percent(),
          true,
          since,
          "Its display was read at " + Figures.fixed(typed.get().percent(), 0) + " %.");
    }
    return last.filter(r -> lately(since.orElseThrow(), now))
        .flatMap(r -> left(r, since))
        .orElseGet(() -> unknown(since));
  }

  private static PackState unknown(Optional<Instant> since) {
    return new PackState(
        HALF,
        false,
        false,
        since,
        "Nobody read how full it is in the last two days; half is taken, so it is charged or run"
            + " down before anything that begins full or empty. Type what its display shows.",
        false,
        Optional.empty());
  }

  /** What a charge or a run-down that somebody began makes of it. */
  private static PackState between(CampaignNotes.Begun begun, Instant now) {
    boolean charge = begun.to() > begun.from();
    String what = charge ? "Its charge" : "Its run-down";
    String to = Figures.fixed(begun.to(), 0) + " %";
    if (begun.brokenOff()) {
      return new PackState(
          HALF,
          false,
          false,
          Optional.of(begun.ends()),
          what + " was broken off; half is taken until you type what its display shows.",
          false,
          Optional.empty());
    }
    if (begun.ends().isAfter(now)) {
      return new PackState(
          begun.from(),
          true,
          false,
          Optional.of(begun.at()),
          (charge ? "It is being charged to " : "It is being run down to ")
              + to
              + "; how full it is meanwhile nobody reads.",
          false,
          Optional.of(begun));
    }
    if (!lately(begun.ends(), now)) {
      return unknown(Optional.of(begun.ends()));
    }
    return told(
        begun.to(),
        false,
        Optional.of(begun.ends()),
        what + " to " + to + " should be over; type what its display shows, to be sure.");
  }

  private static boolean lately(Instant at, Instant now) {
    return !at.isBefore(now.minus(LATELY));
  }

  /** The same with how long it takes to fill and to empty said as well. */
  PackState timed(UnitTimes times) {
    return none
        ? this
        : new PackState(
            percent, known, read, since, words + " " + times.restsOn(), false, underWay);
  }

  /** A simulated run may be over before its own time has passed. */
  private static Instant ended(TestRun run, Instant now) {
    Series watts = run.preview();
    double seconds = watts.size() == 0 ? 0 : watts.seconds(watts.size() - 1);
    Instant end = run.run().startedAt().plus(Duration.ofSeconds((long) seconds));
    return end.isAfter(now) ? now : end;
  }

  private static Optional<PackState> left(TestRun run, Optional<Instant> since) {
    if (run instanceof Drained drain && drain.complete()) {
      return Optional.of(told(0, false, since, "Its last drain emptied it."));
    }
    if (run instanceof Charged charge
        && charge.run().state() == Run.State.DONE
        && charge.finding().timeToFull().isPresent()) {
      return Optional.of(told(100, false, since, "Its last charge filled it."));
    }
    Series display = run.trace().series(Channel.DISPLAY_CHARGE);
    if (display.size() == 0) {
      return Optional.empty();
    }
    double shown = Math.max(0, Math.min(100, display.value(display.size() - 1)));
    return Optional.of(
        told(
            shown,
            true,
            since,
            "Its display showed " + Figures.fixed(shown, 0) + " % at the end of its last test."));
  }
}
