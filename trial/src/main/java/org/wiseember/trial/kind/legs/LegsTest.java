package org.wiseember.trial.kind.legs;

import java.util.Optional;
import org.wiseember.bench.procedure.ByHand;
import org.wiseember.core.label.Claim;
import org.wiseember.core.label.Group;
import org.wiseember.core.label.Label;
import org.wiseember.core.split.LegFigures;
import org.wiseember.core.split.TwoLegs;
import org.wiseember.core.trace.Channel;
import org.wiseember.core.trace.Trace;
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

/** Two units joined for a 240 V load. */
public final class LegsTest implements TestType {
  private static final Declaration DECLARED =
      Declaration.of(ByHand.TWO_LEGS, "Two units, 240 V")
          .in(Group.POWER)
          .finds(LegsRun.class)
          .being(Trait.HAZARDOUS, Trait.BY_HAND_ONLY)
          .how(
              "Both units joined as their maker says, a meter in each leg.",
              "Read both legs at each load, and the base load that is on anyway.",
              "A motor on two legs loads them alike; lamps do not.")
          .build();

  @Override
  public Declaration declaration() {
    return DECLARED;
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
  public TestRun worked(RunRecord record, Inquiry asked) {
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
  public Optional<ClaimAnswer> answer(Claim claim, UnitFindings unit) {
    return Optional.empty();
  }
}
