package org.wiseember.trial.kind.soak;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.wiseember.trial.kind.StoredSettings;
import org.wiseember.trial.onhand.Ask;
import org.wiseember.trial.onhand.OnHand;

/**
 * What is left on, on which output, and for how long.
 *
 * @param output it hangs on
 * @param watts of it, W, above 0
 * @param hours it is left on, above 0
 */
record SoakLoad(Output output, double watts, double hours) {
  /** What it hangs on. */
  static final Ask.OneOf<Output> ON =
      new Ask.OneOf<>("soak-on", "On", List.of(Output.values()), Output.AC, Output::words);

  /** Of a small fridge. */
  static final Ask.Amount WATTS =
      new Ask.Amount("soak-watts", "Watts left on", "W", 0.1, 100_000, 60.0, Optional.empty());

  /** A day and a night; a fortnight at the most. */
  static final Ask.Amount HOURS =
      new Ask.Amount("soak-hours", "For how many hours", "h", 0.1, 336, 24.0, Optional.empty());

  private static final String KEPT_OUTPUT = "soakOutput";
  private static final String KEPT_HOURS = "soakHours";

  /** An output that may switch itself off at low load. */
  enum Output {
    AC("AC outlet"),
    DC("12 V port"),
    USB("USB");

    private final String words;

    Output(String words) {
      this.words = words;
    }

    public String words() {
      return words;
    }
  }

  public SoakLoad {
    if (!(watts > 0) || !(hours > 0)) {
      throw new IllegalArgumentException("a soak has watts and a length");
    }
  }

  static SoakLoad of(OnHand onHand) {
    return new SoakLoad(onHand.answer(ON), onHand.answer(WATTS), onHand.answer(HOURS));
  }

  Map<String, String> kept() {
    return Map.of(KEPT_OUTPUT, output.name(), KEPT_HOURS, Double.toString(hours));
  }

  /** As kept with a run. */
  static SoakLoad of(Map<String, String> kept, double watts) {
    return new SoakLoad(
        StoredSettings.choice(Output.values(), kept, KEPT_OUTPUT, ON.usual()),
        watts > 0 ? watts : WATTS.usual(),
        StoredSettings.number(kept, KEPT_HOURS).orElse(HOURS.usual()));
  }
}
