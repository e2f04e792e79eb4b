package org.wiseember.workbook.comtrade;

import java.io.BufferedReader;
import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.io.InputStreamReader;
import java.io.UncheckedIOException;
import java.nio.ByteBuffer;
import java.nio.ByteOrder;
import java.nio.charset.StandardCharsets;
import java.util.Arrays;
import org.wiseember.workbook.log.LogUnreadable;

/** The samples of a record, in numbers as they are written and the time stamps beside them. */
final class SampleData {
  /** No record is read beyond this many samples. */
  static final int MOST_SAMPLES = 20_000_000;

  /** A time stamp that was not kept. */
  private static final long NO_STAMP = 0xFFFF_FFFFL;

  /** A value that was not kept, in text. */
  private static final double NO_VALUE = 99_999;

  private static final String END_OF_FILE = "\u001a";

  private final double[][] numbers;
  private final double[] stamps;

  private SampleData(double[][] numbers, double[] stamps) {
    this.numbers = numbers;
    this.stamps = stamps;
  }

  /**
   * Reads chosen channels.
   *
   * @param channels their places among the analog ones
   * @param file named in the sentence when it cannot be read
   */
  static SampleData of(byte[] data, Configuration c, int[] channels, String file)
      throws LogUnreadable {
    return c.format() == DataFormat.ASCII
        ? text(data, c, channels, file)
        : binary(data, c, channels, file);
  }

  private static SampleData binary(byte[] data, Configuration c, int[] channels, String file)
      throws LogUnreadable {
    int words = (c.digital() + 15) / 16;
    int size = 8 + c.analog().size() * c.format().bytes() + 2 * words;
    int n = data.length / size;
    checkCount(n, file);
    if (data.length % size != 0 && n < c.samples()) {
      throw new LogUnreadable(
          file
              + " is "
              + data.length
              + " bytes long, which are no whole samples of "
              + size
              + " bytes each: it was cut short or belongs to another configuration.");
    }
    ByteBuffer bytes = ByteBuffer.wrap(data).order(ByteOrder.LITTLE_ENDIAN);
    checkOrder(bytes, size, n, file);
    double[][] numbers = new double[channels.length][n];
    double[] stamps = new double[n];
    for (int i = 0; i < n; i++) {
      int record = i * size;
      long stamp = bytes.getInt(record + 4) & 0xFFFF_FFFFL;
      stamps[i] = stamp == NO_STAMP ? Double.NaN : stamp;
      for (int k = 0; k < channels.length; k++) {
        numbers[k][i] = number(bytes, record + 8 + channels[k] * c.format().bytes(), c.format());
      }
    }
    return new SampleData(numbers, stamps);
  }

  /** A value; NaN where the recorder had none. */
  private static double number(ByteBuffer bytes, int at, DataFormat format) {
    return switch (format) {
      case BINARY -> {
        short small = bytes.getShort(at);
        yield small == Short.MIN_VALUE ? Double.NaN : small;
      }
      case BINARY32 -> {
        int whole = bytes.getInt(at);
        yield whole == Integer.MIN_VALUE ? Double.NaN : whole;
      }
      case FLOAT32, ASCII -> {
        float real = bytes.getFloat(at);
        yield real == -Float.MAX_VALUE ? Double.NaN : real;
      }
    };
  }

  /** Samples are numbered from 1 up; bytes in the wrong order number them wildly. */
  private static void checkOrder(ByteBuffer bytes, int size, int n, String file)
      throws LogUnreadable {
    int first = bytes.getInt(0);
    boolean counts = true;
    for (int i = 1; i < Math.min(n, 50); i++) {
      counts &= bytes.getInt(i * size) == first + i;
    }
    if (!counts || first < 0 || first > MOST_SAMPLES) {
      throw new LogUnreadable(
          file
              + " does not number its samples in order: its bytes stand in the wrong order, or it"
              + " belongs to another configuration.");
    }
  }

  private static SampleData text(byte[] data, Configuration c, int[] channels, String file)
      throws LogUnreadable {
    double[][] numbers = new double[channels.length][1024];
    double[] stamps = new double[1024];
    int wanted = 2 + c.analog().size() + c.digital();
    int n = 0;
    try (BufferedReader reader =
        new BufferedReader(
            new InputStreamReader(new ByteArrayInputStream(data), StandardCharsets.ISO_8859_1))) {
      for (String line = reader.readLine(); line != null; line = reader.readLine()) {
        // An end-of-file sign closes some records.
        String row = line.replace(END_OF_FILE, "");
        if (row.isBlank()) {
          continue;
        }
        checkCount(n + 1, file);
        if (n == stamps.length) {
          stamps = Arrays.copyOf(stamps, 2 * n);
          for (int k = 0; k < channels.length; k++) {
            numbers[k] = Arrays.copyOf(numbers[k], 2 * n);
          }
        }
        String[] cells = row.split(",", -1);
        if (cells.length < wanted) {
          throw new LogUnreadable(
              file
                  + ", row "
                  + (n + 1)
                  + ": "
                  + cells.length
                  + " cells where its configuration has "
                  + wanted
                  + ".");
        }
        stamps[n] = number(cells[1], file, n);
        for (int k = 0; k < channels.length; k++) {
          double value = number(cells[2 + channels[k]], file, n);
          numbers[k][n] = value == NO_VALUE ? Double.NaN : value;
        }
        n++;
      }
    } catch (IOException e) {
      throw new UncheckedIOException("bytes in memory", e);
    }
    checkCount(n, file);
    for (int k = 0; k < channels.length; k++) {
      numbers[k] = Arrays.copyOf(numbers[k], n);
    }
    return new SampleData(numbers, Arrays.copyOf(stamps, n));
  }

  private static double number(String cell, String file, int row) throws LogUnreadable {
    String text = cell.strip();
    if (text.isEmpty()) {
      return Double.NaN;
    }
    try {
      return Double.parseDouble(text);
    } catch (NumberFormatException e) {
      throw new LogUnreadable(
          file
              + ", row "
              + (row + 1)
              + ": “"
              + (text.length() > 20 ? text.substring(0, 20) + "…" : text)
              + "” is no number.");
    }
  }

  private static void checkCount(int n, String file) throws LogUnreadable {
    if (n == 0) {
      throw new LogUnreadable(file + " holds no whole sample.");
    }
    if (n > MOST_SAMPLES) {
      throw new LogUnreadable(file + " has more than 20 million samples. Save a shorter capture.");
    }
  }

  int size() {
    return stamps.length;
  }

  double number(int channel, int i) {
    return numbers[channel][i];
  }

  /** Time stamp as written; NaN where there is none. */
  double stamp(int i) {
    return stamps[i];
  }
}
