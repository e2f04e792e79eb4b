package org.wiseember.trial.kind.usb;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import org.wiseember.core.figure.Figure;
import org.wiseember.core.figure.Warning;
import org.wiseember.core.port.UsbPort;
import org.wiseember.core.quantity.Figures;
import org.wiseember.core.quantity.Unit;
import org.wiseember.core.trace.Series;
import org.wiseember.report.page.FindingPage;
import org.wiseember.trial.kind.StoredRun;
import org.wiseember.trial.kind.TestRun;
import org.wiseember.trial.kind.UnitFindings;

/**
 * USB asked for what it gives, volts and amps typed, and what it says.
 *
 * @param together what two ports give at once, of what each gives alone
 * @param cable resistance of the cable
 * @param droppedOut the last that was read before a port went off
 */
public record UsbRun(
    StoredRun kept,
    UsbPort port,
    Optional<Figure> together,
    Optional<Figure> cable,
    Optional<Figure> droppedOut)
    implements TestRun {
  @Override
  public List<Figure> figures() {
    List<Figure> all = new ArrayList<>();
    Stream.of(together, cable, droppedOut).forEach(f -> f.ifPresent(all::add));
    all.addAll(port.figures());
    return all;
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
