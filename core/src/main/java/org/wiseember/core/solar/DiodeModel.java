package org.wiseember.core.solar;

/**
 * A panel as one diode, a current source, a series and a shunt resistance: I = I_L − I_0·(exp((V +
 * I·R_s) ÷ a) − 1) − (V + I·R_s) ÷ R_sh.
 *
 * <p>Fitted at standard test conditions as Villalva, Gazoli and Ruppert Filho (2009) do: the
 * ideality is taken as 1.3 (less where that leaves no room for resistances), and R_s and R_sh are
 * the one pair with which the curve's highest power is V_mp·I_mp at V_mp. Carried to other light
 * and warmth by the sheet's coefficients.
 */
public final class DiodeModel {
  private static final double BOLTZMANN = 1.380649e-23;
  private static final double CHARGE = 1.602176634e-19;
  private static final double TEST_KELVIN = 298.15;
  private static final double TEST_CELSIUS = 25;
  private static final double TEST_LIGHT = 1000;
  private static final double[] IDEALITIES = {1.3, 1.2, 1.1, 1.0, 0.9, 0.8, 0.7, 0.6};
  private static final int HALVINGS = 80;
  private static final int STEPS = 400;
  private static final int NEWTON_STEPS = 60;

  private final Panel panel;
  private final double ideality;
  private final double series;
  private final double shunt;

  private DiodeModel(Panel panel, double ideality, double series, double shunt) {
    this.panel = panel;
    this.ideality = ideality;
    this.series = series;
    this.shunt = shunt;
  }

  /** Fits a panel. */
  public static DiodeModel of(Panel panel) {
    for (double ideality : IDEALITIES) {
      DiodeModel fitted = fit(panel, ideality);
      if (fitted != null) {
        return fitted;
      }
    }
    // A sheet that contradicts itself: a plain diode through V_oc and I_sc.
    return new DiodeModel(panel, 1, 0, Double.POSITIVE_INFINITY);
  }

  /** Looks along R_s for where the power is highest at V_mp; null where it is nowhere. */
  private static DiodeModel fit(Panel panel, double ideality) {
    double most = (panel.openVolts() - panel.peakVolts()) / panel.peakAmps();
    double before = slope(panel, ideality, 0);
    for (int k = 1; k <= STEPS; k++) {
      double now = slope(panel, ideality, most * k / STEPS);
      if (before * now <= 0) {
        double rs = halve(panel, ideality, most * (k - 1) / STEPS, most * k / STEPS, before);
        double shunt = shuntFor(panel, ideality, rs);
        return shunt > 0 ? new DiodeModel(panel, ideality, rs, shunt) : null;
      }
      before = now;
    }
    return null;
  }

  private static double halve(Panel panel, double ideality, double from, double to, double atFrom) {
    double low = from;
    double high = to;
    for (int i = 0; i < HALVINGS; i++) {
      double middle = (low + high) / 2;
      if (slope(panel, ideality, middle) * atFrom > 0) {
        low = middle;
      } else {
        high = middle;
      }
    }
    return low;
  }

  private static double thermalVolts(Panel panel, double ideality, double kelvin) {
    return ideality * panel.cellsInSeries() * BOLTZMANN * kelvin / CHARGE;
  }

  /** The shunt with which the curve goes through V_mp, I_mp; below 0 or NaN where there is none. */
  private static double shuntFor(Panel p, double ideality, double rs) {
    double a = thermalVolts(p, ideality, TEST_KELVIN);
    // I_0 and I_L follow from V_oc and I_sc for a given shunt; the three are linear in 1 ÷ R_sh.
    double eOpen = Math.expm1(p.openVolts() / a);
    double eShort = Math.expm1(p.shortAmps() * rs / a);
    double vd = p.peakVolts() + p.peakAmps() * rs;
    double ePeak = Math.expm1(vd / a);
    // I_L = I_0·eOpen + V_oc·g and I_sc = I_L − I_0·eShort − I_sc·R_s·g, with g = 1 ÷ R_sh.
    // I_mp = I_L − I_0·ePeak − vd·g gives g.
    double d = eOpen - eShort;
    double k0 = p.shortAmps() / d;
    double k1 = -(p.openVolts() - p.shortAmps() * rs) / d;
    // I_0 = k0 + k1·g
    double left = k0 * (eOpen - ePeak) - p.peakAmps();
    double right = -(k1 * (eOpen - ePeak) + p.openVolts() - vd);
    double g = left / right;
    return g > 0 ? 1 / g : g == 0 ? Double.POSITIVE_INFINITY : -1;
  }

  /** dP ÷ dV at V_mp for a series resistance; NaN where no shunt fits. */
  private static double slope(Panel p, double ideality, double rs) {
    double shunt = shuntFor(p, ideality, rs);
    if (!(shunt > 0)) {
      return Double.NaN;
    }
    double a = thermalVolts(p, ideality, TEST_KELVIN);
    double g = 1 / shunt;
    double saturation =
        (p.shortAmps() - (p.openVolts() - p.shortAmps() * rs) * g)
            / (Math.expm1(p.openVolts() / a) - Math.expm1(p.shortAmps() * rs / a));
    double vd = p.peakVolts() + p.peakAmps() * rs;
    double conductance = saturation / a * Math.exp(vd / a) + g;
    double didv = -conductance / (1 + conductance * rs);
    return p.peakAmps() + p.peakVolts() * didv;
  }

  /** Series resistance of the panel, Ω. */
  public double seriesOhms() {
    return series;
  }

  public double ideality() {
    return ideality;
  }

  /** The curve at a light and a temperature of the cells. */
  public Curve at(double light, double cellCelsius) {
    return new Curve(this, Math.max(0, light), cellCelsius);
  }

  /** Volts and amps of a panel at one light and warmth. */
  public static final class Curve {
    private final double photo;
    private final double saturation;
    private final double a;
    private final double series;
    private final double conductance;
    private final double open;

    private Curve(DiodeModel m, double light, double celsius) {
      Panel p = m.panel;
      double dt = celsius - TEST_CELSIUS;
      double share = light / TEST_LIGHT;
      a = thermalVolts(p, m.ideality, TEST_KELVIN + dt);
      series = m.series;
      conductance = (Double.isInfinite(m.shunt) ? 0 : 1 / m.shunt) * share;
      double shortFull = p.shortAmps() * (1 + p.ampsCoefficient() / 100 * dt);
      double openFull = p.openVolts() * (1 + p.voltsCoefficient() / 100 * dt);
      double g = Double.isInfinite(m.shunt) ? 0 : 1 / m.shunt;
      saturation =
          (shortFull - (openFull - shortFull * series) * g)
              / (Math.expm1(openFull / a) - Math.expm1(shortFull * series / a));
      photo = share * (saturation * Math.expm1(openFull / a) + openFull * g);
      open = photo <= 0 ? 0 : openVolts();
    }

    private double openVolts() {
      double low = 0;
      double high = a * Math.log1p(photo / saturation);
      for (int i = 0; i < HALVINGS; i++) {
        double v = (low + high) / 2;
        if (photo - saturation * Math.expm1(v / a) - v * conductance > 0) {
          low = v;
        } else {
          high = v;
        }
      }
      return low;
    }

    /** V_oc at this light and warmth. */
    public double open() {
      return open;
    }

    /**
     * Current at a voltage; 0 at and above the open-circuit volts.
     *
     * @param volts 0 or more
     */
    public double amps(double volts) {
      if (photo <= 0 || volts >= open) {
        return 0;
      }
      if (series <= 0) {
        return Math.max(0, photo - saturation * Math.expm1(volts / a) - volts * conductance);
      }
      // What is left over falls ever faster with the diode's volts, so that Newton's steps from
      // above stay above and close in.
      double vd = Math.min(volts + photo * series, a * Math.log1p(photo / saturation));
      for (int i = 0; i < NEWTON_STEPS; i++) {
        double grown = Math.exp(vd / a);
        double left = photo - saturation * (grown - 1) - vd * conductance - (vd - volts) / series;
        double step = left / (saturation / a * grown + conductance + 1 / series);
        vd += step;
        if (Math.abs(step) < 1e-12 * Math.max(1, vd)) {
          break;
        }
      }
      return Math.max(0, (vd - volts) / series);
    }

    /** Volts and amps of the highest power. */
    public double[] peak() {
      double low = 0;
      double high = open;
      double ratio = (Math.sqrt(5) - 1) / 2;
      double x1 = high - ratio * (high - low);
      double x2 = low + ratio * (high - low);
      double p1 = x1 * amps(x1);
      double p2 = x2 * amps(x2);
      for (int i = 0; i < 60 && high - low > 1e-7; i++) {
        if (p1 < p2) {
          low = x1;
          x1 = x2;
          p1 = p2;
          x2 = low + ratio * (high - low);
          p2 = x2 * amps(x2);
        } else {
          high = x2;
          x2 = x1;
          p2 = p1;
          x1 = high - ratio * (high - low);
          p1 = x1 * amps(x1);
        }
      }
      double v = (low + high) / 2;
      return new double[] {v, amps(v)};
    }
  }
}
