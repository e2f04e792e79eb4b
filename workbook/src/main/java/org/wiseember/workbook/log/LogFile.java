package org.wiseember.workbook.log;

import java.io.FilterInputStream;
import java.io.IOException;
import java.io.InputStream;
import java.io.InputStreamReader;
import java.io.PushbackInputStream;
import java.io.Reader;
import java.nio.channels.Channels;
import java.nio.channels.SeekableByteChannel;
import java.nio.charset.Charset;
import java.nio.charset.CodingErrorAction;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Optional;
import org.wiseember.workbook.disk.OrdinaryFile;

/** A log file as text: its size checked, its encoding told by its first bytes. */
final class LogFile {
  private final Path path;
  private final long size;
  private boolean wide;

  private LogFile(Path path, long size) {
    this.path = path;
    this.size = size;
  }

  static LogFile of(Path path) throws LogUnreadable, IOException {
    Optional<String> trouble = OrdinaryFile.trouble(path);
    if (trouble.isPresent()) {
      throw new LogUnreadable(trouble.get());
    }
    long size = Files.size(path);
    if (size == 0) {
      throw new LogUnreadable("the file is empty; choose the log the meter wrote");
    }
    if (size > LogCsv.MOST_BYTES) {
      throw new LogUnreadable("the file is larger than 2 GiB; split it");
    }
    return new LogFile(path, size);
  }

  /** Counts bytes as they are taken. */
  static final class Counted extends FilterInputStream {
    private long taken;

    private Counted(InputStream in) {
      super(in);
    }

    @Override
    public int read() throws IOException {
      int b = super.read();
      taken += b >= 0 ? 1 : 0;
      return b;
    }

    @Override
    public int read(byte[] buffer, int offset, int length) throws IOException {
      int n = super.read(buffer, offset, length);
      taken += Math.max(0, n);
      return n;
    }
  }

  /**
   * Text of a file that knows how much of it was read.
   *
   * @param reader refuses bytes that are no text
   */
  record Text(Reader reader, Counted counted, long size) implements AutoCloseable {
    double share() {
      return Math.min(1, (double) counted.taken / size);
    }

    @Override
    public void close() throws IOException {
      reader.close();
    }
  }

  /** The whole file. */
  Text open() throws IOException {
    return open(0, size);
  }

  /**
   * Part of the file.
   *
   * @param from byte at which a line begins
   * @param to byte after its last; a line that begins before it is not cut
   */
  Text open(long from, long to) throws IOException {
    Counted counted = new Counted(part(from, to));
    PushbackInputStream in = new PushbackInputStream(counted, 3);
    Charset charset = StandardCharsets.UTF_8;
    if (from == 0) {
      byte[] first = in.readNBytes(3);
      int mark = 0;
      if (first.length == 3 && first[0] == (byte) 0xEF && first[1] == (byte) 0xBB) {
        mark = 3;
      } else if (first.length >= 2 && first[0] == (byte) 0xFF && first[1] == (byte) 0xFE) {
        charset = StandardCharsets.UTF_16LE;
        mark = 2;
      } else if (first.length >= 2 && first[0] == (byte) 0xFE && first[1] == (byte) 0xFF) {
        charset = StandardCharsets.UTF_16BE;
        mark = 2;
      }
      wide = mark == 2;
      in.unread(first, mark, first.length - mark);
    }
    Reader reader =
        new InputStreamReader(
            in,
            charset
                .newDecoder()
                .onMalformedInput(CodingErrorAction.REPORT)
                .onUnmappableCharacter(CodingErrorAction.REPORT));
    return new Text(reader, counted, to - from);
  }

  private InputStream part(long from, long to) throws IOException {
    SeekableByteChannel channel = Files.newByteChannel(path);
    channel.position(from);
    return new Bounded(Channels.newInputStream(channel), to - from);
  }

  /** Ends after a number of bytes. */
  private static final class Bounded extends FilterInputStream {
    private long left;

    Bounded(InputStream in, long left) {
      super(in);
      this.left = left;
    }

    @Override
    public int read() throws IOException {
      int b = left <= 0 ? -1 : super.read();
      left -= b >= 0 ? 1 : 0;
      return b;
    }

    @Override
    public int read(byte[] buffer, int offset, int length) throws IOException {
      if (left <= 0) {
        return -1;
      }
      int n = super.read(buffer, offset, (int) Math.min(length, left));
      left -= Math.max(0, n);
      return n;
    }
  }

  long size() {
    return size;
  }

  /** Whether its signs take two bytes, so that a line's beginning is not seen in a byte. */
  boolean wide() {
    return wide;
  }

  /** The first beginning of a line at or after a byte; the size where there is none. */
  long lineFrom(long at) throws IOException {
    try (InputStream in = new java.io.BufferedInputStream(part(at - 1, size))) {
      long position = at - 1;
      for (int b = in.read(); b >= 0; b = in.read()) {
        position++;
        if (b == '\n') {
          return position;
        }
      }
    }
    return size;
  }
}
