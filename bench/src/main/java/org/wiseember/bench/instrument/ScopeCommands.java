package org.wiseember.bench.instrument;

import java.util.List;

/**
 * How a scope is asked for what it captured, over SCPI.
 *
 * @param setUp commands sent once it is connected, in order
 * @param arm command that starts a capture
 * @param ready query that answers 1 once the capture is there, such as {@code *OPC?}
 * @param traces volts first, then amps where there are any; one or two
 * @param coding of the samples in the block
 * @param bigEndian whether the high byte comes first
 * @param preamble where the figures of a trace stand in the answer to its preamble query
 */
public record ScopeCommands(
    List<String> setUp,
    String arm,
    String ready,
    List<Trace> traces,
    Coding coding,
    boolean bigEndian,
    Preamble preamble) {
  private static final int MOST_SET_UP = 20;
  private static final int LONGEST = 200;

  /**
   * One trace.
   *
   * @param preambleQuery asks for its scale
   * @param dataQuery asks for its samples as a block
   * @param ratio of probe and transformer, or amps a volt; what is measured is multiplied by it
   */
  public record Trace(String preambleQuery, String dataQuery, double ratio) {}

  /** How a sample is sent. */
  public enum Coding {
    INT8("int8", 1),
    INT16("int16", 2),
    FLOAT32("float32", 4);

    private final String key;
    private final int bytes;

    Coding(String key, int bytes) {
      this.key = key;
      this.bytes = bytes;
    }

    /** As it stands in a description file. */
    public String key() {
      return key;
    }

    public int bytes() {
      return bytes;
    }
  }

  /**
   * Places in a preamble, counted from 0, cells separated by commas.
   *
   * @param step of seconds a sample
   * @param scale of units a count
   * @param offset of units at count 0; −1 where there is none
   */
  public record Preamble(int step, int scale, int offset) {}

  public ScopeCommands {
    setUp = List.copyOf(setUp);
    traces = List.copyOf(traces);
    if (traces.isEmpty() || traces.size() > 2) {
      throw new IllegalArgumentException("a scope gives volts, and perhaps amps");
    }
    if (setUp.size() > MOST_SET_UP) {
      throw new IllegalArgumentException("a scope is set up with up to 20 commands");
    }
    for (String line : setUp) {
      oneLine(line);
    }
    oneLine(arm);
    oneLine(ready);
    for (Trace t : traces) {
      oneLine(t.preambleQuery());
      oneLine(t.dataQuery());
      if (!(Math.abs(t.ratio()) > 0 && Math.abs(t.ratio()) < 1e6)) {
        throw new IllegalArgumentException("a probe's ratio is above 0");
      }
    }
    if (preamble.step() < 0 || preamble.scale() < 0) {
      throw new IllegalArgumentException("a preamble tells step and scale");
    }
  }

  private static void oneLine(String command) {
    if (command.isBlank() || command.length() > LONGEST || command.contains("\n")) {
      throw new IllegalArgumentException("a scope's commands are one line each");
    }
  }
}
