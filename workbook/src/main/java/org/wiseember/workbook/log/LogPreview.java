package org.wiseember.workbook.log;

import java.io.BufferedReader;
import java.io.IOException;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;

/**
 * A first look at a file of any meter: its headings, its first rows, and how its columns are
 * probably meant.
 *
 * @param headings of every column
 * @param rows the first rows as they stand there
 * @param mapping guessed; it need not be whole
 */
public record LogPreview(List<String> headings, List<List<String>> rows, LogMapping mapping) {
  private static final int LINES = 60;
  private static final int ROWS = 12;
  private static final int LONGEST_LINE = 20_000;
  private static final int MOST_COLUMNS = 200;

  public LogPreview {
    headings = List.copyOf(headings);
    rows = rows.stream().map(List::copyOf).toList();
  }

  /** By what a kind of file is known again: its headings and what parts them. */
  public String signature() {
    return mapping.separator() + String.join("\u001f", headings);
  }

  /**
   * Looks at the beginning of a file.
   *
   * @throws LogUnreadable in one sentence that names the file
   */
  public static LogPreview of(Path file) throws LogUnreadable {
    try {
      return look(LogFile.of(file));
    } catch (LogUnreadable e) {
      throw new LogUnreadable(file.getFileName() + ": " + e.getMessage() + ".");
    } catch (IOException | RuntimeException e) {
      throw new LogUnreadable(file.getFileName() + ": " + LogCsv.why(e) + ".");
    }
  }

  private static LogPreview look(LogFile file) throws LogUnreadable, IOException {
    List<String> lines = new ArrayList<>();
    try (LogFile.Text text = file.open();
        BufferedReader reader = new BufferedReader(new ShortLines(text.reader()))) {
      for (String line = reader.readLine();
          line != null && lines.size() < LINES;
          line = reader.readLine()) {
        if (line.length() > LONGEST_LINE) {
          throw new LogUnreadable("a line is longer than 20 000 signs, so this is no log");
        }
        lines.add(line);
      }
    }
    char separator = separator(lines);
    int heading = headingLine(lines, separator);
    if (heading < 0) {
      throw new LogUnreadable(
          "no row of headings with numbers below it is found; add one such as"
              + " “time [s],ac_power [W]”");
    }
    List<String> headings = LogHeadings.cells(lines.get(heading), separator);
    List<List<String>> rows = new ArrayList<>();
    for (int i = heading + 1; i < lines.size() && rows.size() < ROWS; i++) {
      if (!lines.get(i).isBlank()) {
        rows.add(LogHeadings.cells(lines.get(i), separator));
      }
    }
    return new LogPreview(
        headings, rows, new LogGuess(headings, rows, separator).mapping(heading + 1));
  }

  /** The sign that parts most lines into the same number of cells. */
  private static char separator(List<String> lines) {
    char best = ',';
    int most = 0;
    for (char candidate : new char[] {';', '\t', ',', '|'}) {
      int same = 0;
      int before = -1;
      for (String line : lines) {
        int cells = (int) line.chars().filter(c -> c == candidate).count();
        same += cells > 0 && cells == before ? 1 : 0;
        before = cells;
      }
      if (same > most) {
        most = same;
        best = candidate;
      }
    }
    return best;
  }

  /** The first line of mostly words over a line of mostly numbers with as many cells. */
  private static int headingLine(List<String> lines, char separator) {
    for (int i = 0; i + 1 < lines.size(); i++) {
      int below = i + 1;
      while (below < lines.size() && lines.get(below).isBlank()) {
        below++;
      }
      if (below == lines.size() || lines.get(i).isBlank()) {
        continue;
      }
      List<String> words = LogHeadings.cells(lines.get(i), separator);
      List<String> numbers = LogHeadings.cells(lines.get(below), separator);
      if (words.size() >= 2
          && words.size() <= MOST_COLUMNS
          && numbers.size() == words.size()
          && words.stream().filter(LogGuess::figures).count() * 3 <= words.size()
          && numbers.stream().filter(LogGuess::figures).count() * 2 >= numbers.size()) {
        return i;
      }
    }
    return -1;
  }
}
