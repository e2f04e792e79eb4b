package org.wiseember.workbook;

import java.sql.Connection;
import java.sql.PreparedStatement;
import java.sql.SQLException;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.wiseember.core.quantity.Figures;
import org.wiseember.core.trace.Channel;

/** The blocks a run's readings lie in, each under the seal of all before it. */
final class Blocks {
  private static final String SELECT =
      "SELECT b.seq, b.rows, b.data, s.sha256, r.sha256 FROM sample_block b"
          + " LEFT JOIN seal s ON s.run_id = b.run_id AND s.of = 'block' AND s.item = b.seq"
          + " LEFT JOIN seal r ON r.run_id = b.run_id AND r.of = 'run'"
          + " WHERE b.run_id = ? ORDER BY b.seq";

  /** One block as it lies in the file, with the seals that were kept; null for none. */
  record Block(int seq, int rows, byte[] data, byte[] seal, byte[] newest) {}

  /** Where the chain of a run stands. */
  record Chain(int next, byte[] seal) {
    static Chain opening(List<Channel> channels) {
      return new Chain(0, Seal.opening(channels));
    }

    /** Puts a block behind it. */
    Chain put(Connection connection, long runId, int rows, byte[] data) throws SQLException {
      byte[] sealed = Seal.next(seal, next, rows, data);
      try (PreparedStatement s =
          connection.prepareStatement(
              "INSERT INTO sample_block (run_id, seq, rows, data) VALUES (?, ?, ?, ?)")) {
        s.setLong(1, runId);
        s.setInt(2, next);
        s.setInt(3, rows);
        s.setBytes(4, data);
        s.executeUpdate();
      }
      new Seal(Seal.BLOCK, next, sealed).keep(connection, runId);
      new Seal(Seal.RUN, 0, sealed).keep(connection, runId);
      return new Chain(next + 1, sealed);
    }
  }

  private final Workbook workbook;

  Blocks(Workbook workbook) {
    this.workbook = workbook;
  }

  /**
   * Every block of a run, looked through.
   *
   * @throws WorkbookException where one is not as it was written
   */
  List<Block> of(Run run) {
    List<Block> blocks = read(run.id());
    if (blocks.isEmpty() && sealed(run.id())) {
      // A run that goes on in another program may have got its first block just now.
      blocks = read(run.id());
      if (blocks.isEmpty()) {
        throw workbook.damage().found(run, "its readings are gone");
      }
    }
    chain(run, blocks);
    return blocks;
  }

  /** Where the chain of a run ends, all of it looked through. */
  Chain chain(Run run) {
    return chain(run, of(run));
  }

  private Chain chain(Run run, List<Block> blocks) {
    Chain chain = Chain.opening(run.channels());
    double until = Double.NaN;
    for (Block block : blocks) {
      byte[] seal =
          block.data() == null
              ? null
              : Seal.next(chain.seal(), block.seq(), block.rows(), block.data());
      if (seal == null || !Seal.same(seal, block.seal())) {
        throw workbook.damage().found(run, "its readings are damaged" + after(until));
      }
      until = SampleBlock.lastSecond(block.data(), block.rows());
      chain = new Chain(block.seq() + 1, seal);
    }
    if (!blocks.isEmpty() && !Seal.same(chain.seal(), blocks.get(0).newest())) {
      throw workbook.damage().found(run, "readings are missing" + after(until));
    }
    return chain;
  }

  /**
   * Where the clock of a run ran backwards between two blocks, as in runs that older programs took
   * up again after the clock was set; told where the later block is put instead.
   */
  List<Event> setBack(long runId) {
    record Ends(double first, double last) {}
    List<Ends> ends =
        workbook.query(
            "SELECT substr(data, 1, 8), substr(data, 8 * rows - 7, 8) FROM sample_block"
                + " WHERE run_id = ? ORDER BY seq",
            s -> s.setLong(1, runId),
            r -> new Ends(SampleBlock.second(r.getBytes(1)), SampleBlock.second(r.getBytes(2))));
    List<Event> back = new ArrayList<>();
    double shift = 0;
    for (int i = 1; i < ends.size(); i++) {
      double before = ends.get(i - 1).last() + shift;
      double now = ends.get(i).first() + shift;
      if (now < before) {
        shift += before - now;
        back.add(
            new Event(
                before,
                "clock_back",
                "The clock was set back by "
                    + Figures.duration(before - now)
                    + " here; what was read after that goes on behind what was read before, and"
                    + " how long lay between is not known."));
      }
    }
    return back;
  }

  private static String after(double seconds) {
    return Double.isNaN(seconds)
        ? " from its beginning on"
        : " after " + Figures.duration(seconds) + " on its clock";
  }

  private List<Block> read(long runId) {
    return workbook.query(
        SELECT,
        s -> s.setLong(1, runId),
        r -> new Block(r.getInt(1), r.getInt(2), r.getBytes(3), r.getBytes(4), r.getBytes(5)));
  }

  private boolean sealed(long runId) {
    return !workbook
        .query(
            "SELECT 1 FROM seal WHERE run_id = ? AND of IN ('run', 'block')",
            s -> s.setLong(1, runId),
            r -> r.getInt(1))
        .isEmpty();
  }

  /** Seals what an older program wrote without; used once, when a layout is brought up. */
  static void sealAll(Connection connection) throws SQLException {
    record Known(long id, String channels) {}
    List<Known> runs = new ArrayList<>();
    try (var s = connection.createStatement();
        var r = s.executeQuery("SELECT id, channels FROM run")) {
      while (r.next()) {
        runs.add(new Known(r.getLong(1), r.getString(2)));
      }
    }
    for (Known run : runs) {
      sealBlocks(connection, run.id(), Channel.listed(run.channels()));
    }
  }

  private static void sealBlocks(Connection connection, long runId, List<Channel> channels)
      throws SQLException {
    byte[] seal = Seal.opening(channels);
    Optional<byte[]> last = Optional.empty();
    try (PreparedStatement s =
        connection.prepareStatement(
            "SELECT seq, rows, data FROM sample_block WHERE run_id = ? ORDER BY seq")) {
      s.setLong(1, runId);
      try (var r = s.executeQuery()) {
        while (r.next()) {
          seal = Seal.next(seal, r.getInt(1), r.getInt(2), r.getBytes(3));
          new Seal(Seal.BLOCK, r.getInt(1), seal).keep(connection, runId);
          last = Optional.of(seal);
        }
      }
    }
    if (last.isPresent()) {
      new Seal(Seal.RUN, 0, last.get()).keep(connection, runId);
    }
  }
}
