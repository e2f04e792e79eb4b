package org.wiseember.trial.byhand;

import java.time.Instant;
import java.time.LocalDateTime;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.SplittableRandom;
import org.wiseember.bench.instrument.SetPoints;
import org.wiseember.bench.procedure.ByHand;
import org.wiseember.bench.simulated.SimulatedBench;
import org.wiseember.core.hand.OperatorEvent;
import org.wiseember.core.hand.TimedOperatorEvent;
import org.wiseember.core.label.Claim;
import org.wiseember.core.label.Label;
import org.wiseember.core.label.Subject;
import org.wiseember.core.quantity.Figures;
import org.wiseember.core.trace.Channel;
import org.wiseember.core.trace.Frame;
import org.wiseember.core.trace.Trace;
import org.wiseember.core.trace.Treatment;
import org.wiseember.core.typed.Expected;
import org.wiseember.core.typed.NotebookEntry;
import org.wiseember.core.typed.NotebookReader;
import org.wiseember.core.uncertainty.MeterClass;
import org.wiseember.core.verdict.Verdict;
import org.wiseember.trial.AllTests;
import org.wiseember.trial.finding.Findings;
import org.wiseember.trial.kind.Inquiry;
import org.wiseember.trial.kind.RunRecord;
import org.wiseember.trial.kind.StoredRun;
import org.wiseember.trial.kind.TestPlan;
import org.wiseember.trial.kind.TestRun;
import org.wiseember.trial.onhand.OnHand;
import org.wiseember.trial.rig.SimulatedUnits;
import org.wiseember.workbook.NewRun;
import org.wiseember.workbook.NotebookLine;
import org.wiseember.workbook.OnDemand;
import org.wiseember.workbook.Run;
import org.wiseember.workbook.RunOf;
import org.wiseember.workbook.RunSettings;
import org.wiseember.workbook.StoredReading;
import org.wiseember.workbook.TypedReadings;
import org.wiseember.workbook.Workbook;

/**
 * A person at the simulated bench with nothing but eyes, meters to read and keys. Readings are
 * rounded as a display rounds them, written down 0.2 to 2 s after they were read, and one in ten is
 * forgotten; presses come a tenth to half a second after what they tell of.
 */
final class Tester {
  private static final double FORGOTTEN = 0.1;

  private final Label label;
  private final TestPlan plan;
  private final SplittableRandom random;
  private final SimulatedBench bench;
  private final ByHand script;
  private final List<NotebookLine> lines = new ArrayList<>();
  private final List<StoredReading> readings = new ArrayList<>();
  private Map<Channel, MeterClass> classes = new EnumMap<>(Channel.class);
  private Frame frame;

  Tester(Label label, TestPlan plan, long seed) {
    this(
        label, plan, seed, SimulatedUnits.bench("Stall unit " + seed, label, plan, seed, Set.of()));
  }

  Tester(Label label, TestPlan plan, long seed, SimulatedBench bench) {
    this.label = label;
    this.plan = plan;
    this.random = new SplittableRandom(9000 + seed);
    this.bench = bench;
    this.script = plan.settings().byHand();
    bench.instruments().forEach(i -> i.accuracy().forEach(classes::putIfAbsent));
    set(SetPoints.NO_LOAD);
    pass(1);
  }

  /** The test a label asks for, with the heaters most benches have. */
  static TestPlan plan(String key, Label label) {
    OnHand heaters = OnHand.of(List.of(100.0, 200.0, 300.0, 500.0, 800.0));
    return AllTests.plan(AllTests.of(key), label, heaters).orElseThrow();
  }

  /** Watts as a plug meter shows them. */
  static String watts(double watts) {
    return figure(watts, 0) + " W";
  }

  SimulatedBench bench() {
    return bench;
  }

  SplittableRandom random() {
    return random;
  }

  double now() {
    return bench.unit().seconds();
  }

  /** What the step it is in is about, W or A. */
  double subject() {
    return script.now().orElseThrow().subject();
  }

  boolean goesOn() {
    return script.now().isPresent();
  }

  boolean canPress(OperatorEvent press) {
    return script.now().filter(n -> n.takes(press)).isPresent();
  }

  void set(SetPoints wanted) {
    bench.arrange(wanted);
  }

  /** Lets time go by. */
  void pass(double seconds) {
    frame = bench.advance(seconds);
  }

  /** Lets time go by in steps until something is so. */
  boolean passUntil(double atMost, double step, java.util.function.BooleanSupplier so) {
    double end = now() + atMost;
    while (now() < end && !so.getAsBoolean()) {
      pass(step);
    }
    return so.getAsBoolean();
  }

  boolean alive() {
    return bench.unit().alive();
  }

  /** Presses a key for what happened just now. */
  void press(OperatorEvent press) {
    if (!canPress(press)) {
      throw new IllegalStateException(press + " at " + script.now());
    }
    pass(0.1 + 0.4 * random.nextDouble());
    TimedOperatorEvent pressed = TimedOperatorEvent.key(press, subject(), now());
    script.press(pressed);
    lines.add(NotebookLine.of(pressed, press.words(), ""));
  }

  /** What a meter shows. */
  double shown(Channel channel) {
    return frame.value(channel);
  }

  /** A figure as a display with so many decimals shows it. */
  static String figure(double value, int decimals) {
    return Figures.fixed(value, decimals);
  }

  /** Writes a line, if it is not forgotten. */
  void write(String line) {
    if (random.nextDouble() >= FORGOTTEN) {
      writeSurely(line);
    }
  }

  void writeSurely(String line) {
    pass(0.2 + 1.8 * random.nextDouble());
    double at = now();
    NotebookEntry entry =
        new NotebookReader(
                plan.settings().typed(), Expected.nothing(), LocalDateTime.of(2031, 5, 4, 9, 0), at)
            .read(line);
    lines.add(NotebookLine.words(at, line, ""));
    entry
        .readings()
        .forEach(
            r ->
                readings.add(
                    new StoredReading(
                        readings.size() + 1,
                        at,
                        "Meter",
                        r.kind().channel().orElseThrow(),
                        r.value(),
                        r.resolution(),
                        r.asTyped())));
  }

  /** Forgets everything that was pressed but the first few, as somebody called away would. */
  void losePresses(int kept) {
    List<NotebookLine> left = new ArrayList<>();
    int n = 0;
    for (NotebookLine line : lines) {
      if (line.press().isEmpty() || n++ < kept) {
        left.add(line);
      }
    }
    lines.clear();
    lines.addAll(left);
  }

  /** What the program makes of it. */
  TestRun worked() {
    readings.sort(Comparator.comparingDouble(StoredReading::seconds));
    lines.sort(Comparator.comparingDouble(NotebookLine::seconds));
    RunSettings settings = settings();
    boolean whole = script.ending().isPresent() && script.phase().words().contains("itself");
    Run run =
        new Run(
            1,
            RunOf.unit(1),
            plan.type().key(),
            plan.title(),
            Instant.EPOCH,
            whole ? Run.State.DONE : Run.State.STOPPED,
            "",
            settings,
            List.of());
    StoredRun kept =
        new StoredRun(
            plan.type(),
            run,
            Treatment.NONE,
            OnDemand.of(TypedReadings.trace(readings)),
            List.of(),
            Optional.empty());
    return plan.type()
        .worked(
            new RunRecord(kept, List.of(), readings, lines),
            new Inquiry(new Findings.Known(label, List.of())));
  }

  private RunSettings settings() {
    return new RunSettings(
        plan.watts(),
        plan.volts(),
        classes,
        Map.of(),
        RunSettings.Source.BY_HAND,
        0,
        List.of(),
        plan.settings().keptLoads(),
        plan.settings().particulars());
  }

  /** Keeps it in a workbook as the window does: a line with the readings that stand in it. */
  void keepIn(Workbook workbook, long unit, Instant began) {
    long run =
        workbook
            .runs()
            .add(
                new NewRun(RunOf.unit(unit), plan.type().key(), plan.title(), began, settings()),
                Run.State.DONE,
                "",
                Trace.empty(),
                List.of());
    for (NotebookLine line : lines) {
      workbook
          .notebook()
          .keep(
              run,
              line,
              line.press().isPresent()
                  ? List.of()
                  : readings.stream().filter(r -> r.seconds() == line.seconds()).toList());
    }
  }

  /** What it says to a claim, with the guard band. */
  static Optional<Verdict> verdict(Label label, TestRun run, Claim claim) {
    return run.type()
        .answer(claim, new Findings.Known(label, List.of(run)))
        .map(a -> a.judge().verdict(true));
  }

  static Claim claim(Label label, Subject subject) {
    return label.claim(subject).orElseThrow();
  }
}
