package org.wiseember.trial.byhand;

import java.util.List;
import org.wiseember.core.figure.Bound;

/**
 * Invented notes like those testers bring on paper, each with a figure it comes to, worked out by
 * hand from the lines.
 *
 * @param name of the sort of notes
 * @param kind of the test
 * @param text of the notes
 * @param figure its key
 * @param value in the figure's unit
 * @param allowed how far the figure may be from that
 * @param bound of the figure
 */
public record PaperNotes(
    String name,
    String kind,
    String text,
    String figure,
    double value,
    double allowed,
    Bound bound) {
  /** The label all of them are of. */
  public static final String LABEL =
      "Capacity 1075 Wh\nAC output 230 V, 50 Hz, 1200 W continuous, 2400 W surge\nAC input 900 W\n"
          + "Full charge in 1.5 h\nEfficiency 90 %";

  private static PaperNotes exact(
      String name, String kind, String figure, double value, double allowed, String... lines) {
    return new PaperNotes(
        name, kind, String.join("\n", lines), figure, value, allowed, Bound.EXACT);
  }

  private PaperNotes bounded(Bound other) {
    return new PaperNotes(name, kind, text, figure, value, allowed, other);
  }

  /** All of them. */
  public static List<PaperNotes> all() {
    return List.of(
        // What stood on the meter is the most that came out.
        exact(
                "a finished total",
                "ac-drain",
                "delivered_energy",
                610,
                0,
                "from: full",
                "output dropped out",
                "610 Wh, display 0 %, E008")
            .bounded(Bound.AT_MOST),
        // 415 − 0 Wh; from 22:10 to 02:15 it is 4 h 5 min.
        exact(
            "over midnight",
            "ac-drain",
            "duration",
            4 * 3600 + 5 * 60,
            60,
            "date: 2026-11-29",
            "meter zeroed",
            "22:10 100 %, load is on",
            "23:30 101 W, 134 Wh",
            "02:15 output dropped out",
            "415 Wh; 0 %"),
        exact(
            "a total read late",
            "ac-drain",
            "delivered_energy",
            610,
            0,
            "meter: 1 % + 2 digits",
            "load: 400 W",
            "14:05 100 %, 0 Wh",
            "14:05:20 load is on",
            "about 14:35 398 W, 199 Wh",
            "+93 min output dropped out",
            "610 Wh, display 0 %, E008"),
        // Nothing after the last total: it gave that at the least.
        exact(
                "an end nobody timed",
                "ac-drain",
                "delivered_energy",
                560,
                0,
                "14:05 100 %, 0 Wh, load is on",
                "15:30 398 W, 560 Wh",
                "it cut out")
            .bounded(Bound.AT_LEAST),
        exact(
            "two meters",
            "ac-drain",
            "delivered_energy",
            870,
            0,
            "0 Wh, second meter 0 Wh, 100 %",
            "09:00 load is on",
            "10:00 402 W, 401 Wh, second meter 396 Wh",
            "between 11:10 and 11:20 it shut off",
            "870 Wh, second meter 858 Wh"),
        exact(
            "a direct drain",
            "dc-drain",
            "delivered_charge",
            36.89,
            1e-9,
            "dc-meter: 0.5 %",
            "0 Wh, 0 Ah, 100 %",
            "9:00 load is on",
            "10:00 12.9 V, 8.3 A, 106 Wh, 8.3 Ah",
            "about 13:29 the port went off",
            "477 Wh, 36.89 Ah, display 0 %"),
        // On at 10:05:10, tripped about 8 min after a first line at 10:00 to 10:01: 3 min 20 s.
        exact(
            "about three minutes",
            "overload",
            "trip_time",
            200,
            1,
            "10:00 229 V",
            "10:05:10 load is on",
            "1480 W, 226 V",
            "about +8 min it tripped"),
        // 880 to 9:00, then 700, 300 and 112 W: the total says 1 310 Wh.
        exact(
            "a charge with its taper",
            "charge",
            "energy_in",
            1310,
            0,
            "date: 2026-11-30",
            "from: empty",
            "source: wall",
            "meter: 1 %",
            "8:00 0 %, 0 Wh",
            "8:00 plugged in",
            "8:05 880 W",
            "8:30 878 W, 41 %",
            "9:00 882 W, 78 %",
            "9:15 700 W, 92 %",
            "9:30 300 W, 98 %",
            "9:40 112 W, 99 %",
            "9:50 it is full",
            "1310 Wh"),
        // 270 Wh in a day and two minutes.
        exact(
            "a soak of a day",
            "watching",
            "mean_draw",
            270 / (24 + 2 / 60.0),
            0.05,
            "date: 2026-11-28",
            "9:00 load is on, 100 %, 0 Wh",
            "13:00 still on, 62 %",
            "19:30 still on, 118 Wh, 45 %",
            "9:02 still on, 270 Wh, 22 %"),
        // 528 W of 11.30 V × 52.0 A = 587.6 W are 89.86 %.
        exact(
            "an efficiency ladder",
            "efficiency",
            "best_efficiency",
            100 * 528 / (11.30 * 52.0),
            1e-9,
            "12.7 V, 0.96 A",
            "load is on",
            "100 W, 12.6 V, 9.2 A",
            "load is on",
            "300 W, 12.4 V, 27.3 A",
            "load is on",
            "528 W, 11.30 V, 52.0 A"));
  }
}
