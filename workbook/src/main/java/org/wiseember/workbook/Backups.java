package org.wiseember.workbook;

import java.io.IOException;
import java.nio.file.DirectoryStream;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;

/**
 * Copies of a workbook that are kept beside it by themselves: one a day, the newest five. What
 * another layout left is not counted among them and stays.
 */
public final class Backups {
  /** So many days are kept. */
  public static final int KEPT = 5;

  private static final String MARK = ".backup-";
  private static final String ENDING = ".ember";

  private final Workbook workbook;

  Backups(Workbook workbook) {
    this.workbook = workbook;
  }

  /**
   * Makes the backup of a day, once, where there is anything to keep; older ones than the last five
   * go.
   *
   * @return where it was put; empty where there is one already, or nothing to keep
   * @throws WorkbookException in one sentence where it cannot be written
   */
  public Optional<Path> daily(LocalDate day) {
    Path file = of(day);
    if (workbook.readOnly() || Files.exists(file) || workbook.units().all().isEmpty()) {
      return Optional.empty();
    }
    workbook.saveCopy(file);
    try {
      List<Path> all = all();
      for (Path old : all.subList(0, Math.max(0, all.size() - KEPT))) {
        Files.deleteIfExists(old);
      }
    } catch (IOException e) {
      throw Workbook.sentence(workbook.file(), e);
    }
    return Optional.of(file);
  }

  /** Those there are, oldest first. */
  public List<Path> all() throws IOException {
    List<Path> all = new ArrayList<>();
    Path folder = workbook.file().toAbsolutePath().getParent();
    try (DirectoryStream<Path> beside = Files.newDirectoryStream(folder)) {
      for (Path path : beside) {
        String name = path.getFileName().toString();
        String head = stem() + MARK;
        if (name.startsWith(head)
            && name.substring(head.length()).matches("\\d{4}-\\d\\d-\\d\\d\\.ember")) {
          all.add(path);
        }
      }
    }
    all.sort(Comparator.comparing(p -> p.getFileName().toString()));
    return all;
  }

  private Path of(LocalDate day) {
    return workbook.file().toAbsolutePath().resolveSibling(stem() + MARK + day + ENDING);
  }

  private String stem() {
    String name = workbook.file().getFileName().toString();
    return name.endsWith(ENDING) ? name.substring(0, name.length() - ENDING.length()) : name;
  }
}
