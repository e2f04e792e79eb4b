package org.wiseember.command;

import java.io.IOException;
import java.io.PrintWriter;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.Callable;
import java.util.concurrent.Executors;
import java.util.concurrent.ScheduledExecutorService;
import java.util.concurrent.TimeUnit;
import org.wiseember.bench.emulator.EmulatedBench;
import org.wiseember.bench.emulator.EmulatorServers;
import org.wiseember.core.label.Label;
import org.wiseember.trial.demo.DemoWorkbook;
import org.wiseember.trial.rig.SimulatedUnits;
import picocli.CommandLine.Command;
import picocli.CommandLine.Model.CommandSpec;
import picocli.CommandLine.Option;
import picocli.CommandLine.ParameterException;
import picocli.CommandLine.Spec;

/** The simulated bench without the window: as servers, or as a log. */
@Command(
    name = "simulate",
    description = {
      "Serves stand-ins for instruments on loopback until it is ended, when a port is given;",
      "with a command, does that."
    },
    mixinStandardHelpOptions = true,
    subcommands = {SimulateDrain.class, SimulateDemo.class})
final class Simulate implements Callable<Integer> {
  private static final double ROOM_CELSIUS = 21.8;
  private static final int USUAL_BAUD = 9600;
  private static final String UNITS =
      "  unit 1 AC meter, 2 DC meter, 3 DC load, 4 DC source, 6 thermometer";

  @Spec private CommandSpec spec;

  @Option(
      names = "--scpi-port",
      paramLabel = "PORT",
      description = "First of six ports, one an instrument.")
  private Integer scpiPort;

  @Option(
      names = "--modbus-port",
      paramLabel = "PORT",
      description = "Port of the Modbus meters, units 1 to 4 and 6.")
  private Integer modbusPort;

  @Option(
      names = "--control-port",
      paramLabel = "PORT",
      description = "Port of the unit's own buttons and plug.")
  private Integer controlPort;

  @Option(
      names = "--modbus-rtu",
      paramLabel = "PORT[:BAUD]",
      description = "Serial port or pseudo-terminal of the Modbus meters; 9600 baud without it.")
  private String line;

  @Option(
      names = "--unit",
      paramLabel = "NAME",
      description = "A unit of the demo; the first without it.")
  private String unitName;

  @Option(
      names = "--speed",
      defaultValue = "1",
      description = "Times faster than real, 0.1 to 3600. ${DEFAULT-VALUE}")
  private double speed;

  @Option(names = "--seed", defaultValue = "1", description = "Draws the meters. ${DEFAULT-VALUE}")
  private long seed;

  @Override
  public Integer call() throws IOException, InterruptedException {
    if (scpiPort == null && modbusPort == null && line == null) {
      throw new ParameterException(
          spec.commandLine(),
          "Give --scpi-port, --modbus-port, --modbus-rtu or several of them, or a command.");
    }
    check(scpiPort, 65_530, "--scpi-port takes 1 to 65530.");
    check(modbusPort, 65_535, "--modbus-port takes 1 to 65535.");
    check(controlPort, 65_535, "--control-port takes 1 to 65535.");
    SerialPlace place = line == null ? null : serial(line);
    if (!(speed >= 0.1 && speed <= 3600)) {
      throw new ParameterException(spec.commandLine(), "--speed takes 0.1 to 3600.");
    }
    String name = unitName == null ? DemoWorkbook.names().get(0) : unitName;
    Label label =
        DemoWorkbook.label(name)
            .orElseThrow(
                () ->
                    new ParameterException(
                        spec.commandLine(),
                        "--unit takes one of " + String.join(", ", DemoWorkbook.names()) + "."));
    EmulatedBench bench =
        new EmulatedBench(
            SimulatedUnits.unit(name, label, ROOM_CELSIUS), speed, System::nanoTime, seed);
    ScheduledExecutorService ticker =
        Executors.newSingleThreadScheduledExecutor(
            task -> {
              Thread thread = new Thread(task, "bench clock");
              thread.setDaemon(true);
              return thread;
            });
    EmulatorServers.Ports ports =
        new EmulatorServers.Ports(
            orNone(scpiPort),
            orNone(modbusPort),
            orNone(controlPort),
            Optional.ofNullable(place).map(SerialPlace::port),
            place == null ? USUAL_BAUD : place.baud());
    try (EmulatorServers servers = new EmulatorServers(bench, ports)) {
      var ticking = ticker.scheduleAtFixedRate(bench::catchUp, 0, 50, TimeUnit.MILLISECONDS);
      PrintWriter out = spec.commandLine().getOut();
      out.println(name + " on a stand-in bench, " + speed + " times as fast as real.");
      for (Map.Entry<String, Integer> port : servers.ports().entrySet()) {
        out.println("SCPI    127.0.0.1:" + port.getValue() + "  " + port.getKey());
      }
      if (modbusPort != null) {
        out.println("Modbus  127.0.0.1:" + modbusPort + UNITS);
      }
      if (place != null) {
        out.println("Modbus  " + place.port() + " at " + place.baud() + " baud" + UNITS);
      }
      out.println("Ready. Commands and registers: docs/stand-ins.md. Ctrl+C ends it.");
      out.flush();
      // Runs until the process is ended; the ticker's failure would end it too.
      ticking.get();
    } catch (java.util.concurrent.ExecutionException e) {
      throw new IOException("the stand-in bench stopped", e);
    } finally {
      ticker.shutdownNow();
    }
    return 0;
  }

  /** A serial port and its speed. */
  private record SerialPlace(String port, int baud) {}

  private SerialPlace serial(String text) {
    int colon = text.lastIndexOf(':');
    String digits = text.substring(colon + 1);
    boolean named = colon > 0 && digits.matches("\\d{2,7}");
    return named
        ? new SerialPlace(text.substring(0, colon), Integer.parseInt(digits))
        : new SerialPlace(text, USUAL_BAUD);
  }

  private static int orNone(Integer port) {
    return port == null ? -1 : port;
  }

  private void check(Integer port, int most, String words) {
    if (port != null && (port < 1 || port > most)) {
      throw new ParameterException(spec.commandLine(), words);
    }
  }
}
