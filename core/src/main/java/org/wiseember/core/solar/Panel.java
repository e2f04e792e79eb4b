package org.wiseember.core.solar;

/**
 * A panel by its data sheet, at standard test conditions: 1 000 W/m², 25 °C cells, AM 1.5.
 *
 * @param name as its owner calls it
 * @param openVolts V_oc, V
 * @param shortAmps I_sc, A
 * @param peakVolts V_mp, V, below V_oc
 * @param peakAmps I_mp, A, below I_sc
 * @param voltsPerKelvin of V_oc, % a kelvin, below 0; NaN where the sheet does not say
 * @param ampsPerKelvin of I_sc, % a kelvin; NaN where the sheet does not say
 * @param cells in series; 0 where nobody counted
 */
public record Panel(
    String name,
    double openVolts,
    double shortAmps,
    double peakVolts,
    double peakAmps,
    double voltsPerKelvin,
    double ampsPerKelvin,
    int cells) {
  /** Cells of 0.6 V each, where nobody counted them; common practice, no published source. */
  private static final double VOLTS_A_CELL = 0.6;

  private static final double MOST_VOLTS = 200;
  private static final double MOST_AMPS = 50;

  public Panel {
    if (!(peakVolts > 0 && peakVolts < openVolts) || !(peakAmps > 0 && peakAmps < shortAmps)) {
      throw new IllegalArgumentException(
          "a panel's V_mp lies below its V_oc and its I_mp below its I_sc");
    }
    if (!(openVolts <= MOST_VOLTS) || !(shortAmps <= MOST_AMPS)) {
      throw new IllegalArgumentException("no single panel has more than 200 V or 50 A");
    }
    // A coefficient without its minus sign would make a cold morning look harmless.
    if (voltsPerKelvin > 0 || voltsPerKelvin < -1) {
      throw new IllegalArgumentException(
          "the coefficient of V_oc lies between -1 and 0 percent a kelvin, and carries its minus sign");
    }
    if (Math.abs(ampsPerKelvin) > 1 || cells < 0 || cells > 500) {
      throw new IllegalArgumentException(
          "the coefficient of I_sc lies within 1 percent a kelvin, and no panel has over 500 cells");
    }
  }

  /** W at standard test conditions. */
  public double watts() {
    return peakVolts * peakAmps;
  }

  /** Cells in series, guessed from V_oc where nobody counted. */
  public int cellsInSeries() {
    return cells > 0 ? cells : (int) Math.max(1, Math.round(openVolts / VOLTS_A_CELL));
  }

  /** % a kelvin, usual for crystalline silicon where the sheet does not say. */
  public double voltsCoefficient() {
    return Double.isNaN(voltsPerKelvin) ? -0.30 : voltsPerKelvin;
  }

  /** % a kelvin, usual for crystalline silicon where the sheet does not say. */
  public double ampsCoefficient() {
    return Double.isNaN(ampsPerKelvin) ? 0.05 : ampsPerKelvin;
  }
}
