package org.wiseember.trial;

import java.util.List;
import java.util.Optional;
import org.wiseember.core.figure.Because;
import org.wiseember.core.figure.Warning;
import org.wiseember.core.trace.Trace;
import org.wiseember.core.trace.Treatment;
import org.wiseember.workbook.Run;

/** A run and what it says. */
public sealed interface TestRun
    permits DrainRun,
        LadderRun,
        IdleRun,
        OverloadRun,
        StartsRun,
        TransferRun,
        PortRun,
        UsbRun,
        HeatRun,
        WaveRun,
        ChargeRun,
        SoakRun,
        LegsRun {
  Run run();

  /** Its readings, corrected where the meters were; nothing left out. */
  Trace trace();

  /** What the tester decided about it. */
  Treatment treatment();

  /** How its main figure came about; empty where there is none. */
  Optional<Because> because();

  /** What to know about its figures. */
  List<Warning> warnings();
}
