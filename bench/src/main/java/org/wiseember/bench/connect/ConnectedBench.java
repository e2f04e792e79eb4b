package org.wiseember.bench.connect;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.locks.LockSupport;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import org.wiseember.bench.instrument.Bench;
import org.wiseember.bench.instrument.ChannelSource;
import org.wiseember.bench.instrument.Health;
import org.wiseember.bench.instrument.Instrument;
import org.wiseember.bench.instrument.InstrumentDescription;
import org.wiseember.bench.instrument.SetPoints;
import org.wiseember.bench.instrument.StillOn;
import org.wiseember.core.trace.Channel;
import org.wiseember.core.trace.Frame;
import org.wiseember.core.trace.Plausible;
import org.wiseember.core.waveform.Capture;

/**
 * A bench of real instruments. At each tick everything is asked at once; what does not answer
 * within part of the tick is missing from that frame. A reading is never carried over.
 */
public final class ConnectedBench implements Bench, AutoCloseable {
  private static final double SHARE_TO_WAIT = 0.6;

  /** An instrument that is there is off long before; one that was lost gets three more tries. */
  private static final long OFF_PATIENCE = TimeUnit.SECONDS.toNanos(6);

  private final List<Poller> pollers = new ArrayList<>();
  private final Optional<ScopePoller> scope;
  private final int scopePlace;
  private boolean scopeWanted;
  private final List<Instrument> instruments;
  private final List<Channel> channels;
  private final int[][] place;
  private final double clockFactor;
  private final long origin;
  private long number;

  /**
   * Starts asking; nothing needs to be there yet.
   *
   * @param descriptions in the order they are shown; where two give one channel, the first does
   * @param startedSeconds what the bench clock shows now, s; above 0 when a run is taken up again
   * @param clockFactor bench seconds per second: 1 for instruments, more for stand-ins set to run
   *     faster
   */
  public ConnectedBench(
      List<InstrumentDescription> descriptions, double startedSeconds, double clockFactor) {
    this.clockFactor = clockFactor;
    this.origin = System.nanoTime() - (long) (startedSeconds / clockFactor * 1e9);
    List<Instrument> all = new ArrayList<>();
    List<Channel> order = new ArrayList<>();
    List<int[]> places = new ArrayList<>();
    for (InstrumentDescription description : descriptions) {
      all.add(description.instrument());
      int[] at = new int[description.channels().size()];
      for (int i = 0; i < at.length; i++) {
        ChannelSource source = description.channels().get(i);
        boolean taken = order.contains(source.channel()) || !description.transport().asked();
        at[i] = taken ? -1 : order.size();
        if (!taken) {
          order.add(source.channel());
        }
      }
      places.add(at);
      boolean reads =
          description.transport().asked()
              && (!description.channels().isEmpty() || description.switchesLoad());
      pollers.add(reads ? new Poller(description) : null);
    }
    this.scopePlace =
        IntStream.range(0, descriptions.size())
            .filter(i -> descriptions.get(i).scope().isPresent())
            .findFirst()
            .orElse(-1);
    this.scope =
        scopePlace < 0
            ? Optional.empty()
            : Optional.of(new ScopePoller(descriptions.get(scopePlace)));
    this.instruments = List.copyOf(all);
    this.channels = List.copyOf(order);
    this.place = places.toArray(int[][]::new);
  }

  @Override
  public List<Instrument> instruments() {
    return instruments;
  }

  @Override
  public List<Channel> channels() {
    return channels;
  }

  @Override
  public boolean simulated() {
    return false;
  }

  @Override
  public List<Health> health() {
    List<Health> all = new ArrayList<>();
    for (int i = 0; i < pollers.size(); i++) {
      Poller poller = pollers.get(i);
      all.add(
          poller != null
              ? poller.health()
              : i == scopePlace
                  ? scope.orElseThrow().health()
                  : new Health(Health.State.BY_HAND, ""));
    }
    return all;
  }

  @Override
  public Optional<Capture> captured() {
    return scope.flatMap(ScopePoller::take);
  }

  @Override
  public boolean loadObeys() {
    return switching().findAny().isPresent();
  }

  @Override
  public void arrange(SetPoints wanted) {
    if (wanted.captured() && !scopeWanted) {
      scope.ifPresent(ScopePoller::request);
    }
    scopeWanted = wanted.captured();
    switching().forEach(p -> p.arrange(wanted));
  }

  private Stream<Poller> switching() {
    return pollers.stream().filter(p -> p != null && p.description().switchesLoad());
  }

  @Override
  public List<InstrumentDescription> switchedOnBy(SetPoints wanted) {
    return switching()
        .map(Poller::description)
        .filter(d -> d.load().orElseThrow().isOn(wanted))
        .toList();
  }

  @Override
  public List<StillOn> switchOff() {
    switching().forEach(Poller::beginOff);
    long until = System.nanoTime() + OFF_PATIENCE;
    List<StillOn> still = new ArrayList<>();
    switching()
        .forEach(
            p -> {
              try {
                p.awaitOff(until).ifPresent(why -> still.add(new StillOn(p.description(), why)));
              } catch (InterruptedException e) {
                Thread.currentThread().interrupt();
                still.add(new StillOn(p.description(), "the program was interrupted"));
              }
            });
    return still;
  }

  private double now() {
    return (System.nanoTime() - origin) / 1e9 * clockFactor;
  }

  @Override
  public Frame advance(double seconds) {
    double due = (Math.floor(now() / seconds) + 1) * seconds;
    long until = origin + (long) (due / clockFactor * 1e9);
    while (System.nanoTime() < until && !Thread.currentThread().isInterrupted()) {
      LockSupport.parkNanos(until - System.nanoTime());
    }
    number++;
    long nanos = (long) (seconds / clockFactor * 1e9);
    double[] values = new double[channels.size()];
    Arrays.fill(values, Double.NaN);
    List<Integer> asked = new ArrayList<>();
    for (int i = 0; i < pollers.size(); i++) {
      Poller poller = pollers.get(i);
      if (poller != null && isDue(poller.description(), due, seconds)) {
        poller.request(number);
        asked.add(i);
      }
    }
    long patience =
        System.nanoTime()
            + Math.max((long) (nanos * SHARE_TO_WAIT), TimeUnit.MILLISECONDS.toNanos(10));
    try {
      for (int i : asked) {
        double[] read = pollers.get(i).await(number, patience);
        for (int k = 0; k < read.length; k++) {
          int at = place[i][k];
          // An instrument without a reading sends a number of its own instead.
          if (at >= 0 && Plausible.is(channels.get(at), read[k])) {
            values[at] = read[k];
          }
        }
      }
    } catch (InterruptedException e) {
      Thread.currentThread().interrupt();
    }
    return new Frame(due, channels, values);
  }

  /** A slow meter is asked only as often as it has something new. */
  private static boolean isDue(InstrumentDescription description, double due, double tick) {
    double every = description.everySeconds();
    return every <= tick || Math.floor(due / every) > Math.floor((due - tick) / every);
  }

  @Override
  public void close() {
    scope.ifPresent(ScopePoller::close);
    for (Poller poller : pollers) {
      if (poller != null) {
        poller.close();
      }
    }
  }
}
