package org.wiseember.bench.simulated.load;

/**
 * An induction motor under load: at a standstill it takes its locked-rotor current, and runs up
 * only where the volts are high enough to turn what hangs on it.
 */
public final class Motor implements Load {
  private static final double LOCKED_POWER_FACTOR = 0.45;
  private static final double RUNNING_POWER_FACTOR = 0.8;

  /** Torque falls with the square of the volts; below this share of it the load is not turned. */
  private static final double LOAD_TORQUE = 0.45;

  private final double watts;
  private final double volts;
  private final double lockedRotor;
  private final double startSeconds;
  private double speed;

  /**
   * @param watts running at its nominal volts
   * @param volts nominal
   * @param lockedRotor current at a standstill over the running current
   * @param startSeconds to run up at nominal volts, s
   */
  public Motor(double watts, double volts, double lockedRotor, double startSeconds) {
    if (!(watts > 0) || !(volts > 0) || !(lockedRotor >= 1) || !(startSeconds > 0)) {
      throw new IllegalArgumentException("a motor draws power and takes time to start");
    }
    this.watts = watts;
    this.volts = volts;
    this.lockedRotor = lockedRotor;
    this.startSeconds = startSeconds;
  }

  /** Whether it runs at its full speed. */
  public boolean running() {
    return speed >= 1;
  }

  @Override
  public LoadDraw at(double atVolts, WaveShape shape) {
    if (atVolts <= 0) {
      return LoadDraw.NONE;
    }
    double runningAmps = watts / (volts * RUNNING_POWER_FACTOR);
    double slip = 1 - Math.min(1, speed);
    // The current stays near its locked value until the last quarter of the way up.
    double share = Math.min(1, 4 * slip);
    double amps = runningAmps * (1 + (lockedRotor - 1) * share) * (running() ? 1 : atVolts / volts);
    double factor = RUNNING_POWER_FACTOR + (LOCKED_POWER_FACTOR - RUNNING_POWER_FACTOR) * share;
    double power = running() ? watts : amps * atVolts * factor;
    double drawn = running() ? power / (atVolts * factor) : amps;
    return new LoadDraw(power, drawn, drawn * shape.averagingFactor(0));
  }

  @Override
  public void pass(double atVolts, double seconds) {
    double ratio = atVolts / volts;
    double torque = ratio * ratio;
    double gain = torque > LOAD_TORQUE ? (torque - LOAD_TORQUE) / (1 - LOAD_TORQUE) : -3;
    speed = Math.max(0, Math.min(1, speed + gain * seconds / startSeconds));
  }

  @Override
  public double longestStep() {
    return running() || speed == 0 ? 0.25 : 0.02;
  }
}
