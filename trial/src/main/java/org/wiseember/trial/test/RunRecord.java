package org.wiseember.trial.test;

import java.util.List;
import java.util.Optional;
import org.wiseember.core.label.Label;
import org.wiseember.core.trace.Channel;
import org.wiseember.core.trace.Trace;
import org.wiseember.core.trace.Treatment;
import org.wiseember.core.uncertainty.MeterClass;
import org.wiseember.core.waveform.NominalFrequency;
import org.wiseember.workbook.Event;
import org.wiseember.workbook.KeptCapture;
import org.wiseember.workbook.KeptReading;
import org.wiseember.workbook.Run;

/**
 * All that was kept of a run, for working it out.
 *
 * @param trace its readings, typed ones where nothing else read, put through its corrections
 * @param label of the unit
 */
public record RunRecord(
    Run run,
    Trace trace,
    Treatment treatment,
    List<Event> events,
    List<KeptCapture> captures,
    List<KeptReading> typed,
    Label label) {
  public RunRecord {
    events = List.copyOf(events);
    captures = List.copyOf(captures);
    typed = List.copyOf(typed);
  }

  /** The readings as they are treated. */
  public Trace treated() {
    return treatment.of(trace);
  }

  /** The class of the meter behind a channel, where it was stated. */
  public Optional<MeterClass> meter(Channel channel) {
    return run.settings().meterClass(channel);
  }

  /** Events with this code, in order of time. */
  public List<Event> events(String code) {
    return events.stream().filter(e -> e.code().equals(code)).toList();
  }

  /** Nominal frequency of the outlet, Hz. */
  public double hertz() {
    return NominalFrequency.at(run.settings().volts());
  }
}
