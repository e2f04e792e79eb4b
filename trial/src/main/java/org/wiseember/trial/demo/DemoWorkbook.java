package org.wiseember.trial.demo;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Clock;
import java.time.Instant;
import java.time.LocalDateTime;
import java.time.LocalTime;
import java.time.ZoneOffset;
import java.time.format.DateTimeFormatter;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.wiseember.bench.instrument.Bench;
import org.wiseember.bench.instrument.DescriptionJson;
import org.wiseember.bench.instrument.StartingPoints;
import org.wiseember.bench.procedure.Charge;
import org.wiseember.bench.procedure.Drain;
import org.wiseember.bench.procedure.HeatNoise;
import org.wiseember.bench.procedure.IdleWatch;
import org.wiseember.bench.procedure.LoadLadder;
import org.wiseember.bench.procedure.MotorStarts;
import org.wiseember.bench.procedure.OverloadHolds;
import org.wiseember.bench.procedure.PortSteps;
import org.wiseember.bench.procedure.SwitchOver;
import org.wiseember.bench.procedure.WaveSteps;
import org.wiseember.bench.run.Pace;
import org.wiseember.bench.simulated.load.WaveShape;
import org.wiseember.core.charge.ChargeSource;
import org.wiseember.core.cost.Parts;
import org.wiseember.core.label.Label;
import org.wiseember.core.lineup.MustHave;
import org.wiseember.core.notice.Notice;
import org.wiseember.core.solar.Panel;
import org.wiseember.core.solar.PanelsOnHand;
import org.wiseember.core.solar.Port;
import org.wiseember.core.solar.Site;
import org.wiseember.core.solar.SunDay;
import org.wiseember.core.trace.Channel;
import org.wiseember.core.trace.Frame;
import org.wiseember.core.trace.Trace;
import org.wiseember.trial.AllTests;
import org.wiseember.trial.kind.LabelInputs;
import org.wiseember.trial.kind.TestPlan;
import org.wiseember.trial.onhand.ChargeSetting;
import org.wiseember.trial.onhand.OnHand;
import org.wiseember.trial.record.RecordedRun;
import org.wiseember.trial.rig.BenchSetup;
import org.wiseember.trial.verdict.Judgement;
import org.wiseember.trial.verdict.Shelf;
import org.wiseember.workbook.Event;
import org.wiseember.workbook.LineUpNotes;
import org.wiseember.workbook.NewRun;
import org.wiseember.workbook.Run;
import org.wiseember.workbook.RunOf;
import org.wiseember.workbook.RunSubject;
import org.wiseember.workbook.RunWriter;
import org.wiseember.workbook.TestedUnit;
import org.wiseember.workbook.UnitFacts;
import org.wiseember.workbook.Workbook;
import org.wiseember.workbook.plan.CampaignNotes;

/**
 * The demo: the equipment officer of a night-market co-operative tests units before they join the
 * lending pool for food stalls. Everything is invented, and the runs are really run, on the
 * simulated bench, from fixed seeds.
 */
public final class DemoWorkbook {
  private static final Instant FIRST_EVENING = Instant.parse("2026-05-04T16:30:00Z");

  private static final double STARTED_ONLY_SECONDS = 1500;

  private static final List<String> DEMO_INSTRUMENTS =
      List.of("Plug meter", "AC meter over SCPI", "Thermometer over SCPI");

  /** A lamp, a soldering iron and three heaters. */
  private static final String LOADS = "60, 100, 200, 500, 1000";

  /** What lies on the roofs of the stalls. Two of the larger in series fail on a cold morning. */
  private static final PanelsOnHand PANELS =
      new PanelsOnHand(
          List.of(
              new PanelsOnHand.Lot(
                  new Panel("awning 100 W", 22.4, 5.9, 18.6, 5.4, -0.28, 0.05, 36), 4),
              new PanelsOnHand.Lot(
                  new Panel("stall roof 200 W", 28.4, 9.1, 23.6, 8.5, -0.29, 0.05, 48), 2)),
          new Site(new SunDay(51, 130, 30, 0, 0.2), -8, 17));

  private record DemoUnit(String name, String label) {}

  private static final List<DemoUnit> UNITS =
      List.of(
          new DemoUnit(
              "Quernfold Q1100",
              """
              Capacity 1075 Wh (21 Ah / 51.2 V) LiFePO4
              AC out 230 V~ 50 Hz, 1200 W, overload 1500 W 2 min
              Surge 2400 W
              Pure sine wave, THD < 3 %
              DC 12 V / 10 A regulated
              USB-C PD 100 W x2, USB-A 18 W x2
              AC in 900 W max, 0-100 % 1.5 h
              PV 11-60 V, 12 A, 400 W max
              UPS < 20 ms
              Idle < 12 W
              3500 cycles to 80 %
              12.9 kg, 0 to 40 °C charge, 5 y warranty
              Smart intelligent quiet design
              """),
          new DemoUnit(
              "Haddlewick H500",
              """
              Battery: 512 Wh NMC, 14.4 V 35.6 Ah
              AC output 230 V 50 Hz, 500 W (1000 W peak)
              Pure sine
              Car port 12 V / 10 A
              USB-C 60 W
              AC charging 120 W, recharge time 5 h
              800 cycles to 80 %
              Weight 6.1 kg
              """),
          new DemoUnit(
              "Orrinmoor 2k4",
              """
              Rated capacity 2 400 Wh LFP
              Output 230 V 50 Hz 2200 W continuous, 4400 W surge
              Pure sine wave, THD ≤ 3 %
              Mains charging 1500 W, 0-80 % 75 min
              Solar 12-100 V, 15 A, 1000 W
              UPS 15 ms
              Idle AC on: 18 W
              Noise < 45 dB at 1 m
              25.4 kg
              """),
          new DemoUnit(
              "Pellwick 1500-12",
              """
              Inverter 12 V to 120 V, 1500 W
              Surge 3000 W
              60 Hz pure sine, THD < 4 %
              Peak efficiency 90 %
              No-load current < 0.9 A
              """),
          new DemoUnit(
              "Tamsel T1",
              """
              Modified sine 300 W
              Input 12 V, output 230 V
              600 W peak
              """));

  private DemoWorkbook() {}

  /** The label of a demo unit; empty where no unit is called so. */
  public static Optional<Label> label(String unitName) {
    return UNITS.stream()
        .filter(u -> u.name().equalsIgnoreCase(unitName))
        .findFirst()
        .map(u -> Label.read(u.label()));
  }

  /** Names of the demo units, in order. */
  public static List<String> names() {
    return UNITS.stream().map(DemoUnit::name).toList();
  }

  /** Makes the demo workbook in a file that does not exist yet. */
  public static void create(Path file) {
    create(file, UNITS.size());
  }

  /**
   * Makes a demo workbook of any size.
   *
   * @param units those beyond the demo's own are copies of them under other names, readings and all
   */
  public static void create(Path file, int units) {
    simulate(file);
    try (Workbook workbook = Workbook.open(file, Clock.fixed(FIRST_EVENING, ZoneOffset.UTC))) {
      List<TestedUnit> own = workbook.units().all();
      for (int i = own.size(); i < units; i++) {
        TestedUnit unit = own.get(i % own.size());
        copy(workbook, unit, unit.name() + " (" + (i / own.size() + 1) + ")");
      }
      workbook.units().all().forEach(u -> Shelf.of(workbook, Judgement.of(workbook, u, true)));
    }
  }

  private static void copy(Workbook workbook, TestedUnit unit, String name) {
    long copy = workbook.units().add(name).id();
    workbook.units().label(copy, unit.label().text(), unit.label().byHand());
    for (Run run : workbook.runs().of(unit.id())) {
      long id =
          workbook
              .runs()
              .add(
                  new NewRun(
                      RunOf.unit(copy), run.kind(), run.title(), run.startedAt(), run.settings()),
                  run.state(),
                  run.ending(),
                  workbook.runs().trace(run),
                  workbook.runs().events(run.id()));
      workbook.captures().add(id, workbook.captures().of(run.id()));
    }
  }

  private static void simulate(Path file) {
    try (Workbook workbook = Workbook.open(file, Clock.fixed(FIRST_EVENING, ZoneOffset.UTC))) {
      workbook.title("Lantern Quay lending pool");
      List<TestedUnit> units = UNITS.stream().map(u -> add(workbook, u)).toList();
      StartingPoints.all().stream()
          .filter(d -> DEMO_INSTRUMENTS.contains(d.name()))
          .forEach(d -> workbook.instruments().add(DescriptionJson.write(d)));
      workbook.loadsOnHand(LOADS);
      drain(workbook, units.get(0), 0, 11);
      drain(workbook, units.get(1), 1, 12);
      startOnly(workbook, units.get(2), 2, 13);
      drain(workbook, units.get(0), 1080, 3, 14);
      test(workbook, units.get(0), Drain.DC, 4, 15);
      test(workbook, units.get(0), LoadLadder.KIND, 5, 16);
      test(workbook, units.get(0), IdleWatch.KIND, 6, 17);
      test(workbook, units.get(3), LoadLadder.KIND, 7, 18);
      test(workbook, units.get(3), IdleWatch.KIND, 8, 19);
      test(workbook, units.get(0), OverloadHolds.KIND, 9, 20);
      test(workbook, units.get(0), MotorStarts.KIND, 10, 21);
      test(workbook, units.get(0), SwitchOver.KIND, 11, 22);
      test(workbook, units.get(0), PortSteps.KIND, 12, 23);
      test(workbook, units.get(0), HeatNoise.KIND, 13, 24);
      test(workbook, units.get(0), WaveSteps.KIND, 14, 25);
      test(workbook, units.get(4), WaveSteps.KIND, 15, 26);
      test(workbook, units.get(0), Charge.KIND, 16, 27);
      workbook.panelsOnHand(PANELS);
      List<Long> beside = List.of(units.get(2).id());
      workbook.watches().keep("Office fridge", DemoDays.FRIDGE, evening(4));
      workbook
          .sources()
          .keep(RunSubject.Kind.GENERATOR, "Yard generator", DemoDays.GENERATOR, evening(5));
      DemoDays.all().forEach(day -> workbook.days().add(day, beside));
      charge(workbook, units.get(0), Set.of(ChargeSource.SOLAR), 17, 28);
      charge(workbook, units.get(0), Set.of(ChargeSource.BATTERY), 18, 29);
      charge(workbook, units.get(0), Set.of(ChargeSource.WALL, ChargeSource.SOLAR), 19, 30);
      lineUp(workbook, units);
      campaign(workbook, units);
    }
  }

  /**
   * Three units at once, by people who keep a stall in between. The first unit is not among them:
   * its campaign is its own, and half done.
   */
  private static void campaign(Workbook workbook, List<TestedUnit> units) {
    workbook.campaignNotes(
        CampaignNotes.USUAL
            .of(List.of(units.get(1).id(), units.get(2).id(), units.get(3).id()))
            .present(
                List.of(
                    new CampaignNotes.Present(LocalTime.of(8, 0), LocalTime.of(11, 0)),
                    new CampaignNotes.Present(LocalTime.of(15, 30), LocalTime.of(23, 0))))
            .choosing(units.get(2).id(), Drain.DC, Optional.of(CampaignNotes.Choice.ELSEWHERE)));
  }

  /** What a line-up of the pool wants: drains at one load for three of them, and what was paid. */
  private static void lineUp(Workbook workbook, List<TestedUnit> units) {
    drain(workbook, units.get(0), 250, 20, 31);
    drain(workbook, units.get(2), 250, 21, 32);
    drain(workbook, units.get(2), 1100, 22, 33);
    test(workbook, units.get(1), IdleWatch.KIND, 23, 34);
    test(workbook, units.get(2), IdleWatch.KIND, 24, 35);
    test(workbook, units.get(1), Charge.KIND, 25, 36);
    test(workbook, units.get(2), Charge.KIND, 26, 37);
    double[] paid = {780, 395, 1690, 240, 45};
    String[] firmware = {"1.14", "", "2.02", "", ""};
    for (int i = 0; i < paid.length; i++) {
      workbook
          .units()
          .facts(
              units.get(i).id(),
              new UnitFacts("", firmware[i], "bought", Optional.empty(), paid[i], "EUR"));
    }
    String display = "A display that tells all";
    String stays = "Outputs that stay on";
    workbook.lineUpNotes(
        LineUpNotes.USUAL
            .answering(units.get(0).id(), display, MustHave.Answer.YES)
            .answering(units.get(0).id(), stays, MustHave.Answer.YES)
            .answering(units.get(1).id(), display, MustHave.Answer.HALF)
            .answering(units.get(2).id(), display, MustHave.Answer.YES)
            .answering(units.get(2).id(), stays, MustHave.Answer.HALF)
            .partsOf(
                units.get(0).id(),
                List.of(
                    new Parts.Part("Cells, 16 of 21 Ah", 280, 340),
                    new Parts.Part("Inverter 1200 W", 190, 260),
                    new Parts.Part("Charger and controller", 120, 160),
                    new Parts.Part("Fuse, case and cables", Double.NaN, Double.NaN))));
  }

  /**
   * Writes a log as a meter of its own ways would, with semicolons, decimal commas and kWh: the
   * first drain of the demo.
   */
  public static void writeMeterLog(Workbook demo, Path file) throws IOException {
    Run run = demo.runs().of(demo.units().all().get(0).id()).get(0);
    Trace trace = demo.runs().trace(run);
    StringBuilder text = new StringBuilder("Stall meter export\nNumber;0017\n\n");
    text.append("Timestamp;Voltage (V);Power (W);Energy (kWh);Probe (°F);cos phi\n");
    LocalDateTime from = LocalDateTime.ofInstant(run.startedAt(), ZoneOffset.UTC);
    for (int i = 0; i < trace.size(); i += 5) {
      LocalDateTime at = from.plusSeconds((long) trace.seconds(i));
      text.append(DAY_FIRST.format(at));
      column(text, trace.value(Channel.AC_VOLTAGE, i), 1);
      column(text, trace.value(Channel.AC_POWER, i), 1);
      column(text, trace.value(Channel.AC_ENERGY, i) / 1000, 4);
      column(text, trace.value(Channel.CASE_TEMPERATURE, i) * 1.8 + 32, 1);
      column(text, 1, 2);
      text.append('\n');
    }
    Files.writeString(file, text);
  }

  /** Writes a capture as a scope behind a transformer of 40 : 1 would. */
  public static void writeScopeFile(Path file) throws IOException {
    StringBuilder text =
        new StringBuilder("Quay scope;0017\nSample interval;2.0E-5\n\nTime (ms);CH1 (mV)\n");
    for (int i = 0; i < 20_000; i++) {
      double turn = 49.98 * i / 50_000;
      double volts = 230 * WaveShape.SINE.at(turn, 0.1) / 40;
      text.append(String.format(Locale.ROOT, "%.2f;%.1f%n", i * 0.02, 1000 * volts));
    }
    Files.writeString(file, text);
  }

  private static final DateTimeFormatter DAY_FIRST =
      DateTimeFormatter.ofPattern("d.M.yyyy HH:mm:ss", Locale.ROOT);

  private static void column(StringBuilder text, double value, int decimals) {
    text.append(';').append(String.format(Locale.GERMANY, "%." + decimals + "f", value));
  }

  private static TestedUnit add(Workbook workbook, DemoUnit demo) {
    TestedUnit unit = workbook.units().add(demo.name());
    Label label = workbook.units().label(unit.id(), demo.label(), List.of());
    return new TestedUnit(unit.id(), unit.name(), label);
  }

  private static Instant evening(int day) {
    return FIRST_EVENING.plusSeconds(day * 86_400L);
  }

  private static void drain(Workbook workbook, TestedUnit unit, int day, long seed) {
    test(workbook, unit, Drain.AC, day, seed);
  }

  private static void drain(Workbook workbook, TestedUnit unit, double watts, int day, long seed) {
    OnHand onHand = new OnHand(List.of(), Map.of("drain-load", "OWN", "drain-own-watts", watts));
    test(workbook, unit, plan(Drain.AC, unit, onHand), day, seed);
  }

  private static void test(Workbook workbook, TestedUnit unit, String kind, int day, long seed) {
    List<Double> onHand = Arrays.stream(LOADS.split(", ")).map(Double::valueOf).toList();
    test(workbook, unit, plan(kind, unit, OnHand.of(onHand)), day, seed);
  }

  private static TestPlan plan(String kind, TestedUnit unit, OnHand onHand) {
    return AllTests.plan(AllTests.of(kind), unit.label(), onHand).orElseThrow();
  }

  /** From these sources, the panels wired in the best way there is. */
  private static void charge(
      Workbook workbook, TestedUnit unit, Set<ChargeSource> sources, int day, long seed) {
    Port port = LabelInputs.port(unit.label()).orElseThrow();
    ChargeSetting setting =
        ChargeSetting.WALL
            .from(sources)
            .with(PANELS.ways(port).get(0).arrangement(), PANELS.site());
    OnHand onHand = OnHand.of(List.of(100.0)).with(ChargeSetting.ASK, setting);
    test(workbook, unit, plan(Charge.KIND, unit, onHand), day, seed);
  }

  private static void test(Workbook workbook, TestedUnit unit, TestPlan plan, int day, long seed) {
    BenchSetup setup = BenchSetup.simulated(unit.name(), unit.label(), plan, seed, Set.of());
    RecordedRun.of(workbook, unit, plan, setup, Pace.FULL, evening(day), view -> {})
        .runner()
        .runToEnd();
  }

  /** A drain that was going when the lights went out: its run is never ended. */
  private static void startOnly(Workbook workbook, TestedUnit unit, int day, long seed) {
    TestPlan plan = plan(Drain.AC, unit, OnHand.of(List.of()));
    BenchSetup setup = BenchSetup.simulated(unit.name(), unit.label(), plan, seed, Set.of());
    Bench bench = setup.bench();
    Drain drain = Drain.ac(plan.volts());
    RunWriter writer =
        workbook
            .runs()
            .begin(
                new NewRun(
                    RunOf.unit(unit.id()),
                    drain.kind(),
                    plan.title(),
                    evening(day),
                    setup.settings()),
                bench.channels());
    double now = 0;
    while (now < STARTED_ONLY_SECONDS) {
      bench.arrange(drain.setPoints());
      Frame frame = bench.advance(1);
      now = frame.seconds();
      writer.append(now, frame.values());
      for (Notice notice : drain.take(frame)) {
        writer.note(Event.of(notice));
      }
    }
    writer.flush();
  }
}
