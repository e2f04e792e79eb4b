package org.wiseember.core.noise;

import java.util.ArrayList;
import java.util.List;
import org.wiseember.core.figure.Because;
import org.wiseember.core.figure.Bound;
import org.wiseember.core.figure.Figure;
import org.wiseember.core.quantity.Figures;
import org.wiseember.core.quantity.Unit;
import org.wiseember.core.uncertainty.Budget;
import org.wiseember.core.uncertainty.Contribution;
import org.wiseember.core.uncertainty.MeterClass;

/**
 * How loud a unit was at a load, the room taken out, at the meter's distance or another.
 *
 * @param load in words
 * @param all with the room in it, dB
 * @param background the room alone, dB; NaN where it was not read
 * @param metres from the unit to the sound meter
 * @param meter its class
 */
public record Noise(String load, double all, double background, double metres, MeterClass meter) {
  /** The unit alone at the meter's distance, dB. */
  public double alone() {
    return roomRead() ? SoundLevel.without(all, background) : all;
  }

  /** Whether the unit stands out of the room; where not, its level is an upper limit. */
  public boolean standsOut() {
    return roomRead() && SoundLevel.standsOut(all, background);
  }

  private boolean roomRead() {
    return !Double.isNaN(background);
  }

  /**
   * The level at a distance, dB; an upper limit where the room was as loud or was not read.
   *
   * @param at m
   */
  public Figure at(double at) {
    double level = SoundLevel.at(alone(), metres, at);
    Figure figure =
        Figure.of(
            "noise@" + Figures.plain(at),
            "Noise at " + Figures.plain(at, Unit.METRE),
            level,
            Unit.DECIBEL,
            Because.of(budget(at), sum(at))
                .summed(
                    roomRead()
                        ? "at " + load + ", room taken out"
                        : "at " + load + ", with the room")
                .watching(watch())
                .otherwise(
                    "Some measure at 0.3\u00a0m, some at 1\u00a0m, some where they sit; without the distance a"
                        + " level says nothing."));
    return standsOut() ? figure : figure.bounded(Bound.AT_MOST);
  }

  private Budget budget(double at) {
    Budget budget = Budget.of().with("Sound meter", meter, all, 1);
    if (roomRead()) {
      budget =
          budget.with(
              Contribution.rectangular(
                  "Background", SoundLevel.backgroundSensitivity(all, background)));
    }
    if (at != metres) {
      // In a room the level falls by less than in the open.
      budget =
          budget.with(
              Contribution.rectangular(
                  "Distance, in a room", Math.abs(SoundLevel.at(0, metres, at)) / 3));
    }
    return budget;
  }

  private List<String> sum(double at) {
    List<String> sum = new ArrayList<>();
    sum.add("Loudest at " + load + ": " + Figures.fixed(all, 1) + " dB");
    if (roomRead()) {
      sum.add(
          "Room alone "
              + Figures.fixed(background, 1)
              + " dB: 10·lg(10^"
              + Figures.fixed(all / 10, 2)
              + " − 10^"
              + Figures.fixed(background / 10, 2)
              + ") = "
              + Figures.fixed(alone(), 1)
              + " dB");
    }
    if (at != metres) {
      sum.add(
          "From "
              + Figures.plain(metres, Unit.METRE)
              + " to "
              + Figures.plain(at, Unit.METRE)
              + ": − 20·lg("
              + Figures.plain(at)
              + " ÷ "
              + Figures.plain(metres)
              + ") = "
              + Figures.fixed(SoundLevel.at(0, metres, at), 1)
              + " dB");
    }
    return sum;
  }

  private List<String> watch() {
    List<String> watch = new ArrayList<>();
    if (roomRead() && !standsOut()) {
      watch.add("Hardly louder than the room: the figure is an upper limit. Measure at night.");
    }
    if (!roomRead()) {
      watch.add("The room alone was not read, so its sound counts as the unit's.");
    }
    watch.add("The distance rule holds in the open; in a room it falls by less.");
    return watch;
  }
}
