package org.wiseember.trial.kind.realload;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import org.wiseember.bench.procedure.ByHand;
import org.wiseember.bench.procedure.DoNow;
import org.wiseember.core.hand.OperatorEvent;
import org.wiseember.core.label.Label;
import org.wiseember.core.typed.TypedKind;
import org.wiseember.trial.kind.HandOnlySettings;
import org.wiseember.trial.live.HandRecord;
import org.wiseember.trial.live.Known;
import org.wiseember.trial.need.Equipment;
import org.wiseember.trial.need.Leads;
import org.wiseember.trial.need.Needs;
import org.wiseember.trial.need.RigCable;
import org.wiseember.trial.need.UnitTimes;

/** Ordinary loads one after the other, each done several times. */
public record RealLoadSettings(List<String> doing, double volts, String reason)
    implements HandOnlySettings {
  /** Each is named once: what was read belongs to its name. */
  public RealLoadSettings {
    doing = doing.stream().distinct().toList();
  }

  private static final String LINES = "doing";

  /** Of a kettle, where the label prints no rating. */
  private static final double USUAL_WATTS = 2000;

  /** What was done where nobody named it. */
  private static final List<String> NOT_NAMED = List.of("what was done");

  static RealLoadSettings kept(Map<String, String> particulars, double volts) {
    List<String> lines = RealLoadTest.DOING.read(particulars.getOrDefault(LINES, ""));
    return new RealLoadSettings(lines.isEmpty() ? NOT_NAMED : lines, volts, "");
  }

  @Override
  public String title() {
    return "Real loads";
  }

  @Override
  public Map<String, String> particulars() {
    return Map.of(LINES, String.join("\n", doing));
  }

  @Override
  public ByHand byHand() {
    ByHand.Script script = ByHand.of(RealLoadTest.KIND, steps());
    List<String> lines = doing;
    for (int i = 0; i < lines.size(); i++) {
      String name = lines.get(i);
      boolean last = i == lines.size() - 1;
      if (i > 0) {
        script.nextPart();
      }
      script
          .step("before-" + i, "Before: " + name)
          .how("Write the meter's total and the display, such as: 12 Wh, 98 %.")
          .about(i + 1)
          .skippable()
          .on(OperatorEvent.DONE, "do-" + i)
          .step("do-" + i, name + ": press each time one is done")
          .how(
              "Do several: a display in whole percents needs a few points to tell anything. Write"
                  + " the watts if you like.")
          .clock("at it for")
          .about(i + 1)
          .on(OperatorEvent.ONE_DONE, "do-" + i)
          .on(OperatorEvent.ENOUGH, "after-" + i)
          .on(OperatorEvent.WENT_OFF, "after-" + i)
          .step("after-" + i, "After: " + name)
          .how("Write total and display again, as before.")
          .about(i + 1)
          .onward(
              OperatorEvent.READ,
              "before-" + (i + 1),
              last,
              "All of it done, " + lines.size() + ".");
    }
    return script.build();
  }

  private static List<DoNow> steps() {
    return List.of(
        new DoNow(
            "Tools: eyes and ears covered, work held fast",
            DoNow.When.BEFORE,
            "A saw that stalls when the output drops out may start by itself when it comes back:"
                + " off at its switch first."),
        new DoNow("Meter between the outlet and the load", DoNow.When.BEFORE, ""),
        new DoNow("Nothing else on any output", DoNow.When.BEFORE, ""));
  }

  @Override
  public List<Known> known(HandRecord record) {
    List<Known> known = new ArrayList<>();
    for (int i = 0; i < doing.size(); i++) {
      int at = i + 1;
      long done =
          record.pressed().stream()
              .filter(p -> p.is(OperatorEvent.ONE_DONE) && Math.rint(p.subject()) == at)
              .count();
      known.add(
          done == 0
              ? new Known(doing.get(i), "not done yet", false, "")
              : Known.of(doing.get(i), done + " done"));
    }
    known.addAll(HandOnlySettings.super.known(record));
    return known;
  }

  @Override
  public List<RigCable> leads(Label label) {
    // Whatever is done, the outlet gives no more than its rating for long.
    return new Leads(label).outlet(label.ratedWatts().orElse(USUAL_WATTS), volts);
  }

  @Override
  public List<TypedKind> typed() {
    return List.of(TypedKind.TOTAL, TypedKind.DISPLAY, TypedKind.POWER);
  }

  @Override
  public String ends(boolean byHand) {
    return "Press each time one is done; it ends after the last of them was read.";
  }

  @Override
  public Needs needs(UnitTimes unit) {
    return Needs.some(20, 0.6, Equipment.AC_METER);
  }
}
