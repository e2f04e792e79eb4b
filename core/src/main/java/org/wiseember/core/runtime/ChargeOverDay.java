package org.wiseember.core.runtime;

import java.util.ArrayList;
import java.util.IdentityHashMap;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.stream.DoubleStream;
import org.wiseember.core.quantity.HourSpan;
import org.wiseember.core.runtime.feed.Feed;
import org.wiseember.core.runtime.feed.FeedFlow;

/**
 * A unit's charge over a plan. Between two moments at which anything changes all watts stand, so
 * the charge moves along straight lines and every crossing is exact.
 */
public final class ChargeOverDay {
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
  private final List<ChargeCurve.Point> points = new ArrayList<>();
  private double charge;
  private double hour;
  private double delivered;
  private double fed;
  private OptionalDouble runsOut = OptionalDouble.empty();

  private ChargeOverDay(RunTimeCase asked) {
    this.unit = asked.unit();
    this.curve = asked.curve();
    this.plan = asked.plan();
    this.agenda = new Agenda(plan);
    this.feed = asked.feed();
    this.charge = asked.charge() / PERCENT;
    this.reserve = asked.reserve() / PERCENT;
    this.held = feed.map(FeedFlow::batteries).orElseGet(IdentityHashMap::new);
  }

  static ChargeCurve of(RunTimeCase asked) {
    return new ChargeOverDay(asked).course(asked.charge() / PERCENT);
  }

  /** Whether something holds a feed back whenever its sources are there. */
  static boolean limited(Feed.Root feed) {
    return DoubleStream.concat(DoubleStream.of(0), changes(feed))
        .filter(Double::isFinite)
        .allMatch(
            hour ->
                FeedFlow.of(feed, hour, FeedFlow.batteries(feed), Double.POSITIVE_INFINITY)
                    .limited());
  }

  private ChargeCurve course(double full) {
    points.add(new ChargeCurve.Point(0, PERCENT * charge));
    List<Agenda.Span> spans =
        agenda.spans(feed.map(f -> changes(f).boxed().toList()).orElse(List.of()));
    for (Agenda.Span span : spans) {
      sip(span.from());
      while (runsOut.isEmpty() && hour < span.to()) {
        step(span);
      }
    }
    HardestMoments moments =
        HardestMoments.of(agenda, unit.outputWatts(), unit.startVa(), h -> !carried(h));
    return new ChargeCurve(
        points,
        runsOut,
        PERCENT * (runsOut.isPresent() ? reserve : charge),
        delivered,
        fed,
        moments.first(),
        moments.start(),
        byLabel(full, spans),
        feed.map(f -> FeedReport.of(f, agenda)));
  }

  private static DoubleStream changes(Feed feed) {
    List<HourSpan> own =
        feed instanceof Feed.Panels p
            ? p.giving().stream().map(Feed.Giving::when).toList()
            : feed instanceof Feed.Alternating a ? a.on() : List.of();
    return DoubleStream.concat(
        own.stream().flatMapToDouble(s -> DoubleStream.of(s.from(), s.to())),
        feed.from().stream().flatMapToDouble(ChargeOverDay::changes));
  }

  /** Whether a source hands itself through at that hour, past the inverter. */
  private boolean carried(double at) {
    return feed.filter(Feed.PassThrough.class::isInstance)
        .filter(f -> f.alternating().stream().anyMatch(s -> s.isOn(at)))
        .isPresent();
  }

  /** What takes its energy at this very moment. */
  private void sip(double at) {
    for (Agenda.Sip sip : agenda.sips()) {
      if (sip.hour() == at && runsOut.isEmpty()) {
        Appliance a = sip.appliance();
        boolean ac = a.side() == Side.AC;
        if (ac && carried(at)) {
          delivered += a.draw().wattHours();
          continue;
        }
        double share =
            ac
                ? a.draw().wattHours() / curve.capacity()
                : a.draw().wattHours() * curve.directShare();
        double left = charge - reserve;
        delivered +=
            share > left ? a.draw().wattHours() * Math.max(0, left) / share : a.draw().wattHours();
        charge -= Math.min(share, Math.max(0, left));
        mark(at);
        if (share > left) {
          runsOut = OptionalDouble.of(at);
        }
      }
    }
  }

  private void mark(double at) {
    points.add(new ChargeCurve.Point(at, PERCENT * charge));
  }

  /** To the next moment at which a watt changes, at most to the end of the span. */
  private void step(Agenda.Span span) {
    double end = span.to();
    double ac = span.ac();
    double dc = span.dc();
    boolean acOn = plan.acAlwaysOn() || span.acDue();
    boolean past = carried(hour);
    double out =
        curve.shareAnHour(past ? 0 : ac, acOn && !past, dc)
            + (past ? 0 : curve.growing() * span.uneven());
    boolean full = charge >= FULL - NOTHING;
    double takes = full ? out / curve.shareFed(1) : Double.POSITIVE_INFINITY;
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
        left -= sip.hour() == span.from() ? sip.appliance().draw().wattHours() : 0;
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
