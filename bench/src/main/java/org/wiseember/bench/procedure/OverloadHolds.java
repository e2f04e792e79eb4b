package org.wiseember.bench.procedure;

import java.util.List;
import org.wiseember.bench.instrument.SetPoints;
import org.wiseember.core.heat.HotSpot;
import org.wiseember.core.notice.Notice;
import org.wiseember.core.overload.RestRule;
import org.wiseember.core.quantity.Figures;
import org.wiseember.core.quantity.Unit;
import org.wiseember.core.trace.Channel;
import org.wiseember.core.trace.Frame;
import org.wiseember.core.waveform.Capture;
import org.wiseember.core.waveform.CaptureNote;
import org.wiseember.core.waveform.CapturePlace;

/**
 * Holds loads above the rating, one after the other: from a base load up, each until it trips or
 * its time is over, then a rest by {@link RestRule}. After a trip it looks whether the output comes
 * back by itself, by its button, or not at all.
 *
 * <p>It ends by itself where the case gets as hot as {@link HotSpot#TOO_HOT}.
 */
public final class OverloadHolds extends AskingProcedure {
  /** Kept with the run. */
  public static final String KIND = "overload";

  /** The full rating alone, held for its time; kept with the run. */
  public static final String FULL_RATING = "full-rating";

  /** Code of the notice that tells how the output came back. */
  public static final String RECOVERY = "recovery";

  static final double BASE_SECONDS = 60;
  static final double BY_ITSELF_SECONDS = 45;
  private static final double PRESS_SECONDS = 3;
  private static final double BACK_SECONDS = 15;
  private static final double DEAD_SHARE = 0.1;
  private static final int DEAD_FRAMES = 3;

  private enum After {
    NOTHING,
    BY_ITSELF,
    PRESSING,
    PRESSED,
    LATCHED
  }

  private final List<Held> loads;
  private final double baseWatts;
  private final double nominalVolts;
  private int at = -1;
  private double startCelsius = Double.NaN;
  private int deadFrames;
  private int aliveFrames;
  private After after = After.NOTHING;
  private double afterSince;
  private boolean told;

  /**
   * Sets it up.
   *
   * @param loads in order, at least one
   * @param baseWatts on before each of them, W; 0 for none
   * @param nominalVolts of the outlet, V
   */
  public OverloadHolds(List<Held> loads, double baseWatts, double nominalVolts) {
    this(KIND, loads, baseWatts, nominalVolts);
  }

  /**
   * Sets it up under a kind of its own.
   *
   * @param kind kept with the run
   * @param loads in order, at least one
   * @param baseWatts on before each of them, W; 0 for none
   * @param nominalVolts of the outlet, V
   */
  public OverloadHolds(String kind, List<Held> loads, double baseWatts, double nominalVolts) {
    super(kind, Phase.BASELINE);
    this.loads = atLeastOne(loads, "an overload ladder needs loads");
    this.baseWatts = baseWatts;
    this.nominalVolts = nominalVolts;
  }

  @Override
  public SetPoints setPoints() {
    if (after == After.PRESSING) {
      return SetPoints.idle(false, false, false);
    }
    return asking
        ? SetPoints.NO_LOAD
        : switch (phase) {
          case SETTLING -> SetPoints.atOutlet(baseWatts);
          case MEASURING -> SetPoints.atOutlet(loads.get(at).watts()).onScope();
          default -> SetPoints.NO_LOAD;
        };
  }

  @Override
  protected String request() {
    return switch (phase) {
      case SETTLING -> "Base load on: " + Figures.plain(baseWatts, Unit.WATT);
      case MEASURING ->
          "Add up to "
              + Figures.plain(loads.get(at).watts(), Unit.WATT)
              + " in all"
              + (loads.get(at).recipe().isEmpty() ? "" : " (" + loads.get(at).recipe() + ")")
              + "; hand on the plug";
      case WINDING_DOWN ->
          after == After.LATCHED
              ? "The output stays off. Wake it as its maker says, then go on"
              : "All loads off";
      default -> "AC output on, nothing plugged in";
    };
  }

  @Override
  public void confirm() {
    if (asking && after == After.LATCHED) {
      after = After.NOTHING;
    }
    super.confirm();
  }

  @Override
  protected void go(Frame frame, double passed, boolean first, List<Notice> out) {
    double now = frame.seconds();
    double celsius = frame.value(Channel.CASE_TEMPERATURE);
    startCelsius = Double.isNaN(startCelsius) ? celsius : startCelsius;
    if (tooHot(frame, out)) {
      return;
    }
    boolean dead = dead(frame);
    switch (phase) {
      case BASELINE -> {
        if (passed >= 10) {
          begin(0);
        }
      }
      case SETTLING -> settle(now, passed, dead, out);
      case MEASURING -> hold(now, passed, dead, out);
      case WINDING_DOWN -> rest(now, passed, celsius, out);
      default -> {}
    }
  }

  private boolean dead(Frame frame) {
    double volts = frame.value(Channel.AC_VOLTAGE);
    boolean dead = volts < DEAD_SHARE * nominalVolts;
    deadFrames = dead ? deadFrames + 1 : 0;
    aliveFrames = volts >= DEAD_SHARE * nominalVolts ? aliveFrames + 1 : 0;
    return deadFrames >= DEAD_FRAMES;
  }

  /** Back for as long as it takes to believe it. */
  private boolean back() {
    return aliveFrames >= DEAD_FRAMES;
  }

  private void begin(int next) {
    at = next;
    next(baseWatts > 0 ? Phase.SETTLING : Phase.MEASURING);
  }

  private void next(Phase then) {
    part(then);
    deadFrames = 0;
  }

  private void settle(double now, double passed, boolean dead, List<Notice> out) {
    if (dead) {
      finish("The output dropped out at the base load; there is nothing to hold above it.");
      out.add(new Notice(now, "cut_off", ending));
    } else if (passed >= BASE_SECONDS) {
      next(Phase.MEASURING);
    }
  }

  private void hold(double now, double passed, boolean dead, List<Notice> out) {
    Held load = loads.get(at);
    if (dead) {
      out.add(
          new Notice(
              now,
              "trip",
              "Tripped about "
                  + Figures.duration(passed - DEAD_FRAMES + 1)
                  + " into "
                  + Figures.plain(load.watts(), Unit.WATT)
                  + "."));
      next(Phase.WINDING_DOWN);
      after = After.BY_ITSELF;
      afterSince = now;
      told = false;
    } else if (passed >= load.atMost()) {
      out.add(
          new Notice(
              now,
              "held",
              Figures.plain(load.watts(), Unit.WATT)
                  + " held for "
                  + Figures.duration(load.atMost())
                  + ", which is as long as was wanted."));
      next(Phase.WINDING_DOWN);
      after = After.NOTHING;
    }
  }

  private void rest(double now, double passed, double celsius, List<Notice> out) {
    recover(now, out);
    boolean last = at == loads.size() - 1;
    if (after == After.NOTHING && (last || RestRule.rested(passed, startCelsius, celsius))) {
      if (last) {
        finish("All loads tried: " + loads.size() + ".");
      } else {
        begin(at + 1);
      }
    }
  }

  /** Whether the output comes back by itself, by its button, or not at all. */
  private void recover(double now, List<Notice> out) {
    double passed = now - afterSince;
    switch (after) {
      case BY_ITSELF -> {
        if (back()) {
          tell(now, "It came back by itself after " + Figures.duration(passed) + ".", out);
          after = After.NOTHING;
        } else if (passed >= BY_ITSELF_SECONDS) {
          after = After.PRESSING;
          afterSince = now;
        }
      }
      case PRESSING -> {
        if (passed >= PRESS_SECONDS) {
          after = After.PRESSED;
          afterSince = now;
        }
      }
      case PRESSED -> {
        if (back()) {
          tell(now, "It came back by its button, not by itself.", out);
          after = After.NOTHING;
        } else if (passed >= BACK_SECONDS) {
          tell(now, "It latched off: neither time nor its button brought it back.", out);
          after = After.LATCHED;
          asking = true;
        }
      }
      default -> {}
    }
  }

  private void tell(double now, String words, List<Notice> out) {
    if (!told) {
      out.add(new Notice(now, RECOVERY, words));
      told = true;
    }
  }

  @Override
  public CaptureNote captured(Capture capture) {
    return new CaptureNote(
        "Load on, " + Figures.plain(load(), Unit.WATT), CapturePlace.OUTPUT, load());
  }

  /** Loads gone through, the one it is at among them; 0 before the first. */
  public int begun() {
    return Math.max(0, at + 1);
  }

  public int inAll() {
    return loads.size();
  }

  /** The load that is on or comes next, W. */
  public double load() {
    return at < 0 ? baseWatts : loads.get(Math.min(at, loads.size() - 1)).watts();
  }

  @Override
  public List<DoNow> steps() {
    return List.of(
        new DoNow("Charge to 60 % or more", DoNow.When.BEFORE, ""),
        new DoNow(
            "Plug and socket rated for the load, no extension reel",
            DoNow.When.BEFORE,
            "More than the rating heats plugs, leads and the unit itself. Use leads that carry the"
                + " load, laid out flat, and feel no plug while it is on."),
        new DoNow(
            "Heaters on a hard floor, 1\u00a0m clear, extinguisher at hand",
            DoNow.When.BEFORE,
            "Stay with it. Pull the plug at smell, smoke, swelling, or a case of 60\u00a0°C; never leave"
                + " an overload alone."),
        new DoNow("No charger, no solar plugged in", DoNow.When.BEFORE, ""),
        new DoNow("Hand on the plug while a load is held", DoNow.When.DURING, ""),
        new DoNow("Note beeps, lamps and codes", DoNow.When.DURING, ""),
        new DoNow(
            "Rest between tries as it says",
            DoNow.When.DURING,
            "The inverter remembers heat: a try on a warm one says little and strains it."),
        new DoNow("Feel the plugs once they are out", DoNow.When.AFTER, ""));
  }
}
