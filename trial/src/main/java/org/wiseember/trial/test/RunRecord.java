package org.wiseember.trial.test;

import java.util.List;
import java.util.Optional;
import org.wiseember.core.trace.Channel;
import org.wiseember.core.trace.Trace;
import org.wiseember.core.trace.Treatment;
import org.wiseember.core.uncertainty.AssumedMeter;
import org.wiseember.core.uncertainty.MeterClass;
import org.wiseember.core.waveform.NominalFrequency;
import org.wiseember.workbook.Event;
import org.wiseember.workbook.KeptCapture;
import org.wiseember.workbook.KeptReading;
import org.wiseember.workbook.Run;

/** All that was kept of a run, for working it out. */
public record RunRecord(KeptRun kept, List<Event> events, List<KeptReading> typed) {
  public RunRecord {
    events = List.copyOf(events);
    typed = List.copyOf(typed);
  }

  public Run run() {
    return kept.run();
  }

  public List<KeptCapture> captures() {
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
