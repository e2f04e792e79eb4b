package org.wiseember.core.solar;

/**
 * How high the open-circuit volts of a panel rise on the coldest morning. By the sheet's own
 * coefficient where there is one, else by NEC table 690.7(A) for crystalline silicon (recalled from
 * memory). Light does not matter: the first sun on a cold panel gives nearly its full volts.
 */
public final class ColdVolts {
  private static final double TEST_CELSIUS = 25;

  /** Highest temperature of each row of the table, °C, and its factor. */
  private static final double[][] TABLE = {
    {24, 1.02},
    {19, 1.04},
    {14, 1.06},
    {9, 1.08},
    {4, 1.10},
    {-1, 1.12},
    {-6, 1.14},
    {-11, 1.16},
    {-16, 1.18},
    {-21, 1.20},
    {-26, 1.21},
    {-31, 1.23},
    {-36, 1.25}
  };

  private static final double TABLE_ENDS = -40;

  private ColdVolts() {}

  /**
   * The factor on V_oc.
   *
   * @param celsius of the coldest morning, °C, −60 to 60
   */
  public static double factor(Panel panel, double celsius) {
    if (!(celsius >= -60 && celsius <= 60)) {
      throw new IllegalArgumentException(
          "a coldest morning lies between −60\u00a0°C and 60\u00a0°C");
    }
    if (celsius >= TEST_CELSIUS) {
      return 1;
    }
    if (!Double.isNaN(panel.voltsPerKelvin())) {
      return 1 + panel.voltsPerKelvin() / 100 * (celsius - TEST_CELSIUS);
    }
    return byTable(celsius);
  }

  /** By the table; below −40 °C carried on by 0.02 for each 5 °C. */
  static double byTable(double celsius) {
    if (celsius >= TEST_CELSIUS) {
      return 1;
    }
    if (celsius < TABLE_ENDS) {
      return 1.25 + 0.02 * Math.ceil((TABLE_ENDS - celsius) / 5);
    }
    double factor = TABLE[0][1];
    for (double[] row : TABLE) {
      // A temperature between two rows belongs to the colder one.
      if (celsius < row[0] + 1) {
        factor = row[1];
      }
    }
    return factor;
  }

  /** Whether the factor comes from the sheet's own coefficient. */
  public static boolean bySheet(Panel panel) {
    return !Double.isNaN(panel.voltsPerKelvin());
  }
}
