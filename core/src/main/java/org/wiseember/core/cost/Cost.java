package org.wiseember.core.cost;

import org.wiseember.core.figure.Because;
import org.wiseember.core.figure.Figure;
import org.wiseember.core.quantity.Figures;
import org.wiseember.core.quantity.Unit;
import org.wiseember.core.uncertainty.Budget;
import org.wiseember.core.uncertainty.Contribution;

/** A price, or a weight, set against what one gets. */
public final class Cost {
  private static final double KILO = 1000;

  private Cost() {}

  /** Per printed watt-hour: what a shelf label has one compare. */
  public static Figure perLabelWattHour(Price price, double wattHours) {
    return Figure.of(
        "price_per_label_wh",
        named("Per printed Wh", price),
        price.amount() / wattHours,
        Unit.PER_WATT_HOUR,
        Because.of(
                Budget.of(),
                Figures.plain(price.amount()) + " ÷ " + Figures.plain(wattHours) + " Wh printed")
            .summed("whatever comes out of it"));
  }

  /** Per watt-hour that was delivered at the load of the page. */
  public static Figure perDeliveredWattHour(Price price, Figure delivered) {
    return over(
        "price_per_delivered_wh",
        named("Per delivered Wh", price),
        price.amount(),
        Figures.plain(price.amount()),
        delivered,
        Unit.PER_WATT_HOUR,
        "what one really gets");
  }

  /**
   * Per kilowatt-hour over a whole life: price ÷ (delivered kWh × cycles × the mean of 1 and what
   * is left at the end).
   */
  public static Figure perLifetimeKilowattHour(Price price, Figure delivered, Life life) {
    return over(
        "price_per_lifetime_kwh",
        named("Per kWh over its life", price),
        price.amount() * KILO / life.wholeCycles(),
        Figures.plain(price.amount())
            + " ÷ ("
            + Figures.plain(life.wholeCycles())
            + " whole cycles ÷ 1\u2009000)",
        delivered,
        Unit.PER_KILOWATT_HOUR,
        "assuming " + life.words());
  }

  /** Delivered watt-hours for each kilogram carried. */
  public static Figure wattHoursPerKilogram(Figure delivered, Figure weight) {
    return ratio("wh_per_kg", "Energy by weight", delivered, weight, Unit.WATT_HOUR_PER_KILOGRAM);
  }

  /** Watts it holds for each kilogram carried. */
  public static Figure wattsPerKilogram(Figure watts, Figure weight) {
    return ratio("w_per_kg", "Power by weight", watts, weight, Unit.WATT_PER_KILOGRAM)
        .bounded(watts.bound());
  }

  private static String named(String what, Price price) {
    return price.currency().isEmpty() ? what : what + ", " + price.currency();
  }

  private static Figure over(
      String key,
      String name,
      double above,
      String aboveWords,
      Figure below,
      Unit unit,
      String summary) {
    double value = above / below.value();
    // To first order; a delivered energy is never as unsure as to need more.
    Budget budget = below.budget().scaled(-value / below.value());
    return Figure.of(
        key,
        name,
        value,
        unit,
        Because.of(budget, aboveWords + " ÷ " + below.words()).from(below).summed(summary));
  }

  private static Figure ratio(String key, String name, Figure above, Figure below, Unit unit) {
    double value = above.value() / below.value();
    Budget budget =
        Budget.of(
            Contribution.of95(above.name(), above.u95() / below.value()),
            Contribution.of95(below.name(), value * below.u95() / below.value()));
    return Figure.of(
        key,
        name,
        value,
        unit,
        Because.of(budget, above.words() + " ÷ " + below.words()).from(above, below));
  }
}
