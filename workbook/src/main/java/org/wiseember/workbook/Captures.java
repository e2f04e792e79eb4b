package org.wiseember.workbook;

import java.nio.ByteBuffer;
import java.nio.ByteOrder;
import java.sql.Connection;
import java.sql.PreparedStatement;
import java.sql.SQLException;
import java.util.List;
import org.wiseember.core.waveform.Capture;
import org.wiseember.core.waveform.CaptureNote;

/** Captured waves of runs. Never changed, never deleted. */
public final class Captures {
  /** More samples than this are no capture but a recording of its own. */
  public static final int MOST_SAMPLES = 20_000_000;

  private static final String INSERT =
      "INSERT INTO capture (run_id, seconds, words, mains, load_watts, per_second, volts, amps)"
          + " VALUES (?, ?, ?, ?, ?, ?, ?, ?)";

  private final Workbook workbook;

  Captures(Workbook workbook) {
    this.workbook = workbook;
  }

  /** Every capture of a run, oldest first; their samples are read when they are looked at. */
  public List<KeptCapture> of(long runId) {
    return workbook.query(
        "SELECT id, seconds, words, mains, load_watts FROM capture WHERE run_id = ?"
            + " AND id NOT IN (SELECT capture_id FROM capture_struck) ORDER BY id",
        s -> s.setLong(1, runId),
        r -> {
          long id = r.getLong(1);
          CaptureNote note = new CaptureNote(r.getString(3), r.getBoolean(4), Numbers.orNaN(r, 5));
          return new KeptCapture(id, Numbers.orNaN(r, 2), note, new OnDemand<>(() -> samples(id)));
        });
  }

  private Capture samples(long id) {
    return workbook
        .query(
            "SELECT per_second, volts, amps FROM capture WHERE id = ?",
            s -> s.setLong(1, id),
            r -> Capture.of(r.getDouble(1), decode(r.getBytes(2)), decode(r.getBytes(3))))
        .get(0);
  }

  /** Adds captures to a run. */
  public void add(long runId, List<KeptCapture> captures) {
    workbook.together(connection -> insert(connection, runId, captures));
  }

  /** Adds one that can be taken back; gives its key. */
  public long keep(long runId, KeptCapture kept) {
    return workbook.update(INSERT, s -> fill(s, runId, kept));
  }

  /** Takes one back, or back again; it stays in the file. */
  public void struck(long id, boolean away) {
    workbook.update(
        away
            ? "INSERT OR IGNORE INTO capture_struck (capture_id) VALUES (?)"
            : "DELETE FROM capture_struck WHERE capture_id = ?",
        s -> s.setLong(1, id));
  }

  static void insert(Connection connection, long runId, List<KeptCapture> captures)
      throws SQLException {
    try (PreparedStatement s = connection.prepareStatement(INSERT)) {
      for (KeptCapture kept : captures) {
        fill(s, runId, kept);
        s.executeUpdate();
      }
    }
  }

  private static void fill(PreparedStatement s, long runId, KeptCapture kept) throws SQLException {
    s.setLong(1, runId);
    Numbers.set(s, 2, kept.seconds());
    s.setString(3, kept.words());
    s.setBoolean(4, kept.mains());
    Numbers.set(s, 5, kept.loadWatts());
    s.setDouble(6, kept.capture().perSecond());
    s.setBytes(7, encode(kept.capture().volts()));
    s.setBytes(8, encode(kept.capture().amps()));
  }

  private static byte[] encode(double[] samples) {
    ByteBuffer bytes =
        ByteBuffer.allocate(samples.length * Double.BYTES).order(ByteOrder.LITTLE_ENDIAN);
    bytes.asDoubleBuffer().put(samples);
    return bytes.array();
  }

  private static double[] decode(byte[] bytes) {
    if (bytes == null || bytes.length % Double.BYTES != 0) {
      throw new WorkbookException("A capture in the workbook is damaged and cannot be read.");
    }
    double[] samples = new double[bytes.length / Double.BYTES];
    ByteBuffer.wrap(bytes).order(ByteOrder.LITTLE_ENDIAN).asDoubleBuffer().get(samples);
    return samples;
  }
}
