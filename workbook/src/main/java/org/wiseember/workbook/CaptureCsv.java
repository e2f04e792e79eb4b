package org.wiseember.workbook;

import java.io.BufferedReader;
import java.io.IOException;
import java.io.InputStream;
import java.io.InputStreamReader;
import java.io.OutputStream;
import java.nio.charset.StandardCharsets;
import java.util.Arrays;
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

  static void write(Capture capture, OutputStream out) throws IOException {
    StringBuilder text = new StringBuilder(capture.hasAmps() ? BOTH : VOLTS).append('\n');
    for (int i = 0; i < capture.size(); i++) {
      text.append(i / capture.perSecond()).append(',').append(capture.volts(i));
      if (capture.hasAmps()) {
        text.append(',').append(capture.amps(i));
      }
      text.append('\n');
      if (text.length() > 1 << 16) {
        out.write(text.toString().getBytes(StandardCharsets.UTF_8));
        text.setLength(0);
      }
    }
    out.write(text.toString().getBytes(StandardCharsets.UTF_8));
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
    BufferedReader reader =
        new BufferedReader(new InputStreamReader(in, StandardCharsets.UTF_8), 1 << 16);
    String head = reader.readLine();
    boolean both = BOTH.equals(head);
    if (!both && !VOLTS.equals(head)) {
      throw new Unreadable("its first line is not that of a capture");
    }
    double[] volts = new double[1024];
    double[] amps = new double[both ? 1024 : 0];
    int n = 0;
    for (String line = reader.readLine(); line != null; line = reader.readLine()) {
      if (n >= most) {
        throw new Unreadable("it holds more samples than a package may");
      }
      if (n == volts.length) {
        volts = Arrays.copyOf(volts, 2 * n);
        amps = both ? Arrays.copyOf(amps, 2 * n) : amps;
      }
      String[] cells = line.split(",", -1);
      if (cells.length != (both ? 3 : 2)) {
        throw new Unreadable("row " + (n + 2) + " has not the columns of its head");
      }
      volts[n] = number(cells[1], n);
      if (both) {
        amps[n] = number(cells[2], n);
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
