package org.wiseember.trial.test.soak;

import java.util.List;
import java.util.Optional;
import java.util.Set;
import org.wiseember.bench.procedure.Watching;
import org.wiseember.core.label.Claim;
import org.wiseember.core.label.Group;
import org.wiseember.core.label.Label;
import org.wiseember.core.label.Subject;
import org.wiseember.core.notice.Watcher;
import org.wiseember.core.notice.Watchers;
import org.wiseember.core.port.Looks;
import org.wiseember.core.port.SwitchedOff;
import org.wiseember.core.quantity.Figures;
import org.wiseember.core.quantity.Unit;
import org.wiseember.core.trace.Channel;
import org.wiseember.trial.test.Answer;
import org.wiseember.trial.test.Asked;
import org.wiseember.trial.test.FromLabel;
import org.wiseember.trial.test.OnHand;
import org.wiseember.trial.test.RunRecord;
import org.wiseember.trial.test.TestRun;
import org.wiseember.trial.test.TestSettings;
import org.wiseember.trial.test.TestType;
import org.wiseember.trial.test.UnitFindings;
import org.wiseember.workbook.RunSettings;

/** A small load left on for a day: does the output stay on? */
public final class SoakTest implements TestType {
  private static final double WATTS = 60;

  @Override
  public String key() {
    return Watching.KIND;
  }

  @Override
  public String words() {
    return "Soak";
  }

  @Override
  public Group group() {
    return Group.PORTS;
  }

  @Override
  public Optional<TestSettings> settings(Label label, OnHand onHand) {
    return Optional.of(
        new SoakSettings(
            List.of(WATTS),
            FromLabel.volts(label),
            "A fridge of "
                + Figures.plain(WATTS, Unit.WATT)
                + " for 24 h: does the output stay on while it idles?"));
  }

  @Override
  public TestSettings kept(RunSettings kept) {
    return new SoakSettings(kept.loads(), kept.volts(), "");
  }

  @Override
  public List<Watcher> watchers(RunSettings settings, Label label) {
    return Watchers.forDrain(
        settings.accuracy(), label.ratedWattHours().orElse(Double.NaN), settings.volts());
  }

  @Override
  public Class<SoakRun> finds() {
    return SoakRun.class;
  }

  @Override
  public TestRun worked(RunRecord record, Asked asked) {
    if (record.byHand()) {
      Looks looks = Looks.of(record.treated(), record.pressed());
      return new SoakRun(record.kept(), looks.off(record.treated()), looks.on(), looks.onFor());
    }
    int read = record.trace().series(Channel.AC_VOLTAGE).size();
    return new SoakRun(
        record.kept(), SwitchedOff.in(record.treated()), read, record.trace().span());
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
