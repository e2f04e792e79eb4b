package org.wiseember.core.runtime;

import java.util.List;

/**
 * Something a unit runs, by how it is used.
 *
 * @param name as the tester calls it
 * @param use how it is used
 * @param watts while it runs, W; NaN where nobody knows
 * @param wattHours of an hour for one that cycles, of a go for one that is used by the go; else NaN
 * @param minutes of a short use; else NaN
 * @param startVa asked when it starts, VA; NaN for nothing beyond its watts
 * @param side the outputs it hangs on
 * @param on when it is on, for one that is steady or cycles
 * @param at moments at which a short use or a go begins, h after the start
 * @param share95 how sure its energy is, a share of it at 95 %; 0 where that is not told
 */
public record Appliance(
    String name,
    Use use,
    double watts,
    double wattHours,
    double minutes,
    double startVa,
    Side side,
    List<Stretch> on,
    List<Double> at,
    double share95) {
  private static final double MINUTES = 60;

  /** How an appliance is used. */
  public enum Use {
    /** Draws the same as long as it is on. */
    STEADY,
    /** Switches itself on and off, and may start whenever it is due. */
    CYCLING,
    /** For so many minutes at a time. */
    SHORT,
    /** Takes so much energy each time. */
    PER_GO
  }

  /** One of which nobody says how sure it is. */
  public Appliance(
      String name,
      Use use,
      double watts,
      double wattHours,
      double minutes,
      double startVa,
      Side side,
      List<Stretch> on,
      List<Double> at) {
    this(name, use, watts, wattHours, minutes, startVa, side, on, at, 0);
  }

  /** The same, drawing so many times as much. */
  Appliance times(double factor) {
    return new Appliance(
        name, use, watts * factor, wattHours * factor, minutes, startVa, side, on, at, share95);
  }

  /** The same as sure as that. */
  public Appliance sureTo(double share) {
    return new Appliance(name, use, watts, wattHours, minutes, startVa, side, on, at, share);
  }

  public Appliance {
    if (!(share95 >= 0 && share95 < 1)) {
      throw new IllegalArgumentException(name + " is sure to a share between 0 and 1");
    }
    on = List.copyOf(on);
    at = List.copyOf(at);
    boolean known =
        switch (use) {
          case STEADY -> watts >= 0;
          case CYCLING -> wattHours >= 0;
          case SHORT -> watts >= 0 && minutes > 0;
          case PER_GO -> wattHours >= 0;
        };
    if (!known) {
      throw new IllegalArgumentException(
          name
              + switch (use) {
                case STEADY -> " is steady and wants watts";
                case CYCLING -> " cycles and wants wattHoursPerHour";
                case SHORT -> " is used shortly and wants watts and minutes";
                case PER_GO -> " is used by the go and wants wattHoursPerGo";
              });
    }
  }

  /** What it draws on average while it is due, W. */
  double meanWatts() {
    return use == Use.CYCLING ? wattHours : watts;
  }

  /** What it draws while it runs, W: its mean where nobody knows better. */
  double runningWatts() {
    return Double.isNaN(watts) ? meanWatts() : watts;
  }

  /** When it is due, beginnings apart; what takes no time is not among it. */
  List<Stretch> due() {
    return switch (use) {
      case STEADY, CYCLING -> Stretch.joined(on);
      case SHORT -> at.stream().map(h -> new Stretch(h, h + minutes / MINUTES)).toList();
      case PER_GO ->
          watts > 0
              ? at.stream().map(h -> new Stretch(h, h + wattHours / watts)).toList()
              : List.of();
    };
  }

  /** Moments at which it takes its energy all at once. */
  List<Double> atOnce() {
    return use == Use.PER_GO && !(watts > 0) ? at : List.of();
  }
}
