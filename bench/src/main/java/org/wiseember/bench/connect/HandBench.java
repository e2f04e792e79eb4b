package org.wiseember.bench.connect;

import java.util.List;
import java.util.concurrent.locks.LockSupport;
import org.wiseember.bench.instrument.Bench;
import org.wiseember.bench.instrument.Health;
import org.wiseember.bench.instrument.Instrument;
import org.wiseember.bench.instrument.SetPoints;
import org.wiseember.core.trace.Channel;
import org.wiseember.core.trace.Frame;

/** A bench without a wire: everything is read by a person and typed. It only keeps the time. */
public final class HandBench implements Bench {
  private final List<Instrument> instruments;
  private final long origin;

  /**
   * Starts its clock.
   *
   * @param instruments what the person reads
   * @param startedSeconds what the clock shows now, s
   */
  public HandBench(List<Instrument> instruments, double startedSeconds) {
    this.instruments = List.copyOf(instruments);
    this.origin = System.nanoTime() - (long) (startedSeconds * 1e9);
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

  @Override
  public Frame advance(double seconds) {
    double now = (System.nanoTime() - origin) / 1e9;
    double due = (Math.floor(now / seconds) + 1) * seconds;
    long until = origin + (long) (due * 1e9);
    while (System.nanoTime() < until && !Thread.currentThread().isInterrupted()) {
      LockSupport.parkNanos(until - System.nanoTime());
    }
    return new Frame(due, List.of(), new double[0]);
  }
}
