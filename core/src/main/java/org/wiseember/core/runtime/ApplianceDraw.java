package org.wiseember.core.runtime;

/**
 * What an appliance takes, and how anybody knows.
 *
 * @param use how it is used
 * @param watts while it runs, W; NaN where nobody knows
 * @param wattHours of an hour for one that cycles, of a go for one that is used by the go; else NaN
 * @param minutes of a short use; else NaN
 * @param startVa asked when it starts, VA; NaN for nothing beyond its watts
 * @param origin where the figures come from
 * @param share95 how sure its energy is, a share of it at 95 %; 0 where that is not told
 */
public record ApplianceDraw(
    Use use,
    double watts,
    double wattHours,
    double minutes,
    double startVa,
    Origin origin,
    double share95) {
  /** How an appliance is used. */
  public enum Use {
    /** Draws the same as long as it is on. */
    STEADY("steady", "is steady and wants watts"),
    /** Switches itself on and off, and may start whenever it is due. */
    CYCLING("cycling", "cycles and wants wattHoursPerHour"),
    /** For so many minutes at a time. */
    SHORT("short", "is used shortly and wants watts and minutes"),
    /** Takes so much energy each time. */
    PER_GO("per-go", "is used by the go and wants wattHoursPerGo");

    private final String key;
    private final String wants;

    Use(String key, String wants) {
      this.key = key;
      this.wants = wants;
    }

    /** As days are written. */
    public String key() {
      return key;
    }

    /** What has to be known of it, as a clause. */
    String wants() {
      return wants;
    }

    /** Whether it is used at moments and not for a time. */
    public boolean atMoments() {
      return this == SHORT || this == PER_GO;
    }
  }

  /** Where figures of an appliance come from, with how far they are usually off. */
  public enum Origin {
    /** Nobody said. */
    NOT_SAID("not-said", "", 0),
    /** Printed on it: what it may draw, not what it draws. Common practice, no published source. */
    PLATE("plate", "plate", 0.25),
    /** Volts × amps read, which is at least its watts. Common practice, no published source. */
    VA("va", "VA read", 0.1),
    /** Read off a meter while it ran. */
    SEEN("seen", "seen", 0.04),
    /** Watched for a time with a meter that counts. */
    WATCHED("watched", "watched", 0.03);

    private final String key;
    private final String words;
    private final double share;

    Origin(String key, String words, double share) {
      this.key = key;
      this.words = words;
      this.share = share;
    }

    /** As days are written. */
    public String key() {
      return key;
    }

    public String words() {
      return words;
    }

    /** How sure it makes one, a share at 95 %, where nobody says better. */
    public double share() {
      return share;
    }
  }

  public ApplianceDraw {
    if (!(share95 >= 0 && share95 < 1)) {
      throw new IllegalArgumentException("energy is sure to a share between 0 and 1");
    }
    if (!known(use, watts, wattHours, minutes)) {
      throw new IllegalArgumentException(use.wants());
    }
  }

  /** One of which nobody says where it comes from. */
  public ApplianceDraw(Use use, double watts, double wattHours, double minutes, double startVa) {
    this(use, watts, wattHours, minutes, startVa, Origin.NOT_SAID, 0);
  }

  private static boolean known(Use use, double watts, double wattHours, double minutes) {
    return switch (use) {
      case STEADY -> watts >= 0;
      case CYCLING, PER_GO -> wattHours >= 0;
      case SHORT -> watts >= 0 && minutes > 0;
    };
  }

  /** The same, drawing so many times as much. */
  ApplianceDraw times(double factor) {
    return new ApplianceDraw(
        use, watts * factor, wattHours * factor, minutes, startVa, origin, share95);
  }

  /** Half of everything it asks. */
  ApplianceDraw halved() {
    return new ApplianceDraw(use, watts / 2, wattHours / 2, minutes, startVa / 2, origin, share95);
  }

  /** The same as sure as that. */
  public ApplianceDraw sureTo(double share) {
    return new ApplianceDraw(use, watts, wattHours, minutes, startVa, origin, share);
  }

  /** The same from there, as sure as that usually makes one. */
  public ApplianceDraw from(Origin other) {
    return new ApplianceDraw(use, watts, wattHours, minutes, startVa, other, other.share());
  }

  /** What it draws on average while it is due, W. */
  public double meanWatts() {
    return use == Use.CYCLING ? wattHours : watts;
  }

  /** What it draws while it runs, W: its mean where nobody knows better. */
  public double runningWatts() {
    return Double.isNaN(watts) ? meanWatts() : watts;
  }

  /** What one go takes, Wh; NaN for what is not used by the go. */
  public double goWattHours() {
    return switch (use) {
      case PER_GO -> wattHours;
      case SHORT -> watts * minutes / 60;
      case STEADY, CYCLING -> Double.NaN;
    };
  }
}
