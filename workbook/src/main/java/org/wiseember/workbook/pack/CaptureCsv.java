package org.wiseember.workbook.pack;

import de.siegmar.fastcsv.reader.CsvParseException;
import de.siegmar.fastcsv.reader.CsvReader;
import de.siegmar.fastcsv.reader.CsvRecord;
import de.siegmar.fastcsv.writer.CsvWriter;
import de.siegmar.fastcsv.writer.LineDelimiter;
import java.io.IOException;
import java.io.InputStream;
import java.io.InputStreamReader;
import java.io.OutputStream;
import java.io.OutputStreamWriter;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.Arrays;
import java.util.Iterator;
import java.util.List;
import org.wiseember.core.waveform.Capture;

/** Captures in run packages: {@code time [s],voltage [V],current [A]}, a row a sample. */
final class CaptureCsv {
  private static final String VOLTS = "time [s],voltage [V]";
  private static final String BOTH = VOLTS + ",current [A]";

  private CaptureCsv() {}

  /** A capture that cannot be read, and why. */
  static final class Unreadable extends Exception {
    private static final long serialVersionUID = 1L;

    Unreadable(String why) {
      super(why);
    }
  }

  static String name(int index) {
    return "capture-" + (index + 1) + ".csv";
  }

  static List<String> columns(Capture capture) {
    return List.of((capture.hasAmps() ? BOTH : VOLTS).split(","));
  }

  static void write(Capture capture, OutputStream out) throws IOException {
    // Not closed: the stream goes on with the package's next file.
    CsvWriter writer =
        CsvWriter.builder()
            .lineDelimiter(LineDelimiter.LF)
            .build(new OutputStreamWriter(out, StandardCharsets.UTF_8));
    writer.writeRecord(columns(capture).toArray(String[]::new));
    for (int i = 0; i < capture.size(); i++) {
      String time = Double.toString(i / capture.perSecond());
      String volts = Double.toString(capture.volts(i));
      if (capture.hasAmps()) {
        writer.writeRecord(time, volts, Double.toString(capture.amps(i)));
      } else {
        writer.writeRecord(time, volts);
      }
    }
    writer.flush();
  }

  /**
   * Reads what {@link #write} wrote.
   *
   * @param most samples
   */
  static Capture read(InputStream in, double perSecond, int most) throws IOException, Unreadable {
    if (!(perSecond > 0) || !Double.isFinite(perSecond)) {
      throw new Unreadable("it names no sample rate");
    }
    try (CsvReader<CsvRecord> reader =
        CsvReader.builder().ofCsvRecord(new InputStreamReader(in, StandardCharsets.UTF_8))) {
      return read(reader.iterator(), perSecond, most);
    } catch (CsvParseException | UncheckedIOException e) {
      throw new Unreadable("it is no CSV file");
    }
  }

  private static Capture read(Iterator<CsvRecord> rows, double perSecond, int most)
      throws Unreadable {
    String head = rows.hasNext() ? String.join(",", rows.next().getFields()) : "";
    boolean both = BOTH.equals(head);
    if (!both && !VOLTS.equals(head)) {
      throw new Unreadable("its first line is not that of a capture");
    }
    double[] volts = new double[1024];
    double[] amps = new double[both ? 1024 : 0];
    int n = 0;
    while (rows.hasNext()) {
      CsvRecord row = rows.next();
      if (n >= most) {
        throw new Unreadable("it holds more samples than a package may");
      }
      if (n == volts.length) {
        volts = Arrays.copyOf(volts, 2 * n);
        amps = both ? Arrays.copyOf(amps, 2 * n) : amps;
      }
      if (row.getFieldCount() != (both ? 3 : 2)) {
        throw new Unreadable("row " + (n + 2) + " has not the columns of its head");
      }
      volts[n] = number(row.getField(1), n);
      if (both) {
        amps[n] = number(row.getField(2), n);
      }
      n++;
    }
    double[] v = Arrays.copyOf(volts, n);
    return both ? Capture.of(perSecond, v, Arrays.copyOf(amps, n)) : Capture.of(perSecond, v);
  }

  private static double number(String cell, int row) throws Unreadable {
    try {
      double value = Double.parseDouble(cell);
      if (Double.isFinite(value)) {
        return value;
      }
    } catch (NumberFormatException e) {
      // Said below, with its row.
    }
    throw new Unreadable("row " + (row + 2) + " holds something that is no number");
  }
}
