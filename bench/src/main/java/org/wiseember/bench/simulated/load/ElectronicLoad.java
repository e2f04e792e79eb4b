package org.wiseember.bench.simulated.load;

/**
 * An electronic DC load. It has a low-volt stop of its own, which ends a test though the unit could
 * go on: not the unit's cut-off.
 */
public final class ElectronicLoad {
  /** What it holds constant. */
  public enum Mode {
    CURRENT,
    POWER,
    RESISTANCE
  }

  private Mode mode = Mode.CURRENT;
  private final double[] levels = new double[Mode.values().length];
  private double stopVolts;
  private boolean on;
  private boolean stopped;

  public void mode(Mode wanted) {
    mode = wanted;
  }

  public Mode mode() {
    return mode;
  }

  /**
   * Sets how much in the mode it is in.
   *
   * @param value A, W or Ω by its mode, 0 or more
   */
  public void setting(double value) {
    levels[mode.ordinal()] = value;
  }

  /** What is set in a mode; each keeps its own. */
  public double setting(Mode of) {
    return levels[of.ordinal()];
  }

  /** Nothing is set in any mode any more. */
  public void clear() {
    java.util.Arrays.fill(levels, 0);
  }

  /** Below these volts it switches itself off, V; 0 for never. */
  public void stopVolts(double volts) {
    stopVolts = volts;
  }

  public double stopVolts() {
    return stopVolts;
  }

  /** Switches it; switching on again clears its stop. */
  public void on(boolean wanted) {
    on = wanted;
    stopped = false;
  }

  public boolean isOn() {
    return on && !stopped;
  }

  /** Whether its own low-volt stop ended it. */
  public boolean stoppedItself() {
    return stopped;
  }

  /**
   * The amps it draws from a source with a resistance in series.
   *
   * @param sourceVolts without current, V
   * @param ohms between the source and its terminals, Ω
   */
  public double amps(double sourceVolts, double ohms) {
    double setting = levels[mode.ordinal()];
    if (!isOn() || sourceVolts <= 0 || setting <= 0) {
      return 0;
    }
    double most = ohms > 0 ? sourceVolts / (2 * ohms) : Double.MAX_VALUE;
    return switch (mode) {
      case CURRENT -> Math.min(setting, most);
      case RESISTANCE -> sourceVolts / (setting + ohms);
      case POWER -> {
        if (ohms == 0) {
          yield setting / sourceVolts;
        }
        double root = sourceVolts * sourceVolts - 4 * ohms * setting;
        yield root < 0 ? most : (sourceVolts - Math.sqrt(root)) / (2 * ohms);
      }
    };
  }

  /** Sees its own volts and stops itself where they are too low. */
  public void watch(double volts) {
    if (isOn() && stopVolts > 0 && volts < stopVolts) {
      stopped = true;
    }
  }
}
