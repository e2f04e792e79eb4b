package org.wiseember.core.start;

import java.util.Objects;
import java.util.Optional;
import java.util.OptionalDouble;

/**
 * What a motor's plate says.
 *
 * @param name as the tester calls it
 * @param kind how it starts
 * @param volts nominal, V
 * @param amps running, A; NaN where not printed
 * @param lockedRotorAmps A, where printed
 * @param code letter, where printed
 * @param horsepower where printed
 * @param eased whether a soft starter or a hard-start capacitor is fitted
 */
public record Nameplate(
    String name,
    Kind kind,
    double volts,
    double amps,
    OptionalDouble lockedRotorAmps,
    Optional<CodeLetter> code,
    OptionalDouble horsepower,
    Eased eased) {
  /** How a motor starts. */
  public enum Kind {
    /** Compressors, pumps, table tools without brushes. */
    INDUCTION("induction"),
    /** Brushed hand tools. */
    UNIVERSAL("brushed"),
    /** Fed by its own inverter, as a linear compressor: no surge at all. */
    ELECTRONIC("electronic");

    private final String words;

    Kind(String words) {
      this.words = words;
    }

    public String words() {
      return words;
    }
  }

  /** What is fitted to help it start. */
  public enum Eased {
    NOTHING("nothing fitted"),
    SOFT_STARTER("soft starter fitted"),
    CAPACITOR("hard-start capacitor fitted");

    private final String words;

    Eased(String words) {
      this.words = words;
    }

    public String words() {
      return words;
    }
  }

  public Nameplate {
    Objects.requireNonNull(kind);
    Objects.requireNonNull(eased);
    if (!(volts > 0)) {
      throw new IllegalArgumentException("a motor has nominal volts");
    }
  }
}
