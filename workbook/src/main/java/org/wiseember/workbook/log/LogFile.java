package org.wiseember.workbook.log;

import java.io.FilterInputStream;
import java.io.IOException;
import java.io.InputStream;
import java.io.InputStreamReader;
import java.io.PushbackInputStream;
import java.io.Reader;
import java.nio.charset.Charset;
import java.nio.charset.CodingErrorAction;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.NoSuchFileException;
import java.nio.file.Path;

/** A log file as text: its size checked, its encoding told by its first bytes. */
final class LogFile {
  private final Path path;
  private final long size;

  private LogFile(Path path, long size) {
    this.path = path;
    this.size = size;
  }

  static LogFile of(Path path) throws LogUnreadable, IOException {
    if (Files.isDirectory(path)) {
      throw new LogUnreadable("this is a folder; name a CSV file");
    }
    long size;
    try {
      size = Files.size(path);
    } catch (NoSuchFileException e) {
      throw new LogUnreadable("there is no such file; check the name");
    }
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

  Text open() throws IOException {
    Counted counted = new Counted(Files.newInputStream(path));
    PushbackInputStream in = new PushbackInputStream(counted, 3);
    byte[] first = in.readNBytes(3);
    Charset charset = StandardCharsets.UTF_8;
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
    in.unread(first, mark, first.length - mark);
    Reader reader =
        new InputStreamReader(
            in,
            charset
                .newDecoder()
                .onMalformedInput(CodingErrorAction.REPORT)
                .onUnmappableCharacter(CodingErrorAction.REPORT));
    return new Text(reader, counted, size);
  }
}
