package org.wiseember.core.charge;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import org.wiseember.core.solar.Port;
import org.wiseember.core.trace.Channel;
import org.wiseember.core.trace.Series;
import org.wiseember.core.trace.Trace;

/**
 * Names for each inlet and each moment of a charge what keeps it from more. An inlet at its own
 * level is bound by the source or by the port; one that falls below it is bound by the shared cap
 * where all together are at their most, by the cells behind the knee, by the warmth where it falls
 * as the case warms.
 */
final class LimitFinder {
  private static final int MOST_CELLS = 600;

  /** An inlet within this share of its level is at it. */
  private static final double AT_LEVEL = 0.985;

  private static final double BELOW = 0.95;
  private static final double REACHED = 0.998;

  /** A level that is reached in full course takes 0.37 of this; one that is crept up to, 1.7. */
  private static final double CREEP = 0.65;

  /** What a port limits lies this near to its limit. */
  private static final double FLAT = 0.993;

  /** As flat as a port's limit a noon sun may be; so near to the label's it is the port's. */
  private static final double PRINTED = 0.94;

  private static final double LEAST_AMPS = 0.05;

  /** What nothing explains and is no deeper is a ripple of the level. */
  private static final double RIPPLE = 0.955;

  /** A found limit this near to the label's is the port's own. */
  private static final double PORTS_OWN = 0.88;

  /** Lithium cells are not charged below 0 °C; they lag behind a case that warms up, °C. */
  private static final double COLD = 8;

  /** Panels that could give so much more than they do are held back by something else. */
  private static final double LIT = 0.93;

  /** Light that varies by less says nothing of what binds. */
  private static final double STEADY = 0.06;

  private final Inputs inputs;
  private final KnownInputs known;
  private final double knee;
  private final Bins bins;
  private final double[] whole;
  private final double[] celsius;
  private final double[] volts;
  private final double[] amps;
  private final double[] lux;
  private final double cap;

  /** Null where the mains were not logged. */
  private final double[] mains;

  private final Optional<Sun> sun;
  private Optional<Derating> derating = Optional.empty();
  private OptionalDouble coldUntil = OptionalDouble.empty();

  /**
   * @param knee where all together begin to fall for good, s in the log; empty where they do not
   */
  LimitFinder(Trace trace, Inputs inputs, KnownInputs known, OptionalDouble knee) {
    this.inputs = inputs;
    this.known = known;
    this.knee = knee.orElse(Double.POSITIVE_INFINITY);
    Series all = inputs.whole();
    int n = Math.max(1, Math.min(MOST_CELLS, all.size() / 2));
    this.bins = new Bins(all.seconds(0), all.seconds(all.size() - 1), n);
    this.whole = bins.medians(all);
    this.celsius = bins.medians(trace.series(Channel.CASE_TEMPERATURE));
    this.volts = bins.medians(trace.series(Channel.IN_VOLTAGE));
    this.amps = bins.medians(trace.series(Channel.IN_CURRENT));
    this.lux = bins.medians(trace.series(Channel.ILLUMINANCE));
    this.cap = Level.of(whole);
    this.sun = Sun.of(trace, inputs);
    Series wall = inputs.parts().get(Inlet.WALL);
    this.mains = wall == null ? null : bins.medians(wall);
  }

  List<LimitBand> find() {
    List<LimitBand> bands = new ArrayList<>();
    for (Inlet inlet : Inlet.values()) {
      Series part = inputs.parts().get(inlet);
      if (part != null) {
        double[] watts = inlet == Inlet.WALL ? mains : bins.medians(part);
        bands.add(
            new LimitBand(
                inlet, stretches(inlet == Inlet.DC ? direct(watts) : stiff(inlet, watts))));
      }
    }
    return bands;
  }

  /** By warmth; known once all is named. */
  Optional<Derating> derating() {
    return derating;
  }

  /** Of the case when a unit too cold to charge began; known once all is named. */
  OptionalDouble coldUntil() {
    return coldUntil;
  }

  /** The DC input drew and held, A. */
  OptionalDouble mostAmps() {
    double most = Level.of(amps, LEAST_AMPS);
    return most > 0 ? OptionalDouble.of(most) : OptionalDouble.empty();
  }

  /** An inlet whose source has a level of its own: the wall, USB-C, an input nobody named. */
  private LimitingFactor[] stiff(Inlet inlet, double[] watts) {
    double found = Level.of(watts);
    LimitingFactor own = ownLimit(inlet, found);
    return name(watts, promised(inlet, watts, found), c -> own);
  }

  private LimitingFactor ownLimit(Inlet inlet, double level) {
    if (inlet == Inlet.USB_C && level < PORTS_OWN * known.usbWatts()) {
      return LimitingFactor.SOURCE;
    }
    return LimitingFactor.WATTS;
  }

  /**
   * The level an inlet would reach, by its label, where it never came near while the case was warm.
   */
  private double promised(Inlet inlet, double[] watts, double found) {
    boolean mains = inlet == Inlet.WALL || inlet == Inlet.ANY;
    double coolest = Double.POSITIVE_INFINITY;
    for (int c = 0; c < watts.length; c++) {
      if (Level.on(watts[c], found) && bins.begin(c + 1) <= knee) {
        coolest = Math.min(coolest, celsius[c]);
      }
    }
    return mains && found < PORTS_OWN * known.mainsWatts() && coolest >= ChargeProfile.WARM
        ? known.mainsWatts()
        : found;
  }

  private interface Own {
    LimitingFactor at(int bin);
  }

  private LimitingFactor[] name(double[] watts, double level, Own own) {
    boolean[] held = new boolean[watts.length];
    boolean[] counts = new boolean[watts.length];
    boolean[] shared = new boolean[watts.length];
    boolean[] byMains = new boolean[watts.length];
    for (int c = 0; c < watts.length; c++) {
      held[c] = watts[c] < AT_LEVEL * level;
      boolean atCap = whole[c] >= AT_LEVEL * cap && Level.on(whole[c] - watts[c], cap);
      byMains[c] = held[c] && atCap && watts != mains && mainsHeld(c);
      shared[c] = held[c] && atCap && !byMains[c];
      counts[c] = Level.on(watts[c], level) && !shared[c] && bins.begin(c + 1) <= knee;
    }
    Optional<Warmth> warm = Warmth.of(held, counts, celsius);
    boolean creeping = creepsUp(watts, level, counts);
    LimitingFactor[] named = new LimitingFactor[watts.length];
    for (int c = 0; c < watts.length; c++) {
      // By elimination: what holds a warm unit back before its cells fill is its warmth.
      boolean hot =
          celsius[c]
              >= Math.min(
                  ChargeProfile.WARM, warm.map(Warmth::celsius).orElse(ChargeProfile.WARM) - 0.2);
      if (!Level.on(watts[c], level)) {
        named[c] = shared[c] ? LimitingFactor.SHARED_CAP : off(c, level);
      } else if (!held[c]) {
        named[c] =
            creeping && celsius[c] >= ChargeProfile.WARM ? LimitingFactor.TEMPERATURE : own.at(c);
      } else if (shared[c]) {
        named[c] = LimitingFactor.SHARED_CAP;
      } else if (byMains[c]) {
        named[c] = LimitingFactor.SOURCE;
      } else if (bins.middle(c) >= knee) {
        named[c] = LimitingFactor.TAPER;
      } else {
        boolean ripple = watts[c] >= RIPPLE * level;
        named[c] = hot ? LimitingFactor.TEMPERATURE : ripple ? own.at(c) : LimitingFactor.UNKNOWN;
      }
    }
    derated(watts, level, named, warm);
    return named;
  }

  /**
   * Whether the mains give way at a moment. They could give more, so that what another source lacks
   * then is that source's own doing.
   */
  private boolean mainsHeld(int c) {
    return mains != null && mains[c] < AT_LEVEL * Level.of(mains);
  }

  /** Keeps how far warmth held an inlet back, the worst of all inlets. */
  private void derated(
      double[] watts, double level, LimitingFactor[] named, Optional<Warmth> warm) {
    double least = 1;
    int count = 0;
    for (int c = 0; c < watts.length; c++) {
      if (named[c] == LimitingFactor.TEMPERATURE && Level.on(watts[c], level)) {
        least = Math.min(least, watts[c] / level);
        count++;
      }
    }
    if (count > 1 && (derating.isEmpty() || least < derating.get().leastShare())) {
      OptionalDouble from =
          warm.map(w -> OptionalDouble.of(w.celsius())).orElse(OptionalDouble.empty());
      derating = Optional.of(new Derating(from, least, count * bins.width()));
    }
  }

  /**
   * Whether its level is one it only creeps up to, ever more slowly, as a pack does that cools down
   * to where its own warmth keeps it. A level of its own is reached in full course.
   */
  private boolean creepsUp(double[] watts, double level, boolean[] counts) {
    int low = -1;
    int near = -1;
    for (int c = 0; c < watts.length; c++) {
      if (!counts[c]) {
        continue;
      }
      if (watts[c] < BELOW * level) {
        low = c;
        near = -1;
      } else if (low >= 0 && near < 0 && watts[c] >= AT_LEVEL * level) {
        near = c;
      } else if (near >= 0 && watts[c] >= REACHED * level) {
        return c - near - 1 > CREEP * (near - low);
      }
    }
    return near >= 0;
  }

  /**
   * Why nothing goes in: a cold case before anything did; nearly full bins that leave the rest to
   * another inlet; else nothing is plugged in, or it is full.
   */
  private LimitingFactor off(int bin, double level) {
    if (bins.middle(bin) >= knee && level > 0 && Level.on(whole[bin], cap)) {
      return LimitingFactor.TAPER;
    }
    for (int c = 0; c < bin; c++) {
      if (Level.on(whole[c], cap)) {
        return LimitingFactor.NOTHING;
      }
    }
    if (!(celsius[bin] < COLD)) {
      return LimitingFactor.NOTHING;
    }
    coldUntil = OptionalDouble.of(firstOn());
    return LimitingFactor.TEMPERATURE;
  }

  /** Of the case when anything first went in, °C; NaN where nothing ever did. */
  private double firstOn() {
    for (int c = 0; c < whole.length; c++) {
      if (Level.on(whole[c], cap)) {
        return celsius[c];
      }
    }
    return Double.NaN;
  }

  /** The DC input, of which volts and amps may be known. */
  private LimitingFactor[] direct(double[] watts) {
    double level = Level.of(watts);
    double most = Level.of(amps, LEAST_AMPS);
    LimitingFactor[] named =
        sun.isPresent()
            ? sunny(watts, level, most, sun.get())
            : name(watts, level, c -> ownDirect(c, watts[c], level, most));
    known.dc().ifPresent(port -> outside(port, watts, level, named));
    return named;
  }

  /** Volts outside the window bind while nothing flows. */
  private void outside(Port port, double[] watts, double level, LimitingFactor[] named) {
    for (int c = 0; c < named.length; c++) {
      boolean refused =
          volts[c] > 1 && (volts[c] < port.leastVolts() || volts[c] > port.mostVolts());
      if (refused && !Level.on(watts[c], level)) {
        named[c] = LimitingFactor.VOLTS;
      }
    }
  }

  private LimitingFactor ownDirect(int c, double watts, double level, double most) {
    if (known.dc().isEmpty()) {
      return LimitingFactor.SOURCE;
    }
    Port port = known.dc().get();
    double ofWatts = level / port.watts();
    double ofAmps = most / port.amps();
    boolean wattsNear = ofWatts >= PORTS_OWN && watts >= AT_LEVEL * level;
    boolean ampsNear = ofAmps >= PORTS_OWN && amps[c] >= AT_LEVEL * most;
    if (wattsNear && ampsNear) {
      return ofWatts >= ofAmps ? LimitingFactor.WATTS : LimitingFactor.AMPS;
    }
    return wattsNear
        ? LimitingFactor.WATTS
        : ampsNear ? LimitingFactor.AMPS : LimitingFactor.SOURCE;
  }

  /** Panels: what they give follows the light until the port or the pack wants no more. */
  private LimitingFactor[] sunny(double[] watts, double level, double most, Sun light) {
    boolean steady = spread(lux) < STEADY;
    LimitingFactor[] named = new LimitingFactor[watts.length];
    for (int c = 0; c < watts.length; c++) {
      boolean lit = watts[c] < LIT * light.wattsPerLux() * lux[c];
      LimitingFactor own = ownDirect(c, watts[c], level, most);
      if (!Level.on(watts[c], level)) {
        named[c] = off(c, level);
      } else if (own != LimitingFactor.SOURCE
          && (lit || steady || flat(c, watts[c], level, most))) {
        named[c] = own;
      } else if (lit && watts[c] < AT_LEVEL * level && light.upTheCurve(volts[c])) {
        named[c] = bins.middle(c) >= knee ? LimitingFactor.TAPER : LimitingFactor.SHARED_CAP;
      } else {
        named[c] = LimitingFactor.SOURCE;
      }
    }
    return named;
  }

  /** Right at the highest watts or amps that were ever held, and these at the label's. */
  private boolean flat(int c, double watts, double level, double most) {
    Port port = known.dc().orElseThrow();
    boolean ofWatts = watts >= FLAT * level && level >= PRINTED * port.watts();
    boolean ofAmps = amps[c] >= FLAT * most && most >= PRINTED * port.amps();
    return ofWatts || ofAmps;
  }

  /** Nine tenths of all lie within this share of the middle. */
  private static double spread(double[] values) {
    double[] sorted = values.clone();
    Arrays.sort(sorted);
    int n = sorted.length;
    return (sorted[(int) (0.95 * (n - 1))] - sorted[(int) (0.05 * (n - 1))]) / sorted[n / 2];
  }

  private List<LimitBand.Stretch> stretches(LimitingFactor[] named) {
    List<LimitBand.Stretch> found = new ArrayList<>();
    int from = 0;
    for (int c = 1; c <= named.length; c++) {
      if (c == named.length || named[c] != named[from]) {
        found.add(new LimitBand.Stretch(bins.begin(from), bins.begin(c), named[from]));
        from = c;
      }
    }
    return found;
  }
}
