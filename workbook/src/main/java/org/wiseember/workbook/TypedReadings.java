package org.wiseember.workbook;

import java.util.Arrays;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import org.wiseember.core.trace.Channel;
import org.wiseember.core.trace.Trace;

/** Readings typed during runs. */
public final class TypedReadings {
  private final Workbook workbook;

  TypedReadings(Workbook workbook) {
    this.workbook = workbook;
  }

  /** Keeps one; gives its key. */
  public long keep(
      long runId,
      double seconds,
      String meter,
      Channel channel,
      double value,
      double resolution,
      String asTyped) {
    return workbook.update(
        "INSERT INTO typed_reading (run_id, seconds, meter, channel, value, resolution, as_typed)"
            + " VALUES (?, ?, ?, ?, ?, ?, ?)",
        s -> {
          s.setLong(1, runId);
          s.setDouble(2, seconds);
          s.setString(3, meter);
          s.setString(4, channel.key());
          s.setDouble(5, value);
          s.setDouble(6, resolution);
          s.setString(7, asTyped);
        });
  }

  /** Keeps one that was kept before elsewhere. */
  void keep(long runId, KeptReading r) {
    keep(runId, r.seconds(), r.meter(), r.channel(), r.value(), r.resolution(), r.asTyped());
  }

  /** Takes one back, or back again; it stays in the file. */
  public void struck(long id, boolean away) {
    workbook.update(
        "UPDATE typed_reading SET struck = ? WHERE id = ?",
        s -> {
          s.setInt(1, away ? 1 : 0);
          s.setLong(2, id);
        });
  }

  /** Those of a run that count, in order of time. */
  public List<KeptReading> of(long runId) {
    return workbook.query(
        "SELECT id, seconds, meter, channel, value, resolution, as_typed FROM typed_reading"
            + " WHERE run_id = ? AND struck = 0 ORDER BY seconds, id",
        s -> s.setLong(1, runId),
        r ->
            new KeptReading(
                r.getLong(1),
                r.getDouble(2),
                r.getString(3),
                Channel.byKey(r.getString(4))
                    .orElseThrow(() -> new WorkbookException("A typed reading has no channel.")),
                r.getDouble(5),
                r.getDouble(6),
                r.getString(7)));
  }

  /**
   * What one meter's typed readings make, as if it had logged them: one row for each moment. The
   * meter is the one with most totals, since a sum over two meters' totals would be nobody's.
   */
  public Trace trace(long runId) {
    return trace(of(runId));
  }

  /**
   * Typed readings as a trace.
   *
   * @param all in order of time
   */
  public static Trace trace(List<KeptReading> all) {
    String meter = "";
    long most = -1;
    for (KeptReading reading : all) {
      long totals =
          all.stream()
              .filter(r -> r.meter().equals(reading.meter()))
              .filter(r -> r.channel() == Channel.AC_ENERGY)
              .count();
      if (totals > most) {
        most = totals;
        meter = reading.meter();
      }
    }
    String chosen = meter;
    List<KeptReading> used =
        all.stream()
            .filter(r -> r.channel() != Channel.AC_ENERGY || r.meter().equals(chosen))
            .toList();
    double[] seconds = used.stream().mapToDouble(KeptReading::seconds).distinct().toArray();
    Map<Channel, double[]> values = new EnumMap<>(Channel.class);
    for (KeptReading reading : used) {
      double[] column =
          values.computeIfAbsent(
              reading.channel(),
              c -> {
                double[] empty = new double[seconds.length];
                Arrays.fill(empty, Double.NaN);
                return empty;
              });
      column[Arrays.binarySearch(seconds, reading.seconds())] = reading.value();
    }
    return new Trace(seconds, values);
  }
}
