package org.wiseember.trial.kind.overload;

import java.util.Optional;
import org.wiseember.bench.procedure.OverloadHolds;
import org.wiseember.core.label.Claim;
import org.wiseember.core.label.Group;
import org.wiseember.core.label.Label;
import org.wiseember.core.label.Subject;
import org.wiseember.trial.kind.ClaimAnswer;
import org.wiseember.trial.kind.Declaration;
import org.wiseember.trial.kind.Inquiry;
import org.wiseember.trial.kind.RunRecord;
import org.wiseember.trial.kind.TestRun;
import org.wiseember.trial.kind.TestSettings;
import org.wiseember.trial.kind.TestType;
import org.wiseember.trial.kind.Trait;
import org.wiseember.trial.kind.UnitFindings;
import org.wiseember.trial.onhand.OnHand;
import org.wiseember.workbook.RunSettings;

/** The full rating held for ten minutes, without the ladder above it that trips the unit. */
public final class FullRatingTest implements TestType {
  private static final Declaration DECLARED =
      Declaration.of(OverloadHolds.FULL_RATING, "Full rating, 10 min")
          .in(Group.POWER)
          .finds(OverloadRun.class)
          .answers(Subject.CONTINUOUS_POWER)
          .being(Trait.HAZARDOUS, Trait.WANTS_LOADS)
          .how(
              "Warm up under half the load, then put on all of it and start the clock.",
              "Read volts and watts at the start, in the middle and at the end; a rating held with sagging volts is not all of it.",
              "Ten minutes are what is called continuous. Stay with it.")
          .build();

  private final OverloadTest ladder = new OverloadTest();

  @Override
  public Declaration declaration() {
    return DECLARED;
  }

  @Override
  public Optional<TestSettings> settings(Label label, OnHand onHand) {
    return OverloadSettings.fullRating(label, onHand);
  }

  @Override
  public TestSettings kept(RunSettings kept) {
    return OverloadSettings.kept(key(), kept);
  }

  @Override
  public TestRun worked(RunRecord record, Inquiry asked) {
    return ladder.worked(record, asked);
  }

  /** All loads of a unit answer together, whichever of the two tests held them. */
  @Override
  public Optional<ClaimAnswer> answer(Claim claim, UnitFindings unit) {
    return ladder.answer(claim, unit);
  }
}
