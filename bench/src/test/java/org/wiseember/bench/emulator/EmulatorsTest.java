package org.wiseember.bench.emulator;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertFalse;
import static org.testng.Assert.assertTrue;

import java.io.DataInputStream;
import java.io.IOException;
import java.net.InetAddress;
import java.net.Socket;
import java.net.SocketTimeoutException;
import java.nio.ByteBuffer;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.concurrent.atomic.AtomicLong;
import org.testng.annotations.AfterMethod;
import org.testng.annotations.BeforeMethod;
import org.testng.annotations.Test;
import org.wiseember.bench.simulated.SimulatedUnit;
import org.wiseember.bench.simulated.design.Chemistry;
import org.wiseember.bench.simulated.design.UnitDesign;
import org.wiseember.bench.simulated.load.Heater;

/** Stand-ins among clients that hold on, ask too much, or ask for what is not there. */
public class EmulatorsTest {
  private static final int LONG = 5000;

  private final AtomicLong nanos = new AtomicLong();
  private SimulatedUnit unit;
  private EmulatorServers servers;
  private int modbusPort;
  private final List<Socket> sockets = new ArrayList<>();

  @BeforeMethod
  public void start() throws IOException {
    unit =
        new SimulatedUnit(
            UnitDesign.typical(Chemistry.LFP, 1000, 1000, 230, 1), Heater.of(600, 230), 1, 22);
    EmulatedBench bench = new EmulatedBench(unit, 1, nanos::get, 7);
    servers =
        new EmulatorServers(bench, new EmulatorServers.Ports(0, 0, 0, Optional.empty(), 9600));
    modbusPort = servers.modbusPort();
  }

  @AfterMethod(alwaysRun = true)
  public void stop() throws IOException {
    for (Socket socket : sockets) {
      socket.close();
    }
    sockets.clear();
    servers.close();
  }

  private void pass(double seconds) {
    nanos.addAndGet((long) (seconds * 1e9));
  }

  private EmulatorFixture.Client client(String instrument) throws IOException {
    return new EmulatorFixture.Client(servers.ports().get(instrument));
  }

  private Socket connected(int port) throws IOException {
    Socket socket = new Socket(InetAddress.getLoopbackAddress(), port);
    socket.setSoTimeout(LONG);
    sockets.add(socket);
    return socket;
  }

  @Test(timeOut = 60_000)
  public void idleClientsLockNobodyOut() throws IOException {
    for (int i = 0; i < 40; i++) {
      connected(servers.ports().get("AC meter"));
      connected(modbusPort);
    }
    try (EmulatorFixture.Client client = client("AC meter")) {
      assertEquals(client.ask("*IDN?"), "Wise Ember,AC meter,0,1.0");
      for (int i = 0; i < 15; i++) {
        connected(servers.ports().get("AC meter"));
      }
      assertEquals(client.ask("*OPC?"), "1", "whoever talks is not the one to go");
    }
    Socket last = connected(modbusPort);
    assertEquals(asked(last, 1, 4, 2, 2)[0], 4);
  }

  @Test(timeOut = 60_000)
  public void tenThousandSemicolonsHoldNothingUp() throws IOException {
    try (EmulatorFixture.Client client = client("AC meter");
        EmulatorFixture.Client other = client("AC meter")) {
      client.send(";".repeat(10_000));
      client.send("*CLS;" + "*WAI;".repeat(5_000));
      assertEquals(other.ask("*OPC?"), "1");
      assertTrue(client.ask("SYST:ERR?").startsWith("-223"));
      client.send("*CLS;;*OPC");
      assertTrue(client.ask("SYST:ERR?").startsWith("-102"), "an empty command in between");
    }
  }

  /** The one who asked for two million numbers in ASCII waits; the instrument is free. */
  @Test(timeOut = 60_000)
  public void aLargeBlockLeavesTheInstrumentFree() throws IOException {
    Socket greedy = connected(servers.ports().get("Scope"));
    greedy
        .getOutputStream()
        .write("SWE:POIN MAX;:INIT;:TRAC? CHAN1\n".getBytes(StandardCharsets.US_ASCII));
    greedy.getOutputStream().flush();
    try (EmulatorFixture.Client other = client("Scope")) {
      assertEquals(other.ask("SWE:POIN? MIN"), "10");
      assertEquals(other.ask("*OPC?"), "1");
    }
  }

  /** Asleep for good after two quiet minutes it once was; now its eco button is off. */
  @Test(timeOut = 60_000)
  public void theOutletStaysAwakeUnlessItsButtonsSayOtherwise() throws IOException {
    try (EmulatorFixture.Client meter = client("AC meter");
        EmulatorFixture.Client buttons = client("Unit")) {
      pass(3600);
      assertEquals(Double.parseDouble(meter.ask("MEAS:VOLT?")), 230, 3);
      assertEquals(buttons.ask("BUTT:ECO?;:BUTT:AC?;:BUTT:DC?;:PLUG:WALL?"), "0;1;1;0");
      assertEquals(buttons.ask("BUTT:AC OFF;*OPC?"), "1");
      pass(1);
      assertEquals(Double.parseDouble(meter.ask("MEAS:VOLT?")), 0, 0.5);
      assertEquals(buttons.ask("BUTT:AC ON;:PLUG:WALL ON;*OPC?"), "1");
      pass(1);
      assertEquals(Double.parseDouble(meter.ask("MEAS:VOLT?")), 230, 3);
      assertEquals(buttons.ask("PLUG:WALL?"), "1");
    }
  }

  @Test(timeOut = 60_000)
  public void everyModeOfTheLoadKeepsItsLevel() throws IOException {
    try (EmulatorFixture.Client load = client("DC load")) {
      load.send("CURR 5;POW 60;RES 2 MOHM");
      assertTrue(load.ask("SYST:ERR?").startsWith("-222"), "two million ohms are too many");
      load.send("RES 2 KOHM");
      assertEquals(Double.parseDouble(load.ask("CURR?")), 5.0);
      assertEquals(Double.parseDouble(load.ask("POW?")), 60.0);
      assertEquals(Double.parseDouble(load.ask("RES?")), 2000.0);
      assertEquals(Double.parseDouble(load.ask("CURR? MAX")), 40.0);
      assertEquals(Double.parseDouble(load.ask("VOLT:LIM:LOW? MIN")), 0.0);
      assertEquals(load.ask("FUNC?"), "RES");
      load.send("*RST");
      assertEquals(Double.parseDouble(load.ask("CURR?")), 0.0);
      load.send("CURR? LOTS");
      assertTrue(load.ask("SYST:ERR?").startsWith("-224"));
    }
  }

  @Test(timeOut = 60_000)
  public void whatTheStandardsAskForIsThere() throws IOException {
    try (EmulatorFixture.Client meter = client("AC meter")) {
      assertEquals(meter.ask("STAT:OPER:ENAB?;:STAT:QUES:ENAB?"), "0;0");
      meter.send("STAT:OPER:ENAB 16;:STAT:QUES:ENAB 8");
      assertEquals(meter.ask("STAT:OPER:ENAB?;:STAT:QUES:ENAB?"), "16;8");
      meter.send("STAT:PRES");
      assertEquals(meter.ask("STAT:OPER:ENAB?"), "0");
      meter.send("OUTP1:STAT1 ON");
      assertEquals(meter.ask("OUTPut1?"), "1", "the first of its kind may be numbered");
      meter.send("OUTP2 OFF");
      assertTrue(meter.ask("SYST:ERR?").startsWith("-113"));
    }
    Socket raw = connected(servers.ports().get("Thermometer"));
    raw.getOutputStream().write("*OPC?\r*OPC?\r\n".getBytes(StandardCharsets.US_ASCII));
    byte[] answers = raw.getInputStream().readNBytes(4);
    assertEquals(
        new String(answers, StandardCharsets.US_ASCII),
        "1\n1\n",
        "a carriage return ends a message");
  }

  /** Sends a request and gives the answer behind its head: function, then what follows. */
  private static int[] asked(Socket socket, int unit, int function, int first, int count)
      throws IOException {
    ByteBuffer request = ByteBuffer.allocate(12);
    request.putShort((short) 9).putShort((short) 0).putShort((short) 6);
    request.put((byte) unit).put((byte) function);
    request.putShort((short) first).putShort((short) count);
    socket.getOutputStream().write(request.array());
    DataInputStream in = new DataInputStream(socket.getInputStream());
    assertEquals(in.readUnsignedShort(), 9, "the request's own number");
    in.readUnsignedShort();
    byte[] rest = in.readNBytes(in.readUnsignedShort());
    assertEquals(rest[0], unit);
    int[] answer = new int[rest.length - 1];
    for (int i = 0; i < answer.length; i++) {
      answer[i] = rest[i + 1] & 0xff;
    }
    return answer;
  }

  /** Modbus application protocol 1.1b3, section 7 (recalled from memory). */
  @Test(timeOut = 60_000)
  public void modbusRefusesByTheRightNumber() throws IOException {
    Socket socket = connected(modbusPort);
    assertEquals(asked(socket, 1, 6, 0, 17), new int[] {0x86, 1}, "nothing is written");
    assertEquals(asked(socket, 1, 5, 0, 0xff00), new int[] {0x85, 1});
    assertEquals(asked(socket, 1, 3, 0, 0), new int[] {0x83, 3}, "none");
    assertEquals(asked(socket, 1, 4, 0, 126), new int[] {0x84, 3}, "too many");
    assertEquals(asked(socket, 1, 4, 9, 2), new int[] {0x84, 2}, "beyond the last");
    int[] volts = asked(socket, 1, 4, 2, 2);
    int bits = volts[2] << 24 | volts[3] << 16 | volts[4] << 8 | volts[5];
    assertEquals(Float.intBitsToFloat(bits), 230, 3);
  }

  @Test(timeOut = 60_000)
  public void aUnitThatIsNotThereIsSilent() throws IOException {
    Socket socket = connected(modbusPort);
    socket.setSoTimeout(300);
    boolean silent = false;
    try {
      asked(socket, 5, 4, 0, 2);
    } catch (SocketTimeoutException nothing) {
      silent = true;
    }
    assertTrue(silent);
    socket.setSoTimeout(LONG);
    assertEquals(asked(socket, 2, 4, 0, 2)[0], 4, "and the line goes on");
    assertFalse(socket.isClosed());
  }
}
