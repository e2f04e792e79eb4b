package org.wiseember.core.runtime;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.TreeSet;
import org.wiseember.core.quantity.HourSpan;

/** Who is due when: the plan cut where anything begins or ends. */
public final class Agenda {
  /**
   * One time an appliance is on.
   *
   * @param place of the appliance in the list
   */
  record Going(int place, Appliance appliance, HourSpan when) {}

  /** Something that takes its energy at one moment. */
  public record Sip(double hour, Appliance appliance) {}

  private final DayPlan plan;
  private final List<Going> goings = new ArrayList<>();
  private final List<Sip> sips = new ArrayList<>();

  public Agenda(DayPlan plan) {
    this.plan = plan;
    for (int i = 0; i < plan.appliances().size(); i++) {
      Appliance appliance = plan.appliances().get(i);
      for (HourSpan due : appliance.due()) {
        if (due.from() < plan.hours()) {
          goings.add(new Going(i, appliance, due));
        }
      }
      for (double hour : appliance.atOnce()) {
        if (hour < plan.hours()) {
          sips.add(new Sip(hour, appliance));
        }
      }
    }
  }

  DayPlan plan() {
    return plan;
  }

  List<Going> goings() {
    return goings;
  }

  public List<Sip> sips() {
    return sips;
  }

  /** What hangs on the outlets, in the order it comes on; of two at once the first in the list. */
  List<Going> atOutlets() {
    return goings.stream()
        .filter(g -> g.appliance().side() == Side.AC)
        .sorted(
            Comparator.comparingDouble((Going g) -> g.when().from()).thenComparingInt(Going::place))
        .toList();
  }

  /**
   * A time in which all watts stand.
   *
   * @param ac mean watts at the outlets
   * @param dc mean watts at the DC ports
   * @param acDue whether anything hangs on the outlets
   * @param uneven mean of the squared watts at the outlets beyond the square of their mean, W², as
   *     often as the plan counts it
   */
  public record Span(double from, double to, double ac, double dc, boolean acDue, double uneven) {
    double watts() {
      return ac + dc;
    }
  }

  /**
   * The plan cut wherever anything begins or ends.
   *
   * @param also further moments to cut it at
   */
  public List<Span> spans(List<Double> also) {
    TreeSet<Double> cuts = new TreeSet<>(List.of(0.0, plan.hours()));
    goings.forEach(g -> cuts.addAll(List.of(g.when().from(), g.when().to())));
    sips.forEach(s -> cuts.add(s.hour()));
    cuts.addAll(also);
    List<Double> inside = new ArrayList<>(cuts.subSet(0.0, true, plan.hours(), true));
    List<Going> waiting = new ArrayList<>(goings);
    waiting.sort(Comparator.comparingDouble(g -> g.when().from()));
    List<Going> on = new ArrayList<>();
    List<Span> spans = new ArrayList<>();
    int next = 0;
    for (int i = 0; i + 1 < inside.size(); i++) {
      double from = inside.get(i);
      on.removeIf(g -> g.when().to() <= from);
      for (; next < waiting.size() && waiting.get(next).when().from() <= from; next++) {
        if (waiting.get(next).when().to() > from) {
          on.add(waiting.get(next));
        }
      }
      double ac = 0;
      double dc = 0;
      double uneven = 0;
      boolean due = false;
      for (Going g : on) {
        boolean atOutlet = g.appliance().side() == Side.AC;
        ac += atOutlet ? g.appliance().draw().meanWatts() : 0;
        dc += atOutlet ? 0 : g.appliance().draw().meanWatts();
        uneven += atOutlet ? Cycling.uneven(g.appliance().draw()) : 0;
        due |= atOutlet;
      }
      spans.add(new Span(from, inside.get(i + 1), ac, dc, due, plan.uneven() * uneven));
    }
    return spans;
  }
}
