package org.wiseember.trial.kind.heat;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.OptionalInt;
import org.wiseember.bench.procedure.HeatNoise;
import org.wiseember.core.heat.FanSteps;
import org.wiseember.core.heat.HeatRise;
import org.wiseember.core.heat.HotSpot;
import org.wiseember.core.quantity.Figures;
import org.wiseember.core.trace.Channel;
import org.wiseember.core.trace.Levels;
import org.wiseember.core.trace.Series;
import org.wiseember.core.trace.Trace;
import org.wiseember.core.typed.TypedSpot;
import org.wiseember.core.uncertainty.MeterClass;
import org.wiseember.trial.kind.RunRecord;
import org.wiseember.workbook.Event;
import org.wiseember.workbook.Run;
import org.wiseember.workbook.StoredReading;

/** Works out a run that felt and heard a unit from light to heavy loads. */
final class HeatFindings {

  /** A fan that has just changed its step is not listened to yet, s. */
  private static final double LISTEN_AFTER = 30;

  /** The room changes so slowly that a reading this old still tells it, s. */
  private static final double ROOM_SECONDS = 3600;

  /** Loads closer than this share are one load. */
  private static final double SAME_LOAD = 0.1;

  /** Less than this is no load, W. */
  private static final double LOADED_WATTS = 10;

  private final RunRecord record;
  private final Run run;
  private final List<Event> begins;
  private final List<StoredReading> typed;

  HeatFindings(RunRecord record) {
    this.record = record;
    this.run = record.run();
    List<Event> told =
        record.events().stream()
            .filter(e -> e.code().equals(HeatNoise.LOAD) || e.code().equals(HeatNoise.BACKGROUND))
            .sorted(Comparator.comparingDouble(Event::seconds))
            .toList();
    this.begins = told.isEmpty() ? byWatts(record.treated()) : told;
    this.typed = record.typed();
  }

  /** Of a log without a word of its loads: what comes before the first of them is the room. */
  private static List<Event> byWatts(Trace treated) {
    Series watts = treated.series(Channel.AC_POWER);
    List<Event> begins = new ArrayList<>();
    double before = 0;
    for (Levels.Level level : Levels.of(watts, SAME_LOAD, LOADED_WATTS)) {
      double at = watts.seconds(level.first());
      double mean = watts.integral(level.first(), level.last());
      double span = watts.seconds(level.last()) - at;
      double load = span > 0 ? mean / span : watts.value(level.first());
      if (load <= LOADED_WATTS && begins.isEmpty()) {
        begins.add(new Event(treated.seconds(0), HeatNoise.BACKGROUND, "the room"));
      } else if (load > LOADED_WATTS && load > before) {
        begins.add(new Event(at, HeatNoise.LOAD, Figures.fixed(load, 0) + " W"));
        before = load;
      }
    }
    return begins;
  }

  HeatRun find() {
    Trace treated = record.treated();
    double last = loadedUntil(treated);
    double first = treated.isEmpty() ? 0 : treated.seconds(0);
    Series sound = treated.series(Channel.SOUND_LEVEL);
    Series watts = treated.series(Channel.AC_POWER);
    List<Double> loads = run.settings().loads();
    int load = 0;
    double background = Double.NaN;
    List<HeatRun.Heard> heard = new ArrayList<>();
    List<FanSteps.At> fan = new ArrayList<>();
    double from = begins.isEmpty() ? first : begins.get(begins.size() - 1).seconds();
    for (int i = 0; i < begins.size(); i++) {
      double a = begins.get(i).seconds();
      // The last reading itself belongs to the last load.
      double b = i + 1 < begins.size() ? begins.get(i + 1).seconds() : Math.nextUp(last);
      double listen = b - a > 2 * LISTEN_AFTER ? a + LISTEN_AFTER : a;
      double level = settled(sound, a, listen, b);
      if (begins.get(i).code().equals(HeatNoise.BACKGROUND)) {
        background = level;
        continue;
      }
      double read = settled(watts, a, listen, b);
      boolean obeyed = Double.isNaN(read) && load < loads.size() && !record.byHand();
      double power = obeyed ? loads.get(load) : read;
      load++;
      OptionalInt step = fanStep(treated, a, b);
      if (step.isPresent() && !Double.isNaN(power)) {
        fan.add(new FanSteps.At(power, step.getAsInt()));
      }
      if (!Double.isNaN(level)) {
        heard.add(new HeatRun.Heard(begins.get(i).words(), read, level, step));
      }
    }
    Series room = treated.series(Channel.ROOM_TEMPERATURE);
    return new HeatRun(
        record.kept(),
        rise(treated, room, from, last),
        background,
        heard,
        HeatSettings.metres(run.settings().particulars()),
        record.meterOrAssumed(Channel.SOUND_LEVEL),
        new FanSteps(fan),
        spot(treated.series(Channel.SPOT_TEMPERATURE), room));
  }

  private Optional<HeatRise> rise(Trace treated, Series room, double from, double to) {
    Series warm = treated.series(Channel.CASE_TEMPERATURE);
    MeterClass probe = record.meterOrAssumed(Channel.CASE_TEMPERATURE);
    return record.byHand()
        ? HeatRise.readByHand(warm, room, from, to, probe)
        : HeatRise.of(warm, room, from, to, probe);
  }

  /** When the last load went off; the end where nobody read the watts. */
  private static double loadedUntil(Trace treated) {
    Series watts = treated.series(Channel.AC_POWER);
    for (int i = watts.size() - 1; i > 0; i--) {
      if (watts.value(i) > LOADED_WATTS) {
        return i == watts.size() - 1 ? end(treated) : watts.seconds(i);
      }
    }
    return end(treated);
  }

  private static double end(Trace trace) {
    return trace.isEmpty() ? 0 : trace.seconds(trace.size() - 1);
  }

  /** The step the fan was last seen at between two moments. */
  private OptionalInt fanStep(Trace treated, double from, double to) {
    Series read = treated.series(Channel.FAN_STEP);
    double at = Double.NEGATIVE_INFINITY;
    double step = Double.NaN;
    for (int i = read.from(from); i < read.size() && read.seconds(i) < to; i++) {
      at = read.seconds(i);
      step = read.value(i);
    }
    for (StoredReading r : typed) {
      if (r.channel() == Channel.FAN_STEP
          && r.seconds() >= Math.max(from, at)
          && r.seconds() < to) {
        at = r.seconds();
        step = r.value();
      }
    }
    return Double.isNaN(step) ? OptionalInt.empty() : OptionalInt.of((int) Math.rint(step));
  }

  /** The hottest that was typed with its place or read by an instrument. */
  private Optional<HotSpot> spot(Series read, Series room) {
    double celsius = Double.NEGATIVE_INFINITY;
    double at = 0;
    String place = "";
    for (StoredReading r : typed) {
      if (r.channel() == Channel.SPOT_TEMPERATURE && r.value() > celsius) {
        celsius = r.value();
        at = r.seconds();
        place = TypedSpot.place(r.asTyped());
      }
    }
    boolean byHand = run.settings().byHand();
    for (int i = 0; i < (byHand ? 0 : read.size()); i++) {
      if (read.value(i) > celsius) {
        celsius = read.value(i);
        at = read.seconds(i);
        place = "";
      }
    }
    double around = room.nearest(at, ROOM_SECONDS);
    return Double.isInfinite(celsius) || Double.isNaN(around)
        ? Optional.empty()
        : Optional.of(
            new HotSpot(
                celsius,
                place,
                around,
                record.meterOrAssumed(Channel.SPOT_TEMPERATURE),
                record.meterOrAssumed(Channel.ROOM_TEMPERATURE)));
  }

  /** The mean once it has settled; of all there is where nothing was read after that. */
  private static double settled(Series s, double from, double listen, double to) {
    double late = mean(s, listen, to);
    return Double.isNaN(late) ? mean(s, from, to) : late;
  }

  private static double mean(Series s, double from, double to) {
    double sum = 0;
    int n = 0;
    for (int i = s.from(from); i < s.size() && s.seconds(i) <= to; i++) {
      sum += s.value(i);
      n++;
    }
    return n == 0 ? Double.NaN : sum / n;
  }
}
