package org.wiseember.bench.emulator;

import java.nio.ByteBuffer;
import java.nio.ByteOrder;
import java.util.SplittableRandom;
import java.util.function.Supplier;
import org.wiseember.bench.simulated.SimulatedUnit;

/**
 * A two-channel scope on the outlet: channel 1 volts through a 100 : 1 probe, channel 2 amps
 * through a clamp. Twelve bits, with half a bit of noise.
 */
final class Scope {
  private static final int LEAST_POINTS = 10;
  private static final int POINTS = 10_000;
  private static final int MOST_POINTS = 2_000_000;
  private static final int BITS = 12;
  private static final double VOLTS_FULL_SCALE = 800;
  private static final double AMPS_FULL_SCALE = 100;

  private enum Coding {
    ASCII,
    INTEGER,
    REAL
  }

  private final EmulatedBench bench;
  private final SplittableRandom noise;
  private double sweepSeconds = 0.1;
  private int points = POINTS;
  private Coding coding = Coding.ASCII;
  private boolean swapped;
  private short[][] captured;
  private double capturedStep;

  Scope(EmulatedBench bench) {
    this.bench = bench;
    this.noise = new SplittableRandom(bench.seed("scope"));
  }

  ScpiInstrument instrument() {
    CommandTree tree = new CommandTree();
    tree.command("[SENSe:]SWEep:TIME", a -> sweepSeconds = a.number(1e-4, 10, 0.1, "S"))
        .level("[SENSe:]SWEep:TIME?", 1e-4, 10, 0.1, () -> sweepSeconds)
        .command("[SENSe:]SWEep:POINts", a -> points = a.whole(LEAST_POINTS, MOST_POINTS))
        .query(
            "[SENSe:]SWEep:POINts?",
            a ->
                Integer.toString(
                    a.size() == 0 ? points : (int) a.named(LEAST_POINTS, MOST_POINTS, POINTS)))
        .command(
            "FORMat[:DATA]",
            a -> coding = Coding.values()[a.choice("ASCii", "INTeger,16", "REAL,32")])
        .ask(
            "FORMat[:DATA]?",
            () -> coding == Coding.ASCII ? "ASC" : coding == Coding.INTEGER ? "INT,16" : "REAL,32")
        .command("FORMat:BORDer", a -> swapped = a.choice("NORMal", "SWAPped") == 1)
        .ask("FORMat:BORDer?", () -> swapped ? "SWAP" : "NORM")
        .command(
            "INITiate[:IMMediate]",
            a -> {
              a.none();
              capture();
            })
        .add("TRACe[:DATA]?", a -> data(a.choice("CHANnel1", "CH1", "CHANnel2", "CH2") / 2))
        .query(
            "TRACe:PREamble?",
            a -> {
              int channel = a.choice("CHANnel1", "CH1", "CHANnel2", "CH2") / 2;
              needCapture();
              return captured[channel].length
                  + ","
                  + ScpiInstrument.number(capturedStep)
                  + ","
                  + ScpiInstrument.number(perCount(channel))
                  + ",0,"
                  + (channel == 0 ? "V" : "A");
            });
    return new ScpiInstrument(
        "Scope",
        tree,
        () -> {
          sweepSeconds = 0.1;
          points = POINTS;
          coding = Coding.ASCII;
          swapped = false;
          captured = null;
        });
  }

  private void needCapture() throws ScpiError {
    if (captured == null) {
      throw ScpiError.noData();
    }
  }

  /** Volts or amps of one count; the numbers are sent with four bits to spare. */
  private static double perCount(int channel) {
    double fullScale = channel == 0 ? VOLTS_FULL_SCALE : AMPS_FULL_SCALE;
    return fullScale / (1 << (BITS - 1)) / 16;
  }

  private void capture() {
    record Wave(double hertz, double[] turns, double[] values, double ampsPerVolt) {}
    double start = noise.nextDouble();
    Wave wave =
        bench.with(
            (SimulatedUnit u) -> {
              double hertz = u.design().inverter().hertz();
              double[] values = new double[points];
              double[] turns = new double[points];
              for (int i = 0; i < points; i++) {
                turns[i] = start + hertz * sweepSeconds * i / points;
                values[i] = u.waveAt(turns[i]);
              }
              double volts = u.acVolts();
              return new Wave(hertz, turns, values, volts > 0 ? u.draw().amps() / volts : 0);
            });
    captured = new short[2][points];
    capturedStep = sweepSeconds / points;
    for (int i = 0; i < points; i++) {
      captured[0][i] = counts(wave.values()[i], VOLTS_FULL_SCALE);
      captured[1][i] = counts(wave.values()[i] * wave.ampsPerVolt(), AMPS_FULL_SCALE);
    }
  }

  private short counts(double value, double fullScale) {
    double half = 1 << (BITS - 1);
    double raw = value / fullScale * half + noise.nextDouble() - 0.5;
    return (short) (16 * Math.max(-half, Math.min(half - 1, Math.rint(raw))));
  }

  /** What was captured is not touched any more, so that it can be written out at leisure. */
  private Supplier<byte[]> data(int channel) throws ScpiError {
    needCapture();
    short[] counts = captured[channel];
    double perCount = perCount(channel);
    Coding wanted = coding;
    boolean little = swapped;
    return () -> written(counts, perCount, wanted, little);
  }

  private static byte[] written(short[] counts, double perCount, Coding coding, boolean little) {
    if (coding == Coding.ASCII) {
      StringBuilder text = new StringBuilder();
      for (short count : counts) {
        text.append(text.length() == 0 ? "" : ",").append(ScpiInstrument.number(count * perCount));
      }
      return text.toString().getBytes(java.nio.charset.StandardCharsets.US_ASCII);
    }
    int size = coding == Coding.INTEGER ? Short.BYTES : Float.BYTES;
    ByteBuffer bytes =
        ByteBuffer.allocate(counts.length * size)
            .order(little ? ByteOrder.LITTLE_ENDIAN : ByteOrder.BIG_ENDIAN);
    for (short count : counts) {
      if (coding == Coding.INTEGER) {
        bytes.putShort(count);
      } else {
        bytes.putFloat((float) (count * perCount));
      }
    }
    return ScpiInstrument.block(bytes.array());
  }
}
