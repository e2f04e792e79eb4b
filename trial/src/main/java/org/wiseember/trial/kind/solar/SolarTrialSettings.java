package org.wiseember.trial.kind.solar;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.wiseember.bench.procedure.ByHand;
import org.wiseember.bench.procedure.DoNow;
import org.wiseember.core.hand.OperatorEvent;
import org.wiseember.core.hand.TimedOperatorEvent;
import org.wiseember.core.label.Label;
import org.wiseember.core.quantity.Figures;
import org.wiseember.core.quantity.Unit;
import org.wiseember.core.solar.Port;
import org.wiseember.core.solar.tried.TriedSetup;
import org.wiseember.core.trace.Channel;
import org.wiseember.core.typed.TypedKind;
import org.wiseember.core.wiring.Connector;
import org.wiseember.trial.kind.HandOnlySettings;
import org.wiseember.trial.kind.LabelInputs;
import org.wiseember.trial.live.HandRecord;
import org.wiseember.trial.live.Known;
import org.wiseember.trial.need.Equipment;
import org.wiseember.trial.need.Leads;
import org.wiseember.trial.need.Needs;
import org.wiseember.trial.need.RigCable;
import org.wiseember.trial.need.UnitTimes;
import org.wiseember.workbook.StoredReading;

/**
 * Arrangements of panels one after the other.
 *
 * @param mostVolts the port may see, by its label; NaN where it does not say
 */
public record SolarTrialSettings(List<String> arrangements, double mostVolts, String reason)
    implements HandOnlySettings {
  private static final String LINES = "arrangements";
  private static final double USUAL_AMPS = 10;
  private static final double METRES = 5;

  /** The fewest volts that are tried: there a lead loses the most. */
  private static final double ONE_PANEL_VOLTS = 18;

  private static final String MOST_VOLTS = "mostVolts";

  /** How the panels stood where nobody named it. */
  private static final List<String> NOT_NAMED = List.of("as they stood");

  static SolarTrialSettings kept(Map<String, String> particulars) {
    double volts;
    try {
      volts = Double.parseDouble(particulars.getOrDefault(MOST_VOLTS, "NaN"));
    } catch (NumberFormatException e) {
      volts = Double.NaN;
    }
    List<String> lines = SolarTrialTest.ARRANGEMENTS.read(particulars.getOrDefault(LINES, ""));
    return new SolarTrialSettings(lines.isEmpty() ? NOT_NAMED : lines, volts, "");
  }

  @Override
  public String title() {
    return "Solar trial";
  }

  @Override
  public double volts() {
    return Double.isNaN(mostVolts) ? 60 : mostVolts;
  }

  @Override
  public Map<String, String> particulars() {
    return Double.isNaN(mostVolts)
        ? Map.of(LINES, String.join("\n", arrangements))
        : Map.of(LINES, String.join("\n", arrangements), MOST_VOLTS, Double.toString(mostVolts));
  }

  @Override
  public ByHand byHand() {
    ByHand.Script script = ByHand.of(SolarTrialTest.KIND, steps());
    List<String> lines = arrangements;
    for (int i = 0; i < lines.size(); i++) {
      boolean supply = TriedSetup.read(lines.get(i)).into() == TriedSetup.Into.FROM_SUPPLY;
      boolean last = i == lines.size() - 1;
      if (i > 0) {
        script.nextPart();
      }
      script
          .step("on-" + i, lines.get(i))
          .how(
              supply
                  ? "Set its volts inside the port's window first, its current limit to all it has."
                  : "Measure the open volts before you plug in"
                      + (Double.isNaN(mostVolts)
                          ? ": they must stay under what the port may see."
                          : ": never more than " + Figures.plain(mostVolts, Unit.VOLT) + "."))
          .about(i + 1)
          .skippable()
          .on(OperatorEvent.DONE, "read-" + i)
          .step("read-" + i, "Write watts and light: " + lines.get(i))
          .how(
              supply
                  ? "Volts and amps at the port, such as: 29.96 V, 3.65 A."
                  : "At the same moment, two or three times, such as: 153 W, 80 200 lx, 18.1 V, 8.5 A."
                      + " Tilt, cloud, shade as words.")
          .clock("connected for")
          .about(i + 1)
          .onward(
              OperatorEvent.READ,
              "on-" + (i + 1),
              last,
              "All arrangements tried: " + lines.size() + ".")
          .on(OperatorEvent.REFUSES, "no-" + i)
          .step("no-" + i, "If it takes nothing: write the volts and what it shows")
          .how("A port that refuses is an answer too: too many volts, too few, or it waits.")
          .about(i + 1)
          .onward(
              OperatorEvent.DONE,
              "on-" + (i + 1),
              last,
              "All arrangements tried: " + lines.size() + ".");
    }
    return script.build();
  }

  private List<DoNow> steps() {
    return List.of(
        new DoNow(
            "Open volts of each arrangement measured before it is plugged in",
            DoNow.When.BEFORE,
            "Cold panels give more volts than their plate. Too many volts ruin a port at once; too"
                + " many watts do not. Cover the panels while you join them: a string in sun is"
                + " live, and an arc of direct current does not go out by itself."),
        new DoNow("Polarity checked at the plug", DoNow.When.BEFORE, ""),
        new DoNow("Light meter flat on the plane of the panels", DoNow.When.BEFORE, ""),
        new DoNow(
            "Charge well below full, so that the unit takes what it can", DoNow.When.BEFORE, ""),
        new DoNow("Read watts and light at the same moment", DoNow.When.DURING, ""));
  }

  @Override
  public List<Known> known(HandRecord record) {
    List<Known> known = new ArrayList<>();
    List<TimedOperatorEvent> ends =
        record.pressed().stream()
            .filter(p -> p.is(OperatorEvent.READ, OperatorEvent.REFUSES, OperatorEvent.SKIPPED))
            .toList();
    double from = Double.NEGATIVE_INFINITY;
    for (int i = 0; i < arrangements.size(); i++) {
      int at = i + 1;
      // By what it was about: an end that is struck or comes late shifts no other.
      Optional<TimedOperatorEvent> end =
          ends.stream().filter(p -> Math.rint(p.subject()) == at).findFirst();
      double to = end.map(TimedOperatorEvent::latest).orElse(Double.POSITIVE_INFINITY);
      known.add(
          i > ends.size()
              ? new Known(arrangements.get(i), "to come", false, "")
              : known(arrangements.get(i), end, from, record));
      from = to;
    }
    return known;
  }

  private static Known known(
      String name, Optional<TimedOperatorEvent> end, double from, HandRecord record) {
    if (end.filter(e -> e.is(OperatorEvent.SKIPPED)).isPresent()) {
      return new Known(name, "skipped", false, "");
    }
    double to = end.map(TimedOperatorEvent::latest).orElse(Double.POSITIVE_INFINITY);
    Known line =
        end.filter(e -> e.is(OperatorEvent.REFUSES)).isPresent()
            ? Known.of(name, "refused")
            : record
                .last(Channel.IN_POWER, from, to)
                .map(r -> Known.of(name, Figures.plain(r.value(), Unit.WATT)))
                .orElse(Known.notRead(name));
    return line.remarked(
        record
            .last(Channel.ILLUMINANCE, from, to)
            .map(StoredReading::value)
            .map(lux -> Figures.plain(lux, Unit.LUX))
            .orElse("light not read"));
  }

  @Override
  public List<RigCable> leads(Label label) {
    double amps =
        LabelInputs.of(label).dc().map(Port::amps).filter(Double::isFinite).orElse(USUAL_AMPS);
    return List.of(
        Leads.cable(
            RigCable.Part.INTO_UNIT,
            "panels to unit",
            amps,
            METRES,
            ONE_PANEL_VOLTS,
            Connector.SOLAR_PLUG));
  }

  @Override
  public List<TypedKind> typed() {
    return List.of(
        TypedKind.IN_POWER,
        TypedKind.LIGHT,
        TypedKind.IN_VOLTS,
        TypedKind.IN_AMPS,
        TypedKind.DISPLAY_IN,
        TypedKind.DISPLAY);
  }

  @Override
  public String ends(boolean byHand) {
    return "Each arrangement is plugged in, read and taken off; it ends after the last.";
  }

  @Override
  public Needs needs(UnitTimes unit) {
    return Needs.looking(0.2 + 0.15 * arrangements.size(), Equipment.PANELS, Equipment.DC_METER)
        .from(0, 60);
  }
}
