package org.wiseember.trial;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertFalse;
import static org.testng.Assert.assertTrue;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.testng.annotations.Test;
import org.wiseember.bench.procedure.Charge;
import org.wiseember.core.charge.ChargeSource;
import org.wiseember.core.charge.Inlet;
import org.wiseember.core.charge.LimitBand;
import org.wiseember.core.charge.LimitingFactor;
import org.wiseember.core.charge.Sharing;
import org.wiseember.core.label.Label;
import org.wiseember.core.label.Subject;
import org.wiseember.core.solar.Designer;
import org.wiseember.core.solar.Port;
import org.wiseember.core.verdict.Standing;
import org.wiseember.report.drawing.ProfileDrawing;
import org.wiseember.report.page.FindingPage;
import org.wiseember.trial.finding.Findings;
import org.wiseember.trial.kind.LabelInputs;
import org.wiseember.trial.kind.charge.ChargeRun;
import org.wiseember.trial.kind.charge.ChargeSettings;
import org.wiseember.trial.kind.charge.ChargeTest;
import org.wiseember.trial.onhand.ChargeSetting;
import org.wiseember.trial.onhand.OnHand;
import org.wiseember.trial.verdict.Judged;
import org.wiseember.trial.verdict.Judgement;

/** The first unit of the demo, charged from the wall, from panels, from a battery, from a mix. */
public class ChargeRunsTest extends OnDemo {
  private ChargeRun from(Set<ChargeSource> sources) {
    return judge(0).runs().stream()
        .filter(ChargeRun.class::isInstance)
        .map(ChargeRun.class::cast)
        .filter(r -> r.setting().sources().equals(sources))
        .findFirst()
        .orElseThrow();
  }

  private static LimitBand band(ChargeRun run, Inlet inlet) {
    return run.limits().orElseThrow().band(inlet).orElseThrow();
  }

  private ProfileDrawing profile(ChargeRun run, String choice) {
    return (ProfileDrawing)
        run.page(judge(0)).charts().stream()
            .filter(c -> c.choice().equals(choice))
            .map(FindingPage.Chart::drawing)
            .findFirst()
            .orElseThrow();
  }

  /** What a run keeps of a setting. */
  private static Map<String, String> kept(ChargeSetting setting) {
    return new ChargeSettings(setting, 230, "").particulars();
  }

  private static boolean says(ChargeRun run, String words) {
    return run.words().stream().anyMatch(w -> w.contains(words));
  }

  @Test
  public void panelsFollowTheSunAndAreBroughtToFullLight() {
    ChargeRun run = from(Set.of(ChargeSource.SOLAR));
    assertTrue(run.finding().timeToFull().isPresent(), run.run().ending());
    assertEquals(run.setting().panels().orElseThrow().words(), "2 strings of 2 awning 100 W");
    LimitBand band = band(run, Inlet.DC);
    double whole = run.finding().timeToFull().orElseThrow().value();
    assertTrue(band.seconds(LimitingFactor.SOURCE) > 0.4 * whole, "" + band);
    double ofPlate = run.harvest().orElseThrow().ofPlate().value();
    // The simulated panels are as good as their sheet; the lux meter and its scale are off.
    assertEquals(ofPlate, 100, run.harvest().orElseThrow().ofPlate().u95() + 3);
    assertTrue(says(run, "of their plates"), "" + run.words());
  }

  @Test
  public void aBatteryIsDrawnUpToTheAmpsOfThePort() {
    ChargeRun run = from(Set.of(ChargeSource.BATTERY));
    assertTrue(band(run, Inlet.DC).seconds(LimitingFactor.AMPS) > 3600, "" + band(run, Inlet.DC));
    Judged line = line(judge(0), Subject.SOLAR_CURRENT);
    double amps = line.verdict().orElseThrow().measured().orElseThrow().value();
    assertEquals(amps, 12, 0.9);
    assertTrue(says(run, "amps for"), "" + run.words());
  }

  @Test
  public void panelsComeFirstAndTheWallTopsUp() {
    ChargeRun run = from(Set.of(ChargeSource.WALL, ChargeSource.SOLAR));
    Sharing sharing = run.limits().orElseThrow().sharing().orElseThrow();
    assertEquals(sharing.first(), List.of(Inlet.DC));
    assertEquals(sharing.toppingUp(), List.of(Inlet.WALL));
    double cap = sharing.cap().orElseThrow();
    double alone = from(Set.of(ChargeSource.WALL)).finding().peakPower().orElseThrow().value();
    assertEquals(cap, alone, 0.03 * alone, "what the wall gives alone is the cap of all");
    assertTrue(says(run, "tops up to"), "" + run.words());
  }

  @Test
  public void theirClaimsAreJudged() {
    Judgement judgement = judge(0);
    assertTrue(
        line(judgement, Subject.SOLAR_POWER).verdict().orElseThrow().standing()
            != Standing.NOT_TESTED);
    long told =
        List.of(Subject.MAINS_POWER, Subject.SOLAR_CURRENT, Subject.CHARGE_TIME).stream()
            .filter(s -> line(judgement, s).runId().isPresent())
            .count();
    assertEquals(told, 3);
  }

  /** What a unit took while it was told to be slow is the least it takes, and the most it needs. */
  @Test
  public void aUnitSetToSlowBreaksNoPromiseByIt() {
    ChargeRun fast = from(Set.of(ChargeSource.WALL));
    double watts = fast.finding().peakPower().orElseThrow().value();
    double hours = fast.finding().timeToFull().orElseThrow().value() / 3600;
    Label more =
        Label.read("AC in " + Math.round(1.5 * watts) + " W\n0-100 % " + 0.7 * hours + " h");
    Label less =
        Label.read("AC in " + Math.round(0.8 * watts) + " W\n0-100 % " + 1.4 * hours + " h");
    ChargeRun slow =
        new ChargeRun(
            fast.kept(),
            fast.setting().set("eco"),
            fast.finding(),
            fast.limits(),
            fast.shown(),
            fast.shownEighty(),
            fast.harvest(),
            fast.roundTrip(),
            fast.startCharge(),
            fast.startCelsius(),
            fast.ratedWattHours(),
            fast.fan());
    for (Subject subject : List.of(Subject.MAINS_POWER, Subject.CHARGE_TIME)) {
      assertEquals(standing(more, subject, fast), Standing.SHORT);
      assertEquals(standing(more, subject, slow), Standing.RIG_CANNOT_SHOW);
      assertEquals(standing(less, subject, slow), Standing.KEPT);
      // One at its fastest is asked first.
      assertEquals(standing(more, subject, fast, slow), Standing.SHORT);
    }
    assertEquals(
        new ChargeSettings(slow.setting(), 230, "").title(), "Charge from the wall, set to eco");
  }

  private static Standing standing(Label label, Subject subject, ChargeRun... runs) {
    return new ChargeTest()
        .answer(label.claim(subject).orElseThrow(), new Findings.Known(label, List.of(runs)))
        .orElseThrow()
        .judge()
        .verdict(true)
        .standing();
  }

  @Test
  public void theProfilesOfAllSourcesStandTogether() {
    List<ChargeRun> all =
        judge(0).runs().stream()
            .filter(ChargeRun.class::isInstance)
            .map(ChargeRun.class::cast)
            .toList();
    ProfileDrawing figure = profile(all.get(0), "All charges, by energy in");
    assertEquals(figure.lines().size(), 4);
    assertTrue(figure.lines().stream().anyMatch(l -> l.name().equals("from the wall")));
    assertTrue(figure.lines().stream().allMatch(l -> Double.isNaN(l.kneeX()) || l.kneeX() > 500));
    ProfileDrawing mixed = profile(all.get(3), "This charge over time");
    assertEquals(mixed.lines().size(), 3);
    assertEquals(mixed.bands().size(), 2);
  }

  /** Two of the larger panels in series stay inside at 25 °C, and pass the port at −8 °C. */
  @Test
  public void onlyAColdMorningForbidsOneWay() {
    Port port = LabelInputs.port(judge(0).unit().label()).orElseThrow();
    List<Designer.Way> ways = demo.panelsOnHand().ways(port);
    Designer.Way large =
        ways.stream()
            .filter(w -> w.arrangement().words().equals("2 stall roof 200 W in series"))
            .findFirst()
            .orElseThrow();
    assertTrue(large.arrangement().coldVolts(25) <= port.mostVolts());
    assertEquals(large.standing(), Designer.Standing.NEVER);
    assertEquals(large.coldVolts(), 2 * 28.4 * (1 + 0.0029 * 33), 1e-9);
    assertEquals(ways.get(0).standing(), Designer.Standing.BEST);
  }

  /** A sheet, a site, a choice of sources come back from a run as they went in. */
  @Test
  public void whatItWasChargedFromIsKept() {
    ChargeSetting set = from(Set.of(ChargeSource.SOLAR)).setting();
    assertEquals(ChargeSetting.of(kept(set)), set);
    ChargeSetting usb =
        new ChargeSetting(
            Set.of(ChargeSource.USB_C, ChargeSource.CAR), Optional.empty(), set.site(), 65, "eco");
    assertEquals(ChargeSetting.of(kept(usb)).usbWatts(), 65.0);
    assertEquals(ChargeSetting.of(kept(usb)).sources(), usb.sources());
    assertEquals(ChargeSetting.of(kept(usb)).slowed(), "eco");
    assertEquals(
        ChargeSetting.of(Map.of("chargeSources", "SOLAR", "panelOpenVolts", "x")).panels(),
        Optional.empty());
  }

  @Test
  public void withoutPanelsThereIsNoPlanForThem() {
    Label label = Label.read("Capacity 500 Wh\n300 W");
    OnHand onHand = OnHand.of(List.of(100.0));
    assertTrue(
        Plans.of(
                Charge.KIND,
                label,
                onHand.with(ChargeSetting.ASK, ChargeSetting.WALL.from(Set.of(ChargeSource.SOLAR))))
            .isEmpty());
    assertFalse(Plans.of(Charge.KIND, label, onHand).isEmpty());
    assertEquals(LabelInputs.port(label), Optional.empty());
    Port port = LabelInputs.port(Label.read("Solar max 60 V, 12 A, 400 W")).orElseThrow();
    assertEquals(port, new Port(0, 60, 12, 400));
  }
}
