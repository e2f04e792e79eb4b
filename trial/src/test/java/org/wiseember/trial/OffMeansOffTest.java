package org.wiseember.trial;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertFalse;
import static org.testng.Assert.assertTrue;

import java.io.BufferedReader;
import java.io.IOException;
import java.io.InputStreamReader;
import java.net.InetAddress;
import java.net.ServerSocket;
import java.net.Socket;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Clock;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.atomic.AtomicReference;
import java.util.concurrent.locks.LockSupport;
import java.util.function.BooleanSupplier;
import java.util.function.Consumer;
import org.testng.annotations.AfterMethod;
import org.testng.annotations.BeforeMethod;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;
import org.wiseember.bench.connect.LoadOff;
import org.wiseember.bench.emulator.EmulatedBench;
import org.wiseember.bench.emulator.EmulatorServers;
import org.wiseember.bench.instrument.DescriptionJson;
import org.wiseember.bench.instrument.InstrumentDescription;
import org.wiseember.bench.instrument.SetPoints;
import org.wiseember.bench.instrument.StartingPoints;
import org.wiseember.bench.procedure.DoNow;
import org.wiseember.bench.procedure.Phase;
import org.wiseember.bench.procedure.Procedure;
import org.wiseember.bench.procedure.Watching;
import org.wiseember.bench.run.Pace;
import org.wiseember.bench.run.RunView;
import org.wiseember.bench.simulated.SimulatedUnit;
import org.wiseember.bench.simulated.design.Chemistry;
import org.wiseember.bench.simulated.design.UnitDesign;
import org.wiseember.bench.simulated.load.Heater;
import org.wiseember.core.notice.Notice;
import org.wiseember.core.trace.Frame;
import org.wiseember.trial.kind.TestPlan;
import org.wiseember.trial.record.RecordedRun;
import org.wiseember.trial.rig.BenchSetup;
import org.wiseember.workbook.Event;
import org.wiseember.workbook.Run;
import org.wiseember.workbook.TestedUnit;
import org.wiseember.workbook.Workbook;

/**
 * However a run ends, what it switched on is off within two seconds, as another client of the same
 * instrument reads it; and where the switch itself is gone, that is known and offered.
 */
public class OffMeansOffTest {
  private static final long TWO_SECONDS = TimeUnit.SECONDS.toNanos(2);
  private static final long PATIENCE = TimeUnit.SECONDS.toNanos(30);

  private Path folder;
  private Path file;
  private EmulatorServers servers;
  private Workbook workbook;
  private TestedUnit unit;

  @BeforeMethod
  public void serve() throws IOException {
    folder = Files.createTempDirectory("ember-off");
    file = folder.resolve("off.ember");
    SimulatedUnit stood =
        new SimulatedUnit(
            UnitDesign.typical(Chemistry.LFP, 900, 400, 230, 1), Heater.of(250, 230), 1, 22);
    servers = new EmulatorServers(new EmulatedBench(stood, 1, System::nanoTime, 3), 0, -1);
    workbook = Workbook.open(file, Clock.systemUTC());
    TestedUnit added = workbook.units().add("Brackley Stall 900");
    workbook.units().label(added.id(), "900 Wh LFP\n230 V, 400 W\nDC 12 V / 10 A", List.of());
    unit = workbook.units().byId(added.id()).orElseThrow();
  }

  @AfterMethod(alwaysRun = true)
  public void away() throws IOException {
    workbook.close();
    servers.close();
  }

  private InstrumentDescription described(String name, String standIn) {
    return StartingPoints.all().stream()
        .filter(d -> d.name().equals(name))
        .findFirst()
        .orElseThrow()
        .at("127.0.0.1:" + servers.ports().get(standIn));
  }

  private InstrumentDescription acMeter() {
    return described("AC meter over SCPI", "AC meter");
  }

  /** Another client of the instrument asks. */
  private String ask(String standIn, String query) {
    try (Socket socket =
        new Socket(InetAddress.getLoopbackAddress(), servers.ports().get(standIn))) {
      socket.setSoTimeout(5000);
      socket.getOutputStream().write((query + "\n").getBytes(StandardCharsets.US_ASCII));
      return new BufferedReader(
              new InputStreamReader(socket.getInputStream(), StandardCharsets.US_ASCII))
          .readLine();
    } catch (IOException e) {
      throw new IllegalStateException(e);
    }
  }

  private boolean outletIsOn() {
    return ask("AC meter", "OUTP?").equals("1");
  }

  private static void until(BooleanSupplier condition, long nanos, String what) {
    long end = System.nanoTime() + nanos;
    while (!condition.getAsBoolean()) {
      assertTrue(System.nanoTime() < end, what);
      LockSupport.parkNanos(TimeUnit.MILLISECONDS.toNanos(5));
    }
  }

  private RecordedRun run(
      Procedure procedure, InstrumentDescription instrument, Consumer<RunView> watcher) {
    TestPlan plan = Plans.acDrain(250);
    return RecordedRun.prepare(
        workbook,
        unit,
        procedure,
        plan.title(),
        BenchSetup.instruments(List.of(instrument), plan, 0, 10),
        Pace.FULL,
        Instant.EPOCH,
        watcher);
  }

  /** Loads the outlet at once, and does with a frame what a test wants. */
  private static final class Loading implements Procedure {
    private final Watching inner = new Watching(1e9);
    private final SetPoints wanted;
    private final Consumer<Frame> meanwhile;

    Loading(SetPoints wanted, Consumer<Frame> meanwhile) {
      this.wanted = wanted;
      this.meanwhile = meanwhile;
    }

    @Override
    public String kind() {
      return inner.kind();
    }

    @Override
    public Phase phase() {
      return inner.phase();
    }

    @Override
    public SetPoints setPoints() {
      return wanted;
    }

    @Override
    public List<Notice> take(Frame frame) {
      meanwhile.accept(frame);
      return List.of();
    }

    @Override
    public void stop(String why) {
      inner.stop(why);
    }

    @Override
    public void finish(String why) {
      inner.finish(why);
    }

    @Override
    public Optional<String> ending() {
      return inner.ending();
    }

    @Override
    public List<DoNow> steps() {
      return List.of();
    }
  }

  /** A way in which a run ends. */
  private interface Ending {
    void of(RecordedRun run, AtomicReference<Boolean> trouble) throws Exception;
  }

  @DataProvider
  Object[][] endings() {
    Ending stop = (run, trouble) -> run.runner().stop();
    Ending finish = (run, trouble) -> run.runner().finish("Seen by hand.");
    Ending own = (run, trouble) -> run.procedure().finish("It is over.");
    Ending error = (run, trouble) -> trouble.set(true);
    return new Object[][] {{"stop", stop}, {"finish", finish}, {"own", own}, {"error", error}};
  }

  @Test(dataProvider = "endings", timeOut = 60_000)
  public void itIsOffWithinTwoSecondsOfEveryEnd(String name, Ending ending) throws Exception {
    AtomicReference<Boolean> trouble = new AtomicReference<>(false);
    RecordedRun run =
        run(
            new Loading(
                SetPoints.WHOLE_LOAD,
                frame -> {
                  if (trouble.get()) {
                    throw new IllegalStateException("a slip of the program");
                  }
                }),
            acMeter(),
            view -> {});
    run.runner().start();
    until(this::outletIsOn, PATIENCE, "the load never came on");
    assertEquals(workbook.loadsOn().all().size(), 1, "known before it is on");
    ending.of(run, trouble);
    until(() -> !outletIsOn(), TWO_SECONDS, "still on two seconds after " + name);
    assertTrue(run.runner().awaitEnd(20, TimeUnit.SECONDS));
    assertEquals(workbook.loadsOn().all(), List.of(), "nothing is left to offer");
    Run kept = workbook.runs().byId(run.runId()).orElseThrow();
    assertTrue(kept.state() == Run.State.DONE || kept.state() == Run.State.STOPPED);
    if (name.equals("error")) {
      assertTrue(kept.ending().contains("error of the program"), kept.ending());
    }
  }

  /** A load at the DC port follows what the DC side wants, its level before its switch. */
  @Test(timeOut = 60_000)
  public void aDcLoadIsDrivenByWhatTheDcSideWants() throws Exception {
    RecordedRun run =
        run(
            new Loading(SetPoints.ampsAtPort(4.5), frame -> {}),
            described("DC load over SCPI", "DC load"),
            view -> {});
    run.runner().start();
    until(() -> ask("DC load", "INP?").equals("1"), PATIENCE, "the port's load never came on");
    assertEquals(Double.parseDouble(ask("DC load", "CURR?")), 4.5, 1e-9);
    run.runner().stop();
    until(() -> ask("DC load", "INP?").equals("0"), TWO_SECONDS, "the port's load stayed on");
    assertTrue(run.runner().awaitEnd(20, TimeUnit.SECONDS));
  }

  /** An instrument that was away and is back is told again; it may have restarted. */
  @Test(timeOut = 60_000)
  public void whatWasSetIsSetAgainWhenAnInstrumentComesBack() throws Exception {
    int port = FreePort.find();
    servers.close();
    SimulatedUnit before = standing();
    servers = new EmulatorServers(new EmulatedBench(before, 1, System::nanoTime, 3), port, -1);
    RecordedRun run = run(new Loading(SetPoints.WHOLE_LOAD, frame -> {}), acMeter(), view -> {});
    run.runner().start();
    until(this::outletIsOn, PATIENCE, "the load never came on");
    servers.close();
    servers = new EmulatorServers(new EmulatedBench(standing(), 1, System::nanoTime, 4), port, -1);
    assertFalse(outletIsOn(), "a restarted instrument begins with its load off");
    until(this::outletIsOn, PATIENCE, "it was not told again");
    run.runner().stop();
    until(() -> !outletIsOn(), TWO_SECONDS, "still on after the stop");
    assertTrue(run.runner().awaitEnd(20, TimeUnit.SECONDS));
  }

  private static SimulatedUnit standing() {
    return new SimulatedUnit(
        UnitDesign.typical(Chemistry.LFP, 900, 400, 230, 1), Heater.of(250, 230), 1, 22);
  }

  /** The connection to the switch itself is lost for good: said with the run, kept, and offered. */
  @Test(timeOut = 60_000)
  public void aLostSwitchIsSaidAndCanBeSwitchedOffLater() throws Exception {
    Relay relay = new Relay(servers.ports().get("AC meter"));
    InstrumentDescription overRelay = acMeter().at("127.0.0.1:" + relay.port());
    AtomicReference<RunView> last = new AtomicReference<>();
    RecordedRun run = run(new Loading(SetPoints.WHOLE_LOAD, frame -> {}), overRelay, last::set);
    run.runner().start();
    until(this::outletIsOn, PATIENCE, "the load never came on");
    relay.close();
    run.runner().stop();
    assertTrue(run.runner().awaitEnd(20, TimeUnit.SECONDS));
    assertTrue(outletIsOn(), "nobody can reach it");
    assertEquals(last.get().stillOn().size(), 1);
    assertTrue(last.get().stillOn().get(0).words().contains("Pull the plug"));
    List<String> codes = workbook.runs().events(run.runId()).stream().map(Event::code).toList();
    assertTrue(codes.contains("still_on"), codes.toString());
    assertEquals(workbook.loadsOn().all().size(), 1, "still to be offered");
    assertTrue(LoadOff.of(overRelay).isPresent(), "the switch is still away");
    assertEquals(LoadOff.of(acMeter()), Optional.empty());
    assertFalse(outletIsOn());
  }

  /** A wire that can be cut. */
  private static final class Relay implements AutoCloseable {
    private final ServerSocket server;
    private final int to;
    private final List<Socket> open = new ArrayList<>();

    Relay(int to) throws IOException {
      this.to = to;
      server = new ServerSocket(0, 8, InetAddress.getLoopbackAddress());
      daemon(this::accept);
    }

    int port() {
      return server.getLocalPort();
    }

    private static void daemon(Runnable run) {
      Thread thread = new Thread(run, "relay");
      thread.setDaemon(true);
      thread.start();
    }

    private void accept() {
      try {
        while (true) {
          Socket near = server.accept();
          Socket far = new Socket(InetAddress.getLoopbackAddress(), to);
          synchronized (this) {
            open.add(near);
            open.add(far);
          }
          daemon(() -> copy(near, far));
          daemon(() -> copy(far, near));
        }
      } catch (IOException cut) {
        // The wire was cut.
      }
    }

    private static void copy(Socket from, Socket to) {
      try {
        from.getInputStream().transferTo(to.getOutputStream());
      } catch (IOException cut) {
        // The wire was cut.
      }
    }

    @Override
    public synchronized void close() throws IOException {
      server.close();
      for (Socket socket : open) {
        socket.close();
      }
    }
  }

  @DataProvider
  Object[][] signals() {
    return new Object[][] {{"TERM"}, {"KILL"}};
  }

  /** Told to end, the program switches off first; killed, it left word of what is on. */
  @Test(dataProvider = "signals", timeOut = 90_000)
  public void aProgramThatIsEndedSwitchesOffOrLeavesWord(String signal) throws Exception {
    workbook.close();
    Path described =
        Files.writeString(folder.resolve("meter.json"), DescriptionJson.write(acMeter()));
    Process child =
        new ProcessBuilder(
                Path.of(System.getProperty("java.home"), "bin", "java").toString(),
                "-XX:TieredStopAtLevel=1",
                "-cp",
                System.getProperty(
                    "surefire.test.class.path", System.getProperty("java.class.path")),
                LoadUntilEnded.class.getName(),
                file.toString(),
                described.toString())
            .redirectErrorStream(true)
            .redirectOutput(folder.resolve("child.log").toFile())
            .start();
    try {
      until(this::outletIsOn, PATIENCE, "the load never came on");
      if (signal.equals("TERM")) {
        child.destroy();
        until(() -> !outletIsOn(), TWO_SECONDS, "still on two seconds after SIGTERM");
      } else {
        child.destroyForcibly();
      }
      child.waitFor();
    } finally {
      child.destroyForcibly();
    }
    workbook = Workbook.open(file, Clock.systemUTC());
    if (signal.equals("TERM")) {
      assertEquals(workbook.loadsOn().all(), List.of());
      assertEquals(workbook.runs().of(unit.id()).get(0).state(), Run.State.STOPPED);
    } else {
      assertTrue(outletIsOn(), "a killed program switches nothing");
      InstrumentDescription left =
          DescriptionJson.read(workbook.loadsOn().all().get(0).instrument());
      assertEquals(LoadOff.of(left), Optional.empty());
      assertFalse(outletIsOn());
    }
  }
}
