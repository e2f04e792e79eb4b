package org.wiseember.trial.kind.waveform;

import java.util.List;
import java.util.Optional;
import org.wiseember.bench.procedure.WaveSteps;
import org.wiseember.core.label.Claim;
import org.wiseember.core.label.Group;
import org.wiseember.core.label.Label;
import org.wiseember.core.label.Subject;
import org.wiseember.core.quantity.Figures;
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

/** The output's wave captured at several loads. */
public final class WaveTest implements TestType {
  private static final Declaration DECLARED =
      Declaration.of(WaveSteps.KIND, "Waveform")
          .in(Group.WAVEFORM)
          .finds(WaveRun.class)
          .answers(
              Subject.DISTORTION,
              Subject.WAVEFORM,
              Subject.OUTPUT_VOLTAGE,
              Subject.OUTPUT_FREQUENCY)
          .being(Trait.HAZARDOUS, Trait.NOT_IN_LOGS, Trait.IN_CAPTURES, Trait.WANTS_LOADS)
          .how(
              "A scope behind an isolation transformer, its ratio written down; never its earth on the output.",
              "At several loads: distortion is often worst when little is drawn.",
              "With a meter that shows THD, write it with volts and hertz. By eye say smooth, stepped or square.")
          .school("Cheap meters that average read a stepped wave wrong by a few percent.")
          .after("IEC 61000-4-7 and IEEE 519")
          .cannotByHand(
              "Shape and harmonics take a scope's capture; distortion a meter that shows it. Eyes tell a stepped wave from a sine.")
          .build();

  @Override
  public Declaration declaration() {
    return DECLARED;
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
  public TestRun worked(RunRecord record, Inquiry asked) {
    return WaveFindings.of(record, asked);
  }

  @Override
  public Optional<ClaimAnswer> answer(Claim claim, UnitFindings unit) {
    return unit.of(WaveRun.class)
        .filter(r -> !r.own().isEmpty() || !r.ownRead().isEmpty())
        .reduce((first, second) -> second)
        .flatMap(r -> new WaveClaims(r).answer(claim, FromLabel.judgedAt(claim, unit.label())));
  }
}
