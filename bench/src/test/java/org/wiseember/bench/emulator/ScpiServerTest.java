package org.wiseember.bench.emulator;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertTrue;

import java.io.IOException;
import java.net.InetAddress;
import java.net.NetworkInterface;
import java.net.Socket;
import java.util.Collections;
import org.testng.annotations.AfterMethod;
import org.testng.annotations.BeforeMethod;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;
import org.wiseember.bench.emulator.EmulatorFixture.Client;

/**
 * The servers against IEEE 488.2 and SCPI-99, as recalled from memory: common commands, status
 * registers, headers in long and short form, the error queue, blocks.
 */
public class ScpiServerTest {
  private EmulatorFixture fixture;
  private Client meter;
  private Client load;

  @BeforeMethod
  public void start() throws IOException {
    fixture = new EmulatorFixture(false);
    meter = new Client(fixture.port("AC meter"));
    load = new Client(fixture.port("DC load"));
  }

  @AfterMethod(alwaysRun = true)
  public void stop() throws IOException {
    meter.close();
    load.close();
    fixture.close();
  }

  @Test
  public void commonCommandsAnswer() throws IOException {
    assertEquals(meter.ask("*IDN?").split(",").length, 4);
    assertEquals(meter.ask("*ESR?"), "128", "power on");
    assertEquals(meter.ask("*ESR?"), "0", "reading clears");
    assertEquals(meter.ask("*OPC?"), "1");
    assertEquals(meter.ask("*TST?"), "0");
    assertEquals(meter.ask("*STB?"), "0");
    assertEquals(meter.ask("SYST:ERR?"), "0,\"No error\"");
    assertEquals(meter.ask("SYSTEM:VERSION?"), "1999.0");
    meter.send("*OPC");
    assertEquals(meter.ask("*ESR?"), "1");
  }

  @DataProvider
  Object[][] wrong() {
    return new Object[][] {
      {"MEAS:COLOUR?", -113, 32},
      {"MEAS:VOLTS?", -113, 32},
      {"*IDN? 3", -108, 32},
      {"OUTP", -109, 32},
      {"OUTP MAYBE", -224, 16},
      {"OUTP 1,0", -108, 32},
      {"!!", -102, 32},
      {"*ESE 999", -222, 16},
      {"*ESE many", -104, 32},
    };
  }

  @Test(dataProvider = "wrong")
  public void errorsAreQueuedAndSetTheirBit(String line, int number, int bit) throws IOException {
    meter.send("*CLS");
    meter.send(line);
    assertEquals(meter.ask("*STB?"), "4", "error available");
    String error = meter.ask("SYST:ERR?");
    assertTrue(error.startsWith(number + ",\""), line + " gave " + error);
    assertEquals(meter.ask("*ESR?"), Integer.toString(bit));
    assertEquals(meter.ask("SYST:ERR?"), "0,\"No error\"");
    assertEquals(meter.ask("*OPC?"), "1", "and it goes on");
  }

  @Test
  public void theQueueOverflowsHonestly() throws IOException {
    for (int i = 0; i < 30; i++) {
      meter.send("NONSENSE");
    }
    assertEquals(meter.ask("SYST:ERR:COUN?"), "20");
    String last = "";
    for (int i = 0; i < 20; i++) {
      last = meter.ask("SYST:ERR?");
    }
    assertEquals(last, "-350,\"Queue overflow\"");
  }

  @Test
  public void statusRegistersSummarise() throws IOException {
    meter.send("*CLS;*ESE 32;*SRE 32");
    assertEquals(meter.ask("*ESE?;*SRE?"), "32;32");
    meter.send("NONSENSE");
    assertEquals(Integer.parseInt(meter.ask("*STB?")), 64 + 32 + 4);
    meter.send("*CLS");
    assertEquals(meter.ask("*STB?"), "0");
  }

  @Test
  public void headersInLongAndShortFormAndByPath() throws IOException {
    double volts = Double.parseDouble(meter.ask("MEASure:SCALar:VOLTage:AC?"));
    assertEquals(volts, 230, 1);
    for (String line : new String[] {"meas:volt?", ":MEAS:VOLT:AC?", "MEAS:SCAL:VOLT?"}) {
      assertEquals(Double.parseDouble(meter.ask(line)), volts, 0.5, line);
    }
    String[] both = meter.ask("MEAS:VOLT?;FREQ?;*IDN?;:MEAS:CURR?").split(";");
    assertEquals(both.length, 4);
    assertEquals(Double.parseDouble(both[1]), 50, 0.1);
    assertEquals(Double.parseDouble(both[3]), 0, 0.02);
  }

  @Test
  public void theLoadIsSwitchedAndEnergyCounts() throws IOException {
    assertEquals(meter.ask("OUTP?"), "0");
    meter.send("OUTP ON");
    assertEquals(meter.ask("OUTP?"), "1");
    fixture.pass(3600);
    double watts = Double.parseDouble(meter.ask("MEAS:POW?"));
    assertTrue(watts > 550 && watts < 620, "" + watts);
    double total = Double.parseDouble(meter.ask("MEAS:ENER?"));
    assertEquals(total, fixture.unit().account().delivered(), 0.006 * total);
    meter.send("ENER:CLE");
    assertEquals(Double.parseDouble(meter.ask("MEAS:ENER?")), 0.0, 0.2);
    meter.send("*RST");
    assertEquals(meter.ask("OUTP?"), "0");
  }

  @Test
  public void settingsKeepTheirUnitsAndLimits() throws IOException {
    load.send("CURR 2500 MA");
    assertEquals(Double.parseDouble(load.ask("CURR?")), 2.5, 1e-9);
    load.send("CURR 2 V");
    assertTrue(load.ask("SYST:ERR?").startsWith("-131"));
    load.send("CURR 99");
    assertTrue(load.ask("SYST:ERR?").startsWith("-222"));
    load.send("CURR MAX");
    assertEquals(Double.parseDouble(load.ask("SOUR:CURR:LEV:IMM:AMPL?")), 40.0);
    load.send("FUNC POW;POW 60 W;:INP ON");
    assertEquals(load.ask("INP?"), "1");
    fixture.pass(2);
    assertEquals(load.ask("SYST:ERR?"), "0,\"No error\"");
    assertEquals(load.ask("FUNC?"), "POW");
    assertTrue(fixture.unit().portVolts() > 13, "port " + fixture.unit().portVolts());
    assertEquals(Double.parseDouble(load.ask("MEAS:POW?")), 60, 0.5);
    assertEquals(load.ask("CURR?"), "4.000000E+01", "it keeps what was set for the other mode");
    load.send("VOLT:LIM:LOW 13.2");
    assertEquals(Double.parseDouble(load.ask("VOLT:LIM:LOW?")), 13.2, 1e-9);
    fixture.pass(2);
    assertEquals(load.ask("INP?"), "0", "its own low-volt stop");
  }

  @Test
  public void blocksHoldTheWave() throws Exception {
    try (Client scope = new Client(fixture.port("Scope"))) {
      scope.send("TRAC? CHAN1");
      assertTrue(scope.ask("SYST:ERR?").startsWith("-230"), "nothing captured yet");
      scope.send("SWE:TIME 0.2;POIN 4000;:FORM REAL,32;:INIT");
      assertEquals(scope.ask("*OPC?"), "1");
      String[] preamble = scope.ask("TRAC:PRE? CHAN1").split(",");
      assertEquals(preamble[0], "4000");
      assertEquals(Double.parseDouble(preamble[1]), 0.2 / 4000, 1e-9);
    }
    try (Socket socket = new Socket(InetAddress.getLoopbackAddress(), fixture.port("Scope"))) {
      socket.setSoTimeout(5000);
      socket
          .getOutputStream()
          .write("FORM REAL,32;:TRAC? CH1\n".getBytes(java.nio.charset.StandardCharsets.US_ASCII));
      byte[] head = socket.getInputStream().readNBytes(7);
      assertEquals(new String(head, java.nio.charset.StandardCharsets.US_ASCII), "#516000");
      byte[] data = socket.getInputStream().readNBytes(16_000);
      java.nio.FloatBuffer volts = java.nio.ByteBuffer.wrap(data).asFloatBuffer();
      double squares = 0;
      for (int i = 0; i < 4000; i++) {
        squares += volts.get(i) * volts.get(i) / 4000.0;
      }
      assertEquals(Math.sqrt(squares), 230, 1.5, "true RMS of ten whole cycles");
      assertEquals(socket.getInputStream().read(), '\n');
    }
  }

  @Test
  public void hugeAndBrokenMessagesAreSurvived() throws IOException {
    meter.send("*CLS");
    meter.send("X".repeat(70_000));
    assertTrue(meter.ask("SYST:ERR?").startsWith("-363"));
    meter.send("\u0001\u0002;;;");
    meter.send("MEAS:VOLT? (((@");
    assertEquals(meter.ask("*OPC?"), "1");
    try (Client half = new Client(fixture.port("AC meter"))) {
      half.send("MEAS:VO");
    }
    assertEquals(meter.ask("*OPC?"), "1", "half a line of another client disturbs nobody");
  }

  /** Nothing but loopback reaches a stand-in. */
  @Test
  public void listensOnLoopbackOnly() throws Exception {
    java.util.List<String> reached = new java.util.ArrayList<>();
    int tried = 0;
    for (NetworkInterface net : Collections.list(NetworkInterface.getNetworkInterfaces())) {
      for (InetAddress address : Collections.list(net.getInetAddresses())) {
        if (!address.isLoopbackAddress()) {
          try (Socket socket = new Socket()) {
            socket.connect(new java.net.InetSocketAddress(address, fixture.port("AC meter")), 300);
            reached.add(address.toString());
          } catch (IOException refused) {
            tried++;
          }
        }
      }
    }
    assertEquals(reached, java.util.List.of(), "refused " + tried);
  }
}
