package org.wiseember.trial.kind.port;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.wiseember.bench.procedure.PortSteps;
import org.wiseember.core.label.Claim;
import org.wiseember.core.label.Group;
import org.wiseember.core.label.Label;
import org.wiseember.core.label.Subject;
import org.wiseember.core.port.PortFinding;
import org.wiseember.core.port.PortLadder;
import org.wiseember.core.quantity.Figures;
import org.wiseember.core.trace.Channel;
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
import org.wiseember.trial.kind.UnitFindings;
import org.wiseember.trial.onhand.OnHand;
import org.wiseember.workbook.RunSettings;

/** A 12 V port under rising current. */
public final class PortTest implements TestType {
  private static final Declaration DECLARED =
      Declaration.of(PortSteps.KIND, "12 V port")
          .in(Group.PORTS)
          .finds(PortRun.class)
          .answers(
              Subject.DC_PORT_CURRENT,
              Subject.DC_PORT_POWER,
              Subject.DC_PORT_VOLTAGE,
              Subject.DC_PORT_REGULATED)
          .watts("DC power")
          .how(
              "A small DC load, short thick leads. Raise the amps in steps and read volts and amps at the port.",
              "Regulated means the volts stay; a port that follows the battery sags.",
              "Go past the label until it gives up, and write how it comes back.")
          .cannotByHand("It takes volts and amps: an electronic load shows both.")
          .build();

  private static final double[] SHARES = {0.1, 0.25, 0.5, 0.75, 0.9, 1, 1.03, 1.06, 1.1, 1.2};

  @Override
  public Declaration declaration() {
    return DECLARED;
  }

  @Override
  public Optional<TestSettings> settings(Label label, OnHand onHand) {
    double amps = FromLabel.portAmps(label);
    List<Double> steps = new ArrayList<>();
    for (double share : SHARES) {
      steps.add(Math.rint(10 * share * amps) / 10);
    }
    return Optional.of(
        new PortSettings(
            steps,
            FromLabel.PORT_VOLTS,
            "From "
                + Figures.plain(steps.get(0))
                + " A up to "
                + Figures.plain(steps.get(steps.size() - 1))
                + " A, past the "
                + Figures.plain(amps)
                + " A on the label, until it switches off."));
  }

  @Override
  public TestSettings kept(RunSettings kept) {
    return new PortSettings(kept.loads(), kept.volts(), "");
  }

  @Override
  public TestRun worked(RunRecord record, Inquiry asked) {
    if (record.byHand() && !record.pressed().isEmpty()) {
      return new PortRun(
          record.kept(),
          PortLadder.byHand(
              record.trace(),
              record.pressed(),
              record.meterOrAssumed(Channel.DC_VOLTAGE),
              record.meterOrAssumed(Channel.DC_CURRENT),
              record.treatment()));
    }
    return new PortRun(
        record.kept(),
        PortLadder.of(
            record.trace(),
            record.meterOrAssumed(Channel.DC_VOLTAGE),
            record.meterOrAssumed(Channel.DC_CURRENT),
            record.treatment(),
            record.run().settings().loads()));
  }

  /**
   * Where a port switched off between two steps, its limit lies between them; where it never did,
   * it carries what it carried at least. Its volts are those at the current the label rates it at.
   */
  @Override
  public Optional<ClaimAnswer> answer(Claim claim, UnitFindings unit) {
    return unit.newest(PortRun.class)
        .flatMap(
            run -> {
              PortFinding f = run.finding();
              return switch (claim.subject()) {
                case DC_PORT_CURRENT ->
                    f.tripAmps()
                        .or(f::mostAmps)
                        .map(x -> ClaimAnswer.of("12 V port", claim, run, x));
                case DC_PORT_POWER ->
                    f.tripWatts()
                        .or(f::mostWatts)
                        .map(x -> ClaimAnswer.of("12 V port power", claim, run, x));
                case DC_PORT_REGULATED -> regulated(claim, run);
                default -> volts(claim, run, FromLabel.portAmps(unit.label()));
              };
            });
  }

  /** Whether it holds its volts; with leads in between a sag may be theirs. */
  private static Optional<ClaimAnswer> regulated(Claim claim, PortRun run) {
    PortFinding f = run.finding();
    return f.ohms()
        .map(
            ohms -> {
              boolean leads = f.leadOhms().isEmpty();
              String why =
                  (f.regulated() ? "It holds its volts" : "It sags")
                      + ": "
                      + Figures.withUncertainty(1000 * ohms.value(), 1000 * ohms.u95())
                      + " mV an ampere, "
                      + (f.regulated() ? "less" : "more")
                      + " than 2 % up to the most it carried.";
              return f.regulated() || !leads
                  ? new ClaimAnswer(
                      "12 V port, regulated",
                      claim,
                      run.run().id(),
                      guard ->
                          Verdict.seen(
                              claim, ohms, f.regulated() ? Standing.KEPT : Standing.SHORT, why))
                  : ClaimAnswer.rigCannotShow(
                      "12 V port, regulated",
                      claim,
                      run,
                      why + " What the leads lose of it is not known; measure at the terminals.");
            });
  }

  private static Optional<ClaimAnswer> volts(Claim claim, PortRun run, double rated) {
    String title = "12 V port volts at " + Figures.plain(rated) + " A";
    return run.finding()
        .voltsAt(rated)
        .map(x -> ClaimAnswer.of(title, claim, run, x))
        .or(
            () ->
                run.finding()
                    .loadedVolts()
                    .map(
                        x ->
                            ClaimAnswer.rigCannotShow(
                                title,
                                claim,
                                run,
                                x,
                                "It was loaded "
                                    + x.because().summary()
                                    + " at most; the label rates it at "
                                    + Figures.plain(rated)
                                    + " A.")));
  }
}
