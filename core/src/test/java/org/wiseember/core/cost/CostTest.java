package org.wiseember.core.cost;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertTrue;
import static org.testng.Assert.expectThrows;

import java.util.ArrayList;
import java.util.List;
import org.testng.annotations.Test;
import org.wiseember.core.figure.Because;
import org.wiseember.core.figure.Figure;
import org.wiseember.core.figure.Warning;
import org.wiseember.core.quantity.Unit;
import org.wiseember.core.uncertainty.Budget;
import org.wiseember.core.uncertainty.Contribution;

public class CostTest {
  private static final double NO = Double.NaN;

  private static Figure energy(double wattHours, double u95) {
    return Figure.of(
        "delivered",
        "Delivered",
        wattHours,
        Unit.WATT_HOUR,
        Because.of(Budget.of(Contribution.of95("drain", u95)), "drained"));
  }

  /** Worked by hand: 900 for 1 000 Wh printed, 850 delivered, 3 000 cycles down to 80 %. */
  @Test
  public void aPriceByWhatOneGets() {
    Price price = new Price(900, "EUR");
    Figure delivered = energy(850, 8.5);
    assertEquals(Cost.perLabelWattHour(price, 1000).value(), 0.9, 1e-12);
    Figure real = Cost.perDeliveredWattHour(price, delivered);
    assertEquals(real.value(), 900.0 / 850, 1e-12);
    assertEquals(real.u95(), real.value() * 0.01, 1e-9, "1 % of the energy is 1 % of the price");
    assertTrue(real.name().endsWith("EUR"));
    Figure life = Cost.perLifetimeKilowattHour(price, delivered, Life.of(3000));
    // 0.85 kWh × 3 000 × 0.9 = 2 295 kWh.
    assertEquals(life.value(), 900 / 2295.0, 1e-12);
    assertTrue(life.because().summary().contains("8.2 years"), life.because().summary());
  }

  /** 3 000 cycles, one a day, are 8.2 years: common practice, no published source. */
  @Test
  public void yearsOfDailyCycles() {
    assertEquals(Life.of(3000).years(), 8.2, 0.02);
    assertEquals(new Life(3000, 0.6, 2).years(), 4.1, 0.02);
    expectThrows(IllegalArgumentException.class, () -> new Life(0, 0.8, 1));
  }

  @Test
  public void weightIsSetAgainstWhatIsCarried() {
    Figure weight =
        Figure.of(
            "weight",
            "Weight",
            12.5,
            Unit.KILOGRAM,
            Because.of(Budget.of(Contribution.of95("scale", 0.125)), "on a scale"));
    Figure perKilo = Cost.wattHoursPerKilogram(energy(1000, 10), weight);
    assertEquals(perKilo.value(), 80, 1e-12);
    assertEquals(perKilo.u95(), 80 * Math.hypot(0.01, 0.01), 1e-6);
  }

  /** Parts of 800 to 1 000 against 1 400 boxed: common practice, no published source. */
  @Test
  public void partsAgainstTheBox() {
    Parts parts =
        new Parts(
            List.of(
                new Parts.Part("Cells", 450, 550),
                new Parts.Part("Inverter", 250, 300),
                new Parts.Part("Charger", 100, 150),
                new Parts.Part("Fuse and case", NO, NO)));
    Figure total = parts.total("EUR");
    assertEquals(total.value(), 900, 1e-9);
    assertTrue(total.u95() > 80 && total.u95() <= 100, "they are dear together: " + total.u95());
    assertEquals(parts.missing(), List.of("Fuse and case"));
    assertTrue(total.because().summary().contains("Fuse and case"));
  }

  /** A bill 24 to 50 % lower month by month: common practice, no published source. */
  @Test
  public void aBillFellByWhatItFell() {
    double[] before = {600, 580, 520, 430, 400, 520, 700, 720, 560, 420, 480, 590};
    double[] share = {0.5, 0.45, 0.4, 0.35, 0.24, 0.3, 0.28, 0.26, 0.33, 0.4, 0.44, 0.5};
    List<Bills.Month> months = new ArrayList<>();
    double was = 0;
    double is = 0;
    for (int i = 0; i < 12; i++) {
      double after = before[i] * (1 - share[i]);
      months.add(new Bills.Month("month " + (i + 1), before[i], after));
      was += before[i];
      is += after;
    }
    Bills bills = new Bills(months, NO);
    Figure saved = bills.saved().orElseThrow();
    assertEquals(saved.value(), 100 * (1 - is / was), 1e-9);
    assertTrue(saved.value() > 24 && saved.value() < 50);
    assertTrue(saved.u95() > 1 && saved.u95() < 10, "months differ: " + saved.u95());
    assertTrue(bills.warnings().stream().map(Warning::code).toList().contains("weather_not_asked"));
  }

  /** A cool summer saves as well: by 60 % of the bill and half the degree days, all of it here. */
  @Test
  public void theWeatherIsNoSaving() {
    List<Bills.Month> months =
        List.of(
            new Bills.Month("July", 1000, 700, 200, 100),
            new Bills.Month("August", 800, 560, 180, 90));
    Figure blind = new Bills(months, 0).saved().orElseThrow();
    assertEquals(blind.value(), 30, 1e-9);
    Figure seeing = new Bills(months, 0.6).saved().orElseThrow();
    assertEquals(seeing.value(), 0, 1e-9);
    assertTrue(
        new Bills(months, 0.6)
            .warnings().stream().map(Warning::code).toList().contains("few_months"));
    assertTrue(new Bills(List.of(), 0).saved().isEmpty());
  }
}
