package org.wiseember.core.runtime;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.Stream;

/**
 * Something a plan asks of an inverter beyond energy, with what the unit has shown of it.
 *
 * @param start whether it is a start; else all that runs at once
 * @param of what starts; what came on last
 * @param hour at which it is asked
 * @param amount VA of a start with all that runs, W of what runs
 * @param running the others, W
 * @param answer what follows from what the unit was seen to do
 */
public record Asked(
    boolean start, String of, double hour, double amount, double running, Endured.Answer answer) {
  private static final double SECONDS = 3600;

  /** Start figures off a plate or a clamp are no better than this. */
  private static final double LEAST_SHARE = 0.05;

  /** Whatever is known of a start, its watts may all be asked again at each one. */
  private record Moment(double hour, List<Agenda.Going> on) {
    double running() {
      return on.stream().mapToDouble(g -> g.appliance().draw().runningWatts()).sum();
    }
  }

  /** The hardest start of each appliance that has one, and the most that runs, in that order. */
  public static List<Asked> of(DayPlan plan, Endured endured) {
    List<Moment> moments = moments(new Agenda(plan));
    Map<String, Asked> hardest = new LinkedHashMap<>();
    for (Moment moment : moments) {
      for (Agenda.Going g : moment.on()) {
        Draw draw = g.appliance().draw();
        boolean begins = g.when().from() == moment.hour() || draw.use() == Draw.Use.CYCLING;
        if (draw.startVa() > 0 && begins) {
          double others = moment.running() - draw.runningWatts();
          double va = draw.startVa() + others;
          String name = g.appliance().name();
          if (!hardest.containsKey(name) || hardest.get(name).amount() < va) {
            hardest.put(
                name,
                new Asked(
                    true,
                    name,
                    moment.hour(),
                    va,
                    others,
                    endured.starting(va, Math.max(LEAST_SHARE, draw.share95()))));
          }
        }
      }
    }
    List<Asked> all = new ArrayList<>(hardest.values());
    all.sort(Comparator.comparingDouble(Asked::amount).reversed());
    all.addAll(most(moments, plan.hours(), endured));
    return all;
  }

  private static List<Moment> moments(Agenda agenda) {
    List<Agenda.Going> all =
        agenda.goings().stream()
            .filter(g -> g.appliance().side() == Side.AC)
            .sorted(
                Comparator.comparingDouble((Agenda.Going g) -> g.when().from())
                    .thenComparingInt(Agenda.Going::place))
            .toList();
    List<Double> hours =
        all.stream()
            .flatMap(g -> Stream.of(g.when().from(), g.when().to()))
            .filter(h -> h < agenda.plan().hours())
            .distinct()
            .sorted()
            .toList();
    return hours.stream()
        .map(h -> new Moment(h, all.stream().filter(g -> g.when().holds(h)).toList()))
        .toList();
  }

  /** What runs at once: what trips it first, else what is open, else the most that it holds. */
  private static List<Asked> most(List<Moment> moments, double end, Endured endured) {
    List<Asked> all = new ArrayList<>();
    for (int i = 0; i < moments.size(); i++) {
      Moment moment = moments.get(i);
      double watts = moment.running();
      if (watts > 0) {
        int last = i;
        while (last < moments.size() && moments.get(last).running() >= watts * (1 - 1e-9)) {
          last++;
        }
        double to = last < moments.size() ? moments.get(last).hour() : end;
        String by = moment.on().get(moment.on().size() - 1).appliance().name();
        all.add(
            new Asked(
                false,
                by,
                moment.hour(),
                watts,
                watts,
                endured.running(watts, (to - moment.hour()) * SECONDS)));
      }
    }
    Comparator<Asked> worst =
        Comparator.comparingInt(
            a ->
                switch (a.answer().call()) {
                  case TRIPS -> 0;
                  case OPEN -> 1;
                  case HOLDS -> 2;
                });
    return all.stream()
        .min(worst.thenComparing(Comparator.comparingDouble(Asked::amount).reversed()))
        .stream()
        .toList();
  }
}
