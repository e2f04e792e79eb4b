package org.wiseember.bench.simulated;

/** A bench supply on the unit's DC input: volts up to a current limit. */
public final class DcSource {
  private double volts;
  private double limitAmps = 10;
  private boolean on;

  public void volts(double value) {
    volts = value;
  }

  public double volts() {
    return volts;
  }

  public void limitAmps(double value) {
    limitAmps = value;
  }

  public double limitAmps() {
    return limitAmps;
  }

  public void on(boolean wanted) {
    on = wanted;
  }

  public boolean isOn() {
    return on;
  }
}
