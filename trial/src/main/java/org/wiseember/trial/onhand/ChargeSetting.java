package org.wiseember.trial.onhand;

import java.util.EnumSet;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;
import java.util.stream.Collectors;
import org.wiseember.core.charge.ChargeSource;
import org.wiseember.core.charge.Inlet;
import org.wiseember.core.solar.Arrangement;
import org.wiseember.core.solar.Panel;
import org.wiseember.core.solar.Site;
import org.wiseember.core.solar.SunDay;

/**
 * What a unit is charged from.
 *
 * @param sources at least one, no two into one inlet
 * @param panels how they are wired, where they are among the sources
 * @param site where they stand
 * @param usbWatts what the USB-C charger gives, W
 * @param slowed what the unit itself was set to, where that is not its fastest; else empty
 */
public record ChargeSetting(
    Set<ChargeSource> sources,
    Optional<Arrangement> panels,
    Site site,
    double usbWatts,
    String slowed) {
  /** A charger many have, W. */
  public static final double USUAL_USB = 100;

  public static final ChargeSetting WALL =
      new ChargeSetting(Set.of(ChargeSource.WALL), Optional.empty(), Site.USUAL, USUAL_USB, "");

  /** What it is to be charged from, as a tester says. */
  public static final Ask.Own<ChargeSetting> ASK =
      new Ask.Own<>("charged-from", "Charged from", ChargeSetting.class, WALL);

  private static final String SOURCES = "chargeSources";
  private static final String USB = "usbChargerWatts";
  private static final String SLOWED = "chargeSetting";

  /** A charge setting is said in no more signs. */
  public static final int LONGEST = 40;

  private static final String[] PANEL = {
    "panelOpenVolts",
    "panelShortAmps",
    "panelPeakVolts",
    "panelPeakAmps",
    "panelVoltsPercentPerKelvin",
    "panelAmpsPercentPerKelvin",
    "panelCells"
  };
  private static final String[] SITE = {
    "siteLatitude", "siteDay", "siteTilt", "siteTurned", "siteCloudiness", "siteColdest", "siteAir"
  };
  private static final String NAME = "panelName";
  private static final String SERIES = "panelsInSeries";
  private static final String PARALLEL = "stringsInParallel";

  public ChargeSetting {
    sources = Set.copyOf(sources);
    slowed = slowed.strip();
    if (sources.isEmpty()) {
      throw new IllegalArgumentException("something has to charge the unit");
    }
    if (slowed.length() > LONGEST) {
      throw new IllegalArgumentException("A charge setting has no more than 40 signs. Shorten it.");
    }
  }

  /** Whether something goes in there. */
  public boolean through(Inlet inlet) {
    return sources.stream().anyMatch(s -> s.inlet() == inlet);
  }

  /** The same from one source more, which takes its inlet over. */
  public ChargeSetting adding(ChargeSource more) {
    Set<ChargeSource> next = EnumSet.of(more);
    sources.stream().filter(s -> s.inlet() != more.inlet()).forEach(next::add);
    return from(next);
  }

  /** The same without a source; the last one stays. */
  public ChargeSetting without(ChargeSource source) {
    Set<ChargeSource> next = EnumSet.copyOf(sources);
    next.remove(source);
    return next.isEmpty() ? this : from(next);
  }

  /** The same with a USB-C charger of so many watts. */
  public ChargeSetting withUsb(double watts) {
    return new ChargeSetting(sources, panels, site, watts, slowed);
  }

  /** The same from other sources. */
  public ChargeSetting from(Set<ChargeSource> others) {
    return new ChargeSetting(others, panels, site, usbWatts, slowed);
  }

  /** The same with these panels at this site. */
  public ChargeSetting with(Arrangement arrangement, Site at) {
    return new ChargeSetting(sources, Optional.of(arrangement), at, usbWatts, slowed);
  }

  /** The same with the unit set to this; empty for its fastest. */
  public ChargeSetting set(String words) {
    return new ChargeSetting(sources, panels, site, usbWatts, words);
  }

  /** Whether the unit took what it can at its fastest. */
  public boolean atFastest() {
    return slowed.isEmpty();
  }

  /** {@code the wall and solar panels}, {@code the wall, set to slow}. */
  public String words() {
    return plugged() + (atFastest() ? "" : ", set to " + slowed);
  }

  /** What is plugged in: {@code the wall and solar panels}. */
  public String plugged() {
    return EnumSet.copyOf(sources).stream()
        .map(ChargeSource::words)
        .collect(Collectors.joining(" and "));
  }

  /** As kept with a run. */
  public Map<String, String> particulars() {
    Map<String, String> kept = new TreeMap<>();
    kept.put(
        SOURCES, EnumSet.copyOf(sources).stream().map(Enum::name).collect(Collectors.joining(",")));
    if (!atFastest()) {
      kept.put(SLOWED, slowed);
    }
    if (through(Inlet.USB_C)) {
      kept.put(USB, Double.toString(usbWatts));
    }
    if (sources.contains(ChargeSource.SOLAR) && panels.isPresent()) {
      Panel p = panels.get().panel();
      double[] sheet = {
        p.openVolts(),
        p.shortAmps(),
        p.peakVolts(),
        p.peakAmps(),
        p.voltsPerKelvin(),
        p.ampsPerKelvin(),
        p.cells()
      };
      SunDay day = site.day();
      double[] at = {
        day.latitude(),
        day.dayOfYear(),
        day.tilt(),
        day.turned(),
        day.cloudiness(),
        site.coldestCelsius(),
        site.airCelsius()
      };
      put(kept, PANEL, sheet);
      put(kept, SITE, at);
      kept.put(NAME, p.name());
      kept.put(SERIES, Integer.toString(panels.get().series()));
      kept.put(PARALLEL, Integer.toString(panels.get().parallel()));
    }
    return kept;
  }

  private static void put(Map<String, String> kept, String[] keys, double[] values) {
    for (int i = 0; i < keys.length; i++) {
      if (!Double.isNaN(values[i])) {
        kept.put(keys[i], Double.toString(values[i]));
      }
    }
  }

  /** Sources with + between, as particulars of a run of which no more is known. */
  public static Optional<Map<String, String>> fed(String text) {
    Set<ChargeSource> sources = EnumSet.noneOf(ChargeSource.class);
    for (String name : text.split("\\+", -1)) {
      Optional<ChargeSource> source =
          ChargeSource.byName(name.toUpperCase(Locale.ROOT).replace('-', '_'));
      if (source.isEmpty()) {
        return Optional.empty();
      }
      sources.add(source.get());
    }
    return Optional.of(
        Map.of(SOURCES, sources.stream().map(Enum::name).collect(Collectors.joining(","))));
  }

  /** As a run kept it; from the wall where the words say nothing that can be read. */
  public static ChargeSetting of(Map<String, String> kept) {
    Set<ChargeSource> sources = EnumSet.noneOf(ChargeSource.class);
    for (String name : kept.getOrDefault(SOURCES, "").split(",")) {
      ChargeSource.byName(name).ifPresent(sources::add);
    }
    String words = kept.getOrDefault(SLOWED, "");
    String slowed = words.substring(0, Math.min(LONGEST, words.length()));
    if (sources.isEmpty()) {
      return WALL.set(slowed);
    }
    ChargeSetting bare =
        new ChargeSetting(
            sources, Optional.empty(), Site.USUAL, number(kept, USB, USUAL_USB), slowed);
    if (!sources.contains(ChargeSource.SOLAR)) {
      return bare;
    }
    try {
      Panel panel =
          new Panel(
              kept.getOrDefault(NAME, ""),
              number(kept, PANEL[0], Double.NaN),
              number(kept, PANEL[1], Double.NaN),
              number(kept, PANEL[2], Double.NaN),
              number(kept, PANEL[3], Double.NaN),
              number(kept, PANEL[4], Double.NaN),
              number(kept, PANEL[5], Double.NaN),
              (int) number(kept, PANEL[6], 0));
      SunDay day =
          new SunDay(
              number(kept, SITE[0], Double.NaN),
              (int) number(kept, SITE[1], 0),
              number(kept, SITE[2], Double.NaN),
              number(kept, SITE[3], 0),
              number(kept, SITE[4], Double.NaN));
      Site site =
          new Site(day, number(kept, SITE[5], Double.NaN), number(kept, SITE[6], Double.NaN));
      return bare.with(
          new Arrangement(panel, (int) number(kept, SERIES, 0), (int) number(kept, PARALLEL, 0)),
          site);
    } catch (IllegalArgumentException e) {
      return bare;
    }
  }

  private static double number(Map<String, String> kept, String key, double otherwise) {
    try {
      return kept.containsKey(key) ? Double.parseDouble(kept.get(key)) : otherwise;
    } catch (NumberFormatException e) {
      return otherwise;
    }
  }
}
