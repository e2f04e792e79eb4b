package org.wiseember.core.cost;

import java.util.Objects;

/**
 * What was paid.
 *
 * @param amount above 0
 * @param currency as typed; empty where nobody said
 */
public record Price(double amount, String currency) {
  public Price {
    Objects.requireNonNull(currency);
    if (!(amount > 0 && amount < 1e9)) {
      throw new IllegalArgumentException("a price is above 0");
    }
  }
}
