package org.wiseember.trial.kind.drain;

import java.util.List;
import java.util.Optional;
import org.wiseember.bench.procedure.Drain;
import org.wiseember.core.label.Label;
import org.wiseember.core.label.Subject;
import org.wiseember.core.notice.Watcher;
import org.wiseember.core.notice.Watchers;
import org.wiseember.core.quantity.Figures;
import org.wiseember.trial.kind.Declaration;
import org.wiseember.trial.kind.FromLabel;
import org.wiseember.trial.kind.TestSettings;
import org.wiseember.trial.onhand.OnHand;
import org.wiseember.workbook.RunSettings;

/** A full unit emptied through its AC outlet. */
public final class AcDrainTest extends DrainTest {
  private static final Declaration DECLARED =
      declared(Drain.AC, "AC drain")
          .asks(DrainLoad.WAY, DrainLoad.OWN_WATTS)
          .how(
              "Charge to full and let it rest, so that its display and its cells agree. Zero the meter between outlet and load, or write its total.",
              "Put a steady load on and leave it until the output drops out by itself. Write total and display on the way: a meter that dies with the output keeps nothing.",
              "Read the last total before you recharge. What the unit shows at the end, and its code, belong to the figure.")
          .school(
              "Half the rating tells most units fairly and is what is judged where a label names no load.")
          .school(
              "Nine tenths or all of the rating shows what is left when it is worked hard; it yields less.")
          .school("0.2 C is the rate cells are rated at, for comparing packs and not inverters.")
          .after("IEC 61960-3 for 0.2 C")
          .build();

  public AcDrainTest() {
    super(DECLARED, false);
  }

  /**
   * As it was chosen; else at half the rating, unless the label names the load its capacity holds
   * at.
   */
  @Override
  public Optional<TestSettings> settings(Label label, OnHand onHand) {
    if (label.ratedWattHours().isEmpty()) {
      return Optional.empty();
    }
    double volts = FromLabel.volts(label);
    Optional<DrainLoad.Chosen> chosen = DrainLoad.of(onHand).of(label);
    if (chosen.isPresent()) {
      return Optional.of(
          new DrainSettings(false, chosen.get().watts(), volts, chosen.get().reason()));
    }
    Optional<Double> named = label.claim(Subject.CAPACITY).flatMap(FromLabel::namedLoad);
    if (named.isPresent()) {
      return Optional.of(
          new DrainSettings(
              false,
              named.get(),
              volts,
              Figures.plain(named.get()) + " W, the load the label names for its capacity."));
    }
    return Optional.of(
        label
            .ratedWatts()
            .map(
                rated ->
                    new DrainSettings(
                        false,
                        rated / 2,
                        volts,
                        "Half of the "
                            + Figures.plain(rated)
                            + " W rating, since the label names no load for its capacity."))
            .orElseGet(
                () ->
                    new DrainSettings(
                        false,
                        FromLabel.USUAL_WATTS,
                        volts,
                        "200 W, since the label prints neither load nor rating.")));
  }

  @Override
  public List<Watcher> watchers(RunSettings settings, Label label) {
    return Watchers.forDrain(
        settings.accuracy(), label.ratedWattHours().orElse(Double.NaN), settings.volts());
  }
}
