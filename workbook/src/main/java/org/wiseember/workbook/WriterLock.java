package org.wiseember.workbook;

import java.io.IOException;
import java.nio.ByteBuffer;
import java.nio.channels.FileChannel;
import java.nio.channels.FileLock;
import java.nio.channels.OverlappingFileLockException;
import java.nio.charset.StandardCharsets;
import java.nio.file.AccessDeniedException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardOpenOption;
import java.nio.file.attribute.BasicFileAttributes;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.ConcurrentHashMap;

/**
 * One writer a workbook, whatever name it is opened by. The locks are the operating system's own,
 * so they go with the process however that ends: one on a file beside the workbook, where every
 * machine that reaches it sees it, and one among the temporary files under what the system knows
 * the file by, since a file may have several names. The files say who has them.
 */
final class WriterLock implements AutoCloseable {
  private static final int MOST_WORDS = 200;
  private static final int TRIES = 8;
  private static final String BY_KEY = "wise-ember-writes-";

  /**
   * What this program holds, and who it said it is. A file that is in here is not opened again:
   * where a program closes any one of its openings, some systems let go of all its locks.
   */
  private static final Map<Path, String> HERE = new ConcurrentHashMap<>();

  private record Held(Path file, FileChannel channel, FileLock lock) {
    void close(boolean take) throws IOException {
      if (take) {
        Files.deleteIfExists(file);
      }
      lock.release();
      channel.close();
      HERE.remove(file);
    }
  }

  private final List<Held> held;

  private WriterLock(List<Held> held) {
    this.held = List.copyOf(held);
  }

  /** Whether this program itself writes the workbook. */
  static boolean here(Path workbook) {
    return HERE.containsKey(beside(workbook))
        || byKey(workbook).filter(HERE::containsKey).isPresent();
  }

  /** Beside the file itself, where a link leads to it from elsewhere. */
  static Path beside(Path workbook) {
    Path file = real(workbook);
    return file.resolveSibling(file.getFileName() + "-lock");
  }

  private static Path real(Path workbook) {
    try {
      return workbook.toRealPath();
    } catch (IOException notThereYet) {
      return workbook.toAbsolutePath().normalize();
    }
  }

  /** Empty where the system knows files by their names only, or there is no file yet. */
  private static Optional<Path> byKey(Path workbook) {
    return key(workbook)
        .map(
            key ->
                Path.of(System.getProperty("java.io.tmpdir"))
                    .resolve(BY_KEY + key.toString().replaceAll("[^A-Za-z0-9=]", "_")));
  }

  private static Optional<Object> key(Path file) {
    try {
      return Optional.ofNullable(Files.readAttributes(file, BasicFileAttributes.class).fileKey());
    } catch (IOException notThereYet) {
      return Optional.empty();
    }
  }

  /**
   * The lock, or empty when another program has it.
   *
   * @param workbook which is there
   */
  static Optional<WriterLock> take(Path workbook, String who) throws IOException {
    Optional<Held> first = lock(beside(workbook), who);
    if (first.isEmpty()) {
      return Optional.empty();
    }
    List<Held> held = new ArrayList<>(List.of(first.get()));
    Optional<Path> byKey = byKey(workbook);
    if (byKey.isPresent()) {
      try {
        Optional<Held> second = lock(byKey.get(), who);
        if (second.isEmpty()) {
          // By another name of the file: who has it is written there and not here.
          first.get().channel().truncate(0);
          first.get().close(false);
          return Optional.empty();
        }
        held.add(second.get());
      } catch (AccessDeniedException madeByAnotherUser) {
        // Then the lock beside the file is the one that counts.
      }
    }
    return Optional.of(new WriterLock(held));
  }

  private static Optional<Held> lock(Path file, String who) throws IOException {
    if (HERE.putIfAbsent(file, who) != null) {
      return Optional.empty();
    }
    Optional<Held> held = Optional.empty();
    try {
      // Whoever gave it back may have taken the file away between our opening and our lock.
      for (int again = 0; held.isEmpty() && again < TRIES; again++) {
        Optional<Object> before = key(file);
        FileChannel channel =
            FileChannel.open(file, StandardOpenOption.CREATE, StandardOpenOption.WRITE);
        try {
          held = lock(file, channel, who);
          if (held.isEmpty()) {
            return Optional.empty();
          }
          Optional<Object> after = key(file);
          if (after.isEmpty() ? !Files.exists(file) : !after.equals(before)) {
            held = Optional.empty();
          }
        } finally {
          if (held.isEmpty()) {
            channel.close();
          }
        }
      }
      return held;
    } finally {
      if (held.isEmpty()) {
        HERE.remove(file);
      }
    }
  }

  private static Optional<Held> lock(Path file, FileChannel channel, String who)
      throws IOException {
    FileLock lock;
    try {
      lock = channel.tryLock();
    } catch (OverlappingFileLockException heldByOtherMeans) {
      return Optional.empty();
    }
    if (lock == null) {
      return Optional.empty();
    }
    channel.truncate(0);
    channel.write(ByteBuffer.wrap(who.getBytes(StandardCharsets.UTF_8)));
    return Optional.of(new Held(file, channel, lock));
  }

  /** Who wrote the lock, as far as one can read. */
  static String holder(Path workbook) {
    return words(beside(workbook))
        .or(() -> byKey(workbook).flatMap(WriterLock::words))
        .orElse("another program");
  }

  private static Optional<String> words(Path lock) {
    if (HERE.containsKey(lock)) {
      return Optional.of(HERE.get(lock));
    }
    try {
      String words = Files.readString(lock).strip();
      return words.isEmpty() || words.length() > MOST_WORDS ? Optional.empty() : Optional.of(words);
    } catch (IOException unreadable) {
      return Optional.empty();
    }
  }

  @Override
  public void close() throws IOException {
    for (Held one : held) {
      one.close(one.file().getFileName().toString().startsWith(BY_KEY));
    }
  }
}
