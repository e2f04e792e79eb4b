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
import org.wiseember.core.port.SwitchedOff;
import org.wiseember.core.quantity.Figures;
import org.wiseember.core.quantity.Unit;
import org.wiseember.trial.test.Answer;
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
  public TestRun worked(RunRecord record, UnitFindings others) {
    return new SoakRun(
        this, record.run(), record.trace(), record.treatment(), SwitchedOff.in(record.treated()));
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
