package org.wiseember.core.lineup;

import java.util.Collections;
import java.util.EnumMap;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.wiseember.core.figure.Bound;
import org.wiseember.core.figure.Figure;

/**
 * A unit in a line-up.
 *
 * @param figures what is known of it; what is missing is not there
 */
public record Candidate(String name, Map<Measure, Figure> figures) {
  public Candidate {
    Map<Measure, Figure> copy = new EnumMap<>(Measure.class);
    copy.putAll(figures);
    figures = Collections.unmodifiableMap(copy);
  }

  /** Its figure; empty where nobody knows it. */
  public Optional<Figure> figure(Measure measure) {
    return Optional.ofNullable(figures.get(measure));
  }

  /** Whether all of these are known. */
  boolean knows(Set<Measure> measures) {
    return figures.keySet().containsAll(measures);
  }

  /**
   * Whether it beats another or equals it in everything one cares for, and beats it in something.
   * What is not known of either settles nothing, and a bound is no figure to be beaten by.
   */
  boolean beats(Candidate other, Set<Measure> cares) {
    boolean better = false;
    for (Measure m : cares) {
      Figure mine = figures.get(m);
      Figure theirs = other.figures.get(m);
      if (mine == null || theirs == null) {
        return false;
      }
      int compared = m.compare(mine.value(), theirs.value());
      if (compared < 0 || (compared > 0 && !sure(m, mine, theirs))) {
        return false;
      }
      better |= compared > 0;
    }
    return better;
  }

  /**
   * What is only at least so low may be as high as the other. Must-haves count what is known of
   * them.
   */
  private static boolean sure(Measure m, Figure better, Figure worse) {
    if (m == Measure.MUST_HAVES) {
      return true;
    }
    Bound mine = m.higherIsBetter() ? Bound.AT_LEAST : Bound.AT_MOST;
    Bound theirs = m.higherIsBetter() ? Bound.AT_MOST : Bound.AT_LEAST;
    return (better.bound() == Bound.EXACT || better.bound() == mine)
        && (worse.bound() == Bound.EXACT || worse.bound() == theirs);
  }
}
