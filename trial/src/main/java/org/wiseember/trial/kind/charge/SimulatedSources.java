package org.wiseember.trial.kind.charge;

import java.util.Optional;
import org.wiseember.bench.simulated.feed.DcFeed;
import org.wiseember.bench.simulated.feed.DcSource;
import org.wiseember.bench.simulated.feed.Feeds;
import org.wiseember.bench.simulated.feed.PanelFeed;
import org.wiseember.core.charge.ChargeSource;
import org.wiseember.core.charge.Inlet;
import org.wiseember.core.solar.SunDay;
import org.wiseember.trial.onhand.ChargeSetting;

/** What stands by to charge a unit on the simulated bench. */
final class SimulatedSources {
  /** Panels are put up in the middle of the morning, solar hour. */
  private static final double FROM_HOUR = 9.5;

  private static final double SECONDS_AN_HOUR = 3600;

  /** Clouds pass in so many seconds, in two unlike rhythms. */
  private static final double[] CLOUDS = {870, 2300};

  private SimulatedSources() {}

  static Feeds of(ChargeSetting setting, long seed) {
    Optional<DcFeed> dc =
        setting.sources().contains(ChargeSource.SOLAR)
            ? setting.panels().map(p -> panels(setting, seed))
            : setting.sources().contains(ChargeSource.CAR)
                ? Optional.of(DcSource.car())
                : setting.sources().contains(ChargeSource.BATTERY)
                        || setting.sources().contains(ChargeSource.SUPPLY)
                    ? Optional.of(DcSource.battery())
                    : Optional.empty();
    double usb = setting.sources().contains(ChargeSource.TWO_USB_C) ? 2 : 1;
    return new Feeds(dc, setting.through(Inlet.USB_C) ? usb * setting.usbWatts() : 0);
  }

  private static DcFeed panels(ChargeSetting setting, long seed) {
    SunDay clear = clear(setting.site().day());
    double cloudiness = setting.site().day().cloudiness();
    return new PanelFeed(
        setting.panels().orElseThrow(),
        s -> clear.light(FROM_HOUR + s / SECONDS_AN_HOUR) * through(s, cloudiness, seed),
        setting.site().airCelsius());
  }

  /** The day without its clouds, which pass one by one instead of as a mean. */
  private static SunDay clear(SunDay day) {
    return new SunDay(day.latitude(), day.dayOfYear(), day.tilt(), day.turned(), 0);
  }

  /** The share of the light that clouds let through: broken where it is half cloudy. */
  private static double through(double seconds, double cloudiness, long seed) {
    double a = Math.sin(seconds / CLOUDS[0] + seed);
    double b = Math.sin(seconds / CLOUDS[1] + 2.3 * seed);
    double sky = (2 + a + b) / 4;
    return sky < cloudiness ? 0.4 : 1;
  }
}
