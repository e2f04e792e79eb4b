package org.wiseember.trial;

import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.TreeMap;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import org.wiseember.core.port.UsbTester;
import org.wiseember.core.start.CodeLetter;
import org.wiseember.core.start.Nameplate;

/** What a test was set up with beside its loads, as words that are kept with the run. */
final class Particulars {
  private static final String MOTOR = "motor";
  private static final String KIND = "motorKind";
  private static final String VOLTS = "motorVolts";
  private static final String AMPS = "motorAmps";
  private static final String LOCKED = "motorLockedRotorAmps";
  private static final String CODE = "motorCode";
  private static final String POWER = "motorHorsepower";
  private static final String EASED = "motorEased";
  private static final String USB = "usbTester";
  private static final String METRES = "soundMetres";
  private static final String BASE = "baseWatts";
  private static final String HOLDS = "holdSeconds";
  private static final String ON_HAND = "loadsOnHand";
  private static final String RECIPES = "recipes";
  private static final String BAR = " | ";

  private Particulars() {}

  static Map<String, String> of(Nameplate motor) {
    Map<String, String> kept = new TreeMap<>();
    kept.put(MOTOR, motor.name());
    kept.put(KIND, motor.kind().name());
    kept.put(VOLTS, Double.toString(motor.volts()));
    kept.put(AMPS, Double.toString(motor.amps()));
    motor.lockedRotorAmps().ifPresent(a -> kept.put(LOCKED, Double.toString(a)));
    motor.code().ifPresent(c -> kept.put(CODE, c.name()));
    motor.horsepower().ifPresent(h -> kept.put(POWER, Double.toString(h)));
    kept.put(EASED, motor.eased().name());
    return kept;
  }

  /** The motor of a run; empty where the words make none. */
  static Optional<Nameplate> motor(Map<String, String> kept) {
    double volts = number(kept, VOLTS).orElse(Double.NaN);
    if (!kept.containsKey(MOTOR) || !(volts > 0)) {
      return Optional.empty();
    }
    return Optional.of(
        new Nameplate(
            kept.get(MOTOR),
            choice(Nameplate.Kind.values(), kept.get(KIND), Nameplate.Kind.INDUCTION),
            volts,
            number(kept, AMPS).orElse(Double.NaN),
            number(kept, LOCKED),
            Optional.ofNullable(kept.get(CODE)).flatMap(CodeLetter::of),
            number(kept, POWER),
            choice(Nameplate.Eased.values(), kept.get(EASED), Nameplate.Eased.NOTHING)));
  }

  static Map<String, String> of(UsbTester tester) {
    return Map.of(USB, tester.name());
  }

  static UsbTester usb(Map<String, String> kept) {
    return choice(UsbTester.values(), kept.get(USB), UsbTester.FIVE_VOLT);
  }

  static Map<String, String> ofDistance(double metres) {
    return Map.of(METRES, Double.toString(metres));
  }

  static double metres(Map<String, String> kept) {
    return number(kept, METRES).orElse(1);
  }

  static Map<String, String> ofHolds(
      double base, List<Double> seconds, List<Double> onHand, List<String> recipes) {
    return Map.of(
        BASE,
        Double.toString(base),
        HOLDS,
        list(seconds),
        ON_HAND,
        list(onHand),
        RECIPES,
        String.join(BAR, recipes));
  }

  /** What to plug in for each load; fewer where nobody kept it. */
  static List<String> recipes(Map<String, String> kept) {
    return List.of(kept.getOrDefault(RECIPES, "").split(Pattern.quote(BAR)));
  }

  static double base(Map<String, String> kept) {
    return number(kept, BASE).orElse(0);
  }

  static List<Double> holds(Map<String, String> kept) {
    return numbers(kept.getOrDefault(HOLDS, ""));
  }

  static List<Double> onHand(Map<String, String> kept) {
    return numbers(kept.getOrDefault(ON_HAND, ""));
  }

  private static String list(List<Double> values) {
    return values.stream().map(String::valueOf).collect(Collectors.joining(","));
  }

  private static List<Double> numbers(String text) {
    try {
      return Arrays.stream(text.split(","))
          .filter(s -> !s.isBlank())
          .map(Double::valueOf)
          .filter(v -> v > 0)
          .toList();
    } catch (NumberFormatException e) {
      return List.of();
    }
  }

  private static OptionalDouble number(Map<String, String> kept, String key) {
    List<Double> one = numbers(kept.getOrDefault(key, ""));
    return one.size() == 1 ? OptionalDouble.of(one.get(0)) : OptionalDouble.empty();
  }

  private static <E extends Enum<E>> E choice(E[] values, String name, E otherwise) {
    return Arrays.stream(values).filter(v -> v.name().equals(name)).findFirst().orElse(otherwise);
  }
}
