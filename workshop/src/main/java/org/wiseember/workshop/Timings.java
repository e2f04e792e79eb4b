package org.wiseember.workshop;

import de.siegmar.fastcsv.reader.CsvReader;
import de.siegmar.fastcsv.reader.CsvRecord;
import java.io.IOException;
import java.io.PrintWriter;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Clock;
import java.time.Instant;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.SplittableRandom;
import java.util.concurrent.Callable;
import java.util.concurrent.atomic.AtomicLong;
import org.hipparchus.transform.DftNormalization;
import org.hipparchus.transform.FastFourierTransformer;
import org.hipparchus.transform.TransformType;
import org.wiseember.bench.procedure.Drain;
import org.wiseember.bench.procedure.Watching;
import org.wiseember.bench.run.Pace;
import org.wiseember.bench.simulated.SimulatedBench;
import org.wiseember.bench.simulated.design.Chemistry;
import org.wiseember.bench.simulated.design.UnitDesign;
import org.wiseember.bench.simulated.load.Fridge;
import org.wiseember.core.capacity.CapacityMethod;
import org.wiseember.core.capacity.UsableCapacity;
import org.wiseember.core.waveform.Capture;
import org.wiseember.core.waveform.WaveMethod;
import org.wiseember.core.waveform.WaveformAnalysis;
import org.wiseember.core.waveform.WaveformUnreadable;
import org.wiseember.trial.record.RecordedRun;
import org.wiseember.trial.rig.BenchSetup;
import org.wiseember.workbook.NewRun;
import org.wiseember.workbook.Run;
import org.wiseember.workbook.RunOf;
import org.wiseember.workbook.RunSettings;
import org.wiseember.workbook.TestedUnit;
import org.wiseember.workbook.Workbook;
import org.wiseember.workbook.log.Log;
import org.wiseember.workbook.log.LogCsv;
import org.wiseember.workbook.log.LogPreview;
import org.wiseember.workbook.log.Progress;
import picocli.CommandLine.Command;
import picocli.CommandLine.Model.CommandSpec;
import picocli.CommandLine.Option;
import picocli.CommandLine.Spec;

/** How fast this machine does the long work; the figures in docs/speed.md come from here. */
@Command(
    name = "timings",
    description =
        "Times a 48 h campaign, the reading in of a long log, waves and a shelf of 100 units on this"
            + " machine.",
    mixinStandardHelpOptions = true)
final class Timings implements Callable<Integer> {
  private static final double CAMPAIGN_SECONDS = 48 * 3600.0;

  @Spec private CommandSpec spec;

  @Option(
      names = "--rows",
      defaultValue = "1000000",
      description = "Rows of the log. ${DEFAULT-VALUE}")
  private int rows;

  @Option(names = "--repeats", defaultValue = "5", description = "${DEFAULT-VALUE}")
  private int repeats;

  @Override
  public Integer call() throws Exception {
    Path folder = Files.createTempDirectory("ember-timings");
    PrintWriter out = spec.commandLine().getOut();
    campaign(folder, out);
    readIn(folder, out);
    waves(out);
    new RunTimeTimings(repeats).into(out);
    new ShelfTimings(repeats).into(folder, out);
    return 0;
  }

  /** Side by side: every figure of a capture to order 50, and the library's transform alone. */
  private void waves(PrintWriter out) throws WaveformUnreadable {
    wave(out, "200 ms at 1 MS/s", 1e6, 200_001, 1 << 18, 40);
    wave(out, "60 s at 50 kS/s", 5e4, 3_000_000, 1 << 22, 4);
  }

  private static void wave(
      PrintWriter out, String what, double rate, int samples, int transformed, int times)
      throws WaveformUnreadable {
    double[] volts = new double[samples];
    for (int i = 0; i < samples; i++) {
      double angle = 2 * Math.PI * 50.02 * i / rate;
      volts[i] = 325 * Math.sin(angle) + 9 * Math.sin(3 * angle + 0.3);
    }
    Capture capture = Capture.of(rate, volts);
    double[] whole = new double[times];
    double[] bare = new double[times];
    for (int i = 0; i < times; i++) {
      double[][] wave = new double[2][transformed];
      System.arraycopy(volts, 0, wave[0], 0, Math.min(samples, transformed));
      long started = System.nanoTime();
      FastFourierTransformer.transformInPlace(
          wave, DftNormalization.STANDARD, TransformType.FORWARD);
      bare[i] = (System.nanoTime() - started) / 1e6;
      started = System.nanoTime();
      WaveformAnalysis.of(capture, WaveMethod.assumed(WaveMethod.MOST_ORDERS));
      whole[i] = (System.nanoTime() - started) / 1e6;
    }
    Arrays.sort(bare);
    Arrays.sort(whole);
    out.printf(
        Locale.ROOT,
        "%s: all figures %.1f ms, best %.1f ms; bare transform of %d points %.1f ms, best %.1f ms%n",
        what,
        whole[times / 2],
        whole[0],
        transformed,
        bare[times / 2],
        bare[0]);
    out.flush();
  }

  /** Two days of a cycling fridge through the real runner and recorder, each second kept. */
  private void campaign(Path folder, PrintWriter out) throws IOException {
    for (int i = 0; i < Math.min(3, repeats); i++) {
      Path file = folder.resolve("campaign-" + i + ".ember");
      try (Workbook workbook = Workbook.open(file, Clock.systemUTC())) {
        TestedUnit unit = workbook.units().add("Quernfold Q1100");
        SimulatedBench bench =
            new SimulatedBench(
                UnitDesign.typical(Chemistry.LFP, 8000, 1200, 230, 1),
                new Fridge(90, 230, 250),
                1,
                1);
        BenchSetup setup =
            new BenchSetup(bench, RunSettings.of(RunSettings.Source.SIMULATED, java.util.Map.of()));
        AtomicLong most = new AtomicLong();

        System.gc();
        long before = used();
        long started = System.nanoTime();
        RecordedRun run =
            RecordedRun.prepare(
                workbook,
                unit,
                new Watching(CAMPAIGN_SECONDS),
                "Fridge over two days",
                setup,
                Pace.FULL,
                Instant.EPOCH,
                view -> {
                  long now = used() - before;

                  most.accumulateAndGet(now, Math::max);
                });
        run.runner().runToEnd();
        double seconds = (System.nanoTime() - started) / 1e9;
        System.gc();
        long after = used() - before;
        Run kept = workbook.runs().byId(run.runId()).orElseThrow();
        int readings = workbook.runs().trace(kept).size();
        out.printf(
            Locale.ROOT,
            "48 h campaign: %.2f s for %d frames of %d channels; heap grew by %.1f MB once"
                + " collected, %.0f MB at most between collections; file %.1f MB%n",
            seconds,
            readings,
            kept.channels().size(),
            after / 1e6,
            most.get() / 1e6,
            Files.size(file) / 1e6);
        out.flush();
      }
    }
  }

  private static long used() {
    Runtime runtime = Runtime.getRuntime();
    return runtime.totalMemory() - runtime.freeMemory();
  }

  /** Side by side: only reading with FastCSV, and the whole import with its finding. */
  private void readIn(Path folder, PrintWriter out) throws Exception {
    Path log = folder.resolve("log.csv");
    write(log);
    out.printf(
        Locale.ROOT, "log of %d rows and 6 channels, %.0f MB%n", rows, Files.size(log) / 1e6);
    double[] bare = new double[repeats];
    double[] whole = new double[repeats];
    for (int i = 0; i < repeats; i++) {
      bare[i] = bare(log);
      whole[i] = whole(log, folder.resolve("import-" + i + ".ember"));
      out.printf(
          Locale.ROOT,
          "bare FastCSV %.2f s, read in %.2f s, ratio %.2f%n",
          bare[i],
          whole[i],
          whole[i] / bare[i]);
      out.flush();
    }
    java.util.Arrays.sort(bare);
    java.util.Arrays.sort(whole);
    out.printf(
        Locale.ROOT,
        "medians: bare %.2f s, read in %.2f s, ratio %.2f%n",
        bare[repeats / 2],
        whole[repeats / 2],
        whole[repeats / 2] / bare[repeats / 2]);
  }

  private void write(Path log) throws IOException {
    SplittableRandom random = new SplittableRandom(1);
    try (var writer = Files.newBufferedWriter(log)) {
      writer.write(
          "time [s],ac_power [W],ac_voltage [V],ac_current [A],frequency [Hz],"
              + "case_temperature [°C],display_charge [%]\n");
      for (int i = 0; i < rows; i++) {
        double watts = i > 10 && i < rows - 100 ? 598 + random.nextDouble() : 0;
        writer.write(
            String.format(
                Locale.ROOT,
                "%d,%.2f,%.1f,%.3f,%.2f,%.1f,%d%n",
                i,
                watts,
                228 + random.nextDouble(),
                watts / 228,
                50 + 0.01 * random.nextDouble(),
                22 + 20.0 * i / rows,
                100 - (int) (100L * i / rows)));
      }
    }
  }

  private static double bare(Path log) throws IOException {
    long started = System.nanoTime();
    long cells = 0;
    try (CsvReader<CsvRecord> reader = CsvReader.builder().ofCsvRecord(log)) {
      for (CsvRecord record : reader) {
        cells += record.getFieldCount();
      }
    }
    if (cells == 0) {
      throw new IOException("the log is empty");
    }
    return (System.nanoTime() - started) / 1e9;
  }

  private static double whole(Path log, Path file) throws Exception {
    try (Workbook workbook = Workbook.open(file, Clock.systemUTC())) {
      TestedUnit unit = workbook.units().add("Quernfold Q1100");
      long started = System.nanoTime();
      Log read = LogCsv.read(log, LogPreview.of(log).mapping(), Progress.NONE);
      UsableCapacity.of(read.trace(), CapacityMethod.assumed(1e6));
      workbook
          .runs()
          .add(
              new NewRun(
                  RunOf.unit(unit.id()),
                  Drain.AC,
                  "Read in",
                  Instant.EPOCH,
                  RunSettings.of(RunSettings.Source.FILE, java.util.Map.of())),
              Run.State.DONE,
              "",
              read.trace(),
              List.of());
      return (System.nanoTime() - started) / 1e9;
    }
  }
}
