package org.wiseember.trial.kind;

import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.stream.Stream;
import org.wiseember.core.display.DisplayAudit;
import org.wiseember.core.figure.Explanation;
import org.wiseember.core.figure.Figure;
import org.wiseember.core.figure.Finding;
import org.wiseember.core.figure.Warning;
import org.wiseember.core.trace.Channel;
import org.wiseember.core.trace.Series;
import org.wiseember.core.trace.Trace;
import org.wiseember.core.trace.Treatment;
import org.wiseember.core.uncertainty.AssumedMeter;
import org.wiseember.report.drawing.TraceDrawing;
import org.wiseember.report.page.FindingPage;
import org.wiseember.workbook.Run;

/** A run and what it says. */
public interface TestRun extends Finding {
  /** Of a small picture. */
  int PREVIEW_POINTS = 240;

  /** The run as it is kept. */
  StoredRun kept();

  default TestType type() {
    return kept().type();
  }

  default Run run() {
    return kept().run();
  }

  /** Its readings, corrected where the meters were; nothing left out. */
  default Trace trace() {
    return kept().trace();
  }

  /** What the tester decided about it. */
  default Treatment treatment() {
    return kept().treatment();
  }

  /** Its answer in brief, with how it came about: its first figure, or a word such as a count. */
  default Optional<Explanation> headline() {
    return figures().stream().findFirst().map(Explanation::of);
  }

  /** All a reader of its figures has to know: what its test says, and what holds for any. */
  default List<Warning> allWarnings() {
    return Stream.concat(kept().noticed().stream(), warnings().stream()).toList();
  }

  /** All it found, as data: screen and report draw the same. */
  FindingPage page(UnitFindings unit);

  /** The watts it is about: at the outlet, on the DC side, or into the unit. */
  default Series watts() {
    return trace().series(Channel.AC_POWER);
  }

  /** Its watts in few points, for a small picture, without a reading looked at. */
  default Series preview() {
    return kept().remembered().map(StoredRun.Remembered::preview).orElseGet(() -> thinned(watts()));
  }

  /**
   * What the unit's own display showed in it, against what meters read, without a reading looked
   * at.
   */
  default DisplayAudit displays() {
    return kept().remembered().map(StoredRun.Remembered::displays).orElseGet(this::auditedNow);
  }

  private DisplayAudit auditedNow() {
    return DisplayAudit.of(
        treated(),
        channel ->
            run().settings().meterClass(channel).orElseGet(() -> AssumedMeter.of(channel.unit())));
  }

  /** Its page with what every test may tell of beside its own question. */
  default FindingPage whole(UnitFindings unit) {
    return DisplayPart.on(page(unit), this, unit);
  }

  private static Series thinned(Series series) {
    double[] seconds = new double[series.size()];
    double[] values = new double[series.size()];
    for (int i = 0; i < seconds.length; i++) {
      seconds[i] = series.seconds(i);
      values[i] = series.value(i);
    }
    TraceDrawing.Line thin = TraceDrawing.thin(seconds, values, PREVIEW_POINTS);
    return Series.of(thin.seconds(), thin.values());
  }

  /** When it came to its own end, s on the trace's clock; empty where it did not. */
  default OptionalDouble end() {
    return OptionalDouble.empty();
  }

  /** One line under its small picture. */
  default String caption() {
    return run().title();
  }

  /** The room while it was made, °C; empty where nobody read it. */
  default OptionalDouble roomCelsius() {
    return OptionalDouble.empty();
  }

  /** What other tests may build on, by keys of their own. */
  default List<Figure> offered() {
    return List.of();
  }

  /** Whether stretches may be left out of it, its cut-off moved and its radio corrected for. */
  default boolean treatable() {
    return false;
  }

  /** Whether the leads between unit and voltmeter count. */
  default boolean throughLeads() {
    return false;
  }

  /** Why it cannot be worked out, one sentence; empty where it can. */
  default Optional<String> unreadable() {
    return Optional.empty();
  }

  /** Whether it counts for nothing, by decision of the tester or because it cannot be read. */
  default boolean aside() {
    return treatment().aside() || unreadable().isPresent();
  }

  /** Its readings as they are treated. */
  default Trace treated() {
    return kept().treated();
  }

  /** Watts on the DC side: read, else volts × amps. */
  default Series directWatts() {
    Series dc = trace().series(Channel.DC_POWER);
    return dc.size() > 1 ? dc : trace().product(Channel.DC_VOLTAGE, Channel.DC_CURRENT);
  }
}
