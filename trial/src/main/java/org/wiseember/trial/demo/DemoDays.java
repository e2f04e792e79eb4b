package org.wiseember.trial.demo;

import java.time.LocalTime;
import java.util.List;
import java.util.Optional;
import org.wiseember.core.quantity.HourSpan;
import org.wiseember.core.runtime.Appliance;
import org.wiseember.core.runtime.ApplianceDraw;
import org.wiseember.core.runtime.ApplianceDraw.Origin;
import org.wiseember.core.runtime.ApplianceDraw.Use;
import org.wiseember.core.runtime.Day;
import org.wiseember.core.runtime.Side;
import org.wiseember.core.runtime.Watch;
import org.wiseember.core.runtime.WatchSheet;
import org.wiseember.core.runtime.feed.Feed;
import org.wiseember.core.supply.SourceTries;

/**
 * Three stalls of the night market and the evening its power failed. The first asks no more than
 * the label of the pool's best unit prints, and more than the unit gives.
 */
final class DemoDays {
  private static final double NO = Double.NaN;
  private static final double ANY = Double.POSITIVE_INFINITY;

  /** 2.13 kWh in 25 h 13 min, a defrost heater among it. */
  static final Watch FRIDGE = new Watch(25 * 3600 + 13 * 60, 2130, 10, 118, 236, 241, 700);

  /** A small one, gone up to where it stalled. */
  static final SourceTries GENERATOR =
      new SourceTries(
          230,
          List.of(
              new SourceTries.Try(0, 237, 52.3, 4.1, SourceTries.Went.HELD),
              new SourceTries.Try(880, 231, 50.9, 6.8, SourceTries.Went.HELD),
              new SourceTries.Try(1610, 222, 49.4, 9.6, SourceTries.Went.HELD),
              new SourceTries.Try(2080, NO, NO, NO, SourceTries.Went.STALLED)));

  private DemoDays() {}

  static List<Day> all() {
    return List.of(riceStall(), iceStall(), repairStall(), powerCut());
  }

  private static Day riceStall() {
    return Day.empty("Rice stall, one evening", LocalTime.of(17, 0), 10)
        .with(
            List.of(
                on("Cool box", draw(Use.CYCLING, 46, 12, 190, Origin.WATCHED), Side.AC, 0, 10),
                on("Lanterns ×4", draw(Use.STEADY, 24, NO, NO, Origin.PLATE), Side.AC, 0.5, 5.5),
                on("Till and phones", draw(Use.STEADY, 12, NO, NO, Origin.SEEN), Side.DC, 0, 5.5),
                on("Soup kettle", draw(Use.CYCLING, 480, 165, NO, Origin.WATCHED), Side.AC, 1, 5)));
  }

  private static Day iceStall() {
    ApplianceDraw shaver = new ApplianceDraw(Use.SHORT, 410, NO, 6, 1900).from(Origin.SEEN);
    ApplianceDraw pot = new ApplianceDraw(Use.PER_GO, 900, 150, NO, NO).from(Origin.WATCHED);
    return Day.empty("Ice and coffee", LocalTime.of(16, 30), 8)
        .with(
            List.of(
                on("Lamps", draw(Use.STEADY, 54, NO, NO, Origin.SEEN), Side.AC, 1, 7),
                at("Ice shaver", shaver, 0.5, 2.0, 3.5, 5.0),
                at("Pot of coffee", pot, 1.25, 4.25)));
  }

  /** The stall's own battery stands between a small generator and the unit. */
  private static Day repairStall() {
    Feed.Alternating generator = new Feed.Alternating("generator", 1600, List.of(HourSpan.ALWAYS));
    Feed.Charger charger = new Feed.Charger("charger", 57, 15, ANY, 0.93, List.of(generator));
    Feed.Panels panels =
        new Feed.Panels(List.of(new Feed.Giving(new HourSpan(0, 3.5), 380)), 47, 60);
    Feed.Controller controller = new Feed.Controller(20, 100, 15, 0.97, List.of(panels));
    Feed.Battery battery = new Feed.Battery(52.4, 3072, ANY, List.of(charger, controller));
    return Day.empty("Repair stall on its generator", LocalTime.of(14, 0), 9)
        .with(
            List.of(
                on("Bench lamp", draw(Use.STEADY, 30, NO, NO, Origin.SEEN), Side.AC, 0, 9),
                on("Hot plate", draw(Use.STEADY, 760, NO, NO, Origin.SEEN), Side.AC, 0, 8),
                on("Soldering irons", draw(Use.CYCLING, 120, 100, NO, Origin.VA), Side.AC, 0, 8)))
        .fed(Optional.of(new Feed.Port(11, 60, 12, ANY, List.of(battery))));
  }

  /** From the hour it failed, with the charge the unit happened to have. */
  private static Day powerCut() {
    return Day.empty("Power cut at the quay office", LocalTime.of(21, 10), 14)
        .charged(60, 10)
        .with(
            List.of(
                on("Office fridge", WatchSheet.of(FRIDGE).draw(), Side.AC, 0, 14),
                on("Router", draw(Use.STEADY, 9, NO, NO, Origin.SEEN), Side.DC, 0, 14),
                on("Reading lamp", draw(Use.STEADY, 7, NO, NO, Origin.PLATE), Side.AC, 0, 3),
                at(
                    "Bilge pump",
                    new ApplianceDraw(Use.SHORT, 900, NO, 0.25, 2700).from(Origin.PLATE),
                    0.5,
                    4.5,
                    8.5,
                    12.5)));
  }

  private static ApplianceDraw draw(
      Use use, double watts, double energy, double startVa, Origin origin) {
    return new ApplianceDraw(use, watts, energy, NO, startVa).from(origin);
  }

  private static Appliance on(String name, ApplianceDraw draw, Side side, double from, double to) {
    return new Appliance(name, draw, side, List.of(new HourSpan(from, to)), List.of());
  }

  private static Appliance at(String name, ApplianceDraw draw, Double... moments) {
    return new Appliance(name, draw, Side.AC, List.of(), List.of(moments));
  }
}
