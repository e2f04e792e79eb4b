package org.wiseember.trial.live;

import java.util.function.Function;
import org.wiseember.core.quantity.Figures;
import org.wiseember.core.trace.Channel;

/**
 * A large figure while a test runs: its head, and what stands under it at a moment.
 *
 * @param unit beside the figure; empty for none
 */
public record LiveTile(String title, String unit, Function<LiveMoment, Now> reads) {
  /** Watts at the outlet. */
  public static final LiveTile SOCKET =
      new LiveTile("Out of the socket", "W", m -> new Now(m.read(Channel.AC_POWER, 0), m.outlet()));

  public static final LiveTile OUTLET_VOLTS =
      new LiveTile("Volts", "V", m -> m.reading(Channel.AC_VOLTAGE, 1, "at the outlet"));

  public static final LiveTile CASE =
      new LiveTile(
          "Case", "°C", m -> m.reading(Channel.CASE_TEMPERATURE, 1, "stops at 60\u00a0°C"));

  /** What goes in at the wall while the outlet is fed. */
  public static final LiveTile FROM_WALL =
      new LiveTile(
          "From the wall", "W", m -> m.reading(Channel.IN_POWER, 0, "charging and handed through"));

  /** Watts, amps and volts of a port. */
  public static final LiveTile PORT =
      new LiveTile(
          "Out of the port", "W", m -> new Now(Figures.fixed(m.frame().dcWatts(), 1), m.port()));

  public static final LiveTile PORT_AMPS =
      new LiveTile("Amps", "A", m -> m.reading(Channel.DC_CURRENT, 2, "drawn by the load"));

  public static final LiveTile PORT_VOLTS =
      new LiveTile("Volts", "V", m -> m.reading(Channel.DC_VOLTAGE, 2, "where it is measured"));

  /** How long it has run. */
  public static final LiveTile CLOCK = clock("At");

  /** What stands in it now: the figure, and a line under it. */
  public record Now(String figure, String under) {}

  /** How long it has run, under a name of its own. */
  public static LiveTile clock(String title) {
    return new LiveTile(title, "", m -> new Now(Figures.clock(m.frame().seconds()), m.phase()));
  }

  /** How many parts of a procedure of this type have begun; a dash for another one. */
  public static <P> LiveTile count(String title, Class<P> type, Function<P, String> words) {
    return new LiveTile(
        title,
        "",
        m ->
            new Now(
                type.isInstance(m.procedure()) ? words.apply(type.cast(m.procedure())) : "–",
                m.phase()));
  }

  /** What stands in it at a moment. */
  public Now at(LiveMoment moment) {
    return reads.apply(moment);
  }
}
