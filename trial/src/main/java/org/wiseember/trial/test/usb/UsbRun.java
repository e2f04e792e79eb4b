package org.wiseember.trial.test.usb;

import java.util.List;
import org.wiseember.core.figure.Figure;
import org.wiseember.core.figure.Warning;
import org.wiseember.core.port.UsbPort;
import org.wiseember.core.quantity.Figures;
import org.wiseember.core.quantity.Unit;
import org.wiseember.core.trace.Series;
import org.wiseember.report.page.FindingPage;
import org.wiseember.trial.test.KeptRun;
import org.wiseember.trial.test.TestRun;
import org.wiseember.trial.test.UnitFindings;

/** A USB port asked for its profiles, volts and amps typed, and what it says. */
public record UsbRun(KeptRun kept, UsbPort port) implements TestRun {
  @Override
  public List<Figure> figures() {
    return port.figures();
  }

  @Override
  public FindingPage page(UnitFindings unit) {
    return FindingPage.of(figures())
        .table(
            List.of("Volts", "Current", "Power"),
            port.profiles().stream()
                .map(
                    p ->
                        List.of(
                            Figures.fixed(p.volts(), 2) + " V",
                            Figures.fixed(p.amps(), 2) + " A",
                            Figures.fixed(p.watts(), 1) + " W"))
                .toList())
        .say(
            List.of(
                "Asked with a "
                    + port.tester().words()
                    + ": it can show up to "
                    + Figures.plain(port.tester().mostWatts(), Unit.WATT)
                    + " of any port. More on a label is beyond this rig, which is not a fail."));
  }

  @Override
  public Series watts() {
    return directWatts();
  }

  @Override
  public List<Warning> warnings() {
    return port.warnings();
  }
}
