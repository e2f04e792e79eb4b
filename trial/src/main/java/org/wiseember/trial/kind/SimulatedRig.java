package org.wiseember.trial.kind;

import java.util.List;
import java.util.Set;
import org.wiseember.bench.simulated.Clamped;
import org.wiseember.bench.simulated.Fault;
import org.wiseember.bench.simulated.Practice;
import org.wiseember.bench.simulated.SideInstrument;
import org.wiseember.bench.simulated.feed.Feeds;
import org.wiseember.bench.simulated.load.LoadBank;

/**
 * What stands on the simulated bench for a test.
 *
 * @param loads on the outlet
 * @param clamped where the DC meters are
 * @param beside what stands beside the meters on the outlet
 * @param charge of the unit when it begins, 0 to 1
 * @param feeds what stands by to charge it
 */
public record SimulatedRig(
    LoadBank loads, Clamped clamped, Set<SideInstrument> beside, double charge, Feeds feeds) {
  /** Nothing on the outlet. */
  public static final SimulatedRig BARE = of(new LoadBank(List.of(), List.of()));

  /** A full unit with these loads. */
  public static SimulatedRig of(LoadBank loads) {
    return new SimulatedRig(loads, Clamped.NOWHERE, Set.of(), 1, Feeds.NONE);
  }

  /** A full unit with heaters of so many watts. */
  public static SimulatedRig heaters(List<Double> watts, double outletVolts, Set<Fault> faults) {
    return of(
        new LoadBank(
            watts.stream().map(w -> Practice.load(w, outletVolts, faults)).toList(), watts));
  }

  public SimulatedRig clamped(Clamped where) {
    return new SimulatedRig(loads, where, beside, charge, feeds);
  }

  public SimulatedRig beside(Set<SideInstrument> more) {
    return new SimulatedRig(loads, clamped, more, charge, feeds);
  }

  public SimulatedRig charged(double share) {
    return new SimulatedRig(loads, clamped, beside, share, feeds);
  }

  public SimulatedRig fed(Feeds by) {
    return new SimulatedRig(loads, clamped, beside, charge, by);
  }
}
