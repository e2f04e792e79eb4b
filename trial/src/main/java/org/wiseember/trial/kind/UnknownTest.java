package org.wiseember.trial.kind;

import java.util.List;
import java.util.Optional;
import org.wiseember.bench.procedure.ByHand;
import org.wiseember.core.hand.OperatorEvent;
import org.wiseember.core.label.Claim;
import org.wiseember.core.label.Group;
import org.wiseember.core.label.Label;
import org.wiseember.core.typed.TypedKind;
import org.wiseember.trial.onhand.OnHand;
import org.wiseember.workbook.RunSettings;

/**
 * The test of a run whose kind this program does not know, such as one of a later program: it is
 * shown for what it is, and nothing is worked out of it.
 */
public record UnknownTest(Declaration declaration) implements TestType {
  /** For a kind as it is kept with a run. */
  public static UnknownTest of(String kind) {
    return new UnknownTest(
        Declaration.of(kind, "Unknown test “" + kind + "”")
            .in(Group.BODY)
            .finds(TestRun.class)
            .being(Trait.BY_HAND_ONLY, Trait.NOT_IN_LOGS)
            .build());
  }

  /** Why nothing is worked out, one sentence. */
  public String why() {
    return "This program knows no test “"
        + key()
        + "”; its readings are kept and judge nothing. A later program may know it.";
  }

  @Override
  public Optional<TestSettings> settings(Label label, OnHand onHand) {
    return Optional.empty();
  }

  @Override
  public String missing(Label label, OnHand onHand) {
    return why();
  }

  @Override
  public TestSettings kept(RunSettings kept) {
    return new Settings(key(), words(), kept.volts());
  }

  private record Settings(String key, String title, double volts) implements HandOnlySettings {
    @Override
    public String reason() {
      return "";
    }

    @Override
    public ByHand byHand() {
      return ByHand.of(key, List.of())
          .step("unknown", "Nobody knows its steps")
          .last(OperatorEvent.ENOUGH, "Ended.")
          .build();
    }

    @Override
    public List<TypedKind> typed() {
      return List.of();
    }

    @Override
    public String ends(boolean byHand) {
      return "Nobody knows its end.";
    }
  }

  /**
   * Not to be called.
   *
   * @throws IllegalStateException always
   */
  @Override
  public TestRun worked(RunRecord record, Inquiry asked) {
    throw new IllegalStateException(why());
  }

  @Override
  public Optional<ClaimAnswer> answer(Claim claim, UnitFindings unit) {
    return Optional.empty();
  }
}
