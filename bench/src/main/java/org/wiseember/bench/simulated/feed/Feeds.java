package org.wiseember.bench.simulated.feed;

import java.util.Optional;

/**
 * What stands by to charge a simulated unit beside the wall.
 *
 * @param dc on its DC input
 * @param usbWatts the profile of a USB-C charger, W; 0 for none
 */
public record Feeds(Optional<DcFeed> dc, double usbWatts) {
  public static final Feeds NONE = new Feeds(Optional.empty(), 0);

  public Feeds {
    if (!(usbWatts >= 0)) {
      throw new IllegalArgumentException("a charger gives power");
    }
  }

  /** Something on the DC input alone. */
  public static Feeds of(DcFeed feed) {
    return new Feeds(Optional.of(feed), 0);
  }
}
