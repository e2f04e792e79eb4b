package org.wiseember.bench.emulator;

import java.util.SplittableRandom;
import java.util.function.Function;
import java.util.function.LongSupplier;
import org.wiseember.bench.simulated.SimulatedUnit;

/**
 * A simulated unit whose time follows a clock, for instruments that are asked at any moment. Safe
 * for several threads: they take turns.
 */
public final class EmulatedBench {
  /** After a long silence it catches up by no more than this at once, s of its own time. */
  private static final double LONGEST_STEP = 6 * 3600;

  private final SimulatedUnit unit;
  private final double speed;
  private final LongSupplier nanos;
  private final SplittableRandom noise;
  private final long seed;
  private long last;

  /**
   * Starts its time now.
   *
   * @param speed seconds of the unit per second of the clock, above 0
   * @param nanos the clock, as {@link System#nanoTime()}
   * @param seed draws every meter's error and all noise
   */
  public EmulatedBench(SimulatedUnit unit, double speed, LongSupplier nanos, long seed) {
    if (!(speed > 0)) {
      throw new IllegalArgumentException("time runs forward");
    }
    this.unit = unit;
    this.speed = speed;
    this.nanos = nanos;
    this.seed = seed;
    this.noise = new SplittableRandom(seed);
    this.last = nanos.getAsLong();
  }

  /** The seed of a meter, so that each lies in its own way. */
  long seed(String meter) {
    long h = seed;
    for (int at = 0; at < meter.length(); at++) {
      char c = meter.charAt(at);
      h = h * 31 + c;
    }
    return h;
  }

  /** Does something with the unit, its time brought up to now. */
  synchronized <T> T with(Function<SimulatedUnit, T> use) {
    catchUp();
    return use.apply(unit);
  }

  /** Lets time pass up to now. */
  public synchronized void catchUp() {
    long now = nanos.getAsLong();
    double seconds = Math.min(LONGEST_STEP, (now - last) / 1e9 * speed);
    last = now;
    if (seconds > 0) {
      unit.advance(seconds);
    }
  }

  /** A factor that jitters around 1 by this share. */
  synchronized double jitter(double share) {
    return 1 + share * (2 * noise.nextDouble() - 1);
  }
}
