package org.wiseember.command;

import java.io.PrintWriter;
import java.util.Locale;
import java.util.concurrent.Callable;
import org.wiseember.bench.procedure.Drain;
import org.wiseember.bench.simulated.SimulatedBench;
import org.wiseember.bench.simulated.design.Chemistry;
import org.wiseember.bench.simulated.design.UnitDesign;
import org.wiseember.bench.simulated.load.Heater;
import org.wiseember.core.trace.Channel;
import org.wiseember.core.trace.Frame;
import picocli.CommandLine.Command;
import picocli.CommandLine.Model.CommandSpec;
import picocli.CommandLine.Option;
import picocli.CommandLine.ParameterException;
import picocli.CommandLine.Spec;

/** Writes the log of a simulated AC drain, in the form {@code analyze} reads. */
@Command(
    name = "drain",
    description = "Drains a simulated unit and writes the log to standard output.",
    mixinStandardHelpOptions = true)
final class SimulateDrain implements Callable<Integer> {
  @Spec private CommandSpec spec;

  @Option(
      names = "--wh",
      defaultValue = "1075",
      description = "True capacity, Wh. ${DEFAULT-VALUE}")
  private double wattHours;

  @Option(names = "--rated-w", defaultValue = "1200", description = "Rating, W. ${DEFAULT-VALUE}")
  private double rated;

  @Option(names = "--load-w", defaultValue = "600", description = "Heater, W. ${DEFAULT-VALUE}")
  private double load;

  @Option(names = "--volts", defaultValue = "230", description = "Outlet, V. ${DEFAULT-VALUE}")
  private double volts;

  @Option(
      names = "--chemistry",
      defaultValue = "LFP",
      description = "${COMPLETION-CANDIDATES}. ${DEFAULT-VALUE}")
  private Chemistry chemistry;

  @Option(names = "--seed", defaultValue = "1", description = "Repeats a run. ${DEFAULT-VALUE}")
  private long seed;

  @Option(names = "--every", defaultValue = "1", description = "Seconds a row. ${DEFAULT-VALUE}")
  private double every;

  @Override
  public Integer call() {
    if (!(wattHours >= 10 && wattHours <= 1e6)
        || !(rated >= 10 && rated <= 1e5)
        || !(load >= 1 && load <= 2 * rated)
        || !(volts >= 50 && volts <= 500)
        || !(every >= 0.1 && every <= 60)) {
      throw new ParameterException(
          spec.commandLine(),
          "That bench cannot be set up: 10 Wh to 1 MWh, 10 W to 100 kW, a load up to twice the"
              + " rating, 50 to 500 V, a row every 0.1 to 60 s.");
    }
    SimulatedBench bench =
        new SimulatedBench(
            UnitDesign.typical(chemistry, wattHours, rated, volts, 1),
            Heater.of(load, volts),
            1,
            seed);
    Drain drain = Drain.ac(volts);
    PrintWriter out = spec.commandLine().getOut();
    StringBuilder heading = new StringBuilder("time [s]");
    for (Channel channel : bench.channels()) {
      heading
          .append(',')
          .append(channel.key())
          .append(" [")
          .append(channel.unit().symbol())
          .append(']');
    }
    out.println(heading);
    while (!drain.phase().over() && !out.checkError()) {
      bench.arrange(drain.setPoints());
      Frame frame = bench.advance(every);
      drain.take(frame);
      StringBuilder row = new StringBuilder(String.format(Locale.ROOT, "%.1f", frame.seconds()));
      for (double value : frame.values()) {
        row.append(',').append(String.format(Locale.ROOT, "%.2f", value));
      }
      out.println(row);
    }
    return 0;
  }
}
