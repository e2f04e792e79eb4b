package org.wiseember.bench.simulated.load;

/**
 * A fridge: its compressor starts when the cabinet is warm, and runs until it is cold; every so
 * often a defrost heater takes its turn.
 */
public final class Fridge implements Load {
  private static final double CABINET_SECONDS = 5400;
  private static final double ROOM_CELSIUS = 22;
  private static final double RUNNING_PULL = 45;
  private static final double STARTS_AT = 7;
  private static final double STOPS_AT = 3;
  private static final double LIGHT_WATTS = 1.5;

  private final double watts;
  private final double volts;
  private final double defrostWatts;
  private final double defrostEverySeconds;
  private final double defrostSeconds;
  private double celsius = 8;
  private double clock;
  private Motor compressor;

  /**
   * @param watts of the running compressor
   * @param volts nominal
   * @param defrostWatts of the defrost heater, 0 for none
   */
  public Fridge(double watts, double volts, double defrostWatts) {
    this.watts = watts;
    this.volts = volts;
    this.defrostWatts = defrostWatts;
    this.defrostEverySeconds = 9 * 3600.0;
    this.defrostSeconds = 1200;
  }

  private boolean defrosting() {
    return defrostWatts > 0 && clock % defrostEverySeconds > defrostEverySeconds - defrostSeconds;
  }

  @Override
  public LoadDraw at(double atVolts, WaveShape shape) {
    if (atVolts <= 0) {
      return LoadDraw.NONE;
    }
    double ratio = atVolts / volts;
    double resistive = (LIGHT_WATTS + (defrosting() ? defrostWatts : 0)) * ratio * ratio;
    double amps = resistive / atVolts;
    LoadDraw plain = new LoadDraw(resistive, amps, amps * shape.averagingFactor(0));
    return compressor == null ? plain : plain.plus(compressor.at(atVolts, shape));
  }

  @Override
  public void pass(double atVolts, double seconds) {
    clock += seconds;
    boolean cooling = compressor != null && compressor.running() && atVolts > 0.6 * volts;
    double target = ROOM_CELSIUS - (cooling ? RUNNING_PULL : 0);
    celsius += (target - celsius) * (1 - Math.exp(-seconds / CABINET_SECONDS));
    if (atVolts <= 0.5 * volts || defrosting()) {
      compressor = null;
    } else if (compressor == null && celsius > STARTS_AT) {
      compressor = new Motor(watts, volts, 6, 0.4);
    } else if (compressor != null && celsius < STOPS_AT) {
      compressor = null;
    }
    if (compressor != null) {
      compressor.pass(atVolts, seconds);
    }
  }

  @Override
  public double longestStep() {
    return compressor == null ? 0.25 : compressor.longestStep();
  }
}
