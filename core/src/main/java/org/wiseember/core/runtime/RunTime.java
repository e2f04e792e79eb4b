package org.wiseember.core.runtime;

import java.util.ArrayList;
import java.util.IdentityHashMap;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.stream.DoubleStream;

/**
 * A unit's charge over a plan. Between two moments at which anything changes all watts stand, so
 * the charge moves along straight lines and every crossing is exact.
 */
public final class RunTime {
  private static final double FULL = 1;
  private static final double PERCENT = 100;

  /** Shares of a charge below this are rounding. */
  private static final double NOTHING = 1e-12;

  private final EnergyCurve curve;
  private final UnitSupply unit;
  private final DayPlan plan;
  private final Agenda agenda;
  private final Optional<Feed.Root> feed;
  private final double reserve;
  private final IdentityHashMap<Feed.Battery, Double> held;
  private final List<Course.Point> points = new ArrayList<>();
  private double charge;
  private double hour;
  private double delivered;
  private double fed;
  private OptionalDouble runsOut = OptionalDouble.empty();

  private RunTime(
      UnitSupply unit, DayPlan plan, double charge, double reserve, Optional<Feed.Root> feed) {
    this.unit = unit;
    this.curve = EnergyCurve.of(unit);
    this.plan = plan;
    this.agenda = new Agenda(plan);
    this.feed = feed;
    this.charge = charge / PERCENT;
    this.reserve = reserve / PERCENT;
    this.held = feed.map(FeedFlow::batteries).orElseGet(IdentityHashMap::new);
  }

  /**
   * Works a plan out.
   *
   * @param charge at the start, %
   * @param reserve at which it counts as empty, %
   */
  public static Course of(
      UnitSupply unit, DayPlan plan, double charge, double reserve, Optional<Feed.Root> feed) {
    if (!(charge >= 0 && charge <= PERCENT) || !(reserve >= 0 && reserve <= PERCENT)) {
      throw new IllegalArgumentException("charge and reserve lie between 0 and 100 %");
    }
    return new RunTime(unit, plan, charge, reserve, feed).course(charge / PERCENT);
  }

  private Course course(double full) {
    points.add(new Course.Point(0, PERCENT * charge));
    List<Agenda.Span> spans =
        agenda.spans(feed.map(f -> changes(f).boxed().toList()).orElse(List.of()));
    for (Agenda.Span span : spans) {
      sip(span.from());
      while (runsOut.isEmpty() && hour < span.to()) {
        step(span);
      }
    }
    HardestMoments moments = HardestMoments.of(agenda, unit, h -> !carried(h));
    return new Course(
        points,
        runsOut,
        PERCENT * (runsOut.isPresent() ? reserve : charge),
        delivered,
        fed,
        moments.first(),
        moments.start(),
        byLabel(full, spans),
        feed.map(f -> FeedReport.of(f, agenda, curve.idleWatts())));
  }

  private static DoubleStream changes(Feed feed) {
    List<Stretch> own =
        feed instanceof Feed.Panels p
            ? p.giving().stream().map(Feed.Giving::when).toList()
            : feed instanceof Feed.Alternating a ? a.on() : List.of();
    return DoubleStream.concat(
        own.stream().flatMapToDouble(s -> DoubleStream.of(s.from(), s.to())),
        feed.from().stream().flatMapToDouble(RunTime::changes));
  }

  /** Whether a source hands itself through at that hour, past the inverter. */
  private boolean carried(double at) {
    return feed.filter(Feed.PassThrough.class::isInstance)
        .filter(f -> sources(f).stream().anyMatch(s -> s.isOn(at)))
        .isPresent();
  }

  private static List<Feed.Alternating> sources(Feed feed) {
    List<Feed.Alternating> all = new ArrayList<>();
    if (feed instanceof Feed.Alternating a) {
      all.add(a);
    }
    feed.from().forEach(f -> all.addAll(sources(f)));
    return all;
  }

  /** What takes its energy at this very moment. */
  private void sip(double at) {
    for (Agenda.Sip sip : agenda.sips()) {
      if (sip.hour() == at && runsOut.isEmpty()) {
        Appliance a = sip.appliance();
        boolean ac = a.side() == Side.AC;
        if (ac && carried(at)) {
          delivered += a.wattHours();
          continue;
        }
        double share = ac ? a.wattHours() / curve.capacity() : a.wattHours() * curve.directShare();
        double left = charge - reserve;
        delivered += share > left ? a.wattHours() * Math.max(0, left) / share : a.wattHours();
        charge -= Math.min(share, Math.max(0, left));
        mark(at);
        if (share > left) {
          runsOut = OptionalDouble.of(at);
        }
      }
    }
  }

  private void mark(double at) {
    points.add(new Course.Point(at, PERCENT * charge));
  }

  /** To the next moment at which a watt changes, at most to the end of the span. */
  private void step(Agenda.Span span) {
    double end = span.to();
    double ac = span.ac();
    double dc = span.dc();
    boolean acOn = plan.acAlwaysOn() || span.acDue();
    boolean past = carried(hour);
    double out = curve.shareAnHour(past ? 0 : ac, acOn && !past, dc);
    boolean full = charge >= FULL - NOTHING;
    double takes = full ? out / curve.directShare() : Double.POSITIVE_INFINITY;
    FeedFlow flow = feed.map(f -> FeedFlow.of(f, hour, held, takes)).orElse(null);
    double in = flow == null ? 0 : flow.intoUnit();
    double net = curve.shareFed(in) - out;
    double rate = Math.abs(net) < NOTHING ? 0 : net;
    double left = end - hour;
    if (rate > 0) {
      left = Math.min(left, (FULL - charge) / rate);
    } else if (rate < 0) {
      left = Math.min(left, Math.max(0, charge - reserve) / -rate);
    }
    for (Feed.Battery b : held.keySet()) {
      double change = flow == null ? 0 : flow.net(b);
      if (change < 0 && held.get(b) > 0) {
        left = Math.min(left, held.get(b) / -change);
      }
    }
    fed += left * in;
    pass(left, end, rate, flow);
    delivered += left * (ac + dc);
    mark(hour);
    if (rate < 0 && charge <= reserve + NOTHING) {
      charge = reserve;
      runsOut = OptionalDouble.of(hour);
    }
  }

  private void pass(double hours, double end, double rate, FeedFlow flow) {
    charge = Math.min(FULL, charge + rate * hours);
    held.replaceAll(
        (b, wattHours) -> {
          double next = wattHours + (flow == null ? 0 : flow.net(b)) * hours;
          return next < 1e-9 ? 0 : next;
        });
    double next = hour + hours;
    // Where rounding would stop the clock the rest of the step is nothing.
    hour = end - next < 1e-12 * Math.max(1, end) ? end : next;
  }

  /** When the label's energy would be used up, with nothing lost and nothing brought in. */
  private OptionalDouble byLabel(double full, List<Agenda.Span> spans) {
    double left = unit.labelWattHours() * full;
    if (Double.isNaN(left)) {
      return OptionalDouble.empty();
    }
    for (Agenda.Span span : spans) {
      for (Agenda.Sip sip : agenda.sips()) {
        left -= sip.hour() == span.from() ? sip.appliance().wattHours() : 0;
      }
      double used = span.watts() * (span.to() - span.from());
      if (left <= 0 || (used > 0 && used >= left)) {
        return OptionalDouble.of(left <= 0 ? span.from() : span.from() + left / span.watts());
      }
      left -= used;
    }
    return OptionalDouble.empty();
  }
}
