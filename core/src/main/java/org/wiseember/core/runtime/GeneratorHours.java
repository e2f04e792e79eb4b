package org.wiseember.core.runtime;

import java.util.List;
import java.util.OptionalDouble;

/** How long a generator or the mains have to run each day for a unit to come out even. */
public final class GeneratorHours {
  private static final double DAY = 24;

  private GeneratorHours() {}

  /** Hours a day; empty where no feed brings anything in, or a day would not be enough. */
  public static OptionalDouble of(RunTimeCase asked, ChargeCurve course) {
    double into = course.feed().map(f -> f.flow().intoUnit()).orElse(0.0);
    EnergyCurve curve = asked.curve();
    double hours = need(asked.plan(), curve) * DAY / asked.plan().hours() / curve.shareFed(into);
    boolean runs = course.feed().filter(f -> !Double.isNaN(f.sourceLoad())).isPresent();
    return runs && into > 0 && Double.isFinite(into) && hours <= DAY
        ? OptionalDouble.of(hours)
        : OptionalDouble.empty();
  }

  /** Of a full unit, what the whole plan takes. */
  public static double need(DayPlan plan, EnergyCurve curve) {
    Agenda agenda = new Agenda(plan);
    double share = 0;
    for (Agenda.Span span : agenda.spans(List.of())) {
      share +=
          (span.to() - span.from())
              * curve.shareAnHour(span.ac(), plan.acAlwaysOn() || span.acDue(), span.dc());
    }
    for (Agenda.Sip sip : agenda.sips()) {
      double energy = sip.appliance().draw().wattHours();
      share +=
          sip.appliance().side() == Side.AC
              ? energy / curve.capacity()
              : energy * curve.directShare();
    }
    return share;
  }
}
