package org.wiseember.workbook;

import java.nio.ByteBuffer;
import java.nio.ByteOrder;
import java.sql.Connection;
import java.sql.PreparedStatement;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Statement;
import java.util.List;
import org.wiseember.core.waveform.Capture;
import org.wiseember.core.waveform.CaptureNote;
import org.wiseember.core.waveform.CapturePlace;

/** Captured waves of runs. Never changed, never deleted. */
public final class Captures {
  /** More samples than this are no capture but a recording of its own. */
  public static final int MOST_SAMPLES = 20_000_000;

  private static final String INSERT =
      "INSERT INTO capture"
          + " (run_id, seconds, words, mains, load_watts, per_second, volts, amps, place)"
          + " VALUES (?, ?, ?, ?, ?, ?, ?, ?, ?)";

  private final Workbook workbook;

  Captures(Workbook workbook) {
    this.workbook = workbook;
  }

  /** Every capture of a run, oldest first; their samples are read when they are looked at. */
  public List<StoredCapture> of(long runId) {
    return workbook.query(
        "SELECT id, seconds, words, mains, load_watts, place FROM capture WHERE run_id = ?"
            + " AND id NOT IN (SELECT capture_id FROM capture_struck) ORDER BY id",
        s -> s.setLong(1, runId),
        r -> {
          long id = r.getLong(1);
          CapturePlace place = place(r.getString(6), r.getBoolean(4));
          CaptureNote note = new CaptureNote(r.getString(3), place, Numbers.orNaN(r, 5));
          return new StoredCapture(
              id, Numbers.orNaN(r, 2), note, new OnDemand<>(() -> samples(id)));
        });
  }

  /** Captures from before there were other places are the outlet's or the mains'. */
  public static CapturePlace place(String key, boolean mains) {
    return CapturePlace.byKey(key).orElse(mains ? CapturePlace.MAINS : CapturePlace.OUTPUT);
  }

  private Capture samples(long id) {
    return workbook
        .query(
            "SELECT c.per_second, c.volts, c.amps, s.sha256, c.run_id, c.words FROM capture c"
                + " LEFT JOIN seal s ON s.run_id = c.run_id AND s.of = 'capture' AND s.item = c.id"
                + " WHERE c.id = ?",
            s -> s.setLong(1, id),
            this::whole)
        .get(0);
  }

  private Capture whole(ResultSet r) throws SQLException {
    byte[] volts = r.getBytes(2);
    byte[] amps = r.getBytes(3);
    if (volts == null
        || amps == null
        || !Seal.same(Seal.ofCapture(r.getDouble(1), volts, amps), r.getBytes(4))) {
      Run run = workbook.runs().byId(r.getLong(5)).orElseThrow();
      throw workbook.damage().found(run, "its capture “" + r.getString(6) + "” is damaged");
    }
    return Capture.of(r.getDouble(1), decode(volts), decode(amps));
  }

  /** Looks through the captures of a run. */
  void check(Run run) {
    of(run.id()).forEach(StoredCapture::capture);
  }

  /** Adds captures to a run. */
  public void add(long runId, List<StoredCapture> captures) {
    workbook.together(connection -> insert(connection, runId, captures));
  }

  /** Adds one that can be taken back; gives its key. */
  public long keep(long runId, StoredCapture kept) {
    long[] id = new long[1];
    workbook.together(connection -> id[0] = insert(connection, runId, kept));
    return id[0];
  }

  /** Takes one back, or back again; it stays in the file. */
  public void struck(long id, boolean away) {
    workbook.update(
        away
            ? "INSERT OR IGNORE INTO capture_struck (capture_id) VALUES (?)"
            : "DELETE FROM capture_struck WHERE capture_id = ?",
        s -> s.setLong(1, id));
  }

  static void insert(Connection connection, long runId, List<StoredCapture> captures)
      throws SQLException {
    for (StoredCapture kept : captures) {
      insert(connection, runId, kept);
    }
  }

  private static long insert(Connection connection, long runId, StoredCapture kept)
      throws SQLException {
    byte[] volts = encode(kept.capture().volts());
    byte[] amps = encode(kept.capture().amps());
    double perSecond = kept.capture().perSecond();
    long id;
    try (PreparedStatement s =
        connection.prepareStatement(INSERT, Statement.RETURN_GENERATED_KEYS)) {
      s.setLong(1, runId);
      Numbers.set(s, 2, kept.seconds());
      s.setString(3, kept.words());
      s.setBoolean(4, kept.mains());
      Numbers.set(s, 5, kept.loadWatts());
      s.setDouble(6, perSecond);
      s.setBytes(7, volts);
      s.setBytes(8, amps);
      s.setString(9, kept.note().place().key());
      s.executeUpdate();
      try (ResultSet keys = s.getGeneratedKeys()) {
        keys.next();
        id = keys.getLong(1);
      }
    }
    new Seal(Seal.CAPTURE, id, Seal.ofCapture(perSecond, volts, amps)).keep(connection, runId);
    return id;
  }

  /** Seals what an older program wrote without. */
  static void sealAll(Connection connection) throws SQLException {
    try (Statement s = connection.createStatement();
        ResultSet r = s.executeQuery("SELECT id, run_id, per_second, volts, amps FROM capture")) {
      while (r.next()) {
        byte[] seal = Seal.ofCapture(r.getDouble(3), r.getBytes(4), r.getBytes(5));
        new Seal(Seal.CAPTURE, r.getLong(1), seal).keep(connection, r.getLong(2));
      }
    }
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
