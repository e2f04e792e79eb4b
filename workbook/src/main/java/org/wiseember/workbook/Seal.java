package org.wiseember.workbook;

import java.nio.ByteBuffer;
import java.nio.charset.StandardCharsets;
import java.security.MessageDigest;
import java.security.NoSuchAlgorithmException;
import java.sql.Connection;
import java.sql.PreparedStatement;
import java.sql.SQLException;
import java.util.Arrays;
import java.util.List;
import org.wiseember.core.hand.OperatorEvent;
import org.wiseember.core.trace.Channel;

/**
 * A checksum of something that was read: SHA-256 (FIPS 180-4), 32 bytes. What a disk or another
 * program changed no longer fits it. It is no signature: who can write the file can seal it anew.
 *
 * @param of what is sealed, a word of the table
 * @param item which of a run: number of the block, key of the capture or of the typed reading
 * @param sha256 over it
 */
record Seal(String of, long item, byte[] sha256) {
  static final String RUN = "run";
  static final String BLOCK = "block";
  static final String CAPTURE = "capture";
  static final String TYPED = "typed";

  /** What the first block of a run counts in: the channels, by which its numbers are read. */
  static byte[] opening(List<Channel> channels) {
    MessageDigest digest = digester();
    channels.forEach(c -> text(digest, c.key()));
    return digest.digest();
  }

  /** The seal of a block behind another. */
  static byte[] next(byte[] before, int seq, int rows, byte[] data) {
    MessageDigest digest = digester();
    digest.update(before);
    digest.update(ByteBuffer.allocate(8).putInt(seq).putInt(rows).flip());
    digest.update(data);
    return digest.digest();
  }

  static byte[] ofCapture(double perSecond, byte[] volts, byte[] amps) {
    MessageDigest digest = digester();
    digest.update(ByteBuffer.allocate(12).putDouble(perSecond).putInt(volts.length).flip());
    digest.update(volts);
    digest.update(amps);
    return digest.digest();
  }

  static byte[] of(StoredReading r) {
    MessageDigest digest = digester();
    digest.update(
        ByteBuffer.allocate(24)
            .putDouble(r.seconds())
            .putDouble(r.value())
            .putDouble(r.resolution())
            .flip());
    text(digest, r.meter());
    text(digest, r.channel().key());
    text(digest, r.asTyped());
    return digest.digest();
  }

  static byte[] of(NotebookLine line) {
    MessageDigest digest = digester();
    digest.update(
        ByteBuffer.allocate(24)
            .putDouble(line.earliest())
            .putDouble(line.latest())
            .putDouble(line.subject())
            .flip());
    text(digest, line.press().map(OperatorEvent::key).orElse(""));
    text(digest, line.words());
    text(digest, line.who());
    if (!line.when().isCentred()) {
      digest.update(ByteBuffer.allocate(8).putDouble(line.seconds()).flip());
    }
    return digest.digest();
  }

  /** Whether it is the seal of these bytes. */
  static boolean same(byte[] one, byte[] other) {
    return Arrays.equals(one, other);
  }

  /** Keeps it with a run; the seal of a run itself grows with its blocks. */
  void keep(Connection connection, long runId) throws SQLException {
    try (PreparedStatement s =
        connection.prepareStatement(
            "INSERT OR REPLACE INTO seal (run_id, of, item, sha256) VALUES (?, ?, ?, ?)")) {
      s.setLong(1, runId);
      s.setString(2, of);
      s.setLong(3, item);
      s.setBytes(4, sha256);
      s.executeUpdate();
    }
  }

  /** With its length, so that where one word ends and the next begins counts too. */
  private static void text(MessageDigest digest, String words) {
    byte[] bytes = words.getBytes(StandardCharsets.UTF_8);
    digest.update(ByteBuffer.allocate(4).putInt(bytes.length).flip());
    digest.update(bytes);
  }

  private static MessageDigest digester() {
    try {
      return MessageDigest.getInstance("SHA-256");
    } catch (NoSuchAlgorithmException e) {
      throw new IllegalStateException("every Java has SHA-256", e);
    }
  }
}
