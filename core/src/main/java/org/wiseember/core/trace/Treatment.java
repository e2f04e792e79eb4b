package org.wiseember.core.trace;

import java.util.ArrayList;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.OptionalDouble;

/**
 * What a tester decided about a run after looking at it. The readings stay as they were; figures
 * are worked out from the treated copy.
 *
 * @param leftOut stretches that are treated as if nothing had been read, in order of time
 * @param cutoff the moment the drain is counted to, s on the trace's clock; empty for the one that
 *     is seen in the readings
 * @param standingWatts drawn from the pack beside the load the whole time, such as by a radio or an
 *     app, W; 0 for nothing
 * @param leadOhms of the leads between the unit and the meter on the DC side, both ways, Ω; 0 where
 *     the meter senses at the unit's terminals
 * @param setAside why the whole run counts for nothing; empty for a run that counts
 */
public record Treatment(
    List<LeftOut> leftOut,
    OptionalDouble cutoff,
    double standingWatts,
    double leadOhms,
    String setAside) {
  /** Nothing decided. */
  public static final Treatment NONE = new Treatment(List.of(), OptionalDouble.empty(), 0, 0, "");

  /** More than this is a load of its own, W. */
  public static final double MOST_STANDING_WATTS = 100;

  /** More than this is no lead, Ω. */
  public static final double MOST_LEAD_OHMS = 5;

  /**
   * A stretch left out.
   *
   * @param from s on the trace's clock, included
   * @param to s, included, after {@code from}
   * @param reason why, in the tester's words
   */
  public record LeftOut(double from, double to, String reason) {
    public LeftOut {
      Objects.requireNonNull(reason);
      if (!Double.isFinite(from) || !Double.isFinite(to) || !(to > from)) {
        throw new IllegalArgumentException("a stretch to leave out ends after it begins");
      }
      if (reason.isBlank()) {
        throw new IllegalArgumentException("say why the stretch is left out");
      }
    }

    boolean covers(double seconds) {
      return seconds >= from && seconds <= to;
    }
  }

  public Treatment {
    Objects.requireNonNull(setAside);
    leftOut = leftOut.stream().sorted(java.util.Comparator.comparingDouble(LeftOut::from)).toList();
    if (!(standingWatts >= 0 && standingWatts <= MOST_STANDING_WATTS)) {
      throw new IllegalArgumentException(
          "what runs beside the load draws between 0 and 100 W; more is a load of its own");
    }
    if (!(leadOhms >= 0 && leadOhms <= MOST_LEAD_OHMS)) {
      throw new IllegalArgumentException("leads have between 0 and 5 Ω");
    }
    if (cutoff.isPresent() && !Double.isFinite(cutoff.getAsDouble())) {
      throw new IllegalArgumentException("a cut-off is at some moment");
    }
  }

  /** This treatment with one more stretch left out. */
  public Treatment leavingOut(LeftOut stretch) {
    List<LeftOut> more = new ArrayList<>(leftOut);
    more.add(stretch);
    return new Treatment(more, cutoff, standingWatts, leadOhms, setAside);
  }

  /** This treatment with a stretch put back. */
  public Treatment puttingBack(LeftOut stretch) {
    List<LeftOut> fewer = new ArrayList<>(leftOut);
    fewer.remove(stretch);
    return new Treatment(fewer, cutoff, standingWatts, leadOhms, setAside);
  }

  /** This treatment with another cut-off; empty for the one in the readings. */
  public Treatment withCutoff(OptionalDouble moment) {
    return new Treatment(leftOut, moment, standingWatts, leadOhms, setAside);
  }

  /** This treatment with another draw beside the load, W. */
  public Treatment withStandingWatts(double watts) {
    return new Treatment(leftOut, cutoff, watts, leadOhms, setAside);
  }

  /** This treatment with other leads, Ω. */
  public Treatment withLeadOhms(double ohms) {
    return new Treatment(leftOut, cutoff, standingWatts, ohms, setAside);
  }

  /** This treatment with the whole run set aside; an empty reason takes it back. */
  public Treatment settingAside(String reason) {
    return new Treatment(leftOut, cutoff, standingWatts, leadOhms, reason.strip());
  }

  /** Whether the run counts for nothing. */
  public boolean aside() {
    return !setAside.isEmpty();
  }

  /** The readings with those left out missing; the same trace where nothing is left out. */
  public Trace of(Trace trace) {
    if (leftOut.isEmpty()) {
      return trace;
    }
    int rows = trace.size();
    double[] seconds = new double[rows];
    trace.copySeconds(0, seconds);
    Map<Channel, double[]> values = new EnumMap<>(Channel.class);
    for (Channel channel : trace.channels()) {
      double[] column = new double[rows];
      trace.copyValues(channel, 0, column);
      for (int i = 0; i < rows; i++) {
        double at = seconds[i];
        if (leftOut.stream().anyMatch(s -> s.covers(at))) {
          column[i] = Double.NaN;
        }
      }
      values.put(channel, column);
    }
    return Trace.takingOver(seconds, values);
  }
}
