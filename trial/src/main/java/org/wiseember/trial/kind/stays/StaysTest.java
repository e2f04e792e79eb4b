package org.wiseember.trial.kind.stays;

import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import org.wiseember.bench.procedure.StaysOn;
import org.wiseember.core.figure.Figure;
import org.wiseember.core.hand.OperatorEvent;
import org.wiseember.core.label.Claim;
import org.wiseember.core.label.Group;
import org.wiseember.core.label.Label;
import org.wiseember.core.label.Subject;
import org.wiseember.core.supply.Alive;
import org.wiseember.core.supply.Pulls;
import org.wiseember.core.trace.Channel;
import org.wiseember.core.trace.Series;
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
import org.wiseember.workbook.StoredReading;

/** What stays on when the wall plug is pulled, by eye: no scope needed. */
public final class StaysTest implements TestType {
  private static final Declaration DECLARED =
      Declaration.of(StaysOn.KIND, "What stays on")
          .in(Group.POWER)
          .finds(StaysRun.class)
          .answers(Subject.PASS_THROUGH, Subject.SWITCH_OVER)
          .being(Trait.HAZARDOUS, Trait.NOT_IN_LOGS, Trait.WANTS_LOADS)
          .how(
              "A filament lamp and a computer without battery at the outlet, something on every other output.",
              "Pull the wall plug and watch both. Save your work before.",
              "AC dead while DC and USB stay alive is a finding, not a fault of the test.")
          .build();

  static final List<Channel> OUTPUTS =
      List.of(Channel.AC_ALIVE, Channel.DC_ALIVE, Channel.USB_ALIVE);

  /** Of a lamp and a small computer, W. */
  private static final double LAMP_AND_COMPUTER = 100;

  @Override
  public Declaration declaration() {
    return DECLARED;
  }

  @Override
  public Optional<TestSettings> settings(Label label, OnHand onHand) {
    return Optional.of(
        new StaysSettings(
            LoadSteps.nearest(onHand.loads(), LAMP_AND_COMPUTER, LAMP_AND_COMPUTER),
            StaysSettings.USUAL_PULLS,
            FromLabel.volts(label),
            "A lamp and a computer without battery at the outlet; the wall plug is pulled five times."
                + " Eyes are enough."));
  }

  @Override
  public TestSettings kept(RunSettings kept) {
    return new StaysSettings(
        kept.loads().stream().findFirst().orElse(LAMP_AND_COMPUTER),
        StaysSettings.pulls(kept.particulars()),
        kept.volts(),
        "");
  }

  @Override
  public TestRun worked(RunRecord record, Inquiry asked) {
    int pressed =
        said(
            record,
            OperatorEvent.BOTH_STAYED,
            OperatorEvent.LAMP_BLINKED,
            OperatorEvent.COMPUTER_WENT);
    int n = pressed > 0 ? pressed : count(record, Channel.PULLS);
    int lamp =
        pressed > 0 ? said(record, OperatorEvent.BOTH_STAYED) : count(record, Channel.LAMP_STEADY);
    int computer =
        pressed > 0
            ? said(record, OperatorEvent.BOTH_STAYED, OperatorEvent.LAMP_BLINKED)
            : count(record, Channel.COMPUTER_STAYED);
    Optional<String> trouble = trouble(n, lamp, computer);
    return new StaysRun(
        record.kept(),
        n < 1 || trouble.isPresent() ? Optional.empty() : Optional.of(new Pulls(n, lamp, computer)),
        trouble,
        alive(record));
  }

  private static Optional<String> trouble(int pulls, int lamp, int computer) {
    int most = Math.max(lamp, computer);
    if (most >= 0 && pulls < 1) {
      return Optional.of("How often the plug was pulled is missing. Type it beside the counts.");
    }
    return most > pulls && pulls > 0
        ? Optional.of(
            "Something stayed on "
                + most
                + " times at "
                + pulls
                + " pulls of the plug. Check what was typed; nothing is said of it until then.")
        : Optional.empty();
  }

  private static int said(RunRecord record, OperatorEvent... any) {
    return (int) record.pressed().stream().filter(p -> p.is(any)).count();
  }

  private static int count(RunRecord record, Channel channel) {
    return (int) last(record, channel).orElse(Pulls.UNSEEN);
  }

  private static Map<Channel, Alive> alive(RunRecord record) {
    Map<Channel, Alive> alive = new EnumMap<>(Channel.class);
    for (Channel output : OUTPUTS) {
      last(record, output).ifPresent(v -> alive.put(output, Alive.of(v)));
    }
    return alive;
  }

  /** What was typed last, whatever read beside it; else what was read last. */
  private static OptionalDouble last(RunRecord record, Channel channel) {
    OptionalDouble typed =
        record.typed().stream()
            .filter(r -> r.channel() == channel)
            .mapToDouble(StoredReading::value)
            .reduce((a, b) -> b);
    Series read = record.treated().series(channel);
    return typed.isPresent() || read.size() == 0
        ? typed
        : OptionalDouble.of(read.value(read.size() - 1));
  }

  @Override
  public Optional<ClaimAnswer> answer(Claim claim, UnitFindings unit) {
    Optional<StaysRun> run = unit.newest(StaysRun.class);
    return claim.subject() == Subject.PASS_THROUGH
        ? run.filter(r -> r.alive().containsKey(Channel.AC_ALIVE)).map(r -> through(claim, r))
        : run.flatMap(
            r ->
                r.pulls()
                    .map(
                        p ->
                            ClaimAnswer.rigCannotShow(
                                "Switch-over, by eye",
                                claim,
                                r,
                                p.ofTheGap()
                                    + " Eyes do not see milliseconds; a scope on the outlet"
                                    + " does.")));
  }

  private static ClaimAnswer through(Claim claim, StaysRun run) {
    Alive outlet = run.alive().get(Channel.AC_ALIVE);
    Figure outputs = run.outputsAlive().orElseThrow();
    Standing standing = outlet == Alive.OFF ? Standing.SHORT : Standing.KEPT;
    String reason =
        switch (outlet) {
          case ON -> "The AC outlet was on while it charged.";
          case OFF -> "The AC outlet was off while it charged.";
          case CAME_BACK ->
              "The AC outlet was on while it charged, but goes off and comes back as the charger is"
                  + " plugged or pulled.";
        };
    return new ClaimAnswer(
        "Pass-through, by eye",
        claim,
        run.run().id(),
        guard -> Verdict.seen(claim, outputs, standing, reason));
  }
}
