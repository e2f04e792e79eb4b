package org.wiseember.workbook;

import java.io.IOException;
import java.nio.ByteBuffer;
import java.nio.channels.FileChannel;
import java.nio.channels.FileLock;
import java.nio.channels.OverlappingFileLockException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardOpenOption;
import java.util.Optional;

/**
 * One writer a workbook. The lock is the operating system's own on a file beside the workbook, so
 * it goes with the process however that ends; the file says who has it.
 */
final class WriterLock implements AutoCloseable {
  private static final int MOST_WORDS = 200;

  private final FileChannel channel;
  private final FileLock lock;

  private WriterLock(FileChannel channel, FileLock lock) {
    this.channel = channel;
    this.lock = lock;
  }

  static Path beside(Path workbook) {
    return workbook.resolveSibling(workbook.getFileName() + "-lock");
  }

  /** The lock, or empty when another program has it. */
  static Optional<WriterLock> take(Path workbook, String who) throws IOException {
    FileChannel channel =
        FileChannel.open(beside(workbook), StandardOpenOption.CREATE, StandardOpenOption.WRITE);
    try {
      FileLock lock = channel.tryLock();
      if (lock != null) {
        channel.truncate(0);
        channel.write(ByteBuffer.wrap(who.getBytes(StandardCharsets.UTF_8)));
        return Optional.of(new WriterLock(channel, lock));
      }
    } catch (OverlappingFileLockException heldHere) {
      // Another window of this very program has it.
      channel.close();
      return Optional.empty();
    } catch (IOException e) {
      channel.close();
      throw e;
    }
    channel.close();
    return Optional.empty();
  }

  /** Who wrote the lock, as far as one can read. */
  static String holder(Path workbook) {
    try {
      String words = Files.readString(beside(workbook)).strip();
      return words.isEmpty() || words.length() > MOST_WORDS ? "another program" : words;
    } catch (IOException unreadable) {
      return "another program";
    }
  }

  @Override
  public void close() throws IOException {
    lock.release();
    channel.close();
  }
}
