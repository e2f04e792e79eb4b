package org.wiseember.trial.wave;

import java.util.List;
import java.util.Optional;
import org.wiseember.core.waveform.LoadSweep;
import org.wiseember.core.waveform.MeterWave;
import org.wiseember.trial.kind.TestRun;

/** A run in which a unit's wave was captured, or read off a meter. */
public interface CapturedWaves extends TestRun {
  /** As they were captured. */
  List<Wave> waves();

  /** What a meter and eyes showed without a capture. */
  List<MeterWave> read();

  /** Of the outlet, V; 0 where nobody said. */
  double nominalVolts();

  /** The unit's own waves that have figures: at its outlet, with nothing between or beside. */
  List<Wave> own();

  /** The unit's most distorted wave. */
  Optional<Wave> worst();

  /**
   * The unit's wave nearest to a load.
   *
   * @param watts W
   */
  Optional<Wave> at(double watts);

  /** Its waves by load; those whose load nobody knows are left out. */
  LoadSweep sweep();
}
