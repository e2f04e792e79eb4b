package org.wiseember.core.runtime.feed;

import java.util.ArrayList;
import java.util.IdentityHashMap;
import java.util.List;
import org.wiseember.core.quantity.Figures;

/**
 * What flows through a feed at a moment. Power is asked for from the end: each link gives the least
 * of what its sources can, its volts allow, and its amps, watts and efficiency leave.
 */
public final class FeedFlow {
  private static final String SOURCE = "source";

  private final double hour;
  private final IdentityHashMap<Feed.Battery, Double> held;
  private final IdentityHashMap<Feed, Double> through = new IdentityHashMap<>();
  private final IdentityHashMap<Feed, Double> asked = new IdentityHashMap<>();
  private final List<String> warnings = new ArrayList<>();
  private double intoUnit;
  private String boundBy = "none";
  private String boundAt = "";

  /** What a link could give, W, at which volts, and what keeps it from more. */
  private record Offer(double watts, double volts, double openVolts, String by, String at) {}

  private FeedFlow(double hour, IdentityHashMap<Feed.Battery, Double> held) {
    this.hour = hour;
    this.held = held;
  }

  /**
   * Works it out.
   *
   * @param hour h after the start
   * @param held what each battery in it holds at that moment, Wh
   * @param takes the most the unit takes, W: a full one no more than it gives away
   */
  public static FeedFlow of(
      Feed.Root root, double hour, IdentityHashMap<Feed.Battery, Double> held, double takes) {
    FeedFlow flow = new FeedFlow(hour, held);
    if (root instanceof Feed.Port port) {
      flow.into(port, takes);
    }
    return flow;
  }

  /** What it does at an hour while every battery in it holds what it held at the start. */
  public static FeedFlow at(Feed.Root root, double hour) {
    return of(root, hour, batteries(root), Double.POSITIVE_INFINITY);
  }

  /** What each battery holds before anything flows; one that stands twice in a tree is one. */
  public static IdentityHashMap<Feed.Battery, Double> batteries(Feed feed) {
    IdentityHashMap<Feed.Battery, Double> found = new IdentityHashMap<>();
    if (feed instanceof Feed.Battery battery) {
      found.put(battery, battery.wattHours());
    }
    feed.from().forEach(f -> found.putAll(batteries(f)));
    return found;
  }

  /** What goes into the unit, W. */
  public double intoUnit() {
    return intoUnit;
  }

  /** {@code volts}, {@code amps} or {@code watts} of the port, {@code source}, or a link. */
  public String boundBy() {
    return boundBy;
  }

  /** The kind of link that binds; empty where none does. */
  public String boundAt() {
    return boundAt;
  }

  /** What a link gives, W; 0 for one that gives nothing. */
  public double through(Feed feed) {
    return through.getOrDefault(feed, 0.0);
  }

  /** Whether everything in it is held back by something. */
  public boolean limited() {
    return Double.isFinite(intoUnit)
        && through.values().stream().allMatch(Double::isFinite)
        && asked.values().stream().allMatch(Double::isFinite);
  }

  /** What a source is asked for, W, be it able to give that or not. */
  public double asked(Feed.Source source) {
    return asked.getOrDefault(source, 0.0);
  }

  /** What flows into a battery less what flows out, W. */
  public double net(Feed.Battery battery) {
    return battery.from().stream().mapToDouble(this::through).sum() - through(battery);
  }

  public List<String> warnings() {
    return List.copyOf(warnings);
  }

  private void into(Feed.Port port, double takes) {
    List<Offer> offers = new ArrayList<>();
    List<Feed> links = new ArrayList<>();
    // A controller without a battery gives its amps at the most volts the port may see.
    double onto = Double.isFinite(port.mostVolts()) ? port.mostVolts() : Double.NaN;
    for (Feed feed : port.from()) {
      Offer offer = offer(feed, onto);
      if (fits(offer, port.leastVolts(), port.mostVolts(), "port")) {
        offers.add(offer);
        links.add(feed);
      }
    }
    if (offers.isEmpty()) {
      boundBy = port.from().isEmpty() ? "none" : "volts";
      boundAt = port.from().isEmpty() ? "" : port.kind();
      return;
    }
    double could = offers.stream().mapToDouble(Offer::watts).sum();
    // Whatever gives the most sets the volts at which the port draws its amps.
    Offer largest = offers.stream().reduce((a, b) -> b.watts() > a.watts() ? b : a).orElseThrow();
    double volts = Double.isNaN(largest.volts()) ? port.mostVolts() : largest.volts();
    double byAmps = atMost(port.amps(), volts);
    intoUnit = Math.min(Math.min(could, takes), Math.min(byAmps, port.watts()));
    if (intoUnit == takes && takes < could) {
      boundBy = "none";
    } else if (intoUnit == could) {
      boundBy = Double.isInfinite(could) ? "none" : largest.by();
      boundAt = Double.isInfinite(could) ? "" : largest.at();
    } else {
      boundBy = byAmps <= port.watts() ? "amps" : "watts";
      boundAt = port.kind();
    }
    double share = could > 0 && !Double.isInfinite(could) ? intoUnit / could : 0;
    for (int i = 0; i < links.size(); i++) {
      // Without any limit upstream one source carries it all.
      double watts =
          Double.isInfinite(could) ? (i == 0 ? intoUnit : 0) : share * offers.get(i).watts();
      draw(links.get(i), watts, onto);
    }
  }

  /** Amps at volts, W; without one of the two limits there is no other. */
  private static double atMost(double amps, double volts) {
    return amps == 0 ? 0 : amps * volts;
  }

  private boolean fits(Offer offer, double least, double most, String where) {
    double open = Double.isNaN(offer.openVolts()) ? offer.volts() : offer.openVolts();
    if (open > most) {
      warn(
          "Open volts of "
              + figure(open)
              + " pass the "
              + figure(most)
              + " V that the "
              + where
              + " may see: nothing goes in, and it may be damaged.");
      return false;
    }
    if (offer.volts() < least || offer.volts() > most) {
      warn(
          figure(offer.volts())
              + " V lie outside the "
              + where
              + "'s window of "
              + figure(least)
              + " to "
              + figure(most)
              + " V: nothing goes in.");
      return false;
    }
    return true;
  }

  private void warn(String words) {
    if (!warnings.contains(words)) {
      warnings.add(words);
    }
  }

  private static String figure(double value) {
    return Figures.plain(value);
  }

  /**
   * What a link could give.
   *
   * @param onto volts of the battery it charges; NaN where it charges none
   */
  private Offer offer(Feed feed, double onto) {
    if (feed instanceof Feed.Panels p) {
      double watts =
          p.giving().stream()
              .filter(g -> g.when().holds(hour))
              .mapToDouble(Feed.Giving::watts)
              .sum();
      return new Offer(watts, p.volts(), p.openVolts(), SOURCE, p.kind());
    }
    if (feed instanceof Feed.Alternating a) {
      return new Offer(a.isOn(hour) ? a.va() : 0, Double.NaN, Double.NaN, SOURCE, a.kind());
    }
    if (feed instanceof Feed.Battery b) {
      double most = atMost(b.amps(), b.volts());
      double in = b.from().stream().mapToDouble(f -> offer(f, b.volts()).watts()).sum();
      double watts = held.getOrDefault(b, 0.0) > 0 ? most : Math.min(most, in);
      return new Offer(watts, b.volts(), Double.NaN, SOURCE, b.kind());
    }
    if (feed instanceof Feed.Charger c) {
      return least(c, c.most(), c.efficiency(), c.volts(), sum(c.from(), onto));
    }
    Feed.Controller c = (Feed.Controller) feed;
    double volts = Double.isNaN(onto) ? Double.NaN : onto;
    double most = Double.isNaN(volts) ? Double.POSITIVE_INFINITY : c.amps() * volts;
    double in = 0;
    Offer bound = null;
    for (Feed from : c.from()) {
      Offer offer = offer(from, Double.NaN);
      if (fits(offer, c.leastVolts(), c.mostVolts(), c.kind())) {
        in += offer.watts();
        bound = bound == null || offer.watts() > bound.watts() ? offer : bound;
      }
    }
    return bound == null
        ? new Offer(0, volts, Double.NaN, c.kind(), c.kind())
        : least(
            c,
            most,
            c.efficiency(),
            volts,
            new Offer(in, volts, Double.NaN, bound.by(), bound.at()));
  }

  private Offer sum(List<Feed> from, double onto) {
    double watts = 0;
    Offer bound = null;
    for (Feed feed : from) {
      Offer offer = offer(feed, onto);
      watts += offer.watts();
      bound = bound == null || offer.watts() > bound.watts() ? offer : bound;
    }
    return bound == null
        ? new Offer(0, Double.NaN, Double.NaN, SOURCE, "")
        : new Offer(watts, bound.volts(), Double.NaN, bound.by(), bound.at());
  }

  private static Offer least(Feed link, double most, double efficiency, double volts, Offer in) {
    double passed = in.watts() * efficiency;
    return passed < most
        ? new Offer(passed, volts, Double.NaN, in.by(), in.at())
        : new Offer(most, volts, Double.NaN, link.kind(), link.kind());
  }

  /** Lets a link give so much, and asks its sources for it. */
  private void draw(Feed feed, double watts, double onto) {
    through.merge(feed, watts, Double::sum);
    if (feed instanceof Feed.Battery b) {
      // Its sources give all they can, whatever is drawn.
      for (Feed from : b.from()) {
        draw(from, offer(from, b.volts()).watts(), b.volts());
        demand(from, most(from, b.volts()));
      }
    } else if (feed instanceof Feed.Charger c) {
      spread(c.from(), watts / c.efficiency(), onto);
    } else if (feed instanceof Feed.Controller c) {
      spread(c.from(), watts / c.efficiency(), Double.NaN);
    } else if (feed instanceof Feed.Source s) {
      asked.merge(s, watts, Math::max);
    }
  }

  private void spread(List<Feed> from, double watts, double onto) {
    double could = from.stream().mapToDouble(f -> offer(f, onto).watts()).sum();
    for (Feed feed : from) {
      double share =
          Double.isInfinite(could)
              ? 1.0 / from.size()
              : could > 0 ? offer(feed, onto).watts() / could : 0;
      draw(feed, share * watts, onto);
    }
  }

  /** What a link would give if its sources could, W. */
  private static double most(Feed feed, double onto) {
    if (feed instanceof Feed.Charger c) {
      return c.most();
    }
    return feed instanceof Feed.Controller c && !Double.isNaN(onto) ? c.amps() * onto : 0;
  }

  /** A charger asks for all it can use; a source that cannot give it stalls. */
  private void demand(Feed feed, double watts) {
    if (feed instanceof Feed.Charger c && Double.isFinite(watts)) {
      for (Feed from : c.from()) {
        if (from instanceof Feed.Alternating a && a.isOn(hour)) {
          asked.merge(a, watts / c.efficiency() / c.from().size(), Math::max);
        } else {
          demand(from, watts / c.efficiency());
        }
      }
    }
  }
}
