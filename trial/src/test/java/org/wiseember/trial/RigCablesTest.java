package org.wiseember.trial;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertFalse;
import static org.testng.Assert.assertTrue;

import java.util.List;
import java.util.Set;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;
import org.wiseember.bench.procedure.ByHand;
import org.wiseember.bench.procedure.Charge;
import org.wiseember.bench.procedure.HeatNoise;
import org.wiseember.bench.procedure.IdleWatch;
import org.wiseember.core.charge.ChargeSource;
import org.wiseember.core.label.Label;
import org.wiseember.core.solar.Arrangement;
import org.wiseember.core.solar.Panel;
import org.wiseember.core.solar.Site;
import org.wiseember.core.solar.SunDay;
import org.wiseember.core.wiring.CableRun;
import org.wiseember.core.wiring.Connector;
import org.wiseember.trial.kind.charge.ChargeRefusal;
import org.wiseember.trial.kind.inspect.InspectionTest;
import org.wiseember.trial.need.RigCable;
import org.wiseember.trial.onhand.ChargeSetting;
import org.wiseember.trial.onhand.OnHand;

/** The leads of every rig, and what refuses a charge. */
public class RigCablesTest {
  private static final Label STATION =
      Label.read(
          "Capacity 1000 Wh\n1000 W\n230 V\n12 V / 10 A\nPV 11-60 V, 12 A, 400 W\nAC in 900 W");
  private static final Label INVERTER = Label.read("Inverter 12 V to 230 V, 1000 W");
  private static final Panel PANEL = new Panel("p", 28.4, 9.1, 23.6, 8.5, -0.29, 0.05, 48);
  private static final Site COLD = new Site(new SunDay(51, 130, 30, 0, 0.2), -8, 17);

  private static OnHand onHand() {
    return OnHand.of(List.of(100.0, 500.0, 1000.0));
  }

  private static List<RigCable> of(String kind, Label label, ChargeSetting setting) {
    return Plans.of(kind, label, onHand().with(ChargeSetting.ASK, setting))
        .map(p -> p.settings().leads(label))
        .orElse(List.of());
  }

  @DataProvider
  Object[][] kinds() {
    return AllTests.list().stream().map(t -> new Object[] {t.key()}).toArray(Object[][]::new);
  }

  /** Whatever the rig: a fuse that the cable bears, no thinner than the amps want, and a plug. */
  @Test(dataProvider = "kinds")
  public void everyLeadIsFusedAndCarriesItsAmps(String kind) {
    for (Label label : List.of(STATION, INVERTER)) {
      List<RigCable> cables = of(kind, label, ChargeSetting.WALL);
      boolean bare = Set.of(IdleWatch.KIND, ByHand.USB, InspectionTest.KIND).contains(kind);
      if (Plans.of(kind, label, onHand()).isPresent()) {
        assertEquals(cables.isEmpty(), bare, kind + "");
      }
      for (RigCable cable : cables) {
        assertTrue(cable.words().contains(" A at worst, "), cable.words());
        if (cable.cable().isEmpty()) {
          assertTrue(cable.amps() > 150 && cable.words().contains("two in parallel"));
          continue;
        }
        CableRun run = cable.cable().get();
        double fuse = run.fuse().orElseThrow();
        assertTrue(fuse >= 1.25 * cable.amps() - 1e-9, cable.words());
        assertTrue(run.gauge().carriesAmps() >= fuse, cable.words());
        assertTrue(run.dropPercent() <= 3, cable.words());
      }
    }
  }

  /** 1 000 W ÷ (0.85 × 10.5 V) is 112 A at the battery of a 12 V inverter. */
  @Test
  public void anInverterHangsOnItsBattery() {
    RigCable battery = of(HeatNoise.KIND, INVERTER, ChargeSetting.WALL).get(0);
    assertEquals(battery.where(), "battery to inverter");
    assertEquals(battery.amps(), 1000 / (0.85 * 10.5), 2);
    assertEquals(battery.connector(), Connector.LUG);
  }

  @Test
  public void eachSourceHasItsLead() {
    ChargeSetting all =
        ChargeSetting.WALL
            .from(Set.of(ChargeSource.WALL, ChargeSource.SOLAR, ChargeSource.USB_C))
            .with(new Arrangement(PANEL, 1, 2), COLD);
    List<RigCable> cables = of(Charge.KIND, STATION, all);
    assertEquals(cables.size(), 3);
    RigCable panels =
        cables.stream().filter(c -> c.where().startsWith("panels")).findFirst().orElseThrow();
    assertEquals(panels.amps(), 1.25 * 2 * 9.1, 1e-9);
    assertEquals(panels.connector(), Connector.SOLAR_PLUG);
    RigCable usb =
        cables.stream().filter(c -> c.where().startsWith("USB")).findFirst().orElseThrow();
    assertEquals(usb.amps(), 5, 1e-9);
  }

  /** Two in series reach 62.2 V at −8\u00a0°C: refused. At 15 °C they may go in. */
  @Test
  public void onlyVoltsRefuseACharge() {
    ChargeSetting sun = ChargeSetting.WALL.from(Set.of(ChargeSource.SOLAR));
    ChargeSetting two = sun.with(new Arrangement(PANEL, 2, 1), COLD);
    assertTrue(ChargeRefusal.of(STATION, two).orElseThrow().contains("62.2 V at −8\u00a0°C"));
    assertTrue(Plans.of(Charge.KIND, STATION, onHand().with(ChargeSetting.ASK, two)).isEmpty());
    Site warm = new Site(COLD.day(), 15, 17);
    assertFalse(
        ChargeRefusal.of(STATION, sun.with(new Arrangement(PANEL, 2, 1), warm)).isPresent());
    // Ten in parallel are 2 000 W on a port of 400 W: a waste, and no harm.
    assertFalse(
        ChargeRefusal.of(STATION, sun.with(new Arrangement(PANEL, 1, 10), COLD)).isPresent());
    Label tight = Label.read("PV 11-28 V, 10 A");
    ChargeSetting battery = ChargeSetting.WALL.from(Set.of(ChargeSource.BATTERY));
    assertTrue(ChargeRefusal.of(tight, battery).orElseThrow().contains("29.2 V"));
    assertTrue(ChargeRefusal.of(STATION, battery).isEmpty());
    assertTrue(ChargeRefusal.of(INVERTER, battery).orElseThrow().contains("no volt window"));
  }
}
