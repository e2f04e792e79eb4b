package org.wiseember.core.supply;

/** How an output behaves while the unit charges; the number is how it is kept. */
public enum Alive {
  OFF("off"),
  ON("on"),
  /** It goes off when the charger is plugged or pulled, and comes back by itself. */
  CAME_BACK("went off, came back");

  private final String words;

  Alive(String words) {
    this.words = words;
  }

  public String words() {
    return words;
  }

  /** By its number; off for one that means nothing. */
  public static Alive of(double number) {
    return number == 1 ? ON : number == 2 ? CAME_BACK : OFF;
  }
}
