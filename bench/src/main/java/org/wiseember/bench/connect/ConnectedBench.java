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
 * A bench of real instruments. At each tick everything that is not busy is asked at once; what does
 * not answer within part of the tick is missing from that frame, and comes in a frame of its own,
 * at the moment it was read: a slow instrument has its own pace. A reading is never carried over.
 */
public final class ConnectedBench implements Bench, AutoCloseable {
  private static final double SHARE_TO_WAIT = 0.6;
  private static final long LEAST_WAIT = TimeUnit.MILLISECONDS.toNanos(10);

  /** How often an answer is looked for that is late. */
  private static final long LOOK_EVERY = TimeUnit.MILLISECONDS.toNanos(5);

  /** Two frames are never of one moment, s. */
  private static final double LEAST_STEP = 0.001;

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
  private final long[] asked;
  private long number;
  private double shownUntil = Double.NEGATIVE_INFINITY;

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
    this.asked = new long[pollers.size()];
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
    return at(System.nanoTime());
  }

  private double at(long nanos) {
    return (nanos - origin) / 1e9 * clockFactor;
  }

  @Override
  public Frame advance(double seconds) {
    double due = (Math.floor(now() / seconds) + 1) * seconds;
    try {
      Optional<Frame> late = late(origin + (long) (due / clockFactor * 1e9));
      return late.isPresent() ? late.get() : onTime(due, seconds);
    } catch (InterruptedException e) {
      Thread.currentThread().interrupt();
      return frame(due, new double[0][]);
    }
  }

  /** Waits for the tick; an answer that comes before it belongs to the moment it was read. */
  private Optional<Frame> late(long until) throws InterruptedException {
    long left = until - System.nanoTime();
    while (left > 0) {
      boolean waiting = false;
      for (int i = 0; i < asked.length; i++) {
        if (asked[i] > 0) {
          Optional<Poller.Answer> answer = pollers.get(i).await(asked[i], System.nanoTime());
          waiting |= answer.isEmpty();
          if (answer.isPresent()) {
            asked[i] = 0;
            double[][] read = new double[pollers.size()][];
            read[i] = answer.get().values();
            double moment = Math.max(at(answer.get().at()), shownUntil + LEAST_STEP);
            if (Arrays.stream(read[i]).anyMatch(v -> !Double.isNaN(v))) {
              return Optional.of(frame(moment, read));
            }
          }
        }
      }
      if (Thread.interrupted()) {
        throw new InterruptedException();
      }
      LockSupport.parkNanos(waiting ? Math.min(left, LOOK_EVERY) : left);
      left = until - System.nanoTime();
    }
    return Optional.empty();
  }

  private Frame onTime(double due, double seconds) throws InterruptedException {
    number++;
    for (int i = 0; i < asked.length; i++) {
      Poller poller = pollers.get(i);
      boolean free = poller != null && asked[i] == 0 && poller.idle();
      if (free && isDue(poller.description(), due, seconds)) {
        poller.request(number);
        asked[i] = number;
      }
    }
    long nanos = (long) (seconds / clockFactor * 1e9);
    long patience = System.nanoTime() + Math.max((long) (nanos * SHARE_TO_WAIT), LEAST_WAIT);
    double[][] read = new double[asked.length][];
    for (int i = 0; i < asked.length; i++) {
      if (asked[i] == number) {
        Optional<Poller.Answer> answer = pollers.get(i).await(number, patience);
        if (answer.isPresent()) {
          read[i] = answer.get().values();
          asked[i] = 0;
        }
      }
    }
    return frame(due, read);
  }

  /** A frame of what some instruments read; of the others nothing is known at that moment. */
  private Frame frame(double moment, double[][] read) {
    double[] values = new double[channels.size()];
    Arrays.fill(values, Double.NaN);
    for (int i = 0; i < read.length; i++) {
      for (int k = 0; read[i] != null && k < read[i].length; k++) {
        int at = place[i][k];
        // An instrument without a reading sends a number of its own instead.
        if (at >= 0 && Plausible.is(channels.get(at), read[i][k])) {
          values[at] = read[i][k];
        }
      }
    }
    shownUntil = moment;
    return new Frame(moment, channels, values);
  }

  /** A slow meter is asked only as often as it has something new. */
  private static boolean isDue(InstrumentDescription description, double due, double tick) {
    double every = description.everySeconds();
    return every <= tick || Math.floor(due / every) > Math.floor((due - tick) / every);
  }

  @Override
  public void close() {
    // All are told first, so that none waits for another to let go.
    pollers.stream().filter(p -> p != null).forEach(Poller::beginClose);
    scope.ifPresent(ScopePoller::close);
    pollers.stream().filter(p -> p != null).forEach(Poller::close);
  }
}
