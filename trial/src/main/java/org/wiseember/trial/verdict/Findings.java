package org.wiseember.trial.verdict;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.DoubleUnaryOperator;
import org.wiseember.core.label.Label;
import org.wiseember.core.trace.Channel;
import org.wiseember.core.trace.Trace;
import org.wiseember.core.uncertainty.Estimate;
import org.wiseember.trial.AllTests;
import org.wiseember.trial.test.RunRecord;
import org.wiseember.trial.test.TestRun;
import org.wiseember.trial.test.TestType;
import org.wiseember.trial.test.UnitFindings;
import org.wiseember.workbook.Run;
import org.wiseember.workbook.RunSettings;
import org.wiseember.workbook.Workbook;

/** Works the runs of a unit out, each by its own test. */
final class Findings {
  private final Workbook workbook;
  private final Label label;

  Findings(Workbook workbook, Label label) {
    this.workbook = workbook;
    this.label = label;
  }

  /** Every run of a kind that is known, oldest first. */
  List<TestRun> of(List<Run> runs) {
    List<TestRun> worked = new ArrayList<>();
    for (boolean later : new boolean[] {false, true}) {
      // Those that rest on others see only what was found without them.
      UnitFindings others = new Known(label, worked.stream().filter(r -> !r.aside()).toList());
      for (Run run : runs) {
        Optional<TestType> type = AllTests.byKey(run.kind());
        if (type.isPresent() && type.get().restsOnOthers() == later) {
          worked.add(type.get().worked(record(run), others));
        }
      }
    }
    worked.sort(Comparator.comparingLong(r -> r.run().id()));
    return worked;
  }

  /** What is known of a unit. */
  record Known(Label label, List<TestRun> runs) implements UnitFindings {
    @Override
    public Optional<Estimate> usableWattHours() {
      return UsableEnergy.of(this);
    }
  }

  private RunRecord record(Run run) {
    return new RunRecord(
        run,
        corrected(run),
        workbook.treatments().of(run.id()),
        workbook.runs().events(run.id()),
        workbook.captures().of(run.id()),
        workbook.typedReadings().of(run.id()),
        label);
  }

  /** The readings of a run, typed ones where nothing else read, put through its corrections. */
  private Trace corrected(Run run) {
    Trace raw =
        run.settings().source() == RunSettings.Source.BY_HAND
            ? workbook.typedReadings().trace(run.id())
            : workbook.runs().trace(run);
    if (run.settings().corrections().isEmpty()) {
      return raw;
    }
    Map<Channel, DoubleUnaryOperator> functions = new EnumMap<>(Channel.class);
    run.settings().corrections().forEach((channel, c) -> functions.put(channel, c::apply));
    return raw.mapped(functions);
  }
}
