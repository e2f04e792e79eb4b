package org.wiseember.workbook.log;

import de.siegmar.fastcsv.reader.CsvParseException;
import de.siegmar.fastcsv.reader.CsvReader;
import de.siegmar.fastcsv.reader.FieldMismatchStrategy;
import java.io.BufferedReader;
import java.io.IOException;
import java.io.Reader;
import java.io.UncheckedIOException;
import java.nio.charset.CharacterCodingException;
import java.nio.file.Path;
import java.time.Instant;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.Iterator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.CancellationException;
import java.util.concurrent.CompletableFuture;
import org.wiseember.core.figure.Warning;
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

  private static final int ROWS_BETWEEN_LOOKS = 20_000;

  /** Smaller files are read before a second thread has begun. */
  private static final long WORTH_HALVING = 4L << 20;

  private final List<Warning> warnings = new ArrayList<>();
  private final Progress progress;
  private final boolean fromFirstRow;

  private LogCsv(Progress progress, boolean fromFirstRow) {
    this.progress = progress;
    this.fromFirstRow = fromFirstRow;
  }

  /**
   * Reads a file whose first row heads the columns as docs/formats.md says.
   *
   * @throws LogUnreadable in one sentence that names the file and, where it can, the row and column
   */
  public static Log read(Path file) throws LogUnreadable {
    return new LogCsv(Progress.NONE, true).sentence(file, null);
  }

  /** Reads such a file without setting the time of its first row to 0. */
  public static Log readWithItsTimes(Path file) throws LogUnreadable {
    return new LogCsv(Progress.NONE, false).sentence(file, null);
  }

  /**
   * Reads any meter's file by a mapping.
   *
   * @throws LogUnreadable in one sentence
   * @throws CancellationException when the progress ended it
   */
  public static Log read(Path file, LogMapping mapping, Progress progress) throws LogUnreadable {
    return new LogCsv(progress, true).sentence(file, mapping);
  }

  private Log sentence(Path file, LogMapping mapping) throws LogUnreadable {
    try {
      return readFile(LogFile.of(file), mapping);
    } catch (LogUnreadable e) {
      throw new LogUnreadable(file.getFileName() + ": " + e.getMessage() + ".");
    } catch (CancellationException e) {
      throw e;
    } catch (IOException | RuntimeException e) {
      throw new LogUnreadable(file.getFileName() + ": " + why(e) + ".");
    }
  }

  /** What was wrong with the file as a whole; never what a library says of it. */
  static String why(Exception e) {
    Throwable cause =
        e instanceof UncheckedIOException || e.getCause() instanceof IOException ? e.getCause() : e;
    if (cause instanceof CharacterCodingException) {
      return "the file is not UTF-8 text; save it as UTF-8 CSV";
    }
    if (cause instanceof ShortLines.Endless endless) {
      return endless.getMessage();
    }
    if (e instanceof CsvParseException) {
      return "the text is not CSV: a quote is left open, or a cell has no end; look for a stray "
          + "quotation mark";
    }
    return cause instanceof IOException
        ? "the file cannot be read; check the disk and the permissions"
        : "the text is not CSV that can be understood; export the log anew";
  }

  private Log readFile(LogFile file, LogMapping given) throws LogUnreadable, IOException {
    try (LogFile.Text text = file.open();
        ShortLines head = new ShortLines(text.reader());
        BufferedReader lines = new BufferedReader(head, 1 << 16)) {
      int line = 0;
      String heading;
      int wanted = given == null ? 1 : given.headingRow();
      do {
        heading = lines.readLine();
        line++;
      } while (heading != null && (given == null ? heading.isBlank() : line < wanted));
      if (heading == null) {
        throw new LogUnreadable("the file is empty; choose the log the meter wrote");
      }
      head.stopLooking();
      char separator = given == null ? LogHeadings.separator(heading, warnings) : given.separator();
      List<String> headings = LogHeadings.cells(heading, separator);
      LogMapping mapping =
          given == null
              ? LogHeadings.mapping(headings, separator, firstStamp(lines), warnings)
              : checked(given, headings);
      List<LogColumn> columns = new ArrayList<>();
      for (LogMapping.Use use : mapping.uses()) {
        columns.add(LogColumn.of(headings.get(use.column()), use.channel(), use.unit()));
      }
      LogBody body = new LogBody(mapping, headings, line, columns);
      if (file.size() >= WORTH_HALVING && !file.wide()) {
        Optional<LogBody> halves = inHalves(file, line, headings, mapping, columns);
        if (halves.isPresent()) {
          return made(halves.get(), mapping, columns);
        }
      }
      rows(text, lines, mapping, body, new Watch(1));
      return made(body, mapping, columns);
    }
  }

  /** Looks at the next row without taking it: its time may be a number or a stamp. */
  private static String firstStamp(BufferedReader lines) throws IOException {
    lines.mark(1 << 15);
    char[] ahead = new char[1 << 12];
    int n = lines.read(ahead);
    lines.reset();
    return n <= 0 ? "" : new String(ahead, 0, n).stripLeading();
  }

  private static LogMapping checked(LogMapping mapping, List<String> headings)
      throws LogUnreadable {
    boolean fits =
        mapping.timeColumn() < headings.size()
            && mapping.dateColumn() < headings.size()
            && mapping.uses().stream().allMatch(u -> u.column() < headings.size());
    if (!mapping.whole() || !fits) {
      throw new LogUnreadable("its columns are not those that were chosen; choose them anew");
    }
    return mapping;
  }

  /**
   * Reads the two halves of a large file side by side. Where cells stand in quotes a line's end may
   * be inside one, and where anything is wrong its row must be counted from the top: then there is
   * no result, and the file is read in one piece.
   */
  private Optional<LogBody> inHalves(
      LogFile file,
      int headingLine,
      List<String> headings,
      LogMapping mapping,
      List<LogColumn> columns)
      throws IOException {
    long middle = file.lineFrom(file.size() / 2);
    if (middle >= file.size()) {
      return Optional.empty();
    }
    Watch watch = new Watch(2);
    LogBody second = new LogBody(mapping, headings, 0, columns);
    CompletableFuture<Boolean> other =
        CompletableFuture.supplyAsync(
            () -> {
              try (LogFile.Text text = file.open(middle, file.size())) {
                return rows(text, text.reader(), mapping, second, watch);
              } catch (IOException | LogUnreadable | RuntimeException e) {
                return false;
              }
            });
    LogBody first = new LogBody(mapping, headings, headingLine, columns);
    boolean good;
    try (LogFile.Text text = file.open(0, middle);
        BufferedReader lines = new BufferedReader(text.reader(), 1 << 16)) {
      for (int i = 0; i < headingLine; i++) {
        lines.readLine();
      }
      good = rows(text, lines, mapping, first, watch);
    } catch (LogUnreadable | RuntimeException e) {
      good = false;
    }
    good &= other.join();
    if (watch.ended()) {
      throw new CancellationException();
    }
    if (!good || first.quotes() || second.quotes() || first.size() == 0) {
      return Optional.empty();
    }
    first.append(second);
    return Optional.of(first);
  }

  /** Tells the progress of one or two readers that work side by side. */
  private final class Watch {
    private final int readers;
    private volatile boolean ended;

    Watch(int readers) {
      this.readers = readers;
    }

    /** Only the reader that asks tells; the other is about as far. */
    boolean goOn(LogFile.Text text, boolean tells) {
      if (tells && !progress.at(text.share() * (readers == 1 ? 1 : 0.999))) {
        ended = true;
      }
      return !ended;
    }

    boolean ended() {
      return ended;
    }
  }

  private boolean rows(
      LogFile.Text text, Reader lines, LogMapping mapping, LogBody body, Watch watch)
      throws LogUnreadable {
    CsvReader<LogBody> reader =
        CsvReader.builder()
            .fieldSeparator(mapping.separator())
            .skipEmptyLines(true)
            .extraFieldStrategy(FieldMismatchStrategy.IGNORE)
            .missingFieldStrategy(FieldMismatchStrategy.IGNORE)
            .allowUnclosedQuote(false)
            .build(body, lines);
    boolean tells = lines instanceof BufferedReader;
    int looked = 0;
    for (Iterator<LogBody> rows = reader.iterator(); rows.hasNext(); ) {
      rows.next();
      if (body.failure() != null) {
        throw body.failure();
      }
      if (body.size() - looked >= ROWS_BETWEEN_LOOKS) {
        looked = body.size();
        if (looked == ROWS_BETWEEN_LOOKS) {
          body.expect((int) Math.min(MOST_ROWS, looked / Math.max(1e-6, text.share()) * 1.05));
        }
        if (!watch.goOn(text, tells)) {
          throw new CancellationException();
        }
      }
    }
    return true;
  }

  private Log made(LogBody body, LogMapping mapping, List<LogColumn> columns) throws LogUnreadable {
    if (body.size() == 0) {
      throw new LogUnreadable("there is a heading and no rows; choose the log the meter wrote");
    }
    if (body.commaSeen()) {
      warnings.add(new Warning("decimal_comma", "Decimal commas are read as decimal points."));
    }
    if (body.repeated() > 0) {
      warnings.add(
          new Warning(
              "repeated_rows",
              body.repeated() == 1
                  ? "One row is there twice; it is counted once."
                  : body.repeated() + " rows are there twice; they are counted once."));
    }
    body.noReadings().forEach(words -> warnings.add(new Warning("no_reading", words)));
    double[] t = body.seconds();
    boolean dated = mapping.timeForm() != TimeForm.CLOCK || mapping.dateColumn() >= 0;
    new LogTimes(warnings, body.localStamps(), !dated).mend(t, body.rows());
    if (t.length > 1 && t[0] == t[t.length - 1]) {
      throw new LogUnreadable(
          "time never moves: all "
              + t.length
              + " rows are of one moment; export the log with the time of each reading");
    }
    double origin = fromFirstRow ? t[0] : 0;
    Optional<Instant> startedAt =
        mapping.timeForm().number() || body.localStamps()
            ? Optional.empty()
            : Optional.of(Instant.ofEpochMilli(Math.round(t[0] * 1000)));
    for (int i = 0; i < t.length; i++) {
      t[i] -= origin;
    }
    Map<Channel, double[]> channels = new EnumMap<>(Channel.class);
    for (int c = 0; c < columns.size(); c++) {
      channels.put(columns.get(c).channel(), body.column(c));
    }
    return new Log(Trace.takingOver(t, channels), startedAt, body.localStamps(), warnings);
  }
}
