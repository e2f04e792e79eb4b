package org.wiseember.trial.kind.realload;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import org.wiseember.core.figure.Figure;
import org.wiseember.core.hand.OperatorEvent;
import org.wiseember.core.hand.TimedOperatorEvent;
import org.wiseember.core.label.Claim;
import org.wiseember.core.label.Group;
import org.wiseember.core.label.Label;
import org.wiseember.core.realload.Goes;
import org.wiseember.core.trace.Channel;
import org.wiseember.trial.kind.ClaimAnswer;
import org.wiseember.trial.kind.Declaration;
import org.wiseember.trial.kind.FromLabel;
import org.wiseember.trial.kind.HandPart;
import org.wiseember.trial.kind.Inquiry;
import org.wiseember.trial.kind.RunRecord;
import org.wiseember.trial.kind.TestRun;
import org.wiseember.trial.kind.TestSettings;
import org.wiseember.trial.kind.TestType;
import org.wiseember.trial.kind.Trait;
import org.wiseember.trial.kind.UnitFindings;
import org.wiseember.trial.onhand.Ask;
import org.wiseember.trial.onhand.OnHand;
import org.wiseember.workbook.RunSettings;
import org.wiseember.workbook.StoredReading;

/** Cuts, kettles, meals: what an ordinary load takes each time, and how many a full unit gives. */
public final class RealLoadTest implements TestType {
  /** Kept with the run. */
  public static final String KIND = "real-loads";

  /** What is to be done. */
  static final Ask.Lines DOING =
      new Ask.Lines(
          KIND,
          "What you will do, a line each",
          List.of("Kettle, one litre", "Saw cuts", "Toaster oven, one meal"),
          12,
          80,
          line -> "");

  private static final Declaration DECLARED =
      Declaration.of(KIND, "Real loads")
          .in(Group.ENERGY)
          .finds(RealLoadRun.class)
          .being(Trait.BY_HAND_ONLY, Trait.NOT_IN_LOGS, Trait.RESTS_ON_OTHERS)
          .asks(DOING)
          .how(
              "Write total and display, do the thing several times, press once for each, write total and display again.",
              "With no meter the display must fall by several points: ten cuts tell more than one.",
              "A thing that heats and cycles, such as an oven, is done from cold to cold.")
          .build();

  @Override
  public Declaration declaration() {
    return DECLARED;
  }

  @Override
  public Optional<TestSettings> settings(Label label, OnHand onHand) {
    List<String> doing = onHand.answer(DOING);
    return doing.isEmpty()
        ? Optional.empty()
        : Optional.of(
            new RealLoadSettings(
                doing,
                FromLabel.volts(label),
                "What one of each takes, by the meter or by the percents it costs."));
  }

  @Override
  public String missing(Label label, OnHand onHand) {
    return "Write what you will do, a line each, such as: Kettle, one litre.";
  }

  @Override
  public TestSettings kept(RunSettings kept) {
    return RealLoadSettings.kept(kept.particulars(), kept.volts());
  }

  @Override
  public TestRun worked(RunRecord record, Inquiry asked) {
    List<String> lines = RealLoadSettings.kept(record.run().settings().particulars(), 0).doing();
    Optional<Figure> usable = asked.usableAc();
    List<RealLoadRun.Done> done = new ArrayList<>();
    List<HandPart> before = HandPart.of(record, OperatorEvent.DONE);
    // What was written once the last was done counts, pressed or not that it was enough.
    Set<OperatorEvent> leadingOn = Set.of(OperatorEvent.ENOUGH, OperatorEvent.WENT_OFF);
    for (HandPart after : HandPart.of(record, leadingOn, OperatorEvent.READ)) {
      if (after.at() < 1 || after.at() > lines.size()) {
        continue;
      }
      Optional<HandPart> begun = before.stream().filter(b -> b.at() == after.at()).findFirst();
      Goes goes =
          new Goes(
              after.at(),
              lines.get(after.at() - 1),
              said(record, after.at(), OperatorEvent.ONE_DONE),
              begun.flatMap(b -> both(b, after, Channel.AC_ENERGY)),
              begun.flatMap(b -> both(b, after, Channel.DISPLAY_CHARGE)),
              said(record, after.at(), OperatorEvent.WENT_OFF) > 0);
      Optional<Figure> each = goes.energy(record.meterOrAssumed(Channel.AC_ENERGY), usable);
      done.add(
          new RealLoadRun.Done(
              goes, each, each.flatMap(e -> usable.flatMap(u -> goes.fromFull(e, u)))));
    }
    return new RealLoadRun(record.kept(), done);
  }

  private static int said(RunRecord record, int at, OperatorEvent press) {
    return (int)
        record.pressed().stream()
            .filter((TimedOperatorEvent p) -> p.is(press) && Math.rint(p.subject()) == at)
            .count();
  }

  private static Optional<Goes.Both> both(HandPart before, HandPart after, Channel channel) {
    Optional<StoredReading> first = before.last(channel);
    Optional<StoredReading> last = after.last(channel);
    return first.isPresent() && last.isPresent()
        ? Optional.of(
            new Goes.Both(
                first.get().value(),
                last.get().value(),
                Math.max(first.get().resolution(), last.get().resolution())))
        : Optional.empty();
  }

  @Override
  public Optional<ClaimAnswer> answer(Claim claim, UnitFindings unit) {
    return Optional.empty();
  }
}
