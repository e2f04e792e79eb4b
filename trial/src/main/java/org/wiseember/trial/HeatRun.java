package org.wiseember.trial;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalInt;
import org.wiseember.core.figure.Because;
import org.wiseember.core.figure.Warning;
import org.wiseember.core.heat.FanSteps;
import org.wiseember.core.heat.HeatRise;
import org.wiseember.core.heat.HotSpot;
import org.wiseember.core.noise.SoundLevel;
import org.wiseember.core.quantity.Figures;
import org.wiseember.core.quantity.Unit;
import org.wiseember.core.trace.Trace;
import org.wiseember.core.trace.Treatment;
import org.wiseember.core.uncertainty.Budget;
import org.wiseember.core.uncertainty.Contribution;
import org.wiseember.core.uncertainty.Estimate;
import org.wiseember.core.uncertainty.MeterClass;
import org.wiseember.workbook.Run;

/**
 * A unit felt and heard from light to heavy loads.
 *
 * @param rise under the last load; empty where it was not read
 * @param background sound of the room, dB; NaN where it was not read
 * @param heard sound at each load
 * @param metres from the unit to the sound meter
 * @param soundMeter its class
 * @param fan its step under each load; nothing seen where nobody noted it
 * @param spot the hottest place; empty where none was read
 */
public record HeatRun(
    Run run,
    Trace trace,
    Treatment treatment,
    Optional<HeatRise> rise,
    double background,
    List<Heard> heard,
    double metres,
    MeterClass soundMeter,
    FanSteps fan,
    Optional<HotSpot> spot)
    implements TestRun {
  /**
   * The sound at one load.
   *
   * @param words the load
   * @param watts mean, W; NaN where not read
   * @param all with the room in it, dB
   * @param fan its step; empty where nobody noted it
   */
  public record Heard(String words, double watts, double all, OptionalInt fan) {}

  public HeatRun {
    heard = List.copyOf(heard);
  }

  /** The unit alone at the meter's distance, dB. */
  public double alone(Heard h) {
    return Double.isNaN(background) ? h.all() : SoundLevel.without(h.all(), background);
  }

  private Optional<Heard> loudest() {
    return heard.stream().max((a, b) -> Double.compare(a.all(), b.all()));
  }

  /**
   * The loudest it was, at another distance, dB.
   *
   * @param at m
   */
  public Optional<Estimate> loudest(double at) {
    return loudest()
        .map(h -> new Estimate(SoundLevel.at(alone(h), metres, at), budget(h, at).u95()));
  }

  private Budget budget(Heard h, double at) {
    Budget budget = new Budget(List.of()).with("Sound meter", soundMeter, h.all(), 1);
    if (!Double.isNaN(background)) {
      budget =
          budget.with(
              Contribution.rectangular(
                  "Background", SoundLevel.backgroundSensitivity(h.all(), background)));
    }
    if (at != metres) {
      // In a room the level falls by less than in the open.
      double moved = Math.abs(SoundLevel.at(0, metres, at));
      budget = budget.with(Contribution.rectangular("Distance, in a room", moved / 3));
    }
    return budget;
  }

  /** Behind the noise at a distance. */
  public Optional<Because> becauseOfNoise(double at) {
    return loudest()
        .map(
            h -> {
              List<String> sum = new ArrayList<>();
              sum.add("Loudest at " + h.words() + ": " + Figures.fixed(h.all(), 1) + " dB");
              if (!Double.isNaN(background)) {
                sum.add(
                    "Room alone "
                        + Figures.fixed(background, 1)
                        + " dB: 10·lg(10^"
                        + Figures.fixed(h.all() / 10, 2)
                        + " − 10^"
                        + Figures.fixed(background / 10, 2)
                        + ") = "
                        + Figures.fixed(alone(h), 1)
                        + " dB");
              }
              if (at != metres) {
                sum.add(
                    "From "
                        + Figures.plain(metres)
                        + " m to "
                        + Figures.plain(at)
                        + " m: − 20·lg("
                        + Figures.plain(at)
                        + " ÷ "
                        + Figures.plain(metres)
                        + ") = "
                        + Figures.fixed(SoundLevel.at(0, metres, at), 1)
                        + " dB");
              }
              Estimate e = loudest(at).orElseThrow();
              List<String> watch = new ArrayList<>();
              if (!Double.isNaN(background) && !SoundLevel.standsOut(h.all(), background)) {
                watch.add(
                    "Hardly louder than the room: the figure is an upper limit. Measure at night.");
              }
              if (Double.isNaN(background)) {
                watch.add("The room alone was not read, so its sound counts as the unit's.");
              }
              watch.add("The distance rule holds in the open; in a room it falls by less.");
              return new Because(
                  "Noise at " + Figures.plain(at) + " m",
                  Figures.withUncertainty(e.value(), e.u95(), Unit.DECIBEL),
                  "loudest of " + heard.size() + " loads, room taken out",
                  sum,
                  Unit.DECIBEL,
                  budget(h, at),
                  watch,
                  "Some measure at 0.3 m, some at 1 m, some where they sit; without the distance a"
                      + " level says nothing.");
            });
  }

  @Override
  public Optional<Because> because() {
    return rise.map(HeatRise::because)
        .or(() -> spot.map(HotSpot::because))
        .or(() -> becauseOfNoise(metres));
  }

  @Override
  public List<Warning> warnings() {
    return rise.map(HeatRise::warnings)
        .orElse(
            List.of(
                new Warning(
                    "no_rise", "The case was not read often enough to tell how it warms.")));
  }
}
