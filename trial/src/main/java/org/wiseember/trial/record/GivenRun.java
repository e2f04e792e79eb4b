package org.wiseember.trial.record;

import java.time.Instant;
import java.time.ZoneOffset;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.OptionalDouble;
import java.util.Set;
import java.util.TreeMap;
import org.wiseember.core.label.Label;
import org.wiseember.core.trace.Channel;
import org.wiseember.core.trace.Trace;
import org.wiseember.core.trace.Treatment;
import org.wiseember.core.uncertainty.MeterClass;
import org.wiseember.core.waveform.Capture;
import org.wiseember.core.waveform.CaptureNote;
import org.wiseember.trial.kind.FromLabel;
import org.wiseember.trial.kind.RunRecord;
import org.wiseember.trial.kind.ScopeClass;
import org.wiseember.trial.kind.StoredRun;
import org.wiseember.trial.kind.TestType;
import org.wiseember.workbook.Event;
import org.wiseember.workbook.NotebookLine;
import org.wiseember.workbook.OnDemand;
import org.wiseember.workbook.Run;
import org.wiseember.workbook.RunOf;
import org.wiseember.workbook.RunSettings;
import org.wiseember.workbook.StoredCapture;
import org.wiseember.workbook.StoredReading;
import org.wiseember.workbook.TypedReadings;
import org.wiseember.workbook.pack.RunPackage;

/**
 * A run that lies in files and in no workbook: a log, captures, or a package.
 *
 * @param type which test it is of
 * @param began when it was made; the epoch where nobody says
 * @param trace its readings; empty where there are only captures
 * @param settings what it was made with
 * @param treatment what was decided about it
 */
public record GivenRun(
    TestType type,
    Instant began,
    Trace trace,
    RunSettings settings,
    Run.State state,
    Treatment treatment,
    List<Event> events,
    List<StoredReading> typed,
    List<NotebookLine> notebook,
    List<StoredCapture> captures) {
  public GivenRun {
    events = List.copyOf(events);
    typed = List.copyOf(typed);
    captures = List.copyOf(captures);
  }

  /** A log of meters. */
  public static GivenRun log(TestType type, Label label, Trace trace) {
    return new GivenRun(
        type,
        Instant.EPOCH,
        trace,
        settings(label),
        Run.State.DONE,
        Treatment.NONE,
        List.of(),
        List.of(),
        List.of(),
        List.of());
  }

  /**
   * A captured wave.
   *
   * @param loadWatts at the outlet, W; empty where nobody said
   */
  public static GivenRun capture(
      TestType type, Label label, Capture capture, OptionalDouble loadWatts) {
    CaptureNote note =
        loadWatts.isPresent()
            ? CaptureNote.ofLoad(loadWatts.getAsDouble())
            : CaptureNote.of("The capture");
    return log(type, label, Trace.empty()).with(new StoredCapture(Double.NaN, note, capture));
  }

  /** A packed run, as another test where that is wanted. */
  public static GivenRun packed(TestType type, RunPackage.Unpacked in) {
    return new GivenRun(
        type,
        Instant.EPOCH,
        in.settings().byHand() ? TypedReadings.trace(in.typed()) : in.trace(),
        in.settings(),
        in.state(),
        in.treatment(),
        in.events(),
        in.typed(),
        in.notebook(),
        in.captures());
  }

  /** Notes of a run that was made earlier. */
  public static GivenRun entered(EnteredRun run) {
    return new GivenRun(
        run.type(),
        run.began().map(t -> t.toInstant(ZoneOffset.UTC)).orElse(Instant.EPOCH),
        TypedReadings.trace(run.readings()),
        run.settings(),
        Run.State.DONE,
        Treatment.NONE,
        List.of(),
        run.readings(),
        run.lines().stream().map(EnteredRun.Line::line).toList(),
        List.of());
  }

  private static RunSettings settings(Label label) {
    return new RunSettings(
        0,
        FromLabel.volts(label),
        Map.of(),
        Map.of(),
        RunSettings.Source.FILE,
        0,
        List.of(),
        List.of(),
        Map.of());
  }

  /** The same with one capture more. */
  public GivenRun with(StoredCapture more) {
    List<StoredCapture> all = new ArrayList<>(captures);
    all.add(more);
    return new GivenRun(
        type, began, trace, settings, state, treatment, events, typed, notebook, all);
  }

  /** The same set up with these words by name. */
  public GivenRun with(Map<String, String> particulars) {
    Map<String, String> all = new TreeMap<>(settings.particulars());
    all.putAll(particulars);
    return with(settings.accuracy(), all);
  }

  /** The same with all its meters as good as this: ± % of reading, ± dB for sound. */
  public GivenRun accurate(double accuracy) {
    Map<Channel, MeterClass> classes = new EnumMap<>(Channel.class);
    classes.putAll(settings.accuracy());
    Set<Channel> read = trace.channels();
    classes.putAll(GivenAccuracy.of(accuracy, read));
    return captures.isEmpty()
        ? with(classes, settings.particulars())
        : with(classes, settings.particulars()).with(ScopeClass.told(accuracy));
  }

  private GivenRun with(Map<Channel, MeterClass> accuracy, Map<String, String> particulars) {
    return new GivenRun(
        type,
        began,
        trace,
        settings.with(accuracy, particulars),
        state,
        treatment,
        events,
        typed,
        notebook,
        captures);
  }

  /** As a run with a number, for working it out. */
  public RunRecord record(long id) {
    Run run =
        new Run(
            id,
            RunOf.unit(1),
            type.key(),
            type.words(),
            began,
            state,
            "",
            settings,
            List.copyOf(trace.channels()));
    return new RunRecord(
        new StoredRun(type, run, treatment, OnDemand.of(corrected()), captures),
        events,
        typed,
        notebook);
  }

  private Trace corrected() {
    return settings.corrected(trace);
  }
}
