package org.wiseember.bench.instrument;

import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import org.wiseember.core.trace.Channel;
import org.wiseember.core.trace.Frame;
import org.wiseember.core.waveform.Capture;

/**
 * A bench: instruments read together, a load one can switch, and a clock. Used by one thread at a
 * time.
 */
public interface Bench {
  /** The instruments, in the order they are shown. */
  List<Instrument> instruments();

  /** The channels of every frame, in a fixed order. */
  List<Channel> channels();

  /** Whether its clock is simulated and may run at any speed; a real bench keeps real time. */
  boolean simulated();

  /** How each instrument does, in the order of {@link #instruments()}. */
  default List<Health> health() {
    return instruments().stream().map(i -> Health.ALIVE).toList();
  }

  /** What the unit shows beside its figures, such as an error code; empty for nothing. */
  default String unitShows() {
    return "";
  }

  /** The wave a scope caught during the last {@link #advance}; empty where there is none. */
  default Optional<Capture> captured() {
    return Optional.empty();
  }

  /** Whether the load obeys {@link #arrange}; where not, a person switches it. */
  default boolean loadObeys() {
    return true;
  }

  /** The instruments that will have a load on once {@link #arrange} is called with this. */
  default List<InstrumentDescription> switchedOnBy(SetPoints wanted) {
    return List.of();
  }

  /**
   * Switches every load off that this bench switched on, waits until each says that it is off, and
   * gives those that do not. Called once, when a run is over, however it came to be.
   */
  default List<StillOn> switchOff() {
    arrange(SetPoints.NO_LOAD);
    return List.of();
  }

  /** Puts loads and outputs as they are wanted, as far as they obey. */
  void arrange(SetPoints wanted);

  /**
   * Lets the bench clock run and reads everything at its end.
   *
   * @param seconds above 0
   */
  Frame advance(double seconds);

  /** What its clock shows between two frames, s; empty where it has none of its own. */
  default OptionalDouble clock() {
    return OptionalDouble.empty();
  }

  /** Something was said that is not to wait for the next moment to read. */
  default void hurry() {}
}
