package org.wiseember.bench.procedure;

import java.util.List;
import org.wiseember.bench.instrument.SetPoints;
import org.wiseember.core.notice.Notice;
import org.wiseember.core.quantity.Figures;
import org.wiseember.core.trace.Channel;
import org.wiseember.core.trace.Frame;

/**
 * Records with the load on until a time is over, the output has gone off, or a person ends it: a
 * fridge over two nights, a soak.
 */
public final class Watching extends PhasedProcedure {
  /** Kept with the run. */
  public static final String KIND = "watching";

  private static final double DEAD_SHARE = 0.1;
  private static final double DEAD_SECONDS = 120;

  private final double seconds;
  private double mostVolts;
  private double deadSince = Double.NaN;

  /**
   * Watches for a time.
   *
   * @param seconds on the bench clock, above 0
   */
  public Watching(double seconds) {
    super(Phase.MEASURING);
    if (!(seconds > 0)) {
      throw new IllegalArgumentException("watching takes time");
    }
    this.seconds = seconds;
  }

  @Override
  public String kind() {
    return KIND;
  }

  @Override
  public SetPoints setPoints() {
    return phase.over() ? SetPoints.NO_LOAD : SetPoints.WHOLE_LOAD;
  }

  @Override
  public List<Notice> take(Frame frame) {
    if (!phase.over() && frame.seconds() >= seconds) {
      finish("Watched for " + Figures.duration(seconds) + ".");
    }
    double volts = frame.value(Channel.AC_VOLTAGE);
    mostVolts = volts > mostVolts ? volts : mostVolts;
    boolean dead = mostVolts > 1 && volts < DEAD_SHARE * mostVolts;
    deadSince = !dead ? Double.NaN : Double.isNaN(deadSince) ? frame.seconds() : deadSince;
    if (!phase.over() && frame.seconds() - deadSince >= DEAD_SECONDS) {
      finish("The output went off and stayed off.");
      return List.of(new Notice(frame.seconds(), "cut_off", ending));
    }
    return List.of();
  }

  @Override
  public List<DoNow> steps() {
    return List.of(
        new DoNow(
            "Nothing that burns near the load",
            DoNow.When.BEFORE,
            "A soak runs unattended. Keep the unit and the load on a hard floor with air around"
                + " them, and a smoke alarm in the room."),
        new DoNow("Look in now and then", DoNow.When.DURING, ""));
  }
}
