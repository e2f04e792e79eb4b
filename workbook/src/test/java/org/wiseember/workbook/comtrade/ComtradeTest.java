package org.wiseember.workbook.comtrade;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertFalse;
import static org.testng.Assert.assertTrue;
import static org.testng.Assert.expectThrows;

import java.io.ByteArrayOutputStream;
import java.nio.ByteBuffer;
import java.nio.ByteOrder;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Optional;
import java.util.SplittableRandom;
import org.testng.annotations.BeforeMethod;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;
import org.wiseember.core.waveform.Capture;
import org.wiseember.workbook.log.LogUnreadable;
import org.wiseember.workbook.log.ReadCapture;

/** Records made by hand from the standard's list of fields, and ours read by two readers. */
public class ComtradeTest {
  private Path folder;

  @BeforeMethod
  public void makeFolder() throws Exception {
    folder = Files.createTempDirectory("ember-comtrade");
  }

  private static Capture capture(boolean amps, int n) {
    SplittableRandom random = new SplittableRandom(5);
    double[] v = new double[n];
    double[] i = new double[n];
    for (int k = 0; k < n; k++) {
      v[k] = 325 * Math.sin(2 * Math.PI * 50 * k / 25_000.0) + random.nextDouble();
      i[k] = 3.3 * Math.sin(2 * Math.PI * 50 * k / 25_000.0 - 1);
    }
    return amps ? Capture.of(25_000, v, i) : Capture.of(25_000, v);
  }

  @DataProvider
  Object[][] formats() {
    return new Object[][] {
      {DataFormat.ASCII, 325 / 99_998.0},
      {DataFormat.BINARY, 326 / 32_767.0},
      {DataFormat.BINARY32, 326.0 / Integer.MAX_VALUE},
      {DataFormat.FLOAT32, 326 * Math.pow(2, -23)},
    };
  }

  /** What we write, we and a strict second reader read the same, to half a step of the format. */
  @Test(dataProvider = "formats")
  public void writtenAndReadByTwo(DataFormat format, double step) throws Exception {
    for (boolean amps : new boolean[] {false, true}) {
      Capture written = capture(amps, 5000);
      Path cfg = folder.resolve(format + (amps ? "-both" : "") + ".cfg");
      ComtradeWriter.write(written, "Kiosk, at 600 W\nby night", 50.01, format, cfg);
      ReadCapture ours = ComtradeReader.read(cfg, Optional.empty(), 1);
      StrictReader.Recorded strict = StrictReader.read(cfg);
      assertTrue(ours.warnings().isEmpty(), "" + ours.warnings());
      assertEquals(ours.capture().perSecond(), 25_000.0);
      assertEquals(strict.perSecond(), 25_000.0);
      assertEquals(ours.capture().size(), 5000);
      assertEquals(ours.capture().hasAmps(), amps);
      for (int k = 0; k < 5000; k++) {
        assertEquals(ours.capture().volts(k), written.volts(k), step * 0.51);
        assertEquals(strict.values()[0][k], ours.capture().volts(k), 1e-9);
        if (amps) {
          assertEquals(ours.capture().amps(k), written.amps(k), step);
          assertEquals(strict.values()[1][k], ours.capture().amps(k), 1e-9);
        }
      }
    }
  }

  private static final String CHANNELS_1999 =
      """
      Quay substation,7,1999
      5,3A,2D
      1,IA,A,,A,0.01,0,0,-32767,32767,100,5,P
      2,VA,A,,kV,0.002,0.5,0,-32767,32767,230,115,S
      3,VB,B,,V,1,0,0,-32767,32767,1,1,P
      1,Breaker,,,0
      2,Alarm,,,0
      50
      1
      1000,3
      01/02/2024,10:11:12.000000
      01/02/2024,10:11:12.001000
      """;

  /** Hand-made, 1999, ASCII: a·x + b, kilovolts, 230 to 115 V behind the transformer. */
  @Test
  public void asciiByHand() throws Exception {
    Path cfg = folder.resolve("HAND.CFG");
    Files.writeString(cfg, CHANNELS_1999.replace("\n", "\r\n") + "ASCII\r\n1\r\n");
    Files.writeString(
        folder.resolve("HAND.DAT"),
        "1,0,100,50,7,0,1\r\n2,1000,-100,-300,8,1,0\r\n3,2000,0,25,9,0,0\r\n\u001a");
    ReadCapture read = ComtradeReader.read(cfg, Optional.empty(), 1);
    assertEquals(read.capture().size(), 3);
    assertEquals(read.capture().perSecond(), 1000.0);
    // (0.002 · 50 + 0.5) kV · 2 = 1 200 V
    assertEquals(read.capture().volts(0), 1200, 1e-9);
    assertEquals(read.capture().volts(1), -200, 1e-9);
    assertEquals(read.capture().amps(0), 1, 1e-12);
    assertEquals(read.capture().amps(1), -1, 1e-12);
    assertEquals(
        read.warnings().stream().map(w -> w.code()).toList(),
        java.util.List.of("unknown_column", "ratio_applied"));
    ReadCapture other = ComtradeReader.read(folder.resolve("HAND.DAT"), Optional.of("vb"), 2);
    assertEquals(other.capture().volts(2), 18, 1e-12);
    assertTrue(
        expectThrows(LogUnreadable.class, () -> ComtradeReader.read(cfg, Optional.of("VX"), 1))
            .getMessage()
            .contains("it has IA, VA, VB"));
  }

  private static byte[] records(int bytes, ByteOrder order) {
    ByteBuffer data = ByteBuffer.allocate(3 * (8 + 3 * bytes + 2)).order(order);
    double[][] values = {{100, 50, 7}, {-100, -300, 8}, {0, 25, 9}};
    for (int i = 0; i < 3; i++) {
      data.putInt(i + 1).putInt(1000 * i);
      for (double v : values[i]) {
        switch (bytes) {
          case 2 -> data.putShort((short) v);
          case 4 -> data.putInt((int) v);
          default -> throw new IllegalArgumentException();
        }
      }
      data.putShort((short) 0b01);
    }
    return data.array();
  }

  @Test
  public void binaryByHand() throws Exception {
    for (String format : new String[] {"BINARY", "BINARY32", "binary"}) {
      Path cfg = folder.resolve(format + ".cfg");
      Files.writeString(cfg, CHANNELS_1999 + format + "\n1\n");
      Files.write(
          folder.resolve(format + ".dat"),
          records(format.equals("BINARY32") ? 4 : 2, ByteOrder.LITTLE_ENDIAN));
      ReadCapture read = ComtradeReader.read(cfg, Optional.empty(), 1);
      assertEquals(read.capture().volts(0), 1200, 1e-9);
      assertEquals(read.capture().volts(2), 1100, 1e-9);
      assertEquals(read.capture().amps(1), -1, 1e-12);
    }
  }

  /** 2013 in one file: configuration, notes and 32-bit floats, stamps in nanoseconds, no rate. */
  @Test
  public void combinedByHand() throws Exception {
    String head =
        """
        --- file type: CFG ---
        Quay,7,2013
        1,1A,0D
        1,Outlet,,,V,2,1,0,-1e9,1e9,1,1,P
        60
        0
        0,4
        01/02/2024,10:11:12.000000000
        01/02/2024,10:11:12.000000000
        FLOAT32
        1
        0,0
        F,3
        --- file type: INF ---
        --- file type: HDR ---
        Made by hand.
        --- file type: DAT BINARY: 48 ---
        """;
    ByteBuffer data = ByteBuffer.allocate(48).order(ByteOrder.LITTLE_ENDIAN);
    for (int i = 0; i < 4; i++) {
      data.putInt(i + 1).putInt(100_000 * i).putFloat(1.5f * i);
    }
    ByteArrayOutputStream out = new ByteArrayOutputStream();
    out.write(head.replace("\n", "\r\n").getBytes(StandardCharsets.UTF_8));
    out.write(data.array());
    Path file = folder.resolve("one.cff");
    Files.write(file, out.toByteArray());
    ReadCapture read = ComtradeReader.read(file, Optional.empty(), 1);
    assertEquals(read.capture().perSecond(), 10_000, 1e-6);
    assertEquals(read.capture().volts(), new double[] {1, 4, 7, 10});
  }

  @DataProvider
  Object[][] damaged() {
    byte[] good = records(2, ByteOrder.LITTLE_ENDIAN);
    return new Object[][] {
      {CHANNELS_1999 + "BINARY\n1\n", records(2, ByteOrder.BIG_ENDIAN), "in the wrong order"},
      {CHANNELS_1999 + "BINARY\n1\n", java.util.Arrays.copyOf(good, 40), "cut short"},
      {CHANNELS_1999 + "BINARY\n1\n", new byte[0], "holds no whole sample"},
      {CHANNELS_1999 + "BINARY\n1\n", java.util.Arrays.copyOf(good, 7), "holds no whole sample"},
      {CHANNELS_1999 + "MORSE\n1\n", good, "line 13: the data's format"},
      {CHANNELS_1999, good, "the data's format"},
      {"", good, "is no COMTRADE configuration"},
      {"a,b,1999\nmany,xA,0D\n", good, "the number “x”"},
      {"a,b,1999\n1,999999A,0D\n", good, "the number “999999”"},
      {"a,b,1999\n0,0A,0D\n50\n1\n1000,3\n\n\nBINARY\n1\n", good, "has no analog channel"},
      {
        CHANNELS_1999 + "ASCII\n1\n", "1,0,1,2\n".getBytes(StandardCharsets.UTF_8), "row 1: 4 cells"
      },
      {
        CHANNELS_1999 + "ASCII\n1\n",
        "1,0,1,x,3,0,0\n".getBytes(StandardCharsets.UTF_8),
        "row 1: “x” is no number"
      },
      {
        CHANNELS_1999 + "ASCII\n1\n",
        "1,0,1,,3,0,0\n".getBytes(StandardCharsets.UTF_8),
        "sample 1 of “VA” is missing"
      },
      {
        CHANNELS_1999.replace("\n1\n1000,3\n", "\n2\n1000,2\n2000,3\n") + "BINARY\n1\n",
        good,
        "changes its sampling rate"
      },
      {
        CHANNELS_1999.replace("0.002,0.5", "1e29,1e30").replace("kV", "MV") + "BINARY\n1\n",
        good,
        ""
      },
    };
  }

  @Test(dataProvider = "damaged")
  public void damagedRecordsAreOneSentence(String cfg, byte[] dat, String words) throws Exception {
    Path file = folder.resolve("broken.cfg");
    Files.writeString(file, cfg);
    Files.write(folder.resolve("broken.dat"), dat);
    if (words.isEmpty()) {
      assertTrue(ComtradeReader.read(file, Optional.empty(), 1).capture().size() > 0);
      return;
    }
    LogUnreadable e =
        expectThrows(LogUnreadable.class, () -> ComtradeReader.read(file, Optional.empty(), 1));
    assertTrue(e.getMessage().contains(words), e.getMessage());
    assertTrue(e.getMessage().startsWith("broken."), e.getMessage());
    assertFalse(e.getMessage().contains("\n"));
  }

  @Test
  public void aMissingHalfIsSaid() throws Exception {
    Path cfg = folder.resolve("alone.cfg");
    Files.writeString(cfg, CHANNELS_1999 + "ASCII\n1\n");
    assertTrue(
        expectThrows(LogUnreadable.class, () -> ComtradeReader.read(cfg, Optional.empty(), 1))
            .getMessage()
            .contains("There is no alone.dat beside alone.cfg"));
    Path none = folder.resolve("none.cff");
    assertTrue(
        expectThrows(LogUnreadable.class, () -> ComtradeReader.read(none, Optional.empty(), 1))
            .getMessage()
            .contains("there is no such file"));
  }
}
