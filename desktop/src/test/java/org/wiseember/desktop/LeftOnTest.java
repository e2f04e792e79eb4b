package org.wiseember.desktop;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertFalse;
import static org.testng.Assert.assertTrue;

import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Clock;
import javafx.scene.input.KeyCode;
import org.testng.annotations.Test;
import org.wiseember.bench.emulator.EmulatedBench;
import org.wiseember.bench.emulator.EmulatorServers;
import org.wiseember.bench.instrument.DescriptionJson;
import org.wiseember.bench.instrument.InstrumentDescription;
import org.wiseember.bench.instrument.StartingPoints;
import org.wiseember.bench.simulated.SimulatedUnit;
import org.wiseember.bench.simulated.design.Chemistry;
import org.wiseember.bench.simulated.design.UnitDesign;
import org.wiseember.bench.simulated.load.Heater;
import org.wiseember.trial.DemoFile;
import org.wiseember.workbook.Workbook;

/** A load that a killed program left on is said in red and switched off from the keyboard. */
public class LeftOnTest {
  @Test(timeOut = 120_000)
  public void aLoadThatWasLeftOnIsOfferedAndSwitchedOff() throws Exception {
    SimulatedUnit unit =
        new SimulatedUnit(
            UnitDesign.typical(Chemistry.LFP, 900, 400, 230, 1), Heater.of(250, 230), 1, 22);
    unit.load(true);
    EmulatedBench bench = new EmulatedBench(unit, 1, System::nanoTime, 3);
    Path file = DemoFile.in(Files.createTempDirectory("ember-left"));
    try (EmulatorServers servers = new EmulatorServers(bench, 0, -1)) {
      InstrumentDescription meter =
          StartingPoints.all().stream()
              .filter(d -> d.name().equals("AC meter over SCPI"))
              .findFirst()
              .orElseThrow()
              .at("127.0.0.1:" + servers.ports().get("AC meter"));
      try (Workbook workbook = Workbook.open(file, Clock.systemUTC())) {
        workbook.loadsOn().add(1, DescriptionJson.write(meter));
      }
      try (OpenWindow window = OpenWindow.on(file)) {
        window.untilShown("It may still be on.");
        assertTrue(unit.loadOn());
        OpenWindow.onFx(
            () -> {
              window.scene().lookup("#left-on-switch").requestFocus();
              return null;
            });
        window.robot().type(KeyCode.ENTER);
        window.untilShown("says that its load is off");
        assertFalse(unit.loadOn());
        assertFalse(window.shows("It may still be on."));
      }
      try (Workbook workbook = Workbook.open(file, Clock.systemUTC())) {
        assertEquals(workbook.loadsOn().all().size(), 0);
      }
    }
  }
}
