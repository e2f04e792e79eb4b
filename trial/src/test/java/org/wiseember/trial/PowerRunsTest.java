package org.wiseember.trial;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertFalse;
import static org.testng.Assert.assertNotEquals;
import static org.testng.Assert.assertTrue;

import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Clock;
import java.time.Instant;
import java.time.ZoneOffset;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.OptionalInt;
import java.util.Set;
import java.util.SplittableRandom;
import org.testng.annotations.AfterMethod;
import org.testng.annotations.BeforeMethod;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;
import org.wiseember.bench.procedure.ByHand;
import org.wiseember.bench.procedure.HeatNoise;
import org.wiseember.bench.procedure.MotorStarts;
import org.wiseember.bench.procedure.OverloadHolds;
import org.wiseember.bench.procedure.PortSteps;
import org.wiseember.bench.procedure.SwitchOver;
import org.wiseember.bench.run.Pace;
import org.wiseember.core.figure.Bound;
import org.wiseember.core.heat.HotSpot;
import org.wiseember.core.label.Subject;
import org.wiseember.core.noise.Noise;
import org.wiseember.core.port.UsbTester;
import org.wiseember.core.start.CodeLetter;
import org.wiseember.core.start.Nameplate;
import org.wiseember.core.start.StartForecast;
import org.wiseember.core.start.StartPower;
import org.wiseember.core.trace.Channel;
import org.wiseember.core.trace.Trace;
import org.wiseember.core.verdict.Standing;
import org.wiseember.trial.kind.TestPlan;
import org.wiseember.trial.kind.TestRun;
import org.wiseember.trial.kind.heat.HeatRun;
import org.wiseember.trial.kind.legs.LegsRun;
import org.wiseember.trial.kind.port.PortRun;
import org.wiseember.trial.kind.start.StartsRun;
import org.wiseember.trial.kind.start.StartsSettings;
import org.wiseember.trial.kind.transfer.TransferRun;
import org.wiseember.trial.kind.usb.UsbRun;
import org.wiseember.trial.kind.usb.UsbSettings;
import org.wiseember.trial.kind.usb.UsbUse;
import org.wiseember.trial.onhand.MotorOnHand;
import org.wiseember.trial.onhand.OnHand;
import org.wiseember.trial.record.RecordedRun;
import org.wiseember.trial.rig.BenchSetup;
import org.wiseember.trial.verdict.Judged;
import org.wiseember.trial.verdict.Judgement;
import org.wiseember.workbook.Event;
import org.wiseember.workbook.NewRun;
import org.wiseember.workbook.Run;
import org.wiseember.workbook.RunOf;
import org.wiseember.workbook.RunSettings;
import org.wiseember.workbook.TestedUnit;
import org.wiseember.workbook.Workbook;
import org.wiseember.workbook.pack.RunPackage;

/** Tests of power, ports and noise from the bench to the verdict. */
public class PowerRunsTest {
  private static final Clock CLOCK =
      Clock.fixed(Instant.parse("2026-05-04T16:30:00Z"), ZoneOffset.UTC);
  private static final List<Double> HEATERS = List.of(100.0, 200.0, 500.0, 1000.0, 1500.0);

  private Path folder;
  private Workbook workbook;

  @BeforeMethod
  public void open() throws Exception {
    folder = Files.createTempDirectory("ember-power");
    workbook = Workbook.open(folder.resolve("one.ember"), CLOCK);
  }

  @AfterMethod(alwaysRun = true)
  public void close() {
    workbook.close();
  }

  private TestedUnit unit(String name, String label) {
    TestedUnit unit = workbook.units().add(name);
    workbook.units().label(unit.id(), label, List.of());
    return workbook.units().byId(unit.id()).orElseThrow();
  }

  private void run(TestedUnit unit, String kind, OnHand onHand, long seed) {
    TestPlan plan = Plans.of(kind, unit.label(), onHand).orElseThrow();
    BenchSetup setup = BenchSetup.simulated(unit.name(), unit.label(), plan, seed, Set.of());
    RecordedRun.of(workbook, unit, plan, setup, Pace.FULL, CLOCK.instant(), v -> {})
        .runner()
        .runToEnd();
  }

  private Judgement judge(TestedUnit unit) {
    return Judgement.of(workbook, unit, true);
  }

  private static Optional<Standing> standing(Judgement judgement, Subject subject) {
    return judgement.lines().stream()
        .filter(l -> l.claim().subject() == subject)
        .findFirst()
        .flatMap(Judged::verdict)
        .map(v -> v.standing());
  }

  /** Common practice, no published source: what the rig cannot reach says nothing of the unit. */
  @Test
  public void aRigThatCannotReachTheClaimNeverSaysShort() {
    SplittableRandom random = new SplittableRandom(8);
    for (int i = 0; i < 12; i++) {
      int rated = 600 + 100 * random.nextInt(10);
      TestedUnit unit =
          unit(
              "Unit " + i,
              "AC output 230 V 50 Hz "
                  + rated
                  + " W\nOverload "
                  + Math.round(1.25 * rated)
                  + " W 2 min\nSurge "
                  + 2 * rated
                  + " W");
      // Nothing on hand comes up to the rating.
      run(unit, OverloadHolds.KIND, OnHand.of(List.of(0.3 * rated, 0.45 * rated)), i);
      Judgement judgement = judge(unit);
      for (Subject s : List.of(Subject.CONTINUOUS_POWER, Subject.OVERLOAD_TIME, Subject.SURGE)) {
        assertEquals(
            standing(judgement, s), Optional.of(Standing.RIG_CANNOT_SHOW), s + " of " + rated);
      }
    }
  }

  /** A light motor that starts does not break a surge claim it never came near. */
  @Test
  public void aLightMotorIsARigLimit() {
    TestedUnit unit = unit("Kiosk", "1200 W\n230 V 50 Hz\nSurge 2400 W");
    Nameplate light = motor(0.5, Nameplate.Eased.NOTHING);
    run(unit, MotorStarts.KIND, OnHand.of(HEATERS).with(MotorOnHand.ASK, light), 4);
    Judgement judgement = judge(unit);
    assertEquals(standing(judgement, Subject.SURGE), Optional.of(Standing.RIG_CANNOT_SHOW));
    StartsRun starts = (StartsRun) judgement.runs().get(0);
    assertEquals(starts.series().orElseThrow().started().count(), "5 of 5");
    assertEquals(starts.captures().size(), 5);
    assertEquals(starts.motor(), Optional.of(light));
    // What it gave is enough for a smaller motor, and says nothing of one ten times larger.
    assertEquals(
        judgement.startLimits().start(motor(0.2, Nameplate.Eased.NOTHING)).likely(),
        StartForecast.Likely.YES);
    assertEquals(
        judgement.startLimits().start(motor(8, Nameplate.Eased.NOTHING)).likely(),
        StartForecast.Likely.UNKNOWN);
  }

  private static Nameplate motor(double amps, Nameplate.Eased eased) {
    return new Nameplate(
        "Fan",
        Nameplate.Kind.INDUCTION,
        230,
        amps,
        OptionalDouble.empty(),
        Optional.empty(),
        OptionalDouble.empty(),
        eased);
  }

  /** A soft starter is kept with the run and changes what is drawn. */
  @Test
  public void aSoftStarterIsKeptAndTellsInThePeak() {
    TestedUnit unit = unit("Kiosk", "1200 W\n230 V 50 Hz");
    Nameplate soft =
        new Nameplate(
            "Pump",
            Nameplate.Kind.INDUCTION,
            230,
            2,
            OptionalDouble.of(11),
            Optional.of(CodeLetter.G),
            OptionalDouble.of(0.4),
            Nameplate.Eased.SOFT_STARTER);
    run(
        unit,
        MotorStarts.KIND,
        OnHand.of(HEATERS).with(MotorOnHand.ASK, motor(2, Nameplate.Eased.NOTHING)),
        4);
    run(unit, MotorStarts.KIND, OnHand.of(HEATERS).with(MotorOnHand.ASK, soft), 5);
    List<TestRun> runs = judge(unit).runs();
    double bare = ((StartsRun) runs.get(0)).series().orElseThrow().peakAmps().orElseThrow();
    double eased = ((StartsRun) runs.get(1)).series().orElseThrow().peakAmps().orElseThrow();
    assertTrue(eased < 0.6 * bare, eased + " against " + bare);
    assertEquals(((StartsRun) runs.get(1)).motor(), Optional.of(soft));
    assertEquals(StartPower.of(soft).ways().size(), 3);
    assertTrue(
        runs.get(1).headline().orElseThrow().because().watchOut().stream()
            .anyMatch(w -> w.contains("soft starter")));
  }

  /** Everything at once from a label, and a package that brings its captures along. */
  @Test
  public void aPackageBringsItsCapturesAlong() throws Exception {
    TestedUnit unit = unit("Kiosk", "1000 Wh\n1200 W\n230 V 50 Hz\nUPS < 30 ms");
    run(unit, SwitchOver.KIND, OnHand.of(HEATERS), 6);
    Judgement judgement = judge(unit);
    assertEquals(standing(judgement, Subject.SWITCH_OVER), Optional.of(Standing.KEPT));
    TransferRun transfer = (TransferRun) judgement.runs().get(0);
    assertEquals(transfer.gaps().size(), 5);
    assertTrue(transfer.passThrough().isPresent());
    Path zip = folder.resolve("switch.zip");
    RunPackage.write(workbook, transfer.run(), zip);
    RunPackage.Unpacked in = RunPackage.read(zip);
    assertEquals(in.captures().size(), 5);
    for (int i = 0; i < 5; i++) {
      assertEquals(
          in.captures().get(i).capture().volts(), transfer.pulls().get(i).kept().capture().volts());
      assertEquals(in.captures().get(i).words(), transfer.pulls().get(i).kept().words());
    }
    assertEquals(in.settings(), transfer.run().settings());
  }

  private long byHand(
      TestedUnit unit, String kind, Map<String, String> particulars, List<Event> events) {
    RunSettings settings =
        new RunSettings(
            0,
            230,
            Map.of(),
            Map.of(),
            RunSettings.Source.BY_HAND,
            0,
            List.of(),
            List.of(),
            particulars);
    return workbook
        .runs()
        .add(
            new NewRun(RunOf.unit(unit.id()), kind, "By hand", CLOCK.instant(), settings),
            Run.State.DONE,
            "",
            Trace.empty(),
            events);
  }

  private void typed(long run, double at, Channel channel, double value) {
    workbook.typedReadings().keep(run, at, "Meter", channel, value, 0.01, "" + value);
  }

  @DataProvider
  Object[][] usb() {
    return new Object[][] {
      // Common practice, no published source: a 5 V tester cannot show a 100 W claim.
      {UsbTester.FIVE_VOLT, 5.0, 3.0, Standing.RIG_CANNOT_SHOW},
      {UsbTester.PD_60, 20.0, 3.0, Standing.RIG_CANNOT_SHOW},
      // Gave way before the tester was at its end: that is the port.
      {UsbTester.PD_60, 20.0, 1.5, Standing.SHORT},
      {UsbTester.PD_100, 20.0, 3.1, Standing.SHORT},
      {UsbTester.PD_240, 20.6, 5.0, Standing.KEPT},
      // At its own end the tester shows a bound, and one this close to the claim decides nothing.
      {UsbTester.PD_100, 20.0, 5.0, Standing.RIG_CANNOT_SHOW}
    };
  }

  @Test(dataProvider = "usb")
  public void aPortIsJudgedByWhatItsTesterCanAskFor(
      UsbTester tester, double volts, double amps, Standing expected) {
    TestedUnit unit = unit("Kiosk", "USB-C 100 W");
    long run =
        byHand(unit, ByHand.USB, new UsbSettings(tester, UsbUse.PORT, "").particulars(), List.of());
    typed(run, 10, Channel.DC_VOLTAGE, 5.1);
    typed(run, 12, Channel.DC_CURRENT, 2.9);
    typed(run, 300, Channel.DC_VOLTAGE, volts);
    typed(run, 304, Channel.DC_CURRENT, amps);
    Judgement judgement = judge(unit);
    UsbRun usb = (UsbRun) judgement.runs().get(0);
    assertEquals(usb.port().profiles().size(), 2);
    assertEquals(standing(judgement, Subject.USB_C_POWER), Optional.of(expected));
  }

  /** Common practice, no published source: 3 000 W in all less 300 W house is a 2 700 W pump. */
  @Test
  public void twoLegsTypedByHand() {
    TestedUnit unit = unit("Pair", "3000 W");
    long run = byHand(unit, ByHand.TWO_LEGS, Map.of(), List.of());
    typed(run, 10, Channel.AC_POWER, 180);
    typed(run, 15, Channel.SECOND_AC_POWER, 120);
    typed(run, 100, Channel.AC_POWER, 1550);
    typed(run, 104, Channel.SECOND_AC_POWER, 1450);
    LegsRun legs = (LegsRun) judge(unit).runs().get(0);
    assertEquals(legs.legs().orElseThrow().load(), 2700.0);
    assertEquals(legs.legs().orElseThrow().imbalancePercent(), 100.0 / 30, 1e-9);
  }

  /** Starts somebody saw, with a clamp's peaks typed beside them. */
  @Test
  public void startsSeenByAPerson() {
    TestedUnit unit = unit("Kiosk", "1200 W\n120 V 60 Hz\nSurge 4000 W");
    long run =
        byHand(
            unit,
            MotorStarts.KIND,
            new StartsSettings(Optional.of(motor(3, Nameplate.Eased.NOTHING)), 120, "")
                .particulars(),
            List.of(
                new Event(20, "start_tripped", "Seen: tripped."),
                new Event(200, "start_started", "Seen: started."),
                new Event(400, "start_started", "Seen: started.")));
    // Common practice, no published source: 29 A × 120 V = 3 480 VA, 36 A gave 4 320 VA.
    typed(run, 210, Channel.PEAK_CURRENT, 29);
    typed(run, 212, Channel.AC_VOLTAGE, 120);
    typed(run, 410, Channel.PEAK_CURRENT, 36);
    typed(run, 412, Channel.AC_VOLTAGE, 120);
    Judgement judgement = judge(unit);
    StartsRun starts = (StartsRun) judgement.runs().get(0);
    assertEquals(starts.series().orElseThrow().started().count(), "2 of 3");
    assertEquals(starts.series().orElseThrow().held().orElseThrow(), 4320.0);
    assertTrue(starts.warnings().get(0).message().contains("at times"));
    assertNotEquals(standing(judgement, Subject.SURGE), Optional.of(Standing.SHORT));
  }

  @DataProvider
  Object[][] failedStarts() {
    return new Object[][] {
      // One failed start convicts nobody, with the guard band or without; three that all failed do.
      {List.of("start_sagged"), Standing.RIG_CANNOT_SHOW},
      {List.of("start_tripped", "start_sagged"), Standing.RIG_CANNOT_SHOW},
      {List.of("start_tripped", "start_sagged", "start_tripped"), Standing.SHORT},
      {List.of("start_tripped", "start_started", "start_tripped"), Standing.RIG_CANNOT_SHOW},
    };
  }

  @Test(dataProvider = "failedStarts")
  public void aFailedStartIsNoVerdict(List<String> codes, Standing expected) {
    TestedUnit unit = unit("Kiosk", "1000 W, surge 4000 W\n120 V 60 Hz");
    List<Event> events = new ArrayList<>();
    for (int i = 0; i < codes.size(); i++) {
      events.add(new Event(200 * i + 20, codes.get(i), "Seen."));
    }
    long run =
        byHand(
            unit,
            MotorStarts.KIND,
            new StartsSettings(Optional.of(motor(3, Nameplate.Eased.NOTHING)), 120, "")
                .particulars(),
            events);
    for (int i = 0; i < codes.size(); i++) {
      typed(run, 200 * i + 25, Channel.PEAK_CURRENT, 20 + i);
      typed(run, 200 * i + 27, Channel.AC_VOLTAGE, 110);
    }
    for (boolean guard : new boolean[] {true, false}) {
      assertEquals(standing(judge(unit).judged(guard), Subject.SURGE), Optional.of(expected));
    }
  }

  /** Noise at the label's distance, the room taken out. */
  @Test
  public void noiseIsJudgedAtTheDistanceOfItsLabel() {
    TestedUnit unit = unit("Kiosk", "1000 Wh 800 W\n230 V 50 Hz\nNoise < 45 dB at 1 m");
    run(unit, HeatNoise.KIND, OnHand.of(HEATERS), 3);
    Judgement judgement = judge(unit);
    HeatRun heat = (HeatRun) judgement.runs().get(0);
    assertEquals(heat.background(), 31, 2);
    // 50 min are less than two time constants of this case: it warms by at least so much.
    assertTrue(heat.rise().orElseThrow().heading().isEmpty());
    assertEquals(heat.rise().orElseThrow().reached().bound(), Bound.AT_LEAST);
    Noise noise = heat.loudest().orElseThrow();
    double loudest = noise.at(1).value();
    assertEquals(loudest, 46, 2);
    assertEquals(noise.at(2).value(), loudest - 6.02, 0.01);
    assertTrue(noise.at(2).u95() > noise.at(1).u95());
    assertFalse(standing(judgement, Subject.NOISE).isEmpty());
    // The first step at a quarter of the rating, more with more load, the plug above the case.
    assertEquals(heat.fan().seen().size(), heat.heard().size());
    assertEquals(heat.heard().get(0).fan(), OptionalInt.of(1));
    assertTrue(heat.fan().rises(), heat.fan().words());
    assertEquals(heat.fan().highest(), 2);
    assertEquals(heat.heard().get(heat.heard().size() - 1).fan(), OptionalInt.of(2));
    double spot = heat.spot().orElseThrow().rise().value();
    assertTrue(spot > heat.rise().orElseThrow().reached().value(), spot + " K");
  }

  /**
   * Fan steps and the hottest spot typed with its place, each belonging to the load that was on.
   */
  @Test
  public void fanAndHottestSpotTypedByHand() {
    TestedUnit unit = unit("Kiosk", "1000 Wh 800 W");
    long run =
        byHand(
            unit,
            HeatNoise.KIND,
            Map.of(),
            List.of(
                new Event(0, HeatNoise.BACKGROUND, "Unit off"),
                new Event(100, HeatNoise.LOAD, "200 W"),
                new Event(400, HeatNoise.LOAD, "700 W")));
    typed(run, 90, Channel.FAN_STEP, 3);
    typed(run, 120, Channel.AC_POWER, 201);
    typed(run, 150, Channel.FAN_STEP, 0);
    typed(run, 160, Channel.ROOM_TEMPERATURE, 21);
    typed(run, 420, Channel.AC_POWER, 702);
    typed(run, 430, Channel.FAN_STEP, 1);
    typed(run, 700, Channel.FAN_STEP, 2);
    typed(run, 900, Channel.SPOT_TEMPERATURE, 48);
    workbook
        .typedReadings()
        .keep(run, 950, "Camera", Channel.SPOT_TEMPERATURE, 57.5, 0.1, "57.5 °C at the outlet");
    HeatRun heat = (HeatRun) judge(unit).runs().get(0);
    assertEquals(heat.fan().words(), "Fan off up to 201 W, at step 2 from 702 W.");
    HotSpot spot = heat.spot().orElseThrow();
    assertEquals(spot.place(), "the outlet");
    assertEquals(spot.rise().value(), 36.5, 1e-9);
    // 2 K of the camera and 2 K of the probe nobody described, both as limits.
    assertEquals(spot.rise().u95(), 3.1, 0.3);
    assertTrue(heat.headline().orElseThrow().title().startsWith("Hottest spot"));
  }

  /** A label's port and overload held against what the bench saw of them. */
  @Test
  public void aPortAndItsTrip() {
    TestedUnit unit = unit("Kiosk", "1000 Wh 800 W\nDC 12 V / 10 A regulated");
    run(unit, PortSteps.KIND, OnHand.of(HEATERS), 3);
    PortRun port = (PortRun) judge(unit).runs().get(0);
    assertTrue(port.finding().tripAmps().isPresent());
    double trip = port.finding().tripAmps().get().value();
    assertTrue(trip > 9.4 && trip < 11, "" + trip);
  }
}
