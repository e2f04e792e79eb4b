package org.wiseember.core.start;

import java.util.ArrayList;
import java.util.List;
import org.wiseember.core.quantity.Figures;
import org.wiseember.core.quantity.Unit;

/**
 * What a motor takes to start, VA, by every way its nameplate allows; the ways differ, and the
 * spread is part of the answer.
 *
 * @param ways each with its own range, at least one
 */
public record StartPower(List<Way> ways) {
  /** Locked-rotor current over running current where nothing better is known. */
  private static final double SEVEN = 7;

  /** Induction motors have been seen from this many times their running current on. */
  private static final double FOUR = 4;

  /** A brushed tool, by a 12 A one that pulls 40 A stalled. */
  private static final double BRUSHED_LEAST = 2;

  private static final double BRUSHED_MOST = 40.0 / 12;

  /** An electronic drive ramps up; a little over its running power. */
  private static final double ELECTRONIC = 1.1;

  /** Soft starters bring it down to a third to a half. */
  private static final double EASED_LEAST = 0.3;

  private static final double EASED_MOST = 0.55;

  /** Printed locked-rotor figures hold within this; common practice, no published source. */
  private static final double PLATE = 0.1;

  public StartPower {
    ways = List.copyOf(ways);
    if (ways.isEmpty()) {
      throw new IllegalArgumentException("nothing on the plate to work from");
    }
  }

  /**
   * One way to tell.
   *
   * @param words the sum
   * @param low VA
   * @param high VA
   */
  public record Way(String words, double low, double high) {}

  /**
   * By every way there is. Sources: definition of locked-rotor current; NEC table 430.7(B)
   * (recalled from memory); up to seven times the running current, 12 A that pull 40 A stalled:
   * common practice, no published source.
   *
   * @throws IllegalArgumentException where the plate has neither amps, nor locked-rotor amps, nor a
   *     code letter with horsepower
   */
  public static StartPower of(Nameplate plate) {
    List<Way> ways = new ArrayList<>();
    double v = plate.volts();
    if (plate.lockedRotorAmps().isPresent()) {
      double lra = plate.lockedRotorAmps().getAsDouble();
      ways.add(
          way(
              "locked-rotor " + Figures.plain(lra, Unit.AMPERE) + " × " + volts(v),
              lra * v * (1 - PLATE),
              lra * v * (1 + PLATE)));
    }
    if (plate.code().isPresent() && plate.horsepower().isPresent()) {
      double hp = plate.horsepower().getAsDouble();
      CodeLetter c = plate.code().get();
      ways.add(
          way(
              "code "
                  + c
                  + ", "
                  + Figures.plain(c.low())
                  + " to "
                  + Figures.plain(c.high())
                  + " kVA a horsepower × "
                  + Figures.plain(hp),
              1000 * c.low() * hp,
              1000 * c.high() * hp));
    }
    if (plate.amps() > 0) {
      String running = Figures.plain(plate.amps(), Unit.AMPERE) + " × " + volts(v);
      double va = plate.amps() * v;
      ways.add(
          switch (plate.kind()) {
            case INDUCTION -> way("four to seven times " + running, FOUR * va, SEVEN * va);
            case UNIVERSAL ->
                way(
                    "two to three and a third times " + running,
                    BRUSHED_LEAST * va,
                    BRUSHED_MOST * va);
            case ELECTRONIC -> way("no surge: " + running, va, ELECTRONIC * va);
          });
    }
    if (plate.eased() == Nameplate.Eased.SOFT_STARTER) {
      ways = ways.stream().map(StartPower::eased).toList();
    }
    return new StartPower(ways);
  }

  private static Way eased(Way w) {
    return way(
        w.words() + ", a third to a half of it with the soft starter",
        w.low() * EASED_LEAST,
        w.high() * EASED_MOST);
  }

  private static Way way(String words, double low, double high) {
    return new Way(words, low, high);
  }

  private static String volts(double v) {
    return Figures.plain(v, Unit.VOLT);
  }

  /** Least of all ways, VA. */
  public double low() {
    return ways.stream().mapToDouble(Way::low).min().orElseThrow();
  }

  /** Most of all ways, VA. */
  public double high() {
    return ways.stream().mapToDouble(Way::high).max().orElseThrow();
  }
}
