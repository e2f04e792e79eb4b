package org.wiseember.trial.kind.heat;

import java.util.List;
import java.util.Optional;
import org.wiseember.bench.procedure.HeatNoise;
import org.wiseember.core.label.Claim;
import org.wiseember.core.label.Condition;
import org.wiseember.core.label.Group;
import org.wiseember.core.label.Label;
import org.wiseember.core.label.Subject;
import org.wiseember.core.quantity.Figures;
import org.wiseember.core.quantity.Unit;
import org.wiseember.trial.kind.ClaimAnswer;
import org.wiseember.trial.kind.Declaration;
import org.wiseember.trial.kind.FromLabel;
import org.wiseember.trial.kind.Inquiry;
import org.wiseember.trial.kind.RunOption;
import org.wiseember.trial.kind.RunRecord;
import org.wiseember.trial.kind.TestRun;
import org.wiseember.trial.kind.TestSettings;
import org.wiseember.trial.kind.TestType;
import org.wiseember.trial.kind.Trait;
import org.wiseember.trial.kind.UnitFindings;
import org.wiseember.trial.onhand.Ask;
import org.wiseember.trial.onhand.LoadSteps;
import org.wiseember.trial.onhand.OnHand;
import org.wiseember.workbook.RunSettings;

/** A unit felt and heard from light to heavy loads. */
public final class HeatTest implements TestType {
  /** Where testers put a sound meter; most labels mean a metre. */
  static final Ask.OneOf<Double> METRES =
      new Ask.OneOf<>(
          "metres",
          "Sound meter at",
          List.of(0.3, 0.5, 1.0, 2.0),
          1.0,
          m -> Figures.plain(m, Unit.METRE));

  private static final Declaration DECLARED =
      Declaration.of(HeatNoise.KIND, "Heat and noise")
          .in(Group.BODY)
          .finds(HeatRun.class)
          .answers(Subject.NOISE)
          .being(Trait.WANTS_LOADS)
          .asks(METRES)
          .options(new RunOption("distance", "a number", HeatSettings::at))
          .how(
              "Room and case before, then each load until the case no longer climbs. Write the hottest spot with its place.",
              "A matt black spot reads true on a thermal camera, a shiny one does not.",
              "Sound: background first, then the fan, at the distance you chose.")
          .school("At 0.3 m it is louder than what a label means; at 1 m the room counts.")
          .cannotByHand(
              "How loud it is takes a sound meter, how hot a thermometer; without them it stays unknown.")
          .build();

  @Override
  public Declaration declaration() {
    return DECLARED;
  }

  @Override
  public Optional<TestSettings> settings(Label label, OnHand onHand) {
    List<Double> loads = LoadSteps.near(label, onHand, 0.25, 0.5, 0.9);
    double metres = onHand.answer(METRES);
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
  public TestRun worked(RunRecord record, Inquiry asked) {
    return new HeatFindings(record).find();
  }

  @Override
  public Optional<ClaimAnswer> answer(Claim claim, UnitFindings unit) {
    return unit.of(HeatRun.class)
        .filter(r -> r.loudest().isPresent())
        .reduce((a, b) -> b)
        .map(
            r -> {
              double at = claim.condition(Condition.Kind.AT_DISTANCE).orElse(r.metres());
              var noise = r.loudest().orElseThrow().at(at);
              return ClaimAnswer.of(noise.name(), claim, r, noise);
            });
  }
}
