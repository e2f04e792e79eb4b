package org.wiseember.trial.test.waveform;

import java.util.List;
import java.util.Optional;
import java.util.Set;
import org.wiseember.bench.procedure.WaveSteps;
import org.wiseember.core.label.Claim;
import org.wiseember.core.label.Group;
import org.wiseember.core.label.Label;
import org.wiseember.core.label.Subject;
import org.wiseember.core.quantity.Figures;
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
import org.wiseember.workbook.RunSettings;

/** The output's wave captured at several loads. */
public final class WaveTest implements TestType {
  @Override
  public String key() {
    return WaveSteps.KIND;
  }

  @Override
  public String words() {
    return "Waveform";
  }

  @Override
  public TestHelp help() {
    return TestHelp.of(
            "A scope behind an isolation transformer, its ratio written down; never its earth on the output.",
            "At several loads: distortion is often worst when little is drawn.",
            "With a meter that shows THD, write it with volts and hertz. By eye say smooth, stepped or square.")
        .school("Cheap meters that average read a stepped wave wrong by a few percent.")
        .after("IEC 61000-4-7 and IEEE 519, recalled from memory");
  }

  @Override
  public Group group() {
    return Group.WAVEFORM;
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
  public boolean inLogs() {
    return false;
  }

  @Override
  public boolean wantsLoads() {
    return true;
  }

  @Override
  public Optional<TestSettings> settings(Label label, OnHand onHand) {
    List<Double> loads = LoadSteps.near(label, onHand, 0.1, 0.25, 0.5, 0.97);
    return loads.isEmpty()
        ? Optional.empty()
        : Optional.of(
            new WaveSettings(
                loads,
                FromLabel.volts(label),
                "The mains for comparison, no load, then "
                    + String.join(", ", loads.stream().map(Figures::plain).toList())
                    + " W: a wave may be worst at any of them."));
  }

  @Override
  public TestSettings kept(RunSettings kept) {
    return new WaveSettings(kept.loads(), kept.volts(), "");
  }

  @Override
  public Class<WaveRun> finds() {
    return WaveRun.class;
  }

  @Override
  public TestRun worked(RunRecord record, Asked asked) {
    return WaveFindings.of(record, asked);
  }

  @Override
  public Set<Subject> answers() {
    return Set.of(
        Subject.DISTORTION, Subject.WAVEFORM, Subject.OUTPUT_VOLTAGE, Subject.OUTPUT_FREQUENCY);
  }

  @Override
  public Optional<Answer> answer(Claim claim, UnitFindings unit) {
    return unit.of(WaveRun.class)
        .filter(r -> !r.own().isEmpty() || !r.ownRead().isEmpty())
        .reduce((first, second) -> second)
        .flatMap(r -> new WaveClaims(r).answer(claim, FromLabel.judgedAt(claim, unit.label())));
  }
}
