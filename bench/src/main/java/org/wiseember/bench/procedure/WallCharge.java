package org.wiseember.bench.procedure;

import java.util.List;
import org.wiseember.bench.instrument.Wanted;
import org.wiseember.core.notice.Notice;
import org.wiseember.core.quantity.Figures;
import org.wiseember.core.trace.Channel;
import org.wiseember.core.trace.Frame;

/**
 * Charges an empty unit from the wall, with a meter between, until it takes no more. It ends by
 * itself where the power has stayed under a twenty-fifth of its most for three minutes.
 */
public final class WallCharge extends AskingCourse {
  /** Kept with the run. */
  public static final String KIND = "wall-charge";

  static final double BEFORE_SECONDS = 20;
  private static final double OVER_SECONDS = 180;
  private static final double NOTHING_SECONDS = 300;
  private static final double LONGEST_SECONDS = 48 * 3600.0;
  private static final double LEAST_WATTS = 5;
  private static final double OVER_SHARE = 0.04;

  private double most;
  private double quietSince = Double.NaN;

  public WallCharge() {
    super(KIND, Phase.BASELINE);
  }

  @Override
  public Wanted wanted() {
    Wanted rest = Wanted.idle(false, false, false);
    return !asking && phase == Phase.MEASURING ? rest.fromTheWall() : rest;
  }

  @Override
  protected String request() {
    return switch (phase) {
      case MEASURING -> "Charger in";
      case WINDING_DOWN -> "Say so once it is full";
      default -> "Unit empty and rested, nothing plugged in, meter between wall and charger";
    };
  }

  @Override
  public double watched(Frame frame) {
    return frame.value(Channel.IN_POWER);
  }

  @Override
  protected void go(Frame frame, double passed, boolean first, List<Notice> out) {
    if (tooHot(frame, out)) {
      return;
    }
    boolean byHand = !frame.channels().contains(Channel.IN_POWER);
    switch (phase) {
      case BASELINE -> {
        if (byHand || passed >= BEFORE_SECONDS) {
          part(Phase.MEASURING);
        }
      }
      case MEASURING -> {
        if (byHand) {
          part(Phase.WINDING_DOWN);
        } else {
          charge(frame, passed, out);
        }
      }
      case WINDING_DOWN -> finish("Full, seen by hand. Charger out.");
      default -> {}
    }
  }

  private void charge(Frame frame, double passed, List<Notice> out) {
    double now = frame.seconds();
    double watts = frame.value(Channel.IN_POWER);
    if (Double.isNaN(watts)) {
      return;
    }
    most = Math.max(most, watts);
    boolean quiet = watts < Math.max(LEAST_WATTS, OVER_SHARE * most);
    quietSince = !quiet ? Double.NaN : Double.isNaN(quietSince) ? now : quietSince;
    double since = quiet ? now - quietSince : 0;
    if (most < LEAST_WATTS && since >= NOTHING_SECONDS) {
      finish("It takes nothing from the wall. Is it full, too cold, or the charger out?");
      out.add(new Notice(now, "no-charge", ending));
    } else if (most >= LEAST_WATTS && since >= OVER_SECONDS) {
      finish("It takes no more: full after " + Figures.duration(passed - since) + ".");
    } else if (passed >= LONGEST_SECONDS) {
      finish("Charged for two days and still going. Charger out.");
    }
  }

  @Override
  public List<DoNow> steps() {
    return List.of(
        new DoNow(
            "Drain it to the cut-off, rest until the case is at the room's warmth",
            DoNow.When.BEFORE,
            ""),
        new DoNow(
            "Meter between wall and charger, its own cable",
            DoNow.When.BEFORE,
            "Chargers run warm for hours: on a hard floor, air around them, a smoke alarm in the"
                + " room, and nobody asleep beside it. Lithium cells are not charged below 0 °C."),
        new DoNow("Probe on the case, one in the room", DoNow.When.BEFORE, ""),
        new DoNow("Note the display now and then", DoNow.When.DURING, ""),
        new DoNow("Charger out once it is full", DoNow.When.AFTER, ""));
  }
}
