package org.wiseember.core.runtime;

import java.util.ArrayList;
import java.util.List;

/** Who is due when: the plan cut where anything begins or ends. */
final class Agenda {
  /**
   * One time an appliance is on.
   *
   * @param place of the appliance in the list
   */
  record Going(int place, Appliance appliance, Stretch when) {}

  /** Something that takes its energy at one moment. */
  record Sip(double hour, Appliance appliance) {}

  private final DayPlan plan;
  private final List<Going> goings = new ArrayList<>();
  private final List<Sip> sips = new ArrayList<>();

  Agenda(DayPlan plan) {
    this.plan = plan;
    for (int i = 0; i < plan.appliances().size(); i++) {
      Appliance appliance = plan.appliances().get(i);
      for (Stretch due : appliance.due()) {
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

  List<Sip> sips() {
    return sips;
  }

  /** What is on at a moment, in the order of the list. */
  List<Going> at(double hour) {
    return goings.stream().filter(g -> g.when().holds(hour)).toList();
  }

  /** Mean watts of those on one side. */
  static double mean(List<Going> on, Side side) {
    double sum = 0;
    for (Going g : on) {
      sum += g.appliance().side() == side ? g.appliance().meanWatts() : 0;
    }
    return sum;
  }
}
