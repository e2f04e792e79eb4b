package org.wiseember.trial.kind.inspect;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import org.wiseember.bench.procedure.ByHand;
import org.wiseember.bench.procedure.DoNow;
import org.wiseember.core.hand.OperatorEvent;
import org.wiseember.core.hand.TimedOperatorEvent;
import org.wiseember.core.inspect.Point;
import org.wiseember.core.label.Label;
import org.wiseember.core.typed.TypedKind;
import org.wiseember.trial.kind.HandOnlySettings;
import org.wiseember.trial.live.HandRecord;
import org.wiseember.trial.live.Known;
import org.wiseember.trial.need.Needs;
import org.wiseember.trial.need.RigCable;
import org.wiseember.trial.need.UnitTimes;

/** Every point of the inspection, one after the other. */
public record InspectionSettings(double volts, String reason) implements HandOnlySettings {
  private static final OperatorEvent[] SAID = {
    OperatorEvent.YES, OperatorEvent.HALF, OperatorEvent.NO, OperatorEvent.NOT_LOOKED
  };

  @Override
  public String title() {
    return "Inspection";
  }

  @Override
  public ByHand byHand() {
    ByHand.Script script = ByHand.of(InspectionTest.KIND, steps());
    Point[] points = Point.values();
    for (Point point : points) {
      int next = point.ordinal() + 1;
      boolean last = next == points.length;
      String to = last ? "" : points[next].key();
      if (point.ordinal() > 0) {
        script.nextPart();
      }
      script.step(point.key(), point.words()).how(point.how()).about(point.ordinal()).skippable();
      for (OperatorEvent press : SAID) {
        script.onward(press, to, last, "All points gone through, " + points.length + ".");
      }
    }
    return script.build();
  }

  private static List<DoNow> steps() {
    return List.of(
        new DoNow(
            "Unpacked, at room temperature, nothing plugged in",
            DoNow.When.BEFORE,
            "A unit that smells, is swollen, wet or dented is not switched on and not charged. It"
                + " goes outdoors, away from anything that burns."),
        new DoNow("A scale, a stopwatch, a telephone for photos", DoNow.When.BEFORE, ""));
  }

  /** What was said of each point last. */
  @Override
  public List<Known> known(HandRecord record) {
    List<Known> known = new ArrayList<>();
    for (Point point : Point.values()) {
      Optional<TimedOperatorEvent> said =
          record.pressed().stream()
              .filter(p -> p.is(SAID) && Math.rint(p.subject()) == point.ordinal())
              .reduce((a, b) -> b);
      known.add(
          said.map(
                  p ->
                      p.is(OperatorEvent.NOT_LOOKED)
                          ? new Known(point.words(), "not looked at", false, "")
                          : Known.of(point.words(), p.press().words().toLowerCase(Locale.ROOT)))
              .orElse(new Known(point.words(), "—", false, "")));
    }
    return known;
  }

  @Override
  public List<RigCable> leads(Label label) {
    return List.of();
  }

  @Override
  public List<TypedKind> typed() {
    return List.of(TypedKind.WEIGHT, TypedKind.START_UP);
  }

  @Override
  public String ends(boolean byHand) {
    return "Yes, half or no at each point, with a note and a photo where it helps.";
  }

  @Override
  public Needs needs(UnitTimes unit) {
    return Needs.looking(0.3);
  }
}
