package org.wiseember.trial.kind.drain;

import java.util.List;
import java.util.Optional;
import org.wiseember.core.label.Label;
import org.wiseember.core.quantity.Figures;
import org.wiseember.core.quantity.Unit;
import org.wiseember.trial.onhand.Ask;
import org.wiseember.trial.onhand.OnHand;

/**
 * The load of an AC drain as a tester chooses it: schools differ, and a gentler drain yields more.
 *
 * @param way how it is chosen
 * @param own watts for {@link Way#OWN}; NaN where none were given
 */
record DrainLoad(Way way, double own) {
  /** How it is chosen. */
  static final Ask.OneOf<Way> WAY =
      new Ask.OneOf<>("drain-load", "Load", List.of(Way.values()), Way.LABEL, Way::words);

  static final Ask.Amount OWN_WATTS =
      new Ask.Amount(
          "drain-own-watts",
          "My own load, watts",
          "W",
          0,
          100_000,
          Double.NaN,
          Optional.of(new Ask.Only(WAY, Way.OWN)));

  private static final double HALF = 0.5;
  private static final double MOST = 0.9;
  private static final double C_RATE = 0.2;

  /** Ways of choosing it. */
  enum Way {
    /** The load the label names, else half the rating. */
    LABEL("As the label has it"),
    HALF_RATED("Half rated"),
    NEARLY_RATED("90 %"),
    FULL_RATED("Full rated"),
    /** The rate cells are rated at: IEC 61960-3, recalled from memory. */
    FIFTH_OF_CAPACITY("0.2 C"),
    OWN("My own");

    private final String words;

    Way(String words) {
      this.words = words;
    }

    public String words() {
      return words;
    }
  }

  static DrainLoad of(OnHand onHand) {
    return new DrainLoad(onHand.answer(WAY), onHand.answer(OWN_WATTS));
  }

  /** A load with the reason for it. */
  record Chosen(double watts, String reason) {}

  /** For a unit; empty where its label does not say what this rests on, or the label decides. */
  Optional<Chosen> of(Label label) {
    return switch (way) {
      case LABEL -> Optional.empty();
      case HALF_RATED -> rated(label, HALF, "Half of the ");
      case NEARLY_RATED -> rated(label, MOST, "90 % of the ");
      case FULL_RATED -> rated(label, 1, "All of the ");
      case FIFTH_OF_CAPACITY ->
          label
              .ratedWattHours()
              .map(
                  wh ->
                      new Chosen(
                          Math.rint(C_RATE * wh),
                          "0.2 C of " + Figures.plain(wh, Unit.WATT_HOUR) + ", chosen."));
      case OWN ->
          own > 0
              ? Optional.of(
                  new Chosen(own, Figures.plain(own, Unit.WATT) + ", a load of your own."))
              : Optional.empty();
    };
  }

  private static Optional<Chosen> rated(Label label, double share, String words) {
    return label
        .ratedWatts()
        .map(
            rated ->
                new Chosen(
                    Math.rint(share * rated),
                    words + Figures.plain(rated, Unit.WATT) + " rating, chosen."));
  }
}
