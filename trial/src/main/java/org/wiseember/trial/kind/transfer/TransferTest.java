package org.wiseember.trial.kind.transfer;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.wiseember.bench.procedure.SwitchOver;
import org.wiseember.core.figure.Figure;
import org.wiseember.core.label.Claim;
import org.wiseember.core.label.Group;
import org.wiseember.core.label.Label;
import org.wiseember.core.label.Subject;
import org.wiseember.core.quantity.Figures;
import org.wiseember.core.quantity.Unit;
import org.wiseember.core.transfer.LongestGap;
import org.wiseember.core.transfer.PassThrough;
import org.wiseember.core.transfer.TransferGap;
import org.wiseember.core.verdict.Standing;
import org.wiseember.core.verdict.Verdict;
import org.wiseember.trial.kind.ClaimAnswer;
import org.wiseember.trial.kind.Declaration;
import org.wiseember.trial.kind.FromLabel;
import org.wiseember.trial.kind.Inquiry;
import org.wiseember.trial.kind.RunRecord;
import org.wiseember.trial.kind.TestRun;
import org.wiseember.trial.kind.TestSettings;
import org.wiseember.trial.kind.TestType;
import org.wiseember.trial.kind.Trait;
import org.wiseember.trial.kind.UnitFindings;
import org.wiseember.trial.onhand.LoadSteps;
import org.wiseember.trial.onhand.OnHand;
import org.wiseember.workbook.RunSettings;
import org.wiseember.workbook.StoredCapture;

/** The mains plug pulled with a scope on the outlet. */
public final class TransferTest implements TestType {
  private static final Declaration DECLARED =
      Declaration.of(SwitchOver.KIND, "Switch-over")
          .in(Group.POWER)
          .finds(TransferRun.class)
          .answers(Subject.SWITCH_OVER)
          .being(Trait.HAZARDOUS, Trait.IN_CAPTURES, Trait.WANTS_LOADS)
          .how(
              "A lamp at the outlet, the unit in pass-through. Pull the wall plug at each press.",
              "Milliseconds take a scope behind an isolation transformer. Eyes tell whether the lamp blinked.",
              "Five pulls and more: the worst of them counts.")
          .after("ITIC curve (2000)")
          .cannotByHand(
              "How many milliseconds the gap is takes a scope on the outlet; eyes tell what stays on.")
          .build();

  @Override
  public Declaration declaration() {
    return DECLARED;
  }

  @Override
  public Optional<TestSettings> settings(Label label, OnHand onHand) {
    double rated = label.ratedWatts().orElse(2 * FromLabel.USUAL_WATTS);
    double light = LoadSteps.nearest(onHand.loads(), 0.1 * rated, FromLabel.USUAL_WATTS / 4);
    double heavy =
        Math.max(light, LoadSteps.nearest(onHand.loads(), 0.5 * rated, FromLabel.USUAL_WATTS));
    return Optional.of(
        new TransferSettings(
            heavy > light ? List.of(light, heavy) : List.of(light),
            FromLabel.volts(label),
            "Mains through to "
                + Figures.plain(light)
                + " and "
                + Figures.plain(heavy, Unit.WATT)
                + ", then the plug is pulled five times."));
  }

  @Override
  public TestSettings kept(RunSettings kept) {
    return new TransferSettings(kept.loads(), kept.volts(), "");
  }

  @Override
  public TestRun worked(RunRecord record, Inquiry asked) {
    List<TransferRun.Pull> pulls = new ArrayList<>();
    for (StoredCapture kept : record.captures()) {
      pulls.add(new TransferRun.Pull(kept, TransferGap.of(kept.capture(), record.hertz())));
    }
    return new TransferRun(record.kept(), pulls, PassThrough.of(record.treated()));
  }

  @Override
  public Optional<ClaimAnswer> answer(Claim claim, UnitFindings unit) {
    List<TransferRun> runs =
        unit.of(TransferRun.class).filter(r -> r.longest().isPresent()).toList();
    if (runs.isEmpty()) {
      return Optional.empty();
    }
    List<TransferGap> gaps = runs.stream().flatMap(r -> r.gaps().stream()).toList();
    TransferRun newest = runs.get(runs.size() - 1);
    List<String> words = newest.passThrough().map(PassThrough::words).stream().toList();
    Figure longest = LongestGap.of(gaps, words).orElseThrow();
    return Optional.of(
        new ClaimAnswer(
            longest.name(),
            claim,
            newest.run().id(),
            guard -> {
              Verdict verdict = Verdict.judge(claim, longest, guard);
              return verdict.standing() == Standing.KEPT
                  ? verdict.and(LongestGap.mayStillFail(gaps.size()))
                  : verdict;
            }));
  }
}
