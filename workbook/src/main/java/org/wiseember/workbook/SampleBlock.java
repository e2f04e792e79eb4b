package org.wiseember.workbook;

import java.nio.ByteBuffer;
import java.nio.ByteOrder;
import java.nio.DoubleBuffer;
import java.util.List;
import org.wiseember.core.trace.Channel;
import org.wiseember.core.trace.Trace;

/**
 * Readings as bytes: 64-bit little-endian floats, all times first, then each channel in turn. See
 * docs/formats.md.
 */
final class SampleBlock {
  private SampleBlock() {}

  /**
   * @param rows each row is the time followed by one reading a channel
   */
  static byte[] encode(List<double[]> rows, int channels) {
    ByteBuffer bytes =
        ByteBuffer.allocate(rows.size() * (channels + 1) * Double.BYTES)
            .order(ByteOrder.LITTLE_ENDIAN);
    for (int column = 0; column <= channels; column++) {
      for (double[] row : rows) {
        bytes.putDouble(row[column]);
      }
    }
    return bytes.array();
  }

  /** Encodes some rows of a trace. */
  static byte[] encode(Trace trace, List<Channel> channels, int from, int rows) {
    ByteBuffer bytes =
        ByteBuffer.allocate(rows * (channels.size() + 1) * Double.BYTES)
            .order(ByteOrder.LITTLE_ENDIAN);
    DoubleBuffer doubles = bytes.asDoubleBuffer();
    double[] column = new double[rows];
    trace.copySeconds(from, column);
    doubles.put(column);
    for (Channel channel : channels) {
      trace.copyValues(channel, from, column);
      doubles.put(column);
    }
    return bytes.array();
  }

  /** A time by itself, s; NaN where it is not whole. */
  static double second(byte[] eight) {
    return eight == null || eight.length != Double.BYTES
        ? Double.NaN
        : ByteBuffer.wrap(eight).order(ByteOrder.LITTLE_ENDIAN).getDouble();
  }

  /** The last time in a block, s; NaN for none. */
  static double lastSecond(byte[] data, int rows) {
    return ByteBuffer.wrap(data)
        .order(ByteOrder.LITTLE_ENDIAN)
        .getDouble((rows - 1) * Double.BYTES);
  }

  /** Copies a block into columns, the times first, from row {@code at} on. */
  static void decode(byte[] data, int rows, double[][] columns, int at) {
    if (data.length != (long) rows * columns.length * Double.BYTES) {
      throw new WorkbookException("A block of readings has the wrong length; the file is damaged.");
    }
    ByteBuffer bytes = ByteBuffer.wrap(data).order(ByteOrder.LITTLE_ENDIAN);
    DoubleBuffer doubles = bytes.asDoubleBuffer();
    for (double[] column : columns) {
      doubles.get(column, at, rows);
    }
  }
}
