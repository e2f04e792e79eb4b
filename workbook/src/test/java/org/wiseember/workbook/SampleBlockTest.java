package org.wiseember.workbook;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.expectThrows;

import java.nio.ByteBuffer;
import java.nio.ByteOrder;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.SplittableRandom;
import org.testng.annotations.Test;
import org.wiseember.core.trace.Channel;
import org.wiseember.core.trace.Trace;

/** Blocks of readings come back to the last bit, and say where they are damaged. */
public class SampleBlockTest {
  private static final List<Channel> CHANNELS = List.of(Channel.AC_POWER, Channel.DISPLAY_CHARGE);

  private static List<double[]> rows(int count, SplittableRandom random) {
    List<double[]> rows = new ArrayList<>();
    for (int i = 0; i < count; i++) {
      rows.add(
          new double[] {
            i * 0.999,
            random.nextInt(5) == 0 ? Double.NaN : random.nextDouble(-1e6, 1e6),
            random.nextInt(100)
          });
    }
    return rows;
  }

  private static double[][] decoded(byte[] block, int rows) {
    double[][] columns = new double[3][rows];
    SampleBlock.decode(block, rows, columns, 0);
    return columns;
  }

  @Test
  public void readingsComeBackToTheBit() {
    SplittableRandom random = new SplittableRandom(8);
    for (int count : new int[] {1, 2, 255, 4096}) {
      List<double[]> rows = rows(count, random);
      double[][] columns = decoded(SampleBlock.encode(rows, 2), count);
      for (int i = 0; i < count; i++) {
        for (int c = 0; c < 3; c++) {
          assertEquals(
              Double.doubleToRawLongBits(columns[c][i]),
              Double.doubleToRawLongBits(rows.get(i)[c]),
              "row " + i);
        }
      }
    }
  }

  /** As docs/formats.md has it: little-endian doubles, all times first. */
  @Test
  public void theBytesAreWhereTheFormatSaysSo() {
    byte[] block =
        SampleBlock.encode(List.of(new double[] {1, 10, 100}, new double[] {2, 20, 200}), 2);
    ByteBuffer bytes = ByteBuffer.wrap(block).order(ByteOrder.LITTLE_ENDIAN);
    double[] inOrder = new double[6];
    bytes.asDoubleBuffer().get(inOrder);
    assertEquals(inOrder, new double[] {1, 2, 10, 20, 100, 200});
  }

  /** Rows one by one and a trace at once are the same bytes. */
  @Test
  public void aTraceIsTheSameBlock() {
    List<double[]> rows = rows(700, new SplittableRandom(9));
    double[][] columns = new double[3][rows.size()];
    for (int i = 0; i < rows.size(); i++) {
      for (int c = 0; c < 3; c++) {
        columns[c][i] = rows.get(i)[c];
      }
    }
    Trace trace =
        new Trace(
            columns[0], Map.of(Channel.AC_POWER, columns[1], Channel.DISPLAY_CHARGE, columns[2]));
    assertEquals(SampleBlock.encode(trace, CHANNELS, 0, 700), SampleBlock.encode(rows, 2));
    assertEquals(
        SampleBlock.encode(trace, CHANNELS, 100, 50),
        SampleBlock.encode(rows.subList(100, 150), 2));
  }

  @Test
  public void aBlockOfAnotherLengthIsDamaged() {
    byte[] block = SampleBlock.encode(rows(10, new SplittableRandom(10)), 2);
    for (int length : new int[] {0, 7, block.length - 1, block.length + 8}) {
      WorkbookException e =
          expectThrows(WorkbookException.class, () -> decoded(Arrays.copyOf(block, length), 10));
      assertEquals(
          e.getMessage(), "A block of readings has the wrong length; the file is damaged.");
    }
  }
}
