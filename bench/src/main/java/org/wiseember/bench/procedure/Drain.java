package org.wiseember.bench.procedure;

import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Deque;
import java.util.List;
import org.wiseember.bench.instrument.SetPoints;
import org.wiseember.core.notice.Notice;
import org.wiseember.core.quantity.Figures;
import org.wiseember.core.trace.Channel;
import org.wiseember.core.trace.Frame;

/**
 * Drains a full unit through its AC outlet, or through its DC port, until the output drops out.
 *
 * <p>Ten seconds without load, load on, settled when the power stays within 1 % over 30 s, then on
 * until the cut-off. Volts gone with the power is a cut-off at once; power gone with the volts
 * still there is a load that paused, and is waited for. Energy counts from the first loaded
 * reading, not from when the load has settled.
 */
public final class Drain extends PhasedProcedure {
  /** Kept with a run at the AC outlet. */
  public static final String AC = "ac-drain";

  /** Kept with a run on the DC side. */
  public static final String DC = "dc-drain";

  static final double BASELINE_SECONDS = 10;
  static final double SETTLE_WINDOW = 30;
  static final double SETTLE_SPREAD = 0.01;
  static final double SETTLE_LIMIT = 300;
  static final double DEAD_SHARE = 0.10;
  static final int DEAD_FRAMES = 3;
  static final double PAUSE_LIMIT = 1800;
  static final double SILENCE_SAID = 60;
  static final double SILENCE_LIMIT = 1800;

  /** A display counts as full from here, %: some never show the last percent. */
  public static final double FULL_DISPLAY = 99;

  private static final double ZERO_TOTAL = 0.5;
  static final double WIND_DOWN_SECONDS = 120;
  static final double LONGEST = 48 * 3600.0;
  private static final double HOT_CASE = 60;

  private static final String HOT_PLUGS =
      "Stop at smell, smoke, swelling or a case of 60\u00a0°C. Fixed wiring is work for a licensed"
          + " electrician under your local code.";

  private final boolean dc;
  private final double dcWatts;
  private final double nominalVolts;
  private final Deque<double[]> window = new ArrayDeque<>();
  private double phaseSince;
  private double steadyWatts;
  private int deadFrames;
  private double pausedSince = Double.NaN;
  private boolean hotSaid;
  private boolean pauseSaid;
  private boolean startChecked;
  private boolean deadSaid;
  private boolean everAlive;
  private double silentSince = Double.NaN;
  private boolean silenceSaid;

  private Drain(boolean dc, double dcWatts, double nominalVolts) {
    super(Phase.BASELINE);
    this.dc = dc;
    this.dcWatts = dcWatts;
    this.nominalVolts = nominalVolts;
  }

  /**
   * A drain at the AC outlet, with all the load that is there.
   *
   * @param nominalVolts of the outlet, to tell a dead output from a load that paused, V
   */
  public static Drain ac(double nominalVolts) {
    return new Drain(false, 0, nominalVolts);
  }

  /**
   * A drain at the DC port with an electronic load.
   *
   * @param watts the load is set to
   * @param nominalVolts of the port, V
   */
  public static Drain dc(double watts, double nominalVolts) {
    return new Drain(true, watts, nominalVolts);
  }

  @Override
  public String kind() {
    return dc ? DC : AC;
  }

  @Override
  public SetPoints setPoints() {
    boolean on = phase == Phase.SETTLING || phase == Phase.MEASURING;
    return dc ? SetPoints.atPort(on ? dcWatts : 0) : on ? SetPoints.WHOLE_LOAD : SetPoints.NO_LOAD;
  }

  @Override
  public double watched(Frame frame) {
    return dc ? frame.dcWatts() : frame.value(Channel.AC_POWER);
  }

  private Channel volts() {
    return dc ? Channel.DC_VOLTAGE : Channel.AC_VOLTAGE;
  }

  /** Whether the program reads the power, or a person does. */
  private boolean read(Frame frame) {
    return frame.channels().contains(dc ? Channel.DC_CURRENT : Channel.AC_POWER);
  }

  @Override
  public List<Notice> take(Frame frame) {
    List<Notice> out = new ArrayList<>();
    double now = frame.seconds();
    double watts = watched(frame);
    noticeHeat(frame, out);
    switch (phase) {
      case BASELINE -> {
        checkStart(frame, out);
        if (now - phaseSince >= BASELINE_SECONDS && outputAlive(frame, out)) {
          enter(!read(frame) ? Phase.MEASURING : Phase.SETTLING, now);
        }
      }
      case SETTLING -> {
        if (!endsHere(frame, watts, out)) {
          settle(now, watts, out);
        }
      }
      case MEASURING -> endsHere(frame, watts, out);
      case WINDING_DOWN -> {
        if (now - phaseSince >= WIND_DOWN_SECONDS) {
          enter(Phase.DONE, now);
        }
      }
      case DONE, STOPPED -> {}
    }
    if (!phase.over() && phase != Phase.WINDING_DOWN && now > LONGEST) {
      ending = "Ended at the limit of 48 hours, the unit still alive.";
      enter(Phase.WINDING_DOWN, now);
    }
    return out;
  }

  private void settle(double now, double watts, List<Notice> out) {
    if (Double.isNaN(watts)) {
      return;
    }
    window.addLast(new double[] {now, watts});
    while (window.peekFirst()[0] < now - SETTLE_WINDOW) {
      window.removeFirst();
    }
    double low = Double.POSITIVE_INFINITY;
    double high = 0;
    double sum = 0;
    for (double[] reading : window) {
      low = Math.min(low, reading[1]);
      high = Math.max(high, reading[1]);
      sum += reading[1];
    }
    double mean = sum / window.size();
    boolean full = now - window.peekFirst()[0] >= SETTLE_WINDOW * 0.9;
    steadyWatts = Math.max(steadyWatts, mean * 0.5);
    if (full && mean > 0 && (high - low) / mean <= SETTLE_SPREAD) {
      steadyWatts = mean;
      out.add(
          new Notice(
              now,
              "steady",
              "Load steady at "
                  + Figures.fixed(mean, 0)
                  + " W within "
                  + Figures.fixed(100 * (high - low) / mean, 1)
                  + " %. Energy counts from the first loaded reading, not from here."));
      enter(Phase.MEASURING, now);
    } else if (now - phaseSince > SETTLE_LIMIT) {
      steadyWatts = mean;
      out.add(
          new Notice(
              now,
              "unsteady",
              "The load has not settled within 1 % in five minutes; draining on, with the mean of"
                  + " what it draws."));
      enter(Phase.MEASURING, now);
    }
  }

  /** Looks for the cut-off; a load that only paused is waited for. */
  private boolean endsHere(Frame frame, double watts, List<Notice> out) {
    double now = frame.seconds();
    if (Double.isNaN(watts)) {
      return silent(frame, out);
    }
    silentSince = Double.NaN;
    if (watts > DEAD_SHARE * steadyWatts) {
      deadFrames = 0;
      pausedSince = Double.NaN;
      return false;
    }
    if (phase == Phase.SETTLING && steadyWatts == 0) {
      return false;
    }
    double volts = frame.value(volts());
    boolean outputDead = volts < DEAD_SHARE * nominalVolts;
    if (outputDead) {
      deadFrames++;
      if (deadFrames >= DEAD_FRAMES) {
        double display = frame.value(Channel.DISPLAY_CHARGE);
        String shown =
            Double.isNaN(display) ? "" : " with " + Figures.plain(display) + " % on the display";
        ending = "The output dropped out" + shown + ".";
        out.add(new Notice(now, "cut_off", ending + " Read the meters before recharging."));
        enter(Phase.WINDING_DOWN, now);
        return true;
      }
      return false;
    }
    if (Double.isNaN(pausedSince)) {
      pausedSince = now;
      if (pauseSaid) {
        return false;
      }
      pauseSaid = true;
      out.add(
          new Notice(
              now,
              "load_paused",
              dc
                  ? "The load went off while there are volts at the port: its own low-volt stop or a"
                      + " lead, not the unit's cut-off."
                  : "The load went off while the output is alive: a thermostat or a plug, not a"
                      + " cut-off."));
    } else if (now - pausedSince > PAUSE_LIMIT) {
      ending = "The load stayed off for half an hour with the output alive.";
      enter(Phase.WINDING_DOWN, now);
      return true;
    }
    return false;
  }

  /** What can be checked about the start by looking at the meters. */
  private void checkStart(Frame frame, List<Notice> out) {
    if (startChecked) {
      return;
    }
    startChecked = true;
    double total = frame.value(Channel.AC_ENERGY);
    if (total > ZERO_TOTAL) {
      out.add(
          new Notice(
              frame.seconds(),
              "not_zeroed",
              "The meter's total stands at "
                  + Figures.plain(total)
                  + " Wh at the start; energy is counted from there."));
    }
    double charge = frame.value(Channel.DISPLAY_CHARGE);
    if (charge < FULL_DISPLAY) {
      out.add(
          new Notice(
              frame.seconds(),
              "not_full",
              "The display shows "
                  + Figures.plain(charge)
                  + " % at the start. Capacity needs a full unit, so this drain judges nothing on the"
                  + " label; charge it first."));
    }
  }

  /** A dead outlet is waited for: its volts have to come before the load goes on. */
  private boolean outputAlive(Frame frame, List<Notice> out) {
    double volts = frame.value(volts());
    everAlive |= !(volts < nominalVolts / 2);
    if (!everAlive && !deadSaid) {
      deadSaid = true;
      out.add(
          new Notice(
              frame.seconds(),
              "no_output",
              dc
                  ? "There are no volts at the port. Switch the unit's DC output on; the drain starts"
                      + " when they come."
                  : "There are no volts at the outlet. Switch the unit's AC output on; the drain"
                      + " starts when they come."));
    }
    return everAlive;
  }

  /** The meter says nothing: it may be lost, or it died with the output it hangs on. */
  private boolean silent(Frame frame, List<Notice> out) {
    if (!read(frame)) {
      return false;
    }
    double now = frame.seconds();
    if (Double.isNaN(silentSince)) {
      silentSince = now;
    } else if (now - silentSince > SILENCE_LIMIT) {
      ending = "The meter was silent for half an hour; the last reading may be the cut-off.";
      enter(Phase.WINDING_DOWN, now);
      return true;
    } else if (now - silentSince > SILENCE_SAID && !silenceSaid) {
      silenceSaid = true;
      out.add(
          new Notice(
              now,
              "silent",
              "The power meter is silent. If the unit shut off and took the meter with it, say that"
                  + " the output dropped out; if not, correct the connection and the drain goes on."));
    }
    return false;
  }

  private void noticeHeat(Frame frame, List<Notice> out) {
    double celsius = frame.value(Channel.CASE_TEMPERATURE);
    if (celsius >= HOT_CASE && !hotSaid) {
      hotSaid = true;
      out.add(
          new Notice(
              frame.seconds(),
              "hot",
              "Case at "
                  + Figures.fixed(celsius, 0)
                  + "\u00a0°C. Stop if it smells, smokes or swells."));
    }
  }

  private void enter(Phase next, double now) {
    phase = next;
    phaseSince = now;
  }

  @Override
  public List<DoNow> steps() {
    return dc ? dcSteps() : acSteps();
  }

  private static List<DoNow> acSteps() {
    return List.of(
        new DoNow("Charge full, rest 30 min", DoNow.When.BEFORE, ""),
        new DoNow("Set the meter total to zero", DoNow.When.BEFORE, ""),
        new DoNow(
            "Heater on a hard floor, 1\u00a0m clear",
            DoNow.When.BEFORE,
            "Heaters set fire to what touches them. Keep cloth, paper and packaging a metre away,"
                + " and do not leave the first ten minutes alone."),
        new DoNow("Note the display every 10 %", DoNow.When.DURING, ""),
        new DoNow("Feel for hot plugs after 10 min", DoNow.When.DURING, HOT_PLUGS),
        new DoNow("At shut-off, note code and display", DoNow.When.AFTER, ""),
        new DoNow("Read the meters before recharging", DoNow.When.AFTER, ""));
  }

  private static List<DoNow> dcSteps() {
    return List.of(
        new DoNow("Charge full, rest 30 min", DoNow.When.BEFORE, ""),
        new DoNow("AC output and radio off", DoNow.When.BEFORE, ""),
        new DoNow(
            "Fuse at the unit, leads for the amps, polarity checked",
            DoNow.When.BEFORE,
            "A shorted lead burns before any fuse in the unit blows. Put a fuse next to the port,"
                + " check plus and minus before the plug goes in, and use leads rated for the amps."),
        new DoNow("Sense leads at the unit's own terminals", DoNow.When.BEFORE, ""),
        new DoNow("The load's own low-volt stop below the unit's", DoNow.When.BEFORE, ""),
        new DoNow("Feel for hot plugs after 10 min", DoNow.When.DURING, HOT_PLUGS),
        new DoNow("At shut-off, note code and display", DoNow.When.AFTER, ""));
  }
}
