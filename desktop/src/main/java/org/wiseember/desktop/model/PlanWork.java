package org.wiseember.desktop.model;

import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.ExecutorService;
import javafx.beans.property.ObjectProperty;
import javafx.beans.property.ReadOnlyObjectProperty;
import javafx.beans.property.SimpleObjectProperty;
import javafx.collections.ListChangeListener;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.wiseember.bench.run.Pace;
import org.wiseember.report.page.Sheet;
import org.wiseember.trial.kind.TestType;
import org.wiseember.trial.kind.Trait;
import org.wiseember.trial.onhand.OnHand;
import org.wiseember.trial.plan.KnownTimes;
import org.wiseember.trial.plan.PackState;
import org.wiseember.trial.plan.Proposal;
import org.wiseember.trial.plan.RigCard;
import org.wiseember.trial.plan.Schedule;
import org.wiseember.trial.plan.ScheduleChanges;
import org.wiseember.trial.plan.ScheduleMaker;
import org.wiseember.trial.plan.SchedulePage;
import org.wiseember.trial.plan.ScheduleStep;
import org.wiseember.trial.plan.ScheduleTimes;
import org.wiseember.trial.verdict.Judgement;
import org.wiseember.trial.verdict.Shelf;
import org.wiseember.workbook.RunSettings;
import org.wiseember.workbook.Workbook;
import org.wiseember.workbook.WorkbookException;
import org.wiseember.workbook.plan.CampaignNotes;

/**
 * The plan of the units on the shelf. It bends by itself: when a run begins or ends, when something
 * noted changes, and when a moment passes at which something should have begun.
 */
public final class PlanWork {
  /** A plan that is good within so long is shown; nobody waits for the proof of a better one, s. */
  private static final double SECONDS = 1.2;

  /** So early somebody is reminded. */
  private static final Duration SOON = Duration.ofMinutes(30);

  /** While a test runs its end is foretold anew every so many minutes. */
  private static final int EVERY = 5;

  private static final double HOUR = 3600;

  private static final Logger LOG = LoggerFactory.getLogger(PlanWork.class);

  private final OpenWorkbook open;
  private final UnitShelf shelf;
  private final Navigation at;
  private final ReaderLook look;
  private final Judgements judgements;
  private final Benchwork bench;
  private final Clock clock;
  private final ObjectProperty<Schedule> schedule = new SimpleObjectProperty<>();
  private final ObjectProperty<List<String>> changed = new SimpleObjectProperty<>(List.of());
  private final ExecutorService solving = OwnThread.named("plan");
  private final Edited<CampaignNotes> notes;
  private Map<Long, Judgement> judged = Map.of();
  private boolean looked;
  private long asked;
  private int ticks;
  private double within = SECONDS;

  PlanWork(
      OpenWorkbook open,
      UnitShelf shelf,
      Navigation at,
      ReaderLook look,
      Judgements judgements,
      Benchwork bench) {
    this.open = open;
    this.shelf = shelf;
    this.at = at;
    this.look = look;
    this.judgements = judgements;
    this.bench = bench;
    this.clock = open.clock();
    this.notes = new Edited<>(open, CampaignNotes.USUAL, Workbook::campaignNotes);
    notes.value().addListener((o, was, is) -> again());
    shelf.chosen().addListener((o, was, is) -> again());
    shelf.places().addListener((ListChangeListener<Shelf.Place>) change -> again());
    at.stage().addListener((o, was, is) -> looked());
    bench.onHand().addListener((o, was, is) -> again());
    bench.live().addListener((o, was, is) -> again());
  }

  /** From now on a plan is the best of so many seconds. */
  void within(double seconds) {
    within = seconds;
  }

  /** The plan; null until somebody looked at it once. */
  public ReadOnlyObjectProperty<Schedule> schedule() {
    return schedule;
  }

  /** What became otherwise when it was last laid out, a sentence each. */
  public ReadOnlyObjectProperty<List<String>> changed() {
    return changed;
  }

  public CampaignNotes notes() {
    return notes.get();
  }

  /** How moments are told to this reader. */
  public ScheduleTimes times() {
    return new ScheduleTimes(clock.instant(), ZoneId.systemDefault(), look.units().get());
  }

  /** Shows what a workbook has that was just opened. */
  void show(CampaignNotes kept) {
    notes.show(kept);
    schedule.set(null);
    changed.set(List.of());
    looked = at.stage().get() == StageName.PLAN;
    again();
  }

  private void looked() {
    boolean bench = at.stage().get() == StageName.BENCH && begun();
    if (!looked && (bench || at.stage().get() == StageName.PLAN)) {
      looked = true;
      again();
    }
  }

  /** Whether somebody noted anything for it. */
  private boolean begun() {
    return !notes.get().equals(CampaignNotes.USUAL);
  }

  /** A minute has passed. */
  public void tick() {
    Schedule now = schedule.get();
    ticks++;
    if (!looked && begun()) {
      looked = true;
      again();
    }
    boolean missed =
        now != null
            && now.steps().stream()
                .anyMatch(
                    s ->
                        s.kind() == ScheduleStep.Kind.RUNNING
                            ? s.to().isBefore(clock.instant())
                            : s.from().isBefore(clock.instant().minusSeconds(60)));
    if (missed || (bench.going() && ticks % EVERY == 0)) {
      again();
    }
  }

  /** Lays it out anew, once somebody looked at it. */
  private void again() {
    Judgement chosen = shelf.chosen().get();
    if (!looked || open.workbook().isEmpty() || chosen == null) {
      return;
    }
    long mine = ++asked;
    CampaignNotes now = notes.get();
    OnHand onHand = bench.onHand().get();
    Optional<LiveRun> live = Optional.ofNullable(bench.live().get()).filter(LiveRun::going);
    double pace = bench.source().get() == RunSettings.Source.SIMULATED ? pace() : 1;
    Instant instant = clock.instant();
    Optional<Instant> ends =
        live.filter(l -> l.plan().type().is(Trait.DRAINS) && l.view().get() != null)
            .map(l -> instant.plusSeconds((long) (l.expectedEnd().secondsLeft() / pace)));
    open.background(
        () -> units(now, chosen),
        units ->
            solving.execute(
                () -> {
                  Optional<ScheduleMaker.Going> going =
                      live.flatMap(
                          l ->
                              units.stream()
                                  .filter(u -> u.unit().id() == l.unitId())
                                  .findFirst()
                                  .map(u -> going(l, u, pace, ends)));
                  try {
                    Schedule made =
                        ScheduleMaker.of(
                            units, onHand, going, now, instant, ZoneId.systemDefault(), within);
                    open.screen().later(() -> take(mine, made, units));
                  } catch (WorkbookException e) {
                    // Another took its place meanwhile, of which a plan is laid out as well.
                    LOG.info("a plan was given up: {}", e.getMessage());
                  }
                }));
  }

  private double pace() {
    Pace pace = bench.pace().get();
    return pace == Pace.FULL ? HOUR : pace.factor();
  }

  private static ScheduleMaker.Going going(
      LiveRun live, Judgement unit, double pace, Optional<Instant> ends) {
    double hours = live.plan().settings().needs(KnownTimes.of(unit)).hours();
    return new ScheduleMaker.Going(
        live.unitId(),
        live.plan().type().key(),
        live.startedAt(),
        ends.orElseGet(() -> live.startedAt().plusMillis((long) (1000 * HOUR * hours / pace))));
  }

  /** A unit outside the row of those that are planned together is planned by itself. */
  private static boolean together(CampaignNotes notes, long unit) {
    return notes.units().contains(unit);
  }

  /** Whether the unit one looks at is planned together with others. */
  public boolean together() {
    Judgement chosen = shelf.chosen().get();
    return chosen != null && together(notes.get(), chosen.unit().id());
  }

  private List<Judgement> units(CampaignNotes now, Judgement chosen) {
    Workbook workbook = open.workbook().orElseThrow();
    List<Judgement> all = new ArrayList<>();
    workbook.units().all().stream()
        .filter(u -> now.units().contains(u.id()))
        .forEach(
            u ->
                all.add(
                    u.id() == chosen.unit().id()
                        ? chosen
                        : judgements.of(workbook, u, shelf.guardBand().get())));
    return together(now, chosen.unit().id()) ? all : List.of(chosen);
  }

  private void take(long mine, Schedule made, List<Judgement> units) {
    if (mine != asked) {
      return;
    }
    judged = new HashMap<>();
    units.forEach(u -> judged.put(u.unit().id(), u));
    Schedule before = schedule.get();
    changed.set(before == null ? List.of() : ScheduleChanges.between(before, made, times()));
    schedule.set(made);
  }

  /** The next test the plan has for the unit that is looked at. */
  public Optional<ScheduleStep> planned() {
    Judgement unit = shelf.chosen().get();
    return unit == null || schedule.get() == null
        ? Optional.empty()
        : schedule.get().nextTest(unit.unit().id());
  }

  /** What comes next for that unit: by the plan, else in the order of work. */
  public Optional<TestType> nextTest() {
    return planned()
        .flatMap(ScheduleStep::wanted)
        .map(w -> w.plan().type())
        .or(
            () ->
                Optional.ofNullable(shelf.chosen().get())
                    .flatMap(unit -> Proposal.next(unit, bench.onHand().get())));
  }

  /** Pins a test to a moment; empty takes its pin out. */
  public void pin(ScheduleStep step, Optional<Instant> at) {
    String key = step.wanted().orElseThrow().key();
    note(
        notes.get().pinning(step.unit(), key, at),
        step.words() + (at.isPresent() ? " pinned" : " no longer pinned"));
  }

  /** What becomes of a test; empty for what the program proposes. */
  public void choose(long unit, String test, Optional<CampaignNotes.Choice> choice) {
    note(
        notes.get().choosing(unit, test, choice).pinning(unit, test, Optional.empty()),
        "Plan changed");
  }

  /** Keeps what a unit's display shows now, %. */
  public void charged(long unit, double percent) {
    note(
        notes.get().charged(unit, new CampaignNotes.Charge(percent, clock.instant())),
        "Charge of a unit changed");
  }

  /** Keeps that somebody began a charge or a run-down in between, just now. */
  public void begin(ScheduleStep step) {
    Instant at = clock.instant();
    note(
        notes
            .get()
            .begun(
                step.unit(),
                new CampaignNotes.Begun(
                    step.chargeFrom(), step.chargeTo(), at, at.plus(step.lasts()), false)),
        step.words() + " begun");
  }

  /** Keeps that what somebody began is over: it came where it should, or was broken off. */
  public void end(ScheduleStep step, boolean brokenOff) {
    Optional.ofNullable(schedule.get().packs().get(step.unit()))
        .flatMap(PackState::underWay)
        .ifPresent(
            b ->
                note(
                    notes
                        .get()
                        .begun(
                            step.unit(),
                            brokenOff ? b.brokenOff(clock.instant()) : b.over(clock.instant())),
                    step.words() + (brokenOff ? " broken off" : " over")));
  }

  /** The plan as a sheet, with the rig card of every test on it. */
  public Sheet printed() {
    Schedule now = schedule.get();
    Sheet plan = SchedulePage.sheet(now, times());
    List<RigCard> cards = now.steps().stream().flatMap(s -> card(s).stream()).toList();
    return new Sheet(plan.title(), plan.under(), plan.page().and(RigCard.sheet(cards).page()));
  }

  /** The rig card of a step; empty for one without a test. */
  public Optional<RigCard> card(ScheduleStep step) {
    return Optional.ofNullable(judged.get(step.unit()))
        .flatMap(u -> RigCard.of(step, u.unit().label(), KnownTimes.of(u)));
  }

  /**
   * What somebody should be told of at this moment.
   *
   * @param words with the thing named
   * @param brief where there is no room for that
   */
  public record Reminder(String words, String brief) {}

  /** What is due soon; empty for nothing. */
  public Optional<Reminder> reminder() {
    Schedule now = schedule.get();
    return now == null
        ? Optional.empty()
        : now.steps().stream().flatMap(s -> reminder(s).stream()).findFirst();
  }

  private Optional<Reminder> reminder(ScheduleStep step) {
    boolean running = step.kind() == ScheduleStep.Kind.RUNNING;
    Duration left = Duration.between(clock.instant(), running ? step.to() : step.from());
    if (left.compareTo(SOON) > 0) {
      return Optional.empty();
    }
    String name = step.words() + ", " + step.unitName();
    String when =
        running
            ? left.isNegative()
                ? "should be over"
                : "ends in " + ScheduleTimes.words(left) + (step.inBetween() ? "" : ", be there")
            : left.compareTo(Duration.ofMinutes(1)) < 0 ? "now" : "in " + ScheduleTimes.words(left);
    return Optional.of(new Reminder(name + ": " + when, "Plan: " + when));
  }

  /**
   * Takes other notes; undo returns to those before.
   *
   * @param what undoing it will say
   */
  public void note(CampaignNotes next, String what) {
    notes.change(next, what);
  }

  /** The notes of a workbook; the usual where they cannot be read, which is said. */
  static CampaignNotes read(OpenWorkbook open, Workbook workbook) {
    try {
      return workbook.campaignNotes();
    } catch (WorkbookException e) {
      open.say(e.getMessage() + " The waking hours are taken, and what the claims want.");
      return CampaignNotes.USUAL;
    }
  }

  Instant now() {
    return clock.instant();
  }

  void close() {
    solving.shutdownNow();
  }
}
