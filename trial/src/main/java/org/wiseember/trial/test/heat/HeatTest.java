package org.wiseember.trial.test.heat;

import java.util.List;
import java.util.Optional;
import java.util.Set;
import org.wiseember.bench.procedure.HeatNoise;
import org.wiseember.core.label.Claim;
import org.wiseember.core.label.Condition;
import org.wiseember.core.label.Group;
import org.wiseember.core.label.Label;
import org.wiseember.core.label.Subject;
import org.wiseember.core.quantity.Figures;
import org.wiseember.core.quantity.Unit;
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

/** A unit felt and heard from light to heavy loads. */
public final class HeatTest implements TestType {
  @Override
  public String key() {
    return HeatNoise.KIND;
  }

  @Override
  public String words() {
    return "Heat and noise";
  }

  @Override
  public TestHelp help() {
    return TestHelp.of(
            "Room and case before, then each load until the case no longer climbs. Write the hottest spot with its place.",
            "A matt black spot reads true on a thermal camera, a shiny one does not.",
            "Sound: background first, then the fan, at the distance you chose.")
        .school("At 0.3 m it is louder than what a label means; at 1 m the room counts.");
  }

  @Override
  public Group group() {
    return Group.BODY;
  }

  @Override
  public boolean wantsLoads() {
    return true;
  }

  @Override
  public Optional<TestSettings> settings(Label label, OnHand onHand) {
    List<Double> loads = LoadSteps.near(label, onHand, 0.25, 0.5, 0.9);
    double metres = onHand.find(SoundDistance.class).orElse(SoundDistance.USUAL).metres();
    return loads.isEmpty()
        ? Optional.empty()
        : Optional.of(
            new HeatSettings(
                loads,
                metres,
                FromLabel.volts(label),
                "The room first, then "
                    + String.join(", ", loads.stream().map(Figures::plain).toList())
                    + " W; 50 min at the last. Sound meter at "
                    + Figures.plain(metres, Unit.METRE)
                    + "."));
  }

  @Override
  public TestSettings kept(RunSettings kept) {
    return new HeatSettings(
        kept.loads(), HeatSettings.metres(kept.particulars()), kept.volts(), "");
  }

  @Override
  public Class<HeatRun> finds() {
    return HeatRun.class;
  }

  @Override
  public TestRun worked(RunRecord record, Asked asked) {
    return new HeatFindings(record).find();
  }

  @Override
  public Set<Subject> answers() {
    return Set.of(Subject.NOISE);
  }

  @Override
  public Optional<Answer> answer(Claim claim, UnitFindings unit) {
    return unit.of(HeatRun.class)
        .filter(r -> r.loudest().isPresent())
        .reduce((a, b) -> b)
        .map(
            r -> {
              double at = claim.condition(Condition.Kind.AT_DISTANCE).orElse(r.metres());
              var noise = r.loudest().orElseThrow().at(at);
              return Answer.of(noise.name(), claim, r, noise);
            });
  }
}
