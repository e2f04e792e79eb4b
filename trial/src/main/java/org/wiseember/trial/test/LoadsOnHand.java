package org.wiseember.trial.test;

import java.util.Arrays;
import java.util.List;
import java.util.Optional;

/** The loads a tester has, as typed: {@code 60, 100, 200, 500, 1000}. */
public final class LoadsOnHand {
  /** Lamps and heaters most benches have. */
  public static final String USUAL = "60, 100, 200, 500, 1000";

  private static final int MOST = 12;
  private static final double MOST_WATTS = 20_000;

  private LoadsOnHand() {}

  /** Their watts; empty where the text cannot be read. */
  public static List<Double> watts(String typed) {
    try {
      // Beside commas a blank belongs to a number: 1 000 W.
      boolean commas = typed.matches(".*[,;].*");
      return Arrays.stream(typed.split(commas ? "[,;]" : "[ \\t]+(?=\\d)"))
          .map(w -> w.replaceAll("(?i)[\\s\u2009]|w(atts?)?$", ""))
          .filter(w -> !w.isEmpty())
          .map(Double::valueOf)
          .filter(w -> w > 0 && w <= MOST_WATTS)
          .toList();
    } catch (NumberFormatException e) {
      return List.of();
    }
  }

  /** What is wrong with the text, one sentence; empty where it can be read. */
  public static Optional<String> wrong(String typed) {
    List<Double> watts = watts(typed);
    if (watts.isEmpty()) {
      return Optional.of("Type the watts of your loads with commas between, as 40, 100, 500.");
    }
    return watts.size() > MOST
        ? Optional.of("Twelve loads are enough to choose from; name the ones you use most.")
        : Optional.empty();
  }
}
