package org.wiseember.workbook;

import java.util.ArrayList;
import java.util.List;
import org.wiseember.core.trace.Channel;
import org.wiseember.core.typed.NotebookEntry;
import org.wiseember.core.typed.TypedKind;
import org.wiseember.core.typed.TypedReading;

/**
 * A reading a person typed.
 *
 * @param seconds on the run's clock
 * @param meter as the tester calls it
 * @param value in the channel's unit
 * @param resolution step of the last digit typed
 * @param asTyped what stood in the field
 */
public record StoredReading(
    long id,
    double seconds,
    String meter,
    Channel channel,
    double value,
    double resolution,
    String asTyped) {
  /** What a meter is called that nobody gave a name. */
  public static final String METER = "Meter";

  /**
   * The readings that stand in a line.
   *
   * @param seconds where the line stands
   * @param meter what was read off, where it was no display and no second meter
   */
  public static List<StoredReading> in(NotebookEntry line, double seconds, String meter) {
    List<StoredReading> readings = new ArrayList<>();
    for (TypedReading r : line.readings()) {
      if (r.kind().channel().isPresent()) {
        readings.add(
            new StoredReading(
                0,
                seconds,
                by(r.kind(), meter),
                r.kind().channel().get(),
                r.value(),
                r.resolution(),
                r.asTyped()));
      }
    }
    return readings;
  }

  private static String by(TypedKind kind, String meter) {
    if (kind.byEye()) {
      return kind.onDisplay() ? "Display" : "Eyes";
    }
    return kind == TypedKind.SECOND_TOTAL ? "Second meter" : meter;
  }

  /** The same read at another moment. */
  public StoredReading at(double other) {
    return new StoredReading(id, other, meter, channel, value, resolution, asTyped);
  }
}
