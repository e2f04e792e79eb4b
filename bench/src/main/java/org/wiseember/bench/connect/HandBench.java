package org.wiseember.bench.connect;

import java.util.List;
import java.util.OptionalDouble;
import org.wiseember.bench.instrument.Bench;
import org.wiseember.bench.instrument.Health;
import org.wiseember.bench.instrument.Instrument;
import org.wiseember.bench.instrument.SetPoints;
import org.wiseember.core.trace.Channel;
import org.wiseember.core.trace.Frame;

/** A bench without a wire: everything is read by a person and typed. It only keeps the time. */
public final class HandBench implements Bench {
  private final List<Instrument> instruments;
  private final HandClock clock;
  private double last;

  /**
   * Sets it up.
   *
   * @param instruments what the person reads
   * @param clock its time
   */
  public HandBench(List<Instrument> instruments, HandClock clock) {
    this.instruments = List.copyOf(instruments);
    this.clock = clock;
    this.last = clock.seconds();
  }

  @Override
  public List<Instrument> instruments() {
    return instruments;
  }

  @Override
  public List<Channel> channels() {
    return List.of();
  }

  @Override
  public boolean simulated() {
    return false;
  }

  @Override
  public List<Health> health() {
    return instruments.stream().map(i -> new Health(Health.State.BY_HAND, "")).toList();
  }

  @Override
  public boolean loadObeys() {
    return false;
  }

  @Override
  public void arrange(SetPoints wanted) {
    // A person does it.
  }

  /** A frame each second, and one at once when somebody has pressed something. */
  @Override
  public Frame advance(double seconds) {
    clock.await((Math.floor(last / seconds) + 1) * seconds);
    last = Math.max(Math.nextUp(last), clock.seconds());
    return new Frame(last, List.of(), new double[0]);
  }

  @Override
  public OptionalDouble clock() {
    return OptionalDouble.of(clock.seconds());
  }

  @Override
  public void hurry() {
    clock.hurry();
  }
}
