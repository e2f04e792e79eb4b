package org.wiseember.trial.test.overload;

import java.util.Optional;
import java.util.Set;
import org.wiseember.bench.procedure.OverloadHolds;
import org.wiseember.core.label.Claim;
import org.wiseember.core.label.Group;
import org.wiseember.core.label.Label;
import org.wiseember.core.label.Subject;
import org.wiseember.trial.test.Answer;
import org.wiseember.trial.test.Asked;
import org.wiseember.trial.test.OnHand;
import org.wiseember.trial.test.RunRecord;
import org.wiseember.trial.test.TestHelp;
import org.wiseember.trial.test.TestRun;
import org.wiseember.trial.test.TestSettings;
import org.wiseember.trial.test.TestType;
import org.wiseember.trial.test.UnitFindings;
import org.wiseember.workbook.RunSettings;

/** The full rating held for ten minutes, without the ladder above it that trips the unit. */
public final class FullRatingTest implements TestType {
  private final OverloadTest ladder = new OverloadTest();

  @Override
  public String key() {
    return OverloadHolds.FULL_RATING;
  }

  @Override
  public String words() {
    return "Full rating, 10 min";
  }

  @Override
  public TestHelp help() {
    return TestHelp.of(
        "Warm up under half the load, then put on all of it and start the clock.",
        "Read volts and watts at the start, in the middle and at the end; a rating held with sagging volts is not all of it.",
        "Ten minutes are what is called continuous. Stay with it.");
  }

  @Override
  public Group group() {
    return Group.POWER;
  }

  @Override
  public boolean hazardous() {
    return true;
  }

  @Override
  public boolean wantsLoads() {
    return true;
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
  public Class<OverloadRun> finds() {
    return ladder.finds();
  }

  @Override
  public TestRun worked(RunRecord record, Asked asked) {
    return ladder.worked(record, asked);
  }

  /** All loads of a unit answer together, whichever of the two tests held them. */
  @Override
  public Set<Subject> answers() {
    return Set.of(Subject.CONTINUOUS_POWER);
  }

  @Override
  public Optional<Answer> answer(Claim claim, UnitFindings unit) {
    return ladder.answer(claim, unit);
  }
}
