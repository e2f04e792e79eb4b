package org.wiseember.trial.test.transfer;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;
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
import org.wiseember.trial.test.Answer;
import org.wiseember.trial.test.Asked;
import org.wiseember.trial.test.FromLabel;
import org.wiseember.trial.test.LoadSteps;
import org.wiseember.trial.test.OnHand;
import org.wiseember.trial.test.RunRecord;
import org.wiseember.trial.test.TestHelp;
import org.wiseember.trial.test.TestRun;
import org.wiseember.trial.test.TestSettings;
import org.wiseember.trial.test.TestType;
import org.wiseember.trial.test.UnitFindings;
import org.wiseember.workbook.KeptCapture;
import org.wiseember.workbook.RunSettings;

/** The mains plug pulled with a scope on the outlet. */
public final class TransferTest implements TestType {
  @Override
  public String key() {
    return SwitchOver.KIND;
  }

  @Override
  public String words() {
    return "Switch-over";
  }

  @Override
  public TestHelp help() {
    return TestHelp.of(
            "A lamp at the outlet, the unit in pass-through. Pull the wall plug at each press.",
            "Milliseconds take a scope behind an isolation transformer. Eyes tell whether the lamp blinked.",
            "Five pulls and more: the worst of them counts.")
        .after("ITIC curve (2000), recalled from memory");
  }

  @Override
  public Group group() {
    return Group.POWER;
  }

  @Override
  public boolean inCaptures() {
    return true;
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
  public Class<TransferRun> finds() {
    return TransferRun.class;
  }

  @Override
  public TestRun worked(RunRecord record, Asked asked) {
    List<TransferRun.Pull> pulls = new ArrayList<>();
    for (KeptCapture kept : record.captures()) {
      pulls.add(new TransferRun.Pull(kept, TransferGap.of(kept.capture(), record.hertz())));
    }
    return new TransferRun(record.kept(), pulls, PassThrough.of(record.treated()));
  }

  @Override
  public Set<Subject> answers() {
    return Set.of(Subject.SWITCH_OVER);
  }

  @Override
  public Optional<Answer> answer(Claim claim, UnitFindings unit) {
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
        new Answer(
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
