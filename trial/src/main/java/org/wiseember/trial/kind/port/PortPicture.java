package org.wiseember.trial.kind.port;

import java.util.ArrayList;
import java.util.List;
import org.wiseember.core.label.Label;
import org.wiseember.core.label.Subject;
import org.wiseember.core.port.PortFinding;
import org.wiseember.core.port.PortPoint;
import org.wiseember.core.quantity.Figures;
import org.wiseember.report.drawing.CurveDrawing;
import org.wiseember.report.drawing.Upright;

/** Volts of a port against its current, as a chart. */
final class PortPicture {
  private PortPicture() {}

  /** Volts of a port against its current. */
  static CurveDrawing of(Label label, PortFinding finding) {
    List<CurveDrawing.Point> points = new ArrayList<>();
    double least = Double.POSITIVE_INFINITY;
    double most = 0;
    double u = finding.openVolts().map(e -> e.u95()).orElse(0.0);
    for (PortPoint p : finding.points()) {
      points.add(new CurveDrawing.Point(p.amps(), p.volts(), u));
      least = Math.min(least, p.volts() - u);
      most = Math.max(most, p.volts() + u);
    }
    List<Upright> marks = new ArrayList<>();
    finding
        .tripAmps()
        .ifPresent(
            t ->
                marks.add(
                    new Upright(
                        t.value(),
                        "off at " + Figures.withUncertainty(t.value(), t.u95()) + " A")));
    label
        .claim(Subject.DC_PORT_CURRENT)
        .ifPresent(
            c -> marks.add(new Upright(c.figure(), "label, " + Figures.plain(c.figure()) + " A")));
    return new CurveDrawing(
        "current, A",
        "volts at the port, V",
        points,
        List.of(),
        Double.NaN,
        "",
        marks,
        Math.floor((points.isEmpty() ? 11 : least) - 1),
        Math.ceil((points.isEmpty() ? 14 : most) + 0.5));
  }
}
