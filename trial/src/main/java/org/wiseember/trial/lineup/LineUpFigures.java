package org.wiseember.trial.lineup;

import java.util.EnumMap;
import java.util.EnumSet;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;
import org.wiseember.core.charge.ChargeSource;
import org.wiseember.core.cost.Cost;
import org.wiseember.core.cost.Life;
import org.wiseember.core.cost.Price;
import org.wiseember.core.figure.Because;
import org.wiseember.core.figure.Bound;
import org.wiseember.core.figure.Figure;
import org.wiseember.core.label.Claim;
import org.wiseember.core.label.Condition;
import org.wiseember.core.label.Subject;
import org.wiseember.core.lineup.Measure;
import org.wiseember.core.quantity.Figures;
import org.wiseember.core.quantity.Unit;
import org.wiseember.core.uncertainty.Budget;
import org.wiseember.core.uncertainty.Contribution;
import org.wiseember.core.verdict.Verdict;
import org.wiseember.trial.kind.ClaimAnswer;
import org.wiseember.trial.kind.found.Charged;
import org.wiseember.trial.verdict.Judgement;
import org.wiseember.workbook.LineUpNotes;
import org.wiseember.workbook.UnitFacts;

/**
 * The figures of one unit that a line-up compares. What its runs found comes first; of weight and
 * watts what is printed stands in, and is called so. Nothing else does.
 */
final class LineUpFigures {
  private static final double PERCENT = 100;

  private final Judgement unit;
  private final Map<Measure, Figure> figures = new EnumMap<>(Measure.class);

  private final Set<Measure> printed = EnumSet.noneOf(Measure.class);

  private LineUpFigures(Judgement unit) {
    this.unit = unit;
  }

  /**
   * All that are known but the must-haves.
   *
   * @param load of the page, W; empty where the units share none
   * @param light of the page, lx; empty where none of them was seen in any
   */
  static LineUpFigures of(
      Judgement unit,
      UnitFacts facts,
      LineUpNotes notes,
      OptionalDouble load,
      OptionalDouble light) {
    LineUpFigures made = new LineUpFigures(unit);
    made.energy(load);
    made.asked(Measure.EFFICIENCY, Subject.EFFICIENCY, false);
    if (notes.source() == ChargeSource.WALL) {
      made.asked(Measure.FULL_AGAIN, Subject.CHARGE_TIME, true);
    } else {
      made.fullFrom(notes.source());
    }
    if (light.isPresent()) {
      InLight.watts(unit, light.getAsDouble()).ifPresent(w -> made.figures.put(Measure.SUN, w));
    }
    made.asked(Measure.IDLE, Subject.IDLE, true);
    made.asked(Measure.CONTINUOUS, Subject.CONTINUOUS_POWER, false);
    made.asked(Measure.DISTORTION, Subject.DISTORTION, true);
    made.asked(Measure.NOISE, Subject.NOISE, true);
    made.weight();
    made.price(facts, notes);
    return made;
  }

  private Optional<Figure> known(Measure measure) {
    return Optional.ofNullable(figures.get(measure));
  }

  private void energy(OptionalDouble load) {
    if (load.isPresent()) {
      AtLoad.delivered(unit, load.getAsDouble())
          .ifPresent(
              d -> {
                figures.put(Measure.DELIVERED, d);
                AtLoad.ofRated(unit, d).ifPresent(y -> figures.put(Measure.YIELD, y));
              });
    }
  }

  /**
   * What the runs say to such a claim, asked of every unit alike: what its own label ties it to,
   * such as a distance or a load, would make the answers unlike.
   */
  private void asked(Measure measure, Subject subject, boolean atMost) {
    Claim plain =
        atMost
            ? Claim.atMost(subject, 1, "")
            : Claim.atLeast(subject, unit.label().ratedWatts().orElse(1.0), "");
    Claim alike =
        subject == Subject.NOISE
            ? plain.under(new Condition(Condition.Kind.AT_DISTANCE, 1))
            : plain;
    measured(alike).ifPresent(f -> figures.put(measure, f.as(measure.key(), measure.words())));
  }

  /** From a source alone, by its newest charge; one that did not begin empty takes longer. */
  private void fullFrom(ChargeSource source) {
    unit.of(Charged.class)
        .filter(r -> r.setting().sources().equals(Set.of(source)))
        .filter(r -> r.finding().timeToFull().isPresent())
        .reduce((first, second) -> second)
        .ifPresent(
            r -> {
              Figure time =
                  r.finding()
                      .timeToFull()
                      .orElseThrow()
                      .in(Unit.HOUR)
                      .as("full_again", "Full again from " + source.words());
              Figure told =
                  source == ChargeSource.SOLAR
                      ? time.because(
                          time.because()
                              .watching("In the light of its own day: another day is no like."))
                      : time;
              figures.put(Measure.FULL_AGAIN, r.fromEmpty() ? told : told.bounded(Bound.AT_LEAST));
            });
  }

  Map<Measure, Figure> figures() {
    return figures;
  }

  /** Those that are only read off the label. */
  Set<Measure> printed() {
    return printed;
  }

  private Optional<Figure> measured(Claim claim) {
    return unit.answer(claim)
        .map(ClaimAnswer::judge)
        .map(j -> j.verdict(true))
        .flatMap(Verdict::measured)
        .filter(f -> f.unit() == claim.unit());
  }

  private void weight() {
    Optional<Figure> scale = measured(Claim.atMost(Subject.WEIGHT, 1, ""));
    if (scale.isEmpty()) {
      printed.add(Measure.WEIGHT);
    }
    Optional<Figure> weight =
        scale.or(() -> printed(Subject.WEIGHT, "weight", "Weight, as printed", Unit.KILOGRAM));
    weight.ifPresent(
        w -> {
          figures.put(Measure.WEIGHT, w.as("weight", w.name()));
          known(Measure.DELIVERED)
              .ifPresent(d -> figures.put(Measure.WH_PER_KG, Cost.wattHoursPerKilogram(d, w)));
          known(Measure.CONTINUOUS)
              .or(() -> printed(Subject.CONTINUOUS_POWER, "rated", "Watts, as printed", Unit.WATT))
              .ifPresent(p -> figures.put(Measure.W_PER_KG, Cost.wattsPerKilogram(p, w)));
        });
  }

  /** A figure of the label, as sure as its last digit. */
  private Optional<Figure> printed(Subject subject, String key, String name, Unit in) {
    return unit.label()
        .claim(subject)
        .map(
            c -> {
              String digits = Figures.plain(c.figure());
              int point = digits.indexOf('.');
              double step = point < 0 ? 1 : Math.pow(10, point + 1 - digits.length());
              Budget budget = Budget.of(Contribution.rectangular("Its last digit", step / 2));
              return Figure.of(
                  key,
                  name,
                  c.figure(),
                  in,
                  Because.of(budget, "Read off the label").summed("printed, not measured"));
            });
  }

  private void price(UnitFacts facts, LineUpNotes notes) {
    if (!(facts.price() > 0)) {
      return;
    }
    Price price = new Price(facts.price(), facts.currency());
    unit.label()
        .ratedWattHours()
        .ifPresent(wh -> figures.put(Measure.PRICE_PER_LABEL_WH, Cost.perLabelWattHour(price, wh)));
    known(Measure.DELIVERED)
        .ifPresent(
            d -> {
              figures.put(Measure.PRICE_PER_DELIVERED_WH, Cost.perDeliveredWattHour(price, d));
              life(notes)
                  .ifPresent(
                      life ->
                          figures.put(
                              Measure.PRICE_PER_LIFETIME_KWH,
                              Cost.perLifetimeKilowattHour(price, d, life)));
            });
  }

  private Optional<Life> life(LineUpNotes notes) {
    return unit.label()
        .claim(Subject.CYCLE_LIFE)
        .map(
            c -> {
              var to = c.condition(Condition.Kind.TO_PERCENT);
              return new Life(
                  c.figure(),
                  to.isPresent() ? to.getAsDouble() / PERCENT : notes.leftAtEnd(),
                  notes.cyclesADay());
            });
  }
}
