package org.wiseember.trial.kind.inspect;

import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import org.wiseember.core.figure.Because;
import org.wiseember.core.figure.Figure;
import org.wiseember.core.hand.OperatorEvent;
import org.wiseember.core.hand.TimedOperatorEvent;
import org.wiseember.core.inspect.Point;
import org.wiseember.core.inspect.Seen;
import org.wiseember.core.label.Claim;
import org.wiseember.core.label.Group;
import org.wiseember.core.label.Label;
import org.wiseember.core.label.Subject;
import org.wiseember.core.trace.Channel;
import org.wiseember.core.uncertainty.Budget;
import org.wiseember.core.uncertainty.Contribution;
import org.wiseember.trial.kind.ClaimAnswer;
import org.wiseember.trial.kind.Declaration;
import org.wiseember.trial.kind.FromLabel;
import org.wiseember.trial.kind.HandPart;
import org.wiseember.trial.kind.Inquiry;
import org.wiseember.trial.kind.RunRecord;
import org.wiseember.trial.kind.TestRun;
import org.wiseember.trial.kind.TestSettings;
import org.wiseember.trial.kind.TestType;
import org.wiseember.trial.kind.Trait;
import org.wiseember.trial.kind.UnitFindings;
import org.wiseember.trial.onhand.OnHand;
import org.wiseember.workbook.NotebookLine;
import org.wiseember.workbook.RunSettings;

/** A short list gone through with eyes, hands, a scale and a stopwatch. */
public final class InspectionTest implements TestType {
  /** Kept with the run. */
  public static final String KIND = "inspection";

  private static final Declaration DECLARED =
      Declaration.of(KIND, "Inspection")
          .in(Group.BODY)
          .finds(InspectionRun.class)
          .answers(Subject.WEIGHT)
          .being(Trait.BY_HAND_ONLY, Trait.NOT_IN_LOGS, Trait.ONLY_ONCE_MADE)
          .how(
              "Before anything is measured, with the box still open. One point at a time: yes, half or no.",
              "Write a note where half or no needs a reason, and take a photo of it.",
              "A figure counts at its own point: kilograms at the carrying, seconds at the start.")
          .build();

  @Override
  public Declaration declaration() {
    return DECLARED;
  }

  @Override
  public Optional<TestSettings> settings(Label label, OnHand onHand) {
    return Optional.of(
        new InspectionSettings(
            FromLabel.volts(label),
            "What no meter tells: yes, half or no at each point. Must-haves are answered from it."));
  }

  @Override
  public TestSettings kept(RunSettings kept) {
    return new InspectionSettings(kept.volts(), "");
  }

  @Override
  public TestRun worked(RunRecord record, Inquiry asked) {
    Map<Point, Seen> seen = new EnumMap<>(Point.class);
    Optional<Figure> weight = Optional.empty();
    Optional<Figure> startUp = Optional.empty();
    for (HandPart part :
        HandPart.of(
            record,
            OperatorEvent.YES,
            OperatorEvent.HALF,
            OperatorEvent.NO,
            OperatorEvent.NOT_LOOKED)) {
      if (part.at() < 0 || part.at() >= Point.values().length) {
        continue;
      }
      Point point = Point.values()[part.at()];
      // A figure counts at its own point: a display that dims after 20 s tells of no start.
      if (point == Point.WEIGHT) {
        weight = part.figure(Channel.WEIGHT, record, "weight", "Weight");
      } else if (point == Point.START_UP) {
        startUp =
            part.figure(Channel.START_UP, record, "start_up", "From button to first watt")
                .map(InspectionTest::timedByHand);
      }
      answer(part.ended()).ifPresent(a -> seen.put(point, new Seen(point, a, note(record, part))));
    }
    if (record.run().settings().source() == RunSettings.Source.ENTERED) {
      HandPart all = HandPart.whole(record);
      weight = weight.or(() -> all.figure(Channel.WEIGHT, record, "weight", "Weight"));
      startUp =
          startUp.or(
              () ->
                  all.figure(Channel.START_UP, record, "start_up", "From button to first watt")
                      .map(InspectionTest::timedByHand));
    }
    return new InspectionRun(record.kept(), List.copyOf(seen.values()), weight, startUp);
  }

  /** A stopwatch is as good as the hand on it. */
  private static Figure timedByHand(Figure read) {
    Budget budget =
        read.budget()
            .with(Contribution.rectangular("Started by hand", TimedOperatorEvent.REACTION))
            .with(Contribution.rectangular("Stopped by hand", TimedOperatorEvent.REACTION));
    return Figure.of(
        read.key(),
        read.name(),
        read.value(),
        read.unit(),
        Because.of(budget, read.because().workedOut()).summed("by hand and eye"));
  }

  private static Optional<Seen.Answer> answer(OperatorEvent press) {
    return switch (press) {
      case YES -> Optional.of(Seen.Answer.YES);
      case HALF -> Optional.of(Seen.Answer.HALF);
      case NO -> Optional.of(Seen.Answer.NO);
      default -> Optional.empty();
    };
  }

  /** What was written while the point was looked at. */
  private static String note(RunRecord record, HandPart part) {
    return record.notebook().stream()
        .filter(l -> l.pressed().isEmpty())
        .filter(l -> l.seconds() >= part.from() && l.seconds() <= part.to())
        .map(NotebookLine::words)
        .collect(Collectors.joining("; "));
  }

  @Override
  public Optional<ClaimAnswer> answer(Claim claim, UnitFindings unit) {
    return unit.of(InspectionRun.class)
        .filter(r -> r.weight().isPresent())
        .reduce((a, b) -> b)
        .map(r -> ClaimAnswer.of("Weight on a scale", claim, r, r.weight().orElseThrow()));
  }
}
