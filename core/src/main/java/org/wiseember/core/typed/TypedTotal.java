package org.wiseember.core.typed;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.wiseember.core.quantity.Figures;

/** A meter's total so far, as typed. */
final class TypedTotal {
  /** No unit delivers more than this over its label: common practice, no published source. */
  /** So many times the most watts cannot be. */
  private static final double IMPLAUSIBLE = 1.5;

  private static final double MOST_OVER_LABEL = 1.15;

  /** Two meters and the time it takes to type may differ by this much. */
  private static final double ALLOWED = 0.05;

  private final TypedKind kind;
  private final String text;
  private final Expected expected;

  TypedTotal(TypedKind kind, String text, Expected expected) {
    this.kind = kind;
    this.text = text;
    this.expected = expected;
  }

  TypedAnswer read() {
    Optional<TypedNumber> typed = TypedNumber.of(text);
    if (typed.isEmpty() || typed.get().value() < 0) {
      return TypedAnswer.unreadable(
          "“" + text.strip() + "” is not a total. Write it as 0.609 kWh or 609 Wh.");
    }
    TypedNumber number = typed.get();
    List<Slip> slips = new ArrayList<>();
    switch (number.unit()) {
      case "Wh", "wh", "WH", "wH" -> {
        if (!Double.isNaN(number.groupedInstead())) {
          number = number.grouped();
        }
        return judged(number, slips);
      }
      case "kWh", "kwh", "KWh", "KWH", "Kwh", "kWH", "k", "K" -> {
        return judged(number.scaled(1000), slips);
      }
      case "kW", "kw", "KW" -> {
        slips.add(slip("power-unit", "kW is power; a total is kept in kWh, and is read so.", null));
        return judged(number.scaled(1000), slips);
      }
      case "W", "w" -> {
        slips.add(slip("power-unit", "W is power; a total is kept in Wh, and is read so.", null));
        return judged(number, slips);
      }
      case "" -> {
        return judged(unitGuessed(number), slips);
      }
      default -> {
        return TypedAnswer.unreadable(
            "“" + number.unit() + "” is no unit of energy. Write the total in Wh or kWh.");
      }
    }
  }

  /** Without a unit: the reading nearest to what is expected, else kWh for decimals. */
  private TypedNumber unitGuessed(TypedNumber number) {
    List<TypedNumber> candidates = new ArrayList<>(List.of(number, number.scaled(1000)));
    if (!Double.isNaN(number.groupedInstead())) {
      candidates.add(number.grouped());
    }
    double by = expected.wattHoursByNow();
    if (!(by > 0)) {
      return number.resolution() < 1 && number.value() < 20 ? candidates.get(1) : number;
    }
    TypedNumber best = number;
    for (TypedNumber candidate : candidates) {
      if (distance(candidate.value(), by) < distance(best.value(), by)) {
        best = candidate;
      }
    }
    return best;
  }

  private static double distance(double value, double expected) {
    return Math.abs(Math.log(Math.max(value, 1e-3) / expected));
  }

  private TypedAnswer judged(TypedNumber number, List<Slip> slips) {
    double value = number.value();
    double resolution = number.resolution();
    double most = expected.ratedWattHours() * MOST_OVER_LABEL;
    double by = expected.wattHoursByNow();
    if (value > most) {
      boolean thousand = value / 1000 <= most && fits(value / 1000, by);
      slips.add(
          thousand
              ? slip(
                  "thousandfold",
                  written(value)
                      + " is more than the unit can hold ("
                      + Figures.plain(expected.ratedWattHours())
                      + " Wh on the label). Did you mean "
                      + written(value / 1000)
                      + "?",
                  reading(value / 1000, resolution / 1000))
              : slip(
                  "more-than-pack",
                  written(value)
                      + " is more than the unit can hold: the label says "
                      + Figures.plain(expected.ratedWattHours())
                      + " Wh. Was the total at zero at the start?",
                  null));
    } else if (tooSoon(value).isPresent()) {
      slips.add(tooSoon(value).get());
    } else if (by > 5 && value > 0 && fits(value * 1000, by) && !fits(value, by)) {
      slips.add(
          slip(
              "thousandfold",
              written(value)
                  + " is a thousandth of what is expected by now. Did you mean "
                  + written(value * 1000)
                  + "?",
              reading(value * 1000, resolution * 1000)));
    } else if (value < expected.lastTotal() - resolution) {
      slips.add(
          slip(
              "total_fell",
              "The total stood at "
                  + written(expected.lastTotal())
                  + " before; a total does not fall unless it was reset or the meter lost power.",
              null));
    } else if (by > 5 && !fits(value, by)) {
      slips.add(unlike(value, resolution, by));
    }
    TypedReading reading = reading(value, resolution);
    StringBuilder echo = new StringBuilder("Read as ").append(reading.words()).append('.');
    if (!Double.isNaN(expected.countedWattHours()) && expected.countedWattHours() > 0) {
      echo.append(" The trace has ")
          .append(Figures.fixed(expected.countedWattHours(), 1))
          .append(" Wh.");
    }
    return new TypedAnswer(Optional.of(reading), echo.toString(), slips);
  }

  /** More than anybody could have drawn since the total before. */
  private Optional<Slip> tooSoon(double value) {
    return expected
        .before()
        .filter(b -> b.watts(value) > IMPLAUSIBLE * b.mostWatts())
        .map(
            b ->
                slip(
                    "times_implausible",
                    written(value)
                        + " only "
                        + Figures.duration(b.seconds())
                        + " after "
                        + written(b.wattHours())
                        + " would be "
                        + Figures.plain(Math.rint(b.watts(value)))
                        + " W. Was it made earlier (Ctrl+E), is it of another unit, or another"
                        + " total? As it stands it gives no figure by time.",
                    null));
  }

  private Slip unlike(double value, double resolution, double by) {
    for (double factor : new double[] {0.1, 10}) {
      if (fits(value * factor, by)) {
        return slip(
            "tenfold",
            written(value)
                + " is ten times "
                + (factor < 1 ? "more" : "less")
                + " than expected: a digit too "
                + (factor < 1 ? "many" : "few")
                + "? "
                + written(value * factor)
                + " would fit.",
            reading(value * factor, resolution * factor));
      }
    }
    return slip(
        "unlike-trace",
        written(value)
            + " does not fit the "
            + Figures.fixed(by, 0)
            + " Wh expected by now. Read it off again; it is kept as typed.",
        null);
  }

  /** Near what is expected; where power times time is all there is, half to one and a half. */
  private boolean fits(double value, double by) {
    if (!(by > 0)) {
      return true;
    }
    double allowed = Double.isNaN(expected.countedWattHours()) ? 0.5 : ALLOWED;
    return Math.abs(value - by) <= allowed * by + 2;
  }

  private static Slip slip(String code, String words, TypedReading meant) {
    return new Slip(code, words, Optional.ofNullable(meant));
  }

  private TypedReading reading(double value, double resolution) {
    return new TypedReading(kind, value, resolution, text.strip(), written(value));
  }

  private static String written(double wattHours) {
    return wattHours >= 10_000
        ? Figures.plain(wattHours / 1000) + " kWh"
        : Figures.plain(wattHours) + " Wh";
  }
}
