package org.wiseember.workbook.disk;

import java.io.BufferedOutputStream;
import java.io.IOException;
import java.io.OutputStream;
import java.nio.channels.Channels;
import java.nio.channels.FileChannel;
import java.nio.file.AtomicMoveNotSupportedException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.nio.file.StandardOpenOption;

/**
 * Writes a file beside its place and moves it there once it is whole and on disk: whatever goes
 * wrong on the way, what was there before stays.
 */
public final class WholeFile {
  private static final String PART = ".part";

  private WholeFile() {}

  /** What goes into the file. */
  public interface Content {
    void into(OutputStream out) throws IOException;
  }

  /** What writes a file by its name, as a database does. */
  public interface Making {
    void at(Path file) throws IOException;
  }

  /**
   * Writes a file.
   *
   * @throws IOException when it cannot be written; then what was there is there
   */
  public static void write(Path file, Content content) throws IOException {
    make(
        file,
        beside -> {
          try (FileChannel channel =
                  FileChannel.open(
                      beside, StandardOpenOption.CREATE_NEW, StandardOpenOption.WRITE);
              OutputStream out = new BufferedOutputStream(Channels.newOutputStream(channel))) {
            content.into(out);
            out.flush();
            channel.force(true);
          }
        });
  }

  /** Writes these bytes. */
  public static void write(Path file, byte[] bytes) throws IOException {
    write(file, out -> out.write(bytes));
  }

  /** Has a file made beside its place and moves it there. */
  public static void make(Path file, Making making) throws IOException {
    Path beside = file.resolveSibling(file.getFileName() + PART);
    // One left behind by a program that was killed is nobody's.
    Files.deleteIfExists(beside);
    boolean done = false;
    try {
      making.at(beside);
      move(beside, file);
      done = true;
    } finally {
      if (!done) {
        Files.deleteIfExists(beside);
      }
    }
  }

  private static void move(Path from, Path to) throws IOException {
    try {
      Files.move(from, to, StandardCopyOption.ATOMIC_MOVE, StandardCopyOption.REPLACE_EXISTING);
    } catch (AtomicMoveNotSupportedException e) {
      Files.move(from, to, StandardCopyOption.REPLACE_EXISTING);
    }
  }
}
