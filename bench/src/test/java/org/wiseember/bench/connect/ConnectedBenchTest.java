package org.wiseember.bench.connect;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertFalse;
import static org.testng.Assert.assertTrue;

import java.io.IOException;
import java.net.InetAddress;
import java.net.InetSocketAddress;
import java.net.ServerSocket;
import java.net.Socket;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.atomic.AtomicReference;
import java.util.concurrent.locks.LockSupport;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;
import org.wiseember.bench.emulator.EmulatorFixture;
import org.wiseember.bench.instrument.ChannelSource;
import org.wiseember.bench.instrument.DescriptionJson;
import org.wiseember.bench.instrument.Health;
import org.wiseember.bench.instrument.InstrumentDescription;
import org.wiseember.bench.instrument.LoadSwitch;
import org.wiseember.bench.instrument.Register;
import org.wiseember.bench.instrument.SetPoints;
import org.wiseember.bench.instrument.Transport;
import org.wiseember.core.trace.Channel;
import org.wiseember.core.trace.Frame;

public class ConnectedBenchTest {
  /** Ten ticks a second, so that tests are quick. */
  private static final double FASTER = 10;

  private static final int TICKS = 12;

  private static ChannelSource asked(Channel channel, String query) {
    return new ChannelSource(
        channel, query, 1, Optional.empty(), Optional.empty(), Optional.empty());
  }

  private static InstrumentDescription scpi(String name, int port, ChannelSource... sources) {
    return new InstrumentDescription(
            name, Transport.SCPI_TCP, "127.0.0.1:" + port, 1, 1, List.of(sources))
        .switching(LoadSwitch.of(LoadSwitch.Side.OUTLET, "OUTP ON", "OUTP OFF"));
  }

  private static InstrumentDescription meter(int port) {
    return scpi(
        "AC meter",
        port,
        asked(Channel.AC_POWER, "MEAS:POW?"),
        asked(Channel.AC_VOLTAGE, "MEAS:VOLT?"));
  }

  /** The frame at which it is so; for one that is alive, a frame it was read in. */
  private static Frame until(ConnectedBench bench, Health.State wanted) {
    Frame frame = bench.advance(1);
    for (int i = 0;
        i < 400 && !(bench.health().get(0).state() == wanted && fits(frame, wanted));
        i++) {
      frame = bench.advance(1);
    }
    assertEquals(bench.health().get(0).state(), wanted, bench.health().toString());
    return frame;
  }

  /** On a busy machine the first answers may come after their frame. */
  private static boolean fits(Frame frame, Health.State wanted) {
    return wanted != Health.State.ALIVE
        || Arrays.stream(frame.values()).anyMatch(v -> !Double.isNaN(v));
  }

  @Test(timeOut = 60_000)
  public void readsAndSwitchesOverScpi() throws IOException {
    try (EmulatorFixture fixture = new EmulatorFixture(false);
        ConnectedBench bench =
            new ConnectedBench(List.of(meter(fixture.port("AC meter"))), 0, FASTER)) {
      Frame idle = until(bench, Health.State.ALIVE);
      assertEquals(idle.value(Channel.AC_VOLTAGE), 230, 2);
      assertEquals(idle.value(Channel.AC_POWER), 0.0);
      assertTrue(bench.loadObeys());
      bench.arrange(SetPoints.WHOLE_LOAD);
      Frame loaded = bench.advance(1);
      for (int i = 0; i < 50 && !(loaded.value(Channel.AC_POWER) > 0); i++) {
        fixture.pass(1);
        loaded = bench.advance(1);
      }
      assertEquals(loaded.value(Channel.AC_POWER), 600, 30);
      // What is read in time is on the grid; on a busy machine an answer may come later, with the
      // moment it came at, and ticks may be left out.
      double last = loaded.seconds();
      boolean onGrid = false;
      for (int i = 0; i < 50 && !onGrid; i++) {
        Frame next = bench.advance(1);
        assertTrue(next.seconds() > last, next.seconds() + " s after " + last + " s");
        last = next.seconds();
        onGrid = Math.abs(last - Math.rint(last)) < 1e-6;
      }
      assertTrue(onGrid, "no frame is on the grid: " + last);
    }
  }

  @Test(timeOut = 60_000)
  public void readsOverModbusByItsMap() throws IOException {
    try (EmulatorFixture fixture = new EmulatorFixture(true)) {
      fixture.unit().load(true);
      fixture.pass(60);
      String map =
          """
          {"format": "wise-ember-instrument-1", "name": "Meter", "way": "modbus-tcp",
           "address": "127.0.0.1:%d", "modbusUnit": 1, "everySeconds": 1,
           "channels": [
             {"channel": "ac_power", "register": {"table": "input", "address": 0}},
             {"channel": "ac_voltage",
              "register": {"table": "holding", "address": 2, "type": "float32"}}]}
          """
              .formatted(fixture.modbusPort());
      InstrumentDescription description = readable(map);
      try (ConnectedBench bench = new ConnectedBench(List.of(description), 0, FASTER)) {
        Frame frame = until(bench, Health.State.ALIVE);
        assertEquals(frame.value(Channel.AC_POWER), 600, 30);
        assertEquals(frame.value(Channel.AC_VOLTAGE), 228, 3);
        assertFalse(bench.loadObeys());
      }
    }
  }

  private static InstrumentDescription readable(String json) {
    try {
      return DescriptionJson.read(json);
    } catch (org.wiseember.bench.instrument.DescriptionUnreadable e) {
      throw new AssertionError(e);
    }
  }

  /** Two's complement, unsigned, floats, both word orders: Modbus practice, no one standard. */
  @Test
  public void registersBecomeNumbers() {
    assertEquals(register(Register.Type.INT16, false, 0.1).value(0xFFFE), -0.2, 1e-12);
    assertEquals(register(Register.Type.UINT16, false, 0.1).value(0xFFFE), 6553.4, 1e-9);
    assertEquals(register(Register.Type.INT32, false, 1).value(0xFFFF, 0xFFFE), -2.0);
    assertEquals(register(Register.Type.UINT32, true, 1).value(0x0001, 0x0002), 131073.0);
    assertEquals(register(Register.Type.FLOAT32, false, 1).value(0x4366, 0x0000), 230.0);
    assertEquals(register(Register.Type.FLOAT32, true, 1).value(0x0000, 0x4366), 230.0);
    assertTrue(Double.isNaN(register(Register.Type.FLOAT32, false, 1).value(0x7FC0, 0)));
    assertTrue(Double.isNaN(register(Register.Type.FLOAT32, false, 1).value(0x7F80, 0)));
  }

  private static Register register(Register.Type type, boolean lowFirst, double scale) {
    return new Register(Register.Table.INPUT, 0, type, lowFirst, scale);
  }

  /** What a socket may do to us. */
  private interface Misbehaviour {
    void answer(Socket client, String question) throws Exception;
  }

  @DataProvider(parallel = true)
  Object[][] misbehaviours() {
    Misbehaviour hangs = (c, q) -> {};
    Misbehaviour closes = (c, q) -> c.close();
    Misbehaviour garbage = (c, q) -> write(c, "\u0007\u00ff%%% not a number 12\n");
    Misbehaviour half =
        (c, q) -> {
          write(c, "598.");
          c.close();
        };
    Misbehaviour noEnd = (c, q) -> write(c, "598.3");
    Misbehaviour huge = (c, q) -> write(c, "9".repeat(100_000));
    Misbehaviour hexFloat = (c, q) -> write(c, "0x1p3\n");
    Misbehaviour suffixed = (c, q) -> write(c, "598.3d\n");
    return new Object[][] {
      {"hangs", hangs},
      {"closes", closes},
      {"garbage", garbage},
      {"half a line", half},
      {"a line without end", noEnd},
      {"a huge line", huge},
      {"a hex float", hexFloat},
      {"a Java suffix", suffixed},
    };
  }

  private static void write(Socket client, String text) throws IOException {
    client.getOutputStream().write(text.getBytes(StandardCharsets.ISO_8859_1));
    client.getOutputStream().flush();
  }

  /**
   * Whatever the instrument does, the bench keeps its time, gives no sample while it misbehaves,
   * says that it is lost, and takes it up again when it behaves.
   */
  @Test(dataProvider = "misbehaviours", timeOut = 60_000)
  public void aMisbehavingInstrumentNeverStallsAndNeverInventsASample(
      String name, Misbehaviour misbehaviour) throws IOException {
    Misbehaviour good = (c, q) -> write(c, q.contains("POW") ? "600.5\n" : "230.0\n");
    AtomicReference<Misbehaviour> now = new AtomicReference<>(good);
    try (Rogue rogue = new Rogue(now);
        ConnectedBench bench = new ConnectedBench(List.of(meter(rogue.port())), 0, FASTER)) {
      Frame frame = until(bench, Health.State.ALIVE);
      assertEquals(frame.value(Channel.AC_POWER), 600.5);
      now.set(misbehaviour);
      List<Double> invented = new ArrayList<>();
      double before = bench.advance(1).seconds();
      long started = System.nanoTime();
      for (int i = 0; i < TICKS; i++) {
        Frame bad = bench.advance(1);
        if (!Double.isNaN(bad.value(Channel.AC_POWER))) {
          invented.add(bad.value(Channel.AC_POWER));
        }
        assertTrue(bad.seconds() > before);
        before = bad.seconds();
      }
      // A bench that waited for the answer each time would take a time-out a tick.
      long waiting = TICKS * Drivers.TIMEOUT_MILLIS * 1_000_000L;
      assertTrue(System.nanoTime() - started < waiting / 2, name + " held the ticks up");
      assertEquals(invented, List.of(), name);
      until(bench, Health.State.LOST);
      assertTrue(bench.health().get(0).words().endsWith("."));
      now.set(good);
      Frame again = until(bench, Health.State.ALIVE);
      assertEquals(again.value(Channel.AC_POWER), 600.5);
    }
  }

  /** A server of one's own that answers as it is told. */
  private static final class Rogue implements AutoCloseable {
    private final ServerSocket server;
    private final AtomicReference<Misbehaviour> now;

    Rogue(AtomicReference<Misbehaviour> now) throws IOException {
      this.now = now;
      server = new ServerSocket(0, 10, InetAddress.getLoopbackAddress());
      daemon(this::accept);
    }

    int port() {
      return server.getLocalPort();
    }

    private static void daemon(Runnable run) {
      Thread thread = new Thread(run, "rogue");
      thread.setDaemon(true);
      thread.start();
    }

    private void accept() {
      while (!server.isClosed()) {
        try {
          Socket client = server.accept();
          daemon(() -> serve(client));
        } catch (IOException closed) {
          return;
        }
      }
    }

    private void serve(Socket client) {
      try (client) {
        StringBuilder line = new StringBuilder();
        for (int b = client.getInputStream().read(); b >= 0; b = client.getInputStream().read()) {
          if (b == '\n') {
            now.get().answer(client, line.toString());
            line.setLength(0);
          } else {
            line.append((char) b);
          }
        }
      } catch (Exception gone) {
        // The bench closes on us; that is its right.
      }
    }

    @Override
    public void close() throws IOException {
      server.close();
    }
  }

  @Test(timeOut = 60_000)
  public void anInstrumentThatIsNotThereIsSaidAndWaitedFor() throws IOException {
    // Held, or a port that is only free may be given to the very connection that tries it.
    try (Socket silent = new Socket()) {
      silent.bind(new InetSocketAddress(InetAddress.getLoopbackAddress(), 0));
      int port = silent.getLocalPort();
      try (ConnectedBench bench = new ConnectedBench(List.of(meter(port)), 0, FASTER)) {
        until(bench, Health.State.LOST);
        assertEquals(bench.health().get(0).words(), "nothing listens at its address.");
      }
    }
  }

  @Test(timeOut = 60_000)
  public void aSlowMeterIsAskedOnlyWhenItHasSomethingNew() throws IOException {
    AtomicReference<Misbehaviour> good = new AtomicReference<>((c, q) -> write(c, "5\n"));
    try (Rogue rogue = new Rogue(good)) {
      InstrumentDescription slow =
          new InstrumentDescription(
              "Slow",
              Transport.SCPI_TCP,
              "127.0.0.1:" + rogue.port(),
              1,
              3,
              List.of(asked(Channel.CASE_TEMPERATURE, "MEAS:TEMP?")));
      try (ConnectedBench bench = new ConnectedBench(List.of(slow), 0, FASTER)) {
        until(bench, Health.State.ALIVE);
        int there = 0;
        for (int i = 0; i < 12; i++) {
          there += Double.isNaN(bench.advance(1).value(Channel.CASE_TEMPERATURE)) ? 0 : 1;
        }
        assertTrue(there >= 3 && there <= 5, "read " + there + " times in 12 s");
      }
    }
  }

  /**
   * Three queries that take three quarters of a tick together are late for it each time, and are
   * readings all the same: in frames of their own, at the moment they were made.
   */
  @Test(timeOut = 60_000)
  public void aSlowMeterKeepsItsOwnPaceAndItsOwnStamps() throws IOException {
    AtomicReference<Misbehaviour> slow =
        new AtomicReference<>(
            (c, q) -> {
              LockSupport.parkNanos(TimeUnit.MILLISECONDS.toNanos(27));
              write(c, q.contains("POW") ? "600.5\n" : q.contains("VOLT") ? "230\n" : "50\n");
            });
    AtomicReference<Misbehaviour> quick = new AtomicReference<>((c, q) -> write(c, "21.5\n"));
    try (Rogue rogue = new Rogue(slow);
        Rogue thermometer = new Rogue(quick)) {
      InstrumentDescription meter =
          scpi(
              "Slow",
              rogue.port(),
              asked(Channel.AC_POWER, "MEAS:POW?"),
              asked(Channel.AC_VOLTAGE, "MEAS:VOLT?"),
              asked(Channel.FREQUENCY, "MEAS:FREQ?"));
      InstrumentDescription room =
          scpi("Room", thermometer.port(), asked(Channel.ROOM_TEMPERATURE, "MEAS:TEMP?"));
      try (ConnectedBench bench = new ConnectedBench(List.of(meter, room), 0, FASTER)) {
        int read = 0;
        int rooms = 0;
        double before = -1;
        for (int i = 0; i < 200 && (read < 6 || rooms < 6); i++) {
          Frame frame = bench.advance(1);
          assertTrue(frame.seconds() > before, frame.seconds() + " after " + before);
          before = frame.seconds();
          if (!Double.isNaN(frame.value(Channel.AC_POWER))) {
            read++;
            assertEquals(frame.value(Channel.AC_POWER), 600.5);
            assertEquals(frame.value(Channel.AC_VOLTAGE), 230.0);
            assertEquals(frame.value(Channel.FREQUENCY), 50.0);
          }
          rooms += Double.isNaN(frame.value(Channel.ROOM_TEMPERATURE)) ? 0 : 1;
        }
        assertTrue(read >= 6 && rooms >= 6, read + " and " + rooms + " readings");
      }
    }
  }

  /** Where the bench says it is closed, its threads are gone and so are its connections. */
  @Test(timeOut = 60_000)
  public void closingWaitsForItsThreads() throws IOException {
    AtomicReference<Misbehaviour> hangs = new AtomicReference<>((c, q) -> {});
    try (Rogue rogue = new Rogue(hangs)) {
      ConnectedBench bench = new ConnectedBench(List.of(meter(rogue.port())), 0, FASTER);
      bench.advance(1);
      bench.close();
      assertTrue(
          Thread.getAllStackTraces().keySet().stream()
              .noneMatch(t -> t.isAlive() && t.getName().equals("poll AC meter")));
    }
  }
}
