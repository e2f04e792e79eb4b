package org.wiseember.core.runtime;

import java.util.List;
import org.wiseember.core.quantity.HourSpan;
import org.wiseember.core.runtime.feed.Leg;

/**
 * Something a unit runs.
 *
 * @param name as the tester calls it
 * @param draw what it takes
 * @param side the outputs it hangs on
 * @param on when it is on, for one that is steady or cycles
 * @param at moments at which a short use or a go begins, h after the start
 * @param leg which of two joined units it hangs on; of no account for one alone
 */
public record Appliance(
    String name, ApplianceDraw draw, Side side, List<HourSpan> on, List<Double> at, Leg leg) {
  private static final double MINUTES = 60;

  public Appliance {
    // Times that say nothing of how it is used are none.
    on = draw.use().atMoments() ? List.of() : List.copyOf(on);
    at = draw.use().atMoments() ? List.copyOf(at) : List.of();
  }

  /** One that lies across both of two joined units. */
  public Appliance(String name, ApplianceDraw draw, Side side, List<HourSpan> on, List<Double> at) {
    this(name, draw, side, on, at, Leg.BOTH);
  }

  /** The same, drawing so many times as much. */
  Appliance times(double factor) {
    return drawing(draw.times(factor));
  }

  /** What one of two joined units gives of it. */
  Appliance halved() {
    return drawing(draw.halved());
  }

  private Appliance drawing(ApplianceDraw other) {
    return new Appliance(name, other, side, on, at, leg);
  }

  /** The same under another name. */
  public Appliance named(String other) {
    return new Appliance(other, draw, side, on, at, leg);
  }

  /** The same on other outputs. */
  public Appliance on(Side outputs) {
    return new Appliance(name, draw, outputs, on, at, leg);
  }

  /** The same on another of two joined units. */
  public Appliance on(Leg other) {
    return new Appliance(name, draw, side, on, at, other);
  }

  /** The same as sure as that. */
  public Appliance sureTo(double share) {
    return with(draw.sureTo(share));
  }

  /**
   * The same with other figures. One that is now used at moments begins where it was on before; one
   * that no longer is stays on for an hour from each.
   */
  public Appliance with(ApplianceDraw other) {
    if (other.use().atMoments() && !draw.use().atMoments()) {
      return new Appliance(name, other, side, on, on.stream().map(HourSpan::from).toList(), leg);
    }
    if (draw.use().atMoments() && !other.use().atMoments()) {
      List<HourSpan> hours = at.stream().map(h -> new HourSpan(h, h + 1)).toList();
      return new Appliance(name, other, side, hours, at, leg);
    }
    return drawing(other);
  }

  /** The same at other times. */
  public Appliance at(List<HourSpan> stretches, List<Double> moments) {
    return new Appliance(name, draw, side, stretches, moments, leg);
  }

  /** The same so many hours later; earlier for a negative number. */
  Appliance later(double hours) {
    return at(
        on.stream()
            .filter(s -> s.to() + hours > 0)
            .map(
                s ->
                    new HourSpan(
                        s.from() == 0 && Double.isInfinite(s.to())
                            ? 0
                            : Math.max(0, s.from() + hours),
                        s.to() + hours))
            .toList(),
        at.stream().map(h -> h + hours < 0 ? h + hours + 24 : h + hours).toList());
  }

  /** What is left of it from an hour on; a go that was begun before is not begun again. */
  Appliance after(double hour) {
    return at(
        on.stream()
            .filter(s -> s.to() > hour)
            .map(s -> new HourSpan(Math.max(0, s.from() - hour), s.to() - hour))
            .toList(),
        at.stream().filter(h -> h >= hour).map(h -> h - hour).toList());
  }

  /** When it is due, beginnings apart; what takes no time is not among it. */
  public List<HourSpan> due() {
    return switch (draw.use()) {
      case STEADY, CYCLING -> HourSpan.joined(on);
      case SHORT -> at.stream().map(h -> new HourSpan(h, h + draw.minutes() / MINUTES)).toList();
      case PER_GO ->
          draw.watts() > 0
              ? at.stream().map(h -> new HourSpan(h, h + draw.wattHours() / draw.watts())).toList()
              : List.of();
    };
  }

  /** Moments at which it takes its energy all at once. */
  List<Double> atOnce() {
    return draw.use() == ApplianceDraw.Use.PER_GO && !(draw.watts() > 0) ? at : List.of();
  }
}
