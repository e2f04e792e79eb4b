package org.wiseember.trial;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import org.wiseember.core.figure.Because;
import org.wiseember.core.figure.Warning;
import org.wiseember.core.port.UsbTester;
import org.wiseember.core.quantity.Figures;
import org.wiseember.core.quantity.Unit;
import org.wiseember.core.trace.Channel;
import org.wiseember.core.trace.Trace;
import org.wiseember.core.trace.Treatment;
import org.wiseember.core.uncertainty.Budget;
import org.wiseember.core.uncertainty.Estimate;
import org.wiseember.core.uncertainty.MeterClass;
import org.wiseember.workbook.Run;

/**
 * A USB port asked for its profiles, volts and amps typed.
 *
 * @param tester it was asked with
 */
public record UsbRun(Run run, Trace trace, Treatment treatment, UsbTester tester)
    implements TestRun {
  /** What is assumed of a small USB meter, of volts and of amps. */
  private static final MeterClass ASSUMED = MeterClass.ofReading(1, 0, 0.01);

  /** A tester is at its end when the port gave nearly all it can ask for. */
  private static final double AT_ITS_END = 0.97;

  /** Typed readings this near in time belong together, s. */
  private static final double TOGETHER = 120;

  /** One profile as it was read. */
  public record Profile(double volts, double amps) {
    public double watts() {
      return volts * amps;
    }
  }

  /** Every pair of volts and amps that were typed together. */
  public List<Profile> profiles() {
    Trace treated = treatment.of(trace);
    List<Profile> profiles = new ArrayList<>();
    double volts = Double.NaN;
    double amps = Double.NaN;
    double voltsAt = Double.NEGATIVE_INFINITY;
    double ampsAt = Double.NEGATIVE_INFINITY;
    for (int i = 0; i < treated.size(); i++) {
      double v = treated.value(Channel.DC_VOLTAGE, i);
      double a = treated.value(Channel.DC_CURRENT, i);
      if (!Double.isNaN(v)) {
        volts = v;
        voltsAt = treated.seconds(i);
      }
      if (!Double.isNaN(a)) {
        amps = a;
        ampsAt = treated.seconds(i);
      }
      if (Math.abs(voltsAt - ampsAt) <= TOGETHER && !Double.isNaN(volts + amps)) {
        profiles.add(new Profile(volts, amps));
        volts = Double.NaN;
        amps = Double.NaN;
      }
    }
    return profiles;
  }

  private Optional<Profile> strongest() {
    return profiles().stream().max(Comparator.comparingDouble(Profile::watts));
  }

  private Budget budget(Profile p) {
    return new Budget(List.of())
        .with(
            "Voltmeter",
            run.settings().meterClass(Channel.DC_VOLTAGE).orElse(ASSUMED),
            p.volts(),
            p.amps())
        .with(
            "Ammeter",
            run.settings().meterClass(Channel.DC_CURRENT).orElse(ASSUMED),
            p.amps(),
            p.volts());
  }

  /** The most it gave, W; empty without readings. */
  public Optional<Estimate> most() {
    return strongest().map(p -> new Estimate(p.watts(), budget(p).u95()));
  }

  /**
   * Whether the tester, not the port, was at its end before a claim: then it cannot be shown.
   *
   * @param watts claimed
   */
  public boolean rigStops(double watts) {
    return !tester.canShow(watts)
        && most().map(m -> m.high() >= AT_ITS_END * tester.mostWatts()).orElse(true);
  }

  @Override
  public Optional<Because> because() {
    return strongest()
        .map(
            p ->
                new Because(
                    "USB port",
                    Figures.withUncertainty(p.watts(), budget(p).u95(), Unit.WATT),
                    "the most it gave to a " + tester.words(),
                    profiles().stream()
                        .map(
                            each ->
                                Figures.fixed(each.volts(), 2)
                                    + " V × "
                                    + Figures.fixed(each.amps(), 2)
                                    + " A = "
                                    + Figures.fixed(each.watts(), 1)
                                    + " W")
                        .toList(),
                    Unit.WATT,
                    budget(p),
                    List.of(
                        "This tester asks for at most "
                            + Figures.plain(tester.mostWatts(), Unit.WATT)
                            + "; more than that it cannot show of any port."),
                    "A 5 V tester reads a 100 W port as 15 W; that is the tester, not the port."));
  }

  @Override
  public List<Warning> warnings() {
    return profiles().isEmpty()
        ? List.of(new Warning("no_readings", "No volts and amps were typed together yet."))
        : List.of();
  }
}
