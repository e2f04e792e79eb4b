package org.wiseember.core.realload;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import org.wiseember.core.figure.Because;
import org.wiseember.core.figure.Bound;
import org.wiseember.core.figure.Figure;
import org.wiseember.core.quantity.Figures;
import org.wiseember.core.quantity.Unit;
import org.wiseember.core.uncertainty.Budget;
import org.wiseember.core.uncertainty.Contribution;
import org.wiseember.core.uncertainty.MeterClass;

/**
 * Something that was done several times over: so many saw cuts, so many kettles.
 *
 * @param at which thing of the test, from 1
 * @param name of it, as the tester calls it
 * @param count how often it was done
 * @param total Wh on the meter before and after; empty where it was not read at both
 * @param display % shown before and after; empty where it was not read at both
 * @param wentOff whether the output dropped out on the way
 */
public record Goes(
    int at, String name, int count, Optional<Both> total, Optional<Both> display, boolean wentOff) {
  /** A display in whole percent stands within one of the charge it shows. */
  private static final double POINT = 1;

  /**
   * Read before and after.
   *
   * @param step it was read in
   */
  public record Both(double before, double after, double step) {
    double change() {
      return after - before;
    }
  }

  /**
   * Energy for each go.
   *
   * @param meter of the total
   * @param usable what the unit gives from full, Wh; empty where that is not known
   * @return by the meter, else by the display; empty where neither tells it
   */
  public Optional<Figure> energy(MeterClass meter, Optional<Figure> usable) {
    if (count < 1) {
      return Optional.empty();
    }
    if (total.isPresent() && total.get().change() > 0) {
      double wattHours = total.get().change();
      double half = total.get().step() / 2 / count;
      Budget budget =
          Budget.of()
              .with("Meter", meter, wattHours, 1.0 / count)
              .with(Contribution.rectangular("Read to the last digit before", half))
              .with(Contribution.rectangular("Read to the last digit after", half));
      return Optional.of(
          figure(
              wattHours / count,
              budget,
              Figures.plain(wattHours, Unit.WATT_HOUR) + " ÷ " + count,
              List.of()));
    }
    return display.isPresent() && usable.isPresent()
        ? Optional.of(byDisplay(display.get(), usable.get()))
        : Optional.empty();
  }

  /** As coarse as the display is; where it did not move, at most what one point is. */
  private Figure byDisplay(Both shown, Figure usable) {
    double points = -shown.change();
    double aPoint = usable.value() / 100 / count;
    String from =
        Figures.plain(shown.before()) + " to " + Figures.plain(shown.after()) + " % on the display";
    List<String> coarse =
        List.of(
            "The display steps by whole percents, "
                + Figures.withUnit(Figures.fixed(usable.value() / 100, 0), Unit.WATT_HOUR)
                + " each. More goes, or a meter, tell it better.",
            "It rests on: " + usable.name() + ".");
    if (points <= 0) {
      return figure(
              POINT * aPoint, Budget.of(), from + ": less than one point for " + count, coarse)
          .bounded(Bound.AT_MOST);
    }
    Budget budget =
        Budget.of(
            Contribution.rectangular("Display before", POINT * aPoint),
            Contribution.rectangular("Display after", POINT * aPoint),
            Contribution.of95(usable.name(), points / 100 * usable.u95() / count));
    return figure(points * aPoint, budget, from + " ÷ " + count, coarse);
  }

  private Figure figure(double value, Budget budget, String worked, List<String> watch) {
    return Figure.of(
        "go_energy_" + at,
        name + ", each",
        value,
        Unit.WATT_HOUR,
        Because.of(budget, worked).summed(worked).watching(watch));
  }

  /** Points of the display for each go; empty where it was not read at both ends. */
  public OptionalDouble points() {
    return display.isPresent() && count > 0
        ? OptionalDouble.of(-display.get().change() / count)
        : OptionalDouble.empty();
  }

  /**
   * How many goes a full unit gives.
   *
   * @param each Wh for each
   * @param usable what the unit gives from full, Wh
   */
  public Optional<Figure> fromFull(Figure each, Figure usable) {
    if (!(each.value() > 0)) {
      return Optional.empty();
    }
    double goes = usable.value() / each.value();
    Budget budget =
        each.budget()
            .scaled(-goes / each.value())
            .with(Contribution.of95(usable.name(), usable.u95() / each.value()));
    Figure figure =
        Figure.of(
            "goes_from_full_" + at,
            name + ", from full",
            goes,
            Unit.ONE,
            Because.of(
                    budget,
                    Figures.withUnit(Figures.fixed(usable.value(), 0), Unit.WATT_HOUR)
                        + " ÷ "
                        + each.words())
                .from(each)
                .summed("times, if nothing else runs")
                .watching("It rests on: " + usable.name() + "."));
    return Optional.of(each.bound() == Bound.AT_MOST ? figure.bounded(Bound.AT_LEAST) : figure);
  }

  /** What is to be said beside the figures. */
  public List<String> words() {
    List<String> words = new ArrayList<>();
    if (count < 1) {
      words.add(name + ": nobody said how often it was done.");
    }
    if (total.isEmpty() && display.isEmpty()) {
      words.add(name + ": neither total nor display was read before and after.");
    } else if (total.filter(t -> t.change() < 0).isPresent()) {
      words.add(name + ": the total fell, so the meter was reset meanwhile; it tells nothing.");
    }
    if (wentOff) {
      words.add(name + ": the output dropped out after " + count + ".");
    }
    return words;
  }
}
