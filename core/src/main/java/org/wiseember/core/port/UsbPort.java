package org.wiseember.core.port;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import org.wiseember.core.figure.Because;
import org.wiseember.core.figure.Bound;
import org.wiseember.core.figure.Figure;
import org.wiseember.core.figure.Finding;
import org.wiseember.core.figure.Warning;
import org.wiseember.core.quantity.Figures;
import org.wiseember.core.quantity.Unit;
import org.wiseember.core.trace.Channel;
import org.wiseember.core.trace.Trace;
import org.wiseember.core.uncertainty.AssumedMeter;
import org.wiseember.core.uncertainty.Budget;
import org.wiseember.core.uncertainty.MeterClass;

/**
 * A USB port asked for its profiles: P = U·I of volts and amps that were typed together.
 *
 * @param tester it was asked with
 * @param profiles every pair of volts and amps, in order of time
 * @param most the most it gave, W; the least it can where the tester was at its own end
 * @param contract the largest contract that was carried, W
 */
public record UsbPort(
    UsbTester tester, List<Profile> profiles, Optional<Figure> most, Optional<Figure> contract)
    implements Finding {
  /** What is assumed of a small USB meter, of volts and of amps. */
  private static final MeterClass ASSUMED = AssumedMeter.of(Unit.VOLT);

  /** A tester is at its end when the port gave nearly all it can ask for. */
  private static final double AT_ITS_END = 0.97;

  /** Typed readings this near in time belong together, s. */
  private static final double TOGETHER = 120;

  /** Volts of the contracts of USB Power Delivery 3.1, recalled from memory. */
  private static final double[] CONTRACTS = {5, 9, 12, 15, 20, 28, 36, 48};

  /** A source holds its contract's volts to within so much (the same, recalled from memory). */
  private static final double TOLERANCE = 0.05;

  /** One profile as it was read. */
  public record Profile(double volts, double amps) {
    public double watts() {
      return volts * amps;
    }

    /**
     * The volts that were agreed on; those that were read where they are more, or no contract's.
     */
    public double agreedVolts() {
      for (double level : CONTRACTS) {
        if (Math.abs(volts / level - 1) <= TOLERANCE) {
          return Math.max(level, volts);
        }
      }
      return volts;
    }
  }

  public UsbPort {
    profiles = List.copyOf(profiles);
  }

  /**
   * Works it out.
   *
   * @param trace with DC volts and amps
   * @param volts class of the voltmeter; empty where nobody said
   * @param amps class of the ammeter; empty where nobody said
   */
  public static UsbPort of(
      Trace trace, UsbTester tester, Optional<MeterClass> volts, Optional<MeterClass> amps) {
    List<Profile> profiles = profiles(trace);
    Optional<Figure> most =
        profiles.stream()
            .max(Comparator.comparingDouble(Profile::watts))
            .map(p -> most(p, profiles, tester, volts.orElse(ASSUMED), amps.orElse(ASSUMED)));
    Optional<Figure> contract =
        profiles.stream()
            .max(Comparator.comparingDouble(p -> p.agreedVolts() * p.amps()))
            .map(p -> contract(p, tester, amps.orElse(ASSUMED)));
    return new UsbPort(tester, profiles, most, contract);
  }

  private static List<Profile> profiles(Trace trace) {
    List<Profile> profiles = new ArrayList<>();
    double volts = Double.NaN;
    double amps = Double.NaN;
    double voltsAt = Double.NEGATIVE_INFINITY;
    double ampsAt = Double.NEGATIVE_INFINITY;
    for (int i = 0; i < trace.size(); i++) {
      double v = trace.value(Channel.DC_VOLTAGE, i);
      double a = trace.value(Channel.DC_CURRENT, i);
      if (!Double.isNaN(v)) {
        volts = v;
        voltsAt = trace.seconds(i);
      }
      if (!Double.isNaN(a)) {
        amps = a;
        ampsAt = trace.seconds(i);
      }
      if (Math.abs(voltsAt - ampsAt) <= TOGETHER && !Double.isNaN(volts + amps)) {
        profiles.add(new Profile(volts, amps));
        volts = Double.NaN;
        amps = Double.NaN;
      }
    }
    return profiles;
  }

  /**
   * The contract that was carried, as labels count it: the volts agreed on times the amps drawn. A
   * source may be a twentieth below its volts and still keep its contract.
   */
  private static Figure contract(Profile p, UsbTester tester, MeterClass amps) {
    double agreed = p.agreedVolts();
    double watts = agreed * p.amps();
    Budget budget = Budget.of().with("Ammeter", amps, p.amps(), agreed);
    Figure contract =
        Figure.of(
            "usb_contract",
            "USB port, contract carried",
            watts,
            Unit.WATT,
            Because.of(
                    budget,
                    Figures.fixed(agreed, 0)
                        + " V agreed × "
                        + Figures.fixed(p.amps(), 2)
                        + " A = "
                        + Figures.fixed(watts, 1)
                        + " W; "
                        + Figures.fixed(p.volts(), 2)
                        + " V were read, "
                        + Figures.fixed(p.watts(), 1)
                        + " W")
                .summed("volts of the contract × amps drawn")
                .watching("A port keeps its contract while its volts are within 5 % of it."));
    boolean atItsEnd = contract.high() >= AT_ITS_END * tester.mostWatts();
    return atItsEnd ? contract.bounded(Bound.AT_LEAST) : contract;
  }

  private static Figure most(
      Profile p, List<Profile> all, UsbTester tester, MeterClass volts, MeterClass amps) {
    Budget budget =
        Budget.of()
            .with("Voltmeter", volts, p.volts(), p.amps())
            .with("Ammeter", amps, p.amps(), p.volts());
    Figure most =
        Figure.of(
            "usb_watts",
            "USB port, most watts",
            p.watts(),
            Unit.WATT,
            Because.of(
                    budget,
                    all.stream()
                        .map(
                            each ->
                                Figures.fixed(each.volts(), 2)
                                    + " V × "
                                    + Figures.fixed(each.amps(), 2)
                                    + " A = "
                                    + Figures.fixed(each.watts(), 1)
                                    + " W")
                        .toList())
                .summed("the most it gave to a " + tester.words())
                .watching(
                    "This tester asks for at most "
                        + Figures.plain(tester.mostWatts(), Unit.WATT)
                        + "; more than that it cannot show of any port.")
                .otherwise(
                    "A 5 V tester reads a 100 W port as 15 W; that is the tester, not the port."));
    boolean atItsEnd = most.high() >= AT_ITS_END * tester.mostWatts();
    return atItsEnd ? most.bounded(Bound.AT_LEAST) : most;
  }

  /**
   * Whether the tester, not the port, was at its end before a claim: then it cannot be shown.
   *
   * @param watts claimed
   */
  public boolean rigStops(double watts) {
    return !tester.canShow(watts)
        && contract.map(c -> c.high() >= AT_ITS_END * tester.mostWatts()).orElse(true);
  }

  @Override
  public List<Figure> figures() {
    return Stream.of(most, contract).flatMap(Optional::stream).toList();
  }

  @Override
  public List<Warning> warnings() {
    return profiles.isEmpty()
        ? List.of(new Warning("no_readings", "No volts and amps were typed together yet."))
        : List.of();
  }
}
