package org.wiseember.trial.test.legs;

import java.util.Optional;
import java.util.Set;
import org.wiseember.bench.procedure.ByHand;
import org.wiseember.core.label.Claim;
import org.wiseember.core.label.Group;
import org.wiseember.core.label.Label;
import org.wiseember.core.label.Subject;
import org.wiseember.core.split.LegFigures;
import org.wiseember.core.split.TwoLegs;
import org.wiseember.core.trace.Channel;
import org.wiseember.core.trace.Trace;
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

/** Two units joined for a 240 V load. */
public final class LegsTest implements TestType {
  @Override
  public String key() {
    return ByHand.TWO_LEGS;
  }

  @Override
  public String words() {
    return "Two units, 240 V";
  }

  @Override
  public TestHelp help() {
    return TestHelp.of(
        "Both units joined as their maker says, a meter in each leg.",
        "Read both legs at each load, and the base load that is on anyway.",
        "A motor on two legs loads them alike; lamps do not.");
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
  public boolean byHandOnly() {
    return true;
  }

  @Override
  public Optional<TestSettings> settings(Label label, OnHand onHand) {
    return Optional.of(
        new LegsSettings(
            "Two units joined: what was on before, then the 240 V load, watts of both legs each"
                + " time."));
  }

  @Override
  public TestSettings kept(RunSettings kept) {
    return new LegsSettings("");
  }

  @Override
  public Class<LegsRun> finds() {
    return LegsRun.class;
  }

  @Override
  public TestRun worked(RunRecord record, Asked asked) {
    return new LegsRun(
        record.kept(),
        legs(record.treated()),
        record.meter(Channel.AC_POWER).orElse(LegFigures.ASSUMED));
  }

  /** The lightest and the heaviest moment at which both legs were read. */
  private static Optional<TwoLegs> legs(Trace trace) {
    double a = Double.NaN;
    double b = Double.NaN;
    double least = Double.POSITIVE_INFINITY;
    TwoLegs most = null;
    for (int i = 0; i < trace.size(); i++) {
      double nowA = trace.value(Channel.AC_POWER, i);
      double nowB = trace.value(Channel.SECOND_AC_POWER, i);
      a = Double.isNaN(nowA) ? a : nowA;
      b = Double.isNaN(nowB) ? b : nowB;
      // Typed one after the other: a pair counts once its second half is there.
      boolean pair = !Double.isNaN(a + b) && !Double.isNaN(nowB);
      if (pair && a >= 0 && b >= 0) {
        least = Math.min(least, a + b);
        most = most == null || a + b > most.total() ? new TwoLegs(a, b, 0) : most;
      }
    }
    return most == null || most.total() == least
        ? Optional.ofNullable(most)
        : Optional.of(new TwoLegs(most.legA(), most.legB(), least));
  }

  @Override
  public Set<Subject> answers() {
    return Set.of();
  }

  @Override
  public Optional<Answer> answer(Claim claim, UnitFindings unit) {
    return Optional.empty();
  }
}
