package org.wiseember.core.start;

import java.util.Locale;
import java.util.Optional;

/**
 * The code letter on a motor's nameplate: kVA a horsepower with the rotor locked.
 *
 * <p>Source: NEC table 430.7(B), recalled from memory. The top of one letter and the bottom of the
 * next are printed a hundredth apart.
 */
public enum CodeLetter {
  A(0, 3.14),
  B(3.15, 3.54),
  C(3.55, 3.99),
  D(4.0, 4.49),
  E(4.5, 4.99),
  F(5.0, 5.59),
  G(5.6, 6.29),
  H(6.3, 7.09),
  J(7.1, 7.99),
  K(8.0, 8.99),
  L(9.0, 9.99),
  M(10.0, 11.19),
  N(11.2, 12.49),
  P(12.5, 13.99),
  R(14.0, 15.99),
  S(16.0, 17.99),
  T(18.0, 19.99),
  U(20.0, 22.39),
  /** The table has no upper end for it; a quarter more than its lower end is taken. */
  V(22.4, 28.0);

  private final double low;
  private final double high;

  CodeLetter(double low, double high) {
    this.low = low;
    this.high = high;
  }

  /** Least kVA a horsepower. */
  public double low() {
    return low;
  }

  /** Most kVA a horsepower. */
  public double high() {
    return high;
  }

  /** Letters I, O and Q are not used. */
  public static Optional<CodeLetter> of(String text) {
    try {
      return Optional.of(valueOf(text.strip().toUpperCase(Locale.ROOT)));
    } catch (IllegalArgumentException e) {
      return Optional.empty();
    }
  }
}
