package org.wiseember.bench.simulated;

import java.util.EnumMap;
import java.util.Map;
import org.wiseember.bench.simulated.design.ChargerDesign;
import org.wiseember.bench.simulated.feed.DcFeed;
import org.wiseember.bench.simulated.feed.Feeds;
import org.wiseember.core.charge.Inlet;
import org.wiseember.core.charge.LimitingFactor;

/**
 * What each inlet takes at a moment, and what keeps it from more: the DC input first, USB-C next,
 * the wall tops up to the cap.
 *
 * @param dc where the DC input works
 * @param usbWatts through USB-C, W
 * @param wallWatts from the wall into the charger, W
 * @param limits what binds each inlet that is fed
 */
record Intake(
    DcFeed.Point dc, double usbWatts, double wallWatts, Map<Inlet, LimitingFactor> limits) {
  static final Intake NOTHING =
      new Intake(new DcFeed.Point(0, 0, LimitingFactor.NOTHING), 0, 0, Map.of());

  Intake {
    limits = Map.copyOf(limits);
  }

  /** All of them, W. */
  double watts() {
    return dc.watts() + usbWatts + wallWatts;
  }

  /**
   * Splits what a unit takes.
   *
   * @param feeds what is plugged in
   * @param cells the most the pack takes now, in watts at the charger's source side
   * @param seconds on the bench clock
   */
  static Intake of(
      ChargerDesign charger,
      Feeds feeds,
      boolean wall,
      double stateOfCharge,
      double packCelsius,
      double cells,
      double seconds) {
    double taper = charger.taperShare(stateOfCharge);
    double warmth = charger.warmthShare(packCelsius);
    double share = Math.min(taper, warmth);
    boolean byCells = cells < charger.capWatts() * share;
    LimitingFactor pack =
        byCells || taper <= warmth ? LimitingFactor.TAPER : LimitingFactor.TEMPERATURE;
    boolean held = byCells || share < 1;
    double cap = Math.min(charger.capWatts() * share, cells);
    Map<Inlet, LimitingFactor> limits = new EnumMap<>(Inlet.class);

    DcFeed.Point dc = NOTHING.dc();
    if (feeds.dc().isPresent()) {
      dc = feeds.dc().get().drawn(charger.dcPort(), cap, seconds);
      limits.put(
          Inlet.DC,
          dc.limit() != LimitingFactor.NOTHING
              ? dc.limit()
              : held ? pack : LimitingFactor.SHARED_CAP);
    }
    double left = Math.max(0, cap - dc.watts());
    double usb = 0;
    if (feeds.usbWatts() > 0) {
      double most = Math.min(feeds.usbWatts(), charger.usbWatts());
      usb = Math.min(most, left);
      limits.put(
          Inlet.USB_C,
          usb < most
              ? held ? pack : LimitingFactor.SHARED_CAP
              : feeds.usbWatts() < charger.usbWatts()
                  ? LimitingFactor.SOURCE
                  : LimitingFactor.WATTS);
    }
    left = Math.max(0, left - usb);
    double fromWall = 0;
    if (wall) {
      fromWall = Math.min(charger.wallWatts() * share, left);
      limits.put(
          Inlet.WALL,
          held
              ? pack
              : fromWall < charger.wallWatts() ? LimitingFactor.SHARED_CAP : LimitingFactor.WATTS);
    }
    return new Intake(dc, usb, fromWall, limits);
  }

  /** Nothing is taken from what is plugged in, for one reason. */
  static Intake closed(Feeds feeds, boolean wall, LimitingFactor why, double seconds) {
    Map<Inlet, LimitingFactor> limits = new EnumMap<>(Inlet.class);
    feeds.dc().ifPresent(f -> limits.put(Inlet.DC, why));
    if (feeds.usbWatts() > 0) {
      limits.put(Inlet.USB_C, why);
    }
    if (wall) {
      limits.put(Inlet.WALL, why);
    }
    double volts = feeds.dc().map(f -> f.openVolts(seconds)).orElse(0.0);
    return new Intake(new DcFeed.Point(volts, 0, why), 0, 0, limits);
  }
}
