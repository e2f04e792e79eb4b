package org.wiseember.bench.connect;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertTrue;
import static org.testng.Assert.expectThrows;

import com.ghgande.j2mod.modbus.procimg.SimpleInputRegister;
import com.ghgande.j2mod.modbus.procimg.SimpleProcessImage;
import com.ghgande.j2mod.modbus.slave.ModbusSlave;
import com.ghgande.j2mod.modbus.slave.ModbusSlaveFactory;
import com.ghgande.j2mod.modbus.util.SerialParameters;
import java.io.FileInputStream;
import java.io.FileOutputStream;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Optional;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.atomic.AtomicInteger;
import java.util.concurrent.locks.LockSupport;
import org.testng.SkipException;
import org.testng.annotations.AfterMethod;
import org.testng.annotations.BeforeMethod;
import org.testng.annotations.Test;
import org.wiseember.bench.emulator.EmulatedBench;
import org.wiseember.bench.emulator.EmulatorFixture;
import org.wiseember.bench.emulator.EmulatorServers;
import org.wiseember.bench.instrument.ChannelSource;
import org.wiseember.bench.instrument.Health;
import org.wiseember.bench.instrument.InstrumentDescription;
import org.wiseember.bench.instrument.Register;
import org.wiseember.bench.instrument.Transport;
import org.wiseember.bench.simulated.SimulatedUnit;
import org.wiseember.bench.simulated.design.Chemistry;
import org.wiseember.bench.simulated.design.UnitDesign;
import org.wiseember.bench.simulated.load.Heater;
import org.wiseember.core.trace.Channel;
import org.wiseember.core.trace.Frame;

/**
 * Serial lines, as pairs of pseudo-terminals made by socat, which the launcher's test command
 * installs and then insists on.
 */
public class SerialTest {
  private Path folder;
  private Process socat;

  @BeforeMethod
  public void makeFolder() throws IOException {
    folder = Files.createTempDirectory("ember-serial");
  }

  @AfterMethod(alwaysRun = true)
  public void endSocat() throws InterruptedException {
    if (socat != null) {
      socat.destroy();
      socat.waitFor();
    }
  }

  private void socat(String... ends) throws Exception {
    try {
      socat =
          new ProcessBuilder("socat", ends[0], ends[1])
              .redirectErrorStream(true)
              .redirectOutput(ProcessBuilder.Redirect.DISCARD)
              .start();
    } catch (IOException missing) {
      if ("required".equals(System.getenv("EMBER_CLIENTS"))) {
        throw new AssertionError("socat is missing though the test command installs it");
      }
      throw new SkipException("socat is not installed");
    }
  }

  /** A serial line between two pseudo-terminals. */
  private void line(Path here, Path there) throws Exception {
    socat("PTY,link=" + here + ",raw,echo=0", "PTY,link=" + there + ",raw,echo=0");
    awaitFile(here);
    awaitFile(there);
  }

  private Path pty(String name) {
    return folder.resolve(name);
  }

  private static void awaitFile(Path file) throws InterruptedException {
    long end = System.nanoTime() + TimeUnit.SECONDS.toNanos(20);
    while (!Files.exists(file) && System.nanoTime() < end) {
      TimeUnit.MILLISECONDS.sleep(5);
    }
    assertTrue(Files.exists(file), file + " never came");
  }

  @Test(timeOut = 60_000)
  public void scpiOverASerialLine() throws Exception {
    try (EmulatorFixture fixture = new EmulatorFixture(false)) {
      Path pty = pty("meter");
      socat("PTY,link=" + pty + ",raw,echo=0", "TCP:127.0.0.1:" + fixture.port("Thermometer"));
      awaitFile(pty);
      try (ScpiClient client = ScpiClient.serial(pty.toRealPath() + ":115200", 3000)) {
        assertTrue(client.query("*IDN?").startsWith("Wise Ember,Thermometer"));
        assertEquals(client.number("MEAS:TEMP? (@102)"), 22, 1);
      }
    }
  }

  /**
   * One answer that comes too late must not be taken for the next one's, and the next for the one
   * after, for good. On a serial line there is no new connection that would drop it.
   */
  @Test(timeOut = 60_000)
  public void aLateAnswerIsNotTakenForTheNext() throws Exception {
    Path here = pty("here");
    Path there = pty("there");
    line(here, there);
    AtomicInteger asked = new AtomicInteger();
    Thread meter = new Thread(() -> answers(there, asked), "meter");
    meter.setDaemon(true);
    meter.start();
    InstrumentDescription description =
        new InstrumentDescription(
            "Meter",
            Transport.SCPI_SERIAL,
            here.toRealPath() + ":115200",
            1,
            1,
            List.of(query(Channel.AC_POWER, "POW?"), query(Channel.AC_VOLTAGE, "VOLT?")));
    boolean lost = false;
    int good = 0;
    try (ConnectedBench bench = new ConnectedBench(List.of(description), 0, 10)) {
      for (int i = 0; i < 400 && good < 20; i++) {
        Frame frame = bench.advance(1);
        double watts = frame.value(Channel.AC_POWER);
        double volts = frame.value(Channel.AC_VOLTAGE);
        assertTrue(Double.isNaN(watts) || watts == 600.5, watts + " W");
        assertTrue(Double.isNaN(volts) || volts == 230, volts + " V");
        lost |= bench.health().get(0).state() == Health.State.LOST;
        good += lost && watts == 600.5 ? 1 : 0;
      }
    }
    assertTrue(lost, "the late answer was waited for");
    assertTrue(good >= 20, "it is read again after that");
  }

  private static ChannelSource query(Channel channel, String query) {
    return new ChannelSource(
        channel, query, 1, Optional.empty(), Optional.empty(), Optional.empty());
  }

  /** A meter that takes two seconds for its seventh answer. */
  private static void answers(Path line, AtomicInteger asked) {
    try (FileInputStream in = new FileInputStream(line.toFile());
        FileOutputStream out = new FileOutputStream(line.toFile())) {
      StringBuilder question = new StringBuilder();
      for (int b = in.read(); b >= 0; b = in.read()) {
        if (b != '\n') {
          question.append((char) b);
          continue;
        }
        if (asked.incrementAndGet() == 7) {
          LockSupport.parkNanos(TimeUnit.SECONDS.toNanos(2));
        }
        boolean power = question.toString().contains("POW");
        out.write((power ? "600.5\n" : "230\n").getBytes(StandardCharsets.US_ASCII));
        question.setLength(0);
      }
    } catch (IOException over) {
      // The test has ended and its line with it.
    }
  }

  @Test(timeOut = 60_000)
  public void modbusRtuOverASerialLine() throws Exception {
    Path here = pty("here");
    Path there = pty("there");
    line(here, there);
    SerialParameters port = new SerialParameters();
    port.setPortName(there.toRealPath().toString());
    port.setBaudRate(19200);
    port.setEncoding("rtu");
    ModbusSlave slave = ModbusSlaveFactory.createSerialSlave(port);
    SimpleProcessImage image = new SimpleProcessImage(5);
    image.addInputRegister(new SimpleInputRegister(1284));
    image.addInputRegister(new SimpleInputRegister(-250));
    slave.addProcessImage(5, image);
    slave.open();
    try {
      InstrumentDescription description =
          new InstrumentDescription(
              "DC meter",
              Transport.MODBUS_RTU,
              here.toRealPath() + ":19200",
              5,
              1,
              List.of(register(Channel.DC_VOLTAGE, 0), register(Channel.DC_CURRENT, 1)));
      try (ConnectedBench bench = new ConnectedBench(List.of(description), 0, 1)) {
        Frame frame = bench.advance(1);
        for (int i = 0; i < 20 && bench.health().get(0).state() != Health.State.ALIVE; i++) {
          frame = bench.advance(1);
        }
        assertEquals(frame.value(Channel.DC_VOLTAGE), 12.84, 1e-9, bench.health().toString());
        assertEquals(frame.value(Channel.DC_CURRENT), -2.5, 1e-9);
      }
    } finally {
      ModbusSlaveFactory.close(slave);
    }
  }

  /**
   * The stand-ins serve the same meters over a serial line; units that are not there are silent.
   */
  @Test(timeOut = 60_000)
  public void standInsServeRtuOnAPort() throws Exception {
    Path here = pty("here");
    Path there = pty("there");
    line(here, there);
    SimulatedUnit unit =
        new SimulatedUnit(
            UnitDesign.typical(Chemistry.LFP, 1000, 1000, 230, 1), Heater.of(600, 230), 1, 22);
    EmulatorServers.Ports line =
        new EmulatorServers.Ports(-1, -1, -1, Optional.of(there.toRealPath().toString()), 19_200);
    EmulatedBench clocked = new EmulatedBench(unit, 1, System::nanoTime, 7);
    try (EmulatorServers servers = new EmulatorServers(clocked, line)) {
      assertTrue(servers.ports().isEmpty());
      for (int asked : new int[] {1, 5}) {
        InstrumentDescription description =
            new InstrumentDescription(
                "AC meter",
                Transport.MODBUS_RTU,
                here.toRealPath() + ":19200",
                asked,
                1,
                List.of(volts()));
        try (ConnectedBench bench = new ConnectedBench(List.of(description), 0, 4)) {
          Frame frame = bench.advance(1);
          for (int i = 0; i < 60 && bench.health().get(0).state() == Health.State.CONNECTING; i++) {
            frame = bench.advance(1);
          }
          for (int i = 0; i < 20 && asked == 1 && !(frame.value(Channel.AC_VOLTAGE) > 0); i++) {
            frame = bench.advance(1);
          }
          if (asked == 1) {
            assertEquals(frame.value(Channel.AC_VOLTAGE), 230, 3, bench.health().toString());
          } else {
            assertEquals(bench.health().get(0).state(), Health.State.LOST);
          }
        }
      }
    }
  }

  private static ChannelSource volts() {
    return new ChannelSource(
        Channel.AC_VOLTAGE,
        "",
        1,
        Optional.of(new Register(Register.Table.INPUT, 2, Register.Type.FLOAT32, false, 1)),
        Optional.empty(),
        Optional.empty());
  }

  private static ChannelSource register(Channel channel, int address) {
    return new ChannelSource(
        channel,
        "",
        1,
        Optional.of(new Register(Register.Table.INPUT, address, Register.Type.INT16, false, 0.01)),
        Optional.empty(),
        Optional.empty());
  }

  @Test
  public void aPortThatIsNotThereIsSaid() {
    IOException told =
        expectThrows(IOException.class, () -> ScpiClient.serial("/dev/ttyNONE0:9600", 500));
    assertTrue(told.getMessage().contains("serial port"), told.getMessage());
  }
}
