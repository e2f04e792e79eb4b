package org.wiseember.trial.kind.ladder;

import java.util.List;
import java.util.Optional;
import org.wiseember.bench.procedure.LoadLadder;
import org.wiseember.core.efficiency.EfficiencyLadder;
import org.wiseember.core.efficiency.LadderLoads;
import org.wiseember.core.figure.Figure;
import org.wiseember.core.figure.Repeats;
import org.wiseember.core.label.Claim;
import org.wiseember.core.label.Group;
import org.wiseember.core.label.Label;
import org.wiseember.core.label.Subject;
import org.wiseember.core.quantity.Figures;
import org.wiseember.trial.kind.ClaimAnswer;
import org.wiseember.trial.kind.Declaration;
import org.wiseember.trial.kind.DirectMeters;
import org.wiseember.trial.kind.FromLabel;
import org.wiseember.trial.kind.Inquiry;
import org.wiseember.trial.kind.LikeRuns;
import org.wiseember.trial.kind.RunRecord;
import org.wiseember.trial.kind.TestRun;
import org.wiseember.trial.kind.TestSettings;
import org.wiseember.trial.kind.TestType;
import org.wiseember.trial.kind.Trait;
import org.wiseember.trial.kind.UnitFindings;
import org.wiseember.trial.onhand.OnHand;
import org.wiseember.workbook.RunSettings;

/** Conversion efficiency over a ladder of loads. */
public final class LadderTest implements TestType {
  private static final Declaration DECLARED =
      Declaration.of(LoadLadder.KIND, "Efficiency")
          .in(Group.ENERGY)
          .finds(LadderRun.class)
          .answers(Subject.EFFICIENCY)
          .being(Trait.WANTS_LOADS)
          .how(
              "Put on each load, wait half a minute until it has settled, then read AC watts, battery volts and battery amps as near to one another as you can.",
              "Heaters drift as they warm, so all three belong to one moment. One more digit of the volts is worth more than a better clamp.",
              "Small loads first: they show what the inverter uses for itself.")
          .school("More load, more loss: true above the peak, where the wires warm.")
          .school(
              "Small loads are worst: true below it, where what it uses for itself outweighs the rest. A fitted curve shows both.")
          .cannotByHand(
              "Conversion efficiency takes volts and amps at the battery; without them this test tells nothing a drain would not.")
          .build();

  @Override
  public Declaration declaration() {
    return DECLARED;
  }

  @Override
  public Optional<TestSettings> settings(Label label, OnHand onHand) {
    if (label.ratedWatts().isEmpty() || onHand.loads().isEmpty()) {
      return Optional.empty();
    }
    LadderLoads chosen = LadderLoads.choose(onHand.loads(), label.ratedWatts().orElseThrow());
    if (chosen.watts().isEmpty()) {
      return Optional.empty();
    }
    List<String> steps = chosen.watts().stream().map(Figures::plain).toList();
    List<String> missing = chosen.missing().stream().map(p -> Figures.plain(p) + " %").toList();
    return Optional.of(
        new LadderSettings(
            chosen.watts(),
            FromLabel.volts(label),
            String.join(", ", steps)
                + " W, twice, from the loads on hand"
                + (missing.isEmpty()
                    ? "."
                    : "; nothing on hand comes near "
                        + String.join(", ", missing)
                        + " of rating.")));
  }

  @Override
  public TestSettings kept(RunSettings kept) {
    return new LadderSettings(kept.loads(), kept.volts(), "");
  }

  @Override
  public TestRun worked(RunRecord record, Inquiry asked) {
    return new LadderRun(
        record.kept(),
        EfficiencyLadder.of(
            record.trace(),
            DirectMeters.of(record.run().settings()),
            asked.ratedWatts(),
            record.treatment()));
  }

  /** At the load the label names, by the curve; else the best there is. */
  @Override
  public Optional<ClaimAnswer> answer(Claim claim, UnitFindings unit) {
    List<LadderRun> ladders =
        unit.of(LadderRun.class).filter(l -> !l.finding().points().isEmpty()).toList();
    return ladders.stream()
        .reduce((a, b) -> b)
        .flatMap(
            newest ->
                LikeRuns.of(
                    newest,
                    ladders,
                    LadderTest::heaviest,
                    l -> figure(claim, l),
                    Repeats.WHOLE_TEST))
        .map(l -> ClaimAnswer.of(l.figure().name(), claim, l.run(), l.figure()));
  }

  private static double heaviest(LadderRun ladder) {
    return ladder.finding().points().get(ladder.finding().points().size() - 1).acWatts();
  }

  private static Optional<Figure> figure(Claim claim, LadderRun ladder) {
    return FromLabel.namedLoad(claim)
        .flatMap(w -> ladder.finding().at(w))
        .or(() -> ladder.finding().best());
  }
}
