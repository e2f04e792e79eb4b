package org.wiseember.report.plot;

import java.util.List;
import java.util.Optional;

/**
 * Marks over an upright axis.
 *
 * @param weight its share of the height beside other panels
 * @param right a second upright axis
 * @param marks from the hindmost to the foremost
 */
public record Panel(int weight, Axis up, Optional<Axis> right, Grid grid, List<Mark> marks) {
  /** Hairlines from the figures of the axes. */
  public enum Grid {
    NONE,
    ACROSS,
    UPRIGHT,
    BOTH;

    public boolean across() {
      return this == ACROSS || this == BOTH;
    }

    public boolean upright() {
      return this == UPRIGHT || this == BOTH;
    }
  }

  public Panel {
    marks = List.copyOf(marks);
  }

  /** With one upright axis. */
  public Panel(int weight, Axis up, Grid grid, List<Mark> marks) {
    this(weight, up, Optional.empty(), grid, marks);
  }

  /** Alone. */
  public Panel(Axis up, Grid grid, List<Mark> marks) {
    this(1, up, grid, marks);
  }
}
