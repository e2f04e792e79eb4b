package org.wiseember.core.capacity;

import java.util.ArrayList;
import java.util.List;
import org.wiseember.core.figure.Warning;
import org.wiseember.core.quantity.Figures;
import org.wiseember.core.quantity.Unit;
import org.wiseember.core.trace.Channel;
import org.wiseember.core.trace.Series;
import org.wiseember.core.trace.Trace;
import org.wiseember.core.trace.Treatment;

/**
 * What left the pack beside the meter and is added to what it counted: a radio that was on the
 * whole time, and heat in the leads between the unit and a DC meter.
 *
 * @param standing what a radio or an app would have left for the load, Wh
 * @param leads I²R·t in the leads, Wh
 * @param halfWidth by how much both together may be off, Wh
 */
record BesideMeter(double standing, double leads, double halfWidth, List<Warning> warnings) {
  /**
   * Of a watt the radio leaves in the pack so much reaches the socket: the usual range of
   * inverters, common practice, no published source.
   */
  private static final double CONVERTED = 0.87;

  private static final double CONVERTED_HALF_WIDTH = 0.08;

  /** A measured lead is known to about this share. */
  private static final double LEAD_SHARE = 0.1;

  double wattHours() {
    return standing + leads;
  }

  /** A radio or an app alone, over so many hours. */
  static BesideMeter standing(Treatment treatment, boolean alternating, double hours) {
    List<Warning> warnings = new ArrayList<>();
    double drawn = treatment.standingWatts() * hours;
    double standing = drawn * (alternating ? CONVERTED : 1);
    if (standing > 0) {
      warnings.add(
          new Warning(
              "standing_draw",
              Figures.plain(treatment.standingWatts(), Unit.WATT)
                  + " went to a radio or an app the whole time; the "
                  + Figures.plain(standing, Unit.WATT_HOUR)
                  + " they would have left for the load are added."));
    }
    return new BesideMeter(standing, 0, alternating ? drawn * CONVERTED_HALF_WIDTH : 0, warnings);
  }

  static BesideMeter of(
      Trace trace, Treatment treatment, PowerReading power, DrainEnds ends, double hours) {
    BesideMeter radio = standing(treatment, power.alternatingCurrent(), hours);
    List<Warning> warnings = new ArrayList<>(radio.warnings());
    double halfWidth = radio.halfWidth();
    double leads = 0;
    if (!power.alternatingCurrent() && treatment.leadOhms() > 0) {
      leads = inLeads(trace, treatment.leadOhms(), ends);
      halfWidth = Math.hypot(halfWidth, LEAD_SHARE * leads);
      warnings.add(
          new Warning(
              "lead_loss",
              "The leads of "
                  + Figures.plain(treatment.leadOhms())
                  + " Ω took "
                  + Figures.plain(leads, Unit.WATT_HOUR)
                  + " before the meter; that is added, since the unit delivered it."));
    }
    return new BesideMeter(radio.standing(), leads, halfWidth, warnings);
  }

  private static double inLeads(Trace trace, double ohms, DrainEnds ends) {
    Series amps = trace.series(Channel.DC_CURRENT);
    double sum = 0;
    for (int i = amps.from(ends.start()); i + 1 < amps.size(); i++) {
      if (amps.seconds(i + 1) > ends.cutoff()) {
        break;
      }
      double squares = amps.value(i) * amps.value(i) + amps.value(i + 1) * amps.value(i + 1);
      sum += squares / 2 * (amps.seconds(i + 1) - amps.seconds(i));
    }
    return sum * ohms / 3600;
  }
}
