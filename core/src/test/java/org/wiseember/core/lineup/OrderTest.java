package org.wiseember.core.lineup;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertTrue;

import java.util.ArrayList;
import java.util.EnumMap;
import java.util.EnumSet;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.Set;
import org.testng.annotations.Test;
import org.wiseember.core.Thorough;
import org.wiseember.core.figure.Because;
import org.wiseember.core.figure.Bound;
import org.wiseember.core.figure.Figure;
import org.wiseember.core.quantity.Unit;
import org.wiseember.core.uncertainty.Budget;
import org.wiseember.core.uncertainty.Contribution;

public class OrderTest {
  private static final List<Measure> SOME =
      List.of(Measure.DELIVERED, Measure.IDLE, Measure.WEIGHT, Measure.FULL_AGAIN);

  private static Figure figure(Measure m, double value, double sigma) {
    Budget budget = sigma > 0 ? Budget.of(Contribution.normal("read", sigma)) : Budget.of();
    return Figure.of(m.key(), m.words(), value, Unit.ONE, Because.of(budget, "made up"));
  }

  private static List<Candidate> units(Random random, int count, double share) {
    List<Candidate> units = new ArrayList<>();
    for (int i = 0; i < count; i++) {
      Map<Measure, Figure> figures = new EnumMap<>(Measure.class);
      for (Measure m : SOME) {
        double value =
            50 * (1 + random.nextInt(share > 0 ? 1 : 4)) * (1 + 0.05 * random.nextGaussian());
        if (share == 0) {
          value = 10 * (1 + random.nextInt(4));
        }
        figures.put(m, figure(m, value, share * value));
      }
      units.add(new Candidate("unit " + i, figures));
    }
    return units;
  }

  private static Map<Measure, Double> weights(Random random) {
    Map<Measure, Double> weights = new EnumMap<>(Measure.class);
    SOME.forEach(m -> weights.put(m, 0.2 + random.nextDouble()));
    return weights;
  }

  /** Against 100 000 draws of every figure (JCGM 101). */
  @Test
  public void theChanceOfBeingFirstIsThatOfDraws() {
    Random random = new Random(7);
    for (int round = 0; round < 5; round++) {
      List<Candidate> units = units(random, 2 + round, 0.01 + 0.01 * round);
      Map<Measure, Double> weights = weights(random);
      Order order = Order.of(units, weights);
      int draws = Thorough.tries(30_000, 100_000);
      int[] won = new int[units.size()];
      for (int d = 0; d < draws; d++) {
        int best = -1;
        double most = Double.NEGATIVE_INFINITY;
        for (int i = 0; i < units.size(); i++) {
          double score = 0;
          for (Measure m : SOME) {
            Figure f = units.get(i).figure(m).orElseThrow();
            double drawn = f.value() + random.nextGaussian() * f.u95() / 1.959964;
            score += weights.get(m) * (m.higherIsBetter() ? 1 : -1) * Math.log(drawn);
          }
          if (score > most) {
            most = score;
            best = i;
          }
        }
        won[best]++;
      }
      double sum = 0;
      for (Order.Place place : order.places()) {
        int i = Integer.parseInt(place.name().substring(5));
        assertEquals(place.first(), won[i] / (double) draws, 0.01, place.name());
        sum += place.first();
      }
      assertEquals(sum, 1, 1e-3);
    }
  }

  /** Of two, by both intervals: half where nothing parts them, and the two add up to one. */
  @Test
  public void oneBeatsAnotherByBothIntervals() {
    Figure a = figure(Measure.IDLE, 10, 1);
    Figure b = figure(Measure.IDLE, 12, 1);
    double chance = Chance.better(Measure.IDLE, a, b);
    // Φ(2 ÷ √2): tables of the normal distribution.
    assertEquals(chance, 0.92135, 1e-4);
    assertEquals(Chance.better(Measure.IDLE, b, a), 1 - chance, 1e-9);
    assertEquals(Chance.better(Measure.IDLE, a, a), 0.5, 1e-9);
    assertEquals(
        Chance.better(
            Measure.DELIVERED, figure(Measure.DELIVERED, 2, 0), figure(Measure.DELIVERED, 1, 0)),
        1.0);
  }

  /** Every pair and every measure gone through by hand gives the same. */
  @Test
  public void beatenByIsThatOfEveryPair() {
    Random random = new Random(11);
    for (int round = 0; round < 200; round++) {
      List<Candidate> units = new ArrayList<>(units(random, 2 + random.nextInt(6), 0));
      if (round % 3 == 0) {
        Map<Measure, Figure> fewer = new EnumMap<>(Measure.class);
        fewer.putAll(units.get(0).figures());
        fewer.remove(SOME.get(random.nextInt(4)));
        units.set(0, new Candidate("unit 0", fewer));
      }
      Set<Measure> cares = EnumSet.of(SOME.get(random.nextInt(4)));
      SOME.stream().filter(m -> random.nextBoolean()).forEach(cares::add);
      Map<String, List<String>> beaten = Beaten.by(units, cares);
      for (Candidate one : units) {
        List<String> by = new ArrayList<>();
        for (Candidate other : units) {
          boolean all = !one.name().equals(other.name());
          boolean some = false;
          for (Measure m : cares) {
            if (one.figure(m).isEmpty() || other.figure(m).isEmpty()) {
              all = false;
              continue;
            }
            double x = one.figure(m).get().value() * (m.higherIsBetter() ? 1 : -1);
            double y = other.figure(m).get().value() * (m.higherIsBetter() ? 1 : -1);
            all &= y >= x;
            some |= y > x;
          }
          if (all && some) {
            by.add(other.name());
          }
        }
        assertEquals(beaten.get(one.name()), by);
      }
    }
  }

  /** What was only held so far may hold more: nobody beats it by that. */
  @Test
  public void aBoundIsNotBeatenByWhatItMayReach() {
    Figure held = figure(Measure.CONTINUOUS, 1200, 5).bounded(Bound.AT_LEAST);
    Candidate small = new Candidate("small", Map.of(Measure.CONTINUOUS, held));
    Candidate large =
        new Candidate("large", Map.of(Measure.CONTINUOUS, figure(Measure.CONTINUOUS, 2200, 5)));
    Set<Measure> cares = Set.of(Measure.CONTINUOUS);
    assertEquals(Beaten.by(List.of(small, large), cares).get("small"), List.of());
    Candidate tripped =
        new Candidate("tripped", Map.of(Measure.CONTINUOUS, figure(Measure.CONTINUOUS, 900, 5)));
    assertEquals(Beaten.by(List.of(small, tripped), cares).get("tripped"), List.of("small"));
  }

  /** Moved a hair less than it may, the first stays first; a hair more and it does not. */
  @Test
  public void aWeightMayMoveAsFarAsIsSaid() {
    Random random = new Random(3);
    int crossings = 0;
    int rounds = Thorough.tries(15, 100);
    for (int round = 0; round < rounds; round++) {
      List<Candidate> units = units(random, 4, 0.01);
      Map<Measure, Double> weights = weights(random);
      Order order = Order.of(units, weights);
      String first = order.places().get(0).name();
      for (Measure m : SOME) {
        Order.Room room = order.room().get(m);
        if (Double.isFinite(room.up())) {
          crossings++;
          assertEquals(first(units, weights, m, room.up() - 1e-6), first);
          assertEquals(first(units, weights, m, room.up() + 1e-6), room.above());
        } else {
          assertEquals(first(units, weights, m, 1e4), first);
        }
        if (room.down() > 1e-5) {
          crossings++;
          assertEquals(first(units, weights, m, room.down() + 1e-6), first);
          assertEquals(first(units, weights, m, room.down() - 1e-6), room.below());
        }
      }
    }
    assertTrue(crossings > rounds, "some weights turn the order: " + crossings);
  }

  private static String first(
      List<Candidate> units, Map<Measure, Double> weights, Measure m, double weight) {
    Map<Measure, Double> moved = new EnumMap<>(weights);
    moved.put(m, weight);
    return Order.of(units, moved).places().get(0).name();
  }

  /** A unit of which something one cares for is missing has no place, and it is said what. */
  @Test
  public void whatIsMissingHasNoPlace() {
    Candidate whole =
        new Candidate(
            "whole",
            Map.of(
                Measure.DELIVERED,
                figure(Measure.DELIVERED, 900, 5),
                Measure.IDLE,
                figure(Measure.IDLE, 9, 0.2)));
    Candidate part =
        new Candidate("part", Map.of(Measure.DELIVERED, figure(Measure.DELIVERED, 950, 5)));
    Order order =
        Order.of(
            List.of(whole, part),
            Map.of(Measure.DELIVERED, 1.0, Measure.IDLE, 2.0, Measure.NOISE, 0.0));
    assertEquals(order.places().size(), 1);
    assertEquals(order.places().get(0).first(), 1.0, 1e-9);
    assertEquals(order.leftOut(), Map.of("part", List.of(Measure.IDLE)));
    assertTrue(Order.of(List.of(whole), Map.of()).places().isEmpty());
  }
}
