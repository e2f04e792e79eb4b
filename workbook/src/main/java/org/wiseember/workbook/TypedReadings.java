package org.wiseember.workbook;

import java.sql.Connection;
import java.sql.PreparedStatement;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Statement;
import java.util.Arrays;
import java.util.EnumMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.wiseember.core.trace.Channel;
import org.wiseember.core.trace.Trace;

/** Readings typed during runs. */
public final class TypedReadings {
  private static final String COLUMNS =
      "t.id, t.seconds, t.meter, t.channel, t.value, t.resolution, t.as_typed";

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
    return keep(runId, new StoredReading(0, seconds, meter, channel, value, resolution, asTyped));
  }

  /** Keeps one; gives its key, which is another than the one it may have had elsewhere. */
  public long keep(long runId, StoredReading reading) {
    long[] id = new long[1];
    workbook.together(connection -> id[0] = insert(connection, runId, reading, 0));
    return id[0];
  }

  /**
   * Keeps one.
   *
   * @param lineId of the notebook line it stands in; 0 for none
   */
  static long insert(Connection connection, long runId, StoredReading reading, long lineId)
      throws SQLException {
    long id;
    try (PreparedStatement s =
        connection.prepareStatement(
            "INSERT INTO typed_reading"
                + " (run_id, seconds, meter, channel, value, resolution, as_typed, line_id)"
                + " VALUES (?, ?, ?, ?, ?, ?, ?, NULLIF(?, 0))",
            Statement.RETURN_GENERATED_KEYS)) {
      s.setLong(1, runId);
      s.setDouble(2, reading.seconds());
      s.setString(3, reading.meter());
      s.setString(4, reading.channel().key());
      s.setDouble(5, reading.value());
      s.setDouble(6, reading.resolution());
      s.setString(7, reading.asTyped());
      s.setLong(8, lineId);
      s.executeUpdate();
      try (ResultSet keys = s.getGeneratedKeys()) {
        keys.next();
        id = keys.getLong(1);
      }
    }
    new Seal(Seal.TYPED, id, Seal.of(reading)).keep(connection, runId);
    return id;
  }

  /** Seals what an older program wrote without. */
  static void sealAll(Connection connection) throws SQLException {
    try (Statement s = connection.createStatement();
        ResultSet r = s.executeQuery("SELECT " + COLUMNS + ", run_id FROM typed_reading t")) {
      while (r.next()) {
        StoredReading reading = read(r);
        new Seal(Seal.TYPED, reading.id(), Seal.of(reading)).keep(connection, r.getLong(8));
      }
    }
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

  /**
   * Those of a run that count, in order of time.
   *
   * @throws WorkbookException where one is not as it was written
   */
  public List<StoredReading> of(long runId) {
    return workbook.query(
        "SELECT "
            + COLUMNS
            + ", s.sha256 FROM typed_reading t LEFT JOIN seal s ON s.run_id = t.run_id"
            + " AND s.of = 'typed' AND s.item = t.id"
            + " WHERE t.run_id = ? AND t.struck = 0 ORDER BY t.seconds, t.id",
        s -> s.setLong(1, runId),
        r -> whole(runId, r));
  }

  /** Those of a notebook line. */
  List<StoredReading> inLine(long lineId) {
    return workbook.query(
        "SELECT " + COLUMNS + " FROM typed_reading t WHERE t.line_id = ? ORDER BY t.id",
        s -> s.setLong(1, lineId),
        TypedReadings::read);
  }

  private StoredReading whole(long runId, ResultSet r) throws SQLException {
    if (Channel.byKey(r.getString(4)).isPresent()) {
      StoredReading reading = read(r);
      if (Seal.same(Seal.of(reading), r.getBytes(8))) {
        return reading;
      }
    }
    Run run = workbook.runs().byId(runId).orElseThrow();
    throw workbook.damage().found(run, "the typed reading “" + r.getString(7) + "” is damaged");
  }

  private static StoredReading read(ResultSet r) throws SQLException {
    return new StoredReading(
        r.getLong(1),
        r.getDouble(2),
        r.getString(3),
        Channel.byKey(r.getString(4))
            .orElseThrow(() -> new WorkbookException("A typed reading has no channel.")),
        r.getDouble(5),
        r.getDouble(6),
        r.getString(7));
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
  public static Trace trace(List<StoredReading> all) {
    Map<String, Integer> totals = new LinkedHashMap<>();
    for (StoredReading r : all) {
      totals.merge(r.meter(), r.channel() == Channel.AC_ENERGY ? 1 : 0, Integer::sum);
    }
    String chosen =
        totals.entrySet().stream()
            .reduce((a, b) -> b.getValue() > a.getValue() ? b : a)
            .map(Map.Entry::getKey)
            .orElse("");
    List<StoredReading> used =
        all.stream()
            .filter(r -> r.channel() != Channel.AC_ENERGY || r.meter().equals(chosen))
            .toList();
    double[] seconds = used.stream().mapToDouble(StoredReading::seconds).distinct().toArray();
    Map<Channel, double[]> values = new EnumMap<>(Channel.class);
    for (StoredReading reading : used) {
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
