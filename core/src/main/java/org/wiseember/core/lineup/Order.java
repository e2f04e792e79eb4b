package org.wiseember.core.lineup;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.EnumMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.wiseember.core.figure.Figure;

/**
 * Units in the order of own weights. A score is the sum over the measures of weight × logarithm of
 * the figure, negative where less is better: twice as good counts the same wherever it is, and no
 * unit's score depends on which others stand beside it (a weighted product; Bridgman 1922, recalled
 * from memory).
 *
 * @param places from best to worst
 * @param leftOut units that have no place, by what is missing of them
 * @param room how far each weight may move by itself before another is first
 */
public record Order(
    List<Place> places, Map<String, List<Measure>> leftOut, Map<Measure, Room> room) {
  /** What is nought or below counts as this share of the best; a product knows no nought. */
  private static final double LEAST_SHARE = 0.01;

  /**
   * A place in the order.
   *
   * @param score higher is better; only differences mean something
   * @param first how likely it is really first, 0 to 1, from how sure all figures are
   */
  public record Place(String name, double score, double first) {}

  /**
   * How far a weight may move.
   *
   * @param down to which the first stays first; 0 where it does all the way
   * @param below who is first below that; empty for nobody
   * @param up to which the first stays first; infinite where it does all the way
   * @param above who is first above that; empty for nobody
   */
  public record Room(double down, String below, double up, String above) {}

  public Order {
    places = List.copyOf(places);
    leftOut = new LinkedHashMap<>(leftOut);
    room = new EnumMap<>(room.isEmpty() ? new EnumMap<>(Measure.class) : room);
  }

  /**
   * Puts units in order.
   *
   * @param weights what one cares for; those of 0 or less are not cared for
   */
  public static Order of(List<Candidate> units, Map<Measure, Double> weights) {
    Map<Measure, Double> used = new EnumMap<>(Measure.class);
    weights.forEach(
        (m, w) -> {
          if (w > 0) {
            used.put(m, w);
          }
        });
    Set<Measure> cares = used.keySet();
    Map<String, List<Measure>> leftOut = new LinkedHashMap<>();
    List<Candidate> known = new ArrayList<>();
    for (Candidate unit : units) {
      if (unit.knows(cares)) {
        known.add(unit);
      } else {
        leftOut.put(unit.name(), cares.stream().filter(m -> unit.figure(m).isEmpty()).toList());
      }
    }
    return used.isEmpty() || known.isEmpty()
        ? new Order(List.of(), leftOut, Map.of())
        : new Scores(known, used).order(leftOut);
  }

  /** The scores of units of which everything is known. */
  private static final class Scores {
    private final List<Candidate> units;
    private final Map<Measure, Double> weights;
    private final double[] means;
    private final double[] sigmas;

    Scores(List<Candidate> units, Map<Measure, Double> weights) {
      this.units = units;
      this.weights = weights;
      this.means = new double[units.size()];
      this.sigmas = new double[units.size()];
      for (int i = 0; i < means.length; i++) {
        double variance = 0;
        for (Map.Entry<Measure, Double> w : weights.entrySet()) {
          means[i] += w.getValue() * term(i, w.getKey());
          double spread = w.getValue() * spread(i, w.getKey());
          variance += spread * spread;
        }
        sigmas[i] = Math.sqrt(variance);
      }
    }

    private Figure figure(int unit, Measure measure) {
      return units.get(unit).figure(measure).orElseThrow();
    }

    /** The least a figure counts as: a hundredth of the largest beside it. */
    private double least(Measure measure) {
      double most = 0;
      for (int i = 0; i < means.length; i++) {
        most = Math.max(most, Math.abs(figure(i, measure).value()));
      }
      return most > 0 ? LEAST_SHARE * most : 1;
    }

    private double counted(int unit, Measure measure) {
      return Math.max(least(measure), figure(unit, measure).value());
    }

    private double term(int unit, Measure measure) {
      double logarithm = Math.log(counted(unit, measure));
      return measure.higherIsBetter() ? logarithm : -logarithm;
    }

    /** To first order: the share the figure may be off by. */
    private double spread(int unit, Measure measure) {
      return Chance.sigma(figure(unit, measure)) / counted(unit, measure);
    }

    Order order(Map<String, List<Measure>> leftOut) {
      List<Place> places = new ArrayList<>();
      for (int i = 0; i < means.length; i++) {
        places.add(new Place(units.get(i).name(), means[i], Chance.highest(i, means, sigmas)));
      }
      places.sort(Comparator.comparingDouble(Place::score).reversed());
      Map<Measure, Room> room = new EnumMap<>(Measure.class);
      int best = best();
      weights.keySet().forEach(m -> room.put(m, room(best, m)));
      return new Order(places, leftOut, room);
    }

    private int best() {
      int best = 0;
      for (int i = 1; i < means.length; i++) {
        best = means[i] > means[best] ? i : best;
      }
      return best;
    }

    /** Scores are straight lines in a weight, so the crossings are exact. */
    private Room room(int best, Measure measure) {
      double now = weights.get(measure);
      double down = 0;
      double up = Double.POSITIVE_INFINITY;
      String below = "";
      String above = "";
      for (int i = 0; i < means.length; i++) {
        double gap = means[best] - means[i];
        double slope = term(i, measure) - term(best, measure);
        if (i == best || slope == 0) {
          continue;
        }
        double crossing = now + gap / slope;
        if (slope > 0 && crossing < up) {
          up = crossing;
          above = units.get(i).name();
        } else if (slope < 0 && crossing >= 0 && crossing > down) {
          down = crossing;
          below = units.get(i).name();
        }
      }
      return new Room(down, below, up, above);
    }
  }
}
