package org.wiseember.core.runtime;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.DoubleStream;

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
public record AskedOfUnit(
    boolean start, String of, double hour, double amount, double running, Endured.Answer answer) {
  private static final double SECONDS = 3600;

  /** Start figures off a plate or a clamp are no better than this. */
  private static final double LEAST_SHARE = 0.05;

  /**
   * Who is on from a moment to the next.
   *
   * @param running what they draw together, W
   */
  private record Moment(double hour, List<Agenda.Going> on, double running) {}

  /** A start over what runs beside it, W. */
  private record Start(Appliance appliance, double hour, double others) {
    double va() {
      return appliance.draw().startVa() + others;
    }

    AskedOfUnit asked(Endured endured) {
      double share = Math.max(LEAST_SHARE, appliance.draw().share95());
      return new AskedOfUnit(
          true, appliance.name(), hour, va(), others, endured.starting(va(), share));
    }
  }

  /** A load with how long it or more is asked, s. */
  private record Running(Moment moment, double seconds, Endured.Call call) {
    AskedOfUnit asked(Endured endured) {
      String last = moment.on().get(moment.on().size() - 1).appliance().name();
      return new AskedOfUnit(
          false,
          last,
          moment.hour(),
          moment.running(),
          moment.running(),
          endured.running(moment.running(), seconds));
    }
  }

  /** The hardest start of each appliance that has one, and the most that runs, in that order. */
  public static List<AskedOfUnit> of(DayPlan plan, Endured endured) {
    List<Moment> moments = moments(new Agenda(plan));
    Map<Integer, Start> hardest = new LinkedHashMap<>();
    for (Moment moment : moments) {
      for (Agenda.Going g : moment.on()) {
        ApplianceDraw draw = g.appliance().draw();
        boolean begins =
            g.when().from() == moment.hour() || draw.use() == ApplianceDraw.Use.CYCLING;
        if (draw.startVa() > 0 && begins) {
          Start start =
              new Start(g.appliance(), moment.hour(), moment.running() - draw.runningWatts());
          hardest.merge(g.place(), start, (x, y) -> y.va() > x.va() ? y : x);
        }
      }
    }
    List<AskedOfUnit> all =
        new ArrayList<>(hardest.values().stream().map(h -> h.asked(endured)).toList());
    all.sort(Comparator.comparingDouble(AskedOfUnit::amount).reversed());
    all.addAll(most(moments, plan.hours(), endured));
    return all;
  }

  private static List<Moment> moments(Agenda agenda) {
    List<Agenda.Going> all = agenda.atOutlets();
    double[] hours =
        all.stream()
            .flatMapToDouble(g -> DoubleStream.of(g.when().from(), g.when().to()))
            .filter(h -> h < agenda.plan().hours())
            .distinct()
            .sorted()
            .toArray();
    List<Moment> moments = new ArrayList<>();
    List<Agenda.Going> on = new ArrayList<>();
    int next = 0;
    for (double hour : hours) {
      on.removeIf(g -> g.when().to() <= hour);
      for (; next < all.size() && all.get(next).when().from() <= hour; next++) {
        if (all.get(next).when().to() > hour) {
          on.add(all.get(next));
        }
      }
      double running = on.stream().mapToDouble(g -> g.appliance().draw().runningWatts()).sum();
      moments.add(new Moment(hour, List.copyOf(on), running));
    }
    return moments;
  }

  /** What runs at once: what trips it first, else what is open, else the most that it holds. */
  private static List<AskedOfUnit> most(List<Moment> moments, double end, Endured endured) {
    List<Running> all = new ArrayList<>();
    for (int i = 0; i < moments.size(); i++) {
      Moment moment = moments.get(i);
      if (moment.running() > 0) {
        int last = i;
        while (last < moments.size()
            && moments.get(last).running() >= moment.running() * (1 - 1e-9)) {
          last++;
        }
        double to = last < moments.size() ? moments.get(last).hour() : end;
        double seconds = (to - moment.hour()) * SECONDS;
        all.add(new Running(moment, seconds, endured.call(moment.running(), seconds)));
      }
    }
    // Calls stand in the order of what is worst: trips, open, holds.
    return all.stream()
        .min(
            Comparator.comparing(Running::call)
                .thenComparing(
                    Comparator.comparingDouble((Running r) -> r.moment().running()).reversed()))
        .map(r -> r.asked(endured))
        .stream()
        .toList();
  }
}
