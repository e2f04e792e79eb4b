package org.wiseember.core.runtime;

import java.util.ArrayList;
import java.util.List;
import java.util.OptionalDouble;

/**
 * What has to stay off so that what matters lasts: appliances go in the order of the list from its
 * end, since the first matters most.
 */
public final class Sheds {
  /**
   * A plan with some left out.
   *
   * @param without what is left out, the last of the list first
   * @param runsOut h after the start; empty where it lasts the plan
   */
  public record Shed(List<String> without, OptionalDouble runsOut) {
    public Shed {
      without = List.copyOf(without);
    }

    /** Whether it lasts the plan. */
    public boolean lasts() {
      return runsOut.isEmpty();
    }
  }

  private Sheds() {}

  /**
   * Leaves out one after the other until it lasts; at least one is kept.
   *
   * @return a step each; empty where it lasts with all of them
   */
  public static List<Shed> of(RunTimeCase asked) {
    List<Shed> steps = new ArrayList<>();
    List<Appliance> kept = new ArrayList<>(asked.plan().appliances());
    List<String> without = new ArrayList<>();
    OptionalDouble runsOut = asked.course().runsOut();
    while (runsOut.isPresent() && kept.size() > 1) {
      without.add(kept.remove(kept.size() - 1).name());
      runsOut = asked.planning(asked.plan().with(kept)).course().runsOut();
      steps.add(new Shed(without, runsOut));
    }
    return steps;
  }
}
