package org.wiseember.trial.plan;

import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.time.ZonedDateTime;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import org.wiseember.core.plan.Campaign;
import org.wiseember.core.plan.Plan;
import org.wiseember.core.plan.PlanUnit;
import org.wiseember.core.plan.Planner;
import org.wiseember.core.plan.Task;
import org.wiseember.trial.need.Equipment;
import org.wiseember.trial.need.Needs;
import org.wiseember.trial.need.UnitTimes;
import org.wiseember.trial.onhand.OnHand;
import org.wiseember.trial.verdict.Judgement;
import org.wiseember.workbook.plan.CampaignNotes;

/** Lays a campaign out from a moment on: what the claims want, as somebody chose, by a solver. */
public final class ScheduleMaker {
  /** So far ahead somebody's hours are known. */
  private static final int DAYS = 14;

  /** A test that should be over is waited for this long, min. */
  private static final int OVERDUE = 5;

  private static final double TENTHS = 10;

  private static final double HOUR = 60;

  /** The same campaign comes out the same. */
  private static final long SEED = 1;

  private final List<Judgement> units;
  private final OnHand onHand;
  private final Optional<Going> going;
  private final CampaignNotes notes;

  /** The very moment; steps stand on whole minutes. */
  private final Instant asked;

  private final Instant now;
  private final ZoneId zone;
  private final List<String> said = new ArrayList<>();
  private final Map<Long, PackState> packs = new LinkedHashMap<>();
  private final Map<Long, Proposal> proposals = new LinkedHashMap<>();
  private final Map<Long, Map<String, Wanted>> planned = new LinkedHashMap<>();

  /**
   * A test that goes on.
   *
   * @param unit its key
   * @param ends when it should be over
   */
  public record Going(long unit, String test, Instant began, Instant ends) {}

  private ScheduleMaker(
      List<Judgement> units,
      OnHand onHand,
      Optional<Going> going,
      CampaignNotes notes,
      Instant now,
      ZoneId zone) {
    this.units = units;
    this.onHand = onHand;
    this.going = going;
    this.notes = notes;
    this.asked = now;
    this.now = now.truncatedTo(ChronoUnit.MINUTES);
    this.zone = zone;
  }

  /**
   * Lays it out.
   *
   * @param zone somebody's hours are told in
   * @param seconds it may take
   */
  public static Schedule of(
      List<Judgement> units,
      OnHand onHand,
      Optional<Going> going,
      CampaignNotes notes,
      Instant now,
      ZoneId zone,
      double seconds) {
    return new ScheduleMaker(units, onHand, going, notes, now, zone).made(seconds);
  }

  private Schedule made(double seconds) {
    List<Campaign.Window> present = present();
    int longest = present.stream().mapToInt(w -> w.to() - w.from()).max().orElse(0);
    List<PlanUnit> rows = new ArrayList<>();
    for (Judgement unit : units) {
      rows.add(row(unit, longest));
    }
    Map<String, Integer> shared =
        Arrays.stream(Equipment.values()).collect(Collectors.toMap(Equipment::name, t -> 1));
    Campaign campaign = new Campaign(rows, present, shared, away(), 1, true);
    Plan plan = planned(campaign, seconds);
    List<ScheduleStep> steps = new ArrayList<>(running());
    plan.steps().forEach(s -> steps.add(step(s)));
    Map<Long, String> names = new LinkedHashMap<>();
    units.forEach(u -> names.put(u.unit().id(), u.unit().name()));
    return new Schedule(now, steps, packs, proposals, names, plan.proven(), said);
  }

  private Plan planned(Campaign campaign, double seconds) {
    try {
      return Planner.plan(campaign, seconds, SEED);
    } catch (IllegalArgumentException cannot) {
      boolean pins =
          campaign.units().stream()
              .flatMap(u -> u.tasks().stream())
              .anyMatch(t -> t.at() != Task.ANY);
      if (!pins) {
        said.add("It cannot all be planned: " + cannot.getMessage() + ".");
        return new Plan(List.of(), false);
      }
      said.add(
          "What is pinned cannot be kept: a unit is not ready by then, or something it needs is"
              + " taken. It is planned as if nothing were pinned.");
      return planned(campaign.unpinned(), seconds);
    }
  }

  private List<Campaign.Window> present() {
    List<Campaign.Window> windows = new ArrayList<>();
    LocalDate today = LocalDate.ofInstant(now, zone);
    for (int day = -1; day < DAYS; day++) {
      LocalDate date = today.plusDays(day);
      for (CampaignNotes.Present p : notes.present()) {
        ZonedDateTime from = date.atTime(p.from()).atZone(zone);
        LocalDate last = p.to().isAfter(p.from()) ? date : date.plusDays(1);
        int begins = Math.max(0, minute(from.toInstant()));
        int ends = minute(last.atTime(p.to()).atZone(zone).toInstant());
        if (ends > begins) {
          windows.add(new Campaign.Window(begins, ends));
        }
      }
    }
    return windows;
  }

  private int minute(Instant at) {
    return (int) Math.floorDiv(Duration.between(now, at).toSeconds(), 60L);
  }

  private Instant at(int minute) {
    return now.plus(Duration.ofMinutes(minute));
  }

  private List<Campaign.Away> away() {
    List<Campaign.Away> all = new ArrayList<>();
    notes
        .away()
        .forEach(a -> all.add(new Campaign.Away(a.thing(), minute(a.from()), minute(a.to()) + 1)));
    for (Going g : going.stream().toList()) {
      wantedOf(g)
          .ifPresent(
              w ->
                  w.needs()
                      .uses()
                      .forEach(
                          t ->
                              all.add(
                                  new Campaign.Away(
                                      t.name(), 0, Math.max(OVERDUE, minute(g.ends()))))));
    }
    return all;
  }

  private PlanUnit row(Judgement unit, int longest) {
    long id = unit.unit().id();
    UnitTimes times = KnownTimes.of(unit);
    PackState pack = PackState.of(unit, notes, asked);
    Proposal proposal = Proposal.of(unit, onHand, notes);
    packs.put(id, pack.timed(times));
    proposals.put(id, proposal);
    Map<String, Wanted> wanted = new LinkedHashMap<>();
    proposal.wanted().forEach(w -> wanted.put(w.key(), w));
    planned.put(id, wanted);
    Optional<Going> on = going.filter(g -> g.unit() == id);
    List<Task> tasks = new ArrayList<>();
    for (Wanted w : proposal.wanted()) {
      if (on.filter(g -> g.test().equals(w.key())).isPresent()) {
        continue;
      }
      task(unit, w, longest).map(t -> pack.none() ? packless(t) : t).ifPresent(tasks::add);
    }
    int free = pack.since().map(this::minute).orElse(PlanUnit.RESTED);
    double charge = TENTHS * pack.percent();
    if (on.isPresent()) {
      free = Math.max(OVERDUE, minute(on.get().ends()));
      charge = wantedOf(on.get()).map(w -> after(w.needs(), pack)).orElse(charge);
    } else if (pack.underWay().isPresent()) {
      free = Math.max(1, minute(pack.underWay().get().ends()));
      charge = TENTHS * pack.underWay().get().to();
    }
    return new PlanUnit(
        String.valueOf(id),
        (int) Math.round(Math.max(0, Math.min(Task.FULL, charge))),
        HOUR * times.fillHours(),
        HOUR * times.emptyHours(),
        free,
        tasks);
  }

  private static double after(Needs needs, PackState pack) {
    return TENTHS
        * (needs.leaves() >= 0 ? needs.leaves() : Math.max(0, pack.percent() + needs.leaves()));
  }

  private Optional<Wanted> wantedOf(Going g) {
    return Optional.ofNullable(planned.getOrDefault(g.unit(), Map.of()).get(g.test()));
  }

  private Optional<Task> task(Judgement unit, Wanted wanted, int longest) {
    Needs needs = wanted.needs();
    int minutes = Math.max(1, (int) Math.ceil(HOUR * needs.hours()));
    int attended = Math.min(minutes, (int) Math.ceil(minutes * wanted.attended()));
    String name = wanted.words() + " of " + unit.unit().name();
    if (attended > longest) {
      said.add(
          name
              + " needs somebody for "
              + attended
              + " min, and nobody is there so long at a stretch; it is left out.");
      return Optional.empty();
    }
    Optional<Instant> pin = notes.pin(unit.unit().id(), wanted.key());
    int at = pin.map(this::minute).orElse(Task.ANY);
    if (pin.isPresent() && at < 0) {
      said.add(name + " was pinned to a time that is past; it is planned anew.");
      at = Task.ANY;
    } else if (pin.isPresent() && attended > 0 && !there(at, attended)) {
      said.add(name + " is pinned to a time at which nobody is there; it is planned anew.");
      at = Task.ANY;
    }
    return Optional.of(
        new Task(
            wanted.key(),
            (int) Math.round(TENTHS * needs.least()),
            (int) Math.round(TENTHS * needs.most()),
            needs.leaves() >= 0
                ? (int) Math.round(TENTHS * needs.leaves())
                : Math.min(-1, (int) Math.round(TENTHS * needs.leaves())),
            minutes,
            attended,
            needs.uses().stream().map(Equipment::name).toList(),
            (int) Math.ceil(HOUR * needs.restHours()),
            at));
  }

  /** What runs on a battery of the tester's takes nothing of its own. */
  private static Task packless(Task t) {
    return new Task(
        t.id(), 0, Task.FULL, Task.FULL, t.minutes(), t.attended(), t.uses(), t.rest(), t.at());
  }

  private boolean there(int at, int minutes) {
    return joined(present()).stream().anyMatch(w -> at >= w.from() && at + minutes <= w.to());
  }

  private static List<Campaign.Window> joined(List<Campaign.Window> windows) {
    return new Campaign(List.of(), windows, Map.of()).present();
  }

  private List<ScheduleStep> running() {
    List<ScheduleStep> steps = new ArrayList<>();
    for (Going g : going.stream().toList()) {
      if (packs.containsKey(g.unit())) {
        PackState pack = packs.get(g.unit());
        Optional<Wanted> wanted = wantedOf(g);
        Instant ends = at(Math.max(OVERDUE, minute(g.ends())));
        steps.add(
            new ScheduleStep(
                ScheduleStep.Kind.RUNNING,
                g.unit(),
                name(g.unit()),
                g.began(),
                ends,
                pack.percent(),
                wanted.map(w -> after(w.needs(), pack) / TENTHS).orElse(pack.percent()),
                wanted,
                false));
      }
    }
    packs.forEach(
        (unit, pack) ->
            pack.underWay()
                .filter(b -> going.filter(g -> g.unit() == unit).isEmpty())
                .ifPresent(b -> steps.add(begun(unit, b))));
    return steps;
  }

  private ScheduleStep begun(long unit, CampaignNotes.Begun b) {
    return new ScheduleStep(
        ScheduleStep.Kind.RUNNING,
        unit,
        name(unit),
        b.at(),
        b.ends(),
        b.from(),
        b.to(),
        Optional.empty(),
        false);
  }

  private ScheduleStep step(Plan.Step step) {
    long unit = Long.parseLong(step.unit());
    String id = step.id();
    ScheduleStep.Kind kind =
        id.equals(Plan.CHARGE)
            ? ScheduleStep.Kind.CHARGE
            : id.equals(Plan.DISCHARGE) ? ScheduleStep.Kind.RUN_DOWN : ScheduleStep.Kind.TEST;
    Optional<Wanted> wanted =
        kind == ScheduleStep.Kind.TEST
            ? Optional.ofNullable(planned.get(unit).get(id))
            : Optional.empty();
    return new ScheduleStep(
        kind,
        unit,
        name(unit),
        at(step.from()),
        at(step.to()),
        step.chargeFrom() / TENTHS,
        step.chargeTo() / TENTHS,
        wanted,
        wanted.filter(w -> notes.pin(unit, w.key()).isPresent()).isPresent());
  }

  private String name(long unit) {
    return units.stream()
        .filter(u -> u.unit().id() == unit)
        .map(u -> u.unit().name())
        .findFirst()
        .orElse("");
  }
}
