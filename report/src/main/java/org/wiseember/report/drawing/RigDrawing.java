package org.wiseember.report.drawing;

import java.util.List;

/**
 * How a test is wired: things in a row, joined by leads, and probes beside them.
 *
 * @param row from the source on the left to the load on the right
 * @param leads between each thing and the next, so one fewer
 * @param probes hanging on things of the row
 */
public record RigDrawing(List<Thing> row, List<Lead> leads, List<Probe> probes) implements Drawing {
  /**
   * A thing of the rig.
   *
   * @param words a line each
   * @param meter whether it is read
   */
  public record Thing(List<String> words, boolean meter) {
    public Thing {
      words = List.copyOf(words);
    }
  }

  /**
   * A lead.
   *
   * @param fuse in it, such as {@code 10 A}; empty for none
   * @param gauge of it; empty where nothing is said
   */
  public record Lead(String fuse, String gauge) {}

  /**
   * What hangs on a thing of the row.
   *
   * @param on its place in the row
   * @param isolated whether it may only touch through isolation
   */
  public record Probe(int on, String words, boolean isolated) {}

  public RigDrawing {
    row = List.copyOf(row);
    leads = List.copyOf(leads);
    probes = List.copyOf(probes);
    if (row.isEmpty() || leads.size() != row.size() - 1) {
      throw new IllegalArgumentException("there is a lead between each two things of a rig");
    }
  }
}
