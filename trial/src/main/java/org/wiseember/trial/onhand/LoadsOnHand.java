package org.wiseember.trial.onhand;

import java.util.ArrayList;
import java.util.List;
import java.util.NoSuchElementException;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.regex.Pattern;
import org.wiseember.core.typed.TypedFigure;

/** The loads a tester has, as typed: {@code 60, 100, 200, 500, 1 000}. */
public final class LoadsOnHand {
  /** Lamps and heaters most benches have. */
  public static final String USUAL = "60, 100, 200, 500, 1000";

  private static final int MOST = 12;
  private static final double MOST_WATTS = 20_000;

  /** A comma or semicolon with a blank behind it, or a semicolon, stands between loads. */
  private static final Pattern BETWEEN = Pattern.compile("[,;]\\s+|;|[,;]$");

  /** Without any of them blanks do. */
  private static final Pattern BLANKS = Pattern.compile("[ \\t]+(?=\\d)");

  private LoadsOnHand() {}

  /** Their watts; empty where the text cannot be read. */
  public static List<Double> watts(String typed) {
    try {
      return read(typed);
    } catch (IllegalArgumentException e) {
      return List.of();
    }
  }

  /** What is wrong with the text, one sentence; empty where it can be read. */
  public static Optional<String> wrong(String typed) {
    List<Double> watts;
    try {
      watts = read(typed);
    } catch (IllegalArgumentException e) {
      return Optional.of(e.getMessage());
    }
    if (watts.isEmpty()) {
      return Optional.of("Type the watts of your loads with commas between, as 40, 100, 500.");
    }
    return watts.size() > MOST
        ? Optional.of("Twelve loads are enough to choose from; name the ones you use most.")
        : Optional.empty();
  }

  private static List<Double> read(String typed) {
    List<Double> watts = new ArrayList<>();
    String all = typed.strip();
    boolean parted = BETWEEN.matcher(all).find();
    if (!parted && BLANKS.matcher(all).find() && isOne(all)) {
      throw new IllegalArgumentException(
          "“" + all + "” may be one load or several. Put a comma and a blank between loads.");
    }
    for (String part : (parted ? BETWEEN : BLANKS).split(all)) {
      String load = part.strip();
      if (load.indexOf(',') < 0) {
        one(load).ifPresent(watts::add);
        continue;
      }
      // Beside semicolons a comma belongs to a number.
      List<Double> several = all.indexOf(';') < 0 ? several(load) : List.of();
      boolean alsoOne = isOne(load);
      if (alsoOne && !several.isEmpty()) {
        throw new IllegalArgumentException(
            "“"
                + load
                + "” may be one load or several. Put a blank after each comma between loads.");
      }
      watts.addAll(alsoOne ? List.of(one(load).orElseThrow()) : several);
    }
    watts.removeIf(w -> !(w > 0));
    return List.copyOf(watts);
  }

  private static OptionalDouble one(String load) {
    String typed = load.replaceFirst("(?i)\\s*watts?$", " W");
    return TypedFigure.read("Loads on hand", typed, "W", 0, MOST_WATTS);
  }

  private static boolean isOne(String load) {
    try {
      return one(load).isPresent();
    } catch (IllegalArgumentException no) {
      return false;
    }
  }

  /** What stands between commas without blanks; empty where that is no list. */
  private static List<Double> several(String load) {
    List<Double> all = new ArrayList<>();
    try {
      for (String each : load.split(",", -1)) {
        all.add(one(each).orElseThrow());
      }
    } catch (IllegalArgumentException | NoSuchElementException no) {
      return List.of();
    }
    return all;
  }
}
