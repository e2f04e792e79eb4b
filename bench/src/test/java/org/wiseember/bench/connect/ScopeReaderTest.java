package org.wiseember.bench.connect;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertTrue;
import static org.testng.Assert.expectThrows;

import java.io.IOException;
import java.util.List;
import java.util.Optional;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;
import org.wiseember.bench.emulator.EmulatorFixture;
import org.wiseember.bench.instrument.Health;
import org.wiseember.bench.instrument.InstrumentDescription;
import org.wiseember.bench.instrument.ScopeCommands;
import org.wiseember.bench.instrument.SetPoints;
import org.wiseember.bench.instrument.StartingPoints;
import org.wiseember.core.waveform.Capture;
import org.wiseember.core.waveform.WaveMethod;
import org.wiseember.core.waveform.WaveformAnalysis;

/** Captures fetched from the scope stand-in over a socket, as blocks of every coding. */
public class ScopeReaderTest {
  private static ScopeCommands commands(String format, ScopeCommands.Coding coding, boolean big) {
    return new ScopeCommands(
        List.of(
            "SWE:TIME 0.3",
            "SWE:POIN 6000",
            "FORM " + format,
            "FORM:BORD " + (big ? "NORM" : "SWAP")),
        "INIT",
        "*OPC?",
        List.of(
            new ScopeCommands.Trace("TRAC:PRE? CH1", "TRAC? CH1", 1),
            new ScopeCommands.Trace("TRAC:PRE? CH2", "TRAC? CH2", 1)),
        coding,
        big,
        new ScopeCommands.Preamble(1, 2, 3));
  }

  @DataProvider
  Object[][] codings() {
    return new Object[][] {
      {"INT,16", ScopeCommands.Coding.INT16, true},
      {"INT,16", ScopeCommands.Coding.INT16, false},
      {"REAL,32", ScopeCommands.Coding.FLOAT32, true},
      {"REAL,32", ScopeCommands.Coding.FLOAT32, false},
    };
  }

  @Test(dataProvider = "codings", timeOut = 30_000)
  public void blocksOfEveryCoding(String format, ScopeCommands.Coding coding, boolean big)
      throws Exception {
    try (EmulatorFixture fixture = new EmulatorFixture(false);
        ScpiClient client = ScpiClient.tcp("127.0.0.1:" + fixture.port("Scope"), 5000)) {
      Capture c = new ScopeReader(client, commands(format, coding, big)).capture();
      assertEquals(c.size(), 6000);
      assertEquals(c.perSecond(), 20_000, 1e-6);
      assertTrue(c.hasAmps());
      double rms = WaveformAnalysis.of(c, WaveMethod.assumed(40)).rms().value();
      assertEquals(rms, fixture.unit().acVolts(), 0.005 * rms);
    }
  }

  /** Behind a transformer of 9.58 to 1 the volts are its ratio larger. */
  @Test(timeOut = 30_000)
  public void aProbeRatioMultiplies() throws Exception {
    try (EmulatorFixture fixture = new EmulatorFixture(false);
        ScpiClient client = ScpiClient.tcp("127.0.0.1:" + fixture.port("Scope"), 5000)) {
      ScopeCommands plain = commands("INT,16", ScopeCommands.Coding.INT16, true);
      ScopeCommands tenfold =
          new ScopeCommands(
              plain.setUp(),
              plain.arm(),
              plain.ready(),
              List.of(new ScopeCommands.Trace("TRAC:PRE? CH1", "TRAC? CH1", 9.58)),
              plain.coding(),
              true,
              plain.preamble());
      Capture c = new ScopeReader(client, tenfold).capture();
      double rms = WaveformAnalysis.of(c, WaveMethod.assumed(40)).rms().value();
      assertEquals(rms, 9.58 * fixture.unit().acVolts(), 0.05 * rms);
    }
  }

  @Test(timeOut = 30_000)
  public void aPreambleWithoutFiguresIsSaid() throws Exception {
    try (EmulatorFixture fixture = new EmulatorFixture(false);
        ScpiClient client = ScpiClient.tcp("127.0.0.1:" + fixture.port("Scope"), 5000)) {
      ScopeCommands wrong =
          new ScopeCommands(
              List.of(),
              "INIT",
              "*OPC?",
              List.of(new ScopeCommands.Trace("TRAC:PRE? CH1", "TRAC? CH1", 1)),
              ScopeCommands.Coding.INT16,
              true,
              new ScopeCommands.Preamble(4, 2, 3));
      IOException e =
          expectThrows(IOException.class, () -> new ScopeReader(client, wrong).capture());
      assertTrue(e.getMessage().contains("has no number at place 4"), e.getMessage());
    }
  }

  /** On a bench: what is asked to be captured comes with one of the next frames, and once. */
  @Test(timeOut = 60_000)
  public void aBenchWithAScope() throws Exception {
    InstrumentDescription shipped =
        StartingPoints.all().stream().filter(d -> d.scope().isPresent()).findFirst().orElseThrow();
    try (EmulatorFixture fixture = new EmulatorFixture(false);
        ConnectedBench bench =
            new ConnectedBench(List.of(shipped.at("127.0.0.1:" + fixture.port("Scope"))), 0, 20)) {
      bench.advance(1);
      assertTrue(bench.captured().isEmpty());
      bench.arrange(SetPoints.NO_LOAD.onScope());
      Optional<Capture> caught = Optional.empty();
      for (int i = 0; i < 400 && caught.isEmpty(); i++) {
        bench.arrange(SetPoints.NO_LOAD.onScope());
        bench.advance(1);
        caught = bench.captured();
      }
      assertEquals(caught.orElseThrow().size(), 20_000);
      assertTrue(bench.captured().isEmpty());
      assertEquals(bench.health().get(0), Health.ALIVE);
    }
  }
}
