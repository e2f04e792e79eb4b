package org.wiseember.trial.kind.solar;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;
import org.wiseember.core.figure.Bound;
import org.wiseember.core.figure.Figure;
import org.wiseember.core.hand.OperatorEvent;
import org.wiseember.core.label.Claim;
import org.wiseember.core.label.Group;
import org.wiseember.core.label.Label;
import org.wiseember.core.label.Subject;
import org.wiseember.core.solar.Port;
import org.wiseember.core.solar.tried.SolarTrial;
import org.wiseember.core.solar.tried.Tried;
import org.wiseember.core.solar.tried.TriedSetup;
import org.wiseember.core.trace.Channel;
import org.wiseember.trial.kind.ClaimAnswer;
import org.wiseember.trial.kind.Declaration;
import org.wiseember.trial.kind.HandPart;
import org.wiseember.trial.kind.Inquiry;
import org.wiseember.trial.kind.LabelInputs;
import org.wiseember.trial.kind.RunRecord;
import org.wiseember.trial.kind.TestRun;
import org.wiseember.trial.kind.TestSettings;
import org.wiseember.trial.kind.TestType;
import org.wiseember.trial.kind.Trait;
import org.wiseember.trial.kind.UnitFindings;
import org.wiseember.trial.onhand.Ask;
import org.wiseember.trial.onhand.OnHand;
import org.wiseember.workbook.RunSettings;

/** Panels in several arrangements on a port: what each gives, and what holds it back. */
public final class SolarTrialTest implements TestType {
  /** Kept with the run. */
  public static final String KIND = "solar-trial";

  /** The usual first questions: one, two, three of a panel. */
  static final Ask.Lines ARRANGEMENTS =
      new Ask.Lines(
          "arrangements",
          "Arrangements, a line each",
          List.of(
              "1 x 100 W",
              "2 x 100 W in parallel",
              "2 x 100 W in series",
              "1 x 100 W, second unit"),
          16,
          TriedSetup.LONGEST,
          line -> TriedSetup.read(line).saidBack());

  private static final Declaration DECLARED =
      Declaration.of(KIND, "Solar trial")
          .in(Group.CHARGING)
          .finds(SolarTrialRun.class)
          .answers(Subject.SOLAR_POWER, Subject.SOLAR_CURRENT)
          .being(Trait.BY_HAND_ONLY, Trait.NOT_IN_LOGS, Trait.HAZARDOUS)
          .watts("Watts into the port")
          .asks(ARRANGEMENTS)
          .how(
              "Write one line for each arrangement. At each, read watts and light at the same moment, two or three times.",
              "The light meter lies on the plane of the panels and stays there. Without light nothing is compared.",
              "To learn whether port or panel is the limit: the same panels on another unit, or a bench supply on the port.")
          .school(
              "Panels may be larger than the port: up to 10 % is what makers of controllers say, 25 to 50 % the usual advice, twice as much is done where the port limits the amps. All agree on the volts.")
          .cannotByHand("Without a light meter nothing can be compared: write the lux each time.")
          .build();

  @Override
  public Declaration declaration() {
    return DECLARED;
  }

  @Override
  public Optional<TestSettings> settings(Label label, OnHand onHand) {
    List<String> arrangements = onHand.answer(ARRANGEMENTS);
    double most = LabelInputs.of(label).dc().map(Port::mostVolts).orElse(Double.NaN);
    return arrangements.isEmpty()
        ? Optional.empty()
        : Optional.of(
            new SolarTrialSettings(
                arrangements,
                most,
                "Watts and light of each, compared at like light. The same panels on another unit,"
                    + " or a bench supply on the port, tell whether port or panel is the limit."));
  }

  @Override
  public String missing(Label label, OnHand onHand) {
    return "Write the arrangements to try, a line each, such as: 2 x 100 W in series.";
  }

  @Override
  public TestSettings kept(RunSettings kept) {
    return SolarTrialSettings.kept(kept.particulars());
  }

  @Override
  public TestRun worked(RunRecord record, Inquiry asked) {
    List<TriedSetup> setups =
        SolarTrialSettings.kept(record.run().settings().particulars()).arrangements().stream()
            .map(TriedSetup::read)
            .toList();
    List<Tried> tried = new ArrayList<>();
    List<String> refused = new ArrayList<>();
    List<HandPart> parts = HandPart.of(record, OperatorEvent.READ, OperatorEvent.REFUSES);
    // Watts and light are of the arrangement even where they were written before it was pressed
    // that it is plugged in; volts written then are those of the open string.
    List<HandPart> early =
        HandPart.of(record, Set.of(OperatorEvent.DONE), OperatorEvent.READ, OperatorEvent.REFUSES);
    for (int i = 0; i < parts.size(); i++) {
      HandPart part = parts.get(i);
      if (part.at() < 1 || part.at() > setups.size()) {
        continue;
      }
      TriedSetup setup = setups.get(part.at() - 1);
      if (part.ended() == OperatorEvent.REFUSES) {
        refused.add(setup.words());
        continue;
      }
      HandPart whole = early.get(i);
      OptionalDouble light = part.mean(Channel.ILLUMINANCE);
      tried.add(
          new Tried(
              part.at(),
              setup,
              watts(record, part, setup).or(() -> power(record, whole, setup)),
              light.isPresent() ? light : whole.mean(Channel.ILLUMINANCE),
              part.mean(Channel.IN_CURRENT),
              part.mean(Channel.IN_VOLTAGE)));
    }
    return new SolarTrialRun(
        record.kept(), SolarTrial.of(tried, record.meterOrAssumed(Channel.IN_CURRENT)), refused);
  }

  private static Optional<Figure> power(RunRecord record, HandPart part, TriedSetup setup) {
    return part.figure(Channel.IN_POWER, record, "tried_" + part.at(), setup.words());
  }

  /** Read by a meter, else volts × amps, else what the unit shows. */
  private static Optional<Figure> watts(RunRecord record, HandPart part, TriedSetup setup) {
    String key = "tried_" + part.at();
    Optional<Figure> read = power(record, part, setup);
    if (read.isPresent()) {
      return read;
    }
    Optional<Figure> product =
        part.watts(Channel.IN_VOLTAGE, Channel.IN_CURRENT, record, key, setup.words());
    return product.or(
        () ->
            part.figure(Channel.DISPLAY_IN, record, key, setup.words())
                .map(
                    f ->
                        f.because(
                            f.because()
                                .watching(
                                    "Read off the unit's own display, which may be wrong."))));
  }

  @Override
  public Optional<ClaimAnswer> answer(Claim claim, UnitFindings unit) {
    return unit.of(SolarTrialRun.class)
        .flatMap(r -> figure(claim, r).stream().map(f -> ClaimAnswer.of(title(claim), claim, r, f)))
        .max(Comparator.comparing(a -> !a.open()));
  }

  private static String title(Claim claim) {
    return claim.subject().words() + ", by a trial";
  }

  private static Optional<Figure> figure(Claim claim, SolarTrialRun run) {
    // What went in at one voltage and one charge is the least the port takes.
    return claim.subject() == Subject.SOLAR_POWER
        ? run.trial().most()
        : run.trial().portAmps().map(f -> f.bounded(Bound.AT_LEAST));
  }
}
