package org.wiseember.trial.plan;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertFalse;
import static org.testng.Assert.assertTrue;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalTime;
import java.time.ZoneOffset;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.function.Consumer;
import java.util.stream.Collectors;
import org.testng.annotations.Test;
import org.wiseember.bench.procedure.Charge;
import org.wiseember.bench.procedure.Drain;
import org.wiseember.bench.procedure.IdleWatch;
import org.wiseember.core.label.Subject;
import org.wiseember.core.quantity.ReaderUnits;
import org.wiseember.trial.AllTests;
import org.wiseember.trial.need.Equipment;
import org.wiseember.trial.need.UnitTimes;
import org.wiseember.trial.onhand.OnHand;
import org.wiseember.trial.verdict.Judgement;
import org.wiseember.workbook.Workbook;
import org.wiseember.workbook.plan.CampaignNotes;

/** The plan of units as their claims stand. */
public class ScheduleTest {
  private static final Instant MORNING = Instant.parse("2026-05-04T08:00:20Z");
  private static final ScheduleTimes TIMES =
      new ScheduleTimes(MORNING, ZoneOffset.UTC, ReaderUnits.AS_KEPT);
  private static final String LABEL =
      """
      Capacity 500 Wh LiFePO4
      AC out 230 V, 400 W, surge 800 W
      Idle draw 6 W
      AC charging 300 W
      Full charge in 2 h
      """;

  private static void with(Consumer<Workbook> then) throws IOException {
    Path folder = Files.createTempDirectory("tide");
    try (Workbook workbook =
        Workbook.open(folder.resolve("tide.ember"), Clock.fixed(MORNING, ZoneOffset.UTC))) {
      then.accept(workbook);
    }
  }

  private static long unit(Workbook workbook, String name, String label) {
    long id = workbook.units().add(name).id();
    workbook.units().label(id, label, List.of());
    return id;
  }

  private static OnHand onHand() {
    return OnHand.of(List.of(100.0, 200.0, 400.0));
  }

  private static Schedule schedule(Workbook workbook, CampaignNotes notes) {
    return schedule(workbook, notes, Optional.empty(), MORNING);
  }

  private static Schedule schedule(
      Workbook workbook, CampaignNotes notes, Optional<ScheduleMaker.Going> going, Instant now) {
    List<Judgement> units =
        workbook.units().all().stream().map(u -> Judgement.of(workbook, u, true)).toList();
    return ScheduleMaker.of(units, onHand(), going, notes, now, ZoneOffset.UTC, 0.5);
  }

  /** Whatever is planned finds what it needs. */
  private static void sound(Schedule schedule, CampaignNotes notes) {
    Map<Long, Double> charge = new HashMap<>();
    Map<Long, Instant> over = new HashMap<>();
    schedule.packs().forEach((unit, pack) -> charge.put(unit, pack.percent()));
    for (ScheduleStep s : schedule.steps()) {
      assertEquals(s.chargeFrom(), charge.get(s.unit()), 0.06, s.toString());
      assertFalse(s.from().isBefore(over.getOrDefault(s.unit(), Instant.MIN)), s.toString());
      s.wanted()
          .ifPresent(
              w -> {
                assertTrue(s.chargeFrom() >= w.needs().least() - 0.06, s.toString());
                assertTrue(s.chargeFrom() <= w.needs().most() + 0.06, s.toString());
              });
      LocalTime begins = s.from().atZone(ZoneOffset.UTC).toLocalTime();
      assertTrue(
          notes.present().stream()
              .anyMatch(p -> !begins.isBefore(p.from()) && begins.isBefore(p.to())),
          "nobody begins " + s);
      charge.put(s.unit(), s.chargeTo());
      over.put(s.unit(), s.to());
    }
    for (Equipment thing : Equipment.values()) {
      List<ScheduleStep> using =
          schedule.steps().stream().filter(s -> s.uses(thing)).collect(Collectors.toList());
      for (int i = 1; i < using.size(); i++) {
        assertFalse(
            using.get(i).from().isBefore(using.get(i - 1).to()),
            thing + " is in two places: " + using);
      }
    }
  }

  /** A fresh label: each claim that a test can answer names one, and none is planned twice. */
  @Test
  public void aFreshLabelIsPlanned() throws IOException {
    with(
        workbook -> {
          long id = unit(workbook, "Stall lamp 500", LABEL);
          CampaignNotes notes = CampaignNotes.USUAL;
          Schedule schedule = schedule(workbook, notes);
          sound(schedule, notes);
          List<String> tests =
              schedule.proposals().get(id).wanted().stream().map(Wanted::key).toList();
          assertTrue(
              tests.containsAll(List.of(Drain.AC, IdleWatch.KIND, Charge.KIND)), tests.toString());
          assertEquals(tests.stream().distinct().count(), tests.size());
          assertEquals(
              schedule.steps().stream()
                  .flatMap(s -> s.wanted().stream())
                  .map(Wanted::key)
                  .sorted()
                  .toList(),
              tests.stream().sorted().toList(),
              schedule.said().toString());
          List<Double> costs =
              schedule.proposals().get(id).wanted().stream().map(Wanted::attendedHours).toList();
          assertEquals(costs, costs.stream().sorted().toList(), "cheapest first");
          assertTrue(
              schedule.proposals().get(id).wanted().stream()
                  .filter(w -> w.key().equals(Drain.AC))
                  .anyMatch(
                      w ->
                          w.settles().contains(Subject.CAPACITY.words().toLowerCase(Locale.ROOT))));
          // Nobody read its display, so it is neither full nor empty for the plan.
          assertFalse(schedule.packs().get(id).known());
          assertEquals(schedule.packs().get(id).percent(), 50, 0);
          ScheduleStep drain = schedule.step(id, Drain.AC).orElseThrow();
          assertEquals(drain.chargeFrom(), 100, 0);
          assertEquals(drain.chargeTo(), 0, 0);
          // 500 Wh × 0.85 at 200 W, and a few minutes: by its label, before anything is measured.
          assertEquals((double) drain.lasts().toMinutes(), Math.ceil(60 * (425 / 200.0 + 0.1)), 1);
          assertEquals(KnownTimes.of(judged(workbook, id)).fillHours(), 2, 0);
        });
  }

  private static Judgement judged(Workbook workbook, long id) {
    return Judgement.of(workbook, workbook.units().byId(id).orElseThrow(), true);
  }

  /** What somebody chose is kept; what cannot be is said. */
  @Test
  public void choicesArePartOfThePlan() throws IOException {
    with(
        workbook -> {
          long id = unit(workbook, "Stall lamp 500", LABEL);
          CampaignNotes charged =
              CampaignNotes.USUAL.charged(id, new CampaignNotes.Charge(100, MORNING));
          Instant three = Instant.parse("2026-05-04T15:00:00Z");
          CampaignNotes notes =
              charged
                  .pinning(id, Drain.AC, Optional.of(three))
                  .choosing(id, IdleWatch.KIND, Optional.of(CampaignNotes.Choice.ELSEWHERE));
          Schedule schedule = schedule(workbook, notes);
          sound(schedule, notes);
          assertTrue(schedule.said().isEmpty(), schedule.said().toString());
          assertEquals(schedule.step(id, Drain.AC).orElseThrow().from(), three);
          assertTrue(schedule.step(id, Drain.AC).orElseThrow().pinned());
          assertTrue(schedule.step(id, IdleWatch.KIND).isEmpty());
          Schedule past =
              schedule(
                  workbook, charged.pinning(id, Drain.AC, Optional.of(MORNING.minusSeconds(900))));
          assertTrue(past.said().get(0).contains("is past"), past.said().toString());
          assertTrue(past.step(id, Drain.AC).isPresent());
          Schedule night =
              schedule(
                  workbook,
                  charged.pinning(
                      id, Drain.AC, Optional.of(Instant.parse("2026-05-05T02:00:00Z"))));
          assertTrue(night.said().get(0).contains("nobody is there"), night.said().toString());
          Schedule soon =
              schedule(
                  workbook,
                  CampaignNotes.USUAL.pinning(id, Drain.AC, Optional.of(MORNING.plusSeconds(600))));
          assertTrue(soon.said().get(0).contains("cannot be kept"), soon.said().toString());
          assertTrue(soon.step(id, Drain.AC).isPresent(), "no test is lost");
        });
  }

  /** What was read three days ago says nothing of today: the unit may have been used. */
  @Test
  public void anOldReadingIsNone() throws IOException {
    with(
        workbook -> {
          long id = unit(workbook, "Stall lamp 500", LABEL);
          Instant then = MORNING.minus(Duration.ofDays(3));
          Schedule stale =
              schedule(
                  workbook, CampaignNotes.USUAL.charged(id, new CampaignNotes.Charge(100, then)));
          assertFalse(stale.packs().get(id).known());
          assertFalse(stale.packs().get(id).read());
          assertEquals(stale.packs().get(id).percent(), 50, 0);
          Schedule fresh =
              schedule(
                  workbook,
                  CampaignNotes.USUAL.charged(id, new CampaignNotes.Charge(100, MORNING)));
          assertTrue(fresh.packs().get(id).read());
        });
  }

  /**
   * A charge somebody began keeps its unit busy, is corrected by what is read on the way, and says
   * of its end no more than that it should be over; broken off nobody knows how full it is.
   */
  @Test
  public void aChargeThatWasBegun() throws IOException {
    with(
        workbook -> {
          long id = unit(workbook, "Stall lamp 500", LABEL);
          CampaignNotes.Begun begun =
              new CampaignNotes.Begun(
                  40, 100, MORNING, MORNING.plus(Duration.ofMinutes(60)), false);
          CampaignNotes notes =
              CampaignNotes.USUAL
                  .charged(id, new CampaignNotes.Charge(40, MORNING.minusSeconds(60)))
                  .begun(id, begun);
          Instant soon = MORNING.plus(Duration.ofMinutes(20));
          Schedule going = schedule(workbook, notes, Optional.empty(), soon);
          ScheduleStep first = going.steps().get(0);
          assertEquals(first.kind(), ScheduleStep.Kind.RUNNING);
          assertEquals(first.words(), "Charge to 100 %");
          assertEquals(first.to(), begun.ends());
          assertFalse(going.packs().get(id).read());
          ScheduleStep next = going.next(id).orElseThrow();
          assertEquals(next.chargeFrom(), 100, 0);
          assertFalse(next.from().isBefore(begun.ends().minusSeconds(60)));
          // 60 % were to take an hour; of 90 % the last ten take ten minutes.
          CampaignNotes read = notes.charged(id, new CampaignNotes.Charge(90, soon));
          Schedule sooner = schedule(workbook, read, Optional.empty(), soon);
          assertEquals(sooner.steps().get(0).to(), soon.plus(Duration.ofMinutes(10)));
          CampaignNotes full = notes.charged(id, new CampaignNotes.Charge(100, soon));
          Schedule there = schedule(workbook, full, Optional.empty(), soon);
          assertTrue(there.packs().get(id).underWay().isEmpty());
          assertTrue(there.packs().get(id).read());
          Schedule over = schedule(workbook, notes, Optional.empty(), begun.ends());
          assertEquals(over.packs().get(id).percent(), 100, 0);
          assertFalse(over.packs().get(id).read(), "nobody read it");
          Schedule broken =
              schedule(workbook, notes.begun(id, begun.brokenOff(soon)), Optional.empty(), soon);
          assertFalse(broken.packs().get(id).known());
          Schedule old =
              schedule(workbook, notes, Optional.empty(), begun.ends().plus(Duration.ofDays(3)));
          assertFalse(old.packs().get(id).known());
          // Kept and read again it is the same.
          workbook.campaignNotes(notes);
          assertEquals(workbook.campaignNotes(), notes);
        });
  }

  /** A day without its meter, and evenings only: everything waits, and nothing is dropped. */
  @Test
  public void whatIsNotThereIsWaitedFor() throws IOException {
    with(
        workbook -> {
          long id = unit(workbook, "Stall lamp 500", LABEL);
          long second = unit(workbook, "Stall lamp 501", LABEL);
          CampaignNotes evenings =
              CampaignNotes.USUAL
                  .present(
                      List.of(new CampaignNotes.Present(LocalTime.of(18, 0), LocalTime.of(22, 30))))
                  .lacking(
                      new CampaignNotes.Away(
                          Equipment.AC_METER.name(), MORNING, MORNING.plus(Duration.ofHours(24))));
          Schedule schedule = schedule(workbook, evenings);
          sound(schedule, evenings);
          assertTrue(
              schedule.steps().stream()
                  .filter(s -> s.uses(Equipment.AC_METER))
                  .noneMatch(s -> s.from().isBefore(MORNING.plus(Duration.ofHours(24)))));
          assertEquals(schedule.packs().keySet().size(), 2);
          assertEquals(
              schedule.tests(),
              schedule.proposals().get(id).wanted().size()
                  + schedule.proposals().get(second).wanted().size());
          Schedule before = schedule(workbook, CampaignNotes.USUAL);
          List<String> changes = ScheduleChanges.between(before, schedule, TIMES);
          assertTrue(changes.get(0).startsWith("All is over at"), changes.toString());
          assertTrue(changes.size() <= 4, changes.toString());
          assertTrue(ScheduleChanges.between(before, before, TIMES).isEmpty());
          CampaignNotes short_ =
              CampaignNotes.USUAL.present(
                  List.of(new CampaignNotes.Present(LocalTime.of(18, 0), LocalTime.of(18, 20))));
          assertTrue(
              schedule(workbook, short_).said().stream().anyMatch(w -> w.contains("is left out")));
        });
  }

  /** While a test runs its unit and its meter are taken, and its end is where the next begins. */
  @Test
  public void whatRunsIsPlannedAround() throws IOException {
    with(
        workbook -> {
          long id = unit(workbook, "Stall lamp 500", LABEL);
          long second = unit(workbook, "Stall lamp 501", LABEL);
          CampaignNotes notes =
              CampaignNotes.USUAL.charged(id, new CampaignNotes.Charge(100, MORNING));
          Instant ends = MORNING.plus(Duration.ofMinutes(100));
          Schedule schedule =
              schedule(
                  workbook,
                  notes,
                  Optional.of(
                      new ScheduleMaker.Going(id, Drain.AC, MORNING.minusSeconds(600), ends)),
                  MORNING);
          ScheduleStep running = schedule.steps().get(0);
          assertEquals(running.kind(), ScheduleStep.Kind.RUNNING);
          assertEquals(running.chargeTo(), 0, 0);
          for (ScheduleStep s : schedule.steps()) {
            boolean other = s.kind() != ScheduleStep.Kind.RUNNING;
            assertTrue(
                !other || s.unit() == second || !s.from().isBefore(running.to()), s.toString());
            assertTrue(
                !other || !s.uses(Equipment.AC_METER) || !s.from().isBefore(running.to()),
                s.toString());
          }
          assertTrue(schedule.next(id).orElseThrow().chargeFrom() <= 0.01, "it will be empty");
        });
  }

  /** An inverter on a battery has no charge to plan, and its tests are planned all the same. */
  @Test
  public void anInverterHasNoCharge() throws IOException {
    with(
        workbook -> {
          long id = unit(workbook, "Barrow inverter", "Inverter 12 V to 230 V, 1000 W\nsine wave");
          Schedule schedule = schedule(workbook, CampaignNotes.USUAL);
          assertTrue(schedule.packs().get(id).none());
          assertTrue(schedule.tests() > 0);
          assertEquals(schedule.charges(), 0);
        });
  }

  /** RFC 5545: lines end in CRLF and are no longer than 75 octets; times in UTC; an alarm each. */
  @Test
  public void theCalendarIsOne() throws IOException {
    with(
        workbook -> {
          unit(workbook, "Stall lamp; 500, the one with a very long name\nand a line", LABEL);
          Schedule schedule = schedule(workbook, CampaignNotes.USUAL);
          String text = CalendarFile.write(schedule, MORNING);
          List<String> lines = new ArrayList<>(List.of(text.split("\r\n")));
          assertEquals(text.replace("\r\n", "").indexOf('\n'), -1);
          assertEquals(lines.get(0), "BEGIN:VCALENDAR");
          assertEquals(lines.get(lines.size() - 1), "END:VCALENDAR");
          assertTrue(lines.contains("VERSION:2.0"));
          for (String line : lines) {
            assertTrue(line.getBytes(java.nio.charset.StandardCharsets.UTF_8).length <= 75, line);
          }
          long events = lines.stream().filter("BEGIN:VEVENT"::equals).count();
          assertEquals(events, schedule.steps().size());
          assertEquals(lines.stream().filter("BEGIN:VALARM"::equals).count(), events);
          assertTrue(
              lines.stream()
                  .filter(l -> l.startsWith("DTSTART"))
                  .allMatch(l -> l.matches("DTSTART:\\d{8}T\\d{6}Z")),
              text);
          assertEquals(lines.stream().filter(l -> l.startsWith("UID:")).distinct().count(), events);
          String unfolded = text.replace("\r\n ", "");
          assertTrue(unfolded.contains("Stall lamp\\; 500\\, the one"), unfolded);
        });
  }

  /**
   * Every test can be planned and has a card: things in a row, joined by leads, with its checks.
   */
  @Test
  public void everyTestHasNeedsAndACard() throws IOException {
    with(
        workbook -> {
          long id =
              unit(
                  workbook,
                  "Stall lamp 500",
                  LABEL + "12 V port 10 A\nUSB-C 60 W\nSolar 12-60 V 10 A 200 W\nUPS < 20 ms\n");
          Judgement unit = judged(workbook, id);
          UnitTimes times = KnownTimes.of(unit);
          int cards = 0;
          for (var type : AllTests.list()) {
            var plan = AllTests.plan(type, unit.unit().label(), onHand());
            if (plan.isPresent()) {
              var needs = plan.get().settings().needs(times);
              assertTrue(needs.hours() > 0 && needs.hours() < 100, type.key() + needs);
              assertTrue(needs.least() <= needs.most(), type.key() + needs);
              assertTrue(
                  needs.leaves() >= 0 || -needs.leaves() <= needs.most(), type.key() + needs);
              assertTrue(needs.attended() >= 0 && needs.attended() <= 1, type.key() + needs);
              RigCard card = RigCard.of("lamp", plan.get(), unit.unit().label(), times);
              assertTrue(
                  card.drawing().row().stream().anyMatch(t -> t.words().contains("Unit")),
                  type.key());
              assertFalse(card.cautions().isEmpty());
              cards++;
            }
          }
          assertTrue(cards > 12, cards + " tests");
        });
  }

  /** Notes come back as they were kept. */
  @Test
  public void notesComeBack() throws IOException {
    with(
        workbook -> {
          assertEquals(workbook.campaignNotes(), CampaignNotes.USUAL);
          CampaignNotes notes =
              CampaignNotes.USUAL
                  .of(List.of(2L, 1L))
                  .present(
                      List.of(
                          new CampaignNotes.Present(LocalTime.of(8, 30), LocalTime.of(12, 0)),
                          new CampaignNotes.Present(LocalTime.of(18, 0), LocalTime.MIDNIGHT)))
                  .choosing(1, Drain.AC, Optional.of(CampaignNotes.Choice.DROPPED))
                  .pinning(2, IdleWatch.KIND, Optional.of(MORNING))
                  .lacking(new CampaignNotes.Away("SCOPE", MORNING, MORNING.plusSeconds(60)))
                  .charged(1, new CampaignNotes.Charge(42, MORNING));
          workbook.campaignNotes(notes);
          assertEquals(workbook.campaignNotes(), notes);
          assertEquals(
              notes.choosing(1, Drain.AC, Optional.empty()).choices(), Map.of(), "as proposed");
        });
  }
}
