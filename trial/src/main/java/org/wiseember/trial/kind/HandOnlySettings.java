package org.wiseember.trial.kind;

import java.util.List;
import java.util.Set;
import org.wiseember.bench.procedure.Procedure;
import org.wiseember.bench.simulated.Fault;

/** Settings of a test that is made by hand alone: no bench sets loads for it or reads it. */
public interface HandOnlySettings extends TestSettings {
  @Override
  default List<Double> loads() {
    return List.of();
  }

  @Override
  default Procedure procedure() {
    return byHand();
  }

  @Override
  default SimulatedRig simulated(double outletVolts, Set<Fault> faults, long seed) {
    return SimulatedRig.BARE;
  }
}
