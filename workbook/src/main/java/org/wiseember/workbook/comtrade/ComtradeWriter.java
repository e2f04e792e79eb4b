package org.wiseember.workbook.comtrade;

import java.io.IOException;
import java.nio.ByteBuffer;
import java.nio.ByteOrder;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import org.wiseember.core.waveform.Capture;
import org.wiseember.workbook.disk.WholeFile;

/**
 * Writes a capture as a COMTRADE record: by the 1999 revision in ASCII and 16-bit binary, by that
 * of 2013 in the two 32-bit forms, which 1999 does not know.
 */
public final class ComtradeWriter {
  private static final int LONGEST_NAME = 64;

  private ComtradeWriter() {}

  /**
   * Writes {@code .cfg} and {@code .dat} beside each other; what was there is replaced.
   *
   * @param configuration where the {@code .cfg} goes
   * @param station what was captured, in a few words
   * @param hertz of the wave, Hz
   */
  public static void write(
      Capture capture, String station, double hertz, DataFormat format, Path configuration)
      throws IOException {
    String name = configuration.getFileName().toString();
    int point = name.lastIndexOf('.');
    Path data =
        configuration.resolveSibling((point < 0 ? name : name.substring(0, point)) + ".dat");
    List<Column> columns = columns(capture, format);
    byte[] head = text(capture, station, hertz, format, columns).getBytes(StandardCharsets.UTF_8);
    byte[] samples = data(capture, format, columns);
    // Both are whole before either takes its place.
    WholeFile.make(
        configuration,
        beside -> {
          Files.write(beside, head);
          WholeFile.write(data, samples);
        });
  }

  /** A channel with what one step of its numbers is. */
  private record Column(String name, String unit, double[] values, double step) {
    static Column of(String name, String unit, double[] values, DataFormat format) {
      double most = Arrays.stream(values).map(Math::abs).max().orElse(0);
      boolean whole = format != DataFormat.FLOAT32;
      return new Column(name, unit, values, whole && most > 0 ? most / format.largest() : 1);
    }

    double number(int i) {
      return values[i] / step;
    }

    String line(int place, DataFormat format) {
      boolean whole = format != DataFormat.FLOAT32;
      String most =
          whole ? Long.toString((long) format.largest()) : Float.toString(Float.MAX_VALUE);
      return place + "," + name + ",,," + unit + "," + step + ",0,0,-" + most + "," + most
          + ",1,1,P";
    }
  }

  private static List<Column> columns(Capture capture, DataFormat format) {
    List<Column> columns = new ArrayList<>();
    columns.add(Column.of("Volts", "V", capture.volts(), format));
    if (capture.hasAmps()) {
      columns.add(Column.of("Amps", "A", capture.amps(), format));
    }
    return columns;
  }

  private static String text(
      Capture capture, String station, double hertz, DataFormat format, List<Column> columns) {
    boolean later = format == DataFormat.BINARY32 || format == DataFormat.FLOAT32;
    List<String> lines = new ArrayList<>();
    lines.add(plain(station) + ",1," + (later ? "2013" : "1999"));
    lines.add(columns.size() + "," + columns.size() + "A,0D");
    for (int i = 0; i < columns.size(); i++) {
      lines.add(columns.get(i).line(i + 1, format));
    }
    lines.add(String.format(Locale.ROOT, "%.3f", hertz));
    lines.add("1");
    lines.add(capture.perSecond() + "," + capture.size());
    // A capture knows no date; the standard wants one.
    lines.add("01/01/2000,00:00:00.000000");
    lines.add("01/01/2000,00:00:00.000000");
    lines.add(format.name());
    lines.add("1");
    if (later) {
      lines.add("0,x");
      lines.add("F,3");
    }
    return String.join("\r\n", lines) + "\r\n";
  }

  /** Without what would break the line. */
  private static String plain(String words) {
    String kept = words.replaceAll("[,\\p{Cntrl}]", " ").strip();
    return kept.length() > LONGEST_NAME ? kept.substring(0, LONGEST_NAME) : kept;
  }

  /**
   * Microseconds since the first sample, as the time stamps count; those that are too long, none.
   */
  private static long stamp(Capture capture, int i) {
    long micros = Math.round(i / capture.perSecond() * 1e6);
    return Math.min(micros, 0xFFFF_FFFEL);
  }

  private static byte[] data(Capture capture, DataFormat format, List<Column> columns) {
    if (format == DataFormat.ASCII) {
      StringBuilder text = new StringBuilder();
      for (int i = 0; i < capture.size(); i++) {
        text.append(i + 1).append(',').append(stamp(capture, i));
        for (Column c : columns) {
          text.append(',').append(Math.round(c.number(i)));
        }
        text.append("\r\n");
      }
      return text.toString().getBytes(StandardCharsets.US_ASCII);
    }
    ByteBuffer bytes =
        ByteBuffer.allocate(capture.size() * (8 + columns.size() * format.bytes()))
            .order(ByteOrder.LITTLE_ENDIAN);
    for (int i = 0; i < capture.size(); i++) {
      bytes.putInt(i + 1).putInt((int) stamp(capture, i));
      for (Column c : columns) {
        switch (format) {
          case BINARY -> bytes.putShort((short) Math.round(c.number(i)));
          case BINARY32 -> bytes.putInt((int) Math.round(c.number(i)));
          default -> bytes.putFloat((float) c.number(i));
        }
      }
    }
    return bytes.array();
  }
}
