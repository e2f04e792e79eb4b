package org.wiseember.core.runtime;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import org.wiseember.core.quantity.HourSpan;

/**
 * What a load that switches itself on and off does to a plan that counts it with its mean: nobody
 * knows whether it runs or rests when a stretch begins and when the charge ends, and while it runs
 * it loses more than its mean would.
 */
final class Cycling {
  /**
   * From one start to the next takes up to so long, h; refrigerators and thermostats commonly take
   * ten minutes to an hour. Common practice, no published source.
   */
  static final double PERIOD = 1;

  /**
   * It runs about this share of the time where nobody saw its running watts. Common practice, no
   * published source.
   */
  static final double USUAL_DUTY = 1.0 / 3;

  private Cycling() {}

  /** Whether anything cycles at all. */
  static boolean in(DayPlan plan) {
    return plan.appliances().stream().anyMatch(a -> cycles(a.draw()));
  }

  private static boolean cycles(ApplianceDraw draw) {
    return draw.use() == ApplianceDraw.Use.CYCLING && draw.meanWatts() > 0 && duty(draw) < 1;
  }

  /** Share of the time it runs. */
  private static double duty(ApplianceDraw draw) {
    return Double.isNaN(draw.watts())
        ? USUAL_DUTY
        : draw.watts() > draw.meanWatts() ? draw.meanWatts() / draw.watts() : 1;
  }

  /** Mean of its squared watts beyond the square of their mean, W²; 0 for what does not cycle. */
  static double uneven(ApplianceDraw draw) {
    return cycles(draw) ? draw.meanWatts() * draw.meanWatts() * (1 / duty(draw) - 1) : 0;
  }

  /** As if each stretch began when a run had just ended. */
  static DayPlan resting(DayPlan plan) {
    return begun(
        plan,
        (a, when, share) -> {
          double first = Math.min(when.to(), when.from() + share * (1 - duty(a.draw())) * PERIOD);
          return List.of(part(a, 0, when.from(), first), after(a, first, when.to()));
        });
  }

  /** As if each stretch began with a run. */
  static DayPlan running(DayPlan plan) {
    return begun(
        plan,
        (a, when, share) -> {
          double duty = duty(a.draw());
          double first = Math.min(when.to(), when.from() + share * duty * PERIOD);
          return List.of(
              part(a, a.draw().meanWatts() / duty, when.from(), first), after(a, first, when.to()));
        });
  }

  /** One stretch told as its beginning and what follows. */
  private interface Beginning {
    List<Appliance> of(Appliance appliance, HourSpan when, double share);
  }

  private static Appliance part(Appliance a, double watts, double from, double to) {
    ApplianceDraw steady =
        new ApplianceDraw(ApplianceDraw.Use.STEADY, watts, Double.NaN, Double.NaN, Double.NaN);
    return new Appliance(
        a.name(), steady, a.side(), List.of(new HourSpan(from, to)), List.of(), a.leg());
  }

  private static Appliance after(Appliance a, double from, double to) {
    return a.at(List.of(new HourSpan(from, to)), List.of());
  }

  private record Begun(Appliance appliance, HourSpan when) {
    /** What a run and a rest put between it and its mean, Wh. */
    double swing() {
      return appliance.draw().meanWatts() * (1 - duty(appliance.draw())) * PERIOD;
    }
  }

  /**
   * Stretches begin independently of each other, so at any moment their swings add by their
   * squares: each goes as far as the root grows by it, in the order they begin.
   */
  private static DayPlan begun(DayPlan plan, Beginning beginning) {
    List<Begun> all = new ArrayList<>();
    for (Appliance a : plan.appliances()) {
      if (cycles(a.draw())) {
        a.due().forEach(s -> all.add(new Begun(a, s)));
      }
    }
    all.sort(Comparator.comparingDouble(b -> b.when().from()));
    List<Appliance> told =
        new ArrayList<>(plan.appliances().stream().filter(a -> !cycles(a.draw())).toList());
    double squares = 0;
    for (Begun b : all) {
      double swing = b.swing();
      double share = (Math.sqrt(squares + swing * swing) - Math.sqrt(squares)) / swing;
      squares += swing * swing;
      told.addAll(beginning.of(b.appliance(), b.when(), share));
    }
    return plan.with(told);
  }
}
