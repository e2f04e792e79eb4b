package org.wiseember.core.lineup;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;

/** Units that others beat or equal in everything one cares for. */
public final class Beaten {
  private Beaten() {}

  /**
   * By name of each, in the order of the line-up, the names of those that beat it.
   *
   * @param cares at least one measure; of units of which one is not known, nothing is said
   */
  public static Map<String, List<String>> by(List<Candidate> units, Set<Measure> cares) {
    Map<String, List<String>> beaten = new LinkedHashMap<>();
    for (Candidate unit : units) {
      beaten.put(
          unit.name(),
          cares.isEmpty()
              ? List.of()
              : units.stream()
                  // None beats itself: it is better in nothing.
                  .filter(other -> other.beats(unit, cares))
                  .map(Candidate::name)
                  .toList());
    }
    return beaten;
  }
}
