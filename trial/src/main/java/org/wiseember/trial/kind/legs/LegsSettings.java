package org.wiseember.trial.kind.legs;

import java.util.List;
import org.wiseember.bench.procedure.ByHand;
import org.wiseember.bench.procedure.DoNow;
import org.wiseember.core.hand.OperatorEvent;
import org.wiseember.core.label.Label;
import org.wiseember.core.typed.TypedKind;
import org.wiseember.core.wiring.Connector;
import org.wiseember.trial.kind.FromLabel;
import org.wiseember.trial.kind.HandOnlySettings;
import org.wiseember.trial.need.Equipment;
import org.wiseember.trial.need.Leads;
import org.wiseember.trial.need.Needs;
import org.wiseember.trial.need.RigCable;
import org.wiseember.trial.need.UnitTimes;

/** Two units and the load between them. */
public record LegsSettings(String reason) implements HandOnlySettings {
  private static final double BOTH_LEGS = 240;

  @Override
  public String title() {
    return "Two units, 240 V";
  }

  @Override
  public double volts() {
    return BOTH_LEGS;
  }

  @Override
  public ByHand byHand() {
    return ByHand.of(ByHand.TWO_LEGS, cautions())
        .step("before", "Without the 240 V load: read the watts of both legs")
        .how("In one line: 150 W, other leg 67 W.")
        .on(OperatorEvent.READ, "load")
        .nextPart()
        .step("load", "240 V load on and steady: read the watts of both legs")
        .how("In one line: 1 520 W, other leg 1 480 W; the volts across both too.")
        .clock("so for")
        .last(OperatorEvent.READ, "Both legs read, 2 steps.")
        .on(OperatorEvent.TRIPPED, "load")
        .build();
  }

  private static List<DoNow> cautions() {
    return List.of(
        new DoNow(
            "Joined with the maker's own link, both units off while it is plugged",
            DoNow.When.BEFORE,
            "240 V across two units can kill. Only units their maker joins, only with the maker's"
                + " cable."),
        new DoNow(
            "No building on it",
            DoNow.When.BEFORE,
            "Never feed a building: that needs an interlock or transfer switch, by local code, from"
                + " a licensed electrician."),
        new DoNow("A meter on each leg", DoNow.When.BEFORE, ""),
        new DoNow("Grounding as both makers say", DoNow.When.BEFORE, ""));
  }

  @Override
  public List<RigCable> leads(Label label) {
    double volts = FromLabel.volts(label);
    return List.of(
        Leads.cable(
            RigCable.Part.TO_LOAD,
            "each unit to the loads",
            label.ratedWatts().orElse(FromLabel.USUAL_WATTS) / (Leads.SAG * volts),
            Leads.LOAD_METRES,
            volts,
            Connector.MAINS_PLUG));
  }

  @Override
  public List<TypedKind> typed() {
    return List.of(TypedKind.POWER, TypedKind.OTHER_POWER);
  }

  @Override
  public String ends(boolean byHand) {
    return "Do what is asked, type what you read, then go on.";
  }

  @Override
  public Needs needs(UnitTimes unit) {
    return Needs.some(5, 0.5, Equipment.LOADS, Equipment.AC_METER);
  }
}
