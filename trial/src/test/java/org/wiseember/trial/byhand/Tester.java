package org.wiseember.trial.byhand;

import java.time.Instant;
import java.time.LocalDateTime;
import java.time.format.DateTimeFormatter;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.EnumMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.SplittableRandom;
import org.wiseember.bench.instrument.SetPoints;
import org.wiseember.bench.procedure.ByHand;
import org.wiseember.bench.procedure.OverloadHolds;
import org.wiseember.bench.simulated.SimulatedBench;
import org.wiseember.core.hand.OperatorEvent;
import org.wiseember.core.hand.TimedOperatorEvent;
import org.wiseember.core.label.Claim;
import org.wiseember.core.label.Label;
import org.wiseember.core.label.Subject;
import org.wiseember.core.notes.NotesFile;
import org.wiseember.core.notes.NotesUnreadable;
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
import org.wiseember.trial.record.EnteredRun;
import org.wiseember.trial.record.GivenRun;
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
            List.of());
    return plan.type()
        .worked(
            new RunRecord(kept, List.of(), readings, lines),
            new Inquiry(new Findings.Known(label, List.of())));
  }

  /**
   * What the program makes of it when it was written down afterwards: in the order of things, the
   * moments by the clock on the wall, to the minute, to five, since the start, or not at all.
   */
  TestRun entered() {
    lines.sort(Comparator.comparingDouble(NotebookLine::seconds));
    String head =
        "meter: "
            + Optional.ofNullable(classes.get(Channel.AC_POWER))
                .map(MeterClass::words)
                .orElse("2 %")
            + "\ndc-meter: "
            + Optional.ofNullable(classes.get(Channel.DC_CURRENT))
                .map(MeterClass::words)
                .orElse("2 %")
            + "\n";
    StringBuilder text = new StringBuilder(head);
    double first = lines.get(0).seconds();
    for (NotebookLine line : lines) {
      text.append(moment(line, first)).append(line.words()).append('\n');
    }
    try {
      EnteredRun run =
          EnteredRun.of(
              plan.type(), label, NotesFile.read(text.toString()), plan.settings().particulars());
      return Findings.of(label, List.of(GivenRun.entered(run).record(1))).get(0);
    } catch (NotesUnreadable e) {
      throw new AssertionError(e.getMessage() + " in\n" + text, e);
    }
  }

  private String moment(NotebookLine line, double first) {
    LocalDateTime at =
        LocalDateTime.of(2031, 5, 4, 9, 13, 41).plusNanos((long) (line.seconds() * 1e9));
    double how = random.nextDouble();
    // A trip is timed by a watch; nobody notes one to five minutes.
    if (plan.type().key().equals(OverloadHolds.KIND) && line.press().isPresent()) {
      return at.format(DateTimeFormatter.ofPattern("HH:mm:ss ", Locale.ROOT));
    }
    if (how < 0.15) {
      return "";
    }
    if (how < 0.3) {
      int five = at.getMinute() / 5 * 5;
      return at.withMinute(five).format(DateTimeFormatter.ofPattern("'about' HH:mm ", Locale.ROOT));
    }
    return how < 0.45
        ? "+" + Math.round((line.seconds() - first) / 60) + " min "
        : at.format(DateTimeFormatter.ofPattern("HH:mm ", Locale.ROOT));
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
