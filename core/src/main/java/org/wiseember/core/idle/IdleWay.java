package org.wiseember.core.idle;

/** How an idle draw was found. */
public enum IdleWay {
  DIRECT("measured on the DC side"),
  REFILL("from the energy that filled it up again"),
  CHARGE_LOST("from the charge the display lost");

  private final String words;

  IdleWay(String words) {
    this.words = words;
  }

  public String words() {
    return words;
  }
}
