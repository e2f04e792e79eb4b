package org.wiseember.core.supply;

import java.util.List;
import org.wiseember.core.figure.Because;
import org.wiseember.core.figure.Explanation;
import org.wiseember.core.quantity.Figures;
import org.wiseember.core.quantity.Unit;
import org.wiseember.core.start.Wilson;
import org.wiseember.core.uncertainty.Budget;

/**
 * The wall plug pulled several times, with a lamp and a computer without a battery at the outlet.
 *
 * <p>Neither shows milliseconds. A supply rides through a gap from what its capacitor holds, which
 * nobody knows of a computer at hand; makers of them are asked for about 16 ms at full load. Common
 * practice, no published source.
 *
 * @param pulls how often the plug was pulled, 1 or more
 * @param lampSteady how often the lamp did not blink; below 0 where nobody looked
 * @param computerStayed how often the computer stayed on; below 0 where there was none
 */
public record Pulls(int pulls, int lampSteady, int computerStayed) {
  /** Not looked at. */
  public static final int UNSEEN = -1;

  /** What most supplies of computers ride through, s; common practice, no published source. */
  public static final double HOLD_UP_SECONDS = 0.016;

  /** A filament shows a gap from about here, s; common practice, no published source. */
  public static final double BLINK_SECONDS = 0.008;

  public Pulls {
    if (pulls < 1 || lampSteady > pulls || computerStayed > pulls) {
      throw new IllegalArgumentException(
          lampSteady + " and " + computerStayed + " of " + pulls + " pulls");
    }
  }

  /** What was counted, the computer first. */
  public List<Explanation> counts() {
    return java.util.stream.Stream.of(
            count("Computer stayed on", computerStayed), count("Lamp did not blink", lampSteady))
        .flatMap(List::stream)
        .toList();
  }

  private List<Explanation> count(String title, int times) {
    if (times < 0) {
      return List.of();
    }
    Wilson share = Wilson.of(times, pulls);
    return List.of(
        new Explanation(
            title,
            share.count(),
            Unit.PERCENT,
            Because.of(
                    Budget.of(),
                    share.count() + " pulls of the wall plug",
                    "In the long run "
                        + share.percent()
                        + " of pulls, 95 % (Wilson), from so few of them")
                .summed("counted by eye")
                .watching(
                    "It tells of the things that were plugged in. Another computer, or this one at"
                        + " a heavier load, holds shorter.")));
  }

  /** What it says of a switch-over nobody measured, one sentence. */
  public String ofTheGap() {
    if (computerStayed < 0) {
      return lampSteady < 0
          ? "Nothing was watched while the plug was pulled."
          : "A lamp alone tells little of the milliseconds of the switch-over.";
    }
    String ms = Figures.plain(1000 * HOLD_UP_SECONDS) + " ms";
    return computerStayed == pulls
        ? "The computer stayed on every time, so the gap is most likely under what its supply holds,"
            + " for most about "
            + ms
            + "."
        : "The computer went off "
            + (pulls - computerStayed)
            + " of "
            + pulls
            + " times: the gap was longer than its supply holds, for most about "
            + ms
            + ".";
  }
}
