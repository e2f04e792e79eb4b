package org.wiseember.workbook.log;

import de.siegmar.fastcsv.reader.CsvParseException;
import de.siegmar.fastcsv.reader.CsvReader;
import de.siegmar.fastcsv.reader.CsvRecord;
import de.siegmar.fastcsv.reader.FieldMismatchStrategy;
import java.io.BufferedReader;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.charset.CharacterCodingException;
import java.nio.charset.MalformedInputException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.NoSuchFileException;
import java.nio.file.Path;
import java.time.DateTimeException;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.EnumMap;
import java.util.Iterator;
import java.util.List;
import java.util.Map;
import org.wiseember.core.because.Warning;
import org.wiseember.core.trace.Channel;
import org.wiseember.core.trace.Trace;

/**
 * Reads a meter's log: one row a moment, a column headed {@code time}, and any of the known
 * channels with their units in brackets. Semicolons, tabs, decimal commas and other units are
 * understood and mentioned. The format is in docs/formats.md.
 *
 * <p>Stops at the first cell that is neither empty nor a finite number: a log that is half right is
 * not used in part.
 */
public final class LogCsv {
  /** Larger files are refused. */
  public static final long MOST_BYTES = 2L << 30;

  /** More rows are refused: two weeks at ten a second. */
  public static final int MOST_ROWS = 12_000_000;

  private final List<Warning> warnings = new ArrayList<>();
  private boolean decimalComma;
  private boolean decimalCommaSaid;

  private LogCsv() {}

  /**
   * Reads a file.
   *
   * @throws LogUnreadable in one sentence that names the file and, where it can, the row and column
   */
  public static Log read(Path file) throws LogUnreadable {
    try {
      return new LogCsv().readFile(file);
    } catch (LogUnreadable e) {
      throw new LogUnreadable(file.getFileName() + ": " + e.getMessage() + ".");
    }
  }

  private Log readFile(Path file) throws LogUnreadable {
    try {
      if (Files.isDirectory(file)) {
        throw new LogUnreadable("this is a folder; name a CSV file");
      }
      if (Files.size(file) == 0) {
        throw new LogUnreadable("the file is empty; choose the log the meter wrote");
      }
      if (Files.size(file) > MOST_BYTES) {
        throw new LogUnreadable("the file is larger than 2 GiB; split it");
      }
      char separator = separator(file);
      decimalComma = separator != ',';
      try (CsvReader<CsvRecord> reader =
          CsvReader.builder()
              .fieldSeparator(separator)
              .skipEmptyLines(true)
              .extraFieldStrategy(FieldMismatchStrategy.IGNORE)
              .missingFieldStrategy(FieldMismatchStrategy.IGNORE)
              .allowUnclosedQuote(false)
              .detectBomHeader(true)
              .ofCsvRecord(file)) {
        return readRows(reader.iterator());
      }
    } catch (NoSuchFileException e) {
      throw new LogUnreadable("there is no such file; check the name");
    } catch (CharacterCodingException e) {
      throw new LogUnreadable("the file is not UTF-8 text; save it as UTF-8 CSV");
    } catch (IOException e) {
      throw new LogUnreadable("the file cannot be read; check the disk and the permissions");
    } catch (UncheckedIOException e) {
      throw new LogUnreadable(
          e.getCause() instanceof MalformedInputException
              ? "the file is not UTF-8 text; save it as UTF-8 CSV"
              : "the file cannot be read; check the disk and the permissions");
    } catch (CsvParseException e) {
      throw new LogUnreadable(
          "the text is not CSV: "
              + String.valueOf(e.getMessage()).lines().findFirst().orElse("a quote is left open"));
    }
  }

  private char separator(Path file) throws IOException {
    String heading;
    try (BufferedReader reader = Files.newBufferedReader(file, StandardCharsets.UTF_8)) {
      heading = reader.readLine();
      while (heading != null && heading.isBlank()) {
        heading = reader.readLine();
      }
    }
    if (heading == null) {
      return ',';
    }
    for (char candidate : new char[] {';', '\t'}) {
      if (heading.indexOf(candidate) >= 0 && heading.indexOf(',') < 0) {
        warnings.add(
            new Warning(
                candidate == ';' ? "semicolons" : "tabs",
                candidate == ';'
                    ? "Columns are separated by semicolons."
                    : "Columns are separated by tabs."));
        return candidate;
      }
    }
    return ',';
  }

  private Log readRows(Iterator<CsvRecord> rows) throws LogUnreadable {
    if (!rows.hasNext()) {
      throw new LogUnreadable("the file is empty; choose the log the meter wrote");
    }
    CsvRecord head = rows.next();
    List<String> headings = head.getFields();
    int timeAt = -1;
    LogColumn[] columns = new LogColumn[headings.size()];
    for (int i = 0; i < headings.size(); i++) {
      String heading = headings.get(i);
      if (LogColumn.isTime(heading)) {
        timeAt = timeAt < 0 ? i : timeAt;
        continue;
      }
      columns[i] = LogColumn.of(heading).orElse(null);
      describe(heading, columns, i);
    }
    if (timeAt < 0) {
      throw new LogUnreadable(
          "no column is headed “time”, so row 1 is not a log's heading; add one such as"
              + " “time [s]”");
    }
    if (Arrays.stream(columns).allMatch(c -> c == null)) {
      throw new LogUnreadable("no column but the time is known; head them as in “ac_power [W]”");
    }
    String timeHeading = headings.get(timeAt);
    double timeFactor =
        LogColumn.timeFactor(timeHeading)
            .orElseThrow(
                () ->
                    new LogUnreadable(
                        "column “"
                            + timeHeading.strip()
                            + "” has a unit that is no time; use s, min or h"));
    if (timeFactor != 1) {
      warnings.add(
          new Warning(
              "unit_converted",
              "Time is read in " + LogColumn.unit(timeHeading) + " and turned into seconds."));
    }
    return readBody(rows, columns, timeAt, timeHeading, timeFactor, headings.size());
  }

  private void describe(String heading, LogColumn[] columns, int i) throws LogUnreadable {
    LogColumn column = columns[i];
    if (column == null) {
      if (!heading.isBlank()) {
        warnings.add(
            new Warning("unknown_column", "Column “" + heading.strip() + "” is not used."));
      }
      return;
    }
    for (int k = 0; k < i; k++) {
      if (columns[k] != null && columns[k].channel() == column.channel()) {
        throw new LogUnreadable("column “" + heading.strip() + "” is there twice; keep one");
      }
    }
    if (column.converted()) {
      warnings.add(
          new Warning(
              "unit_converted",
              "Column “"
                  + heading.strip()
                  + "” is turned into "
                  + column.channel().unit().symbol()
                  + "."));
    }
  }

  private Log readBody(
      Iterator<CsvRecord> rows,
      LogColumn[] columns,
      int timeAt,
      String timeHeading,
      double timeFactor,
      int width)
      throws LogUnreadable {
    int capacity = 4096;
    double[] seconds = new double[capacity];
    int[] rowOf = new int[capacity];
    double[][] values = new double[columns.length][];
    for (int c = 0; c < columns.length; c++) {
      values[c] = columns[c] == null ? null : new double[capacity];
    }
    LogTimes times = new LogTimes(warnings);
    Boolean stamps = LogColumn.unit(timeHeading).isEmpty() ? null : Boolean.FALSE;
    int n = 0;
    int repeated = 0;
    while (rows.hasNext()) {
      CsvRecord record = rows.next();
      int row = (int) record.getStartingLineNumber();
      int fields = record.getFieldCount();
      if (fields == 1 && record.getField(0).isBlank()) {
        continue;
      }
      if (fields > width) {
        throw new LogUnreadable(
            "row " + row + " has " + fields + " cells under " + width + " headings; mend that row");
      }
      if (n == MOST_ROWS) {
        throw new LogUnreadable("more than 12 million rows; split the file");
      }
      if (n == capacity) {
        capacity *= 2;
        seconds = Arrays.copyOf(seconds, capacity);
        rowOf = Arrays.copyOf(rowOf, capacity);
        for (int c = 0; c < values.length; c++) {
          values[c] = values[c] == null ? null : Arrays.copyOf(values[c], capacity);
        }
      }
      String timeCell = timeAt < fields ? record.getField(timeAt).strip() : "";
      if (timeCell.isEmpty()) {
        throw new LogUnreadable("row " + row + " has no time; fill it in or take the row out");
      }
      if (stamps == null) {
        stamps = timeCell.length() >= 10 && timeCell.indexOf('-', 1) > 0;
      }
      seconds[n] =
          stamps
              ? stampAt(times, timeCell, row, timeHeading)
              : number(timeCell, row, timeHeading) * timeFactor;
      rowOf[n] = row;
      for (int c = 0; c < columns.length; c++) {
        if (columns[c] != null) {
          String cell = c < fields ? record.getField(c) : "";
          values[c][n] =
              cell.isBlank()
                  ? Double.NaN
                  : number(cell, row, columns[c].heading()) * columns[c].factor()
                      + columns[c].offset();
        }
      }
      if (n > 0 && seconds[n] == seconds[n - 1] && sameRow(values, n)) {
        repeated++;
        continue;
      }
      n++;
    }
    if (n == 0) {
      throw new LogUnreadable("there is a heading and no rows; choose the log the meter wrote");
    }
    if (repeated > 0) {
      warnings.add(
          new Warning(
              "repeated_rows",
              repeated == 1
                  ? "One row is there twice; it is counted once."
                  : repeated + " rows are there twice; they are counted once."));
    }
    double[] t = Arrays.copyOf(seconds, n);
    times.mend(t, rowOf);
    double origin = t[0];
    for (int i = 0; i < n; i++) {
      t[i] -= origin;
    }
    Map<Channel, double[]> channels = new EnumMap<>(Channel.class);
    for (int c = 0; c < columns.length; c++) {
      if (columns[c] != null) {
        channels.put(columns[c].channel(), Arrays.copyOf(values[c], n));
      }
    }
    return new Log(new Trace(t, channels), times.startedAt(), times.localStamps(), warnings);
  }

  private static boolean sameRow(double[][] values, int n) {
    for (double[] column : values) {
      if (column != null && Double.compare(column[n], column[n - 1]) != 0) {
        return false;
      }
    }
    return true;
  }

  private static double stampAt(LogTimes times, String cell, int row, String heading)
      throws LogUnreadable {
    try {
      return times.stamp(cell);
    } catch (DateTimeException e) {
      throw new LogUnreadable(
          "row "
              + row
              + ", column “"
              + heading.strip()
              + "”: “"
              + shortened(cell)
              + "” is not a date and time; use one such as 2026-05-01T18:00:00+02:00");
    }
  }

  private double number(String cell, int row, String heading) throws LogUnreadable {
    String text = cell.strip();
    if (decimalComma && text.indexOf(',') >= 0 && text.indexOf('.') < 0) {
      if (!decimalCommaSaid) {
        decimalCommaSaid = true;
        warnings.add(new Warning("decimal_comma", "Decimal commas are read as decimal points."));
      }
      text = text.replace(',', '.');
    }
    try {
      char end = text.charAt(text.length() - 1);
      double value = Character.isDigit(end) || end == '.' ? Double.parseDouble(text) : Double.NaN;
      if (Double.isFinite(value)) {
        return value;
      }
    } catch (NumberFormatException notOne) {
      // Told below, with the place.
    }
    throw new LogUnreadable(
        "row "
            + row
            + ", column “"
            + heading.strip()
            + "”: “"
            + shortened(cell)
            + "” is not a number; mend that cell or leave it empty");
  }

  private static String shortened(String cell) {
    String one = cell.strip().replaceAll("\\s+", " ");
    return one.length() > 40 ? one.substring(0, 40) + "…" : one;
  }
}
