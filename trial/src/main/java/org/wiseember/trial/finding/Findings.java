package org.wiseember.trial.finding;

import com.fasterxml.jackson.core.JsonProcessingException;
import com.fasterxml.jackson.core.type.TypeReference;
import com.fasterxml.jackson.databind.ObjectMapper;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Function;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.wiseember.core.label.Label;
import org.wiseember.core.trace.Plausible;
import org.wiseember.core.trace.Trace;
import org.wiseember.core.uncertainty.Estimate;
import org.wiseember.trial.AllTests;
import org.wiseember.trial.kind.Inquiry;
import org.wiseember.trial.kind.RunRecord;
import org.wiseember.trial.kind.StoredRun;
import org.wiseember.trial.kind.TestRun;
import org.wiseember.trial.kind.TestType;
import org.wiseember.trial.kind.Trait;
import org.wiseember.trial.kind.UnitFindings;
import org.wiseember.trial.kind.UnknownTest;
import org.wiseember.workbook.Found;
import org.wiseember.workbook.OnDemand;
import org.wiseember.workbook.Run;
import org.wiseember.workbook.TestedUnit;
import org.wiseember.workbook.Workbook;
import org.wiseember.workbook.WorkbookException;

/**
 * What the runs of a unit found. A run is worked out once, each by its own test, and what it found
 * is kept in the workbook; readings are looked at again only where something it rests on changed.
 *
 * <pre>{@code
 * for (TestRun run : Findings.of(workbook, unit)) {
 *   run.figures().forEach(figure -> System.out.println(figure.words()));
 * }
 * }</pre>
 */
public final class Findings {
  private static final Logger LOG = LoggerFactory.getLogger(Findings.class);
  private static final ObjectMapper JSON = new ObjectMapper();

  private final Workbook workbook;
  private final Label label;
  private final Map<Long, Found.Finding> kept;
  private final Map<Long, TestRun> before = new HashMap<>();
  private final Map<Long, Found.Finding> fresh = new LinkedHashMap<>();

  private Findings(Workbook workbook, TestedUnit unit, List<TestRun> before) {
    this.workbook = workbook;
    before.forEach(r -> this.before.put(r.run().id(), r));
    this.label = unit.label();
    this.kept = workbook.found().of(unit.id());
  }

  /** Every run of a unit, oldest first. */
  public static List<TestRun> of(Workbook workbook, TestedUnit unit) {
    return of(workbook, unit, List.of());
  }

  /**
   * The same where runs of it were found before.
   *
   * @param before what is still in memory; it is used again where it stands
   */
  public static List<TestRun> of(Workbook workbook, TestedUnit unit, List<TestRun> before) {
    Findings findings = new Findings(workbook, unit, before);
    List<TestRun> runs = findings.of(workbook.runs().of(unit.id()));
    if (!workbook.readOnly()) {
      workbook.found().keep(findings.fresh);
    }
    return runs;
  }

  /** Tells one version of the program's arithmetic from another. */
  public static String method() {
    return MethodVersion.current();
  }

  private List<TestRun> of(List<Run> runs) {
    return inTurn(label, runs, Function.identity(), this::of);
  }

  /**
   * Works out runs that lie in no workbook.
   *
   * @param runs of one unit, oldest first
   */
  public static List<TestRun> of(Label label, List<RunRecord> runs) {
    return inTurn(
        label,
        runs,
        RunRecord::run,
        (r, type, others) -> AsNoted.worked(type, r, new Inquiry(others)));
  }

  private interface Work<R> {
    TestRun of(R run, TestType type, UnitFindings others);
  }

  /** Those that rest on others come last, and see only what was found without them. */
  private static <R> List<TestRun> inTurn(
      Label label, List<R> runs, Function<R, Run> kept, Work<R> work) {
    List<TestRun> found = new ArrayList<>();
    for (boolean later : new boolean[] {false, true}) {
      UnitFindings others = new Known(label, found.stream().filter(r -> !r.aside()).toList());
      for (R run : runs) {
        TestType type = AllTests.of(kept.apply(run));
        if (type.is(Trait.RESTS_ON_OTHERS) == later) {
          found.add(
              type instanceof UnknownTest unknown
                  ? NotWorkedOut.of(type, kept.apply(run), unknown.why())
                  : work.of(run, type, others));
        }
      }
    }
    found.sort(Comparator.comparing(TestRun::run, Run.OLDEST_FIRST));
    return found;
  }

  /** What is known of a unit. */
  public record Known(Label label, List<TestRun> runs) implements UnitFindings {
    @Override
    public Optional<Estimate> usableWattHours() {
      return UsableEnergy.of(this);
    }
  }

  /** One that cannot be worked out says so in its place and keeps nobody from the others. */
  private TestRun of(Run run, TestType type, UnitFindings others) {
    Optional<String> damaged = workbook.damage().of(run.id());
    if (damaged.isPresent()) {
      return NotWorkedOut.of(type, run, damaged.get());
    }
    try {
      StoredRun keptRun =
          new StoredRun(
              type,
              run,
              workbook.treatments().of(run.id()),
              new OnDemand<>(() -> corrected(run)),
              workbook.captures().of(run.id()));
      return found(keptRun, others);
    } catch (RuntimeException | VirtualMachineError e) {
      LOG.error("run {} cannot be worked out", run.id(), e);
      return NotWorkedOut.of(type, run, words(run, e));
    }
  }

  /** What a tester is told: the workbook speaks in sentences, the program's own errors do not. */
  private static String words(Run run, Throwable e) {
    return e instanceof WorkbookException
        ? e.getMessage()
        : run.title()
            + " cannot be worked out ("
            + e.getClass().getSimpleName()
            + "); it judges nothing, and its readings are kept. The log beside the workbook says"
            + " more.";
  }

  private TestRun found(StoredRun keptRun, UnitFindings others) {
    return Optional.ofNullable(kept.get(keptRun.run().id()))
        .filter(f -> f.method().equals(method()) && Inquiry.same(answers(f.asked()), others))
        .flatMap(f -> inMemory(f, keptRun).or(() -> FindingJson.read(f, keptRun)))
        .orElseGet(() -> worked(keptRun, others));
  }

  private Optional<TestRun> inMemory(Found.Finding row, StoredRun now) {
    return Optional.ofNullable(before.get(now.run().id()))
        .filter(r -> r.kept().remembered().filter(m -> m.row().equals(row)).isPresent())
        .filter(r -> r.run().equals(now.run()) && r.treatment().equals(now.treatment()));
  }

  private TestRun worked(StoredRun kept, UnitFindings others) {
    Run run = kept.run();
    Inquiry asked = new Inquiry(others);
    TestRun found =
        AsNoted.worked(
            kept.type(),
            new RunRecord(
                kept,
                workbook.runs().events(run.id()),
                workbook.typedReadings().of(run.id()),
                workbook.notebook().of(run.id())),
            asked);
    if (run.state() != Run.State.RUNNING) {
      String answers = JSON.valueToTree(asked.answers()).toString();
      fresh.put(run.id(), new Found.Finding(method(), answers, FindingJson.write(found)));
    }
    return found;
  }

  private static Map<String, String> answers(String json) {
    try {
      return JSON.readValue(json, new TypeReference<Map<String, String>>() {});
    } catch (JsonProcessingException notOurs) {
      return Map.of("", "");
    }
  }

  /** The readings of a run, typed ones where nothing else read, put through its corrections. */
  private Trace corrected(Run run) {
    Trace raw =
        run.settings().byHand()
            ? workbook.typedReadings().trace(run.id())
            : workbook.runs().trace(run);
    return Plausible.readings(run.settings().corrected(raw));
  }
}
