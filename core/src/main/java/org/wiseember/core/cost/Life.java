package org.wiseember.core.cost;

import org.wiseember.core.quantity.Figures;

/**
 * How long a unit lasts, as assumed for its cost.
 *
 * @param cycles whole ones until its end of life
 * @param leftAtEnd share of its energy that is left then, 0 to 1
 * @param cyclesADay how often it is emptied
 */
public record Life(double cycles, double leftAtEnd, double cyclesADay) {
  /** What labels mean by the end of a life where they print none. */
  public static final double USUAL_LEFT = 0.8;

  private static final double DAYS = 365;

  public Life {
    if (!(cycles > 0) || !(leftAtEnd >= 0 && leftAtEnd <= 1) || !(cyclesADay > 0)) {
      throw new IllegalArgumentException("a life has cycles, and 0 to 100 % left at its end");
    }
  }

  /** One of so many cycles, to 80 %, one a day. */
  public static Life of(double cycles) {
    return new Life(cycles, USUAL_LEFT, 1);
  }

  /** Full cycles' worth of energy: it falls evenly from all to what is left at the end. */
  public double wholeCycles() {
    return cycles * (1 + leftAtEnd) / 2;
  }

  /** 3 000 cycles, one a day, are 8.2 years. */
  public double years() {
    return cycles / DAYS / cyclesADay;
  }

  /** The assumption in words. */
  public String words() {
    return Figures.plain(cycles)
        + " cycles down to "
        + Figures.plain(100 * leftAtEnd)
        + " %, "
        + (cyclesADay == 1 ? "one" : Figures.plain(cyclesADay))
        + " a day, which is "
        + Figures.fixed(years(), 1)
        + " years";
  }
}
