package org.wiseember.core.solar;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.OptionalDouble;

/**
 * Every way to wire the panels on hand into a port, held against its volts on the coldest morning
 * and against what it draws. Only volts can refuse a way; more amps or watts than a port takes are
 * not pushed into it.
 */
public final class Designer {
  /** Ways whose day is within this share of the best are as good. */
  private static final double AS_GOOD = 0.02;

  private static final double WASTEFUL = 0.7;

  /** How a way stands. */
  public enum Standing {
    NEVER("never"),
    BEST("best of what you have"),
    AS_GOOD("as good"),
    ALLOWED("allowed"),
    WASTEFUL("allowed, wasteful"),
    NOTHING("gives nothing");

    private final String words;

    Standing(String words) {
      this.words = words;
    }

    public String words() {
      return words;
    }
  }

  /**
   * One way and what becomes of it.
   *
   * @param coldVolts open circuit on the coldest morning, V
   * @param fullSunWatts the port draws at 1 000 W/m² and warm cells, W
   * @param dayWattHours the port draws over the day, Wh
   */
  public record Way(
      Arrangement arrangement,
      double coldVolts,
      double fullSunWatts,
      double dayWattHours,
      Standing standing) {}

  private Designer() {}

  /**
   * All ways, the best first, those that must never be made last.
   *
   * @param onHand panels and how many of each, at most 24 of one
   */
  public static List<Way> ways(Map<Panel, Integer> onHand, Port port, Site site) {
    List<Way> found = new ArrayList<>();
    for (Map.Entry<Panel, Integer> some : onHand.entrySet()) {
      DiodeModel model = DiodeModel.of(some.getKey());
      int most = Math.min(24, some.getValue());
      for (int series = 1; series <= most; series++) {
        for (int parallel = 1; series * parallel <= most; parallel++) {
          found.add(way(new Arrangement(some.getKey(), series, parallel), model, port, site));
        }
      }
    }
    OptionalDouble best = found.stream().mapToDouble(Way::dayWattHours).max();
    List<Way> ranked = new ArrayList<>();
    found.sort(
        Comparator.comparing((Way w) -> w.standing() == Standing.NEVER)
            .thenComparing(Comparator.comparingDouble(Way::dayWattHours).reversed())
            .thenComparingInt(w -> w.arrangement().panels()));
    boolean first = true;
    for (Way w : found) {
      Standing standing = standing(w, best.orElse(0), first);
      first &= standing != Standing.BEST;
      ranked.add(
          new Way(w.arrangement(), w.coldVolts(), w.fullSunWatts(), w.dayWattHours(), standing));
    }
    return ranked;
  }

  private static Standing standing(Way w, double best, boolean first) {
    if (w.standing() == Standing.NEVER) {
      return Standing.NEVER;
    }
    if (w.dayWattHours() <= 0) {
      return Standing.NOTHING;
    }
    if (first && w.dayWattHours() >= best - 1e-9) {
      return Standing.BEST;
    }
    if (w.dayWattHours() >= (1 - AS_GOOD) * best) {
      return Standing.AS_GOOD;
    }
    return w.fullSunWatts() < WASTEFUL * w.arrangement().plateWatts()
        ? Standing.WASTEFUL
        : Standing.ALLOWED;
  }

  private static Way way(Arrangement a, DiodeModel model, Port port, Site site) {
    double cold = a.coldVolts(site.coldestCelsius());
    if (!a.allowed(port, site.coldestCelsius())) {
      return new Way(a, cold, 0, 0, Standing.NEVER);
    }
    return new Way(
        a,
        cold,
        a.drawn(model, port, 1000, CellWarmth.celsius(site.airCelsius(), 1000))[2],
        DayCurve.of(a, port, site).wattHours(),
        Standing.ALLOWED);
  }

  /**
   * What the three schools say of so much panel on a port, a sentence.
   *
   * @param plateWatts of all panels, W
   * @param port whose watts it is held against
   */
  public static String schools(double plateWatts, Port port) {
    if (Double.isInfinite(port.watts())) {
      return "The port names no watts, so no school has anything to say of the panels'.";
    }
    long percent = Math.round(100 * plateWatts / port.watts());
    String verdict =
        percent <= 110
            ? "within what all three schools allow"
            : percent <= 150
                ? "more than makers of controllers allow, and usual advice"
                : percent <= 200
                    ? "more than usual advice; some run it in poor light"
                    : "more than any school advises";
    return percent
        + " % of the port's watts: "
        + verdict
        + ". Makers of controllers say up to 110 %, usual advice is 125 to 150 %, and on a port that"
        + " limits its own amps some run 200 % in poor light. Volts are the line nobody crosses.";
  }
}
