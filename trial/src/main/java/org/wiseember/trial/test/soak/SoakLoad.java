package org.wiseember.trial.test.soak;

import java.util.Map;
import org.wiseember.trial.test.Kept;

/**
 * What is left on, on which output, and for how long.
 *
 * @param output it hangs on
 * @param watts of it, W, above 0
 * @param hours it is left on, above 0
 */
public record SoakLoad(Output output, double watts, double hours) {
  /** A small fridge for a day and a night. */
  public static final SoakLoad USUAL = new SoakLoad(Output.AC, 60, 24);

  private static final String OUTPUT = "soakOutput";
  private static final String HOURS = "soakHours";

  /** An output that may switch itself off at low load. */
  public enum Output {
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

  Map<String, String> kept() {
    return Map.of(OUTPUT, output.name(), HOURS, Double.toString(hours));
  }

  /** As kept with a run. */
  static SoakLoad of(Map<String, String> kept, double watts) {
    return new SoakLoad(
        Kept.choice(Output.values(), kept, OUTPUT, USUAL.output()),
        watts > 0 ? watts : USUAL.watts(),
        Kept.number(kept, HOURS).orElse(USUAL.hours()));
  }
}
