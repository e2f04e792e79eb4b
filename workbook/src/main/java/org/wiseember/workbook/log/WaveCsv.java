package org.wiseember.workbook.log;

import java.io.BufferedReader;
import java.io.IOException;
import java.nio.charset.CharacterCodingException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import org.wiseember.core.figure.Warning;
import org.wiseember.core.quantity.Figures;
import org.wiseember.core.waveform.Capture;
import org.wiseember.workbook.disk.OrdinaryFile;

/**
 * Reads a captured wave from a CSV file of any scope: a preamble of any length, a row of headings
 * with or without units, then samples. Columns that are no time, volts or amps are passed over and
 * said.
 */
public final class WaveCsv {
  /** No capture is larger. */
  public static final long MOST_BYTES = 512L << 20;

  static final int MOST_SAMPLES = 20_000_000;
  private static final int PREAMBLE = 400;
  private static final int ROWS_TO_BELIEVE = 3;

  /** Steps of the time that differ by more than this share are said. */
  private static final double UNEVEN = 0.05;

  private WaveCsv() {}

  /**
   * Reads a file.
   *
   * @param perSecond samples a second, where the file has no time column; empty to find it there
   * @param channel heading of the column to take for the volts; empty for the first that has volts
   * @param scale the volts are multiplied by: probe, transformer, or volts a count
   * @throws LogUnreadable in one sentence
   */
  public static ReadCapture read(
      Path file, OptionalDouble perSecond, Optional<String> channel, double scale)
      throws IOException, LogUnreadable {
    Optional<String> trouble = OrdinaryFile.trouble(file);
    if (trouble.isPresent()) {
      throw new LogUnreadable(file + ": " + trouble.get() + ".");
    }
    if (Files.size(file) > MOST_BYTES) {
      throw new LogUnreadable(
          file.getFileName() + " is larger than 512 MiB. Save a shorter capture.");
    }
    try (BufferedReader reader =
        new BufferedReader(
            new ShortLines(Files.newBufferedReader(file, StandardCharsets.UTF_8)), 1 << 16)) {
      return new Reading(file, reader, perSecond, channel, scale).read();
    } catch (ShortLines.Endless e) {
      throw new LogUnreadable(file.getFileName() + ": " + e.getMessage() + ".");
    } catch (CharacterCodingException e) {
      throw new LogUnreadable(
          file.getFileName() + " is not UTF-8 text. Save the capture as CSV in UTF-8.");
    }
  }

  /** One file while it is read. */
  private static final class Reading {
    private final Path file;
    private final BufferedReader reader;
    private final OptionalDouble given;
    private final Optional<String> channel;
    private final double scale;
    private final List<Warning> warnings = new ArrayList<>();
    private char separator = ',';
    private char comma = '.';
    private WaveHeadings headings;
    private double[] time = new double[4096];
    private double[] volts = new double[4096];
    private double[] amps = new double[0];
    private int n;

    Reading(
        Path file,
        BufferedReader reader,
        OptionalDouble given,
        Optional<String> channel,
        double scale) {
      this.file = file;
      this.reader = reader;
      this.given = given;
      this.channel = channel;
      this.scale = scale;
    }

    ReadCapture read() throws IOException, LogUnreadable {
      List<String> head = new ArrayList<>();
      int first = -1;
      while (first < 0) {
        String line = reader.readLine();
        if (line != null) {
          head.add(head.isEmpty() && line.startsWith("\ufeff") ? line.substring(1) : line);
        }
        first = firstRow(head, line == null);
        if (first < 0 && (line == null || head.size() > PREAMBLE + ROWS_TO_BELIEVE)) {
          throw new LogUnreadable(
              file.getFileName()
                  + " has no rows of numbers in its first "
                  + PREAMBLE
                  + " lines. A capture is time and volts, a sample a row.");
        }
      }
      headings =
          WaveHeadings.of(
              head.subList(0, first), cells(head.get(first)).length, separator, channel);
      if (channel.isPresent() && !headings.voltName().equalsIgnoreCase(channel.get().strip())) {
        throw new LogUnreadable(
            file.getFileName()
                + " has no column “"
                + channel.get()
                + "”. Name one of its headings as it stands there.");
      }
      if (comma == ',') {
        warnings.add(new Warning("decimal_comma", "Decimal commas are read."));
      }
      headings.passedOver().ifPresent(w -> warnings.add(new Warning("unknown_column", w)));
      if (headings.amps() >= 0) {
        amps = new double[volts.length];
      }
      int row = first + 1;
      for (String line : head.subList(first, head.size())) {
        take(line, row++);
      }
      for (String line = reader.readLine(); line != null; line = reader.readLine()) {
        take(line, row++);
      }
      return capture();
    }

    /** Where rows of numbers begin that go on; at the end of a short file fewer are believed. */
    private int firstRow(List<String> head, boolean ended) {
      int wanted = ended ? 1 : ROWS_TO_BELIEVE;
      int from = Math.max(0, head.size() - wanted - (ended ? head.size() : 0));
      for (int i = from; i + wanted <= head.size(); i++) {
        for (char candidate : new char[] {';', '\t', ','}) {
          for (char point : candidate == ',' ? new char[] {'.'} : new char[] {'.', ','}) {
            if (numbers(head.subList(i, i + wanted), candidate, point)) {
              separator = candidate;
              comma = point;
              return i;
            }
          }
        }
      }
      return -1;
    }

    private static boolean numbers(List<String> lines, char separator, char point) {
      int columns = -1;
      for (String line : lines) {
        String[] cells = split(line, separator);
        int filled = 0;
        for (String cell : cells) {
          if (!cell.isEmpty()) {
            filled++;
            if (Double.isNaN(number(cell, point))) {
              return false;
            }
          }
        }
        if (filled == 0 || (columns >= 0 && cells.length != columns)) {
          return false;
        }
        columns = cells.length;
      }
      return true;
    }

    private String[] cells(String line) {
      return split(line, separator);
    }

    private static String[] split(String line, char separator) {
      String[] cells = WaveHeadings.cells(line, separator);
      // Some scopes end every row with a separator.
      int end = cells.length;
      while (end > 1 && cells[end - 1].isEmpty()) {
        end--;
      }
      return Arrays.copyOf(cells, end);
    }

    private static double number(String cell, char point) {
      char[] chars = cell.toCharArray();
      return Decimal.parse(chars, 0, chars.length, point);
    }

    private void take(String line, int row) throws LogUnreadable {
      if (line.isBlank()) {
        return;
      }
      if (n == MOST_SAMPLES) {
        throw new LogUnreadable(
            file.getFileName() + " has more than 20 million samples. Save a shorter capture.");
      }
      String[] cells = cells(line);
      if (n == volts.length) {
        time = Arrays.copyOf(time, 2 * n);
        volts = Arrays.copyOf(volts, 2 * n);
        amps = amps.length == 0 ? amps : Arrays.copyOf(amps, 2 * n);
      }
      time[n] = headings.time() < 0 ? n : value(cells, headings.time(), row, "time");
      volts[n] = value(cells, headings.volts(), row, "volts") * headings.voltFactor() * scale;
      if (amps.length > 0) {
        amps[n] = value(cells, headings.amps(), row, "amps") * headings.ampFactor();
      }
      n++;
    }

    private double value(String[] cells, int column, int row, String what) throws LogUnreadable {
      String cell = column < cells.length ? cells[column] : "";
      double value = number(cell, comma);
      if (Double.isNaN(value)) {
        throw new LogUnreadable(
            file.getFileName()
                + ", row "
                + row
                + ": the "
                + what
                + " “"
                + (cell.length() > 30 ? cell.substring(0, 30) + "…" : cell)
                + "” "
                + (cell.isEmpty() ? "are missing" : "is no number")
                + ". A capture has to be whole.");
      }
      return value;
    }

    private ReadCapture capture() throws LogUnreadable {
      double rate = rate();
      double[] v = Arrays.copyOf(volts, n);
      if (headings.voltsAssumed()) {
        warnings.add(
            new Warning(
                "volts_assumed",
                "No column is headed as volts; “" + headings.voltName() + "” is taken for them."));
      }
      if (headings.voltFactor() != 1) {
        warnings.add(
            new Warning("unit_converted", "“" + headings.voltName() + "” is read into volts."));
      }
      return new ReadCapture(
          amps.length == 0 ? Capture.of(rate, v) : Capture.of(rate, v, Arrays.copyOf(amps, n)),
          warnings);
    }

    private double rate() throws LogUnreadable {
      if (headings.time() < 0) {
        OptionalDouble found = given.isPresent() ? given : headings.perSecond();
        if (found.isEmpty()) {
          throw new LogUnreadable(
              file.getFileName()
                  + " has no time column and names no sample rate. Give it with --sample-rate.");
        }
        return found.getAsDouble();
      }
      if (n < 2) {
        return 1;
      }
      double step = (time[n - 1] - time[0]) / (n - 1) * headings.timeFactor();
      double worst = 0;
      for (int i = 1; i < n; i++) {
        double each = (time[i] - time[i - 1]) * headings.timeFactor();
        if (!(each >= 0) || !(step > 0)) {
          throw new LogUnreadable(
              file.getFileName()
                  + ": the time stands still or runs backwards near sample "
                  + (i + 1)
                  + ". A capture has evenly spaced samples.");
        }
        worst = Math.max(worst, Math.abs(each - step));
      }
      noteSpacing(step, worst);
      return 1 / step;
    }

    private void noteSpacing(double step, double worst) throws LogUnreadable {
      // Times written with few digits jump by their last digit, which is no harm.
      double digit = lastDigit() * headings.timeFactor();
      if (worst > 4 * step + 2 * digit) {
        throw new LogUnreadable(
            file.getFileName()
                + " has a hole or a jump in its time of "
                + Figures.plain(worst * 1000)
                + " ms. A capture has evenly spaced samples.");
      }
      if (worst > UNEVEN * step + 1.01 * digit) {
        warnings.add(
            new Warning(
                "uneven",
                "The samples are not evenly spaced; they are taken as if they were, "
                    + Figures.plain(1 / step)
                    + " a second."));
      }
    }

    private double lastDigit() {
      double digit = 1;
      for (int k = 0; k < 15; k++, digit /= 10) {
        boolean whole = true;
        for (int i = 0; i < Math.min(n, 200) && whole; i++) {
          double steps = time[i] / digit;
          whole = Math.abs(steps - Math.rint(steps)) < 1e-6 * Math.max(1, Math.abs(steps));
        }
        if (whole) {
          return digit;
        }
      }
      return 0;
    }
  }
}
