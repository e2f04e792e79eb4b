package org.wiseember.trial.kind;

import java.util.Comparator;
import java.util.EnumMap;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Stream;
import org.wiseember.bench.procedure.ByHand;
import org.wiseember.core.hand.HandNotes;
import org.wiseember.core.hand.Moment;
import org.wiseember.core.hand.TimedOperatorEvent;
import org.wiseember.core.trace.Channel;
import org.wiseember.core.trace.Trace;
import org.wiseember.core.trace.Treatment;
import org.wiseember.core.uncertainty.AssumedMeter;
import org.wiseember.core.uncertainty.MeterClass;
import org.wiseember.core.waveform.NominalFrequency;
import org.wiseember.workbook.Event;
import org.wiseember.workbook.NotebookLine;
import org.wiseember.workbook.Run;
import org.wiseember.workbook.RunSettings;
import org.wiseember.workbook.StoredCapture;
import org.wiseember.workbook.StoredReading;

/** All that was kept of a run, for working it out. */
public record RunRecord(
    StoredRun kept, List<Event> events, List<StoredReading> typed, List<NotebookLine> notebook) {
  public RunRecord {
    typed = List.copyOf(typed);
    notebook = List.copyOf(notebook);
    events = withBegun(kept, events, notebook);
  }

  /** By hand the steps of a test began where it was pressed, whatever was corrected since. */
  private static List<Event> withBegun(
      StoredRun kept, List<Event> events, List<NotebookLine> notebook) {
    RunSettings settings = kept.run().settings();
    List<TimedOperatorEvent> pressed = pressed(notebook);
    if (!settings.byHand() || pressed.isEmpty()) {
      return List.copyOf(events);
    }
    return Stream.concat(
            events.stream(), script(kept, settings).begun(pressed).stream().map(Event::of))
        .sorted(Comparator.comparingDouble(Event::seconds))
        .toList();
  }

  private static ByHand script(StoredRun kept, RunSettings settings) {
    ByHand script = kept.type().kept(settings).byHand();
    return settings.source() == RunSettings.Source.ENTERED ? script.writtenAfterwards() : script;
  }

  private static List<TimedOperatorEvent> pressed(List<NotebookLine> notebook) {
    return notebook.stream().flatMap(l -> l.pressed().stream()).toList();
  }

  /** Whether a person read everything. */
  public boolean byHand() {
    return run().settings().byHand();
  }

  /**
   * Whether it is told by a notebook. Runs of older programs that were typed into fields have none,
   * and are taken as a log of what was typed.
   */
  public boolean noted() {
    return run().settings().source() == RunSettings.Source.ENTERED
        || (byHand() && !pressed().isEmpty());
  }

  /** What a person said by key, in order of time. */
  public List<TimedOperatorEvent> pressed() {
    return pressed(notebook);
  }

  /**
   * All that was read and said by hand.
   *
   * @param readings of this run, as they are treated where that counts
   */
  public HandNotes notes(Trace readings) {
    Map<Double, Moment> moments = new HashMap<>();
    notebook.forEach(l -> moments.put(l.seconds(), l.when()));
    return new HandNotes(readings, typedSteps(), pressed(), moments);
  }

  /** The coarsest step each channel was typed in. */
  public Map<Channel, Double> typedSteps() {
    Map<Channel, Double> steps = new EnumMap<>(Channel.class);
    typed.forEach(r -> steps.merge(r.channel(), r.resolution(), Math::max));
    return steps;
  }

  public Run run() {
    return kept.run();
  }

  public List<StoredCapture> captures() {
    return kept.captures();
  }

  /** Its readings, nothing left out. */
  public Trace trace() {
    return kept.trace();
  }

  public Treatment treatment() {
    return kept.treatment();
  }

  /** The readings as they are treated. */
  public Trace treated() {
    return kept.treated();
  }

  /** The class of the meter behind a channel, where it was stated. */
  public Optional<MeterClass> meter(Channel channel) {
    return run().settings().meterClass(channel);
  }

  /** The same, or what is taken of a meter nobody described. */
  public MeterClass meterOrAssumed(Channel channel) {
    return meter(channel).orElseGet(() -> AssumedMeter.of(channel.unit()));
  }

  /** What was set up with it under a name; empty for nothing. */
  public Optional<String> particular(String name) {
    return Optional.ofNullable(run().settings().particulars().get(name));
  }

  /** Events with this code, in order of time. */
  public List<Event> events(String code) {
    return events.stream().filter(e -> e.code().equals(code)).toList();
  }

  /** Nominal frequency of the outlet, Hz. */
  public double hertz() {
    return NominalFrequency.at(run().settings().volts());
  }
}
