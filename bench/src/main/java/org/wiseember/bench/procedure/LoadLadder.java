package org.wiseember.bench.procedure;

import java.util.ArrayList;
import java.util.List;
import org.wiseember.bench.instrument.SetPoints;
import org.wiseember.core.efficiency.SteadyRule;
import org.wiseember.core.notice.Notice;
import org.wiseember.core.quantity.Figures;
import org.wiseember.core.quantity.Unit;
import org.wiseember.core.trace.Channel;
import org.wiseember.core.trace.Frame;
import org.wiseember.core.trace.Series;

/**
 * Steps the load at the outlet up and reads AC and DC side together at every step.
 *
 * <p>First a minute with the output on and nothing plugged in. At each load it waits until the load
 * is steady by {@link SteadyRule}, at most five minutes, and then reads for a minute. All loads are
 * gone through as often as asked. It ends early when the output drops out: the loads so far stay.
 */
public final class LoadLadder extends AskingProcedure {
  /** Kept with the run. */
  public static final String KIND = "efficiency";

  static final double NO_LOAD_SECONDS = 60;
  static final double MEASURE_SECONDS = 60;
  static final double SETTLE_LIMIT = 300;
  private static final double DEAD_SHARE = 0.1;
  private static final int DEAD_FRAMES = 3;

  /** Further from what was asked for than this, the load is not the one that was meant. */
  private static final double FAR_OFF = 0.3;

  private final List<Double> loads;
  private final int rounds;
  private final double nominalVolts;
  private final List<double[]> settling = new ArrayList<>();
  private int step = -1;
  private int deadFrames;

  /**
   * Sets a ladder up.
   *
   * @param loads watts of each step, light to heavy, at least one
   * @param rounds how often all of them are gone through, 1 or more
   * @param nominalVolts of the outlet, V
   */
  public LoadLadder(List<Double> loads, int rounds, double nominalVolts) {
    super(KIND, Phase.BASELINE);
    if (rounds < 1) {
      throw new IllegalArgumentException("a ladder is gone through once or more");
    }
    this.loads = atLeastOne(loads, "a ladder needs loads");
    this.rounds = rounds;
    this.nominalVolts = nominalVolts;
  }

  private double load() {
    return step < 0 || step >= loads.size() * rounds ? 0 : loads.get(step % loads.size());
  }

  @Override
  public SetPoints setPoints() {
    boolean on = !asking && (phase == Phase.SETTLING || phase == Phase.MEASURING);
    return on ? SetPoints.atOutlet(load()) : SetPoints.NO_LOAD;
  }

  @Override
  protected String request() {
    return step < 0
        ? "AC output on, nothing plugged in"
        : "Plug in " + Figures.plain(load(), Unit.WATT);
  }

  @Override
  protected void go(Frame frame, double passed, boolean first, List<Notice> out) {
    if (!frame.channels().contains(Channel.AC_POWER)) {
      // A person waits, reads and types; going on says that this load is done.
      next();
      return;
    }
    if (droppedOut(frame, out)) {
      return;
    }
    switch (phase) {
      case BASELINE -> {
        if (passed >= NO_LOAD_SECONDS) {
          next();
        }
      }
      case SETTLING -> settle(frame.seconds(), passed, frame.value(Channel.AC_POWER), out);
      case MEASURING -> {
        if (passed >= MEASURE_SECONDS) {
          next();
        }
      }
      default -> {}
    }
  }

  /** On to the next load. */
  private void next() {
    step++;
    settling.clear();
    part(Phase.SETTLING);
    if (step >= loads.size() * rounds) {
      finish(
          "All loads read"
              + (rounds == 1 ? "" : ", " + rounds + " times")
              + ". Unplug the last one.");
    }
  }

  private void settle(double now, double passed, double watts, List<Notice> out) {
    if (Double.isNaN(watts)) {
      return;
    }
    settling.add(new double[] {now, watts});
    Series series =
        Series.of(
            settling.stream().mapToDouble(r -> r[0]).toArray(),
            settling.stream().mapToDouble(r -> r[1]).toArray());
    boolean steady = SteadyRule.steadyFrom(series, 0, series.size() - 1) < series.size();
    boolean late = passed >= SETTLE_LIMIT;
    if (!steady && !late) {
      return;
    }
    out.add(
        new Notice(
            now,
            steady ? "step" : "unsteady",
            Figures.fixed(watts, 0)
                + (steady
                    ? " W is steady after " + Figures.duration(passed) + "; reading."
                    : " W has not settled in five minutes; reading all the same.")));
    if (Math.abs(watts - load()) > FAR_OFF * load()) {
      out.add(
          new Notice(
              now,
              "other_load",
              "The load draws "
                  + Figures.fixed(watts, 0)
                  + " W where "
                  + Figures.plain(load(), Unit.WATT)
                  + " was meant. It is read as it is."));
    }
    goOn(Phase.MEASURING);
  }

  private boolean droppedOut(Frame frame, List<Notice> out) {
    double volts = frame.value(Channel.AC_VOLTAGE);
    deadFrames = volts < DEAD_SHARE * nominalVolts ? deadFrames + 1 : 0;
    if (deadFrames < DEAD_FRAMES) {
      return false;
    }
    finish(
        step < 0
            ? "There are no volts at the outlet. Switch the AC output on and start again."
            : "The output dropped out at "
                + Figures.plain(load(), Unit.WATT)
                + "; the loads before it stay.");
    out.add(new Notice(frame.seconds(), "cut_off", ending));
    return true;
  }

  /** Steps gone through, the one it is at among them; 0 before the first. */
  public int stepsBegun() {
    return Math.min(step + 1, stepsInAll());
  }

  public int stepsInAll() {
    return loads.size() * rounds;
  }

  @Override
  public List<DoNow> steps() {
    return List.of(
        new DoNow("Charge to half or more", DoNow.When.BEFORE, ""),
        new DoNow(
            "Clamp on the battery lead, voltmeter at the inverter's terminals",
            DoNow.When.BEFORE,
            "A battery gives hundreds of amps into a slipped probe. Take rings and watches off,"
                + " touch one terminal at a time, and leave it where the leads cannot be reached"
                + " without opening the unit."),
        new DoNow("Zero the clamp with no current", DoNow.When.BEFORE, ""),
        new DoNow("No charger, no solar plugged in", DoNow.When.BEFORE, ""),
        new DoNow(
            "Heaters on a hard floor, 1\u00a0m clear",
            DoNow.When.DURING,
            "Heaters set fire to what touches them. Stop at smell, smoke or a hot plug."),
        new DoNow("Unplug the last load", DoNow.When.AFTER, ""));
  }
}
